using System.Text;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>
/// The texts of revisions. Each state is kept; one that differs little from the last that was kept whole is kept as that difference, so
/// that a thousand strokes in a long list cost what was typed and not a thousand lists.
/// </summary>
internal sealed class RevisionTexts(CabidaContext db)
{
    /// <summary>A difference larger than this part of the whole is not worth a second reading.</summary>
    private const double Worth = 0.25;

    /// <summary>The text of a revision; null for one in which the document was removed.</summary>
    public async Task<string?> Of(RevisionRow row, CancellationToken stop)
    {
        if (row.Gone || (row.Json ?? (object?)row.Packed) is null)
        {
            return null;
        }

        return row.Json ?? Encoding.UTF8.GetString(await BytesOf(row, stop));
    }

    /// <summary>Packs the text of the next revision of a document.</summary>
    /// <param name="kind">The row's kind.</param>
    /// <param name="id">The document.</param>
    /// <param name="last">Its last revision; null for the first.</param>
    /// <param name="json">The text.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<(byte[] Packed, int? BasedOn)> Pack(string kind, string id, RevisionRow? last, string json, CancellationToken stop)
    {
        var bytes = Encoding.UTF8.GetBytes(json);
        var whole = Packing.Pack(bytes);
        if (last is null || (last.BasedOn is { } b ? await Row(kind, id, b, stop) : last) is not { Gone: false } from)
        {
            return (whole, null);
        }

        var difference = Packing.Pack(TextDelta.Of(await BytesOf(from, stop), bytes));
        return difference.Length <= Worth * whole.Length ? (difference, from.Revision) : (whole, null);
    }

    /// <summary>A text packed whole.</summary>
    public static byte[] Whole(string json) => Packing.Pack(Encoding.UTF8.GetBytes(json));

    private async Task<byte[]> BytesOf(RevisionRow row, CancellationToken stop)
    {
        if (row.Packed is null)
        {
            return Encoding.UTF8.GetBytes(row.Json ?? "");
        }

        var bytes = Packing.Unpack(row.Packed);
        return row.BasedOn is { } from ? TextDelta.Apply(await BytesOf((await Row(row.Kind, row.Id, from, stop))!, stop), bytes) : bytes;
    }

    private Task<RevisionRow?> Row(string kind, string id, int revision, CancellationToken stop) =>
        db.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.Kind == kind && r.Id == id && r.Revision == revision, stop);
}
