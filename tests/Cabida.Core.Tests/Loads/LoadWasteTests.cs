using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using CsCheck;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Loads;

/// <summary>Weed boxes on a load (calculations 6.5): room for them, and breaks between what shares one.</summary>
public class LoadWasteTests
{
    private const double Gap = 5;

    [Theory]
    [InlineData(WeedBox.Piece)]
    [InlineData(WeedBox.Row)]
    [InlineData(WeedBox.Load)]
    public void Weed_boxes_lie_within_reach_and_keep_the_scissors_room(WeedBox per) =>
        Gen.Select(Gen.Double[5, 280], Gen.Double[5, 280])
            .Array[0, 25]
            .Sample(sizes =>
            {
                var items = sizes.Select((s, i) => new LoadItem($"{i}", s.Item1, s.Item2)).ToList();
                var plan = LoadPlan.Of(items, 290, 280, Gap, new WeedRoom(per, 6));
                plan.TooLarge.ShouldAllBe(t =>
                    Math.Max(t.Width, t.Height) > 278 || Math.Min(t.Width, t.Height) > 268 || (t.Width > 268 && t.Height > 268)
                );
                foreach (var load in plan.Loads)
                {
                    var boxes = (
                        per switch
                        {
                            WeedBox.Piece => load.Placements.Select(p => p.Box),
                            WeedBox.Row => load.Placements.GroupBy(p => p.Row).Select(r => Box.Around(r.Select(p => p.Box))!.Value),
                            _ => [load.Used],
                        }
                    )
                        .Select(b => b.Grown(6))
                        .ToList();
                    boxes.ShouldAllBe(b => new Box(-1e-9, -1e-9, 290 + 1e-9, 280 + 1e-9).Holds(b));
                    for (var i = 0; i < boxes.Count; i++)
                    {
                        boxes.Skip(i + 1).ShouldAllBe(b => !b.Meets(boxes[i].Grown(Gap - 1e-9)));
                    }
                }
            });

    [Fact]
    public void A_box_round_a_row_is_broken_between_its_pieces_then_within_each_by_its_own_rows_and_words()
    {
        // Two pieces side by side: a line of two words over a line of one.
        var (load, pieces) = Laid(WeedBox.Row, Piece("a"), Piece("b"));
        var plan = LoadWaste.Of(pieces, WeedBox.Row, new WasteTerms(5, 1, 150)).ShouldHaveSingleItem();
        plan.NoWay.ShouldBeEmpty();
        plan.Breaks.Select(b => b.Kind).ShouldBe([BreakKind.Words, BreakKind.Rows, BreakKind.Words, BreakKind.Rows, BreakKind.Words]);
        plan.Cells.Count.ShouldBe(6);
        plan.Box.ShouldBe(load.Used.Grown(5));
        var ink = Outlines.Join([.. pieces.Select(p => LoadInk.Placed(p.Ink, p.At))]);
        plan.ClearanceTo(ink)!.Value.ShouldBeGreaterThanOrEqualTo(1 - 1e-9);
        foreach (var part in Outlines.PolygonsOf(ink))
        {
            plan.Cells.Count(c => c.Area.Covers(part)).ShouldBe(1);
        }

        // Mirrored as the load is, it is the same at the other side: exactly as near, and the box still holds all.
        var mirrored = plan.Moved(Motion.Flip.Moved(290, 0));
        mirrored.ClearanceTo(Outlines.Mirrored(ink, 145))!.Value.ShouldBe(plan.ClearanceTo(ink)!.Value, 1e-9);
        mirrored.CutLength.ShouldBe(plan.CutLength, 1e-6);
        mirrored.Box.Holds(Box.Of(Outlines.Mirrored(ink, 145))!.Value).ShouldBeTrue();
    }

    [Fact]
    public void All_of_a_load_in_one_box_is_weeded_in_as_many_bits_as_there_are_cells_and_counters()
    {
        var ring = new Func<string, (string, Area, IReadOnlyList<InkRow>)>(id =>
        {
            Area o = Outlines.Without(Bar(0, 0, 40, 40), Bar(10, 10, 30, 30));
            return (id, o, [new([new InkWord([new InkUnit(o)])])]);
        });
        var (load, pieces) = Laid(WeedBox.Load, [.. Enumerable.Range(0, 9).Select(i => ring($"{i}"))]);
        var plans = LoadWaste.Of(pieces, WeedBox.Load, new WasteTerms(5, 1, 400));
        var plan = plans.ShouldHaveSingleItem();
        var weeds = LoadWeeds.Of(
            WeedBox.Load,
            plans,
            [],
            FilmLimits.Of(TestFilms.Plain(1)),
            [.. pieces.Select(p => LoadInk.Placed(p.Ink, p.At))]
        );
        // Six fit in a row of 280: two rows, and a cell for each piece.
        (load.Placements.Max(p => p.Row) + 1).ShouldBe(2);
        plan.Cells.Count.ShouldBe(9);
        weeds.Weeding.Bits.ShouldBe(9 + 9);
        weeds.Weeding.CutLength.ShouldBe((9 * (160 + 80)) + plan.CutLength, 1e-6);
    }

