using System.Collections.Concurrent;
using IronLoop.Server.Contract;
using IronLoop.Server.Host;

namespace IronLoop.Server.Shop.Catalogue;

/// <summary>The catalogues that lie on this shop's desk: looked over, being taken in, or just taken in.</summary>
internal sealed class CatalogueDesk
{
    private readonly ConcurrentDictionary<string, CatalogueImport> _imports = new(StringComparer.Ordinal);

    public CatalogueImport Find(string id) =>
        _imports.TryGetValue(id, out var import) ? import : throw RefusedException.NotFound("There is no such catalogue; choose the file again.");

    /// <summary>Lays a catalogue down. One is looked over at a time; an older one that was never taken in is let go.</summary>
    public CatalogueImport LayDown(CatalogueFile file)
    {
        var import = new CatalogueImport(Guid.NewGuid().ToString("N"), file);
        foreach (var (id, old) in _imports)
        {
            if (old.Wire().State != ImportState.Running && _imports.TryRemove(id, out _))
                File.Delete(old.File.Path);
        }
        _imports[import.Id] = import;
        return import;
    }
}
