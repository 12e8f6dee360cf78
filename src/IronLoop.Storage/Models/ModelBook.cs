using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Models;

namespace IronLoop.Storage;

/// <summary>A model as a list shows it.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Name">Its name.</param>
/// <param name="Edition">Its edition that most watches tell of.</param>
/// <param name="Editions">How many editions it has.</param>
/// <param name="Pieces">How many watches tell of it.</param>
/// <param name="Figures">How many figures are known.</param>
public sealed record ListedModel(long Id, string Name, long Edition, int Editions, int Pieces, int Figures);

/// <summary>A job of a model.</summary>
/// <param name="JobId">Its tag.</param>
/// <param name="Client">Whose watch it was.</param>
/// <param name="Request">What was asked for.</param>
/// <param name="Closed">Whether it was handed over.</param>
/// <param name="Minutes">What its bench steps took; null where they were not timed.</param>
/// <param name="RightFirst">Whether it was right at the first try-on; null where it was not tried on.</param>
public sealed record ModelJob(long JobId, string Client, Request Request, bool Closed, int? Minutes, bool? RightFirst);

/// <summary>The model book: what the shop knows of watch models. It fills itself from what is gauged; nothing in it is written over by one watch.</summary>
public static class ModelBook
{
    private const int MostFuzzy = 400;
    private const int MostOdd = 50;

    private const string Listed =
        """
        SELECT model.id, model.name, COUNT(*) AS editions, MAX(known.pieces) AS pieces, known.id AS edition, MAX(known.figures) AS figures FROM model JOIN
          (SELECT edition.id, edition.model_id, COALESCE(MAX(model_figure.pieces), 0) AS pieces, COUNT(model_figure.figure) AS figures
           FROM edition LEFT JOIN model_figure ON model_figure.edition_id = edition.id
        """;

    /// <summary>Models by name, in the order of the alphabet.</summary>
    public static IReadOnlyList<ListedModel> All(ShopWork work, int skip, int most) =>
        work.Query($"{Listed} WHERE edition.model_id IN (SELECT id FROM model ORDER BY name COLLATE NOCASE LIMIT $most OFFSET $skip) GROUP BY edition.id) AS known ON known.model_id = model.id GROUP BY model.id ORDER BY model.name COLLATE NOCASE",
            OneListed, ("$most", most), ("$skip", skip));

    /// <summary>Every edition by its model's name and its own.</summary>
    public static IReadOnlyList<(string Model, string Edition)> Names(ShopWork work) =>
        work.Query("SELECT model.name AS model, edition.name FROM edition JOIN model ON model.id = edition.model_id", row => (row.Text("model"), row.Text("name")));

    /// <summary>How many models there are.</summary>
    public static int Count(ShopWork work) => work.Query("SELECT COUNT(*) AS n FROM model", row => row.Count("n"))[0];

    /// <summary>Models whose name is like what is typed so far: words in any order, begun or with a small slip; the nearest first.</summary>
    public static IReadOnlyList<ListedModel> Find(ShopWork work, string typed, int most)
    {
        var words = ModelName.Words(typed);
        if (words.Length == 0)
            return [];
        var longer = words.Where(w => w.Length >= 3).ToArray();
        var named = longer.Length == 0
            ? Ids(work, "SELECT id, name FROM model WHERE name LIKE $words ORDER BY name COLLATE NOCASE LIMIT $most", $"{Log.Containing(words[0])[1..]}", MostFuzzy)
            : Ids(work, "SELECT rowid AS id, name FROM model_words WHERE model_words MATCH $words LIMIT $most", string.Join(" AND ", longer.Select(w => $"\"{w}\"")), MostFuzzy);
        if (longer.Length > 0 && !named.Any(m => ModelName.Nearness(typed, m.Name) > 0))
            named = Ids(work, "SELECT rowid AS id, name FROM model_words WHERE model_words MATCH $words LIMIT $most", string.Join(" AND ", longer.Select(Slipped)), MostFuzzy);
        var near = named.Select(m => (m.Id, m.Name, Near: ModelName.Nearness(typed, m.Name))).Where(m => m.Near > 0)
            .OrderByDescending(m => m.Near).ThenBy(m => m.Name.Length).ThenBy(m => m.Name, StringComparer.OrdinalIgnoreCase).Take(most).ToList();
        if (near.Count == 0)
            return [];
        var shown = work.Query($"{Listed} WHERE edition.model_id IN ({string.Join(", ", near.Select(m => m.Id))}) GROUP BY edition.id) AS known ON known.model_id = model.id GROUP BY model.id", OneListed).ToDictionary(m => m.Id);
        return [.. near.Select(m => shown[m.Id])];
    }

