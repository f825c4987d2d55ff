using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using CsCheck;

namespace Cabida.Core.Tests.Fitting;

public class TaperBendTests
{
    [Fact]
    public void Bent_points_stand_where_a_direct_drawing_on_the_cone_has_them() =>
        Gen.Select(Gen.Double[180, 320], Gen.Double[180, 320], Gen.Double[-70, 70], Gen.Double[-25, 25])
            .Where((upper, lower, _, _) => Math.Abs(upper - lower) > 3)
            .Sample(
                (upper, lower, u, v) =>
                {
                    var wall = WallOf(upper, lower);
                    var bend = new TaperBend(wall, 60);
                    var (x, y, z) = OnCone(wall, bend.Bent(new PlanePoint(u, 60 + v)));
                    // Directly: so far up the slanted wall, and round by the angle that u is of the ring at 60.
                    var (ringAt60, here) = (
                        wall.GirthAt(60).Value.Millimetres / (2 * Math.PI),
                        wall.GirthAt(60 + v).Value.Millimetres / (2 * Math.PI)
                    );
                    var angle = u / ringAt60;
                    var up = (60 + v) * Math.Cos(wall.Cone!.HalfAngle.Radians);
                    return Math.Abs(x - (here * Math.Sin(angle))) < 0.02
                        && Math.Abs(y - (here * Math.Cos(angle))) < 0.02
                        && Math.Abs(z - up) < 0.02;
                }
            );

    [Fact]
    public void Bending_and_straightening_are_the_reverse_of_one_another() =>
        Gen.Select(Gen.Double[200, 320], Gen.Double[180, 300], Gen.Double[-120, 120], Gen.Double[0, 140])
            .Where((upper, lower, _, _) => Math.Abs(upper - lower) > 3)
            .Sample(
                (upper, lower, u, v) =>
                {
                    var bend = new TaperBend(WallOf(upper, lower), 75);
                    return bend.Straight(bend.Bent(new PlanePoint(u, v))).To(new PlanePoint(u, v)) < 1e-6;
                }
            );

    [Fact]
    public void A_long_straight_line_follows_its_ring_within_the_chord_error()
    {
        var wall = WallOf(276, 219);
        var bent = new TaperBend(wall, 90).Bent(Outlines.Rectangle(new Box(-80, 90, 80, 92)));
        var tip = wall.RingAt(0);
        foreach (var c in bent.Coordinates)
        {
            var r = Math.Sqrt((c.X * c.X) + ((c.Y + tip) * (c.Y + tip))) - tip;
            Math.Min(Math.Abs(r - 90), Math.Abs(r - 92)).ShouldBeLessThan(1e-6);
        }

        // Between two of its points the chord leaves the ring by less than 0.02.
        bent.Coordinates.Zip(bent.Coordinates.Skip(1)).Max(p => p.First.Distance(p.Second)).ShouldBeLessThan(Math.Sqrt(8 * 576 * 0.02));
        new TaperBend(wall, 90).DistortionAt(120, 60).Top.ShouldBe(30 / wall.RingAt(90), 1e-9);
    }

    [Fact]
    public void Followed_artwork_is_larger_in_its_zone_than_its_flat_box_lets_it_be_and_never_outside()
    {
        var (straight, followed, rigid) = (Fit(TaperWay.Ignored), Fit(TaperWay.Followed), Fit(TaperWay.RigidLetters));
        foreach (var fit in new[] { straight, followed, rigid })
        {
            fit.State.ShouldBe(FitState.Fits);
            fit.Zone.Cautious.Outline.Buffer(0.03).Covers(fit.Ink).ShouldBeTrue();
        }

        straight.Bow.ShouldNotBeNull();
        straight.Distortion.ShouldBeNull();
        followed.Bow.ShouldBeNull();
        followed.Distortion!.Top.ShouldBeGreaterThan(0);
        followed.Distortion.Bottom.ShouldBeLessThan(0);
        followed.LetterHeight.ShouldBeGreaterThan(straight.LetterHeight * 1.01);
        rigid.LetterHeight.ShouldBe(followed.LetterHeight, followed.LetterHeight * 0.05);
        // A thin place in a bent letter is still told by its letter.
        var q = Outlines.PolygonsOf(followed.Ink).MaxBy(p => p.EnvelopeInternal.MaxX)!.InteriorPoint;
        followed.Parts[0].LetterAt(new PlanePoint(q.X, q.Y)).ShouldBe("q");
    }

    [Fact]
    public void Rigid_letters_keep_their_sides_straight_and_at_right_angles()
    {
        // Every H is a block of four corners; bent it would have more, rigid it keeps its four.
        Fit(TaperWay.RigidLetters, "HHH").Ink.NumPoints.ShouldBe(3 * 5);
        Fit(TaperWay.Followed, "HHH").Ink.NumPoints.ShouldBeGreaterThan(3 * 5);
    }

    private static PieceFit Fit(TaperWay way, string name = "HHHHHHHq")
    {
        var sheet = BlankSheet.Of(TestBlanks.Tumbler("276", "219", "150"));
        var film = new Film(
            "Film",
            "#000000",
            FilmPurpose.Stays,
            false,
            TypedLength.Mm(0.1),
            TypedLength.Mm(300),
            TypedLength.Mm(300),
            new("", "", "", "", "")
        );
        return PieceFit.Of(
            new("1", name),
            new FitBasis(
                TestMotifs.Single("{name}"),
                sheet.Wall,
                null,
                sheet.Zone!,
                film,
                null,
                new AtHand(new BlockFace(), new InkCache())
            )
            {
                Taper = way,
            }
        );
    }

    private static Wall WallOf(double upper, double lower)
    {
        Dimension Sure(double mm) => new(Length.Mm(mm), Length.Zero);
        return new Wall(Cone.Of(Sure(upper), Sure(lower), Sure(150)).Value, Sure(lower), Sure(150), Length.Zero, null);
    }

    /// <summary>Where a point of the flat development lies once the film is rolled up: x to the right, y to the front, z up.</summary>
    private static (double X, double Y, double Z) OnCone(Wall wall, PlanePoint flat)
    {
        // Rolled by hand: the distance from the tip stays, the angle about it grows by the inverse of the half-angle's sine.
        var cone = wall.Cone!;
        var (sin, cos) = Math.SinCos(cone.HalfAngle.Radians);
        double tip = wall.RingAt(0),
            up = cone.WideUp ? flat.Y + tip : tip - flat.Y,
            far = Math.Sqrt((flat.X * flat.X) + (up * up));
        var angle = Math.Atan2(flat.X, up) / sin;
        return (far * sin * Math.Sin(angle), far * sin * Math.Cos(angle), (cone.WideUp ? far - tip : tip - far) * cos);
    }
}
