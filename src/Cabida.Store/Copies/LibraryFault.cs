namespace Cabida.Store;

/// <summary>Why a library's file cannot be used.</summary>
public enum LibraryFaultKind
{
    /// <summary>There is no file.</summary>
    Missing,

    /// <summary>The file is there and has nothing in it.</summary>
    Empty,

    /// <summary>It is no library, or not whole any more.</summary>
    Damaged,

    /// <summary>A newer version of the application wrote it.</summary>
    Newer,

    /// <summary>It cannot be opened, as for want of rights.</summary>
    Closed,
}

/// <summary>A library's file that cannot be used.</summary>
/// <param name="Kind">Why.</param>
/// <param name="Detail">What SQLite, or the file system, said of it.</param>
public sealed record LibraryFault(LibraryFaultKind Kind, string Detail);
