using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>Draws parts at a scale, each in coordinates of its own.</summary>
/// <param name="lines">The lines of lettering parts.</param>
/// <param name="parts">All parts.</param>
/// <param name="graphics">The graphics at hand.</param>
/// <param name="cache">Where outlines are kept.</param>
/// <param name="failing">Takes note of parts that cannot be drawn.</param>
internal sealed class BodyMaker(
    IReadOnlyDictionary<PartKey, LetteringLine> lines,
    IReadOnlyDictionary<PartKey, Part> parts,
    IGraphics graphics,
    InkCache cache,
    FailingParts failing
)
{
    /// <summary>A line's size is found this precisely where it is not simply proportional.</summary>
    private const double SizePrecision = 1e-7;

    private const int MostSizings = 8;

    private readonly Dictionary<string, GraphicInk> graphicInk = parts
        .Values.OfType<GraphicPart>()
        .Select(p => (Part: p, Found: graphics.Find(p.OutlinesId)))
        .Where(p => p.Found is not null)
        .ToDictionary(p => p.Part.Id, p => new GraphicInk(p.Part, p.Found!, cache), StringComparer.Ordinal);

    /// <summary>What becomes of parts that cannot be drawn.</summary>
    public FailingParts Failing => failing;

    /// <summary>A part drawn; null when it has no ink.</summary>
    /// <param name="part">The part.</param>
    /// <param name="scales">The scales.</param>
    /// <param name="ground">What it is composed against.</param>
    public PartBody? Of(Part part, Scales scales, GroundShape ground) => failing.Try(part.Id, () =>
        {
            var body = Drawn(part, scales, ground);
            // Whether ink can be worked out shows when it is; where that is to be known of each part, at once.
            return failing.AreLeftOut && body?.Ink is null ? null : body;
        });

    private PartBody? Drawn(Part part, Scales scales, GroundShape ground) =>
        part switch
        {
            LetteringPart or GraphicPart when !part.Mending.IsNone => Drawn(part with { Mending = InkMending.None }, scales, ground)
                is { } body
                ? MendedInk.Of(body, part.Mending, cache)
                : null,
            LetteringPart lettering => Lettering(lettering, scales, ground),
            RulePart rule => Rule(rule, rule.Length.At(scales, LengthRange.Artwork), scales),
            ShapePart shape => Shape(shape, scales, ground),
            GraphicPart graphic => graphicInk.GetValueOrDefault(graphic.Id)?.Body(scales),
            GroupPart group => Group(group, scales, ground),
            MatPart mat => Mat(mat, ground),
            _ => null,
        };

    /// <summary>A rule of a length, along the x axis from the origin.</summary>
    public static PartBody? Rule(RulePart rule, double length, Scales scales)
    {
        var thickness = rule.Thickness.At(scales, LengthRange.Artwork);
        var box = new Box(0, -thickness / 2, length, thickness / 2);
        return thickness > 0 && length > 0
            ? new PartBody(FormattableString.Invariant($"rule {length:R} {thickness:R}"), box, new FilmPly(rule.FilmId, rule.Ply), () =>
                Outlines.Rectangle(box)
            )
            : null;
    }

    private PartBody? Lettering(LetteringPart part, Scales scales, GroundShape ground)
    {
        var form = LineForm.Plain with
        {
            Joins = part.Joins,
            JoinBy = part.JoinBy.At(scales, LengthRange.Margin),
            Shape = part.Shape,
            ArchTop = part.ArchTop.At(scales, LengthRange.Offset),
            ArchBottom = part.ArchBottom.At(scales, LengthRange.Offset),
            Circle = part.Circle.At(scales, LengthRange.Artwork),
            ColumnGap = part.ColumnGap.At(scales, LengthRange.Margin),
            Grow = part.Strengthen.At(scales, LengthRange.Margin),
        };
        if (!lines.TryGetValue(part.Key, out var line) || SizeOf(part, line, scales, ground, form) is not { } size)
        {
            return null;
        }

        var (formed, by, failed) = Stretched(part, line, size, form, scales, ground);
        return formed.Box is not { } box
            ? null
            : new PartBody(() => formed.Key, box, new FilmPly(part.FilmId, part.Ply), () => formed.Ink)
            {
                Line = formed,
                Round = formed.Round,
                Stretched = by,
                StretchFailed = failed,
            };
    }

    private static double StretchOf(Box was, Box now) =>
        Math.Abs(now.Width - was.Width) > 1e-9 * was.Width ? now.Width / was.Width : now.Height / was.Height;

    /// <summary>The size of one em at which the line measures what it should.</summary>
    private double? SizeOf(LetteringPart part, LetteringLine line, Scales scales, GroundShape ground, LineForm form)
    {
        var wanted = part.Size.At(scales, LengthRange.Artwork);
        if (part.SizedBy == LetteringSize.CapitalHeight)
        {
            var em = wanted / line.Face.CapitalHeight;
            return em > 0 && line.BoxAt(em) is not null ? em : null;
        }

        if (part.SizedBy == LetteringSize.MatOpening)
        {
            wanted = ground.Mats is { Openings: [var opening, ..] } ? opening.Width + (2 * wanted) : 0;
        }

        double Is(double em) =>
            new FormedLine(line, em, form, cache).Box is { } b
                ? part.SizedBy == LetteringSize.InkHeight
                    ? b.Height
                    : b.Width
                : 0;
        const double Trial = 100;
        if (wanted <= 0 || line.BoxAt(Trial) is not { } trial)
        {
            return null;
        }

        var size = wanted / Math.Max(part.SizedBy == LetteringSize.InkHeight ? trial.Height : trial.Width, 1e-9) * Trial;
        for (var i = 0; i < MostSizings; i++)
        {
            var now = Is(size);
            if (now <= 0)
            {
                return null;
            }

            if (Math.Abs(now - wanted) <= SizePrecision * wanted)
            {
                break;
            }

            // Proportional but for the lengths that stay, so the slope over a hundredth is as good as exact.
            var slope = (Is(size * 1.01) - now) / (0.01 * size);
            size = slope > 0 ? Math.Max(size + ((wanted - now) / slope), size / 10) : size * wanted / now;
        }

        return size;
    }

    /// <summary>The line widened or heightened to what is wanted, on purpose; strengthening keeps its millimetres.</summary>
    /// <returns>The line, by how much, and whether it is left as it is because what is wanted cannot be.</returns>
    private (FormedLine Line, double By, bool Failed) Stretched(
        LetteringPart part,
        LetteringLine line,
        double size,
        LineForm form,
        Scales scales,
        GroundShape ground
    )
    {
        var natural = new FormedLine(line, size, form, cache);
        if (part.Stretching == Stretching.None || !natural.HasBaseline || natural.Box is not { } box)
        {
            return (natural, 1, false);
        }

        var wanted =
            part.Stretching == Stretching.ToPart
                ? part.StretchAs != part.Id && parts.TryGetValue(new PartKey(part.StretchAs), out var other)
                    ? Of(other is LetteringPart o ? o with { Stretching = Stretching.None } : other, scales, ground)?.Box.Width ?? 0
                    : 0
                : part.StretchTo.At(scales, LengthRange.Artwork);
        var (grown, is0) = (2 * form.Grow, part.Stretching == Stretching.ToHeight ? box.Height : box.Width);
        if (wanted <= grown || is0 <= grown)
        {
            return (natural, 1, true);
        }

        var by = (wanted - grown) / (is0 - grown);
        var widened = part.Stretching == Stretching.ToHeight ? form with { Higher = by } : form with { Wider = by };
        var stretched = new FormedLine(line, size, widened, cache);
        return (stretched, stretched.Box is { } now ? StretchOf(box, now) : 1, false);
    }

    /// <summary>The ground's own outline, as it lies there: its middle is that of the ground's box, which is where it is put.</summary>
    private PartBody? OfGround(ShapePart part, Scales scales, GroundShape ground)
    {
        if (ground.Outline is not { } outline || Box.Of(outline.Area) is not { } whole)
        {
            return null;
        }

        var (inset, band) = (part.Inset.At(scales, LengthRange.Margin), part.Band.At(scales, LengthRange.Margin));
        var isFrame = part.Shape == ShapeKind.GroundFrame;
        var key = FormattableString.Invariant($"ground {outline.Key} {inset:R} {(isFrame ? band : 0):R} {isFrame} {part.GroundHoles}");
        var area = cache.Derived(key, () =>
        {
            var outside = outline.Inset(inset, part.GroundHoles);
            var drawn = isFrame
                ? band > 0
                    ? Outlines.Without(outside, outline.Inset(inset + band, part.GroundHoles))
                    : Outlines.Empty
                : outside;
            return Outlines.Moved(drawn, Motion.Move(-whole.CentreX, -whole.CentreY));
        });
        return Box.Of(area) is { } box
            ? new PartBody(key, box, new FilmPly(part.FilmId, part.Ply), () => area)
            {
                Round = outline.Round is { } round ? new Circle(default, round.Radius - inset) : null,
                // A frame has an opening beside the holes that it goes round.
                IsSolid =
                    isFrame
                    && Outlines.PolygonsOf(area).Sum(p => p.NumInteriorRings) <= (part.GroundHoles ? outline.Area.NumInteriorRings : 0),
            }
            : null;
    }

    private PartBody? Shape(ShapePart part, Scales scales, GroundShape ground)
    {
        if (part.Shape is ShapeKind.GroundOutline or ShapeKind.GroundFrame)
        {
            return OfGround(part, scales, ground);
        }

        var span = SpanOf(part, ground);
        var inset = 2 * part.Inset.At(scales, LengthRange.Margin);
        var sizes = new ShapeSizes(
            span is { } s ? s.Width - inset : part.Width.At(scales, LengthRange.Artwork),
            span is { } t ? t.Height - inset : part.Height.At(scales, LengthRange.Artwork),
            part.CornerSize.At(scales, LengthRange.Margin),
            part.Band.At(scales, LengthRange.Margin),
            part.Hole.At(scales, LengthRange.Margin),
            part.HoleIn.At(scales, LengthRange.Margin),
            part.DotGap.At(scales, LengthRange.Margin)
        );
        var outline = ShapeOutlines.Of(part, part.Shape == ShapeKind.Dots ? sizes with { Height = sizes.Width } : sizes);
        return Box.Of(outline) is { } box
            ? new PartBody(
                FormattableString.Invariant($"shape {part.Shape} {sizes} {part.Count} {part.Inner:R}"),
                box,
                new FilmPly(part.FilmId, part.Ply),
                () => outline
            )
            {
                Round = ShapeOutlines.CircleOf(part, sizes),
                IsSolid = outline is NetTopologySuite.Geometries.Polygon { NumInteriorRings: 0 },
            }
            : null;
    }

    /// <summary>The box that a part takes its size and place from; null when they are its own.</summary>
    public static Box? SpanOf(Part part, GroundShape ground) =>
        part switch
        {
            MatPart => ground.Mats?.Outside,
            ShapePart { Shape: ShapeKind.GroundOutline or ShapeKind.GroundFrame } => ground.Outline is { } o ? Box.Of(o.Area) : null,
            ShapePart { Span: ShapeSpan.Ground } => ground.Box,
            ShapePart { Span: ShapeSpan.MatOutside } => ground.Mats?.Outside,
            ShapePart { Span: ShapeSpan.MatOpening } => ground.Mats is { Openings: [var top, ..] } ? top : null,
            _ => null,
        };

    private static PartBody? Mat(MatPart part, GroundShape ground)
    {
        if (ground.Mats is not { } mats || part.Index < 1 || part.Index > mats.Openings.Count)
        {
            return null;
        }

        var outside = mats.Outside;
        var middle = Motion.Move(-outside.CentreX, -outside.CentreY);
        var opening = middle.Of(mats.Openings[part.Index - 1]);
        var box = middle.Of(outside);
        return new PartBody($"mat {box} {opening}", box, new FilmPly(part.FilmId, part.Index), () =>
            Outlines.Without(Outlines.Rectangle(box), Outlines.Rectangle(opening))
        );
    }

    private PartBody? Group(GroupPart group, Scales scales, GroundShape ground)
    {
        var inner = new Arrangement(group.Parts, group.Alignment, this).At(scales, GroundShape.None with { Mats = ground.Mats });
        if (Box.Around(inner.Select(p => p.Box)) is not { } one)
        {
            return null;
        }

        var (copies, result) = RepeatLayout.Of(group.Repeat, one, scales, ground);
        var once = new Once<IReadOnlyList<FilmInk>>(() => FilmLayers.Of(inner, scales, cache, failing));
        var boxes = copies.All(c => c.KeepsBoxes)
            ? copies.Select(c => c.Of(one))
            : once.Value.SelectMany(i => copies.Select(c => i.Moved(c).Box)).OfType<Box>();
        if (Box.Around(boxes) is not { } all)
        {
            return null;
        }

        // A ring or a wrap keeps its own middle; the rest are centred by their ink.
        var toMiddle = Motion.Move(-all.CentreX, -all.CentreY);
        var key = FormattableString.Invariant($"group {string.Join('/', inner.Select(p => p.Key))} x {string.Join(' ', copies)}");
        // Copies that touch become one; the others stay what one copy is, in another place.
        return new PartBody(key, toMiddle.Of(all), () =>
            [
                .. once.Value.Select(i => new FilmInk(
                    i.Film,
                    new LayerInk(cache).With([], copies.SelectMany(c => i.Moved(c.Then(toMiddle)).Pieces))
                )),
            ]
        )
        {
            Origin = toMiddle.Of(default(PlanePoint)),
            Round = (
                group.Repeat.Kind switch
                {
                    RepeatKind.None => Roundness.OfAll(inner),
                    RepeatKind.Ring => copies.Select(c => Circle.AboutOrigin(c.Of(one))).MaxBy(c => c.Radius),
                    _ => (Circle?)null,
                }
            )?.Moved(toMiddle),
            Inner = [.. inner.Select(p => p.Then(copies[0]).Then(toMiddle))],
            Repeated = group.Repeat.Kind == RepeatKind.None ? null : result,
        };
    }
}
