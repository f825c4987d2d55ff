using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;

namespace Cabida.Core.Tests.Checking;

/// <summary>Outlines that meet in a point, and those that do not close (calculations 6.4).</summary>
public class CrossedCutsTests
{
    [Fact]
    public void Outlines_that_cross_meet_where_they_crossed_and_those_that_stand_apart_do_not()
    {
        // A bow, its one outline crossing itself in the middle, filled by either rule.
        IReadOnlyList<PlanePoint> bow = [new(0, 0), new(20, 10), new(20, 0), new(0, 10)];
        foreach (var evenOdd in new[] { true, false })
        {
            MeetingPoints.Of(RingFill.Of([bow], evenOdd)).ShouldHaveSingleItem().To(new PlanePoint(10, 5)).ShouldBeLessThan(0.01);
        }

        // Two squares by a corner, a third apart by a hundredth, and one whose side another only comes near to.
        var squares = Outlines.Together([Square(0, 0), Square(10, 10), Square(20.01, 20), Square(30.02, 20)]);
        MeetingPoints.Of(squares).ShouldHaveSingleItem().ShouldBe(new PlanePoint(10, 10));
        MeetingPoints.Of(Outlines.Join([Square(0, 0), Square(10, 0)])).ShouldBeEmpty();
        MeetingPoints.Of(Outlines.Empty).ShouldBeEmpty();
        // A disc of very short edges meets itself nowhere.
        MeetingPoints.Of(Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(3, 4)).Buffer(0.05, 64)).ShouldBeEmpty();
    }

    [Fact]
    public void A_hole_that_touches_the_outside_is_found_as_often_as_it_does()
    {
        var frame = Outlines.Without(Square(0, 0), Outlines.Ring([new(0, 5), new(5, 2), new(10, 5), new(5, 8)]));
        MeetingPoints.Of(frame).Count.ShouldBe(2);
        new InkFacts(frame, FilmLimits.Of(TestFilms.Plain(1))).Meeting.Count.ShouldBe(2);
    }

    [Theory]
    [InlineData(OpenOutlines.Strokes, "2 outlines do not close: cut as strokes 1.00 mm wide.")]
    [InlineData(OpenOutlines.Closed, "2 outlines do not close: closed by straight lines and filled.")]
    [InlineData(OpenOutlines.LeftOut, "2 outlines do not close: left out, nothing of them is cut.")]
    public void What_becomes_of_open_outlines_is_told_and_those_that_are_not_used_are_not_counted(OpenOutlines use, string said)
    {
        Contour line = new(new(0, 0), [new LineSegmentTo(new(10, 0)), new LineSegmentTo(new(10, 10))]);
        GraphicOutlines outlines = new(
            "o",
            [
                new("#000000", FillRule.NonZero, [], [line, line]),
                new("#ff0000", FillRule.NonZero, [], [line]),
                new("#00ff00", FillRule.NonZero, [], [line]),
            ]
        );
        var part = new GraphicPart("g", PartPlace.Below, MotifLength.Stays(0), "graphic", GraphicSize.AsFile, MotifLength.Stays(10))
        {
            Open = use,
            Dropped = [1],
            Films = [new ColourFilm("#00ff00", ColourUse.LeftOut, "")],
        };
        var finding = OpenCuts.Look(part, outlines, 1)!;
        finding.Message.ToString().ShouldBe(said);
        (finding.Rule, finding.Severity, finding.Part).ShouldBe((Rule.OpenCuts, Severity.Told, "g"));
        OpenCuts.Look(part with { Dropped = [0, 1] }, outlines, 1).ShouldBeNull();
    }

    private static NetTopologySuite.Geometries.Polygon Square(double x, double y) => Outlines.Rectangle(new Box(x, y, x + 10, y + 10));
}
