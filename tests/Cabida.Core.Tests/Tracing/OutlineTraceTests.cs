using Cabida.Core.Geometry;
using Cabida.Core.Tracing;
using CsCheck;

namespace Cabida.Core.Tests.Tracing;

/// <summary>Following outlines on pictures computed from formulas: every pixel has the share of ink that covers it.</summary>
public class OutlineTraceTests
{
    private const double Dots = 254;

    /// <summary>Ten pixels to the millimetre.</summary>
    private const double Pixel = 0.1;

    private static readonly TraceSettings Plain = new(LineEdge.Middle, 0, 0.1, []);

    [Fact]
    public void A_disc_of_any_size_and_darkness_is_found_where_it_is() =>
        Gen.Select(Gen.Double[4, 14], Gen.Double[20, 30], Gen.Double[20, 30], Gen.Double[0.3, 0.9])
            .Sample(
                (radius, cx, cy, darkness) =>
                {
                    var found = Follow(Draw(500, 500, (x, y) => darkness * Covered(radius - Far(x, y, cx, cy))));
                    var outline = found.Outlines.ShouldHaveSingleItem();
                    outline.IsLine.ShouldBeFalse();
                    outline.Area.ShouldBe(Math.PI * radius * radius, 0.05 * 2 * Math.PI * radius);
                    // Pictures count from the top, paper from the bottom.
                    var box = Box.Of(Outlines.Ring(outline.Rings[0]))!.Value;
                    box.CentreX.ShouldBe(cx, 0.03);
                    box.CentreY.ShouldBe(50 - cy, 0.03);
                    box.Width.ShouldBe(2 * radius, 0.08);
                },
                iter: 12
            );

    [Fact]
    public void A_ring_drawn_thick_is_a_shape_with_a_hole_and_drawn_thin_is_a_line()
    {
        var thick = Follow(Draw(400, 400, (x, y) => 0.8 * Covered(2.5 - Math.Abs(Far(x, y, 20, 20) - 12)))).Outlines.ShouldHaveSingleItem();
        thick.IsLine.ShouldBeFalse();
        thick.Rings.Count.ShouldBe(2);
        thick.Area.ShouldBe(Math.PI * ((14.5 * 14.5) - (9.5 * 9.5)), 4);
        var thin = Follow(Draw(400, 400, (x, y) => 0.5 * Covered(0.4 - Math.Abs(Far(x, y, 20, 20) - 12)))).Outlines.ShouldHaveSingleItem();
        thin.IsLine.ShouldBeTrue();
        thin.Rings.Count.ShouldBe(1);
        thin.LineWidth!.Value.ShouldBe(0.8, 0.08);
        thin.Area.ShouldBe(Math.PI * 144, 2);
    }

    [Fact]
    public void A_line_within_a_line_is_a_hole_of_its_object_and_the_edge_towards_the_material_is_followed()
    {
        GreyPicture Two() =>
            Draw(500, 500, (x, y) =>
                0.6 * Math.Max(Covered(0.4 - Math.Abs(Far(x, y, 25, 25) - 18)), Covered(0.4 - Math.Abs(Far(x, y, 25, 25) - 6)))
            );
        var inner = Follow(Two(), Plain with { Edge = LineEdge.Inner }).Outlines.ShouldHaveSingleItem();
        inner.Rings.Count.ShouldBe(2);
        Outlines.Ring(inner.Rings[0]).Area.ShouldBe(Math.PI * 17.6 * 17.6, 4);
        Outlines.Ring(inner.Rings[1]).Area.ShouldBe(Math.PI * 6.4 * 6.4, 2);
        var relieved = Follow(Two(), Plain with { Edge = LineEdge.Inner, Allowance = 0.5 }).Outlines[0];
        Outlines.Ring(relieved.Rings[0]).Area.ShouldBe(Math.PI * 17.1 * 17.1, 4);
        Outlines.Ring(relieved.Rings[1]).Area.ShouldBe(Math.PI * 6.9 * 6.9, 2);
    }

    [Fact]
    public void A_line_that_does_not_close_says_so() =>
        Follow(
            Draw(400, 400, (x, y) =>
                Math.Atan2(y - 20, x - 20) is > -0.3 and < 0.3 ? 0 : 0.7 * Covered(0.4 - Math.Abs(Far(x, y, 20, 20) - 12))
            )
        )
            .Outlines.ShouldHaveSingleItem()
            .Problem!.ToString()
            .ShouldContain("does not close");

