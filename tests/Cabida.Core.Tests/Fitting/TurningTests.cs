using Cabida.Core.Blanks;
using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Core.Type;

namespace Cabida.Core.Tests.Fitting;

public class TurningTests
{
    [Fact]
    public void A_quarter_turn_is_taken_only_where_it_is_allowed_and_makes_the_name_larger()
    {
        var upright = Fit("30", "120", Turning.Upright);
        var turned = Fit("30", "120", Turning.QuarterTurn);
        turned.Scale.ShouldBeGreaterThan(upright.Scale * 1.5);
        var box = Box.Of(turned.Ink)!.Value;
        box.Height.ShouldBeGreaterThan(box.Width);
        turned.State.ShouldBe(FitState.Fits);
        // Its parts lie where its ink lies, and findings are told by the letter at their place.
        Box.Around(turned.Parts.Select(p => p.Box))!.Value.Width.ShouldBe(box.Width, 1e-6);
        turned.Parts[0].LetterAt(new PlanePoint(box.CentreX, box.MinY + 0.5)).ShouldBe("H");
        Fit("120", "30", Turning.QuarterTurn)
            .Ink.EnvelopeInternal.Width.ShouldBe(Fit("120", "30", Turning.Upright).Ink.EnvelopeInternal.Width, 1e-6);
    }

    [Fact]
    public void A_name_on_a_belly_is_pointed_out_when_the_film_must_give_too_much()
    {
        MeasuredDimension Read(DimensionKind kind, string typed, string of = "") =>
            TestBlanks.Read(kind, MeasuringTool.PaperStrip, typed) with
            {
                Of = of,
            };
        var jug = new Blank(
            "Jug",
            SurfaceKind.Bellied,
            [
                Read(DimensionKind.Height, "160"),
                .. new[] { ("250", "20"), ("400", "80"), ("250", "140") }.SelectMany(
                    (r, i) => new[] { Read(DimensionKind.GirthAt, r.Item1, $"{i + 1}"), Read(DimensionKind.UpTo, r.Item2, $"{i + 1}") }
                ),
            ]
        )
        {
            Zones =
            [
                new ZoneSpec("z", "Belly")
                {
                    Margins = new(TypedLength.Mm(40), TypedLength.Mm(40), TypedLength.Mm(60), TypedLength.Mm(60)),
                },
            ],
        };
        var laid = BlankSheet.Of(jug).Sizes[0].Zones[0];
        var fit = PieceFit.Of(new("1", "HHH"), Basis(laid));
        Checks
            .Of(fit, Basis(laid), new InkFactsCache())
            .Findings.ShouldContain(f =>
                f.Rule == Rule.FilmStrain && f.Message.ToString().Contains("the film must", StringComparison.Ordinal)
            );
    }

    private static PieceFit Fit(string width, string height, Turning turning)
    {
        var board = new Blank(
            "Board",
            SurfaceKind.Flat,
            [
                TestBlanks.Read(DimensionKind.Width, MeasuringTool.SteelRule, width),
                TestBlanks.Read(DimensionKind.Height, MeasuringTool.SteelRule, height),
            ]
        )
        {
            Zones = [new ZoneSpec("z", "Face") { Margins = ZoneMargins.All(TypedLength.Mm(2)), Turning = turning }],
        };
        return PieceFit.Of(new("1", "HHHH"), Basis(BlankSheet.Of(board).Sizes[0].Zones[0]));
    }

    private static FitBasis Basis(LaidZone laid)
    {
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
            laid.Wall,
            laid.Panel,
            laid.Zone!,
            film,
            null,
            new AtHand(new BlockFace(), new InkCache())
        );
    }
}
