using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Ties;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Ties;

/// <summary>Strips that hold what would fall out (calculations 6.3).</summary>
public class TiedInkTests
{
    private static readonly FilmPly Film = new("", 1);

    [Fact]
    public void The_island_of_a_stencil_ring_gets_two_ties_that_take_what_was_worked_out_by_hand()
    {
        var ring = Disc(0, 0, 20).Difference(Disc(0, 0, 12));
        ring.Area.ShouldBe(804.248, 0.01);
        var ties = TiesOf(ring, stencil: true, width: 2);
        ties.Count.ShouldBe(2);
        // Opposite one another, from the island outwards.
        ties.ShouldAllBe(t => Math.Abs(t.From.To(default) - 12) < 0.01 && Math.Abs(t.To.To(default) - 20) < 0.01);
        ties[0].From.To(ties[1].From).ShouldBe(24, 0.05);
        var left = TiedInk.With(ring, ties, stencil: true);
        (ring.Area - left.Area).ShouldBe(2 * 16.011, 0.01);
        left.Area.ShouldBe(772.225, 0.02);
        Outlines.PolygonsOf(left).Count().ShouldBe(2);
        TiedInk.Falling(left, stencil: true).ShouldBeEmpty();
    }

    [Fact]
    public void A_part_of_400_is_held_once_and_one_that_is_larger_twice()
    {
        Area Opening(double side) => Square(0, 0, 60).Difference(Square(10, 20, side));
        TiesOf(Opening(20), stencil: true).Count.ShouldBe(1);
        TiesOf(Opening(20.1), stencil: true).Count.ShouldBe(2);
    }

    [Fact]
    public void Letters_in_the_opening_of_a_frame_hang_on_its_inside_or_on_one_another()
    {
        // A narrow frame has less card than the slab in it, and holds it all the same.
        var frame = Square(0, 0, 100).Difference(Square(2, 2, 96));
        var parts = new[] { frame, Square(20, 2.5, 60), Square(82, 30, 5) };
        var ink = Outlines.Join(parts);
        var ties = TiesOf(ink, stencil: false, width: 1);
        // The slab twice, half a millimetre over the foot of the frame and opposite; the small one from the slab.
        ties.Count.ShouldBe(3);
        var whole = TiedInk.With(ink, ties, stencil: false);
        Outlines.PolygonsOf(whole).ShouldHaveSingleItem();
        ties.ShouldContain(t => Math.Abs(t.From.To(t.To) - 0.5) < 1e-6 && Math.Abs(t.From.X - 50) < 0.1);
        ties.ShouldContain(t => Math.Abs(t.From.To(t.To) - 2) < 1e-6 && Math.Abs(t.From.Y - 32.5) < 0.1);
        ties.ShouldContain(t => Math.Abs(t.From.To(t.To) - 35.5) < 0.1 && Math.Abs(t.From.X - 50) < 0.1);
    }

    [Theory]
    [InlineData(1, true)]
    [InlineData(2, true)]
    [InlineData(3, false)]
    [InlineData(4, false)]
    public void Ties_are_as_short_together_as_any_tree_can_be_and_nothing_falls_out(int seed, bool stencil)
    {
        var random = new Random(seed);
        var squares = new List<(double X, double Y, double Side)>();
        while (squares.Count < 14)
        {
            var (x, y, side) = (random.NextDouble() * 150, random.NextDouble() * 150, 3 + (random.NextDouble() * 12));
            if (squares.TrueForAll(s => Apart((x, y, side), s) > 0.5))
            {
                squares.Add((x, y, side));
            }
        }

        var islands = Outlines.Join([.. squares.Select(s => Square(s.X, s.Y, s.Side))]);
        var ink = stencil ? Square(-20, -20, 220).Difference(islands) : islands;
        // Prim's way over all pairs, by the distance of boxes alone.
        var all = squares
            .Select((a, i) => squares.Select((b, j) => Apart(a, b)).Append(stencil ? Edge(a) : double.PositiveInfinity).ToList())
            .ToList();
        all.Add([.. squares.Select(s => stencil ? Edge(s) : double.PositiveInfinity), 0]);
        var (least, left) = (0.0, Enumerable.Range(0, all.Count - (stencil ? 0 : 1)).ToHashSet());
        var reached = new List<int> { left.First() };
        left.Remove(reached[0]);
        while (left.Count > 0)
        {
            var (far, to) = reached.SelectMany(r => left.Select(l => (all[r][l], l))).Min();
            least += far;
            reached.Add(to);
            left.Remove(to);
        }

        var falling = TiedInk.Falling(ink, stencil);
        falling.Sum(f => TiedInk.Ways(f).First() is var way ? way.From.To(way.To) : 0).ShouldBe(least, 14 * 0.01);
        var whole = TiedInk.With(ink, TiesOf(ink, stencil, 0.4), stencil);
        TiedInk.Falling(whole, stencil).ShouldBeEmpty();

        static double Edge((double X, double Y, double Side) s) =>
            new[] { s.X + 20, s.Y + 20, 200 - s.X - s.Side, 200 - s.Y - s.Side }.Min();
        static double Apart((double X, double Y, double Side) a, (double X, double Y, double Side) b)
        {
            var dx = Math.Max(0, Math.Max(a.X - b.X - b.Side, b.X - a.X - a.Side));
            var dy = Math.Max(0, Math.Max(a.Y - b.Y - b.Side, b.Y - a.Y - a.Side));
            return Math.Sqrt((dx * dx) + (dy * dy));
        }
    }

