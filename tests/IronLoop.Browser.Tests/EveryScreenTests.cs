using System.Globalization;
using System.Text.RegularExpressions;
using OpenQA.Selenium;

namespace IronLoop.Browser.Tests;

/// <summary>Looks at every view for what a fitter would stumble over. Which views there are is told by the client's own addresses, chains and tabs.</summary>
public sealed partial class EveryScreenTests(ITestOutputHelper output) : IDisposable
{
    /// <summary>What stands for what in an address, and the jobs that each station is looked at with.</summary>
    private static readonly Dictionary<string, string[]> Stands = new()
    {
        ["/"] = ["/"],
        ["/take-in"] = ["/take-in"],
        ["/counter"] = ["/counter"],
        ["/own"] = ["/own"],
        ["/log"] = ["/log"],
        ["/clients/:id(\\\\d+)"] = ["/clients/1"],
        ["/house/:part"] = ["/house/catalogue"],
        ["/bands/:id(\\\\d+)/fits"] = ["/bands/6/fits"],
        ["/models/:id(\\\\d+)"] = ["/models/1"],
        ["/bands/new"] = ["/bands/new", "/bands/new?job=10"],
        ["/jobs/:id(\\\\d+)/:station"] =
            ["/jobs/5/take-in", "/jobs/8/gauge", "/jobs/10/match", "/jobs/6/clasp", "/jobs/5/size", "/jobs/9/size", "/jobs/4/bench", "/jobs/23/hand-over", "/jobs/50/hand-over"],
        ["/:rest(.*)*"] = ["/nowhere"],
    };

    /// <summary>What is opened within a view: its address, and the button or key that opens it.</summary>
    private static readonly (string View, string Opens)[] Opened =
    [
        ("/jobs/5/size", Keys.F1), ("/jobs/5/size", Keys.F2), ("/house/parts", "Put a part on the list"), ("/house/parts", "Count the stock"),
        ("/jobs/10/match", "Filters and wishes"), ("/jobs/10/match", "Open-end strap"), ("/jobs/4/bench", "Not tried…"), ("/jobs/23/hand-over", "Count the parts"),
        ("/log", "By client, watch, part, fitter, width, day"),
    ];

    private static readonly (int Width, int Height)[] Sizes = [(1280, 800), (1024, 768), (820, 1180), (390, 844)];

    private const int MostTabs = 12;
    private const int MostCalls = 3;

    private readonly string _axe = File.ReadAllText(House.Axe);
    private readonly string _look = File.ReadAllText(Path.Combine(House.Root, "tests/IronLoop.Browser.Tests/look.js"));
    private readonly RunningShop _shop = new(demo: true);
    private Screen? _lent;

    private Screen Screen => _lent ??= new Screen(_shop.Address);

    public void Dispose()
    {
        _lent?.Dispose();
        _shop.Dispose();
    }

    [Fact]
    public void Every_view_fits_four_sizes_can_be_hit_and_read_and_passes_the_accessibility_check_in_both_variants()
    {
        var faults = new List<string>();
        var titles = new Dictionary<string, string>();
        output.WriteLine("view | Tab presses to what comes next | calls | bytes of answers");
        var (views, mostTabs, mostCalls, mostBytes) = (0, 0, 0L, 0L);
        foreach (var view in Views())
        {
            views++;
            Open(view);
            // A sheet that is only just coming takes the keyboard once: then it is counted anew.
            var tabs = TabsToTheAct();
            if (tabs > MostTabs)
                tabs = TabsToTheAct();
            var (calls, bytes) = (Calls(), Bytes());
            output.WriteLine($"{view} | {tabs?.ToString(CultureInfo.InvariantCulture) ?? "–"} | {calls} | {bytes}");
            (mostTabs, mostCalls, mostBytes) = (Math.Max(mostTabs, tabs ?? 0), Math.Max(mostCalls, calls), Math.Max(mostBytes, bytes));
            if (tabs > MostTabs)
                faults.Add($"{view}: {tabs} Tab presses to what comes next");
            if (calls > MostCalls)
                faults.Add($"{view}: {calls} calls: {Called()}");
            var title = (string)Screen.Run("return document.title")!;
            if (titles.TryGetValue(title, out var other) && other.Split('?')[0] != view.Split('?')[0])
                faults.Add($"{view}: is called “{title}” like {other}");
            titles[title] = view;
            foreach (var (width, height) in Sizes)
            {
                Screen.Resize(width, height);
                Settled();
                faults.AddRange(((IEnumerable<object>)Screen.Run($"return (\n{_look})")!).Select(f => $"{view} at {width}: {f}"));
                if (width is not (1280 or 390))
                    continue;
                faults.AddRange(Axe("{}").Select(f => $"{view} at {width}: {f}"));
            }
            // In the dark the colours are others, and nothing else.
            Light("dark");
            faults.AddRange(Axe("{ runOnly: ['color-contrast'] }").Select(f => $"{view} in the dark: {f}"));
            Light("light");
            Screen.Resize(1280, 800);
        }
        output.WriteLine($"{views} views; at most {mostTabs} Tab presses, {mostCalls} calls, {mostBytes} bytes; {faults.Count} faults");
        string.Join('\n', faults).ShouldBeEmpty();
        Screen.NoConsoleErrors();
    }

