using System.Globalization;
using System.Text.RegularExpressions;
using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using CsCheck;

namespace Cabida.Core.Tests.Blanks;

/// <summary>Every sum that is printed adds up, recomputed from its printed words, and says what the zone really measures.</summary>
public partial class SumsTests
{
    private static readonly Gen<TypedLength> Margin = Gen.OneOf(Gen.Const(0.0), Gen.Double[0, 14])
        .Select(m => TypedLength.Mm(Math.Round(m, 1)));

    private static readonly Gen<KeptClear> Kept = Gen.Select(
            Gen.Enum<ClearShape>(),
            Gen.Double[2, 30],
            Gen.Double[2, 30],
            Gen.Double[0, 4],
            Gen.Double[0, 140],
            Gen.Double[0, 80],
            Gen.Enum<Sideways>(),
            Gen.Enum<Datum>()
        )
        .Where(k => k.Item8 is Datum.Middle or Datum.Top or Datum.Bottom)
        .Select(k => new KeptClear("k", "Place", k.Item1)
        {
            Width = Mm(k.Item2),
            Height = Mm(k.Item3),
            Clearance = Mm(k.Item4),
            Place = new Place
            {
                From = k.Item8,
                Away = Mm(k.Item6),
                Side = k.Item7,
                Across = Mm(k.Item5),
            },
        });

    private static readonly Gen<ZoneSpec> Zone = Gen.Select(
            Margin,
            Margin,
            Margin,
            Margin,
            Gen.Bool,
            Gen.Double[20, 160],
            Gen.Double[10, 90]
        )
        .Select(z => new ZoneSpec("z", "Zone")
        {
            Margins = new ZoneMargins(z.Item1, z.Item2, z.Item3, z.Item4),
            Width = z.Item5 ? TypedLength.Empty : Mm(z.Item6),
            Height = z.Item5 ? TypedLength.Empty : Mm(z.Item7),
        });

    [Fact]
    public void On_walls_and_panels_of_every_kind() =>
        Gen.Select(Blank(), Zone, Kept.List[0, 3], Margin)
            .Sample(
                (blank, zone, kept, rim) =>
                {
                    var laid = BlankSheet
                        .Of(blank with { Zones = [zone], KeptClear = kept, Outline = blank.Outline with { Rim = rim } })
                        .Sizes[0]
                        .Zones[0];
                    (laid.Zone is not { } z || (AddsUp(z.Sums[0], z.Width) && AddsUp(z.Sums[1], z.Height) && IsTrue(z))).ShouldBeTrue(
                        laid.Zone is { } told
                            ? $"{told.Sums[0]} | {told.Sums[1]} | {told.Nominal.Bounds} {told.Nominal.Outline.IsValid} {told.Cautious.Outline.IsValid}"
                            : ""
                    );
                },
                iter: 400
            );

    [Fact]
    public void On_garments_under_a_press() =>
        Gen.Select(Gen.Double[300, 700], Gen.Double[200, 500], Gen.Double[150, 500], Zone, Gen.Double[0, 200], Gen.Enum<Datum>())
            .Sample(
                (height, wide, high, zone, away, from) =>
                {
                    var shirt = new Blank(
                        "Shirt",
                        SurfaceKind.Garment,
                        [
                            TestBlanks.Read(DimensionKind.Width, MeasuringTool.SteelRule, "500") with
                            {
                                Of = "M",
                            },
                            TestBlanks.Read(DimensionKind.CollarToHem, MeasuringTool.SteelRule, $"{height:0}") with
                            {
                                Of = "M",
                            },
                        ]
                    )
                    {
                        Garment = new GarmentSpec
                        {
                            Sizes = ["M"],
                            PlatenWidth = Mm(wide),
                            PlatenHeight = Mm(high),
                        },
                        Zones =
                        [
                            zone with
                            {
                                Place = new Place { From = from, Away = Mm(away) },
                            },
                        ],
                    };
                    return BlankSheet.Of(shirt).Sizes[0].Zones[0].Zone is not { } z
                        || (AddsUp(z.Sums[0], z.Width) && AddsUp(z.Sums[1], z.Height) && IsTrue(z));
                },
                iter: 300
            );

