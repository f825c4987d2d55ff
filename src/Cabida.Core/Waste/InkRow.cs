using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Waste;

/// <summary>Ink that is never parted by a break: a letter with its dots and marks, a shape, a piece on a load.</summary>
/// <param name="Ink">It; millimetres.</param>
public sealed record InkUnit(Area Ink)
{
    private readonly Once<PlanePoint> inside = new(() =>
    {
        var at = Outlines.PolygonsOf(Ink).MaxBy(p => p.Area)!.InteriorPoint;
        return new PlanePoint(at.X, at.Y);
    });

    /// <summary>A place within its largest part.</summary>
    public PlanePoint Inside => inside.Value;

    /// <summary>The box of it.</summary>
    public Box Box { get; } = Geometry.Box.Of(Ink) ?? throw new ArgumentException("A unit has ink.", nameof(Ink));
}

/// <summary>A word: units from left to right between which breaks are made only where waste would be too long.</summary>
/// <param name="Units">Its units.</param>
public sealed record InkWord(IReadOnlyList<InkUnit> Units)
{
    /// <summary>Rows of its own, where it is a piece on a load; none for a word.</summary>
    public IReadOnlyList<InkRow> Inner { get; init; } = [];

    /// <summary>The box of it.</summary>
    public Box Box => Geometry.Box.Around(Units.Select(u => u.Box))!.Value;
}

/// <summary>A row of ink: words from left to right.</summary>
/// <param name="Words">Its words.</param>
public sealed record InkRow(IReadOnlyList<InkWord> Words)
{
    /// <summary>All its units.</summary>
    public IEnumerable<InkUnit> Units => Words.SelectMany(w => w.Units);

    /// <summary>It with left and right exchanged; words run from left to right again.</summary>
    public InkRow Mirrored() =>
        new([
            .. Words
                .Reverse()
                .Select(w => new InkWord([.. w.Units.Reverse().Select(u => new InkUnit(Outlines.Moved(u.Ink, Motion.Flip)))])
                {
                    Inner = [.. w.Inner.Select(r => r.Mirrored())],
                }),
        ]);

    /// <summary>The box of it.</summary>
    public Box Box => Geometry.Box.Around(Units.Select(u => u.Box))!.Value;
}