    [Fact]
    public void Long_names_many_links_many_tags_and_long_notes_do_not_break_a_view()
    {
        Screen.Go("/");
        var job = Extremes();
        var faults = new List<string>();
        foreach (var view in (string[])["/", $"/jobs/{job}/take-in", $"/jobs/{job}/gauge", $"/jobs/{job}/gauge?part=bracelet", $"/jobs/{job}/match", $"/jobs/{job}/clasp", $"/jobs/{job}/size", $"/jobs/{job}/bench", "/log"])
        {
            Open(view);
            foreach (var (width, height) in Sizes)
            {
                Screen.Resize(width, height);
                Settled();
                faults.AddRange(((IEnumerable<object>)Screen.Run($"return (\n{_look})")!).Select(f => $"{view} at {width}: {f}"));
            }
            Screen.Resize(1280, 800);
        }
        string.Join('\n', faults).ShouldBeEmpty();
        Open("/");
        Screen.All(".tag").Count(t => t.Displayed).ShouldBeGreaterThan(200);
        Screen.Go("/jobs/4711/size");
        Screen.UntilSays("There is no job with tag 4711.");
    }

    [Fact]
    public void What_is_opened_within_a_view_fits_too_and_so_does_a_page_at_twice_its_size()
    {
        var faults = new List<string>();
        foreach (var (view, opens) in Opened)
        {
            Open(view);
            if (opens.Length > 1)
                Screen.Press(opens);
            else
                Screen.Key(opens);
            Screen.Until(() => opens.Length > 1 || Screen.All("[role=dialog]").Count == 1, "the dialog");
            foreach (var (width, height) in Sizes.Where(s => s.Width is 1280 or 390))
            {
                Screen.Resize(width, height);
                Settled();
                faults.AddRange(((IEnumerable<object>)Screen.Run($"return (\n{_look})")!).Select(f => $"{view}, {opens} at {width}: {f}"));
                if (width is 390)
                    faults.AddRange(Axe("{}").Select(f => $"{view}, {opens} at {width}: {f}"));
            }
            Screen.Resize(1280, 800);
        }
        // 1280 by 800 at 200 % has as many points as 640 by 400.
        Screen.Resize(640, 400);
        foreach (var view in (string[])["/", "/take-in", "/counter", "/jobs/10/match", "/jobs/5/size", "/jobs/4/bench"])
        {
            Open(view);
            faults.AddRange(((IEnumerable<object>)Screen.Run($"return (\n{_look})")!).Select(f => $"{view} at 200 %: {f}"));
        }
        string.Join('\n', faults).ShouldBeEmpty();
        Screen.NoConsoleErrors();
    }

    [Fact]
    public void The_keyboard_is_never_left_on_nothing_and_an_address_tells_its_part()
    {
        Open("/jobs/5/take-in");
        // The chain is one stop; arrows go along it, and what is opened has the keyboard.
        foreach (var station in (string[])["Gauge", "Match", "Clasp", "Size", "Bench", "Hand-over"])
        {
            Screen.Focus(".chain a.here");
            Screen.Key(Keys.ArrowRight);
            Screen.Focused.Text.ShouldStartWith(station);
            Screen.Key(Keys.Enter);
            Screen.Until(() => Screen.All(".chain a.here").Count == 1 && Screen.Find(".chain a.here").Text.StartsWith(station, StringComparison.Ordinal), station);
            // A heading has the keyboard only until what it is for has been fetched.
            Screen.Until(() => Screen.Focused is { TagName: "input" } || Screen.Focused.GetAttribute("data-act") == "first", $"the keyboard on {station}");
        }
        Open("/jobs/5/gauge");
        Screen.Press("Wrist");
        Screen.Until(() => Screen.Address.EndsWith("?part=wrist", StringComparison.Ordinal));
        Screen.Press("Watch");
        Screen.Run("history.back()");
        Screen.Until(() => Screen.Find("[role=tab][aria-selected=true]").Text == "Wrist", "the part that was left");
        Open("/jobs/5/gauge?part=moon");
        Screen.UntilSays("There is no part “moon” here; this is Watch.");
        Open("/jobs/5/moon");
        Screen.UntilSays("There is no station “moon”");
        Open("/house/moon");
        Screen.UntilSays("The shop has no page “moon”.");
        Open("/moon");
        Screen.UntilSays("There is no page “/moon”.");
        Screen.NoConsoleErrors();
    }

