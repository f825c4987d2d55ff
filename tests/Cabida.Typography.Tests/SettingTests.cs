using Cabida.Core.Geometry;
using Cabida.Core.Type;

namespace Cabida.Typography.Tests;

/// <summary>Real names in the shipped faces.</summary>
public sealed class SettingTests : IDisposable
{
    private readonly ShippedTypefaces faces = new();
    private readonly InkCache cache = new();

    public void Dispose() => faces.Dispose();

    [Theory]
    [InlineData("kaushan-script", "Agnieszka")]
    [InlineData("pacifico", "Konstantinos")]
    [InlineData("sacramento", "Abimbola")]
    [InlineData("eb-garamond", "Ælfwynn Ōe")]
    [InlineData("oswald", "Łukasz-Żółć")]
    public void No_two_outlines_of_a_set_name_overlap_so_that_nothing_is_sliced(string id, string name)
    {
        var face = faces.Find(id)!;
        var polygons = Outlines.PolygonsOf(new LetteringLine(name, face, LineSetting.Plain, cache).InkAt(40 / face.CapitalHeight)).ToList();
        for (var i = 0; i < polygons.Count; i++)
        {
            for (var j = i + 1; j < polygons.Count; j++)
            {
                polygons[i].Overlaps(polygons[j]).ShouldBeFalse($"{i} and {j} of {name}");
            }
        }
    }

    [Theory]
    [InlineData("archivo", "i", 2)]
    [InlineData("archivo", "ë", 3)]
    [InlineData("zilla-slab", "B8", 2)]
    public void Dots_stay_apart_and_counters_stay_open(string id, string text, int parts)
    {
        var ink = new LetteringLine(text, faces.Find(id)!, LineSetting.Plain, cache).InkAt(50);
        Outlines.PolygonsOf(ink).Count().ShouldBe(parts);
        Outlines
            .PolygonsOf(ink)
            .Sum(p => p.NumInteriorRings)
            .ShouldBe(
                text == "B8" ? 4
                : text == "ë" ? 1
                : 0
            );
    }

    [Fact]
    public void Setting_is_the_same_at_every_size_but_for_the_size()
    {
        var line = new LetteringLine("Zoë-Marie", faces.Find("kaushan-script")!, LineSetting.Plain, cache);
        var (small, large) = (line.BoxAt(10)!.Value, line.BoxAt(400)!.Value);
        (large.Width / small.Width).ShouldBe(40, 0.01);
        (large.Height / small.Height).ShouldBe(40, 0.01);
    }

    [Fact]
    public void Larger_lettering_is_flattened_more_finely()
    {
        var line = new LetteringLine("Oo", faces.Find("comfortaa")!, LineSetting.Plain, cache);
        line.InkAt(800).NumPoints.ShouldBeGreaterThan(line.InkAt(5).NumPoints);
    }

    [Fact]
    public void The_same_text_is_set_the_same_by_two_readers_of_the_same_file()
    {
        using var again = new ShippedTypefaces();
        var (a, b) = (faces.Find("pacifico")!, again.Find("pacifico")!);
        a.Revision.ShouldBe(b.Revision);
        b.Shape("Konstantinos", []).Glyphs.ShouldBe(a.Shape("Konstantinos", []).Glyphs);
        new LetteringLine("Konstantinos", b, LineSetting.Plain, new InkCache())
            .InkAt(30)
            .EqualsExact(new LetteringLine("Konstantinos", a, LineSetting.Plain, cache).InkAt(30))
            .ShouldBeTrue();
    }

    [Fact]
    public void An_unknown_face_is_none_and_an_empty_line_has_no_ink()
    {
        faces.Find("none").ShouldBeNull();
        new LetteringLine("", faces.Find("archivo")!, LineSetting.Plain, cache).InkAt(10).IsEmpty.ShouldBeTrue();
    }
}
