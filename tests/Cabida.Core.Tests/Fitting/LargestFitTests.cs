using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using CsCheck;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Fitting;

public class LargestFitTests
{
    [Fact]
    public void A_three_to_one_rectangle_in_a_circle_of_97()
    {
        var s = LargestFit.Find(new Scaled(Outlines.Rectangle(new Box(-1.5, -0.5, 1.5, 0.5))), true, Disc(48.5)).ShouldNotBeNull();
        (3 * s).ShouldBe(92.022, 0.46);
        (3 * s).ShouldBeLessThanOrEqualTo(92.022 + 0.002);
    }

    [Fact]
    public void A_ring_round_a_kept_clear_disc_is_found_beyond_the_gap_where_nothing_fits()
    {
        var ring = Circle(1, 90).Difference(Circle(0.9, 90));
        var zone = ZoneShape.Of((Polygon)Circle(50.0001, 90).Difference(Circle(30, 90)), new(0, 0));
        zone.SeesAllFrom(zone.Datum).ShouldBeFalse();
        LargestFit.Find(new Scaled(ring), true, zone).ShouldNotBeNull().ShouldBe(50, 0.25);
    }

    [Fact]
    public void Parts_of_fixed_size_leave_less_for_the_rest()
    {
        var motif = new Motif(
            "m",
            RowAlignment.Centre,
            [
                TestMotifs.Line("a", "HH", 10) with
                {
                    Size = MotifLength.Stays(10),
                },
                TestMotifs.Line("b", "HH", 1) with
                {
                    Gap = MotifLength.Stays(5),
                },
            ]
        );
        var s = LargestFit.Find(TestMotifs.Compose(motif), false, Upright(1000, 60)).ShouldNotBeNull();
        s.ShouldBe(45, 1e-4);
    }

    [Fact]
    public void What_does_not_fit_at_any_scale_is_none()
    {
        var motif = new Motif(
            "m",
            RowAlignment.Centre,
            [TestMotifs.Line("a", "HH", 10) with { Size = MotifLength.Stays(90) }, TestMotifs.Line("b", "H", 1)]
        );
        LargestFit.Find(TestMotifs.Compose(motif), false, Upright(100, 60)).ShouldBeNull();
        LargestFit.Find(TestMotifs.Compose(TestMotifs.Single("   ")), true, Upright(100, 60)).ShouldBeNull();
    }

    [Fact]
    public void Scaling_a_zone_scales_the_fit_of_a_wholly_proportional_motif() =>
        Gen.Select(Gen.String[Gen.Char["HqxoHH"], 1, 12], Gen.Double[20, 300], Gen.Double[20, 120], Gen.Double[0.5, 3])
            .Sample(
                (name, w, h, k) =>
                {
                    var ink = TestMotifs.Compose(TestMotifs.Single("{name}"), name);
                    var one = LargestFit.Find(ink, true, Upright(w, h))!.Value;
                    var scaled = LargestFit.Find(ink, true, Upright(k * w, k * h))!.Value;
                    return Math.Abs((scaled / one) - k) < 1e-5 * k;
                }
            );

    [Fact]
    public void Fitted_ink_is_never_outside_a_tapered_zone_and_touches_it() =>
        Gen.Select(Gen.String[Gen.Char["Hqxo"], 1, 14], Gen.Int[200, 300], Gen.Int[150, 300], Gen.Bool)
            .Sample(
                (name, upper, lower, fixedRule) =>
                {
                    var sheet = BlankSheet.Of(TestBlanks.Tumbler($"{upper}", $"{lower}", "150"));
                    List<Part> parts = [TestMotifs.Line("a", "{name}", 10)];
                    if (fixedRule)
                    {
                        parts.Add(
                            new RulePart(
                                "r",
                                PartPlace.Below,
                                MotifLength.Stays(2),
                                RuleSpan.Given,
                                MotifLength.Scales(30),
                                MotifLength.Stays(1.5)
                            )
                        );
                    }

                    var ink = TestMotifs.Compose(new("m", RowAlignment.Centre, parts), name);
                    var zone = sheet.Zone!.Cautious;
                    var s = LargestFit.Find(ink, !fixedRule, zone)!.Value;
                    var rooms = Rooms.Of(Outlines.Placed(ink.InkAt(s), 1, zone.Datum.X, zone.Datum.Y), zone);
                    return rooms.Least >= -Tolerances.Fit && rooms.Least < 0.3;
                },
                iter: 40
            );

    private static ZoneShape Upright(double w, double h) => ZoneShape.Rectangle(new Box(-w / 2, 0, w / 2, h));

    private static ZoneShape Disc(double r) => ZoneShape.Of((Polygon)Circle(r, 180), new(0, 0));

    private static Area Circle(double r, int quarter) => Outlines.Factory.CreatePoint(new Coordinate(0, 0)).Buffer(r, quarter);

    private sealed class Scaled(Area one) : IScaledInk
    {
        public Box? BoxAt(double scale) => Box.Of(one)?.Scaled(scale);

        public Area InkAt(double scale) => Outlines.Placed(one, scale, 0, 0);
    }
}
