using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;
using Area = NetTopologySuite.Geometries.Geometry;
using Dimension = Cabida.Core.Measures.Dimension;

namespace Cabida.Core.Blanks;

/// <summary>Lays a zone out on a flat panel: what the rim, the margins, a typed size and the places kept clear leave.</summary>
internal static class PanelZone
{
    private const double WorthSaying = 0.05;
    private const int ArcSteps = 32;

    /// <summary>A laid zone, or why there is none.</summary>
    internal sealed record Laid(Zone? Zone, Phrase? Problem, IReadOnlyList<Phrase> Notes);

    /// <summary>What limits a zone, besides the outline itself.</summary>
    /// <param name="Rim">What stays clear all round.</param>
    /// <param name="Platen">What the press covers; null when it is no limit.</param>
    internal sealed record Limits(double Rim, (double Width, double Height)? Platen);

    public static Laid Lay(Panel panel, ReadZone zone, IReadOnlyList<ReadClear> kept, Limits limits)
    {
        var notes = new List<Phrase>();
        var box = Box.Of(panel.Nominal)!.Value;
        var within = Margined(box, zone);
        Box? size = null;
        if (zone.Width is not null || zone.Height is not null)
        {
            var (w, h) = (zone.Width ?? Math.Max(1, within.Width), zone.Height ?? Math.Max(1, within.Height));
            var centre = panel.Datums.Centre(zone.Spec.Place, h);
            if (centre.Problem is { } unknown)
            {
                return new Laid(null, Phrase.Say($"{zone.Spec.Name:strong}: {unknown}"), notes);
            }

            var x = zone.Width is null ? within.CentreX : centre.Value.X;
            size = new Box(x - (w / 2), centre.Value.Y - (h / 2), x + (w / 2), centre.Value.Y + (h / 2));
        }

        if (within.Width <= 0 || within.Height <= 0)
        {
            return new Laid(null, Nothing(panel, zone), notes);
        }

        if (size is null)
        {
            var start = Start(panel, zone);
            if (start.Problem is { } unknown)
            {
                return new Laid(null, Phrase.Say($"{zone.Spec.Name:strong}: {unknown}"), notes);
            }

            within = start.Value is { } from ? from(within) : within;
        }

        Box? platen = limits.Platen is var (pw, ph) ? PlatenOn(zone.Spec.Place, size ?? within, pw, ph) : null;
        // Where a zone begins at a distance from a seam or hem it is cut there, whatever the outline leaves.
        var begins = size is null && within != Margined(box, zone) ? within : (Box?)null;
        var nominal = Shape(panel.Nominal, 0);
        var cautious = Shape(panel.Cautious, 1);
        if (nominal?.Left is not { } best || cautious?.Left is not { } safe)
        {
            return new Laid(null, Nothing(panel, zone), notes);
        }

        Note(best.Bounds);
        var (inWidth, inHeight) = (best.Bounds.Width, best.Bounds.Height);
        var width = new Dimension(Length.Mm(inWidth), Length.Mm(Math.Max(0, inWidth - safe.Bounds.Width)));
        var height = new Dimension(Length.Mm(inHeight), Length.Mm(Math.Max(0, inHeight - safe.Bounds.Height)));
        return new Laid(new Zone(best, safe, width, height, best.Datum.Y, Sums(nominal)).TurnedAs(zone.Spec), null, notes);

        Carved? Shape(Polygon outline, int uncertain)
        {
            // The margins move in with the cautious outline.
            var area = Inset.Of(
                outline,
                new SideInsets(zone.Left.Millimetres, zone.Right.Millimetres, zone.Bottom.Millimetres, zone.Top.Millimetres)
            );
            if (limits.Rim > 0 || outline.NumInteriorRings > 0)
            {
                area = Outlines.Within(area, limits.Rim > 0 ? Eroded(outline, limits.Rim) : outline);
            }

            if (Box.Of(area) is not { } margined)
            {
                return null;
            }

            var boxes = new List<(Box Box, LimitKind? Kind)>();
            boxes.AddRange(begins is { } start ? [(start, null)] : []);
            boxes.AddRange(size is { } b ? [(b, LimitKind.Size)] : []);
            boxes.AddRange(platen is { } q ? [(q, LimitKind.Platen)] : []);
            var pressed = margined;
            foreach (var (rectangle, kind) in boxes)
            {
                area = Inside(area, rectangle) ? area : Overlay.Intersection(area, Outlines.Rectangle(rectangle));
                pressed = kind == LimitKind.Platen ? pressed : Box.Of(area) ?? pressed;
            }

            var part = Outlines.PolygonsOf(area).OrderByDescending(p => p.Area).FirstOrDefault();
            if (part is null)
            {
                return null;
            }

            var bounds = Box.Of(part)!.Value;
            var shape = ZoneShape.Of(part, new PlanePoint(bounds.CentreX, bounds.CentreY), e =>
            {
                var p = e.From.Towards(e.To, 0.5);
                return boxes.Where(x => x.Kind is not null && OnSide(x.Box, p)).Select(x => x.Kind).FirstOrDefault() ?? Side(e);
            });
            List<Polygon> away =
            [
                .. kept.Select(k => ClearShapes.Of(k, panel.Datums, k.Clearance + (uncertain * k.Uncertainty.Millimetres)))
                    .Where(k => k.Ok)
                    .Select(k => k.Value),
            ];
            if (panel.Inner is { } inner)
            {
                away.Add(inner);
            }

            return new Carved(margined, pressed, bounds, shape.Without(away));
        }

        void Note(Box left)
        {
            if (size is not { } typed)
            {
                return;
            }

            // What was not typed is as large as it comes.
            var (wide, high) = (zone.Width is null ? left.Width : typed.Width, zone.Height is null ? left.Height : typed.Height);
            if (Math.Max(wide - left.Width, high - left.Height) > WorthSaying)
            {
                var by =
                    limits.Platen is { } p && (p.Width < wide - WorthSaying || p.Height < high - WorthSaying)
                        ? "what the press covers"
                        : "the margins and what must stay clear";
                notes.Add(
                    Phrase.Say(
                        $"{zone.Spec.Name:strong} as typed, {Length.Mm(wide)} × {Length.Mm(high)}, goes beyond {by}; "
                            + $"{Length.Mm(left.Width)} × {Length.Mm(left.Height)} is left."
                    )
                );
            }
        }

        List<Phrase> Sums(Carved carved)
        {
            Phrase Of(
                Dimension is1,
                Phrase way,
                double? typed,
                Dimension whole,
                string name,
                (string Name, Length By) a,
                (string Name, Length By) b,
                Func<Box, double> along
            )
            {
                var (cut, pressed, clear) = (
                    along(carved.Margined) - along(carved.Pressed),
                    along(carved.Pressed) - along(carved.Sized),
                    along(carved.Sized) - is1.Value.Millimetres
                );
                if (typed is { } given)
                {
                    if (Math.Abs(given - is1.Cautious.Millimetres) < WorthSaying)
                    {
                        return Phrase.Say($"{is1.Cautious:strong} {way} as typed");
                    }

                    return new ZoneSum(Phrase.Say($"typed {Length.Mm(given)}"), Length.Mm(given))
                        .Less(Phrase.Say($"{Length.Mm(pressed)} beyond the press"), Told(pressed))
                        .Less(Phrase.Say($"{Length.Mm(clear)} to stay clear"), Told(clear))
                        .For(is1, way, "what lies beyond the margins");
                }

                var rim = Length.Mm(limits.Rim);
                (Length first, Length second) = (a.By > rim ? a.By : rim, b.By > rim ? b.By : rim);
                return new ZoneSum(Phrase.Say($"{name} {whole.Value}"), whole.Value)
                    .LessBoth(
                        first == rim && rim > Length.Zero ? "rim" : "",
                        a.By >= rim ? a.Name : "rim",
                        first,
                        b.By >= rim ? b.Name : "rim",
                        second
                    )
                    .Less(Phrase.Say($"{Length.Mm(cut)} for where it begins"), Told(cut))
                    .Less(Phrase.Say($"{Length.Mm(pressed)} beyond the press"), Told(pressed))
                    .Less(Phrase.Say($"{Length.Mm(clear)} to stay clear"), Told(clear))
                    .For(is1, way, "its outline");
            }

            return
            [
                Of(width, Phrase.Say($"wide"), zone.Width, panel.Width, "width", ("left", zone.Left), ("right", zone.Right), b => b.Width),
                Of(height, Phrase.Say($"high"), zone.Height, panel.Height, "height", ("top", zone.Top), ("bottom", zone.Bottom), b =>
                    b.Height
                ),
            ];
        }

        static double Told(double took) => took >= WorthSaying ? took : 0;
    }

