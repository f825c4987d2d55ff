using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>
/// The ink of a graphic. All of it is worked out in the file's own millimetres, with the lengths that are the finished piece's
/// (strokes, strengthening) divided by the size, and kept by its content: as long as these go with the size, a graphic is joined
/// once and afterwards only scaled and moved.
/// </summary>
internal sealed class GraphicInk
{
    /// <summary>The factor that gives the ink its wanted size is found this precisely.</summary>
    private const double SizePrecision = 1e-9;

    private const int MostSizings = 12;

    private readonly GraphicPart part;
    private readonly InkCache cache;
    private readonly GraphicOutlines graphic;
    private readonly List<(int Index, GraphicPiece Piece, FilmPly? Film)> kept;
    private readonly List<FilmPly> films;
    private readonly Once<string> content;

    /// <summary>Takes what is kept of a graphic.</summary>
    public GraphicInk(GraphicPart part, GraphicOutlines graphic, InkCache cache)
    {
        (this.part, this.graphic, this.cache) = (part, graphic, cache);
        var dropped = part.Dropped.ToHashSet();
        var uses = part
            .Films.DistinctBy(f => f.Colour, StringComparer.OrdinalIgnoreCase)
            .ToDictionary(f => f.Colour, StringComparer.OrdinalIgnoreCase);
        kept = [];
        for (var i = 0; i < graphic.Pieces.Count; i++)
        {
            var use = uses.GetValueOrDefault(graphic.Pieces[i].Colour);
            if (!dropped.Contains(i) && use?.Use != ColourUse.LeftOut)
            {
                kept.Add(
                    (
                        i,
                        graphic.Pieces[i],
                        use?.Use == ColourUse.CutsThrough
                            ? null
                            : new FilmPly(use is { FilmId.Length: > 0 } ? use.FilmId : part.FilmId, part.Ply)
                    )
                );
            }
        }

        films = [.. kept.Select(k => k.Film).OfType<FilmPly>().Distinct()];
        content = new(() =>
            Convert.ToHexString(
                SHA256.HashData(
                    Encoding.UTF8.GetBytes(
                        $"{graphic.Id} {part.Open} {part.HolesFilled} {part.FilmId} {part.Ply} {string.Join(',', part.Films)} "
                            + $"{string.Join(',', part.Dropped)}"
                    )
                ),
                0,
                16
            )
        );
    }

    /// <summary>The body of the graphic, its box centred on the origin; null when nothing of it is left.</summary>
    public PartBody? Body(Scales scales)
    {
        // What no line is stroked with does not tell ink apart.
        var stroke =
            part.Open == OpenOutlines.Strokes && kept.Exists(k => k.Piece.Open.Count > 0)
                ? part.StrokeWidth.At(scales, LengthRange.Artwork)
                : 0;
        var lengths = new Lengths(
            stroke,
            part.Strengthen.At(scales, LengthRange.Margin),
            part.DoubledRemoved ? part.DoubledWithin.At(scales, LengthRange.Margin) : 0
        );
        if (FactorFor(scales, lengths) is not { } factor || BoxAt(factor, lengths) is not { } box)
        {
            return null;
        }

        var place = Motion.Scale(factor, factor).Then(Motion.Move(-box.CentreX, -box.CentreY));
        var key = FormattableString.Invariant($"graphic {content.Value} {factor:R} {lengths}");
        return new PartBody(key, Motion.Move(-box.CentreX, -box.CentreY).Of(box), () =>
            [
                .. films
                    .Select(f => (Film: f, Ink: InkOf(f, factor, lengths)))
                    .Where(i => !i.Ink.IsEmpty)
                    .Select(i => new FilmInk(i.Film, [new PlacedInk(KeyOf(i.Film, factor, lengths), i.Ink, place)])),
            ]
        );
    }

    /// <summary>What the file's millimetres are multiplied by.</summary>
    private double? FactorFor(Scales scales, Lengths lengths)
    {
        if (part.SizedBy == GraphicSize.AsFile)
        {
            return part.FileScale;
        }

        var wanted = part.Size.At(scales, LengthRange.Artwork);
        double Is(double f) =>
            BoxAt(f, lengths) is { } b
                ? part.SizedBy == GraphicSize.Width
                    ? b.Width
                    : b.Height
                : 0;
        var factor = part.FileScale;
        if (wanted <= 0 || Is(factor) <= 0)
        {
            return null;
        }

        // Strokes and strengthening do not follow the factor, so the size is nearly linear in it, not quite proportional.
        for (var i = 0; i < MostSizings && Is(factor) is var now && now > 0 && Math.Abs(now - wanted) > SizePrecision * wanted; i++)
        {
            var slope = (Is(factor * 1.01) - now) / (0.01 * factor);
            factor = slope > 0 ? Math.Max(factor + ((wanted - now) / slope), factor / 10) : factor * wanted / now;
        }

        return factor;
    }

