namespace Cabida.Store;

/// <summary>
/// The form of a whole library, kept in SQLite's own <c>user_version</c>. It counts up whenever this version writes something that the
/// one before would not know and would drop: a library of a higher form is not opened.
/// </summary>
public static class LibraryForm
{
    /// <summary>The form that this version writes. A test holds it against the fields of all documents.</summary>
    public const int Current = 1;
}
