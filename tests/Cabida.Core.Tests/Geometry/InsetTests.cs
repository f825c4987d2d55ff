using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using CsCheck;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Tests.Geometry;

public class InsetTests
{
    /// <summary>Outlines with and without corners that point inwards.</summary>
    private static readonly Gen<Polygon> Outline = Gen.Select(Gen.Int[3, 14], Gen.Double[0.35, 1], Gen.Double[20, 120], Gen.Double[0, 6.28])
        .Select(o =>
            Outlines.Ring([
                .. Enumerable
                    .Range(0, 2 * o.Item1)
                    .Select(i => (Angle: o.Item4 + (Math.PI * i / o.Item1), Radius: o.Item3 * (i % 2 == 0 ? 1 : o.Item2)))
                    .Select(p => new PlanePoint(p.Radius * Math.Cos(p.Angle), p.Radius * Math.Sin(p.Angle))),
            ])
        );

    [Fact]
    public void A_point_is_in_the_inset_just_when_the_figure_about_it_is_in_the_outline() =>
        Gen.Select(Outline, Gen.Double[0, 12], Gen.Double[0, 12], Gen.Double[0, 12], Gen.Double[0, 12], Gen.Bool)
            .Sample(
                (outline, a, b, c, d, equal) =>
                {
                    var by = equal ? SideInsets.All(a) : new SideInsets(a, b, c, d);
                    var inset = Inset.Of(outline, by);
                    var random = new Random(1);
                    return Enumerable
                        .Range(0, 60)
                        .All(_ =>
                        {
                            var (x, y) = ((random.NextDouble() - 0.5) * 240, (random.NextDouble() - 0.5) * 240);
                            // By exhaustion: all round the figure, its middle, and the outline's corners, which may poke in between.
                            int Reaches(double scale) =>
                                Enumerable
                                    .Range(0, 180)
                                    .Select(i => 2 * Math.PI * i / 180)
                                    .Select(t => new Coordinate(
                                        x + (scale * Math.Cos(t) * (Math.Cos(t) > 0 ? by.Right : by.Left)),
                                        y + (scale * Math.Sin(t) * (Math.Sin(t) > 0 ? by.Top : by.Bottom))
                                    ))
                                    .Append(new Coordinate(x, y))
                                    .Count(p => !outline.Contains(Outlines.Factory.CreatePoint(p)))
                                + outline.Coordinates.Count(v => Holds(v.X - x, v.Y - y, scale));
                            bool Holds(double dx, double dy, double scale) =>
                                Square(dx / (scale * (dx > 0 ? by.Right : by.Left))) + Square(dy / (scale * (dy > 0 ? by.Top : by.Bottom)))
                                < 1;
                            var there = inset.Contains(Outlines.Factory.CreatePoint(new Coordinate(x, y)));
                            // Within a hundredth of the figure's size either answer is right.
                            return there ? Reaches(0.99) == 0 : Reaches(1.02) > 0;
                        });
                },
                iter: 40
            );

    [Fact]
    public void Margins_hold_all_round_a_circle()
    {
        var disc = new Blank("Disc", SurfaceKind.Flat, [TestBlanks.Read(DimensionKind.Across, MeasuringTool.Calliper, "100")])
        {
            Outline = new PanelOutline { Kind = OutlineKind.Circle },
            Zones = [new ZoneSpec("z", "Zone") { Margins = ZoneMargins.All(TypedLength.Mm(6)) }],
        };
        var zone = BlankSheet.Of(disc).Zone!.Nominal;
        // The largest square in a circle of 88 has a diagonal of 88, and its corners stay 6 from the edge.
        var square = Outlines.Rectangle(new Box(-0.5, -0.5, 0.5, 0.5));
        LargestFit.Find(new Scaled(square), true, zone)!.Value.ShouldBe(88 / Math.Sqrt(2), 0.01);
    }

    private static double Square(double v) => double.IsNaN(v) ? 0 : v * v;

    private sealed class Scaled(Polygon one) : IScaledInk
    {
        public Box? BoxAt(double scale) => Box.Of(one)?.Scaled(scale);

        public NetTopologySuite.Geometries.Geometry InkAt(double scale) => Outlines.Placed(one, scale, 0, 0);
    }
}