    /// <summary>How a zone was carved, step by step.</summary>
    /// <param name="Margined">The box of what rim and margins leave.</param>
    /// <param name="Pressed">Of what its typed size, or where it begins, leaves of that.</param>
    /// <param name="Sized">Of what the press covers of that.</param>
    /// <param name="Left">What is left once places are kept clear; null for nothing.</param>
    private sealed record Carved(Box Margined, Box Pressed, Box Sized, ZoneShape? Left);

    private static Box Margined(Box box, ReadZone zone) =>
        new(
            box.MinX + zone.Left.Millimetres,
            box.MinY + zone.Bottom.Millimetres,
            box.MaxX - zone.Right.Millimetres,
            box.MaxY - zone.Top.Millimetres
        );

    /// <summary>
    /// A zone without a size of its own begins where it was measured in: at a distance from its datum, or at the margin from a collar.
    /// </summary>
    private static Outcome<Func<Box, Box>?> Start(Panel panel, ReadZone zone)
    {
        var place = zone.Spec.Place;
        if (place.From is Datum.Middle or Datum.Top or Datum.Bottom && place.Away.IsEmpty || place.From == Datum.Middle)
        {
            return Outcome<Func<Box, Box>?>.Of(null);
        }

        var at = panel.Datums.Centre(
            place.Away.IsEmpty
                ? place with
                {
                    Away = TypedLength.Mm((Datums.IsUpwards(place.From) ? zone.Bottom : zone.Top).Millimetres),
                }
                : place,
            0
        );
        return at.Problem is { } unknown
            ? Outcome<Func<Box, Box>?>.Fail(unknown)
            : Outcome<Func<Box, Box>?>.Of(
                Datums.IsUpwards(place.From)
                    ? b => b with { MinY = Math.Max(b.MinY, at.Value.Y) }
                    : b => b with { MaxY = Math.Min(b.MaxY, at.Value.Y) }
            );
    }

