using Cabida.Core.Wording;

namespace Cabida.Core.Geometry;

/// <summary>
/// A disc rolled along all of a boundary on one side: where it touches and holds nothing else of it, what it covers is wide; the rest are
/// the stretches that it cannot touch.
/// </summary>
internal sealed class RollingDisc
{
    /// <summary>
    /// Places are looked at so much of the diameter apart: where what cannot be touched is shorter, the discs on both sides of it overlap.
    /// </summary>
    public const double StepShare = 0.5;

    /// <summary>The ends of stretches are found to this share of the step between places.</summary>
    private const int Halvings = 6;

    private const int MostPlaces = 50_000;

    /// <summary>A ball is begun a little larger than the last one: a large disc need not be shrunk each time.</summary>
    public const double GuessShare = 1.2;

    public const double LeastGuess = 0.1;

    /// <summary>Steps of effort for a place that is looked at.</summary>
    public const int StepsPerPlace = 3;

    private double guess = double.PositiveInfinity;

    /// <summary>The places of one ring, used again for the next: made anew they would be collected as often.</summary>
    [ThreadStatic]
    private static List<RingPlace>? Borrowed;

    private readonly HashSet<int> wide = [];

    /// <summary>Its middle wherever it was found to fit; single numbers are finer than any tolerance, and half as many bytes.</summary>
    private readonly List<(float X, float Y)> fits;

    /// <summary>How far apart places are: whatever the diameter, no more is looked at than computed ink has detail for.</summary>
    private readonly double step;

    /// <summary>The radius in which the disc must be empty: facets of a curve stand into one that touches their neighbour.</summary>
    private readonly double empty;

    /// <summary>Rolls a disc.</summary>
    /// <param name="grid">The boundary of the ink.</param>
    /// <param name="diameter">Across the disc, in millimetres.</param>
    /// <param name="outside">Whether it rolls outside the ink rather than within it.</param>
    /// <param name="rings">Along which rings; null for all.</param>
    public RollingDisc(SegmentGrid grid, double diameter, bool outside, IReadOnlySet<int>? rings = null)
    {
        (Grid, Diameter, IsOutside) = (grid, diameter, outside);
        step = Math.Max(StepShare * diameter, Tolerances.Check);
        // About as many as there are places: grown step by step it would be collected as often.
        fits = new List<(float X, float Y)>((int)Math.Min(MostPlaces, 1.5 * grid.RingLengths.Sum() / step));
        empty = (diameter / 2 * Math.Cos(Tolerances.InkTurn)) - (Tolerances.Fit / 2);
        for (var ring = 0; ring < grid.Rings.Count; ring++)
        {
            if (grid.Rings[ring].Count > 0 && rings?.Contains(ring) != false)
            {
                Roll(new RingWalk(grid, ring, outside));
            }
        }

        Part();
    }

    public SegmentGrid Grid { get; }

    public double Diameter { get; }

    public bool IsOutside { get; }

    /// <summary>The stretches that it cannot touch.</summary>
    public List<NarrowStretch> Stretches { get; } = [];

    /// <summary>Its middle wherever it was found to fit, within a box.</summary>
    public List<PlanePoint> FitsWithin(Box box)
    {
        Effort.Spend(fits.Count / 8);
        var found = new List<PlanePoint>();
        foreach (var (x, y) in fits)
        {
            if (x >= box.MinX && x <= box.MaxX && y >= box.MinY && y <= box.MaxY)
            {
                found.Add(new(x, y));
            }
        }

        return found;
    }

    /// <summary>Whether it fits anywhere along a ring.</summary>
    public bool FitsAt(int ring) => wide.Contains(ring);

    /// <summary>Its middle where it touches a place.</summary>
    public PlanePoint CentreAt(RingWalk walk, double u)
    {
        var (p, n) = walk.Place(u);
        return new(p.X + (Diameter / 2 * n.X), p.Y + (Diameter / 2 * n.Y));
    }

    /// <summary>The largest ball, no larger than the disc, that touches a place.</summary>
    public TouchingBall BallAt(RingWalk walk, double u)
    {
        var (p, n) = walk.Place(u);
        var ball = LocalWidth.Ball(Grid, p, n, Math.Min(guess, Diameter / 2), Diameter / 2);
        guess = Math.Max(LeastGuess, GuessShare * ball.Radius);
        return ball;
    }

