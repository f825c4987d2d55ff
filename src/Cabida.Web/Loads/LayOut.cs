using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using Cabida.Core.Wording;

namespace Cabida.Web.Loads;

/// <summary>Lays the films of pieces out on loads, each with its weed boxes.</summary>
internal sealed class LayOut(FilmWasteCache waste, SharedBoxes boxes)
{
    /// <summary>The loads of pieces, and those that no load holds.</summary>
    public (List<PlannedLoad> Loads, IReadOnlyList<HeldPiece> TooLarge) Of(
        ReadRun run,
        IReadOnlyList<FittedPiece> pieces,
        double gap,
        CancellationToken stop
    )
    {
        var cut = pieces.SelectMany(p => Enumerable.Range(1, p.Fit.Piece.Copies).SelectMany(copy => InksOf(run, p, copy))).ToList();
        var tooLarge = new Dictionary<string, HeldPiece>(StringComparer.Ordinal);
        foreach (var film in cut.GroupBy(c => c.Film))
        {
            var sheet = new Sheet(film.Key, run, gap);
            foreach (var item in sheet.Plan(film).TooLarge)
            {
                var piece = film.First(c => c.Key == item.PieceId).Piece.Fit.Piece;
                tooLarge.TryAdd(piece.Id, sheet.WhyTooLarge(piece.Id, piece.Name, item));
            }
        }

        // A piece of which one film is too large is not cut in part.
        var loads = cut.Where(c => !tooLarge.ContainsKey(c.Piece.Fit.Piece.Id))
            .GroupBy(c => c.Film)
            .SelectMany(film => LoadsOf(new Sheet(film.Key, run, gap), [.. film], stop))
            .ToList();
        return (loads, [.. tooLarge.Values]);
    }

    private static IEnumerable<CutInk> InksOf(ReadRun run, FittedPiece piece, int copy) =>
        piece.Fits.SelectMany(
            (fit, side) =>
                fit
                    .Films.Select((f, number) => (Ink: f, Number: number))
                    .Where(f => !f.Ink.Ink.IsEmpty)
                    .Select(f => new CutInk(piece, fit, f.Ink, f.Number, run.Basis!.FilmOf(f.Ink.Film.FilmId), side, copy))
        );

    private IEnumerable<PlannedLoad> LoadsOf(Sheet sheet, List<CutInk> inks, CancellationToken stop)
    {
        var byKey = inks.ToDictionary(c => c.Key, StringComparer.Ordinal);
        foreach (var load in sheet.Plan(inks).Loads)
        {
            stop.ThrowIfCancellationRequested();
            double? mirror = sheet.Film.Mirrored ? sheet.Reach.Width : null;
            var placed = load.Placements.Select(at => (At: at, Cut: byKey[at.PieceId])).ToList();
            yield return new PlannedLoad(
                load,
                sheet.Film,
                sheet.Reach.Width,
                sheet.Reach.Height,
                "",
                [
                    .. placed.Select(p =>
                    {
                        var ink = LoadInk.Placed(p.Cut.Ink.Ink, p.At, mirror);
                        return new CutPlacement(p.Cut.Piece, p.Cut.Side, Box.Of(ink)!.Value, p.At.Turned, ink);
                    }),
                ],
                WeedsOf(sheet, placed, mirror)
            );
        }
    }

    private LoadWeeds WeedsOf(Sheet sheet, List<(Placement At, CutInk Cut)> placed, double? mirror)
    {
        var wastes = placed.ConvertAll(p =>
            waste.Of(p.Cut.InkKey, p.Cut.Ink.Ink, p.Cut.Ink.Film, p.Cut.Fit.Parts, sheet.Limits, sheet.WaysOf(p.Cut))!
        );
        var ways = sheet.WaysOf(placed[0].Cut);
        var plans = ways.Box switch
        {
            WeedBox.None => [],
            WeedBox.Piece => placed
                .Zip(wastes, (p, w) => w.Plan?.Moved(LoadInk.MotionOf(p.Cut.Ink.Ink, p.At, mirror)))
                .OfType<WastePlan>()
                .ToList(),
            _ => Shared(sheet, placed, ways, mirror),
        };
        return LoadWeeds.Of(ways.Box, plans, wastes, sheet.Limits, placed.ConvertAll(p => LoadInk.Placed(p.Cut.Ink.Ink, p.At, mirror)));
    }

    /// <summary>Boxes round several pieces, planned once for what lies in them.</summary>
    private List<WastePlan> Shared(Sheet sheet, List<(Placement At, CutInk Cut)> placed, WeedWays ways, double? mirror)
    {
        var key = string.Join('|', placed.Select(p => $"{p.Cut.InkKey} {p.At.Box} {p.At.Turned} {p.At.Row}"));
        var plans = boxes.Of($"{ways} {sheet.Limits.Purpose} {key}", () =>
            LoadWaste.Of(
                [.. placed.Select(p => new WeededPiece(p.At, p.Cut.Ink.Ink, InkRows.Of(p.Cut.Ink.Ink, p.Cut.Ink.Film, p.Cut.Fit.Parts)))],
                ways.Box,
                WasteTerms.Of(ways, sheet.Limits.Purpose)
            )
        );
        return mirror is null ? [.. plans] : [.. plans.Select(p => p.Moved(LoadInk.Mirrored(sheet.Reach.Width)))];
    }

    /// <summary>A sheet of a film as a run lays it out.</summary>
    private sealed class Sheet(Film film, ReadRun run, double gap)
    {
        public Film Film => film;

        public FilmLimits Limits { get; } = FilmLimits.Of(film);

        public (double Width, double Height) Reach { get; } = run.Cutter!.ReachOf(film)!.Value;

        public WeedWays WaysOf(CutInk ink) => run.Run.SetUp.WaysOf(ink.Ink.Film.FilmId);

        public LoadPlan Plan(IEnumerable<CutInk> inks)
        {
            List<CutInk> all = [.. inks];
            var ways = WaysOf(all[0]);
            return LoadPlan.Of([.. all.Select(c => c.Item())], Reach.Width, Reach.Height, gap, new WeedRoom(ways.Box, ways.MarginOr));
        }

        public HeldPiece WhyTooLarge(string id, string name, LoadItem item)
        {
            var fits = LoadPlan.Of([item], Reach.Width, Reach.Height, gap).TooLarge.Count == 0;
            var why = fits
                ? Phrase.Say(
                    $"It is within reach by itself, but not with the weed box around it. Make its margin smaller, or leave the box "
                        + $"out."
                )
                : BeyondReach.Said(item.Width, item.Height, film.Name, Reach);
            return new HeldPiece(name, new Finding(Rule.BeyondReach, Severity.Stop, why) { Piece = id });
        }
    }

    /// <summary>The ink of one side and copy of a piece that is cut from one sheet of a film.</summary>
    private sealed record CutInk(FittedPiece Piece, PieceFit Fit, FilmInk Ink, int Number, Film Film, int Side, int Copy)
    {
        public string Key => FormattableString.Invariant($"{Piece.Fit.Piece.Id} {Ink.Film.FilmId} {Ink.Film.Ply} {Side} {Copy}");

        /// <summary>Tells its ink apart from any other.</summary>
        public string InkKey => $"{Fit.Hash} {Number}";

        public LoadItem Item()
        {
            var box = Box.Of(Ink.Ink)!.Value;
            return new LoadItem(Key, box.Width, box.Height);
        }
    }
}
