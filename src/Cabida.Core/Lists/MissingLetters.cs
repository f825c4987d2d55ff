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
    public static IReadOnlyList<Phrase> Of(Motif motif, IReadOnlyList<Piece> pieces, ITypefaces faces)
    {
        ArgumentNullException.ThrowIfNull(motif);
        ArgumentNullException.ThrowIfNull(pieces);
        ArgumentNullException.ThrowIfNull(faces);
        var notes = new List<Phrase>();
        foreach (
            var line in motif.AllParts.OfType<LetteringPart>().Where(l => Fields.In(l.Text).Any()).DistinctBy(l => (l.TypefaceId, l.Text))
        )
        {
            if (faces.Find(line.TypefaceId) is not { } face)
            {
                continue;
            }

            var said = pieces.Select(p => (p.Name, Letters: Elements(Fields.Fill(line.Text, p.Fields)))).ToList();
            var all = said.SelectMany(s => s.Letters).ToHashSet(StringComparer.Ordinal);
            var missing = Lacking(face, all);
            if (missing.Count == 0)
            {
                continue;
            }

            var names = said.Where(s => s.Letters.Overlaps(missing)).Select(s => s.Name).Distinct(StringComparer.Ordinal).ToList();
            var every = string.Join(' ', all.Order(StringComparer.Ordinal));
            var able = faces
                .All.Where(f => f.Id != line.TypefaceId && faces.Find(f.Id) is { } other && other.Shape(every, []).Missing.Count == 0)
                .Select(f => f.Name)
                .ToList();
            var where =
                names.Count > MostNamed
                    ? $"{string.Join(", ", names.Take(MostNamed))} and {names.Count - MostNamed} more"
                    : string.Join(", ", names);
            var instead = line.OwnFaceOnly
                ? []
                : said.Where(s => s.Letters.Overlaps(missing))
                    .Take(MostNamed)
                    .Select(s => new Dictionary<string, string>(StringComparer.Ordinal) { [Fields.Name] = s.Name })
                    .Select(fields => Fields.Fill(line.Text, fields).Trim())
                    .Select(words => Fallbacks.For(face, words, faces))
                    .OfType<FallbackFace>()
                    .SelectMany(f => f.Behind)
                    .Select(f => f.Info.Name)
                    .Distinct(StringComparer.Ordinal)
                    .ToList();
            var stands = instead.Count > 0 ? $" Their words are set in {string.Join(", ", instead)}." : "";
            var others =
                able.Count > MostNamed
                    ? $"{string.Join(", ", able.Take(MostNamed))} and {able.Count - MostNamed} more"
                    : string.Join(", ", able);
            var letters = string.Join(", ", missing.Order(StringComparer.Ordinal).Select(m => $"“{m}”"));
            var suggested =
                able.Count > 0
                    ? $"Typefaces that have every letter of this list: {others}."
                    : "No typeface here has every letter of this list.";
            notes.Add(Phrase.Say($"{face.Info.Name} has no {letters:strong}, in {where}.{stands} {suggested}"));
        }

        return notes;
    }

    private static HashSet<string> Elements(string text)
    {
        var elements = new HashSet<string>(StringComparer.Ordinal);
        for (var each = StringInfo.GetTextElementEnumerator(text); each.MoveNext(); )
        {
            elements.Add(each.GetTextElement());
        }

        return elements;
    }

    private static HashSet<string> Lacking(ITypeface face, IEnumerable<string> elements) =>
        elements.Where(e => e.Trim().Length > 0 && face.Shape(e, []).Missing.Count > 0).ToHashSet(StringComparer.Ordinal);
}
