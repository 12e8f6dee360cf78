using System.Text.RegularExpressions;
using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Day;

/// <summary>A message in the house's words.</summary>
/// <param name="Why">Why its owner is rung.</param>
/// <param name="Text">The text, with places for {client}, {watch}, {tag} and {what}.</param>
internal sealed record MessageWire(RingWhy Why, string Text);

/// <summary>The house's messages.</summary>
internal sealed record MessagesWire(IReadOnlyList<MessageWire> Messages);

/// <summary>What is written to an owner, in the house's words; the program sends nothing.</summary>
internal static partial class Messages
{
    private const string Setting = "day.message.";
    private const int Longest = 600;
    private static readonly string[] Places = ["client", "watch", "tag", "what"];

    /// <summary>Whether a setting is one of the house's messages.</summary>
    public static bool IsOne(string name) => name.StartsWith(Setting, StringComparison.Ordinal) && Enum.TryParse<RingWhy>(name[Setting.Length..], out _);

    /// <summary>Those of the house.</summary>
    public static MessagesWire Of(ShopWork work) => new([.. Enum.GetValues<RingWhy>().Select(w => new MessageWire(w, Text(work, w)))]);

    /// <summary>Sets them; one left empty is the usual one again.</summary>
    public static void Set(ShopWork work, MessagesWire messages, Refusals refusals)
    {
        foreach (var (message, i) in messages.Messages.Select((m, i) => (m, i)))
        {
            var text = refusals.Text($"$.messages[{i}].text", message.Text, Longest, required: false);
            foreach (var place in Place().Matches(text).Select(m => m.Groups["place"].Value).Where(p => !Places.Contains(p)))
                refusals.Add($"$.messages[{i}].text", $"The text has {{{place}}}; allowed are {string.Join(", ", Places.Select(p => $"{{{p}}}"))}.");
            Settings.Set(work, Setting + message.Why, text);
        }
    }

    /// <summary>The message for a job.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="why">Why its owner is rung.</param>
    /// <param name="job">The job.</param>
    /// <param name="what">What is asked of them, where something is.</param>
    public static string For(ShopWork work, RingWhy why, JobSnapshot job, string what = "") => For(work, why, job.Job.Id, job.Job.Client.Name, job.Job.WatchName, what);

    /// <summary>The message for a job that is told by its tag, whose it is and the watch.</summary>
    public static string For(ShopWork work, RingWhy why, long tag, string client, string watch, string what = "") => Place().Replace(Text(work, why), place => place.Groups["place"].Value switch
    {
        "client" => client,
        "watch" => watch,
        "tag" => tag.ToString(System.Globalization.CultureInfo.InvariantCulture),
        "what" => what,
        _ => place.Value,
    });

    private static string Text(ShopWork work, RingWhy why) => Settings.Find(work, Setting + why) is { Length: > 0 } own ? own : why switch
    {
        RingWhy.WorkIsDone => "{client}, your {watch} is done and can be collected. Tag {tag}.",
        RingWhy.PartsCame => "{client}, the parts for your {watch} are here. Tag {tag}.",
        RingWhy.FollowUp => "{client}, how is your {watch} since it was here? Tag {tag}.",
        _ => "{client}, before we go on with your {watch} we ask for your consent: {what}. Tag {tag}.",
    };

    [GeneratedRegex(@"\{(?<place>\w*)\}", RegexOptions.ExplicitCapture, matchTimeoutMilliseconds: 1000)]
    private static partial Regex Place();
}
