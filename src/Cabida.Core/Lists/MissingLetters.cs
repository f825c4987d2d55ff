using System.Globalization;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Core.Lists;

/// <summary>Letters of a list that the typefaces of a motif lack, and typefaces that have all of them.</summary>
public static class MissingLetters
{
    private const int MostNamed = 6;

    /// <summary>What is missing, a sentence per line of lettering; empty when nothing is.</summary>
    /// <param name="motif">The motif.</param>
    /// <param name="pieces">The pieces.</param>
    /// <param name="faces">The typefaces at hand.</param>
    public static IReadOnlyList<Phrase> Of(Motif motif, IReadOnlyList<Piece> pieces, ITypefaces faces) =>
        [.. In(motif, pieces, faces).Select(Say)];

    /// <summary>
    /// What stands in for missing letters, and typefaces that have them all; a sentence per line of lettering that lacks some. To know it
    /// every face is opened, so it is asked for by itself.
    /// </summary>
    /// <param name="motif">The motif.</param>
    /// <param name="pieces">The pieces.</param>
    /// <param name="faces">The typefaces at hand.</param>
    public static IReadOnlyList<Phrase> Instead(Motif motif, IReadOnlyList<Piece> pieces, ITypefaces faces) =>
        [.. In(motif, pieces, faces).Select(l => SayInstead(l, faces))];

    /// <summary>A line that lacks letters of a list.</summary>
    /// <param name="Part">The line.</param>
    /// <param name="Face">Its face.</param>
    /// <param name="Said">What it says in each piece, letter by letter.</param>
    /// <param name="Missing">The letters it lacks.</param>
    private sealed record Lacking(
        LetteringPart Part,
        ITypeface Face,
        IReadOnlyList<(string Name, HashSet<string> Letters)> Said,
        HashSet<string> Missing
    );

    private static IEnumerable<Lacking> In(Motif motif, IReadOnlyList<Piece> pieces, ITypefaces faces)
    {
        ArgumentNullException.ThrowIfNull(motif);
        ArgumentNullException.ThrowIfNull(pieces);
        ArgumentNullException.ThrowIfNull(faces);
        foreach (
            var line in motif.AllParts.OfType<LetteringPart>().Where(l => Fields.In(l.Text).Any()).DistinctBy(l => (l.TypefaceId, l.Text))
        )
        {
            if (faces.Find(line.TypefaceId) is not { } face)
            {
                continue;
            }

            var said = pieces.Select(p => (p.Name, Letters: Elements(Fields.Fill(line.Text, p.Fields)))).ToList();
            var missing = LackedBy(face, said.SelectMany(s => s.Letters).ToHashSet(StringComparer.Ordinal));
            if (missing.Count > 0)
            {
                yield return new Lacking(line, face, said, missing);
            }
        }
    }

    private static Phrase Say(Lacking lacking)
    {
        var letters = string.Join(", ", lacking.Missing.Order(StringComparer.Ordinal).Select(m => $"“{m}”"));
        return Phrase.Say($"{lacking.Face.Info.Name} has no {letters:strong}, in {Some(NamesOf(lacking))}.");
    }

    private static List<string> NamesOf(Lacking lacking) =>
        [.. lacking.Said.Where(s => s.Letters.Overlaps(lacking.Missing)).Select(s => s.Name).Distinct(StringComparer.Ordinal)];

    private static Phrase SayInstead(Lacking lacking, ITypefaces faces)
    {
        var (line, face, _, _) = lacking;
        var instead = line.OwnFaceOnly
            ? []
            : NamesOf(lacking)
                .Take(MostNamed)
                .Select(n => new Dictionary<string, string>(StringComparer.Ordinal) { [Fields.Name] = n })
                .Select(fields => Fields.Fill(line.Text, fields).Trim())
                .Select(words => Fallbacks.For(face, words, faces))
                .OfType<FallbackFace>()
                .SelectMany(f => f.Behind)
                .Select(f => f.Info.Name)
                .Distinct(StringComparer.Ordinal)
                .ToList();
        var stands = instead.Count > 0 ? $"Their words are set in {string.Join(", ", instead)}. " : "";
        var every = string.Join(
            ' ',
            lacking.Said.SelectMany(s => s.Letters).Distinct(StringComparer.Ordinal).Order(StringComparer.Ordinal)
        );
        var able = faces
            .All.Where(f => f.Id != lacking.Part.TypefaceId && faces.Find(f.Id) is { } other && other.Shape(every, []).Missing.Count == 0)
            .Select(f => f.Name)
            .ToList();
        return able.Count > 0
            ? Phrase.Say($"{stands}Typefaces that have every letter of this list: {Some(able)}.")
            : Phrase.Say($"{stands}No typeface here has every letter of this list.");
    }

    private static string Some(List<string> names) =>
        names.Count > MostNamed
            ? $"{string.Join(", ", names.Take(MostNamed))} and {names.Count - MostNamed} more"
            : string.Join(", ", names);

    private static HashSet<string> Elements(string text)
    {
        var elements = new HashSet<string>(StringComparer.Ordinal);
        for (var each = StringInfo.GetTextElementEnumerator(text); each.MoveNext(); )
        {
            elements.Add(each.GetTextElement());
        }

        return elements;
    }

    private static HashSet<string> LackedBy(ITypeface face, IEnumerable<string> elements) =>
        elements.Where(e => e.Trim().Length > 0 && face.Shape(e, []).Missing.Count > 0).ToHashSet(StringComparer.Ordinal);
}
