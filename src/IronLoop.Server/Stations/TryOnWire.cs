using System.Globalization;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>A try-on, field by field: one left out stays as it was, an empty one is forgotten.</summary>
internal sealed record TryOnWire(
    SurplusBy? By = null, SurplusOver? Over = null, string? Amount = null, string? Loop = null, string? Thickness = null, string? Pitch = null,
    string? Wedge = null)
{
    public static readonly AllowedLength Loops = AllowedLength.Mm(60, 400);
    public static readonly AllowedLength Thicknesses = AllowedLength.Mm(0.6m, 12);

    public TryOn Into(TryOn before, Refusals refusals)
    {
        var by = By ?? before.By;
        return new TryOn(
            by,
            Over ?? before.Over,
            // An amount of millimetres is no count of links.
            Amount is not null ? ReadAmount(by, refusals) : by == before.By ? before.Amount : null,
            refusals.Changed("$.loop", Loop, Loops, before.Loop),
            refusals.Changed("$.thickness", Thickness, Thicknesses, before.Thickness),
            refusals.Changed("$.pitch", Pitch, FitRanges.Pitch, before.Pitch),
            refusals.Changed("$.wedge", Wedge, FitRanges.WedgeWidth, before.Wedge));
    }

    private decimal? ReadAmount(SurplusBy by, Refusals refusals)
    {
        if (string.IsNullOrWhiteSpace(Amount))
            return null;
        var allowed = TryOn.Amounts(by);
        if (by != SurplusBy.LinksPinched)
            return refusals.Typed("$.amount", Amount, AllowedLength.Mm(allowed.Lowest, allowed.Highest))?.Millimetres;
        if (!decimal.TryParse(Amount.Trim().Replace(',', '.').Replace("½", ".5", StringComparison.Ordinal), NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign,
            CultureInfo.InvariantCulture, out var links) || decimal.Round(links, 3) != links)
            refusals.Add("$.amount", $"“{Amount}” is no count of links; write it like 2 or 1.5.");
        else
            refusals.Check("$.amount", allowed, links);
        return links;
    }
}
