using System.Globalization;
using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;
using IronLoop.Core.Tray;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>What a hand-over stores: the bag, the band as it left, how it went back, and a line in the log.</summary>
internal static class Closing
{
    /// <summary>What the owner is told, once a plan is agreed.</summary>
    public static IReadOnlyList<string> AdviceFor(JobSnapshot file, IReadOnlyList<BagLine> bag) =>
        file is { Stock: { } stock, Plan: { } plan } && file.Band is { } band
            ?
            [
                .. Drawbacks.Of(file),
                .. Advice.For(new AdviceFacts(band, stock.OwnerClientId is null, plan.Arrangement.Position + 1)
                {
                    Days = LoopSheet.DaysFor(file),
                    Holed = file.Holed,
                    IsOutlined = file.Work is not null,
                    InWater = file.Figures.Wishes.Water == true,
                    HasBag = bag.Count > 0,
                    OnSpringBars = file.Figures.Attachment is Attachment.SpringBarBlind or Attachment.SpringBarDrilled,
                }),
            ]
            : [];

    /// <summary>What goes into the parcel.</summary>
    public static IReadOnlyList<PackedLine> Packed(ShopWork work, JobSnapshot file, IReadOnlyList<BagLine> bag) =>
        PackedList.Of(file.Job.WatchName, file is { Work: null, Band.Facts.Material: BandMaterial.Metal } || file.Band?.Links is not null, bag, [.. TakeIns.CameWithOf(work, file.Job.Id).Where(c => c.Value.Count > 0 && c.Key != CameWith.LooseLinks)
            .Select(c => new BagLine($"{Said(c.Key, c.Value.Count)}{(c.Value.Note.Length > 0 ? $" ({c.Value.Note})" : "")}", c.Value.Count) { Key = c.Key.ToString() })]);

    /// <summary>Books the band out that goes with the watch, and those that go along in the bag.</summary>
    /// <exception cref="RefusedException">There is none any more.</exception>
    public static void BookOut(ShopWork work, JobSnapshot file)
    {
        foreach (var stock in new[] { file.Stock }.Concat(InTheBag(work, file.Job.Id)))
            if (stock is { OwnerClientId: null } && !Bands.BookOut(work, stock.Id))
                throw RefusedException.Conflict($"{stock.Name} is no longer in stock; correct the stock first.");
    }

    private static IEnumerable<StockBand> InTheBag(ShopWork work, long id) => AlsoBands.Of(work, id).Where(a => a.As == AlsoAs.ForTheBag).Select(a => a.Stock);

    /// <summary>Closes a job.</summary>
    public static void Close(ShopWork work, JobSnapshot file, IReadOnlyList<BagLine> bag, HandedOver how, DateTimeOffset at)
    {
        var id = file.Job.Id;
        Bags.Fill(work, id, bag);
        HandOvers.Close(work, id, at, how with { LeftBandId = Left(work, file) });
        // What was bought for the bag is its owner's from now on.
        foreach (var bought in InTheBag(work, id).Where(s => s.OwnerClientId is null))
            Bands.Add(work, Owned(work, file, bought));
        var held = bag.Count == 0 ? "Nothing for the bag." : $"In the bag: {BagWords.Said(bag)}.";
        var back = how.GoesBack switch { HowItGoesBack.Posted => "Posted.", HowItGoesBack.Collected => "Collected.", _ => "" };
        var asked = how.ObserveOn is { } day ? day.ToString("d MMMM yyyy", CultureInfo.InvariantCulture) : "";
        Log.Write(work, id, at, how.By, Station.HandOver,
            LogLine.Of(LogKind.HandedOver, WhatWasDone.Say(file), LoopSheet.Undrawn(file).FinalFigures, held, back, asked)
                .Saying(Wording.ObserveFor, asked.Length > 0 ? how.ObserveFor : "").Saying(Wording.CloseNote, how.Note));
    }

    /// <summary>The band as it left, which is the owner's from now on.</summary>
    private static long? Left(ShopWork work, JobSnapshot file)
    {
        // What was only outlined is no band that a next visit could be worked on.
        if (file is not { Work: null, Stock: { } stock, Plan: { } plan, Chosen.Unmarked: { } unmarked } || file.Band is not { } band)
            return null;
        var stand = file.Bench.Now?.Stand;
        int InTheBag(LinkKind kind) => stand?.Things.Count(t => t.Kind == ThingKind.Link && t.Place == Place.Bag && Lying.IsOf(t, kind)) ?? 0;
        var left = LeftBand.Of(band, unmarked, plan.Arrangement, InTheBag, file.Bench.Facts?.Look(JointGroup.Links) ?? JointLook.None);
        return Bands.Add(work, Owned(work, file, stock) with { Band = left });
    }

    private static StockBand Owned(ShopWork work, JobSnapshot file, StockBand stock) =>
        stock with { Article = Bands.NextArticle(work, "OWN"), OwnerClientId = file.Job.Client.Id, InStock = 1 };

    private static string Said(CameWith what, int count) => what switch
    {
        CameWith.Box => count == 1 ? "box" : "boxes",
        CameWith.Papers => count == 1 ? "set of papers" : "sets of papers",
        CameWith.OldBand => count == 1 ? "old band" : "old bands",
        CameWith.SpareBars => count == 1 ? "spare bar or pin" : "spare bars or pins",
        CameWith.ClaspParts => count == 1 ? "part of a clasp" : "parts of a clasp",
        _ => count == 1 ? "loose link" : "loose links",
    };
}
