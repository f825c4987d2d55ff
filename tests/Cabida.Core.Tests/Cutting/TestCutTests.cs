using Cabida.Core.Cutting;
using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Cutting;

public class TestCutTests
{
    [Fact]
    public void It_lies_on_film_clear_of_all_that_is_cut_and_near_the_loading_corner()
    {
        var random = new Random(5);
        for (var n = 0; n < 40; n++)
        {
            var ground = Outlines.Rectangle(new Box(0, 0, 100 + random.Next(200), 100 + random.Next(200)));
            List<Area> cut =
            [
                .. Enumerable
                    .Range(0, 3 + random.Next(12))
                    .Select(_ => new Box(0, 0, 10 + random.Next(80), 10 + random.Next(60)).Moved(random.Next(200), random.Next(200)))
                    .Select(Outlines.Rectangle),
            ];
            if (TestCut.In(ground, cut) is not { } test)
            {
                // Then the least square has no room anywhere: looked for millimetre by millimetre.
                Places(ground, cut, 4).ShouldBeEmpty();
                continue;
            }

            var square = Outlines.Rectangle(new Box(test.Middle.X, test.Middle.Y, test.Middle.X, test.Middle.Y).Grown(test.Side / 2));
            square.Within(ground).ShouldBeTrue();
            cut.ShouldAllBe(c => c.Distance(square) >= (0.2 * test.Side) - 0.05);
            // Nothing of its size lies much nearer to the corner; it keeps a circle around it free, and so may be a little further out.
            var nearest = Places(ground, cut, test.Side * Math.Sqrt(2)).Select(p => p.To(default)).DefaultIfEmpty(double.MaxValue).Min();
            test.Middle.To(default).ShouldBeLessThan(nearest + 1);
        }
    }

    [Fact]
    public void Its_drawing_is_a_square_with_a_triangle_in_it()
    {
        var lines = new TestCut(new PlanePoint(20, 30), 10).Drawing("Test", 100, 100, "Film", "#203050").Lines.ToList();
        lines.Count.ShouldBe(2);
        lines.ShouldAllBe(l => l.IsClosed);
        Outlines.Ring(lines[0].Points(0.01)).Area.ShouldBe(100, 1e-9);
        Outlines.Ring(lines[1].Points(0.01)).Area.ShouldBe(12.5, 1e-9);
        Outlines.Ring(lines[1].Points(0.01)).Within(Outlines.Ring(lines[0].Points(0.01))).ShouldBeTrue();
    }

    /// <summary>The middles, millimetre by millimetre, of squares that lie on the ground and clear of what is cut.</summary>
    private static IEnumerable<PlanePoint> Places(Area ground, List<Area> cut, double side)
    {
        var box = ground.EnvelopeInternal;
        for (var x = 0.0; x < box.MaxX; x += 2)
        {
            for (var y = 0.0; y < box.MaxY; y += 2)
            {
                var square = new Box(x, y, x, y).Grown(side / 2);
                if (
                    square.MinX >= 0
                    && square.MinY >= 0
                    && square.MaxX <= box.MaxX
                    && square.MaxY <= box.MaxY
                    && cut.TrueForAll(c => c.Distance(Outlines.Rectangle(square)) > 0.4 * side)
                )
                {
                    yield return new PlanePoint(x, y);
                }
            }
        }
    }
}
