using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Type;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>A part's ink with its dots left out, its counters filled and its tips rounded, at the size that it is drawn at.</summary>
internal static class MendedInk
{
    /// <summary>A body mended; null where nothing is left of it.</summary>
    /// <param name="body">The part as it is drawn.</param>
    /// <param name="mending">What is done to it.</param>
    /// <param name="cache">Where outlines are kept.</param>
    public static PartBody? Of(PartBody body, InkMending mending, InkCache cache)
    {
        if (mending.IsNone)
        {
            return body;
        }

        var (dots, counters, tips) = (AreaOf(mending.Dots), AreaOf(mending.Counters), Read(mending.Tips));
        var key = FormattableString.Invariant($"{body.Key} mended {dots:R} {counters:R} {tips:R}");
        IReadOnlyList<FilmInk> ink =
        [
            .. body
                .Ink.Select(
                    (film, i) =>
                        new FilmInk(
                            film.Film,
                            [
                                new PlacedInk(
                                    $"{key} {i}",
                                    cache.Derived($"{key} {i}", () => Mended(film.Ink, dots, counters, tips)),
                                    Motion.None
                                ),
                            ]
                        )
                )
                .Where(f => !f.Ink.IsEmpty),
        ];
        return Box.Around(ink.Select(f => f.Box).OfType<Box>()) is { } box ? body.With(key, box, ink) : null;
    }

    private static double Read(TypedLength typed) => typed.OrZero(LengthRange.FilmLimit).Millimetres;

    private static double AreaOf(TypedLength across) => Math.PI / 4 * Read(across) * Read(across);

    /// <summary>Ink mended; millimetres of the finished piece.</summary>
    /// <param name="ink">The ink.</param>
    /// <param name="dots">Separate parts with less area are left out; square millimetres.</param>
    /// <param name="counters">Holes with less area are filled, unless something stands in them.</param>
    /// <param name="tips">Tips thinner than this are rounded off.</param>
    public static Area Mended(Area ink, double dots, double counters, double tips)
    {
        ArgumentNullException.ThrowIfNull(ink);
        var left = Outlines.PolygonsOf(ink).Where(p => p.Area >= dots).ToList();
        var filled = counters > 0 ? left.ConvertAll(p => Filled(p, counters, left)) : left;
        var mended = Outlines.Together(filled);
        return tips > 0 ? Rounded(mended, tips) : mended;
    }

    private static Polygon Filled(Polygon polygon, double counters, List<Polygon> all)
    {
        bool Stays(LinearRing hole)
        {
            var outline = Outlines.Factory.CreatePolygon(hole);
            return outline.Area >= counters
                || all.Exists(p =>
                    !ReferenceEquals(p, polygon) && outline.EnvelopeInternal.Contains(p.EnvelopeInternal) && outline.Contains(p)
                );
        }

        var holes = polygon.Holes.Where(Stays).ToArray();
        return holes.Length == polygon.Holes.Length ? polygon : Outlines.Factory.CreatePolygon(polygon.Shell, holes);
    }

    /// <summary>
    /// Each tip opened by a disc of the width (calculations 3.8), looked at closely: what opening removes elsewhere stays, so that no
    /// stroke is parted and no corner rounded that is none.
    /// </summary>
    private static Area Rounded(Area ink, double width)
    {
        using var grid = new SegmentGrid(ink);
        var away = NarrowPlaces
            .Find(new RollingDisc(grid, width, outside: false))
            .Where(p => p.Kind == NarrowKind.Tip)
            .Select(t => RemovedAt(ink, t, width))
            .OfType<Area>()
            .ToList();
        // A hair more at every side, so that no sliver of rounding is left of them.
        return away.Count == 0
            ? ink
            : Outlines.Without(
                ink,
                Outlines.Grown(Outlines.Join([.. away.SelectMany(Outlines.PolygonsOf)]), Tolerances.Ink, Tolerances.Ink)
            );
    }

    private static Polygon? RemovedAt(Area ink, NarrowPlace tip, double width)
    {
        // Wide enough that what the window itself cuts off is not taken for the tip.
        var reach = (tip.Length / 2) + (3 * width);
        var window = new Box(tip.At.X - reach, tip.At.Y - reach, tip.At.X + reach, tip.At.Y + reach);
        var near = Outlines.Within(ink, Outlines.Rectangle(window));
        var opened = Outlines.Grown(Outlines.Grown(near, -width / 2, Tolerances.Ink), width / 2, Tolerances.Ink);
        var at = Outlines.Factory.CreatePoint(tip.At.ToCoordinate());
        return Outlines
            // Opening leaves slivers along straight sides, of rounding: what is opened and a hair more.
            .PolygonsOf(Outlines.Without(near, Outlines.Grown(opened, Tolerances.Ink, Tolerances.Ink)))
            .Where(p => p.Distance(at) <= width / 2)
            .MinBy(p => p.Distance(at));
    }
}
