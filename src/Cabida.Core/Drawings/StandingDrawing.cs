using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;

namespace Cabida.Core.Drawings;

/// <summary>
/// A blank as it stands, seen from the front and a little from above: rings appear as flat ellipses. Where too little
/// was read to know its shape an example is drawn, so that its letters still show what to read.
/// </summary>
public static class StandingDrawing
{
    private const int RingSteps = 40;

    /// <summary>Draws a blank from what was worked out.</summary>
    public static Drawing Of(SurfaceKind surface, BlankSheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        var wall = sheet.Wall ?? Example(surface);
        var height = wall.Height.Value.Millimetres;
        var strokes = new List<Stroke>
        {
            new(StrokeKind.Edge, [Projection.Of(wall, -90, 0), Projection.Of(wall, -90, height)]),
            new(StrokeKind.Edge, [Projection.Of(wall, 90, 0), Projection.Of(wall, 90, height)]),
            new(StrokeKind.Edge, Ring(wall, height, -180, 180), Closed: true),
            new(StrokeKind.Edge, Ring(wall, 0, -90, 90)),
            new(StrokeKind.Hidden, Ring(wall, 0, 90, 270)),
            new(StrokeKind.Centre, [Projection.Of(wall, 0, -0.06 * height), Projection.Of(wall, 180, 1.04 * height)]),
        };
        if (sheet.Wall?.Handle is not null)
        {
            strokes.AddRange(HandleShape.At(wall, 90).Select(o => new Stroke(StrokeKind.Edge, o)));
        }

        if (sheet.Zone is { } zone)
        {
            strokes.Add(new(StrokeKind.Zone, Front(wall, zone)));
        }

        var (dimensions, callouts) = surface == SurfaceKind.Straight ? Straight(wall, sheet, strokes) : Tapered(wall, sheet, strokes);
        var drawn = strokes.Where(s => s.Kind == StrokeKind.Edge).SelectMany(s => s.Points).ToList();
        var box = new Box(drawn.Min(p => p.X), drawn.Min(p => p.Y), drawn.Max(p => p.X), drawn.Max(p => p.Y));
        return new Drawing(box, strokes, dimensions, callouts, Guessed: sheet.Wall is null);
    }

    private static (List<DimensionLine>, List<Callout>) Straight(Wall wall, BlankSheet sheet, List<Stroke> strokes)
    {
        var height = wall.Height.Value.Millimetres;
        // Above the handle, where there is one, so that the leader does not cross it.
        var ring = (sheet.Wall?.Handle is null ? 0.62 : 0.935) * height;
        strokes.Add(new(StrokeKind.GirthMark, Ring(wall, ring, -90, 90)));
        var dimensions = new List<DimensionLine>
        {
            Line(sheet, DimensionKind.Across, Projection.Of(wall, -90, height), Projection.Of(wall, 90, height), DimensionPlace.Above),
            Line(sheet, DimensionKind.Height, Projection.Of(wall, -90, 0), Projection.Of(wall, -90, height), DimensionPlace.Left),
        };
        var callouts = new List<Callout> { Call(sheet, DimensionKind.Girth, "girth", Projection.Of(wall, 62, ring)) };
        callouts.AddRange(Is(sheet, DimensionKind.HalfGirth) is null ? [] : [Call(sheet, DimensionKind.HalfGirth, "half round", Projection.Of(wall, 80, 0.4 * height))]);
        callouts.Add(Call(sheet, DimensionKind.Handle, "handle", sheet.Wall?.Handle is null ? Projection.Of(wall, 85, 0.2 * height) : HandleShape.At(wall, 90).First()[^1]));
        return (dimensions, callouts);
    }

