using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>An SVG file as a graphic.</summary>
internal static class SvgGraphic
{
    /// <summary>What a pixel of a file may be that does not say: the usual habits of drawing programs.</summary>
    private static readonly (string Words, double PerUnit)[] Habits =
    [
        ("96 units to the inch", 25.4 / 96),
        ("72 units to the inch", 25.4 / 72),
        ("90 units to the inch", 25.4 / 90),
        ("a unit is a millimetre", 1),
    ];

    public static Outcome<ReadGraphic> Read(string name, byte[] file, bool linesOnly)
    {
        var parsed = SvgParse.Read(name, file);
        if (parsed.Problem is { } problem)
        {
            return GraphicFile.Fail(problem);
        }

        var (root, leftOut) = (parsed.Value, new SortedSet<string>(StringComparer.Ordinal));
        var styles = SvgStyles.Of(name, root, leftOut);
        if (styles.Problem is { } many)
        {
            return GraphicFile.Fail(many);
        }

        var page = SvgPage.Of(root, styles.Value.Of(root, null));
        var walk = new SvgWalk(root, styles.Value, page, leftOut, linesOnly);
        walk.Draw(root, page);
        if (walk.Refused is { } refused)
        {
            return GraphicFile.Fail(Phrase.Say($"{name:strong} {refused}"));
        }

        var up = Motion.Scale(SvgValues.MillimetresPerUnit, -SvgValues.MillimetresPerUnit);
        IReadOnlyList<GraphicPiece> pieces = linesOnly
            ? LinesOf(walk.Lines, up)
            : [.. walk.Drawn.Select(d => new GraphicPiece(d.Colour, d.Rule, [.. d.Contours.Select(c => c.Moved(up))], []))];
        if (GraphicFile.TooMany(name, pieces.Count) is { } tooMany)
        {
            return GraphicFile.Fail(tooMany);
        }

        if (pieces.Count == 0)
        {
            return GraphicFile.Fail(
                leftOut.Count > 0
                    ? Phrase.Say($"{name:strong} holds nothing that can be cut, only {string.Join(" and ", leftOut)}.")
                    : Phrase.Say($"{name:strong} holds nothing that can be cut.")
            );
        }

        List<Phrase> notes = [.. leftOut.Select(l => Phrase.Say($"Left out: {l}."))];
        if (walk.SeenThrough > 0)
        {
            notes.Add(
                Phrase.Say(
                    $"{(walk.SeenThrough == 1 ? "A shape is" : $"{walk.SeenThrough} shapes are")} seen through, as shades are. Film "
                        + $"is not: say of each such colour whether it is cut, cuts through, or is left out."
                )
            );
        }

        return Outcome<ReadGraphic>.Of(new ReadGraphic(pieces, page.Stated, page.PerUnit, Habits[0].Words, Habits, notes));
    }

    /// <summary>
    /// Lines joined where their ends meet, those that close apart from those that do not; what meets no other is closed where it is
    /// filled.
    /// </summary>
    private static IReadOnlyList<GraphicPiece> LinesOf(IReadOnlyList<(DrawnLine Line, bool IsFilled)> lines, Motion up)
    {
        var chains = lines
            .Where(l => l.Line.Line.Segments.Count > 0)
            .Select(l => (Chain: new LineChain(l.Line.Line.Start, l.Line.Line.Segments, l.Line.Closed).Moved(up), l.IsFilled))
            .ToList();
        var filled = chains.Where(c => c.IsFilled).Select(c => c.Chain).ToHashSet(ReferenceEqualityComparer.Instance);
        var (closed, open) = LineChains.Join([.. chains.Select(c => c.Chain)]);
        return
        [
            .. closed.Concat(open.Where(filled.Contains)).Select(c => new GraphicPiece("#000000", FillRule.NonZero, [c.Contour], [])),
            .. open.Where(c => !filled.Contains(c)).Select(c => new GraphicPiece("#000000", FillRule.NonZero, [], [c.Contour])),
        ];
    }
}
