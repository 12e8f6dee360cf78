using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests.Fuzz;

/// <summary>Values no screen would send: of the wrong type, huge, negative, deep, in letters that are none, and what looks like SQL or script.</summary>
internal sealed class BadValues(Random random, JsonNode document)
{
    private static readonly string[] Texts =
    [
        "", " ", "0", "-1", "1e309", "NaN", "Infinity", "-0", "99999999999999999999", "1.7976931348623157e308", "20", "20 mm", "7/8 in", "тест", "👩🏽‍🔧", "a\u0301\u0301\u0301", "\u202Egnorw",
        "\uFEFF", "\u0000", "\u0007bell", "line\nbreak", "'; DROP TABLE job; --", "\" OR 1=1 --", "%", "_", "<script>alert(1)</script>", "<img src=x onerror=alert(1)>", "{{7*7}}",
        "../../../../etc/passwd", "C:\\con", "=cmd|' /C calc'!A0", "2026-13-45", "0001-01-01", "9999-12-31", "2026-12-01", "true", "null", "[]", "{}", "tag 3", "mk", "12 full, first 99 fixed",
        "9999 full", "-3 full", "5 of 8.2 kind ", "M0 0L1 1", "\"", "*", "NEAR(a b)", "client:x AND", "K\u0130", "ß",
    ];

    /// <summary>A text no screen would send.</summary>
    public string Text() => random.Next(12) switch
    {
        0 => new string('x', random.Next(1, 6_000)),
        1 => string.Concat(Enumerable.Repeat("é", random.Next(1, 3_000))),
        _ => Texts[random.Next(Texts.Length)],
    };

    /// <summary>A number no screen would send.</summary>
    public decimal Number() => random.Next(8) switch
    {
        0 => 0,
        1 => -1,
        2 => long.MaxValue,
        3 => long.MinValue,
        4 => decimal.MaxValue,
        5 => random.Next(-100, 100) / 7m,
        6 => int.MaxValue,
        _ => random.Next(1, 40),
    };

    /// <summary>A body for a schema: mostly of the right shape with bad values, now and then of another shape.</summary>
    public JsonNode? Body(JsonNode? schema, int depth = 0)
    {
        if (random.Next(14) == 0)
            return Wrong();
        if (depth > 12 || schema is null)
            return JsonValue.Create(Text());
        if (schema["$ref"] is { } reference)
            return Body(Named(reference.GetValue<string>()), depth + 1);
        foreach (var choice in new[] { "oneOf", "anyOf", "allOf" })
            if (schema[choice] is JsonArray { Count: > 0 } of)
                return Body(of[random.Next(of.Count)], depth + 1);
        if (schema["enum"] is JsonArray { Count: > 0 } words)
            return random.Next(5) == 0 ? JsonValue.Create(Text()) : words[random.Next(words.Count)]?.DeepClone();
        return TypeOf(schema) switch
        {
            "object" => Filled(schema, depth),
            "array" => new JsonArray([.. Enumerable.Range(0, random.Next(4)).Select(_ => Body(schema["items"], depth + 1))]),
            "integer" or "number" => random.Next(3) == 0 ? JsonValue.Create(Number()) : JsonValue.Create(random.Next(0, 60)),
            "boolean" => JsonValue.Create(random.Next(2) == 0),
            "null" => null,
            _ => JsonValue.Create(Text()),
        };
    }

    private JsonNode Named(string reference) => document["components"]!["schemas"]![reference[(reference.LastIndexOf('/') + 1)..]]!;

    private string TypeOf(JsonNode schema) => schema["type"] switch
    {
        JsonArray { Count: > 0 } types => types[random.Next(types.Count)]!.GetValue<string>(),
        JsonValue type => type.GetValue<string>(),
        _ => "string",
    };

    private JsonObject Filled(JsonNode schema, int depth)
    {
        var made = new JsonObject();
        foreach (var (name, of) in schema["properties"]?.AsObject() ?? [])
            if (random.Next(9) != 0)
                made[name] = Body(of, depth + 1);
        if (random.Next(12) == 0)
            made[Text()] = Wrong();
        return made;
    }

    private JsonNode? Wrong()
    {
        switch (random.Next(6))
        {
            case 0:
                return null;
            case 1:
                return new JsonArray();
            case 2:
                return new JsonObject();
            case 3:
                return JsonValue.Create(Number());
            case 4:
                JsonNode deep = new JsonArray();
                for (var i = 0; i < random.Next(2, 100); i++)
                    deep = new JsonArray(deep);
                return deep;
            default:
                return JsonValue.Create(Text());
        }
    }
}
