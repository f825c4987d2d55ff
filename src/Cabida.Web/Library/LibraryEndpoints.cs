using Cabida.Core.Findings;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Library;

/// <summary>Turns a stored document into what its page shows.</summary>
internal interface IViews<T, TView>
{
    Task<TView> Of(Stored<T> stored, CancellationToken stop);

    /// <summary>What is kept of a document that came in; the stored one is what it was made from.</summary>
    Task<T> Tidy(T incoming, T stored, CancellationToken stop) => Task.FromResult(incoming);

    /// <summary>Called once a change of a page is kept: what is remembered of it beside the document.</summary>
    Task Kept(T now, T before, CancellationToken stop) => Task.CompletedTask;

    /// <summary>What its page notices and knows remedies for.</summary>
    IEnumerable<Finding> Mendable(TView view) => [];
}

/// <summary>
/// What every kind of document can do: be read, saved as it is typed, removed, undone, redone. A change names the revision it
/// was made from (<c>If-Match</c>), and a document is worked out before it is kept: what cannot be is refused.
/// </summary>
internal static class LibraryEndpoints
{
    /// <summary>More bytes than this are no document.</summary>
    private const long MostBytes = 8_000_000;

    /// <summary>A kind whose page sends it whole.</summary>
    public static void MapLibrary<T, TView>(this RouteGroupBuilder group, DocumentKind<T> kind)
        where T : class => group.MapLibrary<T, TView, T>(kind, (whole, _) => whole);

