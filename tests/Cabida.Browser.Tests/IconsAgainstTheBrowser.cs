using System.Text.Json;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Formats.Graphics;
using SkiaSharp;
using Xunit.Abstractions;

namespace Cabida.Browser.Tests;

/// <summary>
/// Every icon of two packages, one filled and one stroked, brought in at 80 mm and compared with the browser's own drawing of the same
/// file.
/// </summary>
public sealed class IconsAgainstTheBrowser(ITestOutputHelper report) : IDisposable
{
    private const int Pixels = 1024;
    private const double LeastShared = 0.985;

    /// <summary>The edges of what is small are a larger share of it.</summary>
    private const double LeastOfSmall = 0.97;
    private const double LeastRight = 0.99;
    private const int AtOnce = 12;
    private readonly Workshop shop = new(demo: false);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void Icons_come_in_as_the_browser_draws_them()
    {
        var modules = Path.Combine(Workshop.Root, "web", "node_modules");
        var files = new[] { Path.Combine(modules, "feather-icons", "dist", "icons"), Path.Combine(modules, "zondicons") }
            .SelectMany(f => Directory.EnumerateFiles(f, "*.svg"))
            .Order(StringComparer.Ordinal)
            .ToList();
        files.Count.ShouldBeGreaterThan(500);
        var wrong = Wrong(files);
        wrong.Count.ShouldBeLessThanOrEqualTo((int)((1 - LeastRight) * files.Count), string.Join('\n', wrong));
    }

    [Fact]
    public void What_is_brought_in_without_a_word_is_what_the_browser_draws()
    {
        // Small drawings of one feature each, those whose page is 100 × 100 and of which nothing is said.
        var files = Directory
            .EnumerateFiles(Path.Combine(Workshop.Root, "tests", "Cabida.Formats.Tests", "Features", "svg"), "*.svg")
            .Order(StringComparer.Ordinal)
            .Where(f =>
                File.ReadAllText(f).Contains("width='100mm' height='100mm' viewBox='0 0 100 100'", StringComparison.Ordinal)
                && !File.ReadLines(Path.ChangeExtension(f, ".txt")).Any(l => l.Split(' ')[0] is "says" or "refused" or "lines" or "browser")
            )
            .ToList();
        files.Count.ShouldBeGreaterThan(100);
        Wrong(files, LeastOfSmall).ShouldBeEmpty();
    }

    /// <summary>Run by scripts/check-icons.sh, which fetches packages that no other test holds.</summary>
    [FetchedIconsFact]
    public void Icons_of_packages_never_seen_before_come_in_as_the_browser_draws_them()
    {
        var packages = Directory
            .EnumerateDirectories(FetchedIconsFactAttribute.Folder!)
            .Order(StringComparer.Ordinal)
            .Select(p =>
                (
                    Name: Path.GetFileName(p),
                    Files: Directory.EnumerateFiles(p, "*.svg", SearchOption.AllDirectories).Order(StringComparer.Ordinal).ToList()
                )
            )
            .ToList();
        packages.Sum(p => p.Files.Count).ShouldBeGreaterThan(6000);
        var untold = new List<string>();
        foreach (var (name, files) in packages)
        {
            var wrong = Wrong(files);
            var told = wrong.Count(w => w.Contains("told:", StringComparison.Ordinal));
            report.WriteLine($"{name}: {files.Count - wrong.Count} of {files.Count}; of the rest {told} say what they left out");
            untold.AddRange(wrong.Where(w => !w.Contains("told:", StringComparison.Ordinal)));
        }

        untold.Count.ShouldBeLessThanOrEqualTo(packages.Sum(p => p.Files.Count) / 1000, string.Join('\n', untold));
    }

    /// <summary>The drawings that share less with the browser's than they should.</summary>
    private List<string> Wrong(List<string> files, double least = LeastShared)
    {
        var wrong = new List<string>();
        shop.Driver.Navigate().GoToUrl(shop.Address + "/jobs");
        foreach (var some in files.Chunk(AtOnce))
        {
            var drawn = Drawn([.. some.Select(File.ReadAllText)]);
            for (var i = 0; i < some.Length; i++)
            {
                var (shared, why) = Shared(some[i], drawn[i]);
                if (shared < least)
                {
                    wrong.Add($"{Path.GetFileName(Path.GetDirectoryName(some[i]))}/{Path.GetFileName(some[i])}: {shared:0.0000} {why}");
                }
            }
        }

        report.WriteLine($"{files.Count - wrong.Count} of {files.Count} share at least {least}. The rest:");
        wrong.ForEach(report.WriteLine);
        return wrong;
    }

