using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Devices;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(CaliperSource))]
[JsonSerializable(typeof(CaliperWire))]
[JsonSerializable(typeof(LabelPrinter))]
internal sealed partial class DevicesJson : JsonSerializerContext;
