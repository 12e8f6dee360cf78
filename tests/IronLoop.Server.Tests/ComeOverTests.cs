using System.Text.Json.Nodes;
using IronLoop.Core.Matching;
using IronLoop.Replay;
using IronLoop.Storage;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Tests;

/// <summary>
/// A demo that the version before made, with benches begun, a plan that a try-on changed and a screw that was lost: it comes over, and
/// is worked on from how it stands.
/// </summary>
public sealed class ComeOverTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("iron-loop-before-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private Shop Before()
    {
        ShopsBefore.Unpack(13, Path.Combine(_folder, "iron-loop.db"));
        return new Shop(folder: _folder);
    }

    [Fact]
    public async Task Every_job_of_the_version_before_can_be_read_and_worked_to_its_end()
    {
        using var shop = Before();
        foreach (var tag in (await shop.Get("/api/jobs")).AsArray())
        {
            var job = tag!["id"]!.GetValue<long>();
            var bench = await shop.Get($"/api/jobs/{job}/bench");
            bench["trouble"].ShouldBeNull($"job {job}");
            if (bench["steps"]!.AsArray().Count == 0)
                continue;
            Replayed.FaultsOf(bench).Where(f => !f.Contains("split pin", StringComparison.Ordinal) && !f.Contains("link screw", StringComparison.Ordinal)).ShouldBeEmpty($"job {job}");
            await shop.Put($"/api/jobs/{job}/take-in/referral", new { reasons = Array.Empty<string>(), referred = false });
            foreach (var line in bench["tray"]!.AsArray().Where(l => l!["lost"]!.GetValue<int>() > 0))
                await shop.Post($"/api/jobs/{job}/bench/tray", new { heap = line!["heap"]!.GetValue<string>(), count = line["lost"]!.GetValue<int>(), act = "found" });
            while ((bench = await shop.Get($"/api/jobs/{job}/bench"))["steps"]!.AsArray().FirstOrDefault(s => s!["next"]!.GetValue<bool>()) is { } next)
                await shop.Put($"/api/jobs/{job}/bench/steps/{next["key"]!.GetValue<string>()}", new { done = true, asPlanned = true });
            Replayed.FaultsOf(bench).ShouldBeEmpty($"job {job}, worked to its end");
        }
    }

    [Fact]
    public async Task What_was_done_stays_as_history_and_is_not_asked_again()
    {
        using var shop = Before();
        var jobs = (await shop.Get("/api/jobs")).AsArray().ToDictionary(j => j!["client"]!.GetValue<string>(), j => j!["id"]!.GetValue<long>());

        // One side of a bracelet from stock was opened, a screw lost.
        var half = await shop.Get($"/api/jobs/{jobs["Sunniva Marl"]}/bench");
        half["earlier"]!.AsArray().Count.ShouldBeGreaterThan(6);
        var left = Left(half);
        left.ShouldNotContain("oldBandOff", "the old band is off");
        left.ShouldContain("join", "the side that was opened is closed");
        half["tray"]!.AsArray().Sum(l => l!["lost"]!.GetValue<int>()).ShouldBe(1);

        // All steps were done: the watch waits for its owner, and what lay in the tray is still to be bagged.
        Left(await shop.Get($"/api/jobs/{jobs["Hale Torvic"]}/bench")).Except(["putAway", "check", "wipe", "set", "tryOn"]).ShouldBeEmpty();

        // A closed job keeps its words.
        var closed = (await shop.Get("/api/log?words=brandel"))["visits"]!.AsArray()[0]!["jobId"]!.GetValue<long>();
        (await shop.Get($"/api/jobs/{closed}/bench"))["earlier"]!.AsArray().ShouldContain(s => s!["says"]!.GetValue<string>().Contains("Tape the lugs", StringComparison.Ordinal));
        (await shop.Get($"/api/jobs/{closed}/hand-over"))["bag"]!.AsArray().ShouldNotBeEmpty();

        // It comes over once: the second start finds it as it is.
        var before = half.ToJsonString();
        shop.File.Checkpoint();
        using var again = new Shop(folder: shop.Stop());
        (await again.Get($"/api/jobs/{jobs["Sunniva Marl"]}/bench")).ToJsonString().ShouldBe(before);
    }

    [Fact]
    public async Task A_backup_of_the_version_before_comes_over_when_it_is_gone_back_to()
    {
        using var shop = new Shop(folder: _folder);
        const string backup = "iron-loop-20260101T000000Z.db";
        Directory.CreateDirectory(Path.Combine(_folder, "backups"));
        ShopsBefore.Unpack(13, Path.Combine(_folder, "backups", backup));
        var back = await shop.Ended(await shop.Post($"/api/backups/{backup}/restore", null));
        back["state"]!.GetValue<string>().ShouldBe("done", back.ToJsonString());
        var job = (await shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == "Sunniva Marl")!["id"]!.GetValue<long>();
        Left(await shop.Get($"/api/jobs/{job}/bench")).ShouldNotContain("oldBandOff", "the old band is off already");
    }

    private static List<string> Left(JsonNode bench) => [.. bench["steps"]!.AsArray().Where(s => !s!["done"]!.GetValue<bool>()).Select(s => s!["row"]!.GetValue<string>()).Distinct()];

    [Fact]
    public void What_was_said_to_be_on_a_watch_was_said_of_the_band_its_job_was_about_then()
    {
        ShopsBefore.Unpack(25, Path.Combine(_folder, "iron-loop.db"));
        using (var file = new SqliteConnection($"Data Source={Path.Combine(_folder, "iron-loop.db")}"))
        {
            file.Open();
            using var said = file.CreateCommand();
            said.CommandText = "INSERT OR REPLACE INTO job_came (job_id, on_watch, held, is_wanted) SELECT id, 'Bracelet', 'LooseBars', 1 FROM job WHERE closed_at IS NULL";
            said.ExecuteNonQuery();
        }
        using var shop = new Shop(folder: _folder);
        using var work = shop.File.Look();
        var open = JobReader.Each(work, Storage.Jobs.Open(work)).ToList();
        open.ShouldContain(j => j.Stock == null);
        open.ShouldAllBe(j => j.Account.Came!.BandId == j.Job.BandId);
        open.ShouldAllBe(j => j.Came.IsWanted == (j.Stock == null || j.Stock.Band.Links != null), "what is no bracelet is not what is on the watch");
    }

    [Theory]
    [InlineData(25)]
    [InlineData(27)]
    public async Task Jobs_on_the_rack_are_found_in_the_log_by_their_words_and_stay_so_when_they_are_handed_over(int migration)
    {
        ShopsBefore.Unpack(migration, Path.Combine(_folder, "iron-loop.db"));
        using var shop = new Shop(folder: _folder);
        async Task<int> Found() => (await shop.Get("/api/log?words=torvic")).AsObject()["visits"]!.AsArray().Count;
        (await Found()).ShouldBe(1);
        var job = (await shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == "Hale Torvic")!["id"]!.GetValue<long>();
        var sheet = await shop.Get($"/api/jobs/{job}/hand-over");
        await shop.Post($"/api/jobs/{job}/hand-over", new { counted = sheet["bag"]!, by = "TB" });
        (await Found()).ShouldBe(1, "once, among the closed ones");
    }

    [Fact]
    public async Task What_was_agreed_before_comes_over_and_what_needs_no_figure_can_be_asked_on_it()
    {
        ShopsBefore.Unpack(28, Path.Combine(_folder, "iron-loop.db"));
        using var shop = new Shop(folder: _folder);
        var begun = (await shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == "Bettan Oakes")!["id"]!.GetValue<long>();
        var bench = await shop.Get($"/api/jobs/{begun}/bench");
        ((string?)bench["trouble"]).ShouldBeNull();
        bench["steps"]!.AsArray().Count(s => s!["done"]!.GetValue<bool>()).ShouldBeGreaterThan(0);
        using (var work = shop.File.Look())
            Storage.Jobs.Open(work).Select(j => JobReader.Find(work, j.Id)!).Where(j => j.Plan is not null).ShouldAllBe(j => j.Plan!.Target != null && j.Account.ByHand == null);
        // The words of its choices have grown: what they were refuses none of the new ones.
        var job = await shop.Post("/api/counter", new { request = "offAndOn", by = "MK", on = "bracelet" }, System.Net.HttpStatusCode.Created);
        await shop.Put($"/api/jobs/{job["id"]}/bench/steps/protect", new { done = true });
        (await shop.Post("/api/counter", new { request = "takeLinksOut", by = "MK", byHand = new { kind = "byCount", twelve = 1, six = 1 } }, System.Net.HttpStatusCode.Created))
            ["planAgreed"]!.GetValue<bool>().ShouldBeTrue();
    }

    [Fact]
    public async Task What_was_told_by_hand_comes_over_and_a_second_band_an_observation_and_a_punched_hole_can_be_added()
    {
        ShopsBefore.Unpack(29, Path.Combine(_folder, "iron-loop.db"));
        using var shop = new Shop(folder: _folder);
        async Task<JsonNode> Job(string client) =>
            await shop.Get($"/api/jobs/{(await shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == client)!["id"]}");
        var told = await Job("Nella Brisk");
        told["byHand"]!["twelve"]!.GetValue<int>().ShouldBe(1, "links in, as they are asked for");
        // Nothing that is new says anything of a job that was there before.
        using (var work = shop.File.Look())
            foreach (var job in Storage.Jobs.Each(work))
                (job.ExtraHole, job.ObservedUntil, job.Craft, job.Returns, job.IsFittedMeanwhile, AlsoBands.Of(work, job.Id).Count).ShouldBe((null, null, null, null, false, 0));
        // A bar that nobody had looked at had no steps; it has now.
        var worn = await Job("Otto Fane");
        (await shop.Get($"/api/jobs/{worn["id"]}/bench"))["steps"]!.AsArray().Count.ShouldBeGreaterThan(5);
        var id = worn["id"];
        await shop.Put($"/api/jobs/{id}/observation", new { until = "2026-12-01", set = "fast by 3 s", by = "MK", looks = new[] { "2026-11-25" } });
        await shop.Put($"/api/jobs/{id}/take-in/terms", new { craft = "benchOnly", returns = "ownBox", postagePaid = true });
        await shop.Put($"/api/jobs/{id}/take-in/came-with", new { what = "box", count = 1, note = "lid torn" });
        await shop.Post($"/api/jobs/{id}/observation/looks", new { shows = "still fast by 3 s", by = "MK", ends = true });
    }

    [Fact]
    public async Task What_a_bracelet_makes_with_its_clasp_off_its_place_is_worked_out_when_an_older_shop_is_opened()
    {
        ShopsBefore.Unpack(30, Path.Combine(_folder, "iron-loop.db"));
        using var shop = new Shop(folder: _folder);
        long job;
        using (var work = shop.File.Look())
        {
            var reaches = Reaches.OfAll(work);
            var bracelets = Bands.InStock(work).Where(b => b.Band.Links is not null).ToList();
            bracelets.ShouldNotBeEmpty();
            bracelets.ShouldAllBe(b => reaches[b.Id].Whole().OffCentre.SequenceEqual(Core.Fitting.Reach.OffItsPlace(Core.Shelf.Sizing.Request(b.Band, default, null))));
            Storage.Jobs.Ids(work).Select(id => JobReader.Find(work, id)!.Figures.Wishes).ShouldAllBe(w => w.MustNotBeLost == null && w.LetteringKept == null);
            job = Storage.Jobs.Open(work).First(j => j.Request == Core.Gauging.Request.ChangeStrap).Id;
        }
        await shop.Put($"/api/jobs/{job}/match/wishes", new { mustNotBeLost = true, letteringKept = true });
        var sheet = await shop.Get($"/api/jobs/{job}/match");
        sheet["wishes"]!["mustNotBeLost"]!.GetValue<bool>().ShouldBeTrue();
        sheet["page"]![0]!["missed"]!.AsArray().Count.ShouldBeGreaterThan(0);
    }

    [Fact]
    public void How_a_band_closes_and_what_was_consented_to_come_over_as_codes()
    {
        ShopsBefore.Unpack(22, Path.Combine(_folder, "iron-loop.db"));
        using var shop = new Shop(folder: _folder);
        using var work = shop.File.Look();
        var bands = Bands.InStock(work);
        bands.Count.ShouldBeGreaterThan(20);
        bands.ShouldAllBe(b => b.Band.ClaspKind == ClaspWords.KindOf(b.Band.ClaspName) && b.Band.HasFlap == b.Band.ClaspName.Contains("flap", StringComparison.Ordinal));
        bands.Count(b => b.Band.ClaspKind is not null).ShouldBeGreaterThan(15);
        // Whoever signed then has signed to the same work now.
        var signed =
            from id in Storage.Jobs.Ids(work)
            let job = JobReader.Find(work, id)!
            from needed in job.ConsentsNeeded()
            let consent = Consents.Of(work, id, needed.Topic)
            where consent is not null
            select consent.IsTo(job.Stock!.Id, needed.Work);
        signed.ToList().ShouldNotBeEmpty();
        signed.ShouldAllBe(holds => holds);
    }
}
