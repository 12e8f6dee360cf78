using System.Globalization;

namespace IronLoop.Server.Contract;

/// <summary>A price as typed, such as <c>31.50</c> or <c>31,5</c>.</summary>
internal static class Money
{
    private const decimal Most = 1_000_000m;

    public static bool TryParse(string? typed, out long cents)
    {
        cents = 0;
        if (!decimal.TryParse((typed ?? "").Trim().Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var price)
            || price > Most || decimal.Round(price, 2) != price)
            return false;
        cents = (long)(price * 100);
        return true;
    }

    public static string Refuse(string typed) => $"price is “{typed}”; allowed is 0 to {Most:0} with at most two decimals.";
}
