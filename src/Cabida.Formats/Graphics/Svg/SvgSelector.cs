using System.Text.RegularExpressions;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>A selector of a style sheet: names, classes and ids, and what they stand in. Others match nothing.</summary>
internal sealed partial class SvgSelector
{
    private readonly List<(Compound Compound, bool Child)> steps;

    private SvgSelector(List<(Compound, bool)> steps) => this.steps = steps;

    /// <summary>How strong it is: ids, then classes, then names.</summary>
    public int Strength => steps.Sum(s => ((s.Compound.Id.Length > 0 ? 1 : 0) * 10_000) + (s.Compound.Classes.Count * 100) + (s.Compound.Name is not ("" or "*") ? 1 : 0));

    /// <summary>The selectors of a list that are understood.</summary>
    public static IEnumerable<SvgSelector> Read(string text) => text.Split(',').Select(One).OfType<SvgSelector>();

    /// <summary>Whether it means an element.</summary>
    public bool Matches(SvgNode node)
    {
        if (!steps[^1].Compound.Matches(node))
        {
            return false;
        }

        var at = node.Parent;
        for (var i = steps.Count - 2; i >= 0; i--)
        {
            // A child stands directly in what comes before, others anywhere.
            while (at is not null && !steps[i].Compound.Matches(at) && !steps[i + 1].Child)
            {
                at = at.Parent;
            }

            if (at is null || !steps[i].Compound.Matches(at))
            {
                return false;
            }

            at = at.Parent;
        }

        return true;
    }

    private static SvgSelector? One(string text)
    {
        var steps = new List<(Compound, bool)>();
        var child = false;
        foreach (var word in text.Replace(">", " > ", StringComparison.Ordinal).Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            if (word == ">")
            {
                child = true;
                continue;
            }

            var match = Word().Match(word);
            if (!match.Success)
            {
                return null;
            }

            var marks = match.Groups["mark"].Captures.Select(c => c.Value).ToList();
            steps.Add((new Compound(match.Groups["name"].Value, marks.Find(m => m[0] == '#')?[1..] ?? "", [.. marks.Where(m => m[0] == '.').Select(m => m[1..])]), child));
            child = false;
        }

        return steps.Count == 0 ? null : new SvgSelector(steps);
    }

    private sealed record Compound(string Name, string Id, IReadOnlyList<string> Classes)
    {
        public bool Matches(SvgNode node) =>
            (Name is "" or "*" || Name == node.Name) && (Id.Length == 0 || Id == node.Of("id"))
            && (Classes.Count == 0 || node.Of("class").Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries) is var has && Classes.All(has.Contains));
    }

    [GeneratedRegex(@"^(?<name>\*|[\w-]+)?(?<mark>[.#][\w-]+)*$")]
    private static partial Regex Word();
}
