using System.Text.Json;
using IronLoop.Core.Jobs;

namespace IronLoop.Server.Stations;

/// <summary>An answer that can be chosen.</summary>
/// <param name="Value">As it is sent.</param>
internal sealed record ChoiceWire(string Value, string Says);

/// <summary>The answers to another question that one hangs on.</summary>
internal sealed record WhenWire(Ask Ask, IReadOnlyList<string> Is);

/// <summary>A question: asked over the counter, or where work is told by hand.</summary>
/// <param name="Ask">The field its answer fills.</param>
/// <param name="By">How it is answered.</param>
/// <param name="Choices">What can be chosen, in the order of the digits; none where it is typed.</param>
/// <param name="Usual">What is taken where nothing is said; null where something has to be said.</param>
/// <param name="IsByHand">Whether its answer is part of work that is told by hand.</param>
internal sealed record QuestionWire(
    Ask Ask, string Label, AnsweredBy By, string Unit, IReadOnlyList<ChoiceWire> Choices, string? Usual, WhenWire? When, bool IsByHand)
{
    public static IReadOnlyList<QuestionWire> Of(IReadOnlyList<Question> questions) =>
    [
        .. questions.Select(q => new QuestionWire(
            q.Ask, q.Label, q.By, q.Unit, [.. q.Choices.Select(c => new ChoiceWire(Sent(c.Value), c.Says))], q.Usual is { } usual ? Sent(usual) : null,
            q.When is { } when ? new WhenWire(when.Ask, [.. when.Is.Select(Sent)]) : null, q.IsByHand)),
    ];

    private static string Sent(object value) => JsonNamingPolicy.CamelCase.ConvertName($"{value}");
}
