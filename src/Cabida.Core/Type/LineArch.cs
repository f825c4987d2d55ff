using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Utilities;
using NetTopologySuite.Operation.Distance;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Type;

/// <summary>
/// Arches a line: its top edge becomes an arc of a circle that rises by so much in the middle, its bottom edge another; what
/// lies between goes up by the share of the height it has. Letters stay as wide as they are.
/// </summary>
public static class LineArch
{
    /// <summary>Distances between letters are met this precisely; millimetres.</summary>
    private const double Precision = 1e-4;

    private const int MostRounds = 12;

    /// <summary>
    /// Letters of a straight line bent together. What is kept apart is measured once they are: along a slope a gap is narrower than on
    /// the level, so letters are moved on along the line until it is met.
    /// </summary>
    /// <param name="set">The letters along the line, joined or kept apart as on the level.</param>
    /// <param name="form">The form.</param>
    internal static IReadOnlyList<LetterInk> Set(IReadOnlyList<LetterInk> set, LineForm form)
    {
        var along = set.ToList();
        for (var round = 0; ; round++)
        {
            var bent = Bent(along, form);
            var (moved, apart) = (0.0, form.JoinBy + (2 * form.Grow));
            for (var i = 1; form.Joins == LetterJoins.KeptApart && round < MostRounds && i < along.Count; i++)
            {
                // Words have their room between them; it is looked at, too, since a steep arch can use it up.
                var far = bent[i - 1].EnvelopeInternal.Distance(bent[i].EnvelopeInternal) >= apart;
                var lacks = far ? 0 : apart - IndexedFacetDistance.Distance(bent[i - 1], bent[i]);
                moved += lacks > 0 ? lacks + Precision : 0;
                along[i] = along[i] with { Ink = Outlines.Moved(along[i].Ink, Motion.Move(moved, 0)) };
            }

            if (moved == 0)
            {
                return [.. along.Select((l, i) => l with { Ink = ReferenceEquals(bent[i], l.Ink) ? l.Ink : Overlay.Sound(bent[i]) })];
            }
        }
    }

    /// <summary>The outlines of letters bent together, not yet made sound.</summary>
    private static List<Area> Bent(List<LetterInk> along, LineForm form) =>
        Box.Around(along.Select(l => Box.Of(l.Ink)!.Value)) is { } box
            ? [.. along.Select(l => Raised(l.Ink, box, form.ArchTop, form.ArchBottom))]
            : [];

    /// <summary>How much of an arch is kept: beyond half a circle an edge would no longer have one height at each place.</summary>
    /// <param name="box">The box of the whole line before it is bent.</param>
    /// <param name="sagitta">How far its middle is to rise; negative sinks.</param>
    public static double Kept(Box box, double sagitta) => Math.Sign(sagitta) * Math.Min(Math.Abs(sagitta), box.Width / 2);

    /// <summary>The outline bent; long edges are divided so that their chords lie within the tolerance of ink.</summary>
    /// <param name="area">The outline.</param>
    /// <param name="box">The box of the whole line.</param>
    /// <param name="top">How far the middle of the top rises; negative sinks.</param>
    /// <param name="bottom">How far the middle of the bottom rises.</param>
    public static Area Bent(Area area, Box box, double top, double bottom)
    {
        ArgumentNullException.ThrowIfNull(area);
        // Steep arches can fold the outline over itself where it is divided coarsely.
        return Raised(area, box, top, bottom) is var bent && ReferenceEquals(bent, area) ? area : Overlay.Sound(bent);
    }

    private static Area Raised(Area area, Box box, double top, double bottom)
    {
        if (area.IsEmpty || box.Width <= 0 || box.Height <= 0 || (top == 0 && bottom == 0))
        {
            return area;
        }

        // A chord of length c on a circle of radius r leaves it by c²/8r; the smaller radius of the two arcs decides.
        var rise = Math.Max(Math.Abs(Kept(box, top)), Math.Abs(Kept(box, bottom)));
        var radius = ((box.Width * box.Width / 4) + (rise * rise)) / (2 * rise);
        var divided = NetTopologySuite.Densify.Densifier.Densify(area, Math.Sqrt(8 * radius * Tolerances.Ink));
        Effort.Spend(20L * divided.NumPoints);
        return GeometryTransform(divided);

        Area GeometryTransform(Area flat) =>
            new Mover(p =>
            {
                var share = (p.Y - box.MinY) / box.Height;
                return p.Y + (share * Rise(p.X, box, top)) + ((1 - share) * Rise(p.X, box, bottom));
            }).Transform(flat);
    }

    /// <summary>How far an arc of sagitta <paramref name="sagitta"/> over the box's width stands above its ends at x.</summary>
    private static double Rise(double x, Box box, double sagitta)
    {
        if (sagitta == 0)
        {
            return 0;
        }

        var half = box.Width / 2;
        var s = Math.Abs(Kept(box, sagitta));
        var radius = ((half * half) + (s * s)) / (2 * s);
        var u = Math.Clamp(x - box.CentreX, -half, half);
        return Math.Sign(sagitta) * (Math.Sqrt(Math.Max(0, (radius * radius) - (u * u))) - (radius - s));
    }

    private sealed class Mover(Func<Coordinate, double> height) : GeometryTransformer
    {
        protected override CoordinateSequence TransformCoordinates(CoordinateSequence coords, Area parent) =>
            Factory.CoordinateSequenceFactory.Create([.. coords.ToCoordinateArray().Select(c => new Coordinate(c.X, height(c)))]);
    }
}
