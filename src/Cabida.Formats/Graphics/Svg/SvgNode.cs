namespace Cabida.Formats.Graphics.Svg;

/// <summary>An element of an SVG file, with what drawing it takes.</summary>
/// <param name="Name">Its name without a prefix.</param>
/// <param name="Parent">What it stands in; null for the outermost.</param>
/// <param name="Depth">How deep it stands.</param>
internal sealed record SvgNode(string Name, SvgNode? Parent, int Depth)
{
    /// <summary>Its attributes, names without a prefix.</summary>
    public Dictionary<string, string> Attributes { get; } = new(StringComparer.Ordinal);

    /// <summary>What stands in it.</summary>
    public List<SvgNode> Children { get; } = [];

    /// <summary>Its text, of style sheets.</summary>
    public string Text { get; set; } = "";

    /// <summary>An attribute, or nothing.</summary>
    public string Of(string name) => Attributes.GetValueOrDefault(name, "");

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
