using Cabida.Core.Blanks;
using Cabida.Core.Measures;

namespace Cabida.Core.Tests.Blanks;

/// <summary>How a thing is measured in, on every kind of surface.</summary>
public class PlaceTests
{
    [Theory]
    [InlineData(Datum.Top, "10", 700 - 10 - 40)]
    [InlineData(Datum.Collar, "90", 700 - 90 - 40)]
    [InlineData(Datum.Shoulder, "110", 718 - 110 - 40)]
    [InlineData(Datum.Pocket, "5", 520 - 5 - 40)]
    [InlineData(Datum.Hem, "60", 60)]
    [InlineData(Datum.Bottom, "60", 60)]
    [InlineData(Datum.Middle, "999", 330)]
    public void A_zone_stands_so_far_from_its_datum(Datum from, string away, double bottom)
    {
        var laid = Laid(new Place { From = from, Away = new TypedLength(away) });
        laid.Zone!.Nominal.Bounds.MinY.ShouldBe(bottom, 1e-9);
        laid.Zone.Nominal.Bounds.CentreX.ShouldBe(0, 1e-9);
    }

    [Theory]
    [InlineData(Sideways.Left, "70", -70)]
    [InlineData(Sideways.Right, "2 3/4 in", 69.85)]
    [InlineData(Sideways.Centred, "70", 0)]
    public void A_zone_stands_so_far_to_its_side(Sideways side, string across, double middle) =>
        Laid(
            new Place
            {
                From = Datum.Hem,
                Away = TypedLength.Mm(60),
                Side = side,
                Across = new TypedLength(across),
            }
        )
            .Zone!.Nominal.Bounds.CentreX.ShouldBe(middle, 1e-9);

    [Fact]
    public void A_zone_from_a_line_that_was_not_read_waits_for_it()
    {
        var bag = new Blank(
            "Bag",
            SurfaceKind.Garment,
            [
                TestBlanks.Read(DimensionKind.Width, MeasuringTool.SteelRule, "380") with
                {
                    Of = "one",
                },
                TestBlanks.Read(DimensionKind.CollarToHem, MeasuringTool.SteelRule, "420") with
                {
                    Of = "one",
                },
            ]
        )
        {
            Garment = new GarmentSpec { Kind = GarmentKind.Bag, Sizes = ["one"] },
            Zones =
            [
                new ZoneSpec("z", "Over the pocket")
                {
                    Width = TypedLength.Mm(100),
                    Height = TypedLength.Mm(40),
                    Place = new Place { From = Datum.Pocket, Away = TypedLength.Mm(5) },
                },
            ],
        };
        BlankSheet
            .Of(bag)
            .Findings.ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldContain("Over the pocket: It is measured from the pocket, which was not read");
    }

    [Fact]
    public void Only_the_height_may_be_given_and_the_width_is_what_is_left()
    {
        var laid = Laid(new Place { From = Datum.Hem, Away = TypedLength.Mm(60) }, width: "");
        laid.Zone!.Nominal.Bounds.Width.ShouldBe(500 - 80, 1e-9);
        laid.Zone.Nominal.Bounds.Height.ShouldBe(40, 1e-9);
        laid.Zone.Sums[0].ToString().ShouldContain("width 500.0 mm − 2 × 40.0 mm");
        laid.Zone.Sums[1].ToString().ShouldContain("high as typed");
    }

    [Fact]
    public void A_zone_without_a_size_of_its_own_begins_where_it_was_measured_in()
    {
        // 40 of margin below the collar seam, which stands 700 above the hem; or what was typed.
        Shirt(Whole with { Place = new Place { From = Datum.Collar } }).Zone!.Nominal.Bounds.MaxY.ShouldBe(700 - 40, 1e-9);
        Shirt(
            Whole with
            {
                Place = new Place { From = Datum.Collar, Away = TypedLength.Mm(95) },
            }
        )
            .Zone!.Nominal.Bounds.MaxY.ShouldBe(700 - 95, 1e-9);
        Shirt(
            Whole with
            {
                Place = new Place { From = Datum.Hem, Away = TypedLength.Mm(120) },
            }
        )
            .Zone!.Nominal.Bounds.MinY.ShouldBe(120, 1e-9);
        Shirt(Whole with { Place = new Place { From = Datum.Pocket } }).Zone!.Nominal.Bounds.MaxY.ShouldBe(700 - 180 - 40, 1e-9);
    }

    [Fact]
    public void A_press_that_does_not_cover_a_zone_leaves_it_where_it_begins()
    {
        var spec = Whole with
        {
            Width = TypedLength.Mm(280),
            Height = TypedLength.Mm(110),
            Place = new Place { From = Datum.Collar, Away = TypedLength.Mm(90) },
        };
        var zone = Shirt(
            spec,
            new GarmentSpec
            {
                Sizes = ["M"],
                PlatenWidth = TypedLength.Mm(380),
                PlatenHeight = TypedLength.Mm(90),
            }
        ).Zone!;
        zone.Nominal.Bounds.MaxY.ShouldBe(700 - 90, 1e-9);
        zone.Nominal.Bounds.Height.ShouldBe(90, 1e-9);
        zone.Sums[1].ToString().ShouldBe("90.0 mm high = typed 110.0 mm − 20.0 mm beyond the press");
    }

    private static ZoneSpec Whole => new("z", "Zone") { Margins = ZoneMargins.All(TypedLength.Mm(40)) };

    private static LaidZone Shirt(ZoneSpec zone, GarmentSpec? garment = null)
    {
        MeasuredDimension Read(DimensionKind kind, string typed) => TestBlanks.Read(kind, MeasuringTool.SteelRule, typed) with { Of = "M" };
        var shirt = new Blank(
            "Shirt",
            SurfaceKind.Garment,
            [Read(DimensionKind.Width, "500"), Read(DimensionKind.CollarToHem, "700"), Read(DimensionKind.CollarToPocket, "180")]
        )
        {
            Garment = garment ?? new GarmentSpec { Sizes = ["M"] },
            Zones = [zone],
        };
        return BlankSheet.Of(shirt).Sizes[0].Zones[0];
    }

    private static LaidZone Laid(Place place, string width = "80")
    {
        MeasuredDimension Read(DimensionKind kind, string typed) => TestBlanks.Read(kind, MeasuringTool.SteelRule, typed) with { Of = "M" };
        var shirt = new Blank(
            "Shirt",
            SurfaceKind.Garment,
            [
                Read(DimensionKind.Width, "500"),
                Read(DimensionKind.CollarToHem, "700"),
                Read(DimensionKind.ShoulderToCollar, "18"),
                Read(DimensionKind.CollarToPocket, "180"),
            ]
        )
        {
            Garment = new GarmentSpec { Sizes = ["M"] },
            Zones =
            [
                new ZoneSpec("z", "Zone")
                {
                    Width = new TypedLength(width),
                    Height = TypedLength.Mm(40),
                    Margins = new(TypedLength.Mm(0), TypedLength.Mm(0), TypedLength.Mm(40), TypedLength.Mm(40)),
                    Place = place,
                },
            ],
        };
        return BlankSheet.Of(shirt).Sizes[0].Zones[0];
    }
}
