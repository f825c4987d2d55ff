using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Pressing;

/// <summary>Something that the edge of a platen keeps off: a button, a seam.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Box">Where it is; millimetres.</param>
public sealed record PressObstacle(string Name, Box Box);

/// <summary>A platen: what is pressed at once.</summary>
/// <param name="Width">Its width; millimetres.</param>
/// <param name="Height">Its height; millimetres.</param>
/// <param name="Overlap">How far two positions overlap at least; millimetres, less than either side.</param>
public sealed record Platen(double Width, double Height, double Overlap)
{
    /// <summary>It turned by a quarter.</summary>
    public Platen Turned => new(Height, Width, Overlap);

    /// <summary>How many positions cover artwork, across and up: ⌈(w − o)/(p − o)⌉ × ⌈(h − o)/(q − o)⌉ (calculations 6.13).</summary>
    public (int Across, int Up) CountFor(Box art) => (Count(art.Width, Width), Count(art.Height, Height));

    private int Count(double art, double side) =>
        art <= side ? 1 : (int)Math.Min(int.MaxValue, Math.Ceiling((art - Overlap) / (side - Overlap) - 1e-9));
}

/// <summary>Where a platen is laid so that all of the artwork is pressed.</summary>
/// <param name="Positions">The positions, row by row from the top left; millimetres.</param>
/// <param name="Across">How many lie side by side.</param>
/// <param name="EdgeOn">What the platen's edge lies on all the same.</param>
/// <param name="Covered">What lies under the platen and is pressed with it.</param>
public sealed record PlatenPlan(IReadOnlyList<Box> Positions, int Across, IReadOnlyList<string> EdgeOn, IReadOnlyList<string> Covered);

/// <summary>
/// Lays the fewest positions of a platen over artwork and moves them so that no edge lies on what it keeps off, then so that as little of
/// that as can be is pressed, then about the middle of the artwork.
/// </summary>
public static class PlatenPositions
{
    /// <summary>More positions than this are not pressed by anybody.</summary>
    public const int Most = 60;

    /// <summary>An edge keeps off by this; millimetres.</summary>
    private const double Off = 2;

    private const int Steps = 48;
    private const int Pitches = 5;
    private const int Rounds = 3;

    /// <summary>Positions over artwork.</summary>
    /// <param name="art">The box of the artwork; millimetres.</param>
    /// <param name="platen">The platen, the way it lies best.</param>
    /// <param name="keepsOff">What its edges keep off.</param>
    public static Outcome<PlatenPlan> Of(Box art, Platen platen, IReadOnlyList<PressObstacle> keepsOff)
    {
        ArgumentNullException.ThrowIfNull(platen);
        ArgumentNullException.ThrowIfNull(keepsOff);
        long Needs(Platen p) => (long)p.CountFor(art).Across * p.CountFor(art).Up;
        var fewest = Math.Min(Needs(platen), Needs(platen.Turned));
        if (fewest > Most)
        {
            return Outcome<PlatenPlan>.Fail(
                Phrase.Say(
                    $"Artwork of {Length.Mm(art.Width)} × {Length.Mm(art.Height)} takes {fewest} positions of a platen of "
                        + $"{Length.Mm(platen.Width)} × {Length.Mm(platen.Height)}: take a larger press."
                )
            );
        }

        // One position more across or up, where none of the fewest keeps off.
        var ways = ((Platen[])[platen, platen.Turned]).SelectMany(p => Ways(p, art)).Where(w => w.Across * w.Up <= Most).ToList();
        Laid? best = null;
        foreach (var way in ways.OrderBy(w => w.Across * w.Up).ThenBy(w => w.Platen == platen ? 0 : 1))
        {
            if (best is { } b && b.Score.Edges == 0 && way.Across * way.Up > b.Across * b.Up)
            {
                break;
            }

            var laid = Lay(art, way.Platen, way.Across, way.Up, keepsOff);
            var isBetter =
                best is not { } was
                || (laid.Score.Edges == 0 && was.Score.Edges > 0)
                || (
                    laid.Across * laid.Up == was.Across * was.Up
                    && laid.Score.CompareTo(was.Score) < 0
                    && (laid.Score.Edges, laid.Score.Covered) != (was.Score.Edges, was.Score.Covered)
                );
            best = isBetter ? laid : best;
        }

        var chosen = best!.Value;
        return Outcome<PlatenPlan>.Of(
            new PlatenPlan(
                chosen.Boxes,
                chosen.Across,
                [.. keepsOff.Where(o => EdgesOn(chosen.Boxes, o) > 0).Select(o => o.Name).Distinct()],
                [.. keepsOff.Where(o => CoveredOf(chosen.Boxes, o) > 0).Select(o => o.Name).Distinct()]
            )
        );
    }

    private readonly record struct Laid(IReadOnlyList<Box> Boxes, int Across, int Up, (double Edges, double Covered, double Aside) Score);

