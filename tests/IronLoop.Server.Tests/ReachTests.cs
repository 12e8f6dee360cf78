using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Storage;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Tests;

/// <summary>What a bracelet can make is worked out once, when it is stored.</summary>
public sealed class ReachTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("iron-loop-").FullName;
    private readonly ShopFile _shop;

    public ReachTests() => _shop = ShopFile.Open(_folder);

    public void Dispose()
    {
        ShopFile.LetGo();
        Directory.Delete(_folder, recursive: true);
    }

    [Fact]
    public void Bracelets_of_the_same_make_share_what_is_stored_and_a_changed_one_gets_its_own()
    {
        var brushed = Add("A", Bracelet(6));
        var polished = Add("B", Bracelet(6) with { Facts = Bracelet(6).Facts with { Width = Mm(18) } });
        Count("reach").ShouldBe(1);
        using (var work = _shop.Begin())
        {
            Bands.AddOrReplace(work, Stock("B", Bracelet(7)));
            work.Commit();
        }
        Stored(brushed).Lengths.ShouldBe(WorkedOut(Bracelet(6)).Lengths);
        Stored(polished).Lengths.ShouldBe(WorkedOut(Bracelet(7)).Lengths);
    }

    [Fact]
    public void An_owners_bracelet_that_is_gauged_again_has_the_reach_of_what_is_known_now()
    {
        using (var work = _shop.Begin())
        {
            var client = Clients.Add(work, "Somebody", "");
            var own = Bands.Add(work, Stock("OWN", Bracelet(5)) with { OwnerClientId = client });
            Bands.Replace(work, own, Bracelet(8));
            work.Commit();
        }
        Stored(1).Lengths.ShouldBe(WorkedOut(Bracelet(8)).Lengths);
    }

    [Fact]
    public void Bracelets_stored_by_an_earlier_version_get_theirs_when_the_shop_is_opened()
    {
        var id = Add("A", Bracelet(6));
        Sql("UPDATE band SET reach_id = NULL; DELETE FROM reach;");
        ShopFile.LetGo();
        ShopFile.Open(_folder);
        Count("reach").ShouldBe(1);
        Stored(id).Lengths.ShouldBe(WorkedOut(Bracelet(6)).Lengths);
    }

    [Fact]
    public void Changes_are_known_by_band_until_they_are_too_many_and_only_once_they_are_kept()
    {
        var before = _shop.BandChanges.Version;
        var first = Add("A", Bracelet(6));
        var second = Add("B", Bracelet(6));
        _shop.BandChanges.Since(before).ShouldBe([first, second], ignoreOrder: true);
        var now = _shop.BandChanges.Version;
        using (var dropped = _shop.Begin())
            Bands.BookOut(dropped, first);
        _shop.BandChanges.Since(now).ShouldBeEmpty();
        using (var work = _shop.Begin())
        {
            for (var i = 0; i <= BandChanges.MostNamed; i++)
                Bands.Add(work, Stock($"C{i}", Bracelet(3)));
            work.Commit();
        }
        _shop.BandChanges.Since(now).ShouldBeNull();
        _shop.BandChanges.Since(_shop.BandChanges.Version).ShouldBeEmpty();
    }

    private long Add(string article, Band band)
    {
        using var work = _shop.Begin();
        var id = Bands.Add(work, Stock(article, band));
        work.Commit();
        return id;
    }

    private Reach Stored(long id)
    {
        using var look = _shop.Look();
        var one = Reaches.OfBand(look, id).ShouldNotBeNull().Whole();
        Reaches.OfAll(look)[id].Whole().Lengths.ShouldBe(one.Lengths);
        return one;
    }

    private static Reach WorkedOut(Band band) => MatchBand.ReachOf(band, null)!;

    private long Count(string table)
    {
        using var connection = new SqliteConnection($"Data Source={_shop.Path}");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = $"SELECT COUNT(*) FROM {table}";
        return (long)command.ExecuteScalar()!;
    }

    private void Sql(string sql)
    {
        using var connection = new SqliteConnection($"Data Source={_shop.Path}");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }

    private static StockBand Stock(string article, Band band) => new(0, article, "Bracelet", null, "brushed", "steel", 9_000, 2, band);

    private static LinkBracelet Bracelet(int links) => new(
        new BandFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(20), BandAttachment.LooseBar, true, null), Mm(3.5m), "fold-over",
        new Bracelet([new Link(Mm(9), false), .. Enumerable.Repeat(new Link(Mm(8.2m), true), links)], [.. Enumerable.Repeat(new Link(Mm(8.2m), true), links)]),
        new BraceletClasp(Mm(18), Mm(19), Side.Twelve, 4, Mm(2.5m), 1))
    {
        Loose = [new SpareLinks(Mm(5), 1)],
    };

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
