using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using Cabida.Core.Stock;

namespace Cabida.Core.Tests.Stock;

public class FilmOnBlankTests
{
    private static readonly Film Navy = new("Navy", "#2b3f6b", FilmPurpose.Stays, false, TypedLength.Mm(0.8), TypedLength.Mm(300), TypedLength.Mm(300), new("", "", "", "", ""));

    [Fact]
    public void Contrast_is_that_of_the_web_guidelines()
    {
        FilmOnBlank.Contrast("#000000", "#ffffff")!.Value.ShouldBe(21, 1e-9);
        FilmOnBlank.Contrast("#777777", "#ffffff")!.Value.ShouldBe(4.48, 0.01);
        FilmOnBlank.Contrast("#777777", "").ShouldBeNull();
        FilmOnBlank.Contrast("blue", "#ffffff").ShouldBeNull();
    }

    [Fact]
    public void Clear_goods_are_judged_by_what_is_seen_through_them()
    {
        var glass = new Material { Name = "glass", Opacity = Opacity.Clear, Colour = "#ffffff", Behind = "cola", BehindColour = "#2a1a12" };
        FilmOnBlank.Notes(Navy, glass).ShouldHaveSingleItem().ToString().ShouldContain("Navy against cola: the contrast is");
        FilmOnBlank.Notes(Navy, glass with { Opacity = Opacity.Opaque }).ShouldBeEmpty();
        FilmOnBlank.Notes(Navy, new Material()).ShouldBeEmpty();
    }

    [Fact]
    public void Heat_beyond_what_the_goods_stand_is_said_and_so_is_heat_that_is_not_known()
    {
        var transfer = Navy with { Material = FilmMaterial.HeatTransfer, PressedAt = "320 F" };
        FilmOnBlank.Notes(transfer, new Material { Name = "nylon", StandsHeat = "140" }).ShouldHaveSingleItem().ToString().ShouldContain("pressed at 160 °C; nylon stands 140 °C");
        FilmOnBlank.Notes(transfer, new Material { Name = "nylon" }).ShouldHaveSingleItem().ToString().ShouldContain("is not noted");
        FilmOnBlank.Notes(transfer, new Material { Name = "cotton", StandsHeat = "190", Finish = Finish.Cloth }).ShouldBeEmpty();
        FilmOnBlank.Notes(Navy, new Material { Finish = Finish.Cloth }).ShouldHaveSingleItem().ToString().ShouldContain("does not hold on cloth");
    }

    [Fact]
    public void Vinyl_gives_more_than_card()
    {
        Navy.Gives.ShouldBe(new StrainLimits(0.03, 0.005));
        (Navy with { Material = FilmMaterial.Card }).Gives.ShouldBe(new StrainLimits(0.003, 0.001));
        StockProblems.Of(Navy with { PressedAt = "very hot" }).ShouldHaveSingleItem().Field.ShouldBe("pressedAt");
    }
}
