using System.Diagnostics;
using System.Text.Json;
using Cabida.Core.Blanks;
using Cabida.Core.Pieces;
using Cabida.Core.Plans;
using Cabida.Core.Pressing;
using Cabida.Core.Proofs;
using Cabida.Core.Steps;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Store.Rows;
using Cabida.Web.Library;
using Cabida.Web.Proofs;
using Cabida.Web.Runs;
using Cabida.Web.Serving;
using Cabida.Web.Weeding;

namespace Cabida.Web.Making;

/// <summary>
/// What the making of runs follows from. It is kept by the run's revision; what is not kept is worked out, a few runs an answer, from a
/// sample of their pieces. Once a run's loads are planned, what they are told replaces the estimate.
/// </summary>
internal sealed class RunMakings(
    KeptCards kept,
    Workings workings,
    RunReader reader,
    FittedPieces fitted,
    LayeredInks inks,
    FilmWasteCache waste,
    WeedingMemory memory
)
{
    /// <summary>So long an answer works out runs that are not kept.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromMilliseconds(500);

    /// <summary>So many pieces of a run are looked at for an estimate of all.</summary>
    private const int Sample = 6;

    /// <summary>An outline is seldom cut at full speed: corners stop the blade.</summary>
    private const double CornersTake = 1.6;

    /// <summary>So much of a load is ink in an estimate, with what is around it.</summary>
    private const double Filled = 0.5;

    /// <summary>A run's making, kept or worked out.</summary>
    public async Task<RunMaking> Of(ReadRun run, CancellationToken stop)
    {
        var rows = await kept.Of(DocumentKinds.Making, [run.Id], stop);
        return Find(rows.GetValueOrDefault(run.Id), run.Revision) ?? await Make(run, stop);
    }

    /// <summary>The making of runs; those that are neither kept nor worked out in time are missing.</summary>
    public async Task<IReadOnlyDictionary<string, RunMaking>> Of(IReadOnlyList<Heading> runs, CancellationToken stop)
    {
        ArgumentNullException.ThrowIfNull(runs);
        var rows = await kept.Of(DocumentKinds.Making, [.. runs.Select(r => r.Id)], stop);
        var (found, spent) = (new Dictionary<string, RunMaking>(StringComparer.Ordinal), Stopwatch.StartNew());
        foreach (var run in runs)
        {
            if (Find(rows.GetValueOrDefault(run.Id), run.Revision) is { } known)
            {
                found[run.Id] = known;
            }
            else if (spent.Elapsed < Patience)
            {
                found[run.Id] = await MakeOrUnknown(run.Id, stop);
            }
        }

        return found;
    }

    /// <summary>A run's making worked out; one that cannot be read, with all it pins, takes no other with it.</summary>
    private async Task<RunMaking> MakeOrUnknown(string id, CancellationToken stop)
    {
        try
        {
            return await reader.Find(id, stop) is { } read ? await Make(read, stop) : RunMaking.Unknown;
        }
        catch (NotWorkableException)
        {
            return RunMaking.Unknown;
        }
    }

    /// <summary>Keeps what a run's plans tell of its loads.</summary>
    /// <param name="run">The run.</param>
    /// <param name="loads">How many loads there are.</param>
    /// <param name="cutLength">The length of all cuts; millimetres.</param>
    /// <param name="weedMinutes">How long weeding takes.</param>
    /// <param name="pressSeconds">How long a piece is under the press.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<RunMaking> Told(
        ReadRun run,
        int loads,
        double cutLength,
        double weedMinutes,
        double pressSeconds,
        CancellationToken stop
    )
    {
        var known = await Of(run, stop);
        if (known.Facts is not { } facts)
        {
            return known;
        }

        var told = known with
        {
            Facts = facts with
            {
                Loads = loads,
                CutMinutes = CutMinutes(run, cutLength),
                WeedMinutes = weedMinutes,
                PressSeconds = pressSeconds,
            },
            IsAbout = false,
        };
        await Keep(run, told, stop);
        return told;
    }

    private string MadeFrom(int revision) => FormattableString.Invariant($"{workings.Version}\n{revision}");

    private RunMaking? Find(CardRow? row, int revision) =>
        row?.MadeFrom == MadeFrom(revision) ? JsonSerializer.Deserialize<RunMaking>(row.Text, ApiJson.Options) : null;

    private async Task Keep(ReadRun run, RunMaking made, CancellationToken stop) =>
        await kept.Keep(
            new CardRow
            {
                Kind = DocumentKinds.Making.Kind,
                Id = run.Id,
                MadeFrom = MadeFrom(run.Revision),
                Text = JsonSerializer.Serialize(made, ApiJson.Options),
            },
            stop
        );

    private async Task<RunMaking> Make(ReadRun run, CancellationToken stop)
    {
        var (own, isShown) = (run.Run.SetUp.Steps, run.Run.Verdicts.Shown is not null);
        if (run.Surface is not { } surface)
        {
            return new RunMaking(
                null,
                own,
                [.. run.Run.Pieces.Select(p => new MadePiece(p.Id, p.Name, p.Copies, 0, false))],
                true,
                isShown
            );
        }

        var sampled = run.Run.Pieces.Take(Sample).Select(p => fitted.Of(run, p)).ToList();
        var films = sampled
            .SelectMany(p => p.Films)
            .Select(f => CutThing.FilmIdOf(run, f.Film.FilmId))
            .Distinct(StringComparer.Ordinal)
            .ToList();
        var things = sampled.ToDictionary(
            p => p.Fit.Piece.Id,
            p => films.SelectMany(f => CutThing.Of(run, [p], f, _ => [1], inks)).ToList(),
            StringComparer.Ordinal
        );
        var pieces = run
            .Run.Pieces.Select(p => new MadePiece(
                p.Id,
                p.Name,
                p.Copies,
                things.TryGetValue(p.Id, out var own) ? own.Count : things.Values.Select(t => t.Count).DefaultIfEmpty(0).Max(),
                run.Run.Verdicts.Of(p) is { Approved: true } && SeenNow.StateOf(run, fitted.Of(run, p)) == ProofState.Approved
            ))
            .ToList();
        var made = new RunMaking(
            await Estimated(run, surface, [.. films.Select(run.Basis!.FilmOf)], pieces.Sum(p => p.Copies), things, stop),
            own,
            pieces,
            true,
            isShown
        );
        await Keep(run, made, stop);
        return made;
    }

    /// <summary>What a sample of a run's pieces tells of all.</summary>
    private async Task<StepFacts> Estimated(
        ReadRun run,
        ReadSurface surface,
        IReadOnlyList<Film> films,
        int count,
        Dictionary<string, List<CutThing>> sample,
        CancellationToken stop
    )
    {
        var book = await memory.Read(stop);
        var (weed, length, area) = (0.0, 0.0, 0.0);
        foreach (var thing in sample.Values.SelectMany(t => t))
        {
            var film = thing.Film;
            area += thing.Box.Width * thing.Box.Height;
            length += thing.Ink.Length;
            if (waste.Of(thing.OnSide.Key, thing.OnSide.Ink, thing.Ply, thing.Fit.Parts, FilmLimits.Of(film), thing.Ways) is { } bits)
            {
                weed += WeedingPace.Of(book.Took, film.Purpose).MinutesOf(bits.Weeding);
            }
        }

        var by = sample.Count == 0 ? 0 : (double)count / sample.Count;
        var reach = films.Select(f => run.Cutter?.ReachOf(f)).OfType<(double Width, double Height)>().Select(r => r.Width * r.Height);
        var sheet = reach.DefaultIfEmpty(300 * 300).Min();
        var pressing = Core
            .Wording.Outcome<RunPressing?>.Try(() =>
                RunPressing.Of(run, [.. sample.Keys.Select(id => fitted.Of(run, run.Run.Pieces.First(p => p.Id == id)))], null, NoFilms)
            )
            .ValueOrDefault;
        return new StepFacts(
            count,
            films,
            run.Blank!.Material.Finish,
            surface.Wall is not null,
            run.Blank.Surface == SurfaceKind.Framed,
            Math.Max(films.Count, (int)Math.Ceiling(by * area / (Filled * sheet))),
            CutMinutes(run, by * length),
            by * weed,
            pressing?.Seconds ?? 0
        );
    }

    private static double CutMinutes(ReadRun run, double length) =>
        length / (run.Cutter?.Pace ?? CutterPace.Usual).Cutting / 60 * CornersTake;

    private static readonly Dictionary<string, Film> NoFilms = [];
}
