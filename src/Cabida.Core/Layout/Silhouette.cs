using Cabida.Core.Geometry;
using NetTopologySuite.Simplify;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Layout;

/// <summary>
/// What of a piece is laid out: the area that stays together when scissors part it from others. Ink of several parts is closed by the
/// least disc that makes it one (a closing in the sense of Serra 1982), so that a name is never laid letter by letter, and nothing comes
/// to lie between its words.
/// </summary>
public static class Silhouette
{
    /// <summary>How much larger the silhouette of several parts may be than their closing; millimetres.</summary>
    public const double Slack = 0.15;

    private const int FewPoints = 13;
    private const double Simplified = Slack / 3;
    private const double FirstRadius = 0.5;
    private const double MostRadius = 4096;
    private const int Halvings = 5;

    /// <summary>The silhouette of ink: one area that holds all of it.</summary>
    /// <param name="ink">The ink; millimetres.</param>
    /// <param name="keepsHoles">Whether its holes stay free for others; else they are filled.</param>
    /// <param name="room">
    /// The scissors room: what is narrower than twice that is closed, since nothing finds room in it. Millimetres.
    /// </param>
    public static Area Of(Area ink, bool keepsHoles, double room)
    {
        ArgumentNullException.ThrowIfNull(ink);
        var filled = keepsHoles ? ink : Outlines.Filled(ink);
        var isOne = Outlines.PolygonsOf(filled).Count() == 1;
        if (isOne && (room == 0 || filled.NumPoints <= FewPoints))
        {
            return filled;
        }

        var plain = DouglasPeuckerSimplifier.Simplify(filled, Simplified);
        return Closed(plain, room, keepsHoles)
            ?? Closed(plain, Math.Max(room, JoinedBy(plain)), keepsHoles)
            // Growing and shrinking by a hair more than a gap may part again what it joined in one point.
            ?? Outlines.Grown(plain, Slack, Simplified).ConvexHull();
    }

    /// <summary>A closing of parts by a disc; null where that does not make them one.</summary>
    private static Area? Closed(Area parts, double by, bool keepsHoles)
    {
        // Round corners lie inside true arcs, simplified outlines inside their curves: the way back is shorter by both.
        var closed = Outlines.Grown(Outlines.Grown(parts, by, Simplified), Slack - by, Simplified);
        var whole = keepsHoles ? closed : Outlines.Filled(closed);
        return Outlines.PolygonsOf(whole).Count() == 1 ? whole : null;
    }

    /// <summary>The radius, to a few per cent, by which parts must grow to become one.</summary>
    private static double JoinedBy(Area parts)
    {
        bool AreOne(double radius) =>
            Outlines.PolygonsOf(Outlines.Grown(parts, radius, Math.Max(Simplified, radius / 16))).Skip(1).Any() == false;
        var most = FirstRadius;
        while (!AreOne(most) && most < MostRadius)
        {
            most *= 2;
        }

        var least = most / 2;
        for (var i = 0; i < Halvings; i++)
        {
            var middle = (least + most) / 2;
            (least, most) = AreOne(middle) ? (least, middle) : (middle, most);
        }

        return most + (2 * Slack);
    }
}
