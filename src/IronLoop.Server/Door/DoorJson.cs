using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Door;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(DoorWire))]
[JsonSerializable(typeof(HandChangeWire))]
[JsonSerializable(typeof(HandsWire))]
[JsonSerializable(typeof(NewHandWire))]
[JsonSerializable(typeof(NewPassphraseWire))]
[JsonSerializable(typeof(SignInWire))]
internal sealed partial class DoorJson : JsonSerializerContext;
