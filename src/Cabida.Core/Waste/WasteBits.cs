using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Waste;

/// <summary>What a bit of waste is.</summary>
public enum WasteKind
{
    /// <summary>What lies around the ink, or a cell of it.</summary>
    Field,

    /// <summary>A hole of the ink.</summary>
    Counter,

    /// <summary>Ink that is picked out: of a mask, or of a stencil.</summary>
    Ink,
}

/// <summary>A bit that is picked out by itself.</summary>
/// <param name="Number">From 1, the smallest: so that none is forgotten.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Area">It, in square millimetres.</param>
/// <param name="At">A place on it, as far from its outline as any.</param>
/// <param name="Outline">It; millimetres.</param>
public sealed record WasteBit(int Number, WasteKind Kind, double Area, PlanePoint At, Polygon Outline);

/// <summary>Waste in bits (calculations 3.10): counters and the field around; of a mask or a stencil ink and waste change places.</summary>
public static class WasteBits
{
    /// <summary>A bit smaller than this takes longer to pick; square millimetres.</summary>
    public const double Small = 4;

    /// <summary>A place is found this precisely; millimetres.</summary>
    private const double Precision = 0.1;

    /// <summary>The bits, from the smallest.</summary>
    /// <param name="ink">The ink.</param>
    /// <param name="purpose">What the film is for.</param>
    /// <param name="field">The cells that the field around is broken into, with the ink in them; none for no weed box.</param>
    public static IReadOnlyList<WasteBit> Of(Area ink, FilmPurpose purpose, IReadOnlyList<Polygon> field)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(field);
        var parts = Outlines.PolygonsOf(ink).ToList();
        var bits =
            purpose != FilmPurpose.Stays
                ? parts.Select(p => (Kind: WasteKind.Ink, Outline: p))
                : Counters(parts)
                    .Select(c => (Kind: WasteKind.Counter, Outline: c))
                    .Concat(field.SelectMany(c => Around(c, parts)).Select(c => (Kind: WasteKind.Field, Outline: c)));
        return
        [
            .. bits.OrderBy(b => b.Outline.Area)
                .ThenBy(b => b.Outline.EnvelopeInternal.MinX)
                .Select((b, i) => new WasteBit(i + 1, b.Kind, b.Outline.Area, Middle(b.Outline), b.Outline)),
        ];
    }

    /// <summary>The holes of ink without what stands in them: ink inside a counter is ink.</summary>
    private static IEnumerable<Polygon> Counters(List<Polygon> parts) =>
        parts.SelectMany(p => p.Holes).SelectMany(h => Around(Outlines.Factory.CreatePolygon(h), parts));

    /// <summary>An area less the ink in it, holes of that ink filled: what stands around it.</summary>
    private static IEnumerable<Polygon> Around(Polygon area, List<Polygon> parts)
    {
        var within = parts.FindAll(p => area.EnvelopeInternal.Contains(p.EnvelopeInternal) && area.Covers(p));
        return within.Count == 0
            ? [area]
            : Outlines.PolygonsOf(
                Outlines.Without(area, Outlines.Join([.. within.Select(p => (Area)Outlines.Factory.CreatePolygon(p.Shell))]))
            );
    }

    private static PlanePoint Middle(Polygon of)
    {
        var at = NetTopologySuite.Algorithm.Construct.MaximumInscribedCircle.GetCenter(of, Precision).Coordinate;
        return new PlanePoint(at.X, at.Y);
    }
}
