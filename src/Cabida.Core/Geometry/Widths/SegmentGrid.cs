using System.Buffers;
using System.Runtime.Intrinsics;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>
/// The boundary of an area as directed segments with the area on their left, in a grid for nearest-point questions. What a cell holds
/// lies together in memory, and after it what the next cell of its row holds, so that a row is looked through in one run, four at once.
/// What it holds is borrowed: one is made for every piece that is looked at.
/// </summary>
internal sealed class SegmentGrid : IDisposable
{
    /// <summary>A curve turns by 5° at a vertex; more than three times that is a corner. Radians.</summary>
    public const double Sharp = 3 * Tolerances.InkTurn;

    /// <summary>The tangent of a turn that is small, in radians: off by a thousandth of it.</summary>
    private const double Small = 0.05;

    /// <summary>Shorter stretches are left out, in millimetres.</summary>
    private const double Shortest = 1e-9;

    private const int MostAlong = 400;

    private readonly double cell;
    private readonly double perCell;
    private readonly double minX;
    private readonly double minY;
    private readonly int columns;
    private readonly int rows;

    /// <summary>What cell k holds stands from <c>firstIn[k]</c> on in <see cref="held"/>.</summary>
    private readonly int[] firstIn;
    private readonly Runs held;
    private readonly Segment[] segments;
    private int count;

    public SegmentGrid(Area area)
    {
        segments = ArrayPool<Segment>.Shared.Rent(area.NumPoints);
        foreach (var polygon in Outlines.PolygonsOf(area))
        {
            AddRing(polygon.ExteriorRing, inside: false);
            foreach (var hole in polygon.InteriorRings)
            {
                AddRing(hole, inside: true);
            }
        }

        var e = area.EnvelopeInternal;
        (minX, minY) = (e.MinX, e.MinY);
        cell = Math.Max(Math.Sqrt(Math.Max(e.Area, 1e-9) / Math.Max(count, 1)), Math.Max(e.Width, e.Height) / MostAlong);
        perCell = 1 / cell;
        columns = Math.Max(1, (int)Math.Ceiling(e.Width / cell));
        rows = Math.Max(1, (int)Math.Ceiling(e.Height / cell));
        firstIn = new int[(columns * rows) + 1];
        var cells = ArrayPool<(int Left, int Right, int Low, int High)>.Shared.Rent(count);
        for (var i = 0; i < count; i++)
        {
            var (a, b) = (segments[i].A, segments[i].B);
            cells[i] = (Column(Math.Min(a.X, b.X)), Column(Math.Max(a.X, b.X)), Row(Math.Min(a.Y, b.Y)), Row(Math.Max(a.Y, b.Y)));
            for (var y = cells[i].Low; y <= cells[i].High; y++)
            {
                for (var x = cells[i].Left; x <= cells[i].Right; x++)
                {
                    firstIn[(y * columns) + x + 1]++;
                }
            }
        }

        for (var k = 0; k < columns * rows; k++)
        {
            firstIn[k + 1] += firstIn[k];
        }

        held = new Runs(firstIn[^1]);
        var next = firstIn.AsSpan(0, columns * rows).ToArray();
        for (var i = 0; i < count; i++)
        {
            for (var y = cells[i].Low; y <= cells[i].High; y++)
            {
                for (var x = cells[i].Left; x <= cells[i].Right; x++)
                {
                    held.Segment[next[(y * columns) + x]++] = i;
                }
            }
        }

        held.Fill(Segments);

        ArrayPool<(int Left, int Right, int Low, int High)>.Shared.Return(cells);
    }

    /// <summary>
    /// A boundary segment; <paramref name="Ring"/> numbers the ring it belongs to, <paramref name="Start"/> is how far along it
    /// A lies, and by <paramref name="Turn"/> the boundary turns to the left there, in radians.
    /// </summary>
    public readonly record struct Segment(PlanePoint A, PlanePoint B, int Ring, double Start, double Length, double Turn)
    {
        /// <summary>Whether the boundary turns sharply into the area where it begins.</summary>
        public bool StartsAtNotch => Turn < -Sharp;

        /// <summary>The unit normal into the area.</summary>
        public PlanePoint Inward => new(-(B.Y - A.Y) / Length, (B.X - A.X) / Length);
    }

    /// <summary>The boundary, ring after ring.</summary>
    public ReadOnlySpan<Segment> Segments => segments.AsSpan(0, count);

    /// <summary>The length of each ring.</summary>
    public List<double> RingLengths { get; } = [];

    /// <summary>The rings, each by its first segment, how many it has, and whether it is a hole of the area.</summary>
    public List<(int First, int Count, bool IsHole)> Rings { get; } = [];

