using Cabida.Core.Bench;
using Cabida.Core.Pieces;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using Cabida.Formats.Bench;
using Cabida.Store;
using Cabida.Web.Making;
using Cabida.Web.Weeding;

namespace Cabida.Web.Bench;

/// <summary>What the card has beside loads and places: small bits, how film is lifted, the care note, and the code that opens it.</summary>
internal sealed class BenchExtras(
    Cabida.Store.Library library,
    FilmWasteCache waste,
    LayeredInks inks,
    CareReader care,
    MakingMemory making
)
{
    /// <summary>So many pieces of a run are looked at for the one with the most small bits.</summary>
    private const int MostLookedAt = 12;

    /// <summary>So many bits are numbered in a picture.</summary>
    private const int MostNumbered = 12;

    /// <summary>The card with them.</summary>
    /// <param name="view">The card.</param>
    /// <param name="run">The run.</param>
    /// <param name="book">What is remembered of weeding.</param>
    /// <param name="asked">The address that the card was asked for by.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<BenchView> On(BenchView view, BenchRun run, WeedingBook book, string asked, CancellationToken stop)
    {
        var workshop = (await library.Find(DocumentKinds.Workshop, Workshop.Only, stop))?.Document ?? Workshop.Unnamed;
        var from = workshop.AddressRead ?? asked;
        var address = $"{from}/runs/{run.Run.Id}/bench";
        // What is held back is not lifted.
        var pieces = view.Surfaces.SelectMany(s => s.Pieces).Where(p => p.Loads.Count > 0).ToList();
        var (width, height) = (pieces.Select(p => p.Width).DefaultIfEmpty(0).Max(), pieces.Select(p => p.Height).DefaultIfEmpty(0).Max());
        return view with
        {
            Sizes = SizesReader.Learned(run.Run, await making.Book(stop)),
            Care = await care.LinesOf(run.Run, stop),
            Bits = [.. BitsOf(run, book, stop)],
            Transfer = pieces.Count == 0 ? [] : [.. view.Films.Select(f => TransferWords.Of(f, width, height))],
            Code = new BenchCode(address, CardCode.Of(address), Uri.TryCreate(from, UriKind.Absolute, out var at) && at.IsLoopback),
        };
    }

    private IEnumerable<BenchBits> BitsOf(BenchRun run, WeedingBook book, CancellationToken stop)
    {
        if (run.Run.Basis is null)
        {
            return [];
        }

        return run
            .All.Where(p => p.MayBeCut)
            .Take(MostLookedAt)
            .SelectMany(p => Looked(run.Run, p, book, stop))
            .Where(b => b.Small > 0)
            .GroupBy(b => b.Film, StringComparer.Ordinal)
            .Select(g => g.MaxBy(b => b.Small)!);
    }

    private IEnumerable<BenchBits> Looked(ReadRun run, FittedPiece piece, WeedingBook book, CancellationToken stop)
    {
        stop.ThrowIfCancellationRequested();
        return WasteView
            .Of(run, piece, waste, inks, book)
            .Select(w => new BenchBits(
                piece.Fit.Piece.Name,
                w.Film,
                w.Colour,
                w.Ink,
                w.Box,
                [.. w.Bits.Where(b => b.Area < WasteBits.Small).Take(MostNumbered)],
                w.Weeds.Small
            ));
    }
}
