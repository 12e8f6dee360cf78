using System.Globalization;
using System.Text.Json.Serialization;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Models;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Shop.ModelBook;

/// <summary>Model sheets as a file: <c>docs/models.schema.json</c> says what may stand in it. All lengths are millimetres.</summary>
/// <param name="Format">Always <c>iron-loop-models</c>.</param>
/// <param name="Version">1.</param>
internal sealed record ModelFile(string Format, int Version, IReadOnlyList<FileModel> Models)
{
    public const string Name = "iron-loop-models";
    public const int MostModels = 20_000;

    public static ModelFile Of(IEnumerable<ModelSheet> sheets) => new(Name, 1, [.. sheets.Select(FileModel.Of)]);

    /// <summary>The sheets it holds.</summary>
    /// <exception cref="RefusedException">Something in it is not as the schema has it: named by its path.</exception>
    public IReadOnlyList<ModelSheet> Read()
    {
        var refusals = new Refusals();
        if (Format != Name)
            refusals.Add("$.format", $"format is “{Format}”; allowed is {Name}.");
        if (Version != 1)
            refusals.Add("$.version", $"version is {Version}; allowed is 1.");
        if (Models.Count is 0 or > MostModels)
            refusals.Add("$.models", $"There are {Models.Count} models; allowed is 1 to {MostModels}.");
        refusals.ThrowIfAny("These models cannot be taken in.");
        var sheets = Models.Select((m, i) => m.Read(refusals, $"$.models[{i}]")).ToList();
        var names = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        foreach (var (name, i) in sheets.Select((m, i) => (m.Name, i)))
            if (name.Length > 0 && !names.Add(name))
                refusals.Add($"$.models[{i}].name", $"name is “{name}”; it stands here twice.");
        refusals.ThrowIfAny("These models cannot be taken in.");
        return sheets;
    }
}

/// <param name="Name">1 to 80 characters.</param>
/// <param name="Note">Usual trouble, tools that fitted; up to 2000 characters.</param>
internal sealed record FileModel(string Name, IReadOnlyList<FileEdition> Editions, string? Note = null)
{
    public static FileModel Of(ModelSheet sheet) => new(sheet.Name, [.. sheet.Editions.Select(FileEdition.Of)], sheet.Note.Length > 0 ? sheet.Note : null);

    public ModelSheet Read(Refusals refusals, string path)
    {
        var name = refusals.Text($"{path}.name", Name, Core.Jobs.Job.LongestName, required: true);
        var note = refusals.Text($"{path}.note", Note, Core.Jobs.Job.LongestWords, required: false);
        if (Editions.Count is 0 or > 50)
            refusals.Add($"{path}.editions", $"There are {Editions.Count} editions; allowed is 1 to 50.");
        return new ModelSheet(0, name, note, [.. Editions.Take(50).Select((e, i) => e.Read(refusals, $"{path}.editions[{i}]"))]);
    }
}

/// <param name="Name">What tells it from the others; may be left out where there is one only.</param>
internal sealed record FileEdition(string? Name = null, FileHead? Head = null, FileBand? Band = null, FileClasp? Clasp = null, IReadOnlyList<FileFigure>? Figures = null)
{
    public static FileEdition Of(EditionSheet sheet) => new(
        sheet.Name.Length > 0 ? sheet.Name : null,
        FileHead.Of(sheet), FileBand.Of(sheet), FileClasp.Of(sheet),
        [.. sheet.Figures.Select(f => new FileFigure(f.Figure, f.Known.Mean.Millimetres, f.Known.Pieces > 1 ? f.Known.SpreadMm : null, f.Known.Pieces, f.Known.How))]);

