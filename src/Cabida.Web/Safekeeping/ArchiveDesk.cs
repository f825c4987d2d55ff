using Cabida.Core.Wording;
using Cabida.Formats.Pictures;
using Cabida.Store;
using Cabida.Typography;
using Cabida.Web.Serving;

namespace Cabida.Web.Safekeeping;

/// <summary>Where archives that came in lie while the maker chooses what of them is wanted; and where one is written.</summary>
internal sealed class ArchiveDesk(DataFolder folder, TimeProvider clock)
{
    /// <summary>A longer archive is not taken in.</summary>
    public const long MostBytes = 4_000_000_000;

    /// <summary>So long one lies here.</summary>
    private static readonly TimeSpan Lies = TimeSpan.FromDays(1);

    /// <summary>How every zip with something in it begins (PKWARE APPNOTE, 4.3.7).</summary>
    private static ReadOnlySpan<byte> ZipHead => "PK\u0003\u0004"u8;

    private string Place => Path.Combine(folder.Path, "arrived");

    /// <summary>Takes an archive in.</summary>
    /// <returns>The name it lies under.</returns>
    /// <exception cref="NotWorkableException">It is none.</exception>
    public async Task<string> Put(Stream from, CancellationToken stop)
    {
        Directory.CreateDirectory(Place);
        Sweep();
        var id = Guid.NewGuid().ToString("N")[..12];
        var path = PathOf(id);
        try
        {
            await using (var to = new FileStream(path, FileMode.CreateNew, FileAccess.Write, FileShare.None))
            {
                // What is no zip is not read to its end.
                var head = new byte[4];
                var read = await from.ReadAtLeastAsync(head, head.Length, throwOnEndOfStream: false, stop);
                if (!head.AsSpan(0, read).SequenceEqual(ZipHead))
                {
                    throw new NotWorkableException(Phrase.Say($"This is no archive of Cabida's: it is no zip."));
                }

                await to.WriteAsync(head, stop);
                await from.CopyToAsync(to, stop);
            }

            using var archive = Archive.Open(File.OpenRead(path));
            return id;
        }
        catch
        {
            File.Delete(path);
            throw;
        }
    }

    /// <summary>Opens one that lies here; null where it does not any more.</summary>
    public Archive? Find(string id) =>
        id.Length == 12 && id.All(char.IsAsciiHexDigitLower) && File.Exists(PathOf(id)) ? Archive.Open(File.OpenRead(PathOf(id))) : null;

    /// <summary>A file to write an archive into, which is gone once it is closed.</summary>
    public FileStream Paper()
    {
        Directory.CreateDirectory(Place);
        Sweep();
        return new FileStream(
            Path.Combine(Place, $"{Guid.NewGuid():N}.writing"),
            FileMode.CreateNew,
            FileAccess.ReadWrite,
            FileShare.None,
            81_920,
            FileOptions.DeleteOnClose | FileOptions.Asynchronous
        );
    }

    /// <summary>What is wrong with a picture or a typeface, as when it is brought in by itself; null where nothing is.</summary>
    public static Phrase? ProblemOf(ArchiveAbout about, byte[] bytes) =>
        about switch
        {
            PictureAbout => PictureHead.Read(bytes).Problem,
            TypefaceAbout t => TypefaceFile.Read(t.Name, bytes).Problem,
            _ => null,
        };

    private string PathOf(string id) => Path.Combine(Place, id + ".zip");

    private void Sweep()
    {
        var before = clock.GetUtcNow().UtcDateTime - Lies;
        foreach (var file in new DirectoryInfo(Place).EnumerateFiles().Where(f => f.LastWriteTimeUtc < before))
        {
            file.Delete();
        }
    }
}
