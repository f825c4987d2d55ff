using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>The largest disc within the ink that touches its boundary at one place.</summary>
/// <param name="At">The place on the boundary.</param>
/// <param name="Across">Where the disc touches on the other side.</param>
/// <param name="Centre">The disc's centre, a point of the ink's middle line.</param>
/// <param name="Width">The disc's diameter: the local width there.</param>
/// <param name="Ring">Which ring of the boundary the place lies on.</param>
/// <param name="Position">How far along that ring.</param>
/// <param name="Around">The way along the boundary from the place to the other side; infinite when that is another ring. Short in a
/// corner.</param>
/// <param name="Facing">The angle at the centre between the two places, in radians: near π between the sides of a stroke, small in a
/// corner.</param>
public readonly record struct WidthSample(
    PlanePoint At,
    PlanePoint Across,
    PlanePoint Centre,
    double Width,
    double Facing,
    int Ring,
    double Position,
    double Around
)
{
    /// <summary>A stroke's two sides face one another; in a corner they do not. Radians.</summary>
    internal const double FacingSides = 110 * Math.PI / 180;

    /// <summary>From side to side of a stroke the boundary goes at least this many widths; round a corner it is shorter.</summary>
    internal const double LeastAround = 6;

    /// <summary>Whether the place is a side of a stroke rather than part of a corner or an end.</summary>
    public bool IsStroke => Facing > FacingSides && Around > LeastAround * Width;
}

/// <summary>A ball that touches a boundary at a place and, unless it could not grow that far, on the other side.</summary>
/// <param name="Radius">Its radius.</param>
/// <param name="Centre">Its centre.</param>
/// <param name="Across">Where it touches on the other side; the place itself where it touches nothing else.</param>
/// <param name="On">The segment that this lies on; negative for none.</param>
/// <param name="Facing">The angle at the centre between the two places, in radians.</param>
internal readonly record struct TouchingBall(double Radius, PlanePoint Centre, PlanePoint Across, int On, double Facing);

/// <summary>
/// Local width of ink: the diameter of the largest disc within it (local thickness as in granulometry, Hildebrand
/// and Rüegsegger 1997), found for places along the boundary by shrinking a touching ball until it is empty
/// (Ma, Bae and Choi 2012).
/// </summary>
public static class LocalWidth
{
    private const int MostShrinks = 40;

    /// <summary>A ball that would shrink by less than this is taken as it is; a tenth of the checks' accuracy, in millimetres.</summary>
    private const double Converged = Tolerances.Check / 10;

    /// <summary>A ball is begun a little larger than the last one found: this share of its diameter.</summary>
    private const double GuessShare = 0.6;

    /// <summary>A place is narrow, and the ones around it are looked at closely, up to this many times the width asked about.</summary>
    private const double Narrow = 1.5;

    /// <summary>Coarse minima up to this many times the least could be the least when looked at closely.</summary>
    private const double NearlyLeast = 1.2;

    /// <summary>
    /// Samples along the whole boundary in its order, at most <paramref name="step"/> apart and at every notch; where the ink is
    /// not much wider than <paramref name="fineBelow"/> every vertex is looked at, and thrice between them.
    /// </summary>
    /// <param name="ink">The area; millimetres.</param>
    /// <param name="step">The greatest distance between samples.</param>
    /// <param name="fineBelow">The width under which samples are taken closer.</param>
    public static List<WidthSample> Along(Area ink, double step, double fineBelow)
    {
        ArgumentNullException.ThrowIfNull(ink);
        if (ink.IsEmpty)
        {
            return [];
        }

        using var grid = new SegmentGrid(ink);
        // No disc within is larger than half the box; starting a little above, the first shrink always meets the other side.
        var largest = 0.51 * Math.Min(ink.EnvelopeInternal.Width, ink.EnvelopeInternal.Height);
        var coarse = Coarse(grid, step, fineBelow, largest);
        return Refined(grid, coarse, Minima(coarse.Samples), step / 2, largest);
    }

    /// <summary>
    /// The thinnest stroke of ink of which nothing is thinner than a limit: the least local width that is a minimum along its side, so that
    /// strokes which run out into a tip are not counted by it. Null when there is none.
    /// </summary>
    /// <param name="samples">Width samples in the order of the boundary.</param>
    /// <param name="limit">The least width wanted.</param>
    public static (double Width, PlanePoint At)? Thinnest(IReadOnlyList<WidthSample> samples, double limit)
    {
        ArgumentNullException.ThrowIfNull(samples);
        WidthSample? least = null;
        for (var i = 0; i < samples.Count; i++)
        {
            var s = samples[i];
            if (
                s.IsStroke
                && s.Width >= limit - Tolerances.Check
                && (least is not { } l || s.Width < l.Width)
                && IsLeastNearby(samples, i, -1)
                && IsLeastNearby(samples, i, 1)
            )
            {
                least = s;
            }
        }

        return least is { } found ? (found.Width, found.Centre) : null;
    }

