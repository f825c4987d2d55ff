using System.Text.Json;
using Cabida.Core.Lists;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Formats.Graphics;
using Cabida.Store;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Web.Demo;

/// <summary>Adds the demo data, which ships as files: one document each, in a folder per kind, named by its id.</summary>
internal sealed class DemoLibrary(Cabida.Store.Library library, KeptOutlines outlines, CabidaContext db)
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
        var graphics = await AddGraphics(stop);
        await AddAll(DocumentKinds.Workshop, stop);
        await AddAll(DocumentKinds.Film, stop);
        await AddAll(DocumentKinds.Motif, stop, m => m with { Parts = [.. m.Parts.Select(p => Placed(p, graphics))] });
        await AddAll(DocumentKinds.Cutter, stop);
        await AddAll(DocumentKinds.Press, stop);
        await AddAll(DocumentKinds.FilmStock, stop);
        await AddAll(DocumentKinds.Offer, stop);
        await AddAll(DocumentKinds.Job, stop);
        await AddAll(DocumentKinds.Run, stop, run => run with { List = Listed(run.List) });
    }

    /// <summary>A list with the pieces that it makes.</summary>
    private static RunList Listed(RunList list) =>
        list with
        {
            Pieces = NameList.Read(list.NamesTyped, new ListColumns(list.Columns, list.HasHeading), list.Pieces).Pieces,
        };

    /// <summary>Brings the drawings in as a maker would, and notes where they come from.</summary>
    private async Task<Dictionary<string, Graphic>> AddGraphics(CancellationToken stop)
    {
        var graphics = new Dictionary<string, Graphic>(StringComparer.Ordinal);
        foreach (
            var file in Directory.EnumerateFiles(Path.Combine(Folder, DocumentKinds.Graphic.Kind), "*.svg").Order(StringComparer.Ordinal)
        )
        {
            var id = IdOf(file);
            var read = GraphicFile.Read($"{id}.svg", await File.ReadAllBytesAsync(file, stop)).Value;
            var kept = await outlines.Add(read.Pieces, stop);
            graphics[id] = GraphicFile.Facts($"{id}.svg", read, kept.Id) with
            {
                Origin = "Lantern Yard Workshop, drawn there",
                Terms = "our own; for anything we make",
            };
            if (await library.Find(DocumentKinds.Graphic, id, stop) is null)
            {
                await library.Add(DocumentKinds.Graphic, graphics[id], id, stop: stop);
            }
        }

        return graphics;
    }

    /// <summary>A graphic part with its outlines, which are known only once its drawing was read.</summary>
    private static Part Placed(Part part, Dictionary<string, Graphic> graphics) =>
        part switch
        {
            GraphicPart g when graphics.TryGetValue(g.GraphicId, out var graphic) => g with
            {
                OutlinesId = graphic.OutlinesId,
                FileScale = graphic.Scale,
            },
            GroupPart group => group with { Parts = [.. group.Parts.Select(p => Placed(p, graphics))] },
            _ => part,
        };

    private static string IdOf(string file)
    {
        var id = Path.GetFileNameWithoutExtension(file);
        return id[(id.IndexOf('_', StringComparison.Ordinal) + 1)..];
    }

    private async Task AddAll<T>(DocumentKind<T> kind, CancellationToken stop, Func<T, T>? completed = null)
        where T : class
    {
        foreach (var file in Directory.EnumerateFiles(Path.Combine(Folder, kind.Kind), "*.json").Order(StringComparer.Ordinal))
        {
            var id = IdOf(file);
            var read = DocumentJson.Read<T>(await File.ReadAllTextAsync(file, stop)) ?? throw new JsonException(file);
            if (await library.Find(kind, id, stop) is null)
            {
                await library.Add(kind, completed is null ? read : completed(read), id, stop: stop);
            }
        }
    }
}