    /// <summary>What the browser draws, a bit for each pixel.</summary>
    private byte[][] Drawn(string[] svgs)
    {
        var script = shop.Driver;
        var answers = (string)
            script.ExecuteAsyncScript(
                """
                const [svgs, size, done] = arguments;
                const canvas = document.createElement('canvas');
                canvas.width = canvas.height = size;
                const pen = canvas.getContext('2d', { willReadFrequently: true });
                const one = (svg) => new Promise((found) => {
                  const root = new DOMParser().parseFromString(svg, 'image/svg+xml').documentElement;
                  root.setAttribute('width', size);
                  root.setAttribute('height', size);
                  const image = new Image();
                  image.onload = () => {
                    pen.clearRect(0, 0, size, size);
                    pen.drawImage(image, 0, 0, size, size);
                    const all = pen.getImageData(0, 0, size, size).data;
                    const bits = new Uint8Array(size * size / 8);
                    for (let i = 0; i < size * size; i++) if (all[4 * i + 3] >= 128) bits[i >> 3] |= 1 << (i & 7);
                    let text = '';
                    for (let i = 0; i < bits.length; i += 8192) text += String.fromCharCode(...bits.subarray(i, i + 8192));
                    found(btoa(text));
                  };
                  image.src = 'data:image/svg+xml;charset=utf-8,' + encodeURIComponent(new XMLSerializer().serializeToString(root));
                });
                (async () => { const all = []; for (const svg of svgs) all.push(await one(svg)); done(JSON.stringify(all)); })();
                """,
                svgs,
                Pixels
            )!;
        return [.. JsonSerializer.Deserialize<string[]>(answers)!.Select(Convert.FromBase64String)];
    }

    private static (double Shared, string Why) Shared(string file, byte[] browser)
    {
        // As large as its view box, since the browser is told its own size as well.
        var root = System.Xml.Linq.XDocument.Load(file).Root!;
        root.SetAttributeValue("width", null);
        root.SetAttributeValue("height", null);
        var read = GraphicFile.Read(Path.GetFileName(file), System.Text.Encoding.UTF8.GetBytes(root.ToString()));
        if (read.Problem is { } problem)
        {
            return (0, problem.ToString());
        }

        var box = ((string)root.Attribute("viewBox")!)
            .Split(' ', ',')
            .Select(v => double.Parse(v, System.Globalization.CultureInfo.InvariantCulture))
            .ToArray();
        // The longer side of the page is 80 mm; the pieces came in at the size the file was taken to have. The browser centres the shorter.
        var side = Math.Max(box[2], box[3]);
        var (left, top) = (((side - box[2]) / 2) - box[0], ((side - box[3]) / 2) - box[1]);
        var factor = 80 / (side * read.Value.PerUnit);
        using var bitmap = new SKBitmap(Pixels, Pixels, SKColorType.Alpha8, SKAlphaType.Premul);
        using (var canvas = new SKCanvas(bitmap))
        using (var paint = new SKPaint { IsAntialias = true, Color = SKColors.Black })
        {
            foreach (var piece in read.Value.Pieces)
            {
                var area = Outlines.Moved(
                    Outlines.FromContours(piece.Closed, Tolerances.Ink / factor, Tolerances.InkTurn, piece.Rule == FillRule.EvenOdd),
                    Motion.Scale(factor, factor)
                );
                using var built = new SKPathBuilder { FillType = SKPathFillType.EvenOdd };
                foreach (var ring in Outlines.RingsOf(area))
                {
                    built.AddPoly(
                        [
                            .. ring.Coordinates.Select(c => new SKPoint(
                                (float)((c.X * Pixels / 80) + (left * Pixels / side)),
                                (float)((-c.Y * Pixels / 80) + (top * Pixels / side))
                            )),
                        ],
                        close: true
                    );
                }

                using var path = built.Detach();
                canvas.DrawPath(path, paint);
            }
        }

        long both = 0,
            either = 0;
        var ours = bitmap.Bytes;
        for (var i = 0; i < Pixels * Pixels; i++)
        {
            var (a, b) = (ours[i] >= 128, (browser[i >> 3] & (1 << (i & 7))) != 0);
            both += a && b ? 1 : 0;
            either += a || b ? 1 : 0;
        }

        var notes = string.Join(' ', read.Value.Notes);
        return (
            either == 0 ? 1 : (double)both / either,
            $"({read.Value.Pieces.Count} pieces{(notes.Length > 0 ? "; told: " + notes : "")})"
        );
    }
}
