using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Rack;

/// <summary>A tag on the rack.</summary>
/// <param name="Waits">Whether the job waits for parts.</param>
/// <param name="TrayKept">Whether what was taken off lies in the job's tray until the work goes on.</param>
/// <param name="PartsIn">Whether the parts it waited for have come, and nobody has begun with them.</param>
internal sealed record TagWire(
    long Id, string Client, string Watch, DateOnly Promised, bool Late, bool Today, Station Next, int StationsDone, bool Referred, string By, bool Waits, bool PartsIn, bool TrayKept);
