using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Library;

namespace Cabida.Web.Blanks;

/// <summary>What a typed reading was understood as.</summary>
internal sealed record ReadingEchoView(double? Millimetres, Phrase? Problem, Phrase? Outlier);

/// <summary>What a field of a zone or kept-clear place was understood as.</summary>
internal sealed record FieldEchoView(string Field, double? Millimetres, Phrase? Problem)
{
    public static IReadOnlyList<FieldEchoView> Of(IReadOnlyList<FieldEcho> echoes) =>
        [.. echoes.Select(e => new FieldEchoView(e.Field, e.Value?.Millimetres, e.Problem))];
}

/// <summary>A row of the readings.</summary>
internal sealed record DimensionRowView(
    DimensionKind Dimension,
    string Of,
    string Face,
    string Letter,
    string Name,
    MeasuringTool UsualTool,
    bool Needed,
    IReadOnlyList<IReadOnlyList<ReadingEchoView>> Echoes,
    double? Is,
    double? Uncertainty,
    Phrase? Sum
);

/// <summary>What the readings of a length of a place amount to.</summary>
/// <param name="Field">Which length.</param>
/// <param name="Echoes">What was understood of the further readings, a list per line.</param>
/// <param name="Is">What all amount to.</param>
/// <param name="Uncertainty">How certain that is.</param>
internal sealed record ClearReadingView(
    ClearField Field,
    IReadOnlyList<IReadOnlyList<ReadingEchoView>> Echoes,
    double? Is,
    double? Uncertainty
);

/// <summary>A zone as far as it could be laid out.</summary>
/// <param name="Id">Which.</param>
/// <param name="Echoes">What was understood of its fields.</param>
/// <param name="Box">The box of its nominal shape on the drawing laid flat.</param>
/// <param name="Width">Its cautious width; null when there is none.</param>
/// <param name="Height">Its cautious height.</param>
/// <param name="Problem">Why there is none.</param>
/// <param name="Sums">Where its figures come from.</param>
/// <param name="Stands">Where it stands on its surface.</param>
internal sealed record ZoneView(
    string Id,
    IReadOnlyList<FieldEchoView> Echoes,
    Box? Box,
    double? Width,
    double? Height,
    Phrase? Problem,
    IReadOnlyList<Phrase> Sums,
    ZoneStands? Stands
);

/// <summary>A face of a size with an outline of its own.</summary>
/// <param name="Id">Which.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Drawing">It with its readings and zones; null while too little was read.</param>
internal sealed record OwnFaceView(string Id, string Name, DrawingView? Drawing);

/// <summary>One size of a blank.</summary>
/// <param name="Size">Its name; empty where there is but one.</param>
/// <param name="Standing">It as it stands; of a cloth thing its front.</param>
/// <param name="Behind">Of a cloth thing its back.</param>
/// <param name="Flat">It laid flat with its zones.</param>
/// <param name="Faces">Its faces with an outline of their own.</param>
/// <param name="Zones">Its zones.</param>
/// <param name="WorksOut">What follows from its readings.</param>
internal sealed record SizeView(
    string Size,
    DrawingView Standing,
    DrawingView? Behind,
    DrawingView? Flat,
    IReadOnlyList<OwnFaceView> Faces,
    IReadOnlyList<ZoneView> Zones,
    IReadOnlyList<WorkedOut> WorksOut
);

/// <summary>A blank with everything that was worked out from it.</summary>
internal sealed record BlankView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Blank Blank,
    IReadOnlyList<DimensionRowView> Rows,
    IReadOnlyList<IReadOnlyList<FieldEchoView>> KeptClear,
    IReadOnlyList<IReadOnlyList<ClearReadingView>> ClearReadings,
    Phrase? StripProblem,
    IReadOnlyList<Finding> Findings,
    IReadOnlyList<SizeView> Sizes,
    IReadOnlyList<string> UsedBy,
    IReadOnlyList<string> Jobs
);

/// <summary>A blank as it stands on the shelf.</summary>
internal sealed record BlankCard(
    string Id,
    int Revision,
    string Name,
    SurfaceKind Surface,
    Phrase Room,
    double Width,
    double Height,
    bool Ready,
    int Findings,
    DrawingView Standing,
    IReadOnlyList<string> Tags,
    string Material,
    string? PictureId,
    bool Retired,
    string? JobId,
    IReadOnlyList<string> UsedBy
);

