using System.Globalization;
using System.Text;
using Cabida.Core.Cutting;
using Cabida.Core.Geometry;

namespace Cabida.Formats.Cutting;

/// <summary>
/// A load as HPGL: 40 units to the millimetre, a pen for each film, lines in the order in which they are cut, curves as chords. What a drag
/// knife asks for is in it when it is given.
/// </summary>
public static class CutHpgl
{
    /// <summary>Units to the millimetre.</summary>
    public const double PerMillimetre = 40;

    /// <summary>How far chords may lie from curves; millimetres.</summary>
    public const double ChordError = 0.01;

    /// <summary>Writes a load.</summary>
    /// <param name="drawing">The load.</param>
    /// <param name="knife">What the knife asks for; null leaves it to the cutter.</param>
    public static string Write(CutDrawing drawing, DragKnife? knife = null)
    {
        ArgumentNullException.ThrowIfNull(drawing);
        var text = new StringBuilder("IN;PA;");
        foreach (var (layer, pen) in drawing.Layers.Select((l, i) => (l, i + 1)))
        {
            text.Append(CultureInfo.InvariantCulture, $"SP{pen};");
            var lines = layer.Lines.ToList();
            foreach (var (line, points) in CuttingOrder.Of([.. lines.Select(l => (l.Points(ChordError), l.IsClosed))]))
            {
                var way = knife is { } k ? BladeWay.Of(points, lines[line].IsClosed, k) : points;
                Append(text, way);
            }
        }

        return text.Append("PU0,0;SP0;\n").ToString();
    }

    private static void Append(StringBuilder text, IReadOnlyList<PlanePoint> way)
    {
        static (long X, long Y) Units(PlanePoint p) => ((long)Math.Round(p.X * PerMillimetre), (long)Math.Round(p.Y * PerMillimetre));
        var at = Units(way[0]);
        text.Append(CultureInfo.InvariantCulture, $"PU{at.X},{at.Y};PD");
        var first = true;
        foreach (var next in way.Skip(1).Select(Units).Where(p => p != at))
        {
            text.Append(CultureInfo.InvariantCulture, $"{(first ? "" : ",")}{next.X},{next.Y}");
            (first, at) = (false, next);
        }

        text.Append(";\n");
    }
}
