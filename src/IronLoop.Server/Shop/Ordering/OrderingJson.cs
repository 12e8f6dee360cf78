using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Shop.Ordering;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(AskQuoteWire))]
[JsonSerializable(typeof(DeliveryWire))]
[JsonSerializable(typeof(MakeOrderWire))]
[JsonSerializable(typeof(NewOrderLineWire))]
[JsonSerializable(typeof(OrderBookWire))]
[JsonSerializable(typeof(QuoteWire))]
[JsonSerializable(typeof(SuppliersWire))]
internal sealed partial class OrderingJson : JsonSerializerContext;
