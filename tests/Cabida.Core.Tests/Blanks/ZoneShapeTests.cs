using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Tests.Blanks;

public class ZoneShapeTests
{
    [Fact]
    public void The_datum_of_a_rectangle_sees_all_of_it()
    {
        var zone = ZoneShape.Rectangle(new Box(-10, 5, 30, 25));
        zone.SeesAllFrom(zone.Datum).ShouldBeTrue();
        zone.IsRectangle.ShouldBeTrue();
        zone.Datum.ShouldBe(new PlanePoint(10, 15));
        zone.Edges.Select(e => e.Limit).ShouldBe([LimitKind.Base, LimitKind.RightSide, LimitKind.Rim, LimitKind.LeftSide]);
    }

    [Fact]
    public void Behind_a_corner_the_datum_does_not_see()
    {
        var corner = (Polygon)Outlines.Rectangle(new Box(0, 0, 30, 10)).Union(Outlines.Rectangle(new Box(0, 0, 10, 30)));
        ZoneShape.Of(corner, new PlanePoint(5, 5)).SeesAllFrom(new PlanePoint(5, 5)).ShouldBeTrue();
        ZoneShape.Of(corner, new PlanePoint(25, 5)).SeesAllFrom(new PlanePoint(25, 5)).ShouldBeFalse();
    }

    [Fact]
    public void A_hole_is_kept_clear_and_hides_what_is_behind_it()
    {
        var holed = (Polygon)Outlines.Rectangle(new Box(0, 0, 30, 30)).Difference(Outlines.Rectangle(new Box(12, 12, 18, 18)));
        var zone = ZoneShape.Of(holed, new PlanePoint(5, 5));
        zone.SeesAllFrom(zone.Datum).ShouldBeFalse();
        zone.Edges.Count(e => e.Limit == LimitKind.KeptClear).ShouldBe(4);
    }

    [Fact]
    public void The_zone_lies_on_the_left_of_each_of_its_edges()
    {
        var holed = (Polygon)Outlines.Rectangle(new Box(0, 0, 30, 30)).Difference(Outlines.Rectangle(new Box(12, 12, 18, 18)));
        foreach (
            var zone in new[]
            {
                ZoneShape.Of(holed, new(5, 5)),
                ZoneShape.Of((Polygon)holed.Reverse(), new(5, 5)),
                ZoneShape.Rectangle(new Box(0, 0, 9, 9)),
            }
        )
        {
            foreach (var e in zone.Edges)
            {
                var middle = e.From.Towards(e.To, 0.5);
                var length = e.From.To(e.To);
                var left = new PlanePoint(
                    middle.X - (0.01 * (e.To.Y - e.From.Y) / length),
                    middle.Y + (0.01 * (e.To.X - e.From.X) / length)
                );
                zone.Outline.Contains(Outlines.Factory.CreatePoint(new Coordinate(left.X, left.Y))).ShouldBeTrue();
            }
        }
    }
}
