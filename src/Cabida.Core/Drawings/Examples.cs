using Cabida.Core.Blanks;
using Cabida.Core.Measures;

namespace Cabida.Core.Drawings;

/// <summary>Shapes of common goods, drawn faintly until enough is read to draw the maker's own.</summary>
internal static class Examples
{
    public static Wall Wall(SurfaceKind surface) =>
        surface switch
        {
            SurfaceKind.Straight => new Wall(null, Known(258), Known(94), Length.Zero, null),
            SurfaceKind.Tapered => new Wall(new Cone(Known(276), Known(219), Known(140)), Known(219), Known(160), Length.Mm(9), null),
            _ => new BelliedWall(new Belly([new(0, Known(200)), new(55, Known(290)), new(120, Known(210))]), Known(120), null).Whole,
        };

    public static SizeSheet Panel(Blank blank, SizeSheet empty)
    {
        switch (blank.Surface)
        {
            case SurfaceKind.Framed:
                var frame = BlankSheet
                    .Of(
                        blank with
                        {
                            Frame = new FrameSpec(),
                            Zones = [],
                            KeptClear = [],
                            Measured =
                            [
                                Read(DimensionKind.RebateWidth, 214),
                                Read(DimensionKind.RebateHeight, 264),
                                Read(DimensionKind.SightWidth, 202),
                                Read(DimensionKind.SightHeight, 252),
                            ],
                        }
                    )
                    .Sizes[0];
                return empty with { Panel = frame.Panel, Mats = frame.Mats };
            case SurfaceKind.Garment:
                var garment = BlankSheet
                    .Of(
                        blank with
                        {
                            Garment = blank.Garment with { Sizes = [""] },
                            Zones = [],
                            KeptClear = [],
                            Measured =
                            [
                                Read(DimensionKind.Width, blank.Garment.Kind == GarmentKind.Bag ? 380 : 520),
                                Read(DimensionKind.CollarToHem, blank.Garment.Kind == GarmentKind.Bag ? 420 : 680),
                            ],
                        }
                    )
                    .Sizes[0];
                return empty with { Panel = garment.Panel };
            default:
                var kind = blank.Outline.Kind == OutlineKind.Drawn ? OutlineKind.Rounded : blank.Outline.Kind;
                var flat = BlankSheet
                    .Of(
                        blank with
                        {
                            Outline = new PanelOutline { Kind = kind, Sides = Math.Clamp(blank.Outline.Sides, 3, 24) },
                            Zones = [],
                            KeptClear = [],
                            Measured =
                            [
                                Read(DimensionKind.Width, 180),
                                Read(DimensionKind.Height, 120),
                                Read(DimensionKind.CornerRadius, 15),
                                Read(DimensionKind.Across, 120),
                                Read(DimensionKind.AcrossFlats, 120),
                            ],
                        }
                    )
                    .Sizes[0];
                return empty with { Panel = flat.Panel };
        }
    }

    private static MeasuredDimension Read(DimensionKind kind, double mm) =>
        new(kind, [new ReadingLine(MeasuringTool.SteelRule, [TypedLength.Mm(mm)])]);

    private static Dimension Known(double mm) => new(Length.Mm(mm), Length.Zero);
}
