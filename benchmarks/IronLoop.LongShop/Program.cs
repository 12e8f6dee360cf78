using System.Diagnostics;
using System.Globalization;
using System.Security.Cryptography;
using IronLoop.LongShop;
using IronLoop.Storage;
using IronLoop.Storage.Archive;

// Usage: IronLoop.LongShop fill JOBS FOLDER | open JOBS FOLDER | archive FOLDER | log FOLDER
//   fill     makes a shop of so many closed jobs in an empty folder
//   open     takes in so many jobs more, each agreed and on the bench
//   archive  writes the shop into one file, takes it into an empty shop, and compares
//   log      asks the log 400 questions of every kind
switch (args)
{
    case ["fill", var jobs, var folder]:
        MadeUpLog.Fill(ShopFile.Open(folder), int.Parse(jobs, CultureInfo.InvariantCulture));
        return 0;
    case ["open", var jobs, var folder]:
        MadeUpLog.Open(ShopFile.Open(folder), int.Parse(jobs, CultureInfo.InvariantCulture));
        return 0;
    case ["archive", var folder]:
        Archive(folder);
        return 0;
    case ["log", var folder]:
        Ask(ShopFile.Open(folder));
        return 0;
    default:
        Console.Error.WriteLine("fill JOBS FOLDER, open JOBS FOLDER, archive FOLDER or log FOLDER");
        return 2;
}

static void Archive(string folder)
{
    var empty = Directory.CreateTempSubdirectory("iron-loop-empty-").FullName;
    var (first, second) = (Path.Combine(empty, "first.json"), Path.Combine(empty, "second.json"));
    Timed("written", () => Write(ShopFile.Open(folder), first));
    Console.WriteLine($"size {new FileInfo(first).Length / 1024.0 / 1024.0:0.0} MB");
    var other = ShopFile.Open(empty);
    Timed("taken in", () =>
    {
        using var stream = File.OpenRead(first);
        Console.WriteLine(ShopArchive.Restore(other, PhotoFolder.Beside(other), stream, stream.Length, new ArrivalChecks((_, _) => null, _ => null, _ => { }), (_, _) => { }));
    });
    Timed("written again", () => Write(other, second));
    static byte[] Sum(string path)
    {
        using var stream = File.OpenRead(path);
        return SHA256.HashData(stream);
    }
    Console.WriteLine(Sum(first).AsSpan().SequenceEqual(Sum(second)) ? "equal to the byte" : "NOT EQUAL");
    Directory.Delete(empty, recursive: true);
}

static void Write(ShopFile shop, string path)
{
    using var stream = new BufferedStream(File.Create(path), 1 << 16);
    ShopArchive.Write(shop, PhotoFolder.Beside(shop), stream, (_, _) => { });
}

static void Timed(string what, Action act)
{
    var watch = Stopwatch.StartNew();
    act();
    Console.WriteLine($"{what}: {watch.Elapsed.TotalSeconds:0.0} s");
}

static void Ask(ShopFile shop)
{
    var random = new Random(7);
    string[] words = ["summer", "harbour", "clasp", "own", "handed", "over", "12", "side", "micro", "tight", "gift", "rattles", "zeppelin", "s", "ha"];
    string Any() => words[random.Next(words.Length)];
    Func<LogQuestion>[] kinds =
    [
        () => new LogQuestion(Words: Any()),
        () => new LogQuestion(Words: $"{Any()} {Any()}"),
        () => new LogQuestion(Client: "fenwick"),
        () => new LogQuestion(Client: "sunniva marl", Fitter: "mk"),
        () => new LogQuestion(Watch: "ostwick moon", Words: Any()),
        () => new LogQuestion(Part: $"sk-{random.Next(40):000}"),
        () => new LogQuestion(Width: IronLoop.Core.Measuring.Length.FromMillimetres(16 + random.Next(17) * 0.5m)),
        () => new LogQuestion(Width: IronLoop.Core.Measuring.Length.FromMillimetres(20), Words: Any(), From: new DateOnly(2018, 1, 1), To: new DateOnly(2019, 1, 1)),
        () => new LogQuestion(Words: $"tag {random.Next(100_000)}"),
        () => new LogQuestion(From: new DateOnly(2017, 3, 1), To: new DateOnly(2017, 4, 1)),
    ];
    var times = new List<(double Ms, LogQuestion Question)>();
    for (var i = 0; i < 400; i++)
    {
        var question = kinds[i % kinds.Length]();
        var watch = Stopwatch.StartNew();
        using (var work = shop.Look())
        {
            var visits = Visits.Find(work, question, long.MaxValue, 31);
            _ = Log.Of(work, visits.Select(v => v.JobId)).Count;
        }
        times.Add((watch.Elapsed.TotalMilliseconds, question));
    }
    var sorted = times.OrderBy(t => t.Ms).ToList();
    Console.WriteLine($"median {sorted[sorted.Count / 2].Ms:0.0} ms, 99th {sorted[(int)(sorted.Count * 0.99)].Ms:0.0} ms, worst {sorted[^1].Ms:0.0} ms: {sorted[^1].Question}");
}
