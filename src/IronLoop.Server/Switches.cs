using System.Diagnostics.CodeAnalysis;
using System.Globalization;

namespace IronLoop.Server;

/// <summary>
/// The program's own switches. They are taken out before the configuration parser sees the rest, since that one takes
/// a bare switch for a name and swallows the next word as its value.
/// </summary>
/// <param name="Port">Port on the loopback address; 0 lets the system choose one.</param>
/// <param name="Data">Folder of the shop's file.</param>
/// <param name="Demo">Whether an empty shop is filled with the demo.</param>
/// <param name="Web">Folder of the built client; null for wwwroot beside the program.</param>
/// <param name="StandIns">Port of the stand-ins' panel, the caliper's line being one above; 0 when they were not started.</param>
/// <param name="Rest">Everything else.</param>
internal sealed record Switches(int Port, string Data, bool Demo, string? Web, int StandIns, string[] Rest)
{
    /// <summary>A backup that is put in the shop's place before anything else; null where the shop stays.</summary>
    public string? Restore { get; init; }

    public const int UsualPort = 5180;

    public static bool TryRead(string[] args, [NotNullWhen(true)] out Switches? switches, [NotNullWhen(false)] out string? why)
    {
        var (port, data, demo, web, standIns, restore) = (UsualPort, (string?)null, false, (string?)null, 0, (string?)null);
        var rest = new List<string>();
        (switches, why) = (null, null);
        for (var i = 0; i < args.Length; i++)
        {
            switch (args[i])
            {
                case "--demo":
                    demo = true;
                    break;
                case "--port" or "--data" or "--web" or "--stand-ins" or "--restore" when i + 1 >= args.Length:
                    why = $"{args[i]} needs a value.";
                    return false;
                case "--port" or "--stand-ins":
                    var name = args[i];
                    if (!int.TryParse(args[++i], NumberStyles.None, CultureInfo.InvariantCulture, out var number) || number > 65_535)
                    {
                        why = $"{name} is {args[i]}; allowed is 0 to 65535.";
                        return false;
                    }
                    (port, standIns) = name == "--port" ? (number, standIns) : (port, number);
                    break;
                case "--data":
                    data = args[++i];
                    break;
                case "--restore":
                    restore = args[++i];
                    break;
                case "--web":
                    web = Path.GetFullPath(args[++i]);
                    break;
                default:
                    rest.Add(args[i]);
                    break;
            }
        }
        switches = new Switches(port, data ?? (demo ? "data/demo" : "data/shop"), demo, web, standIns, [.. rest]) { Restore = restore };
        return true;
    }
}
