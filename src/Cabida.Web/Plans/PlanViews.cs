using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Loads;
using Cabida.Core.Measures;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Weeding;

namespace Cabida.Web.Plans;

/// <summary>Something that can be chosen.</summary>
internal sealed record ChoiceView(string Id, string Name);

/// <summary>A stock item that a plan may use.</summary>
/// <param name="Id">The item.</param>
/// <param name="Words">What it is.</param>
/// <param name="Count">How many loads there are of it.</param>
/// <param name="Area">What of one may be cut; square millimetres.</param>
/// <param name="Loads">How many loads of the plan are of it.</param>
/// <param name="IsToBuy">Whether it has to be bought.</param>
internal sealed record PlanStockView(string Id, Phrase Words, int Count, double Area, int Loads, bool IsToBuy);

/// <summary>A thing of a plan, laid or not.</summary>
/// <param name="Id">What it is.</param>
/// <param name="Name">Its name.</param>
/// <param name="Run">Its run.</param>
/// <param name="Job">Its job.</param>
/// <param name="Load">The load it is on, from 1; null for none.</param>
/// <param name="Section">The section it is; 0 for what is whole.</param>
/// <param name="IsSpare">Whether it is more than was ordered.</param>
/// <param name="IsTakenOff">Whether it is left for another day.</param>
/// <param name="IsPinned">Whether it lies where it was put by hand.</param>
/// <param name="Why">Why no load holds it; null otherwise.</param>
internal sealed record PlanThingView(
    ItemId Id,
    string Name,
    string Run,
    string Job,
    int? Load,
    int Section,
    bool IsSpare,
    bool IsTakenOff,
    bool IsPinned,
    Phrase? Why
);

/// <summary>A thing in its place on a load; millimetres from the reach's lower left, y up.</summary>
/// <param name="Id">What it is.</param>
/// <param name="Name">Its name.</param>
/// <param name="InkPath">Its ink.</param>
/// <param name="Box">The box of that.</param>
/// <param name="At">How its ink as it is cut comes there.</param>
/// <param name="IsPinned">Whether it was put there by hand.</param>
/// <param name="IsSpare">Whether it is more than was ordered.</param>
/// <param name="IsMirrored">Whether it is mirrored.</param>
/// <param name="Section">The section it is; 0 for what is whole.</param>
/// <param name="Marks">The middles of its marks.</param>
/// <param name="Fault">What is wrong with where it was put; null for nothing.</param>
internal sealed record PlacedView(
    ItemId Id,
    string Name,
    string InkPath,
    Box Box,
    RigidMotion At,
    bool IsPinned,
    bool IsSpare,
    bool IsMirrored,
    int Section,
    IReadOnlyList<PlanePoint> Marks,
    Phrase? Fault
);

/// <summary>A load of a plan; millimetres from the reach's lower left, y up.</summary>
/// <param name="Number">From 1.</param>
/// <param name="FileId">The id by which its files are asked for.</param>
/// <param name="StockId">The stock item.</param>
/// <param name="Stock">That in words.</param>
/// <param name="IsToBuy">Whether that has to be bought.</param>
/// <param name="Nominal">The carrier, or the film between rollers.</param>
/// <param name="Reach">What is reached.</param>
/// <param name="StockPath">The stock.</param>
/// <param name="GroundPath">Where pieces may lie.</param>
/// <param name="Pieces">What lies there.</param>
/// <param name="Mirroring">What of it is mirrored.</param>
/// <param name="Used">The box of all that is cut.</param>
/// <param name="CutOff">How much of a roll it takes; 0 for what is none.</param>
/// <param name="FileName">The name of its files, without their ending.</param>
/// <param name="Weeds">How it is weeded.</param>
/// <param name="OffCuts">What it leaves that is worth keeping.</param>
internal sealed record PlanLoadView(
    int Number,
    string FileId,
    string StockId,
    Phrase Stock,
    bool IsToBuy,
    Box Nominal,
    Box Reach,
    string StockPath,
    string GroundPath,
    IReadOnlyList<PlacedView> Pieces,
    Mirroring Mirroring,
    Box Used,
    double CutOff,
    string FileName,
    WeedsView Weeds,
    IReadOnlyList<Box> OffCuts
);

