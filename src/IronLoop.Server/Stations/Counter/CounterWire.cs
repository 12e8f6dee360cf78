using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;

namespace IronLoop.Server.Stations.Counter;

/// <summary>What is heard and gauged over the counter for a short job; whatever is left out can be filled in later, at its station.</summary>
/// <param name="Request">What is asked for.</param>
/// <param name="By">The fitter's initials, 1 to 4 letters.</param>
/// <param name="Client">Name, up to 80 characters; empty for a walk-in, who can be named later.</param>
/// <param name="Watch">The watch in words, up to 80 characters.</param>
/// <param name="Words">In the owner's own words, up to 2000 characters.</param>
/// <param name="Promised">The day it is promised for; today when left out.</param>
/// <param name="Wearer">Whether the wearer is here to try it on.</param>
/// <param name="On">What is on the watch; left out where what closes it, or what is done by hand, tells.</param>
/// <param name="Held">How that is held at the lugs.</param>
/// <param name="LugWidth">The lug width, as typed.</param>
/// <param name="ClaspKind">What closes the band now.</param>
/// <param name="ClaspEnd">The band's width at the clasp, as typed.</param>
/// <param name="Thickness">The band's thickness, as typed.</param>
/// <param name="Links">What joins the links; left out where nobody looked.</param>
/// <param name="ByHand">Work that is told by a count, a place or a part.</param>
/// <param name="Sized">What its length is found by; left out, by whatever of it is given.</param>
/// <param name="BucklePiece">Of the old strap: from lug end to the buckle's bar, as typed.</param>
/// <param name="ToHole">Of the old strap: from lug end to the worn hole, as typed.</param>
/// <param name="Sent">The length of a loop that the owner sent, as typed.</param>
/// <param name="BandId">The band that goes on.</param>
/// <param name="ClaspId">The clasp or buckle that goes on, by its number in stock.</param>
/// <param name="Edition">The edition of the model book the watch is of: its figures go where nothing is typed.</param>
internal sealed record CounterWire(
    Request Request, string? By = null, string? Client = null, string? Watch = null, string? Words = null, DateOnly? Promised = null, bool Wearer = true, OnTheWatch? On = null,
    HeldBy Held = HeldBy.NotLookedAt, string? LugWidth = null, ClaspKind? ClaspKind = null, string? ClaspEnd = null, string? Thickness = null, Fastener? Links = null, HandWorkWire? ByHand = null,
    SizedBy? Sized = null, string? BucklePiece = null, string? ToHole = null, string? Sent = null, long? BandId = null, long? ClaspId = null, long? Edition = null);

/// <summary>What a short job is asked.</summary>
/// <param name="Tells">What of it is told by hand; null where nothing is.</param>
internal sealed record RequestAsks(Request Request, string Name, HandWorkKind? Tells, IReadOnlyList<QuestionWire> Questions);

/// <summary>A band or clasp that could go on.</summary>
/// <param name="Says">The rule that decides, in words.</param>
internal sealed record CounterOffer(long Id, string Name, string Article, Verdict Verdict, Certainty Certainty, string Says, long PriceCents, int Free, string? WhyNot);

/// <summary>What is answered while it is typed; nothing is stored.</summary>
/// <param name="Missing">What is still wanting before it can go to the bench.</param>
/// <param name="Says">What will be done, in words.</param>
/// <param name="Offers">Bands or clasps, best first.</param>
/// <param name="Steps">The steps it comes to.</param>
/// <param name="WhyNot">Why it cannot go to the bench yet; null when it can.</param>
/// <param name="Book">What the model book answers where nothing is typed.</param>
internal sealed record CounterAnswer(
    IReadOnlyList<string> Missing, string Says, IReadOnlyList<CounterOffer> Offers, IReadOnlyList<string> Steps, double Minutes, string? WhyNot, IReadOnlyList<BookAnswer> Book);

/// <summary>What the model book answers where nothing is typed.</summary>
/// <param name="Says">The figure, with where it is from.</param>
internal sealed record BookAnswer(Ask Ask, string Says);
