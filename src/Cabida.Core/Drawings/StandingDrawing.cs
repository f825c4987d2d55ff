using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;

namespace Cabida.Core.Drawings;

/// <summary>
/// A blank as it stands with the places to measure marked by the letters of the readings: walls from the front and a little
/// from above, flat things front on. Where too little was read to know its shape an example is drawn.
/// </summary>
public static class StandingDrawing
{
    private const int RingSteps = 40;

    /// <summary>Draws a size of a blank from what was worked out.</summary>
    public static Drawing Of(Blank blank, BlankSheet sheet, string size = "")
    {
        ArgumentNullException.ThrowIfNull(blank);
        ArgumentNullException.ThrowIfNull(sheet);
        var shown = sheet.SizeOf(size);
        var letters = new Letters(sheet, shown.Size);
        return blank.Surface is SurfaceKind.Straight or SurfaceKind.Tapered or SurfaceKind.Bellied
            ? OfWall(blank, shown, letters)
            : OfPanel(blank, shown, letters);
    }

    /// <summary>
    /// The back of a size of a cloth thing, with the places to measure there; null for what has none, or where too little was read.
    /// </summary>
    public static Drawing? Behind(BlankSheet sheet, string size = "")
    {
        ArgumentNullException.ThrowIfNull(sheet);
        var shown = sheet.SizeOf(size);
        if (shown.Back is not { } back)
        {
            return null;
        }

        var letters = new Letters(sheet, shown.Size);
        var strokes = PanelDrawing.Strokes(shown, [FaceKey.Back]);
        strokes.AddRange(Zones(shown, FaceKey.Back));
        var box = back.Datums.Box;
        var dimensions = new List<DimensionLine>
        {
            letters.Line(DimensionKind.Width, new(box.MinX, box.MinY), new(box.MaxX, box.MinY), DimensionPlace.Below),
        };
        var callouts = new List<Callout>();
        if (back.Garment == GarmentKind.Shirt)
        {
            dimensions.Add(letters.Line(DimensionKind.BackCollarToHem, new(box.MinX, 0), new(box.MinX, box.MaxY), DimensionPlace.Left));
            callouts.AddRange(
                back.Datums.Heights.TryGetValue(Datum.Shoulder, out var shoulder)
                    ? [letters.Call(DimensionKind.ShoulderToCollar, "shoulder", new(box.CentreX + (0.17 * box.Width), shoulder))]
                    : []
            );
        }

        return new Drawing(PanelDrawing.BoxOf(strokes), strokes, dimensions, callouts);
    }

    /// <summary>A face with an outline of its own, with the places to measure it and its zones; null while too little was read.</summary>
    public static Drawing? OfFace(BlankSheet sheet, FaceSpec face, string size = "")
    {
        ArgumentNullException.ThrowIfNull(sheet);
        ArgumentNullException.ThrowIfNull(face);
        var shown = sheet.SizeOf(size);
        var key = FaceKey.Of(Facing.Front, face.Id);
        if (shown.PanelOf(key) is not { } panel)
        {
            return null;
        }

        var letters = new Letters(sheet, shown.Size, face.Id);
        var strokes = PanelDrawing.Strokes(shown, [key]);
        strokes.AddRange(Zones(shown, key));
        var box = panel.Datums.Box;
        var callouts = FlatCallouts(face.Outline.Kind, box, letters, isThick: false);
        return new Drawing(PanelDrawing.BoxOf(strokes), strokes, FlatLines(face.Outline.Kind, box, letters), callouts);
    }

    private static IEnumerable<Stroke> Zones(SizeSheet sheet, FaceKey face) =>
        sheet
            .Zones.Where(z => z is { Zone: not null, Panel: not null } && z.Face == face)
            .SelectMany(z =>
                Outlines
                    .RingsOf(z.Zone!.Cautious.Outline)
                    .Select(r => new Stroke(StrokeKind.Zone, [.. r.Coordinates.Select(c => new PlanePoint(c.X, c.Y))], Closed: true))
            );

