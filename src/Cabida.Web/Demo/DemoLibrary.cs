using System.Text.Json;
using Cabida.Store;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Web.Demo;

/// <summary>Adds the demo data, which ships as files: one document each, in a folder per kind, named by its id.</summary>
internal sealed class DemoLibrary(Cabida.Store.Library library, CabidaContext db)
{
    private static string Folder => Path.Combine(AppContext.BaseDirectory, "demo");

    public async Task<bool> AddIfEmpty(CancellationToken stop)
    {
        if (await db.Documents.AnyAsync(stop))
        {
            return false;
        }

        await Add(stop);
        return true;
    }

    /// <summary>Adds every demo document that is not there already.</summary>
    public async Task Add(CancellationToken stop)
    {
        await AddAll(DocumentKinds.Blank, stop);
        await AddAll(DocumentKinds.Motif, stop);
        await AddAll(DocumentKinds.Film, stop);
        await AddAll(DocumentKinds.Cutter, stop);
        await AddAll(DocumentKinds.Job, stop);
        await AddAll(DocumentKinds.Run, stop, run => run with { Pieces = Core.Runs.NameList.Read(run.NamesTyped, []).Pieces });
    }

    private async Task AddAll<T>(DocumentKind<T> kind, CancellationToken stop, Func<T, T>? completed = null)
        where T : class
    {
        foreach (var file in Directory.EnumerateFiles(Path.Combine(Folder, kind.Kind), "*.json").Order(StringComparer.Ordinal))
        {
            var id = Path.GetFileNameWithoutExtension(file);
            id = id[(id.IndexOf('_', StringComparison.Ordinal) + 1)..];
            var read = DocumentJson.Read<T>(DocumentJson.CurrentForm, await File.ReadAllTextAsync(file, stop)) ?? throw new JsonException(file);
            if (await library.Find(kind, id, stop) is null)
            {
                await library.Add(kind, completed is null ? read : completed(read), id, stop);
            }
        }
    }
}
