using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>A revision of a row without its text.</summary>
/// <param name="Kind">The row's kind.</param>
/// <param name="Id">The document.</param>
/// <param name="Revision">The revision.</param>
/// <param name="Replaced">The revision whose state it replaced; null for the first.</param>
/// <param name="Restored">The revision whose state it brought back; null for a change.</param>
/// <param name="ChangeSet">The change it is of.</param>
internal sealed record Step(string Kind, string Id, int Revision, int? Replaced, int? Restored, long ChangeSet)
{
    /// <summary>The revision that first held the state it left; 0 for none there was.</summary>
    public int State => Restored ?? Revision;
}

/// <summary>
/// What can be undone and done again of a document. A change of several documents is undone in all of them or in none; what was undone
/// can be done again until something else is changed.
/// </summary>
internal sealed class DocumentHistory
{
    private readonly Stack<long> done = [];
    private readonly Stack<long> undone = [];

    private DocumentHistory(IReadOnlyList<Step> steps)
    {
        Steps = steps;
        var changeOf = steps.ToDictionary(s => (s.Kind, s.Revision), s => s.ChangeSet);
        foreach (var set in steps.GroupBy(s => s.ChangeSet).OrderBy(s => s.Key))
        {
            var first = set.First();
            if (first.Restored is not { } restored)
            {
                undone.Clear();
                // That it was added is not undone from its own page.
                if (set.Any(s => s.Replaced is not null))
                {
                    done.Push(set.Key);
                }
            }
            else if (restored < first.Replaced)
            {
                Move(changeOf[(first.Kind, first.Replaced.Value)], done, undone);
            }
            else
            {
                Move(changeOf[(first.Kind, restored)], undone, done);
            }
        }
    }

    /// <summary>Every revision of its rows, the oldest first.</summary>
    public IReadOnlyList<Step> Steps { get; }

    /// <summary>The change that undo takes back; null where there is none.</summary>
    public long? ToUndo => done.TryPeek(out var set) ? set : null;

    /// <summary>The change that redo makes again; null where there is none.</summary>
    public long? ToRedo => undone.TryPeek(out var set) ? set : null;

    /// <summary>The history of a document.</summary>
    public static async Task<DocumentHistory> Of(CabidaContext db, DocumentKind kind, string id, CancellationToken stop)
    {
        var kinds = kind.Rows.Select(r => r.Kind).ToList();
        return new(
            await db
                .Revisions.AsNoTracking()
                .Where(r => kinds.Contains(r.Kind) && r.Id == id)
                .OrderBy(r => r.ChangeSetId)
                .Select(r => new Step(r.Kind, r.Id, r.Revision, r.Replaced, r.Restored, r.ChangeSetId))
                .ToListAsync(stop)
        );
    }

    /// <summary>All that a change did, to whichever documents.</summary>
    public static Task<List<Step>> Of(CabidaContext db, long changeSet, CancellationToken stop) =>
        db
            .Revisions.AsNoTracking()
            .Where(r => r.ChangeSetId == changeSet)
            .OrderBy(r => r.Kind)
            .ThenBy(r => r.Id)
            .Select(r => new Step(r.Kind, r.Id, r.Revision, r.Replaced, r.Restored, r.ChangeSetId))
            .ToListAsync(stop);

    /// <summary>The last revision of a row; null where it never was.</summary>
    public static Task<RevisionRow?> Last(CabidaContext db, string kind, string id, CancellationToken stop) =>
        db.Revisions.AsNoTracking().Where(r => r.Kind == kind && r.Id == id).OrderByDescending(r => r.Revision).FirstOrDefaultAsync(stop);

    /// <summary>The revisions that its rows stood at once a document stood at one; null where it never did.</summary>
    public IReadOnlyDictionary<string, int>? At(int revision)
    {
        var at = new Dictionary<string, int>(StringComparer.Ordinal);
        foreach (var set in Steps.GroupBy(s => s.ChangeSet).OrderBy(s => s.Key))
        {
            foreach (var step in set)
            {
                at[step.Kind] = step.Revision;
            }

            if (at.Values.Sum() == revision)
            {
                return at;
            }
        }

        return null;
    }

    /// <summary>A change may be undone though others came after it: from the page of another document that it changed as well.</summary>
    private static void Move(long set, Stack<long> from, Stack<long> to)
    {
        var above = from.TakeWhile(s => s != set).ToList();
        if (above.Count < from.Count)
        {
            for (var i = 0; i <= above.Count; i++)
            {
                from.Pop();
            }

            for (var i = above.Count - 1; i >= 0; i--)
            {
                from.Push(above[i]);
            }
        }

        to.Push(set);
    }
}
