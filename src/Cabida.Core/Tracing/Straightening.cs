using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>
/// Turns an outline that lay crooked on the paper upright by its straight edges: the directions of all of it are counted modulo a quarter
/// turn, each by its length, and the strongest is the edge. What has none (a star, a leaf, a ring) is left as it lies.
/// </summary>
public static class Straightening
{
    /// <summary>Paper is never laid more crooked than this by mistake; what leans more was drawn so. Degrees.</summary>
    private const double Most = 12;

    /// <summary>Directions are counted together when they lie this near; degrees.</summary>
    private const double Window = 0.8;

    /// <summary>An upright edge makes at least this share of the outline.</summary>
    private const double LeastShare = 0.27;

    /// <summary>Chords of this share of the whole outline are looked at, so that the jitter of a pencil does not hide an edge.</summary>
    private const double Chord = 0.03;

    /// <summary>Turning by less than this changes nothing; degrees.</summary>
    private const double WorthIt = 0.05;

    /// <summary>What came of it.</summary>
    /// <param name="Rings">The rings, turned together about the origin.</param>
    /// <param name="By">How far they were turned, anticlockwise; zero where they stood upright or lean too far.</param>
    /// <param name="HasEdge">Whether there is a clear upright edge at all.</param>
    public sealed record Straightened(IReadOnlyList<IReadOnlyList<PlanePoint>> Rings, Measures.Angle By, bool HasEdge);

    /// <summary>The rings stood upright.</summary>
    public static Straightened Upright(IReadOnlyList<IReadOnlyList<PlanePoint>> rings)
    {
        ArgumentNullException.ThrowIfNull(rings);
        var directions = Directions(rings[0]);
        var total = directions.Sum(d => d.Length);
        var found = (Lean: 0.0, Share: 0.0);
        // Leans lie between −45° and 45°; the window is moved from one direction to the next.
        foreach (var (lean, _) in directions)
        {
            var near = directions.Where(d => Math.Abs(Apart(d.Lean, lean)) <= Window).ToList();
            var share = near.Sum(d => d.Length) / total;
            if (share > found.Share + 1e-9)
            {
                found = (lean + (near.Sum(d => d.Length * Apart(d.Lean, lean)) / near.Sum(d => d.Length)), share);
            }
        }

        if (found.Share < LeastShare)
        {
            return new Straightened(rings, default, false);
        }

        if (Math.Abs(found.Lean) > Most || Math.Abs(found.Lean) < WorthIt)
        {
            return new Straightened(rings, default, true);
        }

        var by = Measures.Angle.FromDegrees(-found.Lean);
        return new Straightened([.. rings.Select(IReadOnlyList<PlanePoint> (r) => [.. r.Select(p => Turned(p, by.Radians))])], by, true);
    }

    /// <summary>
    /// The directions of an outline's chords, each of about the same length, as how far they lean from a quarter turn; degrees.
    /// </summary>
    private static List<(double Lean, double Length)> Directions(IReadOnlyList<PlanePoint> ring)
    {
        List<double> along = [0];
        for (var i = 0; i < ring.Count; i++)
        {
            along.Add(along[^1] + ring[i].To(ring[(i + 1) % ring.Count]));
        }

        var whole = along[^1];
        // Corners fall within chords, so that there are chords enough between two of them.
        const int Steps = 400;
        PlanePoint At(double s)
        {
            s = ((s % whole) + whole) % whole;
            var i = along.BinarySearch(s);
            i = Math.Clamp(i < 0 ? ~i - 1 : i, 0, ring.Count - 1);
            return ring[i].Towards(ring[(i + 1) % ring.Count], (s - along[i]) / Math.Max(1e-12, along[i + 1] - along[i]));
        }

        return
        [
            .. Enumerable
                .Range(0, Steps)
                .Select(i => (From: At(whole * i / Steps), To: At(whole * ((i / (double)Steps) + Chord))))
                .Select(c => (Lean: LeanOf(c.From, c.To), Length: c.From.To(c.To)))
                .Where(c => c.Length > 0.9 * Chord * whole),
        ];
    }

    private static double LeanOf(PlanePoint a, PlanePoint b)
    {
        var degrees = Math.Atan2(b.Y - a.Y, b.X - a.X) * 180 / Math.PI;
        return degrees - (90 * Math.Round(degrees / 90));
    }

    /// <summary>From one lean to another, the short way round a quarter turn.</summary>
    private static double Apart(double to, double from) => to - from - (90 * Math.Round((to - from) / 90));

    private static PlanePoint Turned(PlanePoint p, double by) =>
        new((p.X * Math.Cos(by)) - (p.Y * Math.Sin(by)), (p.X * Math.Sin(by)) + (p.Y * Math.Cos(by)));
}
