using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Tests.Motifs;
using Cabida.Core.Type;

namespace Cabida.Core.Tests.Type;

/// <summary>Block letters at an em of 10: capitals 5 wide and 7 high, 1 apart.</summary>
public class FormedLineTests
{
    private static FormedLine Line(string text, LineForm? form = null, LineSetting? setting = null) =>
        new(
            new LetteringLine(text, new BlockFace(), setting ?? LineSetting.Plain, new InkCache()),
            10,
            form ?? LineForm.Plain,
            new InkCache()
        );

    [Fact]
    public void A_pair_is_opened_wherever_it_comes_and_words_by_their_blanks()
    {
        Line("HqHq", setting: LineSetting.Plain with { Pairs = [new PairNudge("H", "q", 50)] })
            .Box!.Value.Width.ShouldBe(23 + (2 * 0.5), 1e-9);
        Line("H H", setting: LineSetting.Plain with { WordSpacing = 0.3 }).Box!.Value.Width.ShouldBe(17 + 3, 1e-9);
    }

    [Theory]
    [InlineData(AlternateScope.Place, "aHa", 0, 17 + 5)]
    [InlineData(AlternateScope.Place, "HaH", 0, 17)]
    [InlineData(AlternateScope.Letter, "", 0, 17 + 10)]
    [InlineData(AlternateScope.Face, "", 0, 17 + 10)]
    public void Another_form_is_used_where_it_was_chosen(AlternateScope scope, string words, int index, double width) =>
        Line("aHa", setting: LineSetting.Plain with { Alternates = [new Alternate(scope, "a", words, index, "salt", 1)] })
            .Box!.Value.Width.ShouldBe(width, 1e-9);

    [Theory]
    // H has a tail half an em long, q one, too; a has none.
    [InlineData("{name}", "HqH", 17 + 5, "")]
    [InlineData("{name}", "HHq", 17 + 5, "")]
    [InlineData("H {name} H", "Hq", 35 + 5, "")]
    [InlineData(
        "{name}",
        "Ha",
        11,
        "Block has no form “with tail” for a; it stands as the face draws it. The choice is kept for a face that has it."
    )]
    [InlineData("HHH", "q", 17 + 5, "")]
    public void The_last_letter_of_every_name_has_its_tail_by_rule(string text, string name, double width, string told)
    {
        var rule = new Alternate(AlternateScope.Last, "H", "", 0, "", 0)
        {
            FaceId = "block",
            Family = "end",
            Glyph = 'T',
        };
        var motif = Shapes.Motif(TestMotifs.Line("a", text, 7) with { Alternates = [rule] });
        var composition = TestMotifs.Compose(motif, name);
        composition.BoxAt(1)!.Value.Width.ShouldBe(width, 1e-9);
        string.Join(' ', MotifNotes.Of(composition, composition.PartsAt(1), motif, GroundShape.None).Select(n => n.Message.ToString()))
            .ShouldBe(told);
    }

    [Fact]
    public void A_form_chosen_for_one_place_goes_before_a_rule_and_two_lines_begin_and_end_once()
    {
        var rules = new[] { AlternateScope.First, AlternateScope.Last }
            .Select(s => new Alternate(s, "H", "", 0, "", 0) { FaceId = "block", Family = "end" })
            .ToList();
        Alternate[] Of(string text, params Alternate[] more) =>
            [.. LetterRules.On([.. rules, .. more], text, [(0, text.Length)], new BlockFace())];
        Of("HqqH").Select(a => (a.Index, a.Glyph)).ShouldBe([(0, 'T'), (3, 'T')]);
        var own = new Alternate(AlternateScope.Place, "H", "HqqH", 3, "", 0) { FaceId = "block", Glyph = 'W' };
        Of("HqqH", own).Select(a => (a.Index, a.Glyph)).ShouldBe([(3, 'W'), (0, 'T')]);
        // In another face the number of a glyph means something else.
        LetterRules.On([rules[0] with { FaceId = "other", Glyph = 7 }], "HH", [(0, 2)], new BlockFace()).Single().Glyph.ShouldBe(0);
        // A letter that is not in the row takes its form from another of that kind, but not from just any row.
        Of("Ho").Select(a => a.Glyph).ShouldBe([(int)'T', 'O']);
        LetterRules.On([rules[0] with { Family = "set-2" }], "Ho", [(0, 2)], new BlockFace()).Single().Glyph.ShouldBe(0);
        // Punctuation ends no name.
        Of("Hq.").Select(a => a.Index).ShouldBe([0, 1]);
    }

