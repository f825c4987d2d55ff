using System.Globalization;
using Cabida.Core.Geometry;

namespace Cabida.Formats.Cutting;

/// <summary>Reads HPGL of pens, moves with the pen up and lines with the pen down.</summary>
public static class CutHpglReader
{
    /// <summary>Reads a file.</summary>
    /// <exception cref="FormatException">It holds anything else.</exception>
    public static ReadCut Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var lines = new List<ReadLine>();
        var (pen, at) = ("", default(PlanePoint));
        var down = new List<PlanePoint>();
        void Lift()
        {
            if (down.Count > 1)
            {
                lines.Add(new ReadLine(pen, [.. down], down[0] == down[^1]));
            }

            down.Clear();
        }

        foreach (var command in text.Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
        {
            var (name, rest) = (command[..Math.Min(2, command.Length)], command[Math.Min(2, command.Length)..]);
            var points = name is "PU" or "PD" ? Points(rest) : [];
            switch (name)
            {
                case "IN" or "PA":
                    break;
                case "SP":
                    Lift();
                    pen = rest;
                    break;
                case "PU":
                    Lift();
                    at = points.Count > 0 ? points[^1] : at;
                    break;
                case "PD":
                    down.AddRange(down.Count == 0 ? points.Prepend(at) : points);
                    at = down[^1];
                    break;
                default:
                    throw new FormatException($"The command {name} was not expected here.");
            }
        }

        Lift();
        return new ReadCut(null, null, lines);
    }

    private static List<PlanePoint> Points(string text)
    {
        var numbers = text.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
            .Select(n => double.Parse(n, CultureInfo.InvariantCulture) / CutHpgl.PerMillimetre)
            .ToArray();
        return numbers.Length % 2 == 0
            ? [.. numbers.Chunk(2).Select(p => new PlanePoint(p[0], p[1]))]
            : throw new FormatException("A point has one coordinate only.");
    }
}
