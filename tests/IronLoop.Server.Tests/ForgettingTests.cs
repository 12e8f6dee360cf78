using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using IronLoop.Core.Matching;
using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Storage;

namespace IronLoop.Server.Tests;

/// <summary>Who asks to be forgotten is: with every former wording, in the file, its index, all backups, and what lies beside.</summary>
public sealed class ForgettingTests : IDisposable
{
    // A word of its own for each place, so that what is left tells where it was.
    private static readonly string[] Secrets =
    [
        "Quillon", "Vexbar", "Oldnaam", "ropewalkway", "fishgatelane", "slipsovery", "slippagetwo", "crownlooser", "scratchnote", "withdrawnmark", "signerhandy",
        "stepnoteword", "answerword", "leftoutwhy", "traywhyword", "untriedwhy", "closenoteword", "observeword", "heardword", "claspnamed", "ownbandof",
    ];

    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    /// <summary>A closed job, with a secret in every place that takes words.</summary>
    private async Task<(long Client, long Job)> Closed()
    {
        object TakenIn(string name, string contact, string words) =>
            new { client = name, contact, watch = "Quillon’s Merrow 40", request = "takeLinksOut", words, promised = "2026-12-05", by = "TB", wearer = true };
        var id = (await _shop.Post("/api/jobs", TakenIn("Quillon Oldnaam", "ropewalkway 4", "It slipsovery."), HttpStatusCode.Created))["id"]!.GetValue<long>();
        new Backups(_shop.File).Make(_shop.Clock.GetUtcNow());
        await _shop.Put($"/api/jobs/{id}/take-in", TakenIn("Quillon Vexbar", "fishgatelane 9", "It slippagetwo."));
        await _shop.Post($"/api/jobs/{id}/take-in/marks", new { place = "crystal", kind = "scratch", note = "scratchnote" });
        var sheet = await _shop.Post($"/api/jobs/{id}/take-in/marks", new { place = "crystal", kind = "scratch", note = "withdrawnmark" });
        var mark = sheet["marks"]!.AsArray().Last()!["id"]!.GetValue<long>();
        await _shop.Send(HttpMethod.Delete, $"/api/jobs/{id}/take-in/marks/{mark}", null);
        await _shop.Put($"/api/jobs/{id}/take-in/referral", new { reasons = Array.Empty<string>(), referred = true, note = "crownlooser" });
        await _shop.Put($"/api/jobs/{id}/take-in/referral", new { reasons = Array.Empty<string>(), referred = false, note = "" });
        using (var photo = new ByteArrayContent(Convert.FromBase64String("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==")))
            await _shop.Client.PostAsync($"/api/jobs/{id}/take-in/photos", photo);
        var now = _shop.Clock.GetUtcNow();
        long client;
        using (var work = _shop.File.Begin())
        {
            var job = Storage.Jobs.Find(work, id)!;
            client = job.Client.Id;
            var band = Bands.InStock(work)[0];
            var own = Bands.Add(work, band with { Name = "Ownbandof them", Article = Bands.NextArticle(work, "OWN"), OwnerClientId = client, InStock = 1, Band = band.Band with { ClaspName = "claspnamed clasp" } });
            Storage.Jobs.ChooseBand(work, id, own);
            Consents.Set(work, id, new Consent(own, "file the end", "signerhandy", now) { Kinds = new HashSet<WorkKind> { WorkKind.File } }, "TB");
            Log.Write(work, id, now, "TB", Station.Match, LogLine.Of(LogKind.Consented, "file the end").Saying(Wording.SignedBy, "signerhandy"));
            Log.Write(work, id, now, "TB", Station.Match, LogLine.Of(LogKind.BandChosen, "Ownbandof them", "OWN-1"));
            Bags.Fill(work, id, [new Core.Tray.BagLine("links of 8 mm", 2) { Fits = "ownbandof them" }]);
            Log.Write(work, id, now, "TB", Station.Clasp, LogLine.Of(LogKind.ClaspKept, "claspnamed clasp"));
            var note = StepNotes.Add(work, id, "Protect the case.", "stepnoteword", false, null, now, "TB");
            StepNotes.Answer(work, id, note, "answerword");
            Log.Write(work, id, now, "TB", Station.Bench, LogLine.Of(LogKind.Noted), note);
            BenchWork.Do(work, id, new BenchStep("1-protect", StepRow.Protect, 1, []) { Says = "Protect." }, "leftoutwhy", now, "TB", null);
            BenchWork.Do(work, id, new BenchStep("tray-2", StepRow.Tray, 1, []) { Says = "1 pin lost." }, null, now, "TB", null);
            BenchWork.Why(work, id, "traywhyword", now, "TB");
            Log.Write(work, id, now, "TB", Station.Bench, LogLine.Of(LogKind.Tray, "pins: 1, lost").Saying(Wording.Why, "traywhyword"));
            TriedOns.Keep(work, id, new Felt(TryOnOutcome.NotTried, true) { Reason = "untriedwhy" });
            Log.Write(work, id, now, "TB", Station.Bench, LogLine.Of(LogKind.BenchDone, "2"));
            HandOvers.Close(work, id, now, new HandedOver(null, "TB", "closenoteword", null, null, new DateOnly(2026, 12, 9), "observeword", null));
            work.Commit();
        }
        await _shop.Post($"/api/jobs/{id}/observed", new { by = "TB", heard = "heardword" });
        (await _shop.Get("/api/log?words=slippagetwo"))["visits"]!.AsArray().Count.ShouldBe(1);
        return (client, id);
    }

