using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using IronLoop.Core.Bench;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Tests.Bench;

/// <summary>A bench list as another program is sent it.</summary>
internal static class Told
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
    };

    public static JsonNode Bench(BenchPlan plan, IEnumerable<DoneStep> steps) => JsonSerializer.SerializeToNode(new
    {
        from = ToldStand.Tell(plan.From),
        to = ToldStand.Tell(plan.To),
        steps = steps.Select(s => new { key = s.Key, round = s.Round, caution = s.Acts.Count == 0, acts = s.Acts.Select(ToldAct.Tell) }),
    }, Json)!;

    public static JsonNode Bench(BenchPlan plan, IEnumerable<BenchStep> steps) => Bench(plan, steps.Select(Done));

    public static DoneStep Done(BenchStep step) => new(step.Key, step.Row, step.Round, step.Acts);
}
