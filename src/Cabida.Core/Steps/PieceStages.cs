using Cabida.Core.Runs;

namespace Cabida.Core.Steps;

/// <summary>How far pieces are: what is known of them, or what was ticked, whichever is further (calculations 6.17).</summary>
public static class PieceStages
{
    /// <summary>How far a piece is.</summary>
    /// <param name="isApproved">Whether the customer approved it as it is now.</param>
    /// <param name="isCut">Whether all of its film was released and cut.</param>
    /// <param name="ticked">How far it was ticked.</param>
    public static PieceStage Of(bool isApproved, bool isCut, PieceStage ticked)
    {
        var known =
            isCut ? PieceStage.Cut
            : isApproved ? PieceStage.Proofed
            : PieceStage.Taken;
        return ticked > known ? ticked : known;
    }

    /// <summary>The stage that a step brings pieces to once it is done; null for one after which they are where they were.</summary>
    public static PieceStage? After(StepKind kind) =>
        kind switch
        {
            StepKind.Cut => PieceStage.Cut,
            StepKind.Weed => PieceStage.Weeded,
            StepKind.Lay or StepKind.Press or StepKind.PullOff or StepKind.Glue or StepKind.Assemble => PieceStage.Pressed,
            StepKind.Pack => PieceStage.Packed,
            _ => null,
        };

    /// <summary>Whether a step still has to be done: it was not ticked, and not every piece is past it.</summary>
    /// <param name="step">The step.</param>
    /// <param name="done">The steps that were ticked, by id.</param>
    /// <param name="stages">How far the pieces are.</param>
    public static bool IsOpen(MakingStep step, IReadOnlySet<string> done, IReadOnlyCollection<PieceStage> stages)
    {
        ArgumentNullException.ThrowIfNull(step);
        ArgumentNullException.ThrowIfNull(done);
        ArgumentNullException.ThrowIfNull(stages);
        var packed = stages.Count > 0 && stages.All(s => s == PieceStage.Packed);
        return !packed && !done.Contains(step.Id) && !(After(step.Kind) is { } after && stages.Count > 0 && stages.All(s => s >= after));
    }
}
