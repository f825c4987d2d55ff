using Cabida.Core.Geometry;
using CsCheck;

namespace Cabida.Core.Tests.Geometry;

/// <summary>Outlines that run out and back along a line lose that, wherever it is and however often it bends; all else stays.</summary>
public class SpikesTests
{
    private static readonly PlanePoint[] Square = [new(0, 0), new(10, 0), new(10, 10), new(0, 10)];

    [Fact]
    public void Any_spike_at_any_corner_is_taken_off() =>
        Gen.Select(Gen.Int[0, 3], Gen.Int[0, 3], Gen.Select(Gen.Double[-8, 8], Gen.Double[-8, 8]).Array[1, 5], Gen.Double[-1e-7, 1e-7])
            .Sample(
                (corner, first, steps, off) =>
                {
                    // A step as short as what is told apart may make the tip just wide enough to be no spike.
                    if (steps.Any(s => Math.Abs(s.Item1) + Math.Abs(s.Item2) is > 2e-7 and < 1e-5))
                    {
                        return;
                    }

                    // A walk away from a corner and back beside itself.
                    var walk = new List<PlanePoint> { Square[corner] };
                    foreach (var (dx, dy) in steps)
                    {
                        walk.Add(new PlanePoint(walk[^1].X + dx, walk[^1].Y + dy));
                    }

                    List<PlanePoint> back = [.. Enumerable.Reverse(walk).Skip(1).Select(p => new PlanePoint(p.X + off, p.Y - off))];
                    List<PlanePoint> ring = [.. Square[..corner], .. walk, .. back, .. Square[(corner + 1)..]];
                    // A ring may begin anywhere, also at the tip.
                    ring = [.. ring.Skip(first * ring.Count / 4), .. ring.Take(first * ring.Count / 4)];
                    var cleaned = Spikes.Without(Outlines.Ring(ring))!;
                    cleaned.IsValid.ShouldBeTrue();
                    cleaned.Area.ShouldBe(100, 1e-4);
                    (cleaned.EnvelopeInternal.Width, cleaned.EnvelopeInternal.Height).ShouldSatisfyAllConditions(
                        b => b.Width.ShouldBe(10, 1e-5),
                        b => b.Height.ShouldBe(10, 1e-5)
                    );
                },
                iter: 2000
            );

    [Fact]
    public void A_sharp_corner_is_no_spike_and_what_is_only_a_spike_is_nothing()
    {
        var sharp = Outlines.Ring([new(0, 0), new(100, 0.01), new(0, 0.02)]);
        Spikes.Without(sharp).ShouldBeSameAs(sharp);
        Spikes.Without(Outlines.Ring([new(0, 0), new(50, 0), new(100, 0), new(50, 0)])).ShouldBeNull();
    }
}
