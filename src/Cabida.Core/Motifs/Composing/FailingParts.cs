using System.Collections.Concurrent;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>
/// What becomes of parts that cannot be worked out. A picture leaves them out and says why; what is to be cut must not lack
/// anything, so there the first of them ends the work.
/// </summary>
/// <param name="areLeftOut">Whether they are left out.</param>
internal sealed class FailingParts(bool areLeftOut)
{
    private readonly ConcurrentDictionary<string, Phrase> reasons = new(StringComparer.Ordinal);

    /// <summary>Whether they are left out.</summary>
    public bool AreLeftOut => areLeftOut;

    /// <summary>Why each that was met is left out.</summary>
    public IReadOnlyDictionary<string, Phrase> Reasons => reasons;

    /// <summary>What is made of a part; nothing where it fails, or failed before.</summary>
    /// <exception cref="NotWorkableException">It fails, and parts are not left out; or all of it is too much work.</exception>
    public T? Try<T>(string partId, Func<T?> make)
        where T : class
    {
        if (reasons.ContainsKey(partId))
        {
            return null;
        }

        try
        {
            return make();
        }
        catch (NotWorkableException fault) when (areLeftOut && fault is not TooMuchWorkException)
        {
            reasons[partId] = fault.Reason;
            return null;
        }
    }
}
