using System.Globalization;
using Cabida.Core.Geometry;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>Reads path data (SVG 2, chapter 9). What stands before a mistake in it is drawn, as the standard says.</summary>
internal sealed class SvgPathData
{
    private readonly string text;
    private readonly List<DrawnLine> done = [];
    private List<CurveSegment> segments = [];
    private PlanePoint start;
    private PlanePoint at;
    private PlanePoint? lastControl;
    private char last = 'M';
    private bool moved;
    private int i;

    private SvgPathData(string text) => this.text = text;

    /// <summary>The lines of path data, and where a mistake in it stands; null where there is none.</summary>
    public static (IReadOnlyList<DrawnLine> Lines, int? Mistake) Read(string text)
    {
        var data = new SvgPathData(text);
        var right = data.Read();
        data.Finish(closed: false);
        return (data.done, right || text.Trim() is "" or "none" ? null : data.i);
    }

    /// <summary>An arc of an ellipse as cubics, by where it goes from and to (appendix B.2.4).</summary>
    public static IEnumerable<CurveSegment> Arc(
        PlanePoint from,
        double rx,
        double ry,
        double degrees,
        bool large,
        bool sweep,
        PlanePoint to
    )
    {
        (rx, ry) = (Math.Abs(rx), Math.Abs(ry));
        if (from == to)
        {
            return [];
        }

        if (rx == 0 || ry == 0)
        {
            return [new LineSegmentTo(to)];
        }

        var (sin, cos) = Math.SinCos(degrees * Math.PI / 180);
        double dx = (from.X - to.X) / 2,
            dy = (from.Y - to.Y) / 2;
        double x = (cos * dx) + (sin * dy),
            y = (cos * dy) - (sin * dx);
        var reach = (x * x / (rx * rx)) + (y * y / (ry * ry));
        if (reach > 1)
        {
            (rx, ry) = (rx * Math.Sqrt(reach), ry * Math.Sqrt(reach));
        }

        var square = ((rx * rx * ry * ry) - (rx * rx * y * y) - (ry * ry * x * x)) / ((rx * rx * y * y) + (ry * ry * x * x));
        var way = Math.Sqrt(Math.Max(0, square)) * (large == sweep ? -1 : 1);
        double cx = way * rx * y / ry,
            cy = -way * ry * x / rx;
        var first = Math.Atan2((y - cy) / ry, (x - cx) / rx);
        var turn = Math.Atan2((-y - cy) / ry, (-x - cx) / rx) - first;
        turn +=
            sweep && turn < 0 ? 2 * Math.PI
            : !sweep && turn > 0 ? -2 * Math.PI
            : 0;
        var place = new Motion(
            cos * rx,
            -sin * ry,
            (cos * cx) - (sin * cy) + ((from.X + to.X) / 2),
            sin * rx,
            cos * ry,
            (sin * cx) + (cos * cy) + ((from.Y + to.Y) / 2)
        );
        return ArcCubics.Of(first, turn, place, to);
    }

    private bool Read()
    {
        Skip();
        while (i < text.Length)
        {
            var begun = i;
            var command = text[i];
            if (
                !"MmZzLlHhVvCcSsQqTtAa".Contains(command, StringComparison.Ordinal)
                || (done.Count == 0 && segments.Count == 0 && !moved && command is not ('M' or 'm'))
            )
            {
                return false;
            }

            i++;
            if (command is 'Z' or 'z')
            {
                Finish(closed: true);
                (at, lastControl, last) = (start, null, 'Z');
                Skip();
                continue;
            }

            var pairs = 0;
            for (; ; pairs++)
            {
                Skip();
                if (pairs > 0 && !AtNumber())
                {
                    break;
                }

                if (
                    !Step(
                        pairs == 0
                            ? command
                            : command switch
                            {
                                'M' => 'L',
                                'm' => 'l',
                                _ => command,
                            }
                    )
                )
                {
                    i = pairs == 0 ? begun : i;
                    return false;
                }
            }
        }

        return true;
    }

