using System.Text.Json;
using System.Text.Json.Serialization;
using IronLoop.Core.Measuring;

namespace IronLoop.Server.Contract;

/// <summary>A length on the wire: millimetres as a JSON number with at most three decimals, read exactly.</summary>
internal sealed class LengthInMillimetres : JsonConverter<Length>
{
    public override Length Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        using var sent = JsonDocument.ParseValue(ref reader);
        // Why it is none is said by whoever tells the request's faults.
        if (WhyNot(sent.RootElement) is not null)
            throw new JsonException();
        return Length.FromMillimetres(decimal.Round(sent.RootElement.GetDecimal(), 3));
    }

    /// <summary>Why something that was sent is no length; null when it is one.</summary>
    public static string? WhyNot(JsonElement sent)
    {
        if (sent.ValueKind != JsonValueKind.Number)
            return "must be a number of millimetres.";
        if (!sent.TryGetDecimal(out var millimetres) || Math.Abs(millimetres) > 1_000_000m)
            return "is too large for a number of millimetres.";
        // More than 28 digits are rounded by the decimal type itself; such a number is refused by its written form.
        if (decimal.Round(millimetres, 3) != millimetres || HasDigitsBeyondThree(sent.GetRawText()))
            return "has more than three decimals of a millimetre.";
        return null;
    }

    public override void Write(Utf8JsonWriter writer, Length value, JsonSerializerOptions options) =>
        writer.WriteNumberValue(value.Millimetres);

    /// <summary>Digits past the twenty-eighth are cut off by the decimal type, so a long plain number is read as text.</summary>
    private static bool HasDigitsBeyondThree(string written)
    {
        var point = written.IndexOf('.', StringComparison.Ordinal);
        if (point < 0 || written.AsSpan().IndexOfAny('e', 'E') >= 0)
            return false;
        return written[(point + 1)..].TrimEnd('0').Length > 3;
    }
}
