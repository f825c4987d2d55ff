using Cabida.Core.Bench;
using Cabida.Core.Blanks;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using CsCheck;

namespace Cabida.Core.Tests.Bench;

public class CareNoteTests
{
    private static readonly Film Vinyl = TestFilms.Plain(1);
    private static readonly Film Pressed = Vinyl with { Material = FilmMaterial.HeatTransfer };
    private static readonly Film Mask = Vinyl with { Purpose = FilmPurpose.PulledOff };
    private static readonly Film Card = Vinyl with { Material = FilmMaterial.Card };

    private static string Said(SurfaceKind surface, Material material, params Film[] films) =>
        string.Join('\n', CareNote.Offered(new CareFacts(films, surface, material, [], false)));

    [Fact]
    public void Film_on_a_mug_bears_no_dishwasher_and_paint_on_it_says_nothing_of_one()
    {
        Said(SurfaceKind.Straight, new Material { Name = "glazed stoneware" }, Vinyl).ShouldContain("dishwasher");
        Said(SurfaceKind.Straight, new Material { Name = "glazed stoneware" }, Mask).ShouldNotContain("dishwasher");
    }

    [Theory]
    [InlineData("enamelled steel", Finish.Gloss, true)]
    [InlineData("Stainless", Finish.Matt, true)]
    [InlineData("", Finish.Brushed, true)]
    // No metal, though a metal's name begins or ends in it.
    [InlineData("satin porcelain, tinted", Finish.Satin, false)]
    [InlineData("clear glass", Finish.Gloss, false)]
    public void Metal_is_kept_out_of_the_microwave(string name, Finish finish, bool isMetal) =>
        Said(SurfaceKind.Tapered, new Material { Name = name, Finish = finish }, Vinyl).Contains("microwave").ShouldBe(isMetal);

    [Fact]
    public void Cloth_is_washed_inside_out_whether_it_is_a_garment_or_measured_flat()
    {
        var cloth = new Material { Finish = Finish.Cloth };
        Said(SurfaceKind.Garment, cloth, Pressed).ShouldContain("inside out at 30 °C");
        Said(SurfaceKind.Flat, cloth, Pressed).ShouldBe(Said(SurfaceKind.Garment, cloth, Pressed));
        Said(SurfaceKind.Flat, new Material(), Card).ShouldContain("Keep it dry");
    }

    [Fact]
    public void Varnish_and_what_lies_behind_clear_goods_are_told_too()
    {
        var facts = new CareFacts([Vinyl], SurfaceKind.Flat, new Material(), [MakingStep.Usual(StepKind.Varnish)], true);
        CareNote
            .Offered(facts)
            .TakeLast(2)
            .ShouldBe([
                "Its varnish goes on hardening for a week: put nothing on it until then.",
                "The artwork is on the back: wipe that side softly, or not at all.",
            ]);
    }

    [Fact]
    public void The_makers_own_words_take_the_place_of_all_that_is_offered()
    {
        var facts = new CareFacts([Vinyl], SurfaceKind.Straight, new Material(), [], false);
        CareNote.Lines(" By hand. \r\n\n  Be kind to it. ", facts).ShouldBe(["By hand.", "Be kind to it."]);
        CareNote.Lines(" \n ", facts).ShouldBe(CareNote.Offered(facts));
    }

    [Fact]
    public void There_is_something_to_say_of_everything_that_carries_artwork() =>
        Gen.Select(Gen.Enum<SurfaceKind>(), Gen.Enum<Finish>(), Gen.Enum<FilmPurpose>(), Gen.Enum<FilmMaterial>(), Gen.Bool)
            .Sample(
                (surface, finish, purpose, material, seen) =>
                {
                    var film = Vinyl with { Purpose = purpose, Material = material };
                    var lines = CareNote.Offered(new CareFacts([film], surface, new Material { Finish = finish }, [], seen));
                    // Stiff sheet on a vessel is all that leaves nothing to be said.
                    (lines.Count > 0 || (material == FilmMaterial.Sheet || material == FilmMaterial.Card)).ShouldBeTrue();
                    lines.Distinct().Count().ShouldBe(lines.Count);
                    lines.Sum(l => l.Length + 1).ShouldBeLessThanOrEqualTo(RunSetUp.MostCareLetters);
                },
                iter: 500
            );
}