    private static Drawing OfWall(Blank blank, SizeSheet sheet, Letters letters)
    {
        var wall = sheet.Wall ?? Examples.Wall(blank.Surface);
        var height = wall.Height.Value.Millimetres;
        var strokes = new List<Stroke>
        {
            new(StrokeKind.Edge, Projection.Profile(wall, -90)),
            new(StrokeKind.Edge, Projection.Profile(wall, 90)),
            new(StrokeKind.Edge, Ring(wall, height, -180, 180), Closed: true),
            new(StrokeKind.Edge, Ring(wall, 0, -90, 90)),
            new(StrokeKind.Hidden, Ring(wall, 0, 90, 270)),
            new(StrokeKind.Centre, [Projection.Of(wall, 0, -0.06 * height), Projection.Of(wall, 180, 1.04 * height)]),
        };
        if (sheet.Wall?.Handle is not null)
        {
            strokes.AddRange(HandleShape.At(wall, 90).Select(o => new Stroke(StrokeKind.Edge, o)));
        }

        foreach (var laid in sheet.Zones.Where(z => z is { Zone: not null, Wall: not null }))
        {
            // What of the zone faces the reader, as its own edges lie on the wall.
            strokes.AddRange(
                Outlines
                    .PolygonsOf(SeenDrawing.Seen(laid.Wall! with { Belly = wall.Belly }, laid.Zone!.Cautious.Outline, 0))
                    .Select(p => new Stroke(StrokeKind.Zone, FlatDrawing.Points(p), Closed: true))
            );
        }

        var (dimensions, callouts) = blank.Surface switch
        {
            SurfaceKind.Straight => Straight(wall, sheet.Wall is { Handle: not null }, letters, strokes),
            SurfaceKind.Tapered => Tapered(wall, letters, strokes),
            _ => Bellied(wall, sheet.Bellied, blank.Girths, letters, strokes),
        };
        return new Drawing(PanelDrawing.BoxOf(strokes), strokes, dimensions, callouts, Guessed: sheet.Wall is null);
    }

    private static (List<DimensionLine>, List<Callout>) Straight(Wall wall, bool hasHandle, Letters letters, List<Stroke> strokes)
    {
        var height = wall.Height.Value.Millimetres;
        // Above the handle, where there is one, so that the leader does not cross it.
        var ring = (hasHandle ? 0.935 : 0.62) * height;
        strokes.Add(new(StrokeKind.GirthMark, Ring(wall, ring, -90, 90)));
        var dimensions = new List<DimensionLine>
        {
            letters.Line(DimensionKind.Across, Projection.Of(wall, -90, height), Projection.Of(wall, 90, height), DimensionPlace.Above),
            letters.Line(DimensionKind.Height, Projection.Of(wall, -90, 0), Projection.Of(wall, -90, height), DimensionPlace.Left),
        };
        var callouts = new List<Callout> { letters.Call(DimensionKind.Girth, "girth", Projection.Of(wall, 62, ring)) };
        callouts.AddRange(
            letters.Is(DimensionKind.HalfGirth) is null
                ? []
                : [letters.Call(DimensionKind.HalfGirth, "half round", Projection.Of(wall, 80, 0.4 * height))]
        );
        callouts.Add(
            letters.Call(
                DimensionKind.Handle,
                "handle",
                hasHandle ? HandleShape.At(wall, 90).First()[^1] : Projection.Of(wall, 85, 0.2 * height)
            )
        );
        return (dimensions, callouts);
    }

    private static (List<DimensionLine>, List<Callout>) Tapered(Wall wall, Letters letters, List<Stroke> strokes)
    {
        var height = wall.Height.Value.Millimetres;
        var lower = wall.LowerMark.Millimetres;
        var upper = lower + (wall.Cone?.Wall.Value.Millimetres ?? height - lower);
        foreach (var v in new[] { lower, upper })
        {
            strokes.Add(new(StrokeKind.GirthMark, Ring(wall, v, -90, 90)));
        }

        var dimensions = new List<DimensionLine>
        {
            letters.Line(DimensionKind.WallBetween, Projection.Of(wall, -90, lower), Projection.Of(wall, -90, upper), DimensionPlace.Along),
        };
        AddWhenRead(DimensionKind.UprightBetween, Projection.Of(wall, 90, lower), Projection.Of(wall, 90, upper), DimensionPlace.Right);
        AddWhenRead(DimensionKind.AcrossUpper, Projection.Of(wall, -90, upper), Projection.Of(wall, 90, upper), DimensionPlace.Above);
        AddWhenRead(DimensionKind.AcrossLower, Projection.Of(wall, -90, lower), Projection.Of(wall, 90, lower), DimensionPlace.Below);
        AddWhenRead(DimensionKind.RimToUpper, Projection.Of(wall, -90, upper), Projection.Of(wall, -90, height), DimensionPlace.Along);
        AddWhenRead(DimensionKind.BaseToLower, Projection.Of(wall, -90, 0), Projection.Of(wall, -90, lower), DimensionPlace.Along);
        var callouts = new List<Callout>
        {
            letters.Call(DimensionKind.GirthUpper, "girth", Projection.Of(wall, 62, upper)),
            letters.Call(DimensionKind.GirthLower, "girth", Projection.Of(wall, 62, lower)),
        };
        callouts.AddRange(
            letters.Is(DimensionKind.Handle) is null
                ? []
                : [letters.Call(DimensionKind.Handle, "handle", HandleShape.At(wall, 90).First()[^1])]
        );
        return (dimensions, callouts);

        void AddWhenRead(DimensionKind kind, PlanePoint from, PlanePoint to, DimensionPlace place)
        {
            if (letters.Is(kind) is not null)
            {
                dimensions.Add(letters.Line(kind, from, to, place));
            }
        }
    }

