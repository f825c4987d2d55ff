using Cabida.Core.Steps;

namespace Cabida.Core.Tests.Steps;

/// <summary>Whether steps can be done in time by trying every minute: what a plan of a day is held against.</summary>
internal static class EveryStepPlan
{
    /// <summary>Closed from 20 to 24 and from 44 to 50, and open otherwise from far back to far on.</summary>
    public static OpenHours Hours { get; } = new([new Stretch(-1000, 20), new Stretch(24, 44), new Stretch(50, 1000)]);

    private static bool IsOpen(int minute) => minute is < 20 or (>= 24 and < 44) or >= 50;

    /// <summary>Whether all can be done by their time when nothing is begun before a start, by trying every minute.</summary>
    public static bool IsPossible(BenchChain[] chains, int start, Func<BenchChain, int> due)
    {
        var seen = new HashSet<string>();
        return Go(start, new int[chains.Length], [.. chains.Select(_ => start)]);

        bool Go(int now, int[] at, int[] ready)
        {
            if (Enumerable.Range(0, chains.Length).All(c => at[c] == chains[c].Tasks.Count))
            {
                return true;
            }

            if (now > chains.Max(due) || !seen.Add($"{now} {string.Join(',', at)} {string.Join(',', ready.Select(r => Math.Max(r, now)))}"))
            {
                return false;
            }

            for (var c = 0; c < chains.Length; c++)
            {
                if (at[c] == chains[c].Tasks.Count || ready[c] > now || !IsOpen(now))
                {
                    continue;
                }

                var (task, end) = (chains[c].Tasks[at[c]], now);
                for (var left = (int)task.Hands; left > 0; end++)
                {
                    left -= IsOpen(end) ? 1 : 0;
                }

                var (nextAt, nextReady) = ((int[])at.Clone(), (int[])ready.Clone());
                nextAt[c]++;
                nextReady[c] = end + (int)task.Wait;
                var isOver = nextAt[c] == chains[c].Tasks.Count;
                if (!(isOver && nextReady[c] > due(chains[c])) && Go(end, nextAt, nextReady))
                {
                    return true;
                }
            }

            return Go(now + 1, at, ready);
        }
    }
}
