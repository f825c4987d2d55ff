using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>The boundary of an area as directed segments with the area on their left, in a grid for nearest-point questions.</summary>
internal sealed class SegmentGrid
{
    /// <summary>Curves turn by 5° at a vertex; three times that is a corner.</summary>
    private static readonly double TanSharpTurn = Math.Tan(3 * Tolerances.InkTurn);

    private readonly double cell;
    private readonly double minX;
    private readonly double minY;
    private readonly int columns;
    private readonly int rows;
    private readonly int[] seen;

    /// <summary>The segments of cell k are <c>inCell[firstIn[k] .. firstIn[k + 1]]</c>.</summary>
    private readonly int[] firstIn;
    private readonly int[] inCell;
    private readonly Projected[] projected;
    private int stamp;

    public SegmentGrid(Area area)
    {
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
        cell = Math.Max(Math.Sqrt(Math.Max(e.Area, 1e-9) / Math.Max(Segments.Count, 1)), Math.Max(e.Width, e.Height) / 400);
        columns = Math.Max(1, (int)Math.Ceiling(e.Width / cell));
        rows = Math.Max(1, (int)Math.Ceiling(e.Height / cell));
        seen = new int[Segments.Count];
        projected = new Projected[Segments.Count];
        for (var i = 0; i < projected.Length; i++)
        {
            projected[i] = Projected.Of(Segments[i]);
        }

        firstIn = new int[(columns * rows) + 1];
        EachCell((k, _) => firstIn[k + 1]++);
        for (var k = 0; k < columns * rows; k++)
        {
            firstIn[k + 1] += firstIn[k];
        }

        inCell = new int[firstIn[^1]];
        var next = firstIn.ToArray();
        EachCell((k, segment) => inCell[next[k]++] = segment);
    }

    /// <summary>
    /// A boundary segment; <paramref name="Ring"/> numbers the ring it belongs to, <paramref name="Start"/> is how far along it
    /// A lies, and at a notch the boundary turns sharply into the area there.
    /// </summary>
    public readonly record struct Segment(PlanePoint A, PlanePoint B, int Ring, double Start, bool StartsAtNotch)
    {
        public double Length => A.To(B);

        /// <summary>The unit normal into the area.</summary>
        public PlanePoint Inward
        {
            get
            {
                var l = Length;
                return new PlanePoint(-(B.Y - A.Y) / l, (B.X - A.X) / l);
            }
        }
    }

    public List<Segment> Segments { get; } = [];

    /// <summary>The length of each ring.</summary>
    public List<double> RingLengths { get; } = [];

    /// <summary>
    /// The boundary point nearest to <paramref name="p"/> within <paramref name="reach"/>, if any, and the segment it lies on.
    /// </summary>
    public (PlanePoint Point, int Segment)? Nearest(PlanePoint p, double reach)
    {
        stamp++;
        var best = -1;
        var (bx, by, least) = (0.0, 0.0, reach * reach);
        for (var y = Row(p.Y - reach); y <= Row(p.Y + reach); y++)
        {
            for (var x = Column(p.X - reach); x <= Column(p.X + reach); x++)
            {
                var k = (y * columns) + x;
                for (var at = firstIn[k]; at < firstIn[k + 1]; at++)
                {
                    var i = inCell[at];
                    if (seen[i] == stamp)
                    {
                        continue;
                    }

                    seen[i] = stamp;
                    ref readonly var s = ref projected[i];
                    var share = Math.Clamp(((p.X - s.X) * s.Ux) + ((p.Y - s.Y) * s.Uy), 0, 1);
                    double qx = s.X + (share * s.Dx),
                        qy = s.Y + (share * s.Dy);
                    var d = ((qx - p.X) * (qx - p.X)) + ((qy - p.Y) * (qy - p.Y));
                    if (d < least)
                    {
                        (least, best, bx, by) = (d, i, qx, qy);
                    }
                }
            }
        }

        return best < 0 ? null : (new PlanePoint(bx, by), best);
    }

    private void EachCell(Action<int, int> act)
    {
        for (var i = 0; i < projected.Length; i++)
        {
            ref readonly var s = ref projected[i];
            int left = Column(Math.Min(s.X, s.X + s.Dx)),
                right = Column(Math.Max(s.X, s.X + s.Dx));
            int low = Row(Math.Min(s.Y, s.Y + s.Dy)),
                high = Row(Math.Max(s.Y, s.Y + s.Dy));
            for (var y = low; y <= high; y++)
            {
                for (var x = left; x <= right; x++)
                {
                    act((y * columns) + x, i);
                }
            }
        }
    }

    private void AddRing(LineString ring, bool inside)
    {
        var points = ring.Coordinates;
        var leftward = NetTopologySuite.Algorithm.Orientation.IsCCW(ring.CoordinateSequence) != inside;
        var along = 0.0;
        for (var k = 0; k < points.Length - 1; k++)
        {
            var i = leftward ? k : points.Length - 1 - k;
            var j = leftward ? k + 1 : points.Length - 2 - k;
            var a = new PlanePoint(points[i].X, points[i].Y);
            var b = new PlanePoint(points[j].X, points[j].Y);
            if (a.To(b) is var length and > 1e-9)
            {
                Segments.Add(new Segment(a, b, RingLengths.Count, along, along > 0 && IsNotch(Segments[^1], b)));
                along += length;
            }
        }

        RingLengths.Add(along);
    }

    /// <summary>Whether the boundary turns right, away from the area on its left, by more than a smooth curve does.</summary>
    private static bool IsNotch(Segment before, PlanePoint next)
    {
        double ux = before.B.X - before.A.X,
            uy = before.B.Y - before.A.Y,
            vx = next.X - before.B.X,
            vy = next.Y - before.B.Y;
        double sine = (ux * vy) - (uy * vx),
            cosine = (ux * vx) + (uy * vy);
        return sine < 0 && sine < -TanSharpTurn * cosine;
    }

    private int Column(double x) => Math.Clamp((int)((x - minX) / cell), 0, columns - 1);

    private int Row(double y) => Math.Clamp((int)((y - minY) / cell), 0, rows - 1);

    /// <summary>A segment ready for projecting onto: its start, its run, and its run over its squared length.</summary>
    private readonly record struct Projected(double X, double Y, double Dx, double Dy, double Ux, double Uy)
    {
        public static Projected Of(Segment s)
        {
            double dx = s.B.X - s.A.X,
                dy = s.B.Y - s.A.Y,
                square = (dx * dx) + (dy * dy);
            return new Projected(s.A.X, s.A.Y, dx, dy, dx / square, dy / square);
        }
    }
}