    private static (List<DimensionLine>, List<Callout>) Bellied(
        Wall wall,
        BelliedWall? measured,
        int girths,
        Letters letters,
        List<Stroke> strokes
    )
    {
        var height = wall.Height.Value.Millimetres;
        var callouts = new List<Callout>();
        var dimensions = new List<DimensionLine>
        {
            letters.Line(DimensionKind.Height, Projection.Of(wall, -90, 0), Projection.Of(wall, -90, height), DimensionPlace.Left),
        };
        for (var i = 1; i <= Math.Clamp(girths, 3, DimensionRows.MostGirths); i++)
        {
            var nth = DimensionRows.Nth(i);
            var v = letters.Is(DimensionKind.UpTo, nth)?.Value.Millimetres ?? height * (i - 0.5) / girths;
            if (
                v > height
                || (
                    measured is not null
                    && letters.Is(DimensionKind.GirthAt, nth) is null
                    && letters.Is(DimensionKind.AcrossAt, nth) is null
                )
            )
            {
                continue;
            }

            strokes.Add(new(StrokeKind.GirthMark, Ring(wall, v, -90, 90)));
            // A ring that was only read across is called by that.
            callouts.Add(
                letters.Is(DimensionKind.GirthAt, nth) is null && letters.Is(DimensionKind.AcrossAt, nth) is not null
                    ? letters.Call(DimensionKind.AcrossAt, $"across {nth}", Projection.Of(wall, 62, v), nth)
                    : letters.Call(DimensionKind.GirthAt, $"girth {nth}", Projection.Of(wall, 62, v), nth)
            );
        }

        callouts.AddRange(
            letters.Is(DimensionKind.Handle) is null
                ? []
                : [letters.Call(DimensionKind.Handle, "handle", HandleShape.At(wall, 90).First()[^1])]
        );
        return (dimensions, callouts);
    }

    private static Drawing OfPanel(Blank blank, SizeSheet sheet, Letters letters)
    {
        var guessed = sheet.Panel is null;
        var drawn = guessed ? Examples.Panel(blank, sheet) : sheet;
        var strokes = PanelDrawing.Strokes(drawn, [FaceKey.Front]);
        strokes.AddRange(Zones(sheet, FaceKey.Front));

        var box = drawn.Panel!.Datums.Box;
        var (dimensions, callouts) = blank.Surface switch
        {
            SurfaceKind.Flat => (
                FlatLines(blank.Outline.Kind, box, letters),
                FlatCallouts(blank.Outline.Kind, box, letters, isThick: true)
            ),
            SurfaceKind.Garment => GarmentLines(drawn.Panel!, letters, strokes),
            _ => FrameLines(drawn.Mats!, letters),
        };
        return new Drawing(PanelDrawing.BoxOf(strokes), strokes, dimensions, callouts, guessed);
    }

    private static List<DimensionLine> FlatLines(OutlineKind kind, Box box, Letters letters)
    {
        var across = kind switch
        {
            OutlineKind.Circle => DimensionKind.Across,
            OutlineKind.Polygon => DimensionKind.AcrossFlats,
            _ => DimensionKind.Width,
        };
        var lines = new List<DimensionLine>();
        if (kind == OutlineKind.Polygon)
        {
            lines.Add(letters.Line(across, new(box.MaxX, box.MinY), new(box.MaxX, box.MaxY), DimensionPlace.Right));
            return lines;
        }

        lines.Add(letters.Line(across, new(box.MinX, box.MaxY), new(box.MaxX, box.MaxY), DimensionPlace.Above));
        if (kind != OutlineKind.Circle)
        {
            lines.Add(letters.Line(DimensionKind.Height, new(box.MinX, box.MinY), new(box.MinX, box.MaxY), DimensionPlace.Left));
        }

        return lines;
    }

    private static List<Callout> FlatCallouts(OutlineKind kind, Box box, Letters letters, bool isThick)
    {
        var callouts = new List<Callout>();
        if (kind == OutlineKind.Rounded)
        {
            callouts.Add(
                letters.Call(DimensionKind.CornerRadius, "radius", new(box.MaxX - (0.02 * box.Width), box.MaxY - (0.02 * box.Width)))
            );
        }

        if (kind == OutlineKind.Circle)
        {
            callouts.Add(
                letters.Call(DimensionKind.Girth, "round", new(box.CentreX + (0.35 * box.Width), box.CentreY + (0.35 * box.Width)))
            );
        }

        callouts.AddRange(isThick ? [letters.Call(DimensionKind.Thickness, "thick", new(box.MaxX, box.MinY + (0.1 * box.Height)))] : []);
        return callouts;
    }

