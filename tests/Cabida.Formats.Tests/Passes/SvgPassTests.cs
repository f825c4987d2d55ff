using System.Text;
using Cabida.Core.Geometry;
using Cabida.Formats.Graphics;
using Cabida.Formats.Graphics.Svg;
using SkiaSharp;

namespace Cabida.Formats.Tests.Passes;

/// <summary>Each pass over an SVG by itself.</summary>
public class SvgPassTests
{
    private static SvgNode Parse(string svg) => SvgParse.Read("a.svg", Encoding.UTF8.GetBytes(svg)).Value;

    [Fact]
    public void Parsing_keeps_names_attributes_and_style_text_and_leaves_the_rest()
    {
        var root = Parse(
            "<?xml version='1.0'?><!DOCTYPE svg><svg xmlns:x='u'><!-- c "
                + "--><style>a{b:c}</style><style><![CDATA[d{e:f}]]></style><g id='g'><use x:href='#a'/>text</g></svg>"
        );
        root.All().Select(n => n.Name).ShouldBe(["svg", "style", "style", "g", "use"]);
        root.Children[0].Text.ShouldBe("a{b:c}");
        root.Children[1].Text.ShouldBe("d{e:f}");
        root.Children[2].Children[0].Of("href").ShouldBe("#a");
        root.Children[2].Children[0].Depth.ShouldBe(3);
    }

    [Theory]
    [InlineData("rect", true)]
    [InlineData("*", true)]
    [InlineData(".a", true)]
    [InlineData(".a.b", true)]
    [InlineData(".a.c", false)]
    [InlineData("#r", true)]
    [InlineData("rect#r.b", true)]
    [InlineData("g rect", true)]
    [InlineData("svg g rect", true)]
    [InlineData("svg > rect", false)]
    [InlineData("svg > g > rect", true)]
    [InlineData(".outer rect", true)]
    [InlineData("circle, rect", true)]
    [InlineData("rect:hover", false)]
    [InlineData("a rect", false)]
    [InlineData("rect[class]", true)]
    [InlineData("[class~='b']", true)]
    [InlineData("[id^='x']", false)]
    [InlineData("circle + rect", true)]
    [InlineData("circle ~ rect", true)]
    [InlineData("rect + rect", false)]
    [InlineData("rect:nth-child(2)", true)]
    [InlineData("rect:first-child", false)]
    [InlineData("rect:last-child", true)]
    [InlineData("rect:first-of-type", true)]
    [InlineData("g :nth-child(2n+1)", false)]
    [InlineData(":not(.c)", true)]
    [InlineData(":root rect", true)]
    public void A_selector_means_what_it_says(string selector, bool matches)
    {
        var root = Parse($"<svg><style>{selector}{{fill:red}}</style><g class='outer'><circle/><rect id='r' class='a b'/></g></svg>");
        var notes = new SortedSet<string>(StringComparer.Ordinal);
        var styles = SvgStyles.Of("a.svg", root, notes).Value;
        (styles.Of(root.All().Single(n => n.Name == "rect"), null).Of("fill") == "red").ShouldBe(matches);
        notes.ShouldBeEmpty();
    }

    [Fact]
    public void Ids_are_stronger_than_classes_and_classes_than_names()
    {
        // Each rule stands before one that is weaker.
        var root = Parse(
            "<svg><style>#r{fill:red} rect.a{fill:blue;stroke:blue} .a{stroke:green;color:green} g rect{color:grey;opacity:.2} "
                + "rect{opacity:.1}</style><g><rect id='r' class='a'/></g></svg>"
        );
        var style = Styles(root).Of(root.All().Single(n => n.Name == "rect"), null);
        (style.Of("fill"), style.Of("stroke"), style.Of("color"), style.Of("opacity")).ShouldBe(("red", "blue", "green", ".2"));
    }

    [Fact]
    public void A_rule_that_is_not_followed_is_told_and_custom_properties_are_put_in()
    {
        var notes = new SortedSet<string>(StringComparer.Ordinal);
        var root = Parse(
            "<svg><style>@media print{rect{fill:none}} :root{--Ink:var(--b,gold);--loop:var(--loop)} rect::before, "
                + "rect{fill:var(--Ink)} rect{stroke:var(--none, var(--Ink));color:var(--loop)}</style><rect/></svg>"
        );
        var styles = SvgStyles.Of("a.svg", root, notes).Value;
        var style = styles.Of(root.Children[1], styles.Of(root, null));
        (style.Of("fill"), style.Of("stroke"), style.Of("color")).ShouldBe(("gold", "gold", ""));
        notes.ShouldBe(["style rules for “rect::before”, which are not followed", "style rules for other uses (print)"], ignoreOrder: true);
    }