    private static List<string> Left(string folder, IEnumerable<string> words)
    {
        var left = new List<string>();
        foreach (var file in Directory.GetFiles(folder, "*", SearchOption.AllDirectories).Where(f => !f.EndsWith("-shm", StringComparison.Ordinal)))
        {
            byte[] bytes;
            try
            {
                bytes = File.ReadAllBytes(file);
            }
            catch (IOException)
            {
                // The hold itself says nothing but "open".
                Path.GetFileName(file).ShouldBe("held");
                continue;
            }
            left.AddRange(words.Where(w => Encodings.Any(e => Holds(bytes, e.GetBytes(w)) || Holds(bytes, e.GetBytes(w.ToLowerInvariant())))).Select(w => $"{w} in {Path.GetRelativePath(folder, file)}"));
        }
        return left;
    }

    private static readonly Encoding[] Encodings = [Encoding.UTF8, Encoding.Unicode];

    private static bool Holds(byte[] bytes, byte[] word) => bytes.AsSpan().IndexOf(word) >= 0;

    [Fact]
    public async Task No_byte_of_what_was_said_is_left_in_the_folder_and_the_person_gets_a_receipt()
    {
        var (client, job) = await Closed();
        var backups = new Backups(_shop.File);
        backups.Make(_shop.Clock.GetUtcNow().AddMinutes(1));
        _shop.File.Checkpoint();
        Left(_shop.Folder, Secrets).Count.ShouldBeGreaterThan(Secrets.Length, "they are there before");
        var shown = await _shop.Get($"/api/clients/{client}/data");
        foreach (var wording in (string[])["slipsovery", "slippagetwo", "traywhyword", "stepnoteword"])
            shown.ToJsonString().ShouldContain(wording, customMessage: "all that is held is given to the person, former wordings too");
        var photos = Directory.GetFiles(_shop.Folder, "*.thumb", SearchOption.AllDirectories).Length;
        photos.ShouldBe(2, "here and beside the backups");

        var gone = await _shop.Send(HttpMethod.Delete, $"/api/clients/{client}", null);

        Left(_shop.Folder, Secrets).ShouldBeEmpty();
        Directory.GetFiles(_shop.Folder, "*.thumb", SearchOption.AllDirectories).ShouldBeEmpty();
        Directory.GetFileSystemEntries(Path.Combine(_shop.Folder, "backups"), "*.new*").ShouldBeEmpty();
        var receipt = gone["forgotten"]!;
        receipt["backups"]!.GetValue<string>().ShouldBe("2 backups were written anew without it.");
        receipt["takenOut"]!.AsArray().Select(l => l!.GetValue<string>()).ShouldContain("1 photo");
        var log = (await _shop.Get($"/api/log?words=tag {job}"))["visits"]![0]!["entries"]!.AsArray().Select(e => e!["words"]!.GetValue<string>()).ToList();
        log.ShouldContain("Taken in: take links out.");
        log.ShouldContain("Tray: pins: 1, lost.");
        log.ShouldContain("Followed up.");
        var paper = await _shop.Client.GetAsync($"/api/clients/{client}/forgotten.pdf");
        paper.Content.Headers.ContentType!.MediaType.ShouldBe("application/pdf");
        // The backups are whole, and the others are in them.
        foreach (var backup in backups.All)
        {
            backups.Restore(backup.Name, _shop.Clock.GetUtcNow().AddHours(1));
            (await _shop.Get("/api/log?client=brandel"))["visits"]!.AsArray().Count.ShouldBe(1);
            (await _shop.Get($"/api/clients/{client}"))["name"]!.GetValue<string>().ShouldBe("Erased client");
        }
    }

