using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>Something drawn, in the pixels of the page; y down.</summary>
/// <param name="Contours">Its outlines, closed by filling.</param>
/// <param name="Colour">Its colour, as <c>#rrggbb</c>, with two digits more where it is seen through.</param>
/// <param name="Rule">How it is filled.</param>
internal sealed record SvgDrawn(IReadOnlyList<Contour> Contours, string Colour, FillRule Rule);

/// <summary>
/// The third pass: elements → what is drawn. Groups, transforms, copies, nested view boxes and clip paths are resolved, strokes become
/// outlines. What cannot be brought over is told by name.
/// </summary>
internal sealed class SvgWalk
{
    /// <summary>More points than this are refused.</summary>
    public const int MostPoints = 500_000;

    /// <summary>Elements drawn, copies counted each time.</summary>
    private const int MostDrawn = 60_000;

    private const int DeepestCopies = 32;
    private const int NumbersPerCurve = 7;

    /// <summary>Steps that an element takes at least.</summary>
    private const int StepsPerElement = 60;

    /// <summary>What reaches further than this from the page's corner is no drawing; pixels.</summary>
    private const double Furthest = 1e6;

    /// <summary>Strokes are outlined as finely as they would have to be at this many units of the page.</summary>
    private const double FineUnits = 4000;

    /// <summary>What is seen through by less than this counts as solid.</summary>
    private const double Solid = 0.99;

    private readonly Dictionary<string, SvgNode> byId;
    private readonly SvgStyles styles;
    private readonly SvgPaints paints;
    private readonly SvgClips clips;
    private readonly double resolution;
    private readonly bool linesOnly;
    private List<SvgDrawn> drawn = [];
    private int points;
    private int visited;
    private int seenThrough;

    /// <summary>Takes a file.</summary>
    /// <param name="root">Its outermost element.</param>
    /// <param name="styles">What style its elements have.</param>
    /// <param name="page">Its page.</param>
    /// <param name="leftOut">Takes what is left out, in words.</param>
    /// <param name="linesOnly">Whether lines alone count, however they are filled and stroked.</param>
    public SvgWalk(SvgNode root, SvgStyles styles, SvgPage page, SortedSet<string> leftOut, bool linesOnly)
    {
        (this.styles, this.linesOnly, LeftOut) = (styles, linesOnly, leftOut);
        byId = root.All()
            .Where(n => n.Of("id").Length > 0)
            .GroupBy(n => n.Of("id"), StringComparer.Ordinal)
            .ToDictionary(g => g.Key, g => g.First(), StringComparer.Ordinal);
        paints = new SvgPaints(byId, styles, leftOut);
        clips = new SvgClips(byId, styles, leftOut);
        resolution = Math.Max(1, FineUnits / Math.Max(Math.Max(page.Width, page.Height), 1e-3));
    }

    /// <summary>What is drawn, the lowest first.</summary>
    public IReadOnlyList<SvgDrawn> Drawn => drawn;

    /// <summary>The lines alone, where they alone count, with whether filling closes them; in the pixels of the page, y down.</summary>
    public List<(DrawnLine Line, bool IsFilled)> Lines { get; } = [];

    /// <summary>What was left out, in words.</summary>
    public SortedSet<string> LeftOut { get; }

    /// <summary>How many shapes are seen through.</summary>
    public int SeenThrough => seenThrough;

    /// <summary>Why the file is refused; null while it is not.</summary>
    public Phrase? Refused { get; private set; }

    /// <summary>Draws what stands in the outermost element.</summary>
    public void Draw(SvgNode root, SvgPage page)
    {
        var style = styles.Of(root, null);
        var alpha = SvgValues.Share(style.Of("opacity"));
        Note(root, style);
        foreach (var child in root.Children)
        {
            Draw(child, new Place(page.Inside, style, alpha, page.Port, 0));
        }
    }

