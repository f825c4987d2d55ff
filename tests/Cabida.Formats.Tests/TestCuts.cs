using Cabida.Core.Cutting;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Formats.Tests;

internal static class TestCuts
{
    /// <summary>A load of ink and of other groups.</summary>
    public static CutDrawing Of(double width, double height, (string Name, Area Ink)[] inks, params CutGroup[] others) =>
        new("t", width, height, [new CutLayer("Navy vinyl", "#112233", [.. inks.Select(i => CutGroups.OfInk(i.Name, i.Ink)), .. others])]);
}
