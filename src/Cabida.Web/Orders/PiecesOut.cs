using Cabida.Core.Runs;
using Cabida.Devices.Shop;
using Cabida.Store;
using Cabida.Web.Making;

namespace Cabida.Web.Orders;

/// <summary>How far the pieces of orders are, as whoever ordered them is told.</summary>
internal sealed class PiecesOut(Cabida.Store.Library library, JobStages stages)
{
    /// <summary>All pieces of orders that were taken, order by order.</summary>
    public async Task<IReadOnlyList<ToldPiece>> All(CancellationToken stop)
    {
        var orders = (await library.List(DocumentKinds.Order, stop)).Where(o => o.Read.Ok).Select(o => o.Read.Value.Document);
        var views = await stages.Whole(stop);
        return
        [
            .. from order in orders
            from run in order.Taken?.Runs ?? []
            where views.ContainsKey(run.RunId)
            from piece in views[run.RunId].Pieces
            select new ToldPiece(order.Number, piece.Name, piece.Copies, Said(piece.Stage)),
        ];
    }

    private static string Said(PieceStage stage) => stage.ToString().ToLowerInvariant();
}
