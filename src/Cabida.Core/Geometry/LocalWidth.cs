using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>The largest disc within the ink that touches its boundary at one place.</summary>
/// <param name="At">The place on the boundary.</param>
/// <param name="Across">Where the disc touches on the other side.</param>
/// <param name="Centre">The disc's centre, a point of the ink's middle line.</param>
/// <param name="Width">The disc's diameter: the local width there.</param>
/// <param name="Facing">The angle at the centre between the two places, in radians: near π between the sides of a stroke, small in a corner.</param>
public readonly record struct WidthSample(PlanePoint At, PlanePoint Across, PlanePoint Centre, double Width, double Facing);

/// <summary>
/// Local width of ink: the diameter of the largest disc within it (local thickness as in granulometry, Hildebrand
/// and Rüegsegger 1997), found for places along the boundary by shrinking a touching ball until it is empty
/// (Ma, Bae and Choi 2012).
/// </summary>
public static class LocalWidth
{
    private const int MostShrinks = 40;

    /// <summary>
    /// Samples along the whole boundary, at most <paramref name="step"/> apart, and twice that fine where a sample is
    /// narrower than <paramref name="fineBelow"/>.
    /// </summary>
    /// <param name="ink">The area; millimetres.</param>
    /// <param name="step">The greatest distance between samples.</param>
    /// <param name="fineBelow">The width under which samples are taken closer.</param>
    public static List<WidthSample> Along(Area ink, double step, double fineBelow)
    {
        ArgumentNullException.ThrowIfNull(ink);
        var samples = new List<WidthSample>();
        if (ink.IsEmpty)
        {
            return samples;
        }

        var grid = new SegmentGrid(ink);
        // No disc within is larger than half the box; starting a little above, the first shrink always meets the other side.
        var largest = 0.51 * Math.Min(ink.EnvelopeInternal.Width, ink.EnvelopeInternal.Height);
        foreach (var segment in grid.Segments)
        {
            var count = Math.Max(1, (int)Math.Ceiling(segment.Length / step));
            for (var i = 0; i < count; i++)
            {
                var sample = At(grid, segment, (i + 0.5) / count, largest);
                samples.Add(sample);
                if (sample.Width < fineBelow && segment.Length / count > step / 4)
                {
                    samples.Add(At(grid, segment, (i + 0.1) / count, largest));
                    samples.Add(At(grid, segment, (i + 0.9) / count, largest));
                }
            }
        }

        return samples;
    }

    private static WidthSample At(SegmentGrid grid, SegmentGrid.Segment segment, double share, double largest)
    {
        var p = segment.A.Towards(segment.B, share);
        var n = segment.Inward;
        var r = largest;
        var q = p;
        for (var i = 0; i < MostShrinks; i++)
        {
            var c = new PlanePoint(p.X + (r * n.X), p.Y + (r * n.Y));
            if (grid.Nearest(c, r - 1e-7) is not { } nearest)
            {
                break;
            }

            double dx = nearest.X - p.X, dy = nearest.Y - p.Y;
            var along = (dx * n.X) + (dy * n.Y);
            if (along <= 1e-12)
            {
                break;
            }

            var shrunk = ((dx * dx) + (dy * dy)) / (2 * along);
            q = nearest;
            if (shrunk > r - 1e-6)
            {
                r = Math.Min(r, shrunk);
                break;
            }

            r = shrunk;
        }

        var centre = new PlanePoint(p.X + (r * n.X), p.Y + (r * n.Y));
        var facing = r < 1e-9 || q == p ? 0 : 2 * Math.Asin(Math.Min(1, p.To(q) / (2 * r)));
        return new WidthSample(p, q, centre, 2 * r, facing);
    }
}