    [Fact]
    public void Light_that_falls_off_does_not_move_the_outline()
    {
        var even = Follow(Draw(500, 500, (x, y) => 0.7 * Covered(12 - Far(x, y, 25, 25)))).Outlines[0];
        var uneven = Follow(
            Draw(500, 500, (x, y) => 0.7 * Covered(12 - Far(x, y, 25, 25)), (x, y) => 1 - (0.4 * ((x + y) / 100)))
        ).Outlines[0];
        Math.Sqrt(uneven.Area).ShouldBe(Math.Sqrt(even.Area), 0.03);
    }

    [Fact]
    public void A_picture_full_of_specks_has_no_outline()
    {
        var specks = Draw(400, 400, (x, y) => x % 6 < 1 && y % 6 < 1 ? 0.6 : 0);
        OutlineTrace.Of(specks, PictureScale.OfScan(Dots, 400).Value, Plain).Problem!.ToString().ShouldContain("Only specks were found");
    }

    [Fact]
    public void A_sheet_in_perspective_maps_its_corners_and_keeps_straight_lines_straight()
    {
        PlanePoint[] corners = [new(210, 130), new(870, 190), new(930, 1310), new(90, 1240)];
        var scale = PictureScale.OfSheet(corners, Core.Measures.Length.Mm(210), Core.Measures.Length.Mm(297), (1000, 1400)).Value;
        scale.OnPaper(corners[0]).To(new(0, 297)).ShouldBeLessThan(1e-6);
        scale.OnPaper(corners[2]).To(new(210, 0)).ShouldBeLessThan(1e-6);
        PlanePoint a = scale.OnPaper(new(300, 400)),
            b = scale.OnPaper(new(450, 550)),
            c = scale.OnPaper(new(600, 700));
        Math.Abs(((b.X - a.X) * (c.Y - a.Y)) - ((b.Y - a.Y) * (c.X - a.X))).ShouldBeLessThan(1e-6);
    }

