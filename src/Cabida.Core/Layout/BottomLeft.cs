using System.Runtime.InteropServices;

namespace Cabida.Core.Layout;

/// <summary>
/// A first plan: things one after another, each as low as it goes and there as far left, on no-fit polygons in bands (bottom-left fill;
/// Baker, Coffman and Rivest 1980, Burke et al. 2006), on the first load that has room for it. What is pinned lies there before.
/// </summary>
internal sealed class BottomLeft
{
    /// <summary>So many loads at most are looked at for a thing before a new one is begun: those begun last.</summary>
    private const int OpenLoads = 6;
    private const double BandsOfThing = 40;

    /// <summary>Of more things than this, bands are twice as high: what is lost is less than what waiting would be.</summary>
    private const int Many = 150;
    private const double BandsOfGround = 400;
    private const double LeastBand = 0.25;
    private const long MostKept = 2_000_000;

    private readonly LayProblem problem;
    private readonly double height;
    private readonly double pad;
    private readonly double beside;
    private readonly Dictionary<(LayShape Shape, double Turn), Laying> layings = [];
    private readonly Dictionary<(Bands Fixed, Bands Moved), NoFit> noFits = [];
    private readonly Dictionary<LayGround, Bands> outsides = [];
    private readonly List<(double From, double To)> stretches = [];
    private long kept;

    public BottomLeft(LayProblem problem)
    {
        this.problem = problem;
        var extents = problem.Things.SelectMany(t => t.Turns.Take(2).Select(t.ExtentAt)).Select(e => e.MaxY - e.MinY).Order().ToList();
        var usual = extents.Count > 0 ? extents[extents.Count / 4] : 1;
        var highest = problem.Grounds.Max(g => g.Box.Height);
        var coarser = problem.Things.Count > Many ? 2 : 1;
        height = Math.Max(LeastBand, coarser * Math.Max(usual / BandsOfThing, highest / BandsOfGround));
        var layings = problem.Things.SelectMany(t => t.Turns.Select(turn => LayingOf(t, turn))).ToList();
        (pad, beside) = (layings.Select(l => l.Pad).DefaultIfEmpty(0).Max(), layings.Select(l => l.Beside).DefaultIfEmpty(0).Max());
    }

    /// <summary>How much was looked at so far, in bands of pairs of things: what time goes by, the same on any machine.</summary>
    public long Looked { get; private set; }

    /// <summary>The plan for things in an order; those that are pinned need not be in it.</summary>
    public LayState Of(IReadOnlyList<int> order, CancellationToken stop)
    {
        var filling = new Filling(problem, beside);
        foreach (var place in problem.Terms.Begun)
        {
            filling.Begin(place);
        }

        for (var i = 0; i < problem.Things.Count; i++)
        {
            if (problem.Things[i].Item.Pinned is { } pin)
            {
                Pin(filling, i, pin.Load, problem.Inward(pin.At));
            }
        }

        var free = order.Where(i => problem.Things[i].Item.Pinned is null);
        foreach (
            var group in free.GroupBy(i => problem.Things[i].Item.Group is { Length: > 0 } g ? g : FormattableString.Invariant($"\0{i}"))
        )
        {
            stop.ThrowIfCancellationRequested();
            List<int> together = [.. group];
            if (!Lay(filling, together) && together.Count > 1)
            {
                // More than one load holds: they are not kept together.
                together.ForEach(i => Lay(filling, [i]));
            }
        }

        return filling.State;
    }

    /// <summary>Lays what is kept together on one load; nothing of it where that cannot be.</summary>
    private bool Lay(Filling filling, List<int> together)
    {
        var area = together.Sum(i => problem.Things[i].Own.Area);
        var first = Math.Max(0, filling.Loads.Count - OpenLoads);
        for (var load = first; load < filling.Loads.Count; load++)
        {
            if (filling.Loads[load].Free >= area && LayOn(filling, load, together))
            {
                return true;
            }
        }

        foreach (var place in filling.Left())
        {
            if (problem.Grounds[place].Area < area)
            {
                continue;
            }

            filling.Begin(place);
            if (LayOn(filling, filling.Loads.Count - 1, together))
            {
                return true;
            }

            filling.Drop();
        }

        return false;
    }

    private bool LayOn(Filling filling, int load, List<int> together)
    {
        for (var n = 0; n < together.Count; n++)
        {
            if (!LayOn(filling, load, together[n]))
            {
                filling.TakeOff(load, n);
                return false;
            }
        }

        return true;
    }

