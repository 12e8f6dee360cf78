namespace IronLoop.Core.Measuring;

/// <summary>A figure that is none of its kind: a value that guards itself refuses it. The message names the figure, its value and the allowed range.</summary>
/// <param name="figure">The figure.</param>
/// <param name="value">What was given.</param>
/// <param name="says">The sentence that refuses it.</param>
public sealed class OutOfRangeException(string figure, object? value, string says) : ArgumentOutOfRangeException(figure, value, says)
{
    /// <summary>The sentence alone.</summary>
    public string Says { get; } = says;
}
