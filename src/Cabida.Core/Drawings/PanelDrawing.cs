using Cabida.Core.Blanks;
using Cabida.Core.Geometry;

namespace Cabida.Core.Drawings;

/// <summary>
/// A flat thing seen front on. What is measured is drawn to scale; sleeves, straps and a frame's moulding are signs, since
/// nobody measures them.
/// </summary>
internal static class PanelDrawing
{
    /// <summary>How wide a frame's moulding is drawn beyond its rebate, as a share of the smaller side.</summary>
    private const double Moulding = 0.07;

    /// <summary>With zones and their dimensions, for placing artwork.</summary>
    public static Drawing WithZones(SizeSheet sheet, IReadOnlyList<FaceKey> faces, IReadOnlyList<LaidZone> zones)
    {
        var strokes = Strokes(sheet, faces);
        var dimensions = new List<DimensionLine>();
        var box = BoxOf(strokes);
        var measured = new HashSet<FaceKey>();
        foreach (var laid in zones.Where(z => z.Zone is not null))
        {
            var zone = laid.Zone!;
            strokes.Add(new(StrokeKind.NominalZone, FlatDrawing.Points(zone.Nominal.Outline), Closed: true));
            foreach (var (ring, i) in Outlines.RingsOf(zone.Cautious.Outline).Select((r, i) => (r, i)))
            {
                strokes.Add(
                    new(
                        StrokeKind.Zone,
                        [.. ring.Coordinates.Select(c => new PlanePoint(c.X, c.Y))],
                        Closed: true,
                        i == 0 && zones.Count > 1 ? laid.Spec.Name : null
                    )
                );
            }

            var safe = zone.Cautious.Bounds;
            if (measured.Add(laid.Face))
            {
                // Lines to the right of the front would cross the back beside it: they stand at its left, within those of the whole.
                var isBesideBack = faces.Count > 1 && laid.Face == FaceKey.Front;
                var (side, x) = isBesideBack ? (DimensionPlace.Left, safe.MinX) : (DimensionPlace.Right, safe.MaxX);
                dimensions.Add(
                    new(
                        null,
                        "",
                        safe.Width,
                        null,
                        new(safe.MinX, safe.MaxY),
                        new(safe.MaxX, safe.MaxY),
                        DimensionPlace.Above,
                        0,
                        OfZone: true
                    )
                );
                dimensions.Add(new(null, "", safe.Height, null, new(x, safe.MinY), new(x, safe.MaxY), side, 0, OfZone: true));
            }
        }

        if (sheet.PanelOf(faces[0]) is { } panel)
        {
            var whole = panel.Datums.Box;
            dimensions.Add(
                new(
                    null,
                    "",
                    panel.Width.Value.Millimetres,
                    panel.Width.Uncertainty.Millimetres,
                    new(whole.MinX, whole.MaxY),
                    new(whole.MaxX, whole.MaxY),
                    DimensionPlace.Above,
                    1
                )
            );
            dimensions.Add(
                new(
                    null,
                    "",
                    panel.Height.Value.Millimetres,
                    panel.Height.Uncertainty.Millimetres,
                    new(whole.MinX, whole.MinY),
                    new(whole.MinX, whole.MaxY),
                    DimensionPlace.Left,
                    faces.Count > 1 ? 1 : 0
                )
            );
        }

        return new Drawing(box, strokes, dimensions, []);
    }

    /// <summary>The faces of the thing itself that zones are on, front first; of a thing without zones its front.</summary>
    public static IReadOnlyList<FaceKey> FacesOf(SizeSheet sheet, IReadOnlyList<LaidZone> zones) =>
        sheet.Back is null || zones.Count == 0 ? [FaceKey.Front] : [.. zones.Select(z => z.Face).Distinct().OrderBy(f => f.Facing)];

    /// <summary>
    /// A drawing seen through a window round one zone where the zone is much smaller than the surface, so that artwork on it
    /// can be seen; only the zone's own dimensions are left then.
    /// </summary>
    public static Drawing Around(Drawing whole, IReadOnlyList<Zone> zones)
    {
        var box = Box.Around(zones.Select(z => z.Nominal.Bounds))!.Value;
        if (box.Width > Small * whole.Box.Width || box.Height > Small * whole.Box.Height)
        {
            return whole;
        }

        var beyond = Beyond * Math.Max(box.Width, box.Height);
        return whole with
        {
            Box = new Box(box.MinX - beyond, box.MinY - beyond, box.MaxX + beyond, box.MaxY + beyond),
            Dimensions = [.. whole.Dimensions.Where(d => d.OfZone)],
            IsWindow = true,
        };
    }

    /// <summary>A zone that takes less than this share of a surface, both ways, is looked at closely.</summary>
    private const double Small = 0.6;

    /// <summary>How much is seen around it, as a share of its larger side.</summary>
    private const double Beyond = 0.4;

    /// <summary>The lines of some flat faces, without zones.</summary>
    public static List<Stroke> Strokes(SizeSheet sheet, IReadOnlyList<FaceKey> faces) =>
        [.. faces.SelectMany(f => Strokes(sheet, sheet.PanelOf(f)!, faces.Count > 1 || f != FaceKey.Front))];

