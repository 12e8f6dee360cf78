using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;

namespace IronLoop.Server.Host.Demo;

/// <summary>What the bench did over the last weeks: the log's figures come from it.</summary>
internal static class DemoLog
{
    public static void Fill(DemoDay day)
    {
        day.Past(73, "Sef Larkin", "harbour 11", "Ostwick field watch, green", Request.TakeLinksOut, "Goes over my knuckles by itself.", "MK",
            Figures("20", Attachment.SpringBarBlind, "47.2", "169", WearPreference.Regular, "43.2", "2.9"), "SK-2011", 1.3, "9");
        day.Past(66, "Ines Quarry", "upper quarry", "Tarn & Sedge thin one, silver", Request.ChangeStrap, "The old one is cracked.", "TB",
            Figures("18", Attachment.SpringBarDrilled, "40.2", "156", WearPreference.Regular, "36.6", "2.2"), "SK-L18", 1.1);
        day.Past(58, "Bram Tolley", "ferry office", "Pellmarsh regatta, blue", Request.TakeLinksOut, "For work, so not loose.", "TB",
            Figures("22", Attachment.SpringBarDrilled, "49.4", "171", WearPreference.Snug, "45.4", "3.6"), "SK-2231", 1.2);
        day.Past(51, "Hedda Roane", "lighthouse row 5", "Ostwick moon dial, grey", Request.TakeLinksOut, "New, straight from the box.", "MK",
            Figures("20", Attachment.SpringBarBlind, "46.6", "161", WearPreference.Regular, "42.8", "3.0"), "SK-2012", 1.0);
        day.Past(44, "Cass Wetherel", "sail room", "Pellmarsh deck watch", Request.ChangeStrap, "Something I can wash.", "TB",
            Figures("20", Attachment.FixedBar, "46.0", "179", WearPreference.Regular, "42.2", "3.2"), "SK-P20", 0.9);
        day.Past(37, "Ludo Vane", "smithy", "Ostwick field watch, soot", Request.TakeLinksOut, "My wife says it rattles.", "MK",
            Figures("20", Attachment.SpringBarDrilled, "47.6", "183", WearPreference.Easy, "43.6", "3.1"), "SK-2011", 1.0);
        day.Past(36, "Petrel Marsh", "salt pans", "Tarn & Sedge small hand", Request.TakeLinksOut, "It turns round on me.", "TB",
            Figures("18", Attachment.SpringBarBlind, "39.0", "151", WearPreference.Regular, "35.4", "2.3"), "SK-1821", 0.9);
        day.Past(29, "Ulver Keel", "slipway", "Pellmarsh pilot, grey", Request.ChangeStrap, "Leather does not last out there.", "MK",
            Figures("22", Attachment.SpringBarBlind, "48.8", "186", WearPreference.Regular, "44.8", "3.1"), "SK-M22", 0.8);
        day.Past(23, "Sef Larkin", "harbour 11", "Pellmarsh regatta", Request.TakeLinksOut, "As the other one: it was right.", "MK",
            Figures("22", Attachment.SpringBarDrilled, "49.5", "168", WearPreference.Regular, "45.5", "3.6"), "SK-2231", 0.9);
        day.Past(16, "Vesper Hoy", "manse", "Ostwick dress watch, white", Request.TakeLinksOut, "I like it snug.", "TB",
            Figures("20", Attachment.SpringBarBlind, "45.4", "158", WearPreference.Snug, "41.8", "2.6"), "SK-2012", 0.9, "14");
        day.Past(9, "Tamsel Ruck", "bakery", "Ostwick field watch", Request.TakeLinksOut, "Flour gets under it.", "MK",
            Figures("20", Attachment.SpringBarBlind, "47.0", "173", WearPreference.Regular, "43.0", "2.8"), "SK-2011", 0.8);
    }

    private static Figures Figures(
        string lugWidth, Attachment attachment, string lugToLug, string wrist, WearPreference wear, string barToBar, string barRise) =>
        DemoShop.Figures(lugWidth, attachment, lugToLug, wrist, wear, barToBar, barRise);
}
