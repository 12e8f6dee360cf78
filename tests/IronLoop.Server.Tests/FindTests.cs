using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>Everything that has a name is found by how its words begin.</summary>
public sealed class FindTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private async Task<List<JsonNode>> Find(string words) => [.. (await _shop.Get($"/api/find?words={Uri.EscapeDataString(words)}")).AsArray().Select(f => f!)];

    private static string Told(JsonNode found) => $"{found["kind"]} {found["says"]}";

    [Theory]
    [InlineData("oakes bet", "job Tag 4, Bettan Oakes")]
    [InlineData("bettan", "client Bettan Oakes")]
    [InlineData("regatta", "watch Pellmarsh regatta")]
    [InlineData("strap wov", "band Woven strap")]
    [InlineData("2011", "band Three-row bracelet")]
    [InlineData("buckle pin", "part Pin buckle")]
    public async Task Words_in_any_order_find_jobs_people_watches_bands_and_articles(string words, string found) =>
        (await Find(words)).Select(Told).ShouldContain(found);

    [Theory]
    [InlineData("tag 4", "job Tag 4, Bettan Oakes")]
    [InlineData("bag 4", "job Tag 4, Bettan Oakes")]
    [InlineData("sk-t20", "band Woven strap")]
    [InlineData("CL-B18", "part Pin buckle")]
    public async Task A_code_that_is_scanned_means_one_thing_and_stands_first(string code, string found)
    {
        var all = await Find(code);
        Told(all[0]).ShouldBe(found);
        all.Select(f => f["exact"]!.GetValue<bool>()).ShouldBe([true, .. Enumerable.Repeat(false, all.Count - 1)]);
    }

    [Fact]
    public async Task A_note_of_the_bench_is_found_with_its_job_and_an_open_job_says_where_it_is()
    {
        await _shop.Send(HttpMethod.Post, "/api/jobs/4/bench/notes", new { note = "A zeppelin is scratched into the back.", settled = true, kind = "alsoFound" }, HttpStatusCode.OK);
        var found = (await Find("zepp scratch")).ShouldHaveSingleItem();
        Told(found).ShouldBe("job Tag 4, Bettan Oakes");
        found["next"]!.GetValue<string>().ShouldBe("bench");
        (await Find("   ")).ShouldBeEmpty();
        (await Find("zeppelin airship")).ShouldBeEmpty();
    }
}
