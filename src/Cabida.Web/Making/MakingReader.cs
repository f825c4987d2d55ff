using Cabida.Core.Runs;
using Cabida.Core.Steps;
using Cabida.Store;
using Cabida.Web.Plans;

namespace Cabida.Web.Making;

/// <summary>Reads how far the making of runs is.</summary>
internal sealed class MakingReader(
    Cabida.Store.Library library,
    LibraryIndex index,
    RunMakings makings,
    MakingMemory memory,
    ReleasedLoads released
)
{
    /// <summary>How far a run is.</summary>
    public async Task<MakingView> Of(Core.Pieces.ReadRun run, CancellationToken stop)
    {
        var stored = await library.Find(DocumentKinds.Making, run.Id, stop);
        var (ticked, loads) = (stored?.Document ?? Core.Runs.Making.None, await released.All(index, library, stop));
        var (made, book) = (await makings.Of(run, stop), await memory.Book(stop));
        return MakingView.Of(made, run.Id, ticked, stored?.Revision ?? 0, book, new CutCounts(loads)) with
        {
            Loads = LoadTick.Of(loads, run.Id, ticked),
        };
    }

    /// <summary>A step of a run by its id.</summary>
    public async Task<MakingStep?> StepOf(Core.Pieces.ReadRun run, string stepId, CancellationToken stop) =>
        (await StepsOf(run, stop))?.Steps.FirstOrDefault(s => s.Step.Id == stepId)?.Step;

    /// <summary>What a step took, with what it takes by the product's own figures.</summary>
    public async Task<StepTook?> TookOf(Core.Pieces.ReadRun run, MakingStep step, double minutes, CancellationToken stop)
    {
        if ((await makings.Of(run, stop)).Facts is not { } facts)
        {
            return null;
        }

        var usual = OfferedSteps.UsualOf(step.Kind, facts).HandsOn(facts.Pieces);
        var said = Core.Stock.WeedingTook.Shortened($"{step.Called}, {run.Run.Name}");
        return new StepTook($"{run.Id} {step.Id}", said, step.Kind, usual, minutes);
    }

    private async Task<ReadSteps?> StepsOf(Core.Pieces.ReadRun run, CancellationToken stop) =>
        (await makings.Of(run, stop)).Facts is { } facts ? ReadSteps.Of(run.Run.SetUp.Steps, facts, await memory.Book(stop)) : null;
}
