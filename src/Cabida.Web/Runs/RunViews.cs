using Cabida.Core.Blanks;
using Cabida.Core.Lists;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Lengths;
using Cabida.Web.Library;

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
    IReadOnlyList<Lack> Lacks
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
    IReadOnlyList<NameNote> Notes,
    int Beyond,
    IReadOnlyList<Phrase> Missing,
    IReadOnlyList<GroupView> Groups
);

internal sealed class RunViews(Cabida.Store.Library library, RunReader reader, ITypefaces faces) : IViews<Run, RunView>
{
    private const int HeadRows = 6;

    public async Task<RunView> Of(Stored<Run> stored, CancellationToken stop)
    {
        var run = stored.Document;
        var read = await reader.Read(stored, stop);
        var job = await library.Find(DocumentKinds.Job, run.JobId, stop);
        var list = NameList.Read(run.NamesTyped, new ListColumns(run.Columns, run.HasHeading), run.Pieces);
        var laid = read.Sheet?.SizeOf(run.Size).ZoneOf(run.Zone);
        var films = new List<PinView>();
        foreach (var named in run.Films)
        {
            films.Add((await PinOf(DocumentKinds.Film, named, read.Ground?.Films.GetValueOrDefault(named.Id)?.Name, stop))!);
        }

        return new RunView(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            run,
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
            await SidesOf(run, read, stop),
            ListOf(run, read, list, await SideMotifs(run, stop)),
            read.Lacks
        );
    }

    /// <summary>How much of a zone may be worked on; null while it has no room.</summary>
    private static Phrase? RoomOf(LaidZone? laid) =>
        laid?.Zone is { } zone ? Phrase.Say($"{zone.Width.Cautious} × {zone.Height.Cautious} to work on") : null;

    private ListView ListOf(Run run, ReadRun read, NameList list, IReadOnlyList<Motif> others)
    {
        var motifs = others.Prepend(read.Motif).OfType<Motif>().ToList();
        var fields = motifs
            .SelectMany(Fields.In)
            .Concat(run.Columns)
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
                new NameNote(
                    0,
                    NoteKind.Suspicious,
                    false,
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
            [.. ListRows.Of(run.NamesTyped).Take(HeadRows)],
            notes,
            list.Beyond,
            [.. motifs.SelectMany(m => MissingLetters.Of(m, run.Pieces, faces)).DistinctBy(m => m.ToString())],
            run.GroupBy.Length == 0
                ? []
                : [.. run.Pieces.GroupBy(p => p.ValueOf(run.GroupBy), StringComparer.Ordinal).Select(g => new GroupView(g.Key, g.Count()))]
        );
    }

    private async Task<IReadOnlyList<Motif>> SideMotifs(Run run, CancellationToken stop)
    {
        var motifs = new List<Motif>();
        foreach (var pin in run.Sides.Select(s => s.Motif).OfType<Pin>())
        {
            if (await library.At(DocumentKinds.Motif, pin.Id, pin.Revision, stop) is { } motif)
            {
                motifs.Add(motif);
            }
        }

        return motifs;
    }

    private async Task<IReadOnlyList<SideView>> SidesOf(Run run, ReadRun read, CancellationToken stop)
    {
        var sides = new List<SideView>();
        foreach (var side in run.Sides)
        {
            var name = side.Motif is { } pin ? (await library.At(DocumentKinds.Motif, pin.Id, pin.Revision, stop))?.Name : null;
            sides.Add(
                new SideView(
                    side.Id,
                    await PinOf(DocumentKinds.Motif, side.Motif, name, stop),
                    RoomOf(read.Sheet?.SizeOf(run.Size).ZoneOf(side.Zone))
                )
            );
        }

        return sides;
    }

