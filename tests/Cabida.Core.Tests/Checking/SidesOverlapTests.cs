using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;

namespace Cabida.Core.Tests.Checking;

public class SidesOverlapTests
{
    private static NetTopologySuite.Geometries.Polygon Block(double left, double right) => Outlines.Rectangle(new Box(left, 0, right, 10));

    [Fact]
    public void Ink_of_two_sides_on_one_another_is_said_with_what_they_share()
    {
        var found = SidesOverlap
            .Look("Dilys", [new("Wrap", "", [Block(-50, 50)]), new("Right", "", [Block(46, 80)]), new("Left", "", [Block(-90, -50)])])
            .ShouldHaveSingleItem();
        found.Rule.ShouldBe(Rule.SidesOverlap);
        found.Places.ShouldBe([new PlanePoint(48, 5)]);
        found
            .Message.ToString()
            .ShouldBe("Dilys has two sides on one another: Wrap and Right share 4.0 mm × 10.0 mm. Make one of them smaller, or move it.");
    }

    [Fact]
    public void What_comes_round_from_behind_is_seen_as_well_and_a_touch_is_none()
    {
        // A girth of 250: what stands 120 to 140 to the right comes round to 110 to the left.
        SidesOverlap
            .Look(
                "Dilys",
                [new("Left", "", [Block(-120, -100)]), new("Right", "", [Block(120, 140), Block(120 - 250, 140 - 250), Block(370, 390)])]
            )
            .ShouldHaveSingleItem()
            .Places[0]
            .X.ShouldBe(-115);
        SidesOverlap
            .Look("Dilys", [new("Left", "", [Block(-120, -110)]), new("Right", "", [Block(120, 140), Block(-110, -90)])])
            .ShouldBeEmpty();
    }

    [Fact]
    public void A_lid_has_nothing_in_common_with_its_wall() =>
        SidesOverlap
            .Look("Dilys", [new("Wrap", "", [Block(-50, 50)]), new("Lid", "lid", [Block(-10, 10)]), new("Lid, rim", "lid", [Block(5, 12)])])
            .ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldContain("Lid and Lid, rim share 5.0 mm × 10.0 mm");
}