    public EditionSheet Read(Refusals refusals, string path)
    {
        var name = refusals.Text($"{path}.name", Name, Core.Jobs.Job.LongestName, required: false);
        var facts = new List<KnownFact>();
        void Fact(ModelFact fact, string? value)
        {
            if (value is { Length: > 0 })
                facts.Add(new KnownFact(fact, value, 1, []));
        }
        if (Head is { } head)
        {
            Fact(ModelFact.Attachment, head.Attachment?.ToString());
            Fact(ModelFact.CaseShape, head.CaseShape?.ToString());
            Fact(ModelFact.Family, refusals.Text($"{path}.head.family", head.Family, 20, required: false));
        }
        if (Band is { } band)
        {
            Fact(ModelFact.Twelve, Row($"{path}.band.rows.twelve", band.Rows?.Twelve));
            Fact(ModelFact.Six, Row($"{path}.band.rows.six", band.Rows?.Six));
            Fact(ModelFact.HalfPitch, Mm($"{path}.band.halfPitchMm", band.HalfPitchMm, FitRanges.Pitch));
            Fact(ModelFact.Fastener, band.Joints?.FirstOrDefault(j => j.Group == JointGroup.Links)?.Fastener.ToString());
            Fact(ModelFact.FreedTwelve, band.FreedTwelve?.ToString());
            Fact(ModelFact.FreedSix, band.FreedSix?.ToString());
            Fact(ModelFact.Tools, band.Tools?.ToString());
            Fact(ModelFact.StrapLengths, Strap($"{path}.band.strapLengths", band.StrapLengths));
        }
        var joints = (Band?.Joints ?? []).Select((j, i) => j.Read(refusals, $"{path}.band.joints[{i}]")).ToList();
        foreach (var twice in joints.GroupBy(j => j.Group).Where(g => g.Count() > 1))
            refusals.Add($"{path}.band.joints", $"{twice.Key} stands here {twice.Count()} times; allowed is once.");
        if (Clasp is { } clasp)
        {
            Fact(ModelFact.ClaspName, refusals.Text($"{path}.clasp.name", clasp.Name, 60, required: false));
            Fact(ModelFact.ClaspTwelve, Mm($"{path}.clasp.twelveMm", clasp.TwelveMm, Half));
            Fact(ModelFact.ClaspSix, Mm($"{path}.clasp.sixMm", clasp.SixMm, Half));
            Fact(ModelFact.MicroSide, clasp.MicroSide?.ToString());
            if (clasp.Positions is < 1 or > 40)
                refusals.Add($"{path}.clasp.positions", $"positions is {clasp.Positions}; allowed is 1 to 40.");
            Fact(ModelFact.Positions, clasp.Positions?.ToString(CultureInfo.InvariantCulture));
            Fact(ModelFact.Step, Mm($"{path}.clasp.stepMm", clasp.StepMm, FigureKind.For(GaugedFigure.MicroPitch).Allowed));
        }
        var figures = (Figures ?? []).Select((f, i) => f.Read(refusals, $"{path}.figures[{i}]")).OfType<SheetFigure>().ToList();
        foreach (var twice in figures.GroupBy(f => f.Figure).Where(g => g.Count() > 1))
            refusals.Add($"{path}.figures", $"{FigureKind.For(twice.Key).Name} stands here {twice.Count()} times; allowed is once.");
        return new EditionSheet(0, name, figures, facts, joints);

        string? Row(string at, string? row)
        {
            var words = refusals.Text(at, row, 200, required: false);
            if (words.Length > 0 && !LinkRowText.TryParse(words, new NamedPitches(FitRanges.Pitch.Lowest, FitRanges.Pitch.Lowest), out _, out var why))
                refusals.Add(at, why);
            return words;
        }
        string? Strap(string at, string? lengths)
        {
            var halves = (lengths ?? "").Split('/');
            if (lengths is { Length: > 0 } && (halves.Length != 2 || halves.Any(h => !decimal.TryParse(h, NumberStyles.Number, CultureInfo.InvariantCulture, out var mm) || mm is < 20 or > 250)))
                refusals.Add(at, $"strapLengths is “{lengths}”; allowed is the 12 side and the 6 side in millimetres, 20 to 250 each, such as 75/115.");
            return lengths;
        }
        string? Mm(string at, decimal? mm, AllowedLength allowed)
        {
            if (mm is not { } given)
                return null;
            if (given is < -1000 or > 1000 || !allowed.Holds(Length.FromMillimetres(Math.Round(given, 3))))
                refusals.Add(at, string.Create(CultureInfo.InvariantCulture, $"{given} mm; allowed is {allowed}."));
            return given.ToString("0.###", CultureInfo.InvariantCulture);
        }
    }