    [Fact]
    public void A_lid_band_and_a_seam_in_front_are_in_the_sum()
    {
        var glass = TestBlanks.Tumbler("240", "240", "100") with
        {
            Zones = [TestBlanks.Wrap with { Margins = ZoneMargins.All(TypedLength.Mm(0)) }],
            KeptClear =
            [
                new KeptClear("lid", "Lid", ClearShape.Band)
                {
                    Height = Mm(15),
                    Clearance = Mm(2),
                    Place = new Place { From = Datum.Top },
                },
                new KeptClear("seam", "Seam", ClearShape.Strip) { Width = Mm(6), Clearance = Mm(2) },
            ],
        };
        var sheet = BlankSheet.Of(glass);
        var zone = sheet.Zone!;
        zone.Sums[1].ToString().ShouldContain("height 100.0 mm − 17.0 mm to stay clear");
        // The seam parts the turn of 239.7 in two halves of 114.8; one of them is the zone.
        zone.Width.Value.Millimetres.ShouldBe(((240 - (Math.PI * 0.1)) / 2) - 5, 0.01);
        sheet.WorksOut.First(w => w.Name == "Goes round").Value.ToString().ShouldBe("172.5°");
    }

    /// <summary>A zone is as wide and high as it says, looked at as a shape.</summary>
    private static bool IsTrue(Zone zone) =>
        zone.Nominal.Outline.IsValid
        && zone.Cautious.Outline.IsValid
        && zone.Width.Cautious.Millimetres <= zone.Nominal.Bounds.Width * 1.2
        && zone.Height.Cautious.Millimetres <= zone.Nominal.Bounds.Height + 0.2;

    /// <summary>Reads the printed figures: what stands before the equals sign is what stands behind it comes to.</summary>
    private static bool AddsUp(Core.Wording.Phrase sum, Dimension is1)
    {
        var text = sum.ToString();
        var sides = text.Split(" = ");
        var said = Figure().Match(sides[0]).Value;
        if (Math.Abs(Number(said) - is1.Cautious.Millimetres) > 0.051)
        {
            return false;
        }

        if (sides.Length == 1)
        {
            return text.EndsWith("as typed", StringComparison.Ordinal);
        }

        var terms = Term()
            .Matches(sides[1])
            .Select(m => (m.Groups["sign"].Value == "−" ? -1 : 1) * (m.Groups["twice"].Success ? 2 : 1) * Number(m.Groups["figure"].Value))
            .ToList();
        return Math.Abs(terms.Sum() - Number(said)) <= 0.0501 * (terms.Count + 2);
    }

    private static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);

    private static TypedLength Mm(double mm) => TypedLength.Mm(Math.Round(mm, 1));

    private static Gen<Blank> Blank() =>
        Gen.OneOf(
            Gen.Select(Gen.Double[120, 400], Gen.Double[40, 200], Gen.Bool)
                .Select(b =>
                    TestBlanks.Mug() with
                    {
                        Measured =
                        [
                            TestBlanks.Read(DimensionKind.Girth, MeasuringTool.SoftTape, $"{b.Item1:0.0}"),
                            TestBlanks.Read(DimensionKind.Height, MeasuringTool.SteelRule, $"{b.Item2:0}"),
                            .. b.Item3
                                ? [TestBlanks.Read(DimensionKind.Handle, MeasuringTool.SteelRule, "30")]
                                : Array.Empty<MeasuredDimension>(),
                        ],
                    }
                ),
            Gen.Select(Gen.Double[180, 320], Gen.Double[180, 320], Gen.Double[60, 180])
                .Select(b => TestBlanks.Tumbler($"{b.Item1:0.0}", $"{b.Item2:0.0}", $"{b.Item3:0}")),
            Gen.Select(
                    Gen.Enum<OutlineKind>().Where(o => o is not (OutlineKind.Drawn or OutlineKind.Rounded)),
                    Gen.Double[60, 300],
                    Gen.Double[60, 300]
                )
                .Select(b => new Blank(
                    "Panel",
                    SurfaceKind.Flat,
                    [
                        TestBlanks.Read(DimensionKind.Width, MeasuringTool.SteelRule, $"{b.Item2:0}"),
                        TestBlanks.Read(DimensionKind.Height, MeasuringTool.SteelRule, $"{b.Item3:0}"),
                        TestBlanks.Read(DimensionKind.Across, MeasuringTool.SteelRule, $"{b.Item2:0}"),
                        TestBlanks.Read(DimensionKind.AcrossFlats, MeasuringTool.SteelRule, $"{b.Item2:0}"),
                    ]
                )
                {
                    Outline = new PanelOutline { Kind = b.Item1 },
                })
        );

    [GeneratedRegex("[0-9.]+(?= mm)")]
    private static partial Regex Figure();

    [GeneratedRegex("(?<sign>^|[−+]) ?(?<twice>2 × )?[a-z ]*(?<figure>[0-9.]+) mm")]
    private static partial Regex Term();
}
