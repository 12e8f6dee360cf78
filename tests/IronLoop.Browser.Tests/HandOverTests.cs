using OpenQA.Selenium;

namespace IronLoop.Browser.Tests;

/// <summary>The watch goes back, is asked after, and comes again; labels, log, archive, a client forgotten.</summary>
public sealed class HandOverTests : IDisposable
{
    private readonly RunningStandIns _standIns = new();
    private readonly RunningShop _shop;
    private readonly Screen _screen;

    public HandOverTests()
    {
        _shop = new RunningShop(demo: true, _standIns);
        _screen = new Screen(_shop.Address);
    }

    public void Dispose()
    {
        _screen.Dispose();
        _shop.Dispose();
        _standIns.Dispose();
    }

    [Fact]
    public void A_posted_watch_is_packed_and_the_owner_who_comes_back_is_sized_up_from_the_bag()
    {
        _screen.Go("/jobs/3/hand-over");
        _screen.UntilSays("Come by and we move the clasp’s bar");
        _screen.Press("Returned parts");
        Count();
        _screen.Find("input[name=goesBack][value=posted]").Click();
        _screen.UntilSays("wrapped so that metal does not lie on metal");
        foreach (var line in _screen.All("fieldset input[type=checkbox]"))
        {
            _screen.IntoView(line);
            line.Click();
        }
        _screen.Type("price", "49,50");
        _screen.SetDay("observeOn", DateOnly.FromDateTime(DateTime.Now).AddDays(5));
        _screen.Type("observeFor", "does the end link rattle");
        _screen.Press("Close the job");
        _screen.UntilSays("New visit");
        _screen.Press("Advice");
        _screen.UntilSays("Posted, handed over by MK, 49.50; follow up on");

        // The rack reminds.
        _screen.Go("/");
        _screen.UntilSays("To follow up");
        _screen.UntilSays("does the end link rattle");

        // In winter the wrist is another: one figure, and the links come out of the bag.
        _screen.Go("/jobs/3/hand-over");
        _screen.Press("New visit");
        _screen.UntilSays("the bag with 3 links of 8.2 mm");
        _screen.Press("Take it in again");
        _screen.UntilSays("Still to gauge: wrist.");
        _screen.Press("Wrist");
        _screen.Type("wrist", "184");
        _screen.UntilSays("All that is needed is known.");
        _screen.Go(_screen.Path.Replace("gauge", "size", StringComparison.Ordinal));
        _screen.UntilSays("Put 1 link of 8.2 mm into");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public void A_label_comes_out_of_the_printer_or_it_is_said_why_not()
    {
        _screen.Go("/house/printer");
        _screen.UntilSays("62 mm wide");
        _screen.Pick("printerKind", "The stand-in printer that comes along");
        _screen.Press("Save");
        _screen.UntilSays("Settled.");
        _screen.Go("/jobs/3/hand-over");
        _screen.Press("Paper");
        _screen.Press("Print the label");
        _screen.UntilSays("The label is printed.");
        _standIns.Printer(new { paper = false }).ShouldBe(1);
        _screen.Press("Print the label");
        _screen.UntilSays("The label printer is out of paper; nothing was printed.");
        _standIns.Printer(new { paper = true, on = false });
        _screen.Press("Print the label");
        _screen.UntilSays("does not answer; nothing was printed.");
        _standIns.Printer(new { on = true });
        _screen.Press("Print the label");
        _screen.UntilSays("The label is printed.");
        _standIns.Printer().ShouldBe(2);
    }

    [Fact]
    public void The_log_answers_questions_and_tells_a_clients_life_until_it_is_forgotten()
    {
        _screen.Go("/log");
        _screen.Press("By client, watch, part, fitter, width, day");
        _screen.Type("watch", "pellmarsh diver");
        _screen.Type("fitter", "tb");
        _screen.Until(() => _screen.All(".log .visit").Count == 1, "one job");
        _screen.Find(".visit .head a[href^='/clients/']").Click();
        _screen.UntilSays("the net loft");
        _screen.UntilSays("What is kept, and why");
        _screen.Press("Forget this client…");
        _screen.Press("Forget Osk Brandel");
        _screen.UntilSays("Erased client");
        _screen.Text.ShouldNotContain("net loft");
        _screen.Go("/log");
        _screen.Type("words", "brandel");
        _screen.UntilSays("Nothing in the log answers to that.");
        _screen.Press("Over time");
        _screen.UntilSays("Jobs handed over, by week");
        _screen.UntilSays("20 mm");
        _screen.NoConsoleErrors();
    }

    [Fact]
    public async Task The_shop_goes_into_a_file_and_into_an_empty_shop_and_a_foreign_file_does_not()
    {
        _screen.Go("/house/archive");
        _screen.Press("Write an archive");
        _screen.UntilSays("59 jobs");
        var link = _screen.Find("[data-testid=work] a").GetAttribute("href")!;
        var folder = Directory.CreateTempSubdirectory("iron-loop-");
        using var http = new HttpClient();
        var file = Path.Combine(folder.FullName, "shop.json");
        await File.WriteAllBytesAsync(file, await http.GetByteArrayAsync(new Uri(link)));
        var foreign = Path.Combine(folder.FullName, "foreign.json");
        await File.WriteAllTextAsync(foreign, "{\"format\": \"a letter\"}");

        using var empty = new RunningShop(demo: false);
        using var screen = new Screen(empty.Address);
        screen.EnterFirstLead();
        screen.Go("/house/archive");
        screen.Find("input[name=archive]").SendKeys(foreign);
        screen.UntilSays("This is no archive of a shop");
        screen.Find("input[name=archive]").SendKeys(file);
        screen.UntilSays("59 jobs, ");
        screen.Go("/");
        screen.UntilSays("Hale Torvic");
        screen.NoConsoleErrors();
        folder.Delete(recursive: true);
    }

    private void Count()
    {
        foreach (var row in _screen.All(".sheet tr"))
            row.FindElement(By.CssSelector("input")).SendKeys(row.FindElement(By.CssSelector("td.figure")).Text);
    }
}
