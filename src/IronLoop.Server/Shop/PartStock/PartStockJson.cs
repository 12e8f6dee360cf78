using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Shop.PartStock;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(List<StockEntryWire>))]
[JsonSerializable(typeof(PartSheet))]
[JsonSerializable(typeof(StockTakeWire))]
internal sealed partial class PartStockJson : JsonSerializerContext;
