using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Shelf;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Gauge;

/// <summary>Makes the owner's own bracelet, once its sheet is whole, into the band the job is sized with.</summary>
internal static class OwnBraceletBand
{
    /// <summary>Makes it, or makes it anew.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="before">The job as it was before what was gauged now.</param>
    /// <param name="act">What was gauged: of a bracelet that nobody entered yet, only what is entered of it counts.</param>
    /// <param name="clock">The clock.</param>
    public static void Refresh(ShopWork work, JobSnapshot before, JobAct act, TimeProvider clock)
    {
        if (before.Figures.Bracelet is null && act != JobAct.GaugeBracelet)
            return;
        var id = before.Job.Id;
        var file = TheJob.Read(work, id);
        var sheet = file.Figures.Bracelet ?? new OwnBracelet();
        if (file.Bench.IsBegun || sheet.Band(file.Figures) is not { } band)
            return;
        if (OwnBracelets.BandOf(work, id) is { } made)
        {
            if (Same(Bands.Find(work, made)!.Band, band))
                return;
            Bands.Replace(work, made, band);
            // An arrangement of other links says nothing about these.
            if (file.Stock?.Id == made)
            {
                Plans.Drop(work, id);
                MarkedLinks.Forget(work, id);
            }
            return;
        }
        var article = Bands.NextArticle(work, "OWN");
        var added = Bands.Add(work, new StockBand(0, article, "Own bracelet", file.Job.Client.Id, "", "", 0, 1, band));
        OwnBracelets.Set(work, id, sheet, added);
        if (GaugeSheet.KeepsBand(file.Job.Request) && file.Stock is null)
        {
            Storage.Jobs.ChooseBand(work, id, added);
            Log.Write(work, id, clock.GetUtcNow(), file.Job.TakenInBy, Station.Gauge, LogLine.Of(LogKind.OwnGauged, article, Words(band)));
        }
    }

    private static bool Same(Band a, Band b) =>
        Words(a) == Words(b) && a.Clasp == b.Clasp && a.Thickness == b.Thickness && a.Facts == b.Facts && a.ClaspName == b.ClaspName && a.Fastener == b.Fastener
        && a.Spares.SequenceEqual(b.Spares);

    private static string Words(Band band) =>
        $"12 side {LinkRowText.Print(band.Links!.Twelve)}, 6 side {LinkRowText.Print(band.Links.Six)}";
}
