using System.Diagnostics;
using System.Globalization;
using System.Text.RegularExpressions;
using IronLoop.Mutants;
using Microsoft.CodeAnalysis.CSharp;

// Puts faults into the core, one at a time, and counts how many the core's tests catch: HOUSE [FOLDER [HOW-MANY [SEED]]], or HOUSE again FILE for
// those that lived by what a run before wrote into a file.
// All of a sample are compiled in at once, behind a switch; a run of the tests turns one on, and ends at the first test that fails.
var house = Path.GetFullPath(args[0]);
var core = Path.Combine(house, "src/IronLoop.Core");
var lived = args is [_, "again", var before] ? File.ReadAllLines(before).Where(l => l.StartsWith("lives: ", StringComparison.Ordinal)).ToList() : null;
var wanted = lived is null && args.Length > 2 ? int.Parse(args[2], CultureInfo.InvariantCulture) : 400;
var seed = args.Length > 3 ? int.Parse(args[3], CultureInfo.InvariantCulture) : 1;

var all = new List<Fault>();
foreach (var file in FaultyCore.Sources(Path.Combine(core, lived is null && args.Length > 1 ? args[1] : "")))
{
    var faults = new Faults(Path.GetRelativePath(core, file));
    faults.Visit(CSharpSyntaxTree.ParseText(File.ReadAllText(file)).GetRoot());
    all.AddRange(faults.Found);
}
// The line may be another since: the nearest one is it.
if (lived is not null)
{
    var like = all.ToLookup(f => Unplaced(Told(f)), StringComparer.Ordinal);
    all = [.. lived.SelectMany(l => like[Unplaced(l)].OrderBy(f => Math.Abs(f.Line - LineOf(l))).Take(1)).Distinct()];
}
// Of two that overlap, one can be compiled in.
var random = new Random(seed);
var sample = new List<Fault>();
foreach (var fault in all.OrderBy(_ => random.Next()))
    if (sample.Count < wanted && !sample.Any(f => f.File == fault.File && f.At.OverlapsWith(fault.At)))
        sample.Add(fault);
Console.WriteLine($"{all.Count} faults could be put in; {sample.Count} are, by seed {seed}.");

var work = Directory.CreateTempSubdirectory("iron-loop-mutants-").FullName;
var built = new FaultyCore(house, Path.Combine(Directory.CreateDirectory(Path.Combine(work, "core")).FullName)).Build(sample);
var tests = Path.Combine(house, "tests/IronLoop.Core.Tests/bin/Release/net10.0");
var lanes = Enumerable.Range(0, Environment.ProcessorCount).Select(lane => Copied(tests, Path.Combine(work, $"lane-{lane}"))).ToList();
foreach (var lane in lanes)
    File.Copy(built, Path.Combine(lane, "IronLoop.Core.dll"), overwrite: true);
var most = TimeSpan.FromMinutes(10);
var clock = Stopwatch.StartNew();
if (Fails(lanes[0], -1, [], out var broke))
    throw new InvalidOperationException($"The tests fail without any fault.\n{broke}");
Console.WriteLine($"{sample.Count} compile. Without a fault the tests pass, in {clock.Elapsed.TotalSeconds:0} s.");
// A fault that makes the core go on for ever is caught too.
most = clock.Elapsed * 3 + TimeSpan.FromSeconds(30);

var caught = new bool[sample.Count];
var next = -1;
await Task.WhenAll(lanes.Select(lane => Task.Run(() =>
{
    for (int i; (i = Interlocked.Increment(ref next)) < sample.Count;)
    {
        if (i > 0 && i % 50 == 0)
            Console.WriteLine($"{i} tried, {clock.Elapsed.TotalMinutes:0} minutes.");
        // The tests of its own room first: they are few, and most faults fall there.
        caught[i] = Fails(lane, i, ["--filter-namespace", $"IronLoop.Core.Tests.{sample[i].File.Split('/')[0]}"], out _) || Fails(lane, i, [], out _);
        if (!caught[i])
            Console.WriteLine(Told(sample[i]));
    }
})));

Console.WriteLine();
Tell(f => Path.GetDirectoryName(f.File)!);
Tell(f => f.Kind);
Console.WriteLine($"{caught.Count(c => c)} of {sample.Count} faults caught, {100.0 * caught.Count(c => c) / sample.Count:0.0} %, in {clock.Elapsed.TotalMinutes:0} minutes.");
Directory.Delete(work, recursive: true);

void Tell(Func<Fault, string> by)
{
    foreach (var group in sample.Select((f, i) => (Key: by(f), Caught: caught[i])).GroupBy(f => f.Key).OrderBy(g => g.Key, StringComparer.Ordinal))
        Console.WriteLine($"  {group.Key,-20} {group.Count(f => f.Caught),4} of {group.Count(),4}  {100.0 * group.Count(f => f.Caught) / group.Count():0} %");
    Console.WriteLine();
}

bool Fails(string lane, int fault, string[] which, out string said)
{
    (var code, said) = Runs.Of(Path.Combine(lane, "IronLoop.Core.Tests"), ["--progress", "off", "--no-ansi", "--stop-on-fail", "on", .. which], most, fault);
    // A room without tests of its own: none ran.
    return code is not (0 or 8);
}

static string Told(Fault fault) => $"lives: {fault.File}:{fault.Line} [{fault.Kind}] {OneLine(fault.Was)}  ->  {OneLine(fault.Instead)}";

static string Unplaced(string told) => Regex.Replace(told, @":\d+ \[", " [");

static int LineOf(string told) => int.Parse(Regex.Match(told, @":(\d+) \[").Groups[1].Value, CultureInfo.InvariantCulture);

static string OneLine(string text) => Regex.Replace(text, @"\s+", " ");

static string Copied(string from, string to)
{
    foreach (var file in Directory.EnumerateFiles(from, "*", SearchOption.AllDirectories))
    {
        var target = Path.Combine(to, Path.GetRelativePath(from, file));
        Directory.CreateDirectory(Path.GetDirectoryName(target)!);
        File.Copy(file, target);
    }
    return to;
}
