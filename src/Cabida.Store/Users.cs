using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>What refers to something, by name.</summary>
internal static class Users
{
    /// <summary>Names of the documents that refer to it, in order; a document is named once, whichever of its rows refers.</summary>
    public static async Task<IReadOnlyList<string>> Of(CabidaContext db, string kind, string id, CancellationToken stop)
    {
        var rows = await db
            .References.AsNoTracking()
            .Where(r => r.ToKind == kind && r.ToId == id)
            .Select(r => new { r.FromKind, r.FromId })
            .ToListAsync(stop);
        var names = new List<string>();
        foreach (var user in rows.Select(r => (DocumentKinds.OfRow(r.FromKind).Document.Kind, r.FromId)).Distinct())
        {
            names.AddRange(
                await db
                    .Documents.AsNoTracking()
                    .Where(d => d.Kind == user.Kind && d.Id == user.FromId)
                    .Select(d => d.Name)
                    .ToListAsync(stop)
            );
        }

        return [.. names.Order(StringComparer.Ordinal)];
    }
}
