using System.Globalization;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Models;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Host.Demo;

/// <summary>A model book of made-up models: what was gauged in the demo's jobs, and some that a file brought, known more or less.</summary>
internal static class DemoModels
{
    public static void Fill(ShopWork work, DateTimeOffset at)
    {
        TakeIn(work, at, Model("Pellmarsh sounder", "The 6-side pin at the clasp is short: look for it before the tray is tipped.",
            Edition("", 7, 0.08m,
                [(GaugedFigure.LugWidth, 20), (GaugedFigure.LugToLug, 47.6m), (GaugedFigure.BarToBar, 43.8m), (GaugedFigure.BarRise, 3.1m), (GaugedFigure.CaseHeight, 12.4m), (GaugedFigure.BarGap, 2.2m), (GaugedFigure.LugHole, 1.2m),
                    (GaugedFigure.BandWidth, 20), (GaugedFigure.BandThickness, 3.4m), (GaugedFigure.ClaspEnd, 18), (GaugedFigure.LinkPitch, 8.4m)],
                [(ModelFact.Attachment, nameof(Attachment.SpringBarDrilled)), (ModelFact.CaseShape, nameof(CaseShape.Round)), (ModelFact.Twelve, "1 fixed of 8.4; 7 of 8.4"), (ModelFact.Six, "1 fixed of 8.4; 6 of 8.4"),
                    (ModelFact.ClaspName, "fold-over"), (ModelFact.ClaspTwelve, "18"), (ModelFact.ClaspSix, "17"), (ModelFact.MicroSide, nameof(Side.Twelve)), (ModelFact.Positions, "4"), (ModelFact.Step, "2.4"), (ModelFact.Fastener, nameof(Fastener.SplitPin)),
                    (ModelFact.FreedSix, nameof(FreedLink.Tried)), (ModelFact.FreedTwelve, nameof(FreedLink.SaidFixed)), (ModelFact.Tools, nameof(ToolFamily.BlockAndHammer)), (ModelFact.StrapLengths, "75/115")]) with
            {
                Joints =
                [
                    new KnownJoints(JointGroup.Links, new JointLook(Fastener.SplitPin) { Across = Length.FromMillimetres(1.1m) }, 0, []),
                    new KnownJoints(JointGroup.ClaspTwelve, new JointLook(Fastener.SpringBar) { Across = Length.FromMillimetres(1.5m) }, 0, []),
                    new KnownJoints(JointGroup.ClaspSix, new JointLook(Fastener.SplitPin) { Across = Length.FromMillimetres(1.1m), NoArrow = true }, 0, []),
                ],
            }));
        TakeIn(work, at, Model("Pellmarsh tideway", "",
            Edition("first", 4, 0.1m, [(GaugedFigure.LugWidth, 20), (GaugedFigure.LugToLug, 46.2m), (GaugedFigure.BarToBar, 42.4m), (GaugedFigure.BarRise, 2.7m)], [(ModelFact.Attachment, nameof(Attachment.SpringBarBlind))]),
            Edition("wide lugs", 2, 0.05m, [(GaugedFigure.LugWidth, 21), (GaugedFigure.LugToLug, 48.1m)], [(ModelFact.Attachment, nameof(Attachment.SpringBarDrilled))])));
        foreach (var (name, lugs, tips, attachment) in ((string, decimal, decimal, Attachment)[])
            [("Ostwick harbour pilot", 22, 50.6m, Attachment.SpringBarDrilled), ("Ostwick gull", 18, 41.2m, Attachment.SpringBarBlind), ("Tarn & Sedge reed", 16, 38.4m, Attachment.SpringBarBlind),
                ("Tarn & Sedge millrace", 19, 44.8m, Attachment.ScrewBar), ("Skerrow winch", 24, 54.0m, Attachment.SpringBarDrilled)])
            TakeIn(work, at, Model(name, "", Edition("", 1, 0, [(GaugedFigure.LugWidth, lugs), (GaugedFigure.LugToLug, tips)], [(ModelFact.Attachment, attachment.ToString())], HowHad.Catalogue)));
        foreach (var id in Storage.Jobs.Each(work).Select(j => j.Id).ToList())
        {
            var job = TheJob.Read(work, id);
            ModelBook.Learn(work, job, job.Job.TakenInBy, job.Job.TakenInAt);
        }
    }

    private static void TakeIn(ShopWork work, DateTimeOffset at, ModelSheet sheet) => ModelBook.TakeIn(work, sheet, "MK", at);

    private static ModelSheet Model(string name, string note, params IReadOnlyList<EditionSheet> editions) => new(0, name, note, editions);

    private static EditionSheet Edition(string name, int pieces, decimal spread, (GaugedFigure Figure, decimal Mm)[] figures, (ModelFact Fact, string Value)[] facts, HowHad how = HowHad.Read) => new(0, name,
        [.. figures.Select(f => new SheetFigure(f.Figure, new BookFigure(Length.FromMillimetres(f.Mm), spread, pieces, how), "", []))],
        [.. facts.Select(f => new KnownFact(f.Fact, f.Value, 1, []))], []);
}
