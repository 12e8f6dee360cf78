using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Shop.HouseRules;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(List<LimitWire>))]
[JsonSerializable(typeof(List<ToolWire>))]
[JsonSerializable(typeof(NewToolWire))]
[JsonSerializable(typeof(SetLimit))]
[JsonSerializable(typeof(ToolChangeWire))]
internal sealed partial class HouseRulesJson : JsonSerializerContext;