    private static (List<DimensionLine>, List<Callout>) Tapered(Wall wall, BlankSheet sheet, List<Stroke> strokes)
    {
        var height = wall.Height.Value.Millimetres;
        var lower = wall.LowerMark.Millimetres;
        var upper = lower + (wall.Cone?.Wall.Value.Millimetres ?? height - lower);
        foreach (var v in new[] { lower, upper })
        {
            strokes.Add(new(StrokeKind.GirthMark, Ring(wall, v, -90, 90)));
        }

        var dimensions = new List<DimensionLine> { Line(sheet, DimensionKind.WallBetween, Projection.Of(wall, -90, lower), Projection.Of(wall, -90, upper), DimensionPlace.Along) };
        AddWhenRead(DimensionKind.UprightBetween, Projection.Of(wall, 90, lower), Projection.Of(wall, 90, upper), DimensionPlace.Right);
        AddWhenRead(DimensionKind.AcrossUpper, Projection.Of(wall, -90, upper), Projection.Of(wall, 90, upper), DimensionPlace.Above);
        AddWhenRead(DimensionKind.RimToUpper, Projection.Of(wall, -90, upper), Projection.Of(wall, -90, height), DimensionPlace.Along);
        AddWhenRead(DimensionKind.BaseToLower, Projection.Of(wall, -90, 0), Projection.Of(wall, -90, lower), DimensionPlace.Along);
        var callouts = new List<Callout>
        {
            Call(sheet, DimensionKind.GirthUpper, "girth", Projection.Of(wall, 62, upper)),
            Call(sheet, DimensionKind.GirthLower, "girth", Projection.Of(wall, 62, lower)),
        };
        callouts.AddRange(Is(sheet, DimensionKind.Handle) is null ? [] : [Call(sheet, DimensionKind.Handle, "handle", HandleShape.At(wall, 90).First()[^1])]);
        return (dimensions, callouts);

        void AddWhenRead(DimensionKind kind, PlanePoint from, PlanePoint to, DimensionPlace place)
        {
            if (Is(sheet, kind) is not null)
            {
                dimensions.Add(Line(sheet, kind, from, to, place));
            }
        }
    }

    private static DimensionLine Line(BlankSheet sheet, DimensionKind kind, PlanePoint from, PlanePoint to, DimensionPlace place) =>
        new(Letter(sheet, kind), "", Is(sheet, kind)?.Value.Millimetres, null, from, to, place, 0);

    private static Callout Call(BlankSheet sheet, DimensionKind kind, string word, PlanePoint at) =>
        new(Letter(sheet, kind), word, Is(sheet, kind)?.Value.Millimetres, at);

    private static Dimension? Is(BlankSheet sheet, DimensionKind kind) => sheet.Rows.First(r => r.Row.Kind == kind).Is;

    private static string Letter(BlankSheet sheet, DimensionKind kind) => sheet.Rows.First(r => r.Row.Kind == kind).Row.Letter;

    private static List<PlanePoint> Ring(Wall wall, double v, double from, double to) =>
        [.. Enumerable.Range(0, RingSteps + 1).Select(i => Projection.Of(wall, from + ((to - from) * i / RingSteps), v))];

    /// <summary>The part of the zone that is seen from the front.</summary>
    private static List<PlanePoint> Front(Wall wall, Zone zone)
    {
        var box = zone.Cautious.Bounds;
        double low = zone.MiddleHeight - (zone.Height.Cautious.Millimetres / 2), high = zone.MiddleHeight + (zone.Height.Cautious.Millimetres / 2);
        double Degrees(double v) => Math.Min(90, Coverage.Of(Length.Mm(Math.Min(box.Width, zone.Width.Cautious.Millimetres)), wall.GirthAt(v).Value).Goes.Degrees / 2);
        var right = Enumerable.Range(0, 9).Select(i => low + ((high - low) * i / 8)).Select(v => (V: v, D: Degrees(v))).ToList();
        List<PlanePoint> outline = [.. Ring(wall, low, -Degrees(low), Degrees(low)), .. right.Select(p => Projection.Of(wall, p.D, p.V))];
        outline.AddRange(Ring(wall, high, Degrees(high), -Degrees(high)));
        outline.AddRange(Enumerable.Reverse(right).Select(p => Projection.Of(wall, -p.D, p.V)));
        return outline;
    }

    private static Wall Example(SurfaceKind surface)
    {
        static Dimension Known(double mm) => new(Length.Mm(mm), Length.Zero);
        return surface == SurfaceKind.Straight
            ? new Wall(null, Known(258), Known(94), Length.Zero, null)
            : new Wall(new Cone(Known(276), Known(219), Known(140)), Known(219), Known(160), Length.Mm(9), null);
    }
}
