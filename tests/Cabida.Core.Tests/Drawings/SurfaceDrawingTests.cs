using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Measures;

namespace Cabida.Core.Tests.Drawings;

public class SurfaceDrawingTests
{
    [Fact]
    public void A_small_zone_on_a_large_thing_is_looked_at_through_a_window()
    {
        var shirt = new Blank(
            "Shirt",
            SurfaceKind.Garment,
            [Read(DimensionKind.Width, "520", "M"), Read(DimensionKind.CollarToHem, "700", "M")]
        )
        {
            Garment = new GarmentSpec { Sizes = ["M"] },
            Zones =
            [
                new ZoneSpec("chest", "Chest")
                {
                    Width = TypedLength.Mm(100),
                    Height = TypedLength.Mm(40),
                    Margins = ZoneMargins.All(TypedLength.Mm(0)),
                    Place = new Place
                    {
                        From = Datum.Collar,
                        Away = TypedLength.Mm(120),
                        Side = Sideways.Right,
                        Across = TypedLength.Mm(110),
                    },
                },
            ],
        };
        var sheet = BlankSheet.Of(shirt).Sizes[0];
        var window = FlatDrawing.Of(sheet.Zones[0], sheet);
        window.IsWindow.ShouldBeTrue();
        window.Box.CentreX.ShouldBe(110, 1e-6);
        window.Box.Width.ShouldBe(180, 1e-6);
        window.Dimensions.ShouldAllBe(d => d.OfZone);
        FlatDrawing.Of(sheet)!.IsWindow.ShouldBeFalse();
    }

    [Fact]
    public void Holes_are_drawn_as_holes_and_every_figure_can_be_written()
    {
        var board = new Blank("Board", SurfaceKind.Flat, [Read(DimensionKind.Width, "200"), Read(DimensionKind.Height, "100")])
        {
            KeptClear =
            [
                new KeptClear("h", "hole", ClearShape.Slot)
                {
                    Width = TypedLength.Mm(20),
                    Height = TypedLength.Mm(6),
                    IsHole = true,
                    Place = new Place { From = Datum.Top, Away = TypedLength.Mm(8) },
                },
            ],
            Zones = [new ZoneSpec("z", "Face")],
        };
        FlatDrawing.Of(BlankSheet.Of(board).Sizes[0])!.Strokes.ShouldContain(s => s.Kind == StrokeKind.Hole);
        foreach (var blank in new[] { board, Jug() })
        {
            var sheet = BlankSheet.Of(blank);
            foreach (var drawing in new[] { StandingDrawing.Of(blank, sheet), FlatDrawing.Of(sheet.Sizes[0])! })
            {
                drawing.Strokes.SelectMany(s => s.Points).ShouldAllBe(p => double.IsFinite(p.X) && double.IsFinite(p.Y));
                double.IsFinite(drawing.Box.Width).ShouldBeTrue();
            }
        }
    }

    [Fact]
    public void A_bellied_wall_is_drawn_with_its_belly_and_its_strain_beside_it()
    {
        var jug = Jug();
        var sheet = BlankSheet.Of(jug);
        StandingDrawing.Of(jug, sheet).Box.Width.ShouldBe(sheet.Sizes[0].Bellied!.Belly.GirthAt(60) / Math.PI, 0.5);
        var wall = sheet.Sizes[0].Bellied!;
        var drawing = StrainDrawing.Of(wall, 40, 80, new StrainLimits(0.03, 0.005));
        drawing.Strokes.Count(s => s.Kind == StrokeKind.Zone).ShouldBe(2);
        var curve = drawing.Strokes.Single(s => s.Kind == StrokeKind.GirthMark).Points;
        // It begins and ends on the axis, where the film lies on the wall.
        curve[0].X.ShouldBe(curve[^1].X, 1e-9);
        curve.Max(p => p.X).ShouldBeGreaterThan(curve[0].X);
    }

    private static Blank Jug() =>
        new(
            "Jug",
            SurfaceKind.Bellied,
            [
                Read(DimensionKind.Height, "120"),
                .. new[] { ("250", "10"), ("320", "60"), ("260", "110") }.SelectMany(
                    (r, i) => new[] { Read(DimensionKind.GirthAt, r.Item1, $"{i + 1}"), Read(DimensionKind.UpTo, r.Item2, $"{i + 1}") }
                ),
            ]
        )
        {
            Zones = [new ZoneSpec("z", "Belly") { Margins = ZoneMargins.All(TypedLength.Mm(30)) }],
        };

    private static MeasuredDimension Read(DimensionKind kind, string typed, string of = "") =>
        TestBlanks.Read(kind, MeasuringTool.SteelRule, typed) with
        {
            Of = of,
        };
}
