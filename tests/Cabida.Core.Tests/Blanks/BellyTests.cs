using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using CsCheck;

namespace Cabida.Core.Tests.Blanks;

public class BellyTests
{
    private static readonly Belly Worked = Through((10, 250), (50, 262), (90, 254));

    [Fact]
    public void The_worked_example_of_a_bellied_wall()
    {
        // G″ = −0.0125 per mm; K = 0.0125/2π / (262/2π).
        Worked.CurvatureAt(50).ShouldBe(4.771e-5, 1e-8);
        FilmStrain.OfBand(Worked, 10, 90).Max(s => s.Strain).ShouldBe(0.03968, 1e-5);
        FilmStrain.OfBand(Worked, 10, 90).MaxBy(s => s.Strain).V.ShouldBe(50, 0.6);
        // 4.771e-5 · 32²/8, and it gathers because the wall bulges both ways.
        FilmStrain.OfPatch(Worked, 50, 90, 32).ShouldBe(-0.00611, 5e-5);
    }

    [Fact]
    public void Three_girths_make_the_parabola_and_more_a_curve_that_never_overshoots()
    {
        for (var v = 10.0; v <= 90; v += 5)
        {
            var expected = 250 + (12 * (v - 10) / 40) + ((v - 10) * (v - 50) * ((-8 / 40.0) - (12 / 40.0)) / 80);
            Worked.GirthAt(v).ShouldBe(expected, 1e-9);
        }

        var many = Through((0, 200), (20, 200), (40, 260), (60, 261), (80, 240));
        for (var v = 0.0; v <= 80; v += 0.5)
        {
            many.GirthAt(v).ShouldBeInRange(200 - 1e-9, 261 + 1e-9);
        }

        many.GirthAt(10).ShouldBe(200, 1e-9);
        many.GirthAt(40).ShouldBe(260, 1e-9);
    }

    [Fact]
    public void A_sphere_has_the_curvature_of_a_sphere_and_its_upright_height()
    {
        // Along the meridian of a ball of radius 60 the girth is 2π·60·cos(s/60).
        var ball = Through([.. Enumerable.Range(0, 17).Select(i => i * 5.0).Select(v => (v, 2 * Math.PI * 60 * Math.Cos((v - 40) / 60)))]);
        ball.CurvatureAt(37.5).ShouldBe(1 / 3600.0, 0.1 / 3600);
        ball.UprightAt(80).ShouldBe(2 * 60 * Math.Sin(40 / 60.0), 0.15);
    }

    [Fact]
    public void What_a_film_may_cover_keeps_just_within_its_limits()
    {
        var vinyl = new StrainLimits(0.03, 0.005);
        var band = FilmStrain.TallestBand(Worked, 50, vinyl);
        FilmStrain.OfBand(Worked, 50 - (band / 2), 50 + (band / 2)).Max(s => s.Strain).ShouldBeInRange(0.0298, 0.03);
        var patch = FilmStrain.LargestPatch(Worked, 50, vinyl);
        FilmStrain.Within(FilmStrain.OfPatch(Worked, 50, patch, patch), vinyl).ShouldBeTrue();
        FilmStrain.Within(FilmStrain.OfPatch(Worked, 50, patch + 0.1, patch + 0.1), vinyl).ShouldBeFalse();
        FilmStrain.TallestBand(Through((0, 250), (40, 250), (80, 250)), 40, vinyl).ShouldBe(80, 1e-9);
    }

    [Fact]
    public void A_zone_on_a_bellied_wall_is_laid_on_the_cone_through_its_ends()
    {
        var sheet = BlankSheet.Of(Jug(("270", "15"), ("310", "60"), ("255", "120")));
        sheet.Findings.ShouldBeEmpty();
        var laid = sheet.Sizes[0].Zones[0];
        var (wall, zone) = (laid.Wall!, laid.Zone!);
        var (low, high) = (
            zone.MiddleHeight - (zone.Height.Value.Millimetres / 2),
            zone.MiddleHeight + (zone.Height.Value.Millimetres / 2)
        );
        wall.GirthAt(low).Value.Millimetres.ShouldBe(sheet.Sizes[0].Bellied!.Belly.GirthAt(low), 1e-6);
        wall.GirthAt(high).Value.Millimetres.ShouldBe(sheet.Sizes[0].Bellied!.Belly.GirthAt(high), 1e-6);
        wall.AcrossAt(60).Millimetres.ShouldBe(sheet.Sizes[0].Bellied!.Belly.GirthAt(60) / Math.PI, 1e-9);
    }

