using Cabida.Core.Blanks;
using Cabida.Core.Runs;
using Cabida.Core.Stock;

namespace Cabida.Core.Steps;

/// <summary>
/// The chain of steps that a run's films and goods ask for, and what is usual of each: the product's own defaults (6.16).
/// </summary>
public static class OfferedSteps
{
    /// <summary>A load is put in, its film cut off and its file sent; minutes.</summary>
    private const double PerLoad = 2;

    /// <summary>The goods are taken to the press, squared up and taken off again; minutes.</summary>
    private const double AtPress = 1;

    /// <summary>The steps in order.</summary>
    public static IReadOnlyList<MakingStep> Of(StepFacts facts)
    {
        ArgumentNullException.ThrowIfNull(facts);
        bool Any(FilmPurpose purpose) => facts.Films.Any(f => f.Purpose == purpose);
        var stays = facts.Films.Where(f => f.Purpose == FilmPurpose.Stays).ToList();
        var kinds = new List<StepKind> { StepKind.Cut, StepKind.Weed };
        if (facts.Finish != Finish.Cloth && facts.Films.Any(f => f.Material is not FilmMaterial.Card))
        {
            kinds.Add(StepKind.Clean);
        }

        if (Any(FilmPurpose.PulledOff))
        {
            kinds.AddRange([StepKind.Lay, StepKind.Paint, StepKind.PullOff]);
        }

        if (Any(FilmPurpose.Loose))
        {
            kinds.Add(StepKind.Paint);
        }

        if (stays.Any(f => f is { Material: FilmMaterial.Vinyl, IsPressed: false }))
        {
            kinds.Add(StepKind.Lay);
        }

        if (stays.Any(f => f.IsPressed))
        {
            kinds.Add(StepKind.Press);
        }

        if (stays.Any(f => f is { Material: FilmMaterial.Card or FilmMaterial.Sheet, IsPressed: false }))
        {
            kinds.Add(StepKind.Glue);
        }

        if (facts.IsFramed)
        {
            kinds.Add(StepKind.Assemble);
        }

        kinds.Add(StepKind.Pack);
        return [.. kinds.Select((k, i) => MakingStep.Usual(k, kinds.Take(i + 1).Count(x => x == k)))];
    }

    /// <summary>How long a step usually takes.</summary>
    public static StepTime UsualOf(StepKind kind, StepFacts facts)
    {
        ArgumentNullException.ThrowIfNull(facts);
        var pressed = facts.Films.Where(f => f.IsPressed).ToList();
        return kind switch
        {
            StepKind.Cut => new(0, PerLoad * facts.Loads, facts.CutMinutes),
            StepKind.Weed => new(0, facts.WeedMinutes, 0),
            StepKind.Clean => new(0.5, 1, 2),
            StepKind.Lay => new(facts.IsRound ? 2.5 : 1.5, 0, 0),
            // What is peeled cold rests until it is.
            StepKind.Press => new(AtPress + (facts.PressSeconds / 60), 5, pressed.Any(f => f.Heat.Peel == Peel.Cold) ? 10 : 0),
            StepKind.Paint => new(2, 5, 60),
            StepKind.PullOff => new(0.7, 0, 0),
            StepKind.Glue => new(1.5, 2, 30),
            StepKind.Varnish => new(1.5, 5, 120),
            StepKind.Assemble => new(4, 0, 0),
            StepKind.Pack => new(1, 0, 0),
            _ => new(1, 0, 0),
        };
    }
}