    /// <summary>A model with all that is known of it; null where there is none of that number.</summary>
    public static ModelSheet? Sheet(ShopWork work, long id) =>
        work.Query("SELECT * FROM model WHERE id = $id", row => new ModelSheet(row.Number("id"), row.Text("name"), row.Text("note"), [.. Editions(work, id).Select(e => WithOdd(work, e))]), ("$id", id)).SingleOrDefault();

    /// <summary>All models, one after the other.</summary>
    public static IEnumerable<ModelSheet> Each(ShopWork work) =>
        work.Query("SELECT id FROM model ORDER BY name COLLATE NOCASE", row => row.Number("id")).Select(id => Sheet(work, id)!);

    /// <summary>An edition; null where there is none of that number.</summary>
    public static EditionSheet? Edition(ShopWork work, long id) =>
        work.Query("SELECT name FROM edition WHERE id = $id", row => row.Text("name"), ("$id", id)) is [var name] ? EditionOf(work, id, name) : null;

    /// <summary>The edition a job's watch is of; null where none is known.</summary>
    public static long? EditionOfJob(ShopWork work, long jobId) =>
        work.Query("SELECT watch.edition_id FROM watch JOIN job ON job.watch_id = watch.id WHERE job.id = $id", row => row.Maybe("edition_id", Columns.Number), ("$id", jobId)).SingleOrDefault();

    /// <summary>The model an edition belongs to; null where there is no such edition.</summary>
    public static long? ModelOf(ShopWork work, long editionId) =>
        work.Query("SELECT model_id FROM edition WHERE id = $id", row => row.Number("model_id"), ("$id", editionId)) is [var model] ? model : null;

    /// <summary>The jobs of a model, the newest first.</summary>
    public static IReadOnlyList<ModelJob> JobsOf(ShopWork work, long modelId, int most) =>
        work.Query(
            """
            SELECT job.id, client.name, job.request, job.closed_at,
              (SELECT SUM(seconds) FROM bench_step WHERE bench_step.job_id = job.id) AS seconds,
              EXISTS (SELECT 1 FROM bench_step WHERE bench_step.job_id = job.id AND bench_step.row = 'TryOn' AND bench_step.skipped IS NULL) AS tried,
              EXISTS (SELECT 1 FROM bench_plan WHERE bench_plan.job_id = job.id AND bench_plan.changed > 0) AS again
            FROM job JOIN watch ON watch.id = job.watch_id JOIN client ON client.id = job.client_id
            WHERE watch.edition_id IN (SELECT id FROM edition WHERE model_id = $id) ORDER BY job.id DESC LIMIT $most
            """,
            row => new ModelJob(
                row.Number("id"), row.Text("name"), row.Choice<Request>("request"), row.MaybeText("closed_at") is not null,
                row.Maybe("seconds", Columns.Number) is { } seconds and > 0 ? (int)Math.Ceiling(seconds / 60.0) : null,
                row.Yes("tried") ? !row.Yes("again") : null),
            ("$id", modelId), ("$most", most));

    /// <summary>What was noted at the bench on watches of a model, the newest first; those with a photo before those without.</summary>
    public static IReadOnlyList<StepNote> NotesOf(ShopWork work, long modelId, int most) =>
        work.Query(
            """
            SELECT step_note.* FROM step_note JOIN job ON job.id = step_note.job_id JOIN watch ON watch.id = job.watch_id
            WHERE watch.edition_id IN (SELECT id FROM edition WHERE model_id = $id) ORDER BY step_note.photo_id IS NULL, step_note.id DESC LIMIT $most
            """, StepNotes.Read, ("$id", modelId), ("$most", most));

