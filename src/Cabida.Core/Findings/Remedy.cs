using System.Text.Json.Serialization;
using Cabida.Core.Wording;

namespace Cabida.Core.Findings;

/// <summary>A change that would mend what was noticed. It is worked out where it is offered, and made there.</summary>
/// <param name="Id">
/// Tells it apart from all others of its document. It holds what would come of it, so that of a document changed meanwhile nothing is
/// taken for it that is not the same.
/// </param>
/// <param name="Words">What it would do, for a button.</param>
public sealed record Remedy(string Id, Phrase Words)
{
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
