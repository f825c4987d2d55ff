using Cabida.Core.Runs;

namespace Cabida.Core.Proofs;

/// <summary>How a piece stands with the customer.</summary>
public enum ProofState
{
    /// <summary>Nothing was said of it.</summary>
    Open,

    /// <summary>It may be made as it was shown, and is still so.</summary>
    Approved,

    /// <summary>The customer asked for something else.</summary>
    Corrected,

    /// <summary>What was approved is not what it is now: its ink, the look of a film, the goods or their size have changed.</summary>
    Voided,
}

/// <summary>What became of a piece since it was last shown.</summary>
public enum SinceShown
{
    /// <summary>It is as it was.</summary>
    Same,

    /// <summary>It was not there.</summary>
    New,

    /// <summary>It looks, or will be made, otherwise.</summary>
    Changed,
}

/// <summary>Verdicts of a customer and what they are worth now. An approval is of all that was seen, not of a name.</summary>
public static class Proofing
{
    /// <summary>How a piece stands.</summary>
    /// <param name="verdict">What was said of it; null for nothing.</param>
    /// <param name="seen">What is seen of it now.</param>
    /// <param name="inkHash">Its ink now, for verdicts that are of no more.</param>
    /// <param name="blankRevision">The revision of the blank it is on now, likewise.</param>
    public static ProofState StateOf(Verdict? verdict, string seen, string inkHash, int blankRevision) =>
        verdict is null ? ProofState.Open
        : !verdict.Approved ? ProofState.Corrected
        : (verdict.Seen.Length > 0 ? verdict.Seen == seen : verdict.InkHash == inkHash && verdict.BlankRevision == blankRevision)
            ? ProofState.Approved
        : ProofState.Voided;

    /// <summary>What became of a piece since the last proof; the same when none was shown.</summary>
    /// <param name="shown">What was shown last.</param>
    /// <param name="pieceId">The piece.</param>
    /// <param name="seen">What is seen of it now.</param>
    public static SinceShown Since(ShownProof? shown, string pieceId, string seen) =>
        shown is null ? SinceShown.Same
        : !shown.Shown.TryGetValue(pieceId, out var before) ? SinceShown.New
        : before == seen ? SinceShown.Same
        : SinceShown.Changed;
}