    /// <summary>Whether no sample within a width's distance along the boundary is narrower.</summary>
    private static bool IsLeastNearby(IReadOnlyList<WidthSample> samples, int i, int way)
    {
        var s = samples[i];
        for (
            var j = i + way;
            j >= 0 && j < samples.Count && samples[j].Ring == s.Ring && Math.Abs(samples[j].Position - s.Position) <= s.Width;
            j += way
        )
        {
            if (samples[j].Width < s.Width - (Tolerances.Check / 4))
            {
                return false;
            }
        }

        return true;
    }

    /// <summary>Samples at most <paramref name="step"/> apart, and for each segment where its own begin among them.</summary>
    private static (List<WidthSample> Samples, int[] FirstOf) Coarse(SegmentGrid grid, double step, double fineBelow, double largest)
    {
        // Curves are cut so finely that about every third or fourth segment is looked at.
        var samples = new List<WidthSample>(grid.Segments.Length / 3);
        var firstOf = new int[grid.Segments.Length + 1];
        var (ring, position, width) = (-1, 0.0, 2 * largest);
        for (var k = 0; k < grid.Segments.Length; k++)
        {
            firstOf[k] = samples.Count;
            ref readonly var segment = ref grid.Segments[k];
            if (
                ring == segment.Ring
                && width > Narrow * fineBelow
                && segment.Start + (segment.Length / 2) - position < step / 2
                && !segment.StartsAtNotch
            )
            {
                continue;
            }

            var count = Math.Max(1, (int)Math.Ceiling(segment.Length / step));
            for (var i = 0; i < count; i++)
            {
                var sample = At(grid, segment, (i + 0.5) / count, width, largest);
                if (sample.Width < fineBelow && segment.Length / count > step / 4)
                {
                    samples.Add(At(grid, segment, (i + 0.1) / count, sample.Width, largest));
                    samples.Add(sample);
                    samples.Add(At(grid, segment, (i + 0.9) / count, sample.Width, largest));
                }
                else
                {
                    samples.Add(sample);
                }

                (ring, position, width) = (sample.Ring, sample.Position, sample.Width);
            }
        }

        firstOf[^1] = samples.Count;
        return (samples, firstOf);
    }

    /// <summary>
    /// Places where a stroke is nearly as thin as the thinnest: its exact least width lies between the samples around them.
    /// </summary>
    private static List<WidthSample> Minima(List<WidthSample> samples)
    {
        var minima = new List<WidthSample>();
        for (var i = 1; i < samples.Count - 1; i++)
        {
            if (samples[i].IsStroke && samples[i].Width <= samples[i - 1].Width && samples[i].Width <= samples[i + 1].Width)
            {
                minima.Add(samples[i]);
            }
        }

        var least = minima.Count == 0 ? 0 : minima.Min(m => m.Width);
        return [.. minima.Where(m => m.Width <= NearlyLeast * least)];
    }

    /// <summary>The samples with one on every segment near a minimum besides.</summary>
    private static List<WidthSample> Refined(
        SegmentGrid grid,
        (List<WidthSample> Samples, int[] FirstOf) coarse,
        List<WidthSample> minima,
        double near,
        double largest
    )
    {
        var all = new List<WidthSample>(coarse.Samples.Count + (8 * minima.Count));
        var m = 0;
        for (var k = 0; k < grid.Segments.Length; k++)
        {
            ref readonly var segment = ref grid.Segments[k];
            var (first, next) = (coarse.FirstOf[k], coarse.FirstOf[k + 1]);
            for (var i = first; i < next; i++)
            {
                all.Add(coarse.Samples[i]);
            }

            while (
                m < minima.Count
                && (minima[m].Ring < segment.Ring || (minima[m].Ring == segment.Ring && minima[m].Position + near < segment.Start))
            )
            {
                m++;
            }

            if (
                first == next
                && m < minima.Count
                && minima[m].Ring == segment.Ring
                && minima[m].Position - near < segment.Start + segment.Length
            )
            {
                all.Add(At(grid, segment, 0.5, minima[m].Width, largest));
            }
        }

        return all;
    }

