using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tray;
using IronLoop.Storage;

namespace IronLoop.Server.Host.Demo;

/// <summary>Each kind of work at the bench once, from its take-in to the log: what a fitter can look up, and what the next visit begins with.</summary>
internal static class DemoPieces
{
    public static void Fill(DemoDay day)
    {
        Straps(day);
        Bracelets(day);
        Clasps(day);
        Lasting(day);
        FromAfar(day);
    }

    private static void Straps(DemoDay day)
    {
        day.Piece(124, "Lorne Askill", "gravel pier", "Ostwick quay hand, blue", Request.ChangeStrap, "It came with one of those levers; I want plain leather.", "MK",
            Figures("20", Attachment.SpringBarDrilled, "46.8", "174", WearPreference.Regular, "42.8", "2.9"), job =>
            {
                day.CameOn(job, OnTheWatch.Soft, HeldBy.LeveredBars);
                day.Choose(job, "SK-L20");
            });
        day.Piece(121, "Ansa Trill", "weather mast", "Pellmarsh pilot, sand", Request.ChangeStrap, "The long one off, something with a buckle on.", "TB",
            Figures("22", Attachment.SpringBarBlind, "48.2", "181", WearPreference.Regular, "44.2", "3.1"), job =>
            {
                day.CameOn(job, OnTheWatch.PulledThrough, HeldBy.LooseBars);
                day.Choose(job, "SK-L22");
            });
        day.Piece(118, "Bo Harl", "ferry slip 2", "Tarn & Sedge thin one, gilt", Request.ChangeStrap, "The mesh pulls my hair.", "MK",
            Figures("18", Attachment.SpringBarBlind, "39.8", "152", WearPreference.Regular, "36.2", "2.2"), job =>
            {
                day.CameOn(job, OnTheWatch.Mesh, HeldBy.LooseBars);
                day.Choose(job, "SK-T18");
            });
        day.Piece(115, "Calla Wynd", "tide mill", "Ostwick field watch, rust", Request.ChangeStrap, "Keep my old buckle, it was my father’s.", "TB",
            Figures("20", Attachment.SpringBarDrilled, "47.0", "169", WearPreference.Regular, "43.0", "2.8"), job =>
            {
                day.CameOn(job, OnTheWatch.Soft, HeldBy.LooseBars);
                day.Choose(job, "SK-L20");
                day.Inspects(job, new OwnPart(OwnPartKind.Clasp, true, true, true));
            });
        day.Piece(112, "Dag Orme", "rope store", "Ostwick moon dial, black", Request.ChangeStrap, "One side came off; the bar is gone.", "MK",
            Figures("20", Attachment.SpringBarBlind, "46.6", "177", WearPreference.Regular, "42.8", "3.0"), job =>
            {
                day.CameOn(job, OnTheWatch.Soft, HeldBy.LooseBars);
                day.Sees(job, (DamagePlace.LugSixLeft, DamageKind.MissingBar, "lost on the pier"));
                day.Choose(job, "SK-L20");
            });
        foreach (var (days, client, bends) in ((int, string, bool)[])[(109, "Edda Sorrel", false), (106, "Torre Garrick", true)])
            day.Piece(days, client, "upper mill", "Pellmarsh chronograph, cream", Request.ChangeStrap, "One that lies against the case.", "TB",
                Figures("20", Attachment.SpringBarBlind, "47.4", "172", WearPreference.Regular, "43.4", "3.2"), job =>
                {
                    day.CameOn(job, OnTheWatch.Soft, HeldBy.LooseBars);
                    day.Choose(job, "SK-C20");
                    day.Works(job, new BenchSetup { BendsBars = bends });
                });
    }

