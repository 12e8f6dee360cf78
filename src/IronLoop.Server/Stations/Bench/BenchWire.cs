using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;
using IronLoop.Core.Tools;
using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Server.Stations.TakeIn;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Bench;

/// <summary>Where on the lay-out a step is worked.</summary>
/// <param name="Joints">Joints, numbered from the case.</param>
/// <param name="Links">Links, by their place from the case.</param>
internal sealed record PlaceWire(Side? Side, IReadOnlyList<int> Joints, IReadOnlyList<int> Links, bool AtLugs, bool AtClasp)
{
    public static PlaceWire? Of(BenchPlace? place) => place is null ? null : new PlaceWire(place.Side, place.Joints ?? [], place.Links ?? [], place.AtLugs, place.AtClasp);
}

/// <summary>A bench step: acts, and the words made from them. What an act asks and does is told in docs/joints.md.</summary>
/// <param name="Key">A name that stays the same while the plan does.</param>
/// <param name="Row">The row of the table it is of.</param>
/// <param name="Says">What is done, in words.</param>
/// <param name="Caution">Whether it is a plain word of caution, without an act.</param>
/// <param name="Acts">What a hand does, act by act.</param>
/// <param name="Tool">With what; empty where hands do.</param>
/// <param name="Direction">Which way a pin travels.</param>
/// <param name="FallsOut">What can fall out unseen.</param>
/// <param name="Beware">The caution that belongs to it.</param>
/// <param name="Minutes">What it takes here.</param>
/// <param name="Skipped">Why it was left out; null when it was not.</param>
/// <param name="Waits">Why it has to wait, such as a part that is lost.</param>
/// <param name="How">How the hands go; empty where there is nothing to say.</param>
/// <param name="Wants">Tools that would fit, where none on the wall does.</param>
/// <param name="Picture">What a picture of the hands says better; null where words say it as well.</param>
internal sealed record StepWire(
    string Key, StepRow Row, int Round, string Says, bool Caution, IReadOnlyList<ToldAct> Acts, string Tool, string? Direction, string? FallsOut, string? Beware,
    PlaceWire? Where, double Minutes, bool Done, bool Next, bool MayBeSkipped, string? Skipped, string? Waits, string How, IReadOnlyList<WantedToolWire> Wants, HandPicture? Picture);

/// <summary>A tool that would fit, where none on the wall does.</summary>
internal sealed record WantedToolWire(ToolKind Kind, string Name, string Across, string Width, string Says)
{
    public static WantedToolWire Of(WallTool tool) => new(tool.Kind, tool.Name, tool.Across?.ToString() ?? "", tool.Width?.ToString() ?? "", tool.Says);
}

/// <summary>What was done under a version before.</summary>
internal sealed record EarlierWire(StepRow Row, string Says, string? Skipped);

/// <summary>How the fitter at work holds and turns.</summary>
/// <param name="Grip">How the watch is held.</param>
/// <param name="LeftHanded">Whether the tool is in the left hand.</param>
internal sealed record GripWire(Grip Grip, bool LeftHanded = false);

/// <summary>What holds a group of joints; lengths as typed.</summary>
/// <param name="Group">The group.</param>
/// <param name="Fastener">What holds it; not looked at yet until somebody did.</param>
/// <param name="Across">Diameter of its pin or bar.</param>
/// <param name="Slot">Width of its screw's slot.</param>
/// <param name="SlotLength">Length of its screw's slot.</param>
/// <param name="Gap">Gap a fork goes into.</param>
/// <param name="NoArrow">Whether nothing shows a direction.</param>
internal sealed record LookWire(JointGroup Group, Fastener Fastener, string Across = "", string Slot = "", string SlotLength = "", string Gap = "", bool NoArrow = false)
{
    public static LookWire Of(JointGroup group, JointLook look) => new(
        group, look.Fastener, look.Across?.ToString() ?? "", look.Slot?.ToString() ?? "", look.SlotLength?.ToString() ?? "", look.Gap?.ToString() ?? "", look.NoArrow);

