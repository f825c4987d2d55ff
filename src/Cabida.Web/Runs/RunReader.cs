using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using Cabida.Store;

namespace Cabida.Web.Runs;

/// <summary>Something a run still lacks before its pieces can be set.</summary>
/// <param name="Field">Where in the set-up: blank, motif, film, letterHeight or names.</param>
/// <param name="Message">What is lacking.</param>
internal sealed record Lack(string Field, Phrase Message);

/// <summary>A run with what it pins, read at the pinned revisions.</summary>
/// <param name="Run">The run.</param>
/// <param name="Blank">Its blank.</param>
/// <param name="Sheet">The blank worked out.</param>
/// <param name="Size">The size of it that is made.</param>
/// <param name="Laid">The zone of it, as far as it could be laid out.</param>
/// <param name="Motif">Its motif.</param>
/// <param name="Film">Its film.</param>
/// <param name="Cutter">Its cutter.</param>
/// <param name="Ground">What its pieces have in common; null while something is lacking.</param>
/// <param name="Lacks">What is lacking.</param>
internal sealed record ReadRun(
    Stored<Run> Run, Blank? Blank, BlankSheet? Sheet, SizeSheet? Size, LaidZone? Laid, Motif? Motif, Film? Film, Cutter? Cutter, RunGround? Ground, IReadOnlyList<Lack> Lacks)
{
    /// <summary>Tells apart grounds whose pieces could differ.</summary>
    public string GroundKey => FormattableString.Invariant(
        $"{Run.Document.Blank} {Run.Document.Zone} {Run.Document.Size} {Run.Document.Motif} {Run.Document.Film} {Ground?.LetterHeight}");
}

/// <summary>Reads runs.</summary>
internal sealed class RunReader(Cabida.Store.Library library, ITypefaces faces, InkCache cache)
{
    public async Task<ReadRun> Read(Stored<Run> stored, CancellationToken stop)
    {
        var run = stored.Document;
        var blank = await Pinned(DocumentKinds.Blank, run.Blank, stop);
        var motif = await Pinned(DocumentKinds.Motif, run.Motif, stop);
        var film = await Pinned(DocumentKinds.Film, run.Film, stop);
        var cutter = await Pinned(DocumentKinds.Cutter, run.Cutter, stop);
        var sheet = blank is null ? null : BlankSheet.Of(blank);
        var size = sheet?.SizeOf(run.Size);
        var laid = size?.ZoneOf(run.Zone);
        var height = run.LetterHeight.Read(LengthRange.Artwork);
        var lacks = new List<Lack>();
        Lacking(blank is null, "blank", Phrase.Say($"Choose a blank from the shelf."));
        Lacking(blank is not null && run.Size.Length > 0 && size?.Size != run.Size, "blank", Phrase.Say($"{blank?.Name:strong} has no size {run.Size} any more. Choose one it has."));
        Lacking(blank is not null && run.Zone.Length > 0 && laid is null, "blank", Phrase.Say($"The zone this run was for is no longer on {blank?.Name:strong}. Choose another."));
        Lacking(blank is not null && (laid is not null || run.Zone.Length == 0) && laid?.Zone is null, "blank", laid?.Problem is { } none
            ? Phrase.Say($"{blank?.Name:strong} has no room to work on: {none}")
            : Phrase.Say($"{blank?.Name:strong} has no room to work on yet. Finish measuring it on the shelf, then take its newer readings here."));
        Lacking(motif is null, "motif", Phrase.Say($"Choose a motif."));
        Lacking(motif is not null && motif.Parts.Count == 0, "motif", Phrase.Say($"{motif?.Name:strong} has no parts yet."));
        var wrong = motif is null ? null : MotifProblems.Of(motif, faces).FirstOrDefault(p => p.Field != "name");
        Lacking(wrong is not null, "motif", Phrase.Say($"{motif?.Name:strong} has something to mend: {wrong?.Message ?? Phrase.Empty}"));
        Lacking(film is null, "film", Phrase.Say($"Choose a film."));
        // Without its limit thin strokes would pass unseen.
        var limit = film?.ThinnestStroke.Read(LengthRange.Artwork).Problem;
        Lacking(limit is not null, "film", Phrase.Say($"The thinnest stroke of {film?.Name:strong} cannot be used: {limit ?? Phrase.Empty} Mend it in the stock, then take the newer film here."));
        Lacking(run.Sizing == Sizing.OneLetterHeight && !height.Ok, "letterHeight", height.Problem ?? Phrase.Empty);
        Lacking(run.Pieces.Count == 0, "names", Phrase.Say($"Type the names, one a line."));
        var ground = lacks.Count > 0 ? null : new RunGround(
            motif!, laid!.Wall, laid.Panel, laid.Zone!, film!, run.Sizing == Sizing.OneLetterHeight ? height.Value.Value.Millimetres : null, faces, cache);
        return new ReadRun(stored, blank, sheet, size, laid, motif, film, cutter, ground, lacks);

        void Lacking(bool isLacking, string field, Phrase message)
        {
            if (isLacking)
            {
                lacks.Add(new Lack(field, message));
            }
        }
    }

    public async Task<ReadRun?> Find(string id, CancellationToken stop) =>
        await library.Find(DocumentKinds.Run, id, stop) is { } stored ? await Read(stored, stop) : null;

    private async Task<T?> Pinned<T>(DocumentKind<T> kind, Pin? pin, CancellationToken stop)
        where T : class => pin is null ? null : await library.At(kind, pin.Id, pin.Revision, stop);
}
