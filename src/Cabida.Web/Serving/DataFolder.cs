using Cabida.Store;

namespace Cabida.Web.Serving;

/// <summary>The folder in which the maker's library lies, with all that belongs to it.</summary>
/// <param name="path">The folder, as it was given.</param>
internal sealed class DataFolder(string path)
{
    /// <summary>From the settings.</summary>
    public DataFolder(IConfiguration configuration)
        : this(configuration["Data"] ?? "data") { }

    /// <summary>The folder, as it was given.</summary>
    public string Path { get; } = path;

    /// <summary>The library.</summary>
    public string Library => In(LibraryRestore.LibraryName);

    /// <summary>Copies of it.</summary>
    public string Copies => In("copies");

    /// <summary>What belongs to this machine rather than to the library.</summary>
    public string Machine => In("machine.json");

    /// <summary>Held by whoever has the library open.</summary>
    public string Lock => In("cabida.lock");

    /// <summary>How the library is reached.</summary>
    public string ConnectionString => $"Data Source={Library}";

    /// <summary>How what follows from the library is reached; it may be thrown away.</summary>
    public string DerivedConnectionString => $"Data Source={In("derived.db")}";

    private string In(string name) => System.IO.Path.Combine(Path, name);
}