    private static IEnumerable<(Platen Platen, int Across, int Up)> Ways(Platen platen, Box art)
    {
        var (across, up) = platen.CountFor(art);
        return [(platen, across, up), (platen, across + 1, up), (platen, across, up + 1)];
    }

    /// <summary>Where one row or column of positions begins and how far each is from the last.</summary>
    private readonly record struct Row(double From, double Pitch);

    private static Laid Lay(Box art, Platen platen, int across, int up, IReadOnlyList<PressObstacle> keepsOff)
    {
        var xs = Rows(
            art.MinX,
            art.MaxX,
            platen.Width,
            platen.Overlap,
            across,
            [.. keepsOff.SelectMany(o => new[] { o.Box.MinX, o.Box.MaxX })]
        );
        var ys = Rows(
            art.MinY,
            art.MaxY,
            platen.Height,
            platen.Overlap,
            up,
            [.. keepsOff.SelectMany(o => new[] { o.Box.MinY, o.Box.MaxY })]
        );
        Laid Of(Row x, Row y)
        {
            var boxes = Boxes(platen, across, up, x, y);
            var all = Box.Around(boxes)!.Value;
            var aside = Math.Abs(all.CentreX - art.CentreX) + Math.Abs(all.CentreY - art.CentreY);
            return new Laid(boxes, across, up, (keepsOff.Sum(o => EdgesOn(boxes, o)), keepsOff.Sum(o => CoveredOf(boxes, o)), aside));
        }

        var best = Of(xs[0], ys[0]);
        var (x, y) = (xs[0], ys[0]);
        for (var round = 0; round < Rounds && best.Score.Edges + best.Score.Covered > 0; round++)
        {
            foreach (var (px, py) in xs.Select(r => (r, y)).Concat(ys.Select(r => (x, r))).ToList())
            {
                if (Of(px, py) is var laid && laid.Score.CompareTo(best.Score) < 0)
                {
                    (best, x, y) = (laid, px, py);
                }
            }
        }

        return best;
    }

    /// <summary>Ways to lay a number of positions over a stretch, the one about its middle first.</summary>
    private static List<Row> Rows(double from, double to, double side, double overlap, int count, IReadOnlyList<double> edges)
    {
        var (least, most) = count == 1 ? (0.0, 0.0) : (Math.Max(0, (to - from - side) / (count - 1)), side - overlap);
        var rows = new List<Row>();
        for (var i = 0; i < (count == 1 ? 1 : Pitches); i++)
        {
            var pitch = least + ((most - least) * i / (Pitches - 1));
            var (low, high) = (to - side - ((count - 1) * pitch), from);
            if (low > high + 1e-9)
            {
                continue;
            }

            rows.Add(new Row((low + high) / 2, pitch));
            rows.AddRange(Enumerable.Range(0, Steps + 1).Select(s => new Row(low + ((high - low) * s / Steps), pitch)));
            // Just beside each edge of what is kept off, with either side of each position.
            rows.AddRange(
                Enumerable
                    .Range(0, count)
                    .SelectMany(k =>
                        edges.SelectMany(e => new[] { e - Off, e + Off }).SelectMany(e => new[] { e - (k * pitch), e - side - (k * pitch) })
                    )
                    .Where(f => f >= low && f <= high)
                    .Select(f => new Row(f, pitch))
            );
        }

        return rows;
    }

    private static List<Box> Boxes(Platen platen, int across, int up, Row x, Row y) =>
        [
            .. from row in Enumerable.Range(0, up).Reverse()
            from column in Enumerable.Range(0, across)
            let left = x.From + (column * x.Pitch)
            let foot = y.From + (row * y.Pitch)
            select new Box(left, foot, left + platen.Width, foot + platen.Height),
        ];

    /// <summary>How much of the platens' edges lies on something; millimetres.</summary>
    private static double EdgesOn(IReadOnlyList<Box> boxes, PressObstacle obstacle) =>
        boxes.Sum(b =>
            ((double[])[b.MinX, b.MaxX])
                .Where(x => x > obstacle.Box.MinX && x < obstacle.Box.MaxX)
                .Sum(_ => Shared(b.MinY, b.MaxY, obstacle.Box.MinY, obstacle.Box.MaxY))
            + ((double[])[b.MinY, b.MaxY])
                .Where(y => y > obstacle.Box.MinY && y < obstacle.Box.MaxY)
                .Sum(_ => Shared(b.MinX, b.MaxX, obstacle.Box.MinX, obstacle.Box.MaxX))
        );

    /// <summary>How much of something lies under platens; square millimetres, more than once where they overlap.</summary>
    private static double CoveredOf(IReadOnlyList<Box> boxes, PressObstacle obstacle) =>
        boxes.Sum(b =>
            Shared(b.MinX, b.MaxX, obstacle.Box.MinX, obstacle.Box.MaxX) * Shared(b.MinY, b.MaxY, obstacle.Box.MinY, obstacle.Box.MaxY)
        );

    private static double Shared(double from, double to, double otherFrom, double otherTo) =>
        Math.Max(0, Math.Min(to, otherTo) - Math.Max(from, otherFrom));
}