    private static AllowedLength Half => AllowedLength.Mm(0, 80);
}

internal sealed record FileHead(Attachment? Attachment = null, CaseShape? CaseShape = null, string? Family = null)
{
    public static FileHead? Of(EditionSheet sheet)
    {
        var head = new FileHead(Enum.TryParse<Attachment>(sheet[ModelFact.Attachment], out var a) ? a : null, Enum.TryParse<CaseShape>(sheet[ModelFact.CaseShape], out var s) ? s : null, sheet[ModelFact.Family]);
        return head == new FileHead() ? null : head;
    }
}

/// <param name="Twelve">The links of the 12 side from the case to the clasp, such as <c>2 fixed of 8.4; 5 of 8.4</c>.</param>
/// <param name="Six">The links of the 6 side.</param>
internal sealed record FileRows(string? Twelve = null, string? Six = null);

/// <param name="Group">Which joints: between the links, the last link to the clasp on either side, at the lugs.</param>
/// <param name="Fastener">What holds them.</param>
/// <param name="AcrossMm">Diameter of its pin or bar, 0.2 to 5.</param>
/// <param name="SlotMm">Width of its screw's slot, 0.2 to 5.</param>
/// <param name="SlotLengthMm">Length of its screw's slot, 0.2 to 5.</param>
/// <param name="GapMm">Gap that a fork goes into, 0.2 to 5.</param>
/// <param name="NoArrow">Whether nothing shows the way in.</param>
internal sealed record FileJoint(JointGroup Group, Fastener Fastener, decimal? AcrossMm = null, decimal? SlotMm = null, decimal? SlotLengthMm = null, decimal? GapMm = null, bool NoArrow = false)
{
    public static FileJoint Of(KnownJoints known) => new(
        known.Group, known.Look.Fastener, known.Look.Across?.Millimetres, known.Look.Slot?.Millimetres, known.Look.SlotLength?.Millimetres, known.Look.Gap?.Millimetres, known.Look.NoArrow);

    public KnownJoints Read(Refusals refusals, string path)
    {
        if (Fastener == Fastener.NotLookedAt)
            refusals.Add($"{path}.fastener", "fastener is notLookedAt; leave the joint out.");
        Length? Mm(string field, decimal? mm)
        {
            if (mm is not { } given)
                return null;
            if (given is < -1000 or > 1000 || !BenchSetup.Allowed.Holds(Length.FromMillimetres(Math.Round(given, 3))))
            {
                refusals.Add($"{path}.{field}", string.Create(CultureInfo.InvariantCulture, $"{given} mm; allowed is {BenchSetup.Allowed}."));
                return null;
            }
            return Length.FromMillimetres(Math.Round(given, 3));
        }
        return new KnownJoints(
            Group, new JointLook(Fastener) { Across = Mm("acrossMm", AcrossMm), Slot = Mm("slotMm", SlotMm), SlotLength = Mm("slotLengthMm", SlotLengthMm), Gap = Mm("gapMm", GapMm), NoArrow = NoArrow }, 0, []);
    }
}

