using System.Text.Json.Serialization;
using IronLoop.Server.Host;
using IronLoop.Server.Bench;
using IronLoop.Server.Catalogue;
using IronLoop.Server.Clasp;
using IronLoop.Server.Clientele;
using IronLoop.Server.Devices;
using IronLoop.Server.Door;
using IronLoop.Server.Fit;
using IronLoop.Server.Gauge;
using IronLoop.Server.HandOver;
using IronLoop.Server.HouseRules;
using IronLoop.Server.Labels;
using IronLoop.Server.LogBook;
using IronLoop.Server.LongRunning;
using IronLoop.Server.Loop;
using IronLoop.Server.Match;
using IronLoop.Server.Ordering;
using IronLoop.Server.PartStock;
using IronLoop.Server.Rack;
using IronLoop.Server.Safekeeping;
using IronLoop.Server.Size;
using IronLoop.Server.TakeIn;

namespace IronLoop.Server.Contract;

/// <summary>
/// How what calls take and answer is read and written, worked out by the compiler: worked out at the start it took longer than all else.
/// A type that is missing here is worked out at the start all the same.
/// </summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(AgainWire))]
[JsonSerializable(typeof(AskQuoteWire))]
[JsonSerializable(typeof(BandSheet))]
[JsonSerializable(typeof(BandWire))]
[JsonSerializable(typeof(BeginImport))]
[JsonSerializable(typeof(BenchSheet))]
[JsonSerializable(typeof(GripWire))]
[JsonSerializable(typeof(NewNoteWire))]
[JsonSerializable(typeof(AnswerWire))]
[JsonSerializable(typeof(List<ToolWire>))]
[JsonSerializable(typeof(NewToolWire))]
[JsonSerializable(typeof(ToolChangeWire))]
[JsonSerializable(typeof(ByHand))]
[JsonSerializable(typeof(ReturnWire))]
[JsonSerializable(typeof(CaliperSource))]
[JsonSerializable(typeof(CaliperWire))]
[JsonSerializable(typeof(CameWithWire))]
[JsonSerializable(typeof(CatalogueWire))]
[JsonSerializable(typeof(ChooseWire))]
[JsonSerializable(typeof(ClaspKeyWire))]
[JsonSerializable(typeof(ClaspOffersWire))]
[JsonSerializable(typeof(ClaspSeenWire))]
[JsonSerializable(typeof(ClaspSheetWire))]
[JsonSerializable(typeof(ClientDataWire))]
[JsonSerializable(typeof(ClientLifeWire))]
[JsonSerializable(typeof(CopyWire))]
[JsonSerializable(typeof(DeliveryWire))]
[JsonSerializable(typeof(DoorWire))]
[JsonSerializable(typeof(EaseFromGapAnswer))]
[JsonSerializable(typeof(EaseFromGapRequest))]
[JsonSerializable(typeof(FreedWire))]
[JsonSerializable(typeof(GaugeSheetWire))]
[JsonSerializable(typeof(GaugeWire))]
[JsonSerializable(typeof(HabitsWire))]
[JsonSerializable(typeof(HandChangeWire))]
[JsonSerializable(typeof(HandOverSheet))]
[JsonSerializable(typeof(HandOverWire))]
[JsonSerializable(typeof(HandsWire))]
[JsonSerializable(typeof(HealthWire))]
[JsonSerializable(typeof(InspectedWire))]
[JsonSerializable(typeof(JobWire))]
[JsonSerializable(typeof(JudgeAnswer))]
[JsonSerializable(typeof(JudgeClaspRequest))]
[JsonSerializable(typeof(JudgeRequest))]
[JsonSerializable(typeof(LabelPrinter))]
[JsonSerializable(typeof(LabelPrinterWire))]
[JsonSerializable(typeof(LinkRowWire))]
[JsonSerializable(typeof(LogFiguresWire))]
[JsonSerializable(typeof(LogPageWire))]
[JsonSerializable(typeof(LongWorkWire))]
[JsonSerializable(typeof(LoopSheet))]
[JsonSerializable(typeof(MakeOrderWire))]
[JsonSerializable(typeof(MappingWire))]
[JsonSerializable(typeof(MatchSheet))]
[JsonSerializable(typeof(MatchWire))]
[JsonSerializable(typeof(NeedAnswer))]
[JsonSerializable(typeof(NeedRequest))]
[JsonSerializable(typeof(NewHandWire))]
[JsonSerializable(typeof(NewMark))]
[JsonSerializable(typeof(NewOrderLineWire))]
[JsonSerializable(typeof(NewPassphraseWire))]
[JsonSerializable(typeof(NewReading))]
[JsonSerializable(typeof(HandOverEndpoints.ObservedWire))]
[JsonSerializable(typeof(OfferChoiceWire))]
[JsonSerializable(typeof(OrderBookWire))]
[JsonSerializable(typeof(OtherClaspWire))]
[JsonSerializable(typeof(OwnBraceletFields))]
[JsonSerializable(typeof(PartOffersWire))]
[JsonSerializable(typeof(PartSheet))]
[JsonSerializable(typeof(PinWire))]
[JsonSerializable(typeof(PlanAnswerWire))]
[JsonSerializable(typeof(PlanRequestWire))]
[JsonSerializable(typeof(PrintedWire))]
[JsonSerializable(typeof(QuoteWire))]
[JsonSerializable(typeof(ReferralWire))]
[JsonSerializable(typeof(ReplacementWire))]
[JsonSerializable(typeof(SchoolSheet))]
[JsonSerializable(typeof(SchoolWire))]
[JsonSerializable(typeof(SetLimit))]
[JsonSerializable(typeof(SetupWire))]
[JsonSerializable(typeof(SignInWire))]
[JsonSerializable(typeof(SignWire))]
[JsonSerializable(typeof(SpringBarSheet))]
[JsonSerializable(typeof(StockTakeWire))]
[JsonSerializable(typeof(SuppliersWire))]
[JsonSerializable(typeof(TakeInSheet))]
[JsonSerializable(typeof(TakeInWire))]
[JsonSerializable(typeof(TakeLinkWire))]
[JsonSerializable(typeof(TickWire))]
[JsonSerializable(typeof(TrayActWire))]
[JsonSerializable(typeof(TriedSheet))]
[JsonSerializable(typeof(TriedWire))]
[JsonSerializable(typeof(TryOnWire))]
[JsonSerializable(typeof(WearItWire))]
[JsonSerializable(typeof(WishesWire))]
[JsonSerializable(typeof(CameWire))]
[JsonSerializable(typeof(LookWire))]
[JsonSerializable(typeof(List<BackupWire>))]
[JsonSerializable(typeof(List<BandWire>))]
[JsonSerializable(typeof(List<ClientWire>))]
[JsonSerializable(typeof(List<HeldAgainst>))]
[JsonSerializable(typeof(List<LimitWire>))]
[JsonSerializable(typeof(List<ObservationWire>))]
[JsonSerializable(typeof(List<PartWire>))]
[JsonSerializable(typeof(List<SpringBarWire>))]
[JsonSerializable(typeof(List<StockEntryWire>))]
[JsonSerializable(typeof(List<StockLinkWire>))]
[JsonSerializable(typeof(List<StrapLengthWire>))]
[JsonSerializable(typeof(List<TagWire>))]
[JsonSerializable(typeof(List<TrayStockWire>))]
[JsonSerializable(typeof(List<WornWire>))]
internal sealed partial class WireContext : JsonSerializerContext;
