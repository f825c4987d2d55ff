using Cabida.Core.Geometry;
using Cabida.Core.Measures;

namespace Cabida.Core.Motifs;

/// <summary>How a repeat came out.</summary>
/// <param name="Copies">How many copies there are.</param>
/// <param name="Scale">What a wrap multiplied its copies by so that they meet at the seam; 1 where it did not.</param>
/// <param name="GapAtSeam">What a wrap leaves open at the seam beyond its own gap; null for others.</param>
/// <param name="Asked">How many copies were asked for, where fewer found room.</param>
/// <param name="Round">The girth that a wrap goes round; zero for others.</param>
public sealed record RepeatResult(int Copies, double Scale, double? GapAtSeam, int Asked, double Round = 0);

/// <summary>Where the copies of a repeat stand: one change of place for each.</summary>
internal static class RepeatLayout
{
    /// <summary>More copies than this are no motif.</summary>
    public const int MostCopies = 2000;

    /// <summary>A change of scale beyond this share offers a gap at the seam instead (calculations 3.7).</summary>
    public const double MostSeamChange = 0.05;

    private const int DartsPerCopy = 60;

    /// <summary>Lays copies out.</summary>
    /// <param name="repeat">How.</param>
    /// <param name="box">The box of one copy, centred on the origin.</param>
    /// <param name="scales">The scales.</param>
    /// <param name="ground">The ground.</param>
    public static (IReadOnlyList<Motion> Copies, RepeatResult Result) Of(Repeat repeat, Box box, Scales scales, GroundShape ground)
    {
        var (gapX, gapY) = (repeat.GapAcross.At(scales, LengthRange.Margin), repeat.GapUp.At(scales, LengthRange.Margin));
        var area = AreaOf(repeat, scales, ground);
        switch (repeat.Kind)
        {
            case RepeatKind.Rows or RepeatKind.HalfDrop when repeat.Over == RepeatOver.Wrap && ground.Girth is { } girth:
                return Wrap(repeat, box, gapX, gapY, girth, ground.Ring);
            case RepeatKind.Rows or RepeatKind.HalfDrop:
                var half = repeat.Kind == RepeatKind.HalfDrop;
                var across = area is { } a ? Holds(a.Width, box.Width, gapX) : Math.Clamp(repeat.Across, 1, MostCopies);
                var up = area is { } b ? Holds(b.Height, box.Height, gapY) : Math.Clamp(repeat.Up, 1, MostCopies);
                var rows = Rows(
                    Math.Min(across, MostCopies),
                    Math.Min(up, MostCopies / Math.Min(across, MostCopies)),
                    box.Width + gapX,
                    box.Height + gapY,
                    half,
                    shorter: area is not null
                );
                return (rows, new RepeatResult(rows.Count, 1, null, rows.Count));
            case RepeatKind.Ring:
                var n = Math.Clamp(repeat.Across, 1, MostCopies);
                var radius = repeat.Circle.At(scales, LengthRange.Artwork) / 2;
                var ring = Enumerable
                    .Range(0, n)
                    .Select(i =>
                        Motion.TurnLeft(-360.0 * i / n).Of(new PlanePoint(0, radius)) is var p
                            ? (repeat.Turning ? Motion.TurnLeft(-360.0 * i / n) : Motion.None).Moved(p.X, p.Y)
                            : default
                    )
                    .ToList();
                return (ring, new RepeatResult(n, 1, null, n));
            case RepeatKind.Corners:
                var size = area ?? SizeOf(repeat, scales);
                var (dx, dy) = ((size.Width - box.Width) / 2, (size.Height - box.Height) / 2);
                Motion[] corners =
                [
                    Motion.Move(-dx, dy),
                    Motion.Flip.Moved(dx, dy),
                    Motion.Scale(1, -1).Moved(-dx, -dy),
                    Motion.Scale(-1, -1).Moved(dx, -dy),
                ];
                return ([.. corners.Select(c => c.Moved(size.CentreX, size.CentreY))], new RepeatResult(4, 1, null, 4));
            case RepeatKind.Scatter:
                var scattered = Scattered(repeat, box, gapX, area ?? SizeOf(repeat, scales));
                return (scattered, new RepeatResult(scattered.Count, 1, null, Math.Clamp(repeat.Across, 1, MostCopies)));
            default:
                return ([Motion.None], new RepeatResult(1, 1, null, 1));
        }
    }

    /// <summary>
    /// How many copies of a period meet round a girth, and at what scale: n is ⌊x⌋ or ⌈x⌉ of x = G/p, at least 1, whichever
    /// makes |ln(G/(n·p))| smaller (calculations 3.7).
    /// </summary>
    public static (int Count, double Scale) Meeting(double girth, double period)
    {
        var x = girth / period;
        var (low, high) = (Math.Max(1, (int)Math.Floor(x)), Math.Max(1, (int)Math.Ceiling(x)));
        var n = Math.Abs(Math.Log(x / low)) <= Math.Abs(Math.Log(x / high)) ? low : high;
        return (n, x / n);
    }

