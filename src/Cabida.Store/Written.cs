using Cabida.Core.Wording;

namespace Cabida.Store;

/// <summary>A document with its place in the library.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Revision">Its revision: counts up with every change of any row that it is kept in.</param>
/// <param name="CreatedAt">When it was first kept, in UTC.</param>
/// <param name="ChangedAt">When it was last changed, in UTC.</param>
/// <param name="Document">The document.</param>
public sealed record Stored<T>(string Id, int Revision, DateTime CreatedAt, DateTime ChangedAt, T Document);

/// <summary>A document in a list: itself, or why it cannot be read.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Revision">Its revision.</param>
/// <param name="Read">It, or why it cannot be read.</param>
public sealed record Listed<T>(string Id, string Name, int Revision, Outcome<Stored<T>> Read);

/// <summary>Why a write was refused.</summary>
public enum Refusal
{
    /// <summary>There is no such document.</summary>
    Missing,

    /// <summary>It was changed meanwhile.</summary>
    Stale,

    /// <summary>Something refers to it.</summary>
    InUse,

    /// <summary>It refers to something that is not there.</summary>
    Dangling,

    /// <summary>There is nothing to undo or redo.</summary>
    NothingThere,

    /// <summary>The step also changed another document, which was changed since.</summary>
    OvertakenElsewhere,
}

/// <summary>What became of a write.</summary>
/// <param name="Stored">The document as it stands now; null when there is none.</param>
/// <param name="Refused">Why it was not written, when it was not.</param>
/// <param name="UsedBy">Names of what refers to it, or of what else was changed since, when that is why.</param>
/// <param name="Changed">The fields that were changed elsewhere, when that is why.</param>
/// <param name="Revision">The revision there is now, also of what was removed; 0 when there never was any.</param>
public sealed record Written<T>(
    Stored<T>? Stored,
    Refusal? Refused = null,
    IReadOnlyList<string>? UsedBy = null,
    IReadOnlyList<string>? Changed = null,
    int Revision = 0
)
{
    /// <summary>What it refers to and is not there, when that is why it was not written.</summary>
    public IReadOnlyList<Dangling> Lacking { get; init; } = [];
}
