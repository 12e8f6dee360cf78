using IronLoop.Core.Day;

namespace IronLoop.SimulatedBench;

/// <summary>
/// A month of a shop with three fitters: jobs come at random, a quarter waits for parts. What is promised, how, and in which order it is then
/// worked; what of it is kept.
/// </summary>
internal static class Month
{
    private const int Hands = 3, Days = 22, MinutesADay = 24 * 60, Open = 9 * 60, Close = 18 * 60, LeadDays = 4;

    private static readonly HashSet<string> Nothing = [];

    private sealed record Coming(int At, int Expected, int True, int PartsAt);

    private sealed class Promised(Coming job, int due)
    {
        public Coming Job { get; } = job;
        public int Due { get; } = due;
        public int Left { get; set; } = job.True;
        public int? DoneAt { get; set; }
        public int? By { get; set; }
    }

    /// <summary>Runs months and prints what was kept.</summary>
    /// <param name="months">How many.</param>
    /// <param name="seed">What the first begins with.</param>
    public static void Run(int months, int seed)
    {
        Console.WriteLine($"{months} months of {Days} working days, {Hands} fitters, seed {seed}; a quarter of jobs waits {LeadDays} working days for parts.");
        Console.WriteLine();
        Console.WriteLine("| month | way | kept | mean lateness of the late | promised after, mean | idle |");
        Console.WriteLine("|---|---|---|---|---|---|");
        foreach (var (name, wrong, ill) in ((string, double, bool)[])[("as estimated", 0.15, false), ("estimates wrong by 40 %", 0.4, false), ("a fitter ill for five days", 0.15, true)])
            foreach (var (way, byProgram, days) in ((string, bool, int)[])[("promises from the program, by due", true, 0), ("in three days, first come first served", false, 3), ("three days after the parts, first come first served", false, -3)])
            {
                var (kept, all, late, lateJobs, after, idle, time) = (0, 0, 0L, 0, 0L, 0L, 0L);
                for (var m = 0; m < months; m++)
                {
                    var random = new Random(seed + m);
                    var jobs = Draw(random, wrong);
                    var (done, rested, open) = Work(jobs, byProgram, days, ill);
                    (idle, time) = (idle + rested, time + open);
                    foreach (var job in done)
                    {
                        all++;
                        after += (job.Due / MinutesADay) - (job.Job.At / MinutesADay);
                        var by = (job.DoneAt ?? (Days + 10) * MinutesADay) - job.Due;
                        if (by <= 0)
                        {
                            kept++;
                        }
                        else
                        {
                            lateJobs++;
                            late += by;
                        }
                    }
                }
                Console.WriteLine($"| {name} | {way} | {100.0 * kept / all:0.0} % | {(lateJobs == 0 ? "–" : $"{(double)late / lateJobs / MinutesADay:0.0} days")} | {(double)after / all:0.0} days | {100.0 * idle / time:0} % |");
            }
    }

    /// <summary>Days are working days one after the other: what lies between counts for nothing here.</summary>
    private static List<Coming> Draw(Random random, double wrong)
    {
        var jobs = new List<Coming>();
        for (var day = 0; day < Days; day++)
            for (var minute = Open; minute < Close; minute++)
                // Some nine tenths of what three can do.
                if (random.NextDouble() < 0.066)
                {
                    var expected = random.Next(8, 70);
                    var error = Math.Exp(wrong * Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble()));
                    var at = day * MinutesADay + minute;
                    jobs.Add(new Coming(at, expected, Math.Max(2, (int)(expected * error)), random.Next(4) == 0 ? (day + LeadDays) * MinutesADay + Open : at));
                }
        return jobs;
    }

    private static (List<Promised> Jobs, long Idle, long Open) Work(List<Coming> coming, bool byProgram, int days, bool ill)
    {
        var known = new List<Promised>();
        var busy = new Promised?[Hands];
        var (idle, open, next) = (0L, 0L, 0);
        for (var day = 0; day < Days + 8; day++)
            for (var minute = Open; minute < Close; minute++)
            {
                var now = day * MinutesADay + minute;
                for (; next < coming.Count && coming[next].At <= now; next++)
                    known.Add(new Promised(coming[next], byProgram ? Due(coming[next], known, now, ill) : ClosingOf((days < 0 ? coming[next].PartsAt : coming[next].At) / MinutesADay + Math.Abs(days))));
                for (var h = 0; h < Hands; h++)
                {
                    if (IsAway(h, day, ill))
                        continue;
                    open += day < Days ? 1 : 0;
                    busy[h] ??= Next(known, now, byProgram);
                    if (busy[h] is not { } job)
                    {
                        idle += day < Days ? 1 : 0;
                        continue;
                    }
                    job.By = h;
                    if (--job.Left == 0)
                    {
                        job.DoneAt = now + 1;
                        busy[h] = null;
                    }
                }
            }
        return (known, idle, open);
    }

    private static bool IsAway(int hand, int day, bool ill) => ill && hand == 0 && day is >= 8 and < 13;

    private static int ClosingOf(int day) => day * MinutesADay + Close;

    private static Promised? Next(List<Promised> known, int now, bool byDue)
    {
        var ready = known.Where(j => j is { DoneAt: null, By: null } && j.Job.PartsAt <= now);
        return byDue ? ready.MinBy(j => j.Due) : ready.FirstOrDefault();
    }

    /// <summary>The day after the earliest that keeps all others, a fifth of each day in reserve. Who is ill is not known before.</summary>
    private static int Due(Coming job, List<Promised> known, int now, bool ill)
    {
        var day = now / MinutesADay;
        var hands = Enumerable.Range(0, Hands).Where(h => !IsAway(h, day, ill)).Select(h => new DayHand(
            $"{h}", [.. Enumerable.Range(day, 16).Select(d => new WorkTime(d * MinutesADay + Open, d * MinutesADay + Close))], Nothing)).ToList();
        // What takes longer than was said is nearly done.
        var open = known.Where(j => j.DoneAt is null).Select((j, i) => new DayJob($"{i}", Math.Max(5, j.Job.Expected - (j.Job.True - j.Left)), j.Job.PartsAt, j.Due, Nothing)).ToList();
        var earliest = new Keeping(now, hands).Earliest(open, new DayJob("one", (int)Math.Ceiling(job.Expected * 1.6), job.PartsAt, 0, Nothing), 20);
        return earliest is { } at ? ClosingOf((at - 1) / MinutesADay + 1) : ClosingOf(day + 15);
    }
}
