namespace IronLoop.Server.Shop.Ordering;

/// <summary>Looks after open orders while the program runs: those not sent are sent, those on their way are asked after.</summary>
internal sealed class OrderRunner(IServiceScopeFactory scopes, TimeProvider clock, ILogger<OrderRunner> log) : BackgroundService
{
    private static readonly TimeSpan Every = TimeSpan.FromSeconds(3);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var timer = new PeriodicTimer(Every, clock);
        while (await timer.WaitForNextTickAsync(stoppingToken))
        {
            try
            {
                await using var scope = scopes.CreateAsyncScope();
                await scope.ServiceProvider.GetRequiredService<OrderDesk>().Catch(stoppingToken);
            }
            catch (Exception trouble) when (trouble is not OperationCanceledException)
            {
                // What could not be done now is done at the next turn.
                log.LogWarning("Orders were not looked after: {Trouble}", trouble.Message);
            }
        }
    }
}
