using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using NetTopologySuite.Geometries;
using Dimension = Cabida.Core.Measures.Dimension;

namespace Cabida.Core.Blanks;

/// <summary>
/// Lays a zone out on a wall of revolution. In the zone's own coordinates x = 0 is its middle, which the wall is turned to,
/// so that its development stands upright there; y counts along the wall from the base.
/// </summary>
internal static class WallZone
{
    /// <summary>A polyline along an arc leaves it by no more than this, and always to the safe side.</summary>
    private const double ArcError = 0.001;

    /// <summary>A side of a tapered zone is a curve that is very nearly straight; it is followed in so many steps.</summary>
    private const int SideSteps = 24;

    /// <summary>Less than this cut off a typed size is not worth a word; millimetres.</summary>
    private const double WorthSaying = 0.05;

    /// <summary>A laid zone with the wall turned to it, or why there is none.</summary>
    internal sealed record Laid(Zone? Zone, Wall Wall, Phrase? Problem, IReadOnlyList<Phrase> Notes);

    /// <summary>Lays out what the margins, the handle and the places kept clear leave.</summary>
    public static Laid Lay(Wall wall, ReadZone zone, IReadOnlyList<ReadClear> kept)
    {
        var notes = new List<Phrase>();
        if (Heights(wall, zone, notes) is not { } span)
        {
            return new Laid(
                null,
                wall,
                Phrase.Say(
                    $"Margins of {zone.Top} at the rim and {zone.Bottom} at the base leave nothing of a wall {wall.Height.Value} high."
                ),
                notes
            );
        }

        var middle = (span.Nominal.Low + span.Nominal.High) / 2;
        var round = new Around(wall, zone, middle);
        if (new[] { span.Nominal.Low, middle, span.Nominal.High }.Min(v => round.CautiousWidth(v)) <= 0)
        {
            var girth = wall.GirthAt(middle).Value;
            return new Laid(
                null,
                wall,
                wall.Handle is { } blocked
                    ? Phrase.Say(
                        $"The handle's {blocked.Value} and margins of {zone.Left} and {zone.Right} leave nothing of a girth of {girth}."
                    )
                    : Phrase.Say($"Margins of {zone.Left} and {zone.Right} leave nothing of a girth of {girth}."),
                notes
            );
        }

        var turned = wall with { Turn = Angle.FromDegrees(round.Turn) };
        // Where the zone ends before its margin does, it is the size that was typed that ends it.
        var limits = new WallLimits(
            span.Nominal.Low > zone.Bottom.Millimetres ? LimitKind.Size : LimitKind.Base,
            zone.Width is { } w && round.Right(middle) >= w / 2 ? LimitKind.Size : LimitKind.RightSide,
            span.Nominal.High < (wall.Height.Value - zone.Top).Millimetres ? LimitKind.Size : LimitKind.Rim,
            zone.Width is { } v && round.Left(middle) <= -v / 2 ? LimitKind.Size : LimitKind.LeftSide
        );
        var nominal = Shape(turned, span.Nominal, round.Left, round.Right, limits);
        var cautious = Shape(turned, span.Cautious, round.CautiousLeft, round.CautiousRight, limits);
        if (zone.Width is { } typed && typed - (round.Right(middle) - round.Left(middle)) > WorthSaying)
        {
            notes.Add(
                Phrase.Say(
                    $"{zone.Spec.Name:strong} is {Length.Mm(typed - (round.Right(middle) - round.Left(middle)))} wider than what is "
                        + $"left beside the {(wall.Handle is null ? "seam" : "handle")}; it ends there."
                )
            );
        }

        if (kept.Count > 0)
        {
            var datums = Datums.Of(
                new Box(
                    -wall.GirthAt(middle).Value.Millimetres / 2,
                    0,
                    wall.GirthAt(middle).Value.Millimetres / 2,
                    wall.Height.Value.Millimetres
                )
            );
            List<Polygon> Kept(Func<ReadClear, double> grown) =>
                [.. kept.Select(k => ClearShapes.Of(k, datums, grown(k))).Where(k => k.Ok).SelectMany(k => OnWall(turned, k.Value))];
            var carvedNominal = nominal.Without(Kept(k => k.Clearance));
            var carvedCautious = cautious.Without(Kept(k => k.Clearance + k.Uncertainty.Millimetres));
            if (carvedNominal is null || carvedCautious is null)
            {
                return new Laid(null, turned, Phrase.Say($"What must stay clear leaves nothing of {zone.Spec.Name:strong}."), notes);
            }

            if (!ReferenceEquals(carvedNominal, nominal) || !ReferenceEquals(carvedCautious, cautious))
            {
                return Carved(wall, turned, zone, round, span, carvedNominal, carvedCautious, notes);
            }
        }

        var width = new Dimension(
            Length.Mm(round.Right(middle) - round.Left(middle)),
            Length.Mm(round.Right(middle) - round.Left(middle) - round.CautiousWidth(middle))
        );
        var height = new Dimension(
            Length.Mm(span.Nominal.High - span.Nominal.Low),
            Length.Mm(span.Nominal.High - span.Nominal.Low - (span.Cautious.High - span.Cautious.Low))
        );
        return new Laid(
            new Zone(
                nominal,
                cautious,
                width,
                height,
                middle,
                [WidthSum(wall, zone, width, middle, 0), HeightSum(wall, zone, height, 0)]
            ).TurnedAs(zone.Spec),
            turned,
            null,
            notes
        );
    }

