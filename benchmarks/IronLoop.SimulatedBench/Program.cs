using System.Globalization;
using IronLoop.SimulatedBench;

// Usage: IronLoop.SimulatedBench [customers [seed]]
// The same customers and the same judgement for both ways; shares are of those whom any arrangement could serve.
CultureInfo.CurrentCulture = CultureInfo.InvariantCulture;
var count = args.Length > 0 ? int.Parse(args[0], NumberStyles.None, CultureInfo.InvariantCulture) : 20_000;
var seed = args.Length > 1 ? int.Parse(args[1], NumberStyles.None, CultureInfo.InvariantCulture) : 1;

Console.WriteLine($"{count} customers, seed {seed}. Right at the first opening: some micro position inside the wear window, centre within 4 mm.");
Console.WriteLine();
Console.WriteLine("| judging error | way | fits | centred | both | any could |");
Console.WriteLine("|---|---|---|---|---|---|");
foreach (var error in (double[])[1, 1.5, 2.5])
{
    var random = new Random(seed);
    var (served, hand, planned) = (0, new Tally(), new Tally());
    for (var i = 0; i < count; i++)
    {
        var customer = Customer.Draw(random);
        var judged = customer.TrueNeed + error * Customer.Normal(random);
        if (!customer.AnyCould())
            continue;
        served++;
        hand.Add(customer, Fitters.ByHand(customer, judged));
        planned.Add(customer, Fitters.Planned(customer, judged));
    }
    Print(error, "by hand", hand, served);
    Print(error, "planner", planned, served);
}

void Print(double error, string way, Tally tally, int served)
{
    string Share(int of) => $"{100.0 * of / served:0.0} %";
    Console.WriteLine($"| {error:0.0} mm | {way} | {Share(tally.Fits)} | {Share(tally.Centred)} | {Share(tally.Both)} | {100.0 * served / count:0.0} % |");
}