    /// <summary>
    /// Whether a disc is kept out: something of the boundary lies in it, or an edge passes about as far from its middle as it reaches and
    /// has the middle on its wrong side, as near the point of a spike.
    /// </summary>
    /// <param name="p">The middle of the disc.</param>
    /// <param name="empty">The radius in which nothing may lie.</param>
    /// <param name="reach">The radius up to which edges have the middle on their right side.</param>
    /// <param name="outside">Whether that is outside the area.</param>
    public bool KeepsOut(PlanePoint p, double empty, double reach, bool outside)
    {
        var (left, right) = (Column(p.X - reach), Column(p.X + reach) + 1);
        for (int y = Row(p.Y - reach), top = Row(p.Y + reach); y <= top; y++)
        {
            var (from, to) = (firstIn[(y * columns) + left], firstIn[(y * columns) + right]);
            if (held.KeepOut(p, empty * empty, reach * reach, outside ? -1 : 1, from, to))
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>
    /// The boundary point nearest to <paramref name="p"/> within <paramref name="reach"/>, if any, and the segment it lies on.
    /// </summary>
    public (PlanePoint Point, int Segment)? Nearest(PlanePoint p, double reach)
    {
        var nearest = new Nearer(p, reach * reach);
        var (left, right) = (Column(p.X - reach), Column(p.X + reach) + 1);
        for (int y = Row(p.Y - reach), top = Row(p.Y + reach); y <= top; y++)
        {
            var low = minY + (y * cell) - p.Y;
            var away = Math.Max(0, Math.Max(low, -low - cell));
            if (away < reach)
            {
                held.Look(ref nearest, firstIn[(y * columns) + left], firstIn[(y * columns) + right]);
            }
        }

        return nearest.Best is >= 0 and var found ? (held.PointOn(found, p), held.Segment[found]) : null;
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        ArrayPool<Segment>.Shared.Return(segments);
        held.Dispose();
    }

    private void AddRing(LineString ring, bool inside)
    {
        var points = ring.Coordinates;
        var leftward = NetTopologySuite.Algorithm.Orientation.IsCCW(ring.CoordinateSequence) != inside;
        var (along, first) = (0.0, count);
        for (var k = 0; k < points.Length - 1; k++)
        {
            var i = leftward ? k : points.Length - 1 - k;
            var j = leftward ? k + 1 : points.Length - 2 - k;
            var a = new PlanePoint(points[i].X, points[i].Y);
            var b = new PlanePoint(points[j].X, points[j].Y);
            if (a.To(b) is var length and > Shortest)
            {
                var turn = count > first ? TurnTo(segments[count - 1], a, b) : 0;
                segments[count++] = new Segment(a, b, RingLengths.Count, along, length, turn);
                along += length;
            }
        }

        if (count > first)
        {
            ref var begin = ref segments[first];
            begin = begin with { Turn = TurnTo(segments[count - 1], begin.A, begin.B) };
        }

        RingLengths.Add(along);
        Rings.Add((first, count - first, inside));
    }

    /// <summary>By how much the boundary turns to the left from a segment to the next, in radians.</summary>
    private static double TurnTo(in Segment before, PlanePoint a, PlanePoint b)
    {
        double ux = before.B.X - before.A.X,
            uy = before.B.Y - before.A.Y,
            vx = b.X - a.X,
            vy = b.Y - a.Y;
        double cross = (ux * vy) - (uy * vx),
            dot = (ux * vx) + (uy * vy);
        // Of a small turn its tangent is near enough, and quicker.
        return dot > 0 && Math.Abs(cross) < Small * dot ? cross / dot : Math.Atan2(cross, dot);
    }

    private int Column(double x) => Math.Clamp((int)((x - minX) * perCell), 0, columns - 1);

    private int Row(double y) => Math.Clamp((int)((y - minY) * perCell), 0, rows - 1);

    /// <summary>The nearest so far, in each of four places of a run.</summary>
    private ref struct Nearer(PlanePoint p, double within)
    {
        public readonly Vector256<double> X = Vector256.Create(p.X);
        public readonly Vector256<double> Y = Vector256.Create(p.Y);
        public Vector256<double> Least = Vector256.Create(within);
        public Vector256<long> At = Vector256.Create(-1L);

        /// <summary>The nearest of the four; negative for none.</summary>
        public readonly int Best
        {
            get
            {
                var best = 0;
                for (var i = 1; i < Vector256<double>.Count; i++)
                {
                    best = Least[i] < Least[best] ? i : best;
                }

                return (int)At[best];
            }
        }
    }

    /// <summary>Segments ready for projecting onto: where each starts, its run, and its run over its squared length.</summary>
    private sealed class Runs : IDisposable
    {
        /// <summary>So far away that it is never the nearest, and its square a number.</summary>
        private const double Nowhere = 1e150;

        private static readonly Vector256<long> Four = Vector256.Create(0L, 1, 2, 3);

        private readonly double[] x;
        private readonly double[] y;
        private readonly double[] dx;
        private readonly double[] dy;
        private readonly double[] ux;
        private readonly double[] uy;
        private readonly int count;

        /// <summary>Room for so many, and for what is read beyond the last.</summary>
        public Runs(int count)
        {
            this.count = count;
            double[] Numbers() => ArrayPool<double>.Shared.Rent(count + Vector256<double>.Count);
            (x, y, dx, dy, ux, uy) = (Numbers(), Numbers(), Numbers(), Numbers(), Numbers(), Numbers());
            Segment = ArrayPool<int>.Shared.Rent(count);
            for (var i = count; i < count + Vector256<double>.Count; i++)
            {
                (x[i], y[i], dx[i], dy[i], ux[i], uy[i]) = (Nowhere, Nowhere, 0, 0, 0, 0);
            }
        }

        /// <summary>Which segment of the boundary each is.</summary>
        public int[] Segment { get; }

        public void Dispose()
        {
            foreach (var numbers in new[] { x, y, dx, dy, ux, uy })
            {
                ArrayPool<double>.Shared.Return(numbers);
            }

            ArrayPool<int>.Shared.Return(Segment);
        }

        /// <summary>Fills in the numbers of each, one after another.</summary>
        public void Fill(ReadOnlySpan<Segment> segments)
        {
            for (var at = 0; at < count; at++)
            {
                ref readonly var s = ref segments[Segment[at]];
                double runX = s.B.X - s.A.X,
                    runY = s.B.Y - s.A.Y,
                    square = (runX * runX) + (runY * runY);
                (x[at], y[at], dx[at], dy[at], ux[at], uy[at]) = (s.A.X, s.A.Y, runX, runY, runX / square, runY / square);
            }
        }

        /// <summary>Looks through those from one to before another; what stands after them up to a multiple of four does no harm.</summary>
        public void Look(ref Nearer nearest, int from, int to)
        {
            for (var at = from; at < to; at += Vector256<double>.Count)
            {
                var (sx, sy) = (Vector256.Create(x, at), Vector256.Create(y, at));
                var share = ((nearest.X - sx) * Vector256.Create(ux, at)) + ((nearest.Y - sy) * Vector256.Create(uy, at));
                share = Vector256.Min(Vector256.Max(share, Vector256<double>.Zero), Vector256<double>.One);
                var awayX = sx + (share * Vector256.Create(dx, at)) - nearest.X;
                var awayY = sy + (share * Vector256.Create(dy, at)) - nearest.Y;
                var square = (awayX * awayX) + (awayY * awayY);
                var nearer = Vector256.LessThan(square, nearest.Least);
                nearest.Least = Vector256.ConditionalSelect(nearer, square, nearest.Least);
                nearest.At = Vector256.ConditionalSelect(nearer.AsInt64(), Vector256.Create((long)at) + Four, nearest.At);
            }
        }

        /// <summary>Whether one of those from one to before another keeps a disc out; its radii are given squared.</summary>
        public bool KeepOut(PlanePoint p, double empty, double reach, double side, int from, int to)
        {
            var (px, py, within, about) = (Vector256.Create(p.X), Vector256.Create(p.Y), Vector256.Create(empty), Vector256.Create(reach));
            for (var at = from; at < to; at += Vector256<double>.Count)
            {
                var (sx, sy) = (Vector256.Create(x, at), Vector256.Create(y, at));
                var (tx, ty) = (Vector256.Create(dx, at), Vector256.Create(dy, at));
                var free = ((px - sx) * Vector256.Create(ux, at)) + ((py - sy) * Vector256.Create(uy, at));
                var share = Vector256.Min(Vector256.Max(free, Vector256<double>.Zero), Vector256<double>.One);
                var awayX = sx + (share * tx) - px;
                var awayY = sy + (share * ty) - py;
                var square = (awayX * awayX) + (awayY * awayY);
                var isNear = Vector256.LessThan(square, about);
                if (isNear == Vector256<double>.Zero)
                {
                    continue;
                }

                var turned = Vector256.LessThan(((ty * awayX) - (tx * awayY)) * side, Vector256<double>.Zero);
                var wrong = isNear & turned & Vector256.Equals(free, share);
                if ((Vector256.LessThan(square, within) | wrong) != Vector256<double>.Zero)
                {
                    return true;
                }
            }

            return false;
        }

        public PlanePoint PointOn(int at, PlanePoint p)
        {
            var share = Math.Clamp(((p.X - x[at]) * ux[at]) + ((p.Y - y[at]) * uy[at]), 0, 1);
            return new PlanePoint(x[at] + (share * dx[at]), y[at] + (share * dy[at]));
        }
    }
}
