using Cabida.Core.Blanks;
using Cabida.Core.Measures;

namespace Cabida.Core.Tests;

internal static class TestBlanks
{
    public static readonly ZoneMargins Margins = new(TypedLength.Mm(10), TypedLength.Mm(12), TypedLength.Mm(8), TypedLength.Mm(8));

    public static readonly ZoneSpec Wrap = new("wrap", "Wrap") { Margins = Margins };

    /// <summary>A mug 82 across with a handle: a tape laid round it reads π·0.4 more than its girth of 257.611.</summary>
    public static Blank Mug() =>
        new(
            "Mug",
            SurfaceKind.Straight,
            [
                Read(DimensionKind.Girth, MeasuringTool.SoftTape, "258.868"),
                Read(DimensionKind.Height, MeasuringTool.SteelRule, "94"),
                Read(DimensionKind.Handle, MeasuringTool.SteelRule, "42"),
            ]
        )
        {
            Zones = [Wrap],
        };

    public static Blank Tumbler(string upper, string lower, string wall) =>
        new(
            "Tumbler",
            SurfaceKind.Tapered,
            [
                Read(DimensionKind.GirthUpper, MeasuringTool.PaperStrip, upper),
                Read(DimensionKind.GirthLower, MeasuringTool.PaperStrip, lower),
                Read(DimensionKind.WallBetween, MeasuringTool.SteelRule, wall),
            ]
        )
        {
            Zones = [Wrap],
        };

    public static MeasuredDimension Read(DimensionKind kind, MeasuringTool tool, params string[] typed) =>
        new(kind, [new ReadingLine(tool, [.. typed.Select(t => new TypedLength(t))])]);
}
