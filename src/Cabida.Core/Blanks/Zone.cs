using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>
/// The workable area of a wall: what is left of it after the margins and the handle. The nominal shape uses the best
/// values, the cautious one takes their uncertainty off, half at each side so that the middle stays the middle.
/// </summary>
/// <param name="Nominal">By the best values.</param>
/// <param name="Cautious">Less the uncertainty of the girth (and handle) at each height, and of the height.</param>
/// <param name="Width">Workable width at the zone's middle height, with its uncertainty.</param>
/// <param name="Height">Workable height along the wall.</param>
/// <param name="MiddleHeight">The height of the zone's middle above the base, along the wall.</param>
/// <param name="Sums">Where the cautious width and height come from.</param>
public sealed record Zone(
    ZoneShape Nominal, ZoneShape Cautious, Dimension Width, Dimension Height, double MiddleHeight, IReadOnlyList<Phrase> Sums)
{
    /// <summary>A polyline along an arc leaves it by no more than this, and always to the safe side.</summary>
    private const double ArcError = 0.001;

    /// <summary>A side of a tapered zone is a curve that is very nearly straight; it is followed in so many steps.</summary>
    private const int SideSteps = 24;

    /// <summary>Lays the zone out, or says which margin leaves nothing of the wall.</summary>
    /// <param name="wall">The wall.</param>
    /// <param name="rim">Clear below the rim.</param>
    /// <param name="foot">Clear above the base.</param>
    /// <param name="side">Clear beside the handle or seam.</param>
    public static Outcome<Zone> Of(Wall wall, Length rim, Length foot, Length side)
    {
        ArgumentNullException.ThrowIfNull(wall);
        var height = new Dimension(wall.Height.Value - rim - foot, wall.Height.Uncertainty);
        if (height.Cautious <= Length.Zero)
        {
            return Outcome<Zone>.Fail(Phrase.Say(
                $"Margins of {rim} at the rim and {foot} at the base leave nothing of a wall {wall.Height.Value} high."));
        }

        var middle = (foot + (height.Value / 2)).Millimetres;
        var width = WidthAt(wall, side, middle);
        var narrowest = new[] { foot, wall.Height.Value - rim }.Select(v => WidthAt(wall, side, v.Millimetres).Cautious).Min();
        if (narrowest <= Length.Zero)
        {
            return Outcome<Zone>.Fail(wall.Handle is { } blocked
                ? Phrase.Say($"The handle's {blocked.Value} and two margins of {side} leave nothing of a girth of {wall.GirthAt(middle).Value}.")
                : Phrase.Say($"Two margins of {side} leave nothing of a girth of {wall.GirthAt(middle).Value}."));
        }

        return Outcome<Zone>.Of(new Zone(
            Shape(wall, foot.Millimetres, (foot + height.Value).Millimetres, v => WidthAt(wall, side, v).Value.Millimetres),
            Shape(
                wall,
                (foot + (height.Uncertainty / 2)).Millimetres,
                (foot + height.Value - (height.Uncertainty / 2)).Millimetres,
                v => WidthAt(wall, side, v).Cautious.Millimetres),
            width,
            height,
            middle,
            [WidthSum(wall, side, width, middle), HeightSum(wall, rim, foot, height)]));
    }

    private static Dimension WidthAt(Wall wall, Length side, double v)
    {
        var girth = wall.GirthAt(v);
        return new Dimension(
            girth.Value - (wall.Handle?.Value ?? Length.Zero) - (2 * side),
            Dimension.Combined(girth.Uncertainty, wall.Handle?.Uncertainty ?? Length.Zero));
    }

    private static ZoneShape Shape(Wall wall, double low, double high, Func<double, double> widthAt)
    {
        if (wall.Cone is null)
        {
            var half = widthAt(low) / 2;
            return ZoneShape.Rectangle(new Box(-half, low, half, high));
        }

        var right = Side(wall, low, high, v => widthAt(v) / 2);
        List<PlanePoint> left = [.. Enumerable.Reverse(right).Select(p => new PlanePoint(-p.X, p.Y))];
        return ZoneShape.Of(
            [
                (LimitKind.Base, Arc(wall, low, widthAt(low) / 2, bulgesIn: wall.Cone.WideUp)),
                (LimitKind.RightSide, right),
                (LimitKind.Rim, [.. Enumerable.Reverse(Arc(wall, high, widthAt(high) / 2, bulgesIn: !wall.Cone.WideUp))]),
                (LimitKind.LeftSide, left),
            ],
            new PlanePoint(0, (low + high) / 2));
    }

    private static List<PlanePoint> Side(Wall wall, double low, double high, Func<double, double> half) =>
        [.. Enumerable.Range(0, SideSteps + 1).Select(i => low + ((high - low) * i / SideSteps)).Select(v => wall.Laid(half(v), v))];

    /// <summary>The arc at a height from left to right; where it bulges into the zone the polyline lies on its safe side, outside the ring.</summary>
    private static List<PlanePoint> Arc(Wall wall, double v, double half, bool bulgesIn)
    {
        var ring = wall.RingAt(v);
        var steps = Math.Max(2, (int)Math.Ceiling(2 * half / Math.Sqrt(8 * ring * ArcError)));
        var points = Enumerable.Range(0, steps + 1).Select(i => wall.Laid(half * ((2.0 * i / steps) - 1), v)).ToList();
        if (!bulgesIn)
        {
            return points;
        }

        // Chords of an arc that bulges in would lie outside the zone: moved inwards by their sagitta they do not.
        var sagitta = ring * (1 - Math.Cos(half / steps / ring));
        var inwards = wall.Cone!.WideUp ? sagitta : -sagitta;
        return [.. points.Select((p, i) => i == 0 || i == steps ? p : new PlanePoint(p.X, p.Y + inwards))];
    }

    private static Phrase WidthSum(Wall wall, Length side, Dimension width, double middle)
    {
        var girth = wall.GirthAt(middle);
        var start = wall.Cone is null
            ? Phrase.Say($"{width.Cautious:strong} = girth {girth.Value}")
            : Phrase.Say($"{width.Cautious:strong} at the middle = girth {girth.Value}");
        var handle = wall.Handle is { } h ? Phrase.Say($" − handle {h.Value}") : Phrase.Empty;
        return Phrase.Say($"{start}{handle} − 2 × {side} − {width.Uncertainty} uncertainty");
    }

    private static Phrase HeightSum(Wall wall, Length rim, Length foot, Dimension height) => Phrase.Say(
        $"{height.Cautious:strong} = height {wall.Height.Value} − rim {rim} − base {foot} − {height.Uncertainty} uncertainty");
}
