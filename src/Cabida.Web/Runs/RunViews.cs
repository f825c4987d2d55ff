using Cabida.Core.Blanks;
using Cabida.Core.Findings;
using Cabida.Core.Lists;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Lengths;
using Cabida.Web.Library;
using Cabida.Web.Weeding;

namespace Cabida.Web.Runs;

/// <summary>What a run pins, as its set-up shows it.</summary>
/// <param name="Id">Which.</param>
/// <param name="Name">What it was called at that revision.</param>
/// <param name="Newer">The revision there is now, when it is newer.</param>
internal sealed record PinView(string Id, string Name, int? Newer);

/// <summary>A zone that a run could be for.</summary>
internal sealed record ZoneChoice(string Id, string Name);

/// <summary>What a run's blank is made of, and what that means for its film.</summary>
internal sealed record MaterialView(Material Material, IReadOnlyList<Phrase> Notes);

/// <summary>A run as a page would have it: the parts that it changed; what it does not send stays.</summary>
/// <param name="SetUp">Its set-up; null to leave it.</param>
/// <param name="List">Its list; null to leave it.</param>
internal sealed record RunDraft(RunSetUp? SetUp, RunList? List)
{
    /// <summary>The whole run; null where that is not known, as when the one that is kept cannot be read.</summary>
    public Run? Onto(Run? stored) =>
        (SetUp ?? stored?.SetUp, List ?? stored?.List) is ({ } setUp, { } list)
            ? new(setUp, list, stored?.Verdicts ?? RunVerdicts.None)
            : null;
}

/// <summary>A run as its set-up shows it.</summary>
internal sealed record RunView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Run Run,
    Job Job,
    PinView? Blank,
    PinView? Motif,
    PinView? Film,
    IReadOnlyList<PinView> Films,
    PinView? Cutter,
    bool HasHandle,
    bool IsWall,
    IReadOnlyList<ZoneChoice> Zones,
    Phrase? Room,
    IReadOnlyList<string> Sizes,
    MaterialView? Material,
    LengthEcho LetterHeight,
    LengthEcho ScissorsRoom,
    LengthEcho Right,
    LengthEcho Up,
    LengthEcho MostBow,
    IReadOnlyList<LengthEcho> LeastMargins,
    IReadOnlyList<LengthEcho> GroupHeights,
    IReadOnlyList<SideView> Sides,
    ListView List,
    IReadOnlyList<Finding> Lacks,
    Phrase? Mirror
);

/// <summary>Another side of a run as its set-up shows it, with the room its zone has.</summary>
internal sealed record SideView(string Id, PinView? Motif, Phrase? Room);

/// <summary>A group of pieces that say the same in the field they are grouped by.</summary>
internal sealed record GroupView(string Group, int Pieces);

/// <summary>The list as it was understood.</summary>
/// <param name="Lines">How many lines hold anything.</param>
/// <param name="Pieces">How many pieces they make.</param>
/// <param name="Made">How many are made of all of them.</param>
/// <param name="Fields">The fields that columns can fill: those of the motifs first, and the size where the blank has sizes.</param>
/// <param name="Head">The first rows, as cells.</param>
/// <param name="Notes">What to say about its lines.</param>
/// <param name="Beyond">How many more things there would be to say.</param>
/// <param name="Missing">Letters that typefaces lack.</param>
/// <param name="Groups">The groups that pieces make.</param>
internal sealed record ListView(
    int Lines,
    int Pieces,
    int Made,
    IReadOnlyList<string> Fields,
    IReadOnlyList<IReadOnlyList<string>> Head,
    IReadOnlyList<Finding> Notes,
    int Beyond,
    IReadOnlyList<Phrase> Missing,
    IReadOnlyList<GroupView> Groups
);