    [Theory]
    [InlineData("270,15;330,60", "2 can be used so far")]
    [InlineData("270,15;330,60;255,60.4", "taken at the same height")]
    [InlineData("270,15;330,60;255,190", "above the rim")]
    [InlineData("100,15;700,60;100,120", "the radius changes by")]
    [InlineData("270,15;10.5 cm,60;255,120", "It looks like inches taken as centimetres")]
    public void Girths_that_cannot_be_are_explained(string typed, string expected)
    {
        var rings = typed.Split(';').Select(r => r.Split(',')).Select(r => (r[0], r[1])).ToArray();
        BlankSheet.Of(Jug(rings)).Findings.ShouldContain(f => f.Message.ToString().Contains(expected, StringComparison.Ordinal));
    }

    [Fact]
    public void Whatever_was_read_every_figure_of_every_drawing_is_a_number() =>
        Gen.Select(Gen.Int[60, 900].Array[3, 6], Gen.Int[5, 90].Array[6], Gen.Int[20, 5000], Gen.Enum<Datum>())
            .Sample(
                (girths, steps, height, from) =>
                {
                    var jug = Jug([.. girths.Select((g, i) => ($"{g}", $"{steps.Take(i + 1).Sum()}"))]);
                    var sheet = BlankSheet.Of(
                        jug with
                        {
                            Girths = girths.Length,
                            Measured =
                            [
                                TestBlanks.Read(DimensionKind.Height, MeasuringTool.PaperStrip, $"{height}"),
                                .. jug.Measured.Skip(1),
                            ],
                            KeptClear =
                            [
                                new KeptClear("lip", "Lip", ClearShape.Band)
                                {
                                    Height = TypedLength.Mm(14),
                                    Place = new Place { From = from, Away = TypedLength.Mm(3) },
                                },
                            ],
                        }
                    );
                    foreach (var drawing in new[] { StandingDrawing.Of(jug, sheet), FlatDrawing.Of(sheet.Sizes[0]) }.OfType<Drawing>())
                    {
                        drawing
                            .Strokes.SelectMany(s => s.Points)
                            .Concat(drawing.Dimensions.SelectMany(d => new[] { d.From, d.To }))
                            .Concat(drawing.Callouts.Select(c => c.At))
                            .ShouldAllBe(p => double.IsFinite(p.X) && double.IsFinite(p.Y));
                    }

                    sheet
                        .Sizes[0]
                        .Zones.Select(ZoneMove.OnDrawing)
                        .OfType<Box>()
                        .ShouldAllBe(b => double.IsFinite(b.Width) && double.IsFinite(b.Height));
                },
                iter: 300
            );

    [Fact]
    public void A_height_that_carries_the_wall_to_a_point_is_told() =>
        BlankSheet
            .Of(
                Jug(("352", "18"), ("428", "58"), ("331", "100")) is var jug
                    ? jug with
                    {
                        Measured = [TestBlanks.Read(DimensionKind.Height, MeasuringTool.PaperStrip, "2597"), .. jug.Measured.Skip(1)],
                    }
                    : null!
            )
            .ShouldSatisfyAllConditions(
                s => s.Wall.ShouldBeNull(),
                s => s.Findings[0].Message.ToString().ShouldContain("would come to a point"),
                s => s.Findings[0].Stops.ShouldBeTrue()
            );

    private static Blank Jug(params (string Girth, string Up)[] rings) =>
        new(
            "Jug",
            SurfaceKind.Bellied,
            [
                TestBlanks.Read(DimensionKind.Height, MeasuringTool.PaperStrip, "140"),
                .. rings.SelectMany(
                    (r, i) =>
                        new[]
                        {
                            TestBlanks.Read(DimensionKind.GirthAt, MeasuringTool.PaperStrip, r.Girth) with
                            {
                                Of = DimensionRows.Nth(i + 1),
                            },
                            TestBlanks.Read(DimensionKind.UpTo, MeasuringTool.PaperStrip, r.Up) with
                            {
                                Of = DimensionRows.Nth(i + 1),
                            },
                        }
                ),
            ]
        )
        {
            Zones = [TestBlanks.Wrap with { Margins = new(TypedLength.Mm(40), TypedLength.Mm(40), TypedLength.Mm(8), TypedLength.Mm(8)) }],
        };

    private static Belly Through(params (double V, double Girth)[] rings) =>
        new([.. rings.Select(r => new GirthRing(r.V, new Dimension(Length.Mm(r.Girth), Length.Mm(1))))]);
}
