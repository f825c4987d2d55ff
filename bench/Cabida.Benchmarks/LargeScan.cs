using Cabida.Core.Tracing;
using Cabida.Formats.Pictures;
using SkiaSharp;

namespace Cabida.Benchmarks;

/// <summary>
/// The most memory the process ever held while a scan of a hundred million pixels is read and followed, as PNG and as JPEG.
/// </summary>
internal static class LargeScan
{
    private const int Side = 10_000;
    private const double Dots = 600;

    public static void Report()
    {
        // Made in a process of its own, so that making it does not count.
        foreach (var name in new[] { "large.png", "large.jpg" })
        {
            var file = Path.Combine(Path.GetTempPath(), name);
            if (!File.Exists(file))
            {
                File.WriteAllBytes(
                    file,
                    Make(name.EndsWith("png", StringComparison.Ordinal) ? SKEncodedImageFormat.Png : SKEncodedImageFormat.Jpeg)
                );
                Console.WriteLine($"made {file}; run it again to measure");
                continue;
            }

            var bytes = File.ReadAllBytes(file);
            var head = PictureHead.Read(bytes).Value;
            var took = Medians.Time(() =>
            {
                var picture = GreyReader.Read(bytes, head).Value;
                Console.WriteLine(
                    $"{name}: "
                        + $"{OutlineTrace.Of(picture, PictureScale.OfScan(Dots, head.Height).Value, new TraceSettings(LineEdge.Inner, 0, 0.1, [])).Value.Outlines.Count} outline"
                );
            });
            using var process = System.Diagnostics.Process.GetCurrentProcess();
            Console.WriteLine(
                $"{name}: {head.Width} × {head.Height}, {bytes.Length / 1e6:0} MB on disk, {took / 1000:0.0} s, peak "
                    + $"{process.PeakWorkingSet64 / 1e6:0} MB so far"
            );
        }
    }

    private static byte[] Make(SKEncodedImageFormat format)
    {
        using var bitmap = new SKBitmap(Side, Side, SKColorType.Rgba8888, SKAlphaType.Opaque);
        using (var canvas = new SKCanvas(bitmap))
        {
            canvas.Clear(new SKColor(240, 239, 236));
            using var ink = new SKPaint { Color = new SKColor(60, 60, 60), IsAntialias = true };
            canvas.DrawCircle(Side / 2f, Side / 2f, Side / 3f, ink);
        }

        using var data = bitmap.Encode(format, 92);
        return data.ToArray();
    }
}
