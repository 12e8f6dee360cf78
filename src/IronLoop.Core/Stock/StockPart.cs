namespace IronLoop.Core.Stock;

/// <summary>A part in stock.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Part">What it is.</param>
/// <param name="Place">Where it lies.</param>
/// <param name="Count">How many there are.</param>
public sealed record StockPart(long Id, Part Part, string Place, PartCount Count);
