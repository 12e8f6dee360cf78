using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.Size;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(ByHand))]
[JsonSerializable(typeof(List<CureWire>))]
[JsonSerializable(typeof(PunchWire))]
[JsonSerializable(typeof(EaseFromGapAnswer))]
[JsonSerializable(typeof(EaseFromGapRequest))]
[JsonSerializable(typeof(FreedWire))]
[JsonSerializable(typeof(HabitsWire))]
[JsonSerializable(typeof(List<StockLinkWire>))]
[JsonSerializable(typeof(List<StrapLengthWire>))]
[JsonSerializable(typeof(List<WornWire>))]
[JsonSerializable(typeof(NeedAnswer))]
[JsonSerializable(typeof(NeedRequest))]
[JsonSerializable(typeof(PinWire))]
[JsonSerializable(typeof(PlanAnswerWire))]
[JsonSerializable(typeof(PlanRequestWire))]
[JsonSerializable(typeof(ReturnWire))]
[JsonSerializable(typeof(SchoolSheet))]
[JsonSerializable(typeof(SchoolWire))]
[JsonSerializable(typeof(TakeLinkWire))]
[JsonSerializable(typeof(WearItWire))]
internal sealed partial class SizeJson : JsonSerializerContext;
