using Cabida.Core.Geometry;
using Cabida.Core.Type;
using CsCheck;

namespace Cabida.Core.Tests.Type;

public class InkCacheTests
{
    [Fact]
    public void The_chord_error_at_a_size_is_never_more_than_the_inks_tolerance_nor_much_less() =>
        Gen.Double[0.5, 3000]
            .Sample(size =>
            {
                var error = InkCache.ChordError(InkCache.LevelFor(size)) * size;
                return error <= Tolerances.Ink && error > Tolerances.Ink / 4.001;
            });

    [Fact]
    public void A_line_knows_its_box_without_joining_and_its_joined_ink_has_that_box()
    {
        var line = new LetteringLine("xHqo", new BlockFace(), LineSetting.Plain with { Spacing = 0.1 }, new InkCache());
        line.BoxAt(10).ShouldBe(Box.Of(line.InkAt(10)));
        new LetteringLine("   ", new BlockFace(), LineSetting.Plain, new InkCache()).BoxAt(10).ShouldBeNull();
    }

    [Fact]
    public void Ink_can_be_asked_for_where_it_will_stand()
    {
        var line = new LetteringLine("Ho", new BlockFace(), LineSetting.Plain, new InkCache());
        Box.Of(line.InkAt(10, 3, 4))!.Value.ShouldBe(Box.Of(line.InkAt(10))!.Value.Moved(3, 4));
    }

    [Fact]
    public void Decomposed_letters_are_set_as_composed_ones() =>
        new LetteringLine("e\u0301", new BlockFace(), LineSetting.Plain, new InkCache()).Text.ShouldBe("\u00e9");

    [Theory]
    [InlineData(0.3, "H")]
    [InlineData(0.9, "q")]
    [InlineData(1.25, null)]
    public void The_letter_at_a_place_is_found(double x, string? letter)
    {
        var line = new LetteringLine("Hq", new BlockFace(), LineSetting.Plain, new InkCache());
        (line.LetterAt(x, 0.1) is { } index ? line.LetterOf(index) : null).ShouldBe(letter);
    }
}
