using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Core.Steps;

/// <summary>A step with how long it takes.</summary>
/// <param name="Step">It as typed.</param>
/// <param name="Usual">What is usual of it, by the maker's own pace.</param>
/// <param name="Time">How long it takes: what was typed, else the usual.</param>
/// <param name="Hands">Hands on for all pieces; minutes.</param>
public sealed record ReadStep(MakingStep Step, StepTime Usual, StepTime Time, double Hands);

/// <summary>The steps of a run, read.</summary>
/// <param name="Steps">The steps in order.</param>
/// <param name="IsOffered">Whether they are the chain that is offered, without any change.</param>
/// <param name="Problems">What cannot be used in them.</param>
public sealed record ReadSteps(IReadOnlyList<ReadStep> Steps, bool IsOffered, IReadOnlyList<Finding> Problems)
{
    /// <summary>Reads the steps of a run; those that are offered where it has none of its own.</summary>
    /// <param name="own">Its own; empty for those that are offered.</param>
    /// <param name="facts">What they follow from.</param>
    /// <param name="book">What the workshop remembers of its pace.</param>
    public static ReadSteps Of(IReadOnlyList<MakingStep> own, StepFacts facts, BenchBook book)
    {
        ArgumentNullException.ThrowIfNull(own);
        ArgumentNullException.ThrowIfNull(facts);
        ArgumentNullException.ThrowIfNull(book);
        var steps = own.Count > 0 ? own : OfferedSteps.Of(facts);
        return new ReadSteps([.. steps.Select(s => Of(s, facts, book))], own.Count == 0, [.. ProblemsOf(own)]);
    }

    private static ReadStep Of(MakingStep step, StepFacts facts, BenchBook book)
    {
        var (own, usual) = (BenchPace.Of(book.Took, step.Kind).By, OfferedSteps.UsualOf(step.Kind, facts));
        usual = usual with { PerPiece = own * usual.PerPiece, PerBatch = own * usual.PerBatch };
        double Or(string typed, double otherwise) => TypedDuration.Read(typed).ValueOrDefault ?? otherwise;
        var time = new StepTime(Or(step.PerPiece, usual.PerPiece), Or(step.PerBatch, usual.PerBatch), Or(step.Wait, usual.Wait));
        return new ReadStep(step, usual, time, time.HandsOn(facts.Pieces));
    }

    private static IEnumerable<Finding> ProblemsOf(IReadOnlyList<MakingStep> own)
    {
        for (var i = 0; i < own.Count; i++)
        {
            foreach (var (field, typed) in new[] { ("perPiece", own[i].PerPiece), ("perBatch", own[i].PerBatch), ("wait", own[i].Wait) })
            {
                if (TypedDuration.Read(typed).Problem is { } problem)
                {
                    yield return Finding.Unusable($"steps.{i}.{field}", problem);
                }
            }
        }

        if (own.GroupBy(s => s.Id).Any(g => g.Count() > 1))
        {
            // Ticks and times are kept by it.
            yield return Finding.Unusable("steps", Phrase.Say($"Two of the steps are told apart by the same id."));
        }
    }
}
