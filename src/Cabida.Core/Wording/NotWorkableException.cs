namespace Cabida.Core.Wording;

/// <summary>
/// Something that came from outside cannot be worked out, however it is tried: deep inside a computation there is no value to
/// answer with. <see cref="Outcome{T}.Try"/> turns it into the reason at the first place that can name what it is about:
/// a zone, a part, a piece, a document.
/// </summary>
public class NotWorkableException : Exception
{
    /// <summary>What cannot be worked out, and why.</summary>
    public NotWorkableException(Phrase reason, Exception? cause = null)
        : base(reason?.ToString(), cause) => Reason = reason ?? Phrase.Empty;

    /// <summary>Why, in words for the maker.</summary>
    public Phrase Reason { get; }
}

/// <summary>Work went beyond its bound: not one thing in it fails, all of it is too much.</summary>
public sealed class TooMuchWorkException : NotWorkableException
{
    /// <summary>What is too much.</summary>
    public TooMuchWorkException(Phrase reason)
        : base(reason) { }
}
