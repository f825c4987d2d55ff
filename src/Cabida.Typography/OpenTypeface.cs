using System.Globalization;
using System.Runtime.InteropServices;
using Cabida.Core.Geometry;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using HarfBuzzSharp;
using SkiaSharp;

namespace Cabida.Typography;

/// <summary>A typeface from an OpenType file: shaped by HarfBuzz, outlined by Skia, both unhinted in font units.</summary>
public sealed class OpenTypeface : ITypeface, IDisposable
{
    private const double UsualCapitals = 0.7;

    /// <summary>No face offers more forms of one letter under one tag.</summary>
    private const int MostForms = 20;

    private readonly Lock shaping = new();
    private readonly Lock outlining = new();
    private readonly SKTypeface skTypeface;
    private readonly SKFont skFont;
    private readonly Blob blob;
    private readonly Face face;
    private readonly Font font;
    private readonly Once<GlyphCharacters> glyphCharacters;
    private readonly Once<IReadOnlyList<GlyphForm>> glyphs;
    private readonly Once<IReadOnlyList<(string Letter, string Family)>> namedForms;
    private readonly double unitsPerEm;

    /// <summary>Opens a face.</summary>
    /// <param name="info">What it is called.</param>
    /// <param name="revision">A hash of its file.</param>
    /// <param name="file">The file.</param>
    /// <param name="index">Which face of a collection.</param>
    /// <exception cref="ArgumentException">The file is not a typeface.</exception>
    public OpenTypeface(TypefaceInfo info, string revision, byte[] file, int index = 0)
    {
        Info = info;
        Revision = revision;
        skTypeface = SKTypeface.FromData(SKData.CreateCopy(file), index) ?? throw new ArgumentException("Not a typeface.", nameof(file));
        unitsPerEm = skTypeface.UnitsPerEm;
        skFont = new SKFont(skTypeface, (float)unitsPerEm)
        {
            Hinting = SKFontHinting.None,
            Subpixel = true,
            LinearMetrics = true,
        };
        blob = Copied(file);
        face = new Face(blob, index);
        font = new Font(face);
        font.SetScale((int)unitsPerEm, (int)unitsPerEm);
        Features = FeatureTags.Of(skTypeface);
        glyphCharacters = new(() => new GlyphCharacters(font));
        namedForms = new(() => GlyphTable.NamedForms(skTypeface.GlyphCount, font));
        glyphs = new(() =>
        {
            lock (outlining)
            {
                return GlyphTable.Of(skTypeface, skFont, font);
            }
        });
        // A face without a capital H is measured by what it says of itself, or by a usual share of its em.
        CapitalHeight = HeightOf("H") ?? (skFont.Metrics.CapHeight > 0 ? skFont.Metrics.CapHeight / unitsPerEm : UsualCapitals);
    }

    /// <inheritdoc/>
    public TypefaceInfo Info { get; }

    /// <inheritdoc/>
    public string Revision { get; }

    /// <inheritdoc/>
    public double CapitalHeight { get; }

    /// <inheritdoc/>
    public IReadOnlySet<string> Features { get; }

    /// <summary>What glyphs are drawn with.</summary>
    internal SKFont Outlines => skFont;

    /// <inheritdoc/>
    public IReadOnlyList<(string Letter, string Family)> NamedForms => namedForms.Value;

    /// <inheritdoc/>
    public IReadOnlyList<GlyphForm> Glyphs => glyphs.Value;

    /// <inheritdoc/>
    public ShapedLine Shape(string text, IReadOnlyList<FeatureUse> features, IReadOnlyList<GlyphUse> instead)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(features);
        ArgumentNullException.ThrowIfNull(instead);
        using var buffer = new HarfBuzzSharp.Buffer();
        buffer.AddUtf16(text);
        buffer.GuessSegmentProperties();
        if (instead.Count > 0)
        {
            var (direction, script, language) = (buffer.Direction, buffer.Script, buffer.Language);
            buffer.ClearContents();
            Write(buffer, text, instead);
            (buffer.Direction, buffer.Script, buffer.Language) = (direction, script, language);
        }

        Feature[] uses = [.. features.Select(f => new Feature(Tag.Parse(f.Tag), (uint)f.Value, (uint)f.Start, (uint)f.End))];
        lock (shaping)
        {
            (instead.Count > 0 ? glyphCharacters.Value.Font : font).Shape(buffer, uses);
        }

        var infos = buffer.GetGlyphInfoSpan();
        var positions = buffer.GetGlyphPositionSpan();
        var glyphs = new List<PlacedGlyph>(infos.Length);
        var missing = new SortedSet<int>();
        var x = 0.0;
        for (var i = 0; i < infos.Length; i++)
        {
            var cluster = (int)infos[i].Cluster;
            if (infos[i].Codepoint == 0)
            {
                missing.Add(ElementStart(text, cluster));
            }
            else
            {
                glyphs.Add(
                    new PlacedGlyph(infos[i].Codepoint, x + (positions[i].XOffset / unitsPerEm), positions[i].YOffset / unitsPerEm, cluster)
                );
            }

            x += positions[i].XAdvance / unitsPerEm;
        }

