using System.Globalization;
using System.Text;
using Cabida.Core.Checking;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Inks;
using Cabida.Web.Runs;
using Cabida.Web.Weeding;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Motifs;

/// <summary>A name in a face that is tried.</summary>
internal sealed record TriedNameView(
    string Name,
    IReadOnlyList<InkView> Inks,
    Box? Box,
    double LetterHeight,
    string State,
    IReadOnlyList<Phrase> Findings
);

/// <summary>A face tried on names, with the facts that decide.</summary>
internal sealed record TriedFaceView(
    string TypefaceId,
    IReadOnlyList<TriedNameView> Names,
    double LetterHeight,
    double? ThinnestStroke,
    double? SmallestCounter,
    double Minutes,
    int Findings,
    int Stops,
    GoodsView Goods
);

/// <summary>What a trial is made on.</summary>
/// <param name="Ground">The ground in words.</param>
/// <param name="Zone">The box of the zone; null where there is none, so that all is seen at the size typed.</param>
/// <param name="Names">The names: of the runs that use the motif the longest, the shortest and the most awkward; else the sample.</param>
/// <param name="From">Where the names come from.</param>
/// <param name="Letters">Every letter of all names of those runs, each once.</param>
internal sealed record TrialView(string Ground, Box? Zone, IReadOnlyList<string> Names, string From, string Letters);

internal static class TrialEndpoints
{
    private const int MostNames = 6;

    public static void MapTrials(this RouteGroupBuilder api)
    {
        var trial = api.MapGroup("/motifs/{id}/trial").WithTags("Motifs");
        trial
            .MapGet(
                "",
                async Task<Results<Ok<TrialView>, NotFound>> (
                    string id,
                    Cabida.Store.Library library,
                    GroundReader grounds,
                    LibraryIndex index,
                    CancellationToken stop
                ) =>
                {
                    if (await library.Find(DocumentKinds.Motif, id, stop) is not { Document: var motif })
                    {
                        return TypedResults.NotFound();
                    }

                    var ground = await grounds.Read(motif.Ground, stop);
                    var referring = (await index.Referring(DocumentKinds.Run, DocumentKinds.Motif, stop))[id];
                    var runs = (await library.Some(DocumentKinds.Run, referring, stop))
                        .Where(r => r.Document.SetUp.Motif?.Id == id && r.Document.List.Pieces.Count > 0)
                        .ToList();
                    List<string> all =
                    [
                        .. runs.SelectMany(r => r.Document.List.Pieces).Select(p => p.Name).Distinct(StringComparer.Ordinal),
                    ];
                    var names = Telling(all);
                    var lists = string.Join(", ", runs.Select(r => r.Document.Name));
                    return TypedResults.Ok(
                        new TrialView(
                            ground.View.Name,
                            ground.Zone?.Bounds,
                            names.Count > 0 ? names : [MotifViews.SampleOf(motif)],
                            names.Count > 0 ? $"the longest, the shortest and the most awkward of {lists}" : "the name it is seen with",
                            string.Concat(
                                (names.Count > 0 ? all : [MotifViews.SampleOf(motif)])
                                    .SelectMany(n => n.EnumerateRunes())
                                    .Where(r => !Rune.IsWhiteSpace(r))
                                    .Distinct()
                            )
                        )
                    );
                }
            )
            .WithName("GetTrial");

        trial
            .MapGet(
                "/{partId}/{typefaceId}",
                async Task<Results<Ok<TriedFaceView>, NotFound>> (
                    string id,
                    string partId,
                    string typefaceId,
                    string[] names,
                    string? film,
                    Cabida.Store.Library library,
                    GroundReader grounds,
                    ITypefaces faces,
                    AtHand atHand,
                    InkFactsCache facts,
                    WeedingMemory weeding,
                    CancellationToken stop
                ) =>
                {
                    if (
                        await library.Find(DocumentKinds.Motif, id, stop) is not { Document: var motif }
                        || faces.Find(typefaceId) is null
                        || names.Length is 0 or > MostNames
                    )
                    {
                        return TypedResults.NotFound();
                    }

                    var ground = await grounds.Read(motif.Ground, stop);
                    var cut =
                        film is { Length: > 0 } && await library.Find(DocumentKinds.Film, film, stop) is { } chosen
                            ? chosen.Document
                            : await MotifBasis.FirstFilm(library, stop);
                    var tried = TypeTrial.Of(
                        MotifBasis.Of(motif, ground, cut, atHand),
                        partId,
                        typefaceId,
                        names,
                        facts,
                        WeedingEstimate.Bare(await weeding.Read(stop))
                    );
                    return TypedResults.Ok(
                        new TriedFaceView(
                            typefaceId,
                            [
                                .. tried.Names.Select(n => new TriedNameView(
                                    n.Name,
                                    [.. n.Fit.Films.Select(f => InkView.Of(f, cut))],
                                    Box.Of(n.Fit.Ink),
                                    n.Fit.LetterHeight,
                                    n.Fit.State.ToString().ToLowerInvariant(),
                                    [.. n.Piece.Findings.Select(f => f.Message)]
                                )),
                            ],
                            tried.LetterHeight,
                            tried.ThinnestStroke,
                            tried.SmallestCounter,
                            tried.Minutes,
                            tried.Findings,
                            tried.Stops,
                            GoodsView.OrCard(ground.View.Goods, cut)
                        )
                    );
                }
            )
            .WithName("TryTypeface");
    }

    /// <summary>The longest, the shortest, and the one with most letters that are not plain.</summary>
    private static List<string> Telling(List<string> names)
    {
        static int Letters(string n) => new StringInfo(n).LengthInTextElements;
        var awkward = names
            .OrderByDescending(n => n.Count(c => c > 127) + n.Count(char.IsPunctuation))
            .ThenBy(n => n, StringComparer.Ordinal)
            .FirstOrDefault();
        return [.. new[] { names.MaxBy(Letters), names.MinBy(Letters), awkward }.OfType<string>().Distinct(StringComparer.Ordinal)];
    }
}
