namespace Cabida.Core.Geometry;

/// <summary>An upright box, in millimetres (or em, where said), y up.</summary>
public readonly record struct Box(double MinX, double MinY, double MaxX, double MaxY)
{
    /// <summary>Its width.</summary>
    public double Width => MaxX - MinX;

    /// <summary>Its height.</summary>
    public double Height => MaxY - MinY;

    /// <summary>The middle across.</summary>
    public double CentreX => (MinX + MaxX) / 2;

    /// <summary>The middle up.</summary>
    public double CentreY => (MinY + MaxY) / 2;

    /// <summary>Its middle.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public PlanePoint Centre => new(CentreX, CentreY);

    /// <summary>Its corners, from the lower left around to the upper left.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IReadOnlyList<PlanePoint> Corners => [new(MinX, MinY), new(MaxX, MinY), new(MaxX, MaxY), new(MinX, MaxY)];

    /// <summary>How far a place lies outside it; zero within.</summary>
    public double DistanceTo(PlanePoint at)
    {
        var (x, y) = (Math.Max(0, Math.Max(MinX - at.X, at.X - MaxX)), Math.Max(0, Math.Max(MinY - at.Y, at.Y - MaxY)));
        return Math.Sqrt((x * x) + (y * y));
    }

    /// <summary>The box moved.</summary>
    public Box Moved(double dx, double dy) => new(MinX + dx, MinY + dy, MaxX + dx, MaxY + dy);

    /// <summary>The box scaled about the origin.</summary>
    public Box Scaled(double s) => new(MinX * s, MinY * s, MaxX * s, MaxY * s);

    /// <summary>The box with every side moved out by as much.</summary>
    public Box Grown(double by) => new(MinX - by, MinY - by, MaxX + by, MaxY + by);

    /// <summary>Whether two boxes have a point in common.</summary>
    public bool Meets(Box other) => MinX <= other.MaxX && other.MinX <= MaxX && MinY <= other.MaxY && other.MinY <= MaxY;

    /// <summary>The smallest box that holds both.</summary>
    public Box With(Box other) =>
        new(Math.Min(MinX, other.MinX), Math.Min(MinY, other.MinY), Math.Max(MaxX, other.MaxX), Math.Max(MaxY, other.MaxY));

    /// <summary>Whether all of another box lies in it.</summary>
    public bool Holds(Box other) => MinX <= other.MinX && MaxX >= other.MaxX && MinY <= other.MinY && MaxY >= other.MaxY;

    internal NetTopologySuite.Geometries.Envelope ToEnvelope() => new(MinX, MaxX, MinY, MaxY);

    /// <summary>The smallest box that holds some places; there must be one.</summary>
    internal static Box AroundPoints(IReadOnlyList<PlanePoint> places) =>
        new(places.Min(p => p.X), places.Min(p => p.Y), places.Max(p => p.X), places.Max(p => p.Y));

    /// <summary>The smallest box that holds all, or null when there are none.</summary>
    public static Box? Around(IEnumerable<Box> boxes)
    {
        ArgumentNullException.ThrowIfNull(boxes);
        Box? all = null;
        foreach (var box in boxes)
        {
            all = all?.With(box) ?? box;
        }

        return all;
    }

    /// <summary>The box of an area, or null when it is empty.</summary>
    public static Box? Of(NetTopologySuite.Geometries.Geometry area)
    {
        ArgumentNullException.ThrowIfNull(area);
        var e = area.EnvelopeInternal;
        return e.IsNull ? null : new Box(e.MinX, e.MinY, e.MaxX, e.MaxY);
    }
}
