using Cabida.Core.Costs;
using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Steps;
using Cabida.Core.Stock;
using CsCheck;

namespace Cabida.Core.Tests.Costs;

public sealed class RunCostingTests
{
    private static readonly Rates Rates = new()
    {
        Currency = "€",
        Hour = "24",
        CutterHour = "3",
        Tape = "4.50",
        Overheads = "10",
        Margin = "25 %",
    };

    private static ReadStep Step(StepKind kind, double perPiece, double perBatch, int pieces) =>
        new(MakingStep.Usual(kind), default, new StepTime(perPiece, perBatch, 0), perBatch + (perPiece * pieces));

    /// <summary>Twelve mugs: 0.09 m² of film at 15, 0.06 taped, blanks at 2.20.</summary>
    private static CostFacts Mugs(decimal? film = 15, int pieces = 12) =>
        new(
            pieces,
            [new FilmUse("Navy", 90_000, film, 60_000)],
            2.20m,
            [
                Step(StepKind.Cut, 0, 4, pieces),
                Step(StepKind.Weed, 0, 12, pieces),
                Step(StepKind.Lay, 2.5, 0, pieces),
                Step(StepKind.Pack, 1, 0, pieces),
            ],
            6,
            12
        );

    [Fact]
    public void Twelve_mugs_by_hand()
    {
        var cost = RunCosting.Of(Mugs(), Rates, RunPrice.None with { Extras = [new Extra("Box", "0,60")] }, 1);
        // 0.09·15; 0.06·4.5; 12·2.2; 12·0.6; 6 min of 3; 4, 12, 30 and 12 min of 24.
        cost.Lines.Select(l => l.Amount).ShouldBe([1.35m, 0.27m, 26.40m, 7.20m, 0.30m, 1.60m, 4.80m, 12.00m, 4.80m]);
        cost.Cost.ShouldBe(58.72m);
        cost.Overheads.ShouldBe(5.87m);
        cost.Margin.ShouldBe(16.15m);
        cost.Price.ShouldBe(80.74m);
        cost.Each.ShouldBe(6.73m);
        cost.IsWhole.ShouldBeTrue();
        cost.Lines[0].Sum.ToString().ShouldBe("0.0900 m² × € 15.00 a square metre");
        // A thirteenth: film 0.11, tape 0.02, blank 2.2, box 0.6, cutter 0.03 (0.325 of 0.3), weeding 0.4, laying 1, packing 0.4; 10 %.
        cost.More.Cost.ShouldBe(0.11m + 0.02m + 2.2m + 0.6m + 0.03m + 0.4m + 1m + 0.4m + 0.48m);
        cost.More.Each.ShouldBe(6.55m);
        cost.More.EachOfAll.ShouldBeLessThan(cost.Each);
    }

    [Fact]
    public void What_is_not_noted_is_told_and_an_agreed_price_says_what_it_earns()
    {
        var cost = RunCosting.Of(Mugs(null), Rates, RunPrice.None with { Agreed = "7.50 €" }, 0);
        cost.IsWhole.ShouldBeFalse();
        cost.Lines[0].Amount.ShouldBeNull();
        cost.Lines[0].Sum.ToString().ShouldContain("what a square metre costs is not noted");
        cost.Each.ShouldBe(7.5m);
        cost.Earned.ShouldBe(90m - cost.Cost - cost.Overheads);
        var nothing = RunCosting.Of(Mugs(), Rates.None, RunPrice.None with { Agreed = "cheap", Extras = [new Extra("Box", "-1")] }, 0);
        nothing.Problems.SelectMany(p => p.Fields).ShouldBe(["price.extras.0", "price.agreed"]);
        nothing.Agreed.ShouldBeFalse();
        // No rate of an hour is asked for, not taken for nothing.
        nothing.Lines.Where(l => l.Kind == CostKind.Hands).ShouldAllBe(l => l.Amount == null);
    }

    [Fact]
    public void What_is_shown_adds_up_and_more_of_it_costs_more() =>
        Gen.Select(Gen.Int[0, 2000], Gen.Double[0, 4e6], Gen.Decimal[0, 99], Gen.Int[0, 40], Gen.Int[0, 300])
            .Sample(
                (pieces, area, price, more, percent) =>
                {
                    var facts = Mugs(pieces: pieces) with { Films = [new FilmUse("Navy", area, Math.Round(price, 2), area / 2)] };
                    var cost = RunCosting.Of(facts, Rates with { Margin = $"{percent}" }, RunPrice.None, more);
                    cost.Lines.Sum(l => l.Amount!.Value).ShouldBe(cost.Cost);
                    (cost.Cost + cost.Overheads + cost.Margin).ShouldBe(cost.Price);
                    cost.More.Cost.ShouldBeGreaterThanOrEqualTo(0);
                    (more == 0 ? cost.More.Cost : 0).ShouldBe(0);
                    cost.Price.ShouldBe(Math.Round(cost.Price, 2));
                }
            );

    [Theory]
    [InlineData("12", 12)]
    [InlineData("12,50", 12.5)]
    [InlineData("€ 12.50", 12.5)]
    [InlineData("0.0125", 0.0125)]
    public void Amounts_are_read_as_they_are_typed(string typed, double amount) => TypedAmount.Read(typed).Value.ShouldBe((decimal)amount);

    [Theory]
    [InlineData("1.2.3")]
    [InlineData("-4")]
    [InlineData("about ten")]
    [InlineData("99999999")]
    public void What_is_no_amount_is_refused(string typed) => TypedAmount.Read(typed).Ok.ShouldBeFalse();

    [Fact]
    public void A_sheet_tells_what_a_square_metre_costs_and_a_roll_does_not()
    {
        var sheet = new StockItem("a", StockForm.Sheet, TypedLength.Mm(300), TypedLength.Mm(500)) { Price = "3" };
        new FilmStock("f", [sheet]).SquareMetre().ShouldBe(20);
        new FilmStock("f", [sheet with { Form = StockForm.Roll }]).SquareMetre().ShouldBeNull();
        new FilmStock("f", [sheet]) { PerSquareMetre = "18" }
            .SquareMetre()
            .ShouldBe(18);
    }
}
