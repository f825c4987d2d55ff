using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Steps;

namespace Cabida.Web.Making;

/// <summary>A step as the bench shows it; times in minutes and in words.</summary>
/// <param name="Step">It as typed.</param>
/// <param name="Called">What it is called.</param>
/// <param name="Usual">What is usual of it: for a piece, once, and the wait, as they would be typed.</param>
/// <param name="Hands">Hands on for all pieces; minutes.</param>
/// <param name="Wait">How long it rests then.</param>
/// <param name="IsOpen">Whether it is still to do.</param>
/// <param name="DoneOn">When it was ticked; empty where it was not.</param>
/// <param name="Took">What it took, as typed.</param>
/// <param name="Pace">How fast the maker is at its kind.</param>
internal sealed record StepView(
    MakingStep Step,
    string Called,
    UsualTimes Usual,
    double Hands,
    double Wait,
    bool IsOpen,
    string DoneOn,
    string Took,
    BenchPace Pace
);

/// <summary>What is usual of a step, as it would be typed.</summary>
internal sealed record UsualTimes(string PerPiece, string PerBatch, string Wait);

/// <summary>A piece with how far it is.</summary>
internal sealed record StagedPiece(string Id, string Name, int Copies, PieceStage Stage);

/// <summary>A released load on which something of a run lies.</summary>
/// <param name="Id">The load.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Pieces">The pieces of the run on it, by id.</param>
/// <param name="Stage">How far it was ticked.</param>
/// <param name="IsCut">Whether it was cut.</param>
internal sealed record LoadTick(string Id, string Name, IReadOnlyList<string> Pieces, PieceStage Stage, bool IsCut)
{
    /// <summary>The loads of a run.</summary>
    public static IReadOnlyList<LoadTick> Of(
        IEnumerable<(string Id, Core.Plans.ReleasedLoad Load)> loads,
        string runId,
        Core.Runs.Making making
    ) =>
        [
            .. loads
                .Where(l => l.Load.RunIds().Contains(runId))
                .Select(l => new LoadTick(
                    l.Id,
                    FormattableString.Invariant($"{l.Load.Film.Name}, load {l.Load.Number} of {l.Load.Of}"),
                    [.. l.Load.Items.Where(i => i.Id.Run == runId).Select(i => i.Id.Piece).Distinct(StringComparer.Ordinal)],
                    making.LoadsTicked.GetValueOrDefault(l.Id),
                    l.Load.Cuts.Count > 0
                )),
        ];
}

/// <summary>How far the making of a run is, and what it still takes.</summary>
/// <param name="Revision">The revision of what was ticked; 0 before anything was.</param>
/// <param name="Steps">Its steps.</param>
/// <param name="IsOffered">Whether they are those that follow from films and goods.</param>
/// <param name="IsAbout">Whether loads and weeding are estimated without its plan.</param>
/// <param name="Problems">What cannot be used of its own steps.</param>
/// <param name="Pieces">Its pieces.</param>
/// <param name="HandsLeft">Hands on that are left; minutes.</param>
/// <param name="Next">What is next; empty when all is done.</param>
/// <param name="Awaits">How many pieces were shown to the customer and wait for an answer.</param>
internal sealed record MakingView(
    int Revision,
    IReadOnlyList<StepView> Steps,
    bool IsOffered,
    bool IsAbout,
    IReadOnlyList<Finding> Problems,
    IReadOnlyList<StagedPiece> Pieces,
    double HandsLeft,
    string Next,
    int Awaits
)
{
    /// <summary>The released loads on which something of it lies.</summary>
    public IReadOnlyList<LoadTick> Loads { get; init; } = [];

    /// <summary>The making of a run.</summary>
    /// <param name="run">What it follows from.</param>
    /// <param name="runId">The run.</param>
    /// <param name="making">What was ticked.</param>
    /// <param name="revision">The revision of that.</param>
    /// <param name="book">What the workshop remembers of its pace.</param>
    /// <param name="cut">What of it was cut.</param>
    public static MakingView Of(RunMaking run, string runId, Core.Runs.Making making, int revision, BenchBook book, CutCounts cut)
    {
        List<StagedPiece> pieces =
        [
            .. run.Pieces.Select(p => new StagedPiece(
                p.Id,
                p.Name,
                p.Copies,
                PieceStages.Of(p.IsApproved, cut.IsCut(runId, p), making.Ticked.GetValueOrDefault(p.Id))
            )),
        ];
        var awaits = run.IsShown ? pieces.Where(p => p.Stage == PieceStage.Taken).Sum(p => p.Copies) : 0;
        if (run.Facts is not { } facts)
        {
            return new MakingView(revision, [], true, run.IsAbout, [], pieces, 0, "", awaits);
        }

        var read = ReadSteps.Of(run.Own, facts, book);
        var done = making.Done.Select(d => d.StepId).ToHashSet(StringComparer.Ordinal);
        var stages = pieces.ConvertAll(p => p.Stage);
        List<StepView> steps =
        [
            .. read.Steps.Select(s =>
            {
                var ticked = making.Done.LastOrDefault(d => d.StepId == s.Step.Id);
                return new StepView(
                    s.Step,
                    s.Step.Called,
                    new UsualTimes(Said(s.Usual.PerPiece), Said(s.Usual.PerBatch), Said(s.Usual.Wait)),
                    s.Hands,
                    s.Time.Wait,
                    PieceStages.IsOpen(s.Step, done, stages),
                    ticked?.On ?? "",
                    ticked?.Took ?? "",
                    BenchPace.Of(book.Took, s.Step.Kind)
                );
            }),
        ];
        var open = steps.Where(s => s.IsOpen).ToList();
        return new MakingView(
            revision,
            steps,
            read.IsOffered,
            run.IsAbout,
            read.Problems,
            pieces,
            open.Sum(s => s.Hands),
            open.FirstOrDefault()?.Called ?? "",
            awaits
        );
    }

    private static string Said(double minutes) => minutes > 0 ? TypedDuration.Say(minutes) : "0";
}
