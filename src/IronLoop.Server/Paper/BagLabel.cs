using System.Globalization;
using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;
using IronLoop.Core.Tray;
using IronLoop.Storage;
using SkiaSharp;

namespace IronLoop.Server.Paper;

/// <summary>The label of the owner's bag, 62 mm wide and as long as it needs: what is in it, of which watch, since when, and the job's tag as a code.</summary>
internal sealed class BagLabel : IPicture
{
    /// <summary>Width of the roll in millimetres.</summary>
    public const float Width = 62;

    /// <summary>A label printer's dots a millimetre: 300 to the inch.</summary>
    public const float DotsPerMm = 300 / 25.4f;

    private const float Margin = 3;
    private const float Code = 17;
    private readonly List<(string Text, float Height, bool Strong)> _lines = [];
    private readonly long _job;

    /// <summary>That of a job: what was counted into its bag, or what has to be in it while it is open.</summary>
    public static BagLabel Of(ShopWork work, JobSnapshot file, TimeProvider clock) => file.Job.ClosedAt is { } closed
        ? new BagLabel(file, Bags.Of(work, file.Job.Id), closed)
        : new BagLabel(file, OwnersBag.Of(file, AlsoBands.Of(work, file.Job.Id)), clock.GetUtcNow());

    public BagLabel(JobSnapshot file, IReadOnlyList<BagLine> bag, DateTimeOffset since)
    {
        var job = file.Job;
        _job = job.Id;
        Add(job.Client.Name, 4.4f, true, Width - 3 * Margin - Code);
        Add(job.WatchName, 3.6f, false, Width - 3 * Margin - Code);
        Add($"Tag {job.Id}, since {since.ToString("d MMM yyyy", CultureInfo.InvariantCulture)}", 3.2f, false, Width - 3 * Margin - Code);
        Head = _lines.Count;
        if (bag.Count == 0)
            Add("Nothing came out.", 3.8f, false, Width - 2 * Margin);
        foreach (var (fits, lines) in BagWords.ByBand(bag))
        {
            if (fits.Length > 0)
                Add($"For the {fits}", 3.2f, false, Width - 2 * Margin);
            foreach (var line in lines)
                Add($"{line.Count}  {line.What}", 3.8f, true, Width - 2 * Margin);
        }
        Add("Keep this bag: these parts fit this watch and its bands.", 2.9f, false, Width - 2 * Margin);
    }

    public SKSize Size => new(Width, Math.Max(Margin + Code, HeadHeight) + 2.5f + _lines.Skip(Head).Sum(Step) + Margin);

    /// <summary>Its words, line by line.</summary>
    public IReadOnlyList<string> Words => [.. _lines.Select(l => l.Text)];

    private int Head { get; }

    private float HeadHeight => Margin + _lines.Take(Head).Sum(Step);

    public void Draw(SKCanvas canvas)
    {
        canvas.Save();
        canvas.Translate(Width - Margin - Code, Margin);
        new QrPicture(QrPicture.Tag(_job), Code).Draw(canvas);
        canvas.Restore();
        var down = Margin;
        for (var i = 0; i < _lines.Count; i++)
        {
            if (i == Head)
            {
                down = Math.Max(Margin + Code, HeadHeight) + 1;
                using var rule = Ink.Line(0.3f);
                canvas.DrawLine(Margin, down, Width - Margin, down, rule);
                down += 1.5f;
            }
            var line = _lines[i];
            Ink.Words(canvas, line.Text, Margin, down + line.Height, line.Height, SKTextAlign.Left, line.Strong);
            down += Step(line);
        }
    }

    /// <summary>The label as PDF, one page of its own size.</summary>
    public byte[] Pdf()
    {
        using var bytes = new MemoryStream();
        using (var document = SKDocument.CreatePdf(bytes, new SKDocumentPdfMetadata { Title = $"Tag {_job}, bag", Creator = "Iron Loop" }))
        {
            var canvas = document.BeginPage(Size.Width * 72 / 25.4f, Size.Height * 72 / 25.4f);
            canvas.Scale(72 / 25.4f);
            Draw(canvas);
            document.EndPage();
            document.Close();
        }
        return bytes.ToArray();
    }

    private static float Step((string Text, float Height, bool Strong) line) => line.Height * 1.35f;

    private void Add(string text, float height, bool strong, float width)
    {
        foreach (var line in Sheet.Lines(text, width, height * 72 / 25.4f))
            _lines.Add((line, height, strong));
    }
}
