using BenchmarkDotNet.Attributes;
using IronLoop.Core.Gauging;
using IronLoop.Core.Shelf;

namespace IronLoop.Benchmarks;

/// <summary>The first page of ranked answers over a whole stock, all rules asked; and making the shelf ready.</summary>
[MemoryDiagnoser]
public class MatchBenchmarks
{
    private readonly Figures _watch = MadeUpStock.Watch;
    private readonly House _house = MadeUpStock.House;
    private BandShelf _shelf = null!;
    private Shelved[] _bands = null!;

    /// <summary>How many bands are in stock.</summary>
    [Params(1_000, 10_000, 100_000)]
    public int Bands { get; set; }

    [GlobalSetup]
    public void Setup()
    {
        _bands = [.. MadeUpStock.Of(Bands)];
        _shelf = BandShelf.Of(_bands);
    }

    [Benchmark]
    public ShelfAnswer FirstPage() => _shelf.Find(_watch, _house, new ShelfFilter(), 0, 20);

    /// <summary>With the lug width alone: everything else is asked over what is usual.</summary>
    [Benchmark]
    public ShelfAnswer FirstPageByLugWidthAlone() => _shelf.Find(Figures.None.With(GaugedFigure.LugWidth, _watch[GaugedFigure.LugWidth]), _house, new ShelfFilter(), 0, 20);

    [Benchmark]
    public BandShelf MakeReady() => BandShelf.Of(_bands);

    [Benchmark]
    public BandShelf OneBandChanged() => _shelf.With([_bands[0] with { InStock = 0 }]);
}
