using System.Globalization;
using System.Text.Json;
using Cabida.Core.Cutting;
using Cabida.Core.Geometry;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Formats.Svg;
using Cabida.Store;

namespace Cabida.Web.Plans;

/// <summary>What is released of a plan.</summary>
/// <param name="Key">How the plan lay when it was looked at.</param>
/// <param name="Loads">The numbers of the loads; none for all.</param>
/// <param name="Keep">The off-cuts that are kept, by load and their place among those offered; null for all.</param>
internal sealed record ReleaseWanted(string Key, IReadOnlyList<int> Loads, IReadOnlyList<KeptOffCut>? Keep);

/// <summary>An off-cut that is kept.</summary>
/// <param name="Load">The number of the load.</param>
/// <param name="Index">Which of those it leaves, from 0.</param>
internal sealed record KeptOffCut(int Load, int Index);

/// <summary>Why nothing was released.</summary>
internal sealed record NotReleased(Phrase Why, bool WasOvertaken = false);

/// <summary>How a released load looks.</summary>
/// <param name="Stock">The stock, as path data, y up.</param>
/// <param name="Pieces">Its pieces, in the order of its items.</param>
/// <param name="Waste">Weed boxes and breaks, and marks: lines without a fill.</param>
/// <param name="FilmUntil">How far up the carrier the film reaches; null where that was not kept.</param>
/// <param name="Test">Where it leaves room for a test cut; null for nowhere.</param>
/// <param name="Maps">How sections on it are laid together; null for none.</param>
internal sealed record DrawnLoad(
    string Stock,
    IReadOnlyList<string> Pieces,
    IReadOnlyList<IReadOnlyList<PlanePoint>> Waste,
    double? FilmUntil = null,
    TestCut? Test = null,
    IReadOnlyList<JoiningMap>? Maps = null
);

/// <summary>
/// Releases loads (calculations 6.18): all that they were made from is frozen, the stock gets less, in one change or not at all.
/// </summary>
internal sealed class Releasing(Cabida.Store.Library library, PlanReader reader, PlanLayer layer, KeptCutFiles files, TimeProvider clock)
{
    /// <summary>A test cut stays this far from the edge of what is reached, for knife and skew; millimetres.</summary>
    private const double FromReach = 1;

    private static readonly (string Format, string Units)[] Kinds =
    [
        ("svg", "mm"),
        ("svg", "96"),
        ("svg", "90"),
        ("svg", "72"),
        ("dxf", ""),
        ("dxf-r12", ""),
        ("hpgl", ""),
        ("pdf", ""),
    ];

    /// <summary>A load as far as stock is concerned.</summary>
    public static StockAfter.Load StockOf(LaidPlan laid, CutLoad load)
    {
        var outlines = laid.Problem!.Items.ToDictionary(i => i.Id, i => i.Outline);
        return new StockAfter.Load(
            load.Place,
            [
                .. load.Pieces.Select(p => Outlines.Moved(outlines[p.Thing.Id], p.At.At.Motion)),
                .. load.Weeds.Plans.Select(p => (NetTopologySuite.Geometries.Geometry)Outlines.Rectangle(p.Box)),
            ],
            load.CutOff
        );
    }

    /// <summary>Releases loads of a plan.</summary>
    /// <returns>The ids of the released loads, or why there are none.</returns>
    public async Task<(IReadOnlyList<string> Ids, NotReleased? Refused)?> Release(
        string planId,
        ReleaseWanted wanted,
        CancellationToken stop
    )
    {
        if (await reader.Find(planId, stop) is not { } read)
        {
            return null;
        }

        var laid = await layer.Lay(read, stop);
        var loads = laid.Loads.Where(l => wanted.Loads.Count == 0 || wanted.Loads.Contains(l.Number)).ToList();
        if (WhyNot(laid, loads, wanted) is { } refused)
        {
            return ([], refused);
        }

        var released = new List<ReleasedLoad>();
        foreach (var load in loads)
        {
            var (document, problem) = await Frozen(laid, load, stop);
            if (problem is not null)
            {
                return ([], new NotReleased(Phrase.Say($"Load {load.Number} was not released, and no other: {problem}")));
            }

            released.Add(document!);
        }

        var kept = loads
            .SelectMany((l, i) => StockAfter.OffCuts(StockOf(laid, l)).Select((box, index) => (Load: l.Number, At: i, Index: index, box)))
            .Where(o => wanted.Keep is null || wanted.Keep.Contains(new KeptOffCut(o.Load, o.Index)))
            .Select(o => new LeftOver(o.At, o.box))
            .ToList();
        var ids = released.ConvertAll(_ => Cabida.Store.Library.FreshId());
        var unit = new UnitOfWork(
            released.Count == 1
                ? $"Release load {released[0].Number}"
                : string.Create(CultureInfo.InvariantCulture, $"Release {released.Count} loads")
        );
        for (var i = 0; i < released.Count; i++)
        {
            unit.Put(DocumentKinds.Load, ids[i], released[i], 0);
        }

        var stock = read.Stock ?? new FilmStock(read.Plan.FilmId, []);
        var after = StockAfter.Of(
            stock,
            [.. loads.Select(l => StockOf(laid, l))],
            kept,
            $"Left over from {read.Name}",
            Cabida.Store.Library.FreshId
        );
        unit.Put(DocumentKinds.FilmStock, read.Plan.FilmId, after, read.StockRevision);
        unit.Put(DocumentKinds.Plan, planId, Without(read, released), read.Revision);
        var made = await library.Make(unit, stop);
        return made.Refused is null
            ? (ids, null)
            : (
                [],
                new NotReleased(
                    Phrase.Say($"The plan or its stock was changed meanwhile. Nothing was released; look at it once more."),
                    true
                )
            );
    }

