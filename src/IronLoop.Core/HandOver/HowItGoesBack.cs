namespace IronLoop.Core.HandOver;

/// <summary>How a watch goes back to its owner.</summary>
public enum HowItGoesBack
{
    /// <summary>The owner collects it.</summary>
    Collected,

    /// <summary>It is posted, and what is packed is ticked off a list.</summary>
    Posted,
}
