using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.Bench;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(AnswerWire))]
[JsonSerializable(typeof(BenchSheet))]
[JsonSerializable(typeof(CameWire))]
[JsonSerializable(typeof(GripWire))]
[JsonSerializable(typeof(List<TrayStockWire>))]
[JsonSerializable(typeof(LookWire))]
[JsonSerializable(typeof(NewNoteWire))]
[JsonSerializable(typeof(SignWire))]
[JsonSerializable(typeof(TickWire))]
[JsonSerializable(typeof(TrayActWire))]
[JsonSerializable(typeof(TriedSheet))]
[JsonSerializable(typeof(TriedWire))]
internal sealed partial class BenchJson : JsonSerializerContext;
