using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Layout;

/// <summary>A rectangle cut into pieces by random lines: it is known that all of it can be covered with them.</summary>
internal sealed record Jigsaw(double Width, double Height, IReadOnlyList<Area> Pieces)
{
    /// <summary>Cuts a rectangle.</summary>
    /// <param name="count">Into how many pieces.</param>
    /// <param name="convex">Whether all are convex; else neighbours are joined again until so many are left.</param>
    /// <param name="seed">What the lines begin with.</param>
    public static Jigsaw Of(int count, bool convex, int seed)
    {
        const double width = 300,
            height = 400;
        var random = new Random(seed);
        var pieces = new List<Area> { Outlines.Rectangle(new Box(0, 0, width, height)) };
        while (pieces.Count < (convex ? count : 2 * count))
        {
            var largest = pieces.MaxBy(p => p.Area)!;
            pieces.Remove(largest);
            pieces.AddRange(Halves(largest, random));
        }

        while (pieces.Count > count)
        {
            var smallest = pieces.MinBy(p => p.Area)!;
            pieces.Remove(smallest);
            var beside = pieces.MaxBy(p => p.Intersection(smallest).Length)!;
            pieces.Remove(beside);
            pieces.Add(smallest.Union(beside));
        }

        return new Jigsaw(width, height, [.. pieces.OrderBy(_ => random.Next())]);
    }

    /// <summary>Its pieces as things to lay, each somewhere else and turned by quarters where that may be.</summary>
    public IReadOnlyList<LayItem> Items(bool turned, int seed)
    {
        var random = new Random(seed);
        return
        [
            .. Pieces.Select(
                (p, i) =>
                    new LayItem(
                        ItemId.Of($"piece {i + 1}"),
                        Outlines.Moved(p, Motion.TurnLeft(turned ? 90 * random.Next(4) : 0).Moved(random.Next(1000), random.Next(1000)))
                    )
            ),
        ];
    }

    private static IEnumerable<Area> Halves(Area piece, Random random)
    {
        var middle = piece.Centroid.Coordinate;
        var size = Math.Sqrt(piece.Area);
        var (x, y) = (middle.X + ((random.NextDouble() - 0.5) * size / 2), middle.Y + ((random.NextDouble() - 0.5) * size / 2));
        var (sin, cos) = Math.SinCos(random.NextDouble() * Math.PI);
        const double far = 2000;
        Coordinate At(double along, double aside) => new(x + (along * cos) - (aside * sin), y + (along * sin) + (aside * cos));
        var side = Outlines.Factory.CreatePolygon([At(-far, 0), At(far, 0), At(far, far), At(-far, far), At(-far, 0)]);
        return [piece.Intersection(side), piece.Difference(side)];
    }
}
