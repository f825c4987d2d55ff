using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Type;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>The ink of a graphic at its size: flattened, cleaned as the part asks, by film; its box centred on the origin.</summary>
internal static class GraphicInk
{
    /// <summary>The factor that gives the ink its wanted size is found this precisely.</summary>
    private const double SizePrecision = 1e-7;

    private const int MostSizings = 6;

    /// <summary>The body of a graphic; null when nothing of it is left.</summary>
    public static PartBody? Body(GraphicPart part, GraphicOutlines graphic, Scales scales, InkCache cache)
    {
        var drawn = new Drawn(part, graphic, scales, cache);
        var factor = part.FileScale;
        if (part.SizedBy != GraphicSize.AsFile)
        {
            var wanted = part.Size.At(scales, LengthRange.Artwork);
            double Is(double f) => Box.Around(drawn.At(f).Select(i => Box.Of(i.Ink)!.Value)) is { } b ? part.SizedBy == GraphicSize.Width ? b.Width : b.Height : 0;
            // Strokes and strengthening do not follow the factor, so the size is nearly linear in it, not quite proportional.
            for (var i = 0; i < MostSizings && Is(factor) is var now && now > 0 && Math.Abs(now - wanted) > SizePrecision * wanted; i++)
            {
                var slope = (Is(factor * 1.01) - now) / (0.01 * factor);
                factor = slope > 0 ? Math.Max(factor + ((wanted - now) / slope), factor / 10) : factor * wanted / now;
            }

            if (wanted <= 0)
            {
                return null;
            }
        }

        var ink = drawn.At(factor);
        if (Box.Around(ink.Select(i => Box.Of(i.Ink)!.Value)) is not { } box)
        {
            return null;
        }

        var toMiddle = Motion.Move(-box.CentreX, -box.CentreY);
        return new PartBody(drawn.Key(factor), toMiddle.Of(box), () => [.. ink.Select(i => i with { Ink = Outlines.Moved(i.Ink, toMiddle) })]);
    }

    private sealed class Drawn(GraphicPart part, GraphicOutlines graphic, Scales scales, InkCache cache)
    {
        private readonly double stroke = part.StrokeWidth.At(scales, LengthRange.Artwork);
        private readonly double grow = part.Strengthen.At(scales, LengthRange.Margin);
        private readonly double within = part.DoubledWithin.At(scales, LengthRange.Margin);

        public string Key(double factor) => FormattableString.Invariant(
            $"graphic {graphic.Id} {factor:R} {stroke:R} {grow:R} {within:R} {part.Open} {part.HolesFilled} {part.DoubledRemoved} {string.Join(',', part.Dropped)} {string.Join(',', part.Films)} {part.FilmId} {part.Ply}");

        /// <summary>The ink by film when the file's millimetres are multiplied by a factor.</summary>
        public IReadOnlyList<FilmInk> At(double factor)
        {
            var byFilm = new Dictionary<FilmPly, Area>();
            var order = new List<FilmPly>();
            foreach (var (piece, index) in graphic.Pieces.Select((p, i) => (p, i)))
            {
                var film = part.Films.FirstOrDefault(f => string.Equals(f.Colour, piece.Colour, StringComparison.OrdinalIgnoreCase));
                if (part.Dropped.Contains(index) || film?.Use == ColourUse.LeftOut)
                {
                    continue;
                }

                var area = cache.Derived(FormattableString.Invariant($"{Key(factor)} #{index}"), () => Piece(piece, factor));
                if (area.IsEmpty)
                {
                    continue;
                }

                if (film?.Use == ColourUse.CutsThrough)
                {
                    order.ForEach(f => byFilm[f] = Outlines.Without(byFilm[f], area));
                    continue;
                }

                var of = new FilmPly(film is { FilmId.Length: > 0 } ? film.FilmId : part.FilmId, part.Ply);
                if (byFilm.TryGetValue(of, out var before))
                {
                    byFilm[of] = Outlines.Join([.. Outlines.PolygonsOf(before), .. Outlines.PolygonsOf(area)]);
                }
                else
                {
                    order.Add(of);
                    byFilm[of] = area;
                }
            }

            return [.. order.Select(f => new FilmInk(f, Cleaned(byFilm[f]))).Where(i => !i.Ink.IsEmpty)];
        }

        private Area Piece(GraphicPiece piece, double factor)
        {
            var error = Tolerances.Ink / factor;
            List<Contour> closed = [.. piece.Closed, .. part.Open == OpenOutlines.Closed ? piece.Open : []];
            var filled = Outlines.Moved(Outlines.FromContours(closed, error, Tolerances.InkTurn, piece.Rule == FillRule.EvenOdd), Motion.Scale(factor, factor));
            if (part.Open != OpenOutlines.Strokes || piece.Open.Count == 0 || stroke <= 0)
            {
                return filled;
            }

            var lines = piece.Open.Select(c => CurveFlattening.Flatten(c, error, Tolerances.InkTurn)).Where(l => l.Count > 1)
                .Select(l => Outlines.Factory.CreateLineString([.. l.Select(p => new Coordinate(p.X * factor, p.Y * factor))]));
            return Outlines.Join([.. Outlines.PolygonsOf(filled), .. lines.SelectMany(l => Outlines.PolygonsOf(Outlines.Grown(l, stroke / 2, Tolerances.Ink)))]);
        }

        private Area Cleaned(Area area)
        {
            var clean = part.HolesFilled ? Outlines.Filled(area) : part.DoubledRemoved ? DoubledOutlines.Removed(area, within) : area;
            return Outlines.Grown(clean, grow, Tolerances.Ink);
        }
    }
}