    /// <summary>The sample at a share of a segment; <paramref name="guess"/> is about its width, right or wrong.</summary>
    private static WidthSample At(SegmentGrid grid, in SegmentGrid.Segment segment, double share, double guess, double largest)
    {
        var p = segment.A.Towards(segment.B, share);
        var ball = Ball(grid, p, segment.Inward, Math.Min(Math.Max(GuessShare * guess, 1e-3), largest), largest);
        var position = segment.Start + (share * segment.Length);
        var around = AroundTo(grid, segment.Ring, position, ball.On, ball.Across);
        return new WidthSample(p, ball.Across, ball.Centre, 2 * ball.Radius, ball.Facing, segment.Ring, position, around);
    }

    /// <summary>The largest ball that touches the boundary at a place and holds nothing of it.</summary>
    /// <param name="grid">The boundary.</param>
    /// <param name="p">The place on it.</param>
    /// <param name="n">The unit normal there, to the side that is looked at.</param>
    /// <param name="r">About its radius, right or wrong.</param>
    /// <param name="largest">A radius that is not exceeded.</param>
    internal static TouchingBall Ball(SegmentGrid grid, PlanePoint p, PlanePoint n, double r, double largest)
    {
        var (q, across) = (p, -1);
        for (var i = 0; i < MostShrinks; i++)
        {
            var c = new PlanePoint(p.X + (r * n.X), p.Y + (r * n.Y));
            if (grid.Nearest(c, r - 1e-7) is not var (nearest, on))
            {
                // An empty ball is the answer once it was shrunk; before that it was begun too small.
                if (across >= 0 || r >= largest)
                {
                    break;
                }

                r = Math.Min(2 * r, largest);
                continue;
            }

            double dx = nearest.X - p.X,
                dy = nearest.Y - p.Y;
            var along = (dx * n.X) + (dy * n.Y);
            if (along <= 1e-12)
            {
                break;
            }

            (var shrunk, q) = Touching(grid.Segments[on], p, n, nearest);
            across = on;
            if (shrunk > r - Converged)
            {
                r = Math.Min(r, shrunk);
                break;
            }

            r = shrunk;
        }

        var facing = r < 1e-9 || q == p ? 0 : 2 * Math.Asin(Math.Min(1, p.To(q) / (2 * r)));
        return new TouchingBall(r, new PlanePoint(p.X + (r * n.X), p.Y + (r * n.Y)), q, across, facing);
    }

    /// <summary>The ball through p that touches a segment: where it does, within it or at an end; at least at a point of it.</summary>
    private static (double Radius, PlanePoint At) Touching(in SegmentGrid.Segment segment, PlanePoint p, PlanePoint n, PlanePoint nearest)
    {
        double ux = (segment.B.X - segment.A.X) / segment.Length,
            uy = (segment.B.Y - segment.A.Y) / segment.Length;
        // The centre p + r·n is as far from the segment's line as from p: d + r·(n·m) = r, m being the line's normal towards p.
        double vx = p.X - segment.A.X,
            vy = p.Y - segment.A.Y,
            side = (ux * vy) - (uy * vx),
            towards = ((ux * n.Y) - (uy * n.X)) * Math.Sign(side),
            radius = Math.Abs(side) / (1 - towards),
            along = ((vx + (radius * n.X)) * ux) + ((vy + (radius * n.Y)) * uy);
        if (towards < 1 && along >= 0 && along <= segment.Length)
        {
            return (radius, new PlanePoint(segment.A.X + (along * ux), segment.A.Y + (along * uy)));
        }

        var (atA, atB, there) = (Through(segment.A, p, n), Through(segment.B, p, n), Through(nearest, p, n));
        return there <= atA && there <= atB ? (there, nearest)
            : atA <= atB ? (atA, segment.A)
            : (atB, segment.B);
    }

    /// <summary>The radius of the ball that touches p, its centre along n, and goes through a point before it.</summary>
    private static double Through(PlanePoint q, PlanePoint p, PlanePoint n)
    {
        double dx = q.X - p.X,
            dy = q.Y - p.Y,
            along = (dx * n.X) + (dy * n.Y);
        return along <= 0 ? double.PositiveInfinity : ((dx * dx) + (dy * dy)) / (2 * along);
    }

    private static double AroundTo(SegmentGrid grid, int ring, double position, int across, PlanePoint q)
    {
        if (across < 0 || grid.Segments[across] is var other && other.Ring != ring)
        {
            return double.PositiveInfinity;
        }

        var way = Math.Abs(other.Start + other.A.To(q) - position);
        return Math.Min(way, grid.RingLengths[ring] - way);
    }
}
