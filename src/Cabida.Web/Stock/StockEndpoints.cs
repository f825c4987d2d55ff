using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Library;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Stock;

/// <summary>A new film or cutter.</summary>
internal sealed record NewStock(string Name);

internal static class StockEndpoints
{
    public static void MapStock(this RouteGroupBuilder api)
    {
        Map<Film, FilmView>(api.MapGroup("/films").WithTags("Stock"), DocumentKinds.Film, "Film", name => new Film(
            name,
            "#2b3f6b",
            FilmPurpose.Stays,
            false,
            TypedLength.Mm(0.8),
            TypedLength.Mm(300),
            TypedLength.Mm(300),
            new CutSettings("", "", "", "", "1")
        ));
        api.MapGet(
                "/films/{id}/instead-of/{other}",
                async Task<Results<Ok<IReadOnlyList<Phrase>>, NotFound>> (
                    string id,
                    string other,
                    Cabida.Store.Library library,
                    CancellationToken stop
                ) =>
                    await library.Find(DocumentKinds.Film, id, stop) is { } to
                    && await library.Find(DocumentKinds.Film, other, stop) is { } from
                        ? TypedResults.Ok(FilmChange.Between(from.Document, to.Document))
                        : TypedResults.NotFound()
            )
            .WithTags("Stock")
            .WithName("GetFilmChange");
        Map<Cutter, CutterView>(api.MapGroup("/cutters").WithTags("Stock"), DocumentKinds.Cutter, "Cutter", name => new Cutter(
            name,
            TypedLength.Mm(292),
            TypedLength.Mm(292)
        ));
        Map<Press, PressView>(api.MapGroup("/presses").WithTags("Stock"), DocumentKinds.Press, "Press", name => new Press(
            name,
            TypedLength.Mm(380),
            TypedLength.Mm(300)
        ));
        MapFilmStock(api.MapGroup("/stock").WithTags("Stock"));
    }

    /// <summary>What there is of films: made for a film when it is first wanted.</summary>
    private static void MapFilmStock(RouteGroupBuilder group)
    {
        group
            .MapGet(
                "",
                async Task<Ok<Listing<FilmStockView>>> (
                    Listings listings,
                    IViews<FilmStock, FilmStockView> views,
                    CancellationToken stop
                ) => TypedResults.Ok(await listings.Of(DocumentKinds.FilmStock, s => views.Of(s, stop), stop))
            )
            .WithName("ListStock");
        group
            .MapPost(
                "/{filmId}",
                async Task<Results<Ok<FilmStockView>, NotFound>> (
                    string filmId,
                    Cabida.Store.Library library,
                    IViews<FilmStock, FilmStockView> views,
                    CancellationToken stop
                ) =>
                {
                    if (await library.Find(DocumentKinds.Film, filmId, stop) is null)
                    {
                        return TypedResults.NotFound();
                    }

                    if (await library.Find(DocumentKinds.FilmStock, filmId, stop) is null)
                    {
                        // Where another makes it at the same time, theirs stands; what was taken away is begun again.
                        var at = await library.RevisionOf(DocumentKinds.FilmStock, filmId, stop);
                        await library.Make(
                            new UnitOfWork("Keep stock").Put(DocumentKinds.FilmStock, filmId, new FilmStock(filmId, []), at),
                            stop
                        );
                    }

                    return await library.Find(DocumentKinds.FilmStock, filmId, stop) is { } stored
                        ? TypedResults.Ok(await views.Of(stored, stop))
                        : TypedResults.NotFound();
                }
            )
            .WithName("BeginStock");
        group.MapLibrary<FilmStock, FilmStockView>(DocumentKinds.FilmStock);
    }

    private static void Map<T, TView>(RouteGroupBuilder group, DocumentKind<T> kind, string name, Func<string, T> fresh)
        where T : class
    {
        group
            .MapGet("", async Task<Ok<Listing<TView>>> (Listings listings, IViews<T, TView> views, CancellationToken stop) =>
                TypedResults.Ok(await listings.Of(kind, s => views.Of(s, stop), stop))
            )
            .WithName($"List{(name.EndsWith('s') ? $"{name}es" : $"{name}s")}");

        group
            .MapPost(
                "",
                async Task<Ok<TView>> (NewStock wanted, Cabida.Store.Library library, IViews<T, TView> views, CancellationToken stop) =>
                    TypedResults.Ok(await library.AddShown(kind, fresh(wanted.Name), views, stop))
            )
            .WithName($"Add{name}");

        group.MapLibrary<T, TView>(kind);
    }
}
