using System.Globalization;
using System.Text;
using IronLoop.Core.Jobs;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.OpenFiles;

/// <summary>A client as a vCard of version 4 (RFC 6350).</summary>
internal static class VCard
{
    private const int LongestLine = 75;

    public static string Of(Client client)
    {
        var card = new StringBuilder();
        void Line(string text) => card.Append(Folded(text)).Append("\r\n");
        Line("BEGIN:VCARD");
        Line("VERSION:4.0");
        Line($"UID:urn:iron-loop:client:{client.Id.ToString(CultureInfo.InvariantCulture)}");
        Line($"FN:{Escaped(client.Name)}");
        if (client.Contact.Length > 0)
        {
            // How a client is reached is one line in the shop: an address with an at, a number, or words.
            var contact = client.Contact.Trim();
            Line(contact.Contains('@', StringComparison.Ordinal) && !contact.Contains(' ', StringComparison.Ordinal) ? $"EMAIL:{Escaped(contact)}"
                : contact.All(c => char.IsAsciiDigit(c) || " +-/()".Contains(c, StringComparison.Ordinal)) ? $"TEL;VALUE=text:{Escaped(contact)}"
                : $"NOTE:{Escaped(contact)}");
        }
        Line("END:VCARD");
        return card.ToString();
    }

    private static string Escaped(string text) =>
        text.Replace("\\", "\\\\", StringComparison.Ordinal).Replace(",", "\\,", StringComparison.Ordinal).Replace(";", "\\;", StringComparison.Ordinal)
            .Replace("\r\n", "\\n", StringComparison.Ordinal).Replace("\n", "\\n", StringComparison.Ordinal).Replace("\r", "\\n", StringComparison.Ordinal);

    /// <summary>A line of at most 75 bytes goes on in the next, after a space; no letter is cut in two.</summary>
    private static string Folded(string line)
    {
        var (folded, bytes) = (new StringBuilder(), 0);
        foreach (var rune in line.EnumerateRunes())
        {
            if (bytes + rune.Utf8SequenceLength > LongestLine)
            {
                folded.Append("\r\n ");
                bytes = 1;
            }
            folded.Append(rune);
            bytes += rune.Utf8SequenceLength;
        }
        return folded.ToString();
    }
}
