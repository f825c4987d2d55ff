namespace Cabida.Core.Wording;

/// <summary>
/// What is worked out when it is first asked for, and kept. Unlike <see cref="Lazy{T}"/> it never keeps a failure: the one who asked
/// first may have gone, or have had no more <see cref="Effort"/> left, and the next one is to get what there is. Many may ask at once.
/// </summary>
/// <typeparam name="T">What is kept.</typeparam>
/// <param name="make">Works it out; let go once it has.</param>
public sealed class Once<T>(Func<T> make)
{
    private readonly Lock making = new();
    private volatile Func<T>? make = make;
    private T? value;

    /// <summary>What it is.</summary>
    public T Value
    {
        get
        {
            if (make is null)
            {
                return value!;
            }

            lock (making)
            {
                if (make is { } work)
                {
                    value = work();
                    make = null;
                }

                return value!;
            }
        }
    }

    /// <summary>Whether it was worked out.</summary>
    public bool IsMade => make is null;
}
