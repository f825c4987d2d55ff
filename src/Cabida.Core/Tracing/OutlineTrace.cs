using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Tracing;

/// <summary>Which edge of a pencil line is followed.</summary>
public enum LineEdge
{
    /// <summary>The one towards the object.</summary>
    Inner,

    /// <summary>Its middle.</summary>
    Middle,

    /// <summary>The one away from the object.</summary>
    Outer,
}

/// <summary>How an outline is followed.</summary>
/// <param name="Edge">Which edge of a pencil line.</param>
/// <param name="Allowance">How far outside the object the pencil ran, which is taken off; millimetres.</param>
/// <param name="Smoothing">How far smoothing may move it; millimetres.</param>
/// <param name="Erased">Boxes of stray bits that are not looked at; pixels, y down.</param>
public sealed record TraceSettings(LineEdge Edge, double Allowance, double Smoothing, IReadOnlyList<Box> Erased)
{
    /// <summary>Whether an outline that lies a little crooked on the paper is turned upright.</summary>
    public bool Straighten { get; init; }

    /// <summary>What is darker than the paper by this share is drawing; null to let the picture tell.</summary>
    public double? Contrast { get; init; }
}

/// <summary>An outline found on a picture.</summary>
/// <param name="Rings">The outer ring, then holes; millimetres, y up.</param>
/// <param name="OnPicture">The same as it lies on the picture; pixels, y down.</param>
/// <param name="IsLine">Whether it was drawn as a line rather than filled.</param>
/// <param name="LineWidth">How wide that line is, in millimetres; null for a filled shape.</param>
/// <param name="Area">What it encloses, in square millimetres.</param>
/// <param name="Problem">Why it cannot be used; null when it can.</param>
public sealed record FoundOutline(
    IReadOnlyList<IReadOnlyList<PlanePoint>> Rings,
    IReadOnlyList<IReadOnlyList<PlanePoint>> OnPicture,
    bool IsLine,
    double? LineWidth,
    double Area,
    Phrase? Problem
)
{
    /// <summary>What is worth saying of it: how far it was turned, what was cut off, where its edge is soft.</summary>
    public IReadOnlyList<Phrase> Notes { get; init; } = [];
}

/// <summary>What was found on a picture.</summary>
/// <param name="Outlines">The outlines, largest first.</param>
/// <param name="Notes">What is worth saying.</param>
/// <param name="Uncertainty">How far each edge may be out, in millimetres.</param>
/// <param name="Contrast">The share by which drawing was taken to be darker than the paper.</param>
public sealed record TraceResult(IReadOnlyList<FoundOutline> Outlines, IReadOnlyList<Phrase> Notes, double Uncertainty, double Contrast);

/// <summary>
/// Finds outlines on a picture of paper: the paper's light is taken out, contours are found where the drawing is darker
/// than its noise, moved to the true edges, told apart into filled shapes and pencil lines, brought to the paper's scale,
/// relieved of the pencil's allowance, and smoothed.
/// </summary>
public static class OutlineTrace
{
    /// <summary>More outlines than this are not listed.</summary>
    public const int MostOutlines = 40;

    /// <summary>A pencil line is no wider than this, in millimetres; what is wider is a shape.</summary>
    private const double WidestLine = 2.2;

    /// <summary>What encloses less than this is a speck, in square millimetres.</summary>
    private const double LeastArea = 12;

    /// <summary>Drawing is darker than the paper by at least this share, or by so many times the paper's noise.</summary>
    private const double LeastContrast = 0.07;

    private const double NoiseTimes = 6;

    /// <summary>Contrasts that are tried in turn where something at the usual one is a shadow and no drawing.</summary>
    private static readonly double[] Stronger = [0.2, 0.3, 0.42, 0.55];

    /// <summary>More of an outline than this running along no edge is worth a word.</summary>
    private const double MostSoft = 0.06;

    /// <summary>Neighbours along the outline count this far when it is smoothed, in pixels.</summary>
    private const double SmoothedOver = 3;