    public JointLook Read()
    {
        var refusals = new Refusals();
        if (!FastenerFacts.BetweenLinks.Contains(Fastener) && Fastener is not (Fastener.FrictionPin or Fastener.NotLookedAt))
            refusals.Add("$.fastener", $"fastener is {Fastener}; links and clasps are held by {string.Join(", ", FastenerFacts.BetweenLinks)}, or FrictionPin.");
        var look = new JointLook(Fastener)
        {
            Across = refusals.Typed("$.across", Across, BenchSetup.Allowed),
            Slot = refusals.Typed("$.slot", Slot, BenchSetup.Allowed),
            SlotLength = refusals.Typed("$.slotLength", SlotLength, BenchSetup.Allowed),
            Gap = refusals.Typed("$.gap", Gap, BenchSetup.Allowed),
            NoArrow = NoArrow,
        };
        refusals.ThrowIfAny("This cannot be taken.");
        return look;
    }
}

/// <summary>The joints that are opened to be gauged before the rest is approved.</summary>
/// <param name="Groups">The groups; none when nothing is.</param>
internal sealed record OpenWire(IReadOnlyList<JointGroup> Groups);

/// <summary>What can be opened to be gauged, and what is then to be read.</summary>
/// <param name="Groups">The groups that can be opened on this watch.</param>
/// <param name="Chosen">Those that are.</param>
/// <param name="Lines">The figures to be read of what lies open; empty until it does.</param>
/// <param name="Kept">Whether all of it lies open, in the tray.</param>
internal sealed record ToGaugeWire(IReadOnlyList<JointGroup> Groups, IReadOnlyList<JointGroup> Chosen, IReadOnlyList<GaugeLineWire> Lines, bool Kept)
{
    /// <summary>Null once a plan is agreed and nothing was opened before.</summary>
    public static ToGaugeWire? Of(ShopWork work, JobSnapshot file)
    {
        var isAgreed = file.Plan?.AgreedAt is not null;
        if (isAgreed && !file.Bench.IsOpened || file.Job.ClosedAt is not null)
            return null;
        var facts = BenchFactsOf.Of(file);
        var chosen = file.Account.ToGauge.Order().ToList();
        var isOpen = file.Bench is { IsOpened: true, Now: { } now, Plan: { } plan } && plan.OpenFirst.All(id => now.Stand.Joint(id) is not { Closed: true });
        var groups = OpenedToGauge.Groups(facts);
        return groups.Count == 0 && chosen.Count == 0 ? null
            : new ToGaugeWire(groups, chosen, isOpen ? Read(work, file, [.. chosen.SelectMany(g => OpenedToGauge.Figures(facts, g)).Distinct()]) : [], isOpen);
    }

    private static List<GaugeLineWire> Read(ShopWork work, JobSnapshot file, IReadOnlyList<GaugedFigure> figures)
    {
        var readings = Gaugings.ReadingsOf(work, file.Job.Id).ToLookup(r => r.Figure);
        return [.. figures.Select(f => GaugeLineWire.Read(FigureKind.For(f), file, file.Figures.Head, figures, [.. readings[f]]))];
    }
}

/// <summary>How the watch came.</summary>
/// <param name="On">What is on it.</param>
/// <param name="Held">How that is held at the lugs.</param>
/// <param name="IsWanted">Whether it is the band the job is about.</param>
/// <param name="Said">Whether somebody said so; else it is what is usual for the request.</param>
internal sealed record CameWire(OnTheWatch On, HeldBy Held, bool IsWanted, bool Said = false);

/// <summary>A kind of fastener and how it is known.</summary>
internal sealed record FastenerWire(Fastener Fastener, string KnownBy);

/// <summary>Things of one kind in the tray.</summary>
/// <param name="Heap">By what it is told.</param>
/// <param name="Part">What it is called.</param>
internal sealed record HeapWire(string Heap, string Part)
{
    public static HeapWire Of(Thing thing) => new(thing.Id, TrayLine.NameOf(thing));
}

