using Cabida.Core.Stock;
using Cabida.Store;
using Cabida.Web.Library;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Stock;

/// <summary>The maker's own settings.</summary>
internal sealed record WorkshopView(string Id, int Revision, DateTime ChangedAt, Workshop Workshop);

internal sealed class WorkshopViews : IViews<Workshop, WorkshopView>
{
    public Task<WorkshopView> Of(Stored<Workshop> stored, CancellationToken stop) =>
        Task.FromResult(new WorkshopView(stored.Id, stored.Revision, stored.ChangedAt, stored.Document));
}

internal static class WorkshopEndpoints
{
    public static void MapWorkshop(this RouteGroupBuilder api)
    {
        var group = api.MapGroup("/workshops").WithTags("Stock");
        // There is one; it is there from the first time it is asked for.
        group
            .MapGet(
                "",
                async Task<Ok<WorkshopView>> (Cabida.Store.Library library, IViews<Workshop, WorkshopView> views, CancellationToken stop) =>
                    TypedResults.Ok(
                        await views.Of(
                            await library.Find(DocumentKinds.Workshop, Workshop.Only, stop)
                                ?? await library.Add(DocumentKinds.Workshop, Workshop.Unnamed, Workshop.Only, stop: stop),
                            stop
                        )
                    )
            )
            .WithName("GetOwnWorkshop");
        group.MapLibrary<Workshop, WorkshopView>(DocumentKinds.Workshop);
    }
}