        return new ShapedLine(glyphs, x, [.. missing]);
    }

    /// <summary>A text into a buffer, character by character, with glyphs instead of some of them.</summary>
    private static void Write(HarfBuzzSharp.Buffer buffer, string text, IReadOnlyList<GlyphUse> instead)
    {
        const uint Joiner = 0x200D;
        buffer.ContentType = ContentType.Unicode;
        for (var i = 0; i < text.Length; i += char.IsSurrogatePair(text, i) ? 2 : 1)
        {
            if (instead.FirstOrDefault(g => g.Start <= i && i < g.End) is { Glyph: > 0 } use)
            {
                // Marks of the letter stay; letters that join keep joining it.
                if (i == use.Start)
                {
                    var joins = LineDirection.RunsLeft(text);
                    foreach (
                        var character in joins ? [Joiner, GlyphCharacters.Of(use.Glyph), Joiner] : new[] { GlyphCharacters.Of(use.Glyph) }
                    )
                    {
                        buffer.Add(character, (uint)i);
                    }

                    continue;
                }
            }

            buffer.Add((uint)char.ConvertToUtf32(text, i), (uint)i);
        }
    }

    /// <inheritdoc/>
    public IReadOnlyList<FeatureUse> FormsOf(string text, int index)
    {
        ArgumentNullException.ThrowIfNull(text);
        var end = index + StringInfo.GetNextTextElementLength(text, index);
        var seen = new HashSet<string>(StringComparer.Ordinal) { Drawn([]) };
        var forms = new List<FeatureUse>();
        // The tag that gathers all alternates comes last, so that a form goes by its own name.
        foreach (var tag in Features.Where(FeatureTags.IsChosen).OrderBy(t => t == "aalt"))
        {
            for (var value = 1; value <= MostForms; value++)
            {
                var use = new FeatureUse(tag, value, index, end);
                if (!seen.Add(Drawn([use])))
                {
                    break;
                }

                forms.Add(use);
            }
        }

        foreach (var tag in Features.Where(FeatureTags.IsUsual))
        {
            var without = new FeatureUse(tag, 0, index, end);
            if (seen.Add(Drawn([without])))
            {
                forms.Add(without);
            }
        }

        return forms;

        // The whole line is compared, since a form may change its neighbours too.
        string Drawn(FeatureUse[] uses) => string.Join(' ', Shape(text, uses, []).Glyphs.Select(g => g.Glyph));
    }

    /// <inheritdoc/>
    public IReadOnlyList<Contour> Outline(uint glyph)
    {
        lock (outlining)
        {
            using var path = skFont.GetGlyphPath((ushort)glyph);
            return path is null ? [] : Contours(path);
        }
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        if (glyphCharacters.IsMade)
        {
            glyphCharacters.Value.Dispose();
        }

        font.Dispose();
        face.Dispose();
        blob.Dispose();
        skFont.Dispose();
        skTypeface.Dispose();
    }

    /// <summary>HarfBuzz keeps reading from its blob, so the bytes are copied out of reach of the collector.</summary>
    private static Blob Copied(byte[] file)
    {
        var pinned = GCHandle.Alloc(file, GCHandleType.Pinned);
        try
        {
            return new Blob(pinned.AddrOfPinnedObject(), file.Length, MemoryMode.Duplicate);
        }
        finally
        {
            pinned.Free();
        }
    }

    /// <summary>A missing mark is reported at the letter it belongs to, since that is what the maker typed.</summary>
    private static int ElementStart(string text, int index)
    {
        var starts = StringInfo.ParseCombiningCharacters(text);
        var at = Array.FindLastIndex(starts, s => s <= index);
        return at < 0 ? index : starts[at];
    }

    private double? HeightOf(string letter)
    {
        var line = Shape(letter, [], []);
        if (line.Glyphs.Count == 0)
        {
            return null;
        }

        var area = Core.Geometry.Outlines.FromContours(Outline(line.Glyphs[0].Glyph), InkCache.ChordError(-14), Tolerances.InkTurn);
        return Box.Of(area)?.MaxY;
    }

    private List<Contour> Contours(SKPath path)
    {
        var contours = new List<Contour>();
        var start = default(PlanePoint);
        var segments = new List<CurveSegment>();
        using var verbs = path.CreateRawIterator();
        var p = new SKPoint[4];
        for (var verb = verbs.Next(p); verb != SKPathVerb.Done; verb = verbs.Next(p))
        {
            switch (verb)
            {
                case SKPathVerb.Move:
                    Finish();
                    start = Em(p[0]);
                    break;
                case SKPathVerb.Line:
                    segments.Add(new LineSegmentTo(Em(p[1])));
                    break;
                case SKPathVerb.Quad:
                    segments.Add(new QuadraticTo(Em(p[1]), Em(p[2])));
                    break;
                case SKPathVerb.Cubic:
                    segments.Add(new CubicTo(Em(p[1]), Em(p[2]), Em(p[3])));
                    break;
                case SKPathVerb.Close:
                    Finish();
                    break;
                default:
                    throw new NotSupportedException($"A glyph of {Info.Name} holds a {verb}.");
            }
        }

        Finish();
        return contours;

        void Finish()
        {
            if (segments.Count > 0)
            {
                contours.Add(new Contour(start, [.. segments]));
                segments.Clear();
            }
        }
    }

    /// <summary>Skia's y goes down; the core's goes up.</summary>
    private PlanePoint Em(SKPoint p) => new(p.X / unitsPerEm, -p.Y / unitsPerEm);
}
