using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tray;
using IronLoop.Server.Contract;
using IronLoop.Server.Rack;
using IronLoop.Storage;

namespace IronLoop.Server.Bench;

/// <summary>Where on the lay-out a step is worked.</summary>
/// <param name="Joints">Joints, numbered from the case.</param>
/// <param name="Links">Links, by their place from the case.</param>
internal sealed record PlaceWire(Side? Side, IReadOnlyList<int> Joints, IReadOnlyList<int> Links, bool AtLugs, bool AtClasp)
{
    public static PlaceWire? Of(BenchPlace? place) => place is null ? null : new PlaceWire(place.Side, place.Joints ?? [], place.Links ?? [], place.AtLugs, place.AtClasp);
}

/// <summary>A bench step.</summary>
/// <param name="Part">The part of the work.</param>
/// <param name="What">What is done.</param>
/// <param name="Tool">With what; empty where hands do.</param>
/// <param name="Direction">Which way a pin travels.</param>
/// <param name="FallsOut">What can fall out unseen.</param>
/// <param name="Caution">The caution that belongs to it.</param>
/// <param name="Minutes">What it takes here.</param>
/// <param name="Skipped">Why it was left out; null when it was not.</param>
internal sealed record StepWire(
    string Key, BenchPart Part, StepKind Kind, string What, string Tool, string? Direction, string? FallsOut, string? Caution, PlaceWire? Where, double Minutes,
    bool Done, bool Next, bool MayBeSkipped, string? Skipped);

/// <summary>What was done in an earlier round.</summary>
internal sealed record EarlierWire(BenchPart Part, string What, string? Skipped);

/// <summary>How a job is worked at the bench; lengths as typed.</summary>
/// <param name="Fastener">What joins the links; null while nobody looked.</param>
/// <param name="Pin">Diameter of a pin.</param>
/// <param name="Slot">Width of a screw's slot.</param>
/// <param name="Gap">Gap a fork goes into.</param>
/// <param name="NoArrow">Whether nothing shows a direction.</param>
internal sealed record SetupWire(
    Fastener? Fastener, ToolFamily Tools, Insertion Insertion, MicroSchool Micro, string Pin = "", string Slot = "", string Gap = "", bool NoArrow = false)
{
    public static SetupWire Of(BenchSetup setup) => new(
        setup.Fastener, setup.Tools, setup.Insertion, setup.Micro, setup.Pin?.ToString() ?? "", setup.Slot?.ToString() ?? "", setup.Gap?.ToString() ?? "", setup.NoArrow);

    public BenchSetup Read()
    {
        var refusals = new Refusals();
        var setup = new BenchSetup(
            Fastener, Tools, Insertion, Micro, refusals.Typed("$.pin", Pin, BenchSetup.Allowed), refusals.Typed("$.slot", Slot, BenchSetup.Allowed),
            refusals.Typed("$.gap", Gap, BenchSetup.Allowed), NoArrow);
        refusals.ThrowIfAny("This cannot be taken.");
        return setup;
    }
}

/// <summary>A kind of fastener and how it is known.</summary>
internal sealed record FastenerWire(Fastener Fastener, string KnownBy);

/// <summary>Where the parts of one kind are.</summary>
internal sealed record TrayLineWire(string Part, int Watch, int Tray, int Bag, int Scrapped, int Lost, int FromStock);

/// <summary>A part in stock that could take a lost one's place.</summary>
internal sealed record TrayStockWire(long PartId, string Article, string Name, string Measured, int Free);

/// <summary>The consent that the work waits for.</summary>
/// <param name="Work">What cannot be undone.</param>
/// <param name="Signature">The drawn signature, an SVG path; empty when none was drawn.</param>
internal sealed record BenchConsentWire(string Work, string SignedBy, DateTimeOffset? SignedAt, string Signature, bool OnPaper, bool Signed);

