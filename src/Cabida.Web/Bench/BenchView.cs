using Cabida.Core.Bench;
using Cabida.Core.Blanks;
using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Measures;
using Cabida.Core.Pieces;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Formats.Bench;
using Cabida.Web.Inks;
using Cabida.Web.Plans;
using Cabida.Web.Runs;
using Cabida.Web.Weeding;

namespace Cabida.Web.Bench;

/// <summary>A run with its pieces and how each of its films is laid.</summary>
/// <param name="Run">The run.</param>
/// <param name="All">Its pieces, fitted.</param>
/// <param name="Plans">Its plans, a film each.</param>
/// <param name="Released">Released loads on which something of it lies.</param>
/// <param name="Maps">How what was parted is laid together.</param>
/// <param name="Lacks">What is lacking.</param>
internal sealed record BenchRun(
    ReadRun Run,
    IReadOnlyList<FittedPiece> All,
    IReadOnlyList<LaidPlan> Plans,
    IReadOnlyList<ReleasedLoad> Released,
    IReadOnlyList<JoiningMap> Maps,
    IReadOnlyList<Finding> Lacks
)
{
    /// <summary>The loads of all its films; those of the first film come first.</summary>
    public IReadOnlyList<(LaidPlan Plan, CutLoad Load, int Number)> Loads { get; } =
    [.. Plans.SelectMany(p => p.Loads.Select(l => (p, l))).Select((l, i) => (l.p, l.l, i + 1))];

    /// <summary>Released loads, counted on from those.</summary>
    public IEnumerable<(ReleasedLoad Load, int Number)> Cut => Released.Select((l, i) => (l, Loads.Count + i + 1));
}

/// <summary>A side of a piece as the bench needs it, measured from the blank's own edges.</summary>
/// <param name="Name">The piece's name.</param>
/// <param name="Zone">The zone of the side; empty where there is only one.</param>
/// <param name="Copies">How many are made.</param>
/// <param name="Loads">The loads it is on, one for each film; none when it is held back.</param>
/// <param name="State">How it stands to the zone.</param>
/// <param name="MayBeCut">Whether this side may be cut; a piece is held back for any of its sides.</param>
/// <param name="Width">The width of its ink.</param>
/// <param name="Height">The height of its ink.</param>
/// <param name="LetterHeight">The height of its capitals; zero without lettering.</param>
/// <param name="BelowRim">From the rim or top edge to the top of its ink; null when the surface is not known.</param>
/// <param name="AboveBase">From the base or bottom edge to the bottom of its ink.</param>
internal sealed record BenchPiece(
    string Name,
    string Zone,
    int Copies,
    IReadOnlyList<int> Loads,
    FitState State,
    bool MayBeCut,
    double Width,
    double Height,
    double LetterHeight,
    double? BelowRim,
    double? AboveBase
);

/// <summary>Where a side is placed.</summary>
/// <param name="Zone">Its zone; empty where there is only one side.</param>
/// <param name="Place">From where to measure in.</param>
/// <param name="Longest">Whose artwork the stages are of: the longest; empty where all is laid at once.</param>
/// <param name="Stages">What is laid first and what stays on its backing.</param>
internal sealed record BenchPlace(string Zone, Phrase Place, string Longest, IReadOnlyList<Phrase> Stages);

/// <summary>What of a run is made on one size of its blank.</summary>
/// <param name="Size">The size; empty where the blank has but one.</param>
/// <param name="Faces">That size laid flat, a face each that artwork is on.</param>
/// <param name="First">The first piece of it that may be cut.</param>
/// <param name="Places">Where each side is placed.</param>
/// <param name="Pieces">Its pieces, side by side.</param>
internal sealed record BenchSurface(
    string Size,
    IReadOnlyList<FaceView> Faces,
    PieceView? First,
    IReadOnlyList<BenchPlace> Places,
    IReadOnlyList<BenchPiece> Pieces
);

