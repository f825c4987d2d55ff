using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Typography;
using Cabida.Web.Library;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Motifs;

/// <summary>A new motif.</summary>
internal sealed record NewMotif(string Name);

/// <summary>A typeface with a word set in it, one em being 100 high; y up.</summary>
internal sealed record TypefaceView(string Id, string Name, string Kind, string SamplePath, Box SampleBox);

internal static class MotifEndpoints
{
    private const string SampleWord = "Fernhollow";
    private const double SampleSize = 100;

    public static void MapMotifs(this RouteGroupBuilder api)
    {
        var motifs = api.MapGroup("/motifs").WithTags("Motifs");
        motifs.MapGet("", async Task<Ok<List<MotifCard>>> (Cabida.Store.Library library, ITypefaces faces, InkCache cache, CancellationToken stop) =>
        {
            var views = new MotifViews(library, faces, cache);
            var cards = new List<MotifCard>();
            foreach (var stored in await library.All(DocumentKinds.Motif, stop))
            {
                cards.Add(await views.CardOf(stored, stop));
            }

            return TypedResults.Ok(cards);
        }).WithName("ListMotifs");

        motifs.MapPost("", async Task<Ok<MotifView>> (NewMotif wanted, Cabida.Store.Library library, ITypefaces faces, IViews<Motif, MotifView> views, CancellationToken stop) =>
            TypedResults.Ok(await views.Of(await library.Add(DocumentKinds.Motif, Fresh(wanted.Name, faces), stop: stop), stop))).WithName("AddMotif");

        motifs.MapLibrary<Motif, MotifView>(DocumentKinds.Motif);

        var typefaces = api.MapGroup("/typefaces").WithTags("Stock");
        typefaces.MapGet("", Ok<List<TypefaceView>> (ITypefaces faces, InkCache cache) => TypedResults.Ok(faces.All.Select(f =>
        {
            var ink = new LetteringLine(SampleWord, faces.Find(f.Id)!, 0, cache).InkAt(SampleSize);
            return new TypefaceView(f.Id, f.Name, f.Kind, SvgPath.Of(ink, Tolerances.File), Box.Of(ink)!.Value);
        }).ToList())).WithName("ListTypefaces");

        typefaces.MapGet("/{id}/licence", Results<ContentHttpResult, NotFound> (string id) =>
            ShippedTypefaces.LicenceOf(id) is { } text ? TypedResults.Text(text) : TypedResults.NotFound()).WithName("GetLicence");
    }

    /// <summary>One line with the name field, so that there is something to see and to change.</summary>
    private static Motif Fresh(string name, ITypefaces faces) => new(
        name, RowAlignment.Centre,
        [new LetteringPart("part-1", PartPlace.Below, MotifLength.Scales(4), "{name}", faces.All[0].Id, LetteringSize.CapitalHeight, MotifLength.Scales(20), 0)]);
}
