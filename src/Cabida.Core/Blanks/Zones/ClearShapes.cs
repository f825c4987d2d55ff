using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Blanks;

/// <summary>
/// Places kept clear as polygons. Their round parts are circumscribed, so that what stays outside the polygon stays outside
/// the true shape.
/// </summary>
internal static class ClearShapes
{
    private const int QuarterSteps = 24;

    /// <summary>Long enough to reach across any goods; millimetres.</summary>
    private const double Across = 12000;

    /// <summary>A place in the flat coordinates of a surface, grown by what is around it.</summary>
    /// <param name="clear">The place.</param>
    /// <param name="datums">What it is measured from.</param>
    /// <param name="grown">How far it is grown at every side.</param>
    public static Outcome<Polygon> Of(ReadClear clear, Datums datums, double grown)
    {
        // A hole is measured on one side and goes through: from the other it lies across the middle line.
        var isFromOther = clear.Spec.IsHole && !datums.Face.IsOwn && clear.Spec.Facing != datums.Face.Facing;
        var place = isFromOther ? clear.Spec.Place with { Side = TurnedOver(clear.Spec.Place.Side) } : clear.Spec.Place;
        var centre = datums.Centre(place, clear.Spec.Shape == ClearShape.Strip ? 0 : clear.Height);
        if (centre.Problem is { } problem)
        {
            return Outcome<Polygon>.Fail(Phrase.Say($"{clear.Spec.Name:strong}: {problem}"));
        }

        var (x, y) = (centre.Value.X, centre.Value.Y);
        return Outcome<Polygon>.Of(
            clear.Spec.Shape switch
            {
                ClearShape.Round => Slot(x, y, clear.Width, clear.Width, grown),
                ClearShape.Slot => Slot(x, y, clear.Width, clear.Height, grown),
                ClearShape.Box => Outlines.Rectangle(
                    new Box(
                        x - (clear.Width / 2) - grown,
                        y - (clear.Height / 2) - grown,
                        x + (clear.Width / 2) + grown,
                        y + (clear.Height / 2) + grown
                    )
                ),
                ClearShape.Band => Outlines.Rectangle(
                    new Box(-Across, y - (clear.Height / 2) - grown, Across, y + (clear.Height / 2) + grown)
                ),
                ClearShape.Strip => Outlines.Rectangle(
                    new Box(x - (clear.Width / 2) - grown, -Across, x + (clear.Width / 2) + grown, Across)
                ),
                _ => throw new ArgumentOutOfRangeException(nameof(clear)),
            }
        );
    }

    private static Sideways TurnedOver(Sideways side) =>
        side switch
        {
            Sideways.Left => Sideways.Right,
            Sideways.Right => Sideways.Left,
            _ => side,
        };

    /// <summary>
    /// What is to be said of a place that does not lie on the goods, or of a hole that goes over their edge; null where all is well.
    /// </summary>
    /// <param name="clear">The place.</param>
    /// <param name="area">Where it lies, as it is.</param>
    /// <param name="wall">The wall it is on; null on a panel.</param>
    /// <param name="panel">The panel it is on; null on a wall.</param>
    public static Phrase? Off(ReadClear clear, Polygon area, Wall? wall, Panel? panel)
    {
        var name = clear.Spec.Name;
        if (panel is null)
        {
            var (box, height) = (Box.Of(area)!.Value, wall!.Height.Value.Millimetres);
            var above = Math.Max(box.MinY - height, -box.MaxY);
            return clear.Spec.Shape != ClearShape.Strip && above >= 0
                ? Phrase.Say(
                    $"{name:strong} lies {(box.MinY > 0 ? "above the rim" : "below the base")}, {Length.Mm(above)} off the wall: it "
                        + $"keeps nothing clear. Look at where it is measured from."
                )
                : null;
        }

        if (!Overlay.Meet(area, panel.Nominal))
        {
            return Phrase.Say(
                $"{name:strong} lies {Length.Mm(Overlay.Distance(area, panel.Nominal))} off the panel: it keeps nothing clear. Look "
                    + $"at where it is measured from."
            );
        }

        if (!clear.Spec.IsHole || clear.Spec.Shape is ClearShape.Band or ClearShape.Strip || Overlay.Covers(panel.Nominal, area))
        {
            return null;
        }

        var over = Overlay
            .Difference(area, panel.Nominal)
            .Coordinates.Max(c => Overlay.Distance(Outlines.Factory.CreatePoint(c), panel.Nominal));
        return over > clear.Uncertainty.Millimetres
            ? Phrase.Say(
                $"{name:strong} is a hole and goes {Length.Mm(over)} over the edge. Look at where it is measured from, and at its size."
            )
            : null;
    }

    /// <summary>A round or long hole with round ends, grown; the round ends circumscribed.</summary>
    private static Polygon Slot(double x, double y, double width, double height, double grown)
    {
        var r = Math.Min(width, height) / 2;
        var (dx, dy) = (Math.Max(0, (width / 2) - r), Math.Max(0, (height / 2) - r));
        var radius = (r + grown) / Math.Cos(Math.PI / (4 * QuarterSteps));
        var points = new List<PlanePoint>();
        for (var i = 0; i < 4 * QuarterSteps; i++)
        {
            var angle = 2 * Math.PI * (i + 0.5) / (4 * QuarterSteps);
            var (c, s) = (Math.Cos(angle), Math.Sin(angle));
            points.Add(new PlanePoint(x + (Math.Sign(c) * dx) + (radius * c), y + (Math.Sign(s) * dy) + (radius * s)));
        }

        return Outlines.Ring(points);
    }
}