    /// <summary>Where something is drawn.</summary>
    /// <param name="Matrix">How its coordinates come to the page.</param>
    /// <param name="Style">The style of what it stands in.</param>
    /// <param name="Alpha">How much of it is seen at most.</param>
    /// <param name="Port">What percentages are of.</param>
    /// <param name="Copies">How many copies deep it is.</param>
    private sealed record Place(Motion Matrix, SvgStyle Style, double Alpha, (double Width, double Height) Port, int Copies);

    private void Draw(SvgNode node, Place outer)
    {
        if (Refused is not null || !Counted())
        {
            return;
        }

        var style = styles.Of(node, outer.Style);
        var alpha = outer.Alpha * SvgValues.Share(style.Of("opacity"));
        if (style.Of("display") == "none" || alpha == 0)
        {
            return;
        }

        Box OwnBox() => ContourBoxes.Around(OutlinesOf(node, outer.Style, outer.Port, 0, own: false));
        var place = outer with
        {
            Matrix = SvgTransforms.Of(node, style, outer.Port, OwnBox).Then(outer.Matrix),
            Style = style,
            Alpha = alpha,
        };
        var first = drawn.Count;
        switch (node.Name)
        {
            case "g" or "a":
                node.Children.ForEach(c => Draw(c, place));
                break;
            case "switch":
                if (node.Children.Find(IsWanted) is { } wanted)
                {
                    Draw(wanted, place);
                }

                break;
            case "svg":
                Nested(node, place, node.Of("width"), node.Of("height"));
                break;
            case "use":
                Copy(node, place);
                break;
            case "text" or "tspan":
                LeftOut.Add("text (letter it anew, or turn it into outlines first)");
                break;
            case "image":
                LeftOut.Add("a picture inside it");
                break;
            case "foreignObject":
                LeftOut.Add("what is no drawing");
                break;
            case "animate" or "animateTransform" or "animateMotion" or "set":
                LeftOut.Add("movement; it is cut as it stands at rest");
                break;
            default:
                if (SvgShapes.Names.Contains(node.Name))
                {
                    Shape(node, place);
                }

                break;
        }

        if (drawn.Count > first && clips.Of(style, place.Matrix, outer.Port, OwnBox) is { } clip)
        {
            Cut(first, clip);
        }

        Note(node, style);
    }

    private bool Counted()
    {
        Effort.Spend(StepsPerElement);
        if (++visited > MostDrawn)
        {
            Refused ??= Phrase.Say($"draws more than {MostDrawn:#,0} things, copies counted. Simplify it, and bring it in again.");
        }

        return Refused is null;
    }

    /// <summary>Counts points before they are made; the file is refused where there are too many.</summary>
    private bool Counted(int more)
    {
        points += more;
        if (points > MostPoints)
        {
            Refused ??= Phrase.Say($"has more than {MostPoints:#,0} points. Simplify it, and bring it in again.");
        }

        return Refused is null;
    }

    /// <summary>What is only said of an element and not drawn.</summary>
    private void Note(SvgNode node, SvgStyle style)
    {
        foreach (var (property, words) in Unfollowed)
        {
            var value = style.Of(property) is { Length: > 0 } styled ? styled : node.Of(property);
            if (value is not ("" or "none" or "normal"))
            {
                LeftOut.Add(words);
            }
        }

        var list = style.Of("transform") is { Length: > 0 } own ? own : node.Of("transform");
        if (SvgTransforms.Unflat(list) is { } unflat)
        {
            LeftOut.Add($"a transform that is not of the plane ({unflat})");
        }
    }

    private static readonly (string Property, string Words)[] Unfollowed =
    [
        ("mask", "masks"),
        ("filter", "filters"),
        ("mix-blend-mode", "colours that mix with what lies below"),
        ("marker", "markers on lines"),
        ("marker-start", "markers on lines"),
        ("marker-mid", "markers on lines"),
        ("marker-end", "markers on lines"),
    ];

    /// <summary>
    /// Whether the conditions of a child of a switch hold: nothing that a plain drawing lacks, and words in English where they are of a
    /// tongue.
    /// </summary>
    private static bool IsWanted(SvgNode node) =>
        node.Of("requiredExtensions").Length == 0
        && (
            !node.Attributes.TryGetValue("systemLanguage", out var tongues)
            || tongues.Split(',').Any(t => t.Trim().StartsWith("en", StringComparison.OrdinalIgnoreCase))
        );