    /// <summary>Follows the outlines on a picture. The picture is smoothed in place.</summary>
    public static Outcome<TraceResult> Of(GreyPicture picture, PictureScale scale, TraceSettings settings, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(picture);
        ArgumentNullException.ThrowIfNull(scale);
        ArgumentNullException.ThrowIfNull(settings);
        picture.Smooth();
        var sheet = scale.Sheet is { } corners ? new SheetWindow(corners, picture) : null;
        var light = PaperLight.Of(picture, (x, y) => (sheet?.Contains(x, y) ?? true) && !settings.Erased.Any(e => Holds(e, x, y)));
        Erase(picture, light, settings.Erased);
        var usual = Math.Max(LeastContrast, NoiseTimes * light.Noise);
        var first = At(settings.Contrast ?? usual);
        if (first is null)
        {
            return Outcome<TraceResult>.Fail(
                Phrase.Say(
                    $"This picture is full of edges, so no drawing can be told from it. Lay the object's outline on plain paper and "
                        + $"scan that."
                )
            );
        }

        var notes = new List<Phrase>();
        var used = first;
        if (settings.Contrast is null && first.Softest > MostSoft)
        {
            // A shadow ends in no edge; what is drawn does, at whatever contrast it is looked for.
            used = Stronger.Where(c => c > usual).Select(At).FirstOrDefault(t => t is { Large.Count: > 0 } && t.Softest <= MostSoft)
                ?? first;
            if (used != first)
            {
                notes.Add(
                    Phrase.Say(
                        $"Something soft, as a shadow is, was left out: only what is {100 * used.Contrast:0} % darker than the "
                            + $"paper was followed. If part of the drawing is missing, choose the contrast yourself."
                    )
                );
            }
        }

        var large = used.Large;
        if (large.Count == 0)
        {
            return Outcome<TraceResult>.Fail(
                used.Any == 0
                    ? Phrase.Say($"Nothing darker than the paper was found. Draw the outline more strongly, or scan it with more contrast.")
                    : Phrase.Say(
                        $"Only specks were found, none as large as {Length.Mm(Math.Sqrt(LeastArea))} across. Is the resolution right?"
                    )
            );
        }

        var regions = DarkRegion.Of(large, c => EdgeRefinement.Of(c, picture, light), c => EdgeSoftness.Of(c, picture, light), stop);
        var found = new FoundOutlines(scale, settings).Of(regions).OrderByDescending(o => o.Area).ToList();
        if (found.Count > MostOutlines)
        {
            notes.Add(
                Phrase.Say(
                    $"{found.Count} outlines were found; the {MostOutlines} largest are shown. Erase what is not wanted, or scan "
                        + $"less of the paper."
                )
            );
        }

        return Outcome<TraceResult>.Of(new TraceResult([.. found.Take(MostOutlines)], notes, scale.Uncertainty, used.Contrast));

        Tried? At(double contrast)
        {
            var contours = LevelContours.Of(picture, light, 1 - contrast, sheet is null ? _ => (0, picture.Width) : sheet.Row, stop);
            if (contours is null)
            {
                return null;
            }

            var large = contours.Where(c => Math.Abs(c.SignedArea) * scale.Pixel * scale.Pixel >= LeastArea).ToList();
            return new Tried(contrast, contours.Count, large, large.Count == 0 ? 0 : large.Max(c => EdgeSoftness.Of(c, picture, light)));
        }
    }

    /// <summary>What was found at a contrast.</summary>
    /// <param name="Contrast">The contrast.</param>
    /// <param name="Any">How many contours there are, specks counted in.</param>
    /// <param name="Large">Those that are no specks.</param>
    /// <param name="Softest">How much of the softest of them runs along no edge.</param>
    private sealed record Tried(double Contrast, int Any, List<LevelContour> Large, double Softest);

    private static bool Holds(Box e, double x, double y) => x >= e.MinX && x <= e.MaxX && y >= e.MinY && y <= e.MaxY;

