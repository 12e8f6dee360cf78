using IronLoop.Core.Measuring;

namespace IronLoop.SimulatedBench;

/// <summary>How often a way was right.</summary>
internal sealed class Tally
{
    public int Fits { get; private set; }

    public int Centred { get; private set; }

    public int Both { get; private set; }

    public void Add(Customer customer, (IReadOnlyList<Length> Twelve, IReadOnlyList<Length> Six) links)
    {
        var (fits, centred, both) = customer.Judge(links.Twelve, links.Six);
        Fits += fits ? 1 : 0;
        Centred += centred ? 1 : 0;
        Both += both ? 1 : 0;
    }
}
