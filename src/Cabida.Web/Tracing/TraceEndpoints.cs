using System.ComponentModel.DataAnnotations;
using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Tracing;
using Cabida.Core.Wording;
using Cabida.Formats.PanelOutlines;
using Cabida.Formats.Pictures;
using Cabida.Formats.Svg;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Tracing;

/// <summary>How the size of a picture is known.</summary>
internal enum ScaleBy
{
    /// <summary>A scan of known resolution.</summary>
    Resolution,

    /// <summary>Two points of known distance.</summary>
    TwoPoints,

    /// <summary>Four corners of a sheet of known size.</summary>
    Sheet,
}

/// <summary>What is to be followed on a picture, as typed and marked.</summary>
/// <param name="By">How its size is known.</param>
/// <param name="DotsPerInch">The resolution, as typed.</param>
/// <param name="Points">Marks on the picture in pixels: two points, or four corners in any order.</param>
/// <param name="Distance">How far two points are apart.</param>
/// <param name="SheetWidth">The sheet's width.</param>
/// <param name="SheetHeight">The sheet's height.</param>
/// <param name="Edge">Which edge of a pencil line.</param>
/// <param name="Allowance">How far outside the object the pencil ran.</param>
/// <param name="Smoothing">How far smoothing may move the outline.</param>
/// <param name="Erased">Boxes of stray bits, in pixels.</param>
/// <param name="Straighten">Whether a crooked outline is turned upright.</param>
/// <param name="Lies">How the sheet lies.</param>
/// <param name="Contrast">The share by which drawing is darker than the paper; null to let the picture tell.</param>
internal sealed record TraceRequest(
    ScaleBy By,
    string DotsPerInch,
    IReadOnlyList<PlanePoint> Points,
    TypedLength Distance,
    TypedLength SheetWidth,
    TypedLength SheetHeight,
    LineEdge Edge,
    TypedLength Allowance,
    TypedLength Smoothing,
    IReadOnlyList<Box> Erased,
    bool Straighten,
    SheetLies Lies = SheetLies.AsSeen,
    [property: Range(TraceRequest.LeastContrast, TraceRequest.MostContrast)] double? Contrast = null
)
{
    /// <summary>Less is the grain of paper.</summary>
    public const double LeastContrast = 0.03;

    /// <summary>More is black alone.</summary>
    public const double MostContrast = 0.9;
}

/// <summary>The corners of a sheet that were found on a picture, from the upper left, clockwise; empty where none stands out.</summary>
internal sealed record FoundSheet(IReadOnlyList<PlanePoint> Corners);

/// <summary>An outline that was found.</summary>
/// <param name="Path">As it lies on the picture, in pixels, y down.</param>
/// <param name="Rings">The outline in millimetres.</param>
/// <param name="Width">Its width.</param>
/// <param name="Height">Its height.</param>
/// <param name="Holes">How many holes it has.</param>
/// <param name="IsLine">Whether it was drawn as a line.</param>
/// <param name="LineWidth">How wide that line is.</param>
/// <param name="Problem">Why it cannot be used.</param>
/// <param name="Notes">What is worth saying of it.</param>
internal sealed record FoundOutlineView(
    string Path,
    IReadOnlyList<IReadOnlyList<PlanePoint>> Rings,
    double Width,
    double Height,
    int Holes,
    bool IsLine,
    double? LineWidth,
    Phrase? Problem,
    IReadOnlyList<Phrase> Notes
);

/// <summary>What was found on a picture.</summary>
internal sealed record TraceView(
    IReadOnlyList<FoundOutlineView> Outlines,
    IReadOnlyList<Phrase> Notes,
    double Uncertainty,
    double Contrast,
    string Source
);

internal static class TraceEndpoints
{
    private static readonly TypedLength LeastSmoothing = TypedLength.Mm(0.1);

    public static void MapTracing(this RouteGroupBuilder api)
    {
        api.MapPost(
                "/pictures/{id}/outlines",
                async Task<Results<Ok<TraceView>, NotFound, ProblemHttpResult>> (
                    string id,
                    TraceRequest wanted,
                    Cabida.Store.Pictures store,
                    CancellationToken stop
                ) =>
                {
                    if (await store.Find(id, stop) is not { } picture)
                    {
                        return TypedResults.NotFound();
                    }

                    var scale = Scale(wanted, picture.Width, picture.Height);
                    var settings = Settings(wanted);
                    if ((scale.Problem ?? settings.Problem) is { } wrong)
                    {
                        return Body.Unusable(wrong, "Something is missing");
                    }

                    // Off the request's own thread, so that other requests are answered meanwhile.
                    var found = await Task.Run(() => Follow(picture.Bytes, scale.Value, settings.Value, stop), stop);
                    return found.Problem is { } problem
                        ? Body.Unusable(problem, "Nothing to follow")
                        : TypedResults.Ok(
                            View(
                                found.Value,
                                wanted,
                                [.. Resolutions.Told(wanted, picture.DotsPerInch, picture.Proven), .. Lying(scale.Value)]
                            )
                        );
                }
            )
            .WithTags("Pictures")
            .WithName("FindOutlines");

        api.MapPost(
                "/pictures/{id}/sheet",
                async Task<Results<Ok<FoundSheet>, NotFound, ProblemHttpResult>> (
                    string id,
                    Cabida.Store.Pictures store,
                    CancellationToken stop
                ) =>
                {
                    if (await store.Find(id, stop) is not { } picture)
                    {
                        return TypedResults.NotFound();
                    }

                    var grey = await Task.Run(() => Grey(picture.Bytes, stop), stop);
                    return grey.Problem is { } problem
                        ? Body.Unusable(problem, "This picture cannot be used")
                        : TypedResults.Ok(new FoundSheet(await Task.Run(() => SheetCorners.Of(grey.Value, stop), stop) ?? []));
                }
            )
            .WithTags("Pictures")
            .WithName("FindSheet");

        api.MapPost(
                "/outlines",
                async Task<Results<Ok<DrawnOutline>, ProblemHttpResult>> (string name, HttpRequest request, CancellationToken stop) =>
                {
                    var read = OutlineFile.Read(name, await Body.Read(request, stop));
                    return read.Problem is { } problem ? Body.Unusable(problem, "This file cannot be used") : TypedResults.Ok(read.Value);
                }
            )
            .WithTags("Pictures")
            .WithName("ReadOutlineFile")
            .WithMetadata(new RequestSizeLimitAttribute(30_000_000));
    }

