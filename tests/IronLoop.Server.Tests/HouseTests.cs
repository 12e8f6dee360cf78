using IronLoop.Core.Measuring;
using IronLoop.Storage;
using NetArchTest.Rules;

namespace IronLoop.Server.Tests;

public class HouseTests
{
    [Fact]
    public void The_core_knows_neither_storage_nor_interface()
    {
        var core = Types.InAssembly(typeof(Length).Assembly);
        core.ShouldNot().HaveDependencyOnAny("IronLoop.Storage", "IronLoop.Server", "Microsoft", "System.IO", "System.Net").GetResult()
            .FailingTypeNames.ShouldBeNull();
        typeof(Length).Assembly.GetReferencedAssemblies().ShouldAllBe(a => a.Name!.StartsWith("System", StringComparison.Ordinal));
    }

    [Fact]
    public void Storage_does_not_know_the_server() =>
        Types.InAssembly(typeof(ShopFile).Assembly).ShouldNot().HaveDependencyOnAny("IronLoop.Server", "Microsoft.AspNetCore").GetResult()
            .FailingTypeNames.ShouldBeNull();

    [Fact]
    public void No_two_types_of_the_contract_share_a_name()
    {
        // The document knows them by name alone: one would silently take the other's place.
        var twice = typeof(Program).Assembly.GetTypes()
            .Where(t => t is { IsNested: false, Namespace: not null } && !t.Name.Contains('<', StringComparison.Ordinal))
            .GroupBy(t => t.Name).Where(g => g.Count() > 1).Select(g => g.Key);
        twice.ShouldBeEmpty();
    }
}
