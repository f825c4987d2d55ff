using System.Text;
using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using Cabida.Formats.PanelOutlines;

namespace Cabida.Formats.Tests;

public class OutlineFileTests
{
    [Fact]
    public void An_svg_in_millimetres_keeps_its_size_its_holes_and_its_curves()
    {
        var drawn = Svg(
            """
            <svg xmlns="http://www.w3.org/2000/svg" width="120mm" height="80mm" viewBox="0 0 240 160">
              <g transform="translate(20 20)"><rect width="200" height="100" rx="20"/><circle cx="40" cy="50" r="10"/><circle cx="160" cy="50" r="10"/></g>
            </svg>
            """
        ).Value;
        drawn.Rings.Count.ShouldBe(3);
        var outer = Outlines.Ring(drawn.Rings[0]);
        outer.EnvelopeInternal.Width.ShouldBe(100, 1e-3);
        outer.Area.ShouldBe((100 * 50) - ((4 - Math.PI) * 100), 0.5);
        Outlines.Ring(drawn.Rings[1]).Area.ShouldBe(Math.PI * 25, 0.2);
        drawn.Source.ShouldBe("part.svg");
    }

    [Fact]
    public void A_size_that_is_not_stated_is_said()
    {
        var drawn = Svg("""<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0H96V48H0Z"/><text>Hello</text></svg>""").Value;
        Outlines.Ring(drawn.Rings[0]).EnvelopeInternal.Width.ShouldBe(25.4, 1e-4);
        drawn.Source.ShouldContain("96 units to the inch was taken");
        drawn.Source.ShouldContain("left out: text");
    }

    [Theory]
    [InlineData("<svg><text>Name</text></svg>", "holds nothing that can be cut, only text")]
    [InlineData("<svg><path d='M0 0", "damaged in line 1")]
    [InlineData("<svg></svg>", "holds nothing that can be cut")]
    [InlineData("<svg width='9000mm' viewBox='0 0 9 9'><path d='M0 0H9V9Z'/></svg>", "Does the file name the right unit?")]
    [InlineData("hello", "neither an SVG nor a DXF")]
    public void A_file_without_an_outline_says_what_is_wrong(string file, string expected) =>
        Svg(file).Problem!.ToString().ShouldContain(expected);

    [Theory]
    [InlineData("M10 10 90 60 90 10 10 60Z", "40.0 mm from its left and 25.0 mm above its foot")]
    [InlineData("M10 10 90 70 90 10 30 70Z", "crosses itself")]
    [InlineData("M10 10C200 10-100 60 90 60L90 10 10 60Z", "crosses itself")]
    [InlineData("M0 0H100V60H0Z M20 20H120V30H20Z", "crosses itself or its holes 100.0 mm from its left")]
    [InlineData("M0 0H100V60H0Z M20 20H60V40H20Z M50 30H80V50H50Z", "crosses itself or its holes")]
    [InlineData("M0 0H100V60H0Z M20 20 60 40 60 20 20 40Z", "crosses itself or its holes 40.0 mm from its left and 30.0 mm above its foot")]
    public void A_bow_tie_or_holes_that_cross_are_refused_with_their_place(string path, string expected)
    {
        Svg($"""<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="100mm" viewBox="0 0 200 100"><path d="{path}"/></svg>""")
            .Problem.ShouldNotBeNull()
            .ToString()
            .ShouldContain(expected);
    }

    [Fact]
    public void A_bow_tie_of_a_dxf_is_refused_too() =>
        Dxf(4, "LINE 10 0 20 0 11 30 21 20", "LINE 10 30 20 20 11 30 21 0", "LINE 10 30 20 0 11 0 21 20", "LINE 10 0 20 20 11 0 21 0")
            .Problem!.ToString()
            .ShouldContain("crosses itself 15.0 mm from its left and 10.0 mm above");

    [Fact]
    public void A_dxf_of_lines_and_arcs_in_inches_is_joined_end_to_end()
    {
        // A stadium two inches long: two lines, two half circles, given out of order and one of them backwards.
        var drawn = Dxf(
            1,
            "LINE 10 0 20 0 11 1 21 0",
            "ARC 10 0 20 0.5 40 0.5 50 90 51 270",
            "LINE 10 0 20 1 11 1 21 1",
            "ARC 10 1 20 0.5 40 0.5 50 270 51 90"
        ).Value;
        var ring = Outlines.Ring(drawn.Rings[0]);
        ring.EnvelopeInternal.Width.ShouldBe(2 * 25.4, 0.02);
        ring.Area.ShouldBe((1 + (Math.PI / 4)) * 25.4 * 25.4, 0.8);
    }

    [Fact]
    public void Bulges_ellipses_and_splines_have_their_true_shape()
    {
        // Two vertices joined by two half circles make a circle of radius 10.
        var bulged = Dxf(4, "LWPOLYLINE 90 2 70 1 10 -10 20 0 42 1 10 10 20 0 42 1").Value;
        Outlines.Ring(bulged.Rings[0]).Area.ShouldBe(Math.PI * 100, 0.5);
        var ellipse = Dxf(4, "ELLIPSE 10 0 20 0 11 20 21 0 40 0.5 41 0 42 6.283185307179586").Value;
        Outlines.Ring(ellipse.Rings[0]).Area.ShouldBe(Math.PI * 20 * 10, 0.5);
        // A quadratic spline over one span is a parabola: with its chord it encloses two thirds of the box.
        var spline = Dxf(
            4,
            "SPLINE 71 2 40 0 40 0 40 0 40 1 40 1 40 1 10 0 20 0 10 10 20 20 10 20 20 0",
            "LINE 10 0 20 0 11 20 21 0"
        ).Value;
        Outlines.Ring(spline.Rings[0]).Area.ShouldBe(2.0 / 3 * 20 * 10, 0.2);
    }

    [Fact]
    public void An_open_dxf_says_by_how_much() =>
        Dxf(4, "LINE 10 0 20 0 11 30 21 0", "LINE 10 30 20 0 11 30 21 30", "LINE 10 30 20 30 11 0 21 4")
            .Problem!.ToString()
            .ShouldContain("ends 4.0 mm short of its start");

    private static Outcome<DrawnOutline> Svg(string text) => OutlineFile.Read("part.svg", Encoding.UTF8.GetBytes(text));

    private static Outcome<DrawnOutline> Dxf(int unit, params string[] entities)
    {
        var text = new StringBuilder($"0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n{unit}\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n");
        foreach (var words in entities.Select(e => e.Split(' ')))
        {
            text.Append("0\n").Append(words[0]).Append('\n');
            foreach (var word in words.Skip(1))
            {
                text.Append(word).Append('\n');
            }
        }

        return OutlineFile.Read("part.dxf", Encoding.UTF8.GetBytes(text.Append("0\nENDSEC\n0\nEOF\n").ToString()));
    }
}
