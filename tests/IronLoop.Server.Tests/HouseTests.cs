using System.Runtime.CompilerServices;
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
    public void The_rooms_of_the_core_lead_one_way()
    {
        const string House = "IronLoop.Core.";
        var core = typeof(Length).Assembly;
        var rooms = core.GetTypes().Select(t => t.Namespace).OfType<string>().Where(n => n.StartsWith(House, StringComparison.Ordinal)).Distinct().ToList();
        rooms.Count.ShouldBeGreaterThan(8);
        var leads = rooms.ToDictionary(from => from, from => rooms
            .Where(to => to != from && !Types.InAssembly(core).That().ResideInNamespace(from).ShouldNot().HaveDependencyOn(to).GetResult().IsSuccessful).ToHashSet(StringComparer.Ordinal), StringComparer.Ordinal);
        // Room after room that leads nowhere is taken away; what is left leads round in a circle.
        while (leads.Keys.FirstOrDefault(room => leads[room].Count == 0) is { } end)
        {
            leads.Remove(end);
            foreach (var others in leads.Values)
                others.Remove(end);
        }
        leads.Select(l => $"{l.Key[House.Length..]} → {string.Join(", ", l.Value.Select(r => r[House.Length..]))}").ShouldBeEmpty();
    }

    [Fact]
    public void The_program_itself_is_read_at_one_sight() =>
        File.ReadAllLines(Path.Combine(Root(), "src/IronLoop.Server/Program.cs")).Length.ShouldBeLessThan(100);

    private static string Root([CallerFilePath] string here = "") => here[..here.LastIndexOf("/tests/", StringComparison.Ordinal)];

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
