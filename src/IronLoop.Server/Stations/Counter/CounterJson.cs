using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.Counter;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(CounterAnswer))]
[JsonSerializable(typeof(List<RequestAsks>))]
[JsonSerializable(typeof(CounterWire))]
internal sealed partial class CounterJson : JsonSerializerContext;