    [Fact]
    public void A_form_that_the_face_lacks_is_told_and_kept()
    {
        var motif = TestMotifs.Single("aa") is var m
            ? m with
            {
                Parts = [(LetteringPart)m.Parts[0] with { Alternates = [new Alternate(AlternateScope.Letter, "a", "", 0, "swsh", 1)] }],
            }
            : null!;
        var composition = TestMotifs.Compose(motif);
        MotifNotes
            .Of(composition, composition.PartsAt(1), motif, GroundShape.None)
            .ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldContain("Block has no form “swash” for a");
    }

    [Fact]
    public void Letters_kept_apart_are_moved_only_where_they_stand_too_near()
    {
        // x overlaps its neighbour by 1; H stands 1 away.
        Gaps(Line("HHxH", LineForm.Plain with { Joins = LetterJoins.KeptApart, JoinBy = 0.8 })).ShouldBe([1, 1, 0.8], 1e-6);
        Gaps(Line("HHxH", LineForm.Plain with { Joins = LetterJoins.KeptApart, JoinBy = 1.5 })).ShouldBe([1.5, 1.5, 1.5], 1e-6);
    }

    [Fact]
    public void Script_letters_overlap_at_least_as_much_as_asked_and_blanks_stay()
    {
        Gaps(Line("HHxH", LineForm.Plain with { Joins = LetterJoins.Overlap, JoinBy = 0.5 })).ShouldBe([-0.5, -0.5, -1], 1e-6);
        Outlines.PolygonsOf(Line("HHH", LineForm.Plain with { Joins = LetterJoins.Overlap, JoinBy = 0.5 }).Ink).ShouldHaveSingleItem();
        Outlines.PolygonsOf(Line("HH HH", LineForm.Plain with { Joins = LetterJoins.Overlap, JoinBy = 0.5 }).Ink).Count().ShouldBe(2);
    }

    [Fact]
    public void Strengthening_and_gaps_are_measured_on_the_finished_piece()
    {
        var line = Line("HH", LineForm.Plain with { Joins = LetterJoins.KeptApart, JoinBy = 0.8, Grow = 0.3 });
        line.Box!.Value.Height.ShouldBe(7.6, 1e-6);
        var parts = Outlines.PolygonsOf(line.Ink).ToList();
        parts[0].Distance(parts[1]).ShouldBe(0.8, 1e-6);
    }

    [Fact]
    public void An_arch_raises_the_middle_by_as_much_as_asked_and_leaves_the_ends()
    {
        var box = Line("HHHHHHH", LineForm.Plain with { Shape = LineShape.Arched, ArchTop = 4, ArchBottom = 2 }).Box!.Value;
        box.MaxY.ShouldBe(7 + 4, 0.02);
        box.MinY.ShouldBe(0, 0.02);
        box.Width.ShouldBe(41, 1e-6);
        // The middle letter stands on the arc: its foot at the very middle is raised by two.
        var ink = Line("HHHHHHH", LineForm.Plain with { Shape = LineShape.Arched, ArchTop = 4, ArchBottom = 2 });
        ink.BoxOfLetter(3)!.Value.MinY.ShouldBe(2, 0.06);
    }

    [Fact]
    public void Round_a_circle_letters_stand_on_it_upright_and_unbent()
    {
        var outside = Line("HHHHH", LineForm.Plain with { Shape = LineShape.RoundOutside, Circle = 40 });
        outside.BoxOfLetter(2)!.Value.MinY.ShouldBe(20, 1e-6);
        outside.BoxOfLetter(2)!.Value.CentreX.ShouldBe(0, 1e-6);
        outside.Ink.Area.ShouldBe(5 * 35, 1e-6);
        var inside = Line("HHHHH", LineForm.Plain with { Shape = LineShape.RoundInside, Circle = 40 });
        inside.BoxOfLetter(2)!.Value.MinY.ShouldBe(-20, 1e-6);
        // Reading left to right: the first letter stands at the left of the middle, above and below alike.
        outside.BoxOfLetter(0)!.Value.CentreX.ShouldBeLessThan(-5);
        inside.BoxOfLetter(0)!.Value.CentreX.ShouldBeLessThan(-5);
    }

