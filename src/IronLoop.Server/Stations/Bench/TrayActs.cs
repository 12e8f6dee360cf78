using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Bench;

/// <summary>What happens to a part outside the steps: an act like any other, and the plan made to fit it.</summary>
internal static class TrayActs
{
    /// <summary>Does it to one part of a heap.</summary>
    /// <returns>What was done, in words.</returns>
    /// <exception cref="RefusedException">There is none of it where it is taken from.</exception>
    public static string Do(ShopWork work, JobSnapshot file, Thing part, TrayActWire act, string booked, DateTimeOffset at)
    {
        var bench = file.Bench;
        var (plan, now) = (bench.Plan!, bench.Now!.Stand);
        // What is bagged already can be found missing too.
        Thing There(Place place) => GoneParts.Pick(plan, now, part, place) ?? (place == Place.Tray ? GoneParts.Pick(plan, now, part, Place.Bag) : null)
            ?? throw RefusedException.Conflict($"{TrayLine.NameOf(part)}: none is in {PlaceWords.Of(place)}.");
        var (thing, to, then, says) = act.Act switch
        {
            TrayAct.Lost => There(Place.Tray) is var lost ? (lost, Place.Lost, plan.Gone(lost.Id, Place.Lost), "lost") : default,
            TrayAct.Scrapped => There(Place.Tray) is var thrown ? (thrown, Place.Thrown, plan.Gone(thrown.Id, Place.Thrown), "thrown away") : default,
            TrayAct.Found => There(Place.Lost) is var found ? (found, bench.Done.All(d => d.Row == StepRow.Tray) ? plan.From[found.Id].Place : Place.Tray, plan.Found(found.Id), "found again") : default,
            TrayAct.FromStock => FromStock(plan, now, part, act.PartId is { } id ? Parts.Find(work, id)?.Part.Article ?? "" : ""),
            TrayAct.ToStock => ToStock(plan, now, part),
            _ => throw new ArgumentOutOfRangeException(nameof(act), act.Act, "Not an act."),
        };
        var round = bench.Done.Count == 0 ? 1 : bench.Done[^1].Round;
        BenchWork.Set(work, file.Job.Id, new AgreedBench(then, file.Account.Plan?.AtSeq ?? 0));
        var step = new BenchStep($"tray-{bench.Done.Count + 1}", StepRow.Tray, round, [new Act.Move(thing.Id, [], to)]) { Says = $"{thing.Count(1)} {says}{(booked.Length > 0 ? $": {booked}" : "")}." };
        BenchWork.Do(work, file.Job.Id, step, null, at, file.Job.TakenInBy, null);
        return $"{thing.Plural}: {act.Count}, {says}";
    }

    private static (Thing, Place, BenchPlan, string) FromStock(BenchPlan plan, Stand now, Thing part, string article)
    {
        var gone = GoneParts.Missing(plan, now, part) ?? throw RefusedException.Conflict($"{TrayLine.NameOf(part)}: none is lost or thrown away, so none is wanted from stock.");
        var number = now.Things.Count(t => t.Instead is not null) + 1;
        var fresh = gone with { Id = $"instead-{number}", Owner = Owner.Shop, Place = Place.Drawer, Instead = gone.Id, Of = null, Made = [], Article = article };
        return (fresh, Place.Tray, plan.Instead(gone.Id, fresh), "taken from stock");
    }

    private static (Thing, Place, BenchPlan, string) ToStock(BenchPlan plan, Stand now, Thing part)
    {
        var thing = now.Things.FirstOrDefault(t => t is { Place: Place.Tray, Instead: not null } && TrayLine.IsAlike(t, part))
            ?? throw RefusedException.Conflict($"{TrayLine.NameOf(part)}: none in the tray came from stock, so none can go back there.");
        return (thing, Place.Drawer, plan.GivenBack(thing), "back to stock");
    }
}
