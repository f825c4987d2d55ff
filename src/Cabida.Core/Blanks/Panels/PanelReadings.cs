using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Valid;
using Dimension = Cabida.Core.Measures.Dimension;

namespace Cabida.Core.Blanks;

/// <summary>Readings of a flat panel → its shape; round parts are drawn inside their true outline.</summary>
internal static class PanelReadings
{
    /// <summary>A polygon lies inside the curve it stands for by no more than this.</summary>
    private const double ArcError = 0.001;

    /// <summary>Steps for a point of a drawn outline that is looked through for crossings.</summary>
    private const long StepsPerPoint = 60;

    private const int FewestSides = 3;
    private const int MostSides = 24;

    public static Panel? Of(PanelOutline outline, Estimates rows, List<Finding> findings)
    {
        switch (outline.Kind)
        {
            case OutlineKind.Circle:
                return Circle(rows, findings);
            case OutlineKind.Polygon:
                return Regular(outline.Sides, rows, findings);
            case OutlineKind.Drawn:
                return Drawn(outline, rows, findings);
        }

        var width = rows.Ask(DimensionKind.Width, Phrase.Say($"Read how wide it is."), findings);
        var height = rows.Ask(DimensionKind.Height, Phrase.Say($"Read how high it is."), findings);
        if (width is null || height is null)
        {
            return null;
        }

        if (outline.Kind != OutlineKind.Rounded)
        {
            return outline.Kind == OutlineKind.Oval ? Panel.Of(width, height, Ellipse) : Panel.Rectangle(width, height);
        }

        var corner = rows.Ask(
            DimensionKind.CornerRadius,
            Phrase.Say($"Read the radius of its corners: lay round things of known size into one until it fits."),
            findings
        );
        if (corner is null)
        {
            return null;
        }

        if (2 * corner.Value > new[] { width.Value, height.Value }.Min())
        {
            findings.Add(
                BlankFindings.Cannot(
                    [DimensionKind.CornerRadius],
                    Phrase.Say(
                        $"Corners of {corner.Value} do not go into {width.Value} × {height.Value}: two of them are more than the "
                            + $"smaller side."
                    )
                )
            );
            return null;
        }

        // A larger radius takes more off the corners, so the cautious shape has the largest it may be.
        var nominal = Panel.Of(width, height, (w, h) => Rounded(w, h, corner.Value.Millimetres));
        var cautious = Panel.Of(width, height, (w, h) =>
            Rounded(w, h, Math.Min((corner.Value + corner.Uncertainty).Millimetres, Math.Min(w, h) / 2))
        );
        return nominal with { Cautious = cautious.Cautious };
    }

    private static Panel? Circle(Estimates rows, List<Finding> findings)
    {
        var is1 = RoundReadings
            .Of(rows, new RoundRows("the edge", DimensionKind.Girth, DimensionKind.Across), findings)
            ?.Times(1 / Math.PI);
        if (is1 is null)
        {
            rows.Lacks(DimensionKind.Across, Phrase.Say($"Read how wide it is across its middle."), findings);
            return null;
        }

        return Panel.Of(is1, is1, Ellipse);
    }

    private static Panel? Regular(int sides, Estimates rows, List<Finding> findings)
    {
        if (sides is < FewestSides or > MostSides)
        {
            findings.Add(BlankFindings.Cannot([], Phrase.Say($"A regular polygon has {FewestSides} to {MostSides} sides, not {sides}.")));
            return null;
        }

        var flats = rows.Ask(
            DimensionKind.AcrossFlats,
            sides % 2 == 0
                ? Phrase.Say($"Read across the flats: from one side to the one opposite.")
                : Phrase.Say($"Read across the flats: from a side to the corner opposite."),
            findings
        );
        if (flats is null)
        {
            return null;
        }

        Polygon Shape(double across)
        {
            // Of an odd number of sides the far point is a corner: across = r + R, else twice the inner radius.
            var half = Math.PI / sides;
            var radius = sides % 2 == 0 ? across / 2 / Math.Cos(half) : across / (1 + Math.Cos(half));
            return Outlines.Ring([
                .. Enumerable
                    .Range(0, sides)
                    .Select(i => (-Math.PI / 2) + half + (2 * half * i))
                    .Select(a => new PlanePoint(radius * Math.Cos(a), radius * Math.Sin(a))),
            ]);
        }

        return Settled(Shape(flats.Value.Millimetres), Shape(flats.Cautious.Millimetres), flats.Uncertainty);
    }