    internal static Outcome<TraceResult> Follow(byte[] file, PictureScale scale, TraceSettings settings, CancellationToken stop)
    {
        var grey = Grey(file, stop);
        return grey.Problem is { } problem ? Outcome<TraceResult>.Fail(problem) : OutlineTrace.Of(grey.Value, scale, settings, stop);
    }

    private static Outcome<GreyPicture> Grey(byte[] file, CancellationToken stop)
    {
        var head = PictureHead.Read(file);
        return head.Problem is { } bad ? Outcome<GreyPicture>.Fail(bad) : GreyReader.Read(file, head.Value, stop);
    }

    private static IEnumerable<Phrase> Lying(PictureScale scale) =>
        scale.LiesAcross ? [Phrase.Say($"The sheet lies across on this picture.")] : [];

    private static Outcome<PictureScale> Scale(TraceRequest wanted, int wide, int height)
    {
        switch (wanted.By)
        {
            case ScaleBy.Resolution:
                return Resolutions.Read(wanted.DotsPerInch) is { } dots
                    ? PictureScale.OfScan(dots, height)
                    : Outcome<PictureScale>.Fail(Phrase.Say($"Type the resolution the scan was made at, in dots an inch: often 300."));
            case ScaleBy.TwoPoints:
                var apart = wanted.Distance.Read(LengthRange.Object);
                return wanted.Points.Count < 2
                        ? Outcome<PictureScale>.Fail(Phrase.Say($"Mark two points on the picture whose distance you know."))
                    : apart.Problem is { } unread ? Outcome<PictureScale>.Fail(Phrase.Say($"How far are the two points apart? {unread}"))
                    : PictureScale.OfTwoPoints(wanted.Points[0], wanted.Points[1], apart.Value.Value, height);
            default:
                var (width, tall) = (wanted.SheetWidth.Read(LengthRange.Object), wanted.SheetHeight.Read(LengthRange.Object));
                return wanted.Points.Count < 4 ? Outcome<PictureScale>.Fail(Phrase.Say($"Mark the four corners of the sheet."))
                    : (width.Problem ?? tall.Problem) is { } size
                        ? Outcome<PictureScale>.Fail(Phrase.Say($"How large is the sheet? {size}"))
                    : PictureScale.OfSheet([.. wanted.Points.Take(4)], width.Value.Value, tall.Value.Value, (wide, height), wanted.Lies);
        }
    }

    private static Outcome<TraceSettings> Settings(TraceRequest wanted)
    {
        var allowance = (wanted.Allowance.IsEmpty ? TypedLength.Mm(0) : wanted.Allowance).Read(LengthRange.Margin);
        var smoothing = (wanted.Smoothing.IsEmpty ? LeastSmoothing : wanted.Smoothing).Read(LengthRange.Margin);
        return (allowance.Problem ?? smoothing.Problem) is { } problem
            ? Outcome<TraceSettings>.Fail(problem)
            : Outcome<TraceSettings>.Of(
                new TraceSettings(wanted.Edge, allowance.Value.Value.Millimetres, smoothing.Value.Value.Millimetres, wanted.Erased)
                {
                    Straighten = wanted.Straighten,
                    Contrast = wanted.Contrast,
                }
            );
    }

    private static TraceView View(TraceResult found, TraceRequest wanted, IReadOnlyList<Phrase> first)
    {
        var how = wanted.By switch
        {
            ScaleBy.Resolution => $"a scan at {wanted.DotsPerInch.Trim()} dots an inch",
            ScaleBy.TwoPoints => "a picture with two points",
            _ => "a photograph of a sheet",
        };
        return new TraceView(
            [
                .. found.Outlines.Select(o =>
                {
                    var box = o.Rings.Count > 0 ? Box.Of(Outlines.Ring(o.Rings[0])) : null;
                    return new FoundOutlineView(
                        string.Concat(o.OnPicture.Select(r => SvgPath.OfLine(r, closed: true))),
                        o.Rings,
                        box?.Width ?? 0,
                        box?.Height ?? 0,
                        Math.Max(0, o.Rings.Count - 1),
                        o.IsLine,
                        o.LineWidth,
                        o.Problem,
                        o.Notes
                    );
                }),
            ],
            [.. first, .. found.Notes],
            found.Uncertainty,
            found.Contrast,
            wanted.Allowance.IsEmpty ? how : $"{how}, {wanted.Allowance.Text.Trim()} taken off for the pencil"
        );
    }
}