    private void Nested(SvgNode node, Place place, string widthText, string heightText)
    {
        var (style, port) = (place.Style, place.Port);
        var (x, y) = (SvgValues.Length(node.Of("x"), port.Width), SvgValues.Length(node.Of("y"), port.Height));
        var (w, h) = (SvgValues.Length(widthText, port.Width, port.Width), SvgValues.Length(heightText, port.Height, port.Height));
        var inner = SvgValues.ViewBox(node.Of("viewBox"), node.Of("preserveAspectRatio"), x, y, w, h).Then(place.Matrix);
        var inside = SvgValues.Numbers(node.Of("viewBox")) is [_, _, var vw, var vh] ? (vw, vh) : (w, h);
        var first = drawn.Count;
        if (w <= 0 || h <= 0)
        {
            return;
        }

        node.Children.ForEach(c => Draw(c, place with { Matrix = inner, Port = inside }));
        if (style.Of("overflow") is not ("visible" or "auto"))
        {
            Cut(first, SvgClips.Window(x, y, w, h, place.Matrix));
        }
    }

    private void Cut(int first, NetTopologySuite.Geometries.Geometry area)
    {
        var left = drawn.Skip(first).Select(d => SvgClips.Cut(d, area)).OfType<SvgDrawn>().ToList();
        drawn = [.. drawn.Take(first), .. left];
    }

    private void Copy(SvgNode node, Place place)
    {
        var reference = node.Of("href");
        if (!reference.StartsWith('#') || !byId.TryGetValue(reference[1..], out var of))
        {
            LeftOut.Add(
                reference.StartsWith('#')
                    ? "copies of something that is not in it"
                    : "copies of something outside the file, which is never fetched"
            );
            return;
        }

        if (place.Copies >= DeepestCopies)
        {
            LeftOut.Add("copies of copies without end");
            return;
        }

        var moved = place with { Matrix = MoveOf(node, place.Port).Then(place.Matrix), Copies = place.Copies + 1 };
        if (of.Name is "symbol" or "svg")
        {
            Nested(
                of,
                moved with
                {
                    Style = styles.Of(of, place.Style),
                },
                node.Of("width") is { Length: > 0 } w ? w : of.Of("width"),
                node.Of("height") is { Length: > 0 } h ? h : of.Of("height")
            );
        }
        else
        {
            Draw(of, moved);
        }
    }

    private static Motion MoveOf(SvgNode copy, (double Width, double Height) port) =>
        Motion.Move(SvgValues.Length(copy.Of("x"), port.Width), SvgValues.Length(copy.Of("y"), port.Height));

    private void Shape(SvgNode node, Place place)
    {
        var (style, matrix, port) = (place.Style, place.Matrix, place.Port);
        if (style.Of("visibility") is "hidden" or "collapse")
        {
            return;
        }

        // A curve takes up to seven numbers, so what is far too long need not be read to be refused.
        if (!Counted((SvgValues.Count(node.Of("d")) + SvgValues.Count(node.Of("points"))) / NumbersPerCurve))
        {
            return;
        }

        var lines = SvgShapes.Of(node, style, port, m => LeftOut.Add(m));
        if (lines.Count == 0)
        {
            return;
        }

        if (linesOnly)
        {
            var isFilled = style.Of("fill", "black") != "none";
            Lines.AddRange(lines.Select(l => (l with { Line = l.Line.Moved(matrix) }, isFilled)).Where(l => Reaches([l.Item1.Line])));
            return;
        }

        if (node.Name != "line" && paints.Of(style, "fill", "black") is { } fill)
        {
            Add(
                [.. lines.Select(l => l.Line.Moved(matrix))],
                fill,
                place.Alpha,
                style.Of("fill-rule") == "evenodd" ? FillRule.EvenOdd : FillRule.NonZero
            );
        }

        if (paints.Of(style, "stroke", "none") is not { } stroke)
        {
            return;
        }

        // A stroke that does not scale is as wide as it would be on the page.
        var rigid = style.Of("vector-effect") == "non-scaling-stroke";
        IReadOnlyList<DrawnLine> along = rigid ? [.. lines.Select(l => l with { Line = l.Line.Moved(matrix) })] : lines;
        var size = rigid ? 1 : Math.Sqrt(Math.Abs((matrix.A * matrix.E) - (matrix.B * matrix.D)));
        var diagonal = Math.Sqrt(((port.Width * port.Width) + (port.Height * port.Height)) / 2);
        if (!Reaches(along.Select(l => l.Line)))
        {
            return;
        }

        if (
            SvgStrokes.Of(along, style, SvgValues.Length(node.Of("pathLength"), 1), diagonal, resolution * Math.Max(size, 1e-3))
            is not { } outline
        )
        {
            Refused = Phrase.Say($"has a line of more than {StrokeOutlines.MostDashes:#,0} dashes. Simplify it, and bring it in again.");
            return;
        }

        Add(rigid ? outline : [.. outline.Select(c => c.Moved(matrix))], stroke, place.Alpha, FillRule.NonZero);
    }

