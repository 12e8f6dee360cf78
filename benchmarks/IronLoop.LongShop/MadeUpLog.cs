using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Tray;
using IronLoop.Storage;

namespace IronLoop.LongShop;

/// <summary>A made-up shop of many years: clients who come back, watches, closed jobs with all that is stored of one, and owners' bands.</summary>
internal static class MadeUpLog
{
    private static readonly string[] First = ["Runa", "Osk", "Hale", "Bettan", "Sunniva", "Ketil", "Isbet", "Dorrit", "Jory", "Maren", "Aslo", "Wenna", "Pir", "Corrin", "Elspet", "Tova", "Brede", "Liv", "Sten", "Aud"];
    private static readonly string[] Last = ["Fenwick", "Brandel", "Torvic", "Oakes", "Marl", "Orrel", "Linnet", "Vale", "Quill", "Stoll", "Finn", "Dray", "Halloran", "Thale", "Ramm", "Sandgrove", "Hollin", "Tarrow", "Vik", "Merrow"];
    private static readonly string[] Makers = ["Ostwick", "Pellmarsh", "Tarn & Sedge", "Skerrow", "Gant"];
    private static readonly string[] Watches = ["field watch", "regatta", "moon dial", "diver", "chronograph", "small seconds", "alarm", "dress watch", "tide dial", "night hand"];
    private static readonly string[] Words = ["slides", "tight", "summer", "winter", "birthday", "scratch", "clasp", "pinches", "harbour", "rowing", "sleeve", "softer", "brown", "black", "again", "gift", "shorter", "longer", "rattles", "stiff"];

    /// <summary>Fills an empty shop.</summary>
    /// <param name="shop">The shop.</param>
    /// <param name="jobs">How many closed jobs.</param>
    public static void Fill(ShopFile shop, int jobs)
    {
        var random = new Random(2_026);
        var start = new DateTimeOffset(2016, 1, 4, 8, 0, 0, TimeSpan.Zero);
        var stock = new List<long>();
        for (var from = 0; from < jobs; from += 5_000)
        {
            using var work = shop.Begin();
            for (var i = from; i < Math.Min(jobs, from + 5_000); i++)
                stock.Add(Bands.Add(work, new StockBand(0, $"SK-{i:000000}", $"Bracelet {i}", null, "brushed", "steel", 9_900, 1_000_000, Bracelet(16 + i % 9, i / 9 % 20))));
            work.Commit();
            Console.Error.WriteLine($"{stock.Count} bands");
        }
        for (var from = 0; from < jobs; from += 2_000)
        {
            using var work = shop.Begin();
            for (var i = from; i < Math.Min(jobs, from + 2_000); i++)
            {
                var at = start.AddMinutes(i * 50L);
                var (job, by, width, client) = Agreed(work, random, jobs, stock, at);
                for (var step = 0; step < 12; step++)
                    BenchWork.Do(work, job, new BenchStep($"step-{step}", step == 5 ? StepRow.TryOn : StepRow.Open, 1, []) { Says = "A step of the work." }, null, at.AddMinutes(step + 1), by, 60 + random.Next(120));
                Bags.Fill(work, job, [new BagLine("links of 8.2 mm", 3), new BagLine("split pins", 3)]);
                // Whatever leaves is the owner's from then on, so the shop comes to hold as many bands as jobs.
                var left = Bands.Add(work, new StockBand(0, $"OWN-{job}", "Own bracelet", client, "brushed", "steel", 0, 1, Bracelet(width.Micrometres % 3 + 16, job % 20)));
                HandOvers.Close(work, job, at.AddHours(2), new HandedOver(HowItGoesBack.Collected, by, "", left, null, null, "", null));
                Log.Write(work, job, at.AddHours(2), by, Station.HandOver, LogLine.Of(LogKind.HandedOver, "2 links taken out of the 12 side. Micro-adjust in position 3 of 5.").Saying(Wording.CloseNote, $"{Any(Words, random)} {Any(Words, random)}."));
            }
            work.Commit();
            Console.Error.WriteLine($"{Math.Min(jobs, from + 2_000)} of {jobs} jobs");
        }
        using var index = shop.Begin();
        Visits.CatchUp(index);
        index.Commit();
    }

