namespace Cabida.Core.Tracing;

/// <summary>The few flat colours of a picture, and which of them each pixel is.</summary>
/// <param name="Colours">Red, green and blue of each, the commonest first.</param>
/// <param name="Of">The colour of each pixel, by its place in that list; <see cref="Clear"/> for one that is clear.</param>
public sealed record FlatColours(IReadOnlyList<(double R, double G, double B)> Colours, byte[] Of)
{
    /// <summary>The place of pixels that are no colour, since nothing is there.</summary>
    public const byte Clear = byte.MaxValue;

    private const int Rounds = 12;
    private const int CellBits = 4;

    /// <summary>Colours nearer than this, in steps of a byte, are one.</summary>
    private const double SameColour = 24;

    /// <summary>
    /// Sorts pixels into at most so many colours: the first from the commonest cell of a coarse colour cube, each next from
    /// the cell that is most common and farthest from those before; then settled by means (Lloyd 1982). The same picture
    /// always gives the same colours.
    /// </summary>
    public static FlatColours Find(ColourPicture picture, int most)
    {
        ArgumentNullException.ThrowIfNull(picture);
        var cells = Cells(picture);
        var colours = new List<(double R, double G, double B)>();
        while (colours.Count < most && cells.Count > 0)
        {
            var next = cells.MaxBy(c => c.Count * (colours.Count == 0 ? 1 : colours.Min(k => Apart(k, c.Mean))));
            if (colours.Count > 0 && colours.Min(k => Apart(k, next.Mean)) < SameColour * SameColour)
            {
                break;
            }

            colours.Add(next.Mean);
        }

        for (var round = 0; round < Rounds; round++)
        {
            var sums = new (double R, double G, double B, double N)[colours.Count];
            foreach (var (mean, count) in cells)
            {
                var k = Nearest(colours, mean);
                sums[k] = (sums[k].R + (mean.R * count), sums[k].G + (mean.G * count), sums[k].B + (mean.B * count), sums[k].N + count);
            }

            colours =
            [
                .. colours.Select((c, k) => sums[k].N > 0 ? (sums[k].R / sums[k].N, sums[k].G / sums[k].N, sums[k].B / sums[k].N) : c),
            ];
        }

        var of = new byte[picture.Width * picture.Height];
        for (var i = 0; i < of.Length; i++)
        {
            of[i] = !picture.IsThere(i)
                ? Clear
                : (byte)Nearest(colours, (picture.Pixels[3 * i], picture.Pixels[(3 * i) + 1], picture.Pixels[(3 * i) + 2]));
        }

        var byCount = Enumerable.Range(0, colours.Count).OrderByDescending(k => of.Count(c => c == k)).ToList();
        var place = byCount.Select((k, i) => (k, i)).ToDictionary(p => p.k, p => (byte)p.i);
        return new FlatColours([.. byCount.Select(k => colours[k])], [.. of.Select(c => c == Clear ? Clear : place[c])]);
    }

    private static List<((double R, double G, double B) Mean, int Count)> Cells(ColourPicture picture)
    {
        var pixels = picture.Pixels;
        const int Shift = 8 - CellBits;
        var sums = new Dictionary<int, (double R, double G, double B, int N)>();
        for (var i = 0; i + 2 < pixels.Length; i += 3)
        {
            if (!picture.IsThere(i / 3))
            {
                continue;
            }

            var key = ((pixels[i] >> Shift) << (2 * CellBits)) | ((pixels[i + 1] >> Shift) << CellBits) | (pixels[i + 2] >> Shift);
            var s = sums.GetValueOrDefault(key);
            sums[key] = (s.R + pixels[i], s.G + pixels[i + 1], s.B + pixels[i + 2], s.N + 1);
        }

        return
        [
            .. sums.OrderBy(s => s.Key).Select(s => ((s.Value.R / s.Value.N, s.Value.G / s.Value.N, s.Value.B / s.Value.N), s.Value.N)),
        ];
    }

    private static int Nearest(List<(double R, double G, double B)> colours, (double R, double G, double B) to)
    {
        var best = 0;
        for (var k = 1; k < colours.Count; k++)
        {
            best = Apart(colours[k], to) < Apart(colours[best], to) ? k : best;
        }

        return best;
    }

    private static double Apart((double R, double G, double B) a, (double R, double G, double B) b) =>
        ((a.R - b.R) * (a.R - b.R)) + ((a.G - b.G) * (a.G - b.G)) + ((a.B - b.B) * (a.B - b.B));
}
