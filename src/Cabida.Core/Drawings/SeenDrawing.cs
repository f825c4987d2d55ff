using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using NetTopologySuite.Densify;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Drawings;

/// <summary>
/// Developed artwork back on its wall, as it is seen when the blank is turned: only the half that faces the reader, its
/// edges foreshortened as they really are.
/// </summary>
public static class SeenDrawing
{
    /// <summary>Half of what is seen at once, in degrees; a hair less than a quarter turn, where everything is edge-on.</summary>
    private const double Half = 89.5;

    /// <summary>Edges are followed in steps of this length on the wall before they are bent; millimetres.</summary>
    private const double Step = 0.8;

    private const int RingSteps = 60;

    /// <summary>Higher than any wall; millimetres.</summary>
    private const double Beyond = 1e5;

    /// <summary>The blank without its artwork.</summary>
    /// <param name="wall">The wall.</param>
    /// <param name="zone">Its zone.</param>
    /// <param name="turn">How far the blank is turned, so that a point so many degrees right of the front faces the reader.</param>
    public static Drawing Blank(Wall wall, Zone zone, double turn)
    {
        ArgumentNullException.ThrowIfNull(wall);
        ArgumentNullException.ThrowIfNull(zone);
        var height = wall.Height.Value.Millimetres;
        var strokes = new List<Stroke>
        {
            new(
                StrokeKind.Edge,
                [
                    .. Ring(wall, 0, -90, 90),
                    .. Projection.Profile(wall, 90),
                    .. Ring(wall, height, 90, -90),
                    .. Enumerable.Reverse(Projection.Profile(wall, -90)),
                ],
                Closed: true
            ),
            new(StrokeKind.Edge, Ring(wall, height, -180, 180), Closed: true),
        };
        var handle = wall.Handle is null ? [] : HandleShape.At(wall, 180 - turn).Select(o => new Stroke(StrokeKind.Edge, o)).ToList();
        // Turned to the back it is drawn first, so that the wall stands before it.
        strokes.InsertRange(HandleShape.IsBehind(180 - turn) ? 0 : strokes.Count, handle);
        foreach (var part in Outlines.RingsOf(Seen(wall, zone.Cautious.Outline, turn)))
        {
            strokes.Add(new(StrokeKind.Zone, [.. part.Coordinates.Select(c => new PlanePoint(c.X, c.Y))]));
        }

        // The box is that of a blank with its handle at the side, so that turning does not change the scale.
        var reach = wall.Handle is null ? 0 : HandleShape.Reach * height;
        var across = Projection.Profile(wall, 90).Max(p => p.X);
        return new Drawing(
            new Box(-across - reach, Projection.Of(wall, 0, 0).Y, across + reach, Projection.Of(wall, 180, height).Y),
            strokes,
            [],
            []
        );
    }

    /// <summary>The part of a developed area that faces the reader, projected.</summary>
    /// <param name="wall">The wall.</param>
    /// <param name="developed">An area in developed coordinates.</param>
    /// <param name="turn">How far the blank is turned; degrees.</param>
    public static Area Seen(Wall wall, Area developed, double turn)
    {
        ArgumentNullException.ThrowIfNull(wall);
        ArgumentNullException.ThrowIfNull(developed);
        var window = Outlines.Rectangle(new Box(-Half, -Beyond, Half, Beyond));
        var facing = new List<Polygon>();
        foreach (var polygon in Outlines.PolygonsOf(developed))
        {
            var round = Mapped((Polygon)Densifier.Densify(polygon, Step), p =>
            {
                var (angle, v) = wall.OnWall(p);
                return new PlanePoint(angle.Degrees + wall.Turn.Degrees - turn, v);
            });
            // A full turn more or less shows what has come round from the other side.
            foreach (var whole in new[] { -360.0, 0, 360 })
            {
                var shifted = Outlines.Placed(round, 1, whole, 0);
                var seen = window.EnvelopeInternal.Contains(shifted.EnvelopeInternal) ? shifted : Overlay.Intersection(shifted, window);
                facing.AddRange(Outlines.PolygonsOf(seen).Select(p => Mapped(p, q => Projection.Of(wall, q.X, q.Y))));
            }
        }

        return Outlines.Factory.CreateMultiPolygon([.. facing]);
    }

    private static Polygon Mapped(Polygon polygon, Func<PlanePoint, PlanePoint> map)
    {
        LinearRing Ring(LineString ring) =>
            Outlines.Factory.CreateLinearRing([.. ring.Coordinates.Select(c => map(new(c.X, c.Y)).ToCoordinate())]);
        return Outlines.Factory.CreatePolygon(Ring(polygon.ExteriorRing), [.. polygon.InteriorRings.Select(Ring)]);
    }

    private static List<PlanePoint> Ring(Wall wall, double v, double from, double to) =>
        [.. Enumerable.Range(0, RingSteps + 1).Select(i => Projection.Of(wall, from + ((to - from) * i / RingSteps), v))];
}
