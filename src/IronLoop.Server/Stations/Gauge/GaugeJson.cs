using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.Gauge;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(CopyWire))]
[JsonSerializable(typeof(GaugeSheetWire))]
[JsonSerializable(typeof(GaugeWire))]
[JsonSerializable(typeof(LinkRowWire))]
[JsonSerializable(typeof(NewReading))]
[JsonSerializable(typeof(TakeModelWire))]
[JsonSerializable(typeof(OwnBraceletFields))]
internal sealed partial class GaugeJson : JsonSerializerContext;
