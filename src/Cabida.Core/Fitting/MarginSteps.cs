using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Fitting;

/// <summary>Sides of a zone.</summary>
[Flags]
public enum ShortSides
{
    /// <summary>None.</summary>
    None = 0,

    /// <summary>The left one.</summary>
    Left = 1,

    /// <summary>The right one.</summary>
    Right = 2,

    /// <summary>The lower one.</summary>
    Bottom = 4,

    /// <summary>The upper one.</summary>
    Top = 8,
}

/// <summary>
/// The zone of a run with some of its margins cut down, a step at a time, where a piece is short of room. What is not short keeps
/// its margin, and the zone keeps its coordinates and its datum, so that the piece stays on the line of its set.
/// </summary>
/// <param name="Typed">The margins as typed.</param>
/// <param name="ZoneWith">The zone with other margins, in the coordinates of the typed one; null where nothing is left.</param>
public sealed record MarginSteps(SideInsets Typed, Func<SideInsets, Zone?> ZoneWith)
{
    /// <summary>Margins shrink in steps of this, in millimetres.</summary>
    public const double Step = 0.1;

    /// <summary>Margins stay as they are.</summary>
    public static MarginSteps None { get; } = new(default, _ => null);

    /// <summary>Which sides ink that stands in a zone is short of.</summary>
    public static ShortSides ShortOf(Rooms rooms)
    {
        ArgumentNullException.ThrowIfNull(rooms);
        ShortSides Side(Room room, ShortSides side) => room.Distance < -Tolerances.Fit ? side : ShortSides.None;
        return Side(rooms.Left, ShortSides.Left)
            | Side(rooms.Right, ShortSides.Right)
            | Side(rooms.Below, ShortSides.Bottom)
            | Side(rooms.Above, ShortSides.Top);
    }

    /// <summary>How many steps sides can give before the last of them is at the least margin.</summary>
    public int Most(ShortSides sides, double least) =>
        Each(sides).Select(m => (int)Math.Ceiling(Math.Max(0, m - least - 1e-9) / Step)).DefaultIfEmpty(0).Max();

    /// <summary>The margins once sides have given so many steps; none gives more than leaves the least margin.</summary>
    public SideInsets At(ShortSides sides, int steps, double least)
    {
        double Cut(double margin, ShortSides side) =>
            sides.HasFlag(side) ? Math.Max(Math.Min(margin, least), margin - (steps * Step)) : margin;
        return new SideInsets(
            Cut(Typed.Left, ShortSides.Left),
            Cut(Typed.Right, ShortSides.Right),
            Cut(Typed.Bottom, ShortSides.Bottom),
            Cut(Typed.Top, ShortSides.Top)
        );
    }

    /// <summary>What was given, in words: the margin that is left at each side that gave.</summary>
    public static Phrase Say(ShortSides sides, SideInsets left)
    {
        var names = new[]
        {
            (ShortSides.Left, "left", left.Left),
            (ShortSides.Right, "right", left.Right),
            (ShortSides.Bottom, "bottom", left.Bottom),
            (ShortSides.Top, "top", left.Top),
        }
            .Where(s => sides.HasFlag(s.Item1))
            .ToList();
        return names.Select(n => Math.Round(n.Item3, 2)).Distinct().Count() == 1
            ? Phrase.Say($"margin {Length.Mm(names[0].Item3)} {string.Join(" and ", names.Select(n => n.Item2))}")
            : names.Select(n => Phrase.Say($"margin {Length.Mm(n.Item3)} {n.Item2}")).Aggregate((a, b) => Phrase.Say($"{a}, {b}"));
    }

    private IEnumerable<double> Each(ShortSides sides) =>
        new[]
        {
            (ShortSides.Left, Typed.Left),
            (ShortSides.Right, Typed.Right),
            (ShortSides.Bottom, Typed.Bottom),
            (ShortSides.Top, Typed.Top),
        }
            .Where(s => sides.HasFlag(s.Item1))
            .Select(s => s.Item2);
}
