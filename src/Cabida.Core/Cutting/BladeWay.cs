using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Stock;

namespace Cabida.Core.Cutting;

/// <summary>What a drag knife asks for (calculations 6.11).</summary>
/// <param name="Offset">How far the blade's tip trails behind its holder; millimetres, 0 for a cutter that sees to it itself.</param>
/// <param name="Overcut">How far a closed outline is cut on beyond its beginning; millimetres.</param>
public readonly record struct DragKnife(double Offset, double Overcut)
{
    /// <summary>The usual overcut; millimetres.</summary>
    public const double UsualOvercut = 0.5;

    /// <summary>What a blade asks for; null where there is nothing, or the cutter sees to it.</summary>
    public static DragKnife? Of(Blade blade)
    {
        ArgumentNullException.ThrowIfNull(blade);
        var offset = blade.Offset.OrZero(LengthRange.Margin).Millimetres;
        return blade.CutterSeesToIt || offset <= 0
            ? null
            : new DragKnife(offset, blade.Overcut.Read(LengthRange.Margin).ValueOrDefault?.Value.Millimetres ?? UsualOvercut);
    }
}

/// <summary>
/// Where the holder of a drag knife goes so that its tip follows a line: it leads by the offset, goes on past a corner by as much and
/// swings about it on an arc before the next edge; closed lines are cut on by the overcut.
/// </summary>
public static class BladeWay
{
    private const double ArcError = 0.005;
    private const double Nothing = 1e-9;

    /// <summary>The way of the holder.</summary>
    /// <param name="line">The line; the first point repeated at the end of a closed one.</param>
    /// <param name="isClosed">Whether it is closed.</param>
    /// <param name="knife">The knife.</param>
    public static IReadOnlyList<PlanePoint> Of(IReadOnlyList<PlanePoint> line, bool isClosed, DragKnife knife)
    {
        ArgumentNullException.ThrowIfNull(line);
        var points = Cut(line, isClosed, knife.Overcut);
        if (knife.Offset <= 0 || points.Count < 2)
        {
            return points;
        }

        var way = new List<PlanePoint> { Ahead(points[0], points[0], points[1], knife.Offset) };
        for (var i = 1; i < points.Count; i++)
        {
            way.Add(Ahead(points[i], points[i - 1], points[i], knife.Offset));
            if (i + 1 < points.Count && CutTime.Turns(points[i - 1], points[i], points[i + 1]))
            {
                Swing(way, points[i - 1], points[i], points[i + 1], knife.Offset);
            }
        }

        return way;
    }

    /// <summary>The points that the tip goes through: those of the line without repeats, and on by the overcut.</summary>
    private static List<PlanePoint> Cut(IReadOnlyList<PlanePoint> line, bool isClosed, double overcut)
    {
        var points = new List<PlanePoint>();
        foreach (var p in line)
        {
            if (points.Count == 0 || points[^1].To(p) > Nothing)
            {
                points.Add(p);
            }
        }

        if (!isClosed || points.Count < 3)
        {
            return points;
        }

        var left = overcut;
        for (var i = 1; i < line.Count && left > Nothing; i++)
        {
            var length = points[^1].To(line[i]);
            if (length <= Nothing)
            {
                continue;
            }

            var share = Math.Min(1, left / length);
            points.Add(points[^1].Towards(line[i], share));
            left -= share * length;
        }

        return points;
    }

    private static PlanePoint Ahead(PlanePoint at, PlanePoint from, PlanePoint to, double by)
    {
        var length = from.To(to);
        return new PlanePoint(at.X + ((to.X - from.X) / length * by), at.Y + ((to.Y - from.Y) / length * by));
    }

    private static void Swing(List<PlanePoint> way, PlanePoint before, PlanePoint at, PlanePoint after, double offset)
    {
        var turn = CutTime.Turn(before, at, after);
        var start = Math.Atan2(at.Y - before.Y, at.X - before.X);
        var each = 2 * Math.Acos(Math.Max(0, 1 - (ArcError / offset)));
        var parts = Math.Max(1, (int)Math.Ceiling(Math.Abs(turn) / each));
        for (var k = 1; k <= parts; k++)
        {
            var angle = start + (turn * k / parts);
            way.Add(new PlanePoint(at.X + (offset * Math.Cos(angle)), at.Y + (offset * Math.Sin(angle))));
        }
    }
}
