using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>The boundary of an area as directed segments with the area on their left, in a grid for nearest-point questions.</summary>
internal sealed class SegmentGrid
{
    private readonly List<int>[] cells;
    private readonly double cell;
    private readonly double minX;
    private readonly double minY;
    private readonly int columns;
    private readonly int rows;
    private readonly int[] seen;
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
        cell = Math.Max(Math.Sqrt(Math.Max(e.Area, 1e-9) / Math.Max(Segments.Count, 1)) * 2, Math.Max(e.Width, e.Height) / 400);
        columns = Math.Max(1, (int)Math.Ceiling(e.Width / cell));
        rows = Math.Max(1, (int)Math.Ceiling(e.Height / cell));
        cells = new List<int>[columns * rows];
        seen = new int[Segments.Count];
        for (var i = 0; i < Segments.Count; i++)
        {
            var s = Segments[i];
            for (var x = Column(Math.Min(s.A.X, s.B.X)); x <= Column(Math.Max(s.A.X, s.B.X)); x++)
            {
                for (var y = Row(Math.Min(s.A.Y, s.B.Y)); y <= Row(Math.Max(s.A.Y, s.B.Y)); y++)
                {
                    (cells[(y * columns) + x] ??= []).Add(i);
                }
            }
        }
    }

    /// <summary>A boundary segment; <paramref name="Ring"/> numbers the ring it belongs to.</summary>
    public readonly record struct Segment(PlanePoint A, PlanePoint B, int Ring)
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

    /// <summary>The boundary point nearest to <paramref name="p"/> within <paramref name="reach"/>, if any.</summary>
    public PlanePoint? Nearest(PlanePoint p, double reach)
    {
        stamp++;
        PlanePoint? best = null;
        var least = reach * reach;
        int cx = Column(p.X), cy = Row(p.Y);
        var rings = (int)Math.Ceiling(reach / cell) + 1;
        for (var k = 0; k <= rings; k++)
        {
            // Once the nearest found lies nearer than the next ring of cells, no further ring can better it.
            if (best is not null && (k - 1) * cell > 0 && (k - 1) * cell * ((k - 1) * cell) > least)
            {
                break;
            }

            for (var x = cx - k; x <= cx + k; x++)
            {
                for (var y = cy - k; y <= cy + k; y += Math.Abs(x - cx) == k ? 1 : Math.Max(2 * k, 1))
                {
                    if (x < 0 || y < 0 || x >= columns || y >= rows || cells[(y * columns) + x] is not { } found)
                    {
                        continue;
                    }

                    foreach (var i in found)
                    {
                        if (seen[i] == stamp)
                        {
                            continue;
                        }

                        seen[i] = stamp;
                        var q = OnSegment(Segments[i], p);
                        var d = ((q.X - p.X) * (q.X - p.X)) + ((q.Y - p.Y) * (q.Y - p.Y));
                        if (d < least)
                        {
                            (least, best) = (d, q);
                        }
                    }
                }
            }
        }

        return best;
    }

    private static PlanePoint OnSegment(Segment s, PlanePoint p)
    {
        double dx = s.B.X - s.A.X, dy = s.B.Y - s.A.Y;
        var share = (((p.X - s.A.X) * dx) + ((p.Y - s.A.Y) * dy)) / ((dx * dx) + (dy * dy));
        return s.A.Towards(s.B, Math.Clamp(share, 0, 1));
    }

    private void AddRing(LineString ring, bool inside)
    {
        var points = ring.CoordinateSequence;
        var number = Segments.Count == 0 ? 0 : Segments[^1].Ring + 1;
        var leftward = NetTopologySuite.Algorithm.Orientation.IsCCW(points) != inside;
        for (var i = 0; i < points.Count - 1; i++)
        {
            var a = new PlanePoint(points.GetX(i), points.GetY(i));
            var b = new PlanePoint(points.GetX(i + 1), points.GetY(i + 1));
            if (a.To(b) > 1e-9)
            {
                Segments.Add(leftward ? new Segment(a, b, number) : new Segment(b, a, number));
            }
        }
    }

    private int Column(double x) => Math.Clamp((int)((x - minX) / cell), 0, columns - 1);

    private int Row(double y) => Math.Clamp((int)((y - minY) / cell), 0, rows - 1);
}
