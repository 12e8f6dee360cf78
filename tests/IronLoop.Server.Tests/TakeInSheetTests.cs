using System.Net;
using System.Net.Http.Headers;
using System.Text.Json.Nodes;
using SkiaSharp;

namespace IronLoop.Server.Tests;

public sealed class TakeInSheetTests : IDisposable
{
    private readonly Shop _shop = new();

    public void Dispose() => _shop.Dispose();

    private async Task<long> TakeIn(string client = "Ada Moor", string? price = null) => (await _shop.Post("/api/jobs",
        new { client, watch = "Ostwick pilot", request = "refit", promised = "2026-11-27", by = "mk", contact = "pier 2", price }, HttpStatusCode.Created))["id"]!.GetValue<long>();

    private static byte[] Drawn(SKEncodedImageFormat format, int width, int height)
    {
        using var bitmap = new SKBitmap(width, height);
        bitmap.Erase(SKColors.Teal);
        using var image = SKImage.FromBitmap(bitmap);
        return image.Encode(format, 90).ToArray();
    }

    private async Task<(HttpStatusCode Status, JsonNode Answer)> Photo(long id, byte[] bytes, string type = "image/png")
    {
        using var content = new ByteArrayContent(bytes);
        content.Headers.ContentType = new MediaTypeHeaderValue(type);
        var response = await _shop.Client.PostAsync($"/api/jobs/{id}/take-in/photos", content);
        return (response.StatusCode, JsonNode.Parse(await response.Content.ReadAsStringAsync())!);
    }