    private void Add(IReadOnlyList<Contour> contours, SvgPaint paint, double alpha, FillRule rule)
    {
        contours = [.. contours.Where(c => c.Segments.Count > 0)];
        if (contours.Count == 0 || !Reaches(contours))
        {
            return;
        }

        if (!Counted(contours.Sum(c => c.Segments.Count + 1)))
        {
            return;
        }

        var seen = paint.Alpha * alpha;
        seenThrough += seen < Solid ? 1 : 0;
        drawn.Add(new SvgDrawn(contours, seen < Solid ? $"{paint.Colour}{(int)Math.Round(255 * seen):x2}" : paint.Colour, rule));
    }

    /// <summary>Whether outlines stay where a drawing can be; the file is refused where they do not.</summary>
    private bool Reaches(IEnumerable<Contour> contours)
    {
        var finite = true;
        foreach (var p in contours.SelectMany(PointsOf))
        {
            finite &= double.IsFinite(p.X) && double.IsFinite(p.Y);
            if (!finite || Math.Abs(p.X) > Furthest || Math.Abs(p.Y) > Furthest)
            {
                Refused ??= finite
                    ? Phrase.Say($"reaches further than {Furthest * SvgValues.MillimetresPerUnit / 1000:0} m. Is a number in it wrong?")
                    : Phrase.Say($"has coordinates that are no finite numbers.");
                return false;
            }
        }

        return true;
    }

    private static IEnumerable<PlanePoint> PointsOf(Contour contour) =>
        contour
            .Segments.SelectMany(s =>
                s switch
                {
                    CubicTo c => new[] { c.Control1, c.Control2, c.End },
                    QuadraticTo q => [q.Control, q.End],
                    _ => [s.End],
                }
            )
            .Prepend(contour.Start);

    /// <summary>The outlines of an element and of what stands in it, in its own coordinates: those that its box is round.</summary>
    private IEnumerable<Contour> OutlinesOf(SvgNode node, SvgStyle outer, (double Width, double Height) port, int copies, bool own)
    {
        if (copies > DeepestCopies || !Counted())
        {
            return [];
        }

        var style = styles.Of(node, outer);
        if (style.Of("display") == "none")
        {
            return [];
        }

        IEnumerable<Contour> Inside(SvgNode child) => OutlinesOf(child, style, port, copies, own: true);
        var inner =
            SvgShapes.Names.Contains(node.Name) ? SvgShapes.Of(node, style, port, _ => { }).Select(l => l.Line)
            : node.Name is "g" or "a" or "svg" or "switch" ? node.Children.SelectMany(Inside)
            : node.Name == "use" && node.Of("href").StartsWith('#') && byId.TryGetValue(node.Of("href")[1..], out var of)
                ? OutlinesOf(of, style, port, copies + 1, own: true).Select(c => c.Moved(MoveOf(node, port)))
            : [];
        var move = own ? SvgTransforms.Of(node, style, port, () => default) : Motion.None;
        return [.. inner.Select(c => c.Moved(move))];
    }
}
