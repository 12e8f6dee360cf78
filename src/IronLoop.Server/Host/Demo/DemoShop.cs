using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tray;
using IronLoop.Server.Devices;
using IronLoop.Storage;

namespace IronLoop.Server.Host.Demo;

/// <summary>
/// A made-up fitting bench on the landing of Skerrow, a made-up ferry island, with made-up people and watchmakers.
/// Its jobs stand in all stations.
/// </summary>
internal static class DemoShop
{
    /// <summary>Fills a shop that has no client yet.</summary>
    public static void FillWhenEmpty(ShopFile shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        if (Clients.Count(work) > 0)
            return;
        DemoParts.Fill(work, clock.GetUtcNow().AddDays(-30));
        new CaliperSource(CaliperKind.StandIn).Settle(work);
        var day = new DemoDay(work, clock, DemoBands.Stock.ToDictionary(b => b.Article, b => Bands.Add(work, b)));

        // In the log already.
        var first = day.TakeIn("Runa Fenwick", "harbour 4", "Ostwick three-hander, steel", Request.ChangeStrap, "Something lighter for the summer.", 21, -14, "MK");
        day.Gauge(first, Figures("20", Attachment.SpringBarDrilled, "48.2", "172", WearPreference.Regular, "44.1", "3.2"));
        day.ToTheBench(first, "SK-T20");
        day.TickAll(first);
        day.HandOver(first, 14);
        var second = day.TakeIn("Osk Brandel", "the net loft", "Pellmarsh diver", Request.TakeLinksOut, "Slides down to my hand.", 17, -10, "TB");
        day.Gauge(second, Figures("22", Attachment.SpringBarDrilled, "50.4", "184", WearPreference.Regular, "46.0", "3.8"));
        day.ToTheBench(second, "SK-2231");
        day.TickAll(second);
        day.HandOver(second, 10, observeIn: 1, "does it still slide after a week at sea");

        // Ready to go back.
        var ready = day.TakeIn("Hale Torvic", "ferry office", "Ostwick field watch", Request.ChangeStrap, "Bracelet, please, and not too tight.", 6, 0, "MK");
        day.Gauge(ready, Figures("20", Attachment.SpringBarBlind, "47.0", "176", WearPreference.Easy, "43.0", "2.8"));
        day.ToTheBench(ready, "SK-2011");
        day.TickAll(ready);

        day.Sees(ready, (DamagePlace.BezelThree, DamageKind.Scratch, "fine, along the edge"), (DamagePlace.BandTwelve, DamageKind.WornStrap, ""));
        day.Came(ready, (CameWith.Box, 1), (CameWith.OldBand, 1));

        // Halfway through the bench work, before the try-on.
        var halfway = day.TakeIn("Bettan Oakes", "upper mill", "Pellmarsh regatta", Request.TakeLinksOut, "For my birthday on Sunday.", 4, 1, "TB");
        day.Gauge(halfway, Figures("22", Attachment.SpringBarDrilled, "49.5", "168", WearPreference.Regular, "45.5", "3.6"));
        day.ToTheBench(halfway, "SK-2231");
        day.TickToTheTryOn(halfway);

        // Waiting for the fitter to look the plan over.
        var size = day.TakeIn("Sunniva Marl", "lighthouse row 2", "Ostwick moon dial", Request.ChangeStrap, "The old bracelet left a gap under the wrist.", 3, 2, "MK");
        day.Gauge(size, Figures("20.1", Attachment.SpringBarBlind, "46.8", "163", WearPreference.Regular, "42.9", "3.1"));
        day.Choose(size, "SK-2012");
        day.KeepClasp(size);

        // A bracelet with no length between tight and loose.
        var between = day.TakeIn("Ketil Orrel", "boat shed", "Pellmarsh chronograph", Request.ReplaceClasp, "Never right: tight in the morning or it turns over.", 5, -1, "TB");
        day.Gauge(between, Figures("22", Attachment.SpringBarDrilled, "51.0", "174", WearPreference.Snug, "46.8", "4.0")
            .With(GaugedFigure.ClaspEnd, Length.FromMillimetres(18)).With(GaugedFigure.EndBore, Length.FromMillimetres(1.65m)));
        day.ChooseOwn(between, DemoBands.BetweenSizes);

        day.Sees(between, (DamagePlace.Clasp, DamageKind.StiffClasp, ""), (DamagePlace.LugSixRight, DamageKind.Dent, "old"), (DamagePlace.BandSix, DamageKind.Dirt, ""));
        day.Came(between, (CameWith.Box, 1), (CameWith.Papers, 1), (CameWith.SpareBars, 2));

        // A small wrist whose 12 side runs out of links.
        var small = day.TakeIn("Isbet Linnet", "school lane 9", "Tarn & Sedge small seconds", Request.TakeLinksOut, "My grandmother’s; it turns round my wrist.", 2, 3, "MK");
        day.Gauge(small, Figures("18", Attachment.SpringBarBlind, "39.5", "142", WearPreference.Regular, null, null));
        day.ChooseOwn(small, DemoBands.SmallWrist);
        day.KeepClasp(small);

        // Back with the bag: two links to go in again.
        var back = day.TakeIn("Runa Fenwick", "harbour 4", "Ostwick dress watch", Request.PutLinksIn, "Tight since the warm weather. I kept the bag.", 1, 1, "MK");
        day.Gauge(back, Figures("20", Attachment.SpringBarBlind, "45.6", "174", WearPreference.Regular, "41.9", "2.6"));
        day.ChooseOwn(back, DemoBands.WithBag);

        // A strap whose hole is to be chosen.
        var strap = day.TakeIn("Dorrit Vale", "post office", "Tarn & Sedge thin one", Request.ChangeStrap, "Brown, as before.", 2, 4, "TB");
        day.Gauge(strap, Figures("18.2", Attachment.SpringBarDrilled, "41.0", "158", WearPreference.Snug, "37.2", "2.2"));
        day.Choose(strap, "SK-L18");
        day.KeepClasp(strap);

        // No band chosen yet, one watch for each way a band is taken.
        day.Gauge(day.TakeIn("Jory Quill", "the quarry", "Ostwick field watch, soldered bars", Request.ChangeStrap, "It fell off once. Never again.", 1, 2, "MK"),
            Figures("20", Attachment.FixedBar, "47.5", "181", WearPreference.Regular, null, null));
        day.Gauge(day.TakeIn("Maren Stoll", "chandlery", "Tarn & Sedge slot case", Request.ChangeStrap, "The maker says there are no more straps.", 3, 5, "TB"),
            Figures("20", Attachment.ScrewSlot, "44.0", "160", WearPreference.Regular, "40.0", "2.4"));
        day.Gauge(day.TakeIn("Aslo Finn", "slipway", "Pellmarsh ferryman, screwed bars", Request.ChangeStrap, "Leather, soft, long enough for over a sleeve.", 1, 6, "MK"),
            Figures("20", Attachment.ScrewBar, "49.0", "190", WearPreference.Easy, "45.0", "3.4"));
        day.Gauge(day.TakeIn("Wenna Dray", "bakery", "Tarn & Sedge shaped case", Request.ChangeStrap, "White again if you can.", 1, 7, "TB"),
            Figures("18", Attachment.OwnShape, "42.0", "155", WearPreference.Regular, "38.0", "2.5") with { Family = "TS7" });

        // On the way through gauging, and just taken in.
        day.Gauge(day.TakeIn("Pir Halloran", "signal house", "Pellmarsh diver, second hand", Request.ChangeStrap, "Bought at the fair, no band on it.", 0, 3, "MK"),
            Figures("21.4", Attachment.SpringBarDrilled, null, null, null, null, null));
        var stopped = day.TakeIn("Corrin Thale", "bell buoy house", "Ostwick alarm", Request.Refit, "It stopped after I swam with it.", 2, 4, "MK");
        day.Refers(stopped, OutsideCraft.WaterInside, OutsideCraft.Stopped);
        var sensitive = day.TakeIn("Elspet Ramm", "manse", "Tarn & Sedge pendant, on a bar", Request.ChangeStrap, "Can this be worn on the wrist at all? Nickel makes her skin red.", 0, 8, "TB");
        Gaugings.Wish(work, sensitive, new Wishes(NickelSensitive: true));

        // A client's wrist over the seasons: wider in summer.
        foreach (var (daysAgo, wrist, watch) in ((int, string, string)[])[(640, "169", "Ostwick three-hander, black"), (470, "173", "Tarn & Sedge tide dial"), (290, "170", "Ostwick three-hander, black")])
        {
            var earlier = day.TakeIn("Runa Fenwick", "harbour 4", watch, Request.ChangeStrap, "As last time.", daysAgo, 5 - daysAgo, "MK");
            day.Gauge(earlier, Figures("20", Attachment.SpringBarDrilled, "46.4", wrist, WearPreference.Regular, "42.6", "2.8"));
            day.ToTheBench(earlier, "SK-L20");
            day.TickAll(earlier);
            day.HandOver(earlier, daysAgo - 4);
        }
        DemoRack.Fill(day);
        DemoLog.Fill(day);
        DemoPieces.Fill(day);
        DayBook.Set(work, [new StoredHours("", "mo-fr 9-12:30 13-18, sa 9-13", ""), new StoredHours("MK", "", ""), new StoredHours("TB", "mo-th 9-12:30 13-18", "FitMesh")], []);
        DemoModels.Fill(work, clock.GetUtcNow().AddDays(-20));
        work.Commit();
    }