    /// <summary>
    /// A zone out of which places were cut: it is as wide and high as it is now, and the wall is turned to the middle of what is left.
    /// </summary>
    private static Laid Carved(
        Wall wall,
        Wall turned,
        ReadZone zone,
        Around round,
        (Span Nominal, Span Cautious) span,
        ZoneShape nominal,
        ZoneShape cautious,
        List<Phrase> notes
    )
    {
        var (low, high) = HeightsOf(turned, nominal);
        var (safeLow, safeHigh) = HeightsOf(turned, cautious);
        var middle = (low + high) / 2;
        var (left, right) = ReachAt(turned, nominal, middle);
        var (safeLeft, safeRight) = ReachAt(turned, cautious, middle);
        if (right <= left || safeRight <= safeLeft)
        {
            return new Laid(
                null,
                turned,
                Phrase.Say($"What must stay clear leaves nothing of {zone.Spec.Name:strong} at its middle height."),
                notes
            );
        }

        var width = new Dimension(Length.Mm(right - left), Length.Mm(Math.Max(0, right - left - (safeRight - safeLeft))));
        var height = new Dimension(Length.Mm(high - low), Length.Mm(Math.Max(0, high - low - (safeHigh - safeLow))));
        var onMiddle = turned with
        {
            Turn = Angle.FromDegrees(turned.Turn.Degrees + (360 * (left + right) / 2 / turned.GirthAt(middle).Value.Millimetres)),
        };
        var by = WallTurn.Between(turned, onMiddle);
        var datum = onMiddle.Laid(0, middle);
        var whole = round.Right(middle) - round.Left(middle);
        return new Laid(
            new Zone(
                nominal.Moved(by, datum),
                cautious.Moved(by, datum),
                width,
                height,
                middle,
                [
                    WidthSum(wall, zone, width, middle, whole - (right - left)),
                    HeightSum(wall, zone, height, span.Nominal.High - span.Nominal.Low - (high - low)),
                ]
            ).TurnedAs(zone.Spec),
            onMiddle,
            null,
            notes
        );
    }

    /// <summary>From where to where a shape reaches along the wall.</summary>
    private static (double Low, double High) HeightsOf(Wall turned, ZoneShape shape)
    {
        var heights = shape.Edges.Select(e => turned.OnWall(e.From).V).ToList();
        return (heights.Min(), heights.Max());
    }

