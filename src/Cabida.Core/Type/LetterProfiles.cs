using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Type;

/// <summary>How near two letters stand to one another along the line.</summary>
internal static class LetterProfiles
{
    /// <summary>
    /// How far the second of two areas could move to the left until a point of its left side is as near as wanted to one of the first's
    /// right side: negative where it would have to move to the right, null when it passes above or below at any distance.
    /// </summary>
    /// <param name="left">The area to the left.</param>
    /// <param name="right">The area to the right.</param>
    /// <param name="apart">
    /// How far apart their outlines are to be, in any direction; at zero this is the least gap over all heights.
    /// </param>
    /// <remarks>
    /// Exact for polygons. Two edges are nearest at a corner of one of them, so that corners of each are tried against edges of the
    /// other; those that face one another first, until none is left that could be nearer than the nearest so far.
    /// </remarks>
    public static double? Between(Area left, Area right, double apart = 0)
    {
        // Mirrored, the right one is a left one: both kinds of pairs are then the same.
        var (a, b) = (Edges(left, 1), Edges(right, -1));
        var shift = Math.Max(Reach(a, b, apart), Reach(b, a, apart));
        return double.IsNegativeInfinity(shift) ? null : -shift;
    }

    /// <summary>
    /// How far the corners of one area reach over the edges of another that looks the other way, whose x is the negative of its own;
    /// negative infinity where they share no height.
    /// </summary>
    private static double Reach(List<Edge> from, List<Edge> over, double apart)
    {
        var most = double.NegativeInfinity;
        foreach (var corner in from.Select(e => e.From).OrderByDescending(p => p.X))
        {
            var looked = 0;
            foreach (var edge in over.TakeWhile(e => corner.X + apart + e.Furthest > most))
            {
                (most, looked) = (Math.Max(most, Reach(corner, edge, apart)), looked + 1);
            }

            if (looked == 0)
            {
                break;
            }

            Effort.Spend(looked);
        }

        return most;
    }

    /// <summary>
    /// How far the disc round a corner reaches over an edge: the greatest sum, over all heights of both, of how far each lies out.
    /// Along the edge the sum is concave, so it is greatest where the disc is as steep as the edge or at the nearest end to that.
    /// </summary>
    private static double Reach(PlanePoint corner, Edge edge, double apart)
    {
        var (low, high) = (Math.Max(edge.Low.Y, corner.Y - apart), Math.Min(edge.High.Y, corner.Y + apart));
        if (low > high)
        {
            return double.NegativeInfinity;
        }

        var height = edge.High.Y - edge.Low.Y;
        if (height == 0)
        {
            return Disc(low) + edge.Furthest;
        }

        // The sum is steady where y − corner.Y = apart · sine of the edge's slope against the upright.
        var slope = (edge.High.X - edge.Low.X) / height;
        var y = Math.Clamp(corner.Y + (apart * slope / Math.Sqrt(1 + (slope * slope))), low, high);
        return Disc(y) + edge.Low.X + (slope * (y - edge.Low.Y));

        double Disc(double at) => corner.X + Math.Sqrt(Math.Max(0, (apart * apart) - ((at - corner.Y) * (at - corner.Y))));
    }

    /// <summary>The edges of an area, those that lie furthest out first.</summary>
    private static List<Edge> Edges(Area area, int side) =>
        [
            .. Outlines
                .RingsOf(area)
                .SelectMany(r => r.Coordinates.Zip(r.Coordinates.Skip(1), (p, q) => new Edge(new(side * p.X, p.Y), new(side * q.X, q.Y))))
                .OrderByDescending(e => e.Furthest),
        ];

    private readonly record struct Edge(PlanePoint From, PlanePoint To)
    {
        public PlanePoint Low => From.Y <= To.Y ? From : To;

        public PlanePoint High => From.Y <= To.Y ? To : From;

        public double Furthest => Math.Max(From.X, To.X);
    }
}
