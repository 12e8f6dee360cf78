using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>A watch that came without its wearer: nobody tries it on, and nothing says that somebody did.</summary>
public sealed class WearerTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private static List<string> Rows(JsonNode bench) => [.. bench["steps"]!.AsArray().Select(s => s!["row"]!.GetValue<string>())];

    private async Task<JsonNode> JobOf(string client) =>
        (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == client)!;

    [Fact]
    public async Task A_job_that_is_begun_gains_its_try_on_when_somebody_comes_after_all_and_loses_it_again()
    {
        var id = (await JobOf("Garrin Pole"))["id"]!.GetValue<long>();
        var job = await _shop.Get($"/api/jobs/{id}");
        job["wearer"]!.GetValue<bool>().ShouldBeTrue("as a counter has it, until somebody says otherwise");
        object Said(bool wearer) => new
        {
            client = job["client"]!.GetValue<string>(),
            watch = job["watch"]!.GetValue<string>(),
            request = job["request"]!.GetValue<string>(),
            promised = job["promised"]!.GetValue<string>(),
            by = job["takenInBy"]!.GetValue<string>(),
            contact = job["contact"]!.GetValue<string>(),
            words = job["words"]!.GetValue<string>(),
            wearer,
        };
        var bench = await _shop.Get($"/api/jobs/{id}/bench");
        Rows(bench).ShouldContain("tryOn");
        var done = bench["steps"]!.AsArray().Count(s => s!["done"]!.GetValue<bool>());

        (await _shop.Put($"/api/jobs/{id}/take-in", Said(wearer: false)))["wearer"]!.GetValue<bool>().ShouldBeFalse();
        bench = await _shop.Get($"/api/jobs/{id}/bench");
        Rows(bench).ShouldNotContain("tryOn");
        bench["steps"]!.AsArray().Count(s => s!["done"]!.GetValue<bool>()).ShouldBe(done, "what is done stays done");
        bench["trouble"].ShouldBeNull();

        await _shop.Put($"/api/jobs/{id}/take-in", Said(wearer: true));
        Rows(await _shop.Get($"/api/jobs/{id}/bench")).ShouldContain("tryOn");
    }

    [Fact]
    public async Task A_strap_that_goes_back_by_post_is_not_said_to_have_been_tried_on()
    {
        var posted = (await JobOf("Perrin Lockwell"))["id"]!.GetValue<long>();
        Rows(await _shop.Get($"/api/jobs/{posted}/bench")).ShouldNotContain("tryOn", "it goes back by the mail boat");
        var visits = (await _shop.Get("/api/log?words=Tiba%20Morrow"))["visits"]!.AsArray();
        var line = visits.Single()!["entries"]!.AsArray().Select(e => e!["words"]!.GetValue<string>()).Last();
        line.ShouldContain("Not tried on: its wearer was not here.");
        line.ShouldNotContain("Tried on: as planned", Case.Sensitive);
        line.ShouldContain("6 links of 8.2 mm, 6 split pins", Case.Sensitive, "by its figures alone it is worked whole, in one round");
    }
}
