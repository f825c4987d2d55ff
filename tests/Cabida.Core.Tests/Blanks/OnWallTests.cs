using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using CsCheck;

namespace Cabida.Core.Tests.Blanks;

public class OnWallTests
{
    private static Dimension Known(double mm) => new(Length.Mm(mm), Length.Zero);

    [Fact]
    public void Going_back_to_the_wall_undoes_laying_it_flat() =>
        Gen.Select(Gen.Double[180, 320], Gen.Double[180, 320], Gen.Double[-0.49, 0.49], Gen.Double[0, 160])
            .Sample(
                (upper, lower, turns, v) =>
                {
                    var cone = Math.Abs(upper - lower) < 3 ? null : Cone.Of(Known(upper), Known(lower), Known(160)).Value;
                    var wall = new Wall(cone, Known(lower), Known(160), Length.Zero, null);
                    var (round, back) = wall.OnWall(wall.Laid(turns * wall.GirthAt(v).Value.Millimetres, v));
                    return Math.Abs((round.Radians / (2 * Math.PI)) - turns) < 1e-9 && Math.Abs(back - v) < 1e-6;
                }
            );

    [Fact]
    public void Art_of_the_worked_example_appears_as_wide_as_it_says_and_turns_out_of_sight()
    {
        var wall = new Wall(null, Known(257.611), Known(94), Length.Zero, null);
        var art = Outlines.Rectangle(new Box(-45, 40, 45, 50));
        Box.Of(SeenDrawing.Seen(wall, art, 0))!.Value.Width.ShouldBe(72.99, 0.01);
        SeenDrawing.Seen(wall, art, 180).IsEmpty.ShouldBeTrue();
        // Turned by 90° only its half that has come round is seen, up to the edge of the wall.
        Box.Of(SeenDrawing.Seen(wall, art, 90))!.Value.MaxX.ShouldBeLessThan(0);
        Box.Of(SeenDrawing.Seen(wall, art, 90))!.Value.MinX.ShouldBe(-82.0 / 2, 0.05);
    }
}
