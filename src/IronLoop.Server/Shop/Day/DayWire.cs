using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Day;

/// <summary>A piece of work on a list.</summary>
/// <param name="Act">What comes next of it.</param>
/// <param name="Fetch">Parts to fetch, with their drawer.</param>
/// <param name="Again">Whether it was begun further up in the list.</param>
internal sealed record DayPieceWire(long JobId, string Client, string Watch, string From, string To, int Minutes, Station Next, string Act, IReadOnlyList<string> Fetch, bool InFront, bool Again);

/// <summary>Somebody's list of today.</summary>
/// <param name="Hand">Whose; empty for the bench as one.</param>
/// <param name="Hours">Their hours today.</param>
internal sealed record DayListWire(string Hand, IReadOnlyList<HoursWire> Hours, IReadOnlyList<DayPieceWire> Pieces);

/// <summary>Somebody to be rung.</summary>
/// <param name="Tried">When it was tried last in vain; null where it was not.</param>
/// <param name="Message">A text that can be sent by hand.</param>
internal sealed record RingWire(long JobId, string Client, string Contact, string Watch, RingWhy Why, string Says, string? Tried, string Message);

/// <param name="Minutes">By how much; null where the hours never suffice.</param>
internal sealed record LateJobWire(long JobId, string Client, string Watch, int? Minutes, string Says);

/// <summary>A job that waits.</summary>
internal sealed record WaitingWire(long JobId, string Client, string Watch, string Waits, DateOnly Until, bool Held = false);

/// <summary>A day of the strip.</summary>
internal sealed record StripDayWire(DateOnly Day, int Minutes, int Taken, bool Over);

/// <summary>The day.</summary>
/// <param name="Says">How it stands, in a sentence.</param>
/// <param name="Feasible">Whether every promise can be kept.</param>
/// <param name="Now">The local minute it is.</param>
internal sealed record TheDayWire(
    string Now, bool Feasible, string Says, IReadOnlyList<DayListWire> Lists, IReadOnlyList<RingWire> Rings, IReadOnlyList<LateJobWire> Late, IReadOnlyList<WaitingWire> Waiting,
    IReadOnlyList<StripDayWire> Strip);

/// <summary>What can be promised.</summary>
/// <param name="First">The day to say: the one after the earliest; null where none can be.</param>
/// <param name="Earliest">The earliest day.</param>
/// <param name="WhileYouWait">Whether it can be done while they wait.</param>
/// <param name="IfOrdered">The day where something has to be ordered first.</param>
/// <param name="Minutes">Usual minutes, and those of a slow one.</param>
/// <param name="Breaks">What the day asked about makes late; empty where nothing.</param>
internal sealed record PromiseWire(DateOnly? First, DateOnly? Earliest, bool WhileYouWait, DateOnly? IfOrdered, int Minutes, int Most, IReadOnlyList<LateJobWire> Breaks);

/// <summary>Who works when.</summary>
/// <param name="Initials">1 to 4 letters.</param>
/// <param name="Week">Such as <c>mo-fr 9-12:30 13-18, sa 9-13</c>; empty for the shop's.</param>
/// <param name="Off">Days off.</param>
/// <param name="Not">Services they do not do.</param>
internal sealed record WorksWire(string Initials, string Week, IReadOnlyList<DateOnly> Off, IReadOnlyList<Request> Not);

/// <param name="Week">The shop's usual week.</param>
/// <param name="Off">Days it is closed.</param>
internal sealed record WorkHoursWire(string Week, IReadOnlyList<DateOnly> Off, IReadOnlyList<WorksWire> Hands);

/// <param name="Reached">Whether they were.</param>
internal sealed record RangWire(RingWhy Why, bool Reached, string By);

/// <param name="Hour">The hour, such as 15:30; null for none, so that it is due when the shop closes.</param>
internal sealed record HourWire(string? Hour);

/// <param name="Hand">Initials of whom it is given to; null for whoever comes to it.</param>
internal sealed record GivenWire(string? Hand);

/// <param name="Until">The day; null for no longer.</param>
/// <param name="Why">Why: put on hold, or the owner comes that day for the try-on.</param>
internal sealed record HoldWire(DateOnly? Until, HoldWhy Why = HoldWhy.OnHold);

/// <param name="InFront">Whether it goes before all others.</param>
internal sealed record FrontWire(bool InFront);
