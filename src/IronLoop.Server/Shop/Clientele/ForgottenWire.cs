using IronLoop.Storage;

namespace IronLoop.Server.Shop.Clientele;

/// <summary>The receipt of a client who was forgotten: what was taken out, and what is not reached.</summary>
/// <param name="At">When.</param>
/// <param name="By">By whom, by initials; empty where that is not known.</param>
/// <param name="TakenOut">What was taken out, a line each.</param>
/// <param name="Backups">What became of the backups made before.</param>
/// <param name="NotReached">What the program cannot take it out of.</param>
internal sealed record ForgottenWire(DateTimeOffset At, string By, IReadOnlyList<string> TakenOut, string Backups, IReadOnlyList<string> NotReached)
{
    public static ForgottenWire Of(Forgotten gone) => new(
        gone.At, gone.By,
        [
            .. new (int Count, string One, string Many)[]
            {
                (gone.Names, "name: of the person, with how to reach them", "names: of the person, with how to reach them, of watches and of their bands"),
                (gone.Wordings, "wording of what was said", "wordings of what was said, former ones too"),
                (gone.Notes, "note", "notes"),
                (gone.Signatures, "signature", "signatures"),
                (gone.Photos, "photo", "photos"),
                (gone.Figures, "figure of the wrist or of a try-on", "figures of the wrist and of try-ons"),
            }
            .Where(l => l.Count > 0).Select(l => $"{l.Count} {(l.Count == 1 ? l.One : l.Many)}"),
        ],
        gone.SettledAt is null ? "The backups made before are still being written anew."
            : gone.Backups == 0 ? "No backup holds it."
            : gone.Backups == 1 ? "1 backup was written anew without it." : $"{gone.Backups} backups were written anew without it.",
        [
            .. gone.Unread.Select(f => $"{f} is damaged and could not be looked into: delete it from the shop’s folder."),
            "Archives, CSV files, papers and copies of the folder that were taken out of the shop.",
        ]);
}
