using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Type;

namespace Cabida.Core.Tests.Motifs;

public class MotifNotesTests
{
    private static List<(Severity? Severity, string Words)> Notes(Motif motif, GroundShape? ground = null)
    {
        var composition = Shapes.Compose(motif, ground);
        return
        [
            .. MotifNotes
                .Of(composition, composition.PartsAt(1), motif, ground ?? GroundShape.None)
                .Select(n => (n.Severity, n.Message.ToString())),
        ];
    }

    [Theory]
    // Letters 1 apart at an em of 10: they meet when grown by a half; the ring of o has a hole of 3.
    [InlineData("HH", 0.3, Severity.Told, "Strengthened by 0.30 mm a side; up to 0.50 mm, where two parts of the ink meet.")]
    [InlineData("HH", 0.6, Severity.Look, "Strengthened by 0.60 mm a side; beyond 0.50 mm two parts of the ink meet.")]
    [InlineData("o", 1.6, Severity.Look, "Strengthened by 1.60 mm a side; beyond 1.50 mm a counter closes at o.")]
    [InlineData("H", 2, Severity.Told, "Strengthened by 2.00 mm a side; nothing meets up to 5.0 mm.")]
    public void Strengthening_is_told_with_its_limit_and_what_would_meet(string text, double by, Severity severity, string words)
    {
        var line = TestMotifs.Line("a", text, 7) with { Strengthen = MotifLength.Stays(by) };
        Notes(Shapes.Motif(line)).ShouldHaveSingleItem().ShouldBe((severity, words));
    }

    [Fact]
    public void A_form_chosen_in_words_that_are_gone_is_told_only_where_the_words_are_fixed()
    {
        Motif Of(string text, string words) =>
            Shapes.Motif(
                TestMotifs.Line("a", text, 7) with
                {
                    Alternates = [new Alternate(AlternateScope.Place, "a", words, 0, "salt", 1)],
                }
            );
        Notes(Of("aH", "aH")).ShouldBeEmpty();
        Notes(Of("HaH", "aH"))
            .ShouldHaveSingleItem()
            .Words.ShouldBe("The other form of a was chosen in “aH”, which the line no longer says.");
        Notes(Of("{name}", "aH")).ShouldBeEmpty();
    }

    [Fact]
    public void Missing_letters_and_both_directions_stop_a_motif()
    {
        Notes(Shapes.Motif(TestMotifs.Line("a", "HßH", 7)))
            .ShouldHaveSingleItem()
            .ShouldBe((Severity.Stop, "Block lacks a character of “HßH”: ß."));
        Notes(Shapes.Motif(TestMotifs.Line("a", "H ש", 7))).ShouldHaveSingleItem().Severity.ShouldBe(Severity.Stop);
    }

    [Fact]
    public void Scattered_copies_that_find_no_room_are_counted()
    {
        var group = new GroupPart("g", PartPlace.Below, MotifLength.Scales(0), [Shapes.Box("a", 20, 20)], RowAlignment.Centre)
        {
            Repeat = new Repeat(RepeatKind.Scatter)
            {
                Across = 30,
                Width = MotifLength.Scales(100),
                Height = MotifLength.Scales(60),
            },
        };
        var note = Notes(Shapes.Motif(group)).ShouldHaveSingleItem();
        note.Severity.ShouldBe(Severity.Look);
        note.Words.ShouldEndWith("of 30 copies found room. Give them less distance, or more area.");
        Notes(
                Shapes.Motif(
                    group with
                    {
                        Repeat = new Repeat(RepeatKind.Rows) { Across = 4, Up = 2 },
                    }
                )
            )
            .ShouldHaveSingleItem()
            .Words.ShouldBe("8 copies.");
    }

    [Fact]
    public void Lowered_and_narrowed_lines_say_so()
    {
        LetteringPart Line(Stretching way, double to) =>
            TestMotifs.Line("a", "HH", 7) with
            {
                Stretching = way,
                StretchTo = MotifLength.Scales(to),
            };
        Notes(Shapes.Motif(Line(Stretching.ToHeight, 6.3)))[0].Words.ShouldContain("lowered by 10.0 %");
        Notes(Shapes.Motif(Line(Stretching.ToHeight, 7.7)))[0].Words.ShouldContain("heightened by 10.0 %");
        Notes(Shapes.Motif(Line(Stretching.ToWidth, 8.8)))[0]
            .ShouldBe((Severity.Look, "“HH” is narrowed by 20.0 %; beyond 15 % letters look forced."));
        // A round line keeps its proportions, and the field says why.
        MotifProblems
            .Of(Shapes.Motif(Line(Stretching.ToWidth, 9) with { Shape = LineShape.RoundOutside }), new BlockFace(), NoGraphics.Instance)
            .ShouldHaveSingleItem()
            .Fields.ShouldBe(["stretching"]);
    }

    [Fact]
    public void Whether_a_motif_scales_wholly_partly_or_not_is_read_from_its_lengths()
    {
        void Is(Motif motif, bool all, bool none)
        {
            var composition = Shapes.Compose(motif, GroundShape.Plain(100, 100), new Drawn("d", Drawn.Square(0, 0, 10)));
            (composition.AllScales, composition.IsFixed).ShouldBe((all, none));
        }

        var square = Shapes.Box("a", 10, 10);
        var still = square with { Width = MotifLength.Stays(10), Height = MotifLength.Stays(10) };
        Is(Shapes.Motif(square), true, false);
        Is(Shapes.Motif(still), false, true);
        Is(Shapes.Motif(square, still with { Id = "b" }), false, false);
        Is(Shapes.Motif(square, square with { Id = "b", Gap = MotifLength.Stays(3) }), false, false);
        // A gap of nothing, a clearance that is not used, a nudge of nothing decide nothing.
        Is(
            Shapes.Motif(
                square,
                square with
                {
                    Id = "b",
                    Gap = MotifLength.Stays(0),
                    Clearance = MotifLength.Stays(5),
                    Nudge = new Nudge(MotifLength.Stays(0), MotifLength.Stays(0)),
                }
            ),
            true,
            false
        );
        Is(Shapes.Motif(square with { Action = PartAction.ClearsAround, Clearance = MotifLength.Stays(5) }), false, false);
        Is(
            Shapes.Motif(
                square,
                square with
                {
                    Id = "b",
                    Place = PartPlace.Anchored,
                    Anchor = new Anchor(Anchor.Ground, Stand.Start, Stand.Start, MotifLength.Scales(0), MotifLength.Scales(0)),
                }
            ),
            false,
            false
        );
        Is(
            Shapes.Motif(
                new GraphicPart("g", PartPlace.Below, MotifLength.Scales(0), "d", GraphicSize.AsFile, MotifLength.Scales(5))
                {
                    OutlinesId = "d",
                }
            ),
            false,
            true
        );
        Is(
            Shapes.Motif(
                square with
                {
                    Width = new MotifLength(TypedLength.Mm(10), Scaling.Equal),
                    Height = new MotifLength(TypedLength.Mm(10), Scaling.Equal),
                }
            ),
            false,
            true
        );
    }
}
