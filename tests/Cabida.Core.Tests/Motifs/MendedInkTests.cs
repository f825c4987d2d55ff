using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Motifs;

/// <summary>Dots left out, counters filled and tips rounded of ink at its size.</summary>
public class MendedInkTests
{
    [Fact]
    public void What_is_smaller_is_left_out_or_filled_and_what_is_as_large_stays()
    {
        var plate = Square(0, 0, 30).Difference(Outlines.Join([Square(5, 5, 2), Square(10, 5, 1.9), Square(15, 5, 8)]));
        var ink = Outlines.Join([plate, Square(40, 0, 2), Square(50, 0, 1.9), Square(17, 7, 1)]);
        var mended = MendedInk.Mended(ink, dots: 4, counters: 4, tips: 0);
        // The dot in the large hole goes, too, and the hole itself stays.
        mended.Area.ShouldBe(900 - 4 - 64 + 4, 1e-9);
        // A hole in which something stands that stays is not filled.
        MendedInk.Mended(Outlines.Join([plate, Square(17, 7, 1)]), dots: 0, counters: 100, tips: 0).Area.ShouldBe(900 - 64 + 1, 1e-9);
        MendedInk.Mended(ink, dots: 1e6, counters: 0, tips: 0).IsEmpty.ShouldBeTrue();
    }

    [Fact]
    public void A_tip_is_cut_back_to_where_it_is_as_wide_and_rounded_there_and_nothing_else_changes()
    {
        // A wedge of 10° and length 40 on a block: opening at 1 leaves a tip of 5.237 (calculations 3.8).
        var half = 40 * Math.Tan(5 * Math.PI / 180);
        var wedge = Outlines.Ring([new(0, -half), new(40, 0), new(0, half)]);
        var thin = Outlines.Rectangle(new Box(-60, -0.2, -20, 0.2));
        var ink = Outlines.Join([wedge, Square(-20, -10, 20), thin, Square(-80, -10, 20)]);
        var mended = MendedInk.Mended(ink, 0, 0, tips: 1);
        Box.Of(mended)!.Value.MaxX.ShouldBe(40 - 5.237, 0.02);
        // The neck of 0.4 between the blocks is a stroke, and stays.
        Outlines.PolygonsOf(mended).ShouldHaveSingleItem();
        // What lies between the two sides beyond a disc of radius r: r²(cot(β/2) − (π − β)/2).
        var beta = 10 * Math.PI / 180;
        (ink.Area - mended.Area).ShouldBe(0.25 * ((1 / Math.Tan(beta / 2)) - ((Math.PI - beta) / 2)), 0.03);
    }

    [Fact]
    public void A_line_without_its_dots_is_as_large_as_what_is_left_and_keeps_its_size()
    {
        // Blocks of 10 high; their rings have holes that are filled on the finished piece, whatever its scale.
        var part = TestMotifs.Line("a", "oo", 10) with { Mending = new InkMending { Counters = TypedLength.Mm(3) } };
        var motif = new Motif("m", RowAlignment.Centre, [part]);
        var composition = TestMotifs.Compose(motif);
        composition.AllScales.ShouldBeFalse();
        static int Holes(Area ink) => Outlines.PolygonsOf(ink).Sum(p => p.NumInteriorRings);
        var small = Holes(TestMotifs.Compose(TestMotifs.Single("oo")).InkAt(0.2));
        small.ShouldBe(2);
        Holes(composition.InkAt(0.2)).ShouldBe(0);
        Holes(composition.InkAt(10)).ShouldBe(2);
        TestMotifs
            .Compose(new Motif("m", RowAlignment.Centre, [part with { Mending = new InkMending { Dots = TypedLength.Mm(50) } }]))
            .BoxAt(1)
            .ShouldBeNull();
    }

    [Fact]
    public void A_change_of_a_part_reaches_into_groups_and_leaves_everything_else()
    {
        var line = TestMotifs.Line("b", "H", 10);
        var group = new GroupPart("g", PartPlace.Below, MotifLength.Scales(1), [line], RowAlignment.Centre);
        var motif = new Motif("m", RowAlignment.Centre, [TestMotifs.Line("a", "H", 10), group]);
        var mend = new PartMend("b")
        {
            Strengthen = TypedLength.Mm(0.3),
            Apart = TypedLength.Mm(0.6),
            Tied = true,
        };
        var changed = mend.On(motif);
        changed.Parts[0].ShouldBe(motif.Parts[0]);
        var within = ((GroupPart)changed.Parts[1]).Parts.ShouldHaveSingleItem().ShouldBeOfType<LetteringPart>();
        (within.Strengthen, within.Joins, within.JoinBy, within.Tied).ShouldBe(
            (MotifLength.Stays(0.3), LetterJoins.KeptApart, MotifLength.Stays(0.6), true)
        );
        // What is said later is added to what was said.
        var more = mend.With(new PartMend("b") { Strengthen = TypedLength.Mm(0.5) });
        (more.Strengthen, more.Apart, more.Tied).ShouldBe((TypedLength.Mm(0.5), TypedLength.Mm(0.6), true));
    }

    private static Polygon Square(double x, double y, double side) => Outlines.Rectangle(new Box(x, y, x + side, y + side));
}