    private static void Bracelets(DemoDay day)
    {
        // Three fasteners on one bracelet, links out of both sides, apart for the bag.
        day.Piece(103, "Gisla Norn", "harbour 7", "Pellmarsh regatta, white", Request.TakeLinksOut, "Four sizes too big.", "MK", Regular("20", "165"), job =>
        {
            day.ChooseOwn(job, DemoBands.Own("Own bracelet, three fasteners"));
            day.Finds(job, (JointGroup.Links, Fastener.PinWithTube), (JointGroup.ClaspTwelve, Fastener.SpringBar), (JointGroup.ClaspSix, Fastener.Screw));
            day.Works(job, new BenchSetup { OneByOne = true });
        });
        day.Piece(100, "Hob Tanner", "chandlery", "Pellmarsh keel watch, green", Request.TakeLinksOut, "A little smaller, please.", "TB", Regular("20", "171"), job =>
        {
            day.ChooseOwn(job, DemoBands.Own("Own bracelet with slide pins"));
            day.Finds(job, (JointGroup.Links, Fastener.SplitPin), (JointGroup.ClaspTwelve, Fastener.SpringBar), (JointGroup.ClaspSix, Fastener.SplitPin));
            day.Works(job, new BenchSetup(ToolFamily.HandPusher) { Runs = RunSchool.AtTheClasp, PartedToLieFlat = true });
            day.Lends(job, new Lent("fitting pin", 2, "pin box"));
        });
        day.Piece(97, "Ivo Marrack", "smithy", "Ostwick signal hand, steel", Request.TakeLinksOut, "The case knocks on the anvil; mind it.", "MK", Regular("20", "168"), job =>
        {
            day.ChooseOwn(job, DemoBands.Own("Own bracelet, head off for the work"));
            day.Finds(job, (JointGroup.Links, Fastener.SplitPin), (JointGroup.ClaspTwelve, Fastener.SpringBar), (JointGroup.ClaspSix, Fastener.SpringBar));
            day.Works(job, new BenchSetup { HeadOff = true });
        });
        day.Piece(94, "Jorun Pell", "school lane 3", "Ostwick dress watch, grey", Request.PutLinksIn, "Tight since spring; the bag is in the box.", "TB",
            Regular("20", "181"), job => day.ChooseOwn(job, DemoBands.WithBag));
        day.Piece(91, "Kell Brody", "lighthouse row 8", "Ostwick field watch, coal", Request.Refit, "It sits right but turns to the inside.", "MK", Regular("20", "176"), job =>
        {
            day.ChooseOwn(job, DemoBands.Own("Own bracelet, clasp to be moved"));
            day.Finds(job, (JointGroup.Links, Fastener.SplitPin), (JointGroup.ClaspTwelve, Fastener.SpringBar), (JointGroup.ClaspSix, Fastener.SpringBar));
            day.Works(job, new BenchSetup(Micro: MicroSchool.BarRightOut));
        });
        day.Piece(88, "Linna Voe", "dye works", "Tarn & Sedge small seconds, gilt", Request.TakeLinksOut, "So small a wrist, they said it could not be done.", "TB", Regular("18", "141"), job =>
        {
            day.ChooseOwn(job, DemoBands.SmallWrist);
            day.Frees(job, Side.Twelve, Length.FromMillimetres(1.6m));
        });
    }

    /// <summary>Half links from the drawer, and a bracelet that is worked by its figures because its wearer is at sea.</summary>
    private static void FromAfar(DemoDay day)
    {
        day.Piece(70, "Sella Dunmore", "cooperage 2", "Pellmarsh keel watch, sand", Request.PutLinksIn, "Between two links it would be right.", "MK", Regular("20", "157"), job =>
        {
            day.ChooseOwn(job, DemoBands.OneSizeShort);
            day.Finds(job, (JointGroup.Links, Fastener.SplitPin), (JointGroup.ClaspTwelve, Fastener.SpringBar), (JointGroup.ClaspSix, Fastener.SpringBar));
            day.TakesLinks(job, "LK-50-18", 1);
        });
        day.Piece(68, "Tiba Morrow", "by mail boat, survey ship", "Ostwick signal hand, white", Request.TakeLinksOut, "My sister brings it; I am back in spring.", "TB", Regular("20", "166"), job =>
        {
            day.NobodyTries(job);
            day.ChooseOwn(job, DemoBands.Own("Own bracelet, sent ahead"));
            day.Finds(job, (JointGroup.Links, Fastener.SplitPin), (JointGroup.ClaspTwelve, Fastener.SpringBar), (JointGroup.ClaspSix, Fastener.SpringBar));
        });
    }

