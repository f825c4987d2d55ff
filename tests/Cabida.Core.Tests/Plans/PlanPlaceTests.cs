using Cabida.Core.Cutting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Plans;
using Cabida.Core.Stock;

namespace Cabida.Core.Tests.Plans;

public class PlanPlaceTests
{
    private static readonly StockItem Sheet = new("sheet", StockForm.Sheet, TypedLength.Mm(400), TypedLength.Mm(400)) { Count = 3 };

    private static Cutter CutterOf(double offset, string across, string along, string rising, string falling) =>
        new("Cutter", TypedLength.Mm(292), TypedLength.Mm(280))
        {
            Carriers =
            [
                new Carrier("mat", "Mat", TypedLength.Mm(305), TypedLength.Mm(305), TypedLength.Mm(292), TypedLength.Mm(280))
                {
                    Proved = new ProvingSquare(new(across), new(along), new(rising), new(falling)),
                },
            ],
            Blade = new Blade(TypedLength.Mm(offset), TypedLength.Empty, false),
        };

    [Theory]
    [InlineData(0, "", "", "", "")]
    [InlineData(0.25, "", "", "", "")]
    [InlineData(0.45, "99.6", "100.2", "141.5", "141.0")]
    [InlineData(0.25, "100.5", "99.5", "141.0", "141.6")]
    public void Whatever_lies_on_it_is_written_within_what_is_reached_knife_scale_and_skew_and_all(
        double offset,
        string across,
        string along,
        string rising,
        string falling
    )
    {
        var cutter = CutterOf(offset, across, along, rising, falling);
        var place = PlanPlaces
            .Of(new CutPlan("film") { CarrierId = "mat" }, TestFilms.Plain(0.8), new FilmStock("film", [Sheet]), cutter)
            .Places[0];
        var (ground, reach) = (place.Ground.Ground, place.Ground.Reach);
        var written = CutterTruth.Of(cutter.Carriers[0].Proved).WrittenOn(reach.MaxX, reach.MaxY);
        var box = Box.Around(
            ground.Coordinates.Select(c => written.Of(new PlanePoint(c.X, c.Y))).Select(p => new Box(p.X, p.Y, p.X, p.Y))
        )!.Value;
        // What swings out stays within; given away is no more than scale and skew take of this size.
        var swung = box.Grown(offset);
        new Box(0, 0, 292, 280).Grown(1e-6).Holds(swung).ShouldBeTrue();
        swung.Width.ShouldBeGreaterThan(290.5);
        swung.Height.ShouldBeGreaterThan(278.5);
    }
}
