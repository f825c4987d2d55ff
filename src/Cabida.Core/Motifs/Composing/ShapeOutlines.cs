using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>The lengths of a shape at its size, in millimetres.</summary>
internal readonly record struct ShapeSizes(
    double Width,
    double Height,
    double CornerSize,
    double Band,
    double Hole,
    double HoleIn,
    double DotGap
);

/// <summary>Outlines of plain shapes, centred on the origin.</summary>
internal static class ShapeOutlines
{
    private const int MostDots = 400;

    /// <summary>The outline of a shape; empty where its lengths leave none.</summary>
    public static Area Of(ShapePart part, ShapeSizes s)
    {
        var (w, h) = (s.Width, s.Height);
        if (w <= 0 || h <= 0)
        {
            return Outlines.Empty;
        }

        return part.Shape switch
        {
            ShapeKind.Rectangle => Rectangle(w, h),
            ShapeKind.Rounded => Rounded(w, h, s.CornerSize),
            ShapeKind.Oval => Oval(w, h),
            ShapeKind.Ring => Ring(Oval(w, h), s.Band),
            ShapeKind.Border => Hollow(Rounded(w, h, s.CornerSize), w, h, s.Band, (a, b) => Rounded(a, b, s.CornerSize - s.Band)),
            ShapeKind.Polygon or ShapeKind.Star => Corners(part, w, h),
            ShapeKind.Heart => Heart(w, h),
            ShapeKind.Tag => Tag(w, h, s),
            ShapeKind.Corner => s.Band <= 0
                ? Outlines.Empty
                : Outlines.Without(Rectangle(w, h), Outlines.Rectangle(new Box((-w / 2) + s.Band, -h, w, (h / 2) - s.Band))),
            ShapeKind.Dots => Dots(Math.Clamp(part.Count, 1, MostDots), w, s.DotGap),
            _ => throw new ArgumentOutOfRangeException(nameof(part), part.Shape, null),
        };
    }

    /// <summary>How far from a circle an oval of corners may be and still be taken for one, as a share.</summary>
    private const double NearlyRound = 0.2;

    /// <summary>The circle that a shape is, or that its corners lie on; null for what is not round.</summary>
    public static Circle? CircleOf(ShapePart part, ShapeSizes s)
    {
        if (part.Shape is ShapeKind.Oval or ShapeKind.Ring)
        {
            return Math.Abs(s.Width - s.Height) <= 1e-9 * s.Width ? new Circle(default, s.Width / 2) : null;
        }

        if (part.Shape is not (ShapeKind.Polygon or ShapeKind.Star))
        {
            return null;
        }

        // Its corners lie on an oval that is wider and higher than its box, since few of them touch it.
        var (_, box) = UnitCorners(part);
        var (a, b) = (s.Width / box.Width, s.Height / box.Height);
        return Math.Abs(a - b) <= NearlyRound * Math.Max(a, b)
            ? new Circle(new PlanePoint(-box.CentreX * a, -box.CentreY * b), Math.Max(a, b))
            : null;
    }

    private static Polygon Rectangle(double w, double h) => Outlines.Rectangle(new Box(-w / 2, -h / 2, w / 2, h / 2));

    /// <summary>A polygon in an oval whose chords lie within the tolerance of ink and whose extremes are exact.</summary>
    private static Polygon Oval(double w, double h)
    {
        var quarter = QuarterSteps(Math.Max(w, h) / 2);
        return Outlines.Ring([
            .. Enumerable
                .Range(0, 4 * quarter)
                .Select(i =>
                {
                    var turned = Motion.TurnLeft(90.0 * i / quarter).Of(new PlanePoint(1, 0));
                    return new PlanePoint(turned.X * w / 2, turned.Y * h / 2);
                }),
        ]);
    }

    private static Polygon Rounded(double w, double h, double radius)
    {
        var r = Math.Min(Math.Max(radius, 0), Math.Min(w, h) / 2);
        if (r <= 0)
        {
            return Rectangle(w, h);
        }

        var quarter = QuarterSteps(r);
        var points = new List<PlanePoint>();
        foreach (
            var (x, y, from) in new[]
            {
                ((w / 2) - r, (h / 2) - r, 0),
                (r - (w / 2), (h / 2) - r, 90),
                (r - (w / 2), r - (h / 2), 180),
                ((w / 2) - r, r - (h / 2), 270),
            }
        )
        {
            points.AddRange(
                Enumerable
                    .Range(0, quarter + 1)
                    .Select(i =>
                        Motion.TurnLeft(from + (90.0 * i / quarter)).Of(new PlanePoint(r, 0)) is var p
                            ? new PlanePoint(x + p.X, y + p.Y)
                            : default
                    )
            );
        }

        return Outlines.Ring([.. points.Where((p, i) => i == 0 || p.To(points[i - 1]) > 1e-9)]);
    }

