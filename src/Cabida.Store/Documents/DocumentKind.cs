namespace Cabida.Store;

/// <summary>
/// What the store has to know of a kind of document: the rows it is kept in. Most are kept in one; what is changed apart and grows
/// apart is kept apart, and still is one document with one revision, one undo and one end.
/// </summary>
public abstract class DocumentKind
{
    private protected DocumentKind(IReadOnlyList<RowKind> rows) => Rows = rows;

    /// <summary>Its rows, the one with its name first; all have the document's id.</summary>
    internal IReadOnlyList<RowKind> Rows { get; }

    /// <summary>Its name: that of its first row.</summary>
    public string Kind => Rows[0].Kind;

    /// <summary>
    /// Whether the maker knows it as a thing of its own; what the workshop remembers beside things is part of them.
    /// </summary>
    public bool IsSeen { get; init; } = true;
}

/// <inheritdoc/>
public sealed class DocumentKind<T> : DocumentKind
    where T : class
{
    private readonly Func<T, IReadOnlyList<object>> parted;
    private readonly Func<IReadOnlyList<object>, T> joined;

    /// <summary>A kind that is kept in one row.</summary>
    /// <param name="row">The row.</param>
    public DocumentKind(RowKind<T> row)
        : this([row], d => [d], parts => (T)parts[0]) { }

    /// <summary>A kind that is kept in several rows.</summary>
    /// <param name="rows">Its rows, the one with its name first.</param>
    /// <param name="parted">A document → what stands in each row.</param>
    /// <param name="joined">And back.</param>
    public DocumentKind(IReadOnlyList<RowKind> rows, Func<T, IReadOnlyList<object>> parted, Func<IReadOnlyList<object>, T> joined)
        : base(rows) => (this.parted, this.joined) = (parted, joined);

    /// <summary>What a document is called.</summary>
    public string NameOf(T document) => Rows[0].StateOf(parted(document)[0]).Name;

    internal IReadOnlyList<RowState> StatesOf(T document) => [.. parted(document).Select((part, i) => Rows[i].StateOf(part))];

    /// <summary>A document from the texts of its rows.</summary>
    internal T Read(IEnumerable<(int Form, string Json)> texts) => joined([.. texts.Select((t, i) => Rows[i].Read(t.Form, t.Json))]);
}