    /// <summary>From where to where a shape reaches round the wall at a height, to the right of the line the wall is turned to.</summary>
    private static (double Left, double Right) ReachAt(Wall turned, ZoneShape shape, double v)
    {
        var girth = turned.GirthAt(v).Value.Millimetres;
        // On an edge of the zone rounding decides; there it is looked at a little inside.
        var ring = Outlines.Factory.CreateLineString([
            .. Enumerable
                .Range(0, RingSteps + 1)
                .Select(i => ((double)i / RingSteps) - 0.5 - (turned.Turn.Degrees / 360))
                .Select(share => turned.Laid(share * girth, v).ToCoordinate()),
        ]);
        var within = Overlay
            .Intersection(ring, shape.Outline)
            .Coordinates.Select(c => turned.OnWall(new PlanePoint(c.X, c.Y)).Round.Radians / (2 * Math.PI) * girth)
            .ToList();
        return within.Count == 0 ? (0, 0) : (within.Min(), within.Max());
    }

    /// <summary>Steps of a ring on which a shape is measured: chords of a millimetre or less.</summary>
    private const int RingSteps = 720;

    private sealed record Span(double Low, double High);

    /// <summary>From where to where the zone reaches, nominal and cautious.</summary>
    private static (Span Nominal, Span Cautious)? Heights(Wall wall, ReadZone zone, List<Phrase> notes)
    {
        var half = wall.Height.Uncertainty.Millimetres / 2;
        var (low, high) = (zone.Bottom.Millimetres, (wall.Height.Value - zone.Top).Millimetres);
        var (lowest, highest) = (double.NegativeInfinity, double.PositiveInfinity);
        if (zone.Height is { } typed)
        {
            var centre = Datums.Of(new Box(0, 0, 0, wall.Height.Value.Millimetres)).Centre(zone.Spec.Place, typed);
            var y = centre.ValueOrDefault.Y;
            (lowest, highest) = (y - (typed / 2), y + (typed / 2));
            if (lowest < low - WorthSaying || highest > high + WorthSaying)
            {
                notes.Add(
                    Phrase.Say(
                        $"{zone.Spec.Name:strong} reaches {Length.Mm(Math.Max(low - lowest, highest - high))} into the margin at "
                            + $"the {(low - lowest > highest - high ? "base" : "rim")}; it ends there."
                    )
                );
            }
        }

        var nominal = new Span(Math.Max(low, lowest), Math.Min(high, highest));
        var cautious = new Span(Math.Max(low + half, lowest), Math.Min(high - half, highest));
        return cautious.High > cautious.Low ? (nominal, cautious) : null;
    }

    /// <summary>How far the zone reaches round the wall at each height, measured from its own middle line.</summary>
    private sealed class Around(Wall wall, ReadZone zone, double middle)
    {
        private readonly double handle = wall.Handle?.Value.Millimetres ?? 0;

        /// <summary>How far the zone's middle stands to the right of the front; degrees.</summary>
        public double Turn => 360 * Centre / Girth(middle);

        private double Centre =>
            zone.Width is null
                ? (zone.Left.Millimetres - zone.Right.Millimetres) / 2
                : zone.Spec.Place.Side switch
                {
                    Sideways.Left => -zone.Spec.Place.Across.OrZero(LengthRange.Distance).Millimetres,
                    Sideways.Right => zone.Spec.Place.Across.OrZero(LengthRange.Distance).Millimetres,
                    _ => 0,
                };

        public double Left(double v) => LeftOf(v, 0);

        public double Right(double v) => RightOf(v, 0);

        public double CautiousLeft(double v) => LeftOf(v, Uncertainty(v) / 2);

        public double CautiousRight(double v) => RightOf(v, Uncertainty(v) / 2);

        public double CautiousWidth(double v) => CautiousRight(v) - CautiousLeft(v);

        private double Girth(double v) => wall.GirthAt(v).Value.Millimetres;

        /// <summary>Where the zone's middle line stands at a height, to the right of the front.</summary>
        private double Shift(double v) => Centre * Girth(v) / Girth(middle);

        private double LeftOf(double v, double off) =>
            Math.Max(
                zone.Left.Millimetres + off - ((Girth(v) - handle) / 2) - Shift(v),
                zone.Width is { } w ? -w / 2 : double.NegativeInfinity
            );

        private double RightOf(double v, double off) =>
            Math.Min(
                ((Girth(v) - handle) / 2) - zone.Right.Millimetres - off - Shift(v),
                zone.Width is { } w ? w / 2 : double.PositiveInfinity
            );

