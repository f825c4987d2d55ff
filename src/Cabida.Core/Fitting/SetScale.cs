using Cabida.Core.Motifs;
using Cabida.Core.Runs;

namespace Cabida.Core.Fitting;

/// <summary>The scale of what is equal across a set: the least that any of its pieces takes by itself.</summary>
public static class SetScale
{
    /// <summary>The scale, or null when nothing in the motif is equal across the set or the set has one size anyway.</summary>
    /// <param name="pieces">The pieces of the run.</param>
    /// <param name="basis">What they have in common.</param>
    public static double? Of(IReadOnlyList<Piece> pieces, FitBasis basis)
    {
        ArgumentNullException.ThrowIfNull(pieces);
        ArgumentNullException.ThrowIfNull(basis);
        return Matters(basis) ? Of(pieces.Select(p => OwnOf(p, basis))) : null;
    }

    /// <summary>The same from what each of the pieces takes by itself; those that nothing fits do not count.</summary>
    public static double? Of(IEnumerable<double?> own) => own.Min();

    /// <summary>The largest scale that a piece takes by itself; null when nothing fits or nothing of it scales.</summary>
    /// <param name="piece">The piece.</param>
    /// <param name="basis">What it is fitted on.</param>
    public static double? OwnOf(Piece piece, FitBasis basis) => PieceFit.LargestOf(piece, basis);

    /// <summary>Whether something in the motif is equal across the set, and the set has not one size anyway.</summary>
    public static bool Matters(FitBasis basis)
    {
        ArgumentNullException.ThrowIfNull(basis);
        return basis.LetterHeight is null && basis.Scale is null && MotifLengths.Of(basis.Motif).Any(l => l.Scaling == Scaling.Equal);
    }
}
