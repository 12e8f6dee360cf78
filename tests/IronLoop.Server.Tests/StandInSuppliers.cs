extern alias standIns;

using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.Extensions.DependencyInjection;
using standIns::IronLoop.StandIns.Suppliers;

namespace IronLoop.Server.Tests;

/// <summary>The stand-in suppliers on a port of their own, with their moods at hand.</summary>
public sealed class StandInSuppliers : IAsyncDisposable
{
    private readonly WebApplication _service;

    private StandInSuppliers(WebApplication service) => _service = service;

    public string Address => _service.Services.GetRequiredService<IServer>().Features.Get<IServerAddressesFeature>()!.Addresses.Single() + "/";

    public int Orders => _service.Play().Orders;

    /// <summary>How many calls failed because it was played.</summary>
    public int Failures => _service.Play().Failures;

    public static async Task<StandInSuppliers> Open()
    {
        var service = SupplierService.Build(0, TimeProvider.System);
        await service.StartAsync();
        return new StandInSuppliers(service);
    }

    public void Play(bool? down = null, int? failNext = null, int? loseNext = null, int? slowNext = null, bool? partly = null, bool? refuse = null, double? forwardHours = null) =>
        _service.Play(new PlayWire(down, failNext, loseNext, slowNext, partly, refuse, forwardHours));

    public async ValueTask DisposeAsync() => await _service.DisposeAsync();
}