    private static Area Hollow(Area outside, double w, double h, double band, Func<double, double, Area> inner) =>
        band <= 0 ? Outlines.Empty
        : w > 2 * band && h > 2 * band ? Outlines.Without(outside, inner(w - (2 * band), h - (2 * band)))
        : outside;

    /// <summary>
    /// An outline less what lies further in than the band: the same all round, which a smaller oval would not be. All of it where
    /// it is no wider than the band twice.
    /// </summary>
    private static Area Ring(Area outside, double band) =>
        band <= 0 ? Outlines.Empty
        : Outlines.Grown(outside, -band, Tolerances.Ink) is { IsEmpty: false } inside ? Outlines.Without(outside, inside)
        : outside;

    /// <summary>
    /// Corners in an oval, every second one at a share of the way out when it is a star; the box of it is made as wide and high as asked.
    /// </summary>
    private static Polygon Corners(ShapePart part, double w, double h)
    {
        var (points, box) = UnitCorners(part);
        return Outlines.Ring([
            .. points.Select(p => new PlanePoint((p.X - box.CentreX) * w / box.Width, (p.Y - box.CentreY) * h / box.Height)),
        ]);
    }

    /// <summary>The corners of a polygon or star on a circle of radius 1 about the origin, and the box round them.</summary>
    private static (List<PlanePoint> Points, Box Box) UnitCorners(ShapePart part)
    {
        var star = part.Shape == ShapeKind.Star;
        var count = Math.Clamp(part.Count, 3, 60);
        var corners = star ? 2 * count : count;
        var inner = Math.Clamp(part.Inner, 5, 99) / 100;
        // A polygon stands on a side, a star on two points.
        var start = star ? 90.0 : -90 + (180.0 / count);
        var points = Enumerable
            .Range(0, corners)
            .Select(i => Motion.TurnLeft(start + (360.0 * i / corners)).Of(new PlanePoint(star && i % 2 == 1 ? inner : 1, 0)))
            .ToList();
        return (points, new Box(points.Min(p => p.X), points.Min(p => p.Y), points.Max(p => p.X), points.Max(p => p.Y)));
    }

    /// <summary>Two arcs of circles above and two curves that meet in a point below.</summary>
    private static Area Heart(double w, double h)
    {
        PlanePoint At(double x, double y) => new(x * w, y * h);
        var half = new CurveSegment[]
        {
            new CubicTo(At(0.06, 0.5), At(0.5, 0.56), At(0.5, 0.18)),
            new CubicTo(At(0.5, -0.1), At(0.16, -0.3), At(0, -0.5)),
            new CubicTo(At(-0.16, -0.3), At(-0.5, -0.1), At(-0.5, 0.18)),
            new CubicTo(At(-0.5, 0.56), At(-0.06, 0.5), At(0, 0.26)),
        };
        var drawn = Outlines.FromContours([new Contour(At(0, 0.26), half)], Tolerances.Ink, Tolerances.InkTurn);
        var box = Box.Of(drawn)!.Value;
        return Outlines.Moved(drawn, Motion.Move(-box.CentreX, -box.CentreY).Then(Motion.Scale(w / box.Width, h / box.Height)));
    }

    private static Area Tag(double w, double h, ShapeSizes s)
    {
        var cut = Math.Min(Math.Max(s.CornerSize, 0), Math.Min(w, h / 2));
        var outline = Outlines.Ring([
            .. new PlanePoint[]
            {
                new((-w / 2) + cut, -h / 2),
                new(w / 2, -h / 2),
                new(w / 2, h / 2),
                new((-w / 2) + cut, h / 2),
                new(-w / 2, (h / 2) - cut),
                new(-w / 2, (-h / 2) + cut),
            }.Distinct(),
        ]);
        return s.Hole <= 0 ? outline : Outlines.Without(outline, Outlines.Moved(Oval(s.Hole, s.Hole), Motion.Move((-w / 2) + s.HoleIn, 0)));
    }

    private static Area Dots(int count, double across, double gap)
    {
        var pitch = across + Math.Max(0, gap);
        return Outlines.Join([
            .. Enumerable
                .Range(0, count)
                .Select(i => Outlines.Moved(Oval(across, across), Motion.Move((i - ((count - 1) / 2.0)) * pitch, 0))),
        ]);
    }

    /// <summary>Steps to a quarter turn so that chords lie within the tolerance of ink of an arc and turn by at most its angle.</summary>
    private static int QuarterSteps(double radius) =>
        (int)
            Math.Ceiling(
                Math.PI / 2 / Math.Min(Tolerances.InkTurn, 2 * Math.Acos(1 - Math.Min(0.5, Tolerances.Ink / Math.Max(radius, 1e-6))))
            );
}