    /// <summary>What jobs of a model took from stock, the most taken first.</summary>
    public static IReadOnlyList<(string Article, string Name, int Pieces)> PartsOf(ShopWork work, long modelId, int most) =>
        work.Query(
            """
            SELECT part.article, part.name, SUM(part_taken.count) AS pieces FROM part_taken JOIN part ON part.id = part_taken.part_id JOIN job ON job.id = part_taken.job_id JOIN watch ON watch.id = job.watch_id
            WHERE watch.edition_id IN (SELECT id FROM edition WHERE model_id = $id) GROUP BY part.id ORDER BY pieces DESC, part.article LIMIT $most
            """, row => (row.Text("article"), row.Text("name"), row.Count("pieces")), ("$id", modelId), ("$most", most));

    /// <summary>An edition's model by name, with what was noted of it; null where there is no such edition.</summary>
    public static (long Id, string Name, string Note)? Named(ShopWork work, long editionId) =>
        work.Query("SELECT model.* FROM model JOIN edition ON edition.model_id = model.id WHERE edition.id = $id", row => (row.Number("id"), row.Text("name"), row.Text("note")), ("$id", editionId)) is [var found] ? found : null;

    /// <summary>What the house says of a side's last link that looks fixed; what was tried on a watch goes before it.</summary>
    public static void SayOfFreed(ShopWork work, long editionId, Side side, FreedLink? link)
    {
        var fact = side == Side.Twelve ? ModelFact.FreedTwelve : ModelFact.FreedSix;
        work.Execute("DELETE FROM model_fact WHERE edition_id = $edition AND fact = $fact AND piece = 0", ("$edition", editionId), ("$fact", fact));
        if (link is { } said)
            Put(work, editionId, fact, 0, said.ToString());
    }

    /// <summary>Whose jobs and watches each watch number stands for: a job of it that can be opened.</summary>
    public static long? JobOfWatch(ShopWork work, long watchId) =>
        work.Query("SELECT MAX(id) AS id FROM job WHERE watch_id = $id", row => row.Maybe("id", Columns.Number), ("$id", watchId)).SingleOrDefault();

    /// <summary>Lets the book learn from what holds for a job: what its watch tells goes in for the watch, in place of what it told before.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="job">The job as it is now.</param>
    /// <param name="by">Who read it.</param>
    /// <param name="at">When.</param>
    public static void Learn(ShopWork work, JobSnapshot job, string by, DateTimeOffset at)
    {
        var figures = job.Figures;
        var (watch, name, edition) = work.Query("SELECT watch.id, watch.name, watch.edition_id FROM watch JOIN job ON job.watch_id = watch.id WHERE job.id = $id",
            row => (row.Number("id"), row.Text("name"), row.Maybe("edition_id", Columns.Number)), ("$id", job.Job.Id)).Single();
        // What is called just a watch is no model.
        if (string.Equals(name, Erasure.AWatch, StringComparison.OrdinalIgnoreCase))
            return;
        var read = figures.Read.Where(r => FigureKind.For(r.Key).Of != GaugedOf.Wrist).ToList();
        if (edition is null && read.Count == 0)
            return;
        var of = edition ?? EditionNamed(work, name, "");
        if (edition is null)
            work.Execute("UPDATE watch SET edition_id = $edition WHERE id = $id", ("$id", watch), ("$edition", of));
        // What it told before and tells still stays as it is: only what is another is written.
        var told = work.Query("SELECT figure, um, how FROM model_reading WHERE edition_id = $edition AND piece = $piece",
            row => (Figure: row.Choice<GaugedFigure>("figure"), Um: row.Number("um"), How: row.Choice<HowHad>("how")), ("$edition", of), ("$piece", watch)).ToHashSet();
        var tells = read.ToDictionary(r => (Figure: r.Key, Um: r.Value.Mean.Micrometres, How: HowHad.Read), r => r.Value);
        foreach (var (figure, _, _) in told.Where(t => !tells.ContainsKey(t)))
            work.Execute("DELETE FROM model_reading WHERE edition_id = $edition AND figure = $figure AND piece = $piece", ("$edition", of), ("$figure", figure), ("$piece", watch));
        foreach (var (figure, um, how) in tells.Keys.Where(t => !told.Contains(t)))
            Put(work, of, figure, watch, 1, um, um * um, how, by, at);
        // What was taken from the book and not looked at yet says nothing to the book.
        if (figures.Book.Values.Any(b => !b.Confirmed))
            return;
        var facts = Taught.FactsOf(job).ToHashSet();
        var known = work.Query("SELECT fact, value FROM model_fact WHERE edition_id = $edition AND piece = $piece",
            row => (Fact: row.Choice<ModelFact>("fact"), Value: row.Text("value")), ("$edition", of), ("$piece", watch)).ToHashSet();
        foreach (var (fact, _) in known.Where(k => !facts.Contains(k) && (!Taught.ByWork.Contains(k.Fact) || facts.Any(t => t.Fact == k.Fact))))
            work.Execute("DELETE FROM model_fact WHERE edition_id = $edition AND fact = $fact AND piece = $piece", ("$edition", of), ("$fact", fact), ("$piece", watch));
        foreach (var (fact, value) in facts.Where(f => !known.Contains(f)))
            Put(work, of, fact, watch, value);
        foreach (var (group, look) in Taught.JointsOf(job))
            Put(work, of, group, watch, look);
    }

