using System.Globalization;
using OpenQA.Selenium;

namespace IronLoop.Browser.Tests;

/// <summary>Fingers that are faster than the line: what is typed lands in its own field, and what is pressed is done once.</summary>
public sealed class FastFingersTests : IDisposable
{
    private readonly RunningShop _shop = new(demo: true);
    private readonly Screen _screen;

    public FastFingersTests() => _screen = new Screen(_shop.Address);

    public void Dispose()
    {
        _screen.Dispose();
        _shop.Dispose();
    }

    /// <summary>A sheet as it is read aloud: what is typed for each figure, and what it comes to.</summary>
    private static readonly Dictionary<string, (string Typed, string Text)> Read = new()
    {
        ["lugWidth"] = ("20", "20 mm"),
        ["lugToLug"] = ("47", "47 mm"),
        ["barToBar"] = ("43", "43 mm"),
        ["barRise"] = ("3", "3 mm"),
        ["barGap"] = ("2.1", "2.1 mm"),
        ["lugHole"] = ("1", "1 mm"),
        ["caseHeight"] = ("11", "11 mm"),
        ["wrist"] = ("17,2 cm", "172 mm"),
        ["wristWidth"] = ("60", "60 mm"),
        ["wristDepth"] = ("46", "46 mm"),
    };