    private static Panel? Drawn(PanelOutline outline, Estimates rows, List<Finding> findings)
    {
        if (outline.Drawn is not { Rings.Count: > 0 } drawn)
        {
            rows.Lacks(
                DimensionKind.Width,
                Phrase.Say($"Bring its outline in: scan or photograph the paper it was drawn on, or choose a drawing file."),
                findings
            );
            return null;
        }

        if (drawn.Rings.Sum(r => r.Count) is var points && points > DrawnOutline.MostPoints)
        {
            findings.Add(
                BlankFindings.Cannot(
                    [],
                    Phrase.Say(
                        $"The outline has {points} points; {DrawnOutline.MostPoints} is the most. Follow it again with more smoothing."
                    )
                )
            );
            return null;
        }

        if (drawn.Rings.Any(r => r.Count < 3))
        {
            findings.Add(BlankFindings.Cannot([], Phrase.Say($"A ring of the outline has fewer than three points. Follow it again.")));
            return null;
        }

        var rings = drawn.Rings.Select(r => Outlines.Ring(r)).ToList();
        var polygon = Outlines.Factory.CreatePolygon(
            (LinearRing)rings[0].ExteriorRing,
            [.. rings.Skip(1).Select(r => (LinearRing)r.ExteriorRing)]
        );
        Effort.Spend(StepsPerPoint * polygon.NumPoints);
        if (new IsValidOp(polygon).ValidationError is { } error)
        {
            var from = Box.Of(rings[0])!.Value;
            Phrase where = Phrase.Say(
                $"{Length.Mm(error.Coordinate.X - from.MinX)} from its left and {Length.Mm(error.Coordinate.Y - from.MinY)} above its foot"
            );
            findings.Add(
                BlankFindings.Cannot(
                    [],
                    error.ErrorType == TopologyValidationErrors.HoleOutsideShell
                        ? Phrase.Say($"A hole of the outline lies outside it, {where}. Mend it in the drawing, or follow it again.")
                        : Phrase.Say($"The outline crosses itself or its holes, {where}. Mend it in the drawing, or follow it again.")
                )
            );
            return null;
        }

        var box = Box.Of(polygon)!.Value;
        Compare(rows, DimensionKind.Width, Length.Mm(box.Width), "wide", findings);
        Compare(rows, DimensionKind.Height, Length.Mm(box.Height), "high", findings);
        var sure = Outlines.Grown(polygon, -drawn.Uncertainty, Tolerances.Ink);
        if (Outlines.PolygonsOf(sure).OrderByDescending(p => p.Area).FirstOrDefault() is not { } cautious)
        {
            findings.Add(BlankFindings.Cannot([], Phrase.Say($"The outline is smaller than what is uncertain of it.")));
            return null;
        }

        return Settled(polygon, cautious, Length.Mm(2 * drawn.Uncertainty));

        void Compare(Estimates all, DimensionKind kind, Length followed, string way, List<Finding> to)
        {
            if (all.Is(kind) is { } read)
            {
                Agreement.Same(
                    new Dimension(followed, Length.Mm(2 * drawn.Uncertainty)),
                    read,
                    kind,
                    all.How(kind),
                    to,
                    (differ, allowed) =>
                        Phrase.Say(
                            $"{all.Title(kind):strong}. The outline is {followed} {way}; you read {read.Value}. They differ by "
                                + $"{differ}, and may by {allowed}. The outline is used."
                        )
                );
            }
        }
    }

    /// <summary>A shape with its middle at x = 0 and its bottom at y = 0.</summary>
    private static Panel Settled(Polygon nominal, Polygon cautious, Length uncertainty)
    {
        var box = Box.Of(nominal)!.Value;
        Polygon Moved(Polygon p) => (Polygon)Outlines.Placed(p, 1, -box.CentreX, -box.MinY);
        var at = Moved(nominal);
        return new Panel(
            at,
            Moved(cautious),
            new Dimension(Length.Mm(box.Width), uncertainty),
            new Dimension(Length.Mm(box.Height), uncertainty),
            Datums.Of(Box.Of(at)!.Value)
        );
    }

    private static Polygon Ellipse(double width, double height) =>
        // In four quarters, so that it touches its box at all sides.
        Outlines.Ring([
            .. Enumerable.Range(0, 4).SelectMany(q => Arc(0, 0, width / 2, height / 2, q * Math.PI / 2, (q + 1) * Math.PI / 2)),
        ]);

    private static Polygon Rounded(double w, double h, double r)
    {
        var (x, y) = ((w / 2) - r, (h / 2) - r);
        return r <= 0
            ? Outlines.Rectangle(new Box(-w / 2, -h / 2, w / 2, h / 2))
            : Outlines.Ring([
                .. Arc(x, -y, r, r, -Math.PI / 2, 0),
                new(w / 2, -y),
                .. Arc(x, y, r, r, 0, Math.PI / 2),
                new(x, h / 2),
                .. Arc(-x, y, r, r, Math.PI / 2, Math.PI),
                new(-w / 2, y),
                .. Arc(-x, -y, r, r, Math.PI, 1.5 * Math.PI),
                new(-x, -h / 2),
            ]);
    }

    /// <summary>Points of an arc without its last, close enough that their chords leave it by less than the arc error.</summary>
    private static List<PlanePoint> Arc(double cx, double cy, double rx, double ry, double from, double to)
    {
        var steps = Math.Max(4, (int)Math.Ceiling((to - from) / (2 * Math.Acos(1 - (ArcError / Math.Max(rx, ry))))));
        return
        [
            .. Enumerable
                .Range(0, steps)
                .Select(i => from + ((to - from) * i / steps))
                .Select(a => new PlanePoint(cx + (rx * Math.Cos(a)), cy + (ry * Math.Sin(a)))),
        ];
    }
}
