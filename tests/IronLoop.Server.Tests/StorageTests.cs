using DbUp;
using IronLoop.Core.Bands;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Storage;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Tests;

public sealed class StorageTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("iron-loop-").FullName;

    public void Dispose()
    {
        ShopFile.LetGo();
        Directory.Delete(_folder, recursive: true);
    }

    [Fact]
    public void Work_that_is_not_kept_leaves_nothing()
    {
        var shop = ShopFile.Open(_folder);
        using (var work = shop.Begin())
            Clients.Add(work, "Nobody", "");
        using var look = shop.Look();
        Clients.Count(look).ShouldBe(0);
    }

    [Fact]
    public void What_is_written_ahead_comes_into_the_file_while_the_shop_is_open()
    {
        using var shop = ShopFile.Open(_folder);
        var before = new FileInfo(shop.Path).Length;
        for (var piece = 0; piece < 20; piece++)
        {
            using var work = shop.Begin();
            for (var i = 0; i < 100; i++)
                Clients.Add(work, $"Somebody {piece}-{i}", new string('x', 200));
            work.Commit();
        }
        SpinWait.SpinUntil(() => new FileInfo(shop.Path).Length > before, TimeSpan.FromSeconds(30)).ShouldBeTrue();
        using var look = shop.Look();
        Clients.Count(look).ShouldBe(2_000);
    }

    [Fact]
    public void A_second_opening_runs_no_migration_twice_and_keeps_what_is_there()
    {
        using (var work = ShopFile.Open(_folder).Begin())
        {
            Clients.Add(work, "Somebody", "");
            work.Commit();
        }
        ShopFile.LetGo();
        using var look = ShopFile.Open(_folder).Look();
        Clients.Count(look).ShouldBe(1);
    }

    [Fact]
    public void Spring_bars_and_consents_of_an_earlier_version_are_kept()
    {
        var path = Path.Combine(_folder, "iron-loop.db");
        DeployChanges.To.SqliteDatabase($"Data Source={path}")
            .WithScriptsEmbeddedInAssembly(typeof(ShopFile).Assembly, script => Number(script) < 6)
            .LogToNowhere().Build().PerformUpgrade().Successful.ShouldBeTrue();
        using (var file = new SqliteConnection($"Data Source={path}"))
        {
            file.Open();
            using var fill = file.CreateCommand();
            fill.CommandText =
                """
                INSERT INTO client (id, name) VALUES (1, 'Somebody');
                INSERT INTO watch (id, client_id, name) VALUES (1, 1, 'A watch');
                INSERT INTO band (id, article, name, kind, material, attaches, width_um, thickness_um, clasp_name, buckle_piece_um)
                  VALUES (1, 'B', 'Band', 'TwoPiece', 'Leather', 'LooseBar', 20000, 2800, 'pin buckle', 75000);
                INSERT INTO job (id, client_id, watch_id, request, promised, taken_in_at, taken_in_by)
                  VALUES (1, 1, 1, 'ChangeStrap', '2026-11-25', '2026-11-24T09:00:00.000Z', 'MK');
                INSERT INTO consent VALUES (1, 1, 'file the end', 'Somebody', '2026-11-24T09:00:00.000Z');
                INSERT INTO spring_bar VALUES ('SB-20', 20000, 1500, 800, 1, 'Flanged', 12);
                """;
            fill.ExecuteNonQuery();
        }
        ShopFile.LetGo();
        using var look = ShopFile.Open(_folder).Look();
        SpringBars.All(look).ShouldBe([new SpringBar("SB-20", Mm(20), Mm(1.5m), Mm(0.8m), true, BarStyle.Flanged, 12)]);
        Parts.Entries(look, Parts.Find(look, "SB-20")!.Id).Single().Change.ShouldBe(12);
        Consents.Of(look, 1)!.Work.ShouldBe("file the end");
        Consents.Of(look, 1, ConsentTopic.Clasp).ShouldBeNull();

        static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
    }

    [Fact]
    public void Spares_and_what_was_handed_over_of_an_earlier_version_are_kept_and_open_benches_are_ticked_anew()
    {
        var path = Path.Combine(_folder, "iron-loop.db");
        DeployChanges.To.SqliteDatabase($"Data Source={path}")
            .WithScriptsEmbeddedInAssembly(typeof(ShopFile).Assembly, script => Number(script) < 8)
            .LogToNowhere().Build().PerformUpgrade().Successful.ShouldBeTrue();
        using (var file = new SqliteConnection($"Data Source={path}"))
        {
            file.Open();
            using var fill = file.CreateCommand();
            fill.CommandText =
                """
                INSERT INTO client (id, name) VALUES (1, 'Somebody');
                INSERT INTO watch (id, client_id, name) VALUES (1, 1, 'A watch');
                INSERT INTO band (id, article, name, kind, material, attaches, width_um, thickness_um, clasp_name, clasp_twelve_um, clasp_six_um, clasp_micro_side, clasp_positions, clasp_step_um, clasp_position)
                  VALUES (1, 'B', 'Bracelet', 'LinkBracelet', 'Metal', 'LooseBar', 20000, 3400, 'fold-over', 18000, 18000, 'Twelve', 1, 0, 0);
                INSERT INTO band_link (band_id, side, ordinal, pitch_um, removable) VALUES (1, 'Twelve', 0, 8000, 1);
                INSERT INTO band_spare (band_id, pitch_um, count) VALUES (1, 8000, 2), (1, 5000, 1);
                INSERT INTO job (id, client_id, watch_id, request, promised, taken_in_at, taken_in_by, band_id, closed_at)
                  VALUES (1, 1, 1, 'Refit', '2026-11-25', '2026-11-24T09:00:00.000Z', 'MK', 1, NULL), (2, 1, 1, 'Refit', '2026-11-25', '2026-11-24T09:00:00.000Z', 'MK', 1, '2026-11-24T10:00:00.000Z');
                INSERT INTO bench_step (job_id, key, done_at) VALUES (1, 'protect', '2026-11-24T09:10:00.000Z'), (2, 'protect', '2026-11-24T09:10:00.000Z');
                """;
            fill.ExecuteNonQuery();
        }
        ShopFile.LetGo();
        using var look = ShopFile.Open(_folder).Look();
        var band = Bands.Find(look, 1)!.Band;
        band.Spares.Select(s => (s.Pitch.Micrometres, s.Count, s.Mark)).ShouldBe([(5_000L, 1, '\0'), (8_000L, 2, '\0')], ignoreOrder: true);
        band.Links!.Twelve.Single().Mark.ShouldBe('\0');
        BenchWork.Done(look, 1).ShouldBeEmpty("the steps have other names now");
        BenchWork.Done(look, 2).Single().Acts.ShouldBeNull("what was done before acts were kept is history");
    }

    private static int Number(string script) => int.Parse(script.Split('.')[^2][..3], System.Globalization.CultureInfo.InvariantCulture);

    [Fact]
    public void A_job_of_an_unknown_watch_is_not_stored()
    {
        using var work = ShopFile.Open(_folder).Begin();
        var client = Clients.Add(work, "Somebody", "");
        Should.Throw<SqliteException>(() =>
            Storage.Jobs.Add(work, client, 99, Request.Refit, "", new DateOnly(2026, 11, 24), null, DateTimeOffset.UnixEpoch, "MK"))
            .Message.ShouldContain("FOREIGN KEY");
    }

    [Fact]
    public void The_file_is_in_write_ahead_mode()
    {
        var shop = ShopFile.Open(_folder);
        using var connection = new SqliteConnection($"Data Source={shop.Path}");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = "PRAGMA journal_mode";
        command.ExecuteScalar().ShouldBe("wal");
    }

    [Fact]
    public void Figures_gauged_before_readings_were_kept_are_readings_now()
    {
        var path = Path.Combine(_folder, "iron-loop.db");
        using (var connection = new SqliteConnection($"Data Source={path}"))
        {
            connection.Open();
            using var command = connection.CreateCommand();
            var assembly = typeof(ShopFile).Assembly;
            foreach (var name in assembly.GetManifestResourceNames().Where(n => n.EndsWith(".sql", StringComparison.Ordinal)).Order().Take(2))
            {
                using var script = new StreamReader(assembly.GetManifestResourceStream(name)!);
                command.CommandText += script.ReadToEnd();
            }
            command.CommandText += $"""
                CREATE TABLE SchemaVersions (SchemaVersionID INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, ScriptName TEXT NOT NULL, Applied DATETIME NOT NULL);
                {string.Concat(assembly.GetManifestResourceNames().Order().Take(2).Select(n => $"INSERT INTO SchemaVersions (ScriptName, Applied) VALUES ('{n}', '2026-11-01');"))}
                INSERT INTO client (name) VALUES ('Ada');
                INSERT INTO watch (client_id, name, lug_width_um, bar_rise_um, attachment) VALUES (1, 'Old', 20100, 3200, 'FixedBar');
                INSERT INTO job (client_id, watch_id, request, promised, taken_in_at, taken_in_by)
                  VALUES (1, 1, 'ChangeStrap', '2026-11-03', '2026-11-01T08:00:00.000Z', 'MK'), (1, 1, 'Refit', '2026-11-05', '2026-11-02T08:00:00.000Z', 'MK');
                INSERT INTO wrist (job_id, round_um, wear) VALUES (1, 170000, 'Snug'), (2, NULL, NULL);
                """;
            command.ExecuteNonQuery();
        }
        ShopFile.LetGo();
        using var look = ShopFile.Open(_folder).Look();
        var second = Gaugings.Of(look, 2);
        second[GaugedFigure.LugWidth].ShouldBe(Length.FromMillimetres(20.1m));
        second[GaugedFigure.BarRise].ShouldBe(Length.FromMillimetres(3.2m));
        second.Wrist.ShouldBeNull("a wrist is taped anew on each visit");
        Gaugings.Of(look, 1).Wrist.ShouldBe(Length.FromMillimetres(170));
    }
}
