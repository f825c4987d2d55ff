using System.Text.Json.Nodes;
using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Web.Tests;

/// <summary>What rings of a file enclose, and the way back from where it lies on a load.</summary>
internal static class FileInk
{
    /// <summary>What lies inside an odd number of rings.</summary>
    public static Area Of(IEnumerable<IReadOnlyList<PlanePoint>> rings) =>
        rings.Aggregate(Outlines.Empty, (ink, ring) => ink.SymmetricDifference(Outlines.Ring([.. ring])));

    /// <summary>A point of a load moved back to where it was before it was laid: turned by so much, then moved.</summary>
    public static PlanePoint Back(JsonNode at, PlanePoint p)
    {
        var turn = (double)at["degrees"]! * Math.PI / 180;
        var (x, y) = (p.X - (double)at["x"]!, p.Y - (double)at["y"]!);
        return new((x * Math.Cos(turn)) + (y * Math.Sin(turn)), (y * Math.Cos(turn)) - (x * Math.Sin(turn)));
    }
}