    /// <summary>What is pinned where it cannot be cut, in words; null for nothing.</summary>
    public static Phrase? Pinned(LaidPlan laid) =>
        laid.Faults.Count == 0
            ? null
            : Phrase.Say(
                $"{laid.Parted.Things.FirstOrDefault(t => t.Id == laid.Faults[0].Id)?.Name ?? "":strong} is pinned where it cannot be "
                    + $"cut. Move it, or let it be laid."
            );

    private static NotReleased? WhyNot(LaidPlan laid, List<CutLoad> loads, ReleaseWanted wanted)
    {
        if (loads.Count == 0)
        {
            return new NotReleased(Phrase.Say($"There is nothing to release."));
        }

        if (PlanViews.KeyOf(laid) != wanted.Key)
        {
            return new NotReleased(
                Phrase.Say($"It lies otherwise now than when you looked. Nothing was released; look at it once more."),
                true
            );
        }

        if (Pinned(laid) is { } fault)
        {
            return new NotReleased(fault);
        }

        // Sections of one thing are of one release: parted otherwise later, they would not meet.
        var there = loads.SelectMany(l => l.Pieces).Select(p => p.Thing.Id).ToHashSet();
        var parted = laid
            .Parted.Things.Where(t => t.Section is not null)
            .GroupBy(t => t.Id with { Section = 0 })
            .FirstOrDefault(g => g.Any(t => there.Contains(t.Id)) && !g.All(t => there.Contains(t.Id)));
        return parted is null
            ? null
            : new NotReleased(Phrase.Say($"Sections of {parted.First().Name:strong} lie on other loads. Release those with it."));
    }

