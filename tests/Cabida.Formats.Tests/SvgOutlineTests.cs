using System.Text;
using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Formats.PanelOutlines;

namespace Cabida.Formats.Tests;

/// <summary>One feature of a drawing at a time.</summary>
public class SvgOutlineTests
{
    [Theory]
    [InlineData("translate(7 9)", 20, 10)]
    [InlineData("scale(2)", 40, 20)]
    [InlineData("scale(2, 3)", 40, 30)]
    [InlineData("rotate(90)", 10, 20)]
    [InlineData("rotate(90, 5, 5)", 10, 20)]
    [InlineData("rotate(180) translate(3)", 20, 10)]
    [InlineData("skewX(45)", 30, 10)]
    [InlineData("skewY(45)", 20, 30)]
    [InlineData("matrix(0 1 -1 0 4 4)", 10, 20)]
    [InlineData("scale(2) rotate(90)", 20, 40)]
    public void Transforms_are_applied_from_the_right(string transform, double width, double height)
    {
        var box = BoxOf($"""<g transform="{transform}"><rect width="20" height="10"/></g>""");
        (Math.Round(box.Width, 3), Math.Round(box.Height, 3)).ShouldBe((width, height));
    }

    [Theory]
    [InlineData("100mm", 100)]
    [InlineData("10cm", 100)]
    [InlineData("4in", 101.6)]
    [InlineData("288pt", 101.6)]
    [InlineData("384px", 101.6)]
    [InlineData("384", 101.6)]
    public void The_unit_of_the_file_decides_the_size(string width, double millimetres)
    {
        var drawn = Read($"""<svg width="{width}" viewBox="0 0 50 50"><rect width="50" height="25"/></svg>""");
        Box.Of(Outlines.Ring(drawn.Rings[0]))!.Value.Width.ShouldBe(millimetres, 1e-3);
        drawn.Source.Contains("not stated", StringComparison.Ordinal).ShouldBe(width is "384px" or "384");
    }

    [Theory]
    [InlineData("""<circle cx="20" cy="20" r="10"/>""", Math.PI * 100)]
    [InlineData("""<ellipse cx="20" cy="20" rx="10" ry="5"/>""", Math.PI * 50)]
    [InlineData("""<polygon points="0,0 20,0 20,10 0,10"/>""", 200)]
    [InlineData("""<path d="M0 0 h20 v10 h-20 z"/>""", 200)]
    [InlineData("""<path d="M0 0 A10 10 0 0 1 20 0 A10 10 0 0 1 0 0"/>""", Math.PI * 100)]
    [InlineData("""<path d="M0 0 Q10 20 20 0"/>""", 2.0 / 3 * 20 * 10)]
    [InlineData("""<path d="M0 0 C0 20 20 20 20 0"/>""", 0.6 * 20 * 20)]
    [InlineData("""<rect width="20" height="10" rx="2" ry="2"/>""", 200 - ((4 - Math.PI) * 4))]
    public void Shapes_and_curves_have_their_true_area(string shape, double area) =>
        Outlines.Ring(Wrapped(shape).Rings[0]).Area.ShouldBe(area, 0.4);

    [Fact]
    public void What_lies_in_a_hole_is_waste_and_what_lies_beside_is_left_out()
    {
        var drawn = Wrapped("""<path d="M0 0H60V60H0Z M10 10H50V50H10Z M20 20H40V40H20Z"/><rect x="80" width="10" height="10"/>""");
        drawn.Rings.Count.ShouldBe(2);
        Outlines.Ring(drawn.Rings[1]).Area.ShouldBe(1600, 1e-3);
        drawn.Source.ShouldContain("1 smaller shape beside it left out");
    }

    [Fact]
    public void A_drawing_stands_upright_although_its_file_counts_downwards()
    {
        // Wide at the top of the screen, so wide at the top of the panel.
        var ring = Wrapped("""<polygon points="0,0 40,0 25,30 15,30"/>""").Rings[0];
        var top = ring.Max(p => p.Y);
        ring.Where(p => top - p.Y < 1).Max(p => p.X).ShouldBe(40, 1e-3);
    }

    [Fact]
    public void What_is_only_defined_is_not_drawn()
    {
        var drawn = Wrapped(
            """<defs><rect width="500" height="500"/></defs><clipPath><circle r="300"/></clipPath><rect width="20" height="10"/>"""
        );
        Outlines.Ring(drawn.Rings[0]).Area.ShouldBe(200, 1e-3);
    }

    private static Box BoxOf(string inside) => Box.Of(Outlines.Ring(Wrapped(inside).Rings[0]))!.Value;

    private static DrawnOutline Wrapped(string inside) =>
        Read($"""<svg xmlns="http://www.w3.org/2000/svg" width="100mm" viewBox="0 0 100 100">{inside}</svg>""");

    private static DrawnOutline Read(string svg) => OutlineFile.Read("a.svg", Encoding.UTF8.GetBytes(svg)).Value;
}
