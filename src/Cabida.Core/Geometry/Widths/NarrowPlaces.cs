using Cabida.Core.Wording;

namespace Cabida.Core.Geometry;

/// <summary>How a narrow place hangs together with what is wider.</summary>
public enum NarrowKind
{
    /// <summary>Wider at both ends, or at more than two.</summary>
    Neck,

    /// <summary>One free end.</summary>
    Tip,

    /// <summary>Nothing wider beside it.</summary>
    Throughout,
}

/// <summary>A place where ink, or what lies between ink, is narrower than asked for; millimetres.</summary>
/// <param name="Kind">How it hangs together with what is wider.</param>
/// <param name="At">The middle of its narrowest place; of a tip, half-way along it.</param>
/// <param name="Width">The local width there.</param>
/// <param name="Length">How far a tip reaches beyond what is wider; of the others their longest extent.</param>
public sealed record NarrowPlace(NarrowKind Kind, PlanePoint At, double Width, double Length)
{
    /// <summary>Whether it keeps about its width to its end, as a slit does; a tip that runs out to a point does not.</summary>
    public bool IsBlunt { get; init; } = true;

    /// <summary>The numbers of the outlines between which it lies.</summary>
    internal IReadOnlyList<int> Rings { get; init; } = [];
}

/// <summary>
/// Finds what opening by a disc of radius t/2 removes (calculations 3.8), of ink or of the background. A place on the boundary is covered
/// by the opening where the disc that touches it there holds nothing of the boundary. Places where it does make stretches of the boundary;
/// each end of a stretch is where the disc just fits and touches another end: a gate to what is wider. Stretches that share gates bound
/// one narrow place, and by its gates it is a neck (two or more that do not overlap), a tip (one) or narrow throughout (none). Necks and
/// what is narrow throughout are always reported; a tip when longer than 2t, since every sharp corner of angle β leaves one of
/// (t/2)(1/sin(β/2) − 1).
/// </summary>
internal sealed class NarrowPlaces
{
    /// <summary>A smaller limit is below what is computed with.</summary>
    private const double LeastLimit = Tolerances.Check;

    private readonly RollingDisc disc;
    private readonly List<NarrowStretch> stretches;

    private NarrowPlaces(RollingDisc disc) => (this.disc, stretches) = (disc, disc.Stretches);

    /// <summary>What is narrower than a limit. A hole of the ink that is so throughout is a counter, not a gap.</summary>
    /// <param name="disc">A disc of the least width wanted, rolled within ink for strokes, outside for gaps.</param>
    public static List<NarrowPlace> Find(RollingDisc disc)
    {
        ArgumentNullException.ThrowIfNull(disc);
        return disc.Diameter < LeastLimit ? [] : new NarrowPlaces(disc).Reported();
    }

    private List<NarrowPlace> Reported()
    {
        var gates = Gates();
        var at = new PlanePoint[gates.Count];
        var (begins, ends) = (new int[stretches.Count], new int[stretches.Count]);
        for (var g = 0; g < gates.Count; g++)
        {
            at[g] = disc.CentreAt(stretches[gates[g].I].Walk, stretches[gates[g].I].From);
            (begins[gates[g].I], ends[gates[g].J]) = (g, g);
        }

        // Discs in two gates that overlap cover what lies between them: the stretch from one to the other bounds no more than a sliver.
        bool Overlap(int one, int other) => at[one].To(at[other]) < disc.Diameter - Tolerances.Check;
        bool IsSliver(int i) => !stretches[i].IsWhole && Overlap(begins[i], ends[i]);
        var measures = new NarrowMeasures(disc);
        var found = new List<NarrowPlace>();
        for (var i = 0; i < stretches.Count; i++)
        {
            if (IsSliver(i) && measures.Tip(stretches[i]) is { } tip)
            {
                found.Add(tip);
            }
        }

        foreach (var group in Clusters.Of(stretches.Count, gates.Concat(AcrossRings())))
        {
            var left = group.Where(i => !IsSliver(i)).ToList();
            var of = left.Where(i => !stretches[i].IsWhole).SelectMany(i => new[] { begins[i], ends[i] }).Distinct().ToList();
            var wide = Clusters.Of(
                of.Count,
                from one in Enumerable.Range(0, of.Count)
                from other in Enumerable.Range(0, one)
                where Overlap(of[one], of[other])
                select (other, one)
            );
            var bounds = left.ConvertAll(i => stretches[i]);
            if (wide.Count > 1)
            {
                found.Add(measures.Between(bounds, NarrowKind.Neck, [.. of.Select(g => at[g])]));
            }
            else if (wide.Count == 0 && bounds.Count == group.Count && !IsCounter(bounds))
            {
                found.Add(measures.Between(bounds, NarrowKind.Throughout, []));
            }
        }

        return found;
    }

