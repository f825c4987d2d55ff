using Cabida.Core.Blanks;
using Cabida.Core.Motifs;
using Cabida.Core.Orders;
using Cabida.Core.Plans;
using Cabida.Core.Runs;
using Cabida.Core.Stock;

namespace Cabida.Store;

/// <summary>The kinds of document.</summary>
public static class DocumentKinds
{
    /// <summary>What typefaces are called in references; they are kept beside the documents.</summary>
    public const string Typeface = "typeface";

    /// <summary>What pictures are called in references; they are kept beside the documents.</summary>
    public const string Picture = "picture";

    /// <summary>Blanks of the shelf.</summary>
    public static DocumentKind<Blank> Blank { get; } =
        new(new RowKind<Blank>("blank", new Forms(BlankForms.WithZones), b => b.Name, DocumentReferences.Of));

    /// <summary>Motifs.</summary>
    public static DocumentKind<Motif> Motif { get; } =
        new(new RowKind<Motif>("motif", new Forms(Forms.Same), m => m.Name, DocumentReferences.Of));

    /// <summary>Films.</summary>
    public static DocumentKind<Film> Film { get; } =
        new(new RowKind<Film>("film", new Forms(Forms.Same, FilmForms.WithHeatPlan), f => f.Name, _ => []));

    /// <summary>Cutters.</summary>
    public static DocumentKind<Cutter> Cutter { get; } = new(new RowKind<Cutter>("cutter", new Forms(Forms.Same), c => c.Name, _ => []));

    /// <summary>Presses.</summary>
    public static DocumentKind<Press> Press { get; } = new(new RowKind<Press>("press", Forms.First, p => p.Name, _ => []));

    /// <summary>Jobs.</summary>
    public static DocumentKind<Job> Job { get; } = new(new RowKind<Job>("job", new Forms(Forms.Same), j => j.Name, _ => []));

    /// <summary>Runs: their set-up, their list and what was said of their pieces, each in a row of its own.</summary>
    public static DocumentKind<Run> Run { get; } =
        new(
            [
                new RowKind<RunSetUp>("run", new Forms(Forms.Same, RunForms.SetUpOf), r => r.Name, DocumentReferences.Of),
                new RowKind<RunList>(RunForms.List, Forms.First, _ => "", DocumentReferences.Of),
                new RowKind<RunVerdicts>(RunForms.Verdicts, Forms.First, _ => "", _ => []),
            ],
            r => [r.SetUp, r.List, r.Verdicts],
            parts => new Run((RunSetUp)parts[0], (RunList)parts[1], (RunVerdicts)parts[2])
        );

    /// <summary>Graphics; their outlines are kept beside the documents.</summary>
    public static DocumentKind<Graphic> Graphic { get; } =
        new(new RowKind<Graphic>("graphic", new Forms(Forms.Same), g => g.Name, _ => []));

    /// <summary>The maker's own settings; there is one.</summary>
    public static DocumentKind<Workshop> Workshop { get; } =
        new(new RowKind<Workshop>("workshop", new Forms(Forms.Same), w => w.Name, DocumentReferences.Of));

    /// <summary>What the workshop remembers of weeding; there is one.</summary>
    public static DocumentKind<WeedingBook> WeedingBook { get; } =
        new(new RowKind<WeedingBook>("weeding", new Forms(Forms.Same), _ => "Weeding", _ => [])) { IsSeen = false };

    /// <summary>What the workshop remembers of its pace at the bench; there is one.</summary>
    public static DocumentKind<BenchBook> BenchBook { get; } =
        new(new RowKind<BenchBook>("bench", Forms.First, _ => "Bench", _ => [])) { IsSeen = false };

    /// <summary>How far the making of each run is, under the run's id. It names the run and does not hold it.</summary>
    public static DocumentKind<Making> Making { get; } =
        new(new RowKind<Making>("making", Forms.First, _ => "Making", _ => [])) { IsSeen = false };

    /// <summary>
    /// What there is of each film, under the film's id. It names the film and does not hold it: of a film that is taken away it comes back
    /// with the film.
    /// </summary>
    public static DocumentKind<FilmStock> FilmStock { get; } =
        new(new RowKind<FilmStock>("stock", Forms.First, _ => "Stock", _ => [])) { IsSeen = false };

    /// <summary>How pieces of a film are cut together. It names film, cutter and runs and holds none of them.</summary>
    public static DocumentKind<CutPlan> Plan { get; } =
        new(new RowKind<CutPlan>("plan", Forms.First, _ => "Plan", _ => [])) { IsSeen = false };

    /// <summary>Released loads: they hold all that they were made from and refer to nothing.</summary>
    public static DocumentKind<ReleasedLoad> Load { get; } =
        new(new RowKind<ReleasedLoad>("load", new Forms(FilmForms.WithHeatPlanIn), l => $"{l.Name}, load {l.Number} of {l.Of}", _ => []));

    /// <summary>What the workshop sells.</summary>
    public static DocumentKind<Offer> Offer { get; } = new(new RowKind<Offer>("offer", Forms.First, o => o.Name, DocumentReferences.Of));

    /// <summary>
    /// Orders as they came, under the id that follows from their number. One that was taken names its job and does not hold it.
    /// </summary>
    public static DocumentKind<Order> Order { get; } = new(new RowKind<Order>("order", Forms.First, o => o.Number, _ => []));

    /// <summary>All of them.</summary>
    public static IReadOnlyList<DocumentKind> All { get; } =
    [Blank, Motif, Film, Cutter, Press, Job, Run, Graphic, Workshop, WeedingBook, BenchBook, Making, FilmStock, Plan, Load, Offer, Order];

    /// <summary>The row of a kind that references name; null for what is kept beside the documents.</summary>
    internal static RowKind? RowOf(string kind) => All.Select(d => d.Rows[0]).FirstOrDefault(r => r.Kind == kind);

    /// <summary>The kind of document that a row is of, and of which of its rows.</summary>
    internal static (DocumentKind Document, RowKind Row) OfRow(string kind) =>
        All.SelectMany(d => d.Rows.Select(r => (d, r))).First(k => k.r.Kind == kind);
}