    /// <summary>A kind whose page sends what it changed.</summary>
    /// <param name="group">Where it is reached.</param>
    /// <param name="kind">The kind.</param>
    /// <param name="onto">What comes in and the document there is (null where it cannot be read) → the document; null when it cannot
    /// be.</param>
    public static void MapLibrary<T, TView, TBody>(this RouteGroupBuilder group, DocumentKind<T> kind, Func<TBody, T?, T?> onto)
        where T : class
        where TBody : class
    {
        var name = char.ToUpperInvariant(kind.Kind[0]) + kind.Kind[1..];

        group
            .MapGet(
                "/{id}",
                async Task<Results<Ok<TView>, ProblemHttpResult>> (
                    string id,
                    HttpContext http,
                    Cabida.Store.Library library,
                    IViews<T, TView> views,
                    Listings listings,
                    CancellationToken stop
                ) =>
                    await library.Find(kind, id, stop) is { } stored
                        ? await Shown(stored, http, views, listings, stop)
                        : Problem(new Written<T>(null, Refusal.Missing), kind.Kind)
            )
            .WithName($"Get{name}");

        group
            .MapPut(
                "/{id}",
                async Task<Results<Ok<TView>, ProblemHttpResult>> (
                    string id,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    [FromBody] TBody sent,
                    HttpContext http,
                    Cabida.Store.Library library,
                    IViews<T, TView> views,
                    Listings listings,
                    CancellationToken stop
                ) =>
                {
                    if (await Condition(kind, id, http, library, stop) is not { } madeFrom)
                    {
                        return Unconditional(kind.Kind);
                    }

                    (int Revision, TView View)? proved = null;
                    var before = await Before(kind, id, library, stop);
                    if (onto(sent, before) is not { } document)
                    {
                        return Problem(new Written<T>(null, Refusal.Missing), kind.Kind);
                    }

                    var tidy = before is null ? document : await views.Tidy(document, before, stop);
                    var written = await library.Save(
                        kind,
                        id,
                        madeFrom,
                        tidy,
                        async s => proved = (s.Revision, await views.Proven(s, stop)),
                        stop
                    );
                    if (written.Refused is null && before is not null)
                    {
                        await views.Kept(tidy, before, stop);
                    }

                    if (written is { Refused: null, Stored: { } stored } && proved is { } p && p.Revision == stored.Revision)
                    {
                        EntityTag.Put(http, stored.Revision);
                        return TypedResults.Ok(p.View);
                    }

                    return await Answer(written, kind, http, views, listings, stop);
                }
            )
            .WithName($"Save{name}")
            .WithMetadata(new RequestSizeLimitAttribute(MostBytes));

        group
            .MapPost(
                "/{id}/preview",
                async Task<Results<Ok<TView>, ProblemHttpResult>> (
                    string id,
                    [FromBody] TBody sent,
                    Cabida.Store.Library library,
                    IViews<T, TView> views,
                    Listings listings,
                    CancellationToken stop
                ) =>
                {
                    if (await library.Find(kind, id, stop) is not { } stored || onto(sent, stored.Document) is not { } document)
                    {
                        return Problem(new Written<T>(null, Refusal.Missing), kind.Kind);
                    }

                    // What would be shown if it were kept; nothing of it is.
                    var tidy = await views.Tidy(document, stored.Document, stop);
                    var view = await listings.Try(() => views.Of(stored with { Document = tidy }, stop), stop);
                    return view.Ok ? TypedResults.Ok(view.Value) : Gate.CannotBeWorkedOut(view.Problem!);
                }
            )
            .WithName($"Preview{name}")
            .WithMetadata(new RequestSizeLimitAttribute(MostBytes));

        group
            .MapDelete(
                "/{id}",
                async Task<Results<NoContent, ProblemHttpResult>> (
                    string id,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    HttpContext http,
                    Cabida.Store.Library library,
                    CancellationToken stop
                ) =>
                {
                    if (await Condition(kind, id, http, library, stop) is not { } madeFrom)
                    {
                        return Unconditional(kind.Kind);
                    }

                    var written = await library.Remove(kind, id, madeFrom, stop);
                    if (written.Refused is not null)
                    {
                        return Problem(written, kind.Kind);
                    }

                    // Of what is gone: with it the removal can be undone.
                    EntityTag.Put(http, written.Revision);
                    return TypedResults.NoContent();
                }
            )
            .WithName($"Remove{name}");

        group
            .MapPost(
                "/{id}/remedies",
                async Task<Results<Ok<TView>, ProblemHttpResult>> (
                    string id,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    RemediesChosen chosen,
                    HttpContext http,
                    IViews<T, TView> views,
                    CancellationToken stop
                ) => await Remedying.Mend<T, TView>(kind, id, chosen, http, async s => views.Mendable(await views.Of(s, stop)), stop)
            )
            .WithName($"Mend{name}");

        MapStep("undo", "Undo", (library, id, madeFrom, stop) => library.Undo(kind, id, madeFrom, stop));
        MapStep("redo", "Redo", (library, id, madeFrom, stop) => library.Redo(kind, id, madeFrom, stop));

        void MapStep(string way, string title, Func<Cabida.Store.Library, string, int, CancellationToken, Task<Written<T>>> step) =>
            group
                .MapPost(
                    $"/{{id}}/{way}",
                    async Task<Results<Ok<TView>, ProblemHttpResult>> (
                        string id,
                        [FromHeader(Name = "If-Match")] string? ifMatch,
                        HttpContext http,
                        Cabida.Store.Library library,
                        IViews<T, TView> views,
                        Listings listings,
                        CancellationToken stop
                    ) =>
                        await Condition(kind, id, http, library, stop) is { } madeFrom
                            ? await Answer(await step(library, id, madeFrom, stop), kind, http, views, listings, stop)
                            : Unconditional(kind.Kind)
                )
                .WithName($"{title}{name}");
    }

    /// <summary>The revision that a request was made from; null when it does not say.</summary>
    private static async Task<int?> Condition(
        DocumentKind kind,
        string id,
        HttpContext http,
        Cabida.Store.Library library,
        CancellationToken stop
    ) => EntityTag.Read(http.Request)?.MadeFrom(await library.RevisionOf(kind, id, stop));

    /// <summary>The document that a change is made to; null when there is none, or it cannot be read and is replaced whole.</summary>
    private static async Task<T?> Before<T>(DocumentKind<T> kind, string id, Cabida.Store.Library library, CancellationToken stop)
        where T : class
    {
        try
        {
            return (await library.Find(kind, id, stop))?.Document;
        }
        catch (NotWorkableException)
        {
            return null;
        }
    }

