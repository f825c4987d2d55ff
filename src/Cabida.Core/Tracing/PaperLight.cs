namespace Cabida.Core.Tracing;

/// <summary>
/// How bright blank paper is at every place of a picture: a cubic surface through the bright part of small cells, fitted
/// again and again without those that lie under it, since they hold drawing and not paper.
/// </summary>
public sealed class PaperLight
{
    private const int Cell = 24;
    private const int Terms = 10;
    private const int Rounds = 14;

    /// <summary>A cell this share darker than the surface is no paper; the share it ends at.</summary>
    private const double Darker = 0.05;

    private const double BrightShare = 0.7;

    private readonly double[] surface;
    private readonly int width;
    private readonly int height;

    private PaperLight(double[] surface, int width, int height, double noise)
    {
        this.surface = surface;
        this.width = width;
        this.height = height;
        Noise = noise;
    }

    /// <summary>Light that is the same everywhere.</summary>
    /// <param name="bright">The brightness.</param>
    public static PaperLight Even(double bright) => new([bright, .. new double[Terms - 1]], 1, 1, 0);

    /// <summary>The standard deviation of blank paper around the surface, as a share of it.</summary>
    public double Noise { get; }

    /// <summary>Measures the light on a picture that was smoothed.</summary>
    /// <param name="picture">The picture.</param>
    /// <param name="inside">Whether a place, in pixels, is looked at.</param>
    public static PaperLight Of(GreyPicture picture, Func<double, double, bool> inside)
    {
        ArgumentNullException.ThrowIfNull(picture);
        ArgumentNullException.ThrowIfNull(inside);
        // Large pictures are sampled: a hundred cells each way tell the light well enough.
        var step = Math.Max(Cell, Math.Max(picture.Width, picture.Height) / 120);
        var cells = new List<(double X, double Y, double Bright, double Spread)>();
        var values = new byte[Cell * Cell];
        for (var y = 0; y + Cell <= picture.Height; y += step)
        {
            for (var x = 0; x + Cell <= picture.Width; x += step)
            {
                if (!inside(x, y) || !inside(x + Cell, y) || !inside(x, y + Cell) || !inside(x + Cell, y + Cell))
                {
                    continue;
                }

                for (var j = 0; j < Cell; j++)
                {
                    picture.Pixels.AsSpan(((y + j) * picture.Width) + x, Cell).CopyTo(values.AsSpan(j * Cell));
                }

                Array.Sort(values);
                double bright = values[(int)(BrightShare * values.Length)];
                // From the middle to the bright end only: the dark end may hold drawing.
                var spread = (values[(int)(0.9 * values.Length)] - values[(int)(0.5 * values.Length)]) / 1.2816;
                cells.Add((x + (Cell / 2.0), y + (Cell / 2.0), bright, spread));
            }
        }

        if (cells.Count < Terms)
        {
            return new PaperLight([255, 0, 0, 0, 0, 0, 0, 0, 0, 0], picture.Width, picture.Height, 0.02);
        }

        // It begins from the brighter half, so that a large dark shape does not pull the surface down.
        var middle = cells.Select(c => c.Bright).Order().ElementAt(cells.Count / 2);
        var kept = cells.Where(c => c.Bright >= middle).ToList();
        double[] fit = [middle, 0, 0, 0, 0, 0, 0, 0, 0, 0];
        for (var round = 0; round < Rounds && kept.Count >= Terms; round++)
        {
            fit = Fit(kept, picture);
            var light = new PaperLight(fit, picture.Width, picture.Height, 0);
            // The tolerance tightens as the surface settles.
            var tolerance = Darker + (0.2 * Math.Pow(0.7, round));
            kept = [.. cells.Where(c => c.Bright > (1 - tolerance) * light.At(c.X, c.Y))];
        }

        var settled = new PaperLight(fit, picture.Width, picture.Height, 0);
        var noise = kept.Count == 0 ? 0.02 : kept.Select(c => c.Spread / settled.At(c.X, c.Y)).Order().ElementAt(kept.Count / 2);
        return new PaperLight(fit, picture.Width, picture.Height, noise);
    }

    /// <summary>The brightness of paper at a place, in pixels.</summary>
    public double At(double x, double y)
    {
        double u = (2 * x / width) - 1,
            v = (2 * y / height) - 1;
        var s = surface;
        return Math.Max(
            8,
            s[0]
                + (u * (s[1] + (u * (s[3] + (u * s[6])))))
                + (v * (s[2] + (v * (s[5] + (v * s[9])))))
                + (u * v * (s[4] + (u * s[7]) + (v * s[8])))
        );
    }

    private static double[] Fit(List<(double X, double Y, double Bright, double Spread)> cells, GreyPicture picture)
    {
        var rows = Enumerable.Range(0, Terms).Select(_ => new double[Terms + 1]).ToArray();
        foreach (var (x, y, bright, _) in cells)
        {
            double u = (2 * x / picture.Width) - 1,
                v = (2 * y / picture.Height) - 1;
            double[] t = [1, u, v, u * u, u * v, v * v, u * u * u, u * u * v, u * v * v, v * v * v];
            for (var i = 0; i < Terms; i++)
            {
                for (var j = 0; j < Terms; j++)
                {
                    rows[i][j] += t[i] * t[j];
                }

                rows[i][Terms] += t[i] * bright;
            }
        }

        for (var i = 0; i < Terms; i++)
        {
            // A touch of damping keeps directions that no cell tells about from running away.
            rows[i][i] += 1e-6 * cells.Count;
        }

        return LinearSystem.Solve(rows);
    }
}
