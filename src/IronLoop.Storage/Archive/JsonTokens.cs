using System.Text.Json;

namespace IronLoop.Storage.Archive;

/// <summary>Reads a JSON file of any size token by token: only what is being read is in memory.</summary>
internal sealed class JsonTokens(Stream stream)
{
    // A photo as it was drawn anew, as text.
    private const int LongestToken = 64 << 20;

    private byte[] _buffer = new byte[1 << 16];
    private int _start;
    private int _end;
    private bool _isFinal;
    private JsonReaderState _state;

    /// <summary>The kind of token read last.</summary>
    public JsonTokenType Kind { get; private set; }

    /// <summary>Its value: text, whole number, real number; null for the rest.</summary>
    public object? Value { get; private set; }

    /// <summary>Bytes taken so far.</summary>
    public long Taken { get; private set; }

    /// <summary>Reads the next token.</summary>
    /// <returns>False at the end of the file.</returns>
    /// <exception cref="JsonException">The file is no JSON.</exception>
    public bool Next()
    {
        while (true)
        {
            var reader = new Utf8JsonReader(_buffer.AsSpan(_start, _end - _start), _isFinal, _state);
            if (reader.Read())
            {
                Kind = reader.TokenType;
                Value = reader.TokenType switch
                {
                    JsonTokenType.String or JsonTokenType.PropertyName => reader.GetString(),
                    JsonTokenType.Number => reader.TryGetInt64(out var whole) ? (object)whole : reader.GetDouble(),
                    _ => null,
                };
                Keep(reader);
                return true;
            }
            Keep(reader);
            if (_isFinal)
                return false;
            Fill();
        }
    }

    /// <summary>Reads the next token, which must be of a kind.</summary>
    public object? Expect(JsonTokenType kind)
    {
        if (!Next() || Kind != kind)
            throw new JsonException($"{kind} is expected, {Kind} was found.");
        return Value;
    }

    private void Keep(Utf8JsonReader reader)
    {
        _state = reader.CurrentState;
        _start += (int)reader.BytesConsumed;
        Taken += reader.BytesConsumed;
    }

    private void Fill()
    {
        if (_start > 0)
        {
            _buffer.AsSpan(_start, _end - _start).CopyTo(_buffer);
            (_start, _end) = (0, _end - _start);
        }
        // One token fills the whole buffer: a photo, which has its bounds.
        if (_end == _buffer.Length && _end >= LongestToken)
            throw new JsonException($"Something in it is longer than {LongestToken >> 20} MB, which nothing of a shop is.");
        if (_end == _buffer.Length)
            Array.Resize(ref _buffer, _buffer.Length * 2);
        var read = stream.Read(_buffer, _end, _buffer.Length - _end);
        _end += read;
        _isFinal = read == 0;
    }
}
