using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using CsCheck;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Motifs;

/// <summary>Ink worked out piece by piece is what it is when all of it is overlaid at once.</summary>
public class LayerTests
{
    private static readonly Gen<(Box Box, double Turn)> Block = Gen.Select(
            Gen.Int[-30, 30],
            Gen.Int[-20, 20],
            Gen.Int[1, 25],
            Gen.Int[1, 15],
            Gen.Int[0, 4]
                .Select(k =>
                    k == 3 ? 90
                    : k == 4 ? 17.3
                    : 0.0
                )
        )
        .Select((x, y, w, h, turn) => (new Box(x, y, x + w, y + h), turn));

    private static PlacedInk Ink((Box Box, double Turn) b, int i) =>
        new(
            $"b{i % 3} {b.Box.Width} {b.Box.Height}",
            Outlines.Rectangle(new Box(0, 0, b.Box.Width, b.Box.Height)),
            Motion.TurnLeft(b.Turn).Moved(b.Box.MinX, b.Box.MinY)
        );

    private static Area All(IReadOnlyList<PlacedInk> ink) => Outlines.Union([.. ink.Select(p => p.Placed), Outlines.Empty]);

    [Fact]
    public void Joining_cutting_and_confining_by_pieces_is_doing_it_at_once() =>
        Gen.Select(Block.List[0, 8], Block.List[0, 6], Gen.Bool)
            .Sample(
                (some, others, kept) =>
                {
                    var ink = new LayerInk(kept ? new InkCache() : null);
                    var (a, b) = (ink.With([], some.Select(Ink)), ink.With([], others.Select(Ink)));
                    var (wholeA, wholeB) = (All([.. some.Select(Ink)]), All([.. others.Select(Ink)]));
                    Same(All(a), wholeA);
                    Same(All(ink.With(a, b)), Outlines.Union([wholeA, wholeB]));
                    Same(All(ink.Without(a, b)), Overlay.Difference(wholeA, wholeB));
                    Same(All(ink.Within(a, b)), Overlay.Intersection(wholeA, wholeB));
                    // No two pieces touch, so that together they are an area.
                    foreach (var layer in new[] { a, ink.With(a, b), ink.Without(a, b) })
                    {
                        new FilmInk(new FilmPly("", 1), layer).Ink.IsValid.ShouldBeTrue();
                    }

                    static void Same(Area is1, Area should)
                    {
                        (Overlay.Difference(is1, should).Area + Overlay.Difference(should, is1).Area).ShouldBeLessThan(1e-4);
                    }
                },
                iter: 400
            );

    [Fact]
    public void What_a_change_does_not_meet_is_the_same_ink_in_the_same_place()
    {
        var ink = new LayerInk(new InkCache());
        var dots = Enumerable
            .Range(0, 400)
            .Select(i => new PlacedInk("dot", Outlines.Rectangle(new Box(0, 0, 1, 1)), Motion.Move(3 * (i % 20), 3 * (i / 20))))
            .ToList();
        var all = ink.With([], dots);
        all.Count.ShouldBe(400);
        var bar = new PlacedInk("bar", Outlines.Rectangle(new Box(0, 0, 10, 1)), Motion.Move(-1, -0.5));
        var after = ink.With(all, [bar]);
        // The bar joins the four dots that it lies on; the others are not even looked at again.
        after.Count.ShouldBe(397);
        after.Count(p => dots.Exists(d => ReferenceEquals(d, p))).ShouldBe(396);
        ink.Without(all, [bar]).Count(p => dots.Exists(d => ReferenceEquals(d, p))).ShouldBe(396);
    }

    [Fact]
    public void What_is_only_moved_is_found_again()
    {
        var cache = new InkCache();
        Area Joined(double x, double y)
        {
            PlacedInk At(string key, double w, double dx) => new(key, Outlines.Rectangle(new Box(0, 0, w, 4)), Motion.Move(x + dx, y));
            return new LayerInk(cache).With([], [At("a", 10, 0), At("b", 6, 8)]).ShouldHaveSingleItem().Area;
        }

        Joined(40.123, -7.5).ShouldBeSameAs(Joined(0, 0));
        Joined(1e5 / 3, 2e5 / 7).ShouldBeSameAs(Joined(0, 0));
    }
}
