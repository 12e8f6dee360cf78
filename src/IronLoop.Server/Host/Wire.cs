using System.Collections;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace IronLoop.Server.Host;

/// <summary>How JSON is read and written, and how the OpenAPI document tells of it.</summary>
internal static class Wire
{
    public static void Configure(JsonSerializerOptions options)
    {
        // Strict on the way in: an unknown field is more often a typing mistake than a wish.
        options.UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow;
        options.AllowDuplicateProperties = false;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
        options.Converters.Add(new LengthInMillimetres());
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
    }

    /// <summary>A list holds no null: what is not there is left out. The nullability that the serializer respects ends at the list.</summary>
    public static void RefuseNullInLists(JsonTypeInfo info)
    {
        if (info.Kind == JsonTypeInfoKind.Enumerable && info.ElementType is { IsValueType: false })
            info.OnDeserialized = list => RefuseNull((IEnumerable)list);
    }

    private static void RefuseNull(IEnumerable list)
    {
        var number = 0;
        foreach (var element in list)
        {
            number++;
            if (element is null)
                throw new JsonException($"must be a list without null; number {number} is null.");
        }
    }

    public static void Configure(OpenApiOptions options)
    {
        options.AddSchemaTransformer((schema, context, _) =>
        {
            var type = Nullable.GetUnderlyingType(context.JsonTypeInfo.Type) ?? context.JsonTypeInfo.Type;
            if (type == typeof(Length))
            {
                schema.Type = context.JsonTypeInfo.Type == typeof(Length) ? JsonSchemaType.Number : JsonSchemaType.Number | JsonSchemaType.Null;
                schema.Description = "Millimetres, at most three decimals.";
            }
            if (context.JsonTypeInfo.ElementType == typeof(Length))
                schema.Items = new OpenApiSchema { Type = JsonSchemaType.Number };
            return Task.CompletedTask;
        });
        // A length is written in place, since a plain number reads better than a reference. So is a choice that may be
        // left out: sharing the choice's own schema would let null in everywhere.
        options.CreateSchemaReferenceId = info =>
            info.Type == typeof(Length) || Nullable.GetUnderlyingType(info.Type) is { } inner && (inner.IsEnum || inner == typeof(Length))
                ? null
                : OpenApiOptions.CreateDefaultSchemaReferenceId(info);
        options.AddOperationTransformer((operation, context, _) =>
        {
            var call = context.Description;
            if (call.HttpMethod is "GET" || call.RelativePath is not { } path || !path.StartsWith("api/", StringComparison.Ordinal) || path.StartsWith("api/door", StringComparison.Ordinal)
                || call.ActionDescriptor.EndpointMetadata.OfType<Door.NeedsKeyFromElsewhere>().Any())
                return Task.CompletedTask;
            operation.Parameters ??= [];
            foreach (var (name, says) in ((string, string)[])
            [
                (Door.OnceOnly.Header, "A name of the call's own, 1 to 200 letters, digits and signs: it is done once, however often it comes within a day."),
                ("If-Match", "The version it is made on, as ETag has it, or * for whatever stands; 428 where it is missing and something would be overwritten, 412 where it is older."),
            ])
                operation.Parameters.Add(new OpenApiParameter { Name = name, In = ParameterLocation.Header, Description = says, Schema = new OpenApiSchema { Type = JsonSchemaType.String } });
            return Task.CompletedTask;
        });
        options.AddDocumentTransformer((document, _, _) =>
        {
            document.Info.Title = "Iron Loop";
            document.Info.Description = "Fitting straps, mesh and bracelets: needed length, link plans, matching, and the jobs of a shop.";
            document.Servers?.Clear();
            return Task.CompletedTask;
        });
    }
}
