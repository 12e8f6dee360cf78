using System.Globalization;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tools;

/// <summary>What a tool on the wall is. Stored and sent by name.</summary>
public enum ToolKind
{
    /// <summary>A punch or a pusher's tip: told by its diameter.</summary>
    Punch,

    /// <summary>A screwdriver's blade: told by thickness and width.</summary>
    Blade,

    /// <summary>A fork for bars: told by thickness and mouth.</summary>
    Fork,

    /// <summary>A block that a band lies in.</summary>
    Block,

    /// <summary>A press with a screw.</summary>
    Press,

    /// <summary>A pusher worked by hand.</summary>
    Pusher,

    /// <summary>A hammer; one has a soft face.</summary>
    Hammer,

    /// <summary>Pliers.</summary>
    Pliers,

    /// <summary>A blunt hollow end that presses a bar home.</summary>
    HollowEnd,

    /// <summary>A drill turned by hand.</summary>
    HandDrill,

    /// <summary>Something that holds watch or band.</summary>
    Holder,

    /// <summary>Tweezers.</summary>
    Tweezers,

    /// <summary>A fine point for a bar's tip.</summary>
    Point,
}

/// <summary>A tool as it hangs on the wall, or is wanted there.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Across">Diameter of a punch, thickness of a blade or a fork; null where none counts.</param>
/// <param name="Width">Width of a blade, mouth of a fork; null where none counts.</param>
public sealed record WallTool(ToolKind Kind, string Name, Length? Across = null, Length? Width = null)
{
    /// <summary>What may be entered for either.</summary>
    public static readonly AllowedLength Allowed = AllowedLength.Mm(0.1m, 6);

    /// <summary>How many spares of it lie in the drawer: tips and blades wear.</summary>
    public int Spares { get; init; }

    /// <summary>Its name with its figures: "punch 0.8", "blade 0.25 × 1.2", "fine fork 0.8, mouth 1.1".</summary>
    public string Says => (Kind, Across, Width) switch
    {
        (ToolKind.Fork, { } thick, { } mouth) => $"{Name} {Mm(thick)}, mouth {Mm(mouth)}",
        (_, { } across, { } width) => $"{Name} {Mm(across)} × {Mm(width)}",
        (_, { } across, null) => $"{Name} {Mm(across)}",
        _ => Name,
    };

    /// <summary>Whether tools of a kind are told apart by their figures.</summary>
    public static bool IsSized(ToolKind kind) => kind is ToolKind.Punch or ToolKind.Blade or ToolKind.Fork;

    private static string Mm(Length length) => length.Millimetres.ToString("0.##", CultureInfo.InvariantCulture);
}