    /// <summary>Fills a job with what the book has of an edition: figures nobody read, and what is no figure where nothing is chosen.</summary>
    public static void Take(ShopWork work, long jobId, EditionSheet edition, Figures figures, bool withBracelet)
    {
        work.Execute("UPDATE watch SET edition_id = $edition WHERE id = (SELECT watch_id FROM job WHERE id = $id)", ("$id", jobId), ("$edition", edition.Id));
        work.Execute("DELETE FROM book_figure WHERE job_id = $job", ("$job", jobId));
        foreach (var known in edition.Figures.Where(f => !figures.Read.ContainsKey(f.Figure) && (withBracelet || FigureKind.For(f.Figure).Of == GaugedOf.Watch)))
            work.Execute("INSERT INTO book_figure (job_id, figure, um, spread_um, pieces, how) VALUES ($job, $figure, $um, $spread, $pieces, $how)",
                ("$job", jobId), ("$figure", known.Figure), ("$um", known.Known.Mean), ("$spread", (long)Math.Round(known.Known.SpreadMm * 1000)), ("$pieces", known.Known.Pieces), ("$how", known.Known.How));
        Gaugings.Choose(work, jobId, figures with
        {
            Attachment = figures.Attachment ?? (Enum.TryParse<Attachment>(edition[ModelFact.Attachment], out var attachment) ? attachment : null),
            CaseShape = figures.CaseShape ?? (Enum.TryParse<CaseShape>(edition[ModelFact.CaseShape], out var shape) ? shape : null),
            Family = figures.Family ?? edition[ModelFact.Family],
        });
        if (withBracelet && edition.Bracelet is { } bracelet && figures.Bracelet is null or { Twelve: "", Six: "" })
            OwnBracelets.Set(work, jobId, edition.Bracelet ?? new OwnBracelet(), OwnBracelets.BandOf(work, jobId));
    }

    /// <summary>Says of all that a job took from the book that it is so: with the figures, what holds the joints that nobody looked at here.</summary>
    public static void Confirm(ShopWork work, long jobId)
    {
        work.Execute("UPDATE book_figure SET confirmed = 1 WHERE job_id = $job", ("$job", jobId));
        if (EditionOfJob(work, jobId) is not { } edition || OwnBracelets.BandOf(work, jobId) is null)
            return;
        var looks = JointLooks.Of(work, jobId);
        foreach (var known in JointsOf(work, edition).Where(j => !looks.TryGetValue(j.Group, out var look) || look.Fastener == Fastener.NotLookedAt))
            JointLooks.Set(work, jobId, known.Group, known.Look);
    }

