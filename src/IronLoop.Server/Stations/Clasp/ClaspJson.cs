using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.Clasp;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(ClaspKeyWire))]
[JsonSerializable(typeof(ClaspOffersWire))]
[JsonSerializable(typeof(ClaspSeenWire))]
[JsonSerializable(typeof(ClaspSheetWire))]
[JsonSerializable(typeof(InspectedWire))]
[JsonSerializable(typeof(OfferChoiceWire))]
[JsonSerializable(typeof(OtherClaspWire))]
[JsonSerializable(typeof(PartOffersWire))]
[JsonSerializable(typeof(ReplacementWire))]
internal sealed partial class ClaspJson : JsonSerializerContext;
