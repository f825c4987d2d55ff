using Cabida.Core.Findings;
using Cabida.Core.Stock;
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

/// <summary>A cutter with what is wrong in it.</summary>
internal sealed record CutterView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Cutter Cutter,
    IReadOnlyList<Finding> Problems,
    IReadOnlyList<string> UsedBy
);

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

internal sealed class CutterViews(Cabida.Store.Library library) : IViews<Cutter, CutterView>
{
    public async Task<CutterView> Of(Stored<Cutter> stored, CancellationToken stop) =>
        new(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            stored.Document,
            StockProblems.Of(stored.Document),
            await library.UsedBy(DocumentKinds.Cutter, stored.Id, stop)
        );
}
