using IronLoop.Server.Contract;
using SkiaSharp;

namespace IronLoop.Server.TakeIn;

/// <summary>A photo that was looked at: its type by content, and its thumbnail.</summary>
internal sealed record Picture(string Type, byte[] Bytes, byte[] Thumbnail)
{
    public const int MostBytes = 10 * 1024 * 1024;
    private const int ThumbnailSide = 240;
    private const long MostPixels = 80_000_000;

    /// <summary>Reads a picture from a request, whatever the request says it is.</summary>
    /// <exception cref="RefusedException">It is too large, neither PNG nor JPEG, or broken.</exception>
    public static async Task<Picture> Read(Stream body, CancellationToken cancellation)
    {
        using var read = new MemoryStream();
        var buffer = new byte[81_920];
        for (int count; (count = await body.ReadAsync(buffer, cancellation)) > 0;)
        {
            if (read.Length + count > MostBytes)
                throw Refuse(StatusCodes.Status413PayloadTooLarge, "The photo is larger than 10 MB; send a smaller one.");
            read.Write(buffer, 0, count);
        }
        return Look(read.ToArray());
    }

    public static Picture Look(byte[] bytes)
    {
        var type = bytes switch
        {
            [0x89, (byte)'P', (byte)'N', (byte)'G', 0x0D, 0x0A, 0x1A, 0x0A, ..] => "image/png",
            [0xFF, 0xD8, 0xFF, ..] => "image/jpeg",
            [] => throw Refuse(StatusCodes.Status400BadRequest, "Nothing was sent; send a PNG or JPEG photo."),
            _ => throw Refuse(StatusCodes.Status400BadRequest, "This file is no photo that can be kept: by its content it is neither PNG nor JPEG."),
        };
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data) ?? throw Broken();
        if ((long)codec.Info.Width * codec.Info.Height > MostPixels)
            throw Refuse(StatusCodes.Status400BadRequest, $"The photo has {codec.Info.Width} by {codec.Info.Height} points; allowed are 80 million in all.");
        using var bitmap = new SKBitmap(codec.Info.Width, codec.Info.Height);
        if (codec.GetPixels(bitmap.Info, bitmap.GetPixels()) != SKCodecResult.Success)
            throw Broken();
        return new Picture(type, bytes, Shrink(bitmap, codec.EncodedOrigin));
    }

    /// <summary>A small upright copy: cameras store how they were held, not the turned picture.</summary>
    private static byte[] Shrink(SKBitmap bitmap, SKEncodedOrigin origin)
    {
        var (turn, lies) = origin switch
        {
            SKEncodedOrigin.RightTop => (90, true),
            SKEncodedOrigin.BottomRight => (180, false),
            SKEncodedOrigin.LeftBottom => (270, true),
            _ => (0, false),
        };
        var scale = Math.Min(1f, ThumbnailSide / (float)Math.Max(bitmap.Width, bitmap.Height));
        var (width, height) = (Math.Max(1, (int)(bitmap.Width * scale)), Math.Max(1, (int)(bitmap.Height * scale)));
        using var surface = SKSurface.Create(lies ? new SKImageInfo(height, width) : new SKImageInfo(width, height));
        var canvas = surface.Canvas;
        canvas.Clear(SKColors.White);
        canvas.Translate((lies ? height : width) / 2f, (lies ? width : height) / 2f);
        canvas.RotateDegrees(turn);
        using var image = SKImage.FromBitmap(bitmap);
        canvas.DrawImage(image, new SKRect(-width / 2f, -height / 2f, width / 2f, height / 2f), new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        using var small = surface.Snapshot();
        using var encoded = small.Encode(SKEncodedImageFormat.Jpeg, 80);
        return encoded.ToArray();
    }

    private static RefusedException Broken() => Refuse(StatusCodes.Status400BadRequest, "The photo is broken or not whole; take it again.");

    private static RefusedException Refuse(int status, string why) => new(status, why, new Dictionary<string, string[]> { ["$"] = [why] });
}
