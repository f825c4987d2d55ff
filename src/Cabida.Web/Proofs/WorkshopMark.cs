using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Formats.Proofs;
using Cabida.Store;

namespace Cabida.Web.Proofs;

/// <summary>Reads the maker's own settings and the outlines of their mark.</summary>
internal sealed class WorkshopMark(Cabida.Store.Library library, IGraphics graphics)
{
    /// <summary>How many letters a colour has without how much of it is seen; the mark is printed whole.</summary>
    private const int OpaqueColour = 7;

    public async Task<(Workshop Workshop, IReadOnlyList<ColouredInk> Mark)> Read(CancellationToken stop)
    {
        var workshop = (await library.Find(DocumentKinds.Workshop, Workshop.Only, stop))?.Document ?? Workshop.Unnamed;
        var graphic = workshop.MarkId.Length == 0 ? null : await library.Find(DocumentKinds.Graphic, workshop.MarkId, stop);
        var pieces = graphic is null ? [] : graphics.Find(graphic.Document.OutlinesId)?.Pieces ?? [];
        return (
            workshop,
            [
                .. pieces
                    .Select(p => new ColouredInk(
                        Outlines.FromContours(p.Closed, Tolerances.Ink, Tolerances.InkTurn, p.Rule == FillRule.EvenOdd),
                        p.Colour[..OpaqueColour]
                    ))
                    .Where(i => !i.Ink.IsEmpty),
            ]
        );
    }
}
