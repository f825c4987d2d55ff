using System.IO.Compression;
using System.Text.Json;
using Cabida.Core.Checking;
using Cabida.Core.Pieces;
using Cabida.Store;
using Cabida.Web.Inks;
using Cabida.Web.Library;
using Cabida.Web.Serving;

namespace Cabida.Web.Runs;

/// <summary>
/// Pieces of a run as the board and the strip show them. What was shown before is kept with the library's file, so that after a start
/// nothing is fitted to show it again.
/// </summary>
internal sealed partial class PiecePages(
    FittedPieces fitted,
    DrawnInks inks,
    InkFactsCache facts,
    Workings workings,
    KeptFits kept,
    ILogger<PiecePages> log
)
{
    /// <summary>Some pieces of a run, in the list's order. A page is short rather than late: what is missing is asked for next.</summary>
    public async Task<List<PieceView>> Of(ReadRun run, int from, int count, CancellationToken stop)
    {
        var wanted = FittedPieces
            .Wanted(run, from, count)
            .Select(p => (Piece: p, Made: fitted.Find(run, p), Key: workings.KeyOf($"{fitted.KeyOf(run, p)} {run.ChecksKey}")))
            .ToList();
        var there = await kept.Find([.. wanted.Where(w => w.Made is null).Select(w => w.Key)], stop);
        var (page, fresh) = (new List<PieceView>(), new Dictionary<string, byte[]>(StringComparer.Ordinal));
        var until = DateTime.UtcNow + FittedPieces.AtOnce;
        foreach (var (piece, made, key) in wanted)
        {
            stop.ThrowIfCancellationRequested();
            if (made is null && there.TryGetValue(key, out var packed) && Unpacked(packed) is { } view)
            {
                page.Add(view.As(piece));
                continue;
            }

            if (made is null && page.Count > 0 && DateTime.UtcNow > until)
            {
                break;
            }

            view = PieceView.Of(made ?? fitted.Of(run, piece), run, inks, facts);
            page.Add(view);
            if (made is null)
            {
                fresh[key] = Packed(view);
            }
        }

        await Keep(fresh, stop);
        return page;
    }

    private async Task Keep(Dictionary<string, byte[]> fresh, CancellationToken stop)
    {
        try
        {
            await kept.Keep(fresh, stop: stop);
        }
        catch (Exception fault) when (fault is Microsoft.Data.Sqlite.SqliteException)
        {
            // What is only kept to be quick may be lost.
            NotKept(log, fault);
        }
    }

    private static byte[] Packed(PieceView view)
    {
        using var bytes = new MemoryStream();
        using (var packing = new BrotliStream(bytes, CompressionLevel.Fastest))
        {
            JsonSerializer.Serialize(packing, view, ApiJson.Options);
        }

        return bytes.ToArray();
    }

    private static PieceView? Unpacked(byte[] packed)
    {
        try
        {
            using var unpacking = new BrotliStream(new MemoryStream(packed), CompressionMode.Decompress);
            return JsonSerializer.Deserialize<PieceView>(unpacking, ApiJson.Options);
        }
        catch (Exception fault) when (fault is JsonException or InvalidOperationException or IOException)
        {
            return null;
        }
    }

    [LoggerMessage(Level = LogLevel.Warning, Message = "What was fitted could not be kept")]
    private static partial void NotKept(ILogger log, Exception fault);
}
