using IronLoop.Server.Contract;
using SkiaSharp;

namespace IronLoop.Server.Stations.TakeIn;

/// <summary>A photo as it is kept: drawn anew from its points alone, upright, without the words, the place and the comments that came with the file.</summary>
internal sealed record KeptPhoto(string Type, byte[] Bytes, byte[] Thumbnail)
{
    public const int MostBytes = 10 * 1024 * 1024;
    private const string Png = "image/png", Jpeg = "image/jpeg";
    private const int ThumbnailSide = 240;

    // Drawn at four bytes a point, one photo at a time: 96 MB.
    private const long MostPixels = 24_000_000;

    // What a JPEG may say of itself; it is read at a half, a quarter or an eighth, so that it is never drawn larger than that.
    private const long MostSaid = 200_000_000;

    private static readonly SemaphoreSlim OneAtATime = new(1);

    /// <summary>Reads a picture from a request, whatever the request says it is.</summary>
    /// <exception cref="RefusedException">It is too large, neither PNG nor JPEG, or broken.</exception>
    public static async Task<KeptPhoto> Read(Stream body, CancellationToken cancellation)
    {
        using var read = new MemoryStream();
        var buffer = new byte[81_920];
        for (int count; (count = await body.ReadAsync(buffer, cancellation)) > 0;)
        {
            if (read.Length + count > MostBytes)
                throw Refuse(StatusCodes.Status413PayloadTooLarge, "The photo is larger than 10 MB; send a smaller one.");
            read.Write(buffer, 0, count);
        }
        await OneAtATime.WaitAsync(cancellation);
        try
        {
            return Look(read.ToArray());
        }
        finally
        {
            OneAtATime.Release();
        }
    }

    /// <summary>Draws a photo anew; one at a time, for it takes much room.</summary>
    /// <exception cref="RefusedException">It is too large, neither PNG nor JPEG, or broken.</exception>
    internal static KeptPhoto Look(byte[] bytes)
    {
        var isPng = TypeOf(bytes) switch
        {
            Png => true,
            Jpeg => false,
            _ when bytes.Length == 0 => throw Refuse(StatusCodes.Status400BadRequest, "Nothing was sent; send a PNG or JPEG photo."),
            _ => throw Refuse(StatusCodes.Status400BadRequest, "This file is no photo that can be kept: by its content it is neither PNG nor JPEG."),
        };
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data) ?? throw Broken();
        var size = SizeToDraw(codec, isPng);
        using var bitmap = new SKBitmap(size.Width, size.Height);
        if (codec.GetPixels(bitmap.Info, bitmap.GetPixels()) != SKCodecResult.Success)
            throw Broken();
        var format = isPng ? SKEncodedImageFormat.Png : SKEncodedImageFormat.Jpeg;
        return new KeptPhoto(
            isPng ? Png : Jpeg,
            Draw(bitmap, codec.EncodedOrigin, Math.Max(size.Width, size.Height), format, 90),
            Draw(bitmap, codec.EncodedOrigin, ThumbnailSide, SKEncodedImageFormat.Jpeg, 80));
    }

    /// <summary>Why something cannot be a photo that was kept here: by its content it is none, or it says of itself what none has. Null when it can.</summary>
    public static string? WhyNotKept(byte[] bytes)
    {
        if (TypeOf(bytes) is null)
            return "by its content it is neither PNG nor JPEG";
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        return codec is null ? "it is broken"
            : (long)codec.Info.Width * codec.Info.Height > MostSaid ? $"it has {codec.Info.Width} by {codec.Info.Height} points; allowed are {MostSaid / 1_000_000} million in all"
            : null;
    }

    /// <summary>What a file is by its first bytes; null when it is no picture that is kept.</summary>
    public static string? TypeOf(string path)
    {
        Span<byte> first = stackalloc byte[8];
        using var file = File.OpenRead(path);
        return TypeOf(first[..file.ReadAtLeast(first, first.Length, throwOnEndOfStream: false)]);
    }

    private static string? TypeOf(ReadOnlySpan<byte> bytes) => bytes switch
    {
        [0x89, (byte)'P', (byte)'N', (byte)'G', 0x0D, 0x0A, 0x1A, 0x0A, ..] => Png,
        [0xFF, 0xD8, 0xFF, ..] => Jpeg,
        _ => null,
    };

    private static SKSizeI SizeToDraw(SKCodec codec, bool isPng)
    {
        var (width, height) = ((long)codec.Info.Width, (long)codec.Info.Height);
        if (width * height > (isPng ? MostPixels : MostSaid))
            throw Refuse(StatusCodes.Status400BadRequest, $"The photo has {width} by {height} points; allowed are {(isPng ? MostPixels : MostSaid) / 1_000_000} million in all.");
        foreach (var scale in (float[])[1, 0.5f, 0.25f, 0.125f])
            if (codec.GetScaledDimensions(scale) is var size && (long)size.Width * size.Height <= MostPixels)
                return size;
        throw Refuse(StatusCodes.Status400BadRequest, $"The photo has {width} by {height} points, which cannot be read smaller; send a smaller one.");
    }

    /// <summary>An upright copy, no larger than so much: cameras store how they were held, not the turned picture.</summary>
    private static byte[] Draw(SKBitmap bitmap, SKEncodedOrigin origin, int side, SKEncodedImageFormat format, int quality)
    {
        var (turn, lies) = origin switch
        {
            SKEncodedOrigin.RightTop => (90, true),
            SKEncodedOrigin.BottomRight => (180, false),
            SKEncodedOrigin.LeftBottom => (270, true),
            _ => (0, false),
        };
        using var image = SKImage.FromBitmap(bitmap);
        // One that lies as it is kept is not drawn a second time.
        if (turn == 0 && side >= Math.Max(bitmap.Width, bitmap.Height))
        {
            using var kept = image.Encode(format, quality);
            return kept.ToArray();
        }
        var scale = Math.Min(1f, side / (float)Math.Max(bitmap.Width, bitmap.Height));
        var (width, height) = (Math.Max(1, (int)(bitmap.Width * scale)), Math.Max(1, (int)(bitmap.Height * scale)));
        using var surface = SKSurface.Create(lies ? new SKImageInfo(height, width) : new SKImageInfo(width, height));
        var canvas = surface.Canvas;
        canvas.Clear(SKColors.White);
        canvas.Translate((lies ? height : width) / 2f, (lies ? width : height) / 2f);
        canvas.RotateDegrees(turn);
        canvas.DrawImage(image, new SKRect(-width / 2f, -height / 2f, width / 2f, height / 2f), new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        using var drawn = surface.Snapshot();
        using var encoded = drawn.Encode(format, quality);
        return encoded.ToArray();
    }

    private static RefusedException Broken() => Refuse(StatusCodes.Status400BadRequest, "The photo is broken or not whole; take it again.");

    private static RefusedException Refuse(int status, string why) => new(status, why, new Dictionary<string, string[]> { ["$"] = [why] });
}
