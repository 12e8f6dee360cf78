using IronLoop.Core.Bench;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.Bench;

/// <summary>Something that the shop lends for the work.</summary>
/// <param name="Name">What it is, one of it.</param>
/// <param name="Count">How many, 1 to 20.</param>
/// <param name="Drawer">Where it lies, and goes back to.</param>
internal sealed record LentLineWire(string Name, int Count, string Drawer);

/// <summary>All that the shop lends for the work on a job.</summary>
/// <param name="Lines">At most 10 lines.</param>
internal sealed record LentWire(IReadOnlyList<LentLineWire> Lines)
{
    private const int Most = 10;

    public IReadOnlyList<Lent> Read()
    {
        var refusals = new Refusals();
        if (Lines.Count > Most)
            refusals.Add("$.lines", $"lines has {Lines.Count}; allowed is 0 to {Most}.");
        var read = Lines.Take(Most).Select((line, i) =>
        {
            refusals.Check($"$.lines[{i}].count", new AllowedNumber(1, 20), line.Count);
            return new Lent(refusals.Text($"$.lines[{i}].name", line.Name, 60, required: true), line.Count, refusals.Text($"$.lines[{i}].drawer", line.Drawer, 40, required: true));
        }).ToList();
        if (read.DistinctBy(l => (l.Name, l.Drawer)).Count() < read.Count)
            refusals.Add("$.lines", "The same thing from the same drawer is there twice; say how many instead.");
        refusals.ThrowIfAny("Nothing is lent.");
        return read;
    }
}