        private double Uncertainty(double v) =>
            Dimension.Combined(wall.GirthAt(v).Uncertainty, wall.Handle?.Uncertainty ?? Length.Zero).Millimetres;
    }

    private static ZoneShape Shape(Wall wall, Span span, Func<double, double> leftAt, Func<double, double> rightAt, WallLimits limits)
    {
        var (low, high) = (span.Low, span.High);
        if (wall.Cone is null)
        {
            return ZoneShape.Rectangle(new Box(leftAt(low), low, rightAt(low), high), limits);
        }

        List<PlanePoint> Side(Func<double, double> at)
        {
            PlanePoint At(double v) => wall.Laid(at(v), v);
            double Height(int step) => low + ((high - low) * step / SideSteps);
            return [At(low), .. Enumerable.Range(0, SideSteps).SelectMany(i => Within(At, Height(i), Height(i + 1), MostHalvings))];
        }

        return ZoneShape.Of(
            [
                (limits.Foot, Arc(wall, low, leftAt(low), rightAt(low), bulgesIn: wall.Cone.WideUp)),
                (limits.Right, Side(rightAt)),
                (limits.Top, [.. Enumerable.Reverse(Arc(wall, high, leftAt(high), rightAt(high), bulgesIn: !wall.Cone.WideUp))]),
                (limits.Left, [.. Enumerable.Reverse(Side(leftAt))]),
            ],
            new PlanePoint(0, (low + high) / 2)
        );
    }

    /// <summary>
    /// A stretch of a side is halved so often at most: a side bends sharply where its margin takes over from its typed size.
    /// </summary>
    private const int MostHalvings = 9;

    /// <summary>The points of a side after a height up to another, near enough for their chords to follow it.</summary>
    private static IEnumerable<PlanePoint> Within(Func<double, PlanePoint> at, double from, double to, int halvings)
    {
        PlanePoint a = at(from),
            b = at(to),
            middle = at((from + to) / 2);
        var away = NetTopologySuite.Algorithm.DistanceComputer.PointToSegment(middle.ToCoordinate(), a.ToCoordinate(), b.ToCoordinate());
        return halvings == 0 || away <= ArcError / 2
            ? [b]
            : Within(at, from, (from + to) / 2, halvings - 1).Concat(Within(at, (from + to) / 2, to, halvings - 1));
    }

    /// <summary>
    /// The arc at a height from left to right; where it bulges into the zone the polyline lies on its safe side, outside the ring.
    /// </summary>
    private static List<PlanePoint> Arc(Wall wall, double v, double left, double right, bool bulgesIn)
    {
        var ring = wall.RingAt(v);
        var steps = Math.Max(2, (int)Math.Ceiling((right - left) / Math.Sqrt(8 * ring * ArcError)));
        var points = Enumerable.Range(0, steps + 1).Select(i => wall.Laid(left + ((right - left) * i / steps), v)).ToList();
        if (!bulgesIn)
        {
            return points;
        }

        // Chords of an arc that bulges in would lie outside the zone: moved inwards by their sagitta they do not.
        var sagitta = ring * (1 - Math.Cos((right - left) / (2 * steps) / ring));
        var inwards = wall.Cone!.WideUp ? sagitta : -sagitta;
        return [.. points.Select((p, i) => i == 0 || i == steps ? p : new PlanePoint(p.X, p.Y + inwards))];
    }

