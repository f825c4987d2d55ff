using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using CsCheck;

namespace Cabida.Core.Tests.Fitting;

/// <summary>Scaling the goods and their margins scales the fit of a wholly proportional motif, readings and all.</summary>
public class ProportionTests
{
    [Fact]
    public void A_mug_twice_as_large_with_twice_the_margins_carries_letters_twice_as_high() =>
        Gen.Select(Gen.String[Gen.Char["Hqxo"], 1, 10], Gen.Double[1.2, 3])
            .Sample(
                (name, k) =>
                {
                    var (small, large) = (Fit(1, name), Fit(k, name));
                    return Math.Abs((large.LetterHeight / small.LetterHeight) - k) < 1e-4 * k
                        && small.Cautious!.Limits.SequenceEqual(large.Cautious!.Limits)
                        && Math.Abs((large.Covers!.Goes.Degrees / small.Covers!.Goes.Degrees) - 1) < 1e-4;
                }
            );

    [Fact]
    public void A_wholly_fixed_motif_is_the_same_on_every_mug()
    {
        var stays = new Motif("m", RowAlignment.Centre, [TestMotifs.Line("a", "{name}", 10) with { Size = MotifLength.Stays(10) }]);
        Fit(1, "HH", stays).LetterHeight.ShouldBe(10, 1e-9);
        Fit(2, "HH", stays).LetterHeight.ShouldBe(10, 1e-9);
        Fit(1, "HH", stays).LargestLetterHeight.ShouldBeNull();
        Fit(1, "HHHHHHHHHHHHHHHHHHHHHHHHHHHHHHHHHHHH", stays).State.ShouldBe(FitState.Over);
    }

    [Fact]
    public void A_line_sized_by_its_width_takes_the_asked_letter_height_all_the_same()
    {
        var byWidth = new Motif("m", RowAlignment.Centre, [TestMotifs.Line("a", "{name}", 80) with { SizedBy = LetteringSize.InkWidth }]);
        Fit(1, "HHH", byWidth, letterHeight: 20).LetterHeight.ShouldBe(20, 1e-6);
        Fit(1, "H", byWidth, letterHeight: 20).LetterHeight.ShouldBe(20, 1e-6);
    }

    private static PieceFit Fit(double k, string name, Motif? motif = null, double? letterHeight = null)
    {
        // Exact dimensions, since tools do not grow with the goods.
        Dimension Exact(double mm) => new(Length.Mm(k * mm), Length.Zero);
        var wall = new Wall(null, Exact(257.6), Exact(94), Length.Zero, Exact(42));
        var zone = Zone.Of(wall, Length.Mm(k * 10), Length.Mm(k * 12), Length.Mm(k * 8)).Value;
        var film = new Film(
            "Film",
            "#000000",
            FilmPurpose.Stays,
            false,
            TypedLength.Mm(0.1),
            TypedLength.Mm(300),
            TypedLength.Mm(300),
            new("", "", "", "", "")
        );
        return PieceFit.Of(
            new("1", name),
            new FitBasis(
                motif ?? TestMotifs.Single("{name}"),
                wall,
                null,
                zone,
                film,
                letterHeight,
                new AtHand(new BlockFace(), new InkCache())
            )
        );
    }
}
