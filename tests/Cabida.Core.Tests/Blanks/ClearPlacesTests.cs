using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using CsCheck;
using static Cabida.Core.Tests.TestBlanks;

namespace Cabida.Core.Tests.Blanks;

/// <summary>Holes and other places that do not lie where the goods are, are told; those that do are not.</summary>
public class ClearPlacesTests
{
    private static readonly Blank Tag = new(
        "Tag",
        SurfaceKind.Flat,
        [Read(DimensionKind.Width, MeasuringTool.SteelRule, "90"), Read(DimensionKind.Height, MeasuringTool.SteelRule, "50")]
    )
    {
        Zones = [Wrap with { Margins = ZoneMargins.All(TypedLength.Mm(3)) }],
    };

    [Fact]
    public void A_hole_is_told_just_where_it_leaves_a_rectangle_by_more_than_is_uncertain() =>
        Gen.Select(
                Gen.Double[0, 80],
                Gen.Double[0, 80],
                Gen.Double[2, 12],
                Gen.Enum<Sideways>(),
                Gen.OneOf(Gen.Const(Datum.Top), Gen.Const(Datum.Bottom))
            )
            .Sample(
                (across, away, size, side, from) =>
                {
                    var hole = new KeptClear("h", "Cord hole", ClearShape.Round)
                    {
                        IsHole = true,
                        Width = Mm(size),
                        Place = new Place
                        {
                            From = from,
                            Away = Mm(away),
                            Side = side,
                            Across = Mm(across),
                        },
                    };
                    var told = BlankSheet
                        .Of(Tag with { KeptClear = [hole] })
                        .Findings.Select(f => f.Message.ToString())
                        .SingleOrDefault(m => m.StartsWith("Cord hole", StringComparison.Ordinal));
                    // By hand: away is to the near edge of the hole, across to its middle; the panel is 90 × 50.
                    double x = side == Sideways.Centred ? 0 : Math.Round(across, 1),
                        r = Math.Round(size, 1) / 2,
                        low = Math.Round(away, 1),
                        high = low + (2 * r);
                    var over = Math.Max(x + r - 45, high - 50);
                    var allowed = 2 * Math.Sqrt(0.09 + (0.25 / 3)) * Math.Sqrt(3);
                    if (over > allowed + 0.2)
                    {
                        told.ShouldNotBeNull().ShouldContain(x - r > 45.01 || low > 50.01 ? "off the panel" : "");
                    }
                    else if (over < allowed - 0.2)
                    {
                        told.ShouldBeNull();
                    }
                },
                iter: 500
            );

    [Fact]
    public void Holes_that_run_into_one_another_are_told_once() =>
        Gen.Select(Gen.Int[-30, 30], Gen.Int[-30, 30], Gen.Int[5, 30], Gen.Int[5, 30], Gen.Int[4, 12], Gen.Bool)
            .Sample(
                (x, u, y, v, size, behind) =>
                {
                    KeptClear Hole(string name, int across, int away) =>
                        new(name, name, ClearShape.Round)
                        {
                            IsHole = true,
                            Width = Mm(size),
                            Place = new Place
                            {
                                From = Datum.Top,
                                Away = Mm(away),
                                Side = across < 0 ? Sideways.Left : Sideways.Right,
                                Across = Mm(Math.Abs(across)),
                            },
                        };
                    // With a back, where both are turned over, nothing is told twice.
                    var zones = behind ? [Tag.Zones[0], Tag.Zones[0] with { Id = "b", Facing = Facing.Back }] : Tag.Zones;
                    var blank = Tag with { KeptClear = [Hole("One", x, y), Hole("Other", u, v)], Zones = zones };
                    var apart = Math.Sqrt(((x - u) * (x - u)) + ((y - v) * (y - v)));
                    if (Math.Abs(apart - size) > 0.05)
                    {
                        BlankSheet
                            .Of(blank)
                            .Findings.Count(f => f.Message.ToString().StartsWith("Other runs into One", StringComparison.Ordinal))
                            .ShouldBe(apart < size ? 1 : 0);
                    }
                },
                iter: 300
            );

