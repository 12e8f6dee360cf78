using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Server.Host.Demo;

/// <summary>More of what hangs on the rack: fasteners, bands and states that the other jobs do not show.</summary>
internal static class DemoRack
{
    public static void Fill(DemoDay day)
    {
        // Screws from both sides in a threaded tube, and a clasp without micro-adjust.
        var tubes = day.TakeIn("Lisbet Harrow", "kiln lane", "Ostwick tide hand", Request.TakeLinksOut, "It was my brother’s; his arms were thicker.", 2, 5, "MK");
        day.Gauge(tubes, Figures("20", Attachment.SpringBarBlind, "47.4", "176", WearPreference.Regular, "43.4", "2.9"));
        day.ToTheBench(tubes, "SK-2014");

        // A mesh and a pull-through band, each begun.
        var mesh = day.TakeIn("Garrin Pole", "weigh house", "Pellmarsh pilot", Request.ChangeStrap, "Something that does not soak up oil.", 1, 2, "TB");
        day.Gauge(mesh, Figures("22", Attachment.SpringBarBlind, "48.6", "178", WearPreference.Regular, "44.6", "3.0"));
        day.ToTheBench(mesh, "SK-M22");
        day.TickSome(mesh, 2);
        var fixedBars = day.TakeIn("Ylva Sandrey", "pilot cutter 3", "Pellmarsh deck watch, soldered bars", Request.ChangeStrap, "Red if there is red.", 1, 1, "MK");
        day.Gauge(fixedBars, Figures("20", Attachment.FixedBar, "46.2", "171", WearPreference.Snug, "42.4", "3.3"));
        day.ToTheBench(fixedBars, "SK-P20");
        day.TickSome(fixedBars, 1);

        // Done, and to go back by the mail boat.
        var posted = day.TakeIn("Perrin Lockwell", "outer islet, mail boat", "Tarn & Sedge little one", Request.ChangeStrap, "Please post it; return postage is in the envelope.", 5, 1, "TB");
        day.Gauge(posted, Figures("18", Attachment.SpringBarDrilled, "38.4", "149", WearPreference.Regular, "34.8", "2.1"));
        day.NobodyTries(posted);
        day.ToTheBench(posted, "SK-T18");
        day.TickAll(posted);
        day.Came(posted, (CameWith.OldBand, 1), (CameWith.Box, 1));
        day.GoesBack(posted, ReturnTerms.OwnBox, postagePaid: true);
        // For the summer there is a second band in the bag.
        day.GoesAlong(posted, "SK-L18");

        // A screw that would not start: work stopped, the watch is referred, the tray stays as it is.
        var stuck = day.TakeIn("Odd Ferrin", "ropewalk", "Ostwick signal hand", Request.TakeLinksOut, "One screw has always been stiff.", 4, 2, "MK");
        day.Gauge(stuck, Figures("20", Attachment.SpringBarDrilled, "47.8", "167", WearPreference.Regular, "43.8", "3.1"));
        day.ToTheBench(stuck, "SK-2012");
        day.TickSome(stuck, 6);
        day.Refers(stuck, OutsideCraft.ScrewStuck);

        // Waits for a clasp that is not in stock.
        var waits = day.TakeIn("Nessa Brune", "dive store", "Pellmarsh salvage", Request.ReplaceClasp, "It has to go over the sleeve of my suit.", 3, 9, "TB");
        day.Gauge(waits, Figures("22", Attachment.SpringBarDrilled, "51.2", "170", WearPreference.Regular, "47.0", "4.1")
            .With(GaugedFigure.ClaspEnd, Length.FromMillimetres(18)).With(GaugedFigure.EndBore, Length.FromMillimetres(1.9m)));
        day.Choose(waits, "SK-2231");
        day.Replace(waits, "CL-E18");

        // No band chosen yet, and nothing gauged yet.
        day.Gauge(day.TakeIn("Wick Tarrow", "salt pans", "Pellmarsh diver, yellow", Request.ChangeStrap, "For the water, and not leather this time.", 0, 4, "MK"),
            Figures("22", Attachment.SpringBarDrilled, "49.8", "187", WearPreference.Easy, "45.6", "3.7"));
        day.TakeIn("Maud Estry", "schoolhouse", "Tarn & Sedge evening piece", Request.Refit, "The bar jumped out and I have put it in this bag.", 0, 3, "TB");
    }

    private static Figures Figures(
        string lugWidth, Attachment attachment, string lugToLug, string wrist, WearPreference wear, string barToBar, string barRise) =>
        DemoShop.Figures(lugWidth, attachment, lugToLug, wrist, wear, barToBar, barRise);
}