    [Theory]
    [InlineData(FilmPurpose.PulledOff)]
    [InlineData(FilmPurpose.Loose)]
    public void What_surrounds_the_ink_of_a_mask_or_a_stencil_is_never_broken(FilmPurpose purpose)
    {
        var ways = WeedWays.Usual with { Box = WeedBox.Piece };
        var (_, ink, rows) = Piece("a");
        WastePlan.Of(rows, WasteTerms.Of(ways, FilmPurpose.Stays))!.Breaks.ShouldNotBeEmpty();
        var plan = WastePlan.Of(rows, WasteTerms.Of(ways, purpose))!;
        plan.Breaks.ShouldBeEmpty();
        plan.NoWay.ShouldBeEmpty();
        plan.Box.ShouldBe(Box.Of(ink)!.Value.Grown(5));
    }

    [Fact]
    public void Switches_leave_out_what_they_are_off_for()
    {
        var (_, _, rows) = Piece("a");
        BreakKind[] Kinds(WeedWays ways) => [.. WastePlan.Of(rows, WasteTerms.Of(ways, FilmPurpose.Stays))!.Breaks.Select(b => b.Kind)];
        Kinds(WeedWays.Usual).ShouldBe([BreakKind.Rows, BreakKind.Words]);
        Kinds(WeedWays.Usual with { BetweenWords = false }).ShouldBe([BreakKind.Rows]);
        // Rows that are not parted lie over one another: no break goes between words of one and not of the other.
        Kinds(WeedWays.Usual with { BetweenRows = false }).ShouldBeEmpty();
        var tight = WeedWays.Usual with { BetweenRows = false, BetweenWords = false, Longest = TypedLength.Mm(45) };
        Kinds(tight).ShouldAllBe(k => k == BreakKind.Long);
        Kinds(tight).ShouldNotBeEmpty();
        Kinds(tight with { LongWaste = false }).ShouldBeEmpty();
    }

    [Theory]
    [InlineData("0", "", "margin")]
    [InlineData("5", "six", "clearance")]
    [InlineData("5", "1000", "clearance")]
    [InlineData("1", "2", "margin")]
    public void What_cannot_be_used_of_the_switches_says_so_where_it_stands(string margin, string clearance, string field)
    {
        var ways = WeedWays.Usual with
        {
            Margin = new TypedLength(margin, LengthUnit.Millimetre),
            Clearance = new TypedLength(clearance, LengthUnit.Millimetre),
        };
        ways.Problems.ShouldHaveSingleItem().Fields.ShouldBe([field]);
    }

    [Fact]
    public void A_box_beside_wide_clearance_stands_out_as_far_unless_another_margin_is_typed()
    {
        var ways = WeedWays.Usual with { Clearance = TypedLength.Mm(8) };
        ways.Problems.ShouldBeEmpty();
        ways.MarginOr.ShouldBe(8);
    }

    private static (Load Load, List<WeededPiece> Pieces) Laid(
        WeedBox per,
        params (string Id, Area Ink, IReadOnlyList<InkRow> Rows)[] pieces
    )
    {
        var items = pieces.Select(p => (p.Id, Box: Box.Of(p.Ink)!.Value)).Select(p => new LoadItem(p.Id, p.Box.Width, p.Box.Height));
        var load = LoadPlan.Of([.. items], 290, 280, Gap, new WeedRoom(per, 5)).Loads.ShouldHaveSingleItem();
        return (
            load,
            [
                .. load
                    .Placements.Select(at => (at, Of: pieces.Single(p => p.Id == at.PieceId)))
                    .Select(p => new WeededPiece(p.at, p.Of.Ink, p.Of.Rows)),
            ]
        );
    }

    private static (string Id, Area Ink, IReadOnlyList<InkRow> Rows) Piece(string id)
    {
        InkRow[] rows = [new([Word(0, 15, 2), Word(40, 15, 3)]), new([Word(10, 0, 4)])];
        return (id, Outlines.Join([.. rows.SelectMany(r => r.Units).Select(u => u.Ink)]), rows);
    }

    /// <summary>A word of blocks, 10 wide and high, 12 apart.</summary>
    private static InkWord Word(double left, double foot, int count) =>
        new([.. Enumerable.Range(0, count).Select(i => new InkUnit(Bar(left + (12 * i), foot, left + (12 * i) + 10, foot + 10)))]);

    private static Polygon Bar(double left, double foot, double right, double top) => Outlines.Rectangle(new Box(left, foot, right, top));
}
