using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using CsCheck;

namespace Cabida.Core.Tests.Blanks;

public class PanelTests
{
    [Fact]
    public void A_rectangle_leaves_what_rim_margins_and_uncertainty_leave()
    {
        var zone = Laid(Flat(OutlineKind.Rectangle, (DimensionKind.Width, "210"), (DimensionKind.Height, "297"))).Zone!;
        // One reading by a steel rule is uncertain by 0.8327; the rim of 5 and margins of 6 and 8 count from the same edge.
        zone.Nominal.Bounds.ShouldBe(new Box(-99, 8, 99, 291));
        zone.Nominal.IsRectangle.ShouldBeTrue();
        zone.Width.Cautious.Millimetres.ShouldBe(198 - 0.8327, 1e-3);
        zone.Nominal.Edges.Select(e => e.Limit)
            .Order()
            .ShouldBe([LimitKind.LeftSide, LimitKind.RightSide, LimitKind.Top, LimitKind.Bottom]);
    }

    [Theory]
    [InlineData(OutlineKind.Circle, Math.PI * 40 * 40)]
    [InlineData(OutlineKind.Oval, Math.PI * 50 * 40)]
    [InlineData(OutlineKind.Rounded, (100 * 80) - ((4 - Math.PI) * 100))]
    [InlineData(OutlineKind.Polygon, 6 * 40 * 40 * 0.57735026919)]
    public void Outlines_have_the_area_of_their_formula_and_never_more(OutlineKind kind, double area)
    {
        var panel = BlankSheet
            .Of(
                Flat(
                    kind,
                    (DimensionKind.Width, "100"),
                    (DimensionKind.Height, "80"),
                    (DimensionKind.Across, "80"),
                    (DimensionKind.AcrossFlats, "80"),
                    (DimensionKind.CornerRadius, "10")
                )
            )
            .Sizes[0]
            .Panel!;
        panel.Nominal.Area.ShouldBe(area, area * 1e-4);
        panel.Nominal.Area.ShouldBeLessThanOrEqualTo(area + 1e-6);
        panel.Datums.Box.MinY.ShouldBe(0, 1e-9);
        panel.Nominal.Covers(panel.Cautious.Buffer(-1e-6)).ShouldBeTrue();
    }

    [Fact]
    public void The_zone_in_a_circle_keeps_its_rim_all_round() =>
        Laid(
            Flat(OutlineKind.Circle, (DimensionKind.Across, "80")) with
            {
                Zones = [Zone with { Margins = ZoneMargins.All(TypedLength.Mm(0)) }],
            }
        )
            .Zone!.Nominal.Outline.ExteriorRing.Coordinates.ShouldAllBe(c => Math.Sqrt((c.X * c.X) + ((c.Y - 40) * (c.Y - 40))) < 35.001);

