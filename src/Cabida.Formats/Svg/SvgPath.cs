using System.Globalization;
using System.Text;
using Cabida.Core.Geometry;

namespace Cabida.Formats.Svg;

/// <summary>Areas as SVG path data: every ring a closed path of lines and cubic Béziers, fitted within a tolerance.</summary>
public static class SvgPath
{
    /// <summary>Path data for drawings; with a <paramref name="top"/> y goes down from there, without one it stays as it is.</summary>
    /// <param name="area">The area; millimetres, y up.</param>
    /// <param name="tolerance">How far the curves may lie from the area's outline.</param>
    /// <param name="top">The height that becomes zero when y is turned down.</param>
    public static string Of(NetTopologySuite.Geometries.Geometry area, double tolerance, double? top = null) =>
        Of(Outlines.RingsOf(area).Select(r => CurveFitting.Drawn(r, tolerance)), top);

    /// <summary>
    /// Path data for cutting: its curves, as they are written, cross nowhere and reach nowhere beyond the area's own box.
    /// </summary>
    /// <param name="area">The area; millimetres, y up.</param>
    /// <param name="tolerance">How far the curves may lie from the area's outline.</param>
    /// <param name="top">The height that becomes zero when y is turned down.</param>
    public static string OfCut(NetTopologySuite.Geometries.Geometry area, double tolerance, double top) =>
        Of(SoundCurves.Of(area, tolerance, Unit), top);

    /// <summary>What coordinates are written to: a thousandth of a millimetre, well below what a cutter resolves.</summary>
    private const double Unit = 0.001;

    /// <summary>Path data of contours as they are.</summary>
    internal static string Of(IEnumerable<Contour> contours, double? top)
    {
        var d = new StringBuilder();
        foreach (var contour in contours)
        {
            d.Append('M');
            Append(contour.Start);
            foreach (var segment in contour.Segments)
            {
                switch (segment)
                {
                    case CubicTo c:
                        d.Append('C');
                        Append(c.Control1);
                        d.Append(' ');
                        Append(c.Control2);
                        d.Append(' ');
                        Append(c.End);
                        break;
                    default:
                        d.Append('L');
                        Append(segment.End);
                        break;
                }
            }

            d.Append('Z');
        }

        return d.ToString();

        void Append(PlanePoint p)
        {
            Write(d, p.X);
            d.Append(' ');
            Write(d, top - p.Y ?? p.Y);
        }
    }

    /// <summary>A line through points, open or closed, y as it is.</summary>
    public static string OfLine(IEnumerable<PlanePoint> points, bool closed)
    {
        ArgumentNullException.ThrowIfNull(points);
        var d = new StringBuilder();
        foreach (var p in points)
        {
            Write(d.Append(d.Length == 0 ? 'M' : 'L'), p.X);
            Write(d.Append(' '), p.Y);
        }

        return d.Append(closed ? "Z" : "").ToString();
    }

    /// <summary>Three decimals, as the unit is.</summary>
    internal static string Number(double value)
    {
        var text = new StringBuilder();
        Write(text, value);
        return text.ToString();
    }

    /// <summary>Writes a number to three decimals, without a text of its own: paths are made of very many.</summary>
    private static void Write(StringBuilder into, double value)
    {
        var thousandths = Math.Round(value * 1000);
        if (!(Math.Abs(thousandths) < LargestWhole))
        {
            into.Append(Math.Round(value, 3).ToString("0.###", CultureInfo.InvariantCulture));
            return;
        }

        var whole = (long)Math.Abs(thousandths);
        into.Append(thousandths < 0 ? "-" : "").Append(whole / 1000);
        var rest = (int)(whole % 1000);
        if (rest > 0)
        {
            into.Append('.').Append(Digit(rest / 100));
            if (rest % 100 > 0)
            {
                into.Append(Digit(rest / 10 % 10));
            }

            if (rest % 10 > 0)
            {
                into.Append(Digit(rest % 10));
            }
        }

        static char Digit(int d) => (char)('0' + d);
    }

    private const double LargestWhole = 1e12;
}
