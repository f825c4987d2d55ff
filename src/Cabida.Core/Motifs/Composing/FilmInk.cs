using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>A sheet of a film that ink is cut from.</summary>
/// <param name="FilmId">The film; empty for the one the run chooses.</param>
/// <param name="Ply">Which sheet of it, from 1.</param>
public readonly record struct FilmPly(string FilmId, int Ply);

/// <summary>An area as it was worked out once, and where it stands: what is only moved or scaled is never worked out again.</summary>
public sealed class PlacedInk
{
    private readonly Once<Area> placed;
    private readonly Once<Box?> box;

    /// <summary>An area in its place.</summary>
    /// <param name="key">Tells it apart from any other area; empty for one that nobody will ask for again.</param>
    /// <param name="area">The area as it was drawn.</param>
    /// <param name="motion">How it comes to its place.</param>
    public PlacedInk(string key, Area area, Motion motion)
    {
        (Key, Area, Motion) = (key, area, motion);
        placed = new(() => Outlines.Moved(area, motion));
        box = new(() =>
            motion.KeepsBoxes
                ? Geometry.Box.Of(area) is { } b
                    ? motion.Of(b)
                    : null
                : Geometry.Box.Of(placed.Value)
        );
    }

    /// <summary>Tells the area apart from any other; empty for one that nobody will ask for again.</summary>
    public string Key { get; }

    /// <summary>The area as it was drawn.</summary>
    public Area Area { get; }

    /// <summary>How it comes to its place.</summary>
    public Motion Motion { get; }

    /// <summary>The area in its place.</summary>
    public Area Placed => placed.Value;

    /// <summary>The box of it in its place; null when it is empty.</summary>
    public Box? Box => box.Value;

    /// <summary>The same area moved on.</summary>
    public PlacedInk Then(Motion next) => next == Motion.None ? this : new(Key, Area, Motion.Then(next));
}

/// <summary>Ink of one film: pieces of which none touches another.</summary>
public sealed class FilmInk
{
    private readonly Once<Area> ink;

    /// <summary>Ink of pieces that do not touch.</summary>
    public FilmInk(FilmPly film, IReadOnlyList<PlacedInk> pieces)
    {
        (Film, Pieces) = (film, pieces);
        ink = new(() =>
            pieces.Count == 1 ? pieces[0].Placed : Outlines.Together([.. pieces.SelectMany(p => Outlines.PolygonsOf(p.Placed))])
        );
    }

    /// <summary>Ink of one area in its place.</summary>
    public FilmInk(FilmPly film, Area ink)
        : this(film, [new PlacedInk("", ink, Motion.None)]) { }

    /// <summary>The film.</summary>
    public FilmPly Film { get; }

    /// <summary>What it consists of.</summary>
    public IReadOnlyList<PlacedInk> Pieces { get; }

    /// <summary>All of it as one area.</summary>
    public Area Ink => ink.Value;

    /// <summary>Its box; null when there is no ink.</summary>
    public Box? Box => Geometry.Box.Around(Pieces.Select(p => p.Box).OfType<Box>());

    /// <summary>The same ink moved.</summary>
    public FilmInk Moved(Motion by) => by == Motion.None ? this : new(Film, [.. Pieces.Select(p => p.Then(by))]);
}
