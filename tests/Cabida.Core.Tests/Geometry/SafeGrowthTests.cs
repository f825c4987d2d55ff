using Cabida.Core.Geometry;

namespace Cabida.Core.Tests.Geometry;

public class SafeGrowthTests
{
    private static NetTopologySuite.Geometries.Geometry Boxes(params Box[] boxes) => Outlines.Join([.. boxes.Select(b => Outlines.Rectangle(b))]);

    [Fact]
    public void Two_bars_meet_at_half_their_gap()
    {
        var limit = SafeGrowth.Of(Boxes(new(0, 0, 10, 2), new(0, 2.7, 10, 5)), 3).ShouldNotBeNull();
        (limit.Limit, limit.Stop).ShouldBe((0.35, GrowthStop.PartsMeet), new Near());
        limit.At.Y.ShouldBe(2.35, 1e-9);
    }

    [Fact]
    public void A_hole_closes_at_half_its_width_and_a_bay_is_pinched_where_its_mouth_shuts()
    {
        var ring = Outlines.Without(Boxes(new Box(0, 0, 20, 20)), Boxes(new Box(8, 8, 12, 11)));
        var closes = SafeGrowth.Of(ring, 4).ShouldNotBeNull();
        closes.Stop.ShouldBe(GrowthStop.HoleCloses);
        closes.Limit.ShouldBe(1.5, 0.01);
        // A bay of 6 × 6 behind a mouth 1 wide becomes a hole once the mouth shuts.
        var bay = Outlines.Without(Boxes(new Box(0, 0, 20, 20)), Boxes(new Box(7, 7, 13, 13), new Box(13, 9.5, 21, 10.5)));
        var pinched = SafeGrowth.Of(bay, 4).ShouldNotBeNull();
        pinched.Stop.ShouldBe(GrowthStop.Pinched);
        pinched.Limit.ShouldBe(0.5, 0.01);
    }

    [Fact]
    public void What_has_nothing_to_meet_has_no_limit() => SafeGrowth.Of(Boxes(new Box(0, 0, 5, 5)), 3).ShouldBeNull();

    private sealed class Near : IEqualityComparer<(double, GrowthStop)>
    {
        public bool Equals((double, GrowthStop) x, (double, GrowthStop) y) => Math.Abs(x.Item1 - y.Item1) < 1e-9 && x.Item2 == y.Item2;

        public int GetHashCode((double, GrowthStop) obj) => 0;
    }
}
