using System.Runtime.CompilerServices;
using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using NetTopologySuite.Algorithm.Locate;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>
/// The places at which ink lies inside a zone with corners that point inwards, or with holes. By how much ink at a place t
/// violates the zone, v(t), is the most that any point of it lies outside, or any corner of the zone inside the ink. It cannot
/// change faster than t moves, so a cell of places with v at its middle larger than its own radius holds none that fits: cells
/// are halved until one does (branch and bound with a Lipschitz bound, Piyavskii 1972).
/// </summary>
internal sealed class FreePlaces
{
    /// <summary>The finest cells, as a share of the zone's diagonal.</summary>
    private const double Fine = 2e-4;

    /// <summary>Cells looked at before a search gives up; only shapes with very many equally near misses come so far.</summary>
    private const int MostCells = 60_000;

    private static readonly ConditionalWeakTable<ZoneShape, FreePlaces> Known = [];

    private readonly ZoneShape zone;
    private readonly ZoneDistance distance;
    private readonly PlanePoint[] corners;

    private FreePlaces(ZoneShape zone)
    {
        this.zone = zone;
        distance = new ZoneDistance(zone);
        corners = [.. zone.Edges.Select(e => e.From)];
        Finest = Fine * Math.Sqrt((zone.Bounds.Width * zone.Bounds.Width) + (zone.Bounds.Height * zone.Bounds.Height));
    }

    /// <summary>The places of a zone; what follows from the zone alone is worked out once.</summary>
    public static FreePlaces In(ZoneShape zone) => Known.GetValue(zone, z => new FreePlaces(z));

    /// <summary>How finely places are told apart, in millimetres.</summary>
    public double Finest { get; }

    /// <summary>The place nearest to a point at which ink lies inside the zone; null when none is found.</summary>
    public PlanePoint? Nearest(Area ink, PlanePoint to)
    {
        var allowed = Overlay.Covering(zone.Outline);
        return Search(ink, Whole(ink), 0, Finest, to, t => allowed(Outlines.Placed(ink, 1, t.X, t.Y)));
    }

    /// <summary>A place at which ink stands outside by no more than a slack; null when there is none.</summary>
    /// <param name="ink">The ink about its origin.</param>
    /// <param name="slack">By how much it may stand outside, in millimetres.</param>
    /// <param name="around">Places to look at; null for all.</param>
    public PlanePoint? Any(Area ink, double slack, Box? around = null) => Whole(ink) is not { } all ? null
        : Search(ink, around is not { } a ? all : Common(all, a), slack, slack, null, _ => true);

    private static Box? Common(Box a, Box b) => new Box(Math.Max(a.MinX, b.MinX), Math.Max(a.MinY, b.MinY), Math.Min(a.MaxX, b.MaxX), Math.Min(a.MaxY, b.MaxY)) is var c && c.Width >= 0 && c.Height >= 0 ? c : null;

    /// <summary>The places at which the ink's box lies inside the zone's.</summary>
    private Box? Whole(Area ink) => Box.Of(ink) is { } b && b.Width <= zone.Bounds.Width + Tolerances.Fit && b.Height <= zone.Bounds.Height + Tolerances.Fit
        ? Upright(new Box(zone.Bounds.MinX - b.MinX, zone.Bounds.MinY - b.MinY, zone.Bounds.MaxX - b.MaxX, zone.Bounds.MaxY - b.MaxY)) : null;

    private static Box Upright(Box b) => new(Math.Min(b.MinX, b.MaxX), Math.Min(b.MinY, b.MaxY), Math.Max(b.MinX, b.MaxX), Math.Max(b.MinY, b.MaxY));

    /// <summary>The first place that is found; with a point to be near to, the nearest.</summary>
    private PlanePoint? Search(Area ink, Box? places, double slack, double finest, PlanePoint? near, Func<PlanePoint, bool> accept)
    {
        if (places is not { } box)
        {
            return null;
        }

        var sampled = new SampledInk(ink, Samples(ink, finest));
        var cells = new PriorityQueue<Cell, double>();
        Add(new Cell(box.CentreX, box.CentreY, box.Width / 2, box.Height / 2));
        (PlanePoint At, double Far)? best = null;
        for (var looked = 0; looked < MostCells && cells.TryDequeue(out var cell, out var least) && (best is null || least < best.Value.Far - (finest / 2)); looked++)
        {
            var far = near is { } n ? cell.Middle.To(n) : 0;
            if (cell.Violation <= slack && (best is null || far < best.Value.Far) && Violation(new Cell(cell.X, cell.Y, 0, 0), sampled) <= slack && accept(cell.Middle))
            {
                if (near is null)
                {
                    return cell.Middle;
                }

                best = (cell.Middle, far);
            }

            if (cell.Radius > finest / 2)
            {
                foreach (var half in cell.Halves())
                {
                    Add(half);
                }
            }
        }

        return best?.At;

        void Add(Cell cell)
        {
            var violation = Violation(cell, sampled);
            if (violation <= cell.Radius + slack)
            {
                var known = cell with { Violation = violation };
                cells.Enqueue(known, near is { } n ? cell.NearestTo(n) : violation - cell.Radius);
            }
        }
    }

