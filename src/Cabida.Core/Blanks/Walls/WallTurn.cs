using Cabida.Core.Geometry;

namespace Cabida.Core.Blanks;

/// <summary>From the flat coordinates of one zone of a wall to those of another zone of the same wall.</summary>
public static class WallTurn
{
    /// <summary>The change of place: a move on a straight wall, a turn about its tip on a tapered one.</summary>
    /// <param name="from">The wall turned to the one zone.</param>
    /// <param name="to">The wall turned to the other.</param>
    public static Motion Between(Wall from, Wall to)
    {
        ArgumentNullException.ThrowIfNull(from);
        ArgumentNullException.ThrowIfNull(to);
        var round = from.Turn.Radians - to.Turn.Radians;
        if (from.Cone is not { } cone)
        {
            return Motion.Move(round / (2 * Math.PI) * from.StraightGirth.Value.Millimetres, 0);
        }

        // The tip lies as far below the base as the base ring is wide, or above it where the narrow end is up.
        var (degrees, tip) = (round / (2 * Math.PI) * cone.Sweep.Degrees, from.RingAt(0));
        return cone.WideUp
            ? Motion.Move(0, tip).Then(Motion.TurnLeft(-degrees)).Moved(0, -tip)
            : Motion.Move(0, -tip).Then(Motion.TurnLeft(degrees)).Moved(0, tip);
    }
}
