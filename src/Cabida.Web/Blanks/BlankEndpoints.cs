using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using Cabida.Store;
using Cabida.Web.Library;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Blanks;

/// <summary>A new blank.</summary>
internal sealed record NewBlank(string Name, SurfaceKind Surface);

internal static class BlankEndpoints
{
    public static void MapBlanks(this RouteGroupBuilder api)
    {
        var blanks = api.MapGroup("/blanks").WithTags("Shelf");
        blanks.MapGet("", async Task<Ok<List<BlankCard>>> (Cabida.Store.Library library, CancellationToken stop) =>
        {
            var views = new BlankViews(library);
            var cards = new List<BlankCard>();
            foreach (var stored in await library.All(DocumentKinds.Blank, stop))
            {
                cards.Add(await views.CardOf(stored, stop));
            }

            return TypedResults.Ok(cards);
        }).WithName("ListBlanks");

        blanks.MapPost("", async Task<Ok<BlankView>> (NewBlank wanted, Cabida.Store.Library library, IViews<Blank, BlankView> views, CancellationToken stop) =>
            TypedResults.Ok(await views.Of(await library.Add(DocumentKinds.Blank, Unmeasured(wanted), stop: stop), stop))).WithName("AddBlank");

        blanks.MapPost("/{id}/copy", async Task<Results<Ok<BlankView>, NotFound>> (
            string id, Cabida.Store.Library library, IViews<Blank, BlankView> views, CancellationToken stop) =>
            await library.Find(DocumentKinds.Blank, id, stop) is { } from
                ? TypedResults.Ok(await views.Of(await library.Add(DocumentKinds.Blank, from.Document with { Name = from.Document.Name + ", altered" }, stop: stop), stop))
                : TypedResults.NotFound()).WithName("CopyBlank");

        blanks.MapLibrary<Blank, BlankView>(DocumentKinds.Blank);
    }

    /// <summary>A blank with a line for each dimension, nothing read, and margins that suit most goods.</summary>
    private static Blank Unmeasured(NewBlank wanted) => new(
        wanted.Name,
        wanted.Surface,
        [.. DimensionRows.Of(wanted.Surface).Select(r => new MeasuredDimension(r.Kind, [new ReadingLine(r.UsualTool, [])]))],
        new ClearMargins(TypedLength.Mm(10), TypedLength.Mm(10), TypedLength.Mm(8)));
}
