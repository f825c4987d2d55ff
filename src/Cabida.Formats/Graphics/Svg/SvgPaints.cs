namespace Cabida.Formats.Graphics.Svg;

/// <summary>What a shape is filled or stroked with.</summary>
/// <param name="Colour">As <c>#rrggbb</c>.</param>
/// <param name="Alpha">How much of it is seen, from 0 to 1.</param>
internal readonly record struct SvgPaint(string Colour, double Alpha);

/// <summary>What colour fills and strokes are; gradients count as their first colour, patterns as grey, and both are told.</summary>
internal sealed class SvgPaints(Dictionary<string, SvgNode> byId, SvgStyles styles, SortedSet<string> leftOut)
{
    private const int DeepestReferences = 32;

    /// <summary>The colour of a fill or stroke; null when there is none.</summary>
    public SvgPaint? Of(SvgStyle style, string what, string otherwise)
    {
        var seen = SvgValues.Share(style.Of(what + "-opacity"));
        var value = style.Of(what, otherwise).Trim();
        if (value == "none" || seen == 0)
        {
            return null;
        }

        if (value.StartsWith("url(", StringComparison.OrdinalIgnoreCase))
        {
            var end = value.IndexOf(')', StringComparison.Ordinal);
            var id = end < 0 ? "" : value[4..end].Trim(' ', '"', '\'').TrimStart('#');
            if (byId.TryGetValue(id, out var server))
            {
                leftOut.Add(
                    server.Name == "pattern"
                        ? "the pattern of a fill, which is cut as a plain one"
                        : "the shades of a gradient, which is cut in its first colour"
                );
                return server.Name == "pattern" ? new SvgPaint("#808080", seen) : Stop(server, seen);
            }

            // What stands behind the reference is used when it leads nowhere.
            value = end + 1 < value.Length ? value[(end + 1)..].Trim() : "none";
            if (value.Length == 0 || value == "none")
            {
                return null;
            }
        }

        if (value.Equals("currentcolor", StringComparison.OrdinalIgnoreCase))
        {
            value = style.Of("color", "black");
        }

        if (SvgValues.Paint(value) is not { } paint)
        {
            leftOut.Add($"a colour that is not understood (“{(value.Length > 30 ? value[..30] + "…" : value)}”), which is cut as black");
            return new SvgPaint("#000000", seen);
        }

        return paint.Alpha * seen > 0 ? new SvgPaint(paint.Colour, paint.Alpha * seen) : null;
    }

    /// <summary>The first colour of a gradient that is seen at all.</summary>
    private SvgPaint? Stop(SvgNode server, double seen)
    {
        for (var depth = 0; depth < DeepestReferences; depth++)
        {
            var stops = server
                .Children.Where(c => c.Name == "stop")
                .Select(c => styles.Of(c, null))
                .Select(s =>
                    (Paint: SvgValues.Paint(s.Of("stop-color", "black")) ?? ("#000000", 1), Seen: SvgValues.Share(s.Of("stop-opacity")))
                )
                .ToList();
            if (stops.Count > 0)
            {
                return stops
                    .Where(s => s.Paint.Alpha * s.Seen > 0)
                    .Select(s => (SvgPaint?)new SvgPaint(s.Paint.Colour, seen))
                    .FirstOrDefault();
            }

            if (!server.Of("href").StartsWith('#') || !byId.TryGetValue(server.Of("href")[1..], out var other))
            {
                return null;
            }

            server = other;
        }

        return null;
    }
}
