using Cabida.Core.Geometry;

namespace Cabida.Core.Tests.Geometry.Widths;

/// <summary>
/// An area as a raster of 0.02 mm, and what opening by a disc removes of it, by distance transforms (Felzenszwalb and Huttenlocher 2012):
/// it shares nothing with what it is compared with.
/// </summary>
internal sealed class Raster
{
    public const double Pitch = 0.02;
    private const int Far = int.MaxValue / 4;

    private readonly double left;
    private readonly double bottom;
    private readonly bool[] ink;

    /// <summary>The ink; or what lies around it, as far as <paramref name="around"/>.</summary>
    public Raster(NetTopologySuite.Geometries.Geometry area, double around, bool background)
    {
        var box = area.EnvelopeInternal;
        (left, bottom) = (box.MinX - around, box.MinY - around);
        (Width, Height) = ((int)((box.Width + (2 * around)) / Pitch) + 2, (int)((box.Height + (2 * around)) / Pitch) + 2);
        ink = new bool[Width * Height];
        Fill(area);
        if (background)
        {
            for (var i = 0; i < ink.Length; i++)
            {
                ink[i] = !ink[i];
            }
        }

        // Of ink what lies beyond the raster is background; of the background it is background as well.
        Depth = Distances(ink.Select(i => !i).ToArray(), beyond: !background);
    }

    public int Width { get; }

    public int Height { get; }

    /// <summary>Squared distances to what is not in it, in pixels.</summary>
    public int[] Depth { get; }

    public bool this[int i] => ink[i];

    public int? IndexOf(PlanePoint at)
    {
        var (x, y) = ((int)Math.Floor((at.X - left) / Pitch), (int)Math.Floor((at.Y - bottom) / Pitch));
        return x >= 0 && y >= 0 && x < Width && y < Height ? (y * Width) + x : null;
    }

    public PlanePoint PlaceOf(int i) => new(left + (((i % Width) + 0.5) * Pitch), bottom + (((i / Width) + 0.5) * Pitch));

    /// <summary>The greatest squared distance to an edge close about a pixel.</summary>
    public int DepthAbout(int i) => Around(i).SelectMany(Around).SelectMany(Around).Max(n => Depth[n]);

    /// <summary>What is left of it after opening by a disc of a diameter.</summary>
    public bool[] Opened(double diameter)
    {
        // A pixel's centre lies half a pixel deeper than the edge that its neighbour begins.
        var least = Math.Pow(Math.Max(0, (diameter / 2 / Pitch) + 0.5), 2);
        var kernel = Distances([.. Depth.Select(d => d >= least)], beyond: false);
        var reach = Math.Pow((diameter / 2 / Pitch) + 0.5, 2);
        return [.. kernel.Select((d, i) => ink[i] && d <= reach)];
    }

    /// <summary>Numbers the groups of pixels that hang together, from 1; diagonals count.</summary>
    public (int[] Labels, int Count) Label(Func<int, bool> belongs)
    {
        var labels = new int[ink.Length];
        var count = 0;
        var stack = new Stack<int>();
        for (var i = 0; i < labels.Length; i++)
        {
            if (labels[i] != 0 || !belongs(i))
            {
                continue;
            }

            labels[i] = ++count;
            stack.Push(i);
            while (stack.TryPop(out var at))
            {
                foreach (var n in Around(at))
                {
                    if (labels[n] == 0 && belongs(n))
                    {
                        labels[n] = count;
                        stack.Push(n);
                    }
                }
            }
        }

        return (labels, count);
    }

    public IEnumerable<int> Around(int i)
    {
        var (x, y) = (i % Width, i / Width);
        for (var dy = -1; dy <= 1; dy++)
        {
            for (var dx = -1; dx <= 1; dx++)
            {
                if ((dx != 0 || dy != 0) && x + dx >= 0 && x + dx < Width && y + dy >= 0 && y + dy < Height)
                {
                    yield return ((y + dy) * Width) + x + dx;
                }
            }
        }
    }

    /// <summary>Squared distances in pixels to the nearest of some pixels.</summary>
    public int[] Distances(bool[] to, bool beyond)
    {
        var squares = new int[to.Length];
        var column = new int[Math.Max(Width, Height)];
        for (var x = 0; x < Width; x++)
        {
            var since = beyond ? 0 : Far;
            for (var y = 0; y < Height; y++)
            {
                since = to[(y * Width) + x] ? 0 : Math.Min(since + 1, Far);
                column[y] = since;
            }

            since = beyond ? 0 : Far;
            for (var y = Height - 1; y >= 0; y--)
            {
                since = to[(y * Width) + x] ? 0 : Math.Min(since + 1, Far);
                var least = Math.Min(column[y], since);
                squares[(y * Width) + x] = least > 30_000 ? Far : least * least;
            }
        }

        var (hull, starts, row) = (new int[Width], new double[Width + 1], new int[Width]);
        for (var y = 0; y < Height; y++)
        {
            Array.Copy(squares, y * Width, row, 0, Width);
            var k = -1;
            for (var x = 0; x < Width; x++)
            {
                if (row[x] >= Far)
                {
                    continue;
                }

                double s = double.NegativeInfinity;
                while (k >= 0)
                {
                    s = ((row[x] + ((double)x * x)) - (row[hull[k]] + ((double)hull[k] * hull[k]))) / (2.0 * (x - hull[k]));
                    if (s > starts[k])
                    {
                        break;
                    }

                    k--;
                }

                k++;
                hull[k] = x;
                starts[k] = k == 0 ? double.NegativeInfinity : s;
                starts[k + 1] = double.PositiveInfinity;
            }

            for (int x = 0, at = 0; x < Width; x++)
            {
                var square = Far;
                if (k >= 0)
                {
                    while (starts[at + 1] < x)
                    {
                        at++;
                    }

                    square = ((x - hull[at]) * (x - hull[at])) + row[hull[at]];
                }

                if (beyond)
                {
                    var side = Math.Min(x + 1, Width - x);
                    square = Math.Min(square, side * side);
                }

                squares[(y * Width) + x] = square;
            }
        }

        return squares;
    }

    private void Fill(NetTopologySuite.Geometries.Geometry area)
    {
        var crossings = new List<double>[Height];
        foreach (var ring in Outlines.RingsOf(area))
        {
            var points = ring.Coordinates;
            for (var i = 0; i < points.Length - 1; i++)
            {
                var (a, b) = points[i].Y < points[i + 1].Y ? (points[i], points[i + 1]) : (points[i + 1], points[i]);
                for (
                    var y = Math.Max(0, (int)Math.Ceiling(((a.Y - bottom) / Pitch) - 0.5));
                    y < Height && bottom + ((y + 0.5) * Pitch) < b.Y;
                    y++
                )
                {
                    var at = bottom + ((y + 0.5) * Pitch);
                    (crossings[y] ??= []).Add(a.X + ((at - a.Y) / (b.Y - a.Y) * (b.X - a.X)));
                }
            }
        }

        for (var y = 0; y < Height; y++)
        {
            var xs = crossings[y];
            xs?.Sort();
            for (var i = 0; xs is not null && i + 1 < xs.Count; i += 2)
            {
                for (
                    var x = Math.Max(0, (int)Math.Ceiling(((xs[i] - left) / Pitch) - 0.5));
                    x < Width && left + ((x + 0.5) * Pitch) < xs[i + 1];
                    x++
                )
                {
                    ink[(y * Width) + x] = true;
                }
            }
        }
    }
}