internal sealed class RunViews(Cabida.Store.Library library, RunReader reader, ITypefaces faces, WeedingMemory memory)
    : IViews<Run, RunView>
{
    private const int HeadRows = 6;

    public async Task<RunView> Of(Stored<Run> stored, CancellationToken stop)
    {
        var (whole, run) = (stored.Document, stored.Document.SetUp);
        var pinned = await reader.Pinned(run, stop);
        var read = reader.Read(stored, pinned);
        var job = await library.Find(DocumentKinds.Job, run.JobId, stop);
        var laid = read.Sheet?.SizeOf(run.Size).ZoneOf(run.Zone);
        var films = new List<PinView>();
        foreach (var named in run.Films)
        {
            films.Add((await PinOf(DocumentKinds.Film, named, read.Basis?.Films.GetValueOrDefault(named.Id)?.Name, stop))!);
        }

        return new RunView(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            whole,
            job?.Document ?? new Job("", "", ""),
            await PinOf(DocumentKinds.Blank, run.Blank, read.Blank?.Name, stop),
            await PinOf(DocumentKinds.Motif, run.Motif, read.Motif?.Name, stop),
            await PinOf(DocumentKinds.Film, run.Film, read.Film?.Name, stop),
            films,
            await PinOf(DocumentKinds.Cutter, run.Cutter, read.Cutter?.Name, stop),
            (read.Surface?.Wall ?? laid?.Wall)?.Handle is not null,
            read.Blank?.Surface is SurfaceKind.Straight or SurfaceKind.Tapered or SurfaceKind.Bellied,
            [.. read.Blank?.Zones.Select(z => new ZoneChoice(z.Id, z.Name)) ?? []],
            RoomOf(laid),
            read.Blank?.Surface == SurfaceKind.Garment ? read.Blank.Garment.Sizes : [],
            read.Blank is { } blank
                ? new MaterialView(blank.Material, [.. FilmsOf(read).SelectMany(f => FilmOnBlank.Notes(f, blank.Material))])
                : null,
            LengthEcho.Of(run.LetterHeight, LengthRange.Artwork),
            LengthEcho.Of(run.ScissorsRoom, LengthRange.Margin),
            LengthEcho.Of(run.Right, LengthRange.Offset),
            LengthEcho.Of(run.Up, LengthRange.Offset),
            LengthEcho.Of(run.MostBow, LengthRange.Margin),
            [.. run.Concessions.Select(c => LengthEcho.Of(c.LeastMargin, LengthRange.Margin))],
            [.. run.GroupHeights.Select(g => LengthEcho.Of(g.LetterHeight, LengthRange.Artwork))],
            await SidesOf(run, pinned, read, stop),
            ListOf(whole, read, pinned),
            read.Lacks,
            read.Film is { } film ? MirrorWords.Of(film, run.SeenThrough) : null
        );
    }

    /// <summary>How much of a zone may be worked on; null while it has no room.</summary>
    private static Phrase? RoomOf(LaidZone? laid) =>
        laid?.Zone is { } zone ? Phrase.Say($"{zone.Width.Cautious} × {zone.Height.Cautious} to work on") : null;

    private ListView ListOf(Run run, ReadRun read, PinnedDocuments pinned)
    {
        var (typed, by) = (run.List, run.SetUp.GroupBy);
        var list = NameList.Read(typed.NamesTyped, new ListColumns(typed.Columns, typed.HasHeading), typed.Pieces);
        var motifs = pinned.SideMotifs.Prepend(read.Motif).OfType<Motif>().ToList();
        var fields = motifs
            .SelectMany(Fields.In)
            .Concat(typed.Columns)
            .Prepend(Fields.Name)
            .Concat(read.Blank?.Surface == SurfaceKind.Garment ? [NameList.Size] : [])
            .Where(f => f.Length > 0 && f != NameList.Quantity)
            .Distinct(StringComparer.Ordinal)
            .ToList();
        var notes = list.Notes.ToList();
        if (read.Motif is { } motif && run.Pieces.Count > 1 && !motifs.SelectMany(Fields.In).Any())
        {
            notes.Insert(
                0,
                new Finding(
                    Rule.ListLine,
                    Severity.Look,
                    Phrase.Say(
                        $"{motif.Name:strong} has no field, so all {run.Pieces.Count} pieces are the same. Put {"{name}"} into one "
                            + $"of its lines."
                    )
                )
            );
        }

        return new ListView(
            list.Lines,
            run.Pieces.Count,
            run.Pieces.Sum(p => p.Copies),
            fields,
            [.. ListRows.Of(typed.NamesTyped).Take(HeadRows)],
            notes,
            list.Beyond,
            [.. motifs.SelectMany(m => MissingLetters.Of(m, run.Pieces, faces)).DistinctBy(m => m.ToString())],
            by.Length == 0
                ? []
                : [.. run.Pieces.GroupBy(p => p.ValueOf(by), StringComparer.Ordinal).Select(g => new GroupView(g.Key, g.Count()))]
        );
    }

    private async Task<IReadOnlyList<SideView>> SidesOf(RunSetUp run, PinnedDocuments pinned, ReadRun read, CancellationToken stop)
    {
        var sides = new List<SideView>();
        foreach (var (side, motif) in run.Sides.Zip(pinned.SideMotifs))
        {
            sides.Add(
                new SideView(
                    side.Id,
                    await PinOf(DocumentKinds.Motif, side.Motif, motif?.Name, stop),
                    RoomOf(read.Sheet?.SizeOf(run.Size).ZoneOf(side.Zone))
                )
            );
        }

        return sides;
    }

    /// <inheritdoc/>
    public async Task<Run> Tidy(Run incoming, Run stored, CancellationToken stop)
    {
        var pinned = await reader.Pinned(incoming.SetUp, stop);
        var tidy = IncomingRun.Of(incoming, stored, pinned.Motif, await FilmsOf(incoming.SetUp, pinned, stop));
        // A film that was chosen just now is cut as it was cut last.
        return tidy.SetUp.NamedFilms().Except(stored.SetUp.NamedFilms()).Any()
            ? tidy with
            {
                SetUp = await memory.Recalled(tidy.SetUp, stop),
            }
            : tidy;
    }

    /// <inheritdoc/>
    public Task Kept(Run now, Run before, CancellationToken stop) => memory.Note(now.SetUp, before.SetUp, stop);

    public IEnumerable<Finding> Mendable(RunView view) => view.List.Notes;

    /// <summary>The run's film, and those that parts of its motif name.</summary>
    private static IEnumerable<Film> FilmsOf(ReadRun read) => (read.Basis?.Films.Values ?? []).Prepend(read.Film).OfType<Film>();

    /// <summary>A pin for each film that the motif's parts name: the one there is, or the film as it stands now.</summary>
    private async Task<IReadOnlyList<Pin>> FilmsOf(RunSetUp run, PinnedDocuments pinned, CancellationToken stop)
    {
        var pins = new List<Pin>();
        foreach (var id in MotifsOf(pinned).SelectMany(m => m.FilmIds).Distinct(StringComparer.Ordinal))
        {
            if (run.Films.FirstOrDefault(f => f.Id == id) is { } there)
            {
                pins.Add(there);
            }
            else if (await library.Find(DocumentKinds.Film, id, stop) is { } film)
            {
                pins.Add(new Pin(id, film.Revision));
            }
        }

        return pins;
    }

    /// <summary>The motifs of all its sides, those of the other sides first.</summary>
    private static IEnumerable<Motif> MotifsOf(PinnedDocuments pinned) => pinned.SideMotifs.Append(pinned.Motif).OfType<Motif>();

    private async Task<PinView?> PinOf<T>(DocumentKind<T> kind, Pin? pin, string? name, CancellationToken stop)
        where T : class
    {
        if (pin is null)
        {
            return null;
        }

        var now = await library.Find(kind, pin.Id, stop);
        return new PinView(pin.Id, name ?? "", now is not null && now.Revision != pin.Revision ? now.Revision : null);
    }
}
