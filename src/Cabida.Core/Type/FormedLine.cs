using Cabida.Core.Geometry;
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
    private readonly Lazy<IReadOnlyList<LetterInk>> letters;
    private readonly Lazy<Area> ink;

    /// <summary>Forms a line.</summary>
    public FormedLine(LetteringLine line, double sizeMm, LineForm form, InkCache cache)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(form);
        ArgumentNullException.ThrowIfNull(cache);
        (this.line, this.sizeMm, this.form, this.cache) = (line, sizeMm, form, cache);
        letters = new(() => [.. Arranged().Select(l => l with { Ink = Bent(l.Ink) })]);
        ink = new(MakeInk);
    }

    /// <summary>The line.</summary>
    public LetteringLine Line => line;

    /// <summary>One em in millimetres.</summary>
    public double SizeMm => sizeMm;

    /// <summary>The height of its capitals, as far as they stand upright.</summary>
    public double CapitalHeight => line.Face.CapitalHeight * sizeMm * form.Higher;

    /// <summary>Whether only its size and proportions differ from how the typeface sets it, so that its box is known without its outline.</summary>
    private bool IsPlain => form is { Joins: LetterJoins.AsDrawn, Shape: LineShape.Straight, Grow: 0 };

    /// <summary>Whether it stands on a baseline.</summary>
    public bool HasBaseline => form.Shape is LineShape.Straight or LineShape.Arched;

    /// <summary>Tells apart formed lines that could differ.</summary>
    internal string Key => FormattableString.Invariant($"{line.Key} @{sizeMm:R} {form}");

    /// <summary>The box of its ink; null when there is none. Nothing is joined or grown for it.</summary>
    public Box? Box => IsPlain
        ? line.BoxAt(sizeMm) is { } b ? new Box(b.MinX * form.Wider, b.MinY * form.Higher, b.MaxX * form.Wider, b.MaxY * form.Higher) : null
        : Geometry.Box.Around(letters.Value.Select(l => Geometry.Box.Of(l.Ink)!.Value)) is { } all
            ? new Box(all.MinX - form.Grow, all.MinY - form.Grow, all.MaxX + form.Grow, all.MaxY + form.Grow) : null;

    /// <summary>
    /// The box of what of its ink lies between the baseline and the height of its capitals; that of all its ink where nothing
    /// does, as of a dash below the line.
    /// </summary>
    internal Box? CoreBox => Geometry.Box.Around(Outlines.RingsOf(Ink).Select(r => Band.Extent(r, -form.Grow, CapitalHeight + form.Grow)).OfType<Box>()) ?? Box;

    /// <summary>Its letters where they stand, each with its own outline; strengthened like the whole.</summary>
    internal IEnumerable<Area> Letters => letters.Value.Select(l => Outlines.Grown(l.Ink, form.Grow, Tolerances.Ink));

    /// <summary>Its joined outline.</summary>
    public Area Ink => ink.Value;

    /// <summary>The same line not strengthened.</summary>
    internal FormedLine WithoutGrowth() => new(line, sizeMm, form with { Grow = 0 }, cache);

    /// <summary>The letter round a place, as a position in the text.</summary>
    public int? LetterAt(PlanePoint at) => IsPlain
        ? line.LetterAt(at.X / (sizeMm * form.Wider), at.Y / (sizeMm * form.Higher))
        : letters.Value.Select(l => (l.Index, Box: Geometry.Box.Of(l.Ink)!.Value))
            .Where(l => at.X >= l.Box.MinX - form.Grow && at.X <= l.Box.MaxX + form.Grow && at.Y >= l.Box.MinY - form.Grow && at.Y <= l.Box.MaxY + form.Grow)
            .OrderBy(l => Math.Abs(l.Box.CentreX - at.X) + Math.Abs(l.Box.CentreY - at.Y))
            .Select(l => (int?)l.Index).FirstOrDefault();

    /// <summary>The box of one letter; null when it has no ink.</summary>
    public Box? BoxOfLetter(int index) => letters.Value.FirstOrDefault(l => l.Index == index) is { } letter ? Geometry.Box.Of(letter.Ink) : null;

    private Area MakeInk() => IsPlain
        ? Outlines.Moved(line.InkAt(sizeMm), Motion.Scale(form.Wider, form.Higher))
        : cache.Derived(Key, () => Outlines.Grown(
            form is { Joins: LetterJoins.AsDrawn, Shape: LineShape.Straight } ? Outlines.Moved(line.InkAt(sizeMm), Motion.Scale(form.Wider, form.Higher)) : Outlines.Join([.. letters.Value.Select(l => l.Ink)]),
            form.Grow,
            Tolerances.Ink));

    /// <summary>The letters in millimetres, in line or where they stand on their circle or in their column.</summary>
    private IEnumerable<LetterInk> Arranged()
    {
        var level = InkCache.LevelFor(sizeMm * Math.Max(form.Wider, form.Higher));
        var set = line.LettersAt(level).Select(l => l with { Ink = Outlines.Moved(l.Ink, Motion.Scale(sizeMm * form.Wider, sizeMm * form.Higher)) }).ToList();
        var joined = Joined(set, level);
        return form.Shape switch
        {
            LineShape.RoundOutside => Round(joined, outside: true),
            LineShape.RoundInside => Round(joined, outside: false),
            LineShape.Column => Column(joined),
            _ => joined,
        };
    }

    /// <summary>Neighbours of one word moved so that they overlap, or stand apart, by as much as is wanted; what follows moves with them.</summary>
    private List<LetterInk> Joined(List<LetterInk> set, int level)
    {
        if (form.Joins == LetterJoins.AsDrawn || form.Shape == LineShape.Column)
        {
            return set;
        }

        // As the typeface sets them letters stand so far apart at any size; only the wanted overlap is in millimetres.
        var gaps = form.Joins == LetterJoins.Overlap ? line.GapsAt(level) : [];
        var moved = 0.0;
        var joined = new List<LetterInk>();
        for (var i = 0; i < set.Count; i++)
        {
            if (i > 0 && !line.IsBetweenWords(set[i - 1].Index, set[i].Index))
            {
                // A gap between strengthened outlines is narrower by twice what they grow.
                var apart = form.Joins == LetterJoins.KeptApart
                    ? LetterProfiles.Between(Outlines.Grown(set[i - 1].Ink, form.JoinBy + (2 * form.Grow), Tolerances.Ink), set[i].Ink)
                    : (gaps[i - 1] * sizeMm * form.Wider) + form.JoinBy - (2 * form.Grow);
                moved += apart is not { } a ? 0 : form.Joins == LetterJoins.KeptApart ? Math.Max(0, -a) : -Math.Max(0, a);
            }

            joined.Add(set[i] with { Ink = Outlines.Moved(set[i].Ink, Motion.Move(moved, 0)) });
        }

        return joined;
    }

    /// <summary>Each letter upright on the circle, not bent, as far round as it stands along the line.</summary>
    private IEnumerable<LetterInk> Round(List<LetterInk> set, bool outside)
    {
        if (form.Circle <= 0 || Geometry.Box.Around(set.Select(l => Geometry.Box.Of(l.Ink)!.Value)) is not { } all)
        {
            return set;
        }

        var radius = form.Circle / 2;
        return set.Select(l =>
        {
            var x = Geometry.Box.Of(l.Ink)!.Value.CentreX;
            var degrees = (x - all.CentreX) / radius * 180 / Math.PI;
            var onTop = Motion.Move(-x, outside ? radius : -radius);
            return l with { Ink = Outlines.Moved(l.Ink, onTop.Then(Motion.TurnLeft(outside ? -degrees : degrees))) };
        });
    }

    private IEnumerable<LetterInk> Column(List<LetterInk> set)
    {
        var top = 0.0;
        foreach (var letter in line.Text.Length > 0 && LineDirection.RunsLeft(line.Text) ? Enumerable.Reverse(set) : set)
        {
            var box = Geometry.Box.Of(letter.Ink)!.Value;
            yield return letter with { Ink = Outlines.Moved(letter.Ink, Motion.Move(-box.CentreX, top - box.MaxY)) };
            top -= box.Height + form.ColumnGap + (2 * form.Grow);
        }
    }

    /// <summary>An outline with the top and bottom edges of the line arched.</summary>
    private Area Bent(Area area) => form.Shape == LineShape.Arched && line.BoxAt(sizeMm) is { } b
        ? LineArch.Bent(area, new Box(b.MinX * form.Wider, b.MinY * form.Higher, b.MaxX * form.Wider, b.MaxY * form.Higher), form.ArchTop, form.ArchBottom)
        : area;
}
