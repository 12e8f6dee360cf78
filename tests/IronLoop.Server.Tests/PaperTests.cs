using System.Globalization;
using System.Net;
using System.Net.Sockets;
using System.Text;
using System.Text.RegularExpressions;
using System.Xml.Linq;
using IronLoop.Core.Jobs;
using SkiaSharp;
using UglyToad.PdfPig;

namespace IronLoop.Server.Tests;

/// <summary>Paper read back, drawings parsed, labels on a printer that is there, empty or gone.</summary>
public sealed class PaperTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private async Task<long> Job(string client) => (await _shop.Get("/api/jobs")).AsArray().First(j => j!["client"]!.GetValue<string>() == client)!["id"]!.GetValue<long>();

    private async Task<(string Text, int Pages, double Width)> Pdf(string path)
    {
        using var answer = await _shop.Client.GetAsync(path);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync());
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/pdf");
        using var pdf = PdfDocument.Open(await answer.Content.ReadAsByteArrayAsync());
        var text = string.Join('\n', pdf.GetPages().Select(p => string.Join(' ', p.GetWords().Select(w => w.Text))));
        foreach (var page in pdf.GetPages())
            page.Letters.Select(l => l.FontName).Distinct().ShouldBe(["Type3"], "every letter’s outline goes along");
        return (text, pdf.NumberOfPages, pdf.GetPage(1).Width);
    }

    [Theory]
    [InlineData("a4", 595)]
    [InlineData("letter", 612)]
    public async Task The_job_sheet_holds_condition_plan_and_steps(string paper, double width)
    {
        var (text, _, wide) = await Pdf($"/api/jobs/{await Job("Hale Torvic")}/job-sheet.pdf?paper={paper}");
        wide.ShouldBe(width, 1);
        foreach (var said in new[] { "Job sheet", "Hale Torvic", "Bracelet, please, and not too tight.", "scratch on the bezel 3", "1 box", "Three-row bracelet", "left to tighten", "try it on", "Into the owner’s bag", "10 mm" })
            text.ShouldContain(said, Case.Insensitive);
    }

    [Fact]
    public async Task The_job_sheet_keeps_what_was_done_before_a_try_on_changed_the_plan_and_why_a_step_was_left_out()
    {
        var job = await Job("Bettan Oakes");
        var (before, _, _) = await Pdf($"/api/jobs/{job}/job-sheet.pdf");
        before.ShouldContain("Tape the lugs and the clasp");
        await _shop.Put($"/api/jobs/{job}/bench/try-on", new { by = "millimetres", over = "comfort", amount = "13", take = true });
        while ((await _shop.Get($"/api/jobs/{job}/bench"))["steps"]!.AsArray().FirstOrDefault(s => s!["next"]!.GetValue<bool>()) is { } step)
        {
            var skipped = step["row"]!.GetValue<string>() == "check" ? "owner could not wait" : "";
            await _shop.Put($"/api/jobs/{job}/bench/steps/{step["key"]}", new { done = true, skipped, asPlanned = true });
        }
        var (text, _, _) = await Pdf($"/api/jobs/{job}/job-sheet.pdf");
        text.ShouldContain("Tape the lugs and the clasp", customMessage: "the first round is on it too");
        text.ShouldContain("The rest changes", customMessage: "what the try-on changed is on it");
        text.ShouldContain("Left out: owner could not wait");
    }

    [Fact]
    public async Task The_owners_card_says_in_plain_words_what_was_done_and_what_is_in_the_bag()
    {
        var job = await Job("Hale Torvic");
        var (text, pages, _) = await Pdf($"/api/jobs/{job}/owners-card.pdf");
        pages.ShouldBe(1);
        foreach (var said in new[] { "How your watch was fitted", "room around the wrist", "Good to know", "Come by and we move the clasp’s bar", "In your bag", "links of 8.2 mm" })
            text.ShouldContain(said);
    }

    [Fact]
    public async Task The_consent_sheet_names_what_cannot_be_undone()
    {
        var job = await Job("Maren Stoll");
        (await _shop.Client.GetAsync($"/api/jobs/{job}/consent.pdf")).StatusCode.ShouldBe(HttpStatusCode.Conflict, "nothing is planned yet");
        var band = (await _shop.Get($"/api/jobs/{job}/match?take=100"))["page"]!.AsArray().First(b => b!["verdict"]!.GetValue<string>() == "work")!["band"]!["id"]!.GetValue<long>();
        await _shop.Put($"/api/jobs/{job}/match", new { bandId = band, consentSignedBy = "M. Stoll" });
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        var (text, _, _) = await Pdf($"/api/jobs/{job}/consent.pdf?paper=letter");
        text.ShouldContain("pierce the strap’s ends");
        text.ShouldContain("Name and signature");
    }

    [Fact]
    public async Task The_bag_label_is_62_mm_wide_and_tells_what_is_in_it()
    {
        var job = await Job("Hale Torvic");
        var (text, pages, width) = await Pdf($"/api/jobs/{job}/label.pdf");
        pages.ShouldBe(1);
        (width / 72 * 25.4).ShouldBe(62, 0.1);
        text.ShouldContain("Hale Torvic");
        text.ShouldContain("links of 8.2 mm");
        text.ShouldContain($"Tag {job}, since");
    }

    [Fact]
    public async Task Loop_and_lay_out_are_SVG_in_millimetres()
    {
        var job = await Job("Sunniva Marl");
        foreach (var name in new[] { "loop", "lay-out" })
        {
            var svg = XDocument.Parse(await _shop.Client.GetStringAsync($"/api/jobs/{job}/{name}.svg")).Root!;
            svg.Name.LocalName.ShouldBe("svg");
            svg.Attribute("width")!.Value.ShouldEndWith("mm");
            svg.Attribute("viewBox")!.Value.ShouldBe($"0 0 {svg.Attribute("width")!.Value[..^2]} {svg.Attribute("height")!.Value[..^2]}");
            svg.Descendants().Where(e => e.Name.LocalName == "text").ShouldAllBe(e => !e.Attribute("x")!.Value.Contains(',') && e.Attribute("font-family")!.Value.EndsWith("sans-serif", StringComparison.Ordinal),
                "with any font its words stay words");
            svg.Descendants().Count(e => e.Name.LocalName is "path" or "rect" or "ellipse" or "circle").ShouldBeGreaterThan(15);
        }
        (await _shop.Client.GetAsync($"/api/jobs/{await Job("Corrin Thale")}/loop.svg")).StatusCode.ShouldBe(HttpStatusCode.Conflict, "nothing is gauged there");
    }

    [Theory]
    [InlineData("Sunniva Marl")]
    [InlineData("Hale Torvic")]
    [InlineData("Dorrit Vale")]
    public async Task Paper_shows_the_same_shapes_at_the_same_places_as_the_screen(string client)
    {
        var job = await Job(client);
        var loop = await _shop.Get($"/api/jobs/{job}/loop");
        foreach (var (name, picture) in new[] { ("loop", loop["drawing"]!), ("lay-out", loop["layOut"]!["drawn"]!) })
        {
            float Mm(string field) => picture[field]!.GetValue<float>();
            var svg = XDocument.Parse(await _shop.Client.GetStringAsync($"/api/jobs/{job}/{name}.svg")).Root!;
            var screen = picture["shapes"]!.AsArray().Select(s => (Dashed: s!["dashed"]!.GetValue<bool>(), Box: Box(s["path"]!.GetValue<string>(), -Mm("left"), -Mm("top")))).ToList();
            var paper = svg.Descendants().Where(e => e.Name.LocalName == "path").Select(Painted).ToList();
            foreach (var (dashed, box) in screen)
                paper.ShouldContain(p => Alike(p, box, dashed), $"{name}: the screen’s {box} is not on paper");
            paper.ShouldAllBe(p => screen.Any(s => Alike(p, s.Box, s.Dashed)), $"{name}: nothing is on paper that is not on the screen");
            svg.Descendants().Where(e => e.Name.LocalName == "text").Select(e => e.Value.Trim())
                .ShouldBe(picture["words"]!.AsArray().Select(w => w!["text"]!.GetValue<string>()));
        }
    }

    private static SKRect Painted(XElement path)
    {
        var moved = Regex.Match(path.Attribute("transform")?.Value ?? "", @"^translate\((?<right>\S+) (?<down>\S+)\)$");
        float Mm(string group) => moved.Success ? float.Parse(moved.Groups[group].Value, CultureInfo.InvariantCulture) : 0;
        return Box(path.Attribute("d")!.Value, Mm("right"), Mm("down"));
    }

    private static SKRect Box(string path, float right, float down)
    {
        using var read = SKPath.ParseSvgPathData(path);
        var box = read.TightBounds;
        box.Offset(right, down);
        return box;
    }

    // A dash need not reach the end of its line, and is told by its own edge.
    private static bool Alike(SKRect a, SKRect b, bool dashed)
    {
        var most = dashed ? 1.3f : 0.03f;
        return Math.Abs(a.Left - b.Left) < most && Math.Abs(a.Right - b.Right) < most && Math.Abs(a.Top - b.Top) < most && Math.Abs(a.Bottom - b.Bottom) < most;
    }

    [Fact]
    public async Task A_label_is_printed_or_it_is_said_why_not()
    {
        var job = await Job("Hale Torvic");
        await _shop.Post($"/api/jobs/{job}/label/print", null, HttpStatusCode.Conflict);

        using var printer = new TcpListener(IPAddress.Loopback, 0);
        printer.Start();
        var port = ((IPEndPoint)printer.LocalEndpoint).Port;
        await _shop.Put("/api/label-printer", new { kind = "tcp", host = "127.0.0.1", port });
        foreach (var (answer, status, says) in ((string, HttpStatusCode, string)[])
            [("PRINTED", HttpStatusCode.OK, "The label is printed."), ("OUT OF PAPER", HttpStatusCode.ServiceUnavailable, "out of paper"), ("HEAD TOO HOT", HttpStatusCode.ServiceUnavailable, "too hot a head")])
        {
            var taken = Take(printer, answer);
            var told = await _shop.Post($"/api/jobs/{job}/label/print", null, status);
            (told["says"] ?? told["title"])!.GetValue<string>().ShouldContain(says);
            var (head, png) = await taken;
            head.Split(' ')[..2].ShouldBe(["LABEL", "62"]);
            using var picture = SkiaSharp.SKBitmap.Decode(png);
            picture.Width.ShouldBe(732, "62 mm at 300 dots to the inch");
        }
        printer.Stop();
        var gone = await _shop.Post($"/api/jobs/{job}/label/print", null, HttpStatusCode.ServiceUnavailable);
        gone["title"]!.GetValue<string>().ShouldContain("does not answer; nothing was printed");
        await _shop.Put("/api/label-printer", new { kind = "tcp", host = "a b", port = 99_999 }, HttpStatusCode.BadRequest);
    }

    private static async Task<(string Head, byte[] Png)> Take(TcpListener printer, string answer)
    {
        using var line = await printer.AcceptTcpClientAsync();
        await using var stream = line.GetStream();
        var (head, one) = (new StringBuilder(), new byte[1]);
        while (await stream.ReadAsync(one) == 1 && one[0] != '\n')
            head.Append((char)one[0]);
        var png = new byte[int.Parse(head.ToString().Split(' ')[3], System.Globalization.CultureInfo.InvariantCulture)];
        await stream.ReadExactlyAsync(png);
        await stream.WriteAsync(Encoding.ASCII.GetBytes(answer + "\n"));
        return (head.ToString(), png);
    }
}
