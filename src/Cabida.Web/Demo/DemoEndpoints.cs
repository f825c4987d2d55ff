using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Demo;

internal static class DemoEndpoints
{
    /// <summary>Brings the demo job into a library that has none of it; what is there already is left alone.</summary>
    public static void MapDemo(this RouteGroupBuilder api) =>
        api.MapPost("/demo", async Task<NoContent> (DemoLibrary demo, CancellationToken stop) =>
            {
                await demo.Add(stop);
                return TypedResults.NoContent();
            })
            .WithName("AddDemo");
}
