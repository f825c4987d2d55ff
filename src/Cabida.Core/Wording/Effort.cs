namespace Cabida.Core.Wording;

/// <summary>
/// How much work one answer may be. Whatever can grow with what was typed spends from it, so that nothing computes without a
/// bound and all of it ends when the one who asked has gone. It counts steps, not seconds: the same input ends at the same
/// place on any machine. Outside of an effort nothing is counted.
/// </summary>
public sealed class Effort
{
    private static readonly AsyncLocal<Effort?> Current = new();

    private readonly CancellationToken stop;
    private long left;

    private Effort(long steps, CancellationToken stop) => (left, this.stop) = (steps, stop);

    /// <summary>Work for a picture of one document: about a second's.</summary>
    public const long Small = 20_000_000;

    /// <summary>Work for one answer that fits pieces or composes often.</summary>
    public const long Large = 150_000_000;

    /// <summary>Counts what is done until the answer is disposed of.</summary>
    /// <param name="steps">How many steps it may take; one is about fifty nanoseconds.</param>
    /// <param name="stop">Ends it; within another effort, what ends that when none is given.</param>
    public static IDisposable Within(long steps, CancellationToken stop = default)
    {
        var outer = Current.Value;
        // What is asked for within something else ends with it.
        Current.Value = new Effort(steps, stop == CancellationToken.None && outer is not null ? outer.stop : stop);
        return new Ending(outer);
    }

    /// <summary>Work for everyone, that neither counts for the one who happened to ask first nor ends when that one goes.</summary>
    public static IDisposable Apart()
    {
        var outer = Current.Value;
        Current.Value = null;
        return new Ending(outer);
    }

    /// <summary>Spends steps before they are done.</summary>
    /// <exception cref="NotWorkableException">There are not so many left.</exception>
    /// <exception cref="OperationCanceledException">The work is not wanted any more.</exception>
    public static void Spend(long steps)
    {
        if (Current.Value is not { } effort)
        {
            return;
        }

        effort.stop.ThrowIfCancellationRequested();
        if (Interlocked.Add(ref effort.left, -steps) < 0)
        {
            throw new TooMuchWorkException(
                Phrase.Say($"This would be more work than one thing may be: too many parts, copies, points or letters. Make it simpler.")
            );
        }
    }

    private sealed class Ending(Effort? outer) : IDisposable
    {
        public void Dispose() => Current.Value = outer;
    }
}
