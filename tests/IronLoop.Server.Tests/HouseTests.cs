using System.Runtime.CompilerServices;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Stations;
using IronLoop.Storage;
using Mono.Cecil;
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
    public void The_rooms_of_the_server_lead_one_way_and_no_slice_knows_another()
    {
        const string House = "IronLoop.Server.";
        // What comes later may know what comes before; a station or a page besides what all stations, or all pages, share.
        string[] order = ["Contract", "Safekeeping", "Door", "Devices", "Stations", "Paper", "Shop"];
        var rooms = typeof(Program).Assembly.GetTypes().Select(t => t.Namespace).OfType<string>().Where(n => n.StartsWith(House, StringComparison.Ordinal))
            .Select(n => n[House.Length..]).Distinct().ToList();
        rooms.Count(r => r.StartsWith("Stations.", StringComparison.Ordinal)).ShouldBe(8);
        bool May(string from, string to)
        {
            var (room, other) = (Array.IndexOf(order, from.Split('.')[0]), Array.IndexOf(order, to.Split('.')[0]));
            return from == to || from.StartsWith("Host", StringComparison.Ordinal) || (other >= 0 && !to.Contains('.', StringComparison.Ordinal) && other <= room);
        }
        var wrong =
            from type in Cecil(typeof(Program)).Types.SelectMany(Whole)
            where type.Namespace.StartsWith(House, StringComparison.Ordinal) || Outermost(type).Namespace.StartsWith(House, StringComparison.Ordinal)
            let here = Outermost(type).Namespace[House.Length..]
            from known in Known(type)
            where known.StartsWith(House, StringComparison.Ordinal) && !May(here, known[House.Length..])
            select $"{here} → {known[House.Length..]}: {Outermost(type).Name}";
        wrong.Distinct().ShouldBeEmpty();
    }

    [Fact]
    public void An_endpoint_asks_what_may_be_done_and_calls_no_other_endpoint()
    {
        var endpoints = Cecil(typeof(Program)).Types.Where(t => t.Name.EndsWith("Endpoints", StringComparison.Ordinal)).ToList();
        endpoints.Count.ShouldBeGreaterThan(30);
        (from mine in endpoints
         from called in mine.NestedTypes.SelectMany(Whole).Append(mine).SelectMany(Calls)
         where called.DeclaringType is { } theirs && Outermost(theirs).FullName is var name && name != mine.FullName && endpoints.Any(e => e.FullName == name)
         select $"{mine.Name} calls {called.Name} of {called.DeclaringType.Name}").Distinct().ShouldBeEmpty();
        // At a station nothing is refused for how a job stands but by the core's word.
        (from mine in endpoints.Where(e => e.Namespace.Contains(".Stations.", StringComparison.Ordinal))
         from called in mine.NestedTypes.SelectMany(Whole).Append(mine).SelectMany(Calls)
         where called.Name == nameof(RefusedException.Conflict)
         select mine.Name).Distinct().ShouldBeEmpty();
    }

    [Fact]
    public void Whatever_can_be_done_on_a_job_stands_in_its_sheet() =>
        typeof(MayWire).GetProperties().Select(p => p.Name).ShouldBe(Enum.GetNames<JobAct>(), ignoreOrder: true);

    private static ModuleDefinition Cecil(Type of) => ModuleDefinition.ReadModule(of.Assembly.Location);

    private static IEnumerable<TypeDefinition> Whole(TypeDefinition type) => type.NestedTypes.SelectMany(Whole).Append(type);

    private static TypeReference Outermost(TypeReference type)
    {
        while (type.DeclaringType is { } around)
            type = around;
        return type;
    }

    private static IEnumerable<MethodReference> Calls(TypeDefinition type) =>
        type.Methods.Where(m => m.HasBody).SelectMany(m => m.Body.Instructions).Select(i => i.Operand).OfType<MethodReference>();

    /// <summary>The rooms a type knows: of what it calls, what it holds and what it is given.</summary>
    private static IEnumerable<string> Known(TypeDefinition type) =>
        Calls(type).Select(c => c.DeclaringType).Concat(type.Fields.Select(f => f.FieldType)).Concat(type.Methods.SelectMany(m => m.Parameters).Select(p => p.ParameterType))
            .SelectMany(Parts).Select(t => Outermost(t).Namespace).Distinct();

    private static IEnumerable<TypeReference> Parts(TypeReference type) =>
        type is GenericInstanceType generic ? generic.GenericArguments.SelectMany(Parts).Append(generic.ElementType) : [type];

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
