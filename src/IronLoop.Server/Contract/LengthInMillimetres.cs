using System.Text.Json;
using System.Text.Json.Serialization;
using IronLoop.Core.Measuring;

namespace IronLoop.Server.Contract;

/// <summary>A length on the wire: millimetres as a JSON number with at most three decimals, read exactly.</summary>
internal sealed class LengthInMillimetres : JsonConverter<Length>
{
    public override Length Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        if (reader.TokenType != JsonTokenType.Number)
            throw new JsonException("must be a number of millimetres.");
        if (!reader.TryGetDecimal(out var millimetres) || Math.Abs(millimetres) > 1_000_000m)
            throw new JsonException("is too large for a number of millimetres.");
        // More than 28 digits are rounded by the decimal type itself; such a number is refused by its written form.
        if (decimal.Round(millimetres, 3) != millimetres || HasDigitsBeyondThree(reader.HasValueSequence ? [] : reader.ValueSpan))
            throw new JsonException("has more than three decimals of a millimetre.");
        return Length.FromMillimetres(decimal.Round(millimetres, 3));
    }

    public override void Write(Utf8JsonWriter writer, Length value, JsonSerializerOptions options) =>
        writer.WriteNumberValue(value.Millimetres);

    /// <summary>Digits past the twenty-eighth are cut off by the decimal type, so a long plain number is read as text.</summary>
    private static bool HasDigitsBeyondThree(ReadOnlySpan<byte> written)
    {
        var point = written.IndexOf((byte)'.');
        if (point < 0 || written.IndexOfAny((byte)'e', (byte)'E') >= 0)
            return false;
        return written[(point + 1)..].TrimEnd((byte)'0').Length > 3;
    }
}
