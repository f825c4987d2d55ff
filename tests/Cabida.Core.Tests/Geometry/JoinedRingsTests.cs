using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Geometry;

/// <summary>Joined by how each two meet, against the overlay of all.</summary>
public class JoinedRingsTests
{
    private const int Cases = 1500;

    [Fact]
    public void What_is_traced_is_what_an_overlay_makes()
    {
        var random = new Random(20261130);
        var (joined, overlaid) = (0, 0);
        for (var n = 0; n < Cases; n++)
        {
            var standing = Enumerable
                .Range(0, random.Next(1, 6))
                .Select(_ => Standing(Blob(random), 3 * random.NextDouble(), 2 * random.NextDouble()))
                .ToList();
            var rings = Compared(standing, $"case {n}");
            joined += rings.At(1, 0, 0).NumGeometries < standing.Count ? 1 : 0;
            overlaid += rings.Overlays;
        }

        // Enough of them hang together, and the overlay is asked only where three lie on one another.
        Assert.True(joined > Cases / 4, $"{joined} joined");
        Assert.True(overlaid < joined / 2, $"{overlaid} of {joined} overlaid");
    }

    [Fact]
    public void What_touches_or_lies_on_itself_is_left_to_the_overlay()
    {
        var random = new Random(5);
        for (var n = 0; n < 400; n++)
        {
            // On a grid nearly all edges run along others or end on them.
            var standing = Enumerable
                .Range(0, random.Next(2, 5))
                .Select(_ => Standing(Frame(random), random.Next(0, 4) / 2.0, random.Next(0, 4) / 2.0))
                .ToList();
            _ = Compared(standing, $"case {n}");
        }
    }

    [Fact]
    public void Rings_within_others_fill_holes_or_stand_in_them()
    {
        var ring = Outlines.Without(Square(4), Square(2));
        // In the hole; in the ink; over the hole; over its edge.
        Assert.Equal((2, 0), Traced(ring, Square(1), 0, 0));
        Assert.Equal((1, 0), Traced(ring, Square(0.5), 1.5, 0.1));
        Assert.Equal((1, 0), Traced(ring, Square(3), 0.1, 0.1));
        Assert.Equal((1, 0), Traced(ring, Square(1), 1.1, 0.1));
        // A ring round the ring, one through it, and one that its hole holds with ink of its own in the middle.
        var wide = Outlines.Without(Square(6), Square(5));
        Assert.Equal((2, 0), Traced(wide, ring, 0.1, 0.1));
        Assert.Equal((1, 0), Traced(wide, ring, 2.6, 0.1));
        Assert.Equal((1, 0), Traced(ring, ring, 1.3, 1.4));
    }

    [Fact]
    public void Three_on_one_another_are_overlaid()
    {
        var rings = Compared([Standing(Square(2), 0, 0), Standing(Square(2), 0.3, 0.7), Standing(Square(2), 0.9, 0.4)], "three");
        Assert.Equal(1, rings.Overlays);
    }

    /// <summary>How many polygons two areas become, and how many groups were overlaid.</summary>
    private static (int Polygons, int Overlays) Traced(Area a, Area b, double dx, double dy)
    {
        var rings = Compared([Standing(a, 0, 0), Standing(b, dx, dy)], $"{dx} {dy}");
        return (rings.At(1, 0, 0).NumGeometries, rings.Overlays);
    }

    private static JoinedRings Compared(List<StandingRings> standing, string what)
    {
        var rings = new JoinedRings(standing, (i, j) =>
            Meeting.Of(standing[i].Rings, standing[j].Rings, standing[j].X - standing[i].X, standing[j].Y - standing[i].Y)
        );
        var expected = Outlines.Join([.. standing.Select(s => Outlines.Placed(s.Rings.Area, 1, s.X, s.Y))]);
        var got = rings.At(1, 0, 0);
        Assert.True(got.IsValid, what);
        Assert.True(got.SymmetricDifference(expected).Area < 1e-8, what);
        Assert.Equal(expected.NumGeometries, got.NumGeometries);
        Assert.Equal(Outlines.RingsOf(expected).Count(), Outlines.RingsOf(got).Count());
        Assert.Equal(expected.Length, got.Length, 1e-7);
        // Drawn at a size it is the same, larger.
        Assert.Equal(9 * expected.Area, rings.At(3, 5, -2).Area, 1e-6);
        return rings;
    }

    private static StandingRings Standing(Area area, double x, double y) => new(new RingSet(area), x, y);

    private static NetTopologySuite.Geometries.Polygon Square(double side) =>
        Outlines.Rectangle(new Box(-side / 2, -side / 2, side / 2, side / 2));

    /// <summary>A rough blob, some with a hole, some with another beside it.</summary>
    private static Area Blob(Random random)
    {
        var blob = Star(random, 0.2 + (0.6 * random.NextDouble()), 0, 0);
        return random.Next(4) switch
        {
            0 => Outlines.Without(blob, Star(random, 0.15, 0, 0)),
            1 => Outlines.Join([blob, Star(random, 0.2, 1.2, 0.3)]),
            _ => blob,
        };
    }

    private static NetTopologySuite.Geometries.Polygon Star(Random random, double radius, double x, double y)
    {
        var corners = random.Next(3, 24);
        return Outlines.Ring([
            .. Enumerable
                .Range(0, corners)
                .Select(i => (Angle: 2 * Math.PI * i / corners, Far: radius * (0.5 + random.NextDouble())))
                .Select(p => new PlanePoint(x + (p.Far * Math.Cos(p.Angle)), y + (p.Far * Math.Sin(p.Angle)))),
        ]);
    }

    private static Area Frame(Random random) =>
        random.Next(2) == 0 ? Square(random.Next(1, 4) / 2.0 * 2) : Outlines.Without(Square(2), Square(1));
}
