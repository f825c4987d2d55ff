using System.Diagnostics;
using System.Globalization;
using SkiaSharp;

namespace Cabida.Formats.Tests.Cutting;

/// <summary>Programs other than ours that open cut files; Debian's packages, which test.sh installs.</summary>
internal static class OtherPrograms
{
    /// <summary>Runs a program and gives what it said.</summary>
    public static string Run(string program, params string[] arguments)
    {
        var start = new ProcessStartInfo(program, arguments) { RedirectStandardOutput = true, RedirectStandardError = true };
        using var process = Process.Start(start)!;
        var error = process.StandardError.ReadToEndAsync();
        var said = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        process.ExitCode.ShouldBe(0, $"{program} {string.Join(' ', arguments)}: {error.GetAwaiter().GetResult()}{said}");
        return said;
    }

    /// <summary>What a DXF holds by ezdxf: the version, the unit, and of each closed line its layer, box and area.</summary>
    public static (string Version, int Unit, List<(string Layer, double[] Box, double Area)> Lines) Dxf(string file)
    {
        const string script = """
            import sys, ezdxf
            from ezdxf import path, bbox
            doc = ezdxf.readfile(sys.argv[1])
            audit = doc.audit()
            for e in audit.errors + audit.fixes:
                print("FAULT", e.code, e.message)
            print("DOC", doc.dxfversion, doc.header.get("$INSUNITS", 0))
            for entity in doc.modelspace():
                p = path.make_path(entity)
                points = [(v.x, v.y) for v in p.flattening(0.0005)]
                area = sum(a[0] * b[1] - b[0] * a[1] for a, b in zip(points, points[1:])) / 2
                xs, ys = [q[0] for q in points], [q[1] for q in points]
                print("LINE", entity.dxf.layer, min(xs), min(ys), max(xs), max(ys), area, sep="\t")
            """;
        // The system's own python, which Debian's packages are installed for.
        var said = Run("/usr/bin/python3", "-c", script, file).Split('\n', StringSplitOptions.RemoveEmptyEntries);
        said.Where(l => l.StartsWith("FAULT", StringComparison.Ordinal)).ShouldBeEmpty();
        var document = said.Single(l => l.StartsWith("DOC", StringComparison.Ordinal)).Split(' ');
        return (
            document[1],
            int.Parse(document[2], CultureInfo.InvariantCulture),
            [
                .. said.Where(l => l.StartsWith("LINE", StringComparison.Ordinal))
                    .Select(l => l.Split('\t'))
                    .Select(l => (l[1], (double[])[.. l[2..6].Select(Number)], Number(l[6]))),
            ]
        );
    }

    /// <summary>Which points of a picture are dark, from above; cut to the box of them.</summary>
    public static bool[,] Dark(string file)
    {
        using var picture = SKBitmap.Decode(file);
        var dark = new bool[picture.Height, picture.Width];
        var (left, top, right, bottom) = (picture.Width, picture.Height, -1, -1);
        for (var y = 0; y < picture.Height; y++)
        {
            for (var x = 0; x < picture.Width; x++)
            {
                var c = picture.GetPixel(x, y);
                dark[y, x] = c.Alpha > 127 && c.Red + c.Green + c.Blue < 3 * 128;
                if (dark[y, x])
                {
                    (left, top, right, bottom) = (Math.Min(left, x), Math.Min(top, y), Math.Max(right, x), Math.Max(bottom, y));
                }
            }
        }

        var cut = new bool[bottom - top + 1, right - left + 1];
        for (var y = 0; y < cut.GetLength(0); y++)
        {
            for (var x = 0; x < cut.GetLength(1); x++)
            {
                cut[y, x] = dark[top + y, left + x];
            }
        }

        return cut;
    }

    private static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);
}
