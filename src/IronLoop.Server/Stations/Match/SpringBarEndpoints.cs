using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Match;

/// <summary>A spring bar as entered; lengths as typed.</summary>
internal sealed record SpringBarSheet(string Article, string Length, string Body, string Tip, bool Curved = false, BarStyle Style = BarStyle.Plain, int InStock = 1)
{
    public SpringBar Read()
    {
        var refusals = new Refusals();
        var article = refusals.Text("$.article", Article, 40, required: true);
        var length = Needed(refusals, "$.length", Length, FigureKind.For(GaugedFigure.LugWidth).Allowed);
        var body = Needed(refusals, "$.body", Body, AllowedLength.Mm(0.5m, 4));
        var tip = Needed(refusals, "$.tip", Tip, AllowedLength.Mm(0.3m, 4));
        refusals.Check("$.inStock", new AllowedNumber(0, 9_999), InStock);
        if (!refusals.Any && tip > body)
            refusals.Add("$.tip", $"tip is {tip}, thicker than the body, {body}.");
        refusals.ThrowIfAny("The bar cannot be taken like this.");
        return new SpringBar(article, length, body, tip, Curved, Style, InStock);
    }

    private static Length Needed(Refusals refusals, string path, string typed, AllowedLength allowed)
    {
        if (refusals.Typed(path, typed, allowed) is { } length)
            return length;
        refusals.Add(path, $"{path[2..]} is missing; give {allowed}.");
        return allowed.Lowest;
    }
}

internal sealed record SpringBarWire(string Article, Length LengthMm, Length BodyMm, Length TipMm, bool Curved, BarStyle Style, int InStock);

/// <summary>Spring bars as stock of their own.</summary>
internal static class SpringBarEndpoints
{
    public static void MapSpringBars(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/spring-bars", (OpenShop shop) =>
        {
            using var work = shop.Look();
            return All(work);
        }).WithName("springBars").WithTags("match").WithSummary("The spring bars in stock.");
        routes.MapPut("/api/spring-bars", (SpringBarSheet sheet, OpenShop shop, TimeProvider clock) =>
        {
            var bar = sheet.Read();
            using var work = shop.Begin();
            if (Parts.Find(work, bar.Article)?.Count.WhyNotCounted(bar.InStock) is { } why)
                throw new RefusedException(StatusCodes.Status400BadRequest, "The bar cannot be taken like this.", new Dictionary<string, string[]> { ["$.inStock"] = [why] });
            SpringBars.Set(work, bar, clock.GetUtcNow());
            work.Commit();
            return All(work);
        }).WithName("setSpringBar").WithTags("match").WithSummary("Puts a spring bar in stock, or changes the one of that article number.").ProducesValidationProblem();
    }

    private static List<SpringBarWire> All(ShopWork work) =>
        [.. SpringBars.All(work).Select(b => new SpringBarWire(b.Article, b.Length, b.Body, b.Tip, b.Curved, b.Style, b.InStock))];
}