    [Fact]
    public void Find_and_go_leads_to_everything_that_has_a_name_and_keys_are_one_s_own()
    {
        Open("/jobs/5/size");
        foreach (var (typed, path) in ((string, string)[])
            [("ma", "/jobs/5/match"), ("rul", "/house/limits"), ("oakes bet", "/jobs/4/"), ("tag 23", "/jobs/23/"), ("bag 23", "/jobs/23/"), ("sk-t20", "/bands/"), ("cl-b18", "/house/parts"), ("regatta", "/jobs/")])
        {
            Screen.Key(Keys.F2);
            Screen.Until(() => Screen.Focused.GetAttribute("name") == "findWords", "the box");
            Screen.Key(typed);
            Screen.Until(() => Screen.All("#found [aria-selected=true]").Count == 1 && !Screen.Text.Contains("Looking…", StringComparison.Ordinal), typed);
            Screen.Until(() => Screen.Run("return document.querySelectorAll('#found li').length") is > 0L);
            Screen.Until(
                () =>
                {
                    if (Screen.All("[name=findWords]").Count > 0)
                        Screen.Key(Keys.Enter);
                    return Screen.Path.StartsWith(path, StringComparison.Ordinal);
                },
                $"{typed} at {path}");
            Open("/jobs/5/size");
        }
        Screen.Key(Keys.F1);
        Screen.UntilSays("Everywhere");
        Screen.Key(Keys.Escape);
        Screen.Until(() => Screen.All("[role=dialog]").Count == 0);

        // A key is changed, and does what the former one did; a character alone is refused.
        Screen.Go("/own");
        Screen.Find("[aria-label='Change the key: Counter']").Click();
        Screen.Key("c");
        Screen.UntilSays("calipers and scanners type those");
        Screen.Key(Keys.F10);
        Screen.Until(() => Screen.Find("[data-key=counter]").Text == "F10");
        Screen.Key(Keys.F8);
        Screen.Path.ShouldBe("/own");
        Screen.Key(Keys.F10);
        Screen.Until(() => Screen.Path == "/counter");
        Screen.Next();
        Screen.Until(() => Screen.Path.StartsWith("/jobs/", StringComparison.Ordinal), "the first tag");
        Screen.NoConsoleErrors();
    }

    /// <summary>Every address of the client, with every part it shows.</summary>
    private IEnumerable<string> Views()
    {
        var seen = new HashSet<string>();
        var router = File.ReadAllText(Path.Combine(House.Root, "client/src/router.ts"));
        foreach (Match route in Routes().Matches(router))
        {
            if (route.Groups["rest"].Value.Contains("redirect", StringComparison.Ordinal))
                continue;
            Stands.ShouldContainKey(route.Groups["path"].Value, "nobody looks at this address");
            foreach (var start in Stands[route.Groups["path"].Value])
            {
                Open(start);
                // Each part stands in the address once it is opened.
                var views = new List<string> { start };
                var tabs = (long)Screen.Run("return document.querySelectorAll('main [role=tab]').length")!;
                for (var i = 1L; i < tabs; i++)
                {
                    var before = Screen.Address;
                    Screen.Run($"document.querySelectorAll('main [role=tab]')[{i}].click()");
                    Screen.Until(() => Screen.Address != before, "the part in the address");
                    views.Add(Screen.Address);
                }
                if (start.StartsWith("/house/", StringComparison.Ordinal))
                    foreach (var page in ((IEnumerable<object>)Screen.Run("return [...document.querySelectorAll('.house nav a')].map(a => a.getAttribute('href'))")!).Skip(1))
                        views.Add((string)page);
                // What a second job shows of the same is not looked at twice.
                foreach (var view in views.Where(v => seen.Add($"{v.Split('?')[0].Split('/').Last()} {v.Split('?').ElementAtOrDefault(1)}") || v == start))
                    yield return view;
            }
        }
    }

    [GeneratedRegex("path: '(?<path>[^']+)',(?<rest>[^\\n]*)")]
    private static partial Regex Routes();