    /// <summary>
    /// The box of all ink at a factor. Strokes and strengthening widen it by what they say; only where a colour is taken out of
    /// strokes has the ink itself to be looked at.
    /// </summary>
    private Box? BoxAt(double factor, Lengths lengths)
    {
        var bare = lengths with { Grow = 0, Within = 0 };
        var (strokes, by) = (lengths.Stroke > 0, Motion.Scale(factor, factor));
        var around =
            strokes && kept.Exists(k => k.Film is null)
                ? Box.Around(films.Select(f => Box.Of(InkOf(f, factor, bare))).OfType<Box>().Select(by.Of))
                : Box.Around([
                    .. films.Select(f => Box.Of(InkOf(f, factor, bare with { Stroke = 0 }))).OfType<Box>().Select(by.Of),
                    .. strokes && LinesBox(factor) is { } lines ? [by.Of(lines).Grown(lengths.Stroke / 2)] : Array.Empty<Box>(),
                ]);
        return around?.Grown(lengths.Grow);
    }

    private Box? LinesBox(double factor) =>
        Box.Of(
            cache.Derived(FormattableString.Invariant($"lines {content.Value} {InkCache.LevelFor(factor)}"), () =>
                Outlines.Factory.CreateMultiLineString([.. kept.Where(k => k.Film is not null).SelectMany(k => LinesOf(k.Piece, factor))])
            )
        );

    /// <summary>The ink of one film in the file's millimetres.</summary>
    private Area InkOf(FilmPly film, double factor, Lengths lengths)
    {
        var own = lengths.At(factor);
        return cache.Derived(KeyOf(film, factor, lengths), () =>
        {
            var joined =
                own.Grow == 0 && own.Within == 0
                    ? Joined(film, factor, own.Stroke)
                    : InkOf(film, factor, lengths with { Grow = 0, Within = 0 });
            var clean = own.Within > 0 && !part.HolesFilled ? DoubledOutlines.Removed(joined, own.Within) : joined;
            return Outlines.Grown(clean, own.Grow, PieceInk.ErrorAt(factor));
        });
    }

    private string KeyOf(FilmPly film, double factor, Lengths lengths) =>
        lengths.At(factor) is var own
            ? FormattableString.Invariant(
                $"graphic {content.Value} {films.IndexOf(film)} {InkCache.LevelFor(factor)} {own.Stroke:G12} {own.Within:G12} {own.Grow:G12}"
            )
            : "";

    /// <summary>
    /// The pieces of a film in order: those that follow one another are joined at once, and what cuts through is taken out of what came
    /// before.
    /// </summary>
    private Area Joined(FilmPly film, double factor, double stroke)
    {
        var ink = Outlines.Empty;
        for (var i = 0; i < kept.Count; )
        {
            var from = i;
            bool Same(int k) => kept[k].Film is null == kept[from].Film is null;
            var group = new List<Polygon>();
            for (; i < kept.Count && Same(i); i++)
            {
                if (kept[i].Film is not { } of || of == film)
                {
                    group.AddRange(Outlines.PolygonsOf(AreaOf(kept[i].Index, factor, stroke)));
                }
            }

            ink = kept[from].Film is null
                ? Outlines.Without(ink, Outlines.Join(group))
                : Outlines.Join([.. Outlines.PolygonsOf(ink), .. group]);
        }

        return part.HolesFilled ? Outlines.Filled(ink) : ink;
    }

    private Area AreaOf(int index, double factor, double stroke)
    {
        var piece = graphic.Pieces[index];
        var filled =
            part.Open == OpenOutlines.Closed && piece.Open.Count > 0
                ? PieceInk.Filled(piece, [.. piece.Closed, .. piece.Open], factor)
                : PieceInk.Of(graphic, index, factor, cache).Area;
        return part.Open != OpenOutlines.Strokes || piece.Open.Count == 0 || stroke <= 0
            ? filled
            : Outlines.Join([
                .. Outlines.PolygonsOf(filled),
                .. LinesOf(piece, factor).SelectMany(l => Outlines.PolygonsOf(Outlines.Grown(l, stroke / 2, PieceInk.ErrorAt(factor)))),
            ]);
    }

    private static IEnumerable<LineString> LinesOf(GraphicPiece piece, double factor) =>
        PieceInk.LinesOf(piece, factor).Select(l => Outlines.Factory.CreateLineString([.. l.Select(p => p.ToCoordinate())]));

    /// <summary>Lengths of the finished piece, or of the file once they are divided by the factor.</summary>
    /// <param name="Stroke">The width of strokes.</param>
    /// <param name="Grow">How far outlines are grown at every side.</param>
    /// <param name="Within">Outlines nearer than this are one, traced twice; zero where none are looked for.</param>
    private sealed record Lengths(double Stroke, double Grow, double Within)
    {
        public Lengths At(double factor) => new(Stroke / factor, Grow / factor, Within / factor);

        public override string ToString() => FormattableString.Invariant($"{Stroke:R} {Grow:R} {Within:R}");
    }
}