    [Fact]
    public async Task Marks_and_what_came_along_survive_a_restart()
    {
        var id = await TakeIn();
        await _shop.Post($"/api/jobs/{id}/take-in/marks", new { place = "bezelThree", kind = "scratch", note = "fine" });
        await _shop.Post($"/api/jobs/{id}/take-in/marks", new { place = "clasp", kind = "stiffClasp" });
        await _shop.Put($"/api/jobs/{id}/take-in/came-with", new { what = "looseLinks", count = 3 });
        await _shop.Put($"/api/jobs/{id}/take-in/came-with", new { what = "box", count = 1 });
        await _shop.Put($"/api/jobs/{id}/take-in/came-with", new { what = "box", count = 0 });

        using var later = new Shop(folder: _shop.Stop());
        var sheet = await later.Get($"/api/jobs/{id}/take-in");
        sheet["marks"]!.AsArray().Select(m => $"{m!["place"]} {m["kind"]} {m["note"]}").ShouldBe(["bezelThree scratch fine", "clasp stiffClasp "]);
        sheet["cameWith"]!.AsArray().Where(l => l!["count"]!.GetValue<int>() > 0).Select(l => $"{l!["what"]} {l["count"]}").ShouldBe(["looseLinks 3"]);
        var mark = sheet["marks"]![0]!["id"]!.GetValue<long>();
        (await later.Send(HttpMethod.Delete, $"/api/jobs/{id}/take-in/marks/{mark}", null))["marks"]!.AsArray().Count.ShouldBe(1);
        await later.Send(HttpMethod.Delete, $"/api/jobs/{id}/take-in/marks/{mark}", null, HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_photo_keeps_nothing_but_its_points()
    {
        var id = await TakeIn();
        // A place and a comment in the file, as a camera or a stranger puts them in.
        var jpeg = Drawn(SKEncodedImageFormat.Jpeg, 60, 40);
        byte[] comment = [0xFF, 0xFE, 0x00, 0x1E, .. "<script>54.7N 7.9E</script> "u8.ToArray()];
        var (status, sheet) = await Photo(id, [.. jpeg[..2], .. comment, .. jpeg[2..]], "image/jpeg");
        status.ShouldBe(HttpStatusCode.OK);
        var answer = await _shop.Client.GetAsync(sheet["photos"]![0]!["href"]!.GetValue<string>());
        System.Text.Encoding.Latin1.GetString(await answer.Content.ReadAsByteArrayAsync()).ShouldNotContain("script");
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("image/jpeg");
    }

    [Fact]
    public async Task A_bomb_of_a_picture_is_refused_by_what_it_says_of_itself_and_a_large_photo_is_read_smaller()
    {
        var id = await TakeIn();
        var before = GC.GetTotalAllocatedBytes();
        // 8 900 by 8 900 points, a few hundred kilobytes in the file.
        var (status, answer) = await Photo(id, Said(8_900, 8_900));
        status.ShouldBe(HttpStatusCode.BadRequest);
        answer["errors"]!["$"]![0]!.GetValue<string>().ShouldContain("allowed are 24 million");
        (GC.GetTotalAllocatedBytes() - before).ShouldBeLessThan(32_000_000);
        var (kept, sheet) = await Photo(id, Drawn(SKEncodedImageFormat.Jpeg, 6_400, 4_800), "image/jpeg");
        kept.ShouldBe(HttpStatusCode.OK);
        using var small = SKBitmap.Decode(await _shop.Client.GetByteArrayAsync(sheet["photos"]![0]!["href"]!.GetValue<string>()));
        ((long)small.Width * small.Height).ShouldBeLessThanOrEqualTo(24_000_000);
    }

    [Fact]
    public async Task A_picture_is_served_as_what_it_is_and_is_nobody_s_page_whatever_the_file_of_the_shop_says_of_it()
    {
        var id = await TakeIn();
        var (_, sheet) = await Photo(id, Drawn(SKEncodedImageFormat.Png, 40, 30));
        var photo = sheet["photos"]![0]!;
        using (var file = new Microsoft.Data.Sqlite.SqliteConnection($"Data Source={_shop.File.Path}"))
        {
            file.Open();
            using var lie = file.CreateCommand();
            lie.CommandText = "UPDATE photo SET type = 'text/html'";
            lie.ExecuteNonQuery();
        }
        foreach (var href in (string[])[photo["href"]!.GetValue<string>(), photo["thumbnailHref"]!.GetValue<string>(), $"/api/jobs/{id}/loop.svg"])
        {
            var answer = await _shop.Client.GetAsync(href);
            if (href.EndsWith("svg", StringComparison.Ordinal) && answer.StatusCode == HttpStatusCode.Conflict)
                continue;
            answer.Content.Headers.ContentType!.MediaType.ShouldStartWith("image/", customMessage: href);
            answer.Headers.GetValues("Content-Security-Policy").Single().ShouldBe("default-src 'none'; style-src 'unsafe-inline'; font-src data:; sandbox", href);
            answer.Headers.GetValues("X-Content-Type-Options").Single().ShouldBe("nosniff");
            answer.Headers.CacheControl!.NoStore.ShouldBeTrue();
        }
        // Should somebody lay a page in its place, it is not served at all.
        foreach (var laid in Directory.GetFiles(Path.Combine(_shop.Folder, "photos")))
            await File.WriteAllTextAsync(laid, "<html><script>alert(1)</script>".PadRight((int)new FileInfo(laid).Length));
        (await _shop.Client.GetAsync(photo["href"]!.GetValue<string>())).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    private static uint Crc(ReadOnlySpan<byte> bytes)
    {
        var crc = uint.MaxValue;
        foreach (var one in bytes)
        {
            crc ^= one;
            for (var bit = 0; bit < 8; bit++)
                crc = (crc & 1) == 0 ? crc >> 1 : (crc >> 1) ^ 0xEDB88320;
        }
        return ~crc;
    }

    /// <summary>A PNG that says how large it is, and has next to nothing in it.</summary>
    private static byte[] Said(int width, int height)
    {
        var png = Drawn(SKEncodedImageFormat.Png, 4, 4);
        System.Buffers.Binary.BinaryPrimitives.WriteInt32BigEndian(png.AsSpan(16), width);
        System.Buffers.Binary.BinaryPrimitives.WriteInt32BigEndian(png.AsSpan(20), height);
        // The sum of its first part is the sum of what it says now.
        System.Buffers.Binary.BinaryPrimitives.WriteUInt32BigEndian(png.AsSpan(29), Crc(png.AsSpan(12, 17)));
        return png;
    }

    [Theory]
    [InlineData("came-with", """{"what":"box","count":100}""", "$.count", "allowed is 0 to 99")]
    [InlineData("came-with", """{"what":"cake","count":1}""", "$.what", "one of box, papers, oldBand")]
    public async Task A_count_that_cannot_be_is_refused(string call, string body, string path, string said)
    {
        var id = await TakeIn();
        (await _shop.Put($"/api/jobs/{id}/take-in/{call}", body, HttpStatusCode.BadRequest))["errors"]![path]![0]!.GetValue<string>().ShouldContain(said);
    }

    [Theory]
    [InlineData(SKEncodedImageFormat.Png, "image/png")]
    [InlineData(SKEncodedImageFormat.Jpeg, "image/jpeg")]
    public async Task A_photo_is_kept_by_its_content_with_a_small_copy(SKEncodedImageFormat format, string type)
    {
        var id = await TakeIn();
        var bytes = Drawn(format, 1200, 600);
        // Whatever the sender calls it.
        var (status, sheet) = await Photo(id, bytes, "text/plain");
        status.ShouldBe(HttpStatusCode.OK);
        var photo = sheet["photos"]![0]!;
        photo["type"]!.GetValue<string>().ShouldBe(type);

        using var kept = SKBitmap.Decode(await _shop.Client.GetByteArrayAsync(photo["href"]!.GetValue<string>()));
        (kept.Width, kept.Height).ShouldBe((1200, 600));
        using var small = SKBitmap.Decode(await _shop.Client.GetByteArrayAsync(photo["thumbnailHref"]!.GetValue<string>()));
        (small.Width, small.Height).ShouldBe((240, 120));

        await _shop.Send(HttpMethod.Delete, $"/api/jobs/{id}/take-in/photos/{photo["id"]}", null);
        (await _shop.Client.GetAsync(photo["href"]!.GetValue<string>())).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_wrong_broken_or_huge_photo_is_refused_with_the_reason_and_nothing_is_kept()
    {
        var id = await TakeIn();
        var good = Drawn(SKEncodedImageFormat.Png, 400, 300);
        foreach (var (bytes, said) in ((byte[], string)[])
            [([], "Nothing was sent"), ("%PDF-1.7"u8.ToArray(), "neither PNG nor JPEG"), (good[..60], "broken"), ([0xFF, 0xD8, 0xFF, 0xE0, 1, 2, 3], "broken")])
        {
            var (status, problem) = await Photo(id, bytes);
            status.ShouldBe(HttpStatusCode.BadRequest);
            problem["title"]!.GetValue<string>().ShouldContain(said);
        }
        var (tooLarge, answer) = await Photo(id, new byte[10 * 1024 * 1024 + 1]);
        tooLarge.ShouldBe(HttpStatusCode.RequestEntityTooLarge);
        answer["title"]!.GetValue<string>().ShouldContain("10 MB");
        (await _shop.Get($"/api/jobs/{id}/take-in"))["photos"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_referred_job_is_not_worked_on_until_it_is_taken_back()
    {
        var id = await TakeIn();
        var sheet = await _shop.Put($"/api/jobs/{id}/take-in/referral", new { reasons = new[] { "waterInside", "crownLoose" }, referred = true });
        sheet["note"]!.GetValue<string>().ShouldContain("water inside");
        sheet["note"]!.GetValue<string>().ShouldContain("crown is loose");
        (await _shop.Get("/api/jobs"))[0]!["referred"]!.GetValue<bool>().ShouldBeTrue();
        (await _shop.Put($"/api/jobs/{id}/match", new { bandId = 1 }, HttpStatusCode.Conflict))["title"]!.GetValue<string>().ShouldContain("referred to a watchmaker");
        (await _shop.Get("/api/log?words=watchmaker"))["visits"]!.AsArray().Count.ShouldBe(1);

        await _shop.Put($"/api/jobs/{id}/take-in/referral", new { reasons = Array.Empty<string>(), referred = false });
        await _shop.Put($"/api/jobs/{id}/match", new { bandId = 1 }, HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Clients_are_found_by_the_beginning_of_any_word_of_their_name()
    {
        await TakeIn("Ada Moor");
        await TakeIn("Morwen Adair");
        await TakeIn("Bo_b Lind");
        async Task<string> Found(string typed) =>
            string.Join(", ", (await _shop.Get($"/api/clients?typed={Uri.EscapeDataString(typed)}")).AsArray().Select(c => c!["name"]!.GetValue<string>()));
        (await Found("ad")).ShouldBe("Morwen Adair, Ada Moor");
        (await Found("moo")).ShouldBe("Ada Moor");
        (await Found("o_b")).ShouldBe("", "an underscore is a character, not a wildcard");
        (await _shop.Get("/api/clients?typed=ada%20m"))[0]!["watches"]!.AsArray().Select(w => w!.GetValue<string>()).ShouldBe(["Ostwick pilot"]);
    }

    [Theory]
    [InlineData("31,50", 3_150)]
    [InlineData("0", 0)]
    [InlineData("", null)]
    public async Task The_price_agreed_is_kept_in_cents(string typed, int? cents) =>
        (await _shop.Get($"/api/jobs/{await TakeIn(price: typed)}"))["priceCents"]?.GetValue<int?>().ShouldBe(cents);

    [Theory]
    [InlineData("-3")]
    [InlineData("1.234")]
    [InlineData("free")]
    public async Task A_price_that_is_none_is_refused(string price)
    {
        var problem = await _shop.Post("/api/jobs",
            new { client = "A", watch = "B", request = "refit", promised = "2026-11-27", by = "MK", price }, HttpStatusCode.BadRequest);
        problem["errors"]!["$.price"]![0]!.GetValue<string>().ShouldContain("at most two decimals");
    }

    [Fact]
    public async Task The_rack_is_found_by_client_watch_tag_and_fitter()
    {
        var (ada, _) = (await TakeIn("Ada Moor"), await TakeIn("Bran Tull"));
        (await _shop.Get("/api/jobs?words=moor%20ostwick")).AsArray().Count.ShouldBe(1);
        (await _shop.Get($"/api/jobs?words={ada}")).AsArray().ShouldContain(t => t!["id"]!.GetValue<long>() == ada);
        (await _shop.Get("/api/jobs?by=MK")).AsArray().Count.ShouldBe(2);
        (await _shop.Get("/api/jobs?by=ZZ")).AsArray().ShouldBeEmpty();
        (await _shop.Get("/api/fitters")).AsArray().Select(f => f!.GetValue<string>()).ShouldBe(["MK"]);
    }
}
