namespace IronLoop.Server.Door;

/// <summary>The device a request comes from.</summary>
internal static class Device
{
    /// <summary>Where a request comes from: its address and its browser.</summary>
    public static string DeviceOf(this HttpContext context)
    {
        var browser = context.Request.Headers.UserAgent.ToString();
        var device = $"{context.Connection.RemoteIpAddress?.ToString() ?? "here"}, {(browser.Length == 0 ? "no browser" : browser)}";
        return device.Length > 200 ? device[..200] : device;
    }
}
