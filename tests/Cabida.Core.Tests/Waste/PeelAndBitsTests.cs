using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Tests.Waste;

/// <summary>Bits of waste, free ends, and tape first (calculations 3.10, 6.5).</summary>
public class PeelAndBitsTests
{
    [Fact]
    public void Bits_are_counted_from_the_smallest_and_ink_in_a_counter_is_ink()
    {
        var plate = Bar(0, 0, 40, 20).Difference(Outlines.Join([Bar(2, 2, 4, 4), Bar(10, 2, 26, 18)]));
        var ink = Outlines.Join([plate, Bar(16, 8, 20, 12)]);
        var field = WasteCell.Of(new Box(-5, -5, 45, 25)).Area;
        var bits = WasteBits.Of(ink, FilmPurpose.Stays, [field]);
        bits.Select(b => (b.Number, b.Kind)).ShouldBe([(1, WasteKind.Counter), (2, WasteKind.Counter), (3, WasteKind.Field)]);
        bits.Select(b => b.Area).ShouldBe([4, 256 - 16, 1500 - 800], 1e-9);
        bits.ShouldAllBe(b => b.Outline.Contains(Outlines.Factory.CreatePoint(b.At.ToCoordinate())));
        // As a mask the ink itself is picked out, and as many as are counted.
        var picked = WasteBits.Of(ink, FilmPurpose.PulledOff, [field]);
        picked.Select(b => b.Area).ShouldBe([16, 800 - 4 - 256], 1e-9);
        picked.Count.ShouldBe(Weeding.Of(ink, FilmPurpose.PulledOff).Bits);
        bits.Count.ShouldBe(Weeding.Of(ink, FilmPurpose.Stays).Bits);
        WasteBits.Of(Outlines.Empty, FilmPurpose.Stays, []).ShouldBeEmpty();
    }

    [Fact]
    public void The_arms_of_an_E_point_to_the_right_and_a_comb_points_where_its_teeth_do()
    {
        var e = Outlines.Join([Bar(0, 0, 2, 20), Bar(0, 0, 10, 2), Bar(0, 9, 8, 11), Bar(0, 18, 10, 20)]);
        PeelSides.Of(e).ShouldBe(new PeelSides(Left: 0, Right: 3, Above: 0, Below: 0));
        PeelSides.Of(e).Best.ShouldBe(PeelSide.Left);
        // Its sides are longer than it is wide, so a stem has ends above and below.
        PeelSides.Of(Bar(0, 0, 2, 20)).ShouldBe(new PeelSides(0, 0, 1, 1));
        PeelSides.Of(Bar(0, 0, 10, 10)).ShouldBe(new PeelSides(1, 1, 1, 1));
        var comb = Outlines.Join([Bar(0, 0, 42, 2), .. Enumerable.Range(0, 5).Select(i => Bar(10 * i, 0, (10 * i) + 2, 12))]);
        PeelSides.Of(comb).ShouldBe(new PeelSides(0, 0, 5, 0));
        foreach (var turn in new[] { 90.0, 180, 270 })
        {
            var turned = PeelSides.Of(Outlines.Moved(comb, Motion.TurnLeft(turn)));
            (
                turn == 90 ? turned.Left
                : turn == 180 ? turned.Below
                : turned.Right
            ).ShouldBe(5);
        }

        PeelSides.Of(Outlines.Empty).ShouldBe(new PeelSides(0, 0, 0, 0));
    }

    [Theory]
    [InlineData(1.4, true)]
    [InlineData(1.6, false)]
    public void Tape_goes_on_first_where_much_of_the_ink_is_narrow(double width, bool advised)
    {
        // The film weeds cleanly from 1.0.
        var tape = TapeFirst.Of(Bar(0, 0, 100, width), FilmLimits.Of(TestFilms.Plain(1)))!;
        tape.Tenth.ShouldBe(width, 0.02);
        tape.Limit.ShouldBe(1.5, 1e-9);
        tape.IsAdvised.ShouldBe(advised);
        // A stencil, what lies on a carrier of its own, and card, which has no backing, take no tape.
        var (stencil, vinyl) = (TestFilms.Plain(1, FilmPurpose.Loose), TestFilms.Plain(1));
        foreach (
            var film in new[] { stencil, vinyl with { Material = FilmMaterial.HeatTransfer }, vinyl with { Material = FilmMaterial.Card } }
        )
        {
            TapeFirst.Of(Bar(0, 0, 100, width), FilmLimits.Of(film)).ShouldBeNull();
        }
    }

    private static Polygon Bar(double left, double foot, double right, double top) => Outlines.Rectangle(new Box(left, foot, right, top));
}