    private static void Clasps(DemoDay day)
    {
        day.Piece(85, "Mott Ferris", "boat shed 4", "Pellmarsh salvage, orange", Request.SomethingElse, "The clasp opens by itself.", "MK",
            Regular("20", "173").With(GaugedFigure.ClaspEnd, Length.FromMillimetres(18)).With(GaugedFigure.EndBore, Length.FromMillimetres(1.65m)), job =>
            {
                day.ChooseOwn(job, DemoBands.Own("Own bracelet, clasp worn out"));
                day.Finds(job, (JointGroup.Links, Fastener.SplitPin), (JointGroup.ClaspTwelve, Fastener.SpringBar), (JointGroup.ClaspSix, Fastener.SpringBar));
                day.SeesClasp(job, new JobClasp(ClaspKind.FoldOver, Notched: true, OtherPlain: true, SwapEnds: true));
                day.Replace(job, "CL-O18");
            });
        // Opened to be gauged before anything was ordered: the bar in the fold was the slim one, and is kept.
        day.Piece(82, "Nan Usk", "salt pans 5", "Pellmarsh deck watch, cream", Request.SomethingElse, "The fold is cracked.", "TB",
            Regular("20", "170").With(GaugedFigure.ClaspEnd, Length.FromMillimetres(18)), job =>
            {
                day.ChooseOwn(job, DemoBands.Own("Own bracelet, cracked fold"));
                day.Finds(job, (JointGroup.Links, Fastener.SplitPin), (JointGroup.ClaspTwelve, Fastener.SpringBar), (JointGroup.ClaspSix, Fastener.SpringBar));
                day.OpensToGauge(job, JointGroup.ClaspSix);
                day.Reads(job, (GaugedFigure.EndBore, 1.55m), (GaugedFigure.ClaspBar, 1.5m));
                day.Inspects(job, new OwnPart(OwnPartKind.ClaspPins, true, true, true));
                day.Replace(job, "CL-Q18");
            });
        day.Piece(79, "Orla Teague", "manse 2", "Tarn & Sedge tide dial, white", Request.SomethingElse, "A folding clasp on this strap, so that it lasts.", "MK", Regular("20", "161"), job =>
        {
            day.ChooseOwn(job, DemoBands.OwnStrap("Own calf strap"));
            day.SeesClasp(job, new JobClasp(ClaspKind.PinBuckle, Pierced: true));
            day.Replace(job, "CL-F18");
        });
        day.Piece(76, "Pask Hollin", "ropewalk 6", "Ostwick quay hand, ivory", Request.SomethingElse, "The strap came without a hole for the buckle’s bar.", "TB", Regular("20", "167"), job =>
        {
            day.ChooseOwn(job, DemoBands.OwnStrap("Own calf strap, end not pierced"));
            day.SeesClasp(job, new JobClasp(ClaspKind.PinBuckle, Pierced: false));
            day.CameOn(job, OnTheWatch.Soft, HeldBy.LooseBars, isWanted: true);
        });
    }

    private static void Lasting(DemoDay day)
    {
        day.Piece(74, "Quill Sandor", "quarry road", "Tarn & Sedge slot case, gilt", Request.ChangeStrap, "Any black one that can be made to fit.", "MK",
            Figures("20", Attachment.ScrewSlot, "44.2", "163", WearPreference.Regular, "40.2", "2.4"), job => day.Choose(job, "SK-L20"));
        day.Piece(72, "Rana Ilves", "bell buoy house", "Ostwick alarm, narrow lugs", Request.ChangeStrap, "The bracelet from the other one should go on this.", "TB",
            Figures("19.6", Attachment.SpringBarDrilled, "46.4", "171", WearPreference.Regular, "42.6", "3.0"), job =>
            {
                day.CameOn(job, OnTheWatch.Soft, HeldBy.LooseBars);
                day.Choose(job, "SK-2011");
            });
    }

    private static Figures Regular(string lugWidth, string wrist) => Figures(lugWidth, Attachment.SpringBarDrilled, "46.8", wrist, WearPreference.Regular, "42.8", "3.0");

    private static Figures Figures(
        string lugWidth, Attachment attachment, string lugToLug, string wrist, WearPreference wear, string barToBar, string barRise) =>
        DemoShop.Figures(lugWidth, attachment, lugToLug, wrist, wear, barToBar, barRise);
}
