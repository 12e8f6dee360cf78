using System.Globalization;
using IronLoop.Server.Paper;

namespace IronLoop.Server.Shop.Clientele;

/// <summary>What a client who was forgotten takes along: what was taken out, without saying what it was.</summary>
internal static class ForgottenReceipt
{
    public static byte[] Draw(long client, ForgottenWire forgotten, PaperSize size)
    {
        using var sheet = new Sheet(size, $"Client {client}, forgotten");
        sheet.Write("Forgotten, as you asked", Sheet.Left, 20, strong: true);
        sheet.Write($"Client {client}", sheet.Right, 20, strong: true, toRight: true);
        sheet.Down += 9;
        sheet.Write(forgotten.At.ToString("d MMMM yyyy", CultureInfo.InvariantCulture), Sheet.Left, 12);
        if (forgotten.By.Length > 0)
            sheet.Write($"by {forgotten.By}", sheet.Right, 12, toRight: true);
        sheet.Down += 12;
        sheet.Part("Taken out", string.Join(". ", forgotten.TakenOut) + ".");
        sheet.Part("Backups", forgotten.Backups);
        sheet.Part("What stays", "Jobs, bands, prices and counts of parts, without a name: stock and accounts depend on them.");
        sheet.Part("Not reached", string.Join(" ", forgotten.NotReached));
        return sheet.Finish();
    }
}