    internal static Figures Figures(
        string? lugWidth, Attachment attachment, string? lugToLug, string? wrist, WearPreference? wear, string? barToBar, string? barRise)
    {
        static Length? Read(string? typed) => typed is null ? null : LengthText.TryParse(typed, out var length, out var why) ? length : throw new FormatException(why);
        return (Core.Gauging.Figures.None with { Attachment = attachment, Wear = wear, CaseShape = CaseShape.Round })
            .With(GaugedFigure.LugWidth, Read(lugWidth)).With(GaugedFigure.LugToLug, Read(lugToLug)).With(GaugedFigure.BarToBar, Read(barToBar))
            .With(GaugedFigure.BarRise, Read(barRise)).With(GaugedFigure.Wrist, Read(wrist))
            .With(GaugedFigure.CaseHeight, Read("11.2"))
            .With(GaugedFigure.BarGap, attachment is Attachment.ScrewSlot or Attachment.OwnShape ? null : Read("2.1"))
            .With(GaugedFigure.LugHole, attachment is Attachment.SpringBarDrilled or Attachment.SpringBarBlind ? Read("1.1") : null)
            .With(GaugedFigure.OwnBar, attachment == Attachment.ScrewBar ? Read("1.6") : null)
            .With(GaugedFigure.SlotHeight, attachment == Attachment.ScrewSlot ? Read("2.8") : null);
    }
}