    private bool IsKeptOut(PlanePoint middle) => Grid.KeepsOut(middle, empty, Diameter - empty, IsOutside);

    private void Add(PlanePoint middle) => fits.Add(((float)middle.X, (float)middle.Y));

    private void Roll(RingWalk walk)
    {
        var places = Borrowed ??= [];
        walk.Places(step, places);
        Effort.Spend(places.Count * StepsPerPlace);
        var narrow = new bool[places.Count];
        var free = -1;
        for (var i = 0; i < places.Count; i++)
        {
            var centre = places[i].Middle(Diameter / 2);
            narrow[i] = places[i].IsCorner || IsKeptOut(centre);
            if (!narrow[i])
            {
                Add(centre);
                free = free < 0 ? i : free;
            }
        }

        if (free < 0)
        {
            Stretches.Add(new NarrowStretch(walk, places.ConvertAll(p => p.U), double.NaN, double.NaN));
            return;
        }

        wide.Add(walk.Ring);
        double At(int i) => places[i % places.Count].U + (i >= places.Count ? walk.End : 0);
        for (var i = free; i < free + places.Count; i++)
        {
            if (!narrow[i % places.Count])
            {
                continue;
            }

            var begin = i;
            var held = new List<double>();
            for (; narrow[i % places.Count]; i++)
            {
                held.Add(At(i));
            }

            Stretches.Add(new NarrowStretch(walk, held, EndOf(walk, At(begin - 1), At(begin)), EndOf(walk, At(i), At(i - 1))));
        }
    }

    /// <summary>
    /// Where the disc fits at the end of a stretch and touches the boundary elsewhere, it fits there as well, however short that is between
    /// two stretches: one that goes on there is parted.
    /// </summary>
    private void Part()
    {
        var ofRing = Enumerable.Range(0, Stretches.Count).GroupBy(i => Stretches[i].Walk.Ring).ToDictionary(g => g.Key, g => g.ToList());
        for (var i = 0; i < Stretches.Count; i++)
        {
            foreach (var end in Stretches[i].IsWhole ? [] : new[] { Stretches[i].From, Stretches[i].To })
            {
                var (p, n) = Stretches[i].Walk.Place(end);
                var ball = LocalWidth.Ball(Grid, p, n, Diameter, Diameter);
                if (ball.On < 0 || !ofRing.TryGetValue(Grid.Segments[ball.On].Ring, out var there))
                {
                    continue;
                }

                var on = Grid.Segments[ball.On];
                var walk = new RingWalk(Grid, on.Ring, IsOutside);
                var u = walk.PlaceOf(ball.On, on.A.To(ball.Across) / on.Length);
                var parted = there.FindIndex(s => Stretches[s].Holds(u));
                if (parted < 0 || !IsWithin(Stretches[there[parted]], ref u))
                {
                    continue;
                }

                var held = Stretches[there[parted]];
                Add(CentreAt(walk, u));
                List<double> before = held.Places.FindAll(x => x < u),
                    after = held.Places.FindAll(x => x > u);
                if (held.IsWhole)
                {
                    Stretches[there[parted]] = held with
                    {
                        Places = [.. after.Select(x => x - walk.End), .. before],
                        From = u - walk.End,
                        To = u,
                    };
                    continue;
                }

                Stretches[there[parted]] = held with { Places = before, To = u };
                there.Add(Stretches.Count);
                Stretches.Add(held with { Places = after, From = u });
            }
        }
    }

    /// <summary>Whether a place lies well within a stretch: not about where it ends anyway.</summary>
    private bool IsWithin(NarrowStretch held, ref double u)
    {
        if (held.IsWhole)
        {
            return true;
        }

        u += held.Walk.End * Math.Ceiling((held.From - u) / held.Walk.End);
        var (at, slack) = (held.Walk.Along(u), StepShare * Diameter);
        return at - held.Walk.Along(held.From) > slack && held.Walk.Along(held.To) - at > slack;
    }

    /// <summary>Where a stretch ends, between a place where the disc fits and one where it does not.</summary>
    private double EndOf(RingWalk walk, double there, double narrow)
    {
        for (var i = 0; i < Halvings; i++)
        {
            var middle = (there + narrow) / 2;
            (there, narrow) = IsKeptOut(CentreAt(walk, middle)) ? (there, middle) : (middle, narrow);
        }

        Add(CentreAt(walk, there));
        return there;
    }
}
