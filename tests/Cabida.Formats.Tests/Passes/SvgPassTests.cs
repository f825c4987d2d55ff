using System.Text;
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
        var root = Parse("<?xml version='1.0'?><!DOCTYPE svg><svg xmlns:x='u'><!-- c --><style>a{b:c}</style><style><![CDATA[d{e:f}]]></style><g id='g'><use x:href='#a'/>text</g></svg>");
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
    public void A_selector_means_what_it_says(string selector, bool matches)
    {
        var rect = Parse("<svg><g class='outer'><rect id='r' class='a b'/></g></svg>").All().Single(n => n.Name == "rect");
        SvgSelector.Read(selector).Any(s => s.Matches(rect)).ShouldBe(matches);
    }

    [Fact]
    public void Ids_are_stronger_than_classes_and_classes_than_names()
    {
        int Strength(string s) => SvgSelector.Read(s).Single().Strength;
        new[] { Strength("rect"), Strength("g rect"), Strength(".a"), Strength("rect.a"), Strength("#r") }.ShouldBeInOrder();
    }

    [Fact]
    public void Style_is_inherited_and_overridden_in_the_order_of_css()
    {
        var root = Parse("<svg><style>rect{fill:green} .b{fill:blue;opacity:.5}</style><g fill='red' stroke='black' clip-path='url(#c)'><rect fill='pink'/><rect class='b'/><rect class='b' style='fill:gold; stroke:inherit'/></g></svg>");
        var styles = SvgStyles.Of(root);
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
    public void A_transform_takes_a_point_where_it_says(string transform, double x, double y)
    {
        var p = SvgValues.Transform(transform).MapPoint(new SKPoint(1, 1));
        ((double)p.X).ShouldBe(x, 1e-5);
        ((double)p.Y).ShouldBe(y, 1e-5);
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
        var p = SvgValues.ViewBox("5 5 20 10", aspect, 0, 0, 100, 100).MapPoint(new SKPoint(5, 5));
        ((double)p.X).ShouldBe(x, 1e-4);
        ((double)p.Y).ShouldBe(y, 1e-4);
    }

    [Fact]
    public void Curves_of_a_path_are_kept_and_arcs_follow_their_circle()
    {
        using var path = SKPath.ParseSvgPathData("M10 0A10 10 0 0 1 0 10C0 5 5 0 10 0ZM20 20Q30 20 30 30Z");
        var contours = PathContours.Of(path, 2);
        contours.Count.ShouldBe(2);
        contours[0].Segments.OfType<Core.Geometry.CubicTo>().Count().ShouldBe(1);
        contours[0].Segments.OfType<Core.Geometry.QuadraticTo>().SelectMany(q => new[] { q.End }).ShouldAllBe(p => Math.Abs(Math.Sqrt((p.X * p.X) + (p.Y * p.Y)) - 20) < 1e-3);
        contours[1].Start.ShouldBe(new Core.Geometry.PlanePoint(40, -40));
    }

    [Fact]
    public void Strokes_have_the_width_and_ends_they_are_given()
    {
        using var line = SKPath.ParseSvgPathData("M0 0H20");
        SvgStyle Style(params (string, string)[] values) => new(values.ToDictionary(v => v.Item1, v => v.Item2, StringComparer.Ordinal));
        SKRect Bounds(SvgStyle s) { using var outline = SvgShapes.Stroked(line, s, 100, 100)!; return outline.TightBounds; }
        Bounds(Style(("stroke-width", "4"))).ShouldBe(new SKRect(0, -2, 20, 2));
        Bounds(Style(("stroke-width", "4"), ("stroke-linecap", "square"))).ShouldBe(new SKRect(-2, -2, 22, 2));
        Bounds(Style(("stroke-width", "10%"))).Height.ShouldBe(10, 1e-4f);
        SvgShapes.Stroked(line, Style(("stroke-width", "0")), 100, 100).ShouldBeNull();
    }
}
