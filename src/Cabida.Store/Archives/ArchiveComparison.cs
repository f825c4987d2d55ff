using Cabida.Core.Documents;
using Cabida.Core.Wording;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>How a document of an archive stands to the library.</summary>
public enum ArchiveStanding
{
    /// <summary>It never was here.</summary>
    New,

    /// <summary>It is here, and the same.</summary>
    Same,

    /// <summary>It is here, and says something else.</summary>
    Differs,

    /// <summary>It was here and was removed.</summary>
    Removed,
}

/// <summary>A document of an archive.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it is called there.</param>
/// <param name="Standing">How it stands to the library.</param>
/// <param name="ChangedAt">When it was changed last there, in UTC.</param>
/// <param name="HereChangedAt">When it was changed last here, in UTC; null where it is not here.</param>
/// <param name="Problem">Why it cannot be taken; null where it can.</param>
public sealed record ArchivedDocument(
    string Kind,
    string Id,
    string Name,
    ArchiveStanding Standing,
    DateTime ChangedAt,
    DateTime? HereChangedAt,
    Phrase? Problem
);

/// <summary>Holds what an archive has against the library.</summary>
public sealed class ArchiveComparison(CabidaContext db)
{
    private readonly RevisionTexts texts = new(db);

    /// <summary>The documents of an archive that the maker knows as things of their own, in order of their kinds and names.</summary>
    public async Task<IReadOnlyList<ArchivedDocument>> Of(Archive archive, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(archive);
        var all = new List<ArchivedDocument>();
        foreach (var kind in DocumentKinds.All.Where(k => k.IsSeen))
        {
            foreach (var about in archive.Documents.Where(d => d.Kind == kind.Kind).OrderBy(d => d.Name, StringComparer.CurrentCulture))
            {
                stop.ThrowIfCancellationRequested();
                all.Add(await Of(archive, kind, about, stop));
            }
        }

        return all;
    }

    /// <summary>How one stands.</summary>
    public async Task<ArchivedDocument> Of(Archive archive, DocumentKind kind, DocumentAbout about, CancellationToken stop)
    {
        ArgumentNullException.ThrowIfNull(archive);
        ArgumentNullException.ThrowIfNull(kind);
        ArgumentNullException.ThrowIfNull(about);
        var here = await db
            .Documents.AsNoTracking()
            .Where(d => d.Kind == kind.Kind && d.Id == about.Id)
            .Select(d => new { d.ChangedAt })
            .FirstOrDefaultAsync(stop);
        var was = await db.Revisions.AnyAsync(r => r.Kind == kind.Kind && r.Id == about.Id, stop);
        var standing =
            here is null ? (was ? ArchiveStanding.Removed : ArchiveStanding.New)
            : await IsSame(archive, kind, about.Id, stop) ? ArchiveStanding.Same
            : ArchiveStanding.Differs;
        return new ArchivedDocument(
            kind.Kind,
            about.Id,
            about.Name,
            standing,
            about.ChangedAt,
            here is null ? null : DateTime.SpecifyKind(here.ChangedAt, DateTimeKind.Utc),
            ProblemOf(archive, kind, about.Id)
        );
    }

    /// <summary>A text in the form of now, so that what says the same is the same; as it is where it cannot be read.</summary>
    internal static string Normal(RowKind row, int form, string text) =>
        Outcome<string>.Try(() => row.StateOf(form, text).Json) is { Ok: true } read ? read.Value : text;

    /// <summary>The last state of a row of a document in an archive; null where there is none, or it was removed.</summary>
    internal static ArchivedState? LastOf(Archive archive, RowKind row, string id) =>
        archive.States(row.Kind, id) is [.., { Text: not null } last] ? last : null;

    private async Task<bool> IsSame(Archive archive, DocumentKind kind, string id, CancellationToken stop)
    {
        foreach (var row in kind.Rows)
        {
            var last = await DocumentHistory.Last(db, row.Kind, id, stop);
            var here = last is null ? null : await texts.Of(last, stop);
            var there = LastOf(archive, row, id);
            if (
                (here is null) != (there is null)
                || (here is not null && Normal(row, last!.Form, here) != Normal(row, there!.Form, there.Text!))
            )
            {
                return false;
            }
        }

        return true;
    }

    /// <summary>Why a document cannot come in: it is read and looked through as what comes from anywhere is.</summary>
    private static Phrase? ProblemOf(Archive archive, DocumentKind kind, string id)
    {
        try
        {
            foreach (var row in kind.Rows)
            {
                if (LastOf(archive, row, id) is not { } last)
                {
                    return Phrase.Say($"Its {row.Kind} is not in the archive.");
                }

                var read = row.Read(last.Form, last.Text!);
                if (DocumentGate.LooksAt(read.GetType()) && DocumentGate.ProblemsOf(read) is [var first, ..])
                {
                    return first.Message;
                }
            }

            return null;
        }
        catch (NotWorkableException fault)
        {
            return fault.Reason;
        }
        catch (Exception fault) when (fault is NullReferenceException or ArgumentNullException)
        {
            return Phrase.Say($"It lacks what every {kind.Kind} has.");
        }
    }
}