/// <summary>Where the parts of one kind are.</summary>
internal sealed record TrayLineWire(string Heap, string Part, bool Links, int Watch, int Tray, int Bag, int Scrapped, int Lost, int FromStock);

/// <summary>A part in stock that could take a lost one's place.</summary>
internal sealed record TrayStockWire(long PartId, string Article, string Name, string Measured, int Free);

/// <summary>The consent that the work waits for.</summary>
/// <param name="Work">What cannot be undone.</param>
/// <param name="Signature">The drawn signature, an SVG path; empty when none was drawn.</param>
internal sealed record BenchConsentWire(string Work, string SignedBy, DateTimeOffset? SignedAt, string Signature, bool OnPaper, bool Signed);

/// <summary>What a band that is closed by hand is closed in.</summary>
/// <param name="Place">What one is called: "hole", "notch"; what locks anywhere is told by millimetres instead.</param>
/// <param name="Count">How many there are; nought for what locks anywhere.</param>
/// <param name="Planned">The one agreed, from 1, the tightest; of what locks anywhere, nought.</param>
internal sealed record ClosesWire(string Place, int Count, int Planned, bool HasTail)
{
    public static ClosesWire? Of(JobSnapshot file) => file is not { Holed: { } holed, Plan: { } plan } ? null
        : holed.LocksAnywhere ? new ClosesWire("millimetres looser than its tightest", 0, 0, false)
        : new ClosesWire(holed.Place, holed.Holes, plan.Arrangement.Position + 1, holed is not MeshBand);
}

