using System.Collections.Concurrent;

namespace Cabida.Core.Geometry;

/// <summary>
/// What was worked out, kept by a key that says all it follows from; results do not depend on what it holds. Bounded: what was not
/// asked for while half of the budget was filled is dropped. Many may ask at once.
/// </summary>
/// <typeparam name="TKey">What tells values apart.</typeparam>
/// <typeparam name="TValue">What is kept.</typeparam>
/// <param name="budget">About how much it may hold, in the unit of <paramref name="sizeOf"/>.</param>
/// <param name="sizeOf">How large a value is.</param>
public sealed class Kept<TKey, TValue>(long budget, Func<TValue, long> sizeOf)
    where TKey : notnull
{
    private readonly Lock turning = new();

    /// <summary>What was asked for lately, and what was before that.</summary>
    private volatile ConcurrentDictionary<TKey, TValue> recent = new();
    private volatile ConcurrentDictionary<TKey, TValue> earlier = new();
    private long held;

    /// <summary>The value of a key, or the result of <paramref name="make"/>, kept from then on.</summary>
    public TValue Get(TKey key, Func<TValue> make)
    {
        ArgumentNullException.ThrowIfNull(make);
        if (recent.TryGetValue(key, out var value))
        {
            return value;
        }

        if (!earlier.TryGetValue(key, out value))
        {
            value = make();
        }

        if (Interlocked.Add(ref held, sizeOf(value)) > budget / 2)
        {
            lock (turning)
            {
                (earlier, recent) = (recent, new());
                Interlocked.Exchange(ref held, sizeOf(value));
            }
        }

        recent[key] = value;
        return value;
    }
}
