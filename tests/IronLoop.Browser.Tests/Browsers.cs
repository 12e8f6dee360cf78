using System.Collections.Concurrent;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

[assembly: AssemblyFixture(typeof(IronLoop.Browser.Tests.Browsers))]

namespace IronLoop.Browser.Tests;

/// <summary>
/// Headless Chromiums, lent to one screen after the other: starting one, and compiling the client's scripts in it, takes
/// longer than most tests. What a screen left behind is cleared before the next has it.
/// </summary>
public sealed class Browsers : IDisposable
{
    private static readonly ConcurrentStack<ChromeDriver> Free = new();
    private static readonly ConcurrentBag<(ChromeDriver Driver, string Profile)> All = [];

    internal static ChromeDriver Borrow()
    {
        if (!Free.TryPop(out var driver))
            return Start();
        driver.ExecuteCdpCommand("Storage.clearDataForOrigin", new Dictionary<string, object?> { ["origin"] = "*", ["storageTypes"] = "cookies,local_storage,indexeddb" });
        // What the browser said to an earlier test is not this one's.
        driver.Manage().Logs.GetLog(LogType.Browser);
        return driver;
    }

    internal static void GiveBack(ChromeDriver driver)
    {
        // Nothing of the page goes on while its shop is stopped.
        driver.Navigate().GoToUrl("about:blank");
        Free.Push(driver);
    }

    public void Dispose()
    {
        foreach (var (driver, profile) in All)
        {
            driver.Quit();
            driver.Dispose();
            Directory.Delete(profile, recursive: true);
        }
    }

    private static ChromeDriver Start()
    {
        Environment.SetEnvironmentVariable("SE_OFFLINE", "true");
        Environment.SetEnvironmentVariable("SE_AVOID_STATS", "true");
        var profile = Directory.CreateTempSubdirectory("iron-loop-chromium-").FullName;
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments(
            "--headless=new", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
            "--disable-component-update", "--disable-sync", "--disable-dev-shm-usage", "--force-device-scale-factor=1", "--hide-scrollbars",
            "--lang=en-GB", "--force-prefers-reduced-motion", $"--user-data-dir={profile}");
        options.SetLoggingPreference(LogType.Browser, LogLevel.Warning);
        var driver = new ChromeDriver(ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver"), options, TimeSpan.FromMinutes(1));
        All.Add((driver, profile));
        return driver;
    }
}