    [Fact]
    public async Task A_backup_that_could_not_be_written_anew_is_gone_through_later_and_a_damaged_one_is_named()
    {
        var (client, _) = await Closed();
        var folder = Path.Combine(_shop.Folder, "backups");
        File.WriteAllText(Path.Combine(folder, "iron-loop-20261101T090000Z.db"), "no database, and Quillon in it");
        // Half of one, from a program that ended while it wrote.
        Directory.CreateDirectory(Path.Combine(folder, "iron-loop-20261102T090000Z.db.new"));
        File.WriteAllText(Path.Combine(folder, "iron-loop-20261103T090000Z.db.new"), "Quillon");
        using (var work = _shop.File.Begin())
        {
            // As a program leaves it that ends right after: forgotten here, not yet in the backups.
            Erasure.Erase(work, client, _shop.Clock.GetUtcNow(), "MK");
            work.Commit();
        }
        using (var look = _shop.File.Look())
            Forgettings.ArePending(look).ShouldBeTrue();
        new Backups(_shop.File).Forget(_shop.Clock.GetUtcNow());
        _shop.File.Checkpoint();
        Left(_shop.Folder, Secrets).ShouldBe(["Quillon in backups/iron-loop-20261101T090000Z.db"]);
        (await _shop.Get($"/api/clients/{client}"))["forgotten"]!["notReached"]![0]!.GetValue<string>().ShouldStartWith("backups/iron-loop-20261101T090000Z.db is damaged");
    }

    [Fact]
    public async Task A_shop_of_the_version_before_comes_over_with_its_words_and_forgets_them()
    {
        var folder = Directory.CreateTempSubdirectory("iron-loop-before-").FullName;
        try
        {
            ShopsBefore.Unpack(22, Path.Combine(folder, "iron-loop.db"));
            using (var shop = new Shop(folder: folder))
            {
                // What one was forgotten of then is not in the log any more.
                var erased = (await shop.Get("/api/log?client=erased"))["visits"]!.AsArray().ShouldHaveSingleItem()!;
                erased["entries"]!.AsArray().Select(e => e!["words"]!.GetValue<string>()).ShouldBe(["Taken in.", "Handed over."]);
                // The others' words stand as they stood, the job's own and the log's.
                var job = (await shop.Get("/api/log?client=quillon"))["visits"]![0]!;
                job["entries"]!.AsArray().Select(e => e!["words"]!.GetValue<string>())
                    .ShouldBe(["Taken in: take links out. Slips over my hand.", "Referred to a watchmaker. Crown is loose, says the keeper."]);
                var id = job["jobId"]!.GetValue<long>();
                (await shop.Get($"/api/jobs/{id}"))["words"]!.GetValue<string>().ShouldBe("Slips over my hand, said twice.");
                (await shop.Get("/api/log?words=runs between"))["visits"]!.ShouldNotBeNull();
                using (var work = shop.File.Look())
                    Storage.Jobs.Find(work, id)!.ReferNote.ShouldBe("Crown is loose, says the keeper.");
                // A backup of then still has the words; forgetting writes it anew.
                Directory.CreateDirectory(Path.Combine(folder, "backups"));
                var older = Path.Combine(folder, "backups", "iron-loop-20261101T090000Z.db");
                ShopsBefore.Unpack(22, older);
                Left(folder, ["Quillon"]).ShouldContain("Quillon in backups/iron-loop-20261101T090000Z.db");
                using (var work = shop.File.Begin())
                {
                    HandOvers.Close(work, id, shop.Clock.GetUtcNow(), new HandedOver(null, "TB", "", null, null, null, "", null));
                    work.Commit();
                }
                await shop.Send(HttpMethod.Delete, $"/api/clients/{job["clientId"]}", null);
                Left(folder, ["Quillon", "Vexbar", "rope walk", "Slips over my hand", "says the keeper"]).ShouldBeEmpty();
            }
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }
}
