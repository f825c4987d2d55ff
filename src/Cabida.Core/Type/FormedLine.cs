using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Type;

/// <summary>
/// A line at its size with everything done to it: letters joined or kept apart, widened, arched, bent round, strengthened, in
/// that order. Millimetres; a straight line starts at the origin on its baseline, a round one has its circle's middle there, a
/// column its first letter's top in the middle.
/// </summary>
public sealed class FormedLine
{
    private readonly LetteringLine line;
    private readonly double sizeMm;
    private readonly LineForm form;
    private readonly InkCache cache;
    private readonly Once<RoundLine?> round;
    private readonly Once<IReadOnlyList<LetterInk>> letters;
    private readonly Once<Area> ink;

    /// <summary>Forms a line.</summary>
    public FormedLine(LetteringLine line, double sizeMm, LineForm form, InkCache cache)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(form);
        ArgumentNullException.ThrowIfNull(cache);
        (this.line, this.sizeMm, this.form, this.cache) = (line, sizeMm, form, cache);
        round = new(() =>
            IsRound && form.Circle > 0 && Sized() is { Count: > 0 } set ? new RoundLine(set, form, line.IsBetweenWords) : null
        );
        letters = new(() => IsPlain ? [.. Arranged()] : cache.Letters(Key, () => [.. Arranged()]));
        ink = new(MakeInk);
    }

    /// <summary>The line.</summary>
    public LetteringLine Line => line;

    /// <summary>One em in millimetres.</summary>
    public double SizeMm => sizeMm;

    /// <summary>The height of its capitals, as far as they stand upright.</summary>
    public double CapitalHeight => line.Face.CapitalHeight * sizeMm * form.Higher;

    /// <summary>
    /// Whether only its size and proportions differ from how the typeface sets it, so that its box is known without its outline.
    /// </summary>
    private bool IsPlain => form is { Joins: LetterJoins.AsDrawn, Shape: LineShape.Straight, Grow: 0 };

    /// <summary>Whether it stands on a baseline.</summary>
    public bool HasBaseline => form.Shape is LineShape.Straight or LineShape.Arched;

    /// <summary>The circle that its letters stand on, as far out as they reach; null for what is not set round.</summary>
    public Circle? Round =>
        round.Value is { } set ? new Circle(default, set.Letters.Max(l => Circle.AboutOrigin(l.Ink).Radius) + form.Grow) : null;

    /// <summary>How far round its circle it goes, in degrees; zero for what is not set round.</summary>
    public double Degrees => round.Value?.Degrees ?? 0;

    /// <summary>
    /// Letters on a circle, as positions in the text, that stand on one another or nearer than asked: because the line is longer than
    /// its circle, or its heads meet inside a small one.
    /// </summary>
    public IReadOnlyList<(int First, int Second)> Crowded =>
        round.Value is { } set ? [.. set.Crowded(TouchesNext).Select(p => (set.Letters[p.First].Index, set.Letters[p.Second].Index))] : [];

    /// <summary>What of an arch is kept, for its top and its bottom: no more than makes half a circle of its width.</summary>
    public (double Top, double Bottom) ArchKept =>
        form.Shape == LineShape.Arched && Geometry.Box.Around(Joined(Sized()).Select(l => Geometry.Box.Of(l.Ink)!.Value)) is { } box
            ? (LineArch.Kept(box, form.ArchTop), LineArch.Kept(box, form.ArchBottom))
            : (form.ArchTop, form.ArchBottom);

    /// <summary>The same line at another size or on another circle.</summary>
    internal FormedLine With(double size, double circle) => new(line, size, form with { Circle = circle }, cache);

    /// <summary>Across the circle it stands on; only where it stands on one.</summary>
    internal double CircleAcross => form.Circle;

    /// <summary>Tells apart formed lines that could differ.</summary>
    internal string Key => FormattableString.Invariant($"{line.Key} @{sizeMm:R} {form}");

    /// <summary>The box of its ink; null when there is none. Nothing is joined or grown for it.</summary>
    public Box? Box =>
        IsPlain
            ? line.BoxAt(sizeMm) is { } b
                ? new Box(b.MinX * form.Wider, b.MinY * form.Higher, b.MaxX * form.Wider, b.MaxY * form.Higher)
                : null
            : Geometry.Box.Around(letters.Value.Select(l => Geometry.Box.Of(l.Ink)!.Value)) is { } all
                ? new Box(all.MinX - form.Grow, all.MinY - form.Grow, all.MaxX + form.Grow, all.MaxY + form.Grow)
                : null;

    /// <summary>
    /// The box of what of its ink lies between the baseline and the height of its capitals; that of all its ink where nothing
    /// does, as of a dash below the line.
    /// </summary>
    internal Box? CoreBox =>
        Geometry.Box.Around(Outlines.RingsOf(Ink).Select(r => Band.Extent(r, -form.Grow, CapitalHeight + form.Grow)).OfType<Box>()) ?? Box;

    /// <summary>Its letters where they stand, each with its own outline; strengthened like the whole.</summary>
    internal IEnumerable<Area> Letters => letters.Value.Select(l => Outlines.Grown(l.Ink, form.Grow, Tolerances.Ink));

    /// <summary>Its joined outline.</summary>
    public Area Ink => ink.Value;

    /// <summary>The same line not strengthened.</summary>
    internal FormedLine WithoutGrowth() => new(line, sizeMm, form with { Grow = 0 }, cache);

    /// <summary>How far it may be strengthened before something of it meets, and what.</summary>
    /// <param name="most">How far is looked, in millimetres.</param>
    internal Growth GrowthOf(double most)
    {
        // What only scales is looked at once for all sizes between two powers of two, with room for the largest of them.
        var (bare, ratio) = (WithoutGrowth(), 1.0);
        if (bare.IsPlain && sizeMm > 0)
        {
            var near = Math.Pow(2, Math.Round(Math.Log2(sizeMm)));
            (bare, ratio) = (bare.With(near, form.Circle), sizeMm / near);
        }

        var reach = ratio == 1 ? most : 2 * most;
        var growth = cache.Growth(FormattableString.Invariant($"{bare.Key} to {reach:R}"), () => SafeGrowth.Of(bare.Ink, reach));
        return growth.Scaled(ratio, most);
    }

    /// <summary>The letter round a place, as a position in the text.</summary>
    public int? LetterAt(PlanePoint at) =>
        IsPlain
            ? line.LetterAt(at.X / (sizeMm * form.Wider), at.Y / (sizeMm * form.Higher))
            : letters
                .Value.Select(l => (l.Index, Box: Geometry.Box.Of(l.Ink)!.Value))
                .Where(l =>
                    at.X >= l.Box.MinX - form.Grow
                    && at.X <= l.Box.MaxX + form.Grow
                    && at.Y >= l.Box.MinY - form.Grow
                    && at.Y <= l.Box.MaxY + form.Grow
                )
                .OrderBy(l => Math.Abs(l.Box.CentreX - at.X) + Math.Abs(l.Box.CentreY - at.Y))
                .Select(l => (int?)l.Index)
                .FirstOrDefault();

    /// <summary>The box of one letter; null when it has no ink.</summary>
    public Box? BoxOfLetter(int index) =>
        letters.Value.FirstOrDefault(l => l.Index == index) is { } letter ? Geometry.Box.Of(letter.Ink) : null;

    private Area MakeInk() =>
        IsPlain
            ? Outlines.Moved(line.InkAt(sizeMm), Motion.Scale(form.Wider, form.Higher))
            : cache.Derived(Key, () =>
                Outlines.Grown(
                    form is { Joins: LetterJoins.AsDrawn, Shape: LineShape.Straight }
                        ? Outlines.Moved(line.InkAt(sizeMm), Motion.Scale(form.Wider, form.Higher))
                        : Outlines.Join([.. letters.Value.Select(l => l.Ink)]),
                    form.Grow,
                    Tolerances.Ink
                )
            );

    private bool IsRound => form.Shape is LineShape.RoundOutside or LineShape.RoundInside;

    private int Level => InkCache.LevelFor(sizeMm * Math.Max(form.Wider, form.Higher));

    /// <summary>The letters in millimetres as the typeface sets them.</summary>
    private List<LetterInk> Sized() =>
        [
            .. line.LettersAt(Level)
                .Select(l => l with { Ink = Outlines.Moved(l.Ink, Motion.Scale(sizeMm * form.Wider, sizeMm * form.Higher)) }),
        ];

    /// <summary>The letters in millimetres, in line or where they stand on their circle or in their column.</summary>
    private IEnumerable<LetterInk> Arranged() =>
        form.Shape switch
        {
            LineShape.RoundOutside or LineShape.RoundInside => round.Value?.Letters ?? Joined(Sized()),
            LineShape.Column => Column(Sized()),
            LineShape.Arched => LineArch.Set(Joined(Sized()), form),
            _ => Joined(Sized()),
        };

    /// <summary>
    /// Neighbours of one word moved so that they overlap, or stand apart, by as much as is wanted; what follows moves with them.
    /// </summary>
    private List<LetterInk> Joined(List<LetterInk> set)
    {
        if (form.Joins == LetterJoins.AsDrawn)
        {
            return set;
        }

        // As the typeface sets them letters stand so far apart at any size; only the wanted overlap is in millimetres.
        var gaps = form.Joins == LetterJoins.Overlap ? line.GapsAt(Level) : [];
        var moved = 0.0;
        var joined = new List<LetterInk>();
        for (var i = 0; i < set.Count; i++)
        {
            if (i > 0 && !line.IsBetweenWords(set[i - 1].Index, set[i].Index))
            {
                // A gap between strengthened outlines is narrower by twice what they grow.
                var apart =
                    form.Joins == LetterJoins.KeptApart
                        ? LetterProfiles.Between(set[i - 1].Ink, set[i].Ink, form.JoinBy + (2 * form.Grow))
                        : (gaps[i - 1] * sizeMm * form.Wider) + form.JoinBy - (2 * form.Grow);
                moved +=
                    apart is not { } a ? 0
                    : form.Joins == LetterJoins.KeptApart ? Math.Max(0, -a)
                    : -Math.Max(0, a);
            }

            joined.Add(set[i] with { Ink = Outlines.Moved(set[i].Ink, Motion.Move(moved, 0)) });
        }

        return joined;
    }

    private IEnumerable<LetterInk> Column(List<LetterInk> set)
    {
        var top = 0.0;
        foreach (var letter in line.Text.Length > 0 && LineDirection.RunsLeft(line.Text) ? Enumerable.Reverse(set) : set)
        {
            var box = Geometry.Box.Of(letter.Ink)!.Value;
            yield return letter with
            {
                Ink = Outlines.Moved(letter.Ink, Motion.Move(-box.CentreX, top - box.MaxY)),
            };
            top -= box.Height + form.ColumnGap + (2 * form.Grow);
        }
    }

    /// <summary>Whether a letter touches the next as the typeface sets them.</summary>
    private bool TouchesNext(int letter) => line.GapsAt(Level)[letter] is <= 0;
}
