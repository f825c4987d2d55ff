using System.Globalization;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using HarfBuzzSharp;
using SkiaSharp;

namespace Cabida.Typography;

/// <summary>
/// The glyphs of a face and the letters they stand for: by the characters the face maps to them, by their names, and, for the many
/// craft faces that keep swashes and end letters under private characters without a name, by what they look like.
/// </summary>
internal static class GlyphTable
{
    /// <summary>
    /// Looking at more glyphs than this would take too long for what it tells; those of large scripts have their characters.
    /// </summary>
    private const int MostLooked = 3000;

    /// <summary>Faces with more glyphs are those of large scripts, whose Latin letters come first.</summary>
    private const int MostNamed = 8000;

    private const string Letters = "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789&";

    private static readonly (int From, int To)[] Ranges = [(0x20, 0xFFFD), (0x10000, 0x1FFFF), (0x20000, 0x323AF), (0xF0000, 0xFFFFD)];

    /// <summary>The table of a face, glyph by glyph, those without ink left out.</summary>
    public static IReadOnlyList<GlyphForm> Of(SKTypeface typeface, SKFont outlines, Font names)
    {
        var characters = Characters(names);
        var named = Enumerable
            .Range(1, Math.Max(0, typeface.GlyphCount - 1))
            .Select(g => (Glyph: (uint)g, Name: NameOf(names, (uint)g)))
            .ToList();
        // What the face itself calls its letters: "uni0041", "A" or anything else.
        var byName = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var (glyph, name) in named)
        {
            if (name.Length > 0 && characters.TryGetValue(glyph, out var of) && !IsPrivate(of))
            {
                byName.TryAdd(name, char.ConvertFromUtf32(of));
            }
        }

        var likeness = new Once<GlyphLikeness>(() =>
            new GlyphLikeness(outlines, Letters.Select(l => (l.ToString(), (ushort)names.GetGlyphOrNone(l))).Where(l => l.Item2 > 0))
        );
        var (table, looked) = (new List<GlyphForm>(), 0);
        foreach (var (glyph, name) in named)
        {
            var bounds = outlines.GetGlyphPath((ushort)glyph);
            using (bounds)
            {
                if (bounds is null || bounds.IsEmpty)
                {
                    continue;
                }
            }

            var character = characters.GetValueOrDefault(glyph);
            if (character != 0 && !IsPrivate(character))
            {
                table.Add(new GlyphForm(glyph, name, character, char.ConvertFromUtf32(character), "", GlyphKnown.Character));
            }
            else if (Parted(name, byName) is { } parted)
            {
                table.Add(new GlyphForm(glyph, name, character, parted.Letter, parted.Family, GlyphKnown.ByName));
            }
            else
            {
                // One that has a name of its own, as a conjunct has, is what it is called.
                var like = (IsPrivate(character) || SaysNothing(name)) && looked++ < MostLooked ? likeness.Value.Of((ushort)glyph) : "";
                table.Add(new GlyphForm(glyph, name, character, like, "", like.Length > 0 ? GlyphKnown.ByLikeness : GlyphKnown.Not));
            }
        }

        return InRows(table);
    }

    /// <summary>The forms of plain letters that names speak of, as far as names alone tell.</summary>
    public static IReadOnlyList<(string Letter, string Family)> NamedForms(int glyphs, Font names)
    {
        var forms = new List<(string, string)>();
        for (var glyph = 1u; glyph < glyphs && glyph <= MostNamed; glyph++)
        {
            if (NameOf(names, glyph) is { Length: > 2 } name && char.IsAsciiLetter(name[0]) && name[1] is '.' or '_' or '-')
            {
                forms.Add((name[..1], name[2..].ToLowerInvariant()));
            }
        }

        return forms;
    }

    /// <summary>
    /// Unnamed forms follow one another in the order of the alphabet, row after row: where it begins anew, so does a row. In it each letter
    /// has the same kind of form, which nothing else says.
    /// </summary>
    private static List<GlyphForm> InRows(List<GlyphForm> table)
    {
        var rows = new Dictionary<uint, int>();
        var (row, before) = (0, "");
        foreach (
            var form in table
                .Where(f => f.Known == GlyphKnown.ByLikeness)
                .OrderBy(f => f.CodePoint == 0 ? int.MaxValue : f.CodePoint)
                .ThenBy(f => f.Glyph)
        )
        {
            row += before.Length == 0 || string.CompareOrdinal(form.Letter, before) <= 0 ? 1 : 0;
            (rows[form.Glyph], before) = (row, form.Letter);
        }

        return
        [
            .. table.Select(f =>
                rows.TryGetValue(f.Glyph, out var r) ? f with { Family = string.Create(CultureInfo.InvariantCulture, $"set-{r}") } : f
            ),
        ];
    }

    /// <summary>
    /// The letter and the rest of a name such as <c>a.end</c>, <c>a_swash2</c> or <c>aalt1</c>; null where it begins with no letter of
    /// the face.
    /// </summary>
    private static (string Letter, string Family)? Parted(string name, Dictionary<string, string> byName)
    {
        foreach (var mark in new[] { '.', '_', '-' })
        {
            var at = name.IndexOf(mark, StringComparison.Ordinal);
            // What follows is no other letter, as in the ligature f_i.
            if (
                at > 0
                && at < name.Length - 1
                && byName.TryGetValue(name[..at], out var letter)
                && !byName.ContainsKey(name[(at + 1)..])
                && (mark == '.' || !name.Contains('.', StringComparison.Ordinal))
            )
            {
                return (letter, name[(at + 1)..].ToLowerInvariant());
            }
        }

        // A single letter and a word that is known for a form.
        return
            name.Length > 2
            && byName.TryGetValue(name[..1], out var first)
            && FormWords.OfFamily(name[1..].ToLowerInvariant()) is var words
            && !words.StartsWith('“')
            && !byName.ContainsKey(name)
            && !char.IsDigit(name[1])
            ? (first, name[1..].ToLowerInvariant())
            : null;
    }

    /// <summary>Whether a name is a number only: <c>glyph12</c>, <c>gid12</c>, <c>cid00012</c>, or none.</summary>
    private static bool SaysNothing(string name) =>
        name.TrimEnd("0123456789".ToCharArray()) is "" or "glyph" or "gid" or "cid" or "g" or "G" or "index";

    private static bool IsPrivate(int character) => character is (>= 0xE000 and <= 0xF8FF) or >= 0xF0000;

    /// <summary>The first character that each glyph is the drawing of; one that is not private before one that is.</summary>
    private static Dictionary<uint, int> Characters(Font font)
    {
        var characters = new Dictionary<uint, int>();
        foreach (var (from, to) in Ranges)
        {
            for (var c = from; c <= to; c++)
            {
                if (
                    c is < 0xD800 or > 0xDFFF
                    && font.TryGetGlyph((uint)c, out var glyph)
                    && glyph != 0
                    && (!characters.TryGetValue(glyph, out var known) || IsPrivate(known))
                )
                {
                    characters[glyph] = c;
                }
            }
        }

        return characters;
    }

    private static string NameOf(Font font, uint glyph) => font.TryGetGlyphName(glyph, out var name) ? name.TrimEnd('\0') : "";

    private static uint GetGlyphOrNone(this Font font, char letter) => font.TryGetGlyph(letter, out var glyph) ? glyph : 0;
}
