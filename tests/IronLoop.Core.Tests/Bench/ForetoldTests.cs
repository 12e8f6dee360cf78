using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Bench;

/// <summary>What should be felt is said before the band is tried on.</summary>
public class ForetoldTests
{
    // Its holes are 6.5 mm apart.
    private static HoledBand Strap => BenchJobs.Strap().Holed(null)!;

    private static FitTarget Aimed(Length length) => new(length, Mm(2.5m), Mm(1.5m));

    [Fact]
    public void A_strap_is_told_by_how_it_differs_from_what_was_aimed_at_and_what_the_hole_beside_would_do()
    {
        var third = Strap.LengthIn(2);
        Foretold.Of(Strap, 2, Aimed(third)).ShouldBe("By the plan in the third hole from the tight end, right.");
        Foretold.Of(Strap, 2, Aimed(third - Mm(0.5m))).ShouldEndWith("right.", Case.Sensitive, "half a millimetre nobody feels");
        Foretold.Of(Strap, 2, Aimed(third - Mm(0.6m))).ShouldBe("By the plan in the third hole from the tight end, 0.6 mm looser than aimed at; one tighter would be 5.9 mm tight.");
        Foretold.Of(Strap, 2, Aimed(third - Mm(8))).ShouldEndWith("8.0 mm looser than aimed at; one tighter would be 1.5 mm loose.");
        Foretold.Of(Strap, 2, Aimed(third + Mm(3))).ShouldEndWith("3.0 mm tighter than aimed at.");
        Foretold.Of(Strap, 0, Aimed(Strap.LengthIn(0) - Mm(3))).ShouldEndWith("3.0 mm looser than aimed at.", Case.Sensitive, "there is none tighter");
    }

    [Theory]
    [InlineData(0.4, 0, "By the plan right; the clasp in its place.")]
    [InlineData(3.9, 0.9, "By the plan 3.9 mm, too long still; the clasp in its place.")]
    [InlineData(4.1, -1.2, "By the plan one link, 4.1 mm, too long still; the clasp 1.2 mm toward 12.")]
    [InlineData(-15.8, 3, "By the plan 2 links, 15.8 mm, too short still; the clasp 3.0 mm toward 6.")]
    public void A_bracelet_is_told_in_links_and_where_its_clasp_comes(double over, double off, string says)
    {
        // Links of 8 mm that can come out, one of 9 that cannot.
        var now = new Arrangement(Lie(6, 0), Lie(6, 0), 1);
        var comes = default(PlanFigures) with { Length = Mm(150) + Length.Nearest(over), TwiceOffCentre = Length.Nearest(2 * off) };
        Foretold.Of(now, comes, Aimed(Mm(150))).ShouldBe(says);
    }
}
