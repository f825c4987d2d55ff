using System.Runtime.InteropServices;
using System.Runtime.Intrinsics;

namespace Cabida.Core.Layout;

/// <summary>
/// Whether two shapes share more than their edges, and about how much: discs within them tell the most of it before any edge is looked at,
/// then edges that cross, then whether one lies within the other (in the manner of Gardeyn, Vanden Berghe and Wauters 2025). Without
/// allocation.
/// </summary>
internal static class Collision
{
    /// <summary>What lies less deep than this in another only touches it; millimetres.</summary>
    private const double Touching = 1e-7;

    /// <summary>Discs are placed in single precision: what they overlap by less is left to the edges; millimetres.</summary>
    private const float DiscsRounded = 1e-3f;

    /// <summary>Below this share of a diameter, depths are taken on to zero by a hyperbola: what is apart by little pulls, too.</summary>
    internal const double NearShare = 0.01;

    /// <summary>Whether they collide.</summary>
    public static bool Of(PosedShape a, PosedShape b)
    {
        if (!a.Meets(b))
        {
            return false;
        }

        if (DiscsMeet(a, b))
        {
            return true;
        }

        var (few, many) = a.Xs.Length <= b.Xs.Length ? (a, b) : (b, a);
        var touch = false;
        for (var i = 0; i < few.Xs.Length; i++)
        {
            var j = few.Next[i];
            var crossing = new Crossing(few.Xs[i], few.Ys[i], few.Xs[j], few.Ys[j]);
            if (crossing.MaxX < many.MinX || crossing.MinX > many.MaxX || crossing.MaxY < many.MinY || crossing.MinY > many.MaxY)
            {
                continue;
            }

            if (many.AnyNear(crossing.MinX, crossing.MinY, crossing.MaxX, crossing.MaxY, ref crossing))
            {
                return true;
            }

            touch |= crossing.Touched;
        }

        return touch ? AnyWithin(a, b) || AnyWithin(b, a) : OneWithin(a, b) || OneWithin(b, a);
    }

    /// <summary>
    /// How much they overlap: more than nothing, and growing with depth. Of convex shapes the least way out, of others as far as their
    /// discs tell; a root of an area, weighed by how bulky both are.
    /// </summary>
    public static double Amount(PosedShape a, PosedShape b)
    {
        if (a.Shape.IsConvex && b.Shape.IsConvex)
        {
            var (least, wide) = (
                NearShare * Math.Max(a.Shape.Diameter, b.Shape.Diameter),
                2 * Math.Min(a.Shape.PoleRadii[0], b.Shape.PoleRadii[0])
            );
            var way = Deep(Math.Min(WayOut(a, b), WayOut(b, a)), least);
            return Math.Sqrt(((way * wide) + (least * least)) * a.Shape.Bulk * b.Shape.Bulk);
        }

        var near = (float)(NearShare * Math.Max(a.Shape.Diameter, b.Shape.Diameter));
        var (nears, squared, twice) = (Vector256.Create(near), Vector256.Create(near * near), Vector256.Create(2 * near));
        var sum = Vector256<float>.Zero;
        ref var xs = ref MemoryMarshal.GetArrayDataReference(b.PoleXs);
        ref var ys = ref MemoryMarshal.GetArrayDataReference(b.PoleYs);
        ref var radii = ref MemoryMarshal.GetArrayDataReference(b.Shape.PoleRadii);
        for (var i = 0; i < a.Shape.Poles.Length; i++)
        {
            var (x, y, r) = (Vector256.Create(a.PoleXs[i]), Vector256.Create(a.PoleYs[i]), Vector256.Create(a.Shape.PoleRadii[i]));
            for (nuint j = 0; j < (nuint)b.PoleXs.Length; j += LayShape.Lanes)
            {
                var (dx, dy, s) = (
                    Vector256.LoadUnsafe(ref xs, j) - x,
                    Vector256.LoadUnsafe(ref ys, j) - y,
                    Vector256.LoadUnsafe(ref radii, j)
                );
                var depth = r + s - Vector256.Sqrt((dx * dx) + (dy * dy));
                var deep = Vector256.ConditionalSelect(Vector256.GreaterThanOrEqual(depth, nears), depth, squared / (twice - depth));
                sum += deep * Vector256.Min(r, s);
            }
        }

        return Math.Sqrt(((near * near) + Vector256.Sum(sum)) * a.Shape.Bulk * b.Shape.Bulk);
    }

    /// <summary>
    /// How far a convex shape must be moved at least to lie beyond one of another's edges (separating axes; Gottschalk, Lin and Manocha
    /// 1996).
    /// </summary>
    private static double WayOut(PosedShape a, PosedShape b)
    {
        var least = double.MaxValue;
        for (var i = 0; i < a.Xs.Length; i++)
        {
            var j = a.Next[i];
            var (ux, uy) = (a.Xs[j] - a.Xs[i], a.Ys[j] - a.Ys[i]);
            var most = double.MinValue;
            for (var k = 0; k < b.Xs.Length; k++)
            {
                var c = (ux * (b.Ys[k] - a.Ys[i])) - (uy * (b.Xs[k] - a.Xs[i]));
                most = Math.Max(most, a.Shape.IsLeft ? c : -c);
            }

            least = Math.Min(least, most / Math.Sqrt((ux * ux) + (uy * uy)));
        }

        return least;
    }

