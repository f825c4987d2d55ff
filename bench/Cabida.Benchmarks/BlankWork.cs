using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Measures;
using Cabida.Formats.Svg;

namespace Cabida.Benchmarks;

/// <summary>Working a blank out (readings, development, zones) against drawing it as SVG paths: medians of interleaved runs.</summary>
internal static class BlankWork
{
    private const int Rounds = 60;

    public static void Report()
    {
        foreach (var blank in new[] { Tumbler(), Board(), Jug() })
        {
            var (working, drawing) = (new List<double>(), new List<double>());
            for (var round = -10; round < Rounds; round++)
            {
                BlankSheet? sheet = null;
                var work = Medians.Time(() => sheet = BlankSheet.Of(blank));
                var draw = Medians.Time(() =>
                {
                    _ = Svg(StandingDrawing.Of(blank, sheet!));
                    _ = Svg(FlatDrawing.Of(sheet!.Sizes[0])!);
                });
                if (round >= 0)
                {
                    working.Add(work);
                    drawing.Add(draw);
                }
            }

            Console.WriteLine(
                $"{blank.Name, -8} medians of {Rounds}: worked out {Medians.Of(working):0.00} ms, drawn {Medians.Of(drawing):0.00} "
                    + $"ms, ratio {Medians.Of(working) / Medians.Of(drawing):0.00}"
            );
        }
    }

    private static int Svg(Drawing drawing) => drawing.Strokes.Sum(s => SvgPath.OfLine(s.Points, s.Closed).Length);

    private static MeasuredDimension Read(DimensionKind kind, string typed, string of = "") =>
        new(kind, [new ReadingLine(MeasuringTool.SteelRule, [new TypedLength(typed)])]) { Of = of };

    private static Blank Tumbler() =>
        new(
            "Tumbler",
            SurfaceKind.Tapered,
            [Read(DimensionKind.GirthUpper, "276"), Read(DimensionKind.GirthLower, "219"), Read(DimensionKind.WallBetween, "150")]
        )
        {
            Zones = [new ZoneSpec("a", "Wrap"), new ZoneSpec("b", "Front") { Width = TypedLength.Mm(80), Height = TypedLength.Mm(60) }],
        };

    private static Blank Board() =>
        new(
            "Board",
            SurfaceKind.Flat,
            [Read(DimensionKind.Width, "300"), Read(DimensionKind.Height, "900"), Read(DimensionKind.CornerRadius, "20")]
        )
        {
            Outline = new PanelOutline { Kind = OutlineKind.Rounded, Rim = TypedLength.Mm(12) },
            Zones = [new ZoneSpec("a", "Face"), new ZoneSpec("b", "Foot") { Width = TypedLength.Mm(200), Height = TypedLength.Mm(60) }],
            KeptClear =
            [
                new KeptClear("h", "hole", ClearShape.Round)
                {
                    Width = TypedLength.Mm(8),
                    IsHole = true,
                    Place = new Place { From = Datum.Top, Away = TypedLength.Mm(40) },
                },
            ],
        };

    private static Blank Jug() =>
        new(
            "Jug",
            SurfaceKind.Bellied,
            [
                Read(DimensionKind.Height, "196"),
                .. new[] { ("352", "18"), ("428", "58"), ("452", "92"), ("425", "128"), ("331", "170") }.SelectMany(
                    (r, i) =>
                        new[]
                        {
                            Read(DimensionKind.GirthAt, r.Item1, DimensionRows.Nth(i + 1)),
                            Read(DimensionKind.UpTo, r.Item2, DimensionRows.Nth(i + 1)),
                        }
                ),
            ]
        )
        {
            Girths = 5,
            Zones =
            [
                new ZoneSpec("a", "Belly")
                {
                    Margins = new(TypedLength.Mm(70), TypedLength.Mm(66), TypedLength.Mm(20), TypedLength.Mm(20)),
                },
            ],
        };
}
