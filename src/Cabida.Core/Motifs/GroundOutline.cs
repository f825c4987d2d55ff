using System.Security.Cryptography;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>The true outline of a ground, with its holes; millimetres from its datum centre, y up.</summary>
public sealed class GroundOutline
{
    /// <summary>How far the edge of a round ground may be from its circle, as a share of the radius.</summary>
    private const double NearlyRound = 0.005;

    private const int BytesOfKey = 12;

    private readonly Once<string> key;

    /// <summary>An outline.</summary>
    public GroundOutline(Polygon area)
    {
        ArgumentNullException.ThrowIfNull(area);
        Area = area;
        Round = CircleOf(area);
        key = new(() => Convert.ToHexStringLower(SHA256.HashData(area.AsBinary()).AsSpan(0, BytesOfKey)));
    }

    /// <summary>The area.</summary>
    public Polygon Area { get; }

    /// <summary>The circle that its edge is; null where it is none. Holes do not matter.</summary>
    internal Circle? Round { get; }

    /// <summary>Tells outlines apart that could differ.</summary>
    internal string Key => key.Value;

    /// <summary>
    /// The outline moved in by so much from its edge and its holes; in parts where that parts it, empty where nothing is left.
    /// </summary>
    /// <param name="by">How far; millimetres, not negative.</param>
    /// <param name="holes">Whether its holes stay open, as much wider; filled otherwise.</param>
    public Area Inset(double by, bool holes)
    {
        var outside = Outlines.Factory.CreatePolygon((LinearRing)Area.ExteriorRing);
        var inside = by > 0 ? Geometry.Inset.Of(outside, SideInsets.All(by)) : outside;
        var open =
            holes && Area.NumInteriorRings > 0
                ? Outlines.Join([
                    .. Area.InteriorRings.Select(r => Outlines.Grown(Outlines.Factory.CreatePolygon(r.Coordinates), by, Tolerances.Ink)),
                ])
                : Outlines.Empty;
        return Outlines.Without(inside, open);
    }

    /// <summary>A circle has every point of its edge at one distance and, unlike a square, the area that goes with it.</summary>
    private static Circle? CircleOf(Polygon area)
    {
        var edge = area.ExteriorRing.Coordinates;
        var middle = Box.Of(area)!.Value.Centre;
        var away = edge.Select(c => middle.To(new PlanePoint(c.X, c.Y))).ToList();
        var (radius, enclosed) = (away.Max(), Outlines.Factory.CreatePolygon(edge).Area);
        return radius - away.Min() <= NearlyRound * radius && Math.PI * radius * radius <= enclosed * (1 + (4 * NearlyRound))
            ? new Circle(middle, radius)
            : null;
    }
}
