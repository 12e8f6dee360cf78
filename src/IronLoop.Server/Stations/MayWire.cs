using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>Whether something may be done now.</summary>
/// <param name="Why">Why not, in words; null when it may.</param>
internal sealed record PermissionWire(bool Ok, string? Why);

/// <summary>What may be done on a job now; a screen offers that, and says why not the rest.</summary>
internal sealed record MayWire(
    PermissionWire PutRight,
    PermissionWire Gauge,
    PermissionWire TellByHand,
    PermissionWire GaugeBracelet,
    PermissionWire ChooseBand,
    PermissionWire AddBand,
    PermissionWire PunchHole,
    PermissionWire Observe,
    PermissionWire NoteLook,
    PermissionWire LookAtClasp,
    PermissionWire KeepClasp,
    PermissionWire ChooseClasp,
    PermissionWire MarkLinks,
    PermissionWire WearAnotherWay,
    PermissionWire Arrange,
    PermissionWire Agree,
    PermissionWire OpenToGauge,
    PermissionWire SetUpBench,
    PermissionWire Work,
    PermissionWire UseTray,
    PermissionWire Note,
    PermissionWire Sign,
    PermissionWire WriteReferral,
    PermissionWire HandOver,
    PermissionWire GoBackUnworked,
    PermissionWire TakeInAgain)
{
    public static MayWire Of(JobSnapshot file)
    {
        PermissionWire May(JobAct act)
        {
            var may = file.May(act);
            return new PermissionWire(may.Ok, may.Why);
        }
        return new MayWire(
            May(JobAct.PutRight),
            May(JobAct.Gauge),
            May(JobAct.TellByHand),
            May(JobAct.GaugeBracelet),
            May(JobAct.ChooseBand),
            May(JobAct.AddBand),
            May(JobAct.PunchHole),
            May(JobAct.Observe),
            May(JobAct.NoteLook),
            May(JobAct.LookAtClasp),
            May(JobAct.KeepClasp),
            May(JobAct.ChooseClasp),
            May(JobAct.MarkLinks),
            May(JobAct.WearAnotherWay),
            May(JobAct.Arrange),
            May(JobAct.Agree),
            May(JobAct.OpenToGauge),
            May(JobAct.SetUpBench),
            May(JobAct.Work),
            May(JobAct.UseTray),
            May(JobAct.Note),
            May(JobAct.Sign),
            May(JobAct.WriteReferral),
            May(JobAct.HandOver),
            May(JobAct.GoBackUnworked),
            May(JobAct.TakeInAgain));
    }
}
