using Cabida.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Web.Library;

/// <summary>Something found by name.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it is called.</param>
internal sealed record Found(string Kind, string Id, string Name);

internal static class FindEndpoints
{
    private const int MostFound = 30;

    public static void MapFinding(this RouteGroupBuilder api) =>
        api.MapGet("/find", async Task<Ok<List<Found>>> (string words, CabidaContext db, CancellationToken stop) =>
            {
                var kinds = DocumentKinds.All.Select(k => k.Kind).ToList();
                var all = await db
                    .Documents.AsNoTracking()
                    .Where(d => kinds.Contains(d.Kind))
                    .Select(d => new Found(d.Kind, d.Id, d.Name))
                    .ToListAsync(stop);
                return TypedResults.Ok(
                    all.Where(f => f.Name.Contains(words.Trim(), StringComparison.CurrentCultureIgnoreCase))
                        .OrderBy(f => f.Name, StringComparer.CurrentCulture)
                        .Take(MostFound)
                        .ToList()
                );
            })
            .WithName("Find");
}
