using IronLoop.Core.Jobs;
using IronLoop.Core.Tests.Bench;

namespace IronLoop.Core.Tests.Jobs;

/// <summary>Lines of the log as they are read years later, whatever of them is still known.</summary>
public class LogLineTests
{
    private static readonly LoggedNote Note = new("Old band off, 6 side.", "Scratched before.", "Polished.", IsSettled: false);

    [Fact]
    public void Every_kind_of_line_reads_as_it_was_read_before_and_nothing_is_made_up_where_nothing_is_known()
    {
        var lines = Enum.GetValues<LogKind>().SelectMany(kind => (string[])
        [
            $"{kind}: {Full(kind).Words}",
            $"    forgotten: {LogLine.Of(kind, Facts(kind)).Words}",
            $"    empty: {LogLine.Of(kind).Words}",
        ]);
        Kept.AgreeWith("tests/IronLoop.Core.Tests/Jobs/log/lines.txt", string.Join('\n', lines) + "\n");
    }

    [Fact]
    public void What_is_settled_is_not_told_as_open_and_steps_left_out_are_told_with_their_reasons()
    {
        (LogLine.Of(LogKind.Noted) with { Note = Note }).Words.ShouldEndWith("(still open)");
        (LogLine.Of(LogKind.Noted) with { Note = Note with { IsSettled = true } }).Words.ShouldEndWith("Scratched before.");
        LogLine.Of(LogKind.TriedOn, "As planned.").Words.ShouldBe("As planned.");
        LogLine.Of(LogKind.TriedOn, "!", "As planned.").Words.ShouldBe("! As planned.");
        LogLine.Of(LogKind.BenchDone, "9").Words.ShouldBe("Bench work done, 9 steps.");
        (LogLine.Of(LogKind.BenchDone, "12") with { LeftOut = ["Clean: no brush."] }).Words.ShouldBe("Bench work done, 12 steps. Clean: no brush.");
    }

    [Fact]
    public void A_line_of_a_version_before_is_its_own_words() =>
        LogLine.Of(LogKind.ClaspKept, "pin buckle").Saying(Wording.Earlier, "Kept the buckle").Words.ShouldBe("Kept the buckle");

    [Fact]
    public void Nothing_said_is_nothing_stored()
    {
        var line = LogLine.Of(LogKind.TakenIn, "Refit");
        line.Saying(Wording.Words, "").ShouldBeSameAs(line);
        line.Saying(Wording.Words, "Too loose.").Saying(Wording.Why, "worn").Said.Keys.Order().ShouldBe([Wording.Words, Wording.Why]);
    }

    private static string[] Facts(LogKind kind) => kind switch
    {
        LogKind.TakenIn => ["Refit"],
        LogKind.CameBack => ["12", "TakeLinksOut"],
        _ => ["one", "two", "three", "four", "five"],
    };

    private static LogLine Full(LogKind kind) =>
        Enum.GetValues<Wording>().Where(w => w != Wording.Earlier).Aggregate(LogLine.Of(kind, Facts(kind)), (line, w) => line.Saying(w, $"<{w}>")) with { Note = Note };
}
