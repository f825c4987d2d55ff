using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>A closed contour in pixels, what is dark on its left.</summary>
/// <param name="Points">Its points in order.</param>
/// <param name="TouchesBorder">Whether it runs along the border of what is looked at.</param>
public sealed record LevelContour(IReadOnlyList<PlanePoint> Points, bool TouchesBorder)
{
    /// <summary>The area it encloses, in square pixels; negative when what is dark lies outside.</summary>
    public double SignedArea { get; } = AreaOf(Points);

    private static double AreaOf(IReadOnlyList<PlanePoint> points)
    {
        var sum = 0.0;
        for (int i = 0, j = points.Count - 1; i < points.Count; j = i++)
        {
            sum += (points[j].X * points[i].Y) - (points[i].X * points[j].Y);
        }

        // With y down a turn to the left has a negative area.
        return -sum / 2;
    }
}

/// <summary>
/// Marching squares: the lines along which brightness, as a share of the paper's, crosses a level. Row after row, so that
/// only the crossings are kept.
/// </summary>
internal static class LevelContours
{
    /// <summary>More crossings than this are not drawing but noise or a photograph.</summary>
    public const int MostCrossings = 4_000_000;

    /// <summary>All contours, or null when there are too many.</summary>
    /// <param name="picture">The picture, smoothed.</param>
    /// <param name="light">The paper's light.</param>
    /// <param name="level">The level, as a share of the paper's brightness.</param>
    /// <param name="row">From where to where a row of pixels is looked at.</param>
    /// <param name="stop">Stops it.</param>
    public static List<LevelContour>? Of(
        GreyPicture picture,
        PaperLight light,
        double level,
        Func<int, (int From, int To)> row,
        CancellationToken stop
    )
    {
        var next = new Dictionary<long, (long To, PlanePoint At)>();
        // A frame of paper around the picture closes what runs off it.
        var width = picture.Width + 2;
        var above = new float[width];
        var here = new float[width];
        Array.Fill(above, 1f);
        for (var y = 0; y <= picture.Height; y++)
        {
            if (y % 256 == 0)
            {
                stop.ThrowIfCancellationRequested();
            }

            Fill(here, y);
            for (var x = 0; x + 1 < width; x++)
            {
                float a = above[x],
                    b = above[x + 1],
                    c = here[x + 1],
                    d = here[x];
                var which = (a < level ? 1 : 0) | (b < level ? 2 : 0) | (c < level ? 4 : 0) | (d < level ? 8 : 0);
                if (which is not (0 or 15))
                {
                    Square(x, y, a, b, c, d, which);
                }
            }

            if (next.Count > MostCrossings)
            {
                return null;
            }

            (above, here) = (here, above);
        }

        return Chain(next, picture, row);

        void Fill(float[] into, int y)
        {
            Array.Fill(into, 1f);
            if (y >= picture.Height)
            {
                return;
            }

            var (from, to) = row(y);
            var pixels = picture.Pixels.AsSpan(y * picture.Width, picture.Width);
            for (var x = from; x < to; x++)
            {
                into[x + 1] = pixels[x];
            }

            // Light changes slowly, so its reciprocal is taken every few pixels.
            const int Run = 16;
            for (var x = from; x < to; x += Run)
            {
                var share = (float)(1 / light.At(x + (Run / 2.0), y + 0.5));
                for (var i = x; i < Math.Min(x + Run, to); i++)
                {
                    into[i + 1] *= share;
                }
            }
        }

        // Corners a b c d lie at upper left, upper right, lower right, lower left; edges 0 top, 1 right, 2 bottom, 3 left.
        void Square(int x, int y, float a, float b, float c, float d, int which)
        {
            switch (which)
            {
                case 5 when (a + b + c + d) / 4 < level:
                    Add(0, 1);
                    Add(2, 3);
                    return;
                case 5:
                    Add(0, 3);
                    Add(2, 1);
                    return;
                case 10 when (a + b + c + d) / 4 < level:
                    Add(3, 0);
                    Add(1, 2);
                    return;
                case 10:
                    Add(1, 0);
                    Add(3, 2);
                    return;
            }

            // The dark lies on the left of the way from the second edge to the first (y is down).
            var (from, to) = which switch
            {
                1 => (0, 3),
                2 => (1, 0),
                3 => (1, 3),
                4 => (2, 1),
                6 => (2, 0),
                7 => (2, 3),
                8 => (3, 2),
                9 => (0, 2),
                11 => (1, 2),
                12 => (3, 1),
                13 => (0, 1),
                _ => (3, 0),
            };
            Add(from, to);

            void Add(int start, int end) => next[Key(end)] = (Key(start), At(end));

            long Key(int edge) =>
                edge switch
                {
                    0 => 2 * (((long)y * width) + x),
                    1 => (2 * (((long)y * width) + x + 1)) + 1,
                    2 => 2 * (((long)(y + 1) * width) + x),
                    _ => (2 * (((long)y * width) + x)) + 1,
                };

            PlanePoint At(int edge)
            {
                double Share(float p, float q) => (level - p) / (q - p);
                // The square's upper left corner is the middle of pixel (x − 1, y − 1).
                double left = x - 0.5,
                    top = y - 0.5;
                return edge switch
                {
                    0 => new(left + Share(a, b), top),
                    1 => new(left + 1, top + Share(b, c)),
                    2 => new(left + Share(d, c), top + 1),
                    _ => new(left, top + Share(a, d)),
                };
            }
        }
    }

    private static List<LevelContour> Chain(
        Dictionary<long, (long To, PlanePoint At)> next,
        GreyPicture picture,
        Func<int, (int From, int To)> row
    )
    {
        var contours = new List<LevelContour>();
        foreach (var start in next.Keys.Order().ToList())
        {
            if (!next.ContainsKey(start))
            {
                continue;
            }

            var points = new List<PlanePoint>();
            var touches = false;
            for (var at = start; next.Remove(at, out var step); at = step.To)
            {
                points.Add(step.At);
                var (from, to) = row(Math.Clamp((int)step.At.Y, 0, picture.Height - 1));
                touches |= step.At.X < from + 1 || step.At.X > to - 1 || step.At.Y < 1 || step.At.Y > picture.Height - 1;
            }

            contours.Add(new LevelContour(points, touches));
        }

        return contours;
    }
}
