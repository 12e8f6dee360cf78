using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>What is decided about a job's clasp: its own is kept, or another goes on.</summary>
internal static class ClaspChoice
{
    /// <summary>Keeps the band's own clasp; one that was to go on instead is left.</summary>
    public static void Keep(ShopWork work, JobSnapshot file, string signedBy, DateTimeOffset at)
    {
        file.May(JobAct.KeepClasp).OrRefuse();
        var band = file.Chosen!.WithOwnClasp;
        var id = file.Job.Id;
        Consent(work, file, file.OtherClasp is null ? file.ClaspWork() : [], signedBy, at);
        if (file.OtherClasp is not null)
        {
            Storage.Jobs.LookAtClaspAgain(work, id);
            Plans.Drop(work, id);
        }
        if (file.Job.ClaspKeptAt is null || file.OtherClasp is not null)
        {
            Storage.Jobs.KeepClasp(work, id, at);
            Log.Write(work, id, at, file.Job.TakenInBy, Station.Clasp, LogLine.Of(LogKind.ClaspKept, band.ClaspName));
        }
    }

    /// <summary>Another clasp goes on: it is reserved, or put on the list to be ordered.</summary>
    public static void Replace(ShopWork work, JobSnapshot file, long partId, string signedBy, DateTimeOffset at)
    {
        file.May(JobAct.ChooseClasp).OrRefuse();
        var bench = file.ClaspBench(Parts.PinsAtHand(work))!;
        if (Parts.Find(work, partId) is not { Part.Clasp: not null } part)
            throw RefusedException.NotFound($"There is no clasp with number {partId} on the list.");
        var id = file.Job.Id;
        var judged = bench.Judge(part.Part).Judgement;
        if (judged.Rules.FirstOrDefault(r => r.Refuses) is { } no)
            throw RefusedException.Conflict($"{part.Part.Name} does not go on: {no.Says}");
        Consent(work, file, judged.SureWork, signedBy, at);
        JobClasps.Set(work, id, file.Clasp with { PartId = part.Id });
        Plans.Drop(work, id);
        PartsTaken.LeaveClasp(work, id);
        var isReserved = Take(work, file, PartTaken.ForClasp, part, 1) & TakePins(work, file, bench, part.Part);
        Storage.Jobs.KeepClasp(work, id, at);
        Log.Write(work, id, at, file.Job.TakenInBy, Station.Clasp,
            LogLine.Of(LogKind.ClaspReplaced, part.Part.Name, part.Part.Article, isReserved ? "reserved" : "to be ordered"));
    }

    /// <summary>Takes a part for the job; what is not there goes on the list to be ordered, by the figures it was chosen by.</summary>
    /// <returns>Whether it is there.</returns>
    public static bool Take(ShopWork work, JobSnapshot file, string use, StockPart part, int count)
    {
        if (PartsTaken.Take(work, file.Job.Id, use, part.Id, count))
            return true;
        Orders.AddLine(work, part.Id, count, part.Part.Measured, file.Job.Id);
        return false;
    }

    /// <summary>The two pins that hold a butterfly: those that the rule about pins found.</summary>
    private static bool TakePins(ShopWork work, JobSnapshot file, ClaspBench bench, Part clasp)
    {
        if (clasp.Clasp!.Facts.Kind != ClaspKind.Butterfly || bench.End is not { Bore: { } bore, Width: { } width })
            return true;
        var pins = Parts.All(work, PartKind.Pin).Where(p => p.Count.Free > 0).OrderByDescending(p => p.Count.Free >= 2);
        return PinRule.Choose(pins, p => p.Part.Pin!, bore, width, bench.Limits) is not { } pin || Take(work, file, PartTaken.ForClaspPins, pin, 2);
    }

    /// <summary>Work that cannot be undone waits for the owner's written consent, recorded with what it is for.</summary>
    private static void Consent(ShopWork work, JobSnapshot file, IReadOnlyList<PieceOfWork> asked, string signedBy, DateTimeOffset at)
    {
        var (band, words) = (file.Stock!.Id, PieceOfWork.Lasting(asked));
        if (words.Length == 0 || signedBy.Length == 0 && Consents.Of(work, file.Job.Id, ConsentTopic.Clasp)?.IsTo(band, asked) == true)
            return;
        if (signedBy.Length == 0)
        {
            throw new RefusedException(StatusCodes.Status400BadRequest, "This clasp asks for work that cannot be undone.", new Dictionary<string, string[]>
            {
                ["$.consentSignedBy"] = [$"Enter who signed the consent to: {words}."],
            });
        }
        Consents.Set(work, file.Job.Id, new Consent(band, words, signedBy, at) { Kinds = PieceOfWork.LastingKinds(asked) }, file.Job.TakenInBy, ConsentTopic.Clasp);
        Log.Write(work, file.Job.Id, at, file.Job.TakenInBy, Station.Clasp, LogLine.Of(LogKind.Consented, words).Saying(Wording.SignedBy, signedBy));
    }
}