    private static (IReadOnlyList<Motion> Copies, RepeatResult Result) Wrap(
        Repeat repeat,
        Box box,
        double gapX,
        double gapY,
        double girth,
        double ring
    )
    {
        var period = box.Width + gapX;
        if (period <= 0 || girth / period > MostCopies)
        {
            return ([], new RepeatResult(0, 1, null, 0));
        }

        var (count, scale) = repeat.GapAtSeam ? (Math.Max(1, (int)Math.Floor((girth + 1e-9) / period)), 1.0) : Meeting(girth, period);
        var up = Math.Clamp(repeat.Up, 1, Math.Max(1, MostCopies / count));
        var flat = Rows(count, up, period * scale, (box.Height + gapY) * scale, repeat.Kind == RepeatKind.HalfDrop, shorter: false);
        var copies = flat.Select(m => Motion.Scale(scale, scale).Then(double.IsInfinity(ring) ? m : OnRing(m, ring))).ToList();
        return (copies, new RepeatResult(copies.Count, scale, girth - (count * period * scale), copies.Count, girth));
    }

    /// <summary>A place on the straight laid on the ring by its angle.</summary>
    private static Motion OnRing(Motion straight, double ring)
    {
        var (angle, up) = (straight.C / Math.Abs(ring), straight.F);
        var (r, sign) = (Math.Abs(ring) + (Math.Sign(ring) * up), Math.Sign(ring));
        var (sin, cos) = Math.SinCos(angle);
        return Motion.TurnLeft(-sign * angle * 180 / Math.PI).Moved(r * sin, sign * ((r * cos) - Math.Abs(ring)));
    }

    private static List<Motion> Rows(int across, int up, double pitchX, double pitchY, bool halfDrop, bool shorter)
    {
        var copies = new List<Motion>();
        for (var row = 0; row < up; row++)
        {
            // A row moved by half a period holds one copy less where the area is all there is.
            var odd = halfDrop && row % 2 == 1;
            var count = odd && shorter ? across - 1 : across;
            var shift = odd && !shorter ? pitchX / 2 : 0;
            for (var i = 0; i < count; i++)
            {
                copies.Add(Motion.Move(((i - ((count - 1) / 2.0)) * pitchX) + shift, (((up - 1) / 2.0) - row) * pitchY));
            }
        }

        return copies;
    }

    /// <summary>Darts thrown from the seed; each keeps the wanted distance from all before it (as discs round the copies).</summary>
    private static List<Motion> Scattered(Repeat repeat, Box box, double gap, Box area)
    {
        var wanted = Math.Clamp(repeat.Across, 1, MostCopies);
        var radius = Math.Sqrt((box.Width * box.Width) + (box.Height * box.Height)) / 2;
        var (w, h) = (area.Width - (2 * radius), area.Height - (2 * radius));
        var places = new List<Motion>();
        if (w < 0 || h < 0)
        {
            return places;
        }

        var state = (ulong)(uint)repeat.Seed;
        for (var dart = 0; dart < wanted * DartsPerCopy && places.Count < wanted; dart++)
        {
            var at = new PlanePoint(area.CentreX + ((Next() - 0.5) * w), area.CentreY + ((Next() - 0.5) * h));
            var turn = Next();
            if (places.All(p => new PlanePoint(p.C, p.F).To(at) >= (2 * radius) + gap))
            {
                places.Add((repeat.Turning ? Motion.TurnLeft(360 * turn) : Motion.None).Moved(at.X, at.Y));
            }
        }

        return places;

        // SplitMix64 (Steele, Lea and Flood 2014): the same seed gives the same places everywhere.
        double Next()
        {
            state += 0x9E3779B97F4A7C15;
            var z = state;
            z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9;
            z = (z ^ (z >> 27)) * 0x94D049BB133111EB;
            return ((z ^ (z >> 31)) >> 11) * (1.0 / (1UL << 53));
        }
    }

    private static int Holds(double room, double one, double gap) =>
        Math.Max(1, (int)Math.Floor((room + gap + 1e-9) / Math.Max(one + gap, 1e-6)));

    private static Box? AreaOf(Repeat repeat, Scales scales, GroundShape ground) =>
        repeat.Over switch
        {
            RepeatOver.Area => SizeOf(repeat, scales),
            RepeatOver.Ground => ground.Box ?? SizeOf(repeat, scales),
            _ => null,
        };

    private static Box SizeOf(Repeat repeat, Scales scales)
    {
        var (w, h) = (repeat.Width.At(scales, LengthRange.Artwork), repeat.Height.At(scales, LengthRange.Artwork));
        return new Box(-w / 2, -h / 2, w / 2, h / 2);
    }
}