    /// <summary>
    /// A place given by distances from the front line (round the wall at the place's own height) and from the base, in the
    /// flat coordinates of the turned wall. Its middle keeps its share of the turn, so that an upright strip stays upright on a
    /// taper; from there it is as wide as it is at every height. What reaches beyond the middle of the back goes on at the
    /// other end of the development, so there may be two polygons, or none where it lies beyond the wall.
    /// </summary>
    internal static IReadOnlyList<Polygon> OnWall(Wall turned, Polygon place)
    {
        var height = turned.Height.Value.Millimetres;
        double Girth(double v) => turned.GirthAt(v).Value.Millimetres;
        var onHeight = Outlines.Within(place, Outlines.Rectangle(new Box(-Reach, -BeyondWall, Reach, height + BeyondWall)));
        if (Box.Of(onHeight) is not { } box)
        {
            return [];
        }

        var share = box.CentreX / Girth(Math.Clamp(box.CentreY, 0, height));
        // The surface unrolled to its true lengths, cut open at the middle of the back.
        double At(int step) => -BeyondWall + ((height + (2 * BeyondWall)) * step / SideSteps);
        var surface = Outlines.Ring([
            .. Enumerable.Range(0, SideSteps + 1).Select(At).Select(v => new PlanePoint(Girth(v) / 2, v)),
            .. Enumerable.Range(0, SideSteps + 1).Select(i => At(SideSteps - i)).Select(v => new PlanePoint(-Girth(v) / 2, v)),
        ]);
        var turns = box.Width >= Girth(box.CentreY) ? [0] : new[] { -1, 0, 1 };
        return
        [
            .. turns.SelectMany(turn =>
            {
                var there = Outlines.Mapped(
                    onHeight,
                    p => new PlanePoint(p.X - box.CentreX + ((share + turn) * Girth(p.Y)), p.Y),
                    double.MaxValue
                );
                return Outlines
                    .PolygonsOf(Outlines.Within(there, surface))
                    .SelectMany(p =>
                        Outlines.PolygonsOf(Outlines.Mapped(p, q => turned.Laid(q.X - (turned.Turn.Degrees / 360 * Girth(q.Y)), q.Y), 1))
                    );
            }),
        ];
    }

    /// <summary>Farther than round any goods; millimetres.</summary>
    private const double Reach = 6000;

    /// <summary>A place may begin this little beyond the wall; millimetres.</summary>
    private const double BeyondWall = 1;

    private static Phrase WidthSum(Wall wall, ReadZone zone, Dimension width, double middle, double clear)
    {
        var way = wall.Cone is null && wall.Belly is null ? Phrase.Say($"wide") : Phrase.Say($"at the middle");
        if (zone.Width is { } typed)
        {
            return typed - width.Value.Millimetres < WorthSaying && width.Uncertainty.Millimetres < WorthSaying
                ? Phrase.Say($"{width.Cautious:strong} wide as typed")
                : new ZoneSum(Phrase.Say($"typed {Length.Mm(typed)}"), Length.Mm(typed))
                    .Less(Phrase.Say($"{Length.Mm(clear)} to stay clear"), Told(clear))
                    .For(width, way, "what lies beside it");
        }

        var girth = wall.GirthAt(middle).Value;
        var sum = new ZoneSum(wall.Belly is not null ? Phrase.Say($"girth of the film {girth}") : Phrase.Say($"girth {girth}"), girth);
        return (wall.Handle is { } handle ? sum.Less("handle", handle.Value) : sum)
            .LessBoth("", "left", zone.Left, "right", zone.Right)
            .Less(Phrase.Say($"{Length.Mm(clear)} to stay clear"), Told(clear))
            .For(width, way, "what lies beside it");
    }

    private static Phrase HeightSum(Wall wall, ReadZone zone, Dimension height, double clear)
    {
        var way = Phrase.Say($"high");
        return zone.Height is not { } typed
                ? new ZoneSum(Phrase.Say($"height {wall.Height.Value}"), wall.Height.Value)
                    .Less("rim", zone.Top)
                    .Less("base", zone.Bottom)
                    .Less(Phrase.Say($"{Length.Mm(clear)} to stay clear"), Told(clear))
                    .For(height, way, "what was not read")
            : typed - height.Value.Millimetres < WorthSaying && height.Uncertainty.Millimetres < WorthSaying
                ? Phrase.Say($"{height.Cautious:strong} high as typed")
            : new ZoneSum(Phrase.Say($"typed {Length.Mm(typed)}"), Length.Mm(typed))
                .Less(Phrase.Say($"{Length.Mm(clear)} to stay clear"), Told(clear))
                .For(height, way, "the margins");
    }

    private static double Told(double took) => took >= WorthSaying ? took : 0;
}
