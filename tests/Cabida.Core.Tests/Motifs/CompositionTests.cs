using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Type;

namespace Cabida.Core.Tests.Motifs;

public class CompositionTests
{
    [Fact]
    public void Lines_are_stacked_ink_to_ink_and_centred_by_ink()
    {
        // "q" has ink from −0.2 to 0.5 em: at capital height 7 (em 10) it is 7 high; the gap is 3, then capitals of 14.
        var parts = TestMotifs
            .Compose(
                new(
                    "m",
                    RowAlignment.Centre,
                    [TestMotifs.Line("a", "q", 7), TestMotifs.Line("b", "HH", 14) with { Gap = MotifLength.Scales(3) }]
                )
            )
            .PartsAt(1);
        (parts[0].Box.MinY - parts[1].Box.MaxY).ShouldBe(3, 1e-9);
        parts[0].Box.Height.ShouldBe(7, 1e-9);
        parts[1].Box.Height.ShouldBe(14, 1e-9);
        parts.ShouldAllBe(p => Math.Abs(p.Box.CentreX) < 1e-9);
        parts[0].Box.With(parts[1].Box).CentreY.ShouldBe(0, 1e-9);
    }

    [Fact]
    public void Side_bearings_and_trailing_blanks_play_no_part_in_centring()
    {
        var plain = TestMotifs.Compose(TestMotifs.Single("H")).BoxAt(1)!.Value;
        TestMotifs.Compose(TestMotifs.Single("  H   ")).BoxAt(1)!.Value.ShouldBe(plain);
        plain.Width.ShouldBe(0.5 / 0.7 * 10, 1e-9);
    }

    [Theory]
    [InlineData(RowAlignment.Left)]
    [InlineData(RowAlignment.Right)]
    public void Rows_line_up_by_ink(RowAlignment alignment)
    {
        var parts = TestMotifs.Compose(new("m", alignment, [TestMotifs.Line("a", "HHH", 5), TestMotifs.Line("b", "H", 9)])).PartsAt(1);
        (alignment == RowAlignment.Left ? parts[0].Box.MinX - parts[1].Box.MinX : parts[0].Box.MaxX - parts[1].Box.MaxX).ShouldBe(0, 1e-9);
    }

    [Fact]
    public void Rules_fill_their_row_at_half_the_height_of_its_capitals()
    {
        var rule = new RulePart(
            "r",
            PartPlace.Below,
            MotifLength.Scales(0),
            RuleSpan.FillsRow,
            MotifLength.Scales(2),
            MotifLength.Stays(1)
        );
        var parts = TestMotifs
            .Compose(
                new(
                    "m",
                    RowAlignment.Centre,
                    [
                        rule,
                        TestMotifs.Line("a", "H", 7) with
                        {
                            Place = PartPlace.Beside,
                            Gap = MotifLength.Scales(4),
                        },
                        rule with
                        {
                            Id = "s",
                            Place = PartPlace.Beside,
                            Gap = MotifLength.Scales(4),
                        },
                        TestMotifs.Line("b", "HHHHHH", 14),
                    ]
                )
            )
            .PartsAt(1);
        var row = Box.Around(parts.Take(3).Select(p => p.Box))!.Value;
        row.Width.ShouldBe(parts[3].Box.Width, 1e-9);
        parts[0].Box.Width.ShouldBe(parts[2].Box.Width, 1e-9);
        parts[0].Box.CentreY.ShouldBe(parts[1].Box.CentreY, 1e-9);
        (parts[1].Box.MinX - parts[0].Box.MaxX).ShouldBe(4, 1e-9);
    }

    [Fact]
    public void Fixed_lengths_stay_while_the_others_follow_the_scale()
    {
        var motif = new Motif(
            "m",
            RowAlignment.Centre,
            [
                TestMotifs.Line("a", "HH", 5) with
                {
                    Size = MotifLength.Stays(5),
                },
                TestMotifs.Line("b", "HH", 10) with
                {
                    Gap = MotifLength.Stays(2),
                },
            ]
        );
        var parts = TestMotifs.Compose(motif).PartsAt(3);
        parts[0].CapitalHeight.ShouldBe(5, 1e-9);
        parts[1].CapitalHeight.ShouldBe(30, 1e-9);
        (parts[0].Box.MinY - parts[1].Box.MaxY).ShouldBe(2, 1e-9);
    }

    [Fact]
    public void Sizing_by_ink_width_gives_that_width_whatever_the_words()
    {
        var line = TestMotifs.Line("a", "{name}", 42) with { SizedBy = LetteringSize.InkWidth };
        foreach (var name in new[] { "H", "HHHH", "qHx" })
        {
            TestMotifs.Compose(new("m", RowAlignment.Centre, [line]), name).BoxAt(1)!.Value.Width.ShouldBe(42, 1e-6);
        }
    }

    [Fact]
    public void Overlapping_letters_are_one_outline_with_their_counters_kept()
    {
        var ink = TestMotifs.Compose(TestMotifs.Single("xoH")).InkAt(1);
        var polygons = Outlines.PolygonsOf(ink).ToList();
        polygons.Count.ShouldBe(2);
        polygons.Sum(p => p.NumInteriorRings).ShouldBe(1);
    }

    [Fact]
    public void Missing_characters_are_told_with_their_line()
    {
        var lacking = TestMotifs.Compose(TestMotifs.Single("HßH")).Lacking.ShouldHaveSingleItem();
        lacking.Line.Missing.ShouldBe([1]);
    }

    [Fact]
    public void A_field_without_a_value_stays_as_written() =>
        Fields.Fill("{name} of {place}", new Dictionary<string, string> { ["name"] = "Bo" }).ShouldBe("Bo of {place}");

    [Fact]
    public void Results_do_not_depend_on_what_the_cache_held()
    {
        var motif = TestMotifs.Single("xoHq");
        var cold = Composition
            .Of(
                motif,
                TestMotifs.Named("n"),
                new Composing(new BlockFace(), NoGraphics.Instance, GroundShape.None, new InkCache(budgetBytes: 1))
            )
            .InkAt(2.3);
        TestMotifs.Compose(motif).InkAt(2.3).EqualsExact(cold).ShouldBeTrue();
    }

    [Fact]
    public void What_cannot_be_used_is_named_by_part_and_field()
    {
        var bad = new Motif(
            " ",
            RowAlignment.Centre,
            [
                TestMotifs.Line("a", "", 5),
                TestMotifs.Line("b", new string('x', 130), 5) with
                {
                    Gap = new(new("wide"), Scaling.Fixed),
                },
                TestMotifs.Line("c", "x", 5) with
                {
                    TypefaceId = "gone",
                },
            ]
        );
        MotifProblems
            .Of(bad, new BlockFace(), NoGraphics.Instance)
            .Select(p => (p.Part, p.Fields[0]))
            .ShouldBe([("", "name"), ("a", "text"), ("b", "gap"), ("b", "text"), ("c", "typeface")]);
    }
}