    /// <summary>Leaves what a job took from the book; what was read stays.</summary>
    public static void Leave(ShopWork work, long jobId) => work.Execute("DELETE FROM book_figure WHERE job_id = $job", ("$job", jobId));

    /// <summary>What a job took from the book, by figure.</summary>
    public static IReadOnlyDictionary<GaugedFigure, BookFigure> TakenBy(ShopWork work, long jobId) =>
        work.Query("SELECT figure, um, spread_um, pieces, how, confirmed FROM book_figure WHERE job_id = $job",
            row => (row.Choice<GaugedFigure>("figure"), new BookFigure(row.Length("um"), row.Number("spread_um") / 1000m, row.Count("pieces"), row.Choice<HowHad>("how"), row.Yes("confirmed"))),
            ("$job", jobId)).ToDictionary(f => f.Item1, f => f.Item2);

    /// <summary>Another name, or another note; null leaves it.</summary>
    /// <returns>Whether that name was free.</returns>
    public static bool Change(ShopWork work, long id, string? name, string? note)
    {
        if (name is not null && work.Query("SELECT id FROM model WHERE name = $name COLLATE NOCASE AND id <> $id", row => row.Number("id"), ("$name", name), ("$id", id)).Count > 0)
            return false;
        work.Execute("UPDATE model SET name = COALESCE($name, name), note = COALESCE($note, note) WHERE id = $id", ("$id", id), ("$name", name), ("$note", note));
        return true;
    }

    /// <summary>Puts a model's editions under another; those of one name become one. Jobs keep what they were worked with.</summary>
    public static void Merge(ShopWork work, long id, long into)
    {
        foreach (var (edition, name) in work.Query("SELECT id, name FROM edition WHERE model_id = $id", row => (row.Number("id"), row.Text("name")), ("$id", id)))
        {
            if (work.Query("SELECT id FROM edition WHERE model_id = $into AND name = $name", row => row.Number("id"), ("$into", into), ("$name", name)) is [var same])
                Move(work, edition, same, null);
            else
                work.Execute("UPDATE edition SET model_id = $into WHERE id = $id", ("$id", edition), ("$into", into));
        }
        work.Execute("UPDATE model SET note = trim(note || char(10) || COALESCE((SELECT note FROM model WHERE id = $id), '')) WHERE id = $into", ("$id", id), ("$into", into));
        work.Execute("DELETE FROM model WHERE id = $id", ("$id", id));
    }

    /// <summary>Puts some watches of an edition into another of the same model, which is made where there is none of that name.</summary>
    /// <returns>The edition they are in now.</returns>
    public static long Split(ShopWork work, long editionId, string name, IReadOnlyCollection<long> watches)
    {
        var model = ModelOf(work, editionId)!.Value;
        var to = work.Query("SELECT id FROM edition WHERE model_id = $model AND name = $name", row => row.Number("id"), ("$model", model), ("$name", name)) is [var known]
            ? known : work.Insert("INSERT INTO edition (model_id, name) VALUES ($model, $name)", ("$model", model), ("$name", name));
        foreach (var watch in watches)
            Move(work, editionId, to, watch);
        return to;
    }

    /// <summary>Makes an edition a model of its own.</summary>
    /// <returns>The model's number; null where that name is taken.</returns>
    public static long? Part(ShopWork work, long editionId, string name)
    {
        if (work.Query("SELECT id FROM model WHERE name = $name COLLATE NOCASE", row => row.Number("id"), ("$name", name)).Count > 0)
            return null;
        var from = ModelOf(work, editionId)!.Value;
        var model = work.Insert("INSERT INTO model (name) VALUES ($name)", ("$name", name));
        work.Execute("UPDATE edition SET model_id = $model, name = '' WHERE id = $id", ("$id", editionId), ("$model", model));
        if (work.Query("SELECT id FROM edition WHERE model_id = $from", row => row.Number("id"), ("$from", from)).Count == 0)
            work.Execute("DELETE FROM model WHERE id = $from", ("$from", from));
        return model;
    }