    [Fact]
    public void Smoothing_never_moves_a_point_further_than_its_tolerance()
    {
        Gen.Double[-0.08, 0.08]
            .Array[120]
            .Sample(
                jitter =>
                {
                    List<PlanePoint> ring =
                    [
                        .. jitter
                            .Select((j, i) => (R: 20 + j, A: 2 * Math.PI * i / jitter.Length))
                            .Select(p => new PlanePoint(p.R * Math.Cos(p.A), p.R * Math.Sin(p.A))),
                    ];
                    var smooth = OutlineSmoothing.Of(ring, 2, 0.05);
                    var before = Outlines.Ring(ring).ExteriorRing;
                    smooth.ShouldAllBe(p =>
                        before.Distance(Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(p.X, p.Y))) < 0.05 + 1e-9
                    );
                    smooth.Count.ShouldBeLessThanOrEqualTo(ring.Count);
                },
                iter: 40
            );
    }

    [Fact]
    public void Simplifying_keeps_within_its_tolerance_and_a_rectangle_to_its_corners()
    {
        List<PlanePoint> dense =
        [
            .. Enumerable
                .Range(0, 400)
                .Select(i =>
                    i < 100 ? new PlanePoint(i, 0)
                    : i < 200 ? new(100, i - 100)
                    : i < 300 ? new(300 - i, 100)
                    : new(0, 400 - i)
                ),
        ];
        OutlineSmoothing.Simplified(dense, 0.01).Count.ShouldBe(4);
    }

    [Theory]
    [InlineData(5)]
    [InlineData(-8)]
    [InlineData(0)]
    public void A_crooked_rectangle_is_turned_upright_whichever_way_it_leans(double degrees)
    {
        var a = degrees * Math.PI / 180;
        List<PlanePoint> ring =
        [
            .. new[] { (0.0, 0.0), (60, 0), (60, 25), (0, 25) }.Select(p => new PlanePoint(
                (p.Item1 * Math.Cos(a)) - (p.Item2 * Math.Sin(a)),
                (p.Item1 * Math.Sin(a)) + (p.Item2 * Math.Cos(a))
            )),
        ];
        var box = Box.Of(Outlines.Ring(Straightening.Upright([ring]).Rings[0]))!.Value;
        (box.Width, box.Height).ShouldSatisfyAllConditions(s => s.Width.ShouldBe(60, 1e-6), s => s.Height.ShouldBe(25, 1e-6));
    }

    [Fact]
    public void What_leans_more_than_paper_is_laid_was_drawn_so()
    {
        List<PlanePoint> diamond = [new(0, -30), new(30, 0), new(0, 30), new(-30, 0)];
        Straightening.Upright([diamond]).Rings[0].ShouldBe(diamond);
    }

    [Fact]
    public void The_aspect_of_a_sheet_follows_from_its_corners_whatever_the_camera() =>
        Gen.Select(Gen.Double[-0.6, 0.6], Gen.Double[-0.6, 0.6], Gen.Double[-0.3, 0.3], Gen.Double[0.7, 2.5], Gen.Double[0.4, 2.4])
            .Sample(
                (pitch, yaw, roll, focal, aspect) =>
                {
                    // A pinhole camera over the middle of a sheet, turned about its three axes; far enough away to see all of it.
                    const double Width = 4000,
                        Height = 3000;
                    double w = aspect,
                        h = 1,
                        away = 2.2 * Math.Max(w, h) * Math.Max(1, focal);
                    PlanePoint Seen(double x, double y)
                    {
                        var (x1, y1) = ((x * Math.Cos(roll)) - (y * Math.Sin(roll)), (x * Math.Sin(roll)) + (y * Math.Cos(roll)));
                        var (y2, z2) = (y1 * Math.Cos(pitch), y1 * Math.Sin(pitch));
                        var (x3, z3) = ((x1 * Math.Cos(yaw)) + (z2 * Math.Sin(yaw)), (z2 * Math.Cos(yaw)) - (x1 * Math.Sin(yaw)));
                        return new((Width / 2) + (focal * Width * x3 / (away + z3)), (Height / 2) - (focal * Width * y2 / (away + z3)));
                    }

                    PlanePoint[] corners = [Seen(-w / 2, h / 2), Seen(w / 2, h / 2), Seen(w / 2, -h / 2), Seen(-w / 2, -h / 2)];
                    // How far each side leans away from the camera; turned about all three axes, one may stand square to it all the same.
                    var across = (Math.Sin(roll) * Math.Sin(pitch) * Math.Cos(yaw)) - (Math.Cos(roll) * Math.Sin(yaw));
                    var down = (Math.Cos(roll) * Math.Sin(pitch) * Math.Cos(yaw)) + (Math.Sin(roll) * Math.Sin(yaw));
                    // Without perspective along one of them the aspect comes from the sides and is near, not exact.
                    var told = SheetLying.Aspect(corners, (int)Width, (int)Height);
                    Math.Abs(Math.Log(told / aspect)).ShouldBeLessThan(Math.Min(Math.Abs(across), Math.Abs(down)) > 0.05 ? 1e-6 : 0.35);
                },
                iter: 20000
            );

    private static TraceResult Follow(GreyPicture picture, TraceSettings? settings = null) =>
        OutlineTrace.Of(picture, PictureScale.OfScan(Dots, picture.Height).Value, settings ?? Plain).Value;

    private static double Far(double x, double y, double cx, double cy) => Math.Sqrt(((x - cx) * (x - cx)) + ((y - cy) * (y - cy)));

    /// <summary>How much of a pixel lies inside an edge so far from its middle.</summary>
    private static double Covered(double inside) => Math.Clamp((inside / Pixel) + 0.5, 0, 1);

    /// <summary>A picture from the darkness and the light at each place, in millimetres from the upper left, with a little noise.</summary>
    private static GreyPicture Draw(
        int width,
        int height,
        Func<double, double, double> darkness,
        Func<double, double, double>? light = null
    )
    {
        var random = new Random(7);
        var pixels = new byte[width * height];
        for (var i = 0; i < pixels.Length; i++)
        {
            double x = ((i % width) + 0.5) * Pixel,
                y = ((i / width) + 0.5) * Pixel;
            pixels[i] = (byte)
                Math.Clamp((235 * (light?.Invoke(x, y) ?? 1) * (1 - darkness(x, y))) + (4 * (random.NextDouble() - 0.5)), 0, 255);
        }

        return new GreyPicture(width, height, pixels);
    }
}
