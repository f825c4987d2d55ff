using Cabida.Core.Runs;
using Cabida.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Jobs;

/// <summary>A job that is put away, as a row.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Customer">Who ordered it.</param>
/// <param name="Due">The day it was due.</param>
/// <param name="Runs">How many runs it has.</param>
internal sealed record PutAwayRow(string Id, string Name, string Customer, string Due, int Runs);

/// <summary>Jobs that are put away.</summary>
/// <param name="All">How many there are.</param>
/// <param name="Found">How many the words are found in.</param>
/// <param name="Rows">A page of those, what was due last first.</param>
internal sealed record PutAwayView(int All, int Found, IReadOnlyList<PutAwayRow> Rows);

/// <summary>Jobs to put away, or to take out again.</summary>
/// <param name="Ids">Which.</param>
/// <param name="Away">Whether they are put away; else they are taken out.</param>
internal sealed record PuttingAway(IReadOnlyList<string> Ids, bool Away);

/// <summary>How many jobs were put away, or taken out.</summary>
internal sealed record PutAwayDone(int Count);

/// <summary>Jobs that are done with are put away and found again.</summary>
internal static class PutAwayEndpoints
{
    private const int OnPage = 50;

    public static void MapPutAway(this RouteGroupBuilder jobs)
    {
        jobs.MapGet(
                "/put-away",
                async Task<Ok<PutAwayView>> (
                    string? words,
                    int? from,
                    Cabida.Store.Library library,
                    LibraryIndex index,
                    CancellationToken stop
                ) =>
                {
                    var away = (await index.PutAway(stop)).Jobs;
                    var runs = await index.Referring(DocumentKinds.Run, DocumentKinds.Job, stop);
                    var sought = (words ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries);
                    var found = (await library.Some(DocumentKinds.Job, away, stop))
                        .Where(j => sought.All(w => Says(j.Document, w)))
                        .OrderByDescending(j => j.Document.Due, StringComparer.Ordinal)
                        .ThenByDescending(j => j.CreatedAt)
                        .ToList();
                    return TypedResults.Ok(
                        new PutAwayView(
                            away.Count,
                            found.Count,
                            [
                                .. found
                                    .Skip(Math.Max(0, from ?? 0))
                                    .Take(OnPage)
                                    .Select(j => new PutAwayRow(
                                        j.Id,
                                        j.Document.Name,
                                        j.Document.Customer,
                                        j.Document.Due,
                                        runs[j.Id].Distinct(StringComparer.Ordinal).Count()
                                    )),
                            ]
                        )
                    );
                }
            )
            .WithName("ListPutAway");

        jobs.MapPost("/put-away", async Task<Ok<PutAwayDone>> (PuttingAway wanted, Cabida.Store.Library library, CancellationToken stop) =>
            {
                var changing = (await library.Some(DocumentKinds.Job, wanted.Ids, stop))
                    .Where(j => j.Document.IsPutAway != wanted.Away)
                    .ToList();
                var unit = new UnitOfWork($"{(wanted.Away ? "Put away" : "Take out")} {Said(changing)}");
                foreach (var job in changing)
                {
                    unit.Put(DocumentKinds.Job, job.Id, job.Document with { IsPutAway = wanted.Away });
                }

                await library.Make(unit, stop);
                return TypedResults.Ok(new PutAwayDone(changing.Count));
            })
            .WithName("PutAway");
    }

    private static bool Says(Job job, string word) =>
        job.Name.Contains(word, StringComparison.CurrentCultureIgnoreCase)
        || job.Customer.Contains(word, StringComparison.CurrentCultureIgnoreCase)
        || job.Note.Contains(word, StringComparison.CurrentCultureIgnoreCase)
        || job.Due.StartsWith(word, StringComparison.Ordinal);

    private static string Said(List<Stored<Job>> jobs) => jobs is [var one] ? one.Document.Name : $"{jobs.Count} jobs";
}