    /// <summary>A hole that is too narrow throughout and holds no ink.</summary>
    private bool IsCounter(List<NarrowStretch> bounds) => disc.IsOutside && bounds.TrueForAll(b => disc.Grid.Rings[b.Walk.Ring].IsHole);

    /// <summary>The beginning of each stretch with the end, of the same or another, at which the same disc touches.</summary>
    private List<(int I, int J)> Gates()
    {
        var open = Enumerable.Range(0, stretches.Count).Where(i => !stretches[i].IsWhole).ToList();
        var begins = open.Select(i => (NarrowStretch: i, At: disc.CentreAt(stretches[i].Walk, stretches[i].From))).ToList();
        var ends = open.Select(i => (NarrowStretch: i, At: disc.CentreAt(stretches[i].Walk, stretches[i].To)))
            .OrderBy(e => e.At.X)
            .ToList();
        var gates = new List<(int I, int J)>();
        var (begun, ended) = (new HashSet<int>(), new HashSet<int>());
        // The same disc first; what is left over (a facet stood in the way) with what is nearest.
        foreach (var reach in new[] { RollingDisc.StepShare * disc.Diameter, 4 * disc.Diameter, double.PositiveInfinity })
        {
            var pairs = new List<(double Away, int I, int J)>();
            var late = ends.Where(e => !ended.Contains(e.NarrowStretch)).ToList();
            var keys = late.ConvertAll(e => e.At.X);
            foreach (var (i, at) in begins.Where(b => !begun.Contains(b.NarrowStretch)))
            {
                var from = keys.BinarySearch(at.X - reach);
                for (var k = from < 0 ? ~from : from; k < late.Count && late[k].At.X <= at.X + reach; k++)
                {
                    if (at.To(late[k].At) is var away && away <= reach)
                    {
                        pairs.Add((away, i, late[k].NarrowStretch));
                    }
                }
            }

            Effort.Spend(pairs.Count);
            foreach (var (_, i, j) in pairs.OrderBy(p => p.Away))
            {
                if (!begun.Contains(i) && !ended.Contains(j))
                {
                    begun.Add(i);
                    ended.Add(j);
                    gates.Add((i, j));
                }
            }

            if (gates.Count == open.Count)
            {
                break;
            }
        }

        return gates;
    }

    /// <summary>Whole rings with what lies across from them: the two sides of a thin ring have no gates.</summary>
    private IEnumerable<(int I, int J)> AcrossRings()
    {
        if (!stretches.Exists(s => s.IsWhole))
        {
            yield break;
        }

        var ofRing = Enumerable.Range(0, stretches.Count).ToLookup(i => stretches[i].Walk.Ring);
        for (var i = 0; i < stretches.Count; i++)
        {
            foreach (var u in stretches[i].IsWhole ? stretches[i].Places : [])
            {
                if (disc.BallAt(stretches[i].Walk, u) is { On: >= 0 } ball && disc.Grid.Segments[ball.On] is var on)
                {
                    var share = on.A.To(ball.Across) / on.Length;
                    var j = ofRing[on.Ring].FirstOrDefault(s => stretches[s].Holds(stretches[s].Walk.PlaceOf(ball.On, share)), -1);
                    if (j >= 0 && j != i)
                    {
                        yield return (i, j);
                    }
                }
            }
        }
    }
}