    [Fact]
    public void A_whole_sheet_typed_at_any_pace_over_any_line_lands_where_it_belongs()
    {
        _screen.Go("/");
        // Every pace, over a line that answers at once, late, and later than the next figure is typed.
        foreach (var (pace, late) in ((int, int)[])[(0, 0), (200, 0), (40, 150), (90, 150), (0, 600), (90, 600)])
        {
            var job = NewJob();
            _screen.Go($"/jobs/{job}/gauge");
            _screen.Until(() => _screen.Focused.GetAttribute("data-figure") == "lugWidth", "the first figure");
            var watch = Fields();
            _screen.Press("Wrist");
            _screen.Until(() => Fields().Contains("wrist"));
            var all = watch.Concat(Fields()).ToList();
            _screen.Press("Watch");
            _screen.Until(() => _screen.Focused.GetAttribute("data-figure") == "lugWidth", "the first figure again");

            _screen.AnswersComeLate(late);
            _screen.Key(string.Concat(all.Select(f => Read[f].Typed + Keys.Enter)), pace);
            _screen.Until(() => Values(job).Count >= all.Count / 2, "the first of them");
            _screen.Until(() => Values(job).Count >= all.Count, $"{all.Count} readings, {pace} ms a key, answers {late} ms late");
            _screen.AnswersComeLate(0);
            Values(job).ShouldBe(all.ToDictionary(f => f, f => Read[f].Text), ignoreOrder: true, $"{pace} ms a key, answers {late} ms late");
            _screen.All(".refused").ShouldBeEmpty();
        }
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void Two_readings_alike_are_two_and_one_refused_comes_back_into_its_own_field()
    {
        _screen.Go("/");
        var job = NewJob();
        _screen.Go($"/jobs/{job}/gauge");
        _screen.Until(() => _screen.Focused.GetAttribute("data-figure") == "lugWidth", "the first figure");
        _screen.AnswersComeLate(150);
        // Refused is the second, when the cursor has long been on.
        _screen.Key($"20{Keys.Shift}{Keys.Enter}{Keys.Shift}20{Keys.Enter}470{Keys.Enter}43{Keys.Enter}3{Keys.Enter}", 40);
        _screen.UntilSays("lug-to-lug is 470 mm; allowed is");
        _screen.Until(() => Values(job).Count == 3);
        _screen.AnswersComeLate(0);
        Values(job).ShouldBe(new Dictionary<string, string> { ["lugWidth"] = "20 mm 20 mm", ["barToBar"] = "43 mm", ["barRise"] = "3 mm" }, ignoreOrder: true);
        _screen.Find("[data-figure=lugToLug]").GetAttribute("value").ShouldBe("470");
        _screen.Focused.GetAttribute("data-figure").ShouldNotBe("lugToLug", "the cursor stays where the hand is");
    }

    [Fact]
    public void Enter_held_in_take_in_hangs_one_job_and_three_presses_at_the_bench_do_one_step()
    {
        foreach (var late in (int[])[0, 150])
        {
            _screen.Go("/take-in");
            var client = $"Wil Tansy {late}";
            _screen.Type("client", client);
            _screen.Type("watch", "Ostwick ferry clock");
            _screen.Type("by", "MK");
            _screen.Field("contact").Click();
            _screen.AnswersComeLate(late);
            _screen.HoldEnter(repeats: 12);
            _screen.Key(string.Concat(Enumerable.Repeat(Keys.Enter, 3)), 20);
            _screen.Until(() => _screen.Path.EndsWith("/gauge", StringComparison.Ordinal));
            _screen.AnswersComeLate(0);
            ((IEnumerable<object>)_screen.RunAsync("const done = arguments[0]; fetch('/api/jobs').then(r => r.json()).then(jobs => done(jobs.map(j => j.client)))")!)
                .Count(c => (string)c == client).ShouldBe(1);
        }

        _screen.Go("/jobs/21/bench");
        _screen.Until(() => _screen.All("[data-testid=step]").Count == 1, "a step");
        var (before, step) = (Done(21), _screen.Told("step"));
        _screen.Key("   ", 60);
        _screen.Until(() => _screen.Told("step") != step, "the next step");
        _screen.Until(() => _screen.All("[data-testid=step][aria-busy=true]").Count == 0);
        Done(21).ShouldBe(before + 1);
    }

    /// <summary>Every other sheet with figures: where it is, what is pressed to have it, and what is typed from its first field on, Tab after each.</summary>
    private static readonly (string View, string? Opened, string First, (string Field, string Typed)[] Typed, bool IsSaved)[] Sheets =
    [
        ("/jobs/{bracelet}/gauge?part=bracelet", null, "twelve",
            [("twelve", "2 fixed of 4; 8 of 4"), ("six", "2 fixed of 4; 7 of 4"), ("halfPitch", "2 mm"), ("spares", "2 of 4")], true),
        ("/jobs/{bracelet}/gauge?part=bracelet", null, "claspTwelve", [("claspTwelve", "18 mm"), ("claspSix", "16 mm"), ("positions", "3")], true),
        ("/house/limits", null, "softFits", [("softFits", "0.6"), ("softShows", "2.5"), ("softSqueeze", "0.7"), ("rubberSqueeze", "0.4")], true),
        ("/house/limits?late", null, "metalFits", [("metalFits", "0,4"), ("metalPlay", "1,2"), ("metalReading", "0,2"), ("metalFile", "1,1")], true),
        ("/bands/new", null, "name", [("name", "Plaited"), ("width", "20"), ("thickness", "3"), ("twelve", "2 fixed of 4; 8 of 4"), ("six", "2 fixed of 4; 7 of 4")], false),
        ("/house/parts", "Put a part on the list", "article", [("article", "CL-Z"), ("name", "Clasp"), ("supplier", "Quay"), ("supplierArticle", "77")], false),
        ("/house/bars", null, "article", [("article", "SB-99"), ("length", "20.5"), ("body", "1.5"), ("tip", "0.8")], false),
        ("/house/tools", null, "name", [("name", "fine punch"), ("across", "0.7")], false),
        ("/jobs/4/bench?part=try-on", null, "triedAmount", [("triedAmount", "6.5"), ("triedSeen", "2")], false),
    ];

    [Fact]
    public void Every_other_sheet_with_figures_keeps_what_is_typed_in_a_burst_or_over_a_late_line()
    {
        _screen.Go("/");
        foreach (var (pace, late) in ((int, int)[])[(0, 0), (90, 150)])
        {
            var bracelet = NewJob("takeLinksOut").ToString(CultureInfo.InvariantCulture);
            // A rule that was changed has a way back beside it, where Tab stops: the second time others are changed.
            foreach (var sheet in Sheets.Where(s => !s.View.StartsWith("/house/limits", StringComparison.Ordinal) || s.View.EndsWith("late", StringComparison.Ordinal) == late > 0))
            {
                _screen.Go(sheet.View.Replace("{bracelet}", bracelet, StringComparison.Ordinal));
                if (sheet.Opened is { } opened)
                    _screen.Press(opened);
                _screen.Until(() => _screen.All($"input[name={sheet.First}]").Count == 1, $"{sheet.View}: {sheet.First}");
                _screen.Field(sheet.First).Click();
                _screen.Run("document.activeElement.select()");
                _screen.AnswersComeLate(late);
                var typed = sheet.Typed.ToDictionary(t => t.Field, t => t.Typed);
                _screen.Key(string.Concat(typed.Values.Select(t => t + Keys.Tab)), pace);
                if (sheet.IsSaved)
                    _screen.Until(() => Stored(sheet.View, bracelet, typed), $"{sheet.View} stored, {pace} ms a key, {late} ms late: {Shown(typed)}");
                else
                    Shown(typed).ShouldBe(string.Join("; ", typed.Select(t => $"{t.Key}={t.Value}")), $"{sheet.View}, {pace} ms a key");
                _screen.AnswersComeLate(0);
            }
        }
        _screen.NoConsoleErrors();
    }

    private string Shown(Dictionary<string, string> typed) => string.Join("; ", typed.Keys.Select(f => $"{f}={_screen.Field(f).GetAttribute("value")}"));

    /// <summary>Whether the shop has what was typed, figure by figure.</summary>
    private bool Stored(string view, string job, Dictionary<string, string> typed)
    {
        var has = view.StartsWith("/house/limits", StringComparison.Ordinal)
            ? (string)_screen.RunAsync("const done = arguments[0]; fetch('/api/limits').then(r => r.json()).then(all => done(JSON.stringify(Object.fromEntries(all.map(l => [l.limit, l.value])))))")!
            : (string)_screen.RunAsync($"const done = arguments[0]; fetch('/api/jobs/{job}/gauge').then(r => r.json()).then(s => done(JSON.stringify(s.bracelet)))")!;
        var stored = System.Text.Json.Nodes.JsonNode.Parse(has)!;
        return typed.All(t => Digits(stored[t.Key]!.ToString()) == Digits(t.Value));
    }

    private static string Digits(string text) => string.Concat(text.Where(char.IsAsciiDigit));

    private List<string> Fields() => [.. _screen.All("input[data-figure]").Select(f => f.GetAttribute("data-figure")!)];

    private long Done(long job) =>
        (long)_screen.RunAsync($"const done = arguments[0]; fetch('/api/jobs/{job}/bench').then(r => r.json()).then(b => done(b.steps.filter(s => s.done).length))")!;

    /// <summary>What is read of a job, as the shop has it.</summary>
    private Dictionary<string, string> Values(long job)
    {
        var told = (IEnumerable<object>)_screen.RunAsync(
            $"const done = arguments[0]; fetch('/api/jobs/{job}/gauge').then(r => r.json()).then(s => done(s.lines.filter(l => l.readings.length).map(l => l.figure + '=' + l.readings.map(r => r.text).join(' '))))")!;
        return told.Select(t => ((string)t).Split('=')).ToDictionary(t => t[0], t => t[1]);
    }

    /// <summary>A job just taken in, of which only the attachment is known.</summary>
    private long NewJob(string request = "changeStrap") => Convert.ToInt64(_screen.RunAsync(
        """
        const done = arguments[0];
        (async () => {
          const { token } = await (await fetch('/api/door')).json();
          const send = (method, path, body) => fetch(path, { method, body: JSON.stringify(body),
            headers: { 'Content-Type': 'application/json', 'X-Iron-Loop-Token': token, 'If-Match': '*' } }).then(r => r.json());
          const promised = new Date(Date.now() + 3 * 86400000).toISOString().slice(0, 10);
          const job = await send('POST', '/api/jobs', { client: 'Mara Quill ' + Math.random(), watch: 'Ostwick sextant', request: '$request', promised, by: 'MK' });
          await send('PATCH', `/api/jobs/${job.id}/gauge`, { attachment: 'springBarDrilled' });
          done(job.id);
        })();
        """.Replace("$request", request, StringComparison.Ordinal))!, CultureInfo.InvariantCulture);
}
