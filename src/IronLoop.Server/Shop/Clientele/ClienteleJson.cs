using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Shop.Clientele;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(ClientDataWire))]
[JsonSerializable(typeof(ClientLifeWire))]
internal sealed partial class ClienteleJson : JsonSerializerContext;
