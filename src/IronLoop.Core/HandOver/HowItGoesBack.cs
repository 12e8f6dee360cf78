using IronLoop.Core.Jobs;

namespace IronLoop.Core.HandOver;

/// <summary>How a watch goes back to its owner.</summary>
public enum HowItGoesBack
{
    /// <summary>The owner collects it.</summary>
    Collected,

    /// <summary>It is posted, and what is packed is ticked off a list.</summary>
    Posted,
}

/// <summary>How a watch goes back, by what was agreed.</summary>
public static class HowItGoesBacks
{
    /// <summary>By the terms of its take-in.</summary>
    public static HowItGoesBack By(ReturnTerms terms) => terms == ReturnTerms.Collected ? HowItGoesBack.Collected : HowItGoesBack.Posted;
}
