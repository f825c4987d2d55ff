using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using CsCheck;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Fitting;

public class RoomsTests
{
    [Fact]
    public void Ink_wholly_beside_a_zone_has_figures_at_all_sides() =>
        Gen.Select(Gen.Double[-400, 400], Gen.Double[-400, 400], Gen.Double[0.5, 30], Gen.Double[0.5, 30])
            .Sample(
                (x, y, w, h) =>
                {
                    var zone = ZoneShape.Of(Outlines.Ring([new(-50, 0), new(0, -40), new(60, 0), new(0, 55)]), new(0, 0));
                    var rooms = Rooms.Of(Outlines.Rectangle(new Box(x, y, x + w, y + h)), zone);
                    rooms.All.ShouldAllBe(r => double.IsFinite(r.Distance));
                    double.IsFinite(rooms.Outside).ShouldBeTrue();
                    if (x > 60 || x + w < -50 || y > 55 || y + h < -40)
                    {
                        rooms.Least.ShouldBeLessThan(0);
                    }
                },
                iter: 500
            );

    [Fact]
    public void Room_in_a_polygon_is_what_it_is_in_the_same_rectangle() =>
        Gen.Select(Gen.Double[-30, 30], Gen.Double[-20, 20], Gen.Double[1, 40], Gen.Double[1, 30])
            .Sample(
                (x, y, w, h) =>
                {
                    var limits = new Box(-40, -30, 40, 30);
                    var ink = Outlines.Rectangle(new Box(x, y, x + w, y + h));
                    var plain = Rooms.Of(ink, ZoneShape.Rectangle(limits));
                    var general = Rooms.Of(ink, ZoneShape.Of(Outlines.Rectangle(limits), new(0, 0)));
                    return plain.All.Zip(general.All).All(r => Math.Abs(r.First.Distance - r.Second.Distance) < 1e-9);
                }
            );

    [Fact]
    public void A_corner_of_the_zone_that_pokes_at_the_ink_is_met_before_its_vertices()
    {
        // The zone's floor rises to a point in the middle; wide ink over it can sink only 3, though its corners have 8.
        var zone = ZoneShape.Of(Outlines.Ring([new(-50, 0), new(0, 5), new(50, 0), new(50, 40), new(-50, 40)]), new(0, 20));
        Rooms.Of(Outlines.Rectangle(new Box(-50, 8, 50, 20)), zone).Below.Distance.ShouldBe(3, 1e-9);
    }

    [Fact]
    public void Room_over_a_kept_clear_hole_is_measured_to_the_hole()
    {
        var hole = Outlines.Rectangle(new Box(-5, -5, 5, 5));
        var zone = ZoneShape.Of(
            (NetTopologySuite.Geometries.Polygon)Outlines.Rectangle(new Box(-50, -50, 50, 50)).Difference(hole),
            new(0, 0)
        );
        var below = Rooms.Of(Outlines.Rectangle(new Box(-2, 9, 2, 20)), zone).Below;
        below.Distance.ShouldBe(4, 1e-9);
        below.Limit.ShouldBe(LimitKind.KeptClear);
    }

    /// <summary>Wherever ink stands about a zone with a hole and a notch, it fits just when overlay finds nothing of it outside.</summary>
    [Fact]
    public void Ink_that_is_outside_anywhere_never_fits() =>
        Gen.Select(Gen.Double[-70, 70], Gen.Double[-60, 60], Gen.Double[1, 60], Gen.Double[1, 40], Gen.Double[-180, 180], Gen.Bool)
            .Sample(
                (x, y, w, h, turn, ring) =>
                {
                    var disc = FitShapes.Disc(60);
                    var zone = FitShapes.Zone(
                        disc.Difference(FitShapes.Disc(22, 8)).Difference(Outlines.Rectangle(new Box(35, -8, 70, 8))),
                        0,
                        0
                    );
                    NetTopologySuite.Geometries.Geometry block = Outlines.Rectangle(new Box(-w / 2, -h / 2, w / 2, h / 2));
                    // A frame too, which may lie round the hole.
                    var shape = ring ? block.Difference(Outlines.Placed(block, 0.9, 0, 0)) : block;
                    var ink = Outlines.Moved(shape, Motion.TurnLeft(turn).Moved(x, y));
                    var outside = ink.Difference(zone.Outline);
                    var rooms = Rooms.Of(ink, zone);
                    // Slivers of a hundredth of a millimetre either way are rounding of the shapes.
                    return rooms.Least >= -Tolerances.Fit ? outside.Buffer(-0.002).IsEmpty : outside.Area > 0;
                },
                iter: 4000
            );

    [Fact]
    public void Ink_as_wide_as_a_notch_that_lies_in_it_does_not_fit()
    {
        // All four of its corners are on the zone's edge, and it touches both sides of the notch.
        var zone = FitShapes.Zone(
            Outlines.Rectangle(new Box(-60, -40, 60, 40)).Difference(Outlines.Rectangle(new Box(35, -8, 70, 8))),
            0,
            0
        );
        Rooms.Of(Outlines.Rectangle(new Box(29, -8, 55, 8)), zone).Least.ShouldBe(-8, 1e-9);
    }

