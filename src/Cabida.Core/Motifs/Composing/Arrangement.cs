using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Type;

namespace Cabida.Core.Motifs;

/// <summary>
/// Parts → places. Rows are stacked ink to ink and lined up by ink; anchored parts then stand at what they are anchored to. All
/// that does not hang on the ground is centred on the origin, which is the ground's datum centre.
/// </summary>
/// <param name="parts">The parts.</param>
/// <param name="alignment">How rows line up.</param>
/// <param name="bodies">Draws them.</param>
/// <param name="centring">What of them stands on the origin.</param>
/// <param name="allScales">Whether every length follows the scale, so that their middle does too.</param>
internal sealed class Arrangement(
    IReadOnlyList<Part> parts,
    RowAlignment alignment,
    BodyMaker bodies,
    Centring centring = Centring.InkBox,
    bool allScales = false
)
{
    private PlanePoint? middleAtOne;
    private readonly List<List<Part>> rows = RowsOf(parts);

    /// <summary>The parts with ink, in place, in the order of the parts.</summary>
    /// <param name="scales">The scales.</param>
    /// <param name="ground">What they are composed against.</param>
    /// <param name="kept">Where states of their ink are kept, should they be needed to centre them; null to keep none.</param>
    public IReadOnlyList<PlacedPart> At(Scales scales, GroundShape ground, InkCache? kept = null)
    {
        var placed = Stacked(scales, ground);
        var stack = Target.Of([.. placed.Values.Where(Counts)]);
        var waiting = parts
            .Where(p => p.Place == PartPlace.Anchored && p is not (BackingPart or MatPart) && BodyMaker.SpanOf(p, ground) is null)
            .ToList();
        Anchoring(waiting, placed, to => to == Anchor.Stack ? stack : Target.Of(placed.GetValueOrDefault(new PartKey(to))), scales, ground);
        var middle = Middle([.. parts.Where(p => placed.ContainsKey(p.Key)).Select(p => placed[p.Key])], scales, kept);
        foreach (var key in placed.Keys.ToList())
        {
            placed[key] = placed[key].Moved(-middle.X, -middle.Y);
        }

        foreach (var part in parts)
        {
            if (BodyMaker.SpanOf(part, ground) is { } span && bodies.Of(part, scales, ground) is { } body)
            {
                placed[part.Key] = Nudged(Own(part, body).Moved(span.CentreX, span.CentreY), scales);
            }
        }

        var own = Target.Of([.. placed.Values]);
        var whole = ground.Box is { } zone ? new Target(zone, ground.Outline?.Round) : own ?? Target.Origin;
        Anchoring(
            waiting,
            placed,
            to =>
                to == Anchor.Ground ? whole
                : to == Anchor.Stack ? stack?.Moved(-middle.X, -middle.Y)
                : Target.Of(placed.GetValueOrDefault(new PartKey(to))),
            scales,
            ground
        );
        // What hangs on nothing that is there stands in the middle, where it is seen.
        Anchoring(waiting, placed, _ => Target.Origin, scales, ground);
        foreach (var key in placed.Keys.ToList())
        {
            placed[key] = OnItsRing(placed[key], scales, ground);
        }

        return
        [
            .. parts.Select(p => p is BackingPart b ? Backing(b, placed, scales) : placed.GetValueOrDefault(p.Key)).OfType<PlacedPart>(),
        ];
    }

    /// <summary>Whether a part belongs to what is centred: what only takes away or is of the ground does not.</summary>
    private static bool Counts(PlacedPart p) => p.Part.Action is PartAction.Adds or PartAction.ClearsAround;

    /// <summary>The middle of the ink; by the parts' boxes unless something is taken away.</summary>
    private PlanePoint Middle(IReadOnlyList<PlacedPart> placed, Scales scales, InkCache? kept)
    {
        if (centring != Centring.InkBox)
        {
            // Weighing needs all outlines: once will do where the middle only moves with the scale.
            middleAtOne ??=
                allScales && SeenMiddle.Of([.. placed.Where(Counts)], centring, Ink) is { } m
                    ? new PlanePoint(m.X / scales.Own, m.Y / scales.Own)
                    : null;
            return middleAtOne is { } one
                ? new PlanePoint(one.X * scales.Own, one.Y * scales.Own)
                : SeenMiddle.Of([.. placed.Where(Counts)], centring, Ink) ?? new PlanePoint(0, 0);
        }

        IEnumerable<NetTopologySuite.Geometries.Geometry> Ink() => [FilmLayers.Joined(FilmLayers.Of(placed, scales, kept, bodies.Failing))];
        var box = placed.Any(p => p.Part.Action is PartAction.CutsThrough or PartAction.Confines)
            ? Box.Around(FilmLayers.Of(placed, scales, kept, bodies.Failing).Select(i => i.Box).OfType<Box>())
            : Box.Around(placed.Select(p => p.Box));
        return box is { } b ? new PlanePoint(b.CentreX, b.CentreY) : new PlanePoint(0, 0);
    }

    /// <summary>A backing has no place of its own; its box is that of what it is grown from, as much larger as it reaches beyond.</summary>
    private PlacedPart? Backing(BackingPart part, Dictionary<PartKey, PlacedPart> placed, Scales scales)
    {
        var before = parts.TakeWhile(p => p.Key != part.Key).Where(p => part.Of.Count == 0 || part.Of.Contains(p.Id));
        var from = before.Select(p => placed.GetValueOrDefault(p.Key)).OfType<PlacedPart>().Where(Counts);
        var by = part.By.At(scales, LengthRange.Margin);
        return Box.Around(from.Select(p => p.Box)) is { } box
            ? new PlacedPart(
                part,
                new PartBody("backing", new Box(box.MinX - by, box.MinY - by, box.MaxX + by, box.MaxY + by), () => []),
                Motion.None
            )
            : null;
    }

    /// <summary>
    /// A wrap on a tapered wall laid out again on the ring of the height where it came to stand: only there does it meet
    /// itself at the seam.
    /// </summary>
    private PlacedPart OnItsRing(PlacedPart placed, Scales scales, GroundShape ground)
    {
        if (
            placed.Part is not GroupPart { Repeat: { Kind: RepeatKind.Rows or RepeatKind.HalfDrop, Over: RepeatOver.Wrap } }
            || ground.Girth is not { } girth
            || double.IsInfinity(ground.Ring)
        )
        {
            return placed;
        }

        var middle = placed.Motion.Of(placed.Body.Origin);
        var ring = ground.Ring + middle.Y;
        var there = ground with { Ring = ring, Girth = girth * ring / ground.Ring };
        return bodies.Of(placed.Part, scales, there) is { } body
            ? new PlacedPart(placed.Part, body, Motion.Move(middle.X - body.Origin.X, middle.Y - body.Origin.Y))
            : placed;
    }

    private void Anchoring(
        List<Part> waiting,
        Dictionary<PartKey, PlacedPart> placed,
        Func<string, Target?> targetOf,
        Scales scales,
        GroundShape ground
    )
    {
        for (var again = true; again; )
        {
            again = false;
            foreach (var part in waiting.ToList())
            {
                if (targetOf(part.Anchor.To) is not { } to)
                {
                    continue;
                }

                waiting.Remove(part);
                var body = bodies.Of(part, scales, ground);
                if (body is null)
                {
                    continue;
                }

                var upright = Own(part, body);
                var (dx, dy) = (part.Anchor.Right.At(scales, LengthRange.Offset), part.Anchor.Raised.At(scales, LengthRange.Offset));
                var (from, at) = Middles(upright, to);
                placed[part.Key] = Nudged(
                    upright.Moved(
                        dx + Standing(part.Anchor.Across, upright.Box.MinX, upright.Box.MaxX, to.Box.MinX, to.Box.MaxX, at.X - from.X),
                        dy + Standing(part.Anchor.Up, upright.Box.MinY, upright.Box.MaxY, to.Box.MinY, to.Box.MaxY, at.Y - from.Y)
                    ),
                    scales
                );
                again = true;
            }
        }
    }

    /// <summary>The middle of a part and of what it stands at: of the circle where one is round, of the ink otherwise.</summary>
    private static (PlanePoint From, PlanePoint To) Middles(PlacedPart part, Target to)
    {
        var byInk = part.Part.Anchor.ByInk;
        var own = !byInk && (to.Round is not null || to.IsPart || Roundness.GoesRound(part)) ? part.Round : null;
        return (own?.Middle ?? part.Box.Centre, (byInk ? null : to.Round)?.Middle ?? to.Box.Centre);
    }

    /// <summary>How far an extent has to move to stand so to another.</summary>
    private static double Standing(Stand stand, double min, double max, double toMin, double toMax, double middle) =>
        stand switch
        {
            Stand.Before => toMin - max,
            Stand.Start => toMin - min,
            Stand.Middle => middle,
            Stand.End => toMax - max,
            Stand.After => toMax - min,
            _ => throw new ArgumentOutOfRangeException(nameof(stand)),
        };

    /// <summary>The part flipped and turned as it asks, about the middle of its box.</summary>
    private static PlacedPart Own(Part part, PartBody body)
    {
        if (!part.Flipped && part.Turn == 0)
        {
            return new PlacedPart(part, body, Motion.None);
        }

        // Turning about the middle keeps round things where they are.
        var (x, y) = body.Line is { HasBaseline: false, Round: null } ? default : body.Round?.Middle ?? body.Box.Centre;
        var about = Motion.Move(-x, -y);
        return new PlacedPart(part, body, (part.Flipped ? about.Then(Motion.Flip) : about).Then(Motion.TurnLeft(part.Turn)).Moved(x, y));
    }

    private static PlacedPart Nudged(PlacedPart placed, Scales scales) =>
        placed.Part.Nudge == Nudge.None
            ? placed
            : placed.Moved(placed.Part.Nudge.Right.At(scales, LengthRange.Offset), placed.Part.Nudge.Up.At(scales, LengthRange.Offset));

    private Dictionary<PartKey, PlacedPart> Stacked(Scales scales, GroundShape ground)
    {
        var placed = new Dictionary<PartKey, PlacedPart>();
        var set = rows.Select(r => SetRow([.. r.Where(p => BodyMaker.SpanOf(p, ground) is null)], scales, ground))
            .Where(r => r.Items.Count > 0)
            .ToList();
        var widest = set.Where(r => !r.Fills).Select(r => r.Width).DefaultIfEmpty(0).Max();
        double? bottom = null,
            baseline = null;
        foreach (var row in set)
        {
            var inRow = row.Spread(Math.Max(widest, row.Width), scales);
            if (inRow.Count == 0)
            {
                continue;
            }

            var box = Box.Around(inRow.Select(p => p.Box))!.Value;
            var dx = alignment switch
            {
                RowAlignment.Left => -box.MinX,
                RowAlignment.Right => -box.MaxX,
                _ => -(SeenMiddle.OfRow(inRow)?.X ?? box.CentreX),
            };
            var byBaseline = row.FromBaseline && baseline is not null;
            var dy =
                byBaseline ? baseline!.Value - row.GapAbove
                : bottom is { } b ? b - row.GapAbove - box.MaxY
                : -box.MaxY;
            foreach (var part in inRow)
            {
                placed[part.Part.Key] = Nudged(part.Moved(dx, dy), scales);
            }

            bottom = Math.Min(bottom ?? double.MaxValue, box.MinY + dy);
            baseline = row.HasBaseline ? dy : null;
        }

        return placed;
    }

    private static List<List<Part>> RowsOf(IReadOnlyList<Part> parts)
    {
        var rows = new List<List<Part>>();
        foreach (var part in parts.Where(p => p.Place != PartPlace.Anchored && p is not (BackingPart or MatPart)))
        {
            if (rows.Count == 0 || part.Place == PartPlace.Below)
            {
                rows.Add([]);
            }

            rows[^1].Add(part);
        }

        return rows;
    }

    private Row SetRow(IReadOnlyList<Part> inRow, Scales scales, GroundShape ground)
    {
        var items = new List<RowItem>();
        var middle = 0.0;
        foreach (var part in inRow)
        {
            var gap = part.Gap.At(scales, LengthRange.Margin);
            if (part is RulePart { Span: RuleSpan.FillsRow } filling)
            {
                items.Add(new RowItem(part, gap, null, filling.Length.At(scales, LengthRange.Artwork)));
                continue;
            }

            var body = bodies.Of(part, scales, ground);
            if (body is not null)
            {
                middle = middle == 0 && body.Line is { HasBaseline: true } line && part.Turn == 0 ? line.CapitalHeight / 2 : middle;
                items.Add(new RowItem(part, gap, Own(part, body), 0));
            }
        }

        return new Row(items, inRow.Count == 0 ? 0 : inRow[0].Gap.At(scales, LengthRange.Margin), middle);
    }

    /// <summary>What parts stand at.</summary>
    /// <param name="Box">Its box.</param>
    /// <param name="Round">The circle that it is or goes round.</param>
    /// <param name="IsPart">Whether it is one part, and not all of them or the ground.</param>
    private sealed record Target(Box Box, Circle? Round, bool IsPart = false)
    {
        public static Target Origin { get; } = new(new Box(0, 0, 0, 0), null);

        public static Target? Of(PlacedPart? part) => part is null ? null : new(part.Box, part.Round, IsPart: true);

        public static Target? Of(IReadOnlyList<PlacedPart> parts) =>
            Box.Around(parts.Select(p => p.Box)) is { } box ? new(box, Roundness.OfAll(parts)) : null;

        public Target Moved(double dx, double dy) => this with { Box = Box.Moved(dx, dy), Round = Round?.Moved(Motion.Move(dx, dy)) };
    }

    /// <summary>A part of a row; a rule that fills has no body until its length is known.</summary>
    private sealed record RowItem(Part Part, double GapBefore, PlacedPart? Upright, double LeastLength)
    {
        public double Width => Upright?.Box.Width ?? LeastLength;

        public bool OnBaseline => Upright?.Line is { HasBaseline: true } && Part.Turn == 0;
    }

    /// <summary>A row before it is spread to its width; y = 0 is its baseline.</summary>
    private sealed record Row(List<RowItem> Items, double GapAbove, double Middle)
    {
        public bool Fills => Items.Any(i => i.Upright is null);

        public bool HasBaseline => Items.Any(i => i.OnBaseline);

        public bool FromBaseline => Items.Find(i => i.OnBaseline)?.Part is LetteringPart { FromBaseline: true };

        public double Width => Items.Sum(i => i.Width) + Items.Skip(1).Sum(i => i.GapBefore);

        /// <summary>The parts side by side, rules that fill lengthened so that the row is as wide as asked.</summary>
        public List<PlacedPart> Spread(double width, Scales scales)
        {
            var share = Fills ? (width - Width) / Items.Count(i => i.Upright is null) : 0;
            var spread = new List<PlacedPart>();
            var x = 0.0;
            for (var i = 0; i < Items.Count; i++)
            {
                var item = Items[i];
                x += i > 0 ? item.GapBefore : 0;
                var upright = item.Upright
                    ?? (
                        BodyMaker.Rule((RulePart)item.Part, item.LeastLength + share, scales) is { } body
                            ? new PlacedPart(item.Part, body, Motion.None)
                            : null
                    );
                if (upright is { Box.Width: > 0 } set)
                {
                    spread.Add(set.Moved(x - set.Box.MinX, item.OnBaseline ? 0 : Middle - set.Box.CentreY));
                    x += set.Box.Width;
                }
            }

            return spread;
        }
    }
}