    private static SvgStyles Styles(SvgNode root) => SvgStyles.Of("a.svg", root, new SortedSet<string>(StringComparer.Ordinal)).Value;

    [Fact]
    public void Style_is_inherited_and_overridden_in_the_order_of_css()
    {
        var root = Parse(
            "<svg><style>rect{fill:green} .b{fill:blue;opacity:.5}</style><g fill='red' stroke='black' clip-path='url(#c)'><rect "
                + "fill='pink'/><rect class='b'/><rect class='b' style='fill:gold; stroke:inherit'/></g></svg>"
        );
        var styles = Styles(root);
        var group = root.Children[1];
        var outer = styles.Of(group, styles.Of(root, null));
        var fills = group.Children.Select(c => styles.Of(c, outer)).ToList();
        fills.Select(s => s.Of("fill")).ShouldBe(["green", "blue", "gold"]);
        fills.ShouldAllBe(s => s.Of("stroke") == "black");
        // What is not inherited stays with its element.
        fills.ShouldAllBe(s => s.Of("clip-path") == "");
        outer.Of("clip-path").ShouldBe("url(#c)");
        fills[1].Of("opacity").ShouldBe(".5");
    }

    [Theory]
    [InlineData("10", 10)]
    [InlineData("10px", 10)]
    [InlineData("1in", 96)]
    [InlineData("25.4mm", 96)]
    [InlineData("2.54cm", 96)]
    [InlineData("72pt", 96)]
    [InlineData("6pc", 96)]
    [InlineData("25%", 50)]
    [InlineData("2em", 32)]
    [InlineData("-1e1", -10)]
    [InlineData("auto", 7)]
    public void A_length_is_read_in_user_units(string text, double units) => SvgValues.Length(text, 200, 7).ShouldBe(units, 1e-9);

    [Theory]
    [InlineData("#abc", "#aabbcc")]
    [InlineData("#AABBCC80", "#aabbcc")]
    [InlineData("rgb(255, 0, 10)", "#ff000a")]
    [InlineData("rgb(50% 0% 100%)", "#8000ff")]
    [InlineData("hsl(0, 100%, 50%)", "#ff0000")]
    [InlineData("SteelBlue", "#4682b4")]
    [InlineData("nocolour", null)]
    public void A_colour_is_read_as_css_writes_it(string text, string? colour) => SvgValues.Colour(text).ShouldBe(colour);

    [Theory]
    [InlineData("translate(3)", 4, 1)]
    [InlineData("translate(3,4)", 4, 5)]
    [InlineData("scale(2)", 2, 2)]
    [InlineData("scale(2 3)", 2, 3)]
    [InlineData("rotate(90)", -1, 1)]
    [InlineData("rotate(90 1 0)", 0, 0)]
    [InlineData("skewX(45)", 2, 1)]
    [InlineData("matrix(1 0 0 1 5 6)", 6, 7)]
    [InlineData("translate(10) scale(2)", 12, 2)]
    [InlineData("translate(10% 1in)", 21, 97)]
    [InlineData("rotate(0.25turn)", -1, 1)]
    [InlineData("rotate(100grad)", -1, 1)]
    [InlineData("scaleY(3)", 1, 3)]
    [InlineData("skew(0, 45deg)", 1, 2)]
    public void A_transform_takes_a_point_where_it_says(string transform, double x, double y)
    {
        var p = SvgTransforms.Of(transform, new Box(0, 0, 200, 100)).Of(new PlanePoint(1, 1));
        p.X.ShouldBe(x, 1e-9);
        p.Y.ShouldBe(y, 1e-9);
    }

    [Theory]
    [InlineData("", 0, 25)]
    [InlineData("xMinYMin", 0, 0)]
    [InlineData("xMidYMax meet", 0, 50)]
    [InlineData("none", 0, 0)]
    [InlineData("xMidYMid slice", -50, 0)]
    public void A_view_box_comes_to_its_viewport(string aspect, double x, double y)
    {
        // A drawing of 20 × 10 in a viewport of 100 × 100.
        var p = SvgValues.ViewBox("5 5 20 10", aspect, 0, 0, 100, 100).Of(new PlanePoint(5, 5));
        p.X.ShouldBe(x, 1e-9);
        p.Y.ShouldBe(y, 1e-9);
    }