    [Fact]
    public void A_tie_is_moved_along_its_part_and_never_onto_what_hangs_on_that_part_itself()
    {
        // The small island hangs on the large one, which hangs on the left side of the opening.
        var ink = Square(0, 0, 100).Difference(Outlines.Join([Square(5, 30, 19), Square(26, 36, 6)]));
        var falling = TiedInk.Falling(ink, stencil: true);
        var large = falling.Single(f => f.Outline.Area > 300);
        TiedInk.Ways(large).Single().To.X.ShouldBe(0);
        // Upwards it leaves the top of the part; towards the small one it holds on to the side that holds both.
        TiedInk.WayAt(large, 90)!.Value.From.ShouldBe(new PlanePoint(14.5, 49));
        TiedInk.WayAt(large, 0)!.Value.ShouldBe((new PlanePoint(24, 39.5), new PlanePoint(0, 39.5)));
    }

    [Fact]
    public void Of_a_target_every_part_is_an_island_and_each_hangs_on_the_one_around_it()
    {
        // Openings from 5 to 10, 15 to 20 and 25 to 30 round one middle: a disc and two rings fall out, one within the other.
        var ink = Outlines.Join([.. new[] { 10.0, 20, 30 }.Select(r => Disc(0, 0, r).Difference(Disc(0, 0, r - 5)))]);
        var falling = TiedInk.Falling(ink, stencil: true);
        falling.Count.ShouldBe(3);
        var ties = TiesOf(ink, stencil: true);
        // The rings are large enough for two, the disc of 79 mm² is held once; each tie is as long as one opening is wide.
        ties.Count.ShouldBe(5);
        ties.ShouldAllBe(t => Math.Abs(t.From.To(t.To) - 5) < 0.01);
        TiedInk.Falling(TiedInk.With(ink, ties, stencil: true), stencil: true).ShouldBeEmpty();
        // A tie as wide as all there is leaves nothing to paint, and is no error.
        var covered = TiedInk.With(ink, TiesOf(ink, stencil: true, width: 200), stencil: true);
        covered.Area.ShouldBeLessThan(1);
    }

    [Fact]
    public void Nothing_and_what_holds_by_itself_is_tied_to_nothing()
    {
        TiedInk.Falling(Outlines.Empty, stencil: true).ShouldBeEmpty();
        TiedInk.Falling(Square(0, 0, 10), stencil: true).ShouldBeEmpty();
        TiedInk.Falling(Square(0, 0, 10), stencil: false).ShouldBeEmpty();
        TiedInk.With(Square(0, 0, 10), [], stencil: true).Area.ShouldBe(100);
    }

    private static List<Tie> TiesOf(Area ink, bool stencil, double width = 2) =>
        [
            .. TiedInk
                .Falling(ink, stencil)
                .SelectMany(f => TiedInk.Ways(f).Select(w => new Tie("", Film, w.From, w.To, width, f.Middle, f.Across))),
        ];

    private static Polygon Square(double x, double y, double side) => Outlines.Rectangle(new Box(x, y, x + side, y + side));

    private static Area Disc(double x, double y, double radius) =>
        Outlines.Factory.CreatePoint(new Coordinate(x, y)).Buffer(radius, quadrantSegments: 400);
}
