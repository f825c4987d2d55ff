using System.Globalization;
using System.Runtime.InteropServices;
using Cabida.Core.Geometry;
using Cabida.Core.Type;
using HarfBuzzSharp;
using SkiaSharp;

namespace Cabida.Typography;

/// <summary>A typeface from an OpenType file: shaped by HarfBuzz, outlined by Skia, both unhinted in font units.</summary>
public sealed class OpenTypeface : ITypeface, IDisposable
{
    private readonly Lock shaping = new();
    private readonly Lock outlining = new();
    private readonly SKTypeface skTypeface;
    private readonly SKFont skFont;
    private readonly Blob blob;
    private readonly Face face;
    private readonly Font font;
    private readonly double unitsPerEm;

    /// <summary>Opens a face.</summary>
    /// <param name="info">What it is called.</param>
    /// <param name="revision">A hash of its file.</param>
    /// <param name="file">The file.</param>
    /// <exception cref="ArgumentException">The file is not a typeface.</exception>
    public OpenTypeface(TypefaceInfo info, string revision, byte[] file)
    {
        Info = info;
        Revision = revision;
        skTypeface = SKTypeface.FromData(SKData.CreateCopy(file)) ?? throw new ArgumentException("Not a typeface.", nameof(file));
        unitsPerEm = skTypeface.UnitsPerEm;
        skFont = new SKFont(skTypeface, (float)unitsPerEm) { Hinting = SKFontHinting.None, Subpixel = true, LinearMetrics = true };
        blob = Copied(file);
        face = new Face(blob, 0);
        font = new Font(face);
        font.SetScale((int)unitsPerEm, (int)unitsPerEm);
        CapitalHeight = HeightOf("H") ?? skFont.Metrics.CapHeight / unitsPerEm;
    }

    /// <inheritdoc/>
    public TypefaceInfo Info { get; }

    /// <inheritdoc/>
    public string Revision { get; }

    /// <inheritdoc/>
    public double CapitalHeight { get; }

    /// <inheritdoc/>
    public ShapedLine Shape(string text, double spacing)
    {
        ArgumentNullException.ThrowIfNull(text);
        using var buffer = new HarfBuzzSharp.Buffer();
        buffer.AddUtf16(text);
        buffer.GuessSegmentProperties();
        lock (shaping)
        {
            font.Shape(buffer);
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
                glyphs.Add(new PlacedGlyph(infos[i].Codepoint, x + (positions[i].XOffset / unitsPerEm), positions[i].YOffset / unitsPerEm, cluster));
            }

            x += positions[i].XAdvance / unitsPerEm;
            if (i + 1 < infos.Length && infos[i + 1].Cluster != infos[i].Cluster)
            {
                x += spacing;
            }
        }

        return new ShapedLine(glyphs, x, [.. missing]);
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
        var line = Shape(letter, 0);
        if (line.Glyphs.Count == 0)
        {
            return null;
        }

        var area = Outlines.FromContours(Outline(line.Glyphs[0].Glyph), InkCache.ChordError(-14), Tolerances.InkTurn);
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
