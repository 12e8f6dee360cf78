using CsCheck;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

/// <summary>What a question may cost, whoever asks it.</summary>
public class EffortTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    /// <summary>Rows of pitches drawn in thousandths of a millimetre, so that hardly two ways to share them out come to one sum.</summary>
    private static readonly Gen<PlanRequest> Strangers =
        from twelve in Gen.Int[6_000, 9_000].Array[0, 12]
        from six in Gen.Int[6_000, 9_000].Array[0, 12]
        from positions in Gen.Int[1, 12]
        from window in Gen.Int[1, 40_000]
        from tolerance in Gen.OneOf(Gen.Const(1), Gen.Int[1, 40_000])
        select new PlanRequest(
            new Bracelet([.. twelve.Select(p => new Link(new Length(p), true))], [.. six.Select(p => new Link(new Length(p), true))]), [],
            new BraceletClasp(Mm(18), Mm(18), Side.Twelve, positions, positions == 1 ? Length.Zero : Mm(0.3m), 0),
            new FitTarget(Mm(150), new Length(window), new Length(tolerance)), new Centring(Length.Zero, new Length(tolerance)), PlanRequest.HouseReserve);

    [Fact]
    public void Whatever_is_asked_is_answered_or_refused_within_what_it_may_take()
    {
        var (answered, refused) = (0, 0);
        Strangers.Sample(
            request =>
            {
                try
                {
                    Planner.Answer(request);
                    Interlocked.Increment(ref answered);
                }
                catch (PlanTooLargeException)
                {
                    Interlocked.Increment(ref refused);
                }
                request.Effort.Taken.ShouldBeLessThan(Effort.Usual + 1_000_000, "one step more is at most one list gone through");
            },
            iter: Math.Max(30, Often.Asked(30)));
        (answered > 0 && refused > 0).ShouldBeTrue($"{answered} answered, {refused} refused");
    }

    [Fact]
    public void A_question_nobody_waits_for_is_not_worked_out()
    {
        using var gone = new CancellationTokenSource();
        gone.Cancel();
        var pitches = Enumerable.Range(0, 8).Select(i => new Link(new Length(6_000 + 371 * i), true)).ToArray();
        var request = new PlanRequest(
            new Bracelet(pitches, pitches), [], new BraceletClasp(Mm(18), Mm(18), Side.Twelve, 6, Mm(2), 0),
            new FitTarget(Mm(150), Mm(0.001m), Mm(0.001m)), new Centring(Length.Zero, Mm(0.001m)), PlanRequest.HouseReserve)
        { Effort = new Effort(cancelled: gone.Token) };
        Should.Throw<OperationCanceledException>(() => Planner.Answer(request));
        request.Effort.Taken.ShouldBeLessThan(100_000);
    }

    [Fact]
    public void What_a_question_costs_is_no_part_of_it() => new Effort().ShouldBe(new Effort(3));
}
