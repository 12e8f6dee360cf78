using IronLoop.Core.Jobs;
using IronLoop.Server.Devices;
using IronLoop.Server.Stations;
using IronLoop.Server.Stations.TakeIn;
using IronLoop.Storage;
using IronLoop.Storage.Archive;

namespace IronLoop.Server.Host;

/// <summary>An archive is a stranger: what it holds is read as the screens will read it, before it goes live.</summary>
internal static class Arrivals
{
    public static ArrivalChecks Checks { get; } = new(WhyNotSetting, KeptPhoto.WhyNotKept, LookOver);

    /// <summary>Why a setting cannot have a value; null when it can.</summary>
    public static string? WhyNotSetting(string name, string value)
    {
        bool? holds = name switch
        {
            CaliperSource.Setting => CaliperSource.Read(value) is not null,
            LabelPrinter.Setting => LabelPrinter.Read(value) is not null,
            SupplierSource.Setting => value.Length == 0 || SupplierSource.Read(value) is not null,
            ToolWalls.IsSettled => value == "yes",
            _ when BenchSetups.IsOne(name) => BenchSetups.IsReadable(name, value),
            _ when Shop.Day.Messages.IsOne(name) => value.Length <= 600,
            _ when Schools.IsOne(name) => Schools.IsReadable(name, value),
            _ when name.StartsWith("limit.", StringComparison.Ordinal) => Limits.Read(name, value) is not null,
            _ => null,
        };
        return holds switch
        {
            true => null,
            false => $"of “{name}” is “{(value.Length <= 60 ? value : value[..60] + "…")}”, which this setting cannot be",
            null => $"belongs to “{name}”, a setting that no shop has",
        };
    }

    /// <summary>Reads every job, band and order, as the rack, the stations and the log do.</summary>
    /// <exception cref="ArchiveException">Something cannot be read.</exception>
    private static void LookOver(ShopFile shop)
    {
        using var work = shop.Look();
        Reads("What is to be ordered", () => _ = Orders.All(work).Count + Orders.ToOrder(work).Count);
        Reads("The parts", () => _ = Parts.All(work).Count);
        Reads("The bands", () => _ = Bands.InStock(work).Count);
        Reads("The tools", () => _ = ToolWalls.All(work).Count);
        var today = DateOnly.FromDateTime(DateTime.UnixEpoch);
        foreach (var id in Storage.Jobs.Ids(work))
        {
            Reads($"Job {id}", () =>
            {
                var file = TheJob.Read(work, id);
                // A shop of one's own lives with a damaged account; none is let in.
                if (file.Account.Damage is { } damage)
                    throw new InvalidOperationException(damage);
                _ = JobWire.Of(file, today);
                _ = Log.Of(work, [id]);
                if (file.Job.ClosedAt is not null)
                    return;
                _ = TakeInSheet.Read(work, file.Job);
                _ = LoopSheet.Of(file);
                _ = file.Bench.Now;
                _ = OwnersBag.Of(file, AlsoBands.Of(work, file.Job.Id));
            });
        }
    }

    private static void Reads(string what, Action read)
    {
        try
        {
            read();
        }
        catch (Exception unfit) when (unfit is not ArchiveException)
        {
            throw new ArchiveException($"{what} in the archive cannot be read: {unfit.Message}", unfit);
        }
    }
}
