using Cabida.Core.Blanks;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;

namespace Cabida.Core.Tests.Stock;

public class FilmOnBlankTests
{
    private static readonly Film Navy = new(
        "Navy",
        "#2b3f6b",
        FilmPurpose.Stays,
        false,
        TypedLength.Mm(0.8),
        TypedLength.Mm(300),
        TypedLength.Mm(300),
        new("", "", "", "", "")
    );

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
        var glass = new Material
        {
            Name = "glass",
            Opacity = Opacity.Clear,
            Colour = "#ffffff",
            Behind = "cola",
            BehindColour = "#2a1a12",
        };
        FilmOnBlank.Notes(Navy, glass).ShouldHaveSingleItem().ToString().ShouldContain("Navy against cola: the contrast is");
        FilmOnBlank.Notes(Navy, glass with { Opacity = Opacity.Opaque }).ShouldBeEmpty();
        FilmOnBlank.Notes(Navy, new Material()).ShouldBeEmpty();
    }

    [Fact]
    public void Heat_beyond_what_the_goods_stand_is_said_and_so_is_heat_that_is_not_known()
    {
        var transfer = Navy with { Material = FilmMaterial.HeatTransfer, Heat = new HeatPlan("320 F", "", "") };
        FilmOnBlank
            .Notes(transfer, new Material { Name = "nylon", StandsHeat = "140" })
            .ShouldHaveSingleItem()
            .ToString()
            .ShouldContain("pressed at 160 °C, and nylon stands 140 °C");
        FilmOnBlank.Notes(transfer, new Material { Name = "nylon" }).ShouldHaveSingleItem().ToString().ShouldContain("is not noted");
        FilmOnBlank
            .Notes(
                transfer,
                new Material
                {
                    Name = "cotton",
                    StandsHeat = "190",
                    Finish = Finish.Cloth,
                }
            )
            .ShouldBeEmpty();
        FilmOnBlank
            .Notes(Navy, new Material { Finish = Finish.Cloth })
            .ShouldHaveSingleItem()
            .ToString()
            .ShouldContain("does not hold on cloth");
    }

    [Theory]
    [InlineData("80", "155", true)]
    [InlineData("80 °C", "311 F", true)]
    [InlineData("155", "155", false)]
    [InlineData("176 F", "80", false)]
    [InlineData("", "155", false)]
    [InlineData("80", "", false)]
    public void A_film_pressed_hotter_than_the_goods_stand_stops_the_piece(string stands, string pressed, bool stops)
    {
        var film = Navy with { Material = FilmMaterial.HeatTransfer, Heat = new HeatPlan(pressed, "", "") };
        var shape = ZoneShape.Rectangle(new Box(-60, 0, 60, 40));
        var zone = new Zone(shape, shape, new(Length.Mm(120), Length.Zero), new(Length.Mm(40), Length.Zero), 20, []);
        var basis = new FitBasis(TestMotifs.Single("{name}"), null, null, zone, film, null, new AtHand(new BlockFace(), new InkCache()))
        {
            Material = new Material { Name = "acrylic", StandsHeat = stands },
        };
        var fit = PieceFit.Of(new Piece("1", "HH"), basis);
        fit.MayBeCut.ShouldBe(!stops);
        fit.Noticed.Count(f =>
                f.Rule == Rule.HeatOfGoods
                && f.Severity == Severity.Stop
                && f.Message.ToString().Contains("acrylic stands 80 °C", StringComparison.Ordinal)
            )
            .ShouldBe(stops ? 1 : 0);
    }

    [Fact]
    public void Vinyl_gives_more_than_card()
    {
        Navy.Gives.ShouldBe(new StrainLimits(0.03, 0.005));
        (Navy with { Material = FilmMaterial.Card }).Gives.ShouldBe(new StrainLimits(0.003, 0.001));
        StockProblems.Of(Navy with { Heat = new HeatPlan("very hot", "", "") }).ShouldHaveSingleItem().Fields.ShouldBe(["heat.from"]);
    }
}
