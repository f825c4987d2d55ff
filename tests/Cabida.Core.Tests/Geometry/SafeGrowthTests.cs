using Cabida.Core.Geometry;

namespace Cabida.Core.Tests.Geometry;

public class SafeGrowthTests
{
    private static NetTopologySuite.Geometries.Geometry Boxes(params Box[] boxes) =>
        Outlines.Join([.. boxes.Select(b => Outlines.Rectangle(b))]);

    [Fact]
    public void Two_bars_meet_at_half_their_gap()
    {
        var limit = SafeGrowth.Of(Boxes(new(0, 0, 10, 2), new(0, 2.7, 10, 5)), 3).First.ShouldNotBeNull();
        (limit.Limit, limit.Stop).ShouldBe((0.35, GrowthStop.PartsMeet), new Near());
        limit.At.Y.ShouldBe(2.35, 1e-9);
    }

    [Fact]
    public void A_hole_closes_at_half_its_width_and_a_bay_is_pinched_where_its_mouth_shuts()
    {
        var ring = Outlines.Without(Boxes(new Box(0, 0, 20, 20)), Boxes(new Box(8, 8, 12, 11)));
        var closes = SafeGrowth.Of(ring, 4).First.ShouldNotBeNull();
        closes.Stop.ShouldBe(GrowthStop.HoleCloses);
        closes.Limit.ShouldBe(1.5, 0.01);
        // A bay of 6 × 6 behind a mouth 1 wide becomes a hole once the mouth shuts.
        var bay = Outlines.Without(Boxes(new Box(0, 0, 20, 20)), Boxes(new Box(7, 7, 13, 13), new Box(13, 9.5, 21, 10.5)));
        var pinched = SafeGrowth.Of(bay, 4).First.ShouldNotBeNull();
        pinched.Stop.ShouldBe(GrowthStop.Pinched);
        pinched.Limit.ShouldBe(0.5, 0.01);
    }

    [Fact]
    public void What_has_nothing_to_meet_has_no_limit() => SafeGrowth.Of(Boxes(new Box(0, 0, 5, 5)), 3).ShouldBe(new Growth(null, null));

    [Fact]
    public void A_notch_that_fills_is_told_and_does_not_stop_what_matters()
    {
        // A pocket of 0.2 × 0.2 behind a mouth of 0.04, and a counter of 3 × 4.
        var notched = Outlines.Without(
            Boxes(new Box(0, 0, 20, 20)),
            Boxes(new Box(19.7, 9.9, 19.9, 10.1), new Box(19.8, 9.98, 21, 10.02), new Box(5, 5, 8, 9))
        );
        var growth = SafeGrowth.Of(notched, 4);
        growth.Notch.ShouldNotBeNull().Limit.ShouldBe(0.02, 0.003);
        growth.Notch!.At.X.ShouldBe(19.8, 0.1);
        growth.First.ShouldNotBeNull().Stop.ShouldBe(GrowthStop.HoleCloses);
        growth.First!.Limit.ShouldBe(1.5, 0.01);
        // A bay that is deep enough to be seen is no notch, however narrow its mouth.
        var deep = Outlines.Without(Boxes(new Box(0, 0, 20, 20)), Boxes(new Box(18, 9, 19.5, 11), new Box(19, 9.98, 21, 10.02)));
        SafeGrowth.Of(deep, 4).First.ShouldNotBeNull().Limit.ShouldBe(0.02, 0.003);
        SafeGrowth.Of(deep, 4).Notch.ShouldBeNull();
    }

    private sealed class Near : IEqualityComparer<(double, GrowthStop)>
    {
        public bool Equals((double, GrowthStop) x, (double, GrowthStop) y) => Math.Abs(x.Item1 - y.Item1) < 1e-9 && x.Item2 == y.Item2;

        public int GetHashCode((double, GrowthStop) obj) => 0;
    }
}
