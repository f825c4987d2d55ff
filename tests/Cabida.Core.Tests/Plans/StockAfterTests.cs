using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Measures;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using CsCheck;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Plans;

/// <summary>What becomes of stock when loads are cut from it (calculations 6.9), and what of it a plan may use.</summary>
public class StockAfterTests
{
    private static readonly Carrier Mat = new(
        "mat",
        "Mat",
        TypedLength.Mm(305),
        TypedLength.Mm(305),
        TypedLength.Mm(292),
        TypedLength.Mm(292)
    );

    private static readonly Rollers Open = new(TypedLength.Mm(300), TypedLength.Mm(1000), TypedLength.Mm(20), TypedLength.Mm(30));

    [Fact]
    public void Off_cuts_are_as_large_as_they_go_apart_from_what_was_cut_and_from_one_another() =>
        Gen.Select(Gen.Double[10, 250], Gen.Double[10, 250], Gen.Double[5, 120], Gen.Double[5, 120])
            .Array[1, 5]
            .Sample(
                boxes =>
                {
                    var taken = boxes
                        .Select(b => (Area)Outlines.Rectangle(new Box(b.Item1, b.Item2, b.Item1 + b.Item3, b.Item2 + b.Item4)))
                        .ToList();
                    var load = new StockAfter.Load(Place(Sheet(1)), taken, 0);
                    var left = StockAfter.OffCuts(load);
                    left.ShouldAllBe(b => b.Width >= 60 - 1e-9 && b.Height >= 60 - 1e-9);
                    foreach (var box in left)
                    {
                        var area = Outlines.Rectangle(box);
                        load.Place.Ground.Stock.Buffer(1e-6).Covers(area).ShouldBeTrue();
                        taken.ShouldAllBe(t => t.Distance(area) >= StockAfter.Apart - Tolerances.Check);
                        left.Where(o => o != box).ShouldAllBe(o => Outlines.Rectangle(o).Intersection(area).Area < 1e-6);
                    }

                    // Second way: no square of 64 on a grid of 4 is free of all of it and yet not kept in part.
                    var kept = Outlines.Join([.. left.Select(b => (Area)Outlines.Rectangle(b))]);
                    for (var x = -6.0; x + 64 <= 298; x += 4)
                    {
                        for (var y = -6.0; y + 64 <= 298; y += 4)
                        {
                            var square = Outlines.Rectangle(new Box(x, y, x + 64, y + 64));
                            (
                                taken.All(t => t.Distance(square) > StockAfter.Apart + 0.1) && kept.Intersection(square).Area < 1e-6
                            ).ShouldBeFalse();
                        }
                    }
                },
                iter: 40
            );

    [Fact]
    public void A_sheet_is_one_less_an_off_cut_is_gone_and_a_roll_is_shorter_by_what_was_cut_off()
    {
        var roll = new StockItem("roll", StockForm.Roll, TypedLength.Mm(290), TypedLength.Mm(900));
        var offCut = new StockItem("old", StockForm.OffCut, TypedLength.Mm(150), TypedLength.Mm(150));
        var stock = new FilmStock("film", [Sheet(3), roll, offCut]);
        var onRoll = new PlanPlace(roll, LoadGround.Between(Open, roll, 5).Value, 1);
        // 20 lead are in what lies below it; 30 of tail stay clear above.
        Area low = Outlines.Rectangle(new Box(10, 40, 200, 140));
        StockAfter.CutOff(onRoll, [low]).ShouldBe(140 + 30, 1e-9);
        var after = StockAfter.Of(
            stock,
            [
                new StockAfter.Load(Place(Sheet(3)), [], 0),
                new StockAfter.Load(Place(Sheet(3)), [], 0),
                new StockAfter.Load(onRoll, [low], 170),
                new StockAfter.Load(Place(offCut), [], 0),
            ],
            [new LeftOver(0, new Box(0, 0, 100.26, 70.9))],
            "Left over",
            () => "new"
        );
        after.Items.Select(i => i.Id).ShouldBe(["sheet", "roll", "new"]);
        after.Items[0].Count.ShouldBe(1);
        after.Items[1].Length.OrZero(StockItem.RollLength).Millimetres.ShouldBe(730, 1e-9);
        // Noted a little smaller rather than larger than it is.
        (after.Items[2].Width.Text, after.Items[2].Length.Text, after.Items[2].Note).ShouldBe(("100", "70.5", "Left over"));
        // What is too short to be cut from is no roll any more; of sheets that are used up it stays known what they were.
        var last = StockAfter.Of(
            after,
            [new StockAfter.Load(onRoll, [low], 700), new StockAfter.Load(Place(Sheet(1)), [], 0)],
            [],
            "",
            () => "x"
        );
        last.Items.Select(i => (i.Id, i.Count)).ShouldBe([("sheet", 0), ("new", 1)]);
    }

