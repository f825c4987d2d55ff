using Cabida.Core.Geometry;
using Cabida.Core.Type;
using CsCheck;

namespace Cabida.Core.Tests.Type;

public class LetterProfilesTests
{
    private static readonly Gen<NetTopologySuite.Geometries.Geometry> Blobs = Gen.Select(Gen.Double[0, 6.28], Gen.Double[1, 4])
        .Array[5, 12]
        .Select(
            NetTopologySuite.Geometries.Geometry (p) =>
                Outlines
                    .Ring([
                        .. p.OrderBy(x => x.Item1).Select(x => new PlanePoint(x.Item2 * Math.Cos(x.Item1), x.Item2 * Math.Sin(x.Item1))),
                    ])
                    .ConvexHull()
        )
        .Where(g => g is NetTopologySuite.Geometries.Polygon);

    private static readonly Gen<NetTopologySuite.Geometries.Geometry> Stars = Gen.Double[1, 5]
        .Array[6, 16]
        .Select(
            NetTopologySuite.Geometries.Geometry (r) =>
                Outlines.Ring([
                    .. r.Select((x, i) => (Reach: x, Angle: i * 2 * Math.PI / r.Length))
                        .Select(p => new PlanePoint(p.Reach * Math.Cos(p.Angle), p.Reach * Math.Sin(p.Angle))),
                ])
        );

    [Fact]
    public void Moved_by_their_distance_along_the_line_two_outlines_just_touch() =>
        Gen.Select(Blobs, Blobs, Gen.Double[6, 20])
            .Sample(
                (left, blob, dx) =>
                {
                    var right = Outlines.Moved(blob, Motion.Move(dx, 0));
                    var (a, b) = (left.EnvelopeInternal, right.EnvelopeInternal);
                    // Where they share no more height than rounding, they share it or not as that has it.
                    if (LetterProfiles.Between(left, right) is not { } gap || Math.Min(a.MaxY, b.MaxY) - Math.Max(a.MinY, b.MinY) < 1e-6)
                    {
                        return true;
                    }

                    var touching = Outlines.Moved(right, Motion.Move(-gap, 0));
                    return touching.Distance(left) < 1e-6
                        && Outlines.Within(left, Outlines.Moved(touching, Motion.Move(0.01, 0))).Area < 1e-9
                        && left.Intersects(Outlines.Moved(touching, Motion.Move(-0.01, 0)));
                },
                iter: 200
            );

    [Fact]
    public void Moved_by_their_distance_at_some_way_apart_two_outlines_are_as_far_apart_as_asked() =>
        Gen.Select(Stars, Stars, Gen.Double[-3, 12], Gen.Double[-9, 9], Gen.Double[0.05, 3])
            .Sample(
                (left, star, dx, dy, apart) =>
                {
                    var right = Outlines.Moved(star, Motion.Move(dx, dy));
                    // The second way: the first grown by as much, and how far the other is from that along the line.
                    var grown = LetterProfiles.Between(Outlines.Grown(left, apart, 1e-5), right);
                    if (LetterProfiles.Between(left, right, apart) is not { } gap || grown is not { } other)
                    {
                        return true;
                    }

                    var met = Outlines.Moved(right, Motion.Move(-gap, 0));
                    // At a shallow slope a little of distance is much along the line.
                    return Math.Abs(met.Distance(left) - apart) < 1e-6
                        && (
                            Math.Abs(gap - other) < 0.02
                            || Math.Abs(Outlines.Moved(right, Motion.Move(-other, 0)).Distance(left) - apart) < 1e-3
                        )
                        && Outlines.Moved(met, Motion.Move(0.1, 0)).Distance(left) >= apart - 1e-9;
                },
                iter: 300
            );

    [Fact]
    public void Outlines_that_share_no_height_have_no_distance_along_the_line() =>
        LetterProfiles.Between(Outlines.Rectangle(new Box(0, 0, 1, 1)), Outlines.Rectangle(new Box(5, 2, 6, 3))).ShouldBeNull();

    [Theory]
    [InlineData(0, 0)]
    [InlineData(5, 0)]
    [InlineData(-3, -3)]
    [InlineData(4, 9)]
    public void An_arch_moves_points_up_only_by_the_share_of_their_height(double top, double bottom)
    {
        var box = new Box(-50, 0, 50, 10);
        var bent = LineArch.Bent(Outlines.Rectangle(new Box(-1e-3, 4, 1e-3, 5)), box, top, bottom);
        // In the middle a point at a share of the height rises by that share of the top's rise and the rest of the bottom's.
        bent.EnvelopeInternal.MinY.ShouldBe(4 + (0.4 * top) + (0.6 * bottom), 1e-4);
        bent.EnvelopeInternal.MaxY.ShouldBe(5 + (0.5 * top) + (0.5 * bottom), 1e-4);
        var end = LineArch.Bent(Outlines.Rectangle(new Box(49.999, 4, 50, 5)), box, top, bottom);
        end.EnvelopeInternal.MinY.ShouldBe(4, 0.01);
    }
}
