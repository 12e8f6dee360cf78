using System.Globalization;
using IronLoop.Core.Jobs;
using IronLoop.Storage;
using SkiaSharp;

namespace IronLoop.Server.Paper;

/// <summary>The owner's consent to work that cannot be undone, to be signed on paper, or as it was signed on the screen.</summary>
internal static class ConsentSheet
{
    public static byte[] Draw(ShopWork work, JobSnapshot file, string lasting, PaperSize size)
    {
        var job = file.Job;
        using var sheet = new Sheet(size, $"Tag {job.Id}, consent");
        sheet.Write("Consent", Sheet.Left, 20, strong: true);
        sheet.Write($"Tag {job.Id}", sheet.Right, 20, strong: true, toRight: true);
        sheet.Down += 9;
        sheet.Write($"{job.Client.Name}, {job.WatchName}", Sheet.Left, 13);
        sheet.Down += 12;
        sheet.Say("The work below cannot be undone. I have been told what it changes, and that it is done only if I agree.", Sheet.Left, sheet.Right - Sheet.Left, 11.5f, 6);
        sheet.Down += 4;
        foreach (var line in lasting.Split("; "))
        {
            sheet.Write("•", Sheet.Left, 12);
            sheet.Say($"{line}.", Sheet.Left + 5, sheet.Right - Sheet.Left - 5, 12, 6.4f);
        }
        sheet.Down += 22;
        var consent = Consents.Of(work, job.Id) ?? Consents.Of(work, job.Id, ConsentTopic.Clasp);
        if (consent is { Signature.Length: > 0 } drawn && SKPath.ParseSvgPathData(drawn.Signature) is { } path)
        {
            // The pad is 300 by 90 units; on paper it is 80 mm wide.
            using (path)
            {
                sheet.Down -= 22;
                sheet.Draw(canvas =>
                {
                    canvas.Scale(80 / 300f);
                    using var ink = Ink.Line(2);
                    canvas.DrawPath(path, ink);
                }, Sheet.Left);
                sheet.Down += 22;
            }
        }
        sheet.Rule(0.3f);
        sheet.Down += 5;
        sheet.Write(consent is { IsSigned: true } ? consent.SignedBy : "Name and signature", Sheet.Left);
        sheet.Write(consent is { IsSigned: true, OnPaper: false } ? consent.SignedAt.ToString("d MMMM yyyy", CultureInfo.InvariantCulture) : "Date", sheet.Right - 30);
        sheet.Down += 16;
        sheet.Say("What local rules ask for beyond this, and what is licensed work, goes before this sheet.", Sheet.Left, sheet.Right - Sheet.Left, 9);
        return sheet.Finish();
    }
}