    /// <summary>The list makes the pieces; lines that were there keep theirs. The job of a run does not change.</summary>
    public async Task<Run> Tidy(Run incoming, Run stored, CancellationToken stop)
    {
        var columns = await ColumnsOf(incoming, stored, stop);
        // What was approved is known here alone: a page may take a verdict back or ask for a correction, not approve by itself.
        var verdicts = stored
            .Pieces.Concat(stored.Away)
            .DistinctBy(p => p.Id)
            .ToDictionary(p => p.Id, p => p.Verdict, StringComparer.Ordinal);
        var brought = incoming
            .Pieces.Select(p =>
                p.Verdict is not { Approved: true } said || said == verdicts.GetValueOrDefault(p.Id)
                    ? p
                    : p with
                    {
                        Verdict = verdicts.GetValueOrDefault(p.Id),
                    }
            )
            .ToList();
        var pieces = NameList.Read(incoming.NamesTyped, columns, brought, stored.Away).Pieces;
        return incoming with
        {
            JobId = stored.JobId,
            Shown = stored.Shown,
            Away = NameList.AwayAfter(stored.Pieces, stored.Away, pieces),
            Columns = columns.Fields,
            HasHeading = columns.HasHeading,
            Pieces = pieces,
            Films = await FilmsOf(incoming, stop),
        };
    }

    /// <summary>What the maker said the columns are; for a list that has come to have columns, or has none any more, a guess.</summary>
    private async Task<ListColumns> ColumnsOf(Run incoming, Run stored, CancellationToken stop)
    {
        var tabs = incoming.NamesTyped.Contains('\t', StringComparison.Ordinal);
        if (!tabs && incoming.Columns.Count > 1)
        {
            return ListColumns.NamesOnly;
        }

        if (!tabs || incoming.Columns.Count > 0 || (stored.NamesTyped == incoming.NamesTyped && stored.Columns.Count == 0))
        {
            // A list that came to be wider has columns more, which are left out until something is said of them.
            var width = tabs ? ListRows.Of(incoming.NamesTyped).Max(r => r.Count) : 0;
            var columns = new ListColumns(
                [
                    .. incoming.Columns,
                    .. incoming.Columns.Count > 0 ? Enumerable.Repeat("", Math.Max(0, width - incoming.Columns.Count)) : [],
                ],
                incoming.HasHeading
            );
            // Another list may bring a heading with it that says just what the columns are.
            return tabs && stored.NamesTyped != incoming.NamesTyped && columns.IsHeading(ListRows.Of(incoming.NamesTyped)[0])
                ? columns with
                {
                    HasHeading = true,
                }
                : columns;
        }

        var motif = incoming.Motif is { } pin ? await library.At(DocumentKinds.Motif, pin.Id, pin.Revision, stop) : null;
        return ListColumns.Guess(ListRows.Of(incoming.NamesTyped), [.. (motif is null ? [] : Fields.In(motif)).Append(NameList.Size)]);
    }

    /// <summary>The run's film, and those that parts of its motif name.</summary>
    private static IEnumerable<Film> FilmsOf(ReadRun read) => (read.Ground?.Films.Values ?? []).Prepend(read.Film).OfType<Film>();

    /// <summary>A pin for each film that the motif's parts name: the one there is, or the film as it stands now.</summary>
    private async Task<IReadOnlyList<Pin>> FilmsOf(Run run, CancellationToken stop)
    {
        var motif = run.Motif is { } pin ? await library.At(DocumentKinds.Motif, pin.Id, pin.Revision, stop) : null;
        var pins = new List<Pin>();
        foreach (
            var id in (await SideMotifs(run, stop)).SelectMany(m => m.FilmIds).Concat(motif?.FilmIds ?? []).Distinct(StringComparer.Ordinal)
        )
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

    private async Task<PinView?> PinOf<T>(DocumentKind<T> kind, Pin? pin, string? name, CancellationToken stop)
    {
        if (pin is null)
        {
            return null;
        }

        var now = await library.Find(kind, pin.Id, stop);
        return new PinView(pin.Id, name ?? "", now is not null && now.Revision != pin.Revision ? now.Revision : null);
    }
}
