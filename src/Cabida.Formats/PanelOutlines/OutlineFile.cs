using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using Cabida.Formats.Graphics;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Valid;

namespace Cabida.Formats.PanelOutlines;

/// <summary>Reads the outline of a panel from an SVG or DXF file: the largest closed shape, and what lies in it as holes.</summary>
public static class OutlineFile
{
    /// <summary>What encloses less than this is no outline; square millimetres.</summary>
    private const double LeastArea = 1;

    /// <summary>A drawing file is trusted to this; millimetres.</summary>
    private const double Uncertainty = 0.05;

    private const double LargestSide = 5000;

    /// <summary>Reads a file.</summary>
    /// <param name="name">Its name, for what is said about it.</param>
    /// <param name="file">Its bytes.</param>
    public static Outcome<DrawnOutline> Read(string name, byte[] file)
    {
        ArgumentNullException.ThrowIfNull(file);
        var read = GraphicFile.Read(name, file, linesOnly: true);
        if (read.Problem is { } problem)
        {
            return Outcome<DrawnOutline>.Fail(problem);
        }

        // A loop that crosses itself may enclose as much one way as the other, so its size is that of its box.
        var loops = read
            .Value.Pieces.SelectMany(p => p.Closed)
            .Select(IReadOnlyList<PlanePoint> (c) => CurveFlattening.Flatten(c, Tolerances.Ink, Tolerances.InkTurn))
            .Where(l => l.Count >= 3)
            .Select(l => (Points: l, Ring: Outlines.Ring(l)))
            .Select(l => (l.Points, l.Ring, Size: Box.Of(l.Ring)!.Value))
            .Where(l => l.Size.Width * l.Size.Height >= LeastArea)
            .OrderByDescending(l => l.Size.Width * l.Size.Height)
            .ToList();
        if (loops.Count == 0)
        {
            var open = read.Value.Pieces.SelectMany(p => p.Open).ToList();
            return Outcome<DrawnOutline>.Fail(
                open.Count == 0
                    ? Phrase.Say($"{name:strong} holds no closed outline.")
                    : Phrase.Say(
                        $"The outline in {name:strong} is not closed: it ends "
                            + $"{Core.Measures.Length.Mm(open.Min(o => o.Start.To(o.Segments[^1].End)))} short of its start. Close it in "
                            + $"the drawing."
                    )
            );
        }

        var outer = loops[0];
        var box = Box.Of(outer.Ring)!.Value;
        if (box.Width > LargestSide || box.Height > LargestSide)
        {
            return Outcome<DrawnOutline>.Fail(
                Phrase.Say(
                    $"The outline in {name:strong} is {Core.Measures.Length.Mm(box.Width)} × {Core.Measures.Length.Mm(box.Height)}. "
                        + $"Does the file name the right unit?"
                )
            );
        }

        if (Crossing(name, outer.Ring, box) is { } crosses)
        {
            return Outcome<DrawnOutline>.Fail(crosses);
        }

        var inside = loops.Skip(1).Where(l => l.Points.Any(p => Holds(outer.Ring, p))).ToList();
        // What lies in a hole is waste, not another hole.
        var holes = inside
            .Where(l =>
                !inside.Any(o =>
                    o != l && o.Size.Width * o.Size.Height > l.Size.Width * l.Size.Height && l.Points.All(p => Holds(o.Ring, p))
                )
            )
            .ToList();
        var whole = Outlines.Factory.CreatePolygon(
            (LinearRing)outer.Ring.ExteriorRing,
            [.. holes.Select(h => (LinearRing)h.Ring.ExteriorRing)]
        );
        if (Crossing(name, whole, box) is { } holesCross)
        {
            return Outcome<DrawnOutline>.Fail(holesCross);
        }

        var aside = loops.Count - 1 - inside.Count;
        var remark = Remark(read.Value) + (aside > 0 ? $"; {aside} smaller {(aside == 1 ? "shape" : "shapes")} beside it left out" : "");
        return Outcome<DrawnOutline>.Of(new DrawnOutline([outer.Points, .. holes.Select(h => h.Points)], name + remark, Uncertainty));
    }

    /// <summary>Where an outline crosses itself or its holes, from the lower left corner of all of it; null where it does not.</summary>
    private static Phrase? Crossing(string name, Polygon outline, Box box) =>
        new IsValidOp(outline).ValidationError is { } error
            ? Phrase.Say(
                $"The outline in {name:strong} crosses itself{(outline.NumInteriorRings > 0 ? " or its holes" : "")} "
                    + $"{Core.Measures.Length.Mm(error.Coordinate.X - box.MinX)} from its left and "
                    + $"{Core.Measures.Length.Mm(error.Coordinate.Y - box.MinY)} above its foot. Nothing can be cut so; mend it in the "
                    + $"drawing."
            )
            : null;

    /// <summary>How the size was understood where the file leaves it open, and what was left out.</summary>
    private static string Remark(ReadGraphic read) =>
        (read.SizeStated ? "" : $" (its size is not stated, so {read.Assumption} was taken: check its width)")
        + string.Concat(read.Notes.Select(n => $"; {n.ToString().TrimEnd('.').ToLowerInvariant()}"));

    private static bool Holds(Polygon ring, PlanePoint p) =>
        ring.EnvelopeInternal.Covers(p.X, p.Y)
        && NetTopologySuite.Algorithm.PointLocation.IsInRing(new Coordinate(p.X, p.Y), ring.ExteriorRing.Coordinates);
}