    private static (List<DimensionLine>, List<Callout>) GarmentLines(Panel panel, Letters letters, List<Stroke> strokes)
    {
        var box = panel.Datums.Box;
        var armpit = box.MaxY - (0.34 * box.Width);
        var dimensions = new List<DimensionLine>
        {
            letters.Line(DimensionKind.Width, new(box.MinX, box.MinY), new(box.MaxX, box.MinY), DimensionPlace.Below),
            letters.Line(DimensionKind.CollarToHem, new(box.MinX, 0), new(box.MinX, box.MaxY), DimensionPlace.Left),
        };
        strokes.Add(new(StrokeKind.Hidden, [new(box.MinX, armpit), new(box.MaxX, armpit)]));
        var callouts = new List<Callout>();
        if (panel.Datums.Heights.TryGetValue(Datum.Shoulder, out var shoulder))
        {
            callouts.Add(letters.Call(DimensionKind.ShoulderToCollar, "shoulder", new(0.17 * box.Width, shoulder)));
        }

        if (panel.Datums.Heights.TryGetValue(Datum.Pocket, out var pocket))
        {
            strokes.Add(new(StrokeKind.Hidden, [new(box.MinX + (0.55 * box.Width), pocket), new(box.MinX + (0.85 * box.Width), pocket)]));
            callouts.Add(letters.Call(DimensionKind.CollarToPocket, "pocket", new(box.MinX + (0.8 * box.Width), pocket)));
        }

        return (dimensions, callouts);
    }

    private static (List<DimensionLine>, List<Callout>) FrameLines(FrameMats mats, Letters letters)
    {
        var sight = mats.Visible.Datums.Box;
        double dx = (mats.Rebate.Width - mats.Sight.Width).Millimetres / 2,
            dy = (mats.Rebate.Height - mats.Sight.Height).Millimetres / 2;
        var rebate = new Box(sight.MinX - dx, sight.MinY - dy, sight.MaxX + dx, sight.MaxY + dy);
        List<DimensionLine> dimensions =
        [
            letters.Line(DimensionKind.RebateWidth, new(rebate.MinX, rebate.MaxY), new(rebate.MaxX, rebate.MaxY), DimensionPlace.Above),
            letters.Line(DimensionKind.RebateHeight, new(rebate.MinX, rebate.MinY), new(rebate.MinX, rebate.MaxY), DimensionPlace.Left) with
            {
                Level = 1,
            },
            letters.Line(DimensionKind.SightWidth, new(sight.MinX, sight.MinY), new(sight.MaxX, sight.MinY), DimensionPlace.Below),
            letters.Line(DimensionKind.SightHeight, new(sight.MinX, sight.MinY), new(sight.MinX, sight.MaxY), DimensionPlace.Left),
        ];
        var lowest = mats.Openings.Count > 0 ? mats.Openings[^1] : sight;
        List<Callout> callouts = [];
        callouts.AddRange(
            letters.Is(DimensionKind.PaneWidth) is null
                ? []
                : [letters.Call(DimensionKind.PaneWidth, "pane across", new(rebate.MaxX, rebate.MaxY))]
        );
        callouts.AddRange(
            letters.Is(DimensionKind.PrintWidth) is null
                ? []
                : [letters.Call(DimensionKind.PrintWidth, "print across", new(lowest.MaxX, lowest.CentreY))]
        );
        return (dimensions, callouts);
    }

    private static List<PlanePoint> Ring(Wall wall, double v, double from, double to) =>
        [.. Enumerable.Range(0, RingSteps + 1).Select(i => Projection.Of(wall, from + ((to - from) * i / RingSteps), v))];

    /// <summary>The letters and figures of a size's readings, of the thing itself or of a face of its own.</summary>
    private sealed class Letters(BlankSheet sheet, string size, string face = "")
    {
        public Dimension? Is(DimensionKind kind, string? of = null) => Row(kind, of)?.Is;

        public DimensionLine Line(DimensionKind kind, PlanePoint from, PlanePoint to, DimensionPlace place) =>
            new(Row(kind)?.Row.Letter, "", Is(kind)?.Value.Millimetres, null, from, to, place, 0);

        public Callout Call(DimensionKind kind, string word, PlanePoint at, string? of = null) =>
            new(Row(kind, of)?.Row.Letter ?? "", word, Is(kind, of)?.Value.Millimetres, at);

        private DimensionResult? Row(DimensionKind kind, string? of = null) =>
            sheet.Rows.FirstOrDefault(r => r.Row.Kind == kind && r.Row.Of == (of ?? size) && r.Row.Face == face);
    }
}
