using System.Runtime.CompilerServices;
using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>A place with a turn.</summary>
/// <param name="At">Where the ink's origin stands.</param>
/// <param name="Turn">How far it is turned to the left, in degrees.</param>
internal readonly record struct TurnedPlace(PlanePoint At, double Turn)
{
    /// <summary>The change of place.</summary>
    public Motion Motion => Motion.TurnLeft(Turn).Moved(At.X, At.Y);
}

/// <summary>
/// The places, and turns, at which ink lies inside a zone with corners that point inwards, or with holes. By how much ink at a
/// place t violates the zone, v(t), is the most that any point of it lies outside, or any corner of the zone inside the ink. It
/// cannot change faster than the ink's points move: by as much as t, and by the ink's radius times its turn. So a cell of places
/// with v at its middle larger than its own radius, so measured, holds none that fits: cells are halved until one does (branch
/// and bound with a Lipschitz bound, Piyavskii 1972).
/// </summary>
internal sealed class FreePlaces
{
    /// <summary>The finest cells, as a share of the zone's diagonal.</summary>
    private const double Fine = 2e-4;

    /// <summary>Cells looked at before a search gives up; only shapes with very many equally near misses come so far.</summary>
    private const int MostCells = 60_000;

    /// <summary>Where that many cells told nothing of the largest sizes, they are given up down to this share of them.</summary>
    private const double GivenUp = 0.98;

    /// <summary>The same where turns are searched too.</summary>
    private const int MostTurnedCells = 80_000;

    private static readonly ConditionalWeakTable<ZoneShape, FreePlaces> Known = [];

    private readonly ZoneShape zone;
    private readonly ZoneDistance distance;
    private readonly PlanePoint[] corners;

    private FreePlaces(ZoneShape zone)
    {
        this.zone = zone;
        distance = new ZoneDistance(zone);
        Finest = Fine * Math.Sqrt((zone.Bounds.Width * zone.Bounds.Width) + (zone.Bounds.Height * zone.Bounds.Height));
        corners = Poking(zone, Finest);
    }

    /// <summary>The places of a zone; what follows from the zone alone is worked out once.</summary>
    public static FreePlaces In(ZoneShape zone) => Known.GetValue(zone, z => new FreePlaces(z));

    /// <summary>How finely places are told apart, in millimetres.</summary>
    public double Finest { get; }

    /// <summary>The place nearest to a point at which ink lies inside the zone; null when none is found.</summary>
    public PlanePoint? Nearest(Area ink, PlanePoint to)
    {
        var allowed = Overlay.Covering(zone.Outline);
        using var searched = Searched(ink);
        return Search(searched, Whole(searched), 0, Finest, to, t => allowed(Outlines.Moved(ink, t.Motion)))?.At;
    }

    /// <summary>A place at which ink stands outside by no more than a slack; null when there is none.</summary>
    /// <param name="ink">The ink about its origin.</param>
    /// <param name="slack">By how much it may stand outside, in millimetres.</param>
    /// <param name="around">Places to look at; null for all.</param>
    public PlanePoint? Any(Area ink, double slack, Box? around = null)
    {
        using var searched = Searched(ink);
        return Any(searched, 1, slack, around);
    }

    /// <summary>The same for ink that is reduced by a factor.</summary>
    public PlanePoint? Any(SearchedInk? ink, double factor, double slack, Box? around) =>
        Whole(ink, factor) is { } all && (around is { } a ? Common(all, a) : all) is { } places
            ? Search(ink, places, slack, slack, null, _ => true, factor: factor)?.At
            : null;

    /// <summary>A place and a turn at which ink stands outside by no more than a slack; null when there is none.</summary>
    /// <param name="ink">The ink about its origin.</param>
    /// <param name="range">How far it may be turned to either side, in degrees.</param>
    /// <param name="slack">By how much it may stand outside, in millimetres.</param>
    public TurnedPlace? AnyTurned(Area ink, double range, double slack)
    {
        using var searched = Searched(ink);
        return Search(searched, zone.Bounds, slack, slack, null, _ => true, new Turns(0, range));
    }

    private static SearchedInk? Searched(Area ink) => ink.IsEmpty ? null : new SearchedInk(ink);

    /// <summary>
    /// The largest size of ink all of which scales at which it stands outside by no more than a slack somewhere, and where. Sizes are a
    /// third side of the cells: a point of the ink moves by its own distance from the origin as the ink grows.
    /// </summary>
    /// <param name="ink">The ink about its origin, as large as it can be.</param>
    /// <param name="least">The smallest share of that size that is of interest.</param>
    /// <param name="most">The largest.</param>
    /// <param name="slack">By how much it may stand outside, in millimetres.</param>
    /// <param name="precision">To what share of the size it is found.</param>
    public (double Factor, PlanePoint At)? Largest(SearchedInk ink, double least, double most, double slack, double precision)
    {
        for (; most >= least; most *= GivenUp)
        {
            if (Largest(ink, least, most, slack, precision, out var isAll) is var found && (found is not null || isAll))
            {
                return found;
            }
        }

        return null;
    }