    private static async Task<Results<Ok<TView>, ProblemHttpResult>> Shown<T, TView>(
        Stored<T> stored,
        HttpContext http,
        IViews<T, TView> views,
        Listings listings,
        CancellationToken stop
    )
    {
        EntityTag.Put(http, stored.Revision);
        var view = await listings.Try(() => views.Of(stored, stop), stop);
        return view.Ok ? TypedResults.Ok(view.Value) : Gate.CannotBeWorkedOut(view.Problem!);
    }

    /// <summary>What became of a write, as the page shows it.</summary>
    internal static async Task<Results<Ok<TView>, ProblemHttpResult>> Answer<T, TView>(
        Written<T> written,
        DocumentKind<T> kind,
        HttpContext http,
        IViews<T, TView> views,
        Listings listings,
        CancellationToken stop
    )
        where T : class =>
        written is { Refused: null, Stored: { } stored } ? await Shown(stored, http, views, listings, stop)
        : written.Refused is null ? Gone(written, kind.Kind, http)
        : Problem(written, kind.Kind);

    /// <summary>An undo or redo that took the document away again.</summary>
    private static ProblemHttpResult Gone<T>(Written<T> written, string kind, HttpContext http)
    {
        EntityTag.Put(http, written.Revision);
        return Problem(new Written<T>(default, Refusal.Missing), kind);
    }

    /// <summary>A change that does not say what it was made from.</summary>
    internal static ProblemHttpResult Unconditional(string kind) =>
        TypedResults.Problem(
            $"A change says which revision of the {kind} it was made from: If-Match with the ETag that it was answered with, as in \"17\".",
            statusCode: StatusCodes.Status428PreconditionRequired,
            title: "Made from what?"
        );

    internal static ProblemHttpResult Problem<T>(Written<T> written, string kind) =>
        written.Refused switch
        {
            Refusal.Missing => TypedResults.Problem(
                $"This {kind} is not here any more.",
                statusCode: StatusCodes.Status404NotFound,
                title: "Not here"
            ),
            Refusal.Stale => TypedResults.Problem(
                $"This {kind} was changed in another window since it was opened "
                    + $"here{(written.Changed is { Count: > 0 } changed ? $" ({string.Join(", ", changed)})" : "")}. Nothing was "
                    + $"overwritten.",
                statusCode: StatusCodes.Status412PreconditionFailed,
                title: "Changed elsewhere",
                extensions: new Dictionary<string, object?> { ["changed"] = written.Changed ?? [], ["revision"] = written.Revision }
            ),
            Refusal.InUse => TypedResults.Problem(
                $"It is used by {string.Join(", ", written.UsedBy ?? [])}. Remove it there first.",
                statusCode: StatusCodes.Status409Conflict,
                title: "In use"
            ),
            Refusal.OvertakenElsewhere => TypedResults.Problem(
                $"The step also changed {string.Join(", ", written.UsedBy ?? [])}, which was changed again since. Take that back there first.",
                statusCode: StatusCodes.Status409Conflict,
                title: "Changed elsewhere"
            ),
            Refusal.Dangling => TypedResults.Problem(
                $"It names something that is not here any more: {string.Join(", ", written.Lacking.Select(NameOf))}. Choose what there is.",
                statusCode: StatusCodes.Status422UnprocessableEntity,
                title: "Not here any more",
                extensions: new Dictionary<string, object?> { ["missing"] = written.Lacking.Select(l => l.To) }
            ),
            Refusal.NothingThere => TypedResults.Problem(
                "There is nothing more to undo or redo here.",
                statusCode: StatusCodes.Status409Conflict,
                title: "Nothing there"
            ),
            _ => throw new ArgumentOutOfRangeException(nameof(written)),
        };

    private static string NameOf(Dangling lacking) =>
        $"the {lacking.To.Kind} {(lacking.Name.Length > 0 ? lacking.Name : $"“{lacking.To.Id}”")}";
}
