namespace IronLoop.Browser.Tests;

/// <summary>Looks at every main view for what a fitter would stumble over.</summary>
public sealed class EveryScreenTests : IDisposable
{
    private static readonly string[] Views =
    [
        "/", "/take-in", "/log", "/house/catalogue", "/house/bars", "/house/parts", "/house/orders", "/house/tools", "/house/limits", "/house/caliper", "/house/printer", "/house/archive", "/house/hands", "/house/about", "/clients/1", "/bands/6/fits", "/bands/new", "/jobs/5/take-in", "/jobs/8/gauge", "/jobs/14/gauge", "/jobs/10/match", "/jobs/6/clasp", "/jobs/5/size", "/jobs/9/size",
        "/jobs/6/size", "/jobs/4/bench", "/jobs/3/hand-over", "/jobs/15/size", "/jobs/15/take-in",
    ];

    private readonly string _axe = File.ReadAllText(House.Axe);
    private readonly RunningShop _shop = new(demo: true);
    private readonly Screen _screen;

    public EveryScreenTests() => _screen = new Screen(_shop.Address);

    public void Dispose()
    {
        _screen.Dispose();
        _shop.Dispose();
    }

    [Fact]
    public void Every_view_fits_laptop_tablet_and_phone_can_be_read_and_passes_the_accessibility_check()
    {
        foreach (var view in Views)
        {
            Open(view);
            CanBeRead(view);
            PassesTheAccessibilityCheck(view, "wcag2a", "wcag2aa");
            // In the evening the colours are others, and nothing else.
            _screen.Press("Dark");
            PassesTheAccessibilityCheck($"{view} in the evening", "color-contrast");
            _screen.Press("Light");
            foreach (var (width, height) in ((int, int)[])[(1280, 800), (1024, 768), (820, 1180), (390, 844)])
            {
                _screen.Resize(width, height);
                Settled();
                _screen.Run("return document.documentElement.scrollWidth").ShouldBe((long)width, $"{view} at {width}");
            }
            _screen.Resize(1280, 800);
        }
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_very_long_name_and_a_job_that_is_not_there_do_not_break_the_frame()
    {
        _screen.Go("/take-in");
        _screen.Type("client", new string('W', 40));
        _screen.Type("watch", new string('M', 80));
        _screen.Type("by", "TB");
        _screen.Press("Take it in");
        _screen.UntilSays("Still to gauge");
        _screen.Run("return document.documentElement.scrollWidth").ShouldBe(1280L);
        _screen.NoConsoleErrors();
        _screen.Go("/jobs/4711/size");
        _screen.UntilSays("There is no job with tag 4711.");
    }

    private void PassesTheAccessibilityCheck(string view, params string[] tags)
    {
        _screen.Run($"if (!window.axe) {{ {_axe} }}");
        // What is still fading in has not the colours it will have.
        _screen.Until(() => _screen.Run("return document.getAnimations().filter(a => a.playState === 'running').length") is 0L, "everything still");
        var found = (string?)_screen.RunAsync(
            $$"""
            const done = arguments[0];
            axe.run(document, { runOnly: [{{string.Join(", ", tags.Select(t => $"'{t}'"))}}] }).then(r =>
              done(r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + n.failureSummary).join('; ')).join('\n')));
            """);
        found.ShouldBeNullOrEmpty(view);
    }

    /// <summary>No text is smaller than can be read at arm's length.</summary>
    private void CanBeRead(string view)
    {
        var small = (string?)_screen.Run(
            """
            return [...document.querySelectorAll('body *')]
              .filter(e => !e.closest('svg') && e.checkVisibility() && [...e.childNodes].some(n => n.nodeType === 3 && n.data.trim()))
              .filter(e => parseFloat(getComputedStyle(e).fontSize) < 14)
              .map(e => e.className + ' ' + e.textContent.trim().slice(0, 30)).join('\n')
            """);
        small.ShouldBeNullOrEmpty(view);
    }

    private void Open(string view)
    {
        _screen.Go(view);
        _screen.Until(() => _screen.All(".tag").Count > 0 && _screen.All(".job, .start, .new, .log, .house, .fits, section.client .kept").Count > 0, view);
        Settled();
    }

    private void Settled() => _screen.RunAsync("const done = arguments[0]; document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(() => done(true))))");
}
