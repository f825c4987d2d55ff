using Cabida.Core.Geometry;
using Cabida.Core.Tracing;
using Cabida.Core.Wording;
using Cabida.Formats.Svg;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Tracing;

/// <summary>An off-cut that was found on a scan.</summary>
/// <param name="Rings">Its outline and its holes, from its lower left; millimetres, y up.</param>
/// <param name="LiesAt">Where that lies from the loading corner; null where no mark was seen.</param>
/// <param name="Path">It as path data, y up.</param>
/// <param name="Width">Its width.</param>
/// <param name="Height">Its height.</param>
/// <param name="Holes">How many holes it has.</param>
internal sealed record OffCutView(
    IReadOnlyList<IReadOnlyList<PlanePoint>> Rings,
    PlanePoint? LiesAt,
    string Path,
    double Width,
    double Height,
    int Holes
);

/// <summary>The off-cuts of a scan.</summary>
/// <param name="OffCuts">They, the largest first.</param>
/// <param name="Notes">What is worth saying.</param>
internal sealed record OffCutsView(IReadOnlyList<OffCutView> OffCuts, IReadOnlyList<Phrase> Notes);

internal static class OffCutEndpoints
{
    public static void MapOffCuts(this RouteGroupBuilder api) =>
        api.MapPost(
                "/pictures/{id}/off-cuts",
                async Task<Results<Ok<OffCutsView>, NotFound, ProblemHttpResult>> (
                    string id,
                    string? dots,
                    Cabida.Store.Pictures store,
                    CancellationToken stop
                ) =>
                {
                    if (await store.Find(id, stop) is not { } picture)
                    {
                        return TypedResults.NotFound();
                    }

                    var resolution = string.IsNullOrWhiteSpace(dots) ? picture.DotsPerInch : Resolutions.Read(dots);
                    if (resolution is not { } perInch)
                    {
                        return Body.Unusable(
                            Phrase.Say($"Type the resolution the scan was made at, in dots an inch: often 300."),
                            "Something is missing"
                        );
                    }

                    var scale = PictureScale.OfScan(perInch, picture.Height);
                    if (scale.Problem is { } wrong)
                    {
                        return Body.Unusable(wrong, "This picture cannot be used");
                    }

                    var found = await Task.Run(
                        () => TraceEndpoints.Follow(picture.Bytes, scale.Value, new TraceSettings(LineEdge.Outer, 0, 0.1, []), stop),
                        stop
                    );
                    return found.Problem is { } problem
                        ? Body.Unusable(problem, "Nothing to follow")
                        : TypedResults.Ok(View(ScannedOffCuts.Of(found.Value), found.Value));
                }
            )
            .WithTags("Pictures")
            .WithName("FindOffCuts");

    private static OffCutsView View(IReadOnlyList<ScannedOffCut> offCuts, TraceResult found) =>
        new(
            [
                .. offCuts.Select(o =>
                {
                    var box = Box.Of(Outlines.Ring(o.Rings[0]))!.Value;
                    return new OffCutView(
                        o.Rings,
                        o.LiesAt,
                        string.Concat(o.Rings.Select(r => SvgPath.OfLine(r, closed: true))),
                        box.Width,
                        box.Height,
                        o.Rings.Count - 1
                    );
                }),
            ],
            [
                .. found.Notes,
                .. offCuts.Count > 0 && offCuts[0].LiesAt is null
                    ? (Phrase[])
                        [
                            Phrase.Say(
                                $"The mark of the loading corner was not seen, so it is not known where they lie on their carrier. They "
                                    + $"are kept as shapes, and laid into the corner."
                            ),
                        ]
                    : [],
            ]
        );
}
