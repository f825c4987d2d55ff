using Cabida.Core.Geometry;
using NetTopologySuite.Algorithm;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Ties;

/// <summary>A part that would fall out of a layer.</summary>
/// <param name="Outline">It, with what is cut out of it.</param>
/// <param name="Index">Its number among what hangs together in <paramref name="Among"/>.</param>
/// <param name="Among">What it hangs together with.</param>
internal sealed record HeldPart(Polygon Outline, int Index, HeldParts Among)
{
    /// <summary>The middle of it.</summary>
    public PlanePoint Middle { get; } = new(Outline.Centroid.X, Outline.Centroid.Y);

    /// <summary>How far it is across where it is narrowest.</summary>
    public double Across { get; } = new MinimumDiameter(Outline).Length;
}

/// <summary>Finds what of a layer needs ties, and draws them (calculations 6.3).</summary>
internal static class TiedInk
{
    /// <summary>A part larger than this is held at two places; square millimetres.</summary>
    public const double HeldTwice = 400;

    /// <summary>What would fall out of a layer.</summary>
    /// <param name="ink">The ink of the layer.</param>
    /// <param name="stencil">Whether the ink is the hole, and its holes fall out; otherwise all parts of it but the largest do.</param>
    public static IReadOnlyList<HeldPart> Falling(Area ink, bool stencil)
    {
        ArgumentNullException.ThrowIfNull(ink);
        var polygons = Outlines.PolygonsOf(ink).ToList();
        return stencil ? [.. polygons.SelectMany(Islands)] : Parts(polygons);
    }

    /// <summary>A layer with its ties: taken out of the hole of a stencil, joined to what is to be one piece.</summary>
    public static Area With(Area ink, IReadOnlyList<Tie> ties, bool stencil)
    {
        ArgumentNullException.ThrowIfNull(ties);
        var strips = Outlines.Join([.. ties.Select(t => t.Strip)]);
        return ties.Count == 0 ? ink
            : stencil ? Outlines.Without(ink, strips)
            : Outlines.Join([.. Outlines.PolygonsOf(ink), .. Outlines.PolygonsOf(strips)]);
    }

    /// <summary>The ways of a part's ties: the shortest, and of what is large another nearest to opposite.</summary>
    public static IEnumerable<(PlanePoint From, PlanePoint To)> Ways(HeldPart part)
    {
        ArgumentNullException.ThrowIfNull(part);
        var (_, from, to) = part.Among.Ways.First(w => w.Part == part.Index);
        yield return (from, to);
        if (
            part.Outline.Area > HeldTwice
            && WayAt(part, Math.Atan2(part.Middle.Y - from.Y, part.Middle.X - from.X) * 180 / Math.PI) is { } other
        )
        {
            yield return other;
        }
    }

    /// <summary>The way of a tie that leaves a part in a direction, seen from its middle.</summary>
    /// <param name="part">The part.</param>
    /// <param name="angle">The direction; degrees to the left of the right.</param>
    public static (PlanePoint From, PlanePoint To)? WayAt(HeldPart part, double angle)
    {
        ArgumentNullException.ThrowIfNull(part);
        var (radians, reach) = (angle * Math.PI / 180, part.Outline.EnvelopeInternal.Diameter);
        var far = new Coordinate(part.Middle.X + (reach * Math.Cos(radians)), part.Middle.Y + (reach * Math.Sin(radians)));
        var ray = Outlines.Factory.CreateLineString([part.Middle.ToCoordinate(), far]);
        return part.Outline.ExteriorRing.Intersection(ray).Coordinates.MaxBy(c => c.Distance(part.Middle.ToCoordinate())) is { } at
            ? part.Among.WayFrom(part.Index, new PlanePoint(at.X, at.Y))
            : null;
    }

    /// <summary>The islands of one opening of a stencil: the sheet round it holds them.</summary>
    private static IEnumerable<HeldPart> Islands(Polygon opening)
    {
        if (opening.NumInteriorRings is 0 or > HeldParts.Most)
        {
            return [];
        }

        var among = new HeldParts([opening.ExteriorRing, .. opening.InteriorRings]);
        return opening.Holes.Select((h, i) => new HeldPart(Outlines.Factory.CreatePolygon(h), i + 1, among));
    }

    /// <summary>Parts by what they enclose, since a frame holds what stands in it, however narrow it is.</summary>
    internal static List<Polygon> LargestFirst(IEnumerable<Polygon> polygons) =>
        [.. polygons.OrderByDescending(p => p.EnvelopeInternal.Area).ThenByDescending(p => p.Area)];

    private static List<HeldPart> Parts(List<Polygon> polygons)
    {
        if (polygons.Count is <= 1 or > HeldParts.Most)
        {
            return [];
        }

        var sorted = LargestFirst(polygons);
        var among = new HeldParts([.. sorted.Select(OutlineOf)]);
        return [.. sorted.Select((p, i) => new HeldPart(p, i, among)).Skip(1)];
    }

    /// <summary>All rings of a part, as one: a name in the opening of a frame hangs on the inside of it.</summary>
    private static MultiLineString OutlineOf(Polygon part) =>
        Outlines.Factory.CreateMultiLineString([part.ExteriorRing, .. part.InteriorRings]);
}
