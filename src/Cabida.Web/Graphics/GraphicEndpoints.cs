using System.Collections.Concurrent;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Tracing;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using Cabida.Formats.Graphics;
using Cabida.Formats.Pictures;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Graphics;

/// <summary>A piece of a graphic as it can be pointed at; millimetres at the size of the file, y up.</summary>
/// <param name="Index">Its number in the file.</param>
/// <param name="Colour">Its colour.</param>
/// <param name="Path">Its filled outlines.</param>
/// <param name="Lines">Its outlines that do not close.</param>
internal sealed record GraphicPieceView(int Index, string Colour, string Path, string Lines);

/// <summary>
/// A graphic of the library. Weight is about how thick its strokes are, twice its area by the length of its outline, and
/// null where nothing is filled; Doubled is how many of its outlines seem to be traced twice.
/// </summary>
internal sealed record GraphicView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Graphic Graphic,
    Box? Box,
    IReadOnlyList<GraphicPieceView> Pieces,
    double? Weight,
    int Doubled,
    IReadOnlyList<string> UsedBy
);

/// <summary>How a picture is to be traced.</summary>
internal sealed record PictureTrace(
    string PictureId,
    string Name,
    int Colours,
    double Threshold,
    bool WithoutBackground,
    double Specks,
    bool ByOpacity = false
);

/// <summary>What tracing would give: paths in pixels, y down; and whether some of the picture is clear.</summary>
internal sealed record PictureTraceView(
    double Width,
    double Height,
    IReadOnlyList<GraphicPieceView> Pieces,
    Phrase? Problem,
    bool HasClear
);

/// <summary>
/// A graphic among others. In its picture, pieces of one colour that follow one another are one; its index is that of the first.
/// </summary>
internal sealed record GraphicCard(string Id, int Revision, Graphic Graphic, Box? Box, IReadOnlyList<GraphicPieceView> Paths);

internal sealed class GraphicViews(Cabida.Store.Library library, IGraphics graphics, InkCache cache, InkPaths paths)
    : IViews<Graphic, GraphicView>
{
    private const double DoubledWithin = 0.8;

    public async Task<GraphicView> Of(Stored<Graphic> stored, CancellationToken stop)
    {
        var (views, inks) = PiecesOf(stored.Document);
        var areas = inks.Select(i => i.Area).ToList();
        var (area, length) = (areas.Sum(a => a.Area), areas.Sum(a => a.Length));
        return new GraphicView(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            stored.Document,
            BoxOf(stored.Document, inks),
            views,
            length > 0 ? 2 * stored.Document.Scale * area / length : null,
            areas.Sum(a => DoubledOutlines.Count(a, DoubledWithin / stored.Document.Scale)),
            await library.UsedBy(DocumentKinds.Graphic, stored.Id, stop)
        );
    }

    public GraphicCard CardOf(Stored<Graphic> stored)
    {
        var (views, inks) = PiecesOf(stored.Document);
        return new GraphicCard(
            stored.Id,
            stored.Revision,
            stored.Document,
            BoxOf(stored.Document, inks),
            [
                .. RunsOf(views)
                    .Select(r => new GraphicPieceView(
                        r[0].Index,
                        r[0].Colour,
                        string.Concat(r.Select(v => v.Path)),
                        string.Concat(r.Select(v => v.Lines))
                    )),
            ]
        );
    }

    /// <summary>Pieces of one colour that follow one another.</summary>
    private static IEnumerable<List<GraphicPieceView>> RunsOf(IReadOnlyList<GraphicPieceView> views)
    {
        for (var i = 0; i < views.Count; )
        {
            var run = views.Skip(i).TakeWhile(v => v.Colour == views[i].Colour).ToList();
            yield return run;
            i += run.Count;
        }
    }

    private (IReadOnlyList<GraphicPieceView> Views, IReadOnlyList<PlacedInk> Inks) PiecesOf(Graphic graphic)
    {
        if (graphics.Find(graphic.OutlinesId) is not { } outlines)
        {
            return ([], []);
        }

        var inks = outlines.Pieces.Select((_, i) => PieceInk.Of(outlines, i, graphic.Scale, cache)).ToList();
        string LinesOf(GraphicPiece piece) =>
            string.Concat(
                PieceInk
                    .LinesOf(piece, graphic.Scale)
                    .Select(l => SvgPath.OfLine(l.Select(p => new PlanePoint(p.X * graphic.Scale, p.Y * graphic.Scale)), closed: false))
            );
        return ([.. outlines.Pieces.Select((p, i) => new GraphicPieceView(i, p.Colour, paths.Of(inks[i]), LinesOf(p)))], inks);
    }

    private Box? BoxOf(Graphic graphic, IReadOnlyList<PlacedInk> inks) =>
        Box.Around([
            .. inks.Select(i => i.Box).OfType<Box>(),
            .. (graphics.Find(graphic.OutlinesId)?.Pieces ?? [])
                .SelectMany(p => PieceInk.LinesOf(p, graphic.Scale))
                .SelectMany(l => l)
                .Select(p => new Box(p.X * graphic.Scale, p.Y * graphic.Scale, p.X * graphic.Scale, p.Y * graphic.Scale)),
        ]);
}