/// <summary>The card that goes to the bench.</summary>
internal sealed record BenchView(
    IReadOnlyList<Finding> Lacks,
    string Blank,
    string Motif,
    IReadOnlyList<Film> Films,
    string Cutter,
    bool IsRound,
    GoodsView Goods,
    IReadOnlyList<BenchLoad> Loads,
    IReadOnlyList<BenchSurface> Surfaces,
    IReadOnlyList<BenchMap> Maps,
    IReadOnlyList<Phrase> Layers,
    IReadOnlyList<HeldBack> Held
)
{
    /// <summary>How it is pressed; null where nothing of it is.</summary>
    public BenchPress? Press { get; init; }

    /// <summary>The bits that are easily lost, of each film where there are any: of the piece that has the most.</summary>
    public IReadOnlyList<BenchBits> Bits { get; init; } = [];

    /// <summary>How each film is lifted onto the goods.</summary>
    public IReadOnlyList<Phrase> Transfer { get; init; } = [];

    /// <summary>What was learned of the sizes of what is made, film by film.</summary>
    public IReadOnlyList<Phrase> Sizes { get; init; } = [];

    /// <summary>What is told to the customer, a line each.</summary>
    public IReadOnlyList<string> Care { get; init; } = [];

    /// <summary>What opens the card on the bench's tablet; null before it is known.</summary>
    public BenchCode? Code { get; init; }

    public static BenchView Of(BenchRun plan, DrawnInks inks, InkFactsCache facts, WeedingBook book)
    {
        var run = plan.Run;
        var loadOf = plan
            .Loads.SelectMany(l => l.Load.Pieces.Select(p => (Key: (p.Thing.Id.Piece, p.Thing.Id.Side), l.Number)))
            .Concat(
                plan.Cut.SelectMany(l => l.Load.Items.Where(i => i.Id.Run == run.Id).Select(i => (Key: (i.Id.Piece, i.Id.Side), l.Number)))
            )
            .ToLookup(p => p.Key, p => p.Number);
        var surfaces = plan
            .All.GroupBy(p => run.SurfaceOf(p.Fit.Piece), ReferenceEqualityComparer.Instance)
            .Select(g => SurfaceOf(run, (ReadSurface)g.Key!, [.. g], loadOf, p => PieceView.Of(p, run, inks, facts)))
            .ToList();
        return new BenchView(
            plan.Lacks,
            run.Blank?.Name ?? "",
            string.Join(", ", (run.Surface?.Sides ?? []).Select(s => s.Motif.Name).Prepend(run.Motif?.Name ?? "").Distinct()),
            [
                .. plan
                    .Plans.Where(p => p.Loads.Count > 0)
                    .Select(p => p.Read.Film!)
                    .Concat(plan.Released.Select(l => l.Film))
                    .DistinctBy(f => f.Name),
            ],
            plan.Plans.Select(p => p.Read.Cutter?.Name).FirstOrDefault() ?? "",
            run.Surface?.Wall is not null,
            GoodsView.Of(run.Blank?.Material),
            [
                .. plan.Loads.Select(l => BenchLoad.Of(l.Plan, l.Load, l.Number, book)),
                .. plan.Cut.Select(l => BenchLoad.Of(l.Load, l.Number)),
            ],
            surfaces,
            [.. plan.Maps.Select(m => BenchMap.Of(m, plan))],
            [.. LayersOf(plan)],
            [.. plan.Plans.SelectMany(p => p.Read.Runs).SelectMany(r => r.Held).DistinctBy(h => h.Piece)]
        );
    }

    /// <summary>How films lie over one another, and by what they are laid.</summary>
    private static IEnumerable<Phrase> LayersOf(BenchRun plan)
    {
        var (run, films) = (plan.Run.Run.SetUp, plan.Run.Run.SetUp.NamedFilms().ToList());
        if (films.Count < 2 || plan.Run.Basis is not { } basis)
        {
            yield break;
        }

        foreach (var (id, under) in films.Select(f => (f, run.UnderOf(f))).Where(f => f.Item2.Way != LayerWay.Stacked))
        {
            var name = basis.FilmOf(id).Name;
            yield return under.Way == LayerWay.SetIn
                ? Phrase.Say($"{name:strong} lies under the others: what is over it is set in, {Length.Mm(under.OverlapOr)} of it on it.")
                : Phrase.Say($"{name:strong} lies beneath, and ends where the others begin.");
        }

        if (run.LayerMarks)
        {
            yield return Phrase.Say($"Three crosses are cut with every film, in the same place: lay them on one another.");
        }
    }

    private static BenchSurface SurfaceOf(
        ReadRun run,
        ReadSurface on,
        IReadOnlyList<FittedPiece> pieces,
        ILookup<(string Id, int Side), int> loadOf,
        Func<FittedPiece, PieceView> viewOf
    )
    {
        var sides = on.Sides.Select(s => (s.Laid, s.Basis)).Prepend((on.Laid, on.Basis)).ToList();
        string Zone(int side) => sides.Count > 1 ? sides[side].Laid.Spec.Name : "";
        return new BenchSurface(
            on.Sheet.Size,
            [.. ReadFace.Of(on, whole: true).Select(FaceView.Of)],
            pieces.FirstOrDefault(p => p.MayBeCut) is { } first ? viewOf(first) : null,
            [.. sides.Select((s, i) => PlaceOf(Zone(i), i, s.Laid, pieces, run))],
            [
                .. pieces.SelectMany(p =>
                    p.Fits.Select((fit, i) => (Fit: fit, Side: i))
                        .Where(s => !s.Fit.Ink.IsEmpty)
                        .Select(s =>
                            PieceOf(
                                s.Fit,
                                p.Fit.Piece.Copies,
                                Zone(s.Side),
                                sides[s.Side].Basis,
                                [.. loadOf[(p.Fit.Piece.Id, s.Side)].Distinct()]
                            )
                        )
                ),
            ]
        );
    }

    /// <summary>Where a side is placed, and in which stages its longest artwork is laid.</summary>
    private static BenchPlace PlaceOf(string zone, int side, LaidZone laid, IReadOnlyList<FittedPiece> pieces, ReadRun run)
    {
        var longest = pieces
            .Select(p => p.Fits.ElementAtOrDefault(side))
            // What is pressed lies flat on a carrier of its own, and card has no backing.
            .Where(f => f is not null && !f.Ink.IsEmpty && f.Films.Any(i => HasBacking(run.Basis!.FilmOf(i.Film.FilmId))))
            .Select(f => (Fit: f!, Box: Box.Of(f!.Ink)!.Value))
            .OrderByDescending(f => Math.Max(f.Box.Width, f.Box.Height))
            .FirstOrDefault();
        var stages = longest.Fit is { } fit && laid.Zone is { } on ? PlacingStages.Of(fit.Ink, on.Nominal.Bounds.Centre).Said() : [];
        return new BenchPlace(zone, PlacingWords.Of(laid), stages.Count > 0 ? longest.Fit!.Piece.Name : "", stages);
    }

    private static bool HasBacking(Film film) => !film.IsPressed && film.Material == FilmMaterial.Vinyl;

    private static BenchPiece PieceOf(PieceFit fit, int copies, string zone, FitBasis basis, IReadOnlyList<int> loads)
    {
        var size = MadeSize.Of(fit, basis)!;
        return new BenchPiece(
            fit.Piece.Name,
            zone,
            copies,
            loads,
            fit.State,
            fit.MayBeCut,
            size.Width,
            size.Height,
            fit.LetterHeight,
            size.BelowRim,
            size.AboveBase
        );
    }
}