    [Theory]
    [InlineData(ClearShape.Box, "120", "lies above the rim")]
    [InlineData(ClearShape.Band, "120", "lies above the rim")]
    [InlineData(ClearShape.Box, "60", null)]
    [InlineData(ClearShape.Strip, "120", null)]
    public void A_place_above_the_rim_of_a_wall_is_told(ClearShape shape, string away, string? told)
    {
        var place = new KeptClear("k", "Badge", shape)
        {
            Width = TypedLength.Mm(12),
            Height = TypedLength.Mm(8),
            Place = new Place { From = Datum.Bottom, Away = new(away) },
        };
        BlankSheet
            .Of(Mug() with { KeptClear = [place] })
            .Findings.Select(f => f.Message.ToString())
            .SingleOrDefault(m =>
                m.StartsWith("Badge", StringComparison.Ordinal) && (told is null || m.Contains(told, StringComparison.Ordinal))
            )
            .ShouldSatisfyAllConditions(m => (m is not null).ShouldBe(told is not null));
    }

    [Fact]
    public void A_drawn_outline_says_whether_it_crosses_itself_or_has_a_hole_outside()
    {
        static string Told(params PlanePoint[][] rings) =>
            BlankSheet
                .Of(
                    new Blank("Plate", SurfaceKind.Flat, [])
                    {
                        Outline = new PanelOutline { Kind = OutlineKind.Drawn, Drawn = new DrawnOutline(rings, "by hand", 0.1) },
                        Zones = [Wrap],
                    }
                )
                .Findings[0]
                .Message.ToString();
        PlanePoint[] bowTie = [new(5, 5), new(45, 35), new(45, 5), new(5, 35)];
        Told(bowTie).ShouldContain("crosses itself or its holes, 20.0 mm from its left and 15.0 mm above its foot");
        PlanePoint[] plate = [new(0, 0), new(100, 0), new(100, 60), new(0, 60)];
        Told(plate, [new(120, 10), new(130, 10), new(130, 20)]).ShouldContain("A hole of the outline lies outside it");
        Told(plate, [new(90, 10), new(130, 10), new(130, 20)]).ShouldContain("crosses itself or its holes");
    }

    [Fact]
    public void A_place_read_again_stands_where_all_its_readings_say_and_is_more_certain()
    {
        var once = new KeptClear("h", "Hole", ClearShape.Round)
        {
            IsHole = true,
            Width = TypedLength.Mm(5),
            Place = new Place { From = Datum.Top, Away = TypedLength.Mm(6) },
        };
        var again = once with
        {
            Again =
            [
                new ReadAgain(
                    ClearField.Away,
                    MeasuringTool.SteelRule,
                    [new ReadingLine(MeasuringTool.Calliper, [new("6.4"), new("6.5"), new("nonsense")])]
                ),
                new ReadAgain(ClearField.Width, MeasuringTool.Calliper, []),
            ],
        };
        var (rough, fine) = (BlankSheet.Of(Tag with { KeptClear = [once] }), BlankSheet.Of(Tag with { KeptClear = [again] }));
        var away = fine.KeptClear[0].Readings.Single(r => r.Field == ClearField.Away);
        away.Echoes[0].Select(e => e.Problem is null).ShouldBe([true, true, false]);
        // By hand: a rule read once is certain to 1.1547·… = 2√(0.09 + 0.25/3), a calliper read twice to tenths to 2√(s²/2 + 0.01/3) with s
        // = 0.0707.
        double rule = 2 * Math.Sqrt(0.09 + (0.25 / 3)),
            calliper = 2 * Math.Sqrt((0.005 / 2) + (0.01 / 3));
        var expected = ((6 / (rule * rule)) + (6.45 / (calliper * calliper))) / ((1 / (rule * rule)) + (1 / (calliper * calliper)));
        away.Is!.Value.Millimetres.ShouldBe(expected, 1e-9);
        var hole = fine.Sizes[0].Places[0].Area.EnvelopeInternal;
        (50 - hole.MaxY).ShouldBe(expected, 0.01);
        // The zone keeps off by less, since it is known better where the hole is.
        double Cut(BlankSheet s) => s.Zone!.Nominal.Outline.Area - s.Zone!.Cautious.Outline.Area;
        Cut(fine).ShouldBeLessThan(Cut(rough) - 3);
        fine.Findings.ShouldBeEmpty();

        // Readings that contradict each other are told, as of any dimension.
        var apart = once with
        {
            Again = [new ReadAgain(ClearField.Away, MeasuringTool.SteelRule, [new ReadingLine(MeasuringTool.SteelRule, [new("16")])])],
        };
        BlankSheet
            .Of(Tag with { KeptClear = [apart] })
            .Findings.ShouldContain(f =>
                f.Message.ToString()
                    .StartsWith("Hole, distance away. The readings by steel rule lie 10.0 mm apart", StringComparison.Ordinal)
            );
    }

    private static TypedLength Mm(double mm) => TypedLength.Mm(Math.Round(mm, 1));
}
