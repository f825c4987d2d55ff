namespace Cabida.Formats.Graphics.Svg;

/// <summary>An element of an SVG file, with what drawing it takes.</summary>
/// <param name="Name">Its name without a prefix.</param>
/// <param name="Parent">What it stands in; null for the outermost.</param>
/// <param name="Depth">How deep it stands.</param>
internal sealed record SvgNode(string Name, SvgNode? Parent, int Depth)
{
    private HashSet<string>? classes;

    /// <summary>Its attributes, names without a prefix.</summary>
    public Dictionary<string, string> Attributes { get; } = new(StringComparer.Ordinal);

    /// <summary>What stands in it.</summary>
    public List<SvgNode> Children { get; } = [];

    /// <summary>Which child of its parent it is, from 0.</summary>
    public int Index { get; init; }

    /// <summary>Its text, of style sheets.</summary>
    public string Text { get; set; } = "";

    /// <summary>Its classes.</summary>
    public IReadOnlySet<string> Classes =>
        classes ??= new HashSet<string>(Of("class").Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries), StringComparer.Ordinal);

    /// <summary>An attribute, or nothing.</summary>
    public string Of(string name) => Attributes.GetValueOrDefault(name, "");

    /// <summary>The sibling so many places on; null when there is none.</summary>
    public SvgNode? Sibling(int by) => Parent?.Children is { } all && Index + by is var at && at >= 0 && at < all.Count ? all[at] : null;

    /// <summary>The siblings before it, the nearest first.</summary>
    public IEnumerable<SvgNode> Before()
    {
        for (var at = Sibling(-1); at is not null; at = at.Sibling(-1))
        {
            yield return at;
        }
    }

    /// <summary>What it stands in, from the inside out.</summary>
    public IEnumerable<SvgNode> Ancestors()
    {
        for (var at = Parent; at is not null; at = at.Parent)
        {
            yield return at;
        }
    }

    /// <summary>Its place among its siblings, from 1.</summary>
    public int PlaceAmongSiblings(bool ofItsName, bool fromEnd)
    {
        if (Parent is null)
        {
            return 1;
        }

        var all = Parent.Children;
        return !ofItsName
            ? fromEnd
                ? all.Count - Index
                : Index + 1
            : (fromEnd ? all.Skip(Index) : all.Take(Index + 1)).Count(s => s.Name == Name);
    }

    /// <summary>It and all that stands in it.</summary>
    public IEnumerable<SvgNode> All()
    {
        var waiting = new Stack<SvgNode>();
        waiting.Push(this);
        while (waiting.TryPop(out var node))
        {
            yield return node;
            for (var i = node.Children.Count - 1; i >= 0; i--)
            {
                waiting.Push(node.Children[i]);
            }
        }
    }
}
