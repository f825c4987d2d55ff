using Cabida.Core.Wording;

namespace Cabida.Store;

/// <summary>
/// What belongs to documents of an archive: a job's runs, its order and their making and released loads, and whatever any of it refers to,
/// however far.
/// </summary>
internal sealed class ArchiveClosure
{
    private readonly Archive archive;
    private readonly Dictionary<(string Kind, string Id), DocumentAbout> there;
    private readonly ILookup<string, string> runsOfJobs;

    public ArchiveClosure(Archive archive)
    {
        this.archive = archive;
        there = archive.Documents.ToDictionary(d => (d.Kind, d.Id));
        runsOfJobs = archive
            .Documents.Where(d => d.Kind == DocumentKinds.Run.Kind)
            .SelectMany(d => ReferencesOf(DocumentKinds.Run, d.Id).Select(r => (To: r, From: d.Id)))
            .Where(r => r.To.Kind == DocumentKinds.Job.Kind)
            .ToLookup(r => r.To.Id, r => r.From, StringComparer.Ordinal);
    }

    /// <summary>Documents, by kind and id, with all that belongs to them.</summary>
    public IReadOnlyList<(DocumentKind Kind, string Id)> Of(IEnumerable<(string Kind, string Id)> chosen)
    {
        var (open, seen) = (new Queue<(string Kind, string Id)>(chosen), new List<(DocumentKind, string)>());
        var known = new HashSet<(string, string)>();
        while (open.TryDequeue(out var next))
        {
            if (!there.ContainsKey(next) || !known.Add(next))
            {
                continue;
            }

            var kind = DocumentKinds.All.First(k => k.Kind == next.Kind);
            seen.Add((kind, next.Id));
            foreach (var to in ReferencesOf(kind, next.Id).Select(r => (r.Kind, r.Id)).Concat(BelongingTo(next.Kind, next.Id)))
            {
                open.Enqueue(to);
            }
        }

        return seen;
    }

    /// <summary>
    /// What a document refers to as it stands there, and what it ever pinned: it can be had again as it was.
    /// </summary>
    private IEnumerable<Reference> ReferencesOf(DocumentKind kind, string id) =>
        kind.Rows.SelectMany(row => ReferencesOf(row, archive.States(row.Kind, id)));

    private static IEnumerable<Reference> ReferencesOf(RowKind row, IReadOnlyList<ArchivedState> states) =>
        states.SelectMany(s =>
            s.Text is { } text ? row.ReferencesIn(s.Form, text).Where(r => r.Revision is not null || s == states[^1]) : []
        );

    private IEnumerable<(string, string)> BelongingTo(string kind, string id)
    {
        if (kind == DocumentKinds.Job.Kind)
        {
            foreach (var run in runsOfJobs[id])
            {
                yield return (DocumentKinds.Run.Kind, run);
            }

            if (Outcome<string>.Try(() => OrderOf(id)) is { Ok: true, Value: { Length: > 0 } order })
            {
                yield return (DocumentKinds.Order.Kind, order);
            }
        }
        else if (kind == DocumentKinds.Run.Kind)
        {
            yield return (DocumentKinds.Making.Kind, id);
            foreach (var load in there.Keys.Where(k => k.Kind == DocumentKinds.Load.Kind && Says(k.Kind, k.Id, id)))
            {
                yield return load;
            }
        }
        else if (kind == DocumentKinds.Film.Kind)
        {
            yield return (DocumentKinds.FilmStock.Kind, id);
        }
    }

    private string OrderOf(string jobId) =>
        ArchiveComparison.LastOf(archive, DocumentKinds.Job.Rows[0], jobId) is { } last
            ? ((Core.Runs.Job)DocumentKinds.Job.Rows[0].Read(last.Form, last.Text!)).OrderId
            : "";

    /// <summary>Whether a document names an id anywhere.</summary>
    private bool Says(string kind, string id, string named) =>
        archive.States(kind, id) is [.., { Text: { } text }] && text.Contains($"\"{named}\"", StringComparison.Ordinal);
}
