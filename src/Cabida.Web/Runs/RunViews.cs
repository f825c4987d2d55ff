using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
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
    PinView? Cutter,
    bool HasHandle,
    bool IsRound,
    bool IsWall,
    IReadOnlyList<ZoneChoice> Zones,
    IReadOnlyList<string> Sizes,
    MaterialView? Material,
    LengthEcho LetterHeight,
    LengthEcho ScissorsRoom,
    int NamesTyped,
    IReadOnlyList<NameNote> Notes,
    IReadOnlyList<Lack> Lacks);

internal sealed class RunViews(Cabida.Store.Library library, RunReader reader) : IViews<Run, RunView>
{
    public async Task<RunView> Of(Stored<Run> stored, CancellationToken stop)
    {
        var run = stored.Document;
        var read = await reader.Read(stored, stop);
        var job = await library.Find(DocumentKinds.Job, run.JobId, stop);
        var list = NameList.Read(run.NamesTyped, run.Pieces);
        return new RunView(
            stored.Id, stored.Revision, stored.ChangedAt, run, job?.Document ?? new Job("", "", ""),
            await PinOf(DocumentKinds.Blank, run.Blank, read.Blank?.Name, stop),
            await PinOf(DocumentKinds.Motif, run.Motif, read.Motif?.Name, stop),
            await PinOf(DocumentKinds.Film, run.Film, read.Film?.Name, stop),
            await PinOf(DocumentKinds.Cutter, run.Cutter, read.Cutter?.Name, stop),
            read.Laid?.Wall?.Handle is not null,
            read.Laid?.Wall is not null,
            read.Blank?.Surface is SurfaceKind.Straight or SurfaceKind.Tapered or SurfaceKind.Bellied,
            [.. read.Blank?.Zones.Select(z => new ZoneChoice(z.Id, z.Name)) ?? []],
            read.Blank?.Surface == SurfaceKind.Garment ? read.Blank.Garment.Sizes : [],
            read.Blank is { } blank ? new MaterialView(blank.Material, read.Film is { } film ? FilmOnBlank.Notes(film, blank.Material) : []) : null,
            LengthEcho.Of(run.LetterHeight, LengthRange.Artwork),
            LengthEcho.Of(run.ScissorsRoom, LengthRange.Margin),
            list.Lines,
            list.Notes,
            read.Lacks);
    }

    /// <summary>The list makes the pieces; lines that were there keep theirs. The job of a run does not change.</summary>
    public Run Tidy(Run incoming, Run stored) => incoming with
    {
        JobId = stored.JobId,
        Pieces = NameList.Read(incoming.NamesTyped, stored.Pieces).Pieces,
    };

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
