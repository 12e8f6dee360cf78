using IronLoop.Core.Measuring;

namespace IronLoop.Server.Contract;

/// <summary>A request that is refused: nothing of it was stored.</summary>
internal sealed class RefusedException(int status, string title, IReadOnlyDictionary<string, string[]> errors) : Exception(title)
{
    public int Status { get; } = status;

    public IReadOnlyDictionary<string, string[]> Errors { get; } = errors;

    /// <summary>After how long it may be tried again; null where that does not depend on time.</summary>
    public int? RetryAfterSeconds { get; init; }

    /// <summary>What is asked for does not go with the state the job is in.</summary>
    public static RefusedException Conflict(string title) => new(StatusCodes.Status409Conflict, title, new Dictionary<string, string[]>());

    public static RefusedException NotFound(string title) => new(StatusCodes.Status404NotFound, title, new Dictionary<string, string[]>());
}

/// <summary>Gathers what is wrong with a request by JSON path, so that all of it is said at once.</summary>
internal sealed class Refusals
{
    private readonly Dictionary<string, List<string>> _errors = [];

    public bool Any => _errors.Count > 0;

    public void Add(string path, string message)
    {
        if (!_errors.TryGetValue(path, out var messages))
            _errors[path] = messages = [];
        messages.Add(message);
    }

    public void Check(string path, AllowedLength allowed, Length value)
    {
        if (!allowed.Holds(value))
            Add(path, allowed.Refuse(NameOf(path), value));
    }

    public void Check(string path, AllowedNumber allowed, decimal value)
    {
        if (!allowed.Holds(value))
            Add(path, allowed.Refuse(NameOf(path), value));
    }

    /// <summary>Reads free text: trimmed, not longer than allowed, no control characters but line breaks.</summary>
    public string Text(string path, string? value, int longest, bool required)
    {
        var text = (value ?? "").Trim();
        if (required && text.Length == 0)
            Add(path, $"{NameOf(path)} is empty; give 1 to {longest} characters.");
        if (text.Length > longest)
            Add(path, $"{NameOf(path)} has {text.Length} characters; allowed are at most {longest}.");
        if (text.Any(c => char.IsControl(c) && c is not ('\n' or '\r' or '\t')) || HasLoneSurrogate(text))
            Add(path, $"{NameOf(path)} has characters that are no text.");
        return text;
    }

    /// <summary>Reads the name or address of a host.</summary>
    public string Host(string path, string? value, bool required)
    {
        var host = Text(path, value, 100, required);
        if (host.Length > 0 && Uri.CheckHostName(host) == UriHostNameType.Unknown)
            Add(path, $"{NameOf(path)} is “{host}”; allowed is a name of a host, without spaces, or an address.");
        if (OutsideLine.IsLinkLocal(host))
            Add(path, $"{NameOf(path)} is “{host}”; a link-local address is not called.");
        return host;
    }

    /// <summary>Reads a fitter's initials, 1 to 4 letters. Whoever is signed in has done it, whatever was typed.</summary>
    /// <param name="signedIn">Who is signed in; null where nobody has to be, or others' initials are meant.</param>
    public string Initials(string path, string? typed, string? signedIn)
    {
        if (signedIn is not null)
            return signedIn;
        var by = (typed ?? "").Trim().ToUpperInvariant();
        if (by.Length is < 1 or > 4 || !by.All(char.IsLetter))
            Add(path, $"{NameOf(path)} is “{typed}”; allowed are the fitter’s initials, 1 to 4 letters.");
        return by;
    }

    /// <summary>Reads a length as typed; empty means that it is not known.</summary>
    public Length? Typed(string path, string? typed, AllowedLength allowed, string? name = null)
    {
        if (string.IsNullOrWhiteSpace(typed))
            return null;
        if (!LengthText.TryParse(typed, out var length, out var why))
            Add(path, why);
        else if (!allowed.Holds(length))
            Add(path, allowed.Refuse(name ?? NameOf(path), length));
        return length;
    }

    /// <summary>Reads a choice from an address that has to be made; the refusal is noted where it is not.</summary>
    public TChoice Chosen<TChoice>(string path, string word)
        where TChoice : struct, Enum
    {
        if (string.IsNullOrWhiteSpace(word))
            Add(path, $"{NameOf(path)} is missing.");
        return Choice<TChoice>(path, word).GetValueOrDefault();
    }

    /// <summary>Reads a choice from an address, by its name in the contract; nothing is no choice.</summary>
    public TChoice? Choice<TChoice>(string path, string? word)
        where TChoice : struct, Enum
    {
        if (string.IsNullOrWhiteSpace(word))
            return null;
        if (!char.IsAsciiDigit(word[0]) && Enum.TryParse<TChoice>(word, ignoreCase: true, out var choice) && Enum.IsDefined(choice))
            return choice;
        var allowed = Enum.GetNames<TChoice>().Select(System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName);
        Add(path, $"{NameOf(path)} is “{word}”; allowed is one of {string.Join(", ", allowed)}.");
        return null;
    }

    /// <summary>Reads a length of a sheet that is stored field by field: left out it stays as it was, empty it is forgotten.</summary>
    public Length? Changed(string path, string? typed, AllowedLength allowed, Length? before) => typed is null ? before : Typed(path, typed, allowed);

    public void ThrowIfAny(string title = "Some figures cannot be taken.")
    {
        if (Any)
            throw new RefusedException(StatusCodes.Status400BadRequest, title, _errors.ToDictionary(e => e.Key, e => e.Value.ToArray()));
    }

    private static string NameOf(string path) => Labels.Of(path);

    private static bool HasLoneSurrogate(string text)
    {
        for (var i = 0; i < text.Length; i++)
        {
            if (char.IsHighSurrogate(text[i]) && i + 1 < text.Length && char.IsLowSurrogate(text[i + 1]))
                i++;
            else if (char.IsSurrogate(text[i]))
                return true;
        }
        return false;
    }
}
