using System.Runtime.CompilerServices;
using ExCSS;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>Whether selectors, as the style-sheet library reads them, mean an element of a drawing.</summary>
internal static class SvgSelectors
{
    /// <summary>Whether all of a selector is one that is followed here.</summary>
    public static bool IsKnown(ISelector selector) =>
        selector switch
        {
            ComplexSelector c => c.All(s => s.Delimiter is null or "" or " " or ">" or "+" or "~" && IsKnown(s.Selector)),
            ListSelector l => l.All(IsKnown),
            CompoundSelector c => c.All(IsKnown),
            NotSelector n => IsKnown(n.Inner),
            MatchesSelector m => IsKnown(m.Inner),
            PseudoClassSelector p => p.Class is "root" or "empty" or "hover" or "focus" or "active" or "visited" || Sides.Contains(p.Class),
            ChildSelector c => c is FirstChildSelector or LastChildSelector or FirstTypeSelector or LastTypeSelector,
            AllSelector or TypeSelector or ClassSelector or IdSelector or IAttrSelector => true,
            _ => false,
        };

    /// <summary>The steps of complex selectors, which are asked for element by element.</summary>
    private static readonly ConditionalWeakTable<ComplexSelector, CombinatorSelector[]> Steps = [];

    private static readonly HashSet<string> Sides = new(StringComparer.Ordinal)
    {
        "first-child",
        "last-child",
        "only-child",
        "first-of-type",
        "last-of-type",
        "only-of-type",
    };

    private static bool IsAt(string side, SvgNode node, bool fromEnd) =>
        node.PlaceAmongSiblings(side.EndsWith("type", StringComparison.Ordinal), fromEnd) == 1;

    /// <summary>Whether a selector means an element.</summary>
    public static bool Matches(ISelector selector, SvgNode node) =>
        selector switch
        {
            ComplexSelector c => Complex(Steps.GetValue(c, s => [.. s]), node),
            ListSelector l => l.Any(s => Matches(s, node)),
            CompoundSelector c => c.All(s => Matches(s, node)),
            NotSelector n => !Matches(n.Inner, node),
            MatchesSelector m => Matches(m.Inner, node),
            AllSelector => true,
            TypeSelector t => t.Name == node.Name,
            ClassSelector c => node.Classes.Contains(c.Class),
            IdSelector i => i.Id == node.Of("id"),
            IAttrSelector a => Attribute(a, node),
            PseudoClassSelector p => p.Class switch
            {
                "root" => node.Parent is null,
                _ when Sides.Contains(p.Class) => (
                    p.Class.StartsWith("last", StringComparison.Ordinal) || IsAt(p.Class, node, fromEnd: false)
                ) && (p.Class.StartsWith("first", StringComparison.Ordinal) || IsAt(p.Class, node, fromEnd: true)),
                "empty" => node.Children.Count == 0,
                // Nobody points at a drawing that is cut.
                _ => false,
            },
            ChildSelector c => IsNth(c, node),
            _ => false,
        };

    /// <summary>The steps of a complex selector, from what it means outwards; each names how it stands to the one behind it.</summary>
    private static bool Complex(CombinatorSelector[] steps, SvgNode node) =>
        Matches(steps[^1].Selector, node) && Before(steps, steps.Length - 2, node);

    private static bool Before(CombinatorSelector[] steps, int step, SvgNode node)
    {
        if (step < 0)
        {
            return true;
        }

        bool Meant(SvgNode? at) => at is not null && Matches(steps[step].Selector, at) && Before(steps, step - 1, at);
        return steps[step].Delimiter switch
        {
            ">" => Meant(node.Parent),
            "+" => Meant(node.Sibling(-1)),
            "~" => node.Before().Any(Meant),
            _ => node.Ancestors().Any(Meant),
        };
    }

    private static bool Attribute(IAttrSelector selector, SvgNode node)
    {
        if (!node.Attributes.TryGetValue(selector.Attribute, out var has))
        {
            return selector is AttrNotMatchSelector;
        }

        var value = selector.Value ?? "";
        return selector switch
        {
            AttrMatchSelector => has == value,
            AttrNotMatchSelector => has != value,
            AttrListSelector => value.Length > 0
                && has.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Contains(value, StringComparer.Ordinal),
            AttrBeginsSelector => value.Length > 0 && has.StartsWith(value, StringComparison.Ordinal),
            AttrEndsSelector => value.Length > 0 && has.EndsWith(value, StringComparison.Ordinal),
            AttrContainsSelector => value.Length > 0 && has.Contains(value, StringComparison.Ordinal),
            AttrHyphenSelector => has == value || has.StartsWith(value + "-", StringComparison.Ordinal),
            _ => true,
        };
    }

    /// <summary>
    /// Whether an element is the (step·n + offset)th of its siblings, or of those of its name, from the front or the back.
    /// </summary>
    private static bool IsNth(ChildSelector selector, SvgNode node)
    {
        var sameName = selector is FirstTypeSelector or LastTypeSelector;
        var fromEnd = selector is LastChildSelector or LastTypeSelector;
        var place = node.PlaceAmongSiblings(sameName, fromEnd) - selector.Offset;
        return selector.Step == 0 ? place == 0 : place % selector.Step == 0 && place / selector.Step >= 0;
    }
}
