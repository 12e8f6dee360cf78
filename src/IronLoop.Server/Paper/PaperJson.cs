using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Paper;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(LabelPrinterWire))]
[JsonSerializable(typeof(PrintedWire))]
internal sealed partial class PaperJson : JsonSerializerContext;
