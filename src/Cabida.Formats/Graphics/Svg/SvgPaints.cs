namespace Cabida.Formats.Graphics.Svg;

/// <summary>What colour fills and strokes are; gradients count as their first colour, patterns as grey, and both are told.</summary>
internal sealed class SvgPaints(Dictionary<string, SvgNode> byId, SvgStyles styles, SortedSet<string> leftOut)
{
    private const int DeepestReferences = 32;

    /// <summary>The colour of a fill or stroke; null when there is none.</summary>
    public string? Of(SvgStyle style, string what, string otherwise)
    {
        if (style.Of(what + "-opacity") is "0" or "0%" or "0.0")
        {
            return null;
        }

        var value = style.Of(what, otherwise).Trim();
        if (value is "none" or "transparent")
        {
            return null;
        }

        if (value.StartsWith("url(", StringComparison.OrdinalIgnoreCase))
        {
            var end = value.IndexOf(')', StringComparison.Ordinal);
            var id = end < 0 ? "" : value[4..end].Trim(' ', '"', '\'').TrimStart('#');
            if (byId.TryGetValue(id, out var server))
            {
                leftOut.Add(server.Name == "pattern" ? "the pattern of a fill, which is cut as a plain one" : "the shades of a gradient, which is cut in its first colour");
                return Stop(server) ?? "#808080";
            }

            // What stands behind the reference is used when it leads nowhere.
            value = end + 1 < value.Length ? value[(end + 1)..].Trim() : "none";
            return value.Length == 0 || value == "none" ? null : SvgValues.Colour(value);
        }

        return value.Equals("currentcolor", StringComparison.OrdinalIgnoreCase) ? SvgValues.Colour(style.Of("color", "black")) ?? "#000000" : SvgValues.Colour(value) ?? "#000000";
    }

    private string? Stop(SvgNode server)
    {
        for (var depth = 0; depth < DeepestReferences; depth++)
        {
            if (server.Children.Find(c => c.Name == "stop") is { } stop)
            {
                return SvgValues.Colour(styles.Of(stop, null).Of("stop-color", "black"));
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
