using Cabida.Core.Geometry;
using Cabida.Core.Tracing;
using Cabida.Devices.Scanning;
using Cabida.Formats.Pictures;
using NetTopologySuite.Geometries;

namespace Cabida.Benchmarks;

/// <summary>
/// The area between found and true outline for each millimetre of outline, over sheets of varied skew, noise and lighting.
/// </summary>
internal static class TracingAccuracy
{
    private static readonly string[] Sheets = ["tag", "plate", "bookmark", "star", "leaf"];

    public static void Report()
    {
        var all = new List<double>();
        foreach (var id in Sheets)
        {
            var sheet = MadeUpSheets.All.Single(s => s.Id == id);
            var here = new List<double>();
            foreach (var skew in new[] { -3.0, 0.4, 2.0 })
            {
                foreach (var (noise, shading) in new[] { (0.004, 0.0), (0.012, 0.2), (0.02, 0.35) })
                {
                    here.Add(Between(sheet, new ScanSettings(300, skew, noise, shading)));
                }
            }

            all.AddRange(here);
            Console.WriteLine($"{id, -9} {here.Count} sheets: mean {here.Average():0.0000}, worst {here.Max():0.0000} mm² per mm");
        }

        Console.WriteLine($"all       {all.Count} sheets: mean {all.Average():0.0000}, worst {all.Max():0.0000} mm² per mm");
    }

    private static double Between(MadeUpSheet sheet, ScanSettings scan)
    {
        var png = SheetRendering.Png(sheet, scan);
        var head = PictureHead.Read(png).Value;
        var found = OutlineTrace
            .Of(
                GreyReader.Read(png, head).Value,
                PictureScale.OfScan(scan.DotsPerInch, head.Height).Value,
                new TraceSettings(LineEdge.Middle, 0, 0.1, [])
            )
            .Value.Outlines[0];
        var truth = Of([
            .. sheet
                .Shapes[0]
                .Select(IReadOnlyList<PlanePoint> (r) => [.. r.Select(p => SheetRendering.OnScan(sheet, scan.SkewDegrees, p))]),
        ]);
        return Of(found.Rings).SymmetricDifference(truth).Area / truth.Length;
    }

    private static Polygon Of(IReadOnlyList<IReadOnlyList<PlanePoint>> rings) =>
        Outlines.Factory.CreatePolygon(
            (LinearRing)Outlines.Ring(rings[0]).ExteriorRing,
            [.. rings.Skip(1).Select(r => (LinearRing)Outlines.Ring(r).ExteriorRing)]
        );
}
