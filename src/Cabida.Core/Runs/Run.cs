namespace Cabida.Core.Runs;

/// <summary>
/// One motif on one zone of one blank for a list of names. Its three parts are changed apart: a stroke in the set-up is none in a list of a
/// thousand names, and neither is in what the customer said.
/// </summary>
/// <param name="SetUp">What it is set up with.</param>
/// <param name="List">Its list and the pieces that it makes.</param>
/// <param name="Verdicts">What the customer said of them.</param>
public sealed record Run(RunSetUp SetUp, RunList List, RunVerdicts Verdicts)
{
    /// <summary>What it is called.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string Name => SetUp.Name;

    /// <summary>The pieces that its list makes.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IReadOnlyList<Piece> Pieces => List.Pieces;
}
