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
        var within = new Box(
            box.MinX + zone.Left.Millimetres, box.MinY + zone.Bottom.Millimetres, box.MaxX - zone.Right.Millimetres, box.MaxY - zone.Top.Millimetres);
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

        var middle = size is { } s ? new PlanePoint(s.CentreX, s.CentreY) : new PlanePoint(within.CentreX, within.CentreY);
        Box? platen = limits.Platen is var (pw, ph) ? new Box(middle.X - (pw / 2), middle.Y - (ph / 2), middle.X + (pw / 2), middle.Y + (ph / 2)) : null;
        var nominal = Shape(panel.Nominal, 0);
        var cautious = Shape(panel.Cautious, 1);
        if (nominal is null || cautious is null)
        {
            return new Laid(null, Nothing(panel, zone), notes);
        }

        Note(nominal.Bounds);
        var kinds = nominal.Bounds;
        var width = new Dimension(Length.Mm(kinds.Width), Length.Mm(Math.Max(0, kinds.Width - cautious.Bounds.Width)));
        var height = new Dimension(Length.Mm(kinds.Height), Length.Mm(Math.Max(0, kinds.Height - cautious.Bounds.Height)));
        return new Laid(new Zone(nominal, cautious, width, height, nominal.Datum.Y, Sums()).TurnedAs(zone.Spec), null, notes);

        ZoneShape? Shape(Polygon outline, int uncertain)
        {
            // The box of the cautious outline moves the margins in with it.
            var own = Box.Of(outline)!.Value;
            var margins = new Box(
                own.MinX + zone.Left.Millimetres, own.MinY + zone.Bottom.Millimetres, own.MaxX - zone.Right.Millimetres, own.MaxY - zone.Top.Millimetres);
            var boxes = new List<(Box Box, Func<PlanePoint, LimitKind> Kind)> { (margins, p => Side(margins, p)) };
            boxes.AddRange(size is { } b ? [(b, (Func<PlanePoint, LimitKind>)(_ => LimitKind.Size))] : []);
            boxes.AddRange(platen is { } q ? [(q, (Func<PlanePoint, LimitKind>)(_ => LimitKind.Platen))] : []);
            if (boxes.Any(x => x.Box.Width <= 0 || x.Box.Height <= 0))
            {
                return null;
            }

            Area area = limits.Rim > 0 ? Eroded(outline, limits.Rim) : outline;
            foreach (var (rectangle, _) in boxes)
            {
                area = area.EnvelopeInternal.IsNull || Inside(area, rectangle) ? area : Overlay.Intersection(area, Outlines.Rectangle(rectangle));
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
                return boxes.Where(x => OnSide(x.Box, p)).Select(x => (LimitKind?)x.Kind(p)).FirstOrDefault() ?? LimitKind.Edge;
            });
            List<Polygon> away = [.. kept.Select(k => ClearShapes.Of(k, panel.Datums, k.Clearance + (uncertain * k.Uncertainty.Millimetres))).Where(k => k.Ok).Select(k => k.Value)];
            if (panel.Inner is { } inner)
            {
                away.Add(inner);
            }

            return shape.Without(away);
        }

        void Note(Box left)
        {
            if (size is not { } typed)
            {
                return;
            }

            var cut = Math.Max(typed.Width - left.Width, typed.Height - left.Height);
            if (cut > WorthSaying)
            {
                var by = limits.Platen is { } p && (p.Width < typed.Width - WorthSaying || p.Height < typed.Height - WorthSaying) ? "what the press covers" : "the margins and what must stay clear";
                notes.Add(Phrase.Say($"{zone.Spec.Name:strong} as typed, {Length.Mm(typed.Width)} × {Length.Mm(typed.Height)}, goes beyond {by}; {Length.Mm(left.Width)} × {Length.Mm(left.Height)} is left."));
            }
        }

        List<Phrase> Sums() =>
        [
            zone.Width is not null ? Phrase.Say($"{width.Cautious:strong} wide, typed for the zone")
                : Phrase.Say($"{width.Cautious:strong} = width {panel.Width.Value}{Less("left", zone.Left)}{Less("right", zone.Right)}{RimSum()} − {width.Uncertainty} uncertainty"),
            zone.Height is not null ? Phrase.Say($"{height.Cautious:strong} high, typed for the zone")
                : Phrase.Say($"{height.Cautious:strong} = height {panel.Height.Value}{Less("top", zone.Top)}{Less("bottom", zone.Bottom)}{RimSum()} − {height.Uncertainty} uncertainty"),
        ];

        Phrase Less(string word, Length margin) => margin > Length.Mm(limits.Rim) ? Phrase.Say($" − {word} {margin}") : Phrase.Empty;

        Phrase RimSum() => limits.Rim > 0 ? Phrase.Say($", rim {Length.Mm(limits.Rim)} all round") : Phrase.Empty;
    }

    /// <summary>Moved in from its edges; a mitred corner stays a corner, and a round one is no larger than it may be.</summary>
    private static Area Eroded(Polygon outline, double rim) => Overlay.Grown(outline, -rim, new BufferParameters(ArcSteps, EndCapStyle.Round, JoinStyle.Mitre, 4));

    private static bool Inside(Area area, Box box)
    {
        var e = area.EnvelopeInternal;
        return e.MinX >= box.MinX && e.MaxX <= box.MaxX && e.MinY >= box.MinY && e.MaxY <= box.MaxY;
    }

    private static bool OnSide(Box box, PlanePoint p) =>
        (Near(p.X, box.MinX) || Near(p.X, box.MaxX) || Near(p.Y, box.MinY) || Near(p.Y, box.MaxY))
        && p.X >= box.MinX - ZoneShape.OnEdge && p.X <= box.MaxX + ZoneShape.OnEdge && p.Y >= box.MinY - ZoneShape.OnEdge && p.Y <= box.MaxY + ZoneShape.OnEdge;

    private static LimitKind Side(Box box, PlanePoint p) =>
        Near(p.X, box.MinX) ? LimitKind.LeftSide : Near(p.X, box.MaxX) ? LimitKind.RightSide : Near(p.Y, box.MinY) ? LimitKind.Bottom : LimitKind.Top;

    private static bool Near(double a, double b) => Math.Abs(a - b) <= ZoneShape.OnEdge;

    private static Phrase Nothing(Panel panel, ReadZone zone) =>
        Phrase.Say($"The rim and margins leave nothing of {zone.Spec.Name:strong} on {panel.Width.Value} × {panel.Height.Value}.");
}
