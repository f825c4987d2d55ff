using System.Text.RegularExpressions;
using Cabida.Core.Geometry;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>Transforms, as attributes and as styles have them.</summary>
internal static partial class SvgTransforms
{
    private static readonly HashSet<string> Flat = new(StringComparer.Ordinal)
    {
        "translate",
        "translateX",
        "translateY",
        "scale",
        "scaleX",
        "scaleY",
        "rotate",
        "rotateZ",
        "skew",
        "skewX",
        "skewY",
        "matrix",
    };

    /// <summary>A function of a list that is none of the plane; null when all are.</summary>
    public static string? Unflat(string text) =>
        Function().Matches(text).Select(m => m.Groups["name"].Value).FirstOrDefault(n => !Flat.Contains(n));

    /// <summary>A list of transforms as one motion, y down.</summary>
    /// <param name="text">The list; lengths and angles may have units.</param>
    /// <param name="box">What percentages are of.</param>
    public static Motion Of(string text, Box box)
    {
        var all = Motion.None;
        foreach (Match m in Function().Matches(text))
        {
            var values = m.Groups["values"].Value.Split([' ', ',', '\t', '\r', '\n'], StringSplitOptions.RemoveEmptyEntries);
            all = One(m.Groups["name"].Value, values, box).Then(all);
        }

        return all;
    }

    /// <summary>
    /// What an element is moved by: its own translate, rotate and scale, then its list, about its origin. A style says it before an
    /// attribute does.
    /// </summary>
    /// <param name="node">The element.</param>
    /// <param name="style">Its style.</param>
    /// <param name="port">The view that it is drawn in.</param>
    /// <param name="ownBox">The box of what it draws; asked for only where a style takes its origin from there.</param>
    public static Motion Of(SvgNode node, SvgStyle style, (double Width, double Height) port, Func<Box> ownBox)
    {
        var list = style.Of("transform") is { Length: > 0 } styled ? styled : node.Of("transform");
        var (move, turn, scale) = (style.Of("translate"), style.Of("rotate"), style.Of("scale"));
        if (list.Length == 0 && move.Length + turn.Length + scale.Length == 0)
        {
            return Motion.None;
        }

        var box = style.Of("transform-box") is "fill-box" or "stroke-box" or "content-box" or "border-box"
            ? ownBox()
            : new Box(0, 0, port.Width, port.Height);
        // Without a box of its own an origin counts from where the view's coordinates begin.
        var origin = Origin(style.Of("transform-origin"), box, style.Of("transform-box") is "" or "view-box");
        var all = Of($"{Function("translate", move)} {Function("rotate", turn)} {Function("scale", scale)} {list}", box);
        return Motion.Move(-origin.X, -origin.Y).Then(all).Then(Motion.Move(origin.X, origin.Y));

        static string Function(string name, string values) => values is "" or "none" ? "" : $"{name}({values})";
    }

    private static PlanePoint Origin(string text, Box box, bool fromZero)
    {
        var words = text.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        if (words.Length == 0)
        {
            return fromZero ? new(0, 0) : new(box.CentreX, box.CentreY);
        }

        if (words is ["top" or "bottom", ..])
        {
            words = [words.ElementAtOrDefault(1) ?? "center", words[0]];
        }

        double At(string word, double least, double length) =>
            least
            + word switch
            {
                "left" or "top" => 0,
                "right" or "bottom" => length,
                "center" => length / 2,
                _ => SvgValues.Length(word, length),
            };
        return new(At(words[0], box.MinX, box.Width), At(words.ElementAtOrDefault(1) ?? "center", box.MinY, box.Height));
    }

    private static Motion One(string name, string[] v, Box box)
    {
        double Length(int i, double whole) => SvgValues.Length(v[i], whole);
        double Number(int i) => SvgValues.Length(v[i], 1);
        double Angle(int i) => SvgValues.Degrees(v[i]);
        return (name, v.Length) switch
        {
            ("translate", 1) => Motion.Move(Length(0, box.Width), 0),
            ("translate", 2) => Motion.Move(Length(0, box.Width), Length(1, box.Height)),
            ("translateX", 1) => Motion.Move(Length(0, box.Width), 0),
            ("translateY", 1) => Motion.Move(0, Length(0, box.Height)),
            ("scale", 1) => Motion.Scale(Number(0), Number(0)),
            ("scale", 2) => Motion.Scale(Number(0), Number(1)),
            ("scaleX", 1) => Motion.Scale(Number(0), 1),
            ("scaleY", 1) => Motion.Scale(1, Number(0)),
            // With y down a positive angle turns to the right, which in these coordinates is a turn to the left.
            ("rotate" or "rotateZ", 1) => Motion.TurnLeft(Angle(0)),
            ("rotate", 3) => Motion.Move(-Number(1), -Number(2)).Then(Motion.TurnLeft(Angle(0))).Then(Motion.Move(Number(1), Number(2))),
            ("skewX" or "skew", 1) => new Motion(1, Tan(0), 0, 0, 1, 0),
            ("skew", 2) => new Motion(1, Tan(0), 0, Tan(1), 1, 0),
            ("skewY", 1) => new Motion(1, 0, 0, Tan(0), 1, 0),
            ("matrix", 6) => new Motion(Number(0), Number(2), Number(4), Number(1), Number(3), Number(5)),
            _ => Motion.None,
        };

        double Tan(int i) => Math.Tan(Angle(i) * Math.PI / 180);
    }

    [GeneratedRegex(@"(?<name>[a-zA-Z]+)\s*\((?<values>[^)]*)\)")]
    private static partial Regex Function();
}
