using Cabida.Core.Geometry;
using Cabida.Core.Type;

namespace Cabida.Typography.Tests;

/// <summary>Every letter of every shipped face as it goes into a file.</summary>
public sealed class CutRingsTests
{
    [Fact]
    public void No_ring_crosses_itself_or_leaves_its_box()
    {
        using var faces = new ShippedTypefaces();
        var cache = new InkCache();
        foreach (var face in faces.All)
        {
            foreach (
                var (words, size) in new[]
                {
                    ("ABCDEFGHIJKLMNOPQRSTUVWXYZ", 9.0),
                    ("abcdefghijklmnopqrstuvwxyz", 14.0),
                    ("ÅÄÖÇŁŻŚĘĄÑÐÞßøœæ & 0123456789", 31.0),
                }
            )
            {
                var ink = new LetteringLine(words, faces.Find(face.Id)!, LineSetting.Plain, cache).InkAt(size);
                foreach (var polygon in Outlines.PolygonsOf(ink))
                {
                    var contours = SoundCurves.Of(polygon, Tolerances.File, 0.001);
                    SoundCurves.IsSound(contours).ShouldBeTrue($"{face.Id} {words}");
                    var box = Box.Of(polygon)!.Value;
                    var points = contours.SelectMany(c => CurveFlattening.Flatten(c, 0.001, Tolerances.InkTurn)).ToList();
                    new[]
                    {
                        box.MinX - points.Min(p => p.X),
                        points.Max(p => p.X) - box.MaxX,
                        box.MinY - points.Min(p => p.Y),
                        points.Max(p => p.Y) - box.MaxY,
                    }
                        .Max()
                        .ShouldBeLessThan(0.002);
                }
            }
        }
    }
}
