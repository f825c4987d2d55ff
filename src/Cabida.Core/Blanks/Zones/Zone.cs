using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>
/// The workable area of a surface. The nominal shape uses the best values, the cautious one takes their uncertainty off,
/// half at each side so that the middle stays the middle.
/// </summary>
/// <param name="Nominal">By the best values.</param>
/// <param name="Cautious">Less what is uncertain.</param>
/// <param name="Width">Workable width (of a wall: at the zone's middle height), with its uncertainty.</param>
/// <param name="Height">Workable height (of a wall: along it).</param>
/// <param name="MiddleHeight">The height of the zone's middle above the base, along the wall.</param>
/// <param name="Sums">Where the cautious width and height come from.</param>
public sealed record Zone(
    ZoneShape Nominal,
    ZoneShape Cautious,
    Dimension Width,
    Dimension Height,
    double MiddleHeight,
    IReadOnlyList<Phrase> Sums
)
{
    /// <summary>Whether artwork may be turned.</summary>
    public Turning Turning { get; init; }

    /// <summary>How far to either side, in degrees, where a range is allowed.</summary>
    public double TurnRange { get; init; }

    /// <summary>The zone with the turning that was typed for it.</summary>
    internal Zone TurnedAs(ZoneSpec spec) =>
        this with
        {
            Turning = spec.Turning,
            TurnRange = Math.Clamp(spec.TurnRange, 0, ZoneSpec.MostTurn),
        };

    /// <summary>All of a wall that even margins leave.</summary>
    /// <param name="wall">The wall.</param>
    /// <param name="rim">Clear below the rim.</param>
    /// <param name="foot">Clear above the base.</param>
    /// <param name="side">Clear beside the handle or seam.</param>
    public static Outcome<Zone> Of(Wall wall, Length rim, Length foot, Length side)
    {
        ArgumentNullException.ThrowIfNull(wall);
        var laid = WallZone.Lay(wall, new ReadZone(new ZoneSpec("", ""), rim, foot, side, side, null, null), []);
        return laid.Zone is { } zone ? Outcome<Zone>.Of(zone) : Outcome<Zone>.Fail(laid.Problem!);
    }
}

/// <summary>Where a laid zone stands on its surface, for measuring it in and for nudging.</summary>
/// <param name="FromTop">From the top edge of the surface down to the zone.</param>
/// <param name="FromBottom">From its bottom edge up to the zone.</param>
/// <param name="Across">Its middle right of the middle line; negative to the left.</param>
public sealed record ZoneStands(double FromTop, double FromBottom, double Across);

/// <summary>A zone of a blank as far as it could be laid out.</summary>
/// <param name="Spec">What was typed.</param>
/// <param name="Echoes">What was understood of it.</param>
/// <param name="Zone">The zone; null when nothing is left or too little is known.</param>
/// <param name="Wall">The wall it lies on, turned so that the zone faces the reader; null for flat things and where it is unknown.</param>
/// <param name="Panel">The panel it lies on; null for walls and where it is unknown.</param>
/// <param name="Problem">Why there is none.</param>
/// <param name="Notes">What was cut back, and why.</param>
/// <param name="Stands">Where it stands; null when the surface is unknown.</param>
public sealed record LaidZone(
    ZoneSpec Spec,
    IReadOnlyList<FieldEcho> Echoes,
    Zone? Zone,
    Wall? Wall,
    Panel? Panel,
    Phrase? Problem,
    IReadOnlyList<Phrase> Notes,
    ZoneStands? Stands
)
{
    /// <summary>
    /// The zone in the coordinates of the same zone with other margins, on its datum: it reaches farther or less far, and stands
    /// where it stood.
    /// </summary>
    public Zone? ZoneInPlaceOf(LaidZone other)
    {
        ArgumentNullException.ThrowIfNull(other);
        if (Zone is not { } zone || other.Zone is not { } before)
        {
            return null;
        }

        var by = Wall is { } from && other.Wall is { } to ? WallTurn.Between(from, to) : Geometry.Motion.None;
        return zone with
        {
            Nominal = zone.Nominal.Moved(by, before.Nominal.Datum),
            Cautious = zone.Cautious.Moved(by, before.Cautious.Datum),
            MiddleHeight = before.MiddleHeight,
        };
    }

    /// <summary>The face it lies on.</summary>
    public FaceKey Face => Spec.On;

    /// <summary>A zone that cannot be laid out.</summary>
    internal static LaidZone Fail(ZoneSpec spec, IReadOnlyList<FieldEcho> echoes, Phrase? problem) =>
        new(spec, echoes, null, null, null, problem, [], null);
}
