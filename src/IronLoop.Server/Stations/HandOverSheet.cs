using System.Text.Json.Serialization;
using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>A kind of part in the owner’s bag.</summary>
/// <param name="Fits">The band it fits; empty where it fits none.</param>
[method: JsonConstructor]
internal readonly record struct BagLineWire(string What, int Count, string Fits);

/// <summary>What the hand-over shows.</summary>
/// <param name="Advice">What the owner is told.</param>
/// <param name="Packed">What goes into the parcel when it is posted.</param>
/// <param name="GoesBack">How it went back; null while it is here.</param>
/// <param name="ObserveOn">The day the shop promised to ask after it.</param>
/// <param name="Price">The price in cents.</param>
/// <param name="BackFrom">The earlier job this one is a return visit of.</param>
internal sealed record HandOverSheet(
    string Done, string Figures, IReadOnlyList<BagLineWire> Bag, bool Ready, bool Closed, IReadOnlyList<string> Advice, IReadOnlyList<string> Packed,
    HowItGoesBack? GoesBack, DateOnly? ObserveOn, string ObserveFor, long? Price, string Note, string By, long? BackFrom)
{
    public static HandOverSheet Of(ShopWork work, JobSnapshot file)
    {
        var closed = file.Job.ClosedAt is not null;
        var bag = closed ? Bags.Of(work, file.Job.Id) : OwnersBag.Of(file);
        var how = HandOvers.Of(work, file.Job.Id);
        return new HandOverSheet(
            WhatWasDone.Say(file), LoopSheet.Of(file).FinalFigures, [.. bag.Select(l => new BagLineWire(l.What, l.Count, l.Fits))],
            file.Progress.Done(Station.Bench) && !closed, closed, Closing.AdviceFor(file, bag), Closing.Packed(work, file, bag),
            how.GoesBack, how.ObserveOn, how.ObserveFor, file.Job.PriceCents, how.Note, how.By, how.BackFrom);
    }
}