    /// <summary>Takes in so many jobs more, each agreed and on the bench.</summary>
    public static void Open(ShopFile shop, int jobs)
    {
        var random = new Random(29);
        using var work = shop.Begin();
        var stock = Bands.ArticlesById(work).Where(a => a.Value.StartsWith("SK-", StringComparison.Ordinal)).Select(a => a.Key).Take(5_000).ToList();
        for (var i = 0; i < jobs; i++)
            Agreed(work, random, 40 * jobs, stock, new DateTimeOffset(2026, 11, 2, 8, 0, 0, TimeSpan.Zero).AddMinutes(i));
        work.Commit();
    }

    /// <summary>A job that is gauged, and whose plan is agreed.</summary>
    private static (long Job, string By, Length Width, long Client) Agreed(ShopWork work, Random random, int jobs, List<long> stock, DateTimeOffset at)
    {
        var client = Clients.FindOrAdd(work, $"{Any(First, random)} {Any(Last, random)} {random.Next(jobs / 40 + 1)}", "");
        var watch = Storage.Watches.FindOrAdd(work, client, $"{Any(Makers, random)} {Any(Watches, random)}");
        var by = random.Next(2) == 0 ? "MK" : "TB";
        var job = Jobs.Add(work, client, watch, (Request)random.Next(7), $"It {Any(Words, random)}, {Any(Words, random)} {Any(Words, random)}.", DateOnly.FromDateTime(at.Date).AddDays(3), 2_500, at, by);
        var width = Length.FromMillimetres(16 + random.Next(17) * 0.5m);
        foreach (var (figure, mm) in ((GaugedFigure, decimal)[])[(GaugedFigure.LugToLug, 47), (GaugedFigure.BarToBar, 43), (GaugedFigure.BarRise, 2.8m), (GaugedFigure.Wrist, 150 + random.Next(50))])
            Gaugings.Read(work, job, figure, Length.FromMillimetres(mm), byLine: false, at);
        Gaugings.Read(work, job, GaugedFigure.LugWidth, width, byLine: false, at);
        Gaugings.Choose(work, job, Figures.None with { Attachment = Attachment.SpringBarBlind, Wear = WearPreference.Regular });
        Jobs.ChooseBand(work, job, stock[random.Next(stock.Count)]);
        Jobs.KeepClasp(work, job, at);
        Log.Write(work, job, at, by, Station.TakeIn, LogLine.Of(LogKind.TakenIn, Request.TakeLinksOut.ToString()).Saying(Wording.Words, Any(Words, random)));
        Plans.Set(work, job, new JobPlan(Out(random.Next(3), random.Next(3)), Length.FromMillimetres(155), at));
        return (job, by, width, client);
    }

    private static string Any(string[] of, Random random) => of[random.Next(of.Length)];

    private static Arrangement Out(int twelve, int six)
    {
        static PlacedLink[] Row(int count) => [.. Enumerable.Range(0, 9).Select(i => new PlacedLink(Length.FromMillimetres(8.2m), i >= 9 - count ? LinkFate.Leaves : i < 2 ? LinkFate.Fixed : LinkFate.Stays))];
        return new Arrangement(Row(twelve), Row(six), 2);
    }

    private static LinkBracelet Bracelet(decimal width, long make)
    {
        var pitch = Length.FromMillimetres(7 + make * 0.1m);
        Link[] Row(int links) => [.. Enumerable.Range(0, links).Select(i => new Link(pitch, i >= 2)), new Link(new Length(pitch.Micrometres / 2), true)];
        return new LinkBracelet(
            new BandFacts(BandKind.LinkBracelet, BandMaterial.Metal, Length.FromMillimetres(width), BandAttachment.LooseBar, true, null)
            {
                EndThickness = Length.FromMillimetres(2.6m),
                TubeBore = Length.FromMillimetres(1.9m),
            },
            Length.FromMillimetres(3.4m), "fold-over", new Bracelet(Row(9), Row(8)),
            new BraceletClasp(Length.FromMillimetres(19), Length.FromMillimetres(20), Side.Twelve, 8, Length.FromMillimetres(1.5m), 3))
        {
            JoinedBy = Fastener.SplitPin,
        };
    }
}
