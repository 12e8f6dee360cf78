using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Support.UI;

namespace IronLoop.Browser.Tests;

/// <summary>A headless Chromium at 1280 × 800, and what a fitter does on the screen.</summary>
public sealed class Screen : IDisposable
{
    private readonly ChromeDriver _driver = Browsers.Borrow();
    private readonly string _address;

    public Screen(string address)
    {
        _address = address;
        Resize(1280, 800);
    }

    public string Path => new Uri(_driver.Url).AbsolutePath;

    /// <summary>Where the page is, with what it asks for.</summary>
    public string Address => new Uri(_driver.Url).PathAndQuery;

    public void Resize(int width, int height) =>
        _driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride", new Dictionary<string, object?>
        {
            ["width"] = width,
            ["height"] = height,
            ["deviceScaleFactor"] = 1,
            ["mobile"] = false,
        });

    public void Go(string path)
    {
        _driver.Navigate().GoToUrl(_address + path);
        Until(() => _driver.FindElement(By.CssSelector(".frame")).Displayed);
    }

    /// <summary>In a shop that nobody is entered in: makes the first lead, who is signed in then.</summary>
    public void EnterFirstLead(string initials = "IB", string passphrase = "seven grey herring boats")
    {
        Go("/");
        UntilSays("Enter the first manager.");
        SignIn(initials, passphrase, "Enter the first manager");
    }

    public void SignIn(string initials, string passphrase, string act = "Sign in", string says = "Sign out")
    {
        Type("initials", initials);
        Type("passphrase", passphrase);
        Press(act);
        UntilSays(says);
    }

    public void Reload() => _driver.Navigate().Refresh();

    /// <summary>Waits until something holds; fails with what was on the screen when it does not.</summary>
    public void Until(Func<bool> holds, string? what = null)
    {
        var wait = new WebDriverWait(_driver, TimeSpan.FromSeconds(45)) { PollingInterval = TimeSpan.FromMilliseconds(40) };
        wait.IgnoreExceptionTypes(typeof(NoSuchElementException), typeof(StaleElementReferenceException));
        try
        {
            wait.Until(_ => holds());
        }
        catch (WebDriverTimeoutException late)
        {
            throw new InvalidOperationException($"Waited in vain{(what is null ? "" : " for " + what)} at {Path}. The screen says:\n{Text}", late);
        }
    }

    /// <summary>What can be read on the screen. The browser itself says so: asked through the driver, every node is looked at by itself.</summary>
    public string Text => ((string)_driver.ExecuteScript("return document.body.innerText")!).Replace('\u00a0', ' ');

    public void UntilSays(string words) => Until(() => Text.Contains(words, StringComparison.Ordinal), $"“{words}”");

    /// <summary>Types into a field by its name, in place of what stood there, and leaves it with Tab.</summary>
    public void Type(string name, string text)
    {
        var field = Field(name);
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(text + Keys.Tab);
    }

    /// <summary>A field by its name; fields with a list keep their name on the outside.</summary>
    public IWebElement Field(string name) => Find($"[name=\"{name}\"]:not([type=hidden]), [data-field=\"{name}\"] input:not([type=hidden])");

    /// <summary>A date field takes day, month and year as typed in a British browser.</summary>
    public void SetDay(string name, DateOnly day)
    {
        var field = Find($"[name=\"{name}\"]");
        _driver.ExecuteScript(
            "arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event('input', { bubbles: true }))", field, day.ToString("yyyy-MM-dd"));
    }

    /// <summary>Opens a list by keyboard and takes the entry of that name.</summary>
    public void Pick(string name, string entry)
    {
        var field = Find($"[data-field={name}] input:not([type=hidden])");
        ((IJavaScriptExecutor)_driver).ExecuteScript("arguments[0].scrollIntoView({ block: 'center' }); arguments[0].focus()", field);
        Key(Keys.ArrowDown);
        var item = By.XPath($"//*[contains(@class,'v-overlay--active')]//*[contains(@class,'v-list-item-title')][normalize-space()='{entry}']");
        Until(() => _driver.FindElement(item).Displayed, $"the entry {entry}");
        _driver.FindElement(item).Click();
        Until(() => _driver.FindElements(By.CssSelector(".v-overlay--active")).Count == 0);
    }

    /// <summary>Takes an entry of a plain list.</summary>
    public void Choose(string name, string entry) => new SelectElement(Find($"select[name={name}]")).SelectByText(entry);

    /// <summary>Draws a stroke across something, as a finger signs.</summary>
    public void Draw(string css)
    {
        var ground = Find(css);
        IntoView(ground);
        new OpenQA.Selenium.Interactions.Actions(_driver).MoveToElement(ground, -60, 10).ClickAndHold().MoveByOffset(50, -18).MoveByOffset(40, 16).Release().Perform();
    }

    public void Press(string button)
    {
        var by = By.XPath($"//*[self::button or self::a][normalize-space()='{button}']");
        Until(() => _driver.FindElement(by).Enabled, $"the button {button}");
        var element = _driver.FindElement(by);
        ((IJavaScriptExecutor)_driver).ExecuteScript("arguments[0].scrollIntoView({ block: 'center' })", element);
        element.Click();
    }

    public void Key(string keys) => new OpenQA.Selenium.Interactions.Actions(_driver).SendKeys(keys).Perform();

    /// <summary>Presses the keys that lead to the next tag.</summary>
    public void Next() => new OpenQA.Selenium.Interactions.Actions(_driver).KeyDown(Keys.Control).SendKeys(Keys.ArrowDown).KeyUp(Keys.Control).Perform();

    /// <summary>Types at a set pace, as fingers do; 0 is all in one burst. Shift is held until it comes again.</summary>
    public void Key(string keys, int millisecondsAKey)
    {
        var actions = new OpenQA.Selenium.Interactions.Actions(_driver);
        var isShifted = false;
        foreach (var key in keys)
        {
            if (key == Keys.Shift[0])
                actions = (isShifted = !isShifted) ? actions.KeyDown(Keys.Shift) : actions.KeyUp(Keys.Shift);
            else
                actions.SendKeys(key.ToString());
            if (millisecondsAKey > 0)
                actions.Pause(TimeSpan.FromMilliseconds(millisecondsAKey));
        }
        actions.Perform();
    }

    /// <summary>Holds Enter down until it has repeated so often.</summary>
    public void HoldEnter(int repeats)
    {
        for (var i = 0; i <= repeats; i++)
            Enter("keyDown", isRepeat: i > 0);
        Enter("keyUp", isRepeat: false);

        void Enter(string type, bool isRepeat) => _driver.ExecuteCdpCommand("Input.dispatchKeyEvent", new Dictionary<string, object?>
        {
            ["type"] = type,
            ["key"] = "Enter",
            ["code"] = "Enter",
            ["windowsVirtualKeyCode"] = 13,
            ["text"] = "\r",
            ["autoRepeat"] = isRepeat,
        });
    }

    /// <summary>Lets every answer come so much later; 0 lets them come as they do.</summary>
    public void AnswersComeLate(int milliseconds)
    {
        _driver.ExecuteCdpCommand("Network.enable", []);
        _driver.ExecuteCdpCommand("Network.emulateNetworkConditions", new Dictionary<string, object?>
        {
            ["offline"] = false,
            ["latency"] = milliseconds,
            ["downloadThroughput"] = -1,
            ["uploadThroughput"] = -1,
        });
    }

    /// <summary>What the keyboard is on.</summary>
    public IWebElement Focused => _driver.SwitchTo().ActiveElement();

    public void Focus(string css) => ((IJavaScriptExecutor)_driver).ExecuteScript("arguments[0].focus()", Find(css));

    public IWebElement Find(string css)
    {
        Until(() => _driver.FindElements(By.CssSelector(css)).Count > 0, css);
        return _driver.FindElement(By.CssSelector(css));
    }

    public void IntoView(IWebElement element) =>
        ((IJavaScriptExecutor)_driver).ExecuteScript("arguments[0].scrollIntoView({ block: 'center' })", element);

    public IReadOnlyList<IWebElement> All(string css) => _driver.FindElements(By.CssSelector(css));

    public string Told(string testId) => Find($"[data-testid={testId}]").Text;

    public object? Run(string script) => ((IJavaScriptExecutor)_driver).ExecuteScript(script);

    public object? RunAsync(string script) => ((IJavaScriptExecutor)_driver).ExecuteAsyncScript(script);

    /// <summary>Fails when the browser's console holds an error.</summary>
    /// <param name="wasAway">Whether the server was killed since: that it did not answer is no error of the page's.</param>
    public void NoConsoleErrors(bool wasAway = false)
    {
        var errors = _driver.Manage().Logs.GetLog(LogType.Browser).Where(e => e.Level == LogLevel.Severe).Select(e => e.Message)
            .Where(m => !wasAway || !m.Contains("net::ERR_", StringComparison.Ordinal));
        string.Join('\n', errors).ShouldBeEmpty();
    }

    public void Dispose()
    {
        AnswersComeLate(0);
        Browsers.GiveBack(_driver);
    }
}