internal sealed class BlankViews(Cabida.Store.Library library, LibraryIndex index) : IViews<Blank, BlankView>
{
    public async Task<BlankView> Of(Stored<Blank> stored, CancellationToken stop)
    {
        var blank = stored.Document;
        var sheet = BlankSheet.Of(blank);
        return new BlankView(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            blank,
            [.. sheet.Rows.Select(RowOf)],
            [.. sheet.KeptClear.Select(k => FieldEchoView.Of(k.Echoes))],
            [
                .. sheet.KeptClear.Select(
                    IReadOnlyList<ClearReadingView> (k) =>
                        [
                            .. k.Readings.Select(r => new ClearReadingView(
                                r.Field,
                                EchoesOf(r.Echoes),
                                r.Is?.Value.Millimetres,
                                r.Is?.Uncertainty.Millimetres
                            )),
                        ]
                ),
            ],
            sheet.StripProblem,
            sheet.Findings,
            [.. sheet.Sizes.Select(s => SizeOf(blank, sheet, s))],
            await library.UsedBy(DocumentKinds.Blank, stored.Id, stop),
            await JobsOf(stored.Id, stop)
        );
    }

    /// <summary>A blank as the shelf shows it; what uses it is told beside.</summary>
    public static BlankCard CardOf(Stored<Blank> stored)
    {
        var blank = stored.Document;
        var sheet = BlankSheet.Of(blank);
        var zone = sheet.Zone;
        var room = zone is null
            ? Phrase.Say($"not measured yet")
            : Phrase.Say($"{zone.Width.Cautious} × {zone.Height.Cautious} to work on");
        return new BlankCard(
            stored.Id,
            stored.Revision,
            blank.Name,
            blank.Surface,
            room,
            zone?.Width.Cautious.Millimetres ?? 0,
            zone?.Height.Cautious.Millimetres ?? 0,
            zone is not null,
            sheet.Findings.Count,
            DrawingView.Of(StandingDrawing.Of(blank, sheet)),
            blank.Tags,
            blank.Material.Name,
            blank.PictureId,
            blank.Retired,
            blank.JobId,
            []
        );
    }

    /// <summary>Names of the jobs whose runs are made on a blank.</summary>
    private async Task<IReadOnlyList<string>> JobsOf(string blankId, CancellationToken stop)
    {
        var runs = (await index.Referring(DocumentKinds.Run, DocumentKinds.Blank, stop))[blankId].ToHashSet(StringComparer.Ordinal);
        var ofJob = await index.Referring(DocumentKinds.Run, DocumentKinds.Job, stop);
        return [.. (await index.Headings(DocumentKinds.Job, stop)).Where(j => ofJob[j.Id].Any(runs.Contains)).Select(j => j.Name)];
    }

    private static SizeView SizeOf(Blank blank, BlankSheet sheet, SizeSheet size) =>
        new(
            size.Size,
            DrawingView.Of(StandingDrawing.Of(blank, sheet, size.Size)),
            StandingDrawing.Behind(sheet, size.Size) is { } behind ? DrawingView.Of(behind) : null,
            FlatDrawing.Of(size) is { } flat ? DrawingView.Of(flat) : null,
            [
                .. size.Faces.Select(f => new OwnFaceView(
                    f.Spec.Id,
                    f.Spec.Name,
                    StandingDrawing.OfFace(sheet, f.Spec, size.Size) is { } drawn ? DrawingView.Of(drawn) : null
                )),
            ],
            [
                .. size.Zones.Select(z => new ZoneView(
                    z.Spec.Id,
                    FieldEchoView.Of(z.Echoes),
                    ZoneMove.OnDrawing(z),
                    z.Zone?.Width.Cautious.Millimetres,
                    z.Zone?.Height.Cautious.Millimetres,
                    z.Problem,
                    z.Zone?.Sums ?? [],
                    z.Stands
                )),
            ],
            size.WorksOut
        );

    private static DimensionRowView RowOf(DimensionResult r) =>
        new(
            r.Row.Kind,
            r.Row.Of,
            r.Row.Face,
            r.Row.Letter,
            r.Row.Name,
            r.Row.UsualTool,
            r.Row.Needed,
            EchoesOf(r.Echoes),
            r.Is?.Value.Millimetres,
            r.Is?.Uncertainty.Millimetres,
            r.Sum
        );

    private static IReadOnlyList<IReadOnlyList<ReadingEchoView>> EchoesOf(IReadOnlyList<IReadOnlyList<ReadingEcho>> lines) =>
        [
            .. lines.Select(
                IReadOnlyList<ReadingEchoView> (l) => [.. l.Select(e => new ReadingEchoView(e.Value?.Millimetres, e.Problem, e.Outlier))]
            ),
        ];
}
