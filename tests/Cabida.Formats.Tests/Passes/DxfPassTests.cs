using Cabida.Core.Geometry;
using Cabida.Formats.Graphics;
using Cabida.Formats.Graphics.Dxf;

namespace Cabida.Formats.Tests.Passes;

/// <summary>Each pass over a DXF by itself.</summary>
public class DxfPassTests
{
    private static DxfEntity Entity(string kind, params (int Code, double Value)[] values) =>
        new(kind, [.. values.Select(v => (v.Code, v.Value.ToString("R", System.Globalization.CultureInfo.InvariantCulture)))]);

    private static List<PlanePoint> Flat(LineChain chain) => CurveFlattening.Flatten(new Contour(chain.Start, chain.Segments), 1e-4, 0.02);

    [Fact]
    public void Reading_tags_gathers_header_layers_blocks_and_old_polylines()
    {
        var text = string.Join(
            '\n',
            "0",
            "SECTION",
            "2",
            "HEADER",
            "9",
            "$ACADVER",
            "1",
            "AC1009",
            "9",
            "$INSUNITS",
            "70",
            "4",
            "0",
            "ENDSEC",
            "0",
            "SECTION",
            "2",
            "TABLES",
            "0",
            "LAYER",
            "2",
            "cut",
            "62",
            "-3",
            "0",
            "ENDSEC",
            "0",
            "SECTION",
            "2",
            "BLOCKS",
            "0",
            "BLOCK",
            "2",
            "B",
            "10",
            "1",
            "20",
            "2",
            "0",
            "CIRCLE",
            "40",
            "3",
            "0",
            "ENDBLK",
            "0",
            "ENDSEC",
            "0",
            "SECTION",
            "2",
            "ENTITIES",
            "0",
            "POLYLINE",
            "70",
            "1",
            "0",
            "VERTEX",
            "10",
            "5",
            "20",
            "6",
            "0",
            "VERTEX",
            "10",
            "7",
            "20",
            "8",
            "42",
            "0.5",
            "0",
            "SEQEND",
            "0",
            "LINE",
            "8",
            "cut",
            "0",
            "ENDSEC",
            "0",
            "EOF",
            ""
        );
        var tags = DxfTags.Read("a.dxf", text).Value;
        (tags.Version, tags.Unit).ShouldBe(("AC1009", 4));
        tags.Layers["CUT"].ShouldBe(new DxfLayer(3, IsOff: true, IsFrozen: false));
        tags.Blocks["b"].Base.ShouldBe(new PlanePoint(1, 2));
        tags.Blocks["B"].Entities.ShouldHaveSingleItem().Kind.ShouldBe("CIRCLE");
        tags.Entities.Select(e => e.Kind).ShouldBe(["LWPOLYLINE", "LINE"]);
        tags.Entities[0].Points(10).ShouldBe([new PlanePoint(5, 6), new PlanePoint(7, 8)]);
    }

    [Fact]
    public void Arcs_and_ellipses_as_cubics_follow_their_curve()
    {
        var arc = DxfCurves.Of(Entity("ARC", (10, 5), (20, 5), (40, 100), (50, 300), (51, 80)))!;
        Flat(arc).ShouldAllBe(p => Math.Abs(p.To(new PlanePoint(5, 5)) - 100) < 0.004);
        arc.Start.To(new PlanePoint(5 + (100 * Math.Cos(Math.PI * 5 / 3)), 5 + (100 * Math.Sin(Math.PI * 5 / 3)))).ShouldBeLessThan(1e-9);
        arc.End.X.ShouldBe(5 + (100 * Math.Cos(80 * Math.PI / 180)), 1e-9);
        var ellipse = DxfCurves.Of(Entity("ELLIPSE", (11, 0), (21, 40), (40, 0.25), (41, 0), (42, 2 * Math.PI)))!;
        ellipse.Closed.ShouldBeTrue();
        // The longer axis points up: (x/10)² + (y/40)² = 1.
        Flat(ellipse).ShouldAllBe(p => Math.Abs((p.X * p.X / 100) + (p.Y * p.Y / 1600) - 1) < 1e-3);
        DxfCurves.Of(Entity("CIRCLE", (40, 0))).ShouldBeNull();
    }

    [Theory]
    [InlineData(1, 10)]
    [InlineData(-1, -10)]
    [InlineData(0.41421356237, 4.1421356)]
    public void A_bulge_bows_by_its_share_of_half_the_chord(double bulge, double sagitta)
    {
        var line = DxfCurves.Of(
            new DxfEntity(
                "LWPOLYLINE",
                [
                    (70, "0"),
                    (10, "0"),
                    (20, "0"),
                    (42, bulge.ToString("R", System.Globalization.CultureInfo.InvariantCulture)),
                    (10, "20"),
                    (20, "0"),
                ]
            )
        )!;
        line.End.ShouldBe(new PlanePoint(20, 0));
        // Positive bulges turn to the left, so the bow lies to the right of the way.
        Flat(line).MinBy(p => -Math.Abs(p.Y))!.Y.ShouldBe(-sagitta, 1e-3);
    }

    [Fact]
    public void A_spline_of_one_span_is_its_bezier_curve_and_a_rational_one_is_a_circle()
    {
        (int, double)[] Knots(params double[] k) => [.. k.Select(x => (40, x))];
        var cubic = DxfCurves.Of(
            Entity(
                "SPLINE",
                [(71, 3), .. Knots(0, 0, 0, 0, 1, 1, 1, 1), (10, 0), (20, 0), (10, 1), (20, 4), (10, 5), (20, 4), (10, 6), (20, 0)]
            )
        )!;
        cubic.Segments.ShouldHaveSingleItem().ShouldBe(new CubicTo(new(1, 4), new(5, 4), new(6, 0)));
        var half = Math.Sqrt(0.5);
        var quarter = DxfCurves.Of(
            Entity(
                "SPLINE",
                [
                    (71, 2),
                    .. Knots(0, 0, 0, 1, 1, 1),
                    (10, 10),
                    (20, 0),
                    (10, 10),
                    (20, 10),
                    (10, 0),
                    (20, 10),
                    (41, 1),
                    (41, half),
                    (41, 1),
                ]
            )
        )!;
        Flat(quarter).ShouldAllBe(p => Math.Abs(p.To(new PlanePoint(0, 0)) - 10) < 1e-9);
        DxfCurves.Of(Entity("SPLINE", (71, 3), (10, 0), (20, 0))).ShouldBeNull();
    }

    [Fact]
    public void A_chain_run_through_backwards_is_the_same_curve()
    {
        var there = DxfCurves.Of(Entity("ARC", (10, 0), (20, 0), (40, 10), (50, 10), (51, 200)))!;
        var back = there.Reversed();
        (back.Start, back.End).ShouldBe((there.End, there.Start));
        Flat(back).Sum(p => p.X).ShouldBe(Flat(there).Sum(p => p.X), 1e-6);
        back.Reversed().Segments.ShouldBe(there.Segments);
        there.Moved(Motion.Move(3, 4)).Start.ShouldBe(new PlanePoint(there.Start.X + 3, there.Start.Y + 4));
    }
}
