using Cabida.Core.Checking;
using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Web.Runs;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Web.Loads;

/// <summary>A piece as it is cut on a load.</summary>
internal sealed record CutPlacement(FittedPiece Piece, Box Box, bool Turned, Area Ink);

/// <summary>A load with its ink and the name of its file.</summary>
internal sealed record PlannedLoad(Load Load, string FileName, IReadOnlyList<CutPlacement> Pieces);

/// <summary>A piece that is on no load, and why.</summary>
internal sealed record HeldBack(string PieceId, string Name, Phrase Why);

/// <summary>The loads of a run.</summary>
internal sealed record PlannedRun(
    ReadRun Run,
    Job Job,
    IReadOnlyList<FittedPiece> All,
    double ReachWidth,
    double ReachHeight,
    double ScissorsRoom,
    bool Mirrored,
    IReadOnlyList<PlannedLoad> Loads,
    IReadOnlyList<HeldBack> Held,
    IReadOnlyList<Lack> Lacks);

/// <summary>Fits a run and lays its pieces out for its cutter and film.</summary>
internal sealed class LoadPlanner(Cabida.Store.Library library, RunReader reader, FittedPieces fitted)
{
    public async Task<PlannedRun?> Plan(string id, CancellationToken stop)
    {
        if (await reader.Find(id, stop) is not { } run)
        {
            return null;
        }

        var job = (await library.Find(DocumentKinds.Job, run.Run.Document.JobId, stop))?.Document ?? new Job("", "", "");
        var reach = Reach(run);
        var gap = run.Run.Document.ScissorsRoom.Read(LengthRange.Margin);
        List<Lack> lacks = [.. run.Lacks];
        if (run.Cutter is null)
        {
            lacks.Add(new("cutter", Phrase.Say($"Choose a cutter, so that its reach is known.")));
        }
        else if (reach is null && run.Film is not null)
        {
            lacks.Add(new("cutter", Phrase.Say($"The reach of {run.Cutter.Name:strong} or the sheet of {run.Film.Name:strong} cannot be read. Mend it in the stock, then take the newer one here.")));
        }

        if (gap.Problem is { } unreadable)
        {
            lacks.Add(new("scissorsRoom", unreadable));
        }

        var mirrored = run.Film?.Mirrored == true;
        if (lacks.Count > 0 || reach is not { } area)
        {
            return new PlannedRun(run, job, [], 0, 0, 0, mirrored, [], [], lacks);
        }

        var all = run.Run.Document.Pieces.Select(p => { stop.ThrowIfCancellationRequested(); return fitted.Of(run, p); }).ToList();
        var cut = all.Where(p => p.Fit.MayBeCut).ToDictionary(p => p.Fit.Piece.Id, StringComparer.Ordinal);
        var plan = LoadPlan.Of([.. cut.Values.Select(ItemOf)], area.Width, area.Height, gap.Value.Value.Millimetres);
        return new PlannedRun(
            run, job, all, area.Width, area.Height, gap.Value.Value.Millimetres, mirrored,
            [.. plan.Loads.Select(l => Planned(l, plan, cut, run, job, mirrored))],
            [.. all.Where(p => !p.Fit.MayBeCut).Select(WhyHeld), .. plan.TooLarge.Select(t => TooLarge(t, cut[t.PieceId], area))],
            []);
    }

    /// <summary>What the cutter reaches of a sheet of the film.</summary>
    private static (double Width, double Height)? Reach(ReadRun run)
    {
        if (run.Cutter is not { } cutter || run.Film is not { } film)
        {
            return null;
        }

        double Read(TypedLength typed) => typed.OrZero(LengthRange.Object).Millimetres;
        var (width, height) = (Math.Min(Read(cutter.ReachWidth), Read(film.Width)), Math.Min(Read(cutter.ReachLength), Read(film.Length)));
        return width > 0 && height > 0 ? (width, height) : null;
    }

    private static LoadItem ItemOf(FittedPiece piece)
    {
        var box = Box.Of(piece.Fit.Ink)!.Value;
        return new LoadItem(piece.Fit.Piece.Id, box.Width, box.Height);
    }

    private static PlannedLoad Planned(Load load, LoadPlan plan, Dictionary<string, FittedPiece> cut, ReadRun run, Job job, bool mirrored) => new(
        load,
        CutSvg.FileName(job.Name, run.Run.Document.Name, load.Number, plan.Loads.Count, run.Film!.Name, mirrored),
        [.. load.Placements.Select(p =>
        {
            var ink = LoadInk.Placed(cut[p.PieceId].Fit.Ink, p, mirrored ? plan.ReachWidth : null);
            return new CutPlacement(cut[p.PieceId], Box.Of(ink)!.Value, p.Turned, ink);
        })]);

    private static HeldBack WhyHeld(FittedPiece piece) => new(
        piece.Fit.Piece.Id,
        piece.Fit.Piece.Name,
        piece.Fit.Findings.FirstOrDefault(f => f.Severity == Severity.Stop)?.Message ?? Phrase.Say($"There is nothing to cut."));

    private static HeldBack TooLarge(LoadItem item, FittedPiece piece, (double Width, double Height) area) => new(
        item.PieceId, piece.Fit.Piece.Name,
        Phrase.Say($"{Length.Mm(item.Width):strong} × {Length.Mm(item.Height):strong} is larger than what the cutter reaches of a sheet, {Length.Mm(area.Width)} × {Length.Mm(area.Height)}."));
}