    private static List<Stroke> Strokes(SizeSheet sheet, Panel panel, bool named)
    {
        var strokes = new List<Stroke>();
        if (panel.Garment is { } kind)
        {
            strokes.AddRange(Silhouette(kind, panel, sheet));
        }
        else if (sheet.Mats is { } mats && !panel.Face.IsOwn)
        {
            strokes.AddRange(Frame(mats));
        }
        else
        {
            strokes.AddRange(
                Outlines
                    .RingsOf(panel.Nominal)
                    .Select(
                        (r, i) =>
                            new Stroke(
                                i == 0 ? StrokeKind.Edge : StrokeKind.Hole,
                                [.. r.Coordinates.SkipLast(1).Select(c => new PlanePoint(c.X, c.Y))],
                                Closed: true
                            )
                    )
            );
        }

        foreach (var place in sheet.Places.Where(p => p.Face == panel.Face))
        {
            var within = place.IsHole
                ? place.Area
                : Outlines.PolygonsOf(Overlay.Intersection(place.Area, panel.Nominal)).OrderByDescending(p => p.Area).FirstOrDefault();
            if (within is not null)
            {
                strokes.Add(
                    new(
                        place.IsHole ? StrokeKind.Hole : StrokeKind.KeptClear,
                        FlatDrawing.Points(within),
                        Closed: true,
                        place.IsHole ? null : place.Name
                    )
                );
            }
        }

        var box = panel.Datums.Box;
        var beyond = 0.04 * box.Height;
        strokes.Add(
            new(
                StrokeKind.Centre,
                [new(box.CentreX, box.MinY - beyond), new(box.CentreX, box.MaxY + beyond)],
                Label: named ? panel.Name : null
            )
        );
        return strokes;
    }

    /// <summary>The box of what is drawn by edges.</summary>
    public static Box BoxOf(IReadOnlyList<Stroke> strokes)
    {
        var points = strokes.Where(s => s.Kind == StrokeKind.Edge).SelectMany(s => s.Points).ToList();
        return new Box(points.Min(p => p.X), points.Min(p => p.Y), points.Max(p => p.X), points.Max(p => p.Y));
    }

    private static IEnumerable<Stroke> Frame(FrameMats mats)
    {
        var sight = mats.Visible.Datums.Box;
        Box Round(MatSize size)
        {
            var (w, h) = (size.Width.Millimetres, size.Height.Millimetres);
            return new Box(sight.CentreX - (w / 2), sight.CentreY - (h / 2), sight.CentreX + (w / 2), sight.CentreY + (h / 2));
        }

        var rebate = Round(mats.Rebate);
        var wide = Moulding * Math.Min(rebate.Width, rebate.Height);
        yield return Rectangle(StrokeKind.Edge, new Box(rebate.MinX - wide, rebate.MinY - wide, rebate.MaxX + wide, rebate.MaxY + wide));
        yield return Rectangle(StrokeKind.Edge, sight);
        yield return Rectangle(StrokeKind.Hidden, rebate);
        foreach (var opening in mats.Openings)
        {
            yield return Rectangle(StrokeKind.Edge, opening);
        }
    }

    private static Stroke Rectangle(StrokeKind kind, Box b) => new(kind, FlatDrawing.Points(Outlines.Rectangle(b)), Closed: true);

    private static IEnumerable<Stroke> Silhouette(GarmentKind kind, Panel panel, SizeSheet sheet)
    {
        var box = panel.Datums.Box;
        var (w, top, middle) = (box.Width, box.MaxY, box.CentreX);
        if (kind == GarmentKind.Bag)
        {
            yield return Rectangle(StrokeKind.Edge, box);
            foreach (var reach in new[] { 0.34, 0.28 })
            {
                yield return new Stroke(
                    StrokeKind.Edge,
                    [
                        .. Enumerable
                            .Range(0, 25)
                            .Select(i => Math.PI * i / 24)
                            .Select(a => new PlanePoint(middle + ((reach - 0.06) * w * Math.Cos(a)), top + (reach * w * Math.Sin(a)))),
                    ]
                );
            }

            yield break;
        }

        // The collar is cut less deep at the back; where that was not read, a third as deep is drawn.
        var front = sheet.Panel!.Datums.Box.MaxY;
        var shoulder = Math.Max(top, panel.Datums.Heights.TryGetValue(Datum.Shoulder, out var read) ? read : front + (0.06 * w));
        var isRead = panel.Face == FaceKey.Front || panel.Datums.Heights.ContainsKey(Datum.Collar);
        var collar = isRead ? top : shoulder - ((shoulder - front) / 3);
        List<PlanePoint> right =
        [
            .. new PlanePoint[]
            {
                new(w / 2, 0),
                new(w / 2, front - (0.34 * w)),
                new(0.66 * w, front - (0.44 * w)),
                new(0.78 * w, front - (0.28 * w)),
                new(0.47 * w, shoulder - (0.1 * w)),
                new(0.17 * w, shoulder),
            },
            .. Enumerable
                .Range(1, 8)
                .Select(i => Math.PI / 2 * i / 8)
                .Select(a => new PlanePoint(0.17 * w * Math.Cos(a), shoulder - ((shoulder - collar) * Math.Sin(a)))),
        ];
        right = [.. right.Select(p => p with { X = middle + p.X })];
        yield return new Stroke(
            StrokeKind.Edge,
            [.. right, .. Enumerable.Reverse(right).Skip(1).Select(p => new PlanePoint((2 * middle) - p.X, p.Y))],
            Closed: true
        );
    }
}
