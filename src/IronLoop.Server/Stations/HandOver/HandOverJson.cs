using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.HandOver;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(AgainWire))]
[JsonSerializable(typeof(HandOverWire))]
[JsonSerializable(typeof(LookedWire))]
[JsonSerializable(typeof(ObserveWire))]
[JsonSerializable(typeof(UnworkedWire))]
[JsonSerializable(typeof(List<ObservationWire>))]
[JsonSerializable(typeof(ObservedWire))]
internal sealed partial class HandOverJson : JsonSerializerContext;
