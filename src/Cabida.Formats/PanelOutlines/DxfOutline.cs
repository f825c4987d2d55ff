using System.Globalization;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Formats.PanelOutlines;

/// <summary>
/// The closed outlines of a text DXF: lines, arcs, circles, ellipses, polylines with bulges and splines; what touches end
/// to end is joined. Millimetres, y up.
/// </summary>
internal static class DxfOutline
{
    /// <summary>Ends this near belong together; millimetres.</summary>
    private const double Joined = 0.02;

    private const int SplineStepsPerSpan = 64;

    public static Outcome<FileLoops> Read(string text)
    {
        var pairs = Pairs(text);
        var unit = Unit(pairs);
        // Curves are followed in the file's own unit, to the tolerance of ink once they are scaled.
        var chord = Tolerances.Ink / unit.Scale;
        var chains = new List<List<PlanePoint>>();
        var refused = new SortedSet<string>(StringComparer.Ordinal);
        var entities = Entities(pairs);
        for (var i = 0; i < entities.Count; i++)
        {
            var e = entities[i];
            if (e.Kind == "POLYLINE")
            {
                var vertices = entities.Skip(i + 1).TakeWhile(v => v.Kind == "VERTEX").ToList();
                chains.Add(Polyline([.. vertices.Select(v => (v.Point(10), v.Of(42)))], ((int)e.Of(70) & 1) == 1, chord));
                i += vertices.Count;
            }
            else if (Chain(e, chord) is { } chain)
            {
                chains.Add(chain);
            }
            else if (e.Kind is "INSERT" or "TEXT" or "MTEXT" or "HATCH" or "IMAGE")
            {
                refused.Add(e.Kind is "INSERT" ? "blocks" : e.Kind is "TEXT" or "MTEXT" ? "text" : e.Kind is "HATCH" ? "hatching" : "pictures");
            }
        }

        var scaled = chains.Where(c => c.Count > 1).Select(c => c.Select(p => new PlanePoint(p.X * unit.Scale, p.Y * unit.Scale)).ToList()).ToList();
        var (closed, open) = Join(scaled);
        if (closed.Count == 0)
        {
            return Outcome<FileLoops>.Fail(
                open.Count > 0 ? Phrase.Say($"The outline in the DXF is not closed: it ends {Length.Mm(open.Min(o => o[0].To(o[^1])))} short of its start. Close it in the drawing.")
                : refused.Count > 0 ? Phrase.Say($"The DXF holds only {string.Join(" and ", refused)}. Explode it into lines and arcs first.")
                : Phrase.Say($"The DXF holds no outline that can be read."));
        }

        var remark = unit.Stated ? "" : " (its unit is not stated, so millimetres were taken: check its width)";
        return Outcome<FileLoops>.Of(new FileLoops([.. closed], refused.Count > 0 ? $"{remark}; {string.Join(" and ", refused)} in it left out" : remark));
    }

    private sealed record Entity(string Kind, List<(int Code, string Value)> Values)
    {
        public double Of(int code) => Values.FirstOrDefault(v => v.Code == code).Value is { } text ? Number(text) : 0;

        public PlanePoint Point(int code) => new(Of(code), Of(code + 10));

        public IEnumerable<PlanePoint> Points(int code) => Values.Where(v => v.Code == code).Zip(Values.Where(v => v.Code == code + 10), (x, y) => new PlanePoint(Number(x.Value), Number(y.Value)));
    }

