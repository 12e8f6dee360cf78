using System.Net;
using System.Net.ServerSentEvents;
using System.Net.Sockets;
using System.Text;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>A caliper's line, with this test at its other end.</summary>
public sealed class CaliperTests : IDisposable
{
    private readonly Shop _shop = new();
    private readonly TcpListener _door = new(IPAddress.Loopback, 0);
    private readonly CancellationTokenSource _until = new(TimeSpan.FromSeconds(30));

    public CaliperTests() => _door.Start();

    public void Dispose()
    {
        _door.Dispose();
        _shop.Dispose();
        _until.Dispose();
    }

    private Task<JsonNode> Settle(object source, HttpStatusCode expected = HttpStatusCode.OK) => _shop.Put("/api/caliper", source, expected);

    [Fact]
    public async Task Readings_inches_garbage_and_a_lost_line_reach_the_screen_as_they_come()
    {
        await Settle(new { kind = "tcp", host = "127.0.0.1", port = ((IPEndPoint)_door.LocalEndpoint).Port });
        using var caliper = await _door.AcceptTcpClientAsync(_until.Token);
        await using var news = await News.Listen(_shop.Client, _until.Token);
        (await news.Next(w => w["connected"]!.GetValue<bool>()))["says"]!.GetValue<string>().ShouldStartWith("Listening to the caliper at 127.0.0.1");

        await Send(caliper, "19.42 mm\r\n");
        (await news.Next())["typed"]!.GetValue<string>().ShouldBe("19.42 mm");
        // A line may come in pieces, and two at once.
        await Send(caliper, "0.76");
        await Send(caliper, "45 in\n#?!\r\n");
        var inches = await news.Next();
        inches["typed"]!.GetValue<string>().ShouldBe("19.418 mm");
        inches["inInches"]!.GetValue<bool>().ShouldBeTrue();
        inches["says"]!.GetValue<string>().ShouldBe("0.7645 in, taken as 19.418 mm");
        var garbage = await news.Next();
        garbage["news"]!.GetValue<string>().ShouldBe("garbage");
        garbage["says"]!.GetValue<string>().ShouldContain("3 characters, which is no reading");
        // What never ends is garbage too, and does not fill the memory.
        await Send(caliper, new string('7', 121));
        (await news.Next())["news"]!.GetValue<string>().ShouldBe("garbage");

        caliper.Close();
        (await news.Next(w => !w["connected"]!.GetValue<bool>()))["says"]!.GetValue<string>().ShouldContain("looking for it again");
        using var again = await _door.AcceptTcpClientAsync(_until.Token);
        await news.Next(w => w["connected"]!.GetValue<bool>());
        await Send(again, "20.00\n");
        (await news.Next())["typed"]!.GetValue<string>().ShouldBe("20 mm");
    }

    [Fact]
    public async Task A_serial_port_that_is_not_there_is_said_and_the_line_can_be_settled_anew()
    {
        await Settle(new { kind = "serial", serial = "/dev/no-such-port", baud = 9600 });
        await using var news = await News.Listen(_shop.Client, _until.Token);
        await news.Next(w => w["says"]!.GetValue<string>() == "Cannot reach the caliper at /dev/no-such-port; looking for it again.");
        await Settle(new { kind = "none" });
        await news.Next(w => w["says"]!.GetValue<string>() == "No caliper line is set.");
        using var again = new Shop(folder: _shop.Stop());
        (await again.Get("/api/caliper"))["source"]!["serial"]!.GetValue<string>().ShouldBe("/dev/ttyUSB0");
    }

    [Theory]
    [InlineData("tcp", "host", "", "$.host")]
    [InlineData("serial", "serial", "my port", "$.serial")]
    public async Task A_line_that_cannot_be_is_refused(string kind, string field, string value, string path)
    {
        var problem = await Settle(new JsonObject { ["kind"] = kind, [field] = value }.ToJsonString(), HttpStatusCode.BadRequest);
        problem["errors"]![path].ShouldNotBeNull();
        (await _shop.Get("/api/caliper"))["source"]!["kind"]!.GetValue<string>().ShouldBe("none");
    }

    [Fact]
    public async Task A_port_out_of_range_is_refused()
    {
        var problem = await Settle(new { kind = "tcp", host = "127.0.0.1", port = 70_000 }, HttpStatusCode.BadRequest);
        problem["errors"]!["$.port"]![0]!.GetValue<string>().ShouldBe("port is 70000; allowed is 1 to 65535.");
    }

    private async Task Send(TcpClient caliper, string text) => await caliper.GetStream().WriteAsync(Encoding.Latin1.GetBytes(text), _until.Token);

    /// <summary>The stream of server-sent events, one piece of news after the other.</summary>
    private sealed class News : IAsyncDisposable
    {
        private readonly Stream _stream;
        private readonly IAsyncEnumerator<SseItem<string>> _items;

        private News(Stream stream, CancellationToken until)
        {
            _stream = stream;
            _items = SseParser.Create(stream).EnumerateAsync(until).GetAsyncEnumerator(until);
        }

        public static async Task<News> Listen(HttpClient client, CancellationToken until) => new(await client.GetStreamAsync("/api/caliper/stream", until), until);

        public async Task<JsonNode> Next(Func<JsonNode, bool>? wanted = null)
        {
            while (await _items.MoveNextAsync())
            {
                var word = JsonNode.Parse(_items.Current.Data)!;
                if (wanted?.Invoke(word) ?? true)
                    return word;
            }
            throw new InvalidOperationException("The stream ended.");
        }

        public async ValueTask DisposeAsync()
        {
            await _items.DisposeAsync();
            await _stream.DisposeAsync();
        }
    }
}
