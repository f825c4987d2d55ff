using Cabida.Core.Blanks;
using Cabida.Core.Stock;

namespace Cabida.Core.Steps;

/// <summary>What of a run its steps follow from.</summary>
/// <param name="Pieces">How many pieces are made, copies counted.</param>
/// <param name="Films">Its films, those beneath first.</param>
/// <param name="Finish">How the goods feel.</param>
/// <param name="IsRound">Whether they are round.</param>
/// <param name="IsFramed">Whether they are frames.</param>
/// <param name="Loads">How many loads are cut.</param>
/// <param name="CutMinutes">How long the cutter takes for all of them.</param>
/// <param name="WeedMinutes">How long weeding takes.</param>
/// <param name="PressSeconds">How long one piece is under the press; zero where nothing is pressed.</param>
public sealed record StepFacts(
    int Pieces,
    IReadOnlyList<Film> Films,
    Finish Finish,
    bool IsRound,
    bool IsFramed,
    int Loads,
    double CutMinutes,
    double WeedMinutes,
    double PressSeconds
);

/// <summary>How long a step takes; minutes.</summary>
/// <param name="PerPiece">Hands on for each piece.</param>
/// <param name="PerBatch">Hands on once.</param>
/// <param name="Wait">How long it rests afterwards.</param>
public readonly record struct StepTime(double PerPiece, double PerBatch, double Wait)
{
    /// <summary>Hands on for so many pieces.</summary>
    public double HandsOn(int pieces) => PerBatch + (PerPiece * pieces);
}
