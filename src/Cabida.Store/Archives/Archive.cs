using System.IO.Compression;
using System.Security.Cryptography;
using System.Text.Json;
using Cabida.Core.Wording;

namespace Cabida.Store;

/// <summary>
/// An archive that came from outside. Nothing of it is unpacked into files, so that no name of it leads anywhere; a file of it is read no
/// further than the manifest says it is long, and is used only where its checksum is that of the manifest.
/// </summary>
public sealed class Archive : IDisposable
{
    /// <summary>More files are in no archive.</summary>
    private const int MostEntries = 500_000;

    /// <summary>A manifest is no longer.</summary>
    private const int MostManifest = 200_000_000;

    /// <summary>A file of it is no longer.</summary>
    private const long MostBytes = 300_000_000;

    private readonly ZipArchive zip;
    private readonly Dictionary<(string Kind, string Id), ArchiveEntry> histories;

    private Archive(ZipArchive zip, ArchiveManifest manifest)
    {
        (this.zip, Manifest) = (zip, manifest);
        histories = manifest
            .Entries.Where(e => e.About is HistoryAbout)
            .ToDictionary(e => (((HistoryAbout)e.About).Kind, ((HistoryAbout)e.About).Id));
    }

    /// <summary>What it says of itself.</summary>
    public ArchiveManifest Manifest { get; }

    /// <summary>Its documents, and parts of such, as they stand.</summary>
    public IEnumerable<DocumentAbout> Documents => Manifest.Entries.Select(e => e.About).OfType<DocumentAbout>();

    /// <summary>Documents, and parts of such, that have a past in it, those that were removed among them.</summary>
    public IEnumerable<(string Kind, string Id)> Histories => histories.Keys;

    /// <summary>Opens an archive.</summary>
    /// <param name="file">The file; it belongs to the archive from now on.</param>
    /// <exception cref="NotWorkableException">It is none, or cannot be read.</exception>
    public static Archive Open(Stream file)
    {
        ZipArchive? zip = null;
        try
        {
            zip = new ZipArchive(file, ZipArchiveMode.Read);
            return new Archive(zip, ManifestOf(zip));
        }
        catch (Exception fault)
        {
            zip?.Dispose();
            file.Dispose();
            throw fault switch
            {
                NotWorkableException => fault,
                InvalidDataException or EndOfStreamException => new NotWorkableException(
                    Phrase.Say($"This is no archive of Cabida's, or it was cut off: its end is missing. Copy it anew."),
                    fault
                ),
                JsonException or ArgumentException => new NotWorkableException(
                    Phrase.Say($"Its {ArchiveForm.Manifest} cannot be understood: it was changed or damaged."),
                    fault
                ),
                _ => fault,
            };
        }
    }

    /// <summary>The bytes of a file of it.</summary>
    /// <exception cref="NotWorkableException">They are not what the manifest says.</exception>
    public byte[] Bytes(ArchiveEntry entry)
    {
        ArgumentNullException.ThrowIfNull(entry);
        if (zip.GetEntry(entry.Path) is not { } packed)
        {
            throw Spoilt(entry, "is not in it");
        }

        try
        {
            var bytes = Read(packed, entry.Bytes);
            return bytes.Length == entry.Bytes && Convert.ToHexStringLower(SHA256.HashData(bytes)) == entry.Sha256
                ? bytes
                : throw Spoilt(entry, "is not what it was when the archive was written");
        }
        catch (InvalidDataException fault)
        {
            throw Spoilt(entry, "cannot be unpacked", fault);
        }
    }

    /// <summary>The states that a document, or a part of one, was in, the oldest first; none where it has no past in it.</summary>
    /// <exception cref="NotWorkableException">They cannot be read.</exception>
    public IReadOnlyList<ArchivedState> States(string kind, string id)
    {
        if (!histories.TryGetValue((kind, id), out var entry))
        {
            return [];
        }

        try
        {
            var states = StateLines.Read(Bytes(entry)).ToList();
            return states.Select(s => s.Revision).SequenceEqual(Enumerable.Range(1, states.Count))
                ? states
                : throw Spoilt(entry, "lacks states");
        }
        catch (Exception fault)
            when (fault is JsonException or InvalidOperationException or FormatException or KeyNotFoundException or IndexOutOfRangeException
            )
        {
            throw Spoilt(entry, "cannot be understood", fault);
        }
    }

