namespace Cabida.Store;

/// <summary>
/// A change of one or several documents that is made as one: all of it is kept or none, and it is undone as one from the page of any of
/// them.
/// </summary>
/// <param name="words">What is done, in a few words.</param>
public sealed class UnitOfWork(string words)
{
    private readonly List<Pending> changes = [];

    /// <summary>What is done.</summary>
    public string Words { get; } = words;

    internal IReadOnlyList<Pending> Changes => changes;

    /// <summary>Adds a document, or replaces it.</summary>
    /// <param name="kind">What it is.</param>
    /// <param name="id">Which one.</param>
    /// <param name="document">The document as it is to stand.</param>
    /// <param name="madeFrom">The revision that the change was made from, 0 where there was none; null where that does not matter.</param>
    public UnitOfWork Put<T>(DocumentKind<T> kind, string id, T document, int? madeFrom = null)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        changes.Add(new Pending(kind, id, kind.StatesOf(document), madeFrom));
        return this;
    }

    /// <summary>Removes a document; its revisions stay.</summary>
    /// <param name="kind">What it is.</param>
    /// <param name="id">Which one.</param>
    /// <param name="madeFrom">The revision that was seen; null for whatever it is.</param>
    public UnitOfWork Remove(DocumentKind kind, string id, int? madeFrom = null)
    {
        ArgumentNullException.ThrowIfNull(kind);
        changes.Add(new Pending(kind, id, null, madeFrom));
        return this;
    }
}

/// <summary>A document to be written.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Id">Which one.</param>
/// <param name="States">Its rows as they are to stand; null to remove it.</param>
/// <param name="MadeFrom">The revision it was made from; null where that does not matter.</param>
internal sealed record Pending(DocumentKind Kind, string Id, IReadOnlyList<RowState>? States, int? MadeFrom);

/// <summary>What became of a unit of work.</summary>
/// <param name="Refused">Why none of it was kept; null when all of it was.</param>
/// <param name="Kind">What it was refused about.</param>
/// <param name="Id">Which one.</param>
/// <param name="UsedBy">Names of what refers to it, when that is why.</param>
/// <param name="Missing">What it refers to and is not there, when that is why.</param>
public sealed record UnitWritten(
    Refusal? Refused = null,
    string Kind = "",
    string Id = "",
    IReadOnlyList<string>? UsedBy = null,
    IReadOnlyList<Dangling>? Missing = null
);
