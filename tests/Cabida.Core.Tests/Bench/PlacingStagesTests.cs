using Cabida.Core.Bench;
using Cabida.Core.Geometry;
using CsCheck;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Tests.Bench;

public class PlacingStagesTests
{
    private static readonly GeometryFactory Factory = new();

    [Fact]
    public void What_a_hand_lays_at_once_has_one_stage_and_nothing_to_say()
    {
        var stages = PlacingStages.Of(Ink((0, 120), (125, 240)), new PlanePoint(120, 0));

        stages.Stages.ShouldBe([new PlacingStage(0, 240)]);
        stages.Said().ShouldBeEmpty();
    }

    [Fact]
    public void The_window_over_the_line_is_opened_first_then_outwards()
    {
        // Three groups with gaps of 40; the line stands in the second.
        var stages = PlacingStages.Of(Ink((0, 60), (100, 160), (200, 240)), new PlanePoint(130, 0));

        stages.Stages.ShouldBe([new PlacingStage(80, 180), new PlacingStage(180, 240), new PlacingStage(0, 80)]);
        stages
            .Said()
            .Select(s => s.ToString())
            .ShouldBe([
                "Open the backing from 80.0 mm to 180.0 mm from the left end first, and lay that on the line. "
                    + "What lies to both sides of it stays on its backing.",
                "Then towards the right, from 180.0 mm from the left end to the right end – pull its backing away from what lies already.",
                "Then towards the left, from the left end to 80.0 mm from it – pull its backing away from what lies already.",
            ]);
    }

    [Fact]
    public void A_long_panel_without_gaps_is_cut_evenly_with_a_window_in_the_middle() =>
        PlacingStages
            .Of(Ink((0, 600)), new PlanePoint(300, 0))
            .Stages.ShouldBe([new PlacingStage(200, 400), new PlacingStage(400, 600), new PlacingStage(0, 200)]);

    [Fact]
    public void What_is_taller_than_wide_goes_from_the_top()
    {
        var tall = Factory.BuildGeometry([Rectangle(0, 0, 30, 100), Rectangle(0, 130, 30, 300)]);
        var stages = PlacingStages.Of(tall, new PlanePoint(15, 20));

        stages.IsAcross.ShouldBeFalse();
        stages.Stages.ShouldBe([new PlacingStage(185, 300), new PlacingStage(0, 185)]);
        stages.Said()[0].ToString().ShouldStartWith("Open the backing from 185.0 mm from the top to the foot first, and lay that");
    }

    [Fact]
    public void Stages_lie_beside_one_another_cover_all_and_part_no_letter_that_has_a_gap_in_reach() =>
        Gen.Select(Gen.Double[2, 90].Array[1, 14], Gen.Double[0.2, 45].Array[14], Gen.Double[0, 1])
            .Sample(
                (widths, gaps, where) =>
                {
                    var (letters, x) = (new List<(double From, double To)>(), 0.0);
                    foreach (var (width, gap) in widths.Zip(gaps))
                    {
                        letters.Add((x, x + width));
                        x += width + gap;
                    }

                    var length = letters[^1].To;
                    var start = where * length;
                    var stages = PlacingStages.Of(Ink([.. letters]), new PlanePoint(start, 0)).Stages;
                    if (stages.Count == 0)
                    {
                        return;
                    }

                    var along = stages.OrderBy(s => s.From).ToList();
                    along[0].From.ShouldBe(0);
                    along[^1].To.ShouldBe(length, 1e-9);
                    along.Zip(along.Skip(1)).ShouldAllBe(p => Math.Abs(p.First.To - p.Second.From) < 1e-9);
                    along.ShouldAllBe(s => s.To - s.From <= PlacingStages.OneHand * 1.8 + 1e-9);
                    (stages[0].From <= start + 1e-9 && start <= stages[0].To + 1e-9).ShouldBeTrue();
                    var (low, high) = (stages[0].From, stages[0].To);
                    foreach (var next in stages.Skip(1))
                    {
                        (Math.Abs(next.To - low) < 1e-9 || Math.Abs(next.From - high) < 1e-9).ShouldBeTrue();
                        (low, high) = (Math.Min(low, next.From), Math.Max(high, next.To));
                    }

                    // Every wide gap is a cut, and no cut goes through a letter unless no gap is near.
                    foreach (var cut in along.Skip(1).Select(s => s.From))
                    {
                        var through = letters.Exists(l => l.From + 1e-6 < cut && cut < l.To - 1e-6);
                        var near = letters
                            .Zip(letters.Skip(1))
                            .Any(p => p.Second.From - p.First.To >= 1.01 && Math.Abs(p.First.To - cut) < 20);
                        (through && near).ShouldBeFalse();
                    }
                },
                iter: 2000
            );

    private static NetTopologySuite.Geometries.Geometry Ink(params (double From, double To)[] letters) =>
        Factory.BuildGeometry([.. letters.Select(l => Rectangle(l.From, 0, l.To, 1))]);

    private static Polygon Rectangle(double x0, double y0, double x1, double y1) =>
        Factory.CreatePolygon([new(x0, y0), new(x1, y0), new(x1, y1), new(x0, y1), new(x0, y0)]);
}
