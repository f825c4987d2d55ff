using Cabida.Core.Geometry;

namespace Cabida.Core.Layout;

/// <summary>
/// An area as bands of one height, each with the stretches that it takes of the band: never less than there is of it (the scanline
/// representation; Okano 2002).
/// </summary>
internal sealed class Bands
{
    /// <summary>What reaches into a band by less than this only touches it; millimetres.</summary>
    public const double Touching = 1e-9;

    private Bands(double foot, double[][] rows)
    {
        (Foot, Rows) = (foot, rows);
        var taken = rows.Where(r => r.Length > 0).ToList();
        MinX = taken.Count > 0 ? taken.Min(r => r[0]) : 0;
        MaxX = taken.Count > 0 ? taken.Max(r => r[^1]) : 0;
        ByWidth = [.. rows.Select((r, k) => (k, Width: WidestOf(r))).Where(r => r.Width > 0).OrderByDescending(r => r.Width)];
    }

    /// <summary>Where the lowest band begins.</summary>
    public double Foot { get; }

    /// <summary>The stretches of each band from the lowest: where each begins and ends, in order.</summary>
    public double[][] Rows { get; }

    /// <summary>The bands with the width of the widest stretch of each, the widest first.</summary>
    public (int Row, double Width)[] ByWidth { get; }

    /// <summary>Where the first stretch begins.</summary>
    public double MinX { get; }

    /// <summary>Where the last stretch ends.</summary>
    public double MaxX { get; }

    /// <summary>The bands of rings, by the even-odd rule.</summary>
    /// <param name="rings">Closed rings, without the first point repeated.</param>
    /// <param name="height">How high a band is.</param>
    /// <param name="foot">Where the lowest band begins.</param>
    /// <param name="count">How many bands there are.</param>
    public static Bands Of(IReadOnlyList<PlanePoint[]> rings, double height, double foot, int count) =>
        new(foot, Stretches(rings, height, foot, count));

    /// <summary>What a ground leaves no room in: all but it, as far to the sides as anything goes.</summary>
    public static Bands Outside(IReadOnlyList<PlanePoint[]> rings, double height, double foot, int count)
    {
        const double far = 1e7;
        var frame = new PlanePoint[] { new(-far, -far), new(far, -far), new(far, far), new(-far, far) };
        return Of([.. rings, frame], height, foot, count);
    }

    private static double WidestOf(double[] stretches)
    {
        var widest = 0.0;
        for (var s = 0; s < stretches.Length; s += 2)
        {
            widest = Math.Max(widest, stretches[s + 1] - stretches[s]);
        }

        return widest;
    }

    private static double[][] Stretches(IReadOnlyList<PlanePoint[]> rings, double height, double foot, int count)
    {
        var parts = new List<(double From, double To)>[count];
        for (var row = 0; row < count; row++)
        {
            parts[row] = [];
        }

        // What lies in a band is bounded by edges within it, and by what the area has of the lines below and above.
        foreach (var ring in rings)
        {
            var a = ring[^1];
            foreach (var b in ring)
            {
                var (low, high) = a.Y <= b.Y ? (a, b) : (b, a);
                var first = Math.Max(0, (int)Math.Floor((low.Y + Touching - foot) / height));
                var last = Math.Min(count - 1, (int)Math.Floor((high.Y - Touching - foot) / height));
                for (var row = first; row <= last; row++)
                {
                    var (x0, x1) = (At(low, high, foot + (row * height)), At(low, high, foot + ((row + 1) * height)));
                    parts[row].Add((Math.Min(x0, x1), Math.Max(x0, x1)));
                }

                a = b;
            }
        }

        for (var row = 0; row < count; row++)
        {
            var (low, high) = (foot + (row * height) + Touching, foot + ((row + 1) * height) - Touching);
            foreach (var spans in (List<double>[])[Rings.Spans(rings, low), Rings.Spans(rings, high)])
            {
                for (var i = 0; i + 1 < spans.Count; i += 2)
                {
                    parts[row].Add((spans[i], spans[i + 1]));
                }
            }
        }

        return Array.ConvertAll(parts, Merged);
    }

    /// <summary>Where an edge, from its lower end to its higher, is at a height or nearest to it.</summary>
    private static double At(PlanePoint low, PlanePoint high, double y) =>
        y <= low.Y ? low.X
        : y >= high.Y ? high.X
        : low.X + ((high.X - low.X) * (y - low.Y) / (high.Y - low.Y));

    /// <summary>Stretches as a list of where each begins and ends; those that overlap are one.</summary>
    internal static double[] Merged(List<(double From, double To)> stretches)
    {
        stretches.Sort();
        var merged = new List<double>();
        foreach (var (from, to) in stretches)
        {
            if (merged.Count > 0 && from <= merged[^1])
            {
                merged[^1] = Math.Max(merged[^1], to);
            }
            else
            {
                merged.Add(from);
                merged.Add(to);
            }
        }

        return [.. merged];
    }
}
