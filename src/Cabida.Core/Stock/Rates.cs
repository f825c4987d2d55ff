using System.ComponentModel.DataAnnotations;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Stock;

/// <summary>What the workshop reckons with, as typed; what is empty costs nothing.</summary>
public sealed record Rates
{
    /// <summary>Before anything was typed.</summary>
    public static Rates None { get; } = new();

    /// <summary>The sign of the currency.</summary>
    [MaxLength(4)]
    public string Currency { get; init; } = "";

    /// <summary>An hour with hands on.</summary>
    [MaxLength(TypedAmount.MostLetters)]
    public string Hour { get; init; } = "";

    /// <summary>An hour of the cutter.</summary>
    [MaxLength(TypedAmount.MostLetters)]
    public string CutterHour { get; init; } = "";

    /// <summary>A square metre of transfer tape.</summary>
    [MaxLength(TypedAmount.MostLetters)]
    public string Tape { get; init; } = "";

    /// <summary>Overheads, in per cent of what it costs.</summary>
    [MaxLength(TypedAmount.MostLetters)]
    public string Overheads { get; init; } = "";

    /// <summary>Margin, in per cent of cost and overheads.</summary>
    [MaxLength(TypedAmount.MostLetters)]
    public string Margin { get; init; } = "";

    /// <summary>What cannot be used in it, each with its field.</summary>
    public IEnumerable<(string Field, Phrase Problem)> Problems()
    {
        foreach (var (field, typed) in new[] { ("hour", Hour), ("cutterHour", CutterHour), ("tape", Tape) })
        {
            if (TypedAmount.Read(typed).Problem is { } problem)
            {
                yield return (field, problem);
            }
        }

        foreach (var (field, typed) in new[] { ("overheads", Overheads), ("margin", Margin) })
        {
            if (TypedAmount.Share(typed).Problem is { } problem)
            {
                yield return (field, problem);
            }
        }
    }
}
