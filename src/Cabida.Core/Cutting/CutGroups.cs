using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Cutting;

/// <summary>Makes lines of a cut file of ink, of cuts through waste and of marks.</summary>
public static class CutGroups
{
    /// <summary>The outlines of ink, as curves that cross nowhere and reach nowhere beyond its box.</summary>
    /// <param name="name">What it is called.</param>
    /// <param name="ink">The ink; millimetres from the lower left of the reach, y up.</param>
    public static CutGroup OfInk(string name, Area ink) =>
        new(name, [.. SoundCurves.Of(ink, Tolerances.File, CutDrawing.Grid).Select(c => new CutLine(c, true, CutLineKind.Ink))]);

    /// <summary>A weed box with its breaks.</summary>
    /// <param name="box">The box.</param>
    /// <param name="breaks">Its breaks, open lines.</param>
    public static CutGroup OfWaste(Box box, IReadOnlyList<IReadOnlyList<PlanePoint>> breaks) =>
        new("Weed box", [Line(box.Corners, true, CutLineKind.Waste), .. breaks.Select(b => Line(b, false, CutLineKind.Waste))]);

    /// <summary>A cross, by which sections or layers are laid together.</summary>
    /// <param name="middle">Its middle.</param>
    /// <param name="size">How far its arms reach from end to end.</param>
    /// <param name="turned">How far it is turned to the left with what it lies by: arms are laid upon arms. Degrees.</param>
    public static CutGroup OfMark(PlanePoint middle, double size, double turned)
    {
        var turn = Motion.TurnLeft(turned);
        CutLine Arm(double x, double y)
        {
            var (dx, dy) = turn.Of(new PlanePoint(x * size / 2, y * size / 2));
            return Line([new(middle.X - dx, middle.Y - dy), new(middle.X + dx, middle.Y + dy)], false, CutLineKind.Mark);
        }

        return new CutGroup("Mark", [Arm(1, 0), Arm(0, 1)]);
    }

    /// <summary>A straight line through points, rounded as a file holds them.</summary>
    private static CutLine Line(IReadOnlyList<PlanePoint> points, bool isClosed, CutLineKind kind)
    {
        static PlanePoint Rounded(PlanePoint p) =>
            new(Math.Round(p.X / CutDrawing.Grid) * CutDrawing.Grid, Math.Round(p.Y / CutDrawing.Grid) * CutDrawing.Grid);
        var rounded = points.Select(Rounded).ToList();
        return new CutLine(new Contour(rounded[0], [.. rounded.Skip(1).Select(p => new LineSegmentTo(p))]), isClosed, kind);
    }
}
