using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;

namespace Cabida.Core.Pieces;

/// <summary>A fitted piece with what is noticed on all its sides, and between them.</summary>
/// <param name="Piece">The piece.</param>
/// <param name="First">Its first side, checked.</param>
/// <param name="Findings">What was noticed, most serious first; places as seen from the first side.</param>
public sealed record CheckedPiece(FittedPiece Piece, CheckedFit First, IReadOnlyList<Finding> Findings)
{
    /// <summary>Checks a piece of a run.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="piece">One of its pieces, fitted.</param>
    /// <param name="facts">Where facts of ink are kept.</param>
    public static CheckedPiece Of(ReadRun run, FittedPiece piece, InkFactsCache facts)
    {
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(piece);
        var on = run.SurfaceOf(piece.Fit.Piece);
        var first = Checks.Of(piece.Fit, on.Basis, facts, run.Cutter);
        var others = piece.Sides.SelectMany(s =>
            Checks.Of(s.Fit, s.Side.Basis, facts, run.Cutter).Findings.Select(f => SeenFromFirst(f, s.Side, on.MotionOf(s.Side)))
        );
        IEnumerable<Finding> all = [.. first.Findings, .. others, .. Between(piece, on)];
        return new CheckedPiece(piece, first, Checks.Sorted(all.Select(f => KeptOr(f, run, piece))));
    }

    /// <summary>What of it holds it back: nothing of it may be cut until that is mended, or kept for a reason.</summary>
    public Finding? Stopping => Findings.FirstOrDefault(f => f.Stops);

    /// <summary>
    /// Whether a piece may be cut as it stands: its fit, and whether all of it hangs together. Other checks are not paid for.
    /// </summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="piece">One of its pieces, fitted.</param>
    /// <param name="facts">Where facts of ink are kept.</param>
    public static bool MayBeCut(ReadRun run, FittedPiece piece, InkFactsCache facts)
    {
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(piece);
        var on = run.SurfaceOf(piece.Fit.Piece);
        return piece.MayBeCut
            && piece
                .Sides.Select(s => (s.Fit, s.Side.Basis, Side: s.Side.Side.Id))
                .Prepend((piece.Fit, on.Basis, ""))
                .SelectMany(s => Checks.LoosePartsOf(s.Item1, s.Item2, facts).Select(f => KeptOr(f with { Side = s.Item3 }, run, piece)))
                .All(f => !f.Stops);
    }

    /// <summary>A finding, or that it is kept as it is and why.</summary>
    private static Finding KeptOr(Finding finding, ReadRun run, FittedPiece piece) =>
        run.Run.SetUp.Kept.FirstOrDefault(k => k.IsOf(finding, piece.Fit.Piece.Id)) is { } kept
            ? finding with
            {
                Severity = Severity.Told,
                Kept = kept.Reason,
            }
            : finding;

    private static Finding SeenFromFirst(Finding finding, ReadSide side, Motion motion) =>
        finding with
        {
            Side = side.Side.Id,
            Places = [.. finding.Places.Select(motion.Of)],
            Message = Phrase.Say($"{side.Laid.Spec.Name}: {finding.Message}"),
        };

    private static IEnumerable<Finding> Between(FittedPiece piece, ReadSurface on) =>
        piece.Sides.Count == 0
            ? []
            : SidesOverlap.Look(
                piece.Fit.Piece.Name,
                [
                    new SideInk(on.Laid.Spec.Name, on.Laid.Face.Own, [piece.Fit.Ink]),
                    .. piece.Sides.Select(s => new SideInk(
                        s.Side.Laid.Spec.Name,
                        s.Side.Laid.Face.Own,
                        [.. on.MotionsOf(s.Side).Select(m => Outlines.Moved(s.Fit.Ink, m))]
                    )),
                ]
            );
}
