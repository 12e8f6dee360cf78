using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.Size;

/// <summary>The stateless calls: figures in, figures out, nothing stored.</summary>
internal static class FitEndpoints
{
    public static void MapFit(this IEndpointRouteBuilder routes)
    {
        var fit = routes.MapGroup("/api/fit").WithTags("fit");
        fit.MapPost("/need", Need).WithName("need").WithSummary("Needed length at zero ease, and its uncertainty.").ProducesValidationProblem();
        fit.MapPost("/ease-from-gap", Ease).WithName("easeFromGap").WithSummary("Ease from a gap felt under the clasp.").ProducesValidationProblem();
        fit.MapPost("/plan", Plan).WithName("plan").WithSummary("Which links to take out or put in, and where the micro-adjust sits.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        fit.MapPost("/next-reading", NextReading).WithName("nextReading").WithSummary("Which reading lifts the chance to be right the first time most.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status422UnprocessableEntity);
    }

    private static NextReadingAnswer NextReading(NextReadingRequestWire request, CancellationToken cancelled)
    {
        var (asked, need) = request.Read();
        var next = Core.Fitting.NextReading.Of(
            new BestChance(asked with { Effort = new Effort(cancelled: cancelled) }), asked.Target.Length.ApproximateMillimetres, need.Spread!, Enum.GetValues<Readable>());
        return new NextReadingAnswer(
            Math.Round(next.ChanceNow, 4),
            [.. next.Readings.Select(r => new WorthReadingWire(Enum.Parse<ReadableWire>($"{r.Figure}"), Math.Round(r.ChanceAfter, 4), Math.Round(r.Gain, 4)))]);
    }

    private static NeedAnswer Need(NeedRequest request)
    {
        var refusals = new Refusals();
        request.Check(refusals);
        refusals.ThrowIfAny();
        var need = NeededLength.WithUncertainty(
            request.WristMm, request.Aspect, new Head(request.Head.BarToBarMm, request.Head.BarRiseMm), request.PivotHeightMm, request.ToAssumed());
        if (need is not { } known)
        {
            refusals.Add("$.head", NeedRequest.Outside);
            refusals.ThrowIfAny();
            throw new InvalidOperationException();
        }
        return new NeedAnswer(Math.Round(known.Needed, 4), Math.Round(known.Sigma, 4));
    }

    private static EaseFromGapAnswer Ease(EaseFromGapRequest request)
    {
        var refusals = new Refusals();
        request.Check(refusals);
        refusals.ThrowIfAny();
        return new EaseFromGapAnswer(Math.Round(
            EaseFromGap.Of(request.WristMm, request.Aspect, request.GapMm, request.WedgeWidthMm ?? Length.Zero), 4));
    }

    private static PlanAnswerWire Plan(PlanRequestWire request, CancellationToken cancelled)
    {
        var asked = request.Read() with { Effort = new Effort(cancelled: cancelled) };
        var answer = Planner.Answer(asked);
        return new PlanAnswerWire(
            PlanWire.Of(answer.Recommended),
            [.. answer.Alternatives.Select(PlanWire.Of)],
            ReachWire.Of(answer.Reach, asked.Target),
            answer.Says);
    }
}
