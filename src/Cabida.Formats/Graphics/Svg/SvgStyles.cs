using Cabida.Core.Wording;
using ExCSS;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>
/// The second pass: what style each element has, from attributes, style sheets and its own style, and what it inherits. Rules are
/// found by the class, id or name that an element must have to be meant, so that many rules cost no more than few.
/// </summary>
internal sealed class SvgStyles
{
    private static readonly HashSet<string> Inherited = new(StringComparer.Ordinal)
    {
        "fill",
        "fill-rule",
        "fill-opacity",
        "stroke",
        "stroke-width",
        "stroke-linecap",
        "stroke-linejoin",
        "stroke-miterlimit",
        "stroke-dasharray",
        "stroke-dashoffset",
        "stroke-opacity",
        "clip-rule",
        "visibility",
        "color",
        "marker",
        "marker-start",
        "marker-mid",
        "marker-end",
    };

    private static readonly HashSet<string> Own = new(StringComparer.Ordinal)
    {
        "display",
        "opacity",
        "clip-path",
        "mask",
        "filter",
        "stop-color",
        "stop-opacity",
        "vector-effect",
        "overflow",
        "transform-origin",
        "transform-box",
        "mix-blend-mode",
    };

    /// <summary>What only a style sheet or an own style may say of shapes; as attributes they are read where shapes are.</summary>
    private static readonly HashSet<string> OnlyOfStyles = new(StringComparer.Ordinal)
    {
        "transform",
        "translate",
        "rotate",
        "scale",
        "x",
        "y",
        "width",
        "height",
        "cx",
        "cy",
        "r",
        "rx",
        "ry",
        "d",
    };

    private readonly Dictionary<string, List<Rule>> byKey = new(StringComparer.Ordinal);
    private readonly SortedSet<string> notes;
    private int count;

    private SvgStyles(SortedSet<string> notes) => this.notes = notes;

    /// <summary>More style rules than this are refused.</summary>
    public const int MostRules = 5000;

    /// <summary>Reads the style sheets of a file.</summary>
    /// <param name="name">The name of the file.</param>
    /// <param name="root">Its outermost element.</param>
    /// <param name="notes">Takes what is not followed, in words.</param>
    public static Outcome<SvgStyles> Of(string name, SvgNode root, SortedSet<string> notes)
    {
        var sheets = root.All().Where(n => n.Name == "style" && n.Text.Length > 0).ToList();
        if (sheets.Sum(s => s.Text.Count(c => c is '{' or ',')) > MostRules)
        {
            return Outcome<SvgStyles>.Fail(
                Phrase.Say(
                    $"{name:strong} has more than {MostRules:#,0} style rules. Save it with plain colours on its shapes, and bring "
                        + $"it in again."
                )
            );
        }

        var styles = new SvgStyles(notes);
        var parser = new StylesheetParser(includeUnknownDeclarations: true, includeUnknownRules: true, tolerateInvalidValues: true);
        foreach (var sheet in sheets)
        {
            if (IsShown(sheet.Of("media")))
            {
                styles.Take(parser.Parse(sheet.Text).Children, parser);
            }
            else
            {
                notes.Add(OtherMedia(sheet.Of("media")));
            }
        }

        return Outcome<SvgStyles>.Of(styles);
    }

    private void Take(IEnumerable<IStylesheetNode> rules, StylesheetParser parser)
    {
        foreach (var rule in rules)
        {
            switch (rule)
            {
                case IStyleRule style:
                    Take(style, parser);
                    break;
                case IMediaRule media when IsShown(media.Media.MediaText):
                    Take(media.Children.Where(c => c is not MediaList), parser);
                    break;
                case IMediaRule media:
                    notes.Add(OtherMedia(media.Media.MediaText));
                    break;
                case IImportRule:
                    notes.Add("a style sheet outside the file, which is never fetched");
                    break;
                case IRule:
                    notes.Add("style rules that are no plain ones (animations, fonts, conditions)");
                    break;
                default:
                    break;
            }
        }
    }

