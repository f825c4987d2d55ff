using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Bench;

/// <summary>A stretch of artwork that is laid at once.</summary>
/// <param name="From">Where it begins, from the left end of the artwork, or from its top where it is taller; millimetres.</param>
/// <param name="To">Where it ends, likewise.</param>
public sealed record PlacingStage(double From, double To);

/// <summary>
/// Laying artwork that one hand does not lay at once: the window of backing that is opened first, and what stays on its backing until it
/// is its turn. The backing is cut in gaps of the ink wherever there is one.
/// </summary>
/// <param name="IsAcross">Whether stages follow one another from left to right; else from the top down.</param>
/// <param name="Stages">The stages in the order in which they are laid; one where all is laid at once.</param>
public sealed record PlacingStages(bool IsAcross, IReadOnlyList<PlacingStage> Stages)
{
    /// <summary>A stretch that one pair of hands lays without a crease; millimetres, the product's own default.</summary>
    public const double OneHand = 250;

    /// <summary>A gap that parts artwork into groups, each laid by itself; millimetres, likewise.</summary>
    public const double GroupGap = 20;

    /// <summary>Backing is cut in a gap of at least so much; millimetres, likewise.</summary>
    public const double LeastGap = 1;

    /// <summary>How far from where it would best be cut a gap is still taken, as a share of what one hand lays.</summary>
    private const double Reach = 0.4;

    /// <summary>The stages of artwork.</summary>
    /// <param name="ink">The ink; millimetres, y up.</param>
    /// <param name="on">The place that is found first on the goods: the line and height it is centred on.</param>
    public static PlacingStages Of(Area ink, PlanePoint on)
    {
        ArgumentNullException.ThrowIfNull(ink);
        if (Box.Of(ink) is not { } box)
        {
            return new PlacingStages(true, []);
        }

        var isAcross = box.Width >= box.Height;
        var length = isAcross ? box.Width : box.Height;
        var start = Math.Clamp(isAcross ? on.X - box.MinX : box.MaxY - on.Y, 0, length);
        var gaps = GapsOf(ink, box, isAcross);
        var cuts = new SortedSet<double> { 0, length };
        cuts.UnionWith(gaps.Where(g => g.To - g.From >= GroupGap).Select(g => (g.From + g.To) / 2));
        foreach (var (from, to) in cuts.Zip(cuts.Skip(1)).ToList())
        {
            cuts.UnionWith(Within(from, to, start, gaps));
        }

        return new PlacingStages(isAcross, InOrder([.. cuts.Zip(cuts.Skip(1)).Select(c => new PlacingStage(c.First, c.Second))], start));
    }

    /// <summary>What is done, stage by stage, in sentences; none where all is laid at once.</summary>
    public IReadOnlyList<Phrase> Said()
    {
        if (Stages.Count < 2)
        {
            return [];
        }

        var (left, right, before, after) = IsAcross ? ("left end", "right end", "left", "right") : ("top", "foot", "top", "foot");
        var (first, total) = (Stages[0], Stages.Max(s => s.To));
        Phrase Stretch(PlacingStage s) =>
            s.From <= 0 ? Phrase.Say($"from the {left} to {Length.Mm(s.To):strong} from it")
            : s.To >= total ? Phrase.Say($"from {Length.Mm(s.From):strong} from the {left} to the {right}")
            : Phrase.Say($"from {Length.Mm(s.From):strong} to {Length.Mm(s.To):strong} from the {left}");
        var rest =
            first.From <= 0 ? Phrase.Say($"The rest, towards the {after}, stays on its backing.")
            : first.To >= total ? Phrase.Say($"The rest, towards the {before}, stays on its backing.")
            : Phrase.Say($"What lies to both sides of it stays on its backing.");
        return
        [
            Phrase.Say($"Open the backing").Then(Stretch(first)).Then(Phrase.Say($"first, and lay that on the line.")).Then(rest),
            .. Stages
                .Skip(1)
                .Select(s =>
                    Phrase
                        .Say($"Then towards the {(s.From < first.From ? before : after)},")
                        .Then(Stretch(s))
                        .Then(Phrase.Say($"– pull its backing away from what lies already."))
                ),
        ];
    }

    /// <summary>Where no ink is, along the artwork. What hangs together lies along all of its box, so boxes tell it exactly.</summary>
    private static List<(double From, double To)> GapsOf(Area ink, Box box, bool isAcross)
    {
        var parts = Enumerable
            .Range(0, ink.NumGeometries)
            .Select(i => ink.GetGeometryN(i).EnvelopeInternal)
            .Where(e => !e.IsNull)
            .Select(e => isAcross ? (From: e.MinX - box.MinX, To: e.MaxX - box.MinX) : (From: box.MaxY - e.MaxY, To: box.MaxY - e.MinY))
            .OrderBy(e => e.From)
            .ToList();
        var (gaps, reached) = (new List<(double, double)>(), 0.0);
        foreach (var (from, to) in parts)
        {
            if (from - reached >= LeastGap)
            {
                gaps.Add((reached, from));
            }

            reached = Math.Max(reached, to);
        }

        return gaps;
    }

    /// <summary>Where a stretch that is too long is cut: evenly about the start if that lies in it, each cut in a gap near by.</summary>
    private static IEnumerable<double> Within(double from, double to, double start, IReadOnlyList<(double From, double To)> gaps)
    {
        if (to - from <= OneHand)
        {
            yield break;
        }

        // An odd number of stretches leaves a window in the middle.
        var count = (int)Math.Ceiling((to - from) / OneHand);
        count += count % 2 == 0 && start > from && start < to ? 1 : 0;
        var (each, last) = ((to - from) / count, from);
        for (var i = 1; i < count; i++)
        {
            var best = from + (i * each);
            var near = gaps.Select(g => Math.Clamp(best, g.From + (LeastGap / 2), g.To - (LeastGap / 2)))
                .Where(c => Math.Abs(c - best) <= Reach * each && c > last && c < to)
                .OrderBy(c => Math.Abs(c - best))
                .FirstOrDefault(best);
            yield return last = near;
        }
    }

    /// <summary>The one that holds the start first, then outwards, the nearer side first: each lies beside what is laid already.</summary>
    private static List<PlacingStage> InOrder(List<PlacingStage> along, double start)
    {
        var at = Math.Max(0, along.FindLastIndex(s => s.From <= start));
        var (order, left, right) = (new List<PlacingStage> { along[at] }, at - 1, at + 1);
        while (left >= 0 || right < along.Count)
        {
            var goesRight = left < 0 || (right < along.Count && along[right].From - start <= start - along[left].To);
            order.Add(goesRight ? along[right++] : along[left--]);
        }

        return order;
    }
}