    private (double Factor, PlanePoint At)? Largest(
        SearchedInk ink,
        double least,
        double most,
        double slack,
        double precision,
        out bool isAll
    )
    {
        isAll = true;
        if (Whole(ink, least) is not { } box)
        {
            return null;
        }

        // The largest that is possible comes first; of these what stands out least.
        var cells = new PriorityQueue<PlaceCell, (double, double)>();
        (double Factor, PlanePoint At)? best = null;
        var half = (most - least) / 2;
        Add(
            new PlaceCell(box.CentreX, box.CentreY, box.Width / 2, box.Height / 2, 0, 0)
            {
                Factor = least + half,
                HalfFactor = half,
                HalfGrowth = half * ink.Radius,
            }
        );
        for (var looked = 0; cells.TryDequeue(out var cell, out _) && IsMore(cell); looked++)
        {
            if (looked == MostCells)
            {
                isAll = false;
                break;
            }

            Effort.Spend(StepsPerCell);
            if (cell.Factor > (best?.Factor ?? 0) && cell.Violation <= slack && Violation(cell.Alone, ink) <= slack)
            {
                best = (cell.Factor, cell.Middle);
            }

            if (cell.Radius > slack / 2 && IsMore(cell))
            {
                foreach (var part in cell.Halves(ink.Radius))
                {
                    Add(part);
                }
            }
        }

        return best;

        bool IsMore(PlaceCell cell) => cell.MostFactor > (best?.Factor ?? 0) * (1 + precision);

        void Add(PlaceCell cell)
        {
            var violation = Violation(cell, ink);
            if (violation <= cell.Radius + slack)
            {
                cells.Enqueue(cell with { Violation = violation }, (-cell.MostFactor, violation - cell.Radius));
            }
        }
    }

    /// <summary>
    /// By how much ink at a place stands outside, or a corner of the zone inside it; negative where there is room all round. Where
    /// that is more than a limit some figure above the limit is answered.
    /// </summary>
    public Func<TurnedPlace, double, double> Violations(SearchedInk ink) => (t, limit) => Exact(t, ink, limit);

    private static Box? Common(Box a, Box b) =>
        new Box(Math.Max(a.MinX, b.MinX), Math.Max(a.MinY, b.MinY), Math.Min(a.MaxX, b.MaxX), Math.Min(a.MaxY, b.MaxY)) is var c
        && c.Width >= 0
        && c.Height >= 0
            ? c
            : null;

    /// <summary>The places at which the ink's box lies inside the zone's.</summary>
    private Box? Whole(SearchedInk? ink, double factor = 1) =>
        ink?.Box.Scaled(factor) is { } b && b.Width <= zone.Bounds.Width + Tolerances.Fit && b.Height <= zone.Bounds.Height + Tolerances.Fit
            ? Upright(new Box(zone.Bounds.MinX - b.MinX, zone.Bounds.MinY - b.MinY, zone.Bounds.MaxX - b.MaxX, zone.Bounds.MaxY - b.MaxY))
            : null;

    private static Box Upright(Box b) =>
        new(Math.Min(b.MinX, b.MaxX), Math.Min(b.MinY, b.MaxY), Math.Max(b.MinX, b.MaxX), Math.Max(b.MinY, b.MaxY));

    /// <summary>The first place that is found; with a point to be near to, the nearest.</summary>
    private TurnedPlace? Search(
        SearchedInk? ink,
        Box? places,
        double slack,
        double finest,
        PlanePoint? near,
        Func<TurnedPlace, bool> accept,
        Turns turns = default,
        double factor = 1
    )
    {
        if (places is not { } box || ink is null)
        {
            return null;
        }

        var most = turns.Half > 0 ? MostTurnedCells : MostCells;
        var cells = new PriorityQueue<PlaceCell, double>();
        Add(
            new PlaceCell(box.CentreX, box.CentreY, box.Width / 2, box.Height / 2, turns.Middle, turns.Half * Math.PI / 180 * ink.Radius)
            {
                Factor = factor,
            }
        );
        (TurnedPlace At, double Far)? best = null;
        for (
            var looked = 0;
            looked < most && cells.TryDequeue(out var cell, out var least) && (best is null || least < best.Value.Far - (finest / 2));
            looked++
        )
        {
            Effort.Spend(StepsPerCell);
            var far = near is { } n ? cell.Middle.To(n) : 0;
            var at = new TurnedPlace(cell.Middle, cell.Turn);
            if (cell.Violation <= slack && (best is null || far < best.Value.Far) && Violation(cell.Alone, ink) <= slack && accept(at))
            {
                if (near is null)
                {
                    return at;
                }

                best = (at, far);
            }

            if (cell.Radius > finest / 2)
            {
                foreach (var half in cell.Halves(ink.Radius))
                {
                    Add(half);
                }
            }
        }

        return best?.At;

        void Add(PlaceCell cell)
        {
            var violation = Violation(cell, ink);
            if (violation <= cell.Radius + slack)
            {
                var known = cell with { Violation = violation };
                cells.Enqueue(known, near is { } n ? cell.NearestTo(n) : violation - cell.Radius);
            }
        }
    }

