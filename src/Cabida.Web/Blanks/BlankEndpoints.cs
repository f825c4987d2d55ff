using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using Cabida.Store;
using Cabida.Web.Library;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Blanks;

/// <summary>A new blank.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Surface">How its surface is shaped.</param>
/// <param name="Outline">The outline of a flat one; null for others.</param>
/// <param name="JobId">The job it is for, when for one only.</param>
internal sealed record NewBlank(string Name, SurfaceKind Surface, OutlineKind? Outline = null, string? JobId = null);

internal static class BlankEndpoints
{
    public static void MapBlanks(this RouteGroupBuilder api)
    {
        var blanks = api.MapGroup("/blanks").WithTags("Shelf");
        blanks
            .MapGet("", async Task<Ok<Listing<BlankCard>>> (Cards cards, CancellationToken stop) =>
                TypedResults.Ok(
                    await cards.Of(
                        DocumentKinds.Blank,
                        b => Task.FromResult(BlankViews.CardOf(b)),
                        (card, used) => card with { UsedBy = used },
                        follows: false,
                        stop
                    )
                )
            )
            .WithName("ListBlanks");

        blanks
            .MapPost(
                "",
                async Task<Ok<BlankView>> (
                    NewBlank wanted,
                    Cabida.Store.Library library,
                    IViews<Blank, BlankView> views,
                    CancellationToken stop
                ) => TypedResults.Ok(await library.AddShown(DocumentKinds.Blank, Unmeasured(wanted), views, stop))
            )
            .WithName("AddBlank");

        blanks
            .MapPost(
                "/{id}/copy",
                async Task<Results<Ok<BlankView>, NotFound>> (
                    string id,
                    Cabida.Store.Library library,
                    IViews<Blank, BlankView> views,
                    CancellationToken stop
                ) =>
                    await library.Find(DocumentKinds.Blank, id, stop) is { } from
                        ? TypedResults.Ok(
                            await library.AddShown(
                                DocumentKinds.Blank,
                                from.Document with
                                {
                                    Name = from.Document.Name + ", altered",
                                    Retired = false,
                                },
                                views,
                                stop
                            )
                        )
                        : TypedResults.NotFound()
            )
            .WithName("CopyBlank");

        blanks
            .MapGet(
                "/{id}/zones/{zone}/moved",
                async Task<Results<Ok<ZoneStands>, NotFound>> (
                    string id,
                    string zone,
                    string? size,
                    double right,
                    double up,
                    Cabida.Store.Library library,
                    CancellationToken stop
                ) =>
                    await library.Find(DocumentKinds.Blank, id, stop) is { } blank
                    && Math.Abs(right) <= MostMoved
                    && Math.Abs(up) <= MostMoved
                    && BlankSheet.Of(blank.Document).SizeOf(size ?? "").ZoneOf(zone) is { } laid
                    && ZoneMove.By(laid, right, up) is { } stands
                        ? TypedResults.Ok(stands)
                        : TypedResults.NotFound()
            )
            .WithName("MoveZone");

        blanks.MapLibrary<Blank, BlankView>(DocumentKinds.Blank);
    }

    /// <summary>Nothing is moved further than goods are large; millimetres.</summary>
    private const double MostMoved = 5000;

    /// <summary>A blank with a line for each dimension, nothing read, and a zone whose margins suit most goods of its kind.</summary>
    private static Blank Unmeasured(NewBlank wanted)
    {
        var (name, margins) = wanted.Surface switch
        {
            SurfaceKind.Straight or SurfaceKind.Tapered or SurfaceKind.Bellied => (
                "Wrap",
                new ZoneMargins(TypedLength.Mm(10), TypedLength.Mm(10), TypedLength.Mm(8), TypedLength.Mm(8))
            ),
            SurfaceKind.Garment => ("Front", ZoneMargins.All(TypedLength.Mm(40))),
            SurfaceKind.Framed => ("Pane", ZoneMargins.All(TypedLength.Mm(10))),
            _ => ("Front", ZoneMargins.All(TypedLength.Mm(6))),
        };
        var zone = new ZoneSpec("zone-1", name) { Margins = margins };
        var blank = new Blank(wanted.Name, wanted.Surface, [])
        {
            Zones = [zone with { Place = new Place { From = wanted.Surface == SurfaceKind.Garment ? Datum.Collar : Datum.Middle } }],
            Outline = new PanelOutline { Kind = wanted.Outline ?? OutlineKind.Rectangle },
            JobId = wanted.JobId,
        };
        return blank with
        {
            Measured =
            [
                .. DimensionRows.Of(blank).Select(r => new MeasuredDimension(r.Kind, [new ReadingLine(r.UsualTool, [])]) { Of = r.Of }),
            ],
        };
    }
}
