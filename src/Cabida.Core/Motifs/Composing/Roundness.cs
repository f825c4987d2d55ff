using Cabida.Core.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>What of placed parts is round, and about which middle.</summary>
internal static class Roundness
{
    /// <summary>The largest circle among parts; null when none of them is round.</summary>
    public static Circle? Largest(IReadOnlyList<PlacedPart> parts) =>
        parts.Select(p => p.Round).OfType<Circle>().OrderByDescending(c => c.Radius).Cast<Circle?>().FirstOrDefault();

    /// <summary>The circle of all parts as one thing: the largest, when everything else lies in it; null otherwise.</summary>
    public static Circle? OfAll(IReadOnlyList<PlacedPart> parts) =>
        Largest(parts) is { } circle && parts.All(p => p.Round is { } own ? circle.Holds(own) : circle.Holds(p.Box)) ? circle : null;

    /// <summary>
    /// The middle of a part that stands by itself, as on its ground. A few letters on the top of a large circle are no ring: their
    /// circle counts only once they reach round its middle, or stand on something round themselves.
    /// </summary>
    public static bool GoesRound(PlacedPart part) =>
        part.Round is { } circle
        && part.Box is var box
        && box.MinX <= circle.Middle.X
        && box.MaxX >= circle.Middle.X
        && box.MinY <= circle.Middle.Y
        && box.MaxY >= circle.Middle.Y;
}
