using System.Text;

namespace Cabida.Devices.Shop;

/// <summary>
/// A shop that drops orders into a folder: files to fetch lie in it, those that were read in <c>read</c>, and what the shop is told in
/// <c>told/pieces.csv</c>.
/// </summary>
/// <param name="name">What it is called.</param>
/// <param name="folder">Where the folder is.</param>
public sealed class FolderShop(string name, string folder) : IShop
{
    /// <summary>So many files are looked at in one go; the others come next time.</summary>
    public const int MostFiles = 500;

    private static readonly string[] Kinds = [".csv", ".tsv", ".txt", ".json", ".xlsx", ".xls"];

    /// <inheritdoc/>
    public string Name { get; } = name;

    /// <inheritdoc/>
    public IReadOnlyList<OrderDrop> Ready() =>
        Directory.Exists(folder)
            ?
            [
                .. new DirectoryInfo(folder)
                    .EnumerateFiles()
                    .Where(f => Kinds.Contains(f.Extension.ToLowerInvariant()) && !f.Name.StartsWith('.'))
                    .OrderBy(f => f.LastWriteTimeUtc)
                    .ThenBy(f => f.Name, StringComparer.Ordinal)
                    .Take(MostFiles)
                    .Select(f => new OrderDrop(f.Name, f.Length, f.LastWriteTimeUtc)),
            ]
            : [];

    /// <inheritdoc/>
    public Task<byte[]> Read(string name, CancellationToken stop = default) => File.ReadAllBytesAsync(At(name), stop);

    /// <inheritdoc/>
    public void PutAway(string name)
    {
        var away = Path.Combine(folder, "read");
        Directory.CreateDirectory(away);
        var (bare, kind) = (Path.GetFileNameWithoutExtension(name), Path.GetExtension(name));
        var to = Path.Combine(away, name);
        // Shops use names again; what was read before stays.
        for (var i = 2; File.Exists(to); i++)
        {
            to = Path.Combine(away, $"{bare} ({i}){kind}");
        }

        File.Move(At(name), to);
    }

    /// <inheritdoc/>
    public async Task Tell(IReadOnlyList<ToldPiece> pieces, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(pieces);
        var told = Path.Combine(folder, "told");
        Directory.CreateDirectory(told);
        // Written whole and then put in its place: the shop never reads half of it.
        var (whole, part) = (Path.Combine(told, "pieces.csv"), Path.Combine(told, ".pieces"));
        await File.WriteAllTextAsync(part, Csv(pieces), new UTF8Encoding(true), stop);
        File.Move(part, whole, overwrite: true);
    }

    /// <summary>States of pieces as a table: order, name, quantity, state.</summary>
    /// <param name="pieces">The pieces.</param>
    public static string Csv(IReadOnlyList<ToldPiece> pieces)
    {
        ArgumentNullException.ThrowIfNull(pieces);
        var text = new StringBuilder("order,name,quantity,state\r\n");
        foreach (var p in pieces)
        {
            text.Append(CsvText.Cell(p.Order)).Append(',').Append(CsvText.Cell(p.Name)).Append(',');
            text.Append(p.Quantity).Append(',').Append(CsvText.Cell(p.State)).Append("\r\n");
        }

        return text.ToString();
    }

    /// <summary>A file of the folder itself; a name that leads elsewhere is none.</summary>
    private string At(string name) =>
        Path.GetFileName(name) == name && name.Length > 0 && name[0] != '.'
            ? Path.Combine(folder, name)
            : throw new FileNotFoundException("There is no such file.", name);
}
