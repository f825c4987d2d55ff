using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Loads;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Stock;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Plans;

/// <summary>A thing that is cut of one film: the ink of one side and copy of a piece, or a section of it.</summary>
/// <param name="Id">What it is.</param>
/// <param name="Run">The run it is of.</param>
/// <param name="Piece">The piece.</param>
/// <param name="Fit">The side of it.</param>
/// <param name="Number">Which of the films of that side.</param>
/// <param name="Film">The film as its run has it.</param>
/// <param name="Ink">The ink as it is cut, mirrored where it is; millimetres, y up.</param>
/// <param name="InkKey">Tells its ink apart from any other.</param>
/// <param name="IsMirrored">Whether it is mirrored.</param>
/// <param name="Ways">How its waste is cut.</param>
public sealed record CutThing(
    ItemId Id,
    ReadRun Run,
    FittedPiece Piece,
    PieceFit Fit,
    int Number,
    Film Film,
    Area Ink,
    string InkKey,
    bool IsMirrored,
    WeedWays Ways
)
{
    /// <summary>The section it is; null for what is whole.</summary>
    public Section? Section { get; init; }

    /// <summary>Its ink in the coordinates of its side, before it is mirrored; of a section, that of the whole.</summary>
    public required LayeredInk OnSide { get; init; }

    /// <summary>The middles of marks that are cut with it, by which sections or films are laid together; as its ink is cut.</summary>
    public IReadOnlyList<PlanePoint> Marks { get; init; } = [];

    /// <summary>How far a weed box of its own stands out from it; 0 for none.</summary>
    public double BoxMargin => Ways.Box == WeedBox.Piece && Section is null ? Ways.MarginOr : 0;

    /// <summary>The box of all that is cut with it: its ink, its weed box, its marks.</summary>
    public Box Taken => Box.Around(MarkBoxes.Prepend(Box.Grown(BoxMargin)))!.Value;

    /// <summary>The box of its ink and its marks: a weed box can be left out, and parts nothing.</summary>
    public Box Marked => Box.Around(MarkBoxes.Prepend(Box))!.Value;

    /// <summary>Its ink with a square for each of its marks.</summary>
    public Area InkAndMarks => Marks.Count == 0 ? Ink : Outlines.Join([Ink, .. MarkBoxes.Select(b => (Area)Outlines.Rectangle(b))]);

    /// <summary>The boxes of its marks.</summary>
    public IEnumerable<Box> MarkBoxes => Marks.Select(m => new Box(m.X, m.Y, m.X, m.Y).Grown(Parting.MarkSize / 2));

    /// <summary>The name of its piece.</summary>
    public string Name => Piece.Fit.Piece.Name;

    /// <summary>Whether it is more than was ordered.</summary>
    public bool IsSpare => Id.Copy >= PlanSpare.First;

    /// <summary>The film and layer that its ink names.</summary>
    public FilmPly Ply => Fit.Films[Number].Film;

    /// <summary>How its ink comes from the coordinates of its side to how it is cut, before it is laid.</summary>
    public Motion AsCut => IsMirrored ? Motion.Flip : Motion.None;

    /// <summary>The box of its ink.</summary>
    public Box Box => Box.Of(Ink) ?? throw new InvalidOperationException("There is no ink.");

    /// <summary>All that a run has cut of a film: sides and copies of its pieces, spares not among them.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="pieces">Its pieces, fitted.</param>
    /// <param name="filmId">The film.</param>
    /// <param name="copies">How many of a piece.</param>
    /// <param name="inks">Where the ink of films under others is kept.</param>
    public static IEnumerable<CutThing> Of(
        ReadRun run,
        IEnumerable<FittedPiece> pieces,
        string filmId,
        Func<FittedPiece, IEnumerable<int>> copies,
        LayeredInks inks
    )
    {
        ArgumentNullException.ThrowIfNull(inks);
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(pieces);
        ArgumentNullException.ThrowIfNull(copies);
        return pieces.SelectMany(p =>
        {
            var one = p.Fits.SelectMany((fit, side) => OfSide(run, p, fit, side, filmId, inks)).ToList();
            return copies(p).SelectMany(copy => one.Select(t => t with { Id = t.Id with { Copy = copy } }));
        });
    }

    /// <summary>The film that ink without a name of its own is cut of, or the one it names.</summary>
    public static string FilmIdOf(ReadRun run, string named)
    {
        ArgumentNullException.ThrowIfNull(run);
        return string.IsNullOrEmpty(named) ? run.Run.SetUp.Film?.Id ?? "" : named;
    }

    private static IEnumerable<CutThing> OfSide(ReadRun run, FittedPiece piece, PieceFit fit, int side, string filmId, LayeredInks inks)
    {
        for (var number = 0; number < fit.Films.Count; number++)
        {
            var layer = fit.Films[number];
            if (
                layer.Ink.IsEmpty
                || FilmIdOf(run, layer.Film.FilmId) != filmId
                || inks.Of(run, fit, number) is not { Ink.IsEmpty: false } cut
            )
            {
                continue;
            }

            var film = run.Basis!.FilmOf(layer.Film.FilmId);
            var mirrored = MirrorWords.Mirrors(film, run.Run.SetUp.IsSeenThrough(side));
            var asCut = mirrored ? Motion.Flip : Motion.None;
            yield return new CutThing(
                new ItemId(run.Id, piece.Fit.Piece.Id, layer.Film.FilmId, side, layer.Film.Ply, 1, 0),
                run,
                piece,
                fit,
                number,
                film,
                mirrored ? Outlines.Moved(cut.Ink, asCut) : cut.Ink,
                cut.Key + (mirrored ? " m" : ""),
                mirrored,
                run.Run.SetUp.WaysOf(layer.Film.FilmId)
            )
            {
                OnSide = cut,
                Marks = [.. MarksOf(run, fit).Select(asCut.Of)],
            };
        }
    }

    /// <summary>The marks of a side of several films, in its coordinates; none where there is one film, or none are wanted.</summary>
    private static IReadOnlyList<PlanePoint> MarksOf(ReadRun run, PieceFit fit)
    {
        var films = fit.Films.Where(f => !f.Ink.IsEmpty).ToList();
        return run.Run.SetUp.LayerMarks && films.Count > 1
            ? FilmLayering.Marks(
                Box.Around(films.Select(f => Box.Of(f.Ink)!.Value))!.Value,
                films.Max(f => run.Run.SetUp.WaysOf(f.Film.FilmId) is { Box: WeedBox.Piece } ways ? ways.MarginOr : 0)
            )
            : [];
    }
}
