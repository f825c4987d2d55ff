using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Making;

/// <summary>What is done when.</summary>
internal static class DayEndpoints
{
    public static void MapDay(this RouteGroupBuilder api) =>
        api.MapGet("/day", async Task<Ok<DayView>> (bool? fromNow, DayPlanner planner, CancellationToken stop) =>
                TypedResults.Ok(await planner.Of(fromNow == true, stop))
            )
            .WithTags("Making")
            .WithName("GetDay");
}
