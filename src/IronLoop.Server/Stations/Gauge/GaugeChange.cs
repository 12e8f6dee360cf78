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
        OwnBraceletBand.Refresh(work, file, act, clock);
        var after = TheJob.Read(work, id);
        file.MayStay(() => after).OrRefuse();
        Learn(work, after, clock);
        work.Commit();
        return GaugeSheetWire.Read(work, TheJob.Read(work, id));
    }

    /// <summary>Lets the model book learn from what holds for the job now.</summary>
    public static void Learn(ShopWork work, JobSnapshot file, TimeProvider clock) => ModelBook.Learn(work, file, work.By ?? file.Job.TakenInBy, clock.GetUtcNow());
}
