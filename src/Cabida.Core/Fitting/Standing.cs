using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using NetTopologySuite.Algorithm.Locate;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>
/// How deep ink stands outside a zone: the most that a corner of it lies from the zone, the middle of a stretch of its edge
/// that lies outside, or how deep a corner of the zone's edge lies within the ink. It tells what the room to the sides cannot: ink that
/// lies whole in a hole has room on all of them.
/// </summary>
/// <param name="Depth">Millimetres; zero where all of it lies inside.</param>
/// <param name="Limit">What it stands on.</param>
internal readonly record struct Standing(double Depth, LimitKind Limit)
{
    /// <summary>Measures it; null for no ink.</summary>
    public static Standing? Of(Area ink, ZoneShape zone)
    {
        if (ink.IsEmpty)
        {
            return null;
        }

        Effort.Spend((long)ink.NumPoints * StepsPerPoint);
        var inZone = new IndexedPointInAreaLocator(zone.Outline);
        var worst = new Standing(0, LimitKind.Edge);
        foreach (var c in ink.Coordinates)
        {
            if (inZone.Locate(c) == Location.Exterior)
            {
                Take(NearestEdge(zone, new PlanePoint(c.X, c.Y)));
            }
        }

        var inInk = new IndexedPointInAreaLocator(ink);
        var inkEdges = Outlines
            .RingsOf(ink)
            .SelectMany(r =>
                r.Coordinates.Zip(r.Coordinates.Skip(1), (a, b) => (From: new PlanePoint(a.X, a.Y), To: new PlanePoint(b.X, b.Y)))
            )
            .ToList();
        foreach (var edge in zone.Edges)
        {
            if (inInk.Locate(edge.From.ToCoordinate()) == Location.Interior)
            {
                Take(new Standing(inkEdges.Min(e => edge.From.To(edge.From.NearestOn(e.From, e.To))), edge.Limit));
            }
        }

        // An edge may go out and in again between two corners that lie inside.
        foreach (var (from, to) in inkEdges)
        {
            foreach (var middle in Stretches(from, to, zone))
            {
                if (inZone.Locate(middle.ToCoordinate()) == Location.Exterior)
                {
                    Take(NearestEdge(zone, middle));
                }
            }
        }

        return worst;

        void Take(Standing one) => worst = one.Depth > worst.Depth ? one : worst;
    }

    private const int StepsPerPoint = 20;

    /// <summary>
    /// An end that lies this near a zone's edge touches it, however rounding has it; a share of the edge, and millimetres.
    /// </summary>
    private const double Slack = 1e-7;

    /// <summary>
    /// The middles of the stretches of an edge between its crossings with the zone's, its ends counted in; none where it meets none.
    /// </summary>
    private static IEnumerable<PlanePoint> Stretches(PlanePoint from, PlanePoint to, ZoneShape zone)
    {
        List<double>? at = null;
        var (minX, maxX, minY, maxY) = (Math.Min(from.X, to.X), Math.Max(from.X, to.X), Math.Min(from.Y, to.Y), Math.Max(from.Y, to.Y));
        double dx = to.X - from.X,
            dy = to.Y - from.Y;
        foreach (var e in zone.Edges)
        {
            if (
                Math.Max(e.From.X, e.To.X) < minX - Slack
                || Math.Min(e.From.X, e.To.X) > maxX + Slack
                || Math.Max(e.From.Y, e.To.Y) < minY - Slack
                || Math.Min(e.From.Y, e.To.Y) > maxY + Slack
            )
            {
                continue;
            }

            double ex = e.To.X - e.From.X,
                ey = e.To.Y - e.From.Y,
                across = (dx * ey) - (dy * ex);
            if (across == 0)
            {
                continue;
            }

            double ax = e.From.X - from.X,
                ay = e.From.Y - from.Y,
                t = ((ax * ey) - (ay * ex)) / across,
                u = ((ax * dy) - (ay * dx)) / across;
            if (t is > -Slack and < 1 + Slack && u is >= -Slack and <= 1 + Slack)
            {
                (at ??= [0, 1]).Add(Math.Clamp(t, 0, 1));
            }
        }

        if (at is null)
        {
            return [];
        }

        at.Sort();
        return at.Zip(at.Skip(1), (a, b) => from.Towards(to, (a + b) / 2));
    }

    private static Standing NearestEdge(ZoneShape zone, PlanePoint p)
    {
        var nearest = new Standing(double.MaxValue, LimitKind.Edge);
        foreach (var e in zone.Edges)
        {
            var far = p.To(p.NearestOn(e.From, e.To));
            nearest = far < nearest.Depth ? new Standing(far, e.Limit) : nearest;
        }

        return nearest;
    }
}