    private static double Number(string text) => double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var n) ? n : 0;

    private static List<(int Code, string Value)> Pairs(string text)
    {
        var lines = text.Split('\n');
        var pairs = new List<(int, string)>();
        for (var i = 0; i + 1 < lines.Length; i += 2)
        {
            if (int.TryParse(lines[i].Trim(), NumberStyles.Integer, CultureInfo.InvariantCulture, out var code))
            {
                pairs.Add((code, lines[i + 1].Trim()));
            }
        }

        return pairs;
    }

    /// <summary>$INSUNITS of the header: 1 inches, 4 millimetres, 5 centimetres, 6 metres.</summary>
    private static (double Scale, bool Stated) Unit(List<(int Code, string Value)> pairs)
    {
        var at = pairs.FindIndex(p => p is (9, "$INSUNITS"));
        return at < 0 || at + 1 >= pairs.Count ? (1, false) : pairs[at + 1].Value switch { "1" => (25.4, true), "4" => (1, true), "5" => (10, true), "6" => (1000, true), _ => (1, false) };
    }

    private static List<Entity> Entities(List<(int Code, string Value)> pairs)
    {
        var found = new List<Entity>();
        var start = pairs.FindIndex(p => p is (2, "ENTITIES"));
        foreach (var (code, value) in start < 0 ? [] : pairs.Skip(start + 1))
        {
            if (code == 0 && value == "ENDSEC")
            {
                break;
            }

            if (code == 0)
            {
                found.Add(new Entity(value, []));
            }
            else if (found.Count > 0)
            {
                found[^1].Values.Add((code, value));
            }
        }

        return found;
    }

    private static List<PlanePoint>? Chain(Entity e, double chord)
    {
        switch (e.Kind)
        {
            case "LINE":
                return [e.Point(10), e.Point(11)];
            case "CIRCLE":
                return Arc(e.Point(10), new(e.Of(40), 0), 1, 0, 2 * Math.PI, chord);
            case "ARC":
                double from = e.Of(50) * Math.PI / 180, to = e.Of(51) * Math.PI / 180;
                return Arc(e.Point(10), new(e.Of(40), 0), 1, from, to > from ? to : to + (2 * Math.PI), chord);
            case "ELLIPSE":
                return Arc(e.Point(10), e.Point(11), e.Of(40), e.Of(41), e.Of(42), chord);
            case "LWPOLYLINE":
                return Polyline(Vertices(e), ((int)e.Of(70) & 1) == 1, chord);
            case "SPLINE":
                return Spline((int)e.Of(71), [.. e.Values.Where(v => v.Code == 40).Select(v => Number(v.Value))], [.. e.Points(10)]);
            default:
                return null;
        }
    }

    private static List<(PlanePoint, double Bulge)> Vertices(Entity e)
    {
        var vertices = new List<(PlanePoint At, double Bulge)>();
        foreach (var (code, value) in e.Values)
        {
            switch (code)
            {
                case 10:
                    vertices.Add((new(Number(value), 0), 0));
                    break;
                case 20 when vertices.Count > 0:
                    vertices[^1] = (vertices[^1].At with { Y = Number(value) }, 0);
                    break;
                case 42 when vertices.Count > 0:
                    vertices[^1] = (vertices[^1].At, Number(value));
                    break;
            }
        }

        return vertices;
    }

    /// <summary>A bulge is the tangent of a quarter of the arc's angle, positive to the left.</summary>
    private static List<PlanePoint> Polyline(List<(PlanePoint At, double Bulge)> vertices, bool closed, double chordError)
    {
        var points = new List<PlanePoint>();
        for (var i = 0; i < vertices.Count; i++)
        {
            points.Add(vertices[i].At);
            if (i + 1 == vertices.Count && !closed)
            {
                break;
            }

            PlanePoint a = vertices[i].At, b = vertices[(i + 1) % vertices.Count].At;
            var bulge = vertices[i].Bulge;
            if (Math.Abs(bulge) < 1e-9)
            {
                continue;
            }

            var angle = 4 * Math.Atan(bulge);
            var chord = a.To(b);
            var radius = chord / (2 * Math.Sin(Math.Abs(angle) / 2));
            var towards = Math.Atan2(b.Y - a.Y, b.X - a.X);
            var normal = towards + (Math.Sign(bulge) * Math.PI / 2);
            var height = radius * Math.Cos(angle / 2);
            var centre = new PlanePoint(((a.X + b.X) / 2) + (height * Math.Cos(normal)), ((a.Y + b.Y) / 2) + (height * Math.Sin(normal)));
            var start = Math.Atan2(a.Y - centre.Y, a.X - centre.X);
            points.AddRange(Arc(centre, new(radius, 0), 1, start, start + angle, chordError).Skip(1).SkipLast(1));
        }

        if (closed && points.Count > 0)
        {
            points.Add(points[0]);
        }

        return points;
    }

    /// <summary>Points along an arc of an ellipse, close enough that its chords leave it by less than the tolerance of ink.</summary>
    private static List<PlanePoint> Arc(PlanePoint centre, PlanePoint major, double ratio, double from, double to, double chord)
    {
        var radius = Math.Sqrt((major.X * major.X) + (major.Y * major.Y));
        var most = Math.Min(Tolerances.InkTurn, 2 * Math.Acos(Math.Max(0, 1 - (chord / Math.Max(radius, 1e-6)))));
        var steps = Math.Max(2, (int)Math.Ceiling(Math.Abs(to - from) / most));
        return [.. Enumerable.Range(0, steps + 1).Select(i => from + ((to - from) * i / steps)).Select(t => new PlanePoint(
            centre.X + (major.X * Math.Cos(t)) - (ratio * major.Y * Math.Sin(t)), centre.Y + (major.Y * Math.Cos(t)) + (ratio * major.X * Math.Sin(t))))];
    }

    /// <summary>A B-spline by de Boor's recursion.</summary>
    private static List<PlanePoint>? Spline(int degree, double[] knots, PlanePoint[] control)
    {
        if (degree < 1 || control.Length <= degree || knots.Length != control.Length + degree + 1)
        {
            return null;
        }

        var points = new List<PlanePoint>();
        for (var span = degree; span < control.Length; span++)
        {
            if (knots[span + 1] <= knots[span])
            {
                continue;
            }

            for (var i = points.Count == 0 ? 0 : 1; i <= SplineStepsPerSpan; i++)
            {
                points.Add(At(span, knots[span] + ((knots[span + 1] - knots[span]) * i / SplineStepsPerSpan)));
            }
        }

        return points;

        PlanePoint At(int span, double t)
        {
            var d = Enumerable.Range(span - degree, degree + 1).Select(j => control[j]).ToArray();
            for (var r = 1; r <= degree; r++)
            {
                for (var j = degree; j >= r; j--)
                {
                    var k = span - degree + j;
                    var share = (t - knots[k]) / (knots[k + degree - r + 1] - knots[k]);
                    d[j] = d[j - 1].Towards(d[j], share);
                }
            }

            return d[degree];
        }
    }

    /// <summary>Joins what touches end to end; what closes is an outline.</summary>
    private static (List<List<PlanePoint>> Closed, List<List<PlanePoint>> Open) Join(List<List<PlanePoint>> chains)
    {
        bool Closes(List<PlanePoint> c) => c.Count > 3 && c[0].To(c[^1]) <= Joined;
        var closed = chains.Where(Closes).ToList();
        var open = chains.Where(c => !Closes(c)).ToList();
        var left = new List<List<PlanePoint>>();
        while (open.Count > 0)
        {
            var chain = open[0];
            open.RemoveAt(0);
            for (var at = Next(chain); at >= 0 && !Closes(chain); at = Next(chain))
            {
                var next = open[at];
                open.RemoveAt(at);
                chain = [.. chain, .. (next[0].To(chain[^1]) <= Joined ? next : Enumerable.Reverse(next)).Skip(1)];
            }

            (Closes(chain) ? closed : left).Add(chain);
        }

        return ([.. closed.Select(c => c.SkipLast(1).ToList())], left);

        int Next(List<PlanePoint> chain) => open.FindIndex(c => c[0].To(chain[^1]) <= Joined || c[^1].To(chain[^1]) <= Joined);
    }
}
