using System.Text.Json.Serialization;
using IronLoop.Core.Bench;
using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;
using IronLoop.Core.Tray;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>A kind of part in the owner’s bag.</summary>
/// <param name="Key">By what it is counted; empty once the bag is closed.</param>
/// <param name="Fits">The band it fits; empty where it fits none.</param>
[method: JsonConstructor]
internal readonly record struct BagLineWire(string Key, string What, int Count, string Fits)
{
    public static BagLineWire Of(BagLine line) => new(line.Key, line.What, line.Count, line.Fits);
}

/// <summary>A dated look.</summary>
internal sealed record ObservedLookWire(DateOnly Due, string Shows, DateTimeOffset? At, string By);

/// <summary>A watch under observation, or that was.</summary>
internal sealed record UnderObservationWire(DateOnly Until, string Set, DateTimeOffset SetAt, string By, bool Stands, IReadOnlyList<ObservedLookWire> Looks)
{
    public static UnderObservationWire? Of(UnderObservation? observed) => observed is null ? null : new UnderObservationWire(
        observed.Until, observed.Set, observed.SetAt, observed.By, observed.EndedAt is null, [.. observed.Looks.Select(l => new ObservedLookWire(l.Due, l.Shows, l.At, l.By))]);
}

/// <summary>How it goes back.</summary>
/// <param name="GoesBack">Collected or posted, by the terms.</param>
internal sealed record TermsOfReturn(ReturnTerms? Terms, bool PostagePaid, HowItGoesBack? GoesBack);

/// <summary>A line of what is packed, and by what it is ticked.</summary>
internal sealed record PackedWire(string Key, string Says);

/// <summary>What goes home from the shop's own stock.</summary>
internal sealed record GoodsWire(long Cents, IReadOnlyList<string> Lines)
{
    public static GoodsWire Of(JobSnapshot file)
    {
        var goods = Goods.Of(file);
        return new GoodsWire(goods.Cents, goods.Lines);
    }
}

/// <summary>What the hand-over shows.</summary>
/// <param name="Advice">What the owner is told.</param>
/// <param name="Packed">What goes into the parcel when it is posted.</param>
/// <param name="GoesBack">How it went back; null while it is here.</param>
/// <param name="ObserveOn">The day the shop promised to ask after it.</param>
/// <param name="Price">The price in cents.</param>
/// <param name="Goods">What goes home from the shop's stock, with what it comes to.</param>
/// <param name="BackFrom">The earlier job this one is a return visit of.</param>
/// <param name="Also">What was also done or found, and the marks in the watch, each with who and when.</param>
/// <param name="AsListed">Whether one press may close it: every joint that was worked was checked at the bench, and no note is open.</param>
/// <param name="Observed">The observation before it goes back; null where none was set.</param>
/// <param name="Returns">How it goes back, as was agreed at take-in.</param>
internal sealed record HandOverSheet(
    string Done, string Figures, IReadOnlyList<BagLineWire> Bag, bool Ready, bool Closed, IReadOnlyList<string> Advice, IReadOnlyList<PackedWire> Packed,
    HowItGoesBack? GoesBack, DateOnly? ObserveOn, string ObserveFor, long? Price, GoodsWire Goods, string Note, string By, long? BackFrom, IReadOnlyList<string> Also, bool AsListed,
    UnderObservationWire? Observed, TermsOfReturn Returns)
{
    public static HandOverSheet Of(ShopWork work, JobSnapshot file)
    {
        var closed = file.Job.ClosedAt is not null;
        var also = AlsoBands.Of(work, file.Job.Id);
        var bag = closed ? Bags.Of(work, file.Job.Id) : OwnersBag.Of(file, also);
        var how = HandOvers.Of(work, file.Job.Id);
        var notes = StepNotes.Of(work, file.Job.Id);
        return new HandOverSheet(
            WhatWasDone.Say(file), LoopSheet.Undrawn(file).FinalFigures, [.. bag.Select(BagLineWire.Of)],
            file.Progress.Done(Station.Bench) && !closed, closed, Closing.AdviceFor(file, bag), [.. Closing.Packed(work, file, bag).Select(l => new PackedWire(l.Key, l.Says))],
            how.GoesBack, how.ObserveOn, how.ObserveFor, file.Job.PriceCents, GoodsWire.Of(file), how.Note, how.By, how.BackFrom, [.. notes.Where(n => n.Kind != NoteKind.Note).Select(n => n.Told)],
            // What goes by post is packed first, line by line.
            file.May(JobAct.HandOver).Ok && (file.Job.Returns is null or ReturnTerms.Collected) && file.Bench.Done.All(d => d.Row != StepRow.Check || d.Skipped is null) && !notes.Any(n => n.IsOpen),
            UnderObservationWire.Of(Storage.Observed.Of(work, file.Job.Id)), new TermsOfReturn(file.Job.Returns, file.Job.IsPostagePaid, file.Job.Returns is { } terms ? HowItGoesBacks.By(terms) : null));
    }
}
