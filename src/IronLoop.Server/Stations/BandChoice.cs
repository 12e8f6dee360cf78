using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>The band that is chosen for a job.</summary>
internal static class BandChoice
{
    /// <summary>Chooses one; work that was told by hand is told by it then.</summary>
    public static void Choose(ShopWork work, JobSnapshot file, long bandId, PullThroughWay way, string signedBy, DateTimeOffset at)
    {
        var id = file.Job.Id;
        var stock = BandFor(work, file, bandId);
        var judgement = MatchBand.Judge(Bare(file), stock.Band, way, file.House);
        stock.MayBeChosen(judgement, Free(stock, Bands.SpokenFor(work, id))).OrRefuse();
        Consent(work, file, stock, judgement, signedBy, at);
        if (stock.Id == file.Stock?.Id && way == file.Way)
            return;
        Storage.Jobs.ChooseBand(work, id, stock.Id, way);
        HandWorks.Set(work, id, null);
        Plans.Drop(work, id);
        if (stock.Id != file.Stock?.Id)
            MarkedLinks.Forget(work, id);
        Log.Write(work, id, at, file.Job.TakenInBy, Station.Match, LogLine.Of(LogKind.BandChosen, stock.Name, stock.Article));
        file.MayStay(() => TheJob.Read(work, id)).OrRefuse();
    }

    /// <summary>A band that can be thought of for a job: from stock, or its owner's own.</summary>
    public static StockBand BandFor(ShopWork work, JobSnapshot file, long bandId)
    {
        var stock = Bands.Find(work, bandId);
        return stock is null || stock.OwnerClientId is { } owner && owner != file.Job.Client.Id
            ? throw RefusedException.NotFound($"There is no band {bandId} for this job.")
            : stock;
    }

    /// <summary>How many are free: an owner's own is one.</summary>
    public static int Free(StockBand stock, IReadOnlyDictionary<long, int> spokenFor) =>
        stock.OwnerClientId is not null ? 1 : Math.Max(0, stock.InStock - spokenFor.GetValueOrDefault(stock.Id));

    /// <summary>The figures as gauged, with nothing under the head: each band raises it by its own.</summary>
    public static Figures Bare(JobSnapshot file) => file.Figures with { Raise = Length.Zero };

    /// <summary>Work that cannot be undone waits for the owner's written consent, recorded with what it is for.</summary>
    private static void Consent(ShopWork work, JobSnapshot file, StockBand stock, Judgement judgement, string signedBy, DateTimeOffset at)
    {
        var asked = judgement.SureWork;
        var words = PieceOfWork.Lasting(asked);
        if (words.Length == 0 || signedBy.Length == 0 && Consents.Of(work, file.Job.Id)?.IsTo(stock.Id, asked) == true)
            return;
        if (signedBy.Length == 0)
        {
            throw new RefusedException(StatusCodes.Status400BadRequest, "This band asks for work that cannot be undone.", new Dictionary<string, string[]>
            {
                ["$.consentSignedBy"] = [$"Enter who signed the consent to: {words}."],
            });
        }
        Consents.Set(work, file.Job.Id, new Consent(stock.Id, words, signedBy, at) { Kinds = PieceOfWork.LastingKinds(asked) }, file.Job.TakenInBy);
        Log.Write(work, file.Job.Id, at, file.Job.TakenInBy, Station.Match, LogLine.Of(LogKind.Consented, words).Saying(Wording.SignedBy, signedBy));
    }
}
