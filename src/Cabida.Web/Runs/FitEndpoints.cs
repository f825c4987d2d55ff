using Cabida.Core.Checking;
using Cabida.Core.Drawings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using Cabida.Web.Blanks;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Runs;

/// <summary>What the pieces of a run stand on.</summary>
/// <param name="Lacks">What is lacking before anything can be set.</param>
/// <param name="Flat">The blank laid flat.</param>
/// <param name="ZoneBox">The box round its cautious zone.</param>
/// <param name="Sums">Where the zone's figures come from.</param>
/// <param name="Pieces">How many pieces there are.</param>
/// <param name="Goods">What artwork is seen against.</param>
internal sealed record FitGroundView(IReadOnlyList<Lack> Lacks, DrawingView? Flat, Box? ZoneBox, IReadOnlyList<Phrase> Sums, int Pieces, GoodsView Goods);

/// <summary>Some of the pieces of a run, in the list's order.</summary>
internal sealed record PiecePage(int From, int Of, IReadOnlyList<PieceView> Pieces);

/// <summary>The pieces of a run as one set.</summary>
/// <param name="Fits">How many fit.</param>
/// <param name="Snug">How many are snug.</param>
/// <param name="Over">How many are over.</param>
/// <param name="NotSet">How many have no ink.</param>
/// <param name="LackLetters">How many would stand well but lack letters.</param>
/// <param name="ToLookAt">The pieces with findings, most serious first.</param>
/// <param name="TightestName">The name that allows the least letter height.</param>
/// <param name="LargestForAll">The letter height at which every piece fits, rounded down to a tenth; null when none is.</param>
internal sealed record SetView(int Fits, int Snug, int Over, int NotSet, int LackLetters, IReadOnlyList<string> ToLookAt, string? TightestName, double? LargestForAll);

internal static class FitEndpoints
{
    private const int MostAtOnce = 50;

    public static void MapFits(this RouteGroupBuilder api)
    {
        var runs = api.MapGroup("/runs/{id}").WithTags("Runs");
        runs.MapGet("/ground", async Task<Results<Ok<FitGroundView>, NotFound>> (string id, RunReader reader, CancellationToken stop) =>
            await reader.Find(id, stop) is not { } run ? TypedResults.NotFound() : TypedResults.Ok(new FitGroundView(
                run.Lacks,
                run.Ground is null ? null : DrawingView.Of(FlatDrawing.Of(run.Laid!, run.Size!)),
                run.Ground?.Zone.Cautious.Bounds,
                run.Ground?.Zone.Sums ?? [],
                run.Run.Document.Pieces.Count,
                GoodsView.Of(run.Blank?.Material)))).WithName("GetGround");

        runs.MapGet("/pieces", async Task<Results<Ok<PiecePage>, NotFound>> (
            string id, int from, int count, RunReader reader, FittedPieces fitted, CancellationToken stop) =>
        {
            if (await reader.Find(id, stop) is not { Ground: not null } run)
            {
                return TypedResults.NotFound();
            }

            var pieces = new List<PieceView>();
            foreach (var piece in run.Run.Document.Pieces.Skip(Math.Max(0, from)).Take(Math.Clamp(count, 1, MostAtOnce)))
            {
                stop.ThrowIfCancellationRequested();
                pieces.Add(PieceView.Of(fitted.Of(run, piece), run));
            }

            return TypedResults.Ok(new PiecePage(from, run.Run.Document.Pieces.Count, pieces));
        }).WithName("GetPieces");

        runs.MapGet("/set", async Task<Results<Ok<SetView>, NotFound>> (string id, RunReader reader, FittedPieces fitted, CancellationToken stop) =>
            await reader.Find(id, stop) is { Ground: not null } run
                ? TypedResults.Ok(SetOf([.. run.Run.Document.Pieces.Select(p => { stop.ThrowIfCancellationRequested(); return fitted.Of(run, p).Fit; })]))
                : TypedResults.NotFound()).WithName("GetSet");
    }

    private static SetView SetOf(List<PieceFit> fits)
    {
        bool LacksLetters(PieceFit f) => f.State is FitState.Fits or FitState.Snug && !f.MayBeCut;
        int Count(FitState state) => fits.Count(f => f.State == state && !LacksLetters(f));
        // A name whose letters are missing says nothing of how large the others may be.
        var whole = fits.Where(f => f.State != FitState.NotSet && f.Findings.All(x => x.Rule != Rule.MissingCharacters)).ToList();
        var tightest = whole.Where(f => f.LargestLetterHeight is not null).MinBy(f => f.LargestLetterHeight);
        var all = whole.All(f => f.LargestLetterHeight is not null);
        return new SetView(
            Count(FitState.Fits), Count(FitState.Snug), Count(FitState.Over), Count(FitState.NotSet), fits.Count(LacksLetters),
            [.. fits.Where(f => f.Findings.Count > 0).OrderBy(f => f.Findings[0].Severity).Select(f => f.Piece.Id)],
            tightest?.Piece.Name,
            all && tightest?.LargestLetterHeight is { } height ? Math.Floor(height * 10) / 10 : null);
    }
}
