using Cabida.Core.Plans;
using Cabida.Core.Proofs;
using Cabida.Core.Stock;
using Cabida.Store;
using Cabida.Web.Proofs;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Plans;

/// <summary>What of a run waits to be cut of a film.</summary>
/// <param name="Id">The run.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Job">Its job.</param>
/// <param name="Pieces">Things that wait, each side and copy of a piece one.</param>
/// <param name="Area">The area of their ink; square millimetres.</param>
/// <param name="Approved">How many of them the customer approved as they are.</param>
/// <param name="Held">What is held back, and why.</param>
/// <param name="Unset">How many names are not set yet.</param>
/// <param name="Since">When it was changed last.</param>
internal sealed record WaitingOf(
    string Id,
    string Name,
    string Job,
    int Pieces,
    double Area,
    int Approved,
    IReadOnlyList<HeldBack> Held,
    int Unset,
    DateTime Since
);

/// <summary>A film of which something waits.</summary>
/// <param name="FilmId">The film.</param>
/// <param name="Film">It.</param>
/// <param name="Pieces">Things that wait.</param>
/// <param name="Area">The area of their ink; square millimetres.</param>
/// <param name="Approved">How many of them are approved.</param>
/// <param name="Held">How many pieces are held back.</param>
/// <param name="Since">Since when the first waits.</param>
/// <param name="Runs">Run by run.</param>
internal sealed record WaitingFilm(
    string FilmId,
    Film Film,
    int Pieces,
    double Area,
    int Approved,
    int Held,
    DateTime Since,
    IReadOnlyList<WaitingOf> Runs
);

/// <summary>A released load in a list.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Number">Its number.</param>
/// <param name="Of">Of how many.</param>
/// <param name="Film">Its film.</param>
/// <param name="Colour">The colour of that.</param>
/// <param name="ReleasedAt">When it was released, in UTC.</param>
/// <param name="Pieces">How many things lie on it.</param>
/// <param name="Cuts">How often it was cut.</param>
internal sealed record ReleasedCard(
    string Id,
    string Name,
    int Number,
    int Of,
    string Film,
    string Colour,
    string ReleasedAt,
    int Pieces,
    int Cuts
);

/// <summary>The place where all that is to be cut comes together.</summary>
/// <param name="Waiting">Films of which something waits, what waits longest first.</param>
/// <param name="Released">Released loads, the newest first.</param>
/// <param name="AllReleased">How many there are of them in all.</param>
internal sealed record CuttingView(IReadOnlyList<WaitingFilm> Waiting, IReadOnlyList<ReleasedCard> Released, int AllReleased);

internal static class CuttingEndpoints
{
    /// <summary>So many released loads are listed.</summary>
    private const int MostListed = 60;

    public static void MapCutting(this RouteGroupBuilder api) =>
        api.MapGet(
                "/cutting",
                async Task<Ok<CuttingView>> (
                    string? runs,
                    Cabida.Store.Library library,
                    LibraryIndex index,
                    WaitingRuns waiting,
                    ReleasedLoads released,
                    PlanReader reader,
                    CancellationToken stop
                ) =>
                {
                    var wanted = runs?.Split(',', StringSplitOptions.RemoveEmptyEntries);
                    var all = await released.All(index, library, stop);
                    var cut = new CutAlready(all);
                    var films = new List<WaitingFilm>();
                    var ids = wanted ?? await waiting.Open(stop);
                    var read = await waiting.Of(ids, false, stop);
                    foreach (var film in await library.All(DocumentKinds.Film, stop))
                    {
                        if (OfFilm(film, read, cut, reader) is { Runs.Count: > 0 } some)
                        {
                            films.Add(some);
                        }
                    }

                    var shown = all.Where(l => wanted is null || l.Load.RunIds().Any(wanted.Contains)).ToList();
                    return TypedResults.Ok(
                        new CuttingView(
                            [.. films.OrderBy(f => f.Since)],
                            [
                                .. shown
                                    .OrderByDescending(l => l.Load.ReleasedAt, StringComparer.Ordinal)
                                    .ThenBy(l => l.Load.Number)
                                    .Take(MostListed)
                                    .Select(l => CardOf(l.Id, l.Load)),
                            ],
                            shown.Count
                        )
                    );
                }
            )
            .WithTags("Plans")
            .WithName("GetCutting");

    private static ReleasedCard CardOf(string id, ReleasedLoad load) =>
        new(id, load.Name, load.Number, load.Of, load.Film.Name, load.Film.Colour, load.ReleasedAt, load.Items.Count, load.Cuts.Count);

    private static WaitingFilm? OfFilm(Stored<Film> film, IReadOnlyList<WaitingRun> runs, CutAlready cut, PlanReader reader)
    {
        var plan = new CutPlan(film.Id);
        var of = runs.Where(r => r.Run.Run.SetUp.NamedFilms().Contains(film.Id, StringComparer.Ordinal))
            .Select(r => (Run: r, Things: reader.Waiting(plan, r, cut).ToList()))
            .Where(r => r.Things.Count > 0 || r.Run.Held.Count > 0 || r.Run.Unset > 0)
            .Select(r => new WaitingOf(
                r.Run.Run.Id,
                r.Run.Run.Run.Name,
                r.Run.Job,
                r.Things.Count,
                r.Things.Sum(t => t.Ink.Area),
                r.Things.Count(t => SeenNow.StateOf(r.Run.Run, t.Piece) == ProofState.Approved),
                r.Run.Held,
                r.Run.Unset,
                r.Run.Since
            ))
            .ToList();
        return of.Count == 0
            ? null
            : new WaitingFilm(
                film.Id,
                film.Document,
                of.Sum(r => r.Pieces),
                of.Sum(r => r.Area),
                of.Sum(r => r.Approved),
                of.Sum(r => r.Held.Count),
                of.Min(r => r.Since),
                of
            );
    }
}
