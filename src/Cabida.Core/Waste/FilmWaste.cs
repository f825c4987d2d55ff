using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Waste;

/// <summary>
/// A film of a piece as waste (calculations 3.10, 6.5); millimetres, the coordinates of its ink. Its bits are worked out when they are
/// looked at: a list of names has many, each as large as its ink.
/// </summary>
/// <param name="Weeding">What is to be weeded.</param>
/// <param name="Peel">Free ends by the side that they point to.</param>
/// <param name="Tape">Whether the tape goes on first; null for a stencil.</param>
/// <param name="Plan">Its own weed box and breaks; null where it has none.</param>
/// <param name="Nearest">How near the breaks come to the ink; null without any.</param>
public sealed record FilmWaste(Weeding Weeding, PeelSides Peel, TapeFirst? Tape, WastePlan? Plan, double? Nearest)
{
    /// <summary>The bits, from the smallest.</summary>
    /// <param name="ink">The ink that it is the waste of.</param>
    /// <param name="purpose">What the film is for.</param>
    public IReadOnlyList<WasteBit> BitsOf(Area ink, FilmPurpose purpose) => BitsOf(ink, purpose, Plan);

    /// <summary>The waste of a film's ink; null without ink.</summary>
    /// <param name="ink">The ink.</param>
    /// <param name="layer">Which sheet of which film.</param>
    /// <param name="parts">The parts in place.</param>
    /// <param name="limits">What the film bears.</param>
    /// <param name="ways">How its waste is cut.</param>
    public static FilmWaste? Of(Area ink, FilmPly layer, IReadOnlyList<PlacedPart> parts, FilmLimits limits, WeedWays ways)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(ways);
        if (ink.IsEmpty)
        {
            return null;
        }

        var plan = ways.Box == WeedBox.Piece ? WastePlan.Of(InkRows.Of(ink, layer, parts), WasteTerms.Of(ways, limits.Purpose)) : null;
        return new FilmWaste(
            plan is null ? Weeding.Of(ink, limits.Purpose) : Weeding.Of(ink, limits.Purpose, BitsOf(ink, limits.Purpose, plan), plan),
            PeelSides.Of(ink),
            TapeFirst.Of(ink, limits),
            plan,
            plan?.ClearanceTo(ink)
        );
    }

    private static IReadOnlyList<WasteBit> BitsOf(Area ink, FilmPurpose purpose, WastePlan? plan) =>
        WasteBits.Of(ink, purpose, plan is null ? [] : [.. plan.Cells.Select(c => c.Area)]);
}