internal static class GraphicEndpoints
{
    /// <summary>A little more than a drawing may have, so that the reason can be told.</summary>
    private const long MostBytes = 60_000_000;

    public static void MapGraphics(this RouteGroupBuilder api)
    {
        var group = api.MapGroup("/graphics").WithTags("Graphics");
        group
            .MapGet("", async Task<Ok<Listing<GraphicCard>>> (Listings listings, GraphicViews views, CancellationToken stop) =>
                TypedResults.Ok(await listings.Of(DocumentKinds.Graphic, g => Task.FromResult(views.CardOf(g)), stop))
            )
            .WithName("ListGraphics");

        group
            .MapPost(
                "",
                async Task<Results<Ok<GraphicView>, ProblemHttpResult>> (
                    string name,
                    HttpRequest request,
                    Cabida.Store.Library library,
                    KeptOutlines outlines,
                    IViews<Graphic, GraphicView> views,
                    CancellationToken stop
                ) =>
                {
                    var read = GraphicFile.Read(name, await Body.Read(request, stop));
                    if (read.Problem is { } problem)
                    {
                        return Body.Unusable(problem, "This drawing cannot be used");
                    }

                    var kept = await outlines.Add(read.Value.Pieces, stop);
                    return TypedResults.Ok(
                        await library.AddShown(DocumentKinds.Graphic, GraphicFile.Facts(name, read.Value, kept.Id), views, stop)
                    );
                }
            )
            .WithName("AddGraphic")
            .WithMetadata(new RequestSizeLimitAttribute(MostBytes));

        group.MapLibrary<Graphic, GraphicView>(DocumentKinds.Graphic);
        group
            .MapPost(
                "/trace-preview",
                async Task<Results<Ok<PictureTraceView>, NotFound>> (
                    PictureTrace wanted,
                    Cabida.Store.Pictures pictures,
                    DecodedPictures decoded,
                    CancellationToken stop
                ) =>
                {
                    var traced = await Traced(wanted, pictures, decoded, stop);
                    return traced is not { } t
                        ? TypedResults.NotFound()
                        : TypedResults.Ok(
                            new PictureTraceView(
                                t.Picture?.Width ?? 1,
                                t.Picture?.Height ?? 1,
                                [
                                    .. (t.Pieces.ValueOrDefault ?? []).Select(
                                        (p, i) =>
                                            new GraphicPieceView(i, p.Colour, SvgPath.Of(Flat(p), PreviewWithin, t.Picture!.Height), "")
                                    ),
                                ],
                                t.Pieces.Problem,
                                t.Picture?.Opacity is not null
                            )
                        );
                }
            )
            .WithName("PreviewTrace");

        group
            .MapPost(
                "/from-picture",
                async Task<Results<Ok<GraphicView>, NotFound, ProblemHttpResult>> (
                    PictureTrace wanted,
                    Cabida.Store.Library library,
                    Cabida.Store.Pictures pictures,
                    DecodedPictures decoded,
                    KeptOutlines outlines,
                    IViews<Graphic, GraphicView> views,
                    CancellationToken stop
                ) =>
                {
                    if (await Traced(wanted, pictures, decoded, stop) is not { } traced)
                    {
                        return TypedResults.NotFound();
                    }

                    if (traced.Pieces.Problem is { } problem)
                    {
                        return Body.Unusable(problem, "This picture cannot be traced");
                    }

                    // A picture states its size only by its resolution.
                    var perPixel = traced.DotsPerInch is { } dpi ? 25.4 / dpi : SupposedPerPixel;
                    var read = new ReadGraphic(
                        [
                            .. traced.Pieces.Value.Select(p =>
                                p with
                                {
                                    Closed =
                                    [
                                        .. p.Closed.Select(c => c.Moved(Motion.Scale(perPixel * traced.Shrunk, perPixel * traced.Shrunk))),
                                    ],
                                }
                            ),
                        ],
                        traced.DotsPerInch is not null,
                        perPixel,
                        "96 dots to the inch",
                        [("96 dots to the inch", 25.4 / 96), ("150 dots to the inch", 25.4 / 150), ("300 dots to the inch", 25.4 / 300)],
                        []
                    );
                    var kept = await outlines.Add(read.Pieces, stop);
                    return TypedResults.Ok(
                        await library.AddShown(DocumentKinds.Graphic, GraphicFile.Facts(wanted.Name, read, kept.Id), views, stop)
                    );
                }
            )
            .WithName("AddTracedGraphic");
    }

