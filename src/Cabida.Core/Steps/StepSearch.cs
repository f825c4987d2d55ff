namespace Cabida.Core.Steps;

/// <summary>A chain as the search takes it: what is to be done one after the other, each after its lead.</summary>
/// <param name="Leads">How long it rests before each; minutes.</param>
/// <param name="Hands">How long each keeps the hands.</param>
/// <param name="Tail">How long it rests after the last.</param>
/// <param name="Release">When it may begin.</param>
/// <param name="Due">When it should be done.</param>
internal sealed record SearchedChain(double[] Leads, double[] Hands, double Tail, double Release, double Due)
{
    /// <summary>What is left from one of its tasks on.</summary>
    public double LeftFrom(int at) => Leads.Skip(at).Sum() + Hands.Skip(at).Sum() + Tail;
}

/// <summary>
/// One pair of hands, chains with rests between: whichever chain has most left to do before it is due goes first (list scheduling, Graham
/// 1969), and where there are few tasks every order is tried (branch and bound). What is looked for is the least lateness of
/// any, then of all together, then the earliest end.
/// </summary>
internal sealed class StepSearch
{
    private const int MostNodes = 300_000;

    /// <summary>With more tasks than this not every order is tried.</summary>
    private const int MostTried = 14;

    private readonly IReadOnlyList<SearchedChain> chains;
    private readonly OpenHours open;
    private readonly int[] at;
    private readonly double[] ready;
    private readonly List<(int Chain, int Task, IReadOnlyList<Stretch> Hands)> placed = [];
    private (double Late, double All, double End) best = (double.PositiveInfinity, double.PositiveInfinity, double.PositiveInfinity);
    private List<(int Chain, int Task, IReadOnlyList<Stretch> Hands)>? found;
    private int nodes;

    private StepSearch(IReadOnlyList<SearchedChain> chains, OpenHours open)
    {
        (this.chains, this.open) = (chains, open);
        (at, ready) = (new int[chains.Count], [.. chains.Select(c => c.Release)]);
    }

    /// <summary>What was found: the tasks in order with their times.</summary>
    /// <param name="Tasks">Chain, task and when the hands are on it; null where the hours end before all is done.</param>
    /// <param name="IsBest">Whether every order was tried.</param>
    public sealed record Found(IReadOnlyList<(int Chain, int Task, IReadOnlyList<Stretch> Hands)>? Tasks, bool IsBest);

    public static Found Of(IReadOnlyList<SearchedChain> chains, OpenHours open)
    {
        var search = new StepSearch(chains, open);
        search.List();
        if (chains.Sum(c => c.Hands.Length) > MostTried)
        {
            return new Found(search.found, false);
        }

        search.Try(double.NegativeInfinity, (0, 0, double.NegativeInfinity));
        return new Found(search.found, search.nodes <= MostNodes);
    }

    /// <summary>List scheduling: of what could be begun as soon as the hands are free, what has most left before it is due.</summary>
    private void List()
    {
        var free = double.NegativeInfinity;
        var left = chains.Select(c => c.LeftFrom(0)).ToArray();
        double Begin(int c) => ready[c] + chains[c].Leads[at[c]];
        for (var todo = chains.Sum(c => c.Hands.Length); todo > 0; todo--)
        {
            var waiting = Enumerable.Range(0, chains.Count).Where(c => at[c] < chains[c].Hands.Length).ToList();
            var soonest = Math.Max(free, waiting.Min(Begin));
            var next = waiting.Where(c => Begin(c) <= soonest).MaxBy(c => left[c] - chains[c].Due);
            if (open.Place(Math.Max(free, Begin(next)), chains[next].Hands[at[next]]) is not { } hands)
            {
                Back(placed.Count);
                return;
            }

            left[next] -= chains[next].Leads[at[next]] + chains[next].Hands[at[next]];
            Put(next, hands);
            free = hands[^1].To;
        }

        best = chains
            .Select((c, i) => (c, End: ready[i] + c.Tail))
            .Aggregate((0.0, 0.0, double.NegativeInfinity), (b, e) => With(b, e.c, e.End));
        found = [.. placed];
        Back(placed.Count);
    }

    /// <summary>What it comes to once a chain has ended, too.</summary>
    private static (double Late, double All, double End) With((double Late, double All, double End) so, SearchedChain chain, double end)
    {
        var late = Math.Max(0, end - chain.Due);
        return (Math.Max(so.Late, late), so.All + late, Math.Max(so.End, end));
    }

    private void Try(double free, (double Late, double All, double End) so)
    {
        if (++nodes > MostNodes || Bound(free, so).CompareTo(best) >= 0)
        {
            return;
        }

        var isDone = true;
        for (var c = 0; c < chains.Count; c++)
        {
            if (at[c] == chains[c].Hands.Length)
            {
                continue;
            }

            isDone = false;
            var was = ready[c];
            var begin = Math.Max(free, was + chains[c].Leads[at[c]]);
            if (open.Place(begin, chains[c].Hands[at[c]]) is not { } hands)
            {
                continue;
            }

            Put(c, hands);
            Try(hands[^1].To, at[c] == chains[c].Hands.Length ? With(so, chains[c], ready[c] + chains[c].Tail) : so);
            placed.RemoveAt(placed.Count - 1);
            at[c]--;
            ready[c] = was;
        }

        if (isDone && so.CompareTo(best) < 0)
        {
            (best, found) = (so, [.. placed]);
        }
    }

    /// <summary>No way to go on is better than this: each chain without the others, and the hands without any rest.</summary>
    private (double Late, double All, double End) Bound(double free, (double Late, double All, double End) so)
    {
        var (hands, tail, from) = (0.0, double.PositiveInfinity, double.PositiveInfinity);
        for (var c = 0; c < chains.Count; c++)
        {
            if (at[c] == chains[c].Hands.Length)
            {
                continue;
            }

            var chain = chains[c];
            var begin = Math.Max(free, ready[c] + chain.Leads[at[c]]);
            so = With(so, chain, begin + chain.LeftFrom(at[c]) - chain.Leads[at[c]]);
            hands += chain.Hands.Skip(at[c]).Sum();
            (tail, from) = (Math.Min(tail, chain.Tail), Math.Min(from, begin));
        }

        return hands > 0 ? so with { End = Math.Max(so.End, from + hands + tail) } : so;
    }

    private void Put(int chain, IReadOnlyList<Stretch> hands)
    {
        placed.Add((chain, at[chain], hands));
        at[chain]++;
        ready[chain] = hands[^1].To;
    }

    private void Back(int count)
    {
        placed.RemoveRange(placed.Count - count, count);
        Array.Clear(at);
        for (var c = 0; c < chains.Count; c++)
        {
            ready[c] = chains[c].Release;
        }
    }
}
