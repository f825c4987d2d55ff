using Cabida.Core.Blanks;
using Cabida.Core.Geometry;

namespace Cabida.Core.Drawings;

/// <summary>A wall laid flat: its edge, what the handle blocks, the zone, and its dimensions.</summary>
public static class FlatDrawing
{
    private const int ArcSteps = 48;

    /// <summary>Draws a wall and its zone.</summary>
    public static Drawing Of(Wall wall, Zone? zone)
    {
        ArgumentNullException.ThrowIfNull(wall);
        var height = wall.Height.Value.Millimetres;
        double Half(double v) => wall.GirthAt(v).Value.Millimetres / 2;
        var strokes = new List<Stroke> { new(StrokeKind.Edge, Band(wall, height, v => -Half(v), Half), Closed: true) };
        if (wall.Handle is { } handle)
        {
            var blocked = handle.Value.Millimetres / 2;
            strokes.Add(new(StrokeKind.KeptClear, Band(wall, height, v => -Half(v), v => -Half(v) + blocked), Closed: true, "handle"));
            strokes.Add(new(StrokeKind.KeptClear, Band(wall, height, v => Half(v) - blocked, Half), Closed: true, "handle"));
        }

        strokes.Add(new(StrokeKind.Centre, [wall.Laid(0, -0.04 * height), wall.Laid(0, 1.04 * height)]));
        var box = BoxOf(strokes);
        var top = wall.Cone is null ? "girth" : "girth at the rim";
        var dimensions = new List<DimensionLine>
        {
            new(null, top, wall.GirthAt(height).Value.Millimetres, wall.GirthAt(height).Uncertainty.Millimetres,
                wall.Laid(-Half(height), height), wall.Laid(Half(height), height), DimensionPlace.Above, 1),
            new(null, "", height, wall.Height.Uncertainty.Millimetres, new(box.MaxX, 0), wall.Laid(0, height) with { X = box.MaxX }, DimensionPlace.Right, 0),
        };
        if (zone is not null)
        {
            strokes.Add(new(StrokeKind.Centre, Ring(wall, zone.MiddleHeight, -Half(zone.MiddleHeight) * 1.03, Half(zone.MiddleHeight) * 1.03)));
            strokes.Add(new(StrokeKind.NominalZone, Points(zone.Nominal), Closed: true));
            strokes.Add(new(StrokeKind.Zone, Points(zone.Cautious), Closed: true));
            var safe = zone.Cautious.Bounds;
            dimensions.Add(wall.Cone is null
                ? new(null, "", safe.Width, null, new(safe.MinX, safe.MaxY), new(safe.MaxX, safe.MaxY), DimensionPlace.Above, 0, OfZone: true)
                : AtMiddle(wall, zone));
        }

        return new Drawing(box, strokes, dimensions, []);
    }

    private static DimensionLine AtMiddle(Wall wall, Zone zone)
    {
        var half = zone.Width.Cautious.Millimetres / 2;
        return new DimensionLine(null, "round the middle", 2 * half, null, wall.Laid(-half, zone.MiddleHeight), wall.Laid(half, zone.MiddleHeight), DimensionPlace.Above, 0, OfZone: true);
    }

    private static List<PlanePoint> Points(ZoneShape shape) => [.. shape.Edges.Select(e => e.From)];

    private static List<PlanePoint> Band(Wall wall, double height, Func<double, double> left, Func<double, double> right) =>
        [.. Ring(wall, 0, left(0), right(0)), .. Enumerable.Reverse(Ring(wall, height, left(height), right(height)))];

    private static List<PlanePoint> Ring(Wall wall, double v, double from, double to) => wall.Cone is null
        ? [wall.Laid(from, v), wall.Laid(to, v)]
        : [.. Enumerable.Range(0, ArcSteps + 1).Select(i => wall.Laid(from + ((to - from) * i / ArcSteps), v))];

    private static Box BoxOf(List<Stroke> strokes)
    {
        var points = strokes.Where(s => s.Kind == StrokeKind.Edge).SelectMany(s => s.Points).ToList();
        return new Box(points.Min(p => p.X), points.Min(p => p.Y), points.Max(p => p.X), points.Max(p => p.Y));
    }
}
