using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Models;
using IronLoop.Core.Stock;
using IronLoop.Core.Tools;
using IronLoop.Core.Tray;

namespace IronLoop.Storage;

/// <summary>
/// Where one of a few words is stored, and which words there are: the file itself refuses any other, and what comes in from outside is
/// looked over by the same.
/// </summary>
public static class StoredChoices
{
    /// <summary>The choices by table and column.</summary>
    public static IReadOnlyDictionary<(string Table, string Column), Type> All { get; } = new Dictionary<(string Table, string Column), Type>
    {
        [("also_band", "way")] = typeof(PullThroughWay),
        [("also_band", "as_what")] = typeof(AlsoAs),
        [("band", "closure")] = typeof(OnePieceClosure),
        [("band", "kind")] = typeof(BandKind),
        [("band", "material")] = typeof(BandMaterial),
        [("band", "attaches")] = typeof(BandAttachment),
        [("band", "end_shape")] = typeof(BandEnd),
        [("band", "clasp_micro_side")] = typeof(Side),
        [("band", "fastener")] = typeof(Fastener),
        [("band_link", "side")] = typeof(Side),
        [("bench_setup", "tools")] = typeof(ToolFamily),
        [("bench_setup", "tools_in")] = typeof(ToolFamily),
        [("bench_setup", "insertion")] = typeof(Insertion),
        [("bench_setup", "micro")] = typeof(MicroSchool),
        [("bench_setup", "runs")] = typeof(RunSchool),
        [("bench_setup", "try_on")] = typeof(TryOnSchool),
        [("bench_step", "row")] = typeof(StepRow),
        [("book_figure", "figure")] = typeof(GaugedFigure),
        [("book_figure", "how")] = typeof(HowHad),
        [("ring", "why")] = typeof(RingWhy),
        [("job", "hold_why")] = typeof(HoldWhy),
        [("model_fact", "fact")] = typeof(ModelFact),
        [("model_joint", "joints")] = typeof(JointGroup),
        [("model_joint", "fastener")] = typeof(Fastener),
        [("model_reading", "figure")] = typeof(GaugedFigure),
        [("model_reading", "how")] = typeof(HowHad),
        [("came_with", "what")] = typeof(CameWith),
        [("condition_mark", "place")] = typeof(DamagePlace),
        [("condition_mark", "kind")] = typeof(DamageKind),
        [("copied_loop", "loop_by")] = typeof(LoopBy),
        [("figure_stands", "figure")] = typeof(GaugedFigure),
        [("hand_work", "kind")] = typeof(HandWorkKind),
        [("hand_work", "of_band")] = typeof(OnTheWatch),
        [("hand_work", "part")] = typeof(WornPart),
        [("hand_work", "side")] = typeof(Side),
        [("hand_work", "attaches")] = typeof(BandAttachment),
        [("fitter", "role")] = typeof(Role),
        [("job", "request")] = typeof(Request),
        [("job", "worn_way")] = typeof(PullThroughWay),
        [("job", "craft")] = typeof(Craft),
        [("job", "returns")] = typeof(ReturnTerms),
        [("job", "goes_back")] = typeof(HowItGoesBack),
        [("job_came", "on_watch")] = typeof(OnTheWatch),
        [("job_came", "held")] = typeof(HeldBy),
        [("job_clasp", "kind")] = typeof(ClaspKind),
        [("job_clasp", "bar_fit")] = typeof(BarFit),
        [("joint_look", "joints")] = typeof(JointGroup),
        [("joint_look", "fastener")] = typeof(Fastener),
        [("link_freed", "side")] = typeof(Side),
        [("link_pinned", "side")] = typeof(Side),
        [("band", "clasp_kind")] = typeof(ClaspKind),
        [("consent_work", "topic")] = typeof(ConsentTopic),
        [("consent_work", "kind")] = typeof(WorkKind),
        [("log_entry", "station")] = typeof(Station),
        [("log_entry", "kind")] = typeof(LogKind),
        [("open_to_gauge", "joints")] = typeof(JointGroup),
        [("outside_craft", "reason")] = typeof(OutsideCraft),
        [("own_bracelet", "micro_side")] = typeof(Side),
        [("own_bracelet", "fastener")] = typeof(Fastener),
        [("own_part", "kind")] = typeof(OwnPartKind),
        [("part", "kind")] = typeof(PartKind),
        [("part", "clasp_kind")] = typeof(ClaspKind),
        [("part", "micro_side")] = typeof(Side),
        [("part", "style")] = typeof(BarStyle),
        [("plan_link", "side")] = typeof(Side),
        [("plan_link", "fate")] = typeof(LinkFate),
        [("reading", "figure")] = typeof(GaugedFigure),
        [("supply_order", "state")] = typeof(OrderState),
        [("tool", "kind")] = typeof(ToolKind),
        [("tried_on", "outcome")] = typeof(TryOnOutcome),
        [("tried_on", "ease")] = typeof(EaseFelt),
        [("step_note", "kind")] = typeof(NoteKind),
        [("try_on", "surplus_by")] = typeof(SurplusBy),
        [("try_on", "surplus_over")] = typeof(SurplusOver),
        [("watch", "attachment")] = typeof(Attachment),
        [("watch", "case_shape")] = typeof(CaseShape),
        [("wording", "field")] = typeof(Wording),
        [("wrist", "wear")] = typeof(WearPreference),
        [("wrist", "worn_at")] = typeof(WornAt),
        [("wrist", "season")] = typeof(Season),
    };

    /// <summary>The rule of the file for one of them, as a constraint says it.</summary>
    public static string Rule(string column, Type choice) => $"CHECK ({column} IN ({string.Join(", ", Enum.GetNames(choice).Select(n => $"'{n}'"))}))";
}
