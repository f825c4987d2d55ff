using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;
using NetTopologySuite.Index.Strtree;

namespace Cabida.Formats.Graphics.Dxf;

/// <summary>A text DXF file as a graphic: blocks put in place, ends joined, closed outlines told from open ones, by colour.</summary>
internal static class DxfGraphic
{
    private static readonly (string Words, double PerUnit)[] Habits =
    [
        ("a unit is a millimetre", 1),
        ("a unit is an inch", 25.4),
        ("a unit is a centimetre", 10),
        ("a unit is a metre", 1000),
    ];

    public static Outcome<ReadGraphic> Read(string name, string text)
    {
        var parsed = DxfTags.Read(name, text);
        if (parsed.Problem is { } problem)
        {
            return GraphicFile.Fail(problem);
        }

        var tags = parsed.Value;
        var perUnit = MillimetresPer(tags.Unit);
        var walk = new DxfWalk(tags);
        walk.Draw(tags.Entities, Motion.None, null, 0);
        if (walk.Refused is { } refused)
        {
            return GraphicFile.Fail(Phrase.Say($"{name:strong} {refused}"));
        }

        // What closes by itself stays an outline of its own, whatever is joined.
        if (GraphicFile.TooMany(name, walk.Wide.Count + walk.Chains.Count(c => c.Chain.Closed)) is { } alone)
        {
            return GraphicFile.Fail(alone);
        }

        if (walk.Chains.Any(c => !IsFinite(c.Chain)))
        {
            return GraphicFile.Fail(Phrase.Say($"{name:strong} has coordinates that are no finite numbers."));
        }

        var scale = perUnit ?? 1;
        var size = Motion.Scale(scale, scale);
        var joined = walk
            .Chains.GroupBy(c => c.Colour, StringComparer.Ordinal)
            .Select(g => (Colour: g.Key, Lines: LineChains.Join([.. g.Select(c => c.Chain.Moved(size))])))
            .ToList();
        // More than can be worked with is not even sorted.
        if (GraphicFile.TooMany(name, walk.Wide.Count + joined.Sum(j => j.Lines.Closed.Count + j.Lines.Open.Count)) is { } tooMany)
        {
            return GraphicFile.Fail(tooMany);
        }

        List<GraphicPiece> pieces =
        [
            .. joined.SelectMany(j => PiecesOf(j.Colour, j.Lines.Closed, j.Lines.Open)),
            .. walk.Wide.Select(w => new GraphicPiece(w.Colour, FillRule.NonZero, [.. w.Outline.Select(c => c.Moved(size))], [])),
        ];
        var leftOut = walk.LeftOut.ToList();
        if (pieces.Count == 0)
        {
            return GraphicFile.Fail(
                leftOut.Count > 0
                    ? Phrase.Say($"{name:strong} holds nothing that can be cut, only {string.Join(" and ", leftOut)}.")
                    : Phrase.Say($"{name:strong} holds nothing that can be cut.")
            );
        }

        return Outcome<ReadGraphic>.Of(
            new ReadGraphic(
                pieces,
                perUnit is not null,
                scale,
                Habits[0].Words,
                Habits,
                [.. leftOut.Select(l => Phrase.Say($"Left out: {l}."))]
            )
        );
    }

    /// <summary>Millimetres to the unit of a number of $INSUNITS; null for none.</summary>
    private static double? MillimetresPer(int unit) =>
        unit switch
        {
            1 => 25.4,
            2 => 304.8,
            4 => 1,
            5 => 10,
            6 => 1000,
            8 => 25.4e-6,
            9 => 0.0254,
            10 => 914.4,
            13 => 0.001,
            14 => 100,
            _ => null,
        };

    private static bool IsFinite(LineChain chain) =>
        chain.Segments.All(s => double.IsFinite(s.End.X) && double.IsFinite(s.End.Y))
        && double.IsFinite(chain.Start.X)
        && double.IsFinite(chain.Start.Y);

    /// <summary>
    /// Closed outlines that lie in one another are one piece, filled together, so that holes are holes; each open one is one.
    /// </summary>
    private static IEnumerable<GraphicPiece> PiecesOf(string colour, List<LineChain> closed, List<LineChain> open)
    {
        var rings = closed.Select(c => Outlines.FromContours([c.Contour], Tolerances.Ink, Tolerances.InkTurn)).ToList();
        var areas = rings.Select(r => r.Area).ToList();
        var tree = new STRtree<int>();
        for (var i = 0; i < rings.Count; i++)
        {
            tree.Insert(rings[i].EnvelopeInternal, i);
        }

        int Outermost(int i)
        {
            var near = rings[i].IsEmpty ? [] : tree.Query(rings[i].EnvelopeInternal);
            Effort.Spend(near.Count);
            return near.Where(j => areas[j] > areas[i] && rings[j].EnvelopeInternal.Contains(rings[i].EnvelopeInternal))
                .OrderByDescending(j => areas[j])
                .ThenBy(j => j)
                .FirstOrDefault(j => rings[j].Contains(rings[i]), i);
        }

        return
        [
            .. Enumerable
                .Range(0, closed.Count)
                .GroupBy(Outermost)
                .Select(g => new GraphicPiece(colour, FillRule.EvenOdd, [.. g.Select(i => closed[i].Contour)], [])),
            .. open.Select(c => new GraphicPiece(colour, FillRule.NonZero, [], [c.Contour])),
        ];
    }
}