    private List<string> Axe(string how)
    {
        if (Screen.Run("return window.axe === undefined") is true)
            Screen.Run(_axe);
        // What is still fading in has not the colours it will have.
        Screen.Until(() => Screen.Run("return document.getAnimations().filter(a => a.playState === 'running').length") is 0L, "everything still");
        return [.. ((IEnumerable<object>)Screen.RunAsync(
            $"const done = arguments[0]; axe.run(document, {how}).then(r => done(r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + n.failureSummary).join('; '))))")!).Cast<string>()];
    }

    private void Light(string which)
    {
        Screen.Run($"localStorage.setItem('iron-loop-light', '{which}'); window.dispatchEvent(new StorageEvent('storage', {{ key: 'iron-loop-light', newValue: '{which}', storageArea: localStorage }}))");
        Screen.Until(() => Screen.All($".v-theme--{(which == "dark" ? "dark" : "paper")}.v-application").Count == 1, which);
    }

    /// <summary>How often Tab is pressed from the page's start until the act that comes next has the keyboard; null where there is none.</summary>
    private int? TabsToTheAct()
    {
        if (Screen.All("[data-act=first]:not(.quiet)").Count == 0)
            return null;
        Screen.Run("document.activeElement.blur(); document.querySelector('.skip').focus()");
        for (var tabs = 1; tabs <= MostTabs; tabs++)
        {
            if (Screen.Run("return document.activeElement.dataset.act === 'first'") is true)
                return tabs;
            // A link past everything counts as the press that it is.
            Screen.Key(Screen.Focused.Text == "To what comes next" ? Keys.Enter : Keys.Tab);
        }
        return MostTabs + 1;
    }

    // The frame's own are who is here, the rack and the job that is open.
    private const string OfTheView =
        "performance.getEntriesByType('resource').filter(r => /\\/api\\//.test(r.name) && !/\\/api\\/(door|jobs\\?|changes|caliper\\/stream)/.test(r.name) && !/\\/api\\/jobs(\\/\\d+)?$/.test(r.name))";

    private long Calls() => (long)Screen.Run($"return {OfTheView}.length")!;

    private string Called() => (string)Screen.Run($"return {OfTheView}.map(r => new URL(r.name).pathname).join(' ')")!;

    private long Bytes() => Convert.ToInt64(Screen.Run($"return {OfTheView}.reduce((all, r) => all + r.transferSize, 0)"), CultureInfo.InvariantCulture);

    /// <summary>A job with the longest of everything, on a rack of two hundred.</summary>
    private long Extremes() => Convert.ToInt64(Screen.RunAsync(
        """
        const done = arguments[0];
        (async () => {
          const { token } = await (await fetch('/api/door')).json();
          const send = (method, path, body) => fetch(path, { method, body: JSON.stringify(body),
            headers: { 'Content-Type': 'application/json', 'X-Iron-Loop-Token': token, 'If-Match': '*' } }).then(r => r.json());
          const promised = new Date(Date.now() + 30 * 86400000).toISOString().slice(0, 10);
          const long = (n) => 'Wilhelmina '.repeat(n).slice(0, n).trim();
          for (let i = 0; i < 200; i++) await send('POST', '/api/jobs', { client: `Tam Rigg ${i}`, watch: 'Ostwick', request: 'changeStrap', promised, by: 'MK' });
          const job = await send('POST', '/api/jobs', { client: long(60), watch: 'M'.repeat(60), contact: 'x'.repeat(60), request: 'takeLinksOut', promised, by: 'MK', words: 'So it goes. '.repeat(75).trim() });
          await send('PATCH', `/api/jobs/${job.id}/gauge`, { attachment: 'springBarDrilled', wear: 'regular' });
          for (const [figure, typed] of [['lugWidth', '20'], ['lugToLug', '48'], ['wrist', '215'], ['bandWidth', '20'], ['bandThickness', '3']])
            await send('POST', `/api/jobs/${job.id}/gauge/readings`, { figure, typed });
          await send('PATCH', `/api/jobs/${job.id}/gauge/bracelet`, { twelve: '2 fixed of 4; 28 of 4', six: '2 fixed of 4; 28 of 4', claspTwelve: '18', claspSix: '18', positions: 1 });
          done(job.id);
        })().catch(e => done(String(e)));
        """)!, CultureInfo.InvariantCulture);

    private void Open(string view)
    {
        Screen.Go(view);
        Screen.Until(() => Screen.Run("return document.querySelectorAll('main h1, main h2').length > 0 && performance.now() > 300") is true, view);
        Screen.Until(() => Screen.Run("return !/Asking every rule|Looking at the rack/.test(document.body.innerText)") is true, view);
        Settled();
    }

    private void Settled() => Screen.RunAsync("const done = arguments[0]; document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(() => done(true))))");
}
