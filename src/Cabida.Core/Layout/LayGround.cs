using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Layout;

/// <summary>
/// The ground of a place as the search sees it: its box, and where it is no rectangle, its edges and how deep points lie.
/// </summary>
internal sealed class LayGround
{
    private const int Steps = 192;
    private readonly PosedShape? edges;
    private readonly double[] depths = [];
    private readonly double step;
    private readonly int across;

    public LayGround(Area ground)
    {
        Box = Box.Of(ground) ?? throw new ArgumentException("A place without ground.", nameof(ground));
        Area = ground.Area;
        Rings = [.. Outlines.RingsOf(ground).Select(r => r.Coordinates.Skip(1).Select(c => new PlanePoint(c.X, c.Y)).ToArray())];
        IsBox = ground.Area >= Box.Width * Box.Height * (1 - 1e-9);
        if (IsBox)
        {
            return;
        }

        // As a shape about the origin, so that its edges are found as those of any other.
        edges = new PosedShape(LayShape.AsItIs(ground));
        edges.Pose(0, 1, 0, 0);
        step = Math.Max(Box.Width, Box.Height) / Steps;
        across = (int)Math.Ceiling(Box.Width / step) + 1;
        var up = (int)Math.Ceiling(Box.Height / step) + 1;
        depths = new double[across * up];
        for (var i = 0; i < depths.Length; i++)
        {
            depths[i] = Layout.Rings.Depth(Rings, new PlanePoint(Box.MinX + (i % across * step), Box.MinY + (i / across * step)));
        }
    }

    /// <summary>Its rings, without the first point repeated.</summary>
    public PlanePoint[][] Rings { get; }

    /// <summary>Its box.</summary>
    public Box Box { get; }

    /// <summary>Its area.</summary>
    public double Area { get; }

    /// <summary>Whether it is all of its box: what lies in the box lies in it.</summary>
    public bool IsBox { get; }

    /// <summary>Whether a shape, whose box lies in that of the ground, stands out of it.</summary>
    public bool IsLeft(PosedShape by)
    {
        if (IsBox)
        {
            return false;
        }

        for (var i = 0; i < by.Shape.Poles.Length; i++)
        {
            if (!edges!.Holds(by.PoleXs[i], by.PoleYs[i]))
            {
                return true;
            }
        }

        for (var i = 0; i < by.Xs.Length; i++)
        {
            var j = by.Next[i];
            var crossing = new Collision.Crossing(by.Xs[i], by.Ys[i], by.Xs[j], by.Ys[j]);
            if (edges!.AnyNear(crossing.MinX, crossing.MinY, crossing.MaxX, crossing.MaxY, ref crossing))
            {
                return true;
            }
        }

        // No edges cross and its discs lie within: so does all of it, unless a hole of the ground lies in it.
        foreach (var ring in Rings)
        {
            if (by.Holds(ring[0].X, ring[0].Y))
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>How far a shape stands out of the ground, as far as its discs tell; measured as overlaps are.</summary>
    public double Amount(PosedShape by)
    {
        var near = Collision.NearShare * by.Shape.Diameter;
        var sum = near * near;
        for (var i = 0; i < by.Shape.Poles.Length; i++)
        {
            var r = by.Shape.Poles[i].Radius;
            sum += Collision.Deep(r - DepthAt(by.PoleXs[i], by.PoleYs[i]), near) * r;
        }

        return 2 * Math.Sqrt(sum) * by.Shape.Bulk;
    }

    /// <summary>How deep a point lies, between the four nearest of a raster.</summary>
    private double DepthAt(double x, double y)
    {
        var (u, v) = ((x - Box.MinX) / step, (y - Box.MinY) / step);
        var (i, j) = (Math.Clamp((int)u, 0, across - 2), Math.Clamp((int)v, 0, (depths.Length / across) - 2));
        var (s, t) = (u - i, v - j);
        var at = (j * across) + i;
        return ((1 - t) * (((1 - s) * depths[at]) + (s * depths[at + 1])))
            + (t * (((1 - s) * depths[at + across]) + (s * depths[at + across + 1])));
    }
}