    private const double SupposedPerPixel = 25.4 / 96;
    private const double PreviewWithin = 0.3;

    private static NetTopologySuite.Geometries.Geometry Flat(GraphicPiece piece) =>
        Outlines.FromContours(piece.Closed, PreviewWithin, Tolerances.InkTurn, evenOdd: true);

    private static async Task<(
        ColourPicture? Picture,
        double Shrunk,
        double? DotsPerInch,
        Outcome<IReadOnlyList<GraphicPiece>> Pieces
    )?> Traced(PictureTrace wanted, Cabida.Store.Pictures pictures, DecodedPictures decoded, CancellationToken stop)
    {
        if (await pictures.Find(wanted.PictureId, stop) is not { } row)
        {
            return null;
        }

        var read = decoded.Of(row.Id, row.Bytes);
        if (read.Problem is { } problem)
        {
            return (null, 1, row.DotsPerInch, Outcome<IReadOnlyList<GraphicPiece>>.Fail(problem));
        }

        var (picture, shrunk) = read.Value;
        return (
            picture,
            shrunk,
            row.DotsPerInch,
            GraphicTrace.Of(
                picture,
                new GraphicTraceChoice(wanted.Colours, wanted.Threshold, wanted.WithoutBackground, wanted.Specks)
                {
                    ByOpacity = wanted.ByOpacity,
                },
                stop
            )
        );
    }
}

/// <summary>The picture that is being traced, decoded once while its threshold is moved.</summary>
internal sealed class DecodedPictures
{
    private const int MostKept = 3;
    private readonly ConcurrentDictionary<string, Outcome<(ColourPicture Picture, double Shrunk)>> kept = new(StringComparer.Ordinal);

    public Outcome<(ColourPicture Picture, double Shrunk)> Of(string id, byte[] file)
    {
        if (kept.Count > MostKept)
        {
            kept.Clear();
        }

        return kept.GetOrAdd(id, _ => ColourReader.Read(file));
    }
}
