using System.Globalization;

namespace Cabida.Core.Type;

/// <summary>What a face has beside its plain letters, in the words it is looked for by.</summary>
public static class TypefaceTraits
{
    /// <summary>So many letters must have a form for the face to be said to have it.</summary>
    private const int LeastLetters = 5;

    /// <summary>All there are, in the order they are offered.</summary>
    public static IReadOnlyList<string> All { get; } = ["swashes", "tails", "small capitals", "alternates"];

    /// <summary>Those of a face.</summary>
    public static IReadOnlyList<string> Of(ITypeface face)
    {
        ArgumentNullException.ThrowIfNull(face);
        int Letters(Func<string, bool> family) => face.NamedForms.Where(g => family(g.Family)).Select(g => g.Letter).Distinct().Count();
        bool Has(Func<string, bool> family) => Letters(family) >= LeastLetters;
        return
        [
            .. Has(FormWords.IsSwash)
            || (face.Info.Kind.Contains("swashes", StringComparison.Ordinal) && Has(f => f.StartsWith("ss", StringComparison.Ordinal)))
                ? ["swashes"]
                : Array.Empty<string>(),
            .. Has(FormWords.IsTail) ? ["tails"] : Array.Empty<string>(),
            .. face.Features.Contains("smcp") || face.Features.Contains("c2sc") ? ["small capitals"] : Array.Empty<string>(),
            .. face.Features.Contains("salt")
            || face.Features.Any(f => f.StartsWith("ss", StringComparison.Ordinal) || f.StartsWith("cv", StringComparison.Ordinal))
                ? ["alternates"]
                : Array.Empty<string>(),
        ];
    }

    /// <summary>The letters of a text that a face lacks, each once, in order.</summary>
    public static IReadOnlyList<string> Lacking(ITypeface face, string text)
    {
        ArgumentNullException.ThrowIfNull(face);
        ArgumentNullException.ThrowIfNull(text);
        return [.. face.Shape(text, []).Missing.Select(i => StringInfo.GetNextTextElement(text, i)).Distinct(StringComparer.Ordinal)];
    }
}
