using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Core.Tools;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>How a job is worked at the bench.</summary>
/// <param name="ToolsIn">The tools pins go in with, where that is another family.</param>
/// <param name="Runs">Where a run of links leaves.</param>
/// <param name="OneByOne">Whether a run is taken apart.</param>
/// <param name="PartedToLieFlat">Whether the band is parted at the micro-adjust to lie flat.</param>
/// <param name="TryOn">When it is tried on.</param>
/// <param name="HeadOff">Whether the head comes off the band for the work.</param>
/// <param name="BendsBars">Whether a straight bar is bent where a curved one is wanted.</param>
internal sealed record SetupWire(
    ToolFamily Tools, Insertion Insertion, MicroSchool Micro, RunSchool Runs = RunSchool.InsideTheLinks, bool OneByOne = false, bool PartedToLieFlat = false,
    TryOnSchool TryOn = TryOnSchool.BetweenTheSides, bool HeadOff = false, bool BendsBars = false, ToolFamily? ToolsIn = null)
{
    public static SetupWire Of(BenchSetup setup) => new(
        setup.Tools, setup.Insertion, setup.Micro, setup.Runs, setup.OneByOne, setup.PartedToLieFlat, setup.TryOn, setup.HeadOff, setup.BendsBars, setup.ToolsIn);

    public BenchSetup Read() => new(Tools, Insertion, Micro)
    {
        ToolsIn = ToolsIn == Tools ? null : ToolsIn,
        Runs = Runs,
        OneByOne = OneByOne,
        PartedToLieFlat = PartedToLieFlat,
        TryOn = TryOn,
        HeadOff = HeadOff,
        BendsBars = BendsBars,
    };
}