    /// <summary>Takes in what a file says of a model: it goes in beside what was gauged, in place of what a file said before.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="model">The model; numbers play no part.</param>
    /// <param name="by">Who took it in.</param>
    /// <param name="at">When.</param>
    public static void TakeIn(ShopWork work, ModelSheet model, string by, DateTimeOffset at)
    {
        foreach (var edition in model.Editions)
        {
            var id = EditionNamed(work, model.Name, edition.Name);
            foreach (var figure in edition.Figures)
            {
                var (n, mean, spread) = (figure.Known.Pieces, figure.Known.Mean.Micrometres, figure.Known.SpreadMm * 1000);
                work.Execute("DELETE FROM model_reading WHERE edition_id = $edition AND figure = $figure AND piece = 0", ("$edition", id), ("$figure", figure.Figure));
                Put(work, id, figure.Figure, 0, n, n * mean, n * mean * mean + (long)Math.Round((n - 1) * spread * spread), figure.Known.How, by, at);
            }
            foreach (var joints in edition.Joints)
                Put(work, id, joints.Group, 0, joints.Look);
            foreach (var fact in edition.Facts)
            {
                work.Execute("DELETE FROM model_fact WHERE edition_id = $edition AND fact = $fact AND piece = 0", ("$edition", id), ("$fact", fact.Fact));
                Put(work, id, fact.Fact, 0, fact.Value);
            }
        }
        if (model.Note.Length > 0)
            work.Execute("UPDATE model SET note = $note WHERE name = $name COLLATE NOCASE AND note = ''", ("$name", model.Name), ("$note", model.Note));
    }

    /// <summary>Takes a watch out of its model, and the model too where nothing else is known of it.</summary>
    internal static void TakeOut(ShopWork work, long watch)
    {
        if (work.Query("SELECT edition.id, edition.model_id FROM watch JOIN edition ON edition.id = watch.edition_id WHERE watch.id = $watch",
            row => (row.Number("id"), row.Number("model_id")), ("$watch", watch)) is not [var (edition, model)])
            return;
        work.Execute("UPDATE watch SET edition_id = NULL WHERE id = $watch", ("$watch", watch));
        work.Execute("DELETE FROM model_reading WHERE edition_id = $edition AND piece = $watch", ("$edition", edition), ("$watch", watch));
        work.Execute("DELETE FROM model_fact WHERE edition_id = $edition AND piece = $watch", ("$edition", edition), ("$watch", watch));
        work.Execute("DELETE FROM model_joint WHERE edition_id = $edition AND piece = $watch", ("$edition", edition), ("$watch", watch));
        work.Execute(
            """
            DELETE FROM model WHERE id = $model AND note = ''
              AND NOT EXISTS (SELECT 1 FROM model_reading JOIN edition ON edition.id = model_reading.edition_id WHERE edition.model_id = $model)
              AND NOT EXISTS (SELECT 1 FROM model_fact JOIN edition ON edition.id = model_fact.edition_id WHERE edition.model_id = $model)
            """, ("$model", model));
    }

    /// <summary>Takes out what only a forgotten client's watches told: a model may have been called after its owner.</summary>
    internal static void Forget(ShopWork work, long clientId)
    {
        var models = work.Query("SELECT DISTINCT edition.model_id FROM watch JOIN edition ON edition.id = watch.edition_id WHERE watch.client_id = $client", row => row.Number("model_id"), ("$client", clientId));
        foreach (var model in models)
            work.Execute(
                """
                DELETE FROM model WHERE id = $model AND NOT EXISTS (
                  SELECT 1 FROM model_reading JOIN edition ON edition.id = model_reading.edition_id
                  WHERE edition.model_id = $model AND model_reading.piece NOT IN (SELECT id FROM watch WHERE client_id = $client))
                """, ("$model", model), ("$client", clientId));
    }

    private static ListedModel OneListed(Microsoft.Data.Sqlite.SqliteDataReader row) =>
        new(row.Number("id"), row.Text("name"), row.Number("edition"), row.Count("editions"), row.Count("pieces"), row.Count("figures"));

