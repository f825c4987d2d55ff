using System.Text.Json.Serialization;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Geometry;

/// <summary>A point of the plane; y up.</summary>
public readonly record struct PlanePoint(double X, double Y)
{
    /// <summary>The distance to another point.</summary>
    public double To(PlanePoint other) => Math.Sqrt(((X - other.X) * (X - other.X)) + ((Y - other.Y) * (Y - other.Y)));

    /// <summary>The point a share of the way to another.</summary>
    public PlanePoint Towards(PlanePoint other, double share) => new(X + (share * (other.X - X)), Y + (share * (other.Y - Y)));

    /// <summary>The point of a straight stretch that lies nearest.</summary>
    internal PlanePoint NearestOn(PlanePoint from, PlanePoint to)
    {
        double dx = to.X - from.X,
            dy = to.Y - from.Y,
            square = (dx * dx) + (dy * dy);
        return square == 0 ? from : from.Towards(to, Math.Clamp((((X - from.X) * dx) + ((Y - from.Y) * dy)) / square, 0, 1));
    }

    internal Coordinate ToCoordinate() => new(X, Y);
}

/// <summary>One stretch of a contour, from where the one before it ended.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "to")]
[JsonDerivedType(typeof(LineSegmentTo), "line")]
[JsonDerivedType(typeof(QuadraticTo), "quadratic")]
[JsonDerivedType(typeof(CubicTo), "cubic")]
public abstract record CurveSegment(PlanePoint End)
{
    /// <summary>The same stretch with its place changed.</summary>
    public abstract CurveSegment Moved(Motion by);
}

/// <summary>A straight stretch.</summary>
public sealed record LineSegmentTo(PlanePoint End) : CurveSegment(End)
{
    /// <inheritdoc/>
    public override CurveSegment Moved(Motion by) => new LineSegmentTo(by.Of(End));
}

/// <summary>A quadratic Bézier stretch.</summary>
public sealed record QuadraticTo(PlanePoint Control, PlanePoint End) : CurveSegment(End)
{
    /// <inheritdoc/>
    public override CurveSegment Moved(Motion by) => new QuadraticTo(by.Of(Control), by.Of(End));
}

/// <summary>A cubic Bézier stretch.</summary>
public sealed record CubicTo(PlanePoint Control1, PlanePoint Control2, PlanePoint End) : CurveSegment(End)
{
    /// <inheritdoc/>
    public override CurveSegment Moved(Motion by) => new CubicTo(by.Of(Control1), by.Of(Control2), by.Of(End));
}

/// <summary>A closed outline as drawn by its designer, curves kept as curves.</summary>
/// <param name="Start">Where it begins and ends.</param>
/// <param name="Segments">Its stretches in order; the closing line is implied.</param>
public sealed record Contour(PlanePoint Start, IReadOnlyList<CurveSegment> Segments)
{
    /// <summary>The same outline with its place changed.</summary>
    public Contour Moved(Motion by) => by == Motion.None ? this : new(by.Of(Start), [.. Segments.Select(s => s.Moved(by))]);
}
