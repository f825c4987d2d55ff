using Cabida.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Library;

/// <summary>Turns a stored document into what its page shows.</summary>
internal interface IViews<T, TView>
{
    Task<TView> Of(Stored<T> stored, CancellationToken stop);

    /// <summary>What is kept of a document that came in; the stored one is what it was made from.</summary>
    Task<T> Tidy(T incoming, T stored, CancellationToken stop) => Task.FromResult(incoming);
}

/// <summary>What every kind of document can do: be read, saved as it is typed, removed, undone, redone.</summary>
internal static class LibraryEndpoints
{
    public static void MapLibrary<T, TView>(this RouteGroupBuilder group, DocumentKind<T> kind)
        where T : class
    {
        var name = char.ToUpperInvariant(kind.Kind[0]) + kind.Kind[1..];

        group.MapGet("/{id}", async Task<Results<Ok<TView>, ProblemHttpResult>> (
            string id, Cabida.Store.Library library, IViews<T, TView> views, CancellationToken stop) =>
            await library.Find(kind, id, stop) is { } stored ? TypedResults.Ok(await views.Of(stored, stop)) : Problem(Refusal.Missing, kind.Kind, null))
            .WithName($"Get{name}");

        group.MapPut("/{id}", async Task<Results<Ok<TView>, ProblemHttpResult>> (
            string id, [FromHeader(Name = "If-Match")] int madeFrom, [FromBody] T document,
            Cabida.Store.Library library, IViews<T, TView> views, CancellationToken stop) =>
        {
            var stored = await library.Find(kind, id, stop);
            return stored is null
                ? Problem(Refusal.Missing, kind.Kind, null)
                : await Answer(await library.Save(kind, id, madeFrom, await views.Tidy(document, stored.Document, stop), stop), kind, views, stop);
        }).WithName($"Save{name}");

        group.MapDelete("/{id}", async Task<Results<NoContent, ProblemHttpResult>> (string id, Cabida.Store.Library library, CancellationToken stop) =>
        {
            var written = await library.Remove(kind, id, stop);
            return written.Refused is { } refused ? Problem(refused, kind.Kind, written.UsedBy) : TypedResults.NoContent();
        }).WithName($"Remove{name}");

        group.MapPost("/{id}/undo", async Task<Results<Ok<TView>, ProblemHttpResult>> (
            string id, Cabida.Store.Library library, IViews<T, TView> views, CancellationToken stop) =>
            await Answer(await library.Undo(kind, id, stop), kind, views, stop)).WithName($"Undo{name}");

        group.MapPost("/{id}/redo", async Task<Results<Ok<TView>, ProblemHttpResult>> (
            string id, Cabida.Store.Library library, IViews<T, TView> views, CancellationToken stop) =>
            await Answer(await library.Redo(kind, id, stop), kind, views, stop)).WithName($"Redo{name}");
    }

    private static async Task<Results<Ok<TView>, ProblemHttpResult>> Answer<T, TView>(
        Written<T> written, DocumentKind<T> kind, IViews<T, TView> views, CancellationToken stop) =>
        written.Refused is { } refused ? Problem(refused, kind.Kind, written.UsedBy)
        : written.Stored is { } stored ? TypedResults.Ok(await views.Of(stored, stop))
        : Problem(Refusal.Missing, kind.Kind, null);

    private static ProblemHttpResult Problem(Refusal refused, string kind, IReadOnlyList<string>? usedBy) => refused switch
    {
        Refusal.Missing => TypedResults.Problem($"This {kind} is not here any more.", statusCode: StatusCodes.Status404NotFound, title: "Not here"),
        Refusal.Stale => TypedResults.Problem(
            $"This {kind} was changed in another window since it was opened here. Nothing was overwritten.",
            statusCode: StatusCodes.Status412PreconditionFailed, title: "Changed elsewhere"),
        Refusal.InUse => TypedResults.Problem(
            $"It is used by {string.Join(", ", usedBy ?? [])}. Remove it there first.",
            statusCode: StatusCodes.Status409Conflict, title: "In use"),
        Refusal.NothingThere => TypedResults.Problem("There is nothing more to undo or redo here.", statusCode: StatusCodes.Status409Conflict, title: "Nothing there"),
        _ => throw new ArgumentOutOfRangeException(nameof(refused)),
    };
}
