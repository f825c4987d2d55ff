using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Type;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Store.Rows;
using Cabida.Typography;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Typefaces;

/// <summary>A typeface as it is chosen by name: what is known of it before it is opened.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Kind">Its kind.</param>
/// <param name="Script">The script it is made for, beside Latin; empty for Latin alone.</param>
/// <param name="Added">Whether the maker added it.</param>
internal sealed record TypefaceName(string Id, string Name, string Kind, string Script, bool Added);

/// <summary>A typeface with words set in it, one em being 100 high; y up.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Kind">Its kind.</param>
/// <param name="Script">The script it is made for, beside Latin; empty for Latin alone.</param>
/// <param name="Has">What it has beside plain letters.</param>
/// <param name="Lacks">The letters asked about that it lacks.</param>
/// <param name="Added">Whether the maker added it.</param>
/// <param name="SamplePath">The words.</param>
/// <param name="SampleBox">Their box; null where it has none of them.</param>
/// <param name="HasLicence">Whether something is known of its licence.</param>
internal sealed record TypefaceView(
    string Id,
    string Name,
    string Kind,
    string Script,
    IReadOnlyList<string> Has,
    IReadOnlyList<string> Lacks,
    bool Added,
    string SamplePath,
    Box? SampleBox,
    bool HasLicence
);

internal static class TypefaceEndpoints
{
    private const string SampleWord = "Fernhollow";
    private const double SampleSize = 100;
    private const int LongestSample = 60;

    /// <summary>More different letters than a list of names has, outside China and Japan.</summary>
    private const int MostLetters = 1500;

    public static void MapTypefaces(this RouteGroupBuilder api)
    {
        var typefaces = api.MapGroup("/typefaces").WithTags("Stock");
        typefaces
            .MapGet("", Ok<List<TypefaceView>> (string? words, string? letters, LibraryTypefaces faces, InkCache cache) =>
                TypedResults.Ok(faces.All.AsParallel().AsOrdered().Select(f => ViewOf(f, words, letters, faces, cache)).ToList())
            )
            .WithName("ListTypefaces");

        typefaces
            .MapGet("/names", Ok<List<TypefaceName>> (LibraryTypefaces faces) =>
                TypedResults.Ok(faces.All.Select(f => new TypefaceName(f.Id, f.Name, f.Kind, f.Script, f.Added)).ToList())
            )
            .WithName("ListTypefaceNames");

        typefaces
            .MapPost(
                "",
                async Task<Results<Ok<List<TypefaceView>>, ProblemHttpResult>> (
                    string name,
                    HttpRequest request,
                    AddedTypefaces store,
                    LibraryTypefaces faces,
                    InkCache cache,
                    CancellationToken stop
                ) =>
                {
                    var bytes = await Body.Read(request, stop);
                    var read = TypefaceFile.Read(name, bytes);
                    if (read.Problem is { } problem)
                    {
                        return Body.Unusable(problem, "This typeface cannot be used");
                    }

                    var revision = TypefaceFile.RevisionOf(bytes);
                    var added = new List<string>();
                    foreach (var face in read.Value)
                    {
                        var row = new TypefaceRow
                        {
                            Id = IdOf(face.Name, revision),
                            Name = face.Name,
                            Kind = face.Kind,
                            Revision = revision,
                            FaceIndex = face.Index,
                            Licence = face.Licence,
                            Bytes = bytes,
                        };
                        added.Add((await store.Add(row, stop)).Id);
                    }

                    await faces.Reload(store, stop);
                    return TypedResults.Ok(
                        faces.All.Where(f => added.Contains(f.Id)).Select(f => ViewOf(f, null, null, faces, cache)).ToList()
                    );
                }
            )
            .WithName("AddTypeface")
            .WithMetadata(new RequestSizeLimitAttribute(TypefaceFile.MostBytes + 1000));

        typefaces
            .MapDelete(
                "/{id}",
                async Task<Results<NoContent, ProblemHttpResult>> (
                    string id,
                    Cabida.Store.Library library,
                    AddedTypefaces store,
                    LibraryTypefaces faces,
                    CancellationToken stop
                ) =>
                {
                    var usedBy = await library.UsedBy(DocumentKinds.Typeface, id, stop);
                    if (usedBy.Count > 0)
                    {
                        return TypedResults.Problem(
                            $"It is used by {string.Join(", ", usedBy)}. Choose another face there first.",
                            statusCode: StatusCodes.Status409Conflict,
                            title: "In use"
                        );
                    }

                    if (!await store.Offer(id, offered: false, stop))
                    {
                        return TypedResults.Problem(
                            "Only typefaces that you added can be taken away.",
                            statusCode: StatusCodes.Status404NotFound,
                            title: "Not here"
                        );
                    }

                    await faces.Reload(store, stop);
                    return TypedResults.NoContent();
                }
            )
            .WithName("RemoveTypeface");

        typefaces
            .MapPost(
                "/{id}/undo",
                async Task<NoContent> (string id, AddedTypefaces store, LibraryTypefaces faces, CancellationToken stop) =>
                {
                    await store.Offer(id, offered: true, stop);
                    await faces.Reload(store, stop);
                    return TypedResults.NoContent();
                }
            )
            .WithName("UndoTypeface");

        typefaces
            .MapGet("/{id}/licence", Results<ContentHttpResult, NotFound> (string id, LibraryTypefaces faces) =>
                faces.LicenceOf(id) is { } text
                    ? TypedResults.Text(text.Length > 0 ? text : "The file says nothing of a licence. Ask where you got it.")
                    : TypedResults.NotFound()
            )
            .WithName("GetLicence");
    }

    private static TypefaceView ViewOf(TypefaceInfo info, string? words, string? letters, LibraryTypefaces faces, InkCache cache)
    {
        var face = faces.Find(info.Id)!;
        var sample = string.IsNullOrWhiteSpace(words)
            ? info.Sample.Length > 0
                ? info.Sample
                : SampleWord
            : words.Length > LongestSample
                ? words[..LongestSample]
                : words;
        var ink = new LetteringLine(sample, face, LineSetting.Plain, cache).InkAt(SampleSize);
        var lacks = string.IsNullOrEmpty(letters)
            ? []
            : TypefaceTraits.Lacking(face, letters.Length > MostLetters ? letters[..MostLetters] : letters);
        return new TypefaceView(
            info.Id,
            info.Name,
            info.Kind,
            info.Script,
            TypefaceTraits.Of(face),
            lacks,
            info.Added,
            SvgPath.Of(ink, Tolerances.File),
            Box.Of(ink),
            faces.LicenceOf(info.Id) is { Length: > 0 }
        );
    }

    /// <summary>Readable, and never that of another file.</summary>
    private static string IdOf(string name, string revision)
    {
        var words = new StringBuilder();
        foreach (var c in name.ToLowerInvariant())
        {
            words.Append(char.IsAsciiLetterOrDigit(c) ? c : '-');
        }

        return $"{words.ToString().Trim('-')}-{revision[..8]}";
    }
}
