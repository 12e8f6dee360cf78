using System.Text.Json;
using System.Text.Json.Serialization;
using IronLoop.Core.Bench;
using IronLoop.Core.Joints;

namespace IronLoop.Storage;

/// <summary>How jobs are worked at the bench.</summary>
public static class BenchSetups
{
    private const string HouseWay = "bench.setup";
    private const string OfHands = "hands.";

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web) { Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) } };

    /// <summary>That of a job, or null when nothing was said.</summary>
    public static BenchSetup? Of(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM bench_setup WHERE job_id = $job",
            row => new BenchSetup(row.Choice<ToolFamily>("tools"), row.Choice<Insertion>("insertion"), row.Choice<MicroSchool>("micro"))
            {
                ToolsIn = row.Maybe("tools_in", Columns.Choice<ToolFamily>),
                Runs = row.Choice<RunSchool>("runs"),
                OneByOne = row.Yes("one_by_one"),
                PartedToLieFlat = row.Yes("parted"),
                TryOn = row.Choice<TryOnSchool>("try_on"),
                HeadOff = row.Yes("head_off"),
                BendsBars = row.Yes("bends_bars"),
            },
            ("$job", jobId)).SingleOrDefault();

    /// <summary>How the house works where a job says nothing else; the usual way until it settled its own.</summary>
    public static BenchSetup OfTheHouse(ShopWork work) =>
        Read<BenchSetup>(Settings.Find(work, HouseWay)) ?? new BenchSetup();

    /// <summary>Whether a setting says how the house works, or how a fitter holds and turns.</summary>
    public static bool IsOne(string name) => name == HouseWay || name.StartsWith(OfHands, StringComparison.Ordinal);

    /// <summary>Whether such a setting can be read.</summary>
    public static bool IsReadable(string name, string value) => name == HouseWay ? Read<BenchSetup>(value) is not null : Read<Hands>(value) is not null;

    private static T? Read<T>(string? kept)
        where T : class
    {
        try
        {
            return kept is null ? null : JsonSerializer.Deserialize<T>(kept, Json);
        }
        catch (JsonException)
        {
            return null;
        }
    }

    /// <summary>Settles how the house works.</summary>
    public static void Settle(ShopWork work, BenchSetup setup) => Settings.Set(work, HouseWay, JsonSerializer.Serialize(setup, Json));

    /// <summary>How a fitter holds and turns, by initials.</summary>
    public static Hands HandsOf(ShopWork work, string initials) =>
        Read<Hands>(Settings.Find(work, OfHands + initials)) ?? new Hands();

    /// <summary>Keeps how a fitter holds and turns.</summary>
    public static void Set(ShopWork work, string initials, Hands hands) => Settings.Set(work, OfHands + initials, JsonSerializer.Serialize(hands, Json));

    /// <summary>Stores it in place of what was said before.</summary>
    public static void Set(ShopWork work, long jobId, BenchSetup setup) =>
        work.Execute(
            """
            INSERT OR REPLACE INTO bench_setup (job_id, tools, insertion, micro, runs, one_by_one, parted, try_on, head_off, bends_bars, tools_in)
            VALUES ($job, $tools, $insertion, $micro, $runs, $one, $parted, $try, $head, $bends, $in)
            """,
            ("$job", jobId), ("$tools", setup.Tools), ("$insertion", setup.Insertion), ("$micro", setup.Micro), ("$runs", setup.Runs),
            ("$one", setup.OneByOne), ("$parted", setup.PartedToLieFlat), ("$try", setup.TryOn), ("$head", setup.HeadOff), ("$bends", setup.BendsBars), ("$in", setup.ToolsIn));
}

/// <summary>What holds the joints of jobs, group by group, as far as somebody looked or gauged.</summary>
public static class JointLooks
{
    /// <summary>Those of a job.</summary>
    public static IReadOnlyDictionary<JointGroup, JointLook> Of(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM joint_look WHERE job_id = $job",
                row => (Group: row.Choice<JointGroup>("joints"), Look: new JointLook(row.Choice<Fastener>("fastener"))
                {
                    Across = row.Maybe("across_um", Columns.Length),
                    Slot = row.Maybe("slot_um", Columns.Length),
                    SlotLength = row.Maybe("slot_length_um", Columns.Length),
                    Gap = row.Maybe("gap_um", Columns.Length),
                    NoArrow = row.Yes("no_arrow"),
                }),
                ("$job", jobId))
            .ToDictionary(l => l.Group, l => l.Look);

    /// <summary>Stores what was found of a group.</summary>
    public static void Set(ShopWork work, long jobId, JointGroup group, JointLook look) =>
        work.Execute(
            """
            INSERT OR REPLACE INTO joint_look (job_id, joints, fastener, across_um, slot_um, slot_length_um, gap_um, no_arrow)
            VALUES ($job, $joints, $fastener, $across, $slot, $length, $gap, $arrow)
            """,
            ("$job", jobId), ("$joints", group), ("$fastener", look.Fastener), ("$across", look.Across), ("$slot", look.Slot), ("$length", look.SlotLength),
            ("$gap", look.Gap), ("$arrow", look.NoArrow));
}

/// <summary>How watches came, where somebody said it.</summary>
public static class CameAs
{
    /// <summary>That of a job; null when nobody said, so that what is usual goes.</summary>
    public static AsItCame? Of(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM job_came WHERE job_id = $job",
            row => new AsItCame(row.Choice<OnTheWatch>("on_watch"), row.Choice<HeldBy>("held"), row.Yes("is_wanted")) { Position = row.Maybe("position", Columns.Count), BandId = row.Maybe("band_id", Columns.Number) },
            ("$job", jobId)).SingleOrDefault();

    /// <summary>Stores what was said.</summary>
    public static void Set(ShopWork work, long jobId, AsItCame came) =>
        work.Execute("INSERT OR REPLACE INTO job_came (job_id, on_watch, held, is_wanted, position, band_id) VALUES ($job, $on, $held, $wanted, $position, $band)",
            ("$job", jobId), ("$on", came.On), ("$held", came.Held), ("$wanted", came.IsWanted), ("$position", came.Position), ("$band", came.BandId));
}