    private void Take(IStyleRule rule, StylesheetParser parser)
    {
        var declarations = rule
            .Style.Declarations.Select(d => new Declaration(
                d.Name.StartsWith("--", StringComparison.Ordinal) ? d.Name : d.Name.ToLowerInvariant(),
                d.Original is { Length: > 0 } typed ? typed.Trim() : d.Value,
                d.IsImportant
            ))
            .ToList();
        foreach (var text in SvgValues.Split(rule.SelectorText, ','))
        {
            if (parser.ParseSelector(text) is not { } selector || !SvgSelectors.IsKnown(selector))
            {
                notes.Add($"style rules for “{(text.Length > 40 ? text[..40] + "…" : text)}”, which are not followed");
                continue;
            }

            var key = KeyOf(selector);
            (byKey.TryGetValue(key, out var here) ? here : byKey[key] = []).Add(new Rule(selector, count++, declarations));
        }
    }

    /// <summary>What an element must have to be meant by a selector: an id, a class or a name; empty when that cannot be told.</summary>
    private static string KeyOf(ISelector selector) =>
        selector switch
        {
            ComplexSelector c => KeyOf(c.Last().Selector),
            CompoundSelector c => c.Select(KeyOf)
                .OrderBy(k =>
                    k.Length == 0 ? 3
                    : k[0] == '#' ? 0
                    : k[0] == '.' ? 1
                    : 2
                )
                .First(),
            IdSelector i => "#" + i.Id,
            ClassSelector c => "." + c.Class,
            TypeSelector t => t.Name,
            _ => "",
        };

    /// <summary>The style of an element.</summary>
    /// <param name="node">The element.</param>
    /// <param name="outer">The style of what it is drawn in.</param>
    public SvgStyle Of(SvgNode node, SvgStyle? outer)
    {
        var values = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var (name, value) in outer?.Values ?? new Dictionary<string, string>())
        {
            if (Inherited.Contains(name) || name.StartsWith("--", StringComparison.Ordinal))
            {
                values[name] = value;
            }
        }

        foreach (var (name, value) in node.Attributes)
        {
            if (Inherited.Contains(name) || Own.Contains(name))
            {
                Set(name, value);
            }
        }

        var matching = Matching(node);
        foreach (var rule in matching)
        {
            rule.Declarations.ForEach(d => Set(d.Name, d.Value));
        }

        foreach (var declaration in SvgValues.Split(node.Of("style"), ';'))
        {
            if (declaration.IndexOf(':', StringComparison.Ordinal) is var colon && colon > 0 && declaration[..colon].Trim() is var name)
            {
                Set(
                    name.StartsWith("--", StringComparison.Ordinal) ? name : name.ToLowerInvariant(),
                    declaration[(colon + 1)..].Replace("!important", "", StringComparison.OrdinalIgnoreCase).Trim()
                );
            }
        }

        foreach (var rule in matching)
        {
            rule.Declarations.Where(d => d.Important).ToList().ForEach(d => Set(d.Name, d.Value));
        }

        return new SvgStyle(values);

        void Set(string name, string value)
        {
            if (
                value.Length == 0
                || !(
                    Inherited.Contains(name)
                    || Own.Contains(name)
                    || OnlyOfStyles.Contains(name)
                    || name.StartsWith("--", StringComparison.Ordinal)
                )
            )
            {
                return;
            }

            switch (value)
            {
                case "inherit" or "unset" when value == "inherit" || Inherited.Contains(name):
                    if (outer is not null && outer.Values.TryGetValue(name, out var above))
                    {
                        values[name] = above;
                    }

                    break;
                case "initial" or "unset" or "revert":
                    values.Remove(name);
                    break;
                default:
                    values[name] = value;
                    break;
            }
        }
    }

    /// <summary>The rules that mean an element, the strongest last.</summary>
    private List<Rule> Matching(SvgNode node)
    {
        if (byKey.Count == 0)
        {
            return [];
        }

        var near = node
            .Classes.Select(c => "." + c)
            .Append("#" + node.Of("id"))
            .Append(node.Name)
            .Append("")
            .SelectMany(k => byKey.GetValueOrDefault(k, []))
            .ToList();
        Effort.Spend(StepsPerRule * (long)near.Count);
        return [.. near.Where(r => SvgSelectors.Matches(r.Selector, node)).OrderBy(r => r.Selector.Specificity).ThenBy(r => r.Order)];
    }

    private const int StepsPerRule = 12;

    /// <summary>Whether a list of media holds for what is seen on a screen, whatever its size.</summary>
    private static bool IsShown(string media) => media.Trim().ToLowerInvariant() is "" or "all" or "screen" or "only screen";

    private static string OtherMedia(string media) => $"style rules for other uses ({media})";

    private sealed record Declaration(string Name, string Value, bool Important);

    private sealed record Rule(ISelector Selector, int Order, List<Declaration> Declarations);
}
