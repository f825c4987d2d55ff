using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using CsCheck;

namespace Cabida.Core.Tests.Blanks;

/// <summary>What must hold of every zone, whatever it lies on.</summary>
public class ZonePropertyTests
{
    private static readonly Gen<Blank> AnyWall = Gen.Select(
            Gen.Double[150, 300],
            Gen.Double[150, 300],
            Gen.Double[80, 160],
            Gen.Double[0, 30],
            Gen.Double[0, 30],
            Gen.Bool,
            Gen.Double[20, 120],
            Gen.Double[0, 60]
        )
        .Select(
            (upper, lower, wall, top, left, sized, width, across) =>
                TestBlanks.Tumbler(Typed(upper), Typed(lower), Typed(wall)) with
                {
                    Zones =
                    [
                        new ZoneSpec("z", "Zone")
                        {
                            Margins = new(new TypedLength(Typed(top)), TypedLength.Mm(10), new TypedLength(Typed(left)), TypedLength.Mm(5)),
                            Width = sized ? new TypedLength(Typed(width)) : TypedLength.Empty,
                            Place = new Place { Side = Sideways.Right, Across = new TypedLength(Typed(across)) },
                        },
                    ],
                }
        );

    private static readonly Gen<Blank> AnyPanel = Gen.Select(
            Gen.Enum<OutlineKind>().Where(k => k != OutlineKind.Drawn),
            Gen.Double[60, 300],
            Gen.Double[60, 300],
            Gen.Double[0, 8],
            Gen.Double[0, 10],
            Gen.Int[3, 9]
        )
        .Select(
            (kind, width, height, rim, margin, sides) =>
                new Blank(
                    "Panel",
                    SurfaceKind.Flat,
                    [
                        Read(DimensionKind.Width, width),
                        Read(DimensionKind.Height, height),
                        Read(DimensionKind.Across, width),
                        Read(DimensionKind.AcrossFlats, width),
                        Read(DimensionKind.CornerRadius, 12),
                    ]
                )
                {
                    Outline = new PanelOutline
                    {
                        Kind = kind,
                        Rim = new TypedLength(Typed(rim)),
                        Sides = sides,
                    },
                    Zones = [new ZoneSpec("z", "Zone") { Margins = ZoneMargins.All(new TypedLength(Typed(margin))) }],
                }
        );

    [Fact]
    public void The_cautious_zone_lies_within_the_nominal_one_and_its_datum_within_both() =>
        Gen.OneOf(AnyWall, AnyPanel)
            .Sample(
                blank =>
                {
                    if (BlankSheet.Of(blank).Sizes[0].Zones[0].Zone is not { } zone)
                    {
                        return;
                    }

                    zone.Nominal.Outline.IsValid.ShouldBeTrue();
                    zone.Nominal.Outline.Buffer(1e-3)
                        .Covers(zone.Cautious.Outline)
                        .ShouldBeTrue(
                            $"{string.Join(" | ", blank.Measured.Select(m => $"{m.Dimension} {m.Lines[0].Readings[0].Text}"))} "
                                + $"{blank.Outline.Kind} {blank.Zones[0].Margins} {blank.Zones[0].Width} {blank.Zones[0].Place} by "
                                + $"{zone.Cautious.Outline.Difference(zone.Nominal.Outline).Coordinates.Select(c => zone.Nominal.Outline.Distance(new NetTopologySuite.Geometries.Point(c))).DefaultIfEmpty().Max()}"
                        );
                    zone.Width.Uncertainty.Millimetres.ShouldBeGreaterThanOrEqualTo(0);
                    zone.Height.Cautious.Millimetres.ShouldBeLessThanOrEqualTo(zone.Height.Value.Millimetres);
                },
                iter: 120
            );

    [Fact]
    public void Every_edge_of_a_zone_is_told_to_be_something_and_they_go_once_round_it() =>
        Gen.OneOf(AnyWall, AnyPanel)
            .Sample(
                blank =>
                {
                    if (BlankSheet.Of(blank).Sizes[0].Zones[0].Zone is not { } zone)
                    {
                        return;
                    }

                    var edges = zone.Nominal.Edges;
                    edges.Zip(edges.Skip(1).Append(edges[0]), (a, b) => a.To.To(b.From)).ShouldAllBe(gap => gap < 1e-9);
                    edges.Sum(e => e.From.To(e.To)).ShouldBe(zone.Nominal.Outline.Length, 1e-6);
                },
                iter: 80
            );

    [Fact]
    public void A_larger_margin_never_leaves_more() =>
        Gen.Select(AnyPanel, Gen.Double[0.5, 6])
            .Sample(
                (blank, more) =>
                {
                    double Area(double add) =>
                        BlankSheet
                            .Of(blank with { Outline = blank.Outline with { Rim = new TypedLength(Typed(2 + add)) } })
                            .Sizes[0]
                            .Zones[0]
                            .Zone?.Nominal.Outline.Area
                        ?? 0;
                    Area(more).ShouldBeLessThanOrEqualTo(Area(0) + 1e-6);
                },
                iter: 60
            );

    [Fact]
    public void A_zone_in_another_unit_is_the_same_zone()
    {
        var millimetres = new Blank("B", SurfaceKind.Flat, [Read(DimensionKind.Width, 254), Read(DimensionKind.Height, 127)])
        {
            Zones = [new ZoneSpec("z", "Z") { Margins = ZoneMargins.All(new TypedLength("12.7")) }],
        };
        var inches = millimetres with
        {
            Zones = [new ZoneSpec("z", "Z") { Margins = ZoneMargins.All(new TypedLength("1/2", LengthUnit.Inch)) }],
        };
        BlankSheet.Of(inches).Zone!.Nominal.Bounds.ShouldBe(BlankSheet.Of(millimetres).Zone!.Nominal.Bounds);
    }

    private static string Typed(double mm) => mm.ToString("0.##", System.Globalization.CultureInfo.InvariantCulture);

    private static MeasuredDimension Read(DimensionKind kind, double mm) => TestBlanks.Read(kind, MeasuringTool.SteelRule, Typed(mm));
}