/// <summary>The small bits of a film, drawn on the piece that has the most of them.</summary>
/// <param name="Piece">The piece.</param>
/// <param name="Film">The film.</param>
/// <param name="Colour">Its colour.</param>
/// <param name="Ink">The ink; millimetres, y up.</param>
/// <param name="Box">The box of that.</param>
/// <param name="Bits">The smallest bits of waste, from the smallest.</param>
/// <param name="Small">How many are smaller than 4 mm².</param>
internal sealed record BenchBits(string Piece, string Film, string Colour, string Ink, Box Box, IReadOnlyList<BitView> Bits, int Small);

/// <summary>What opens the card on the bench's tablet.</summary>
/// <param name="Address">The address.</param>
/// <param name="Code">It as a code for a camera.</param>
/// <param name="IsHere">Whether it is this computer's own address, which a tablet cannot reach.</param>
internal sealed record BenchCode(string Address, CardCode Code, bool IsHere);

/// <summary>A load as the bench card lists it.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Film">Its film.</param>
/// <param name="FileName">Its file.</param>
/// <param name="Pieces">How many pieces are on it.</param>
/// <param name="Purpose">What the film is for.</param>
/// <param name="Weeds">How it is weeded; null for what was released, as it was noted then.</param>
/// <param name="Mirroring">What of it is mirrored.</param>
/// <param name="ReleasedAt">When it was released; empty before.</param>
/// <param name="IsPressed">Whether its film lies on a carrier of its own, so that no tape lifts it.</param>
internal sealed record BenchLoad(
    int Number,
    string Film,
    string FileName,
    int Pieces,
    FilmPurpose Purpose,
    WeedsView? Weeds,
    Mirroring Mirroring,
    string ReleasedAt,
    bool IsPressed
)
{
    public static BenchLoad Of(ReleasedLoad load, int number) =>
        new(
            number,
            load.Film.Name,
            load.Files[0].Name,
            load.Items.Count,
            load.Film.Purpose,
            null,
            MirroringOf.These(load.Items.Select(i => i.IsMirrored)),
            load.ReleasedAt,
            load.Film.IsPressed
        );

    public static BenchLoad Of(LaidPlan plan, CutLoad load, int number, WeedingBook book) =>
        new(
            number,
            plan.Read.Film!.Name,
            load.FileName + ".svg",
            load.Pieces.Count,
            plan.Read.Film.Purpose,
            WeedsView.Of(load.Weeds, plan.Read.Film.Purpose, book, WeedingKey.OfLoad(plan.Read.Id, load.Number)),
            load.Mirroring,
            "",
            plan.Read.Film.IsPressed
        );
}

/// <summary>The map of something that was parted, with where its sections lie.</summary>
/// <param name="Map">It.</param>
/// <param name="Film">Its film.</param>
/// <param name="Loads">For each section, the loads that it lies on.</param>
internal sealed record BenchMap(JoiningMap Map, string Film, IReadOnlyList<IReadOnlyList<int>> Loads)
{
    public static BenchMap Of(JoiningMap map, BenchRun plan)
    {
        ItemId First(ItemId id) => id with { Copy = 1, Section = 0 };
        var there = plan
            .Loads.SelectMany(l => l.Load.Pieces.Select(p => (p.Thing.Id, l.Number)))
            .Concat(plan.Cut.SelectMany(l => l.Load.Items.Select(i => (i.Id, l.Number))))
            .Where(p => First(p.Id) == map.Item)
            .ToLookup(p => p.Id.Section, p => p.Number);
        return new BenchMap(
            map,
            plan.Run.Basis!.FilmOf(map.Item.Film).Name,
            [.. map.Sections.Select(s => (IReadOnlyList<int>)[.. there[s.Number].Distinct().Order()])]
        );
    }
}