/// <param name="FreedTwelve">Whether the last link of the 12 side comes free at the clasp: tried, hearsay, triedFixed or saidFixed.</param>
/// <param name="FreedSix">The same of the 6 side.</param>
/// <param name="Tools">The tools its pins were worked with.</param>
/// <param name="StrapLengths">The strap that fits, 12 side and 6 side in millimetres, such as <c>75/115</c>.</param>
internal sealed record FileBand(
    FileRows? Rows = null, IReadOnlyList<FileJoint>? Joints = null, decimal? HalfPitchMm = null, FreedLink? FreedTwelve = null, FreedLink? FreedSix = null, ToolFamily? Tools = null, string? StrapLengths = null)
{
    public static FileBand? Of(EditionSheet sheet)
    {
        var bracelet = sheet.Bracelet;
        // A bracelet's own sheet tells what joins its links where nobody looked closer.
        IReadOnlyList<FileJoint> joints = [.. sheet.Joints.Select(FileJoint.Of)];
        if (bracelet?.Fastener is { } fastener && joints.All(j => j.Group != JointGroup.Links))
            joints = [new FileJoint(JointGroup.Links, fastener), .. joints];
        var band = new FileBand(
            bracelet is null ? null : new FileRows(bracelet.Twelve, bracelet.Six), joints.Count > 0 ? joints : null, bracelet?.HalfPitch?.Millimetres, Maybe<FreedLink>(sheet, ModelFact.FreedTwelve),
            Maybe<FreedLink>(sheet, ModelFact.FreedSix), Maybe<ToolFamily>(sheet, ModelFact.Tools), sheet[ModelFact.StrapLengths]);
        return band == new FileBand() ? null : band;
    }

    private static T? Maybe<T>(EditionSheet sheet, ModelFact fact)
        where T : struct, Enum => Enum.TryParse<T>(sheet[fact], out var value) ? value : null;
}

internal sealed record FileClasp(string? Name = null, decimal? TwelveMm = null, decimal? SixMm = null, Side? MicroSide = null, int? Positions = null, decimal? StepMm = null)
{
    public static FileClasp? Of(EditionSheet sheet) => sheet.Bracelet is not { } bracelet ? null
        : new FileClasp(bracelet.ClaspName, bracelet.ClaspTwelve?.Millimetres, bracelet.ClaspSix?.Millimetres, bracelet.MicroSide, bracelet.Positions, bracelet.Step?.Millimetres);
}

/// <param name="SpreadMm">The standard deviation over the pieces; left out for one.</param>
/// <param name="Pieces">How many watches tell it, 1 to 100 000; 1 when left out.</param>
internal sealed record FileFigure(GaugedFigure Figure, decimal MeanMm, decimal? SpreadMm = null, int Pieces = 1, HowHad How = HowHad.Catalogue)
{
    public SheetFigure? Read(Refusals refusals, string path)
    {
        var kind = FigureKind.For(Figure);
        var ok = true;
        void Refuse(string at, string why)
        {
            refusals.Add(at, why);
            ok = false;
        }
        if (kind.Of == GaugedOf.Wrist)
            Refuse($"{path}.figure", $"{kind.Name} belongs to its wearer, not to a model.");
        if (MeanMm is < -1000 or > 1000 || !kind.Allowed.Holds(Length.FromMillimetres(Math.Round(MeanMm, 3))))
            Refuse($"{path}.meanMm", string.Create(CultureInfo.InvariantCulture, $"{kind.Name} is {MeanMm} mm; allowed is {kind.Allowed}."));
        if (SpreadMm is < 0 or > 10)
            Refuse($"{path}.spreadMm", string.Create(CultureInfo.InvariantCulture, $"spread is {SpreadMm} mm; allowed is 0 to 10 mm."));
        if (Pieces is < 1 or > 100_000)
            Refuse($"{path}.pieces", $"pieces is {Pieces}; allowed is 1 to 100000.");
        return ok ? new SheetFigure(Figure, new BookFigure(Length.FromMillimetres(Math.Round(MeanMm, 3)), Pieces > 1 ? SpreadMm ?? 0 : 0, Pieces, How), "", []) : null;
    }
}