/// <summary>The bench of one job, so that another program can replay it: how it stood, how it shall stand, and every step between.</summary>
/// <param name="From">How it stood at take-in; null before a plan is approved.</param>
/// <param name="To">How it shall stand after the last step.</param>
/// <param name="Joints">What holds each group of joints, and its sizes; at the lugs the sizes alone are said here.</param>
/// <param name="Asks">The groups nobody has looked at that the next step wants looked at.</param>
/// <param name="MinutesLeft">What the rest takes here.</param>
/// <param name="Trouble">Why there is no list of steps, though a plan is agreed.</param>
/// <param name="Foretold">What should be felt, when the next step is a try-on.</param>
/// <param name="Closes">What it is closed in; null for a bracelet.</param>
/// <param name="Notes">What was noted at its steps.</param>
/// <param name="CameOut">What the last step took out of its joint and lies in the tray, as the tray names it: it is judged there and then.</param>
/// <param name="OnceIsEnough">The first-time chance in percent, where it is so good that one try-on, at the end, will do; null where it is not offered.</param>
/// <param name="ToGauge">What can be opened to be gauged before the rest is approved; null where nothing can.</param>
/// <param name="Lent">What the shop lends for the work.</param>
/// <param name="Gone">Parts that are bent, worn or lost, with what could take their place.</param>
/// <param name="Former">What was noted at former visits of this watch, the newest first.</param>
internal sealed record BenchSheet(
    ToldStand? From, ToldStand? To, SetupWire Setup, GripWire Hands, CameWire Came, bool HasLinks, IReadOnlyList<LookWire> Joints, IReadOnlyList<JointGroup> Asks, IReadOnlyList<FastenerWire> Fasteners, int Round,
    IReadOnlyList<EarlierWire> Earlier, IReadOnlyList<StepWire> Steps, double MinutesLeft, IReadOnlyList<TrayLineWire> Tray, BenchConsentWire? Consent, string? Trouble,
    string? Foretold, ClosesWire? Closes, IReadOnlyList<NoteWire> Notes, IReadOnlyList<NoteWire> Former, IReadOnlyList<HeapWire> CameOut, int? OnceIsEnough, ToGaugeWire? ToGauge, IReadOnlyList<LentLineWire> Lent, IReadOnlyList<GoneWire> Gone)
{
    private static readonly JointGroup[] OfABracelet = [JointGroup.Links, JointGroup.ClaspTwelve, JointGroup.ClaspSix];

    public static BenchSheet Of(ShopWork work, JobSnapshot file)
    {
        var (bench, minutes) = (file.Bench, BenchWork.Minutes(work));
        // Work on a thing has its own figure; every other kind of step is corrected by the shop's own times.
        double Took(StepRow row) => minutes.TryGetValue(row, out var here) ? here : BenchStep.UsualMinutes(row);
        double Takes(BenchStep step) => step.Row != StepRow.Prepare && minutes.TryGetValue(step.Row, out var here) ? here : step.Minutes;
        var steps = bench.Done.Select(d => new StepWire(
                d.Key, d.Row, d.Round, d.Says, d.Acts!.Count == 0, [.. d.Acts.Select(ToldAct.Tell)], "", null, null, null, null, Took(d.Row), true, false, false, d.Skipped, null, "", [], null))
            .Concat(bench.Left.Select((s, i) => new StepWire(
                s.Key, s.Row, s.Round, s.Says, s.IsWord, [.. s.Acts.Select(ToldAct.Tell)], s.Tool, s.Direction, s.FallsOut, s.Caution, PlaceWire.Of(s.Where), Takes(s),
                false, i == 0, s.MayBeSkipped, null, s.Waits, s.How, [.. s.Wants.Select(WantedToolWire.Of)], s.Picture)))
            .ToList();
        return new BenchSheet(
            bench.Plan is null ? null : ToldStand.Tell(bench.Plan.From),
            bench.Plan is null ? null : ToldStand.Tell(bench.Plan.To),
            SetupWire.Of(file.Account.Setup),
            new GripWire(file.Account.Hands.Grip, file.Account.Hands.LeftHanded),
            new CameWire(file.Came.On, file.Came.Held, file.Came.IsWanted, file.Account.Came is not null),
            file.Band?.Links is not null,
            bench.Facts is { } facts ? [.. (facts.Band.Links is null ? [] : OfABracelet).Concat(facts.Attachment == Attachment.FixedBar ? [] : [JointGroup.Lugs]).Select(g => LookWire.Of(g, facts.Look(g)))] : [],
            AsksOf(bench),
            [.. FastenerFacts.BetweenLinks.Append(Fastener.FrictionPin).Select(f => new FastenerWire(f, JointWords.KnownBy(f)))],
            bench.Left.Count > 0 ? bench.Left[0].Round : bench.Done.Count > 0 ? bench.Done[^1].Round : 1,
            [.. bench.History.Select(d => new EarlierWire(d.Row, d.Says, d.Skipped))],
            steps,
            Math.Round(steps.Where(s => !s.Done).Sum(s => s.Minutes), 1),
            Lines(bench),
            ConsentOf(work, file), bench.Trouble, AtTheWrist.Foretold(file), ClosesWire.Of(file),
            [.. StepNotes.Of(work, file.Job.Id).Select(NoteWire.Of)], [.. StepNotes.Before(work, file.Job.WatchId, file.Job.Id).Select(NoteWire.Of)], CameOutOf(bench), OnceIsEnoughFor(file), ToGaugeWire.Of(work, file),
            [.. file.Account.Lent.Select(l => new LentLineWire(l.Name, l.Count, l.Drawer))], GoneWire.Of(work, bench));
    }

    /// <summary>The groups that the next step asks to be looked at.</summary>
    private static IReadOnlyList<JointGroup> AsksOf(JobBench bench) =>
        bench is { Left: [{ Row: StepRow.Look } look, ..], Plan: { } plan }
            ? [.. look.Acts.OfType<Act.Look>().Select(l => JointNames.GroupOf(l.Joint)).Distinct()]
            : [];

    /// <summary>Before the work begins, with a chance over 95 %, one try-on can be had instead of two.</summary>
    private static int? OnceIsEnoughFor(JobSnapshot file) =>
        file.Bench is { IsBegun: false, Plan.Targets.Count: > 1 } && file.Account.Setup.TryOn == TryOnSchool.BetweenTheSides && LoopSheet.Undrawn(file).Figures is { ChancePercent: > 95 and var chance }
            ? chance : null;

    /// <summary>The small parts of the joint that the last step opened.</summary>
    private static IReadOnlyList<HeapWire> CameOutOf(JobBench bench) => bench is { Done: [.., { Acts: { } acts, Skipped: null }], Plan: { } plan, Now: { } now }
        ? [.. acts.OfType<Act.Open>().SelectMany(o => plan.From.Joint(o.Joint)?.Parts ?? []).Select(p => now.Stand.Find(p)).OfType<Thing>()
            .Where(t => t is { Place: Place.Tray, IsPart: true } && t.Kind is not (ThingKind.SafetyFlap or ThingKind.Fastener)).DistinctBy(TrayLine.NameOf).Select(HeapWire.Of)]
        : [];

    private static IReadOnlyList<TrayLineWire> Lines(JobBench bench) => bench is { Plan: { } plan, Now: { } now }
        ? [.. TrayLine.Of(plan.From, now.Stand, plan.To).Select(l => new TrayLineWire(
            l.Key, l.What, now.Stand[l.Key].Kind == ThingKind.Link, l[Place.Watch], l[Place.Tray], l[Place.Bag], l[Place.Thrown], l[Place.Lost], l.FromStock))]
        : [];

    /// <summary>The consent the lasting work waits for; both topics are signed together at the bench.</summary>
    public static BenchConsentWire? ConsentOf(ShopWork work, JobSnapshot file)
    {
        if (file.Lasting is not { Length: > 0 } lasting)
            return null;
        var given = file.ConsentsNeeded().Select(n => (Consent: Consents.Of(work, file.Job.Id, n.Topic), n.Work)).ToList();
        var one = given.Select(g => g.Consent).OfType<Consent>().FirstOrDefault();
        return new BenchConsentWire(
            lasting, one?.SignedBy ?? "", one?.SignedAt, one?.Signature ?? "", one?.OnPaper ?? false,
            given.TrueForAll(g => g.Consent is { IsSigned: true } signed && signed.IsTo(file.Stock!.Id, g.Work)));
    }
}