    /// <summary>A cell so many finest cells wide is told as well by every second point.</summary>
    private const double WideOfFinest = 8;

    private const int MostStride = 16;
    private const int Foremost = 32;

    /// <summary>Steps for a cell, most of which a few of the ink's points settle.</summary>
    private const int StepsPerCell = 60;

    /// <summary>A lower bound of how far the ink stands outside at the middle of a cell; exact for small cells.</summary>
    private double Violation(PlaceCell cell, SearchedInk ink)
    {
        var (x, y, enough, doubt) = (cell.X, cell.Y, (cell.Radius * 1.5) + Finest, distance.Doubt);
        var exact = cell.Radius < 4 * doubt;
        var (sin, cos) = Math.SinCos(cell.Turn * Math.PI / 180);
        (sin, cos) = (sin * cell.Factor, cos * cell.Factor);
        var most = 0.0;
        var samples = ink.Samples;
        // A large cell is not told more closely by points near one another; those that settled others stand in front.
        var stride = Math.Clamp((int)(cell.Radius / (WideOfFinest * Finest)), 1, MostStride);
        for (var i = 0; i < samples.Length; i += i < Foremost ? 1 : stride)
        {
            var p = samples[i];
            double px = x + (cos * p.X) - (sin * p.Y),
                py = y + (sin * p.X) + (cos * p.Y);
            var about = distance.About(px, py);
            if (about + doubt <= most)
            {
                continue;
            }

            most = Math.Max(most, exact && about - doubt <= enough ? distance.Signed(px, py) : about - doubt);
            if (most > enough)
            {
                // What settled this cell likely settles the next ones.
                ink.Forward(i);
                return most;
            }
        }

        return Poked(
            new TurnedPlace(cell.Middle, cell.Turn),
            cell.Factor,
            ink,
            most,
            enough,
            cell.Radius < 4 * ink.Doubt * cell.Factor,
            stride
        );
    }

    /// <summary>
    /// How deep a corner of the zone lies within the ink, where that is more than what is known; no further than is enough to know.
    /// </summary>
    private double Poked(TurnedPlace at, double factor, SearchedInk ink, double most, double enough, bool exact, int stride = 1)
    {
        var (sin, cos) = Math.SinCos(at.Turn * Math.PI / 180);
        (sin, cos) = (sin / factor, cos / factor);
        for (var i = 0; i < corners.Length; i += stride)
        {
            var q = corners[i];
            double qx = q.X - at.At.X,
                qy = q.Y - at.At.Y;
            var back = new PlanePoint((cos * qx) + (sin * qy), (cos * qy) - (sin * qx));
            var about = ink.About(back.X, back.Y);
            if (factor * (about + ink.Doubt) <= Math.Max(most, 0))
            {
                continue;
            }

            // Outside the ink a corner of the zone says nothing.
            var depth = exact ? ink.Depth(back, about) : about - ink.Doubt;
            most = depth > 0 ? Math.Max(most, factor * depth) : most;
            if (most > enough)
            {
                break;
            }
        }

        return most;
    }

    /// <summary>How far the ink stands outside at a place; negative by the room it has.</summary>
    private double Exact(TurnedPlace at, SearchedInk ink, double limit)
    {
        var (sin, cos) = Math.SinCos(at.Turn * Math.PI / 180);
        var (most, doubt) = (double.NegativeInfinity, distance.Doubt);
        var samples = ink.Samples;
        Effort.Spend(StepsPerCell);
        for (var i = 0; i < samples.Length; i++)
        {
            var p = samples[i];
            double px = at.At.X + (cos * p.X) - (sin * p.Y),
                py = at.At.Y + (sin * p.X) + (cos * p.Y);
            if (distance.About(px, py) + doubt > most)
            {
                most = Math.Max(most, distance.Signed(px, py));
                if (most > limit)
                {
                    ink.Forward(i);
                    return most;
                }
            }
        }

        return Poked(at, 1, ink, most, limit, exact: true);
    }

    /// <summary>
    /// Points of the zone's edge that can lie within ink all of whose hull lies inside: those of holes and of bays, near one another.
    /// </summary>
    private static PlanePoint[] Poking(ZoneShape zone, double finest)
    {
        var hull = zone.Outline.ConvexHull();
        bool OnHull(ZoneEdge e) =>
            hull.Boundary.IsWithinDistance(Outlines.Factory.CreatePoint(e.From.Towards(e.To, 0.5).ToCoordinate()), ZoneShape.OnEdge);
        var edges = zone.Edges.Where(e => !OnHull(e)).ToList();
        var gap = Math.Max(GapOfFinest * finest, edges.Sum(e => e.From.To(e.To)) / MostPoking);
        return [.. edges.SelectMany(e => Outlines.Divided(e.From, e.To, gap)).Concat(edges.Select(e => e.To)).Distinct()];
    }

    /// <summary>How near to one another such points are, in finest cells; nearer than strokes are wide.</summary>
    private const double GapOfFinest = 20;

    private const int MostPoking = 1500;

    /// <summary>A range of turns, in degrees.</summary>
    private readonly record struct Turns(double Middle, double Half);
}