    private static string Slipped(string word)
    {
        static string All(IReadOnlyList<string> threes) => $"({string.Join(" AND ", threes.Select(t => $"\"{t}\""))})";
        var (first, last) = ModelName.Ends(word);
        return $"({All(first)} OR {All(last)})";
    }

    private static List<(long Id, string Name)> Ids(ShopWork work, string sql, string words, int most) =>
        work.Query(sql, row => (row.Number("id"), row.Text("name")), ("$words", words), ("$most", most));

    private static List<EditionSheet> Editions(ShopWork work, long modelId) =>
        [.. work.Query("SELECT id, name FROM edition WHERE model_id = $id ORDER BY name", row => (row.Number("id"), row.Text("name")), ("$id", modelId)).Select(e => EditionOf(work, e.Item1, e.Item2))];

    private static EditionSheet EditionOf(ShopWork work, long id, string name)
    {
        var figures = work.Query("SELECT * FROM model_figure WHERE edition_id = $id",
            row => new SheetFigure(
                row.Choice<GaugedFigure>("figure"),
                BookFigure.Of(row.Count("pieces"), row.Number("um"), row.Number("squares"), row.Count("read") > 0 ? HowHad.Read : row.Count("said") > 0 ? HowHad.Said : HowHad.Catalogue),
                row.Text("last_by"), []),
            ("$id", id));
        var facts = work.Query("SELECT fact, value, pieces FROM model_saying WHERE edition_id = $id ORDER BY pieces DESC, value",
            row => (Fact: row.Choice<ModelFact>("fact"), Value: row.Text("value"), Pieces: row.Count("pieces")), ("$id", id)).GroupBy(f => f.Fact);
        return new EditionSheet(id, name,
            [.. figures.OrderBy(f => f.Figure)],
            // A file's word goes only where no watch tells.
            [.. facts.OrderBy(g => g.Key).Select(g => new KnownFact(g.Key, g.First().Value, g.First().Pieces, [.. g.Skip(1).Where(f => f.Pieces > 0).Select(f => (f.Value, f.Pieces))]))],
            JointsOf(work, id));
    }

    /// <summary>The same with the pieces that do not go with the others: only those far enough off are held against the rest.</summary>
    private static EditionSheet WithOdd(ShopWork work, EditionSheet edition)
    {
        var near = (long)(3 * BookFigure.LeastSpreadMm * 1000);
        var own = work.Query(
            "SELECT figure, COUNT(*) AS n, SUM(um) AS um, SUM(squares) AS squares FROM model_reading WHERE edition_id = $id AND piece <> 0 GROUP BY figure HAVING n >= $enough AND MAX(um) - MIN(um) > $near",
            row => (Figure: row.Choice<GaugedFigure>("figure"), Pieces: row.Count("n"), Um: row.Number("um"), Squares: row.Number("squares")), ("$id", edition.Id), ("$enough", BookFigure.Enough), ("$near", near)).ToDictionary(f => f.Figure);
        return edition with
        {
            Figures = [.. edition.Figures.Select(f => !own.TryGetValue(f.Figure, out var sums) ? f : f with
            {
                Odd = [.. work.Query("SELECT piece, um FROM model_reading WHERE edition_id = $id AND figure = $figure AND piece <> 0 AND ABS(um * $n - $um) >= $near * ($n - 1)",
                    row => new OddPiece(row.Number("piece"), row.Length("um")), ("$id", edition.Id), ("$figure", f.Figure), ("$n", sums.Pieces), ("$um", sums.Um), ("$near", near))
                    .Where(p => p.IsOdd(sums.Pieces, sums.Um, sums.Squares)).Take(MostOdd)],
            })],
        };
    }

    /// <summary>What holds the joints of an edition: of each group what most say, with the mean of the sizes those have.</summary>
    private static List<KnownJoints> JointsOf(ShopWork work, long editionId) =>
        [.. work.Query(
            """
            SELECT joints, fastener, SUM(piece <> 0) AS pieces, ROUND(AVG(across_um)) AS across, ROUND(AVG(slot_um)) AS slot, ROUND(AVG(slot_length_um)) AS length, ROUND(AVG(gap_um)) AS gap, MIN(no_arrow) AS arrow
            FROM model_joint WHERE edition_id = $id GROUP BY joints, fastener ORDER BY pieces DESC, fastener
            """,
            row => (Group: row.Choice<JointGroup>("joints"), Pieces: row.Count("pieces"), Look: new JointLook(row.Choice<Fastener>("fastener"))
            {
                Across = row.Maybe("across", Columns.Length),
                Slot = row.Maybe("slot", Columns.Length),
                SlotLength = row.Maybe("length", Columns.Length),
                Gap = row.Maybe("gap", Columns.Length),
                NoArrow = row.Yes("arrow"),
            }),
            ("$id", editionId)).GroupBy(j => j.Group).OrderBy(g => g.Key)
            .Select(g => new KnownJoints(g.Key, g.First().Look, g.First().Pieces, [.. g.Skip(1).Where(o => o.Pieces > 0).Select(o => (o.Look.Fastener, o.Pieces))]))];

    private static long EditionNamed(ShopWork work, string model, string name)
    {
        var id = work.Query("SELECT id FROM model WHERE name = $name COLLATE NOCASE", row => row.Number("id"), ("$name", model)) is [var known]
            ? known : work.Insert("INSERT INTO model (name) VALUES ($name)", ("$name", model));
        return work.Query("SELECT id FROM edition WHERE model_id = $model AND name = $name", row => row.Number("id"), ("$model", id), ("$name", name)) is [var edition]
            ? edition : work.Insert("INSERT INTO edition (model_id, name) VALUES ($model, $name)", ("$model", id), ("$name", name));
    }

    private static void Put(ShopWork work, long edition, GaugedFigure figure, long piece, int pieces, long um, long squares, HowHad how, string by, DateTimeOffset at) =>
        work.Execute("INSERT INTO model_reading (edition_id, figure, piece, pieces, um, squares, how, by, at) VALUES ($edition, $figure, $piece, $pieces, $um, $squares, $how, $by, $at)",
            ("$edition", edition), ("$figure", figure), ("$piece", piece), ("$pieces", pieces), ("$um", um), ("$squares", squares), ("$how", how), ("$by", by), ("$at", at));

    private static void Put(ShopWork work, long edition, ModelFact fact, long piece, string value) =>
        work.Execute("INSERT INTO model_fact (edition_id, fact, piece, value) VALUES ($edition, $fact, $piece, $value)", ("$edition", edition), ("$fact", fact), ("$piece", piece), ("$value", value));

    private static void Put(ShopWork work, long edition, JointGroup group, long piece, JointLook look) =>
        work.Execute(
            """
            INSERT OR REPLACE INTO model_joint (edition_id, joints, piece, fastener, across_um, slot_um, slot_length_um, gap_um, no_arrow)
            VALUES ($edition, $joints, $piece, $fastener, $across, $slot, $length, $gap, $arrow)
            """,
            ("$edition", edition), ("$joints", group), ("$piece", piece), ("$fastener", look.Fastener), ("$across", look.Across), ("$slot", look.Slot), ("$length", look.SlotLength), ("$gap", look.Gap), ("$arrow", look.NoArrow));

    /// <summary>Moves what one watch says, or all, from an edition to another.</summary>
    private static void Move(ShopWork work, long from, long to, long? watch)
    {
        var which = watch is null ? "" : " AND piece = $piece";
        foreach (var (table, columns) in ((string, string)[])[("model_reading", "figure, piece, pieces, um, squares, how, by, at"), ("model_fact", "fact, piece, value"), ("model_joint", "joints, piece, fastener, across_um, slot_um, slot_length_um, gap_um, no_arrow")])
        {
            work.Execute($"INSERT OR IGNORE INTO {table} (edition_id, {columns}) SELECT $to, {columns} FROM {table} WHERE edition_id = $from{which}", ("$from", from), ("$to", to), ("$piece", watch ?? -1));
            work.Execute($"DELETE FROM {table} WHERE edition_id = $from{which}", ("$from", from), ("$piece", watch ?? -1));
        }
        work.Execute($"UPDATE watch SET edition_id = $to WHERE edition_id = $from{(watch is null ? "" : " AND id = $piece")}", ("$from", from), ("$to", to), ("$piece", watch ?? -1));
    }
}
