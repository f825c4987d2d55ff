using System.Collections.Concurrent;
using Cabida.Core.Motifs;
using Cabida.Store;

namespace Cabida.Web.Graphics;

/// <summary>The outlines of graphics, read once. Bounded: past its budget it starts again empty.</summary>
internal sealed class LibraryGraphics(IServiceScopeFactory scopes) : IGraphics
{
    private const int MostKept = 200;
    private readonly ConcurrentDictionary<string, GraphicOutlines> kept = new(StringComparer.Ordinal);

    /// <inheritdoc/>
    public GraphicOutlines? Find(string outlinesId)
    {
        if (kept.TryGetValue(outlinesId, out var found))
        {
            return found;
        }

        using var scope = scopes.CreateScope();
        if (scope.ServiceProvider.GetRequiredService<KeptOutlines>().Find(outlinesId) is not { } read)
        {
            return null;
        }

        if (kept.Count >= MostKept)
        {
            kept.Clear();
        }

        return kept[outlinesId] = read;
    }
}
