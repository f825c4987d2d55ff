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
    private readonly ShapedLine shaped;
    private readonly string faceKey;
    private readonly string key;

    /// <summary>Sets a line.</summary>
    /// <param name="text">The text; it is brought to composed form first.</param>
    /// <param name="face">The typeface.</param>
    /// <param name="spacing">Extra room between letters, in em.</param>
    /// <param name="cache">Where outlines are kept.</param>
    public LetteringLine(string text, ITypeface face, double spacing, InkCache cache)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(face);
        ArgumentNullException.ThrowIfNull(cache);
        Text = text.Normalize(System.Text.NormalizationForm.FormC);
        this.face = face;
        this.cache = cache;
        faceKey = face.Info.Id + face.Revision;
        shaped = face.Shape(Text, spacing);
        key = string.Create(CultureInfo.InvariantCulture, $"line {spacing:R} {Text}");
    }

    /// <summary>The text as set.</summary>
    public string Text { get; }

    /// <summary>The face it is set in.</summary>
    public ITypeface Face => face;

    /// <summary>Positions in <see cref="Text"/> of characters that the face lacks.</summary>
    public IReadOnlyList<int> Missing => shaped.Missing;

    /// <summary>The box of the ink at a size, origin at the start of the baseline; null when there is none.</summary>
    /// <param name="sizeMm">One em in millimetres.</param>
    /// <remarks>The box of the joined outline is the box of its glyphs, so nothing is joined for it.</remarks>
    public Box? BoxAt(double sizeMm)
    {
        var level = InkCache.LevelFor(sizeMm);
        return Box.Around(shaped.Glyphs
            .Select(g => (Placed: g, Box: Box.Of(Glyph(g.Glyph, level))))
            .Where(g => g.Box is not null)
            .Select(g => g.Box!.Value.Moved(g.Placed.X, g.Placed.Y)))?.Scaled(sizeMm);
    }

    /// <summary>The joined outline at a size, the start of its baseline at (x, y).</summary>
    /// <param name="sizeMm">One em in millimetres.</param>
    /// <param name="x">Where the line starts.</param>
    /// <param name="y">Its baseline.</param>
    public Area InkAt(double sizeMm, double x = 0, double y = 0)
    {
        var level = InkCache.LevelFor(sizeMm);
        var em = cache.Line(faceKey, key, level, () => Outlines.Join(shaped.Glyphs
            .Select(g => Outlines.Placed(Glyph(g.Glyph, level), 1, g.X, g.Y))
            .Where(a => !a.IsEmpty)
            .ToList()));
        return Outlines.Placed(em, sizeMm, x, y);
    }

    /// <summary>The letter whose drawing's box holds a point given in em; the nearest to its middle where several do.</summary>
    public string? LetterAt(double x, double y)
    {
        var found = shaped.Glyphs
            .Select(g => (g.Index, Box: Box.Of(Glyph(g.Glyph, CoarseLevel))?.Moved(g.X, g.Y)))
            .Where(g => g.Box is { } b && x >= b.MinX && x <= b.MaxX && y >= b.MinY && y <= b.MaxY)
            .OrderBy(g => Math.Abs(g.Box!.Value.CentreX - x))
            .Select(g => (int?)g.Index)
            .FirstOrDefault();
        return found is { } index ? StringInfo.GetNextTextElement(Text, index) : null;
    }

    private Area Glyph(uint glyph, int level) =>
        cache.Glyph(faceKey, glyph, level, () =>
            Outlines.FromContours(face.Outline(glyph), InkCache.ChordError(level), Tolerances.InkTurn));
}