    /// <summary>Lays a thing as low and there as far left as any of its turns goes.</summary>
    private bool LayOn(Filling filling, int load, int index)
    {
        var (thing, on) = (problem.Things[index], filling.Loads[load]);
        if (on.Failed.Contains(thing.Grown))
        {
            return false;
        }

        (double Top, double X, double Turn, int Row)? best = null;
        foreach (var turn in thing.Turns)
        {
            var laying = LayingOf(thing, turn);
            if (Lowest(on, laying, best?.Top) is { } found)
            {
                var top = Foot(on.Ground) + (found.Row * height) + laying.Own.MaxY - laying.Grown.Foot;
                if (best is not { } b || (top, found.X).CompareTo((b.Top, b.X)) < 0)
                {
                    best = (top, found.X, turn, found.Row);
                }
            }
        }

        if (best is not { } at)
        {
            on.Failed.Add(thing.Grown);
            return false;
        }

        var laid = LayingOf(thing, at.Turn);
        filling.Put(load, index, at.Turn, at.X, Foot(on.Ground) + (at.Row * height) - laid.Grown.Foot, laid.Grown, at.Row);
        return true;
    }

    /// <summary>The lowest and there leftmost place of a thing that ends below a height.</summary>
    private (int Row, double X)? Lowest(OpenLoad on, Laying laying, double? below)
    {
        var (ground, own) = (on.Ground, laying.Own);
        var (low, high) = (ground.Box.MinX - own.MinX, ground.Box.MaxX - own.MaxX);
        if (high < low - Bands.Touching)
        {
            return null;
        }

        high = Math.Max(low, high);
        var foot = Foot(ground) - laying.Grown.Foot;
        var first = (int)Math.Ceiling(((ground.Box.MinY - own.MinY - foot) / height) - 1e-9);
        var top = Math.Min(ground.Box.MaxY, below ?? double.MaxValue);
        var last = (int)Math.Floor(((top - own.MaxY - foot) / height) + 1e-9);
        for (var row = first; row <= last; row++)
        {
            if (!on.Stretches.MayTake(laying.Grown, row))
            {
                continue;
            }

            stretches.Clear();
            if (!ground.IsBox)
            {
                Gather(NoFitOf(OutsideOf(ground), laying.OwnBands).At(row), 0, low, high);
            }

            foreach (var (bands, at, x) in on.Laid)
            {
                if (row < at + bands.Rows.Length && at < row + laying.Grown.Rows.Length)
                {
                    Looked += laying.Grown.Rows.Length;
                    Gather(NoFitOf(bands, laying.Grown).At(row - at), x, low, high);
                }
            }

            if (Leftmost(low, high) is { } found)
            {
                return (row, found);
            }
        }

        return null;
    }

    private void Gather(ReadOnlySpan<double> taken, double moved, double low, double high)
    {
        for (var s = 0; s < taken.Length; s += 2)
        {
            var (from, to) = (taken[s] + moved, taken[s + 1] + moved);
            if (from < high && to > low)
            {
                stretches.Add((from, to));
            }
        }
    }

    private double? Leftmost(double low, double high)
    {
        stretches.Sort(ByBeginning);
        foreach (var (from, to) in CollectionsMarshal.AsSpan(stretches))
        {
            if (from >= low)
            {
                break;
            }

            low = Math.Max(low, to);
            if (low > high)
            {
                return null;
            }
        }

        return low;
    }

    private static readonly Comparison<(double From, double To)> ByBeginning = (a, b) => a.From.CompareTo(b.From);

    private void Pin(Filling filling, int index, int load, RigidMotion at)
    {
        var (thing, ground) = (problem.Things[index], filling.Loads[load].Ground);
        var (x, y) = thing.MiddleAt(at);
        // It lies wherever it was put, between bands as well: as many bands as it touches.
        var rings = Turned(thing.Grown, at.Degrees);
        var (minY, maxY) = (rings.SelectMany(r => r).Min(p => p.Y), rings.SelectMany(r => r).Max(p => p.Y));
        var row = (int)Math.Floor((y + minY - Foot(ground)) / height);
        var bands = Bands.Of(rings, height, Foot(ground) + (row * height) - y, (int)Math.Ceiling((maxY - minY) / height) + 1);
        filling.Put(load, index, at.Degrees, x, y, bands, row);
    }

    private double Foot(LayGround ground) => ground.Box.MinY - pad;

    private Bands OutsideOf(LayGround ground)
    {
        if (!outsides.TryGetValue(ground, out var bands))
        {
            var count = (int)Math.Ceiling((ground.Box.MaxY - Foot(ground)) / height) + 1;
            outsides[ground] = bands = Bands.Outside(ground.Rings, height, Foot(ground), count);
        }

        return bands;
    }

