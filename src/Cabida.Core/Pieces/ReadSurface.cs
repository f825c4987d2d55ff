using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;

namespace Cabida.Core.Pieces;

/// <summary>Another side of a run, read.</summary>
/// <param name="Side">The side.</param>
/// <param name="Motif">Its motif.</param>
/// <param name="Laid">Its zone.</param>
/// <param name="Basis">What its pieces have in common.</param>
public sealed record ReadSide(RunSide Side, Motif Motif, LaidZone Laid, FitBasis Basis);

/// <summary>What the pieces of one size of the blank stand on.</summary>
/// <param name="Sheet">The size worked out.</param>
/// <param name="Laid">The zone of the first side.</param>
/// <param name="Basis">What its pieces have in common.</param>
/// <param name="Sides">The other sides.</param>
public sealed record ReadSurface(SizeSheet Sheet, LaidZone Laid, FitBasis Basis, IReadOnlyList<ReadSide> Sides)
{
    /// <summary>The face of its first side laid flat with all zones there, and its back where they are on both.</summary>
    public Drawing Flat() => FlatDrawing.Of(Laid, Sheet, [.. Sides.Select(s => s.Laid)]);

    /// <summary>All its sides, the first without an id.</summary>
    public IEnumerable<(string Id, LaidZone Laid, FitBasis Basis)> All =>
        Sides.Select(s => (s.Side.Id, s.Laid, s.Basis)).Prepend(("", Laid, Basis));

    /// <summary>The wall as it is turned for the first side that lies on it; null where none does.</summary>
    public Wall? Wall => All.Select(s => s.Basis.Wall).FirstOrDefault(w => w is not null);

    /// <summary>
    /// From the coordinates of a side to those of the first on its surface: what shares a wall is turned to the same line.
    /// </summary>
    /// <param name="side">One of its sides.</param>
    public Motion MotionOf(ReadSide side) => MotionOf(side, 0);

    /// <summary>The same, and a full turn to either side of what goes round.</summary>
    public IEnumerable<Motion> MotionsOf(ReadSide side)
    {
        ArgumentNullException.ThrowIfNull(side);
        return side.Basis.Wall is null ? [Motion.None] : new[] { 0, -360, 360 }.Select(d => MotionOf(side, d));
    }

    private Motion MotionOf(ReadSide side, double further) =>
        side?.Basis.Wall is { } other && Wall is { } first
            ? WallTurn.Between(other with { Turn = Angle.FromDegrees(other.Turn.Degrees + further) }, first)
            : Motion.None;
}
