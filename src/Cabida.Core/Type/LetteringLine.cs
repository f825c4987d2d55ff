using System.Collections.Concurrent;
using System.Globalization;
using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Type;

/// <summary>
/// One line of lettering, set but not yet sized: its ink box and its joined outline at any size. Text and settings are
/// the source; outlines are derived and cached.
/// </summary>
public sealed class LetteringLine
{
    /// <summary>Fine enough to tell which letter a place belongs to: 2⁻¹⁰ em.</summary>
    private const int CoarseLevel = -10;

    private readonly ITypeface face;
    private readonly InkCache cache;
    private readonly IReadOnlyList<PlacedGlyph> glyphs;
    private readonly string faceKey;
    private readonly string key;
    private readonly ConcurrentDictionary<int, IReadOnlyList<double?>> gaps = new();
    private readonly ConcurrentDictionary<int, Box?> boxes = new();

    /// <summary>Sets a line.</summary>
    /// <param name="text">The text; it is brought to composed form first.</param>
    /// <param name="face">The typeface.</param>
    /// <param name="setting">How it is set.</param>
    /// <param name="cache">Where outlines are kept.</param>
    public LetteringLine(string text, ITypeface face, LineSetting setting, InkCache cache)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(face);
        ArgumentNullException.ThrowIfNull(setting);
        ArgumentNullException.ThrowIfNull(cache);
        Text = text.Normalize(System.Text.NormalizationForm.FormC);
        Setting = setting;
        this.face = face;
        this.cache = cache;
        faceKey = face.Info.Id + face.Revision;
        Unmet =
        [
            .. setting.Alternates.Where(a =>
                a.IsLacking || (a.Feature.Length > 0 ? !face.Features.Contains(a.Feature) : a.Glyph == 0 || a.FaceId != face.Info.Id)
            ),
        ];
        var met = setting.Alternates.Except(Unmet).ToList();
        // Of two glyphs for one letter the one that was chosen for the place stands there.
        var drawn = met.Where(a => a.Feature.Length == 0)
            .OrderBy(a => a.Scope != AlternateScope.Place)
            .SelectMany(a => PlacesOf(a).Select(p => new GlyphUse((uint)a.Glyph, p.Start, p.End)))
            .DistinctBy(u => u.Start)
            .ToList();
        var shaped = face.Shape(
            Text,
            [
                .. met.Where(a => a.Feature.Length > 0)
                    .SelectMany(a => PlacesOf(a).Select(p => new FeatureUse(a.Feature, a.Value, p.Start, p.End))),
            ],
            drawn
        );
        Missing = shaped.Missing;
        glyphs = Spaced(shaped.Glyphs, setting);
        key = $"line {setting.Key} {Text}";
    }

    /// <summary>How it is set.</summary>
    public LineSetting Setting { get; }

    /// <summary>The text as set.</summary>
    public string Text { get; }

    /// <summary>The face it is set in.</summary>
    public ITypeface Face => face;

    /// <summary>Positions in <see cref="Text"/> of characters that the face lacks.</summary>
    public IReadOnlyList<int> Missing { get; }

    /// <summary>Other forms that were chosen and that the face lacks; the letters stay as they are.</summary>
    public IReadOnlyList<Alternate> Unmet { get; }

    /// <summary>Tells apart lines that could differ.</summary>
    internal string Key => faceKey + key;

    /// <summary>The glyphs in place, and the position of their letters in the text.</summary>
    internal IReadOnlyList<PlacedGlyph> Glyphs => glyphs;

    /// <summary>The box of the ink at a size, origin at the start of the baseline; null when there is none.</summary>
    /// <param name="sizeMm">One em in millimetres.</param>
    /// <remarks>The box of the joined outline is the box of its glyphs, so nothing is joined for it.</remarks>
    public Box? BoxAt(double sizeMm) =>
        boxes
            .GetOrAdd(InkCache.LevelFor(sizeMm), level =>
                Box.Around(glyphs.Select(g => Glyph(g.Glyph, level).Box?.Moved(g.X, g.Y)).OfType<Box>())
            )
            ?.Scaled(sizeMm);

    /// <summary>The joined outline at a size, the start of its baseline at (x, y).</summary>
    /// <param name="sizeMm">One em in millimetres.</param>
    /// <param name="x">Where the line starts.</param>
    /// <param name="y">Its baseline.</param>
    public Area InkAt(double sizeMm, double x = 0, double y = 0)
    {
        var level = InkCache.LevelFor(sizeMm);
        return cache.Line(faceKey, key, level, () => JoinedAt(level)).At(sizeMm, x, y);
    }

    /// <summary>The letters from left to right, each with its joined outline; em, the start of the baseline at the origin.</summary>
    internal IReadOnlyList<LetterInk> LettersAt(int level) =>
        [
            .. glyphs
                .GroupBy(g => g.Index)
                .Select(g => new LetterInk(g.Key, Outlines.Join([.. g.Select(p => Placed(p, level)).Where(a => !a.IsEmpty)])))
                .Where(l => !l.Ink.IsEmpty),
        ];

    /// <summary>How far each letter stands from the next along the line, in em; null where they share no height.</summary>
    internal IReadOnlyList<double?> GapsAt(int level) => gaps.GetOrAdd(level, l =>
        {
            var letters = LettersAt(l);
            return [.. letters.Zip(letters.Skip(1), (a, b) => LetterProfiles.Between(a.Ink, b.Ink))];
        });

    /// <summary>The letter whose drawing's box holds a point given in em; the nearest to its middle where several do.</summary>
    public int? LetterAt(double x, double y) =>
        glyphs
            .Select(g => (g.Index, Box: Glyph(g.Glyph, CoarseLevel).Box?.Moved(g.X, g.Y)))
            .Where(g => g.Box is { } b && x >= b.MinX && x <= b.MaxX && y >= b.MinY && y <= b.MaxY)
            .OrderBy(g => Math.Abs(g.Box!.Value.CentreX - x))
            .Select(g => (int?)g.Index)
            .FirstOrDefault();

    /// <summary>Whether a letter is followed by a blank before the next one to its right.</summary>
    internal bool IsBetweenWords(int one, int other) => Text[Math.Min(one, other)..Math.Max(one, other)].Any(char.IsWhiteSpace);

    /// <summary>The letter that starts at a position.</summary>
    public string LetterOf(int index) => StringInfo.GetNextTextElement(Text, index);

    private Area Placed(PlacedGlyph g, int level) => Outlines.Placed(Glyph(g.Glyph, level).Area, 1, g.X, g.Y);

    /// <summary>Its glyphs joined; how two of them meet at their distance is the same in every line.</summary>
    private JoinedRings JoinedAt(int level)
    {
        var inked = glyphs.Where(g => Glyph(g.Glyph, level).Box is not null).ToList();
        return new JoinedRings([.. inked.Select(g => new StandingRings(Glyph(g.Glyph, level), g.X, g.Y))], (i, j) =>
        {
            var (a, b) = (inked[i], inked[j]);
            return cache.Meeting(faceKey, a.Glyph, b.Glyph, level, b.X - a.X, b.Y - a.Y, (dx, dy) =>
                Meeting.Of(Glyph(a.Glyph, level), Glyph(b.Glyph, level), dx, dy)
            );
        });
    }

    private RingSet Glyph(uint glyph, int level) =>
        cache.Glyph(faceKey, glyph, level, () =>
            new RingSet(Outlines.FromContours(face.Outline(glyph), InkCache.ChordError(level), Tolerances.InkTurn))
        );

    /// <summary>Where in the text a chosen form is used.</summary>
    private IEnumerable<(int Start, int End)> PlacesOf(Alternate alternate)
    {
        if (alternate.Scope == AlternateScope.Face && alternate.Feature.Length > 0)
        {
            yield return (0, Text.Length);
            yield break;
        }

        var starts = StringInfo.ParseCombiningCharacters(Text);
        for (var i = 0; i < starts.Length; i++)
        {
            // A glyph of the table is one letter's, wherever it is wanted.
            var here = alternate.Scope is AlternateScope.Letter or AlternateScope.Face || (alternate.Words == Text && alternate.Index == i);
            if (here && LetterOf(starts[i]) == alternate.Letter)
            {
                yield return (starts[i], i + 1 < starts.Length ? starts[i + 1] : Text.Length);
            }
        }
    }

    /// <summary>Letters and words moved apart or together.</summary>
    private List<PlacedGlyph> Spaced(IReadOnlyList<PlacedGlyph> shaped, LineSetting setting)
    {
        if (setting is { Spacing: 0, WordSpacing: 0, Pairs.Count: 0 })
        {
            return [.. shaped];
        }

        var leftwards = LineDirection.RunsLeft(Text);
        var placed = new List<PlacedGlyph>(shaped.Count);
        var moved = 0.0;
        for (var i = 0; i < shaped.Count; i++)
        {
            if (i > 0 && shaped[i].Index != shaped[i - 1].Index)
            {
                var (first, second) = leftwards ? (shaped[i].Index, shaped[i - 1].Index) : (shaped[i - 1].Index, shaped[i].Index);
                var (before, after) = (LetterOf(first), LetterOf(second));
                moved += setting.Pairs.Where(p => p.Left == before && p.Right == after).Sum(p => p.By / 1000);
                // Spaces without a drawing have room of their own, counted by the letters they stand between.
                var elements = Math.Max(1, StringInfo.ParseCombiningCharacters(Text[first..second]).Length - LigatureInner(first, second));
                moved += (setting.Spacing * elements) + (setting.WordSpacing * Text[first..second].Count(char.IsWhiteSpace));
            }

            placed.Add(shaped[i] with { X = shaped[i].X + moved });
        }

        return placed;

        // Letters within a ligature have no room between them that could be widened.
        int LigatureInner(int first, int second) =>
            Text[first..second].TrimEnd() is var solid ? Math.Max(0, StringInfo.ParseCombiningCharacters(solid).Length - 1) : 0;
    }
}

/// <summary>A letter of a line with its outline, in em.</summary>
/// <param name="Index">Where it starts in the text.</param>
/// <param name="Ink">Its outline.</param>
internal sealed record LetterInk(int Index, Area Ink);
