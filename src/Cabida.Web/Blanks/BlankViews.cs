using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Lengths;
using Cabida.Web.Library;

namespace Cabida.Web.Blanks;

/// <summary>What a typed reading was understood as.</summary>
internal sealed record ReadingEchoView(double? Millimetres, Phrase? Problem, Phrase? Outlier);

/// <summary>A row of the readings.</summary>
internal sealed record DimensionRowView(
    DimensionKind Dimension,
    string Letter,
    string Name,
    MeasuringTool UsualTool,
    bool Needed,
    IReadOnlyList<IReadOnlyList<ReadingEchoView>> Echoes,
    double? Is,
    double? Uncertainty,
    Phrase? Sum);

/// <summary>A blank with everything that was worked out from it.</summary>
internal sealed record BlankView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Blank Blank,
    IReadOnlyList<DimensionRowView> Rows,
    LengthEcho Rim,
    LengthEcho Base,
    LengthEcho Side,
    IReadOnlyList<BlankFinding> Findings,
    IReadOnlyList<WorkedOut> WorksOut,
    IReadOnlyList<Phrase> Sums,
    DrawingView Standing,
    DrawingView? Flat,
    IReadOnlyList<string> UsedBy);

/// <summary>A blank among others on the shelf.</summary>
internal sealed record BlankCard(
    string Id, int Revision, string Name, SurfaceKind Surface, Phrase Size, bool Ready, int Findings, DrawingView Standing, IReadOnlyList<string> UsedBy);

internal sealed class BlankViews(Cabida.Store.Library library) : IViews<Blank, BlankView>
{
    public async Task<BlankView> Of(Stored<Blank> stored, CancellationToken stop)
    {
        var sheet = BlankSheet.Of(stored.Document);
        return new BlankView(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            stored.Document,
            [.. sheet.Rows.Select(RowOf)],
            new(sheet.Rim.Value?.Millimetres, sheet.Rim.Problem),
            new(sheet.Base.Value?.Millimetres, sheet.Base.Problem),
            new(sheet.Side.Value?.Millimetres, sheet.Side.Problem),
            sheet.Findings,
            sheet.WorksOut,
            sheet.Zone?.Sums ?? [],
            DrawingView.Of(StandingDrawing.Of(stored.Document.Surface, sheet)),
            sheet.Wall is { } wall ? DrawingView.Of(FlatDrawing.Of(wall, sheet.Zone)) : null,
            await library.UsedBy(DocumentKinds.Blank, stored.Id, stop));
    }

    public async Task<BlankCard> CardOf(Stored<Blank> stored, CancellationToken stop)
    {
        var sheet = BlankSheet.Of(stored.Document);
        var size = sheet.Zone is { } zone
            ? Phrase.Say($"{zone.Width.Cautious} × {zone.Height.Cautious} to work on")
            : Phrase.Say($"not measured yet");
        return new BlankCard(
            stored.Id, stored.Revision, stored.Document.Name, stored.Document.Surface, size, sheet.Zone is not null, sheet.Findings.Count,
            DrawingView.Of(StandingDrawing.Of(stored.Document.Surface, sheet)), await library.UsedBy(DocumentKinds.Blank, stored.Id, stop));
    }

    private static DimensionRowView RowOf(DimensionResult r) => new(
        r.Row.Kind, r.Row.Letter, r.Row.Name, r.Row.UsualTool, r.Row.Needed,
        [.. r.Echoes.Select(IReadOnlyList<ReadingEchoView> (l) => [.. l.Select(e => new ReadingEchoView(e.Value?.Millimetres, e.Problem, e.Outlier))])],
        r.Is?.Value.Millimetres, r.Is?.Uncertainty.Millimetres, r.Sum);
}
