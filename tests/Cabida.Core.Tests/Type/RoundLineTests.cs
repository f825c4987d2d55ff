using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using CsCheck;

namespace Cabida.Core.Tests.Type;

/// <summary>Block letters at an em of 10 on circles: what is guaranteed between them is measured on what is cut.</summary>
public class RoundLineTests
{
    private static FormedLine Line(string text, LineForm form) =>
        new(new LetteringLine(text, new BlockFace(), LineSetting.Plain, new InkCache()), 10, form, new InkCache());

    private static LineForm Round(
        LineShape shape,
        double circle,
        LetterJoins joins = LetterJoins.AsDrawn,
        double by = 0,
        double grow = 0
    ) => LineForm.Plain with { Shape = shape, Circle = circle, Joins = joins, JoinBy = by, Grow = grow };

    [Fact]
    public void Letters_kept_apart_are_as_far_apart_as_asked_once_they_are_bent() =>
        Gen.Select(
                Gen.Char["Hqxo"].Array[2, 9],
                Gen.OneOf(Gen.Const(LineShape.RoundInside), Gen.Const(LineShape.RoundOutside), Gen.Const(LineShape.Arched)),
                Gen.Double[24, 140],
                Gen.Double[0.2, 3],
                Gen.Int[0, 40].Select(g => g / 100.0),
                Gen.Double[-6, 9]
            )
            .Sample(
                (letters, shape, circle, by, grow, arch) =>
                {
                    var line = Line(
                        new string(letters),
                        Round(shape, circle, LetterJoins.KeptApart, by, grow) with
                        {
                            ArchTop = arch,
                            ArchBottom = arch / 2,
                        }
                    );
                    var each = line.Letters.ToList();
                    if (line.Degrees > 360 || line.Crowded.Count > 0)
                    {
                        return;
                    }

                    for (var i = 1; i < each.Count; i++)
                    {
                        // Strengthening draws its round corners a little inside.
                        each[i]
                            .Distance(each[i - 1])
                            .ShouldBeGreaterThan(by - 5e-3, $"{new string(letters)} {shape} {circle} {by} {grow} {arch}");
                    }

                    // Nothing is moved for nothing: on the level H stand 1 apart, on the outside of a circle never nearer.
                    if (shape == LineShape.RoundOutside && letters.All(l => l == 'H') && by + (2 * grow) <= 1)
                    {
                        line.Box.ShouldBe(Line(new string(letters), Round(shape, circle, grow: grow)).Box);
                    }
                }
            );

    [Theory]
    // On the inside of a circle of 60 the heads of upright letters lean together: H, 1 apart on the line, would stand 0.2 apart there.
    [InlineData(60, 8)]
    [InlineData(45, 8)]
    [InlineData(100, 12)]
    public void Heads_that_lean_together_inside_are_moved_on_just_as_far_as_it_takes(double circle, int letters)
    {
        var asked = Line(new string('H', letters), Round(LineShape.RoundInside, circle, LetterJoins.KeptApart, 0.8)).Letters.ToList();
        var drawn = Line(new string('H', letters), Round(LineShape.RoundInside, circle)).Letters.ToList();
        drawn[0].Distance(drawn[1]).ShouldBeLessThan(0.7);
        asked.Zip(asked.Skip(1), (a, b) => a.Distance(b)).ShouldAllBe(d => d >= 0.8 - 1e-9 && d < 0.801);
        // The middle of the line stays at the bottom.
        Box.Around(asked.Select(a => Box.Of(a)!.Value))!.Value.CentreX.ShouldBe(0, 1e-9);
    }

    [Theory]
    [InlineData(LineShape.RoundOutside, 30)]
    [InlineData(LineShape.RoundInside, 60)]
    [InlineData(LineShape.RoundOutside, 80)]
    public void Letters_of_a_script_hang_together_round_any_circle(LineShape shape, double circle)
    {
        var line = Line("HqHoHqHH", Round(shape, circle, LetterJoins.Overlap, 0.5));
        Outlines.PolygonsOf(line.Ink).ShouldHaveSingleItem();
        // Turned on along the circle by the overlap, each still touches the one before.
        var each = line.Letters.ToList();
        var on = (shape == LineShape.RoundOutside ? -1 : 1) * (0.5 - 2e-3) / (circle / 2) * 180 / Math.PI;
        each.Zip(each.Skip(1), (a, b) => a.Distance(Outlines.Moved(b, Motion.TurnLeft(on)))).ShouldAllBe(d => d < 1e-3);
        each.Zip(each.Skip(1), (a, b) => a.Distance(Outlines.Moved(b, Motion.TurnLeft(1.02 * on)))).ShouldAllBe(d => d > 0);
    }

    [Fact]
    public void A_line_longer_than_its_circle_says_so_and_what_is_offered_mends_it()
    {
        var part = TestMotifs.Line("a", "HHHHHHHHHHHHHHHH", 7) with { Shape = LineShape.RoundOutside, Circle = MotifLength.Scales(24) };
        Finding? Note(LetteringPart p) =>
            TestMotifs.Compose(new("m", RowAlignment.Centre, [p])) is var c
                ? MotifNotes.Of(c, c.PartsAt(1), new("m", RowAlignment.Centre, [p]), GroundShape.None).SingleOrDefault()
                : null;
        // 16 letters of 6 less one gap go 95 along a circle of 75.4.
        var note = Note(part).ShouldNotBeNull();
        note.Message.ToString()
            .ShouldBe(
                "“HHHHHHHHHHHHHHHH” is longer than its circle: it goes 454° round one of 24.0 mm, so that its ends lie on one another."
            );
        LetteringPart Mended(int which) =>
            (LetteringPart)((Change<Motif>)note.Remedies[which].Change!).Of(new("m", RowAlignment.Centre, [part])).Parts[0];
        note.Remedies.Select(r => r.Words.ToString()).ShouldBe(["A circle of 30.5 mm", "Letters 5.5 mm high"]);
        Note(Mended(0)).ShouldBeNull();
        Note(Mended(1)).ShouldBeNull();
        // And no more than it takes.
        double Read(MotifLength length) => length.Typed.OrZero(LengthRange.Artwork).Millimetres;
        Read(Mended(0).Circle).ShouldBe(31, 1);
        Read(Mended(1).Size).ShouldBe(5.4, 0.3);
    }

    [Fact]
    public void Letters_that_meet_in_the_middle_of_a_small_circle_are_told()
    {
        var part = TestMotifs.Line("a", "HHHHHH", 7) with { Shape = LineShape.RoundInside, Circle = MotifLength.Scales(24) };
        var composition = TestMotifs.Compose(new("m", RowAlignment.Centre, [part]));
        MotifNotes
            .Of(composition, composition.PartsAt(1), new("m", RowAlignment.Centre, [part]), GroundShape.None)
            .ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldStartWith("On a circle of 24.0 mm, H and H of “HHHHHH” come too near to one another");
    }

    [Fact]
    public void An_arch_that_cannot_be_is_kept_at_half_a_circle_and_says_so()
    {
        var part = TestMotifs.Line("a", "HHHHHHH", 7) with { Shape = LineShape.Arched, ArchTop = MotifLength.Scales(200) };
        var composition = TestMotifs.Compose(new("m", RowAlignment.Centre, [part]));
        composition.BoxAt(1)!.Value.Height.ShouldBe(7 + 20.5, 0.05);
        MotifNotes
            .Of(composition, composition.PartsAt(1), new("m", RowAlignment.Centre, [part]), GroundShape.None)
            .ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldStartWith("An arch of 200.0 mm is kept at 20.5 mm at the top");
    }
}
