using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Formats.Graphics.Dxf;

/// <summary>A text DXF file as a graphic: blocks put in place, ends joined, closed outlines told from open ones, by colour.</summary>
internal static class DxfGraphic
{
    /// <summary>Ends this near belong together; millimetres.</summary>
    private const double Touching = 0.02;

    private const int DeepestBlocks = 32;
    private const int MostChains = 200_000;
    private const int MostPoints = 500_000;

    private static readonly (string Words, double PerUnit)[] Habits = [("a unit is a millimetre", 1), ("a unit is an inch", 25.4), ("a unit is a centimetre", 10), ("a unit is a metre", 1000)];

    /// <summary>Colours of the standard colour numbers 1 to 7; others are shown grey.</summary>
    private static readonly string[] Colours = ["#000000", "#ff0000", "#ffff00", "#00ff00", "#00ffff", "#0000ff", "#ff00ff", "#000000"];

    public static Outcome<ReadGraphic> Read(string name, string text)
    {
        var parsed = DxfTags.Read(name, text);
        if (parsed.Problem is { } problem)
        {
            return GraphicFile.Fail(problem);
        }

        var tags = parsed.Value;
        var perUnit = MillimetresPer(tags.Unit);
        var walk = new Walk(tags);
        walk.Draw(tags.Entities, Motion.None, null, 0);
        if (walk.Chains.Count >= MostChains || walk.Chains.Sum(c => c.Chain.Segments.Count) > MostPoints)
        {
            return GraphicFile.Fail(Phrase.Say($"{name:strong} has more than {MostPoints:#,0} points. Simplify it, and bring it in again."));
        }

        if (walk.Chains.Any(c => !IsFinite(c.Chain)))
        {
            return GraphicFile.Fail(Phrase.Say($"{name:strong} has coordinates that are no finite numbers."));
        }

        var scale = perUnit ?? 1;
        var pieces = walk.Chains.GroupBy(c => c.Colour, StringComparer.Ordinal).SelectMany(g => PiecesOf(g.Key, [.. g.Select(c => c.Chain.Moved(Motion.Scale(scale, scale)))])).ToList();
        if (pieces.Count == 0)
        {
            return GraphicFile.Fail(walk.LeftOut.Count > 0
                ? Phrase.Say($"{name:strong} holds nothing that can be cut, only {string.Join(" and ", walk.LeftOut)}.")
                : Phrase.Say($"{name:strong} holds nothing that can be cut."));
        }

        return Outcome<ReadGraphic>.Of(new ReadGraphic(pieces, perUnit is not null, scale, Habits[0].Words, Habits, [.. walk.LeftOut.Select(l => Phrase.Say($"Left out: {l}."))]));
    }

    /// <summary>Millimetres to the unit of a number of $INSUNITS; null for none.</summary>
    private static double? MillimetresPer(int unit) => unit switch { 1 => 25.4, 2 => 304.8, 4 => 1, 5 => 10, 6 => 1000, 8 => 25.4e-6, 9 => 0.0254, 10 => 914.4, 13 => 0.001, 14 => 100, _ => null };

    private static bool IsFinite(DxfChain chain) => chain.Segments.All(s => double.IsFinite(s.End.X) && double.IsFinite(s.End.Y)) && double.IsFinite(chain.Start.X) && double.IsFinite(chain.Start.Y);

    /// <summary>Chains of one colour joined end to end: closed ones that lie in one another are one piece, each open one is one.</summary>
    private static IEnumerable<GraphicPiece> PiecesOf(string colour, List<DxfChain> chains)
    {
        var (closed, open) = Join(chains);
        var contours = closed.Select(c => new Contour(c.Start, c.Segments)).ToList();
        var rings = contours.Select(c => Outlines.FromContours([c], Tolerances.Ink, Tolerances.InkTurn)).ToList();
        // An outline and what lies in it are filled together, so that holes are holes.
        var outer = Enumerable.Range(0, contours.Count).Select(i => Enumerable.Range(0, contours.Count).Where(j => j != i && rings[j].Area > rings[i].Area && rings[j].EnvelopeInternal.Contains(rings[i].EnvelopeInternal) && rings[j].Contains(rings[i])).OrderByDescending(j => rings[j].Area).Select(j => (int?)j).FirstOrDefault() ?? i).ToList();
        return [.. outer.Select((o, i) => (Outer: o, Index: i)).GroupBy(x => x.Outer).Select(g => new GraphicPiece(colour, FillRule.EvenOdd, [.. g.Select(x => contours[x.Index])], [])),
            .. open.Select(c => new GraphicPiece(colour, FillRule.NonZero, [], [new Contour(c.Start, c.Segments)]))];
    }

