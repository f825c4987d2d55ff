using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Runs;

namespace Cabida.Core.Lists;

/// <summary>
/// The pieces that a list made before, to be recognised in it again: by the same row; then by the same name; then a name that was
/// mended, by standing where nothing else is recognised and being nearly the same. So a piece keeps what was set by hand for it.
/// </summary>
internal sealed class KnownPieces
{
    private readonly List<Piece> before;
    private readonly List<Piece> away;
    private readonly HashSet<string> taken;

    /// <summary>What is known.</summary>
    /// <param name="before">The pieces there were, in order; of several with one id the first.</param>
    /// <param name="away">Pieces whose rows left the list before.</param>
    public KnownPieces(IReadOnlyList<Piece> before, IReadOnlyList<Piece> away)
    {
        this.before = [.. before.DistinctBy(p => p.Id)];
        taken = this.before.Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
        this.away = [.. away.DistinctBy(p => p.Id).Where(p => taken.Add(p.Id))];
    }

    /// <summary>The ids for rows, in order: known ones where they are recognised.</summary>
    public IReadOnlyList<Piece> For(IReadOnlyList<Piece> rows)
    {
        var found = new Piece?[rows.Count];
        var (left, gone) = (before.ToList(), away.ToList());
        Match(rows, found, left, RowKey);
        Match(rows, found, gone, RowKey);
        Match(rows, found, left, p => p.Name);
        Match(rows, found, gone, p => p.Name);
        MatchMended(rows, found, left);
        return [.. rows.Select((row, i) => found[i] is { } known ? Same(known, row) : row with { Id = FreshId(row.Name) })];
    }

    private static void Match(IReadOnlyList<Piece> rows, Piece?[] found, List<Piece> left, Func<Piece, string> key)
    {
        var queues = left.GroupBy(key, StringComparer.Ordinal).ToDictionary(g => g.Key, g => new Queue<Piece>(g), StringComparer.Ordinal);
        var used = new HashSet<Piece>(ReferenceEqualityComparer.Instance);
        for (var i = 0; i < rows.Count; i++)
        {
            if (found[i] is null && queues.TryGetValue(key(rows[i]), out var queue) && queue.TryDequeue(out var same))
            {
                found[i] = same;
                used.Add(same);
            }
        }

        left.RemoveAll(used.Contains);
    }

    /// <summary>
    /// Rows between recognised neighbours, with as many pieces left between the same neighbours, that are nearly the same.
    /// </summary>
    private void MatchMended(IReadOnlyList<Piece> rows, Piece?[] found, List<Piece> left)
    {
        if (left.Count == 0)
        {
            return;
        }

        var place = before.Select((p, i) => (p, i)).ToDictionary(p => p.p.Id, p => p.i, StringComparer.Ordinal);
        var last = -1;
        for (var i = 0; i < rows.Count; i++)
        {
            if (found[i] is { } known)
            {
                last = place.GetValueOrDefault(known.Id, last);
            }
            else if (left.FirstOrDefault(p => place[p.Id] == last + 1) is { } next && NearlySame(next.Name, rows[i].Name))
            {
                found[i] = next;
                left.Remove(next);
                last++;
            }
        }
    }

    /// <summary>The known piece as its row has it now; itself when nothing of it changed.</summary>
    private static Piece Same(Piece known, Piece row) =>
        known.Name == row.Name && known.Copies == row.Copies && RowKey(known) == RowKey(row)
            ? known
            : known with
            {
                Name = row.Name,
                Values = row.Values,
                Copies = row.Copies,
            };

    private static string RowKey(Piece p) =>
        p.Values.Count == 0
            ? p.Name
            : $"{p.Name}\n{string.Join('\n', p.Values.OrderBy(v => v.Key, StringComparer.Ordinal).Select(v => $"{v.Key}={v.Value}"))}";

    /// <summary>Whether at most a third of the letters, and at least one stays, were changed; capitals do not count.</summary>
    private static bool NearlySame(string a, string b) =>
        Distance(a.ToUpperInvariant(), b.ToUpperInvariant()) * 3 <= Math.Max(a.Length, b.Length);

    /// <summary>The letters that must be put in, taken out or changed (Levenshtein 1966).</summary>
    private static int Distance(string a, string b)
    {
        var row = Enumerable.Range(0, b.Length + 1).ToArray();
        for (var i = 1; i <= a.Length; i++)
        {
            var corner = row[0];
            row[0] = i;
            for (var j = 1; j <= b.Length; j++)
            {
                (corner, row[j]) = (row[j], Math.Min(Math.Min(row[j], row[j - 1]) + 1, corner + (a[i - 1] == b[j - 1] ? 0 : 1)));
            }
        }

        return row[^1];
    }

    /// <summary>An id made from the name, so that the same list makes the same ids.</summary>
    private string FreshId(string name)
    {
        var stem = Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(name)))[..10];
        for (var n = 1; ; n++)
        {
            var id = n == 1 ? stem : $"{stem}-{n}";
            if (taken.Add(id))
            {
                return id;
            }
        }
    }
}
