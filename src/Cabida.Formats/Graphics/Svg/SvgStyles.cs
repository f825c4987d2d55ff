using ExCSS;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>The style of an element as far as drawing needs it; property names as in CSS.</summary>
internal sealed class SvgStyle(IReadOnlyDictionary<string, string> values)
{
    /// <summary>A property, or nothing.</summary>
    public string Of(string property) => values.GetValueOrDefault(property, "");

    /// <summary>A property, or what it is without.</summary>
    public string Of(string property, string otherwise) => values.TryGetValue(property, out var value) && value.Length > 0 ? value : otherwise;

    /// <summary>All of it.</summary>
    public IReadOnlyDictionary<string, string> Values => values;
}

/// <summary>The second pass: what style each element has, from attributes, style sheets and its own style, and what it inherits.</summary>
internal sealed class SvgStyles
{
    private static readonly HashSet<string> Inherited = new(StringComparer.Ordinal)
    {
        "fill", "fill-rule", "fill-opacity", "stroke", "stroke-width", "stroke-linecap", "stroke-linejoin", "stroke-miterlimit", "stroke-dasharray", "stroke-dashoffset", "stroke-opacity", "clip-rule", "visibility", "color",
    };

    private static readonly HashSet<string> Own = new(StringComparer.Ordinal) { "display", "opacity", "clip-path", "mask", "filter", "transform", "stop-color", "stop-opacity", "vector-effect" };

    private readonly List<(SvgSelector Selector, int Order, List<(string Name, string Value, bool Important)> Declarations)> rules = [];

    private SvgStyles()
    {
    }

    /// <summary>Reads the style sheets of a file.</summary>
    public static SvgStyles Of(SvgNode root)
    {
        var styles = new SvgStyles();
        var parser = new StylesheetParser(includeUnknownDeclarations: true, includeUnknownRules: false, tolerateInvalidValues: true);
        foreach (var sheet in root.All().Where(n => n.Name == "style" && n.Text.Length > 0))
        {
            foreach (var rule in parser.Parse(sheet.Text).StyleRules)
            {
                var declarations = Declarations(rule.Style);
                styles.rules.AddRange(SvgSelector.Read(rule.SelectorText).Select(s => (s, styles.rules.Count, declarations)));
            }
        }

        return styles;
    }

    /// <summary>The style of an element.</summary>
    /// <param name="node">The element.</param>
    /// <param name="outer">The style of what it is drawn in.</param>
    public SvgStyle Of(SvgNode node, SvgStyle? outer)
    {
        var values = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var name in Inherited)
        {
            if (outer?.Of(name) is { Length: > 0 } above)
            {
                values[name] = above;
            }
        }

        foreach (var (name, value) in node.Attributes)
        {
            if (Inherited.Contains(name) || (Own.Contains(name) && name != "transform"))
            {
                Set(name, value);
            }
        }

        var matching = rules.Where(r => r.Selector.Matches(node)).OrderBy(r => r.Selector.Strength).ThenBy(r => r.Order).ToList();
        foreach (var (_, _, declarations) in matching)
        {
            declarations.ForEach(d => Set(d.Name, d.Value));
        }

        foreach (var declaration in node.Of("style").Split(';'))
        {
            if (declaration.IndexOf(':', StringComparison.Ordinal) is var colon && colon > 0)
            {
                Set(declaration[..colon].Trim().ToLowerInvariant(), declaration[(colon + 1)..].Replace("!important", "", StringComparison.OrdinalIgnoreCase).Trim());
            }
        }

        foreach (var (_, _, declarations) in matching)
        {
            declarations.Where(d => d.Important).ToList().ForEach(d => Set(d.Name, d.Value));
        }

        return new SvgStyle(values);

        void Set(string name, string value)
        {
            if ((Inherited.Contains(name) || Own.Contains(name)) && value.Length > 0)
            {
                if (value != "inherit")
                {
                    values[name] = value;
                }
                else if (outer?.Of(name) is { Length: > 0 } above)
                {
                    values[name] = above;
                }
            }
        }
    }

    private static List<(string Name, string Value, bool Important)> Declarations(StyleDeclaration style) =>
        [.. style.Declarations.Select(d => (d.Name.ToLowerInvariant(), d.Original is { Length: > 0 } typed ? typed.Trim() : d.Value, d.IsImportant))];
}
