using Cabida.Core.Documents;
using Cabida.Core.Lists;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Library;

namespace Cabida.Web.Jobs;

/// <summary>Reads an old job as it would be taken up again: its runs, and what has changed since of what they are made of.</summary>
internal sealed class AgainReader(Cabida.Store.Library library, LibraryIndex index, KnownNames known, ITypefaces faces, TimeProvider clock)
{
    /// <summary>A job; null where it is not there.</summary>
    public async Task<AgainView?> Of(string jobId, CancellationToken stop)
    {
        if (await library.Find(DocumentKinds.Job, jobId, stop) is not { } job)
        {
            return null;
        }

        var ids = (await index.Referring(DocumentKinds.Run, DocumentKinds.Job, stop))[jobId].ToHashSet(StringComparer.Ordinal);
        var (names, runs) = (await known.Read(stop), new List<AgainRun>());
        foreach (var heading in (await index.Headings(DocumentKinds.Run, stop)).Where(h => ids.Contains(h.Id)))
        {
            try
            {
                if (await library.Find(DocumentKinds.Run, heading.Id, stop) is { } run)
                {
                    runs.Add(await RunOf(run, names, stop));
                }
            }
            catch (NotWorkableException unread)
            {
                // One that cannot be read takes no other with it.
                runs.Add(new AgainRun(heading.Id, heading.Name, "", "", "", [], 0, 0, "", [], [unread.Reason]));
            }
        }

        return new AgainView(job.Document, RunAgain.NextName(job.Document.Name, clock.GetLocalNow().Year), runs);
    }

    private async Task<AgainRun> RunOf(Stored<Run> stored, Func<string, string, string?> names, CancellationToken stop)
    {
        var (setUp, list) = (stored.Document.SetUp, stored.Document.List);
        var (changed, called, lacks) = (new List<ChangedThing>(), new List<string>(), new List<Phrase>());
        async Task Look<T>(MadeOf what, DocumentKind<T> kind, Pin? pin)
            where T : class
        {
            if (pin is null)
            {
                return;
            }

            var (then, now) = (await library.At(kind, pin.Id, pin.Revision, stop), await library.Find(kind, pin.Id, stop));
            if (now is null)
            {
                lacks.Add(Phrase.Say($"The {what.ToString().ToLowerInvariant()} of last time is not in the library any more."));
                return;
            }

            var name = kind.NameOf(now.Document);
            if (what is MadeOf.Blank or MadeOf.Motif)
            {
                called.Add(name);
            }

            if (now.Revision != pin.Revision && changed.TrueForAll(c => c.Id != pin.Id || c.What != what))
            {
                var differences = then is null ? Differences.None : DocumentDifferences.Of(then, now.Document, names);
                // What was changed and changed back is no change.
                if (then is null || differences.Told.Count > 0)
                {
                    changed.Add(new ChangedThing(what, pin.Id, name, differences));
                }
            }

            lacks.AddRange(now.Document is Motif motif ? FacesOf(motif) : []);
        }

        await Look(MadeOf.Motif, DocumentKinds.Motif, setUp.Motif);
        foreach (var side in setUp.Sides)
        {
            await Look(MadeOf.Motif, DocumentKinds.Motif, side.Motif);
        }

        await Look(MadeOf.Blank, DocumentKinds.Blank, setUp.Blank);
        foreach (var film in setUp.Films.Prepend(setUp.Film))
        {
            await Look(MadeOf.Film, DocumentKinds.Film, film);
        }

        await Look(MadeOf.Cutter, DocumentKinds.Cutter, setUp.Cutter);
        return new AgainRun(
            stored.Id,
            setUp.Name,
            string.Join(" · ", called.Distinct(StringComparer.Ordinal)),
            list.NamesTyped,
            list.HasHeading && ListRows.Of(list.NamesTyped) is [var first, ..] ? string.Join('\t', first) : "",
            list.Columns,
            list.Pieces.Sum(p => p.Copies),
            RunAgain.SetByHand(list).Count(),
            setUp.Price.Agreed,
            changed,
            [.. lacks.DistinctBy(l => l.ToString())]
        );
    }

    private IEnumerable<Phrase> FacesOf(Motif motif) =>
        motif
            .AllParts.OfType<LetteringPart>()
            .Where(p => faces.Find(p.TypefaceId) is null)
            .Select(p => Phrase.Say($"The face of {p.Text:strong} in {motif.Name} is not here any more: choose another in the motif."));
}