    private NoFit NoFitOf(Bands fixedOne, Bands moved)
    {
        if (!noFits.TryGetValue((fixedOne, moved), out var known))
        {
            if (kept > MostKept)
            {
                noFits.Clear();
                kept = 0;
            }

            noFits[(fixedOne, moved)] = known = new NoFit(fixedOne, moved);
            kept += known.Size;
        }

        return known;
    }

    private Laying LayingOf(LayThing thing, double turn)
    {
        if (!layings.TryGetValue((thing.Grown, turn), out var laying))
        {
            layings[(thing.Grown, turn)] = laying = new Laying(thing, turn, height);
        }

        return laying;
    }

    private static List<Geometry.PlanePoint[]> Turned(LayShape shape, double turn)
    {
        var by = Geometry.Motion.TurnLeft(turn);
        return [.. shape.Rings.Select(r => Array.ConvertAll(r, by.Of))];
    }

    /// <summary>A thing at a turn, in bands.</summary>
    private sealed class Laying
    {
        private readonly Func<Bands> own;
        private Bands? ownBands;

        public Laying(LayThing thing, double turn, double height)
        {
            var rings = Turned(thing.Grown, turn);
            var (minY, maxY) = (rings.SelectMany(r => r).Min(p => p.Y), rings.SelectMany(r => r).Max(p => p.Y));
            var count = Math.Max(1, (int)Math.Ceiling(((maxY - minY) / height) - 1e-9));
            Grown = Bands.Of(rings, height, minY, count);
            Own = thing.ExtentAt(turn);
            own = () => Bands.Of(Turned(thing.Own, turn), height, minY, count);
        }

        public Bands Grown { get; }

        public Extent Own { get; }

        /// <summary>Its own shape, in the bands of the grown one; made when a ground first asks for it.</summary>
        public Bands OwnBands => ownBands ??= own();

        /// <summary>How far the grown shape begins below its own.</summary>
        public double Pad => Own.MinY - Grown.Foot;

        /// <summary>How far it stands out to a side of its own at most.</summary>
        public double Beside => Math.Max(Own.MinX - Grown.MinX, Grown.MaxX - Own.MaxX);
    }

    /// <summary>A load that is being filled.</summary>
    private sealed class OpenLoad(LayGround ground, double beside)
    {
        public LayGround Ground => ground;

        public List<(Bands Bands, int Row, double X)> Laid { get; } = [];

        /// <summary>What is free of it, with what grown things stand out of the ground.</summary>
        public FreeStretches Stretches { get; } = new(ground.Box.MinX - beside, ground.Box.MaxX + beside);

        public List<int> Things { get; } = [];

        /// <summary>What found no room here; it finds none later.</summary>
        public HashSet<LayShape> Failed { get; } = [];

        public double Free { get; set; } = ground.Area;
    }

    /// <summary>Loads as they are being filled.</summary>
    private sealed class Filling(LayProblem problem, double beside)
    {
        private readonly int[] used = new int[problem.Places.Count];

        public LayState State { get; } = new(problem);

        public List<OpenLoad> Loads { get; } = [];

        /// <summary>The places of which there are any left, in order.</summary>
        public List<int> Left() => [.. Enumerable.Range(0, used.Length).Where(p => used[p] < problem.Places[p].Count)];

        public void Begin(int place)
        {
            used[place]++;
            State.Places.Add(place);
            Loads.Add(new OpenLoad(problem.Grounds[place], beside));
        }

        /// <summary>Gives the last load back; nothing lies on it.</summary>
        public void Drop()
        {
            used[State.Places[^1]]--;
            State.Places.RemoveAt(Loads.Count - 1);
            Loads.RemoveAt(Loads.Count - 1);
        }

        public void Put(int load, int index, double turn, double x, double y, Bands bands, int row)
        {
            (State.Load[index], State.Turn[index], State.X[index], State.Y[index]) = (load, turn, x, y);
            Loads[load].Laid.Add((bands, row, x));
            Loads[load].Stretches.Look(Loads[load].Laid, row, row + bands.Rows.Length);
            Loads[load].Things.Add(index);
            Loads[load].Free -= problem.Things[index].Own.Area;
        }

        /// <summary>Takes off what was put there last.</summary>
        public void TakeOff(int load, int count)
        {
            var on = Loads[load];
            foreach (var index in on.Things.TakeLast(count))
            {
                State.Load[index] = -1;
                on.Free += problem.Things[index].Own.Area;
            }

            on.Things.RemoveRange(on.Things.Count - count, count);
            on.Laid.RemoveRange(on.Laid.Count - count, count);
            on.Stretches.Look(on.Laid, 0, int.MaxValue);
            on.Failed.Clear();
        }
    }
}
