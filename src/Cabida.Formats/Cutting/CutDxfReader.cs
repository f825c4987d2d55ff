using System.Globalization;
using Cabida.Core.Cutting;
using Cabida.Core.Geometry;

namespace Cabida.Formats.Cutting;

/// <summary>Reads back what <see cref="CutDxf"/> writes: polylines of both forms, from their pairs of code and value alone.</summary>
public static class CutDxfReader
{
    /// <summary>Reads a file.</summary>
    /// <exception cref="FormatException">It is not DXF of polylines in millimetres.</exception>
    public static ReadCut Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var pairs = Pairs(text);
        var lines = new List<ReadLine>();
        Polyline? open = null;
        void End()
        {
            if (open is { } line)
            {
                lines.Add(line.Read());
            }

            open = null;
        }

        foreach (var (code, value) in pairs)
        {
            if (code == 0)
            {
                if (value == "VERTEX" && open is not null)
                {
                    continue;
                }

                End();
                open = value is "LWPOLYLINE" or "POLYLINE" ? new Polyline(value == "POLYLINE") : null;
                continue;
            }

            open?.Take(code, value);
        }

        End();
        var units = pairs.SkipWhile(p => p != (9, "$INSUNITS")).Skip(1).FirstOrDefault();
        return units is (70, not "4")
            ? throw new FormatException($"The drawing's unit is {units.Item2} and not millimetres.")
            : new ReadCut(null, null, lines);
    }

    private static List<(int Code, string Value)> Pairs(string text)
    {
        var lines = text.Split('\n').Select(l => l.Trim('\r')).ToArray();
        var pairs = new List<(int, string)>();
        for (var i = 0; i + 1 < lines.Length; i += 2)
        {
            if (!int.TryParse(lines[i].Trim(), CultureInfo.InvariantCulture, out var code))
            {
                throw new FormatException($"A code was expected in line {i + 1}.");
            }

            pairs.Add((code, lines[i + 1]));
        }

        return pairs is [.., (0, "EOF")] ? pairs : throw new FormatException("The file has no end.");
    }

    private sealed class Polyline(bool isOld)
    {
        private readonly List<ArcCorner> corners = [];
        private string layer = "";
        private bool isClosed;
        private bool isFirst = isOld;

        public void Take(int code, string value)
        {
            double Number() => double.Parse(value, CultureInfo.InvariantCulture);
            switch (code)
            {
                case 8:
                    layer = value;
                    break;
                case 70:
                    isClosed = (int.Parse(value, CultureInfo.InvariantCulture) & 1) == 1;
                    break;
                case 10 when isFirst:
                    break;
                case 20 when isFirst:
                    // Of an old polyline the first point says only how high it lies.
                    isFirst = false;
                    break;
                case 10:
                    corners.Add(new ArcCorner(new PlanePoint(Number(), double.NaN), 0));
                    break;
                case 20:
                    corners[^1] = new ArcCorner(corners[^1].At with { Y = Number() }, 0);
                    break;
                case 42:
                    corners[^1] = corners[^1] with { Bulge = Number() };
                    break;
                default:
                    break;
            }
        }

        public ReadLine Read() => new(layer, ArcPoints.Of(corners, isClosed, ReadCut.ChordError), isClosed);
    }
}
