using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.Match;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(AlongWire))]
[JsonSerializable(typeof(ChooseWire))]
[JsonSerializable(typeof(JudgeAnswer))]
[JsonSerializable(typeof(JudgeClaspRequest))]
[JsonSerializable(typeof(JudgeRequest))]
[JsonSerializable(typeof(List<HeldAgainst>))]
[JsonSerializable(typeof(List<SpringBarWire>))]
[JsonSerializable(typeof(MatchSheet))]
[JsonSerializable(typeof(MatchWire))]
[JsonSerializable(typeof(RankAnswer))]
[JsonSerializable(typeof(RankRequest))]
[JsonSerializable(typeof(SpringBarSheet))]
[JsonSerializable(typeof(WishesWire))]
internal sealed partial class MatchJson : JsonSerializerContext;
