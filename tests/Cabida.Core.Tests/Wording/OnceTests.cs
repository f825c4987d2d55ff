using Cabida.Core.Wording;

namespace Cabida.Core.Tests.Wording;

public sealed class OnceTests
{
    [Fact]
    public void What_one_who_left_did_not_get_is_worked_out_for_the_next()
    {
        var once = new Once<int>(() =>
        {
            Effort.Spend(1000);
            return 7;
        });
        using (var gone = new CancellationTokenSource())
        {
            gone.Cancel();
            using var asked = Effort.Within(Effort.Small, gone.Token);
            Should.Throw<OperationCanceledException>(() => once.Value);
        }

        using (Effort.Within(10))
        {
            Should.Throw<TooMuchWorkException>(() => once.Value);
        }

        once.IsMade.ShouldBeFalse();
        once.Value.ShouldBe(7);
        once.IsMade.ShouldBeTrue();
    }

    [Fact]
    public void Many_who_ask_at_once_get_the_same_and_it_is_worked_out_once()
    {
        var times = 0;
        using var all = new Barrier(8);
        var once = new Once<object>(() =>
        {
            Interlocked.Increment(ref times);
            return new object();
        });
        var got = new object[8];
        var threads = Enumerable
            .Range(0, 8)
            .Select(i => new Thread(() =>
            {
                all.SignalAndWait();
                got[i] = once.Value;
            }))
            .ToList();
        threads.ForEach(t => t.Start());
        threads.ForEach(t => t.Join());
        times.ShouldBe(1);
        got.ShouldAllBe(g => ReferenceEquals(g, got[0]));
    }

    [Fact]
    public void Work_for_everyone_counts_for_nobody_and_what_follows_it_counts_again()
    {
        using var asked = Effort.Within(10);
        using (Effort.Apart())
        {
            Effort.Spend(1000);
        }

        Should.Throw<TooMuchWorkException>(() => Effort.Spend(11));
    }
}
