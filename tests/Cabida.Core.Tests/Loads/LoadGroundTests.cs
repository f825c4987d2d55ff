using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Measures;
using Cabida.Core.Stock;

namespace Cabida.Core.Tests.Loads;

public class LoadGroundTests
{
    private static readonly Carrier Mat = new(
        "m",
        "Mat",
        TypedLength.Mm(305),
        TypedLength.Mm(305),
        TypedLength.Mm(292),
        TypedLength.Mm(292)
    );

    private static StockItem Sheet(string width, string length) =>
        new("s", StockForm.Sheet, new TypedLength(width), new TypedLength(length));

    private static StockItem OffCut(PlanePoint[] outer, params PlanePoint[][] holes) =>
        new("o", StockForm.OffCut, TypedLength.Empty, TypedLength.Empty)
        {
            Outline = [new StockRing(outer), .. holes.Select(r => new StockRing(r))],
        };

    private static string Why(Core.Wording.Outcome<LoadGround> outcome) => outcome.Problem?.ToString() ?? "";

    [Fact]
    public void Pieces_lie_where_a_mat_is_reached_and_a_sheet_is_less_its_margin()
    {
        // The reach begins 6.5 in; of a sheet of 300 × 200 in the corner, 5 to 295 × 5 to 195 are free.
        var on = LoadGround.On(Mat, Sheet("300", "200"), 5).Value;
        on.Nominal.ShouldBe(new Box(-6.5, -6.5, 298.5, 298.5));
        on.Reach.ShouldBe(new Box(0, 0, 292, 292));
        Box.Of(on.Ground)!.Value.ShouldBe(new Box(0, 0, 288.5, 188.5));
        on.Ground.Area.ShouldBe(288.5 * 188.5, 1e-6);
        // A mat whose reach begins elsewhere.
        var corner = LoadGround.On(Mat with { Left = TypedLength.Mm(3), Foot = TypedLength.Mm(13) }, Sheet("300", "200"), 5).Value;
        Box.Of(corner.Ground)!.Value.ShouldBe(new Box(2, 0, 292, 182));
    }

    [Fact]
    public void An_off_cut_keeps_its_shape_its_holes_and_its_margin_along_all_of_them()
    {
        PlanePoint[] outer = [new(0, 0), new(200, 0), new(200, 80), new(120, 80), new(120, 150), new(0, 150)];
        var on = LoadGround
            .On(
                Mat with
                {
                    Left = TypedLength.Mm(0),
                    Foot = TypedLength.Mm(0),
                },
                OffCut(outer, (PlanePoint[])[new(30, 30), new(60, 30), new(60, 60), new(30, 60)]),
                5
            )
            .Value;
        // 190 × 70 and 110 × 70 above, less a square of 40 with round corners of 5; inner corners of the L are round, too.
        var corner = 25 * (1 - (Math.PI / 4));
        on.Ground.Area.ShouldBe((190 * 70) + (110 * 70) - 1600 + (4 * corner) + corner, 0.5);
        on.Stock.Area.ShouldBe((200 * 80) + (120 * 70) - 900, 1e-6);
    }

    [Fact]
    public void Without_a_carrier_film_lies_in_the_middle_and_lead_and_tail_stay_clear()
    {
        var rollers = new Rollers(TypedLength.Mm(292), TypedLength.Mm(3000), TypedLength.Mm(20), TypedLength.Mm(30));
        var roll = new StockItem("r", StockForm.Roll, TypedLength.Mm(305), TypedLength.Mm(25_000));
        var between = LoadGround.Between(rollers, roll, 5).Value;
        Box.Of(between.Ground)!.Value.ShouldBe(new Box(0, 20, 292, 3000));
        between.IsRoll.ShouldBeTrue();
        Box.Of(LoadGround.Between(rollers, roll with { Length = TypedLength.Mm(400), Width = TypedLength.Mm(280) }, 5).Value.Ground)!
            .Value.ShouldBe(new Box(11, 20, 281, 370));
        Why(LoadGround.Between(rollers, roll with { Length = TypedLength.Mm(45) }, 5)).ShouldContain("nothing is cut of it");
        Why(LoadGround.Between(Rollers.None, roll, 5)).ShouldContain("not known");
    }

    [Fact]
    public void What_holds_nothing_says_why()
    {
        Why(LoadGround.On(Mat with { ReachWidth = TypedLength.Empty }, Sheet("300", "300"), 5)).ShouldContain("not known");
        Why(LoadGround.On(Mat, Sheet("9", "300"), 5)).ShouldContain("leaves nothing");
        Why(LoadGround.On(Mat, Sheet("0", "300"), 5)).ShouldNotBeEmpty();
        Why(LoadGround.On(Mat, Sheet("6", "300"), 0)).ShouldContain("does not reach");
        Why(LoadGround.On(Mat, OffCut([new(0, 0), new(10, 10), new(10, 0), new(0, 10)]), 5)).ShouldContain("crosses");
        Why(LoadGround.On(Mat, OffCut([new(0, 0), new(10, 10)]), 5)).ShouldContain("three corners");
        Why(LoadGround.On(Mat, OffCut([new(0, 0), new(9, 0), new(9, 9)], (PlanePoint[])[new(-1, -1), new(10, -1), new(10, 10)]), 5))
            .ShouldContain("Nothing is left");
    }

    [Fact]
    public void Stock_and_cutters_say_what_of_them_cannot_be_used()
    {
        string[] Fields(IReadOnlyList<Core.Findings.Finding> findings) => [.. findings.SelectMany(f => f.Fields)];
        var stock = new FilmStock("f", [Sheet("300", ""), OffCut([new(0, 0), new(5, 5), new(5, 0), new(0, 5)])])
        {
            EdgeMargin = new TypedLength("a bit"),
        };
        Fields(StockProblems.Of(stock)).ShouldBe(["edgeMargin", "items.0.length", "items.1.outline"]);
        Fields(StockProblems.Of(new FilmStock("f", [Sheet("3", "3"), Sheet("4", "4")]))).ShouldBe(["items"]);
        Fields(StockProblems.Of(new FilmStock("f", [new StockItem("r", StockForm.Roll, TypedLength.Mm(305), TypedLength.Mm(0))])))
            .ShouldBe(["items.0.length"]);

        var cutter = new Cutter("Cutter", TypedLength.Mm(292), TypedLength.Mm(292));
        StockProblems.Of(cutter).ShouldBeEmpty();
        StockProblems.Of(cutter with { Carriers = [Mat] }).ShouldBeEmpty();
        Fields(
                StockProblems.Of(
                    cutter with
                    {
                        Carriers = [Mat with { ReachLength = TypedLength.Mm(310) }, Mat with { Id = "n", Left = TypedLength.Mm(14) }],
                    }
                )
            )
            .ShouldBe(["carriers.0.reachLength", "carriers.1.reachWidth"]);
        ProvingSquare Square(double a, double b, double c, double d) =>
            new(TypedLength.Mm(a), TypedLength.Mm(b), TypedLength.Mm(c), TypedLength.Mm(d));
        StockProblems.Of(cutter with { Carriers = [Mat with { Proved = Square(99.6, 100.2, 141.5, 141.0) }] }).ShouldBeEmpty();
        Fields(StockProblems.Of(cutter with { Carriers = [Mat with { Proved = Square(99.6, 100.2, 145, 141.0) }] }))
            .ShouldBe(["carriers.0.proved.rising"]);
        Fields(StockProblems.Of(cutter with { Carriers = [Mat with { Proved = Square(99.6, 50, 141, 141) }] }))
            .ShouldBe(["carriers.0.proved.along"]);
    }
}