    [Fact]
    public void Ink_can_never_come_nearer_to_a_hole_than_its_clearance()
    {
        Gen.Select(Gen.Double[-30, 30], Gen.Double[10, 60], Gen.Double[2, 20], Gen.Double[0, 6])
            .Sample(
                (x, up, across, clear) =>
                {
                    var hole = new KeptClear("h", "Hole", ClearShape.Round)
                    {
                        IsHole = true,
                        Width = TypedLength.Mm(across),
                        Clearance = TypedLength.Mm(clear),
                        Place = new Place
                        {
                            From = Datum.Bottom,
                            Away = TypedLength.Mm(up),
                            Side = x < 0 ? Sideways.Left : Sideways.Right,
                            Across = TypedLength.Mm(Math.Abs(x)),
                        },
                    };
                    var blank = Flat(OutlineKind.Rectangle, (DimensionKind.Width, "120"), (DimensionKind.Height, "100")) with
                    {
                        KeptClear = [hole],
                    };
                    var zone = Laid(blank).Zone!;
                    // What was typed is rounded to thousandths, which may fall either way.
                    double r = Math.Round(across, 3) / 2,
                        cx = Math.Sign(x) * Math.Round(Math.Abs(x), 3),
                        cy = Math.Round(up, 3) + r;
                    var away = zone.Nominal.Outline.Distance(
                        Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(cx, cy))
                    );
                    away.ShouldBeGreaterThanOrEqualTo(r + Math.Round(clear, 3) - 1.001e-3);
                    zone.Cautious.Outline.Distance(Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(cx, cy)))
                        .ShouldBeGreaterThan(away);
                },
                iter: 60
            );
    }

    [Fact]
    public void A_band_that_cuts_the_zone_leaves_the_part_with_the_middle_and_moves_its_middle()
    {
        var lid = new KeptClear("l", "Lid", ClearShape.Band)
        {
            Height = TypedLength.Mm(20),
            Place = new Place { From = Datum.Top, Away = TypedLength.Mm(0) },
            Clearance = TypedLength.Mm(4),
        };
        var zone = Laid(
            Flat(OutlineKind.Rectangle, (DimensionKind.Width, "100"), (DimensionKind.Height, "100")) with
            {
                KeptClear = [lid],
            }
        ).Zone!;
        zone.Nominal.Bounds.MaxY.ShouldBe(76, 1e-9);
        zone.Nominal.Datum.Y.ShouldBe((8 + 76) / 2.0, 1e-9);
        zone.Nominal.Edges.ShouldContain(e => e.Limit == LimitKind.KeptClear && e.From.Y > 75.9);
    }

    [Fact]
    public void A_typed_zone_stands_where_it_was_measured_in_and_says_what_was_cut_off()
    {
        var zone = Zone with
        {
            Width = TypedLength.Mm(60),
            Height = TypedLength.Mm(30),
            Place = new Place
            {
                From = Datum.Top,
                Away = TypedLength.Mm(12),
                Side = Sideways.Left,
                Across = TypedLength.Mm(10),
            },
        };
        var laid = Laid(Flat(OutlineKind.Rectangle, (DimensionKind.Width, "120"), (DimensionKind.Height, "100")) with { Zones = [zone] });
        laid.Zone!.Nominal.Bounds.ShouldBe(new Box(-40, 58, 20, 88));
        laid.Zone.Width.Uncertainty.ShouldBe(Length.Zero);
        laid.Stands!.FromTop.ShouldBe(12, 1e-9);
        laid.Stands.Across.ShouldBe(-10, 1e-9);
        laid.Notes.ShouldBeEmpty();
        var wide = Laid(
            Flat(OutlineKind.Rectangle, (DimensionKind.Width, "120"), (DimensionKind.Height, "100")) with
            {
                Zones = [zone with { Width = TypedLength.Mm(115) }],
            }
        );
        wide.Notes.ShouldHaveSingleItem().ToString().ShouldContain("goes beyond the margins");
    }

    [Fact]
    public void An_outline_that_crosses_itself_says_where()
    {
        IReadOnlyList<PlanePoint> bow = [new(0, 0), new(40, 30), new(40, 0), new(0, 30)];
        var blank = Flat(OutlineKind.Drawn) with
        {
            Outline = new PanelOutline { Kind = OutlineKind.Drawn, Drawn = new DrawnOutline([bow], "a file", 0.1) },
        };
        BlankSheet
            .Of(blank)
            .Findings[0]
            .ShouldSatisfyAllConditions(
                f => f.Stops.ShouldBeTrue(),
                f => f.Message.ToString().ShouldContain("crosses itself or its holes, 20.0 mm from its left and 15.0 mm above its foot")
            );
    }

    [Fact]
    public void A_drawn_outline_that_was_also_measured_must_agree()
    {
        IReadOnlyList<PlanePoint> square = [new(0, 0), new(40, 0), new(40, 40), new(0, 40)];
        var outline = new PanelOutline { Kind = OutlineKind.Drawn, Drawn = new DrawnOutline([square], "a scan", 0.1) };
        BlankSheet.Of(Flat(OutlineKind.Drawn, (DimensionKind.Width, "40.5")) with { Outline = outline }).Findings.ShouldBeEmpty();
        BlankSheet
            .Of(Flat(OutlineKind.Drawn, (DimensionKind.Width, "43")) with { Outline = outline })
            .Findings.ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldContain("The outline is 40.0 mm wide; you read 43.0 mm");
    }

    [Fact]
    public void A_zone_given_outright_works_and_what_is_unknown_stays_unknown()
    {
        var mug = TestBlanks.Mug() with
        {
            Measured = [],
            Zones = [TestBlanks.Wrap with { Width = TypedLength.Mm(80), Height = TypedLength.Mm(60) }],
        };
        var sheet = BlankSheet.Of(mug);
        var laid = sheet.Sizes[0].Zones[0];
        laid.Zone!.Cautious.Bounds.ShouldBe(new Box(-40, 0, 40, 60));
        laid.Wall.ShouldBeNull();
        laid.Stands.ShouldBeNull();
        sheet.Findings.ShouldAllBe(f => !f.Stops);
        sheet.Findings.ShouldContain(f =>
            f.Message.ToString().Contains("stays unknown until the wall is measured", StringComparison.Ordinal)
        );
        sheet.WorksOut.ShouldNotContain(w => w.Name.Contains("round", StringComparison.Ordinal));
        // What was read and cannot be is another matter: it stops, whatever is given.
        BlankSheet
            .Of(TestBlanks.Tumbler("300", "100", "30") with { Zones = mug.Zones })
            .ShouldSatisfyAllConditions(s => s.Findings[0].Stops.ShouldBeTrue(), s => s.Zone.ShouldBeNull());
    }

    private static readonly ZoneSpec Zone = new("z", "Front")
    {
        Margins = new(TypedLength.Mm(6), TypedLength.Mm(8), TypedLength.Mm(6), TypedLength.Mm(6)),
    };

    private static Blank Flat(OutlineKind kind, params (DimensionKind Kind, string Typed)[] read) =>
        new("Board", SurfaceKind.Flat, [.. read.Select(r => TestBlanks.Read(r.Kind, MeasuringTool.SteelRule, r.Typed))])
        {
            Outline = new PanelOutline { Kind = kind, Rim = TypedLength.Mm(5) },
            Zones = [Zone],
        };

    private static LaidZone Laid(Blank blank) => BlankSheet.Of(blank).Sizes[0].Zones[0];
}
