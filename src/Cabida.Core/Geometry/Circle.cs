namespace Cabida.Core.Geometry;

/// <summary>A circle.</summary>
/// <param name="Middle">Its middle.</param>
/// <param name="Radius">From there to its edge; millimetres.</param>
public readonly record struct Circle(PlanePoint Middle, double Radius)
{
    /// <summary>Rounding of places that were moved about.</summary>
    private const double Slack = 1e-6;

    /// <summary>The smallest circle about the origin that holds an area with ink.</summary>
    public static Circle AboutOrigin(NetTopologySuite.Geometries.Geometry area)
    {
        ArgumentNullException.ThrowIfNull(area);
        return new(default, Math.Sqrt(area.Coordinates.Max(c => (c.X * c.X) + (c.Y * c.Y))));
    }

    /// <summary>The smallest circle about the origin that holds a box.</summary>
    public static Circle AboutOrigin(Box box)
    {
        var (x, y) = (Math.Max(Math.Abs(box.MinX), Math.Abs(box.MaxX)), Math.Max(Math.Abs(box.MinY), Math.Abs(box.MaxY)));
        return new(default, Math.Sqrt((x * x) + (y * y)));
    }

    /// <summary>
    /// The circle with its place changed; turns, moves and mirrorings keep its size, another change of scale the mean of it.
    /// </summary>
    public Circle Moved(Motion by) => new(by.Of(Middle), Radius * Math.Sqrt(Math.Abs((by.A * by.E) - (by.B * by.D))));

    /// <summary>Whether all of another circle lies in it.</summary>
    public bool Holds(Circle other) => Middle.To(other.Middle) + other.Radius <= Radius + Slack;

    /// <summary>Whether all of a box lies in it.</summary>
    public bool Holds(Box box) => AboutOrigin(box.Moved(-Middle.X, -Middle.Y)).Radius <= Radius + Slack;
}