    private async Task<(ReleasedLoad? Load, string? Problem)> Frozen(LaidPlan laid, CutLoad load, CancellationToken stop)
    {
        var (read, cut) = (laid.Read, CutFile.Of(laid, load));
        if (cut.Problem is { } wrong)
        {
            return (null, wrong);
        }

        var kept = new List<ReleasedFile>();
        foreach (var (format, units) in Kinds)
        {
            var file = cut.As(WantedFile.Of(format, units.Length > 0 ? units : null).Wanted!);
            if (file.Problem is { } problem)
            {
                return (null, problem);
            }

            var used = file.Read.Used ?? default;
            var name =
                load.FileName
                + (units is "96" or "90" or "72" ? $"_{units}-to-the-inch" : "")
                + (format == "dxf-r12" ? "_r12" : "")
                + file.Ending;
            kept.Add(
                new ReleasedFile(
                    format,
                    units,
                    name,
                    await files.Add(file.Bytes, stop),
                    used.Width,
                    used.Height,
                    file.Read.Outlines,
                    file.Read.Length
                )
            );
        }

        var ground = load.Place.Ground;
        var drawn = new DrawnLoad(
            SvgPath.Of(ground.Stock, Tolerances.File),
            [.. load.Pieces.Select(p => SvgPath.Of(p.Ink, Tolerances.File))],
            [.. cut.Drawing.Lines.Where(l => l.Kind != CutLineKind.Ink).Select(l => l.Points(Tolerances.File))],
            ground.Stock.EnvelopeInternal.MaxY,
            TestCut.In(
                Outlines.Within(ground.Stock, Outlines.Rectangle(ground.Reach.Grown(-FromReach))),
                [
                    .. StockOf(laid, load).Taken,
                    .. load
                        .Pieces.SelectMany(p => p.MarkCuts)
                        .Select(m => Box.Around(m.Lines.SelectMany(l => l.Points(Tolerances.File)).Select(At)))
                        .Select(b => Outlines.Rectangle(b!.Value)),
                ]
            ),
            MapsOf(laid, load)
        );
        var cutter = read.Cutter!;
        var jobs = read.Runs.ToDictionary(r => r.Run.Id, r => r.Job, StringComparer.Ordinal);
        return (
            new ReleasedLoad(
                read.Id,
                load.Number,
                laid.Loads.Count,
                NameOf(load, jobs),
                clock.GetUtcNow().ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture),
                read.Plan.FilmId,
                read.Film!,
                cutter,
                PlanPlaces.CarrierOf(read.Plan, cutter)?.Name ?? "",
                load.Place.Item,
                PlanPlaces.Name(load.Place.Item).ToString(),
                ground.Nominal,
                ground.Reach,
                await files.Add(JsonSerializer.SerializeToUtf8Bytes(drawn), stop),
                [
                    .. load.Pieces.Select(p => new ReleasedItem(
                        p.Thing.Id,
                        p.Thing.Name,
                        p.Thing.Run.Run.SetUp.JobId,
                        jobs.GetValueOrDefault(p.Thing.Run.Id, ""),
                        p.Thing.Run.Run.Name,
                        p.Thing.InkKey,
                        p.At.At,
                        p.Thing.IsMirrored
                    )),
                ],
                kept,
                cut.Time(cutter.Pace).Seconds / 60,
                load.CutOff
            ),
            null
        );
    }

    /// <summary>The maps of what lies in sections on a load, once for all copies.</summary>
    public static IReadOnlyList<JoiningMap> MapsOf(LaidPlan laid, CutLoad load)
    {
        var there = load.Pieces.Where(p => p.Thing.Section is not null).Select(p => p.Thing.Id with { Section = 0 }).ToHashSet();
        return [.. laid.Parted.Parted.Where(p => there.Contains(p.Thing.Id)).Select(JoiningMap.Of).DistinctBy(m => m.Item)];
    }

    private static Box At(PlanePoint p) => new(p.X, p.Y, p.X, p.Y);

    /// <summary>What a load is called: job and run where it is of one, else how many.</summary>
    private static string NameOf(CutLoad load, Dictionary<string, string> jobs)
    {
        var runs = load.Pieces.Select(p => p.Thing.Run).DistinctBy(r => r.Id).ToList();
        var names = runs.Select(r => jobs.GetValueOrDefault(r.Id, "")).Distinct(StringComparer.Ordinal).ToList();
        return runs.Count == 1 ? $"{names[0]}, {runs[0].Run.Name}"
            : names.Count == 1 ? string.Create(CultureInfo.InvariantCulture, $"{names[0]}, {runs.Count} runs")
            : string.Create(CultureInfo.InvariantCulture, $"{names.Count} jobs, {runs.Count} runs");
    }

    /// <summary>A plan without what was chosen for things that are released.</summary>
    private static CutPlan Without(ReadPlan read, List<ReleasedLoad> released)
    {
        var plan = read.Kept;
        var gone = released.SelectMany(l => l.Items).Select(i => i.Id).ToHashSet();
        var spares = gone.Where(i => i.Copy >= PlanSpare.First)
            .Select(i => (i.Run, i.Piece, i.Copy))
            .Distinct()
            .ToLookup(i => (i.Run, i.Piece));
        var whole = gone.Select(i => i with { Section = 0 }).ToHashSet();
        bool IsDone(string run) =>
            read.Runs.FirstOrDefault(r => r.Run.Id == run) is not { Unset: > 0 }
            && read.Things.Where(t => t.Id.Run == run).All(t => whole.Contains(t.Id));
        return plan with
        {
            // Of a film: what was chosen among its runs is done, and the next one is of what still waits.
            Runs = read.Id == plan.FilmId ? [.. plan.Runs.Where(r => !IsDone(r))] : plan.Runs,
            ByHand = [.. plan.ByHand.Where(h => !gone.Contains(h.Item))],
            Again = [.. plan.Again.Where(a => !whole.Contains(a with { Section = 0 }))],
            Joints = [.. plan.Joints.Where(j => !gone.Any(g => g with { Section = 0, Copy = 1 } == j.Item))],
            Spares =
            [
                .. plan
                    .Spares.Where(s => s.Count > spares[(s.Run, s.Piece)].Count())
                    .Select(s => s with { Count = s.Count - spares[(s.Run, s.Piece)].Count() }),
            ],
            // What was chosen of the stock is used up.
            StockIds = [],
            Released = plan.Released + released.Count,
        };
    }
}
