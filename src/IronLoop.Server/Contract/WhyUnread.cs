using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using IronLoop.Core.Measuring;

namespace IronLoop.Server.Contract;

/// <summary>
/// Why a request could not be read: what was sent is held against what the call takes, field by field, and each that does not go is named
/// with what it takes. The serializer only says that something did not.
/// </summary>
internal sealed class WhyUnread(JsonSerializerOptions options)
{
    private readonly Dictionary<string, string[]> _errors = [];

    /// <summary>The reasons, by the path of the field.</summary>
    /// <param name="sent">What was sent.</param>
    /// <param name="type">What the call takes; null where that is not known.</param>
    /// <param name="options">How it is read.</param>
    public static IReadOnlyDictionary<string, string[]> Of(ReadOnlyMemory<byte> sent, Type? type, JsonSerializerOptions options)
    {
        var why = new WhyUnread(options);
        try
        {
            using var document = JsonDocument.Parse(sent);
            if (type is not null)
                why.Look(document.RootElement, type, "$");
        }
        catch (JsonException broken)
        {
            why.Say("$", $"This is not JSON that can be read, from line {broken.LineNumber + 1}, byte {broken.BytePositionInLine + 1}.");
        }
        if (why._errors.Count == 0)
            why.Say("$", "This is not what the call takes.");
        return why._errors;
    }

    private void Say(string path, string words) => _errors.TryAdd(path, [words]);

    private static string FieldOf(string path) => path == "$" ? "The request" : path[(path.LastIndexOf('.') + 1)..];

    private void Look(JsonElement sent, Type type, string path)
    {
        type = Nullable.GetUnderlyingType(type) ?? type;
        if (type == typeof(Length))
        {
            if (LengthInMillimetres.WhyNot(sent) is { } why)
                Say(path, $"{FieldOf(path)} {why}");
            return;
        }
        var info = options.GetTypeInfo(type);
        if (info.Kind == JsonTypeInfoKind.Object && sent.ValueKind == JsonValueKind.Object)
            LookAtFields(sent, info, path);
        else if (info.Kind == JsonTypeInfoKind.Enumerable && sent.ValueKind == JsonValueKind.Array)
            LookAtList(sent, info, path);
        else if (info.Kind != JsonTypeInfoKind.None || !CanBe(sent, type))
            Say(path, $"{FieldOf(path)} must be {Expected(type, info.Kind)}.");
    }

    private void LookAtFields(JsonElement sent, JsonTypeInfo info, string path)
    {
        var compare = options.PropertyNameCaseInsensitive ? StringComparer.OrdinalIgnoreCase : StringComparer.Ordinal;
        var fields = info.Properties.ToDictionary(p => p.Name, compare);
        var given = new HashSet<string>(compare);
        foreach (var one in sent.EnumerateObject())
        {
            var at = $"{path}.{one.Name}";
            if (!fields.TryGetValue(one.Name, out var field))
                Say(at, $"{one.Name} is not a field of this request.");
            else if (!given.Add(one.Name))
                Say(at, $"{one.Name} is given twice.");
            else if (one.Value.ValueKind != JsonValueKind.Null)
                Look(one.Value, field.PropertyType, at);
            else if (!MayBeNull(field))
                Say(at, $"{one.Name} must not be null.");
        }
        foreach (var field in fields.Values.Where(f => f.IsRequired && !given.Contains(f.Name)))
            Say($"{path}.{field.Name}", $"{field.Name} is missing.");
    }

    private void LookAtList(JsonElement sent, JsonTypeInfo info, string path)
    {
        var number = 0;
        foreach (var one in sent.EnumerateArray())
        {
            if (one.ValueKind == JsonValueKind.Null && !info.ElementType!.IsValueType)
                Say(path, $"{FieldOf(path)} must be a list without null; number {number + 1} is null.");
            else
                Look(one, info.ElementType!, $"{path}[{number}]");
            number++;
        }
    }

    private static bool MayBeNull(JsonPropertyInfo field) =>
        field.PropertyType.IsValueType ? Nullable.GetUnderlyingType(field.PropertyType) is not null : field.AssociatedParameter?.IsNullable ?? field.IsSetNullable;

    private bool CanBe(JsonElement sent, Type type)
    {
        try
        {
            _ = sent.Deserialize(options.GetTypeInfo(type));
            return true;
        }
        catch (JsonException)
        {
            return false;
        }
    }

    private static string Expected(Type type, JsonTypeInfoKind kind) => type switch
    {
        { IsEnum: true } => "one of " + string.Join(", ", type.GetFields(BindingFlags.Public | BindingFlags.Static)
            .Select(f => f.GetCustomAttribute<JsonStringEnumMemberNameAttribute>()?.Name ?? JsonNamingPolicy.CamelCase.ConvertName(f.Name))),
        _ when type == typeof(string) => "text",
        _ when type == typeof(bool) => "true or false",
        _ when type == typeof(int) || type == typeof(long) => "a whole number",
        _ when type == typeof(decimal) || type == typeof(double) => "a number",
        _ when type == typeof(DateOnly) => "a day such as 2026-11-24",
        _ => kind == JsonTypeInfoKind.Enumerable ? "a list" : "an object",
    };
}
