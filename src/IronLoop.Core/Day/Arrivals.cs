namespace IronLoop.Core.Day;

/// <summary>How long ordered parts take to come, in working days: as the last ones did, else as the house takes it to be.</summary>
public static class Arrivals
{
    /// <summary>So many of the last are looked at.</summary>
    public const int Looked = 10;

    /// <summary>From so many on they are gone by.</summary>
    public const int Enough = 5;

    /// <summary>The working days to count with: of the last ten, three quarters came sooner.</summary>
    /// <param name="took">The working days that orders took, the newest first.</param>
    /// <param name="house">What the house goes by until five are known, 1 or more.</param>
    public static int Days(IReadOnlyList<int> took, int house)
    {
        if (took.Count < Enough)
            return house;
        List<int> sorted = [.. took.Take(Looked).Order()];
        return Math.Max(1, sorted[(int)Math.Ceiling(0.75 * sorted.Count) - 1]);
    }
}
