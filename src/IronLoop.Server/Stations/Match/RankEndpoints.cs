using System.Text.Json;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.Match;

/// <summary>A band among several, as another program tells of it.</summary>
/// <param name="Id">What it is known by there: a text or a number.</param>
/// <param name="InStock">How many there are, or whether it is there at all; left out, it is taken to be.</param>
internal sealed record RankedBand(
    JsonElement Id, BandKind Kind, BandMaterial Material, Length WidthMm, BandAttachment Attaches, BandEnd End = BandEnd.Straight, bool? SolidEnd = null,
    Length? EndThicknessMm = null, Length? TubeBoreMm = null, int? Layers = null, Length? LayerThicknessMm = null, string? Family = null,
    bool? NickelSafe = null, Length? BoreToFaceMm = null, string? Finish = null, string? Colour = null, JsonElement? InStock = null, long? PriceCents = null)
{
    private static readonly AllowedNumber Prices = new(0, 100_000_000);

    public BandFacts Read(Refusals refusals, string path)
    {
        if (Id.ValueKind is not (JsonValueKind.String or JsonValueKind.Number))
            refusals.Add($"{path}.id", "id is neither a text nor a number.");
        if (PriceCents is { } price)
            refusals.Check($"{path}.priceCents", Prices, price);
        if (InStock is { ValueKind: not (JsonValueKind.True or JsonValueKind.False or JsonValueKind.Null) } stock && !(stock.ValueKind == JsonValueKind.Number && stock.TryGetInt32(out var count) && count >= 0))
            refusals.Add($"{path}.inStock", "inStock is neither yes or no nor a whole number from 0 on.");
        var told = new JudgedBand(Kind, Material, WidthMm, Attaches, End, SolidEnd, EndThicknessMm, TubeBoreMm, Layers, LayerThicknessMm, Family, NickelSafe, BoreToFaceMm);
        return told.Read(refusals, path) with { Finish = JudgedWatch.Named(refusals, $"{path}.finish", Finish), Colour = JudgedWatch.Named(refusals, $"{path}.colour", Colour) };
    }

    public bool IsHere => InStock is not { } stock || stock.ValueKind is JsonValueKind.True or JsonValueKind.Null || stock.ValueKind == JsonValueKind.Number && stock.GetInt32() > 0;
}

/// <summary>What the owner wishes for.</summary>
internal sealed record RankedWishes(string? Finish = null, string? Colour = null);

internal sealed record RankRequest(JudgedWatch Watch, IReadOnlyList<RankedBand> Bands, JudgedWearer? Wearer = null, RankedWishes? Wishes = null);

/// <summary>A band in its place.</summary>
internal sealed record RankedAnswer(JsonElement Id, Verdict Verdict, Certainty Certainty, IReadOnlyList<RuleWire> Rules);

internal sealed record RankAnswer(IReadOnlyList<RankedAnswer> Order);

/// <summary>Which of several bands suits a watch best, asked without a shop.</summary>
internal static class RankEndpoints
{
    private static readonly AllowedNumber HowMany = new(0, 200);

    public static void MapRank(this IEndpointRouteBuilder routes) =>
        routes.MapPost("/api/match/rank", Rank).WithName("rank").WithTags("match").WithSummary("Puts bands in the order they suit a watch, the best first.").ProducesValidationProblem();

    private static RankAnswer Rank(RankRequest request)
    {
        var refusals = new Refusals();
        refusals.Check("$.bands", HowMany, request.Bands.Count);
        refusals.ThrowIfAny();
        var watch = request.Watch.Read(refusals);
        var bands = request.Bands.Select((band, i) => new RankedOne(band.Read(refusals, $"$.bands[{i}]"), band.IsHere, band.PriceCents, band.Id)).ToList();
        var wearer = (request.Wearer?.Read() ?? WearerFacts.Unasked) with
        {
            WishedColour = JudgedWatch.Named(refusals, "$.wishes.colour", request.Wishes?.Colour),
            WishedFinish = JudgedWatch.Named(refusals, "$.wishes.finish", request.Wishes?.Finish),
        };
        refusals.ThrowIfAny();
        return new RankAnswer([.. BandOrder.Of(bands, b => b.Facts, b => b.IsHere, b => b.PriceCents, watch, wearer, House.Usual).Select(Answer)]);

        static RankedAnswer Answer((RankedOne Band, Judgement Judgement) ranked) =>
            new(ranked.Band.Id, ranked.Judgement.Verdict, ranked.Judgement.Certainty, [.. ranked.Judgement.Rules.Select(RuleWire.Of)]);
    }

    private sealed record RankedOne(BandFacts Facts, bool IsHere, long? PriceCents, JsonElement Id);
}
