using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Cabida.Core.Documents;

namespace Cabida.Core.Runs;

/// <summary>What is done in a step at the bench.</summary>
public enum StepKind
{
    /// <summary>Something of the maker's own.</summary>
    Other,

    /// <summary>Loads are put into the cutter; it cuts while one waits.</summary>
    Cut,

    /// <summary>Waste is picked out.</summary>
    Weed,

    /// <summary>Goods are cleaned.</summary>
    Clean,

    /// <summary>Film is laid on.</summary>
    Lay,

    /// <summary>Film is pressed on.</summary>
    Press,

    /// <summary>Paint, frosting or etching goes over a mask or through a stencil.</summary>
    Paint,

    /// <summary>A mask is pulled off.</summary>
    PullOff,

    /// <summary>Sheets of card are glued on one another.</summary>
    Glue,

    /// <summary>A coat of varnish.</summary>
    Varnish,

    /// <summary>It is put together: into its frame, onto its base.</summary>
    Assemble,

    /// <summary>It is packed.</summary>
    Pack,
}

/// <summary>A step of a run's making; times as typed, each empty for what is usual.</summary>
/// <param name="Id">Tells it apart within its run; stays with it when steps are moved.</param>
/// <param name="Kind">What is done.</param>
/// <param name="Name">What it is called; empty for the name of its kind.</param>
/// <param name="PerPiece">Hands on for each piece.</param>
/// <param name="PerBatch">Hands on once for all.</param>
/// <param name="Wait">How long it rests before the next step.</param>
public sealed record MakingStep(
    [property: MaxLength(DocumentGate.LongestName)] string Id,
    StepKind Kind,
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    [property: MaxLength(MakingStep.MostLetters)] string PerPiece,
    [property: MaxLength(MakingStep.MostLetters)] string PerBatch,
    [property: MaxLength(MakingStep.MostLetters)] string Wait
)
{
    /// <summary>The most letters of a time.</summary>
    public const int MostLetters = 20;

    /// <summary>A run has so many steps at most.</summary>
    public const int Most = 30;

    /// <summary>A step with what is usual of its kind.</summary>
    public static MakingStep Usual(StepKind kind, int number = 1) =>
        new(number > 1 ? $"{Word(kind)}-{number}" : Word(kind), kind, "", "", "", "");

    /// <summary>What it is called.</summary>
    [JsonIgnore]
    public string Called => Name.Trim().Length > 0 ? Name.Trim() : Word(Kind);

    private static string Word(StepKind kind) =>
        kind switch
        {
            StepKind.PullOff => "pull off",
            StepKind.Other => "something else",
            _ => kind.ToString().ToLowerInvariant(),
        };
}
