using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Stock;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Loads;

public class PartingTests
{
    private static Polygon Rectangle(double width, double height, double x = 0, double y = 0) =>
        Outlines.Rectangle(new Box(x, y, x + width, y + height));

    private static Area Together(params Polygon[] all) => Outlines.Together(all);

    /// <summary>The example of the design: three lines of 40 with 12 between them.</summary>
    private static Area Lines => Together(Rectangle(200, 40), Rectangle(200, 40, 0, 52), Rectangle(200, 40, 0, 104));

    [Fact]
    public void Three_lines_are_parted_between_lines_and_as_evenly_as_that_goes()
    {
        var joint = new Joints(Lines, false).Best(100).ShouldNotBeNull().ShouldHaveSingleItem();
        joint.At.ShouldBeOneOf(51, 93);
        joint.Crosses.ShouldBe(0);
        joint.Nearest.ShouldBe(1);
        new Joints(Lines, true).Best(200).ShouldBeEmpty();
        new Joints(Lines, false).Best(144).ShouldBeEmpty();
        // In the middle of the middle line it goes through all of it.
        new Joints(Lines, false).At(72).Crosses.ShouldBe(200);
        new Joints(Lines, false).At(45).Nearest.ShouldBe(5);
    }

    [Fact]
    public void The_joints_are_the_best_of_all_that_there_are()
    {
        var random = new Random(12);
        for (var n = 0; n < 30; n++)
        {
            // Blocks on halves, small enough to try every set of up to three joints.
            var blocks = Enumerable
                .Range(0, 5)
                .Select(_ => Rectangle(2 + random.Next(6), 1 + (random.Next(6) / 2.0), random.Next(20), random.Next(30) / 2.0));
            var ink = Outlines.Union([.. blocks]);
            var (low, high) = (ink.EnvelopeInternal.MinY, ink.EnvelopeInternal.MaxY);
            var reach = (high - low) * (0.3 + (0.4 * random.NextDouble()));
            var joints = new Joints(ink, false);
            var found = joints.Best(reach);
            var places = Enumerable
                .Range(1, (int)Math.Ceiling((high - low) / Joints.Step) - 1)
                .Select(k => low + (k * Joints.Step))
                .ToList();
            (long, int, int, double)? Score(IReadOnlyList<double> at)
            {
                double[] ends = [low, .. at, high];
                var lengths = ends.Zip(ends.Skip(1), (a, b) => b - a).ToList();
                var all = at.Select(joints.At).ToList();
                return lengths.Max() > reach + 1e-9
                    ? null
                    : (
                        all.Sum(j => (long)Math.Round(j.Crosses * 1000)),
                        all.Count(j => j.Nearest < 1 - 1e-9),
                        at.Count,
                        Math.Round(lengths.Max() - lengths.Min(), 6)
                    );
            }

            IEnumerable<double[]> Sets()
            {
                foreach (var a in places)
                {
                    yield return [a];
                    foreach (var b in places.Where(b => b > a))
                    {
                        yield return [a, b];
                        foreach (var c in places.Where(c => c > b))
                        {
                            yield return [a, b, c];
                        }
                    }
                }
            }

            found.ShouldNotBeNull();
            if (found.Count <= 3)
            {
                Score([.. found.Select(j => j.At)]).ShouldBe(Sets().Select(Score).Where(s => s is not null).Min());
            }
        }
    }

    [Fact]
    public void Sections_are_inside_the_reach_hold_all_ink_and_share_their_marks()
    {
        var ink = Together([
            .. Enumerable.Range(0, 12).Select(i => Rectangle(60, 40, 90 * (i % 4), 60 * (i / 4))),
            Rectangle(300, 4, 15, 49),
        ]);
        var joints = Parting.BestJoints(ink, 150, 150).Value;
        var parted = Parting.Of(ink, joints, 0);
        parted.Sections.Sum(s => s.Ink.Area).ShouldBe(ink.Area, 1e-6);
        parted.Sections.Count.ShouldBe((joints.Count(j => j.IsUpright) + 1) * (joints.Count(j => !j.IsUpright) + 1));
        parted.Unmarked.ShouldBeEmpty();
        foreach (var section in parted.Sections)
        {
            var box = Box.Of(section.Ink)!.Value;
            box.Width.ShouldBeLessThanOrEqualTo(150);
            box.Height.ShouldBeLessThanOrEqualTo(150);
            section.Marks.Count.ShouldBeGreaterThanOrEqualTo(2);
            foreach (var mark in section.Marks)
            {
                // In the waste, and near its joint.
                ink.Distance(Outlines.Factory.CreatePoint(new Coordinate(mark.X, mark.Y))).ShouldBeGreaterThanOrEqualTo(1);
                joints.Min(j => Math.Abs((j.IsUpright ? mark.X : mark.Y) - j.At)).ShouldBeLessThanOrEqualTo(Parting.MarkWithin);
            }
        }

        // Every mark is on two sections at least, in one place of the art.
        parted.Sections.SelectMany(s => s.Marks).GroupBy(m => m).ShouldAllBe(g => g.Count() >= 2);
    }