    /// <summary>One command with one set of its numbers; false when one of them is missing.</summary>
    private bool Step(char command)
    {
        var relative = char.IsLower(command);
        var (ox, oy) = relative ? (at.X, at.Y) : (0, 0);
        bool Point(out PlanePoint p)
        {
            p = default;
            if (!Number(out var x) || !Number(out var y))
            {
                return false;
            }

            p = new(x + ox, y + oy);
            return true;
        }

        PlanePoint Mirrored(string after) =>
            lastControl is { } c && after.Contains(last, StringComparison.Ordinal) ? new((2 * at.X) - c.X, (2 * at.Y) - c.Y) : at;
        PlanePoint to;
        PlanePoint? control = null;
        switch (char.ToUpperInvariant(command))
        {
            case 'M':
                if (!Point(out to))
                {
                    return false;
                }

                Finish(closed: false);
                (start, moved) = (to, true);
                break;
            case 'L':
                if (!Point(out to))
                {
                    return false;
                }

                segments.Add(new LineSegmentTo(to));
                break;
            case 'H' or 'V':
                if (!Number(out var n))
                {
                    return false;
                }

                to = command is 'H' or 'h' ? new(n + ox, at.Y) : new(at.X, n + oy);
                segments.Add(new LineSegmentTo(to));
                break;
            case 'C' or 'S':
                var first = Mirrored("CS");
                if ((command is 'C' or 'c' && !Point(out first)) || !Point(out var second) || !Point(out to))
                {
                    return false;
                }

                segments.Add(new CubicTo(first, second, to));
                control = second;
                break;
            case 'Q' or 'T':
                var middle = Mirrored("QT");
                if ((command is 'Q' or 'q' && !Point(out middle)) || !Point(out to))
                {
                    return false;
                }

                segments.Add(new QuadraticTo(middle, to));
                control = middle;
                break;
            default:
                if (
                    !Number(out var rx)
                    || !Number(out var ry)
                    || !Number(out var turn)
                    || !Flag(out var large)
                    || !Flag(out var sweep)
                    || !Point(out to)
                )
                {
                    return false;
                }

                segments.AddRange(Arc(at, rx, ry, turn, large, sweep, to));
                break;
        }

        (at, lastControl, last) = (to, control, char.ToUpperInvariant(command));
        return true;
    }

    private void Finish(bool closed)
    {
        if (segments.Count > 0 || (closed && moved && last == 'M'))
        {
            done.Add(new DrawnLine(new Contour(start, segments), closed));
            segments = [];
        }
    }

    private void Skip()
    {
        while (i < text.Length && (char.IsWhiteSpace(text[i]) || text[i] == ','))
        {
            i++;
        }
    }

    private bool AtNumber() => i < text.Length && (char.IsAsciiDigit(text[i]) || text[i] is '+' or '-' or '.');

    private bool Flag(out bool flag)
    {
        Skip();
        flag = i < text.Length && text[i] == '1';
        return i < text.Length && text[i++] is '0' or '1';
    }

    private bool Number(out double number)
    {
        Skip();
        var from = i;
        i += i < text.Length && text[i] is '+' or '-' ? 1 : 0;
        var digits = Digits();
        if (i < text.Length && text[i] == '.')
        {
            i++;
            digits += Digits();
        }

        if (digits > 0 && i < text.Length && text[i] is 'e' or 'E')
        {
            var mantissa = i++;
            i += i < text.Length && text[i] is '+' or '-' ? 1 : 0;
            i = Digits() > 0 ? i : mantissa;
        }

        number = 0;
        if (digits > 0 && double.TryParse(text.AsSpan(from, i - from), NumberStyles.Float, CultureInfo.InvariantCulture, out number))
        {
            return true;
        }

        i = from;
        return false;
    }

    private int Digits()
    {
        var from = i;
        while (i < text.Length && char.IsAsciiDigit(text[i]))
        {
            i++;
        }

        return i - from;
    }
}
