using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.TakeIn;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(CameWithWire))]
[JsonSerializable(typeof(List<ClientWire>))]
[JsonSerializable(typeof(NewMark))]
[JsonSerializable(typeof(ReferralWire))]
[JsonSerializable(typeof(TakeInSheet))]
[JsonSerializable(typeof(TermsWire))]
[JsonSerializable(typeof(TakeInWire))]
internal sealed partial class TakeInJson : JsonSerializerContext;
