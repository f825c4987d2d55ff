using Cabida.Core.Geometry;
using Cabida.Core.Pressing;
using CsCheck;

namespace Cabida.Core.Tests.Pressing;

public sealed class PlatenPositionsTests
{
    [Theory]
    // The example of calculations 6.13, and what just fits or just does not.
    [InlineData(700, 450, 380, 300, 20, 2, 2)]
    [InlineData(380, 300, 380, 300, 20, 1, 1)]
    [InlineData(380.1, 300, 380, 300, 20, 2, 1)]
    [InlineData(740, 300, 380, 300, 20, 2, 1)]
    [InlineData(740.1, 300, 380, 300, 20, 3, 1)]
    public void As_many_positions_as_the_overlap_asks_for(double w, double h, double p, double q, double o, int across, int up) =>
        new Platen(p, q, o).CountFor(new Box(0, 0, w, h)).ShouldBe((across, up));

    [Fact]
    public void A_platen_is_turned_where_that_takes_fewer() =>
        Plan(new Box(0, 0, 290, 370), new Platen(380, 300, 20)).Positions.ShouldHaveSingleItem().Height.ShouldBe(380);

    [Fact]
    public void An_edge_moves_off_a_row_of_buttons()
    {
        // Artwork beside a button band: about its middle, the platen's left edge would lie on the buttons.
        var art = new Box(60, 0, 160, 80);
        var buttons = Enumerable
            .Range(0, 4)
            .Select(i => new PressObstacle($"Button {i}", new Box(-8, 10 + (40 * i), 8, 26 + (40 * i))))
            .ToList();
        var centred = new Box(art.CentreX - 115, -35, art.CentreX + 115, 115);
        buttons.Any(b => centred.MinX > b.Box.MinX && centred.MinX < b.Box.MaxX).ShouldBeTrue();
        var plan = Plan(art, new Platen(230, 150, 20), buttons);
        plan.EdgeOn.ShouldBeEmpty();
        plan.Covered.ShouldBeEmpty();
        plan.Positions.ShouldHaveSingleItem().Holds(art).ShouldBeTrue();
    }

    [Fact]
    public void What_cannot_be_kept_off_is_named()
    {
        var plan = Plan(new Box(0, 0, 100, 80), new Platen(100, 80, 20), [new PressObstacle("Seam", new Box(-3, -500, 3, 500))]);
        plan.EdgeOn.ShouldBe(["Seam"]);
        plan.Positions.Count.ShouldBe(1);
    }

    [Fact]
    public void Positions_cover_the_artwork_and_find_a_place_wherever_a_dense_search_does() =>
        Gen.Select(Gen.Double[20, 300], Gen.Double[20, 200], Gen.Double[90, 160], Gen.Double[90, 160], Obstacles)
            .Sample(
                (w, h, p, q, obstacles) =>
                {
                    var (art, platen) = (new Box(0, 0, w, h), new Platen(p, q, 20));
                    var plan = Plan(art, platen, obstacles);
                    var (columns, rows) = (plan.Across, plan.Positions.Count / plan.Across);
                    var (side, height) = (plan.Positions[0].Width, plan.Positions[0].Height);
                    // Every point of a fine grid lies under some position, neighbours overlap as asked for.
                    for (var x = 0.0; x <= w; x += w / 40)
                    {
                        for (var y = 0.0; y <= h; y += h / 40)
                        {
                            var at = new PlanePoint(x, y);
                            plan.Positions.Any(b => b.DistanceTo(at) < 1e-6).ShouldBeTrue($"{at}");
                        }
                    }

                    for (var i = 1; i < columns; i++)
                    {
                        (plan.Positions[i - 1].MaxX - plan.Positions[i].MinX).ShouldBeGreaterThanOrEqualTo(20 - 1e-6);
                    }

                    var fewest = new[] { platen, platen.Turned }.Min(t => t.CountFor(art).Across * t.CountFor(art).Up);
                    plan.Positions.Count.ShouldBeGreaterThanOrEqualTo(fewest);
                    if (columns == 1 && rows == 1 && plan.EdgeOn.Count > 0)
                    {
                        Anywhere(art, side, height, obstacles).ShouldBeFalse();
                    }
                },
                iter: 300
            );

    /// <summary>Whether one position over the artwork keeps off everything, by trying every half millimetre.</summary>
    private static bool Anywhere(Box art, double side, double height, IReadOnlyList<PressObstacle> obstacles)
    {
        for (var x = art.MaxX - side; x <= art.MinX; x += 0.5)
        {
            for (var y = art.MaxY - height; y <= art.MinY; y += 0.5)
            {
                var at = new Box(x, y, x + side, y + height);
                if (obstacles.All(o => !at.Meets(o.Box) || at.Holds(o.Box) || Apart(at, o.Box)))
                {
                    return true;
                }
            }
        }

        return false;
    }

    private static bool Apart(Box one, Box other) =>
        one.MaxX <= other.MinX || other.MaxX <= one.MinX || one.MaxY <= other.MinY || other.MaxY <= one.MinY;

    [Fact]
    public void Artwork_that_would_take_hundreds_of_positions_is_refused_with_its_figures() =>
        PlatenPositions
            .Of(new Box(0, 0, 700, 500), new Platen(30, 30, 20), [])
            .Problem.ShouldNotBeNull()
            .ToString()
            .ShouldBe("Artwork of 700.0 mm × 500.0 mm takes 3264 positions of a platen of 30.0 mm × 30.0 mm: take a larger press.");

    private static readonly Gen<PressObstacle[]> Obstacles = Gen.Select(Gen.Double[-100, 300], Gen.Double[-100, 250], Gen.Double[4, 40])
        .Select((x, y, across) => new PressObstacle("b", new Box(x, y, x + across, y + across)))
        .Array[0, 5];

    private static PlatenPlan Plan(Box art, Platen platen, IReadOnlyList<PressObstacle>? keepsOff = null) =>
        PlatenPositions.Of(art, platen, keepsOff ?? []).Value;
}
