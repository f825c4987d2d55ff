using Cabida.Core.Findings;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;

namespace Cabida.Core.Remedies;

/// <summary>A change of a run's set-up.</summary>
internal sealed record SetUpChange(Func<RunSetUp, RunSetUp> To) : Change<Run>
{
    /// <inheritdoc/>
    public override Run Of(Run document) => document with { SetUp = To(document.SetUp) };
}

/// <summary>A change of what is set by hand for some pieces on a side; the first side has no id.</summary>
internal sealed record PiecesChange(IReadOnlySet<string> PieceIds, string Side, Func<Overrides, Overrides> To) : Change<Run>
{
    /// <summary>A change of one piece.</summary>
    public PiecesChange(string pieceId, string side, Func<Overrides, Overrides> to)
        : this(new HashSet<string>(StringComparer.Ordinal) { pieceId }, side, to) { }

    /// <inheritdoc/>
    public override Run Of(Run document) =>
        document with
        {
            List = document.List with
            {
                Pieces = [.. document.List.Pieces.Select(p => PieceIds.Contains(p.Id) ? p.WithOwn(Side, To(p.OwnOn(Side))) : p)],
            },
        };
}

/// <summary>A change of a part of the motif of a side.</summary>
/// <param name="Side">The side; the first has no id.</param>
/// <param name="Mend">The change.</param>
public sealed record MotifMend(string Side, PartMend Mend) : Change<Motif>
{
    /// <inheritdoc/>
    public override Motif Of(Motif document) => Mend.On(document);
}