    /// <summary>Leaves and dots scattered over a band, none larger than 40: a drawing of 470 for two mats of 292.</summary>
    private static Area Scattered(int seed)
    {
        var random = new Random(seed);
        var parts = new List<Area>();
        while (parts.Count < 60)
        {
            var (r, x) = (4 + (16 * random.NextDouble()), 470 * random.NextDouble());
            if (x < r || x > 470 - r)
            {
                continue;
            }

            var part = Outlines.Factory.CreatePoint(new Coordinate(x, 20 + (180 * random.NextDouble()))).Buffer(r);
            var leaf = Outlines.Moved(part, new Motion(1, 0, 0, 0.1, 0.7, 0));
            if (parts.TrueForAll(p => p.Distance(leaf) > 1.2))
            {
                parts.Add(leaf);
            }
        }

        return Outlines.Join(parts);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void A_drawing_of_loose_parts_is_parted_for_two_mats_and_every_part_is_on_one_of_them_or_named_as_cut(int seed)
    {
        var ink = Scattered(seed);
        var joints = Parting.BestJoints(ink, 282, 282).Value;
        joints.ShouldAllBe(j => j.IsUpright);
        var parted = Parting.Of(ink, joints, 0);
        parted.Sections.Count.ShouldBe(joints.Count + 1);
        parted.Sections.Sum(s => s.Ink.Area).ShouldBe(ink.Area, 1e-6);
        parted.Sections.ShouldAllBe(s => s.Ink.EnvelopeInternal.Width <= 282);
        // What a joint crosses is what it says that it crosses, measured along it.
        double Along(double at) => ink.Intersection(Outlines.Line([new(at, -100), new(at, 400)])).Length;
        joints.Select(j => Math.Abs(j.Crosses - Along(j.At))).Max().ShouldBeLessThan(0.01);
        // No single joint within reach crosses less than all of them do: tried one by one.
        for (var at = Math.Ceiling(ink.EnvelopeInternal.MaxX - 276); at <= Math.Floor(ink.EnvelopeInternal.MinX + 276); at += 0.5)
        {
            Along(at).ShouldBeGreaterThanOrEqualTo(joints.Sum(j => j.Crosses) - 0.01);
        }

        // Neighbours share their marks: laid on one another by them, they are the drawing again.
        foreach (var (one, next) in parted.Sections.Zip(parted.Sections.Skip(1)))
        {
            one.Marks.Intersect(next.Marks).Count().ShouldBe(2);
        }
    }

    [Fact]
    public void Marks_of_layers_lie_outside_of_all_ink_and_of_weed_boxes_and_match_one_way_round_only()
    {
        var box = new Box(-30, 5, 50, 45);
        var marks = FilmLayering.Marks(box, 5);
        marks.Count.ShouldBe(3);
        marks.ShouldAllBe(m => !new Box(m.X, m.Y, m.X, m.Y).Grown(Parting.MarkSize / 2).Meets(box.Grown(5)));
        // Turned by halves, or face down, not all of them meet.
        PlanePoint Turned(PlanePoint p) => new((2 * box.CentreX) - p.X, (2 * box.CentreY) - p.Y);
        PlanePoint Flipped(PlanePoint p) => new((2 * box.CentreX) - p.X, p.Y);
        marks.Count(m => marks.Any(o => o.To(Turned(m)) < 1)).ShouldBeLessThan(3);
        marks.Count(m => marks.Any(o => o.To(Flipped(m)) < 1)).ShouldBeLessThan(3);
    }

    [Fact]
    public void A_joint_through_ink_is_lapped_where_that_is_wanted()
    {
        var bar = Rectangle(400, 30);
        var joints = Parting.BestJoints(bar, 292, 292).Value;
        joints.ShouldHaveSingleItem().Crosses.ShouldBe(30);
        var butted = Parting.Of(bar, joints, 0).Sections.Sum(s => s.Ink.Area);
        var lapped = Parting.Of(bar, joints, Parting.UsualLap).Sections.Sum(s => s.Ink.Area);
        (lapped - butted).ShouldBe(30, 1e-6);
        Parting.BestJoints(bar, 3, 292).Problem!.ToString().ShouldContain("too small");
    }

    [Fact]
    public void What_is_set_in_keeps_an_overlap_along_the_upper_edge()
    {
        Area disc = Outlines.Factory.CreatePoint(new Coordinate(0, 0)).Buffer(25, 64);
        var square = Rectangle(80, 80, -40, -40);
        FilmLayering.Lower(square, disc, LayerWay.SetIn, 1).Area.ShouldBe(4590.443, 1);
        FilmLayering.Lower(square, disc, LayerWay.KnockedOut, 1).Area.ShouldBe(6400 - (Math.PI * 625), 1);
        FilmLayering.Lower(square, disc, LayerWay.Stacked, 1).ShouldBeSameAs(square);
    }
}
