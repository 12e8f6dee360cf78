using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tools;

/// <summary>The tool that a step takes from the wall.</summary>
/// <param name="Says">What it is, with its size; or that none fits, with the nearest.</param>
/// <param name="Wanted">The tool that would fit, when none on the wall does.</param>
public sealed record Pick(string Says, WallTool? Wanted = null);

/// <summary>The tools of the house. A step names the tool that hangs there; makeshift points are no tools, they mar.</summary>
/// <param name="Tools">What hangs there.</param>
public sealed record ToolWall(IReadOnlyList<WallTool> Tools)
{
    /// <summary>A punch is at least this much thinner than its pin.</summary>
    public static readonly Length Thinner = Length.FromMillimetres(0.05m);

    /// <summary>A usual set to start from.</summary>
    public static ToolWall Usual { get; } = new(
    [
        .. ((decimal[])[0.5m, 0.6m, 0.7m, 0.8m, 0.9m, 1.0m, 1.2m, 1.5m]).Select(d => new WallTool(ToolKind.Punch, "punch", Mm(d)) { Spares = d < 1 ? 3 : 1 }),
        .. ((ReadOnlySpan<(decimal Thick, decimal Wide)>)[(0.14m, 0.6m), (0.16m, 0.8m), (0.2m, 1.0m), (0.25m, 1.2m), (0.3m, 1.4m), (0.35m, 1.6m), (0.4m, 2.0m), (0.5m, 2.5m)]).ToArray()
            .Select(b => new WallTool(ToolKind.Blade, "blade", Mm(b.Thick), Mm(b.Wide)) { Spares = 1 }),
        new(ToolKind.Fork, "fine fork", Mm(0.6m), Mm(0.9m)),
        new(ToolKind.Fork, "fine fork", Mm(0.8m), Mm(1.1m)),
        new(ToolKind.Fork, "fork", Mm(1.1m), Mm(1.3m)),
        new(ToolKind.Fork, "broad fork", Mm(1.5m), Mm(1.6m)),
        new(ToolKind.Block, "block"),
        new(ToolKind.Press, "screw press with its raiser"),
        new(ToolKind.Pusher, "hand pusher"),
        new(ToolKind.Hammer, "hammer with a soft face"),
        new(ToolKind.Pliers, "needle-nose pliers"),
        new(ToolKind.Pliers, "smooth-jawed pliers"),
        new(ToolKind.HollowEnd, "blunt hollow end"),
        new(ToolKind.HandDrill, "hand drill"),
        new(ToolKind.Holder, "holder"),
        new(ToolKind.Tweezers, "tweezers, not magnetic"),
        new(ToolKind.Point, "fine point"),
    ]);

    /// <summary>The thickest punch that is at least 0.05 mm thinner than the pin.</summary>
    /// <param name="pin">The pin's diameter; null while nobody gauged it.</param>
    public Pick Punch(Length? pin) => pin is not { } across
        ? new Pick("punch: gauge the pin, it is at least 0.05 mm thinner")
        : Best(ToolKind.Punch, t => t.Across is { } d && d <= across - Thinner, t => (t.Across!.Value.Micrometres, 0), $"for the {across} pin",
            new WallTool(ToolKind.Punch, "punch", Length.Max(across - Thinner, WallTool.Allowed.Lowest)));

    /// <summary>The widest blade not wider than the slot is long whose thickness enters the slot.</summary>
    /// <param name="slot">The slot's width; null while nobody gauged it.</param>
    /// <param name="length">The slot's length; null while nobody gauged it: then the blade of the thickest that enters.</param>
    public Pick Blade(Length? slot, Length? length)
    {
        if (slot is not { } wide)
            return new Pick("blade: gauge the screw’s slot, it fills it in length and width");
        var fitting = $"for the {wide} slot{(length is { } known ? $", {known} long" : "; see that it is not wider than the slot is long")}";
        return Best(
            ToolKind.Blade, t => t.Across is { } thick && thick <= wide && (length is not { } longest || t.Width is { } w && w <= longest),
            t => length is null ? (t.Across!.Value.Micrometres, t.Width?.Micrometres ?? 0) : (t.Width!.Value.Micrometres, t.Across!.Value.Micrometres), fitting,
            new WallTool(ToolKind.Blade, "blade", wide, length));
    }

    /// <summary>The fork thin enough to enter the gap, whose mouth passes the tip's neck and not the bar's shoulder.</summary>
    /// <param name="gap">The gap; null while nobody gauged it: then the thinnest.</param>
    /// <param name="neck">The bar's tip; null where that is not known.</param>
    /// <param name="shoulder">The bar's body; null where that is not known.</param>
    public Pick Fork(Length? gap, Length? neck = null, Length? shoulder = null) => gap is not { } room
        ? Tools.Where(t => t.Kind == ToolKind.Fork && t.Across is not null).MinBy(t => t.Across) is { } thinnest ? new Pick(thinnest.Says) : Any(ToolKind.Fork)
        : Best(
            ToolKind.Fork, t => t.Across is { } thick && thick < room && (neck is null || t.Width >= neck) && (shoulder is null || t.Width < shoulder),
            t => (t.Across!.Value.Micrometres, 0), $"for the {room} gap",
            new WallTool(ToolKind.Fork, "fork", Length.Max(room - Length.FromMillimetres(0.1m), WallTool.Allowed.Lowest), neck ?? Mm(1)));

    /// <summary>Two blades, one for each edge.</summary>
    /// <param name="slot">The slot's width.</param>
    /// <param name="length">The slot's length.</param>
    public Pick Blades(Length? slot, Length? length) => Blade(slot, length) is var one && one.Wanted is null ? one with { Says = one.Says.Replace("blade", "two blades", StringComparison.Ordinal) } : one;

    /// <summary>A tool that is not told by a size, by the name it has on the wall.</summary>
    /// <param name="kind">What it is.</param>
    /// <param name="named">A part of its name, where several of the kind hang there.</param>
    public Pick Any(ToolKind kind, string named = "") =>
        Tools.FirstOrDefault(t => t.Kind == kind && t.Name.Contains(named, StringComparison.OrdinalIgnoreCase)) is { } tool ? new Pick(tool.Says)
        : new Pick($"no {(named.Length > 0 ? named : Word(kind))} is on the wall", new WallTool(kind, named.Length > 0 ? named : Word(kind)));

    private Pick Best(ToolKind kind, Func<WallTool, bool> fits, Func<WallTool, (long, long)> order, string to, WallTool wanted)
    {
        var all = Tools.Where(t => t.Kind == kind).ToList();
        if (all.Where(fits).OrderByDescending(order).FirstOrDefault() is { } best)
            return new Pick($"{best.Says} {to}");
        var nearest = all.Where(t => t.Across is not null).OrderBy(t => (t.Across!.Value - wanted.Across!.Value).Abs()).FirstOrDefault();
        return new Pick($"no {Word(kind)} on the wall fits {to}{(nearest is null ? "" : $"; the nearest is {nearest.Says}")}", wanted);
    }

    private static string Word(ToolKind kind) => kind switch
    {
        ToolKind.HollowEnd => "blunt hollow end",
        ToolKind.HandDrill => "hand drill",
        _ => kind.ToString().ToLowerInvariant(),
    };

    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);
}
