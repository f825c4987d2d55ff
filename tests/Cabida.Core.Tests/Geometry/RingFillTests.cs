using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using CsCheck;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Tests.Geometry;

/// <summary>What closed rings enclose, found a second way: by counting windings point by point.</summary>
public class RingFillTests
{
    private static readonly Gen<List<PlanePoint>> Polygon = Gen.Select(
            Gen.Double[-40, 40],
            Gen.Double[-40, 40],
            Gen.Double[3, 30],
            Gen.Int[3, 9],
            Gen.Bool,
            Gen.Int[0, 10_000]
        )
        .Select(
            (x, y, r, corners, crossed, seed) =>
            {
                var random = new Random(seed);
                var way = seed % 2 == 0 ? 1 : -1;
                return Enumerable
                    .Range(0, corners)
                    .Select(i => crossed ? random.NextDouble() * 2 * Math.PI : way * 2 * Math.PI * i / corners)
                    .Select(a => new PlanePoint(x + (r * Math.Cos(a)), y + (r * Math.Sin(a))))
                    .ToList();
            }
        );

    /// <summary>Rings that nest, touch, cross, repeat one another and stand apart, each also taken twice or backwards.</summary>
    private static readonly Gen<List<List<PlanePoint>>> Rings = Gen.Select(Polygon.List[1, 6], Gen.Int[0, 3])
        .Select(
            (rings, more) =>
                (List<List<PlanePoint>>)
                    [
                        .. rings,
                        .. more > 0
                            ?
                            [
                                [.. rings[0].Select(p => new PlanePoint(p.X * 0.5, p.Y * 0.5))],
                            ]
                            : Array.Empty<List<PlanePoint>>(),
                        .. more > 1 ? [rings[0]] : Array.Empty<List<PlanePoint>>(),
                        .. more > 2
                            ?
                            [
                                [.. Enumerable.Reverse(rings[^1])],
                            ]
                            : Array.Empty<List<PlanePoint>>(),
                    ]
        );

    private static int Winding(List<List<PlanePoint>> rings, PlanePoint p) =>
        rings.Sum(ring =>
            ring.Select((a, i) => (A: a, B: ring[(i + 1) % ring.Count]))
                .Sum(e =>
                    e.A.Y <= p.Y == e.B.Y <= p.Y || e.A.X + ((e.B.X - e.A.X) * (p.Y - e.A.Y) / (e.B.Y - e.A.Y)) <= p.X
                        ? 0
                        : Math.Sign(e.B.Y - e.A.Y)
                )
        );

    [Fact]
    public void Rings_enclose_what_they_wind_round() =>
        Gen.Select(Rings, Gen.Bool)
            .Sample(
                (rings, evenOdd) =>
                {
                    var area = RingFill.Of(rings, evenOdd);
                    area.IsValid.ShouldBeTrue();
                    var edges = Outlines.Factory.CreateMultiLineString([.. rings.Select(r => (LineString)Outlines.Ring(r).ExteriorRing)]);
                    for (var x = -69.3; x < 70; x += 5.7)
                    {
                        for (var y = -69.1; y < 70; y += 5.9)
                        {
                            var here = Outlines.Factory.CreatePoint(new Coordinate(x, y));
                            var turns = Winding(rings, new(x, y));
                            if (edges.Distance(here) > 1e-3)
                            {
                                area.Intersects(here).ShouldBe(evenOdd ? turns % 2 != 0 : turns != 0);
                            }
                        }
                    }
                },
                iter: 300
            );

    [Fact]
    public void Five_thousand_rings_in_one_plate_are_its_holes()
    {
        List<PlanePoint> Square(double x, double y, double side) =>
            [new(x, y), new(x, y + side), new(x + side, y + side), new(x + side, y)];
        List<List<PlanePoint>> rings =
        [
            [new(-1, -1), new(300, -1), new(300, 300), new(-1, 300)],
            .. Enumerable.Range(0, 5000).Select(i => Square(4 * (i % 75), 4 * (i / 75), 2)),
        ];
        var plate = RingFill.Of(rings).ShouldBeOfType<Polygon>();
        (plate.NumInteriorRings, plate.Area).ShouldBe((5000, (301.0 * 301) - 20_000));
    }

    [Fact]
    public void A_scribble_is_refused_before_it_is_begun()
    {
        var random = new Random(3);
        List<PlanePoint> Scribble(int points) =>
            [.. Enumerable.Range(0, points).Select(_ => new PlanePoint(100 * random.NextDouble(), 100 * random.NextDouble()))];
        using (Effort.Within(Effort.Small))
        {
            RingFill.Of([Scribble(120)]).IsValid.ShouldBeTrue();
            Should.Throw<NotWorkableException>(() => RingFill.Of([Scribble(800)])).Reason.ToString().ShouldContain("crosses itself");
        }
    }

    [Fact]
    public void An_outline_of_thousands_of_corners_drawn_twice_is_not_taken_for_a_scribble()
    {
        List<PlanePoint> round =
        [
            .. Enumerable.Range(0, 6000).Select(i => new PlanePoint(50 * Math.Cos(i * Math.PI / 3000), 50 * Math.Sin(i * Math.PI / 3000))),
        ];
        RingFill.Of([round, round]).Area.ShouldBe(Math.PI * 2500, 0.01);
        RingFill.Of([round, round], evenOdd: true).IsEmpty.ShouldBeTrue();
    }

    [Fact]
    public void Groups_are_what_hangs_together_and_found_whatever_their_order() =>
        Gen.Select(Gen.Double[0, 100], Gen.Double[0, 30], Gen.Double[0.5, 8], Gen.Double[0.5, 8])
            .List[0, 60]
            .Sample(
                boxes =>
                {
                    List<Envelope> all = [.. boxes.Select(b => new Envelope(b.Item1, b.Item1 + b.Item3, b.Item2, b.Item2 + b.Item4))];
                    var groups = Clusters.Of(all, (_, _) => true);
                    groups.SelectMany(g => g).Order().ShouldBe(Enumerable.Range(0, all.Count));
                    var of = groups.SelectMany((g, k) => g.Select(i => (i, k))).ToDictionary(x => x.i, x => x.k);
                    // Neighbours share a group, and each group is in one piece.
                    for (var i = 0; i < all.Count; i++)
                    {
                        for (var j = 0; j < i; j++)
                        {
                            (all[i].Intersects(all[j]) && of[i] != of[j]).ShouldBeFalse();
                        }
                    }

                    foreach (var group in groups)
                    {
                        var reached = new HashSet<int> { group[0] };
                        while (
                            group.Where(i => !reached.Contains(i) && reached.Any(r => all[r].Intersects(all[i]))).ToList()
                                is { Count: > 0 } next
                        )
                        {
                            reached.UnionWith(next);
                        }

                        reached.Count.ShouldBe(group.Count);
                    }
                },
                iter: 200
            );
}
