using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Measures;

namespace Cabida.Core.Runs;

/// <summary>How far a piece is (calculations 6.17).</summary>
public enum PieceStage
{
    /// <summary>It is ordered.</summary>
    Taken,

    /// <summary>The customer approved it as it is.</summary>
    Proofed,

    /// <summary>All of its film is cut.</summary>
    Cut,

    /// <summary>It is weeded.</summary>
    Weeded,

    /// <summary>It is on the goods: pressed, laid, painted or glued.</summary>
    Pressed,

    /// <summary>It is packed.</summary>
    Packed,
}

/// <summary>That a step was done.</summary>
/// <param name="StepId">The step.</param>
/// <param name="On">When, as <c>yyyy-MM-dd HH:mm</c>.</param>
public sealed record StepDone([property: MaxLength(DocumentGate.LongestName)] string StepId, [property: MaxLength(20)] string On)
{
    /// <summary>What it took with hands on, as typed; empty where it was not noted.</summary>
    [MaxLength(MakingStep.MostLetters)]
    public string Took { get; init; } = "";
}

/// <summary>What was measured on a piece once it was made; lengths as typed.</summary>
/// <param name="Piece">The piece.</param>
/// <param name="Side">Which of its sides, the first being 0.</param>
/// <param name="Width">The width of its artwork.</param>
/// <param name="Height">The height.</param>
public sealed record MeasuredPiece(
    [property: MaxLength(DocumentGate.LongestName)] string Piece,
    [property: Range(0, RunSetUp.MostSides)] int Side,
    TypedLength Width,
    TypedLength Height
);

/// <summary>
/// How far the making of a run is, kept beside it under its id: what is ticked at the bench is no change of what is made.
/// </summary>
public sealed record Making
{
    /// <summary>Nothing was made yet.</summary>
    public static Making None { get; } = new();

    /// <summary>How far pieces were ticked, by id; what was released, cut and approved is known without.</summary>
    public IReadOnlyDictionary<string, PieceStage> Ticked { get; init; } = new Dictionary<string, PieceStage>(StringComparer.Ordinal);

    /// <summary>How far released loads were ticked, by id; that they are cut is known without.</summary>
    public IReadOnlyDictionary<string, PieceStage> LoadsTicked { get; init; } = new Dictionary<string, PieceStage>(StringComparer.Ordinal);

    /// <summary>The steps that are done.</summary>
    [MaxLength(MakingStep.Most)]
    public IReadOnlyList<StepDone> Done { get; init; } = [];

    /// <summary>What was measured on pieces.</summary>
    [MaxLength(2000)]
    public IReadOnlyList<MeasuredPiece> Measured { get; init; } = [];

    /// <summary>It with what was measured on a side of a piece; nothing typed takes the entry out.</summary>
    public Making Measuring(MeasuredPiece measured)
    {
        ArgumentNullException.ThrowIfNull(measured);
        var others = Measured.Where(m => m.Piece != measured.Piece || m.Side != measured.Side);
        var isNothing = measured.Width.IsEmpty && measured.Height.IsEmpty;
        return this with { Measured = [.. others, .. isNothing ? Array.Empty<MeasuredPiece>() : [measured]] };
    }

    /// <summary>It with pieces ticked as far as a stage; one that is further stays there unless it is taken back.</summary>
    /// <param name="pieces">The pieces, by id.</param>
    /// <param name="stage">How far; <see cref="PieceStage.Taken"/> takes back whatever was ticked.</param>
    /// <param name="isBack">Whether they are set back to it.</param>
    public Making With(IEnumerable<string> pieces, PieceStage stage, bool isBack)
    {
        ArgumentNullException.ThrowIfNull(pieces);
        var ticked = new Dictionary<string, PieceStage>(Ticked, StringComparer.Ordinal);
        foreach (var piece in pieces)
        {
            var before = ticked.GetValueOrDefault(piece);
            ticked[piece] = isBack || stage > before ? stage : before;
            if (ticked[piece] == PieceStage.Taken)
            {
                ticked.Remove(piece);
            }
        }

        return this with
        {
            Ticked = ticked,
        };
    }
}