    /// <summary>What the press covers: it lies where the zone begins, so that a zone it does not cover ends at its far side.</summary>
    private static Box PlatenOn(Place place, Box zone, double width, double height)
    {
        var low =
            place.From == Datum.Middle || height >= zone.Height ? zone.CentreY - (height / 2)
            : Datums.IsUpwards(place.From) ? zone.MinY
            : zone.MaxY - height;
        return new Box(zone.CentreX - (width / 2), low, zone.CentreX + (width / 2), low + height);
    }

    /// <summary>Moved in from its edges; a mitred corner stays a corner, and a round one is no larger than it may be.</summary>
    private static Area Eroded(Polygon outline, double rim) =>
        Overlay.Grown(outline, -rim, new BufferParameters(ArcSteps, EndCapStyle.Round, JoinStyle.Mitre, 4));

    private static bool Inside(Area area, Box box)
    {
        var e = area.EnvelopeInternal;
        return e.MinX >= box.MinX && e.MaxX <= box.MaxX && e.MinY >= box.MinY && e.MaxY <= box.MaxY;
    }

    private static bool OnSide(Box box, PlanePoint p) =>
        (Near(p.X, box.MinX) || Near(p.X, box.MaxX) || Near(p.Y, box.MinY) || Near(p.Y, box.MaxY))
        && p.X >= box.MinX - ZoneShape.OnEdge
        && p.X <= box.MaxX + ZoneShape.OnEdge
        && p.Y >= box.MinY - ZoneShape.OnEdge
        && p.Y <= box.MaxY + ZoneShape.OnEdge;

    /// <summary>An upright or level edge is a side; any other is the outline's. The zone lies on the left of an edge.</summary>
    private static LimitKind Side(ZoneEdge e) =>
        Near(e.From.X, e.To.X)
            ? e.To.Y > e.From.Y
                ? LimitKind.RightSide
                : LimitKind.LeftSide
            : Near(e.From.Y, e.To.Y)
                ? e.To.X > e.From.X
                    ? LimitKind.Bottom
                    : LimitKind.Top
                : LimitKind.Edge;

    private static bool Near(double a, double b) => Math.Abs(a - b) <= ZoneShape.OnEdge;

    private static Phrase Nothing(Panel panel, ReadZone zone) =>
        Phrase.Say($"The rim and margins leave nothing of {zone.Spec.Name:strong} on {panel.Width.Value} × {panel.Height.Value}.");
}
