using Cabida.Core.Cutting;
using Cabida.Core.Geometry;

namespace Cabida.Devices.Cutting;

/// <summary>A line that a cutter cuts, and when; seconds from the first move.</summary>
/// <param name="Points">Its points, the first repeated at the end of a closed one; millimetres.</param>
/// <param name="IsReached">Whether the blade comes there at all.</param>
/// <param name="Moves">When the blade leaves the line before, lifted.</param>
/// <param name="Arrives">When it is there.</param>
/// <param name="Begins">When it is down.</param>
/// <param name="Ends">When it is through.</param>
internal sealed record TimedLine(IReadOnlyList<PlanePoint> Points, bool IsReached, double Moves, double Arrives, double Begins, double Ends)
{
    /// <summary>How far up it reaches.</summary>
    public double Top { get; } = Points.Max(p => p.Y);

    /// <summary>Where the blade is after a share of its length.</summary>
    public PlanePoint At(double share)
    {
        var left = share * Points.Zip(Points.Skip(1), (a, b) => a.To(b)).Sum();
        for (var i = 1; i < Points.Count; i++)
        {
            var length = Points[i - 1].To(Points[i]);
            if (length >= left && length > 0)
            {
                return Points[i - 1].Towards(Points[i], left / length);
            }

            left -= length;
        }

        return Points[^1];
    }
}

/// <summary>
/// What a cutter makes of a file: its lines in their order, each with its time, and those that leave the reach, which it does not cut.
/// </summary>
internal sealed class SheetCut
{
    /// <summary>A file's numbers are rounded; no more than this is not outside.</summary>
    private const double Rounded = 0.05;

    public SheetCut(IReadOnlyList<IReadOnlyList<PlanePoint>> lines, double reachWidth, double reachLength, CutSpeeds speeds, int from)
    {
        var (timed, now, at) = (new List<TimedLine>(), 0.0, default(PlanePoint));
        var furthest = 0.0;
        foreach (var (points, i) in lines.Where(l => l.Count > 0).Select((l, i) => (l, i)))
        {
            var outside = points.Max(p => Math.Max(Math.Max(-p.X, p.X - reachWidth), Math.Max(-p.Y, p.Y - reachLength)));
            if (outside > Rounded || i < from)
            {
                timed.Add(new TimedLine(points, outside <= Rounded, now, now, now, now));
                (Outside, furthest) = outside > Rounded ? (Outside + 1, Math.Max(furthest, outside)) : (Outside, furthest);
                continue;
            }

            var arrives = now + CutTime.OfMove(at.To(points[0]), speeds.Up, speeds.Acceleration);
            var begins = arrives + speeds.Lift;
            var ends = begins + CutTime.Of([points], speeds).Down;
            timed.Add(new TimedLine(points, true, now, arrives, begins, ends));
            (now, at) = (ends + speeds.Lift, points[^1]);
        }

        Lines = timed;
        Furthest = furthest;
        Seconds = now + CutTime.OfMove(at.To(default), speeds.Up, speeds.Acceleration);
        Used = Box.Around(lines.SelectMany(l => l).Select(p => new Box(p.X, p.Y, p.X, p.Y)));
    }

    public IReadOnlyList<TimedLine> Lines { get; }

    /// <summary>How long all of it takes, back to the loading corner.</summary>
    public double Seconds { get; }

    /// <summary>How many lines leave the reach.</summary>
    public int Outside { get; }

    /// <summary>By how much they do.</summary>
    public double Furthest { get; }

    public Box? Used { get; }

    /// <summary>How many lines are through after so many seconds.</summary>
    public int CutAfter(double seconds)
    {
        var (low, high) = (0, Lines.Count);
        while (low < high)
        {
            var middle = (low + high) / 2;
            (low, high) = Lines[middle].Ends <= seconds ? (middle + 1, high) : (low, middle);
        }

        return low;
    }

    /// <summary>How much of the next line is through.</summary>
    public double ShareAfter(double seconds) =>
        CutAfter(seconds) is var next && next < Lines.Count && Lines[next] is var line && line.Ends > line.Begins
            ? Math.Clamp((seconds - line.Begins) / (line.Ends - line.Begins), 0, 1)
            : 0;

    /// <summary>Where the blade is, and whether it is down.</summary>
    public (PlanePoint At, bool IsDown) BladeAfter(double seconds)
    {
        var next = CutAfter(seconds);
        if (next < Lines.Count && seconds >= Lines[next].Begins)
        {
            return (Lines[next].At(ShareAfter(seconds)), true);
        }

        var from = next > 0 ? Lines.Take(next).LastOrDefault(l => l.Ends > l.Begins)?.Points[^1] ?? default : default;
        var (to, leaves, comes) =
            next < Lines.Count ? (Lines[next].Points[0], Lines[next].Moves, Lines[next].Arrives) : (default, LastEnd, Seconds);
        var share = comes > leaves ? Math.Clamp((seconds - leaves) / (comes - leaves), 0, 1) : 1;
        return (from.Towards(to, share), false);
    }

    /// <summary>When the first line begins that film which reaches no further than this does not hold; null where it holds all.</summary>
    public double? OutOfFilm(double until, double after) =>
        Lines.FirstOrDefault(l => l.Ends > l.Begins && l.Ends > after && l.Top > until + Rounded)?.Begins;

    private double LastEnd => Lines.Count > 0 ? Lines[^1].Ends : 0;
}
