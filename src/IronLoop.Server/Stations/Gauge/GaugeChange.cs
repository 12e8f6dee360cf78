using IronLoop.Core.Jobs;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Gauge;

/// <summary>A change of what was gauged.</summary>
internal static class GaugeChange
{
    /// <summary>Makes it, where it may be made; the owner's bracelet is made anew where it hangs on it.</summary>
    public static GaugeSheetWire Make(long id, OpenShop shop, TimeProvider clock, JobAct act, Action<ShopWork, JobSnapshot> change)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, act);
        change(work, file);
        OwnBraceletBand.Refresh(work, id, clock);
        var before = file;
        file = TheJob.Read(work, id);
        file.MayStay(before).OrRefuse();
        var sheet = GaugeSheetWire.Read(work, file);
        work.Commit();
        return sheet;
    }
}
