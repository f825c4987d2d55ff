namespace Cabida.Core.Orders;

/// <summary>What changed of one line of an order since it was taken.</summary>
/// <param name="Was">The line as it was taken; null for one that came since.</param>
/// <param name="Is">The line as it is now; null for one that is not ordered any more.</param>
public sealed record LineCorrection(ReadLine? Was, ReadLine? Is)
{
    /// <summary>
    /// What changed between two states of an order. Lines that say the same are the same line, wherever they stand. Of the others those
    /// of one offer and name belong together, then those of one offer in the order in which they stand.
    /// </summary>
    /// <param name="was">The order as it was taken.</param>
    /// <param name="now">The order as it is.</param>
    public static IReadOnlyList<LineCorrection> Between(ReadOrder was, ReadOrder now)
    {
        ArgumentNullException.ThrowIfNull(was);
        ArgumentNullException.ThrowIfNull(now);
        var (before, after) = (was.Lines.ToList(), now.Lines.ToList());
        Pair(before, after, l => OrderKeys.Of(l.Line));
        var changed = Pair(before, after, l => $"{KeyOf(l)} {l.Name.ToUpperInvariant()}").Concat(Pair(before, after, KeyOf)).ToList();
        return
        [
            .. changed
                .Select(p => new LineCorrection(p.Was, p.Is))
                .Concat(before.Select(l => new LineCorrection(l, null)))
                .Concat(after.Select(l => new LineCorrection(null, l)))
                .Where(c => c.IsAny)
                .OrderBy(c => c.Is?.At ?? c.Was!.At)
                .ThenBy(c => c.Is is null ? 0 : 1),
        ];
    }

    /// <summary>Whether anything that is made differs; that a remark is written otherwise is no correction.</summary>
    private bool IsAny =>
        Was is null
        || Is is null
        || Was.Offer?.Id != Is.Offer?.Id
        || Was.Name != Is.Name
        || Was.Copies != Is.Copies
        || Was.MayBeTaken != Is.MayBeTaken
        || Was.Values.Count != Is.Values.Count
        || Was.Values.Any(v => Is.Values.GetValueOrDefault(v.Key) != v.Value);

    private static string KeyOf(ReadLine line) => line.Offer?.Id ?? line.Line.Offer;

    /// <summary>Takes lines that have the same key out of both, the first with the first.</summary>
    private static List<(ReadLine Was, ReadLine Is)> Pair(List<ReadLine> before, List<ReadLine> after, Func<ReadLine, string> key)
    {
        var waiting = before
            .GroupBy(key, StringComparer.Ordinal)
            .ToDictionary(g => g.Key, g => new Queue<ReadLine>(g), StringComparer.Ordinal);
        var pairs = new List<(ReadLine Was, ReadLine Is)>();
        foreach (var line in after)
        {
            if (waiting.TryGetValue(key(line), out var known) && known.TryDequeue(out var was))
            {
                pairs.Add((was, line));
            }
        }

        var (wasPaired, isPaired) = (pairs.Select(p => p.Was).ToHashSet(), pairs.Select(p => p.Is).ToHashSet());
        before.RemoveAll(wasPaired.Contains);
        after.RemoveAll(isPaired.Contains);
        return pairs;
    }
}