    /// <summary>A lower bound of how far the ink stands outside at the middle of a cell; exact for small cells.</summary>
    private double Violation(Cell cell, SampledInk ink)
    {
        var (x, y, enough, doubt) = (cell.X, cell.Y, (cell.Radius * 1.5) + Finest, distance.Doubt);
        var exact = cell.Radius < 4 * doubt;
        var most = 0.0;
        foreach (var p in ink.Samples)
        {
            var about = distance.About(x + p.X, y + p.Y);
            if (about + doubt <= most)
            {
                continue;
            }

            most = Math.Max(most, exact && about - doubt <= enough ? distance.Signed(x + p.X, y + p.Y) : about - doubt);
            if (most > enough)
            {
                return most;
            }
        }

        foreach (var q in corners)
        {
            if (ink.Holds(q.X - x, q.Y - y))
            {
                most = Math.Max(most, ink.Depth(new PlanePoint(q.X - x, q.Y - y)));
            }
        }

        return most;
    }

    private double SampleGap => Finest * 8;

    /// <summary>Points of the ink's boundary, no further apart than <see cref="SampleGap"/> and not needlessly near.</summary>
    private PlanePoint[] Samples(Area ink, double finest)
    {
        var samples = new List<PlanePoint>();
        foreach (var ring in Outlines.RingsOf(ink))
        {
            PlanePoint? last = null;
            foreach (var c in ring.Coordinates)
            {
                var p = new PlanePoint(c.X, c.Y);
                if (last is { } before && before.To(p) > SampleGap)
                {
                    var parts = (int)Math.Ceiling(before.To(p) / SampleGap);
                    samples.AddRange(Enumerable.Range(1, parts - 1).Select(i => before.Towards(p, (double)i / parts)));
                }

                if (last is not { } near || near.To(p) > finest / 4)
                {
                    samples.Add(p);
                    last = p;
                }
            }
        }

        return [.. samples];
    }

    /// <summary>Ink as a search sees it: points of its boundary, what lies within it, and how deep.</summary>
    private sealed class SampledInk(Area ink, PlanePoint[] samples)
    {
        private readonly IndexedPointInAreaLocator within = new(ink);
        private readonly (PlanePoint From, PlanePoint To)[] edges = [.. Outlines.RingsOf(ink).SelectMany(r => r.Coordinates.Zip(r.Coordinates.Skip(1), (a, b) => (new PlanePoint(a.X, a.Y), new PlanePoint(b.X, b.Y))))];

        public PlanePoint[] Samples => samples;

        public bool Holds(double x, double y) => within.Locate(new Coordinate(x, y)) == Location.Interior;

        public double Depth(PlanePoint p) => edges.Min(e => p.To(p.NearestOn(e.From, e.To)));
    }

    /// <summary>A box of places.</summary>
    private readonly record struct Cell(double X, double Y, double HalfX, double HalfY)
    {
        public double Violation { get; init; }

        public PlanePoint Middle => new(X, Y);

        public double Radius => Math.Sqrt((HalfX * HalfX) + (HalfY * HalfY));

        public double NearestTo(PlanePoint p) => Math.Sqrt(Square(Math.Max(0, Math.Abs(p.X - X) - HalfX)) + Square(Math.Max(0, Math.Abs(p.Y - Y) - HalfY)));

        public IEnumerable<Cell> Halves() => HalfX >= HalfY
            ? [new(X - (HalfX / 2), Y, HalfX / 2, HalfY), new(X + (HalfX / 2), Y, HalfX / 2, HalfY)]
            : [new(X, Y - (HalfY / 2), HalfX, HalfY / 2), new(X, Y + (HalfY / 2), HalfX, HalfY / 2)];

        private static double Square(double v) => v * v;
    }
}
