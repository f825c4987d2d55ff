using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using Cabida.Core.Geometry;

namespace Cabida.Core.Type;

/// <summary>
/// Finds, for words that a face lacks letters of, the face that has them and is most like it: in the weight of its strokes, and in
/// kind.
/// </summary>
public static class Fallbacks
{
    /// <summary>Another kind weighs as much as strokes that are a third thicker.</summary>
    private const double OtherKind = 0.3;

    private const int MostKept = 2000;
    private const double Level = 1e-3;
    private const string Plain = "Hanou";

    /// <summary>What was found, by face and letters; it goes with the faces it was found among.</summary>
    private static readonly ConditionalWeakTable<
        ITypefaces,
        ConcurrentDictionary<(string Face, string Letters, int Among), IReadOnlyList<string>>
    > Kept = [];

    /// <summary>
    /// The face, with another behind it where it lacks letters of a text; with several where no one has all of its words. The face itself
    /// where it has them all, or no other has any.
    /// </summary>
    /// <param name="face">The face.</param>
    /// <param name="text">The text, in composed form.</param>
    /// <param name="faces">The faces at hand.</param>
    public static ITypeface For(ITypeface face, string text, ITypefaces faces)
    {
        ArgumentNullException.ThrowIfNull(face);
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(faces);
        var missing = face.Shape(text, []).Missing;
        if (missing.Count == 0)
        {
            return face;
        }

        // Whole words are set in the face that stands in, so all of their letters count.
        var words = text.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)
            .Where(w => face.Shape(w, []).Missing.Count > 0)
            .ToList();
        var kept = Kept.GetOrCreateValue(faces);
        if (kept.Count > MostKept)
        {
            kept.Clear();
        }

        var found = kept.GetOrAdd((face.Info.Id, string.Join(' ', words), faces.All.Count), _ => Best(face, words, faces));
        var behind = found
            .Select(faces.Find)
            .OfType<ITypeface>()
            .Reverse()
            .Aggregate((ITypeface?)null, (behind, f) => behind is null ? f : new FallbackFace(f, behind));
        return behind is null ? face : new FallbackFace(face, behind);
    }

    /// <summary>The one face for all words, or those for as many of them as have one.</summary>
    private static IReadOnlyList<string> Best(ITypeface face, List<string> words, ITypefaces faces) =>
        Best(face, string.Join(' ', words), faces) is { Length: > 0 } one
            ? [one]
            : [.. words.Select(w => Best(face, w, faces)).Where(f => f.Length > 0).Distinct(StringComparer.Ordinal)];

    private static string Best(ITypeface face, string words, ITypefaces faces)
    {
        // One that was added stands in only where none does that ships: what was fitted before must not change by adding a face.
        return Best(face, words, faces, added: false) is { Length: > 0 } shipped ? shipped : Best(face, words, faces, added: true);
    }

    private static string Best(ITypeface face, string words, ITypefaces faces, bool added)
    {
        var weight = WeightOf(face, Plain);
        return faces
            .All.Where(f => f.Id != face.Info.Id && f.Added == added && MayHave(f, words))
            .Select(f => faces.Find(f.Id))
            .OfType<ITypeface>()
            .Where(f => f.Shape(words, []).Missing.Count == 0)
            .Select(f =>
                (f.Info.Id, Unlike: Math.Abs(Math.Log(WeightOf(f, words) / weight)) + (KindOf(f.Info) == KindOf(face.Info) ? 0 : OtherKind))
            )
            .OrderBy(f => f.Unlike)
            .ThenBy(f => f.Id, StringComparer.Ordinal)
            .FirstOrDefault()
            .Id
            ?? "";
    }

    /// <summary>A script with swashes is a script.</summary>
    private static string KindOf(TypefaceInfo info) =>
        info.Kind.Split(' ') is var words && words.Contains("script") ? "script"
        : words.Contains("brush") ? "script"
        : info.Kind;

    /// <summary>
    /// Whether a face may stand in: one made for another script only where that is written, however many letters of others it holds.
    /// </summary>
    private static bool MayHave(TypefaceInfo info, string words) =>
        info.Script.Length == 0
        || Scripts(words).Any(s => s == info.Script || (s == "Han" && info.Script is "Japanese" or "Chinese" or "Korean"));

    /// <summary>The scripts of the letters of a text, by Unicode's blocks.</summary>
    private static IEnumerable<string> Scripts(string words)
    {
        for (var i = 0; i < words.Length; i += char.IsSurrogatePair(words, i) ? 2 : 1)
        {
            if (char.IsLetter(words, i))
            {
                yield return char.ConvertToUtf32(words, i) switch
                {
                    >= 0x0530 and <= 0x058F => "Armenian",
                    >= 0x0590 and <= 0x05FF => "Hebrew",
                    (>= 0x0600 and <= 0x077F) or (>= 0x08A0 and <= 0x08FF) or (>= 0xFB50 and <= 0xFEFC) => "Arabic",
                    >= 0x0900 and <= 0x097F => "Devanagari",
                    >= 0x0980 and <= 0x09FF => "Bengali",
                    >= 0x0E00 and <= 0x0E7F => "Thai",
                    (>= 0x10A0 and <= 0x10FF) or (>= 0x1C90 and <= 0x1CBF) => "Georgian",
                    (>= 0x1100 and <= 0x11FF) or (>= 0xAC00 and <= 0xD7AF) => "Korean",
                    >= 0x3040 and <= 0x30FF => "Japanese",
                    (>= 0x3400 and <= 0x9FFF) or (>= 0xF900 and <= 0xFAFF) or >= 0x20000 => "Han",
                    _ => "Latin",
                };
            }
        }
    }

    /// <summary>About how thick strokes are where capitals are 1 high: twice the area of words by the length of their outline.</summary>
    private static double WeightOf(ITypeface face, string words)
    {
        double area = 0,
            length = 0;
        foreach (var glyph in face.Shape(words, []).Glyphs.Select(g => g.Glyph).Distinct())
        {
            var ink = Outlines.FromContours(face.Outline(glyph), Level, Tolerances.InkTurn);
            (area, length) = (area + ink.Area, length + ink.Length);
        }

        return length > 0 ? 2 * area / length / face.CapitalHeight : 1;
    }
}
