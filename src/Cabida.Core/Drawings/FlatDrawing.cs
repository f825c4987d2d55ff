using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Drawings;

/// <summary>A surface laid flat: its edge, what must stay clear, zones, and their dimensions.</summary>
public static class FlatDrawing
{
    private const int ArcSteps = 48;

    /// <summary>
    /// One zone with what surrounds it, in the zone's own coordinates: what artwork is placed on. A zone that is small on
    /// its panel is looked at closely.
    /// </summary>
    /// <param name="laid">The zone.</param>
    /// <param name="sheet">The size it is a zone of.</param>
    /// <param name="others">Zones of the same size that artwork is placed on as well.</param>
    public static Drawing Of(LaidZone laid, SizeSheet sheet, params IReadOnlyList<LaidZone> others)
    {
        var whole = Whole(laid, sheet, others);
        return laid.Panel is null || others.Any(o => o.Face != laid.Face)
            ? whole
            : PanelDrawing.Around(whole, [laid.Zone!, .. others.Select(o => o.Zone).OfType<Zone>()]);
    }

    /// <summary>
    /// The same with the whole surface in view; of a cloth thing all faces that the zones are on. Faces with an outline of their own have
    /// drawings of their own.
    /// </summary>
    /// <param name="laid">The zone.</param>
    /// <param name="sheet">The size it is a zone of.</param>
    /// <param name="others">Zones of the same size that artwork is placed on as well.</param>
    public static Drawing Whole(LaidZone laid, SizeSheet sheet, params IReadOnlyList<LaidZone> others)
    {
        ArgumentNullException.ThrowIfNull(laid);
        ArgumentNullException.ThrowIfNull(sheet);
        var zone = laid.Zone ?? throw new ArgumentException("The zone could not be laid out.", nameof(laid));
        if (laid.Wall is { } wall)
        {
            // Zones on a belly have no common development: only the first lies flat here.
            var beside = wall.Belly is null ? others.Where(o => o is { Zone: not null, Wall: not null }) : [];
            return OfWall(wall, sheet, [(zone, null, wall), .. beside.Select(o => (o.Zone!, (string?)null, o.Wall!))]);
        }

        if (laid.Panel is null)
        {
            return OfZoneAlone(zone);
        }

        List<LaidZone> shown = [laid, .. others.Where(o => o.Panel is not null && o.Face.Own == laid.Face.Own)];
        return PanelDrawing.WithZones(sheet, laid.Face.IsOwn ? [laid.Face] : PanelDrawing.FacesOf(sheet, shown), shown);
    }

    /// <summary>The whole surface of the thing itself with all its zones; null when there is neither surface nor zone.</summary>
    public static Drawing? Of(SizeSheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        List<LaidZone> zones = [.. sheet.Zones.Where(z => !z.Face.IsOwn)];
        if (sheet.Wall is { } wall)
        {
            // A bellied wall has no one development: the first zone's is shown, and the others where they lie on it.
            var shown =
                sheet.Bellied is null ? wall
                : zones.FirstOrDefault()?.Wall is { } first ? first with { Turn = default }
                : wall;
            var laid = zones.Where(z => z.Zone is not null);
            return OfWall(shown, sheet, [.. laid.Select(z => (z.Zone!, zones.Count > 1 ? z.Spec.Name : null, z.Wall!))]);
        }

        return sheet.Panel is not null ? PanelDrawing.WithZones(sheet, PanelDrawing.FacesOf(sheet, zones), zones)
            : zones.FirstOrDefault()?.Zone is { } alone ? OfZoneAlone(alone)
            : null;
    }

