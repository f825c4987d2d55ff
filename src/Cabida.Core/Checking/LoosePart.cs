using Cabida.Core.Geometry;

namespace Cabida.Core.Checking;

/// <summary>A part that nothing holds: an island of a stencil, or a part of what has to be one piece.</summary>
/// <param name="Outline">It, filled; of a stencil with what is cut out of it.</param>
public sealed record LoosePart(NetTopologySuite.Geometries.Polygon Outline)
{
    /// <summary>A place on it.</summary>
    public PlanePoint At => Outline.InteriorPoint is { IsEmpty: false } inside ? new(inside.X, inside.Y) : new(0, 0);
}