/// <summary>A thing that was parted.</summary>
/// <param name="Id">The whole thing.</param>
/// <param name="Name">Its name.</param>
/// <param name="InkPath">Its ink as it is cut.</param>
/// <param name="Box">The box of that.</param>
/// <param name="Joints">Its joints.</param>
/// <param name="Sections">Its sections, numbered, with the box and marks of each.</param>
/// <param name="Lap">How far sections are lapped at joints through ink.</param>
/// <param name="IsByHand">Whether its joints were set by hand.</param>
internal sealed record PartedView(
    ItemId Id,
    string Name,
    string InkPath,
    Box Box,
    IReadOnlyList<Joint> Joints,
    IReadOnlyList<SectionView> Sections,
    double Lap,
    bool IsByHand
);

/// <summary>A section in the coordinates of the whole.</summary>
internal sealed record SectionView(int Number, int Column, int Row, Box Box, IReadOnlyList<PlanePoint> Marks);

/// <summary>What a layout comes to, beside plain rows.</summary>
/// <param name="Density">How much of what is used the things take.</param>
/// <param name="LeastLoads">Fewer loads are not possible.</param>
/// <param name="RowsDensity">The density of plain rows.</param>
/// <param name="RowsLoads">The loads that plain rows take.</param>
/// <param name="Better">How many better layouts were found since the first.</param>
/// <param name="Searches">How many searches were made.</param>
/// <param name="IsInRows">Whether it lies in plain rows.</param>
internal sealed record PlanFiguresView(
    double Density,
    int LeastLoads,
    double RowsDensity,
    int RowsLoads,
    int Better,
    int Searches,
    bool IsInRows
);

/// <summary>A plan as its page shows it.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Revision">Its revision.</param>
/// <param name="ChangedAt">When it was changed last.</param>
/// <param name="Plan">What was chosen.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Film">Its film; null where it is gone.</param>
/// <param name="CutterId">Its cutter.</param>
/// <param name="Cutters">The cutters there are.</param>
/// <param name="Carriers">The carriers of its cutter, and that it has none where it cuts without.</param>
/// <param name="CarrierId">The one that is used.</param>
/// <param name="Stock">What of the stock may be used.</param>
/// <param name="StockProblems">What of it cannot be, and why.</param>
/// <param name="ToBuy">What has to be bought; null for nothing.</param>
/// <param name="ScissorsRoom">The least distance between things; millimetres.</param>
/// <param name="Turning">How they may be turned.</param>
/// <param name="MostTurning">How the film allows it at most.</param>
/// <param name="Key">Tells the layout apart: a release names what was seen.</param>
/// <param name="Figures">What it comes to; null while nothing is laid.</param>
/// <param name="Loads">The loads.</param>
/// <param name="Things">All that waits.</param>
/// <param name="Parted">What was parted.</param>
/// <param name="Held">What is held back, and why.</param>
/// <param name="Changed">What was changed since it was cut.</param>
/// <param name="Unset">How many names are not set yet.</param>
/// <param name="Runs">The runs that it is of, or could be.</param>
/// <param name="Lacks">What is lacking before anything can be laid.</param>
internal sealed record PlanView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    CutPlan Plan,
    string Name,
    Film? Film,
    string CutterId,
    IReadOnlyList<ChoiceView> Cutters,
    IReadOnlyList<ChoiceView> Carriers,
    string CarrierId,
    IReadOnlyList<PlanStockView> Stock,
    IReadOnlyList<Finding> StockProblems,
    Phrase? ToBuy,
    double ScissorsRoom,
    LayTurning Turning,
    LayTurning MostTurning,
    string Key,
    PlanFiguresView? Figures,
    IReadOnlyList<PlanLoadView> Loads,
    IReadOnlyList<PlanThingView> Things,
    IReadOnlyList<PartedView> Parted,
    IReadOnlyList<HeldBack> Held,
    IReadOnlyList<ChangedSince> Changed,
    int Unset,
    IReadOnlyList<ChoiceView> Runs,
    IReadOnlyList<Finding> Lacks
);

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
            read.Lacks
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
