using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(BandSheet))]
[JsonSerializable(typeof(BandWire))]
[JsonSerializable(typeof(HandOverSheet))]
[JsonSerializable(typeof(HandWorkWire))]
[JsonSerializable(typeof(JobWire))]
[JsonSerializable(typeof(List<BandWire>))]
[JsonSerializable(typeof(List<PartWire>))]
[JsonSerializable(typeof(LoopSheet))]
[JsonSerializable(typeof(SetupWire))]
[JsonSerializable(typeof(TryOnWire))]
internal sealed partial class StationsJson : JsonSerializerContext;
