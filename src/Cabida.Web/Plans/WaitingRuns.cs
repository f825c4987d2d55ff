using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Pieces;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Runs;

namespace Cabida.Web.Plans;

/// <summary>A piece that must not be cut as it stands.</summary>
/// <param name="Run">Its run.</param>
/// <param name="Piece">The piece.</param>
/// <param name="Name">Its name.</param>
/// <param name="Why">What holds it back.</param>
internal sealed record HeldBack(string Run, string Piece, string Name, Finding Why);

/// <summary>A run as far as its pieces are ready to be cut.</summary>
/// <param name="Run">The run.</param>
/// <param name="Job">The name of its job.</param>
/// <param name="Since">When it was changed last, in UTC.</param>
/// <param name="Ready">Its pieces that may be cut.</param>
/// <param name="Held">Those that may not, and why.</param>
/// <param name="Unset">How many are not set yet.</param>
internal sealed record WaitingRun(
    ReadRun Run,
    string Job,
    DateTime Since,
    IReadOnlyList<FittedPiece> Ready,
    IReadOnlyList<HeldBack> Held,
    int Unset
);

/// <summary>Looks which pieces of runs may be cut. A long list that is not set yet is asked for as work of its own.</summary>
internal sealed class WaitingRuns(
    Cabida.Store.Library library,
    LibraryIndex index,
    RunReader reader,
    FittedPieces fitted,
    FitWork work,
    Works works,
    InkFactsCache facts
)
{
    /// <summary>So long an answer about all jobs may wait for names that are not set yet.</summary>
    private static readonly TimeSpan AtOnce = TimeSpan.FromSeconds(2);

    /// <summary>The ids of the runs that name a film, without those whose jobs are put away.</summary>
    public async Task<IReadOnlyList<string>> Naming(string filmId, CancellationToken stop)
    {
        var away = (await index.PutAway(stop)).Runs;
        return
        [
            .. (await index.Referring(DocumentKinds.Run, DocumentKinds.Film, stop))[filmId]
                .Distinct(StringComparer.Ordinal)
                .Where(r => !away.Contains(r)),
        ];
    }

    /// <summary>The ids of all runs whose jobs are not put away.</summary>
    public async Task<IReadOnlyList<string>> Open(CancellationToken stop)
    {
        var away = (await index.PutAway(stop)).Runs;
        return [.. (await index.Headings(DocumentKinds.Run, stop)).Select(r => r.Id).Where(r => !away.Contains(r))];
    }

    /// <summary>Runs with their pieces.</summary>
    /// <param name="ids">The runs; what is gone, or cannot be read, is left out.</param>
    /// <param name="all">Whether the answer waits for all names, however long that takes.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<IReadOnlyList<WaitingRun>> Of(IEnumerable<string> ids, bool all, CancellationToken stop)
    {
        var runs = await library.Some(DocumentKinds.Run, ids, stop);
        var jobs = (await index.Headings(DocumentKinds.Job, stop)).ToDictionary(j => j.Id, j => j.Name, StringComparer.Ordinal);
        var until = DateTime.UtcNow + AtOnce;
        var waiting = new List<WaitingRun>();
        foreach (var stored in runs)
        {
            if (await Readable(stored, stop) is not { } run)
            {
                continue;
            }

            var job = jobs.GetValueOrDefault(run.Run.SetUp.JobId, "");
            if (run.Basis is null)
            {
                waiting.Add(
                    new WaitingRun(
                        run,
                        job,
                        stored.ChangedAt,
                        [],
                        [.. run.Lacks.Take(1).Select(l => new HeldBack(run.Id, "", run.Run.Name, l))],
                        0
                    )
                );
                continue;
            }

            var pieces = new List<FittedPiece>();
            foreach (var piece in run.Run.Pieces)
            {
                stop.ThrowIfCancellationRequested();
                if (fitted.Find(run, piece) is { } known)
                {
                    pieces.Add(known);
                }
                else if (all || DateTime.UtcNow < until)
                {
                    // Each name is bounded by itself: what they are together is no one's making.
                    using (Effort.Within(Effort.Large, stop))
                    {
                        pieces.Add(fitted.Of(run, piece));
                    }
                }
            }

            if (pieces.Count < run.Run.Pieces.Count)
            {
                await work.Ask(run, works, stop);
            }

            var mayBeCut = pieces.ToLookup(p => CheckedPiece.MayBeCut(run, p, facts));
            waiting.Add(
                new WaitingRun(
                    run,
                    job,
                    stored.ChangedAt,
                    [.. mayBeCut[true]],
                    [.. mayBeCut[false].Select(p => WhyHeld(run, CheckedPiece.Of(run, p, facts)))],
                    run.Run.Pieces.Count - pieces.Count
                )
            );
        }

        return waiting;
    }

    /// <summary>A run with what it pins; null where some of that cannot be read, which its own page tells.</summary>
    private async Task<ReadRun?> Readable(Stored<Core.Runs.Run> stored, CancellationToken stop)
    {
        try
        {
            return await reader.Read(stored, stop);
        }
        catch (NotWorkableException)
        {
            return null;
        }
    }

    private static HeldBack WhyHeld(ReadRun run, CheckedPiece piece) =>
        new(
            run.Id,
            piece.Piece.Fit.Piece.Id,
            piece.Piece.Fit.Piece.Name,
            (piece.Findings.FirstOrDefault(f => f.Stops) ?? Finding.Lacking("", Phrase.Say($"There is nothing to cut."))) with
            {
                Piece = piece.Piece.Fit.Piece.Id,
            }
        );
}
