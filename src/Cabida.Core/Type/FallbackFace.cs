using System.Globalization;
using Cabida.Core.Geometry;

namespace Cabida.Core.Type;

/// <summary>
/// A face with another that stands in for what it lacks, word by word so that letters of one word are of one face; capitals of both are
/// as high. Everything else is the first face's.
/// </summary>
public sealed class FallbackFace : ITypeface
{
    /// <summary>
    /// Glyphs of the face that stands in are numbered from here, those of one behind that from twice this: no face has as many.
    /// </summary>
    internal const uint Other = 0x1_0000;

    private readonly ITypeface face;
    private readonly double scale;

    /// <summary>Joins two faces.</summary>
    /// <param name="face">The face that was chosen.</param>
    /// <param name="instead">The one that stands in.</param>
    public FallbackFace(ITypeface face, ITypeface instead)
    {
        ArgumentNullException.ThrowIfNull(face);
        ArgumentNullException.ThrowIfNull(instead);
        this.face = face;
        Instead = instead;
        scale = face.CapitalHeight / instead.CapitalHeight;
    }

    /// <summary>The face that stands in; itself with another behind it where no one face has all words.</summary>
    public ITypeface Instead { get; }

    /// <summary>All faces that stand in, one behind the other.</summary>
    public IReadOnlyList<ITypeface> Behind => Instead is FallbackFace more ? [more.face, .. more.Behind] : [Instead];

    /// <inheritdoc/>
    public TypefaceInfo Info => face.Info;

    /// <inheritdoc/>
    public string Revision => $"{face.Revision}+{Instead.Info.Id}{Instead.Revision}";

    /// <inheritdoc/>
    public double CapitalHeight => face.CapitalHeight;

    /// <inheritdoc/>
    public IReadOnlySet<string> Features => face.Features;

    /// <inheritdoc/>
    public IReadOnlyList<GlyphForm> Glyphs => face.Glyphs;

    /// <inheritdoc/>
    public IReadOnlyList<(string Letter, string Family)> NamedForms => face.NamedForms;

    /// <inheritdoc/>
    public IReadOnlyList<FeatureUse> FormsOf(string text, int index) => face.FormsOf(text, index);

    /// <inheritdoc/>
    public IReadOnlyList<Contour> Outline(uint glyph) =>
        glyph < Other ? face.Outline(glyph) : [.. Instead.Outline(glyph - Other).Select(c => c.Moved(Motion.Scale(scale, scale)))];

    /// <inheritdoc/>
    public ShapedLine Shape(string text, IReadOnlyList<FeatureUse> features, IReadOnlyList<GlyphUse> instead)
    {
        ArgumentNullException.ThrowIfNull(text);
        var whole = face.Shape(text, features, instead);
        if (whole.Missing.Count == 0)
        {
            return whole;
        }

        // A word that no face has stays in the one that was chosen.
        var runs = Runs(text, (start, end) =>
            whole.Missing.Any(m => m >= start && m < end) && Instead.Shape(text[start..end], []).Missing.Count == 0
        );
        var (glyphs, missing, at) = (new List<PlacedGlyph>(), new List<int>(), 0.0);
        // Words follow one another the way the line runs.
        foreach (var run in LineDirection.RunsLeft(text) ? Enumerable.Reverse(runs) : runs)
        {
            var words = text[run.Start..run.End];
            var (by, from, size) = run.IsOther ? (Instead, Other, scale) : (face, 0u, 1.0);
            var set = by.Shape(
                words,
                run.IsOther
                    ? []
                    :
                    [
                        .. features
                            .Where(f => f.Start < run.End && f.End > run.Start)
                            .Select(f => f with { Start = Math.Max(0, f.Start - run.Start), End = Math.Min(f.End, run.End) - run.Start }),
                    ],
                run.IsOther
                    ? []
                    :
                    [
                        .. instead
                            .Where(g => g.Start >= run.Start && g.End <= run.End)
                            .Select(g => g with { Start = g.Start - run.Start, End = g.End - run.Start }),
                    ]
            );
            glyphs.AddRange(set.Glyphs.Select(g => new PlacedGlyph(g.Glyph + from, at + (size * g.X), size * g.Y, g.Index + run.Start)));
            missing.AddRange(set.Missing.Select(i => i + run.Start));
            at += size * set.Advance;
        }

        return new ShapedLine(glyphs, at, [.. missing.Order()]);
    }

    /// <summary>Stretches of words that are all in the one face or all in the other; white space goes with the word before it.</summary>
    private static List<(int Start, int End, bool IsOther)> Runs(string text, Func<int, int, bool> isOther)
    {
        var runs = new List<(int Start, int End, bool IsOther)>();
        for (var start = 0; start < text.Length; )
        {
            var end = start;
            while (end < text.Length && !char.IsWhiteSpace(text, end))
            {
                end += StringInfo.GetNextTextElementLength(text, end);
            }

            while (end < text.Length && char.IsWhiteSpace(text, end))
            {
                end++;
            }

            var other = isOther(start, end);
            if (runs.Count > 0 && runs[^1].IsOther == other)
            {
                runs[^1] = (runs[^1].Start, end, other);
            }
            else
            {
                runs.Add((start, end, other));
            }

            start = end;
        }

        return runs;
    }
}