    [Fact]
    public void A_plan_may_use_off_cuts_from_the_smallest_then_sheets_then_rolls_and_last_what_is_bought()
    {
        var cutter = new Cutter("Bench", TypedLength.Mm(292), TypedLength.Mm(292)) { Carriers = [Mat], Rollers = Open };
        var film = Film(305, 305);
        var stock = new FilmStock(
            "film",
            [
                new StockItem("roll", StockForm.Roll, TypedLength.Mm(290), TypedLength.Mm(2500)),
                Sheet(2),
                new StockItem("large", StockForm.OffCut, TypedLength.Mm(200), TypedLength.Mm(150)),
                new StockItem("small", StockForm.OffCut, TypedLength.Mm(100), TypedLength.Mm(150)),
                new StockItem("none", StockForm.Sheet, TypedLength.Mm(305), TypedLength.Mm(305)) { Count = 0 },
                new StockItem("thin", StockForm.OffCut, TypedLength.Mm(9), TypedLength.Mm(150)),
            ]
        );
        var on = PlanPlaces.Of(new CutPlan("film"), film, stock, cutter);
        on.Places.Select(p => p.Item.Id).ShouldBe(["small", "large", "sheet", "roll", CutPlan.ToBuy]);
        on.Problems.ShouldHaveSingleItem().Message.ToString().ShouldContain("leaves nothing of it");
        on.Places.Single(p => p.Item.Id == "sheet").Count.ShouldBe(2);
        // 2500 of roll in lengths of what the mat takes, 6.5 below and up to the end of the reach.
        on.Places.Single(p => p.Item.Id == "roll").Count.ShouldBe((int)Math.Floor(2500 / 298.5));
        // Between rollers what is cut at once is up to 1000, with its tail; the sheet is cut as well.
        var between = PlanPlaces.Of(new CutPlan("film") { CarrierId = CutPlan.Rollers }, film, stock, cutter);
        between.Places.Single(p => p.Item.Id == "roll").Count.ShouldBe(2);
        // Sheets larger than the mat hang over it alike, so that all of the reach can be cut.
        var wide = PlanPlaces.Of(new CutPlan("film"), Film(400, 600), null, cutter).Places.ShouldHaveSingleItem();
        wide.IsToBuy.ShouldBeTrue();
        wide.Area.ShouldBe(292 * 292, 1e-6);
    }

    private static Film Film(double width, double length) =>
        new(
            "Film",
            "#223344",
            FilmPurpose.Stays,
            false,
            TypedLength.Mm(0.8),
            TypedLength.Mm(width),
            TypedLength.Mm(length),
            new CutSettings("", "", "", "", "")
        );

    private static StockItem Sheet(int count) => new("sheet", StockForm.Sheet, TypedLength.Mm(305), TypedLength.Mm(305)) { Count = count };

    private static PlanPlace Place(StockItem item) => new(item, LoadGround.On(Mat, item, 5).Value, item.Count);
}
