using NetTopologySuite.Geometries;

namespace Cabida.Core.Geometry;

/// <summary>
/// How often closed rings go round a point: upward crossings to its right less downward ones. Kept in level bands, so that a question
/// looks at few edges.
/// </summary>
internal sealed class Windings
{
    private const int MostBands = 2048;

    private readonly List<(Coordinate From, Coordinate To, int Ring)>[] bands;
    private readonly double foot;
    private readonly double perUnit;

    /// <summary>Takes rings whose first corner is repeated at the end.</summary>
    public Windings(IReadOnlyList<Coordinate[]> rings)
    {
        var box = new Envelope();
        var edges = 0;
        foreach (var ring in rings)
        {
            edges += ring.Length - 1;
            foreach (var corner in ring)
            {
                box.ExpandToInclude(corner);
            }
        }

        bands =
        [
            .. Enumerable.Range(0, (int)Math.Clamp(Math.Sqrt(edges), 1, MostBands)).Select(_ => new List<(Coordinate, Coordinate, int)>()),
        ];
        (foot, perUnit) = (box.MinY, box.Height > 0 ? bands.Length / box.Height : 0);
        for (var r = 0; r < rings.Count; r++)
        {
            for (var i = 0; i + 1 < rings[r].Length; i++)
            {
                var (a, b) = (rings[r][i], rings[r][i + 1]);
                // A level edge is crossed by no level ray.
                for (int band = Band(Math.Min(a.Y, b.Y)), last = Band(Math.Max(a.Y, b.Y)); a.Y != b.Y && band <= last; band++)
                {
                    bands[band].Add((a, b, r));
                }
            }
        }
    }

    /// <summary>The winding round a point that lies on no edge; one ring may be left out of it.</summary>
    public int At(Coordinate p, int without = -1)
    {
        var winding = 0;
        foreach (var (a, b, ring) in bands[Band(p.Y)])
        {
            if (ring == without || a.Y <= p.Y == b.Y <= p.Y)
            {
                continue;
            }

            var x = a.X + ((b.X - a.X) * (p.Y - a.Y) / (b.Y - a.Y));
            winding += x > p.X ? Math.Sign(b.Y - a.Y) : 0;
        }

        return winding;
    }

    private int Band(double y) => (int)Math.Clamp((y - foot) * perUnit, 0, bands.Length - 1);
}
