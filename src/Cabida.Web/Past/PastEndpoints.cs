using Cabida.Core.Blanks;
using Cabida.Core.Motifs;
using Cabida.Core.Orders;
using Cabida.Core.Plans;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Store;
using Cabida.Web.Blanks;
using Cabida.Web.Graphics;
using Cabida.Web.Jobs;
using Cabida.Web.Library;
using Cabida.Web.Motifs;
using Cabida.Web.Orders;
using Cabida.Web.Plans;
using Cabida.Web.Runs;
using Cabida.Web.Serving;
using Cabida.Web.Stock;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Past;

/// <summary>What documents were, and those that were removed.</summary>
internal static class PastEndpoints
{
    /// <summary>So many removed documents are shown.</summary>
    private const int MostRemoved = 200;

    public static void AddPast(this IServiceCollection services)
    {
        services.AddScoped<DocumentPast>();
        services.AddScoped<KnownNames>();
        services.AddScoped<PastPictures>();
        Add<Blank, BlankView>(DocumentKinds.Blank);
        Add<Motif, MotifView>(DocumentKinds.Motif);
        Add<Graphic, GraphicView>(DocumentKinds.Graphic);
        Add<Film, FilmView>(DocumentKinds.Film);
        Add<Cutter, CutterView>(DocumentKinds.Cutter);
        Add<Press, PressView>(DocumentKinds.Press);
        Add<Job, JobView>(DocumentKinds.Job);
        Add<Run, RunView>(DocumentKinds.Run);
        Add<Offer, OfferView>(DocumentKinds.Offer);
        Add<Order, OrderView>(DocumentKinds.Order);
        Add<Workshop, WorkshopView>(DocumentKinds.Workshop);
        Add<ReleasedLoad, ReleasedView>(DocumentKinds.Load);

        void Add<T, TView>(DocumentKind<T> kind)
            where T : class => services.AddScoped<IPastOf>(s => ActivatorUtilities.CreateInstance<PastOf<T, TView>>(s, kind));
    }

    public static void MapPast(this RouteGroupBuilder api)
    {
        var past = api.MapGroup("/past").WithTags("Past");
        past.MapGet(
                "/{kind}/{id}",
                async Task<Results<Ok<PastView>, NotFound>> (
                    string kind,
                    string id,
                    DocumentPast documents,
                    LibraryIndex index,
                    IEnumerable<IPastOf> kinds,
                    CancellationToken stop
                ) =>
                {
                    if (Find(kinds, kind) is not { } of || await documents.Of(of.Kind, id, stop) is not [var last, ..] states)
                    {
                        return TypedResults.NotFound();
                    }

                    var name = await index.NameOf(of.Kind, id, stop) ?? await documents.LastNameOf(of.Kind, id, stop);
                    return TypedResults.Ok(new PastView(name, last.Revision, last.IsGone, states));
                }
            )
            .WithName("GetPast");

        past.MapGet(
                "/{kind}/{id}/{revision}",
                async Task<Results<Ok<PastStateView>, NotFound>> (
                    string kind,
                    string id,
                    int revision,
                    int? since,
                    IEnumerable<IPastOf> kinds,
                    CancellationToken stop
                ) =>
                    Find(kinds, kind) is { } of && await of.State(id, revision, since ?? 0, stop) is { } view
                        ? TypedResults.Ok(view)
                        : TypedResults.NotFound()
            )
            .WithName("GetPastState");

        past.MapPost(
                "/{kind}/{id}/{revision}/bring-back",
                async Task<Results<Ok<BroughtBack>, NotFound, ProblemHttpResult>> (
                    string kind,
                    string id,
                    int revision,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    HttpContext http,
                    Cabida.Store.Library library,
                    IEnumerable<IPastOf> kinds,
                    CancellationToken stop
                ) =>
                {
                    if (Find(kinds, kind) is not { } of)
                    {
                        return TypedResults.NotFound();
                    }

                    if (EntityTag.Read(http.Request)?.MadeFrom(await library.RevisionOf(of.Kind, id, stop)) is not { } madeFrom)
                    {
                        return LibraryEndpoints.Unconditional(kind);
                    }

                    var written = await of.BringBack(id, revision, madeFrom, stop);
                    if (written.Refused is not null)
                    {
                        return LibraryEndpoints.Problem(written, kind);
                    }

                    EntityTag.Put(http, written.Revision);
                    return TypedResults.Ok(new BroughtBack(written.Revision));
                }
            )
            .WithName("BringBack");

        api.MapGet("/drawer", async Task<Ok<IReadOnlyList<RemovedDocument>>> (DocumentPast documents, CancellationToken stop) =>
                TypedResults.Ok(await documents.Removed(MostRemoved, stop))
            )
            .WithTags("Past")
            .WithName("GetDrawer");
    }

    private static IPastOf? Find(IEnumerable<IPastOf> kinds, string kind) => kinds.FirstOrDefault(k => k.Kind.Kind == kind);
}
