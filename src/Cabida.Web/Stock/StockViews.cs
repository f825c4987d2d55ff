using Cabida.Core.Cutting;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Web.Library;

namespace Cabida.Web.Stock;

/// <summary>
/// A film with what is wrong in it, what its limits would be were none typed but its thinnest stroke, and the thinnest stroke of its
/// material.
/// </summary>
internal sealed record FilmView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Film Film,
    FilmLimits Usual,
    double UsualStroke,
    IReadOnlyList<Finding> Problems,
    IReadOnlyList<string> UsedBy
);

/// <summary>What a cutter makes of a square on a carrier, as it was measured.</summary>
/// <param name="CarrierId">The carrier; the word for none where it cuts without.</param>
/// <param name="Across">What it makes of 1 across.</param>
/// <param name="Along">What it makes of 1 along.</param>
/// <param name="SkewDegrees">By how much a line along leans to the right.</param>
/// <param name="NinetyIsWritten">What is written for 90 across, so that 90 come out; millimetres.</param>
internal sealed record CarrierTruth(string CarrierId, double Across, double Along, double SkewDegrees, double NinetyIsWritten);

/// <summary>A cutter with what is wrong in it, and what it was proved to make of a square.</summary>
internal sealed record CutterView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Cutter Cutter,
    IReadOnlyList<Finding> Problems,
    IReadOnlyList<string> UsedBy,
    IReadOnlyList<CarrierTruth> Truths
);

/// <summary>
/// A press with what is wrong in it, and how much hotter it is than it shows in degrees Celsius: 0 where it was never measured.
/// </summary>
internal sealed record PressView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Press Press,
    double OffBy,
    IReadOnlyList<Finding> Problems,
    IReadOnlyList<string> UsedBy
);

/// <summary>A stock item as it is drawn; a shape that cannot be read is null.</summary>
/// <param name="Id">The item.</param>
/// <param name="Path">Its shape as path data, y up, from its lower left.</param>
/// <param name="Width">Its width; millimetres.</param>
/// <param name="Length">Its length.</param>
/// <param name="Area">Its area; square millimetres.</param>
internal sealed record StockShape(string Id, string? Path, double? Width, double? Length, double? Area)
{
    public static StockShape Of(StockItem item)
    {
        if (item.Shape().ValueOrDefault is not { } shape || Box.Of(shape) is not { } box)
        {
            return new StockShape(item.Id, null, null, null, null);
        }

        return new StockShape(item.Id, SvgPath.Of(shape, Tolerances.File), box.Width, box.Height, shape.Area);
    }
}

/// <summary>What there is of a film, drawn, with what is wrong in it, and what a square metre costs as far as that is known.</summary>
internal sealed record FilmStockView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    FilmStock Stock,
    IReadOnlyList<StockShape> Shapes,
    IReadOnlyList<Finding> Problems,
    decimal? SquareMetre
);

internal sealed class FilmStockViews : IViews<FilmStock, FilmStockView>
{
    public Task<FilmStockView> Of(Stored<FilmStock> stored, CancellationToken stop) =>
        Task.FromResult(
            new FilmStockView(
                stored.Id,
                stored.Revision,
                stored.ChangedAt,
                stored.Document,
                [.. stored.Document.Items.Select(StockShape.Of)],
                StockProblems.Of(stored.Document),
                stored.Document.SquareMetre()
            )
        );

    /// <summary>The film is the one under whose id it is kept.</summary>
    public Task<FilmStock> Tidy(FilmStock incoming, FilmStock stored, CancellationToken stop) =>
        Task.FromResult(incoming with { FilmId = stored.FilmId });
}

internal sealed class FilmViews(Cabida.Store.Library library) : IViews<Film, FilmView>
{
    public async Task<FilmView> Of(Stored<Film> stored, CancellationToken stop) =>
        new(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            stored.Document,
            FilmLimits.Of(stored.Document.WithUsualLimits()),
            FilmLimits.UsualStroke(stored.Document.Material),
            StockProblems.Of(stored.Document),
            await library.UsedBy(DocumentKinds.Film, stored.Id, stop)
        );
}

internal sealed class PressViews(Cabida.Store.Library library) : IViews<Press, PressView>
{
    public async Task<PressView> Of(Stored<Press> stored, CancellationToken stop) =>
        new(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            stored.Document,
            stored.Document.OffBy,
            StockProblems.Of(stored.Document),
            await library.UsedBy(DocumentKinds.Press, stored.Id, stop)
        );
}

internal sealed class CutterViews(Cabida.Store.Library library) : IViews<Cutter, CutterView>
{
    public async Task<CutterView> Of(Stored<Cutter> stored, CancellationToken stop) =>
        new(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            stored.Document,
            StockProblems.Of(stored.Document),
            await library.UsedBy(DocumentKinds.Cutter, stored.Id, stop),
            [
                .. stored
                    .Document.Carriers.Select(c => (c.Id, c.Proved))
                    .Append((CutPlan.Rollers, stored.Document.Rollers.Proved))
                    .Select(p => (p.Item1, Truth: CutterTruth.Of(p.Item2)))
                    .Where(p => !p.Truth.IsTrue)
                    .Select(p => new CarrierTruth(
                        p.Item1,
                        p.Truth.Across,
                        p.Truth.Along,
                        p.Truth.Skew * 180 / Math.PI,
                        90 * p.Truth.Written.A
                    )),
            ]
        );
}