    private static (List<DxfChain> Closed, List<DxfChain> Open) Join(List<DxfChain> chains)
    {
        bool Closes(DxfChain c) => c.Closed || (c.Start.To(c.End) <= Touching && c.Segments.Count > 1);
        var closed = chains.Where(Closes).ToList();
        var waiting = chains.Where(c => !Closes(c)).ToList();
        var used = new bool[waiting.Count];
        var ends = new Dictionary<(long, long), List<int>>();
        for (var i = 0; i < waiting.Count; i++)
        {
            foreach (var end in new[] { waiting[i].Start, waiting[i].End })
            {
                var key = Cell(end);
                (ends.TryGetValue(key, out var here) ? here : ends[key] = []).Add(i);
            }
        }

        var open = new List<DxfChain>();
        for (var i = 0; i < waiting.Count; i++)
        {
            if (used[i])
            {
                continue;
            }

            used[i] = true;
            var chain = Grown(Grown(waiting[i]).Reversed()).Reversed();
            (Closes(chain) ? closed : open).Add(chain);
        }

        return (closed, open);

        DxfChain Grown(DxfChain chain)
        {
            while (!Closes(chain) && Next(chain.End) is { } next)
            {
                used[next] = true;
                var other = waiting[next].Start.To(chain.End) <= Touching ? waiting[next] : waiting[next].Reversed();
                chain = new DxfChain(chain.Start, [.. chain.Segments, .. other.Segments], false);
            }

            return chain;
        }

        int? Next(PlanePoint end)
        {
            var (x, y) = Cell(end);
            for (var dx = -1; dx <= 1; dx++)
            {
                for (var dy = -1; dy <= 1; dy++)
                {
                    foreach (var i in ends.GetValueOrDefault((x + dx, y + dy), []))
                    {
                        if (!used[i] && (waiting[i].Start.To(end) <= Touching || waiting[i].End.To(end) <= Touching))
                        {
                            return i;
                        }
                    }
                }
            }

            return null;
        }

        static (long, long) Cell(PlanePoint p) => ((long)Math.Floor(p.X / Touching), (long)Math.Floor(p.Y / Touching));
    }

    /// <summary>The second pass: entities and blocks in place, with their colours.</summary>
    private sealed class Walk(DxfTags tags)
    {
        public List<(string Colour, DxfChain Chain)> Chains { get; } = [];

        public SortedSet<string> LeftOut { get; } = new(StringComparer.Ordinal);

        public void Draw(IReadOnlyList<DxfEntity> entities, Motion place, string? byBlock, int depth)
        {
            foreach (var e in entities)
            {
                if (Chains.Count >= MostChains)
                {
                    return;
                }

                // A layer whose colour is negative is switched off.
                if (tags.LayerColours.TryGetValue(e.Text(8), out var layer) && layer < 0)
                {
                    LeftOut.Add("layers that are switched off");
                    continue;
                }

                if (e.Kind == "INSERT")
                {
                    Insert(e, place, byBlock, depth);
                }
                else if (DxfCurves.Of(e) is { } chain)
                {
                    // Seen from behind, as mirrored parts are stored.
                    Chains.Add((ColourOf(e, byBlock), chain.Moved(e.Of(230, 1) < 0 && e.Kind is not ("LINE" or "SPLINE" or "ELLIPSE") ? Motion.Flip.Then(place) : place)));
                }
                else if (e.Kind is not ("ATTDEF" or "VIEWPORT" or "POINT"))
                {
                    LeftOut.Add(e.Kind switch { "TEXT" or "MTEXT" => "text (letter it anew, or turn it into outlines first)", "HATCH" => "hatching", "IMAGE" => "pictures", "DIMENSION" => "dimensions", _ => e.Kind.ToLowerInvariant() });
                }
            }
        }

        private void Insert(DxfEntity e, Motion place, string? byBlock, int depth)
        {
            if (!tags.Blocks.TryGetValue(e.Text(2), out var block) || depth >= DeepestBlocks)
            {
                LeftOut.Add(depth >= DeepestBlocks ? "blocks within blocks without end" : "blocks that are not in it");
                return;
            }

            var (columns, rows) = (Math.Clamp((int)e.Of(70, 1), 1, 1000), Math.Clamp((int)e.Of(71, 1), 1, 1000));
            var own = Motion.Move(-block.Base.X, -block.Base.Y).Then(Motion.Scale(e.Of(41, 1), e.Of(42, 1)));
            for (var row = 0; row < rows; row++)
            {
                for (var column = 0; column < columns; column++)
                {
                    var at = own.Moved(column * e.Of(44), row * e.Of(45)).Then(Motion.TurnLeft(e.Of(50))).Moved(e.Of(10), e.Of(20));
                    Draw(block.Entities, (e.Of(230, 1) < 0 ? at.Then(Motion.Flip) : at).Then(place), ColourOf(e, byBlock), depth + 1);
                }
            }
        }

        /// <summary>An entity's own colour, its layer's, or that of the block's insertion.</summary>
        private string ColourOf(DxfEntity e, string? byBlock)
        {
            var number = (int)e.Of(62, 256);
            // What stands on layer 0 of a block is of the layer that the block is put on.
            if (number == 256 && byBlock is not null && e.Text(8) is ("" or "0"))
            {
                return byBlock;
            }

            number = number == 256 ? Math.Abs(tags.LayerColours.GetValueOrDefault(e.Text(8), 7)) : number;
            return number == 0 ? byBlock ?? Colours[7] : number < Colours.Length ? Colours[number] : "#808080";
        }
    }
}
