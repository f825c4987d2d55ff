using System.ComponentModel.DataAnnotations;
using Cabida.Core.Checking;
using Cabida.Core.Pieces;
using Cabida.Core.Proofs;
using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Web.Library;
using Cabida.Web.Runs;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Proofs;

/// <summary>What was sent back, as it was pasted.</summary>
internal sealed record PastedAnswer([property: MaxLength(ProofAnswer.MostLetters)] string Text);

/// <summary>What becomes of what is said of a piece.</summary>
internal enum AnswerFate
{
    /// <summary>It is approved as it is.</summary>
    Approves,

    /// <summary>Something else is asked for.</summary>
    Corrects,

    /// <summary>It is not what was seen any more: nothing is approved.</summary>
    ChangedSince,

    /// <summary>It is not in the list any more.</summary>
    Gone,

    /// <summary>It cannot be cut as it is: nothing is approved.</summary>
    NotReady,
}

/// <summary>What is said of a piece, and what becomes of it.</summary>
internal sealed record AnswerLine(string Piece, string Name, string Words, AnswerFate Fate);

/// <summary>An answer, read against the run as it is now.</summary>
/// <param name="Problem">Why it cannot be taken.</param>
/// <param name="Lines">What it says, piece by piece.</param>
/// <param name="Open">Pieces of which it says nothing.</param>
/// <param name="Beside">What else was written.</param>
internal sealed record AnswerView(Phrase? Problem, IReadOnlyList<AnswerLine> Lines, IReadOnlyList<string> Open, string Beside);

/// <summary>Answers to proofs that went out as a file: read first, then taken into the verdicts.</summary>
internal static class AnswerEndpoints
{
    public static void MapAnswers(this RouteGroupBuilder api)
    {
        var runs = api.MapGroup("/runs/{id}/answer").WithTags("Proofs");
        runs.MapPost(
                "/read",
                async Task<Results<Ok<AnswerView>, NotFound>> (
                    string id,
                    PastedAnswer pasted,
                    RunReader reader,
                    FittedPieces fitted,
                    InkFactsCache facts,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { Basis: not null } run
                        ? TypedResults.Ok(Read(run, pasted.Text, fitted, facts))
                        : TypedResults.NotFound()
            )
            .WithName("ReadAnswer");

        runs.MapPost(
                "",
                async Task<Results<Ok<RunView>, ProblemHttpResult>> (
                    string id,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    PastedAnswer pasted,
                    HttpContext http,
                    Cabida.Store.Library library,
                    RunReader reader,
                    FittedPieces fitted,
                    InkFactsCache facts,
                    IViews<Run, RunView> views,
                    CancellationToken stop
                ) =>
                    await VerdictEndpoints.Changed(
                        id,
                        http,
                        library,
                        reader,
                        views,
                        run => Taken(run, Read(run, pasted.Text, fitted, facts), fitted),
                        stop
                    )
            )
            .WithName("TakeAnswer");
    }

    /// <summary>Reads an answer: what of it can be taken now, and what not.</summary>
    private static AnswerView Read(ReadRun run, string text, FittedPieces fitted, InkFactsCache facts)
    {
        var read = ProofAnswer.Read(text);
        if (read.ValueOrDefault is not { } answer)
        {
            return new AnswerView(read.Problem, [], [], "");
        }

        if (answer.Run != run.Id)
        {
            return new AnswerView(Phrase.Say($"This is the answer to the proof of another run. Paste it there."), [], [], answer.Beside);
        }

        var pieces = run.Run.Pieces.ToDictionary(p => p.Id, StringComparer.Ordinal);
        // Said twice of one piece, the last counts.
        List<AnswerLine> lines =
        [
            .. answer
                .Pieces.GroupBy(p => p.Piece, StringComparer.Ordinal)
                .Select(g => g.Last())
                .Select(said =>
                {
                    if (!pieces.TryGetValue(said.Piece, out var piece))
                    {
                        return new AnswerLine(said.Piece, "", said.Words, AnswerFate.Gone);
                    }

                    var made = fitted.Of(run, piece);
                    var isSame = said.Seen.Length > 0 && SeenNow.HashOf(made, run).StartsWith(said.Seen, StringComparison.Ordinal);
                    var fate =
                        !said.IsRight ? AnswerFate.Corrects
                        : !isSame ? AnswerFate.ChangedSince
                        : CheckedPiece.MayBeCut(run, made, facts) ? AnswerFate.Approves
                        : AnswerFate.NotReady;
                    return new AnswerLine(piece.Id, piece.Name, Shortened(said.Words), fate);
                }),
        ];
        var said = lines.Select(l => l.Piece).ToHashSet(StringComparer.Ordinal);
        return new AnswerView(null, lines, [.. run.Run.Pieces.Where(p => !said.Contains(p.Id)).Select(p => p.Name)], answer.Beside);
    }

    private static string Shortened(string words) => words.Length > Correction.MostLetters ? words[..Correction.MostLetters] : words;

    /// <summary>The verdicts with what can be taken of an answer; what changed since stays as it was.</summary>
    private static (RunVerdicts, string?) Taken(ReadRun run, AnswerView answer, FittedPieces fitted)
    {
        if (answer.Problem is { } problem)
        {
            return (run.Run.Verdicts, problem.ToString());
        }

        var pieces = run.Run.Pieces.ToDictionary(p => p.Id, StringComparer.Ordinal);
        Verdict? Of(AnswerLine line)
        {
            if (line.Fate == AnswerFate.Corrects)
            {
                return new Verdict(false, line.Words, "", 0);
            }

            var made = fitted.Of(run, pieces[line.Piece]);
            return new Verdict(true, "", made.Hash, run.Run.SetUp.Blank?.Revision ?? 0) { Seen = SeenNow.HashOf(made, run) };
        }

        var taken = answer.Lines.Where(l => l.Fate is AnswerFate.Approves or AnswerFate.Corrects).Select(l => (l.Piece, Of(l))).ToList();
        return taken.Count == 0
            ? (run.Run.Verdicts, "Nothing of this answer can be taken: what it speaks of changed since, or is gone. Show the proof again.")
            : (run.Run.Verdicts.With(taken), null);
    }
}
