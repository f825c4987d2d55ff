using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Measures;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Weeding;

namespace Cabida.Web.Plans;

/// <summary>Works plans out as their pages show them.</summary>
internal sealed class PlanViews(PlanReader reader, PlanLayer layer, LibraryIndex index, WaitingRuns waiting, WeedingMemory memory)
    : IViews<CutPlan, PlanView>
{
    public async Task<PlanView> Of(Stored<CutPlan> stored, CancellationToken stop)
    {
        var laid = await layer.Lay(await reader.Read(stored, stop), stop);
        var (read, book) = (laid.Read, await memory.Read(stop));
        var cutters = await index.Headings(DocumentKinds.Cutter, stop);
        return new PlanView(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            stored.Document,
            read.Name,
            read.Film,
            read.CutterId,
            [.. cutters.Select(c => new ChoiceView(c.Id, c.Name))],
            CarriersOf(read.Cutter),
            read.Cutter is null ? "" : PlanPlaces.CarrierOf(read.Plan, read.Cutter)?.Id ?? CutPlan.Rollers,
            [.. laid.Places.Places.Select(p => StockOf(laid, p))],
            laid.Places.Problems,
            ToBuy(laid),
            read.Plan.ScissorsRoomOr(read.ScissorsRoom),
            read.Film is null ? LayTurning.None : PlanProblem.TurningOf(read.Plan, read.Film),
            read.Film is null ? LayTurning.None : PlanProblem.TurningOf(read.Plan with { Turning = null }, read.Film),
            KeyOf(laid),
            FiguresOf(laid),
            [.. laid.Loads.Select(l => LoadOf(laid, l, book))],
            ThingsOf(laid),
            [.. laid.Parted.Parted.DistinctBy(p => p.Thing.Id with { Copy = 1 }).Select(PartedOf)],
            [.. read.Runs.SelectMany(r => r.Held)],
            read.Changed,
            read.Runs.Sum(r => r.Unset),
            await RunsOf(stored.Document, stop),
            read.Lacks,
            UnderOf(laid)
        );
    }

    /// <summary>How things lie under other films; null where none loses ink to them.</summary>
    private static UnderView? UnderOf(LaidPlan laid)
    {
        var under = laid
            .Read.Things.Where(t => t.Id.Copy == 1 && t.Run.Run.SetUp.UnderOf(laid.Read.Plan.FilmId).Way != LayerWay.Stacked)
            .Where(t => t.OnSide.Ink != t.Fit.Films[t.Number].Ink)
            .ToList();
        if (under.Count == 0)
        {
            return null;
        }

        var setIn = under.Where(t => t.Run.Run.SetUp.UnderOf(laid.Read.Plan.FilmId).Way == LayerWay.SetIn).ToList();
        var overlap = setIn.Count > 0 ? setIn.Min(t => t.Run.Run.SetUp.UnderOf(laid.Read.Plan.FilmId).OverlapOr) : 0;
        var thin = under.Where(t => t.OnSide.Thin is not null).ToList();
        var thinnest = thin.MinBy(t => t.OnSide.Thin!.Width);
        return new UnderView(
            setIn.Count == under.Count
                    ? Phrase.Say($"{under.Count} lie under other films: what is over them is set in, {Length.Mm(overlap)} of it on them.")
                : setIn.Count == 0 ? Phrase.Say($"{under.Count} lie under other films and lose what is over them.")
                : Phrase.Say(
                    $"{under.Count} lie under other films and lose what is over them, {setIn.Count} of them but for {Length.Mm(overlap)}."
                ),
            thinnest is null
                ? null
                : Phrase.Say(
                    $"{thin.Count} of them are thinner then than this film bears: {thinnest.Name:strong} comes down to "
                        + $"{Length.Mm(thinnest.OnSide.Thin!.Width):fine}, and it weeds cleanly from "
                        + $"{Length.Mm(FilmLimits.Of(thinnest.Film).Stroke):fine}. Stacked, or with less overlap, they keep more."
                )
        );
    }

    /// <summary>The film is the one that it was begun for, and how many loads of it were released is not for a page to say.</summary>
    public Task<CutPlan> Tidy(CutPlan incoming, CutPlan stored, CancellationToken stop) =>
        Task.FromResult(incoming with { FilmId = stored.FilmId, Released = stored.Released });

    /// <summary>Tells apart how a plan lies, to the place of every thing.</summary>
    public static string KeyOf(LaidPlan laid) =>
        laid.Layout is { } layout
            ? FormattableString.Invariant($"{layout.Key} {layout.Better} {layout.Loads.Count} {layout.Length:R}")
            : "";

    private static IReadOnlyList<ChoiceView> CarriersOf(Cutter? cutter)
    {
        if (cutter is null)
        {
            return [];
        }

        var carriers = cutter.CarriersOr.Select(c => new ChoiceView(c.Id, c.Name));
        return cutter.Rollers.Width.IsEmpty ? [.. carriers] : [.. carriers, new ChoiceView(CutPlan.Rollers, "Without a carrier")];
    }

    private async Task<IReadOnlyList<ChoiceView>> RunsOf(CutPlan plan, CancellationToken stop)
    {
        var ids = (await waiting.Naming(plan.FilmId, stop)).ToHashSet(StringComparer.Ordinal);
        return
        [
            .. (await index.Headings(DocumentKinds.Run, stop)).Where(r => ids.Contains(r.Id)).Select(r => new ChoiceView(r.Id, r.Name)),
        ];
    }

    private static PlanStockView StockOf(LaidPlan laid, PlanPlace place) =>
        new(
            place.Item.Id,
            PlanPlaces.Name(place.Item),
            place.Count,
            place.Area,
            laid.Loads.Count(l => l.Place.Item.Id == place.Item.Id),
            place.IsToBuy
        );

    private static Phrase? ToBuy(LaidPlan laid)
    {
        var bought = laid.Loads.Where(l => l.Place.IsToBuy).ToList();
        if (bought.Count == 0 || laid.Read.Film is not { } film)
        {
            return null;
        }

        var (width, length) = (film.Width.OrZero(LengthRange.Object), film.Length.OrZero(LengthRange.Object));
        return laid.Read.Stock is { Items.Count: > 0 }
            ? Phrase.Say($"What is in stock does not hold all. Buy {bought.Count:strong} more of {width} × {length}.")
            : Phrase.Say($"Nothing of it is in stock yet. Buy {bought.Count:strong} of {width} × {length}, or say what there is.");
    }

    private static PlanFiguresView? FiguresOf(LaidPlan laid)
    {
        if (laid is not { Problem: { } problem, Layout: { Loads.Count: > 0 } layout })
        {
            return null;
        }

        var figures = PlanFigures.Of(problem, layout);
        return new PlanFiguresView(
            figures.Density,
            figures.LeastLoads,
            figures.RowsDensity,
            figures.RowsLoads,
            figures.RowsLeave,
            layout.Better,
            layout.Searches,
            problem.IsInRows
        );
    }

    private static PlanLoadView LoadOf(LaidPlan laid, CutLoad load, WeedingBook book)
    {
        var ground = load.Place.Ground;
        return new PlanLoadView(
            load.Number,
            LoadIds.Of(laid.Read.Id, load.Number),
            load.Place.Item.Id,
            PlanPlaces.Name(load.Place.Item),
            load.Place.IsToBuy,
            ground.Nominal,
            ground.Reach,
            SvgPath.Of(ground.Stock, Tolerances.File),
            SvgPath.Of(ground.Ground, Tolerances.File),
            [
                .. load.Pieces.Select(p => new PlacedView(
                    p.Thing.Id,
                    p.Thing.Name,
                    SvgPath.Of(p.Ink, Tolerances.File),
                    p.Box,
                    p.At.At,
                    laid.Read.Plan.HandOf(p.Thing.Id)?.Pinned is not null,
                    p.Thing.IsSpare,
                    p.Thing.IsMirrored,
                    p.Thing.Id.Section,
                    p.Marks,
                    FaultOf(laid, p)
                )),
            ],
            load.Mirroring,
            Box.Around(load.Pieces.Select(p => p.Box).Concat(load.Weeds.Plans.Select(p => p.Box)))!.Value,
            load.CutOff,
            load.FileName,
            WeedsView.Of(load.Weeds, laid.Read.Film!.Purpose, book, WeedingKey.OfLoad(laid.Read.Id, load.Number)),
            StockAfter.OffCuts(Releasing.StockOf(laid, load))
        );
    }

    private static Phrase? FaultOf(LaidPlan laid, CutPlacement piece) =>
        laid.Faults.FirstOrDefault(f => f.Id == piece.Thing.Id || f.Other == piece.Thing.Id) switch
        {
            null => null,
            { Kind: PlanFaultKind.Outside } f => Phrase.Say(
                $"{piece.Thing.Name:strong} lies {Length.Mm(f.By)} outside of what can be cut."
            ),
            var f => Phrase.Say($"{piece.Thing.Name:strong} lies {Length.Mm(f.By)} too near to what else was pinned."),
        };

    private static IReadOnlyList<PlanThingView> ThingsOf(LaidPlan laid)
    {
        var plan = laid.Read.Plan;
        var jobs = laid.Read.Runs.ToDictionary(r => r.Run.Id, r => r.Job, StringComparer.Ordinal);
        var loads = laid.Loads.SelectMany(l => l.Pieces.Select(p => (p.Thing.Id, l.Number))).ToDictionary(p => p.Id, p => p.Number);
        return
        [
            .. laid.Parted.Things.Select(t => new PlanThingView(
                t.Id,
                t.Name,
                t.Run.Run.Name,
                jobs.GetValueOrDefault(t.Run.Id, ""),
                loads.TryGetValue(t.Id, out var load) ? load : null,
                t.Id.Section,
                t.IsSpare,
                plan.HandOf(t.Id)?.TakenOff == true,
                plan.HandOf(t.Id)?.Pinned is not null,
                laid.Layout?.NotLaid.Contains(t.Id) == true ? WhyNot(laid, t) : null
            )),
        ];
    }

    private static Phrase WhyNot(LaidPlan laid, CutThing thing)
    {
        var most = laid.Places.Places.Select(p => Box.Of(p.Ground.Ground)!.Value).OrderByDescending(b => b.Width * b.Height).ToList();
        return laid.Parted.Problems.TryGetValue(thing.Id, out var problem) ? problem
            : most.Count == 0 ? Phrase.Say($"There is nothing to lay it on: no stock, and no sheet of the film that the cutter reaches.")
            : thing.Ways.Box != WeedBox.None
                ? Phrase.Say(
                    $"It is within reach by itself, but not with the weed box around it. Make its margin smaller, or leave the box out."
                )
            : Phrase.Say(
                $"{Length.Mm(thing.Box.Width)} × {Length.Mm(thing.Box.Height)} find no room on "
                    + $"{Length.Mm(most[0].Width)} × {Length.Mm(most[0].Height)}."
            );
    }

    private static PartedView PartedOf(PartedThing parted) =>
        new(
            parted.Thing.Id,
            parted.Thing.Name,
            SvgPath.Of(parted.Thing.Ink, Tolerances.File),
            parted.Thing.Box,
            parted.Parting.Joints,
            [.. parted.Parting.Sections.Select(s => new SectionView(s.Number, s.Column, s.Row, Box.Of(s.Ink)!.Value, s.Marks))],
            parted.Lap,
            parted.IsByHand
        );
}