    private static Drawing OfWall(Wall wall, SizeSheet sheet, IReadOnlyList<(Zone Zone, string? Name, Wall Turned)> zones)
    {
        // Of a bellied wall only the film of one zone has a flat shape; of others the whole wall has.
        var film = wall.Belly is not null && zones.Count > 0 ? zones[0].Zone : null;
        var low = film is null ? 0 : film.MiddleHeight - (film.Height.Value.Millimetres / 2);
        var height = film is null ? wall.Height.Value.Millimetres : low + film.Height.Value.Millimetres;
        double Girth(double v) => wall.GirthAt(v).Value.Millimetres;
        double Shift(double v) => wall.Turn.Degrees / 360 * Girth(v);
        double Left(double v) => (-Girth(v) / 2) - Shift(v);
        double Right(double v) => (Girth(v) / 2) - Shift(v);
        var strokes = new List<Stroke> { new(StrokeKind.Edge, Band(wall, low, height, Left, Right), Closed: true) };
        if (wall.Handle is { } handle)
        {
            var blocked = handle.Value.Millimetres / 2;
            strokes.Add(new(StrokeKind.KeptClear, Band(wall, low, height, Left, v => Left(v) + blocked), Closed: true, "handle"));
            strokes.Add(new(StrokeKind.KeptClear, Band(wall, low, height, v => Right(v) - blocked, Right), Closed: true, "handle"));
        }

        foreach (var place in film is null ? sheet.Places.Where(p => !p.Face.IsOwn) : [])
        {
            strokes.AddRange(
                WallZone
                    .OnWall(wall, place.Area)
                    .Select(p => new Stroke(place.IsHole ? StrokeKind.Hole : StrokeKind.KeptClear, Points(p), Closed: true, place.Name))
            );
        }

        strokes.Add(
            new(
                StrokeKind.Centre,
                [
                    wall.Laid(-Shift(low), low) is var foot ? foot with { Y = foot.Y - (0.04 * height) } : default,
                    wall.Laid(-Shift(height), 1.04 * height),
                ]
            )
        );
        var box = Box.Of(Outlines.Ring(strokes[0].Points))!.Value;
        var dimensions = new List<DimensionLine>
        {
            new(
                null,
                film is not null ? "film, at its top"
                    : wall.Cone is null ? "girth"
                    : "girth at the rim",
                Girth(height),
                wall.GirthAt(height).Uncertainty.Millimetres,
                wall.Laid(Left(height), height),
                wall.Laid(Right(height), height),
                DimensionPlace.Above,
                1
            ),
            new(
                null,
                "",
                height - low,
                wall.Height.Uncertainty.Millimetres,
                new(box.MaxX, wall.Laid(0, low).Y),
                wall.Laid(0, height) with
                {
                    X = box.MaxX,
                },
                DimensionPlace.Right,
                0
            ),
        };
        var shown = 0;
        foreach (var (zone, name, turned) in zones)
        {
            // From the zone's own line to that of the drawing: the wall is turned the other way.
            var back = (turned.Turn.Degrees - wall.Turn.Degrees) / 360;
            PlanePoint Placed(PlanePoint p)
            {
                if (back == 0)
                {
                    return p;
                }

                var (round, v) = turned.OnWall(p);
                return wall.Laid(((round.Degrees / 360) + back) * Girth(v), v);
            }

            var ring = zone.MiddleHeight;
            strokes.Add(new(StrokeKind.Centre, Ring(wall, ring, Left(ring) * 1.03, Right(ring) * 1.03)));
            strokes.Add(new(StrokeKind.NominalZone, [.. zone.Nominal.Edges.Select(e => Placed(e.From))], Closed: true));
            foreach (var (part, i) in Outlines.RingsOf(zone.Cautious.Outline).Select((r, i) => (r, i)))
            {
                strokes.Add(
                    new(StrokeKind.Zone, [.. part.Coordinates.Select(c => Placed(new(c.X, c.Y)))], Closed: true, i == 0 ? name : null)
                );
            }

            if (shown < 2)
            {
                // A second zone's line stands below, so that they do not lie on each other.
                dimensions.Add(OfZone(wall, zone, Placed) with { Place = shown == 0 ? DimensionPlace.Above : DimensionPlace.Below });
                shown++;
            }
        }

        return new Drawing(box, strokes, dimensions, []);
    }

    private static DimensionLine OfZone(Wall wall, Zone zone, Func<PlanePoint, PlanePoint> placed)
    {
        var safe = zone.Cautious.Bounds;
        if (wall.Cone is null)
        {
            return new(
                null,
                "",
                safe.Width,
                null,
                placed(new(safe.MinX, safe.MaxY)),
                placed(new(safe.MaxX, safe.MaxY)),
                DimensionPlace.Above,
                0,
                OfZone: true
            );
        }

        var half = zone.Width.Cautious.Millimetres / 2;
        return new(
            null,
            "round the middle",
            2 * half,
            null,
            placed(wall.Laid(-half, zone.MiddleHeight)),
            placed(wall.Laid(half, zone.MiddleHeight)),
            DimensionPlace.Above,
            0,
            OfZone: true
        );
    }

    private static Drawing OfZoneAlone(Zone zone)
    {
        var box = zone.Nominal.Bounds;
        return new Drawing(
            box,
            [
                new(StrokeKind.Zone, Points(zone.Cautious.Outline), Closed: true),
                new(StrokeKind.Centre, [new(0, -0.04 * box.Height), new(0, 1.04 * box.Height)]),
            ],
            [
                new(null, "", box.Width, null, new(box.MinX, box.MaxY), new(box.MaxX, box.MaxY), DimensionPlace.Above, 0, OfZone: true),
                new(null, "", box.Height, null, new(box.MaxX, box.MinY), new(box.MaxX, box.MaxY), DimensionPlace.Right, 0, OfZone: true),
            ],
            []
        );
    }

    internal static List<PlanePoint> Points(Polygon polygon) =>
        [.. polygon.ExteriorRing.Coordinates.SkipLast(1).Select(c => new PlanePoint(c.X, c.Y))];

    private static List<PlanePoint> Band(Wall wall, double low, double height, Func<double, double> left, Func<double, double> right) =>
        [.. Ring(wall, low, left(low), right(low)), .. Enumerable.Reverse(Ring(wall, height, left(height), right(height)))];

    private static List<PlanePoint> Ring(Wall wall, double v, double from, double to) =>
        wall.Cone is null
            ? [wall.Laid(from, v), wall.Laid(to, v)]
            : [.. Enumerable.Range(0, ArcSteps + 1).Select(i => wall.Laid(from + ((to - from) * i / ArcSteps), v))];
}
