using Cabida.Core.Checking;
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
/// <param name="Pieces">How many pieces it makes.</param>
/// <param name="Todo">What is still to do, in a few words; empty when it can be cut.</param>
/// <param name="First">Its first piece, when it can be set.</param>
/// <param name="Ground">What it stands on.</param>
internal sealed record RunCard(string Id, string Name, string Blank, int Pieces, string Todo, PieceView? First, DrawingBox? Ground);

/// <summary>A zone and its surface as little as a slip needs: paths, box and colour.</summary>
internal sealed record DrawingBox(double MinX, double MinY, double MaxX, double MaxY, string Edge, string Zone, GoodsView Goods);

/// <summary>An order with its runs.</summary>
internal sealed record JobView(string Id, int Revision, DateTime ChangedAt, Job Job, IReadOnlyList<RunCard> Runs);

internal sealed class JobViews(
    Cabida.Store.Library library,
    RunReader reader,
    FittedPieces fitted,
    DrawnInks inks,
    InkFactsCache facts,
    Listings listings
) : IViews<Job, JobView>
{
    public async Task<JobView> Of(Stored<Job> stored, CancellationToken stop)
    {
        var runs = (await library.All(DocumentKinds.Run, stop)).Where(r => r.Document.SetUp.JobId == stored.Id);
        var cards = new List<RunCard>();
        foreach (var run in runs)
        {
            // One run that cannot be worked out leaves the others of its job as they are.
            var card = await listings.Try(() => CardOf(run, stop), stop);
            cards.Add(
                card.ValueOrDefault
                    ?? new RunCard(
                        run.Id,
                        run.Document.Name,
                        "",
                        run.Document.Pieces.Count,
                        $"Cannot be worked out. {card.Problem}",
                        null,
                        null
                    )
            );
        }

        return new JobView(stored.Id, stored.Revision, stored.ChangedAt, stored.Document, cards);
    }

    private async Task<RunCard> CardOf(Stored<Run> run, CancellationToken stop)
    {
        var read = await reader.Read(run, stop);
        var blank = read.Blank?.Name ?? "";
        if (read.Ground is null)
        {
            return new RunCard(run.Id, run.Document.Name, blank, run.Document.Pieces.Count, read.Lacks[0].Message.ToString(), null, null);
        }

        var first = fitted.Of(read, run.Document.Pieces[0]);
        return new RunCard(
            run.Id,
            run.Document.Name,
            blank,
            run.Document.Pieces.Count,
            "",
            PieceView.Of(first, read, inks, facts),
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
