using System.Globalization;
using IronLoop.SimulatedBench;

// Usage: IronLoop.SimulatedBench [customers [seed]], or: IronLoop.SimulatedBench readings [bracelets [seed]],
// or: IronLoop.SimulatedBench holes [wrists [seed]], or: IronLoop.SimulatedBench month [months [seed]],
// or: IronLoop.SimulatedBench book [owners [seed]]
// The same customers and the same judgement for all ways; shares are of those whom any arrangement could serve.
CultureInfo.CurrentCulture = CultureInfo.InvariantCulture;
if (args is ["readings", ..])
{
    Readings.Run(
        args.Length > 1 ? int.Parse(args[1], NumberStyles.None, CultureInfo.InvariantCulture) : 10_000,
        args.Length > 2 ? int.Parse(args[2], NumberStyles.None, CultureInfo.InvariantCulture) : 1);
    return;
}
if (args is ["holes", ..])
{
    Holes.Run(
        args.Length > 1 ? int.Parse(args[1], NumberStyles.None, CultureInfo.InvariantCulture) : 2_000,
        args.Length > 2 ? int.Parse(args[2], NumberStyles.None, CultureInfo.InvariantCulture) : 1);
    return;
}
if (args is ["month", ..])
{
    Month.Run(
        args.Length > 1 ? int.Parse(args[1], NumberStyles.None, CultureInfo.InvariantCulture) : 20,
        args.Length > 2 ? int.Parse(args[2], NumberStyles.None, CultureInfo.InvariantCulture) : 1);
    return;
}
if (args is ["book", ..])
{
    SecondOwner.Run(
        args.Length > 1 ? int.Parse(args[1], NumberStyles.None, CultureInfo.InvariantCulture) : 10_000,
        args.Length > 2 ? int.Parse(args[2], NumberStyles.None, CultureInfo.InvariantCulture) : 1);
    return;
}
var count = args.Length > 0 ? int.Parse(args[0], NumberStyles.None, CultureInfo.InvariantCulture) : 20_000;
var seed = args.Length > 1 ? int.Parse(args[1], NumberStyles.None, CultureInfo.InvariantCulture) : 1;

Console.WriteLine($"{count} customers, seed {seed}. Right at the first opening: some micro position inside the wear window, centre within the house’s 2 mm.");
Console.WriteLine();
Console.WriteLine("| judging error | way | fits | centred | both | any could |");
Console.WriteLine("|---|---|---|---|---|---|");
foreach (var error in (double[])[1, 1.5, 2.5])
{
    var random = new Random(seed);
    var (served, hand, planned, likely, best) = (0, new Tally(), new Tally(), new Tally(), new Tally());
    for (var i = 0; i < count; i++)
    {
        var customer = Customer.Draw(random);
        var judged = customer.TrueNeed + error * Customer.Normal(random);
        if (!customer.AnyCould())
            continue;
        served++;
        hand.Add(customer, Fitters.ByHand(customer, judged));
        planned.Add(customer, Fitters.Planned(customer, judged, 0));
        likely.Add(customer, Fitters.Planned(customer, judged, error));
        best.Add(customer, Fitters.Best(customer, judged, error));
    }
    Print(error, "by hand", hand, served);
    Print(error, "planner, error not told", planned, served);
    Print(error, "planner, error told", likely, served);
    Print(error, "best single decision", best, served);
}

void Print(double error, string way, Tally tally, int served)
{
    string Share(int of) => $"{100.0 * of / served:0.0} %";
    Console.WriteLine($"| {error:0.0} mm | {way} | {Share(tally.Fits)} | {Share(tally.Centred)} | {Share(tally.Both)} | {100.0 * served / count:0.0} % |");
}
