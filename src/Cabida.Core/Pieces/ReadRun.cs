using Cabida.Core.Blanks;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Lists;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;

namespace Cabida.Core.Pieces;

/// <summary>A run with what it pins, read at the pinned revisions.</summary>
/// <param name="Id">Which run.</param>
/// <param name="Revision">Its revision.</param>
/// <param name="Run">The run.</param>
/// <param name="Blank">Its blank; null until chosen, as all that follows.</param>
/// <param name="Sheet">The blank worked out.</param>
/// <param name="Motif">Its motif.</param>
/// <param name="Film">Its film.</param>
/// <param name="Cutter">Its cutter.</param>
/// <param name="Surface">What its pieces stand on; null while something is lacking.</param>
/// <param name="Lacks">What is lacking.</param>
public sealed record ReadRun(
    string Id,
    int Revision,
    Run Run,
    Blank? Blank,
    BlankSheet? Sheet,
    Motif? Motif,
    Film? Film,
    Cutter? Cutter,
    ReadSurface? Surface,
    IReadOnlyList<Finding> Lacks
)
{
    /// <summary>What pieces of each other size stand on that rows of the list name.</summary>
    public IReadOnlyDictionary<string, ReadSurface> BySize { get; init; } = new Dictionary<string, ReadSurface>(Sizes);

    /// <summary>Sizes are the same however they are written: xl is XL.</summary>
    public static StringComparer Sizes => StringComparer.OrdinalIgnoreCase;

    /// <summary>What its pieces have in common; null while something is lacking.</summary>
    public FitBasis? Basis => Surface?.Basis;

    /// <summary>What a piece stands on: a row that names a size of the blank is of that size.</summary>
    public ReadSurface SurfaceOf(Piece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return SurfaceOf(piece.ValueOf(NameList.Size));
    }

    /// <summary>What pieces of a size stand on; those of no size that the blank has stand on the run's.</summary>
    public ReadSurface SurfaceOf(string size) => BySize.GetValueOrDefault(size) ?? Surface!;

    /// <summary>What the checks of its pieces depend on, but their fit: the cutter, and what is kept as it is.</summary>
    public string ChecksKey { get; } = string.Join('|', Run.SetUp.Kept.Select(k => $"{k}").Prepend($"{Run.SetUp.Cutter}"));

    /// <summary>All that the fit of its pieces depends on, but what their rows say and what was set by hand for them.</summary>
    public string TermsKey { get; } = FitTerms.Of(Run.SetUp).Key;
}