    [Theory]
    [InlineData("M0 0h10v10h-10z", "0,0 10,0 10,10 0,10 z")]
    [InlineData("m1,1 2,0 0,2z m5 5 1 0 0 1", "1,1 3,1 3,3 z|6,6 7,6 7,7")]
    [InlineData("M.5.5-1-1L1e1 2", "0.5,0.5 -1,-1 10,2")]
    [InlineData("M0 0L10 0 10 x 20 20", "0,0 10,0")]
    [InlineData("M0 0L10 0 10", "0,0 10,0")]
    [InlineData("L5 5", "")]
    [InlineData("M0 0L5 5 Q", "0,0 5,5")]
    [InlineData("M0 0 10 0A5 5 0 0020 0", "0,0 10,0 15,5 20,0")]
    [InlineData("", "")]
    public void Path_data_is_drawn_up_to_its_mistake(string data, string ends)
    {
        var (lines, mistake) = SvgPathData.Read(data);
        static string At(PlanePoint p) => System.FormattableString.Invariant($"{Math.Round(p.X, 9)},{Math.Round(p.Y, 9)}");
        // Only where curves end at halves, so that the inner joints of arcs do not count.
        string.Join(
                '|',
                lines.Select(l =>
                    string.Join(
                        ' ',
                        l.Line.Segments.Select(s => s.End).Prepend(l.Line.Start).Where(p => p.X * 2 % 1 == 0 && p.Y * 2 % 1 == 0).Select(At)
                    ) + (l.Closed ? " z" : "")
                )
            )
            .ShouldBe(ends);
        (mistake is not null).ShouldBe(
            data.Contains('x', StringComparison.Ordinal) || data is "M0 0L10 0 10" or "L5 5" || data.EndsWith('Q')
        );
    }

    [Fact]
    public void Arcs_and_conics_follow_their_circle()
    {
        double Off(IEnumerable<Contour> contours, PlanePoint middle, double radius) =>
            contours.SelectMany(c => CurveFlattening.Flatten(c, 1e-6, 0.02)).Max(p => Math.Abs(p.To(middle) - radius));
        Off(SvgPathData.Read("M100 0A100 100 0 0 1 0 100A100 100 0 0 1 -100 0").Lines.Select(l => l.Line), new(0, 0), 100)
            .ShouldBeLessThan(6e-4);
        using var built = new SKPathBuilder();
        built.AddCircle(0, 0, 100);
        using var circle = built.Detach();
        var cubics = PathContours.Of(circle).ShouldHaveSingleItem();
        cubics.Segments.Count.ShouldBe(8);
        Off([cubics], new(0, 0), 100).ShouldBeLessThan(6e-4);
        // Too small a radius is made as large as it must be, whatever way it is turned.
        var wide = SvgPathData.Read("M0 0A1 1 30 1 1 20 0").Lines[0].Line;
        CurveFlattening.Flatten(wide, 1e-4, 0.05).Max(p => Math.Abs(p.To(new(10, 0)) - 10)).ShouldBeLessThan(1e-3);
    }

    [Fact]
    public void Strokes_have_the_width_and_ends_they_are_given()
    {
        var line = SvgPathData.Read("M0 0H20").Lines;
        SvgStyle Style(params (string, string)[] values) => new(values.ToDictionary(v => v.Item1, v => v.Item2, StringComparer.Ordinal));
        Box Bounds(SvgStyle s, double length = 0) => ContourBoxes.Around(SvgStrokes.Of(line, s, length, 100, 100)!);
        Bounds(Style(("stroke-width", "4"))).ShouldBe(new Box(0, -2, 20, 2));
        Bounds(Style(("stroke-width", "4"), ("stroke-linecap", "square"))).ShouldBe(new Box(-2, -2, 22, 2));
        Bounds(Style(("stroke-width", "10%"))).Height.ShouldBe(10, 1e-4);
        SvgStrokes.Of(line, Style(("stroke-width", "0")), 0, 100, 100)!.ShouldBeEmpty();
        // Its author counts its 20 as 4, so a dash of 1 is 5 long.
        SvgStrokes.Of(line, Style(("stroke-dasharray", "1")), 4, 100, 100)!.Count.ShouldBe(2);
        Bounds(Style(("stroke-dasharray", "1 9")), 4).Width.ShouldBe(5, 1e-4);
        SvgStrokes.Of(line, Style(("stroke-dasharray", "0.0001")), 0, 100, 100).ShouldBeNull();
    }
}
