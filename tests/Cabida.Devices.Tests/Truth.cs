using Cabida.Core.Geometry;
using Cabida.Core.Tracing;
using Cabida.Devices.Scanning;
using Cabida.Formats.Pictures;
using NetTopologySuite.Geometries;

namespace Cabida.Devices.Tests;

/// <summary>Scans made-up sheets and measures what was found against what was drawn.</summary>
internal static class Truth
{
    public static MadeUpSheet Sheet(string id) => MadeUpSheets.All.Single(s => s.Id == id);

    public static TraceSettings Plain { get; } = new(LineEdge.Middle, 0, 0.1, []);

    public static TraceResult Found(MadeUpSheet sheet, ScanSettings scan, TraceSettings? settings = null)
    {
        var png = SheetRendering.Png(sheet, scan);
        var head = PictureHead.Read(png).Value;
        var picture = GreyReader.Read(png, head).Value;
        var scale = SheetRendering.CornersOf(sheet) is { } corners
            ? PictureScale
                .OfSheet(corners, Core.Measures.Length.Mm(sheet.Width), Core.Measures.Length.Mm(sheet.Height), (head.Width, head.Height))
                .Value
            : PictureScale.OfScan(scan.DotsPerInch, head.Height).Value;
        return OutlineTrace.Of(picture, scale, settings ?? Plain).Value;
    }

    /// <summary>The drawn shape as it lies on the scan.</summary>
    public static Polygon Drawn(MadeUpSheet sheet, double skew, int shape = 0) =>
        Polygon([
            .. sheet
                .Shapes[shape]
                .Select(
                    IReadOnlyList<PlanePoint> (r) =>
                        [.. r.Select(p => sheet.Photographed is null ? SheetRendering.OnScan(sheet, skew, p) : p)]
                ),
        ]);

    public static Polygon Polygon(IReadOnlyList<IReadOnlyList<PlanePoint>> rings) =>
        Outlines.Factory.CreatePolygon(
            (LinearRing)Outlines.Ring(rings[0]).ExteriorRing,
            [.. rings.Skip(1).Select(r => (LinearRing)Outlines.Ring(r).ExteriorRing)]
        );

    /// <summary>The furthest a point of the found outline lies from the true one, and the other way, except near sharp corners.</summary>
    public static double Furthest(Polygon found, Polygon truth)
    {
        var sharp = SharpCorners(truth);
        double From(Polygon a, Polygon b) =>
            a
                .Boundary.Coordinates.Where(c => sharp.All(s => s.Distance(c) > 1))
                .Max(c => b.Boundary.Distance(Outlines.Factory.CreatePoint(c)));
        return Math.Max(From(found, truth), From((Polygon)NetTopologySuite.Densify.Densifier.Densify(truth, 1), found));
    }

    /// <summary>The area between two outlines for each millimetre of outline.</summary>
    public static double AreaBetween(Polygon found, Polygon truth) => found.SymmetricDifference(truth).Area / truth.Length;

    private static List<Coordinate> SharpCorners(Polygon truth)
    {
        var ring = truth.ExteriorRing.Coordinates.SkipLast(1).ToList();
        return
        [
            .. ring.Where(
                (c, i) =>
                {
                    Coordinate a = ring[(i + ring.Count - 1) % ring.Count],
                        b = ring[(i + 1) % ring.Count];
                    return NetTopologySuite.Algorithm.AngleUtility.AngleBetween(a, c, b) < Math.PI / 3;
                }
            ),
        ];
    }
}
