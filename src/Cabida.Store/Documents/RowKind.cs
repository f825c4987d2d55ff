using Cabida.Core.Wording;

namespace Cabida.Store;

/// <summary>What is kept of a state of a row beside its text.</summary>
/// <param name="Name">What it is called, for lists.</param>
/// <param name="Json">Its text in the current form.</param>
/// <param name="References">What it refers to, each once.</param>
internal sealed record RowState(string Name, string Json, IReadOnlyList<Reference> References);

/// <summary>What the store has to know of a row in which a document, or a part of one, is kept.</summary>
/// <param name="kind">Its name in the database.</param>
/// <param name="forms">The forms it was ever written in.</param>
public abstract class RowKind(string kind, Forms forms)
{
    /// <summary>Its name in the database.</summary>
    public string Kind { get; } = kind;

    /// <summary>The forms it was ever written in.</summary>
    public Forms Forms { get; } = forms;

    /// <summary>A state that was kept in any form, as it is kept now.</summary>
    internal abstract RowState StateOf(int form, string json);

    /// <summary>A state that comes in.</summary>
    internal abstract RowState StateOf(object value);

    /// <summary>What something that was kept is called.</summary>
    internal abstract string NameIn(int form, string json);

    /// <summary>What was kept, read.</summary>
    internal abstract object Read(int form, string json);

    /// <summary>
    /// What something that was kept refers to; nothing where it cannot be read, so that all of what comes instead is looked at.
    /// </summary>
    internal abstract IReadOnlyList<Reference> ReferencesIn(int form, string json);
}

/// <inheritdoc/>
/// <param name="kind">Its name in the database.</param>
/// <param name="forms">The forms it was ever written in.</param>
/// <param name="nameOf">What one is called.</param>
/// <param name="referencesOf">What one refers to.</param>
public sealed class RowKind<T>(string kind, Forms forms, Func<T, string> nameOf, Func<T, IEnumerable<Reference>> referencesOf)
    : RowKind(kind, forms)
    where T : notnull
{
    internal override RowState StateOf(int form, string json) => StateOf(DocumentJson.Read<T>(Forms, form, json));

    internal override RowState StateOf(object value) =>
        new(nameOf((T)value), DocumentJson.Write((T)value), [.. referencesOf((T)value).Distinct()]);

    internal override string NameIn(int form, string json) => nameOf(DocumentJson.Read<T>(Forms, form, json)) ?? "";

    internal override object Read(int form, string json) => DocumentJson.Read<T>(Forms, form, json);

    internal override IReadOnlyList<Reference> ReferencesIn(int form, string json)
    {
        try
        {
            return [.. referencesOf(DocumentJson.Read<T>(Forms, form, json))];
        }
        // What was spoiled may lack what no document lacks.
        catch (Exception fault) when (fault is NotWorkableException or NullReferenceException or ArgumentNullException)
        {
            return [];
        }
    }
}
