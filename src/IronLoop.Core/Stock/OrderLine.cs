namespace IronLoop.Core.Stock;

/// <summary>How far an order has come.</summary>
public enum OrderState
{
    /// <summary>Made here; the supplier has not said that it has it.</summary>
    Sending,

    /// <summary>The supplier has it.</summary>
    Accepted,

    /// <summary>Some of it is on its way, or has come.</summary>
    Partly,

    /// <summary>All that will come is on its way.</summary>
    Shipped,

    /// <summary>All that will come has come.</summary>
    Done,

    /// <summary>The supplier does not take it.</summary>
    Refused,
}

/// <summary>What is true of a state of an order.</summary>
public static class OrderStates
{
    /// <summary>Whether the supplier may still have news of it: then it is asked.</summary>
    public static bool IsAsked(this OrderState state) => state is OrderState.Sending or OrderState.Accepted or OrderState.Partly;

    /// <summary>Whether some of it can still come.</summary>
    public static bool CanCome(this OrderState state) => state is not (OrderState.Done or OrderState.Refused);
}

/// <summary>A line of an order.</summary>
/// <param name="Measured">What it is by its measured figures.</param>
/// <param name="Count">How many are ordered.</param>
/// <param name="Shipped">How many the supplier says are on their way.</param>
/// <param name="Received">How many have come.</param>
/// <param name="Refused">Why the supplier does not send the rest; empty when it does.</param>
public sealed record OrderLine(string Measured, int Count, int Shipped = 0, int Received = 0, string Refused = "")
{
    /// <summary>How many can still come.</summary>
    public int Outstanding => Refused.Length > 0 ? Math.Max(0, Shipped - Received) : Count - Received;

    /// <summary>Whether nothing more will come.</summary>
    public bool IsDone => Outstanding == 0;
}

/// <summary>Tells an order's state from its lines.</summary>
public static class OrderProgress
{
    /// <summary>The state of an order that the supplier has.</summary>
    public static OrderState Of(IReadOnlyList<OrderLine> lines)
    {
        if (lines.All(l => l is { Refused.Length: > 0, Shipped: 0, Received: 0 }))
            return OrderState.Refused;
        if (lines.All(l => l.IsDone))
            return OrderState.Done;
        if (lines.All(l => l.Refused.Length > 0 || l.Shipped >= l.Count))
            return OrderState.Shipped;
        return lines.Any(l => l.Shipped > 0 || l.Received > 0) ? OrderState.Partly : OrderState.Accepted;
    }
}