    private static void Erase(GreyPicture picture, PaperLight light, IReadOnlyList<Box> erased)
    {
        foreach (var box in erased)
        {
            for (var y = Math.Max(0, (int)box.MinY); y < Math.Min(picture.Height, box.MaxY); y++)
            {
                for (var x = Math.Max(0, (int)box.MinX); x < Math.Min(picture.Width, box.MaxX); x++)
                {
                    picture.Pixels[(y * picture.Width) + x] = (byte)Math.Min(255, light.At(x, y));
                }
            }
        }
    }

    /// <summary>Tells filled shapes from pencil lines and brings them to the paper's scale.</summary>
    private sealed class FoundOutlines(PictureScale scale, TraceSettings settings)
    {
        public IEnumerable<FoundOutline> Of(IReadOnlyList<DarkRegion> regions)
        {
            var widest = WidestLine / scale.Pixel;
            var lines = regions.Where(r => r.IsClosedLine(widest)).ToHashSet();
            foreach (var region in regions)
            {
                // What is drawn inside a line is a hole of its object, not an object of its own.
                if (region.Parent is { } parent && lines.Contains(parent))
                {
                    continue;
                }

                yield return lines.Contains(region)
                    ? Line(region, [.. regions.Where(r => r.Parent == region)], lines)
                    : Filled(region, widest);
            }
        }

        private FoundOutline Filled(DarkRegion region, double widest)
        {
            var problem =
                region.TouchesBorder ? RunsOff()
                : region.Thickness < widest / 2 && region.Thickness * 12 < region.Perimeter
                    ? Phrase.Say($"This line does not close. Draw the gap shut and scan it again.")
                : null;
            return Settled([region.Outer, .. region.Holes], false, null, problem, Soft(region));
        }

        private FoundOutline Line(DarkRegion region, IReadOnlyList<DarkRegion> inside, HashSet<DarkRegion> lines)
        {
            var cut = 0;
            IReadOnlyList<PlanePoint> Clean(DarkRegion line, LineEdge edge)
            {
                var (outer, over) = edge == LineEdge.Inner ? (line.Outer, 0) : Overruns.Off(line.Outer, line.Thickness, outer: true);
                var (inner, into) = edge == LineEdge.Outer ? (line.Holes[0], 0) : Overruns.Off(line.Holes[0], line.Thickness, outer: false);
                cut += over + into;
                return Edge(outer, inner, edge);
            }

            var outline = Clean(region, settings.Edge);
            List<IReadOnlyList<PlanePoint>> holes =
            [
                .. inside
                    .Where(h => !h.TouchesBorder)
                    .Select(h =>
                        lines.Contains(h)
                            // Of a hole's line the edge towards the material is its outer one.
                            ? Clean(
                                h,
                                settings.Edge switch
                                {
                                    LineEdge.Inner => LineEdge.Outer,
                                    LineEdge.Outer => LineEdge.Inner,
                                    _ => LineEdge.Middle,
                                }
                            )
                            : h.Outer
                    ),
            ];
            List<Phrase> notes = [.. Soft(region)];
            if (cut > 0)
            {
                notes.Add(
                    cut == 1
                        ? Phrase.Say($"The pencil ran over at one place; that was cut off.")
                        : Phrase.Say($"The pencil ran over at {cut} places; that was cut off.")
                );
            }

            return Settled([outline, .. holes], true, region.Thickness * scale.Pixel, region.TouchesBorder ? RunsOff() : null, notes);
        }

        private static IReadOnlyList<Phrase> Soft(DarkRegion region) =>
            region.Soft <= MostSoft
                ? []
                :
                [
                    Phrase.Say(
                        $"{100 * region.Soft:0} % of its edge is soft, as a shadow’s is, so it may lie anywhere there. Light it "
                            + $"evenly and take it again, or ask for more contrast."
                    ),
                ];

        private static Phrase RunsOff() => Phrase.Say($"This shape runs off the picture. Scan it again with paper all round.");

