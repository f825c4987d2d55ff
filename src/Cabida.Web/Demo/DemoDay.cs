using System.Globalization;
using Cabida.Core.Checking;
using Cabida.Core.Measures;
using Cabida.Core.Plans;
using Cabida.Core.Runs;
using Cabida.Store;
using Cabida.Web.Jobs;
using Cabida.Web.Making;
using Cabida.Web.Plans;
using Cabida.Web.Proofs;
using Cabida.Web.Runs;

namespace Cabida.Web.Demo;

/// <summary>
/// Puts the demo data into the middle of a day: one job waits for its customer, one is on the bench with a load released, cut and weeded,
/// one is packed. All of it is done as a maker would do it, so that every figure is what it would be.
/// </summary>
internal sealed class DemoDay(
    Cabida.Store.Library library,
    RunReader runs,
    FittedPieces fitted,
    InkFactsCache facts,
    PlanReader plans,
    PlanLayer layer,
    Releasing releasing,
    LoadTicker loads,
    MakingReader making,
    MakingMemory memory,
    SizesReader sizes,
    AgainTaker again,
    TimeProvider clock
)
{
    private const string Waiting = "fernhollow-crew";
    private const string OnBench = "fernhollow-depot";
    private const string Later = "fernhollow-yard";

    public async Task Begin(CancellationToken stop)
    {
        await Due(Waiting, 4, stop);
        await Due(OnBench, 2, stop);
        await Due(Later, 40, stop);
        foreach (var run in new[] { "crew-mugs", "driver-tumblers", "work-shirts" })
        {
            await Say(run, r => Showing.Shown(r, fitted, clock.GetLocalNow().AddHours(-20), stop), stop);
        }

        await Say("luggage-tags", r => Approved(r), stop);
        await Cut("luggage-tags", stop);
        await Pack(stop);
    }

    private string Day(int from) => clock.GetLocalNow().AddDays(from).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    private async Task Due(string jobId, int days, CancellationToken stop)
    {
        if (await library.Find(DocumentKinds.Job, jobId, stop) is { } job)
        {
            await library.Save(DocumentKinds.Job, jobId, job.Revision, job.Document with { Due = Day(days) }, stop: stop);
        }
    }

    private async Task Say(string runId, Func<Core.Pieces.ReadRun, RunVerdicts> verdicts, CancellationToken stop)
    {
        if (await runs.Find(runId, stop) is { Basis: not null } run)
        {
            await library.Save(DocumentKinds.Run, runId, run.Revision, run.Run with { Verdicts = verdicts(run) }, stop: stop);
        }
    }

    private RunVerdicts Approved(Core.Pieces.ReadRun run) =>
        run.Run.Verdicts.With(run.Run.Pieces.Select(p => (p.Id, Showing.ApprovalOf(run, p, null, fitted, facts))));

    /// <summary>A run of one film, released, cut and weeded, with the time that took and what was measured.</summary>
    private async Task Cut(string runId, CancellationToken stop)
    {
        if (await runs.Find(runId, stop) is not { Basis: not null } run || RunPlans.Of(run) is not [var plan])
        {
            return;
        }

        await library.Make(
            new UnitOfWork("Begin a plan").Put(DocumentKinds.Plan, plan.Id, new CutPlan(plan.FilmId) { Runs = [runId] }, 0),
            stop
        );
        if (await plans.Find(plan.Id, stop) is not { } read)
        {
            return;
        }

        var laid = await layer.Lay(read, stop);
        var released = await releasing.Release(plan.Id, new ReleaseWanted(PlanViews.KeyOf(laid), [], null), stop);
        foreach (var id in released?.Ids ?? [])
        {
            var load = (await library.Find(DocumentKinds.Load, id, stop))!;
            var cut = new CutDone(Now(-3), load.Document.Cutter.Name, TypedLength.Empty, TypedLength.Empty, "Cut clean, weeds well.");
            await library.Save(DocumentKinds.Load, id, load.Revision, load.Document with { Cuts = [cut] }, stop: stop);
            await loads.Tick(id, PieceStage.Weeded, false, stop);
        }

        foreach (var (step, took) in new[] { ("cut", "3 min"), ("weed", "4 min") })
        {
            if (TypedDuration.Read(took).Value is { } minutes && await making.StepOf(run, step, stop) is { } done)
            {
                await memory.Change(
                    runId,
                    "Tick a step",
                    m => m with { Done = [.. m.Done, new StepDone(step, Now(-2)) { Took = took }] },
                    stop
                );
                var entry = await making.TookOf(run, done, minutes, stop);
                await memory.ChangeBook(b => b.Noting($"{runId} {step}", entry), stop);
            }
        }

        if ((await sizes.Of(run, stop)).Rows is [var first, ..])
        {
            // A third of a millimetre narrow, as a film gives when it is pulled.
            var measured = new MeasuredPiece(
                first.Piece,
                first.Side,
                TypedLength.Mm(Math.Round(first.Width - 0.3, 1)),
                TypedLength.Mm(Math.Round(first.Height, 1))
            );
            await memory.Change(runId, "Note a size", m => m.Measuring(measured), stop);
            await memory.ChangeBook(b => b.NotingSize(SizesReader.KeyOf(runId, measured), sizes.MadeOf(run, measured)), stop);
        }
    }

    private string Now(int hours) => clock.GetLocalNow().AddHours(hours).ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture);

    /// <summary>A small job of the same mugs for others, done and packed.</summary>
    private async Task Pack(CancellationToken stop)
    {
        var taken = await again.Take(
            OnBench,
            new JobTakenAgain("Lamp choir mugs", "Fernhollow Lamp Choir", Day(1), [new RunTakenAgain("tea-mugs", "Wren\nOdo\nPetra", [])]),
            stop
        );
        if (taken.ValueOrDefault is not { } jobId)
        {
            return;
        }

        foreach (var run in (await library.All(DocumentKinds.Run, stop)).Where(r => r.Document.SetUp.JobId == jobId))
        {
            await Say(run.Id, Approved, stop);
            await memory.Change(run.Id, "Tick pieces", m => m.With(run.Document.Pieces.Select(p => p.Id), PieceStage.Packed, false), stop);
        }
    }
}
