namespace Cabida.Core.Wording;

/// <summary>
/// Something that came from outside cannot be worked out, however it is tried: deep inside a computation there is no value to
/// answer with. <see cref="Outcome{T}.Try"/> turns it into the reason at the first place that can name what it is about:
/// a zone, a part, a piece, a document.
/// </summary>
public sealed class NotWorkableException : Exception
{
    /// <summary>What cannot be worked out, and why.</summary>
    public NotWorkableException(Phrase reason, Exception? cause = null)
        : base(reason?.ToString(), cause) => Reason = reason ?? Phrase.Empty;

    /// <summary>Why, in words for the maker.</summary>
    public Phrase Reason { get; }
}