        private static IReadOnlyList<PlanePoint> Edge(IReadOnlyList<PlanePoint> outer, IReadOnlyList<PlanePoint> inner, LineEdge edge) =>
            edge switch
            {
                LineEdge.Outer => outer,
                LineEdge.Inner => inner,
                _ => Middle(outer, inner),
            };

        /// <summary>Half-way from each point of the outer edge to the nearest of the inner one.</summary>
        private static List<PlanePoint> Middle(IReadOnlyList<PlanePoint> outer, IReadOnlyList<PlanePoint> inner)
        {
            var other = Outlines.Ring(inner).ExteriorRing;
            var at = new NetTopologySuite.Operation.Distance.IndexedFacetDistance(other);
            return
            [
                .. outer.Select(p =>
                {
                    var near = at.NearestPoints(Outlines.Factory.CreatePoint(new Coordinate(p.X, p.Y)))[0];
                    return p.Towards(new(near.X, near.Y), 0.5);
                }),
            ];
        }

        private FoundOutline Settled(
            IReadOnlyList<IReadOnlyList<PlanePoint>> pixels,
            bool isLine,
            double? lineWidth,
            Phrase? problem,
            IReadOnlyList<Phrase> told
        )
        {
            List<Phrase> notes = [.. told];
            List<IReadOnlyList<PlanePoint>> rings =
            [
                .. pixels
                    .Select(
                        IReadOnlyList<PlanePoint> (r) =>
                            OutlineSmoothing.Of([.. r.Select(scale.OnPaper)], SmoothedOver * scale.Pixel, settings.Smoothing)
                    )
                    .Where(r => r.Count >= 3),
            ];
            if (rings.Count > 0 && settings.Allowance > 0)
            {
                rings = Relieved(rings);
            }

            if (rings.Count > 0 && settings.Straighten)
            {
                var upright = Straightening.Upright(rings);
                rings = [.. upright.Rings];
                if (!upright.HasEdge)
                {
                    notes.Add(Phrase.Say($"It has no clear upright edge, so it was not turned."));
                }
                else if (upright.By.Degrees != 0)
                {
                    notes.Add(
                        Phrase.Say(
                            $"Turned by {Math.Abs(upright.By.Degrees):0.0}° "
                                + $"{(upright.By.Degrees > 0 ? "to the left" : "to the right")}, to stand upright."
                        )
                    );
                }
            }

            IReadOnlyList<IReadOnlyList<PlanePoint>> shown = [.. pixels.Select(r => OutlineSmoothing.Simplified(r, 0.5))];
            if (rings.Count == 0)
            {
                return new FoundOutline(
                    [],
                    shown,
                    isLine,
                    lineWidth,
                    0,
                    problem ?? Phrase.Say($"Nothing is left of it once the pencil’s allowance is taken off.")
                );
            }

            return new FoundOutline(
                rings,
                shown,
                isLine,
                lineWidth,
                rings.Select((r, i) => (i == 0 ? 1 : -1) * Outlines.Ring(r).Area).Sum(),
                problem
            )
            {
                Notes = notes,
            };
        }

        /// <summary>The pencil ran outside the material everywhere: its outline shrinks and its holes grow by the allowance.</summary>
        private List<IReadOnlyList<PlanePoint>> Relieved(List<IReadOnlyList<PlanePoint>> rings)
        {
            LinearRing Closed(IReadOnlyList<PlanePoint> r) => (LinearRing)Outlines.Ring(r).ExteriorRing;
            var material = Outlines.Factory.CreatePolygon(Closed(rings[0]), [.. rings.Skip(1).Select(Closed)]);
            var valid = Overlay.Sound(material);
            var left = Outlines
                .PolygonsOf(Overlay.Grown(valid, -settings.Allowance, new(24)))
                .OrderByDescending(p => p.Area)
                .FirstOrDefault();
            return left is null
                ? []
                :
                [
                    .. left
                        .InteriorRings.Prepend(left.ExteriorRing)
                        .Select(IReadOnlyList<PlanePoint> (r) => [.. r.Coordinates.SkipLast(1).Select(c => new PlanePoint(c.X, c.Y))]),
                ];
        }
    }
}