    /// <summary>
    /// Ink pushed against what limits it, give or take what computed ink may stand outside: at every side the room is what is found by
    /// sweeping it that way, in a zone that is a little smaller at least and in one a little larger at most.
    /// </summary>
    [Fact]
    public void Pushed_against_any_limit_the_room_is_what_a_sweep_finds() =>
        Gen.Select(
                Gen.Int[0, 3],
                Gen.Int[0, 3],
                Gen.Select(Gen.Double[-50, 50], Gen.Double[-40, 40]),
                Gen.Select(Gen.Double[2, 40], Gen.Double[2, 30]),
                Gen.Int[0, 3].Array[0, 3],
                Gen.Double[-0.0008, 0.0008]
            )
            .Sample(
                (surface, shape, at, size, pushes, off) =>
                {
                    const double Give = 0.002;
                    var outline = Surfaces[surface];
                    var zone = FitShapes.Zone(outline, 0, 0);
                    var ink = Outlines.Moved(Shaped(shape, size.Item1, size.Item2), Motion.Move(at.Item1, at.Item2));
                    if (!outline.Covers(ink))
                    {
                        return;
                    }

                    foreach (var side in pushes)
                    {
                        var room = Rooms.Of(ink, zone).All[side].Distance + off;
                        ink = Outlines.Moved(
                            ink,
                            side switch
                            {
                                0 => Motion.Move(0, room),
                                1 => Motion.Move(0, -room),
                                2 => Motion.Move(-room, 0),
                                _ => Motion.Move(room, 0),
                            }
                        );
                    }

                    var rooms = Rooms.Of(ink, zone).All;
                    foreach (var (side, turn) in new[] { (0, 0), (3, 90), (1, 180), (2, 270) })
                    {
                        Area Turned(Area a) => Outlines.Moved(a, Motion.TurnLeft(turn));
                        var least = Swept(Turned(ink), Turned(outline.Buffer(-Give))) - (4 * Tolerances.Fit);
                        rooms[side].Distance.ShouldBeGreaterThan(least, $"side {side}");
                        rooms[side].Distance.ShouldBeLessThan(Swept(Turned(ink), Turned(outline.Buffer(Give))) + 1e-6, $"side {side}");
                    }
                },
                iter: 300
            );

    private static readonly Area[] Surfaces =
    [
        Outlines.Rectangle(new Box(-40, -30, 40, 30)).Difference(Outlines.Rectangle(new Box(-4, 14, 12, 20))),
        Outlines.Ring([new(-40, -30), new(40, -30), new(40, 12), new(3, 34), new(-40, 8)]),
        Outlines.Ring([new(-50, -30), new(50, -30), new(50, 0), new(14, 6), new(14, 30), new(-50, 30)]),
        FitShapes.Disc(50, 12).Difference(FitShapes.Disc(11, 6)).Difference(Outlines.Rectangle(new Box(30, -6, 60, 6))),
    ];

    private static Area Shaped(int shape, double w, double h)
    {
        Area block = Outlines.Rectangle(new Box(-w / 2, -h / 2, w / 2, h / 2));
        return shape switch
        {
            0 => block,
            1 => Outlines.Ring([new(-w / 2, -h / 2), new(w / 2, -h / 2), new(0, h / 2)]),
            2 => block.Difference(Outlines.Placed(block, 0.8, 0, 0)),
            _ => block.Difference(Outlines.Rectangle(new Box(-w / 6, -h, w / 6, h))),
        };
    }

    /// <summary>How far an area goes up before it leaves another; by halving.</summary>
    private static double Swept(Area ink, Area within)
    {
        var edges = Outlines.RingsOf(ink).SelectMany(r => r.Coordinates.Zip(r.Coordinates.Skip(1))).ToList();
        bool Leaves(double far) =>
            edges.Any(e =>
                !within.Covers(
                    Outlines
                        .Factory.CreateMultiPointFromCoords([
                            e.First,
                            e.Second,
                            new(e.First.X, e.First.Y + far),
                            new(e.Second.X, e.Second.Y + far),
                        ])
                        .ConvexHull()
                )
            );
        var (low, high) = (0.0, 200.0);
        while (high - low > 1e-7)
        {
            var far = (low + high) / 2;
            (low, high) = Leaves(far) ? (low, far) : (far, high);
        }

        return low;
    }

    [Fact]
    public void Ink_that_just_touches_a_hole_fits()
    {
        var zone = FitShapes.Zone(FitShapes.Disc(60).Difference(FitShapes.Disc(22, 8)), 0, 0);
        var rooms = Rooms.Of(Outlines.Rectangle(new Box(-17.5, 22, 17.5, 32)), zone);
        rooms.Least.ShouldBe(0, 1e-9, $"{rooms}");
        rooms.StandsOn.ShouldBeNull();
    }

    [Fact]
    public void A_name_in_the_hole_of_a_disc_does_not_fit_and_says_what_it_stands_on()
    {
        var zone = FitShapes.Zone(FitShapes.Disc(75).Difference(FitShapes.Disc(40)), 0, 0);
        var rooms = Rooms.Of(Outlines.Rectangle(new Box(-25, -8, 25, 8)), zone);
        rooms.StandsOn.ShouldBe(LimitKind.KeptClear);
        // Its middle is nearest to the hole's edge at its corners: 40 − √(25² + 8²) there, 32 at the middle of its long sides.
        rooms.Outside.ShouldBe(40 - Math.Sqrt((25 * 25) + (8 * 8)), 0.05);
        FitStates.Of(rooms, rooms).ShouldBe(FitState.Over);
    }

    [Fact]
    public void States_follow_the_two_zones()
    {
        var nominal = ZoneShape.Rectangle(new Box(0, 0, 100, 50));
        var cautious = ZoneShape.Rectangle(new Box(1, 1, 99, 49));
        FitState For(double x) =>
            FitStates.Of(Rooms.InRectangle(new Box(x, 10, 60, 40), cautious), Rooms.InRectangle(new Box(x, 10, 60, 40), nominal));
        For(1).ShouldBe(FitState.Fits);
        For(0.5).ShouldBe(FitState.Snug);
        For(-0.5).ShouldBe(FitState.Over);
    }
}
