namespace IronLoop.Core.Fitting;

/// <summary>
/// What is amiss with a closed loop (fit model, sections 3 and 5), in whole micrometres; what concerns the centre is held twice over, since
/// it may end in half a one. The search and every judgement ask here, so that they mean the same.
/// </summary>
/// <param name="Length">Pivot path of the loop.</param>
/// <param name="Miss">What it is away from the length wanted.</param>
/// <param name="Misfit">What it misses the wear window by; nought when it can be worn.</param>
/// <param name="TwiceOffCentre">A12 − A6: positive toward the 6 side.</param>
/// <param name="TwiceCentreMiss">What the centre is away from where it is wanted.</param>
/// <param name="TwiceWander">What it misses its tolerance by.</param>
/// <param name="TwiceTrouble">All that is amiss: length, centre and reserve weighed alike.</param>
internal readonly record struct Amiss(long Length, long Miss, long Misfit, long TwiceOffCentre, long TwiceCentreMiss, long TwiceWander, long TwiceTrouble)
{
    /// <summary>Judges two half loops.</summary>
    /// <param name="request">What is wanted.</param>
    /// <param name="half12">The 12 side's half loop, its part of the clasp and the micro-adjust with it.</param>
    /// <param name="half6">The 6 side's.</param>
    /// <param name="shortfall">What the reserve lacks where it is closed.</param>
    public static Amiss Of(PlanRequest request, long half12, long half6, long shortfall)
    {
        var (length, off) = (half12 + half6, half12 - half6);
        var miss = Math.Abs(length - request.Target.Length.Micrometres);
        var centreMiss = Math.Abs(off - 2 * request.Centring.Desired.Micrometres);
        var wander = Math.Max(0, centreMiss - 2 * request.Centring.Tolerance.Micrometres);
        return new Amiss(
            length,
            miss,
            Math.Max(0, miss - request.Target.Window.Micrometres),
            off,
            centreMiss,
            wander,
            2 * Math.Max(0, miss - request.Target.Tolerance.Micrometres) + wander + 2 * shortfall);
    }

    /// <summary>What the reserve lacks at a position, both ways together.</summary>
    public static long ShortfallAt(PlanRequest request, int position) =>
        Math.Max(0, request.Reserve.Tighter.Micrometres - request.Clasp.Tighter(position).Micrometres)
        + Math.Max(0, request.Reserve.Looser.Micrometres - request.Clasp.Looser(position).Micrometres);
}