    [Fact]
    public void A_column_is_centred_by_ink_with_the_gap_between()
    {
        var column = Line("HxH", LineForm.Plain with { Shape = LineShape.Column, ColumnGap = 2 });
        new[] { 0, 1, 2 }.ShouldAllBe(i => Math.Abs(column.BoxOfLetter(i)!.Value.CentreX) < 1e-9);
        (column.BoxOfLetter(0)!.Value.MinY - column.BoxOfLetter(1)!.Value.MaxY).ShouldBe(2, 1e-9);
        column.Box!.Value.Height.ShouldBe(7 + 5 + 7 + 4, 1e-9);
    }

    [Theory]
    [InlineData(LetteringSize.InkWidth)]
    [InlineData(LetteringSize.InkHeight)]
    public void Every_kind_of_line_gets_the_size_it_is_asked_for(LetteringSize by)
    {
        foreach (var shape in Enum.GetValues<LineShape>())
        {
            var part = TestMotifs.Line("a", "HqxH", 5) with
            {
                SizedBy = by,
                Size = MotifLength.Scales(60),
                Shape = shape,
                ArchTop = MotifLength.Stays(3),
                Circle = MotifLength.Scales(80),
                Strengthen = MotifLength.Stays(0.4),
                Joins = LetterJoins.KeptApart,
                JoinBy = MotifLength.Stays(1.2),
            };
            var box = TestMotifs.Compose(new("m", RowAlignment.Centre, [part])).BoxAt(1)!.Value;
            (by == LetteringSize.InkWidth ? box.Width : box.Height).ShouldBe(60, 0.01, shape.ToString());
        }
    }

    [Fact]
    public void Widening_on_purpose_states_its_percentage_and_points_out_what_looks_forced()
    {
        Motif Of(double width) =>
            new(
                "m",
                RowAlignment.Centre,
                [
                    TestMotifs.Line("a", "HH", 7) with
                    {
                        Stretching = Stretching.ToWidth,
                        StretchTo = MotifLength.Scales(width),
                        Strengthen = MotifLength.Stays(0.2),
                    },
                ]
            );
        string Note(double width) =>
            Of(width) is var m && TestMotifs.Compose(m) is var c
                ? string.Join(
                    " ",
                    MotifNotes
                        .Of(c, c.PartsAt(1), m, GroundShape.None)
                        .Where(n => n.Message.ToString().Contains("widened", StringComparison.Ordinal))
                        .Select(n => $"{n.Severity} {n.Message}")
                )
                : "";
        TestMotifs.Compose(Of(12)).BoxAt(1)!.Value.Width.ShouldBe(12, 1e-6);
        TestMotifs.Compose(Of(12)).BoxAt(1)!.Value.Height.ShouldBe(7.4, 1e-6);
        Note(12).ShouldBe("Told “HH” is widened by 5.3 %, on purpose.");
        Note(14).ShouldStartWith("Look “HH” is widened by 22.8 %");
    }

    [Fact]
    public void Two_lines_are_made_equally_wide()
    {
        var parts = TestMotifs
            .Compose(
                new(
                    "m",
                    RowAlignment.Centre,
                    [
                        TestMotifs.Line("a", "HHHH", 7),
                        TestMotifs.Line("b", "HHH", 7) with
                        {
                            Stretching = Stretching.ToPart,
                            StretchAs = "a",
                        },
                    ]
                )
            )
            .PartsAt(1);
        parts[1].Box.Width.ShouldBe(parts[0].Box.Width, 1e-9);
        parts[1].Box.Height.ShouldBe(7, 1e-9);
    }

    [Fact]
    public void Lines_can_be_set_line_to_line()
    {
        var parts = TestMotifs
            .Compose(
                new(
                    "m",
                    RowAlignment.Centre,
                    [
                        TestMotifs.Line("a", "qq", 7),
                        TestMotifs.Line("b", "HH", 7) with
                        {
                            Gap = MotifLength.Scales(12),
                            FromBaseline = true,
                        },
                    ]
                )
            )
            .PartsAt(1);
        // q hangs 2 below its line and stands 5 above it; H stands 7 high on the line 12 below.
        (parts[0].Box.MinY + 2 - parts[1].Box.MinY).ShouldBe(12, 1e-9);
    }

    private static double[] Gaps(FormedLine line) =>
        [
            .. Enumerable
                .Range(1, line.Line.Text.Length - 1)
                .Select(i => line.BoxOfLetter(i)!.Value.MinX - line.BoxOfLetter(i - 1)!.Value.MaxX),
        ];
}
