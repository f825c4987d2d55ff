using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>
/// Takes the jitter out of a followed outline: each point moves to the weighted mean of its neighbours along the outline,
/// but never by more than the tolerance, so that corners stay where they are to within it; then points that the others
/// imply are left out (Douglas and Peucker 1973).
/// </summary>
public static class OutlineSmoothing
{
    /// <summary>Points are implied when they lie this share of the tolerance from the line.</summary>
    private const double Implied = 0.2;

    /// <summary>A smoothed closed outline.</summary>
    /// <param name="ring">Its points, closed by implication.</param>
    /// <param name="spread">How far along the outline neighbours count, in its unit.</param>
    /// <param name="tolerance">How far a point may be moved.</param>
    public static List<PlanePoint> Of(IReadOnlyList<PlanePoint> ring, double spread, double tolerance)
    {
        ArgumentNullException.ThrowIfNull(ring);
        var n = ring.Count;
        if (n < 8 || spread <= 0)
        {
            return [.. ring];
        }

        var smooth = new List<PlanePoint>(n);
        for (var i = 0; i < n; i++)
        {
            double sx = ring[i].X,
                sy = ring[i].Y,
                sum = 1;
            foreach (var way in new[] { 1, -1 })
            {
                var along = 0.0;
                for (var k = 1; k < n / 2; k++)
                {
                    PlanePoint p = ring[(i + (way * k) + n) % n],
                        q = ring[(i + (way * (k - 1)) + n) % n];
                    along += p.To(q);
                    if (along > 3 * spread)
                    {
                        break;
                    }

                    var w = Math.Exp(-along * along / (2 * spread * spread));
                    (sx, sy, sum) = (sx + (w * p.X), sy + (w * p.Y), sum + w);
                }
            }

            var to = new PlanePoint(sx / sum, sy / sum);
            var by = ring[i].To(to);
            smooth.Add(by <= tolerance ? to : ring[i].Towards(to, tolerance / by));
        }

        return Simplified(smooth, Implied * tolerance);
    }

    /// <summary>A closed outline without the points that the others imply to within a tolerance.</summary>
    public static List<PlanePoint> Simplified(IReadOnlyList<PlanePoint> ring, double tolerance)
    {
        ArgumentNullException.ThrowIfNull(ring);
        var n = ring.Count;
        if (n < 4)
        {
            return [.. ring];
        }

        var far = Enumerable.Range(0, n).MaxBy(i => ring[i].To(ring[0]));
        var keep = new bool[n];
        keep[0] = keep[far] = true;
        var spans = new Stack<(int From, int To)>([(0, far), (far, n)]);
        while (spans.TryPop(out var span))
        {
            PlanePoint a = ring[span.From],
                b = ring[span.To % n];
            var length = a.To(b);
            var (worst, at) = (tolerance, -1);
            for (var i = span.From + 1; i < span.To; i++)
            {
                var p = ring[i];
                var d = length < 1e-12 ? p.To(a) : Math.Abs(((b.X - a.X) * (p.Y - a.Y)) - ((b.Y - a.Y) * (p.X - a.X))) / length;
                if (d > worst)
                {
                    (worst, at) = (d, i);
                }
            }

            if (at >= 0)
            {
                keep[at] = true;
                spans.Push((span.From, at));
                spans.Push((at, span.To));
            }
        }

        return [.. Enumerable.Range(0, n).Where(i => keep[i]).Select(i => ring[i])];
    }
}
