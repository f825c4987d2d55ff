using Cabida.Formats.Pictures;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Pictures;

/// <summary>A picture or scan in the library.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Width">Pixels across.</param>
/// <param name="Height">Pixels down.</param>
/// <param name="DotsPerInch">Its resolution, where the file or the scanner states one.</param>
/// <param name="Proven">Whether the scanner that made it vouches for that.</param>
internal sealed record PictureView(string Id, int Width, int Height, double? DotsPerInch, bool Proven);

internal static class PictureEndpoints
{
    /// <summary>A plain PNG of a hundred million pixels of paper stays below this.</summary>
    public const long MostBytes = 220_000_000;

    private const int WidestPreview = 2400;

    public static void MapPictures(this RouteGroupBuilder api)
    {
        var pictures = api.MapGroup("/pictures").WithTags("Pictures");
        pictures
            .MapPost(
                "",
                async Task<Results<Ok<PictureView>, ProblemHttpResult>> (
                    HttpRequest request,
                    Cabida.Store.Pictures store,
                    CancellationToken stop
                ) => await Add(await Body.Read(request, stop), store, null, stop)
            )
            .WithName("AddPicture")
            .WithMetadata(new RequestSizeLimitAttribute(MostBytes));

        pictures
            .MapGet(
                "/{id}",
                async Task<Results<FileContentHttpResult, NotFound>> (
                    string id,
                    int? width,
                    HttpContext http,
                    Cabida.Store.Pictures store,
                    CancellationToken stop
                ) =>
                {
                    if (await store.Find(id, stop) is not { } picture)
                    {
                        return TypedResults.NotFound();
                    }

                    // It never changes under its id.
                    http.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
                    var small = width is { } w ? PicturePreview.Of(picture.Bytes, Math.Clamp(w, 16, WidestPreview)) : null;
                    return small is { } s ? TypedResults.File(s.File, s.MediaType) : TypedResults.File(picture.Bytes, picture.MediaType);
                }
            )
            .WithName("GetPicture");
    }

    /// <summary>Keeps a picture once its head tells that it can be used; a resolution that is given is the scanner's own.</summary>
    public static async Task<Results<Ok<PictureView>, ProblemHttpResult>> Add(
        byte[] bytes,
        Cabida.Store.Pictures store,
        double? dotsPerInch,
        CancellationToken stop
    )
    {
        var head = PictureHead.Read(bytes);
        if (head.Problem is { } problem)
        {
            return Body.Unusable(problem, "This picture cannot be used");
        }

        var kept = await store.Add(
            bytes,
            head.Value.MediaType,
            head.Value.Width,
            head.Value.Height,
            dotsPerInch ?? head.Value.DotsPerInch,
            dotsPerInch is not null,
            stop
        );
        return TypedResults.Ok(new PictureView(kept.Id, kept.Width, kept.Height, kept.DotsPerInch, kept.Proven));
    }
}