/// <summary>The bench of one job.</summary>
/// <param name="Asks">Whether the bracelet's fastener has to be said before there are steps.</param>
/// <param name="MinutesLeft">What the rest takes here.</param>
internal sealed record BenchSheet(
    SetupWire Setup, bool HasLinks, bool Asks, IReadOnlyList<FastenerWire> Fasteners, int Round, IReadOnlyList<EarlierWire> Earlier, IReadOnlyList<StepWire> Steps,
    double MinutesLeft, IReadOnlyList<TrayLineWire> Tray, BenchConsentWire? Consent)
{
    public static BenchSheet Of(ShopWork work, JobFile file)
    {
        var minutes = BenchTicks.Minutes(work);
        var next = file.Steps.FirstOrDefault(s => !file.Ticks.Contains(s.Key));
        var skipped = file.Bench.Done.ToDictionary(d => d.Key, d => d.Skipped);
        // Extra work has its own figure; every other kind of step is corrected by the shop's own times.
        double Takes(BenchStep step) => step.Kind != StepKind.Extra && minutes.TryGetValue(step.Kind, out var here) ? here : step.Minutes;
        var steps = file.Steps.Select(s => new StepWire(
            s.Key, s.Part, s.Kind, s.What, s.Tool, s.Direction, s.FallsOut, s.Caution, PlaceWire.Of(s.Where), Takes(s),
            file.Ticks.Contains(s.Key), s == next, s.MayBeSkipped, skipped.GetValueOrDefault(s.Key))).ToList();
        var tray = file.Tray;
        return new BenchSheet(
            SetupWire.Of(file.Setup),
            file.Band?.Links is not null,
            file.Plan?.AgreedAt is not null && file.Steps.Count == 0,
            [.. Enum.GetValues<Fastener>().Select(f => new FastenerWire(f, FastenerWork.KnownBy(f)))],
            file.Bench.Round?.Round ?? 1,
            [.. file.Earlier.Select(e => new EarlierWire(e.Part, e.What, e.Skipped))],
            steps,
            Math.Round(steps.Where(s => !s.Done).Sum(s => s.Minutes), 1),
            [.. tray.Parts.Select(p => new TrayLineWire(
                p, tray[p, TrayPlace.Watch], tray[p, TrayPlace.Tray], tray[p, TrayPlace.Bag], tray[p, TrayPlace.Scrapped], tray[p, TrayPlace.Lost], -tray[p, TrayPlace.Stock]))],
            ConsentOf(work, file));
    }

    /// <summary>The consent the lasting work waits for; both topics are signed together at the bench.</summary>
    public static BenchConsentWire? ConsentOf(ShopWork work, JobFile file)
    {
        if (file.Facts() is not { Lasting: { Length: > 0 } lasting })
            return null;
        var given = BenchEndpoints.TopicsOf(file).Select(t => Consents.Of(work, file.Job.Id, t)).ToList();
        var one = given.OfType<Consent>().FirstOrDefault();
        return new BenchConsentWire(
            lasting, one?.SignedBy ?? "", one?.SignedAt, one?.Signature ?? "", one?.OnPaper ?? false, given.TrueForAll(c => c is { IsSigned: true }));
    }
}

/// <summary>A step done, or taken back.</summary>
/// <param name="Skipped">Why it is left out; empty when it is done.</param>
internal sealed record TickWire(bool Done, string Skipped = "");

/// <summary>The owner's signature to work that cannot be undone.</summary>
/// <param name="SignedBy">Who signs.</param>
/// <param name="Signature">The drawn signature, an SVG path of moves and lines; empty when it is on paper.</param>
/// <param name="OnPaper">Whether it is signed on the printed sheet.</param>
internal sealed record SignWire(string SignedBy, string Signature = "", bool OnPaper = false);

/// <summary>What happened to parts outside the steps.</summary>
internal enum TrayAct
{
    /// <summary>Looked for and not found.</summary>
    Lost,

    /// <summary>Found again.</summary>
    Found,

    /// <summary>Thrown away.</summary>
    Scrapped,

    /// <summary>Taken from stock.</summary>
    FromStock,

    /// <summary>Given back to stock.</summary>
    ToStock,
}

/// <summary>Parts that were lost, found, thrown away or replaced.</summary>
/// <param name="Part">What they are, as the tray names them.</param>
/// <param name="Count">How many.</param>
/// <param name="PartId">Which part in stock it was, when it is counted there.</param>
/// <param name="Why">A word on it.</param>
internal sealed record TrayActWire(string Part, int Count, TrayAct Act, long? PartId = null, string Why = "");

/// <summary>What was judged at the try-on between the sides.</summary>
/// <param name="Amount">Millimetres of surplus or gap, or links pinched, as typed.</param>
/// <param name="Wedge">Width of what was slid under the clasp, as typed; empty when narrow.</param>
/// <param name="Seen">How far off the middle the clasp was seen, as typed; empty when nobody looked.</param>
/// <param name="Toward">Toward which side.</param>
/// <param name="Take">Whether the new plan is taken; else it is only shown.</param>
internal sealed record TriedWire(
    SurplusBy By, SurplusOver Over, string Amount, string Wedge = "", string Seen = "", Side Toward = Side.Six, bool Take = false);

/// <summary>What the try-on says of the rest.</summary>
/// <param name="WantedMm">The length wanted now.</param>
/// <param name="LengthMm">The length the new plan comes to.</param>
/// <param name="SeenSays">How what was seen of the clasp agrees with the links; null when nobody looked.</param>
internal sealed record TriedSheet(string Says, bool Same, bool OnlyMicro, bool FirstSideAgain, Length WantedMm, Length LengthMm, decimal OffCentreMm, string? SeenSays, BenchSheet Bench);