/// <summary>A step done, or taken back.</summary>
/// <param name="Skipped">Why it is left out; empty when it is done.</param>
/// <param name="AsPlanned">Of a try-on: that it was as the plan foretold. Done alone does not pass it.</param>
internal sealed record TickWire(bool Done, string Skipped = "", bool AsPlanned = false);

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
internal sealed record TrayActWire(string Heap, int Count, TrayAct Act, long? PartId = null, string Why = "");

/// <summary>What was found at a try-on.</summary>
/// <param name="Amount">Millimetres of surplus or gap, or links pinched, as typed.</param>
/// <param name="Wedge">Width of what was slid under the clasp, as typed; empty when narrow.</param>
/// <param name="Seen">How far off the middle the clasp was seen, as typed; empty when nobody looked.</param>
/// <param name="Toward">Toward which side.</param>
/// <param name="Take">Whether it is taken; else it is only shown.</param>
/// <param name="ClosedIn">Of a strap or a mesh: the hole or notch counted from the tight end, or how much looser than its tightest; empty as planned.</param>
/// <param name="Ease">How that felt.</param>
/// <param name="Tail">What the tail passes its keepers by, as typed.</param>
internal sealed record TriedWire(
    SurplusBy By = SurplusBy.Millimetres, SurplusOver Over = SurplusOver.Comfort, string Amount = "", string Wedge = "", string Seen = "", Side Toward = Side.Six, bool Take = false,
    string ClosedIn = "", EaseFelt? Ease = null, string Tail = "");

/// <summary>What the try-on says of the rest.</summary>
/// <param name="WantedMm">The length wanted now.</param>
/// <param name="LengthMm">The length the new plan comes to.</param>
/// <param name="SeenSays">How what was seen of the clasp agrees with the links; null when nobody looked.</param>
internal sealed record TriedSheet(string Says, bool Same, bool OnlyMicro, bool FirstSideAgain, Length WantedMm, Length LengthMm, decimal? OffCentreMm, string? SeenSays, BenchSheet Bench);