    /// <summary>A document as it stands there; null where it does not.</summary>
    /// <exception cref="NotWorkableException">It cannot be read.</exception>
    public T? Read<T>(DocumentKind<T> kind, string id)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        var rows = kind.Rows.Select(row => ArchiveComparison.LastOf(this, row, id)).ToList();
        return rows.Exists(r => r is null) ? null : kind.Read(rows.Select(r => (r!.Form, r.Text!)));
    }

    /// <summary>Every change, by its number.</summary>
    /// <exception cref="NotWorkableException">They cannot be read.</exception>
    public IReadOnlyDictionary<long, ArchivedChange> Changes()
    {
        var entry = Manifest.Entries.FirstOrDefault(e => e.About is ChangesAbout)
            ?? throw new NotWorkableException(Phrase.Say($"It lacks {ArchiveForm.Changes}."));
        try
        {
            return NdJson
                .Lines(Bytes(entry))
                .Select(l => JsonSerializer.Deserialize<ArchivedChange>(l.Span, ArchiveForm.Json)!)
                .ToDictionary(c => c.Id);
        }
        catch (Exception fault) when (fault is JsonException or ArgumentException)
        {
            throw Spoilt(entry, "cannot be understood", fault);
        }
    }

    /// <inheritdoc/>
    public void Dispose() => zip.Dispose();

    private static ArchiveManifest ManifestOf(ZipArchive zip)
    {
        if (zip.Entries.Count > MostEntries)
        {
            throw new NotWorkableException(Phrase.Say($"It holds {zip.Entries.Count} files; no archive of Cabida's holds so many."));
        }

        if (zip.GetEntry(ArchiveForm.Manifest) is not { } entry)
        {
            throw new NotWorkableException(Phrase.Say($"This is no archive of Cabida's: it has no {ArchiveForm.Manifest}."));
        }

        var bytes = Read(entry, MostManifest);
        using (var head = JsonDocument.Parse(bytes))
        {
            if (
                head.RootElement.ValueKind != JsonValueKind.Object
                || !head.RootElement.TryGetProperty("format", out var format)
                || format.ValueKind != JsonValueKind.String
                || format.GetString() != ArchiveForm.Name
            )
            {
                throw new NotWorkableException(
                    Phrase.Say($"This is no archive of Cabida's: its {ArchiveForm.Manifest} is of something else.")
                );
            }

            // What a newer version says is not looked at: it may say anything.
            if (Newer(head.RootElement, "version", ArchiveForm.Version) || Newer(head.RootElement, "form", LibraryForm.Current))
            {
                throw new NotWorkableException(
                    Phrase.Say(
                        $"A newer Cabida wrote this archive, and this one does not know all that it holds. Bring it in with that one."
                    )
                );
            }
        }

        var manifest = JsonSerializer.Deserialize<ArchiveManifest>(bytes, ArchiveForm.Json) ?? throw new JsonException("Nothing.");
        foreach (var file in manifest.Entries)
        {
            if (
                file.Path.Length == 0
                || file.Path[0] is '/' or '\\'
                || file.Path.Split('/', '\\').Contains("..")
                || file.Path.Contains(':')
            )
            {
                throw new NotWorkableException(
                    Phrase.Say($"It names a file outside of itself ({file.Path}). Nothing of it is taken: it was made to do harm.")
                );
            }

            if (file.Bytes is < 0 or > MostBytes)
            {
                throw new NotWorkableException(
                    Phrase.Say($"It says that {file.Path} is {file.Bytes} bytes long, which is no length of such.")
                );
            }
        }

        return manifest;
    }

    private static bool Newer(JsonElement head, string field, int known) =>
        !head.TryGetProperty(field, out var n) || n.ValueKind != JsonValueKind.Number || !n.TryGetInt32(out var form) || form > known;

    /// <summary>Reads no more than so many bytes, whatever the zip says.</summary>
    private static byte[] Read(ZipArchiveEntry entry, long most)
    {
        using var from = entry.Open();
        using var to = new MemoryStream();
        var buffer = new byte[81_920];
        for (int read; (read = from.Read(buffer)) > 0; )
        {
            if (to.Length + read > most)
            {
                throw new InvalidDataException("Longer than it says.");
            }

            to.Write(buffer, 0, read);
        }

        return to.ToArray();
    }

    private static NotWorkableException Spoilt(ArchiveEntry entry, string how, Exception? cause = null) =>
        new(Phrase.Say($"Of the archive, {entry.Path} {how}. Nothing of it was taken; copy it anew."), cause);
}