    /// <summary>Whether any discs overlap, by more than their places are rounded.</summary>
    private static bool DiscsMeet(PosedShape a, PosedShape b)
    {
        ref var xs = ref MemoryMarshal.GetArrayDataReference(b.PoleXs);
        ref var ys = ref MemoryMarshal.GetArrayDataReference(b.PoleYs);
        ref var radii = ref MemoryMarshal.GetArrayDataReference(b.Shape.PoleRadii);
        var rounded = Vector256.Create(DiscsRounded);
        for (var i = 0; i < a.Shape.Poles.Length; i++)
        {
            var (x, y, r) = (
                Vector256.Create(a.PoleXs[i]),
                Vector256.Create(a.PoleYs[i]),
                Vector256.Create(a.Shape.PoleRadii[i]) - rounded
            );
            for (nuint j = 0; j < (nuint)b.PoleXs.Length; j += LayShape.Lanes)
            {
                var (dx, dy, s) = (
                    Vector256.LoadUnsafe(ref xs, j) - x,
                    Vector256.LoadUnsafe(ref ys, j) - y,
                    Vector256.LoadUnsafe(ref radii, j) + r
                );
                if (Vector256.LessThanAny((dx * dx) + (dy * dy), s * Vector256.Max(s, Vector256<float>.Zero)))
                {
                    return true;
                }
            }
        }

        return false;
    }

    /// <summary>A depth, taken on beyond zero.</summary>
    public static double Deep(double depth, double near) => depth >= near ? depth : near * near / ((2 * near) - depth);

    /// <summary>Whether a polygon of one lies in the other, where no edges meet.</summary>
    private static bool OneWithin(PosedShape inner, PosedShape outer)
    {
        var starts = inner.Shape.PolygonStarts;
        for (var p = 0; p + 1 < starts.Length; p++)
        {
            var corner = inner.RingStarts[starts[p]];
            if (outer.Holds(inner.Xs[corner], inner.Ys[corner]))
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>Whether the middle of any edge of one lies in the other deeper than touching, where edges touch.</summary>
    private static bool AnyWithin(PosedShape inner, PosedShape outer)
    {
        for (var i = 0; i < inner.Xs.Length; i++)
        {
            var j = inner.Next[i];
            var (x, y) = ((inner.Xs[i] + inner.Xs[j]) / 2, (inner.Ys[i] + inner.Ys[j]) / 2);
            var (dx, dy) = (inner.Xs[j] - inner.Xs[i], inner.Ys[j] - inner.Ys[i]);
            var length = Math.Sqrt((dx * dx) + (dy * dy));
            // Into the shape, which lies to one side of its edge: a hair to either tells whether both sides are within.
            var (nx, ny) = (-dy / length * Touching, dx / length * Touching);
            if (outer.Holds(x + nx, y + ny) && outer.Holds(x - nx, y - ny))
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>Whether an edge crosses another: each has the other's ends properly on both sides.</summary>
    internal struct Crossing(double ax, double ay, double bx, double by) : IEdgeQuestion
    {
        public readonly double MinX => Math.Min(ax, bx);

        public readonly double MaxX => Math.Max(ax, bx);

        public readonly double MinY => Math.Min(ay, by);

        public readonly double MaxY => Math.Max(ay, by);

        /// <summary>Whether any edge ended on this one, or the other way round.</summary>
        public bool Touched { get; private set; }

        public bool Answers(PosedShape of, int edge)
        {
            var next = of.Next[edge];
            var (cx, cy, dx, dy) = (of.Xs[edge], of.Ys[edge], of.Xs[next], of.Ys[next]);
            if (Math.Max(cx, dx) < MinX || Math.Min(cx, dx) > MaxX || Math.Max(cy, dy) < MinY || Math.Min(cy, dy) > MaxY)
            {
                return false;
            }

            var (ux, uy, vx, vy) = (bx - ax, by - ay, dx - cx, dy - cy);
            var c = (ux * (cy - ay)) - (uy * (cx - ax));
            var d = (ux * (dy - ay)) - (uy * (dx - ax));
            var a = (vx * (ay - cy)) - (vy * (ax - cx));
            var b = (vx * (by - cy)) - (vy * (bx - cx));
            var slackU = Touching * (Math.Abs(ux) + Math.Abs(uy));
            var slackV = Touching * (Math.Abs(vx) + Math.Abs(vy));
            if (Apart(c, d, slackU) || Apart(a, b, slackV))
            {
                return false;
            }

            if (Both(c, d, slackU) && Both(a, b, slackV))
            {
                return true;
            }

            Touched = true;
            return false;
        }

        /// <summary>Both properly on one side.</summary>
        private static bool Apart(double p, double q, double slack) => (p > slack && q > slack) || (p < -slack && q < -slack);

        /// <summary>Properly on both sides.</summary>
        private static bool Both(double p, double q, double slack) => (p > slack && q < -slack) || (p < -slack && q > slack);
    }
}
