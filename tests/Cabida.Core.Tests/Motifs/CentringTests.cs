using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using CsCheck;

namespace Cabida.Core.Tests.Motifs;

/// <summary>q hangs 0.2 em below the line and is as high as a small letter, 0.5 em; H is 0.7 em high.</summary>
public class CentringTests
{
    [Fact]
    public void Without_tails_the_line_stands_in_the_middle_not_its_descender()
    {
        // At a capital height of 7 an em is 10: ink from −2 to 7 and from 0 to 7 without the tail.
        Middle(Centring.InkBox, "Hq").Y.ShouldBe(0, 1e-9);
        Middle(Centring.WithoutTails, "Hq").Y.ShouldBe(-1, 1e-9);
        Middle(Centring.WithoutTails, "HH").Y.ShouldBe(0, 1e-9);
        // Without capitals its own height counts.
        Middle(Centring.WithoutTails, "qq").Y.ShouldBe(-1, 1e-9);
    }

    [Fact]
    public void By_weight_the_heavier_side_stands_nearer()
    {
        // Two blocks 5 × 7 and a ring of 5 × 5 less 3 × 3, middles at 3, 9 and 15.
        var weight = ((35 * 3) + (35 * 9) + (16 * 15)) / 86.0;
        Middle(Centring.Weight, "HHo").X.ShouldBe(9 - weight, 1e-9);
        Middle(Centring.Weight, "HHo", scale: 3).X.ShouldBe(3 * (9 - weight), 1e-9);
    }

    [Fact]
    public void A_line_is_centred_on_the_others_as_it_asks()
    {
        var motif = new Motif(
            "m",
            RowAlignment.Centre,
            [TestMotifs.Line("a", "HHHHH", 7), TestMotifs.Line("b", "HHo", 7) with { Centring = Centring.Weight }]
        );
        var parts = TestMotifs.Compose(motif).PartsAt(1);
        var centroid = Outlines.Union([.. parts[1].Ink.Select(i => i.Ink)]).Centroid.X;
        centroid.ShouldBe(parts[0].Box.CentreX, 1e-9);
    }

    [Fact]
    public void Whatever_the_way_the_middle_scales_with_the_motif() =>
        Gen.Select(Gen.String[Gen.Char["HqoxH"], 1, 8], Gen.Enum<Centring>(), Gen.Double[0.2, 6])
            .Sample(
                (name, way, s) =>
                {
                    var (one, scaled) = (Middle(way, name), Middle(way, name, s));
                    return Math.Abs((one.X * s) - scaled.X) < 1e-6 && Math.Abs((one.Y * s) - scaled.Y) < 1e-6;
                }
            );

    /// <summary>Where the middle of the ink's box comes to stand.</summary>
    private static PlanePoint Middle(Centring way, string name, double scale = 1)
    {
        var motif = new Motif("m", RowAlignment.Centre, [TestMotifs.Line("a", "{name}", 7)]) { Centring = way };
        var box = Box.Of(TestMotifs.Compose(motif, name).InkAt(scale))!.Value;
        return new PlanePoint(box.CentreX, box.CentreY);
    }
}
