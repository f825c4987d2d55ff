using System.Diagnostics;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Store;
using Cabida.Web.Inks;
using Cabida.Web.Library;
using Cabida.Web.Runs;

namespace Cabida.Web.Jobs;

/// <summary>A run among those of its job, with a picture of its first piece.</summary>
/// <param name="Id">Which run.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Blank">The blank's name; empty until one is chosen.</param>
/// <param name="Pieces">How many pieces it makes; null while that is not worked out.</param>
/// <param name="Todo">What is still to do, in a few words; empty when it can be cut.</param>
/// <param name="First">Its first piece, when it can be set.</param>
/// <param name="Ground">What it stands on.</param>
internal sealed record RunCard(string Id, string Name, string Blank, int? Pieces, string Todo, SlipPiece? First, DrawingBox? Ground);

/// <summary>A piece as little as a slip needs.</summary>
internal sealed record SlipPiece(string Name, IReadOnlyList<InkView> Inks);

/// <summary>A zone and its surface as little as a slip needs: paths, box and colour.</summary>
internal sealed record DrawingBox(double MinX, double MinY, double MaxX, double MaxY, string Edge, string Zone, GoodsView Goods);

/// <summary>The runs of jobs as slips show them, within one request.</summary>
internal sealed class RunCards(LibraryIndex index, Cards cards, RunReader reader, FittedPieces fitted, DrawnInks inks)
{
    /// <summary>So long a request works out pictures that are not kept; the others come when it is asked again.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromMilliseconds(400);

    private readonly Stopwatch spent = new();
    private ILookup<string, string>? byJob;

    /// <summary>The runs of a job, the oldest first.</summary>
    public async Task<IReadOnlyList<RunCard>> Of(string jobId, CancellationToken stop)
    {
        byJob ??= await index.Referring(DocumentKinds.Run, DocumentKinds.Job, stop);
        var there = await cards.Kept(DocumentKinds.Run, byJob[jobId].ToHashSet(StringComparer.Ordinal), stop);
        var all = new List<RunCard>();
        foreach (var of in there.Headings)
        {
            var card = there.Find<RunCard>(of, null);
            if (card is null && spent.Elapsed < Patience)
            {
                spent.Start();
                card = await cards.Make(there, of, null, r => CardOf(r, stop), stop);
                spent.Stop();
            }

            all.Add(
                card switch
                {
                    null => new RunCard(of.Id, of.Name, "", null, "", null, null),
                    { Ok: true } => card.Value,
                    // One run that cannot be worked out leaves the others of its job as they are.
                    _ => new RunCard(of.Id, of.Name, "", null, $"Cannot be worked out. {card.Problem}", null, null),
                }
            );
        }

        return all;
    }

    /// <summary>A run as it is, or was.</summary>
    public async Task<RunCard> CardOf(Stored<Run> run, CancellationToken stop)
    {
        var read = await reader.Read(run, stop);
        var (document, blank) = (run.Document, read.Blank?.Name ?? "");
        if (read.Basis is null)
        {
            return new RunCard(run.Id, document.Name, blank, document.Pieces.Count, read.Lacks[0].Message.ToString(), null, null);
        }

        var first = fitted.Of(read, document.Pieces[0]);
        return new RunCard(
            run.Id,
            document.Name,
            blank,
            document.Pieces.Count,
            "",
            new SlipPiece(first.Fit.Piece.Name, inks.Of(first, read)),
            GroundOf(read, read.SurfaceOf(first.Fit.Piece))
        );
    }

    private static DrawingBox GroundOf(ReadRun run, ReadSurface on)
    {
        var drawing = Blanks.DrawingView.Of(on.Flat());
        string Path(Core.Drawings.StrokeKind kind) => string.Concat(drawing.Strokes.Where(s => s.Kind == kind).Select(s => s.Path));
        return new DrawingBox(
            drawing.Box.MinX,
            drawing.Box.MinY,
            drawing.Box.MaxX,
            drawing.Box.MaxY,
            Path(Core.Drawings.StrokeKind.Edge),
            Path(Core.Drawings.StrokeKind.Zone),
            GoodsView.Of(run.Blank?.Material)
        );
    }
}
