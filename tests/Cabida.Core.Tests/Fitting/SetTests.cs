using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using CsCheck;

namespace Cabida.Core.Tests.Fitting;

/// <summary>Pieces of one set: one scale, groups, several films, free and turned.</summary>
public class SetTests
{
    [Fact]
    public void At_one_scale_the_motif_keeps_its_own_sizes_whatever_the_name()
    {
        var basis = Basis(200, 60) with { Scale = 1.5 };
        foreach (var name in new[] { "H", "HHHH", "HHqqHH" })
        {
            PieceFit
                .Of(new("1", name), basis)
                .ShouldSatisfyAllConditions(f => f.Scale.ShouldBe(1.5), f => f.LetterHeight.ShouldBe(15, 1e-9));
        }
    }

    [Fact]
    public void A_group_takes_its_own_letter_height_and_the_others_that_of_all()
    {
        var basis = Basis(200, 60) with { LetterHeight = 12, Groups = ("size", new Dictionary<string, double> { ["L"] = 18 }) };
        double Height(string size) =>
            PieceFit.Of(new Piece("1", "HH") { Values = new Dictionary<string, string> { ["size"] = size } }, basis).LetterHeight;
        Height("L").ShouldBe(18, 1e-9);
        Height("S").ShouldBe(12, 1e-9);
        PieceFit.Of(new Piece("1", "HH"), basis).LetterHeight.ShouldBe(12, 1e-9);
    }

    [Fact]
    public void Fields_of_the_row_stand_in_their_lines()
    {
        var basis = Basis(200, 60) with
        {
            Motif = new("m", RowAlignment.Centre, [TestMotifs.Line("a", "{name}", 10), TestMotifs.Line("b", "{role|none}", 5)]),
        };
        string Second(Piece piece) => PieceFit.Of(piece, basis).Parts[1].Line!.Line.Text;
        Second(new Piece("1", "HH") { Values = new Dictionary<string, string> { ["role"] = "guard" } }).ShouldBe("guard");
        Second(new Piece("1", "HH")).ShouldBe("none");
    }

    [Fact]
    public void Several_films_are_fitted_as_one_and_stay_in_register()
    {
        var motif = new Motif(
            "m",
            RowAlignment.Centre,
            [
                TestMotifs.Line("a", "{name}", 10),
                new BackingPart("b", PartPlace.Below, MotifLength.Scales(0), ["a"], MotifLength.Scales(2), Solid: true)
                {
                    FilmId = "under",
                },
            ]
        );
        var fit = PieceFit.Of(new("1", "HHHH"), Basis(100, 60) with { Motif = motif });
        // The backing reaches 2 beyond at every side of letters 10 high and (4 · 0.6 − 0.1)/0.7 · 10 = 32.857 wide: 36.857 in 100.
        fit.Scale.ShouldBe(100 / 36.857, 0.001);
        fit.Films.Select(f => f.Film.FilmId).ShouldBe(["under", ""]);
        var (under, over) = (Box.Of(fit.Films[0].Ink)!.Value, Box.Of(fit.Films[1].Ink)!.Value);
        under.CentreX.ShouldBe(over.CentreX, 1e-6);
        (over.MinX - under.MinX).ShouldBe(2 * fit.Scale, 0.02);
    }

    [Fact]
    public void Free_and_turned_artwork_is_never_smaller_and_never_outside() =>
        Gen.Select(Gen.String[Gen.Char["Hqxo"], 1, 9], Gen.Int[30, 160], Gen.Int[30, 160], Gen.Bool)
            .Sample(
                (name, w, h, triangle) =>
                {
                    var zone = triangle ? FitShapes.Zone((0, 0), (w, 0), (w / 3.0, h)) : ZoneShape.Rectangle(new Box(0, 0, w, h));
                    var ink = TestMotifs.Compose(TestMotifs.Single("{name}"), name);
                    var upright = BestFit.Find(ink, true, zone, FitRules.OnDatum)!;
                    foreach (
                        var rules in new[]
                        {
                            FitRules.OnDatum with
                            {
                                Placing = Placing.Free,
                            },
                            FitRules.OnDatum with
                            {
                                Turning = Turning.QuarterTurn,
                            },
                            FitRules.OnDatum with
                            {
                                Placing = Placing.Free,
                                Turning = Turning.Range,
                                TurnRange = 20,
                            },
                        }
                    )
                    {
                        var fit = BestFit.Find(ink, true, zone, rules)!;
                        var placed = Outlines.Moved(ink.InkAt(fit.Scale), fit.Motion);
                        if (fit.Scale < upright.Scale * (1 - 1e-6) || Rooms.Of(placed, zone).Least < -Tolerances.Fit)
                        {
                            return false;
                        }
                    }

                    return true;
                },
                iter: 25
            );

    [Fact]
    public void A_nudge_is_in_millimetres_and_survives_a_change_of_words()
    {
        var basis = Basis(200, 60) with { LetterHeight = 10, Rules = FitRules.OnDatum with { Nudge = new(4, -2) } };
        foreach (var name in new[] { "H", "HHHHH" })
        {
            var box = Box.Of(PieceFit.Of(new("1", name), basis).Ink)!.Value;
            box.CentreX.ShouldBe(4, 1e-9);
            box.CentreY.ShouldBe(-2, 1e-9);
        }
    }

    private static FitBasis Basis(double width, double height)
    {
        Dimension Sure(double mm) => new(Length.Mm(mm), Length.Zero);
        var shape = ZoneShape.Rectangle(new Box(-width / 2, -height / 2, width / 2, height / 2));
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
        return new FitBasis(
            TestMotifs.Single("{name}"),
            null,
            null,
            new Zone(shape, shape, Sure(width), Sure(height), 0, []),
            film,
            null,
            new AtHand(new BlockFace(), new InkCache())
        );
    }
}
