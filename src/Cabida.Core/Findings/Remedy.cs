using System.Text.Json.Serialization;
using Cabida.Core.Wording;

namespace Cabida.Core.Findings;

/// <summary>What a remedy changes.</summary>
public enum RemedyScope
{
    /// <summary>What the document itself says.</summary>
    Document,

    /// <summary>One piece, or some, and nothing else.</summary>
    Piece,

    /// <summary>The motif, for all that is made with it from then on.</summary>
    Motif,
}

/// <summary>A change that would mend what was noticed. It is worked out where it is offered, and made there.</summary>
/// <param name="Id">
/// Tells it apart from all others of its document. It holds what would come of it, so that of a document changed meanwhile nothing is
/// taken for it that is not the same.
/// </param>
/// <param name="Words">What it would do, for a button.</param>
public sealed record Remedy(string Id, Phrase Words)
{
    /// <summary>How far it reaches.</summary>
    public RemedyScope Scope { get; init; }

    /// <summary>What it would change of a piece, where that was worked out.</summary>
    public RemedyEffect? Effect { get; init; }

    /// <summary>Why it cannot work here; it is told and not offered then.</summary>
    public Phrase? Refused { get; init; }

    /// <summary>What it changes. A page names the remedy and never makes the change itself.</summary>
    [JsonIgnore]
    public Change? Change { get; init; }
}

/// <summary>What a remedy changes.</summary>
public abstract record Change;

/// <summary>What a remedy changes of a document.</summary>
/// <typeparam name="T">The kind of document.</typeparam>
public abstract record Change<T> : Change
{
    /// <summary>Of several that are made at once, the higher first: a line that is taken away moves those after it.</summary>
    public virtual int Order => 0;

    /// <summary>The document as it would be.</summary>
    public abstract T Of(T document);
}
