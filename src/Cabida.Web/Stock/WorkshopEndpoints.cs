using Cabida.Core.Findings;
using Cabida.Core.Stock;
using Cabida.Store;
using Cabida.Web.Library;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Stock;

/// <summary>The maker's own settings.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Revision">Its revision.</param>
/// <param name="ChangedAt">When it was changed.</param>
/// <param name="Workshop">What was typed.</param>
/// <param name="Hours">When it is open, Monday first.</param>
/// <param name="Problems">What cannot be used of them.</param>
internal sealed record WorkshopView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Workshop Workshop,
    IReadOnlyList<WorkHours> Hours,
    IReadOnlyList<Finding> Problems
);

internal sealed class WorkshopViews : IViews<Workshop, WorkshopView>
{
    public Task<WorkshopView> Of(Stored<Workshop> stored, CancellationToken stop) =>
        Task.FromResult(
            new WorkshopView(
                stored.Id,
                stored.Revision,
                stored.ChangedAt,
                stored.Document,
                [.. Enumerable.Range(0, WorkHours.Days).Select(stored.Document.HoursOf)],
                StockProblems.Of(stored.Document)
            )
        );
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
