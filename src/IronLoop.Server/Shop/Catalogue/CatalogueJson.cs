using System.Text.Json.Serialization;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Shop.Catalogue;

/// <summary>How what these calls take and answer is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata, Converters = [typeof(LengthInMillimetres)])]
[JsonSerializable(typeof(BeginImport))]
[JsonSerializable(typeof(CatalogueWire))]
[JsonSerializable(typeof(MappingWire))]
internal sealed partial class CatalogueJson : JsonSerializerContext;
