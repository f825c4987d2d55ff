using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>What a list knows of a document without reading it.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Revision">Where it stands.</param>
public sealed record Heading(string Id, string Name, int Revision);

/// <summary>What is put away.</summary>
/// <param name="Jobs">The jobs, by id.</param>
/// <param name="Runs">Their runs, by id.</param>
public sealed record PutAway(IReadOnlySet<string> Jobs, IReadOnlySet<string> Runs);

/// <summary>What is known of documents without reading any: what they are called, where they stand, what refers to what.</summary>
public sealed class LibraryIndex(CabidaContext db)
{
    /// <summary>All documents of a kind, the oldest first, unread.</summary>
    public async Task<IReadOnlyList<Heading>> Headings(DocumentKind kind, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var kinds = kind.Rows.Select(r => r.Kind).ToList();
        var rows = await db
            .Documents.AsNoTracking()
            .Where(d => kinds.Contains(d.Kind))
            .Select(d => new
            {
                d.Kind,
                d.Id,
                d.Name,
                d.Revision,
                d.CreatedAt,
            })
            .ToListAsync(stop);
        var revisions = rows.GroupBy(r => r.Id, StringComparer.Ordinal)
            .ToDictionary(g => g.Key, g => g.Sum(r => r.Revision), StringComparer.Ordinal);
        return
        [
            .. rows.Where(r => r.Kind == kind.Kind)
                .OrderBy(r => r.CreatedAt)
                .ThenBy(r => r.Id, StringComparer.Ordinal)
                .Select(r => new Heading(r.Id, r.Name, revisions[r.Id])),
        ];
    }

    /// <summary>The jobs that are put away, and their runs.</summary>
    public async Task<PutAway> PutAway(CancellationToken stop = default)
    {
        // One that is damaged is not put away: it is to be seen.
        var jobs = await db
            .Database.SqlQueryRaw<string>(
                "SELECT Id AS Value FROM Documents WHERE Kind = 'job' "
                    + "AND CASE WHEN json_valid(Json) THEN json_extract(Json, '$.isPutAway') ELSE 0 END = 1"
            )
            .ToListAsync(stop);
        var set = jobs.ToHashSet(StringComparer.Ordinal);
        var runs = jobs.Count == 0 ? null : await Referring(DocumentKinds.Run, DocumentKinds.Job, stop);
        return new PutAway(set, runs is null ? new HashSet<string>() : set.SelectMany(j => runs[j]).ToHashSet(StringComparer.Ordinal));
    }

    /// <summary>What a document is called; null where it is not there.</summary>
    public Task<string?> NameOf(DocumentKind kind, string id, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        return db.Documents.AsNoTracking().Where(d => d.Kind == kind.Kind && d.Id == id).Select(d => d.Name).FirstOrDefaultAsync(stop);
    }

    /// <summary>What documents of a kind refer to, each with where it stands: a card that shows it as it is now changes with it.</summary>
    public async Task<ILookup<string, string>> Followed(DocumentKind kind, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var rows = await db
            .References.AsNoTracking()
            .Where(r => r.FromKind == kind.Kind)
            .Join(
                db.Documents.AsNoTracking(),
                r => new { Kind = r.ToKind, Id = r.ToId },
                d => new { d.Kind, d.Id },
                (r, d) =>
                    new
                    {
                        r.FromId,
                        d.Kind,
                        d.Id,
                        d.Revision,
                    }
            )
            .ToListAsync(stop);
        return rows.OrderBy(r => r.Kind, StringComparer.Ordinal)
            .ThenBy(r => r.Id, StringComparer.Ordinal)
            .ToLookup(r => r.FromId, r => FormattableString.Invariant($"{r.Kind} {r.Id} {r.Revision}"), StringComparer.Ordinal);
    }

    /// <summary>Which documents of one kind refer to which of another, by the id of what is referred to.</summary>
    public async Task<ILookup<string, string>> Referring(DocumentKind from, DocumentKind to, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(from);
        ArgumentNullException.ThrowIfNull(to);
        var kinds = from.Rows.Select(r => r.Kind).ToList();
        var rows = await db
            .References.AsNoTracking()
            .Where(r => kinds.Contains(r.FromKind) && r.ToKind == to.Kind)
            .Select(r => new { r.FromId, r.ToId })
            .Distinct()
            .ToListAsync(stop);
        return rows.ToLookup(r => r.ToId, r => r.FromId, StringComparer.Ordinal);
    }

    /// <summary>Names of the documents that refer to those of a kind, by the id of what is referred to; in order, each once.</summary>
    public async Task<ILookup<string, string>> Users(DocumentKind kind, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var rows = await db
            .References.AsNoTracking()
            .Where(r => r.ToKind == kind.Kind)
            .Select(r => new
            {
                r.FromKind,
                r.FromId,
                r.ToId,
            })
            .ToListAsync(stop);
        var kinds = rows.Select(r => MainOf(r.FromKind)).Distinct().ToList();
        var names = (
            await db
                .Documents.AsNoTracking()
                .Where(d => kinds.Contains(d.Kind))
                .Select(d => new
                {
                    d.Kind,
                    d.Id,
                    d.Name,
                })
                .ToListAsync(stop)
        ).ToDictionary(d => (d.Kind, d.Id), d => d.Name);
        return rows.Select(r => (r.ToId, From: (MainOf(r.FromKind), r.FromId)))
            .Distinct()
            .Where(r => names.ContainsKey(r.From))
            .Select(r => (r.ToId, Name: names[r.From]))
            .OrderBy(r => r.Name, StringComparer.Ordinal)
            .ToLookup(r => r.ToId, r => r.Name, StringComparer.Ordinal);

        static string MainOf(string rowKind) => DocumentKinds.OfRow(rowKind).Document.Kind;
    }
}
