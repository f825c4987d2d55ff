using Cabida.Core.Blanks;
using Cabida.Core.Checking;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Tests.Motifs;
using Cabida.Core.Type;
using Cabida.Core.Waste;

namespace Cabida.Core.Tests.Stock;

public class FilmChangeTests
{
    private static readonly Film Navy = new(
        "Navy",
        "#1f2f5f",
        FilmPurpose.Stays,
        false,
        TypedLength.Mm(0.8),
        TypedLength.Mm(300),
        TypedLength.Mm(300),
        new("", "", "", "", "")
    );
    private static readonly Film Cream = Navy with
    {
        Name = "Cream",
        Colour = "#f2e6c9",
        Mirrored = true,
        ThinnestStroke = TypedLength.Mm(1),
        Material = FilmMaterial.HeatTransfer,
        Heat = new HeatPlan("150", "160", "12"),
    };

    [Fact]
    public void Another_film_changes_mirror_limits_heat_and_what_it_gives()
    {
        var said = string.Join(' ', FilmChange.Between(Navy, Cream).Select(p => p.ToString()));
        said.ShouldContain("Cream is cut mirrored, from the back.");
        said.ShouldContain("thinnest stroke is 1.00 mm instead of 0.80 mm");
        said.ShouldContain("pressed at 150 to 160 °C");
        FilmChange.Between(Navy, Navy with { Name = "Sea", Colour = "#003355" }).ShouldBeEmpty();
    }

    [Fact]
    public void Contrast_is_taken_with_the_film_below_or_with_the_goods()
    {
        Film? FilmOf(FilmPly f) =>
            f.FilmId switch
            {
                "navy" => Navy,
                "cream" => Cream,
                _ => null,
            };
        var motif = Shapes.Motif(
            Shapes.Box("under", 40, 20) with
            {
                FilmId = "cream",
            },
            Shapes.Box("on", 20, 10).At("under") with
            {
                FilmId = "navy",
            }
        );
        FilmContrast
            .Of(Shapes.Films(motif), FilmOf, new Material { Name = "enamel", Colour = "#f4f1e8" })
            .ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldStartWith("Cream on enamel: the contrast is");
        FilmContrast.Of(Shapes.Films(Shapes.Motif(Shapes.Box("a", 5, 5) with { FilmId = "navy" })), FilmOf, null).ShouldBeEmpty();
    }

    [Fact]
    public void Weeding_takes_as_long_as_the_calculations_say()
    {
        // Fourteen bits, of which three are small, and 1,500 of cut: 1.367 minutes.
        WeedingPace.Usual.MinutesOf(new Weeding(14, 3, 1500, null)).ShouldBe(1.367, 5e-4);
        var ring = Outlines.Without(Outlines.Rectangle(new Box(0, 0, 10, 10)), Outlines.Rectangle(new Box(4, 4, 5.5, 6)));
        Weeding.Of(ring, FilmPurpose.Stays).ShouldBe(new Weeding(2, 1, 40 + 7, 3));
        Weeding.Of(ring, FilmPurpose.PulledOff).Bits.ShouldBe(1);
    }

    [Fact]
    public void A_typeface_is_tried_with_its_facts_at_the_size_it_would_get()
    {
        var shape = ZoneShape.Rectangle(new Box(-50, -20, 50, 20), LimitKind.Edge);
        var zone = new Zone(shape, shape, new Dimension(Length.Mm(100), Length.Zero), new Dimension(Length.Mm(40), Length.Zero), 0, []);
        var tried = TypeTrial.Of(
            new FitBasis(TestMotifs.Single("{name}"), null, null, zone, Navy, null, new AtHand(new BlockFace(), new InkCache())),
            "a",
            "block",
            ["HH", "oooooooo"],
            new InkFactsCache(),
            WeedingEstimate.Bare(WeedingBook.Empty)
        );
        // HH is limited by the height of 40; eight o are 47 hundredths of an em wide each, limited by 100.
        tried.Names[0].Fit.LetterHeight.ShouldBe(40, 1e-3);
        tried.LetterHeight.ShouldBe(100 / 4.7 * 0.7, 0.01);
        tried.SmallestCounter!.Value.ShouldBe(Math.Pow(0.3 * 100 / 4.7, 2), 0.1);
        tried.Stops.ShouldBe(0);
    }

    [Fact]
    public void What_is_equal_across_a_set_takes_the_least_scale_of_its_pieces()
    {
        var shape = ZoneShape.Rectangle(new Box(-50, -50, 50, 50), LimitKind.Edge);
        var zone = new Zone(shape, shape, new Dimension(Length.Mm(100), Length.Zero), new Dimension(Length.Mm(100), Length.Zero), 0, []);
        var role = TestMotifs.Line("role", "HH", 5) with { Size = new MotifLength(TypedLength.Mm(5), Scaling.Equal) };
        var motif = new Motif("m", RowAlignment.Centre, [TestMotifs.Line("name", "{name}", 10), role]);
        var basis = new FitBasis(motif, null, null, zone, Navy, null, new AtHand(new BlockFace(), new InkCache()));
        Piece[] pieces = [new("1", "HHHHHH"), new("2", "H")];
        var scale = SetScale.Of(pieces, basis).ShouldNotBeNull();
        var fits = pieces.Select(p => PieceFit.Of(p, basis with { EqualScale = scale })).ToList();
        fits.Select(f => f.Parts[1].CapitalHeight).ShouldAllBe(h => Math.Abs(h - (5 * scale)) < 1e-6);
        fits[1].LetterHeight.ShouldBeGreaterThan(fits[0].LetterHeight * 1.5);
        SetScale.Of(pieces, basis with { Motif = TestMotifs.Single("{name}") }).ShouldBeNull();
    }
}
