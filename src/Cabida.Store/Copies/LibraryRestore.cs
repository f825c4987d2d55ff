using System.Text.Json;

namespace Cabida.Store;

/// <summary>
/// Brings a copy back in place of the library, while nobody has it open. What was there is set aside and not thrown away. It is done in
/// steps of which each can be cut off: what was begun is noted first, and whoever starts next finishes it.
/// </summary>
/// <param name="folder">The folder of the library.</param>
public sealed class LibraryRestore(string folder)
{
    /// <summary>The folder in which libraries lie that were replaced.</summary>
    public const string Aside = "set-aside";

    /// <summary>The library's file.</summary>
    public const string LibraryName = "cabida.db";

    private const string IncomingName = "cabida.db.incoming";
    private const string NoteName = "bringing-back.json";

    private string Incoming => Path.Combine(folder, IncomingName);

    private string Note => Path.Combine(folder, NoteName);

    /// <summary>What is noted of it.</summary>
    /// <param name="Copy">The copy that is brought back.</param>
    /// <param name="Aside">The folder that what was there goes to.</param>
    private sealed record Noted(string Copy, string Aside);

    /// <summary>Has a copy ready to be brought back by the next start.</summary>
    /// <param name="copy">The copy's file.</param>
    /// <param name="now">When, in UTC.</param>
    public void Begin(string copy, DateTime now)
    {
        Durable.Copy(copy, Incoming);
        var aside = FreeName(now);
        Durable.Write(Note, JsonSerializer.SerializeToUtf8Bytes(new Noted(Path.GetFileName(copy), aside)));
    }

    /// <summary>Finishes what was begun, however far it came.</summary>
    /// <returns>The folder that what was there lies in now, under <see cref="Aside"/>; null where nothing was begun.</returns>
    public string? Finish()
    {
        if (!File.Exists(Note))
        {
            // It was cut off before it was noted; nothing was asked for then.
            File.Delete(Incoming);
            File.Delete(Incoming + Durable.PartEnding);
            return null;
        }

        var noted = JsonSerializer.Deserialize<Noted>(File.ReadAllBytes(Note))!;
        if (File.Exists(Incoming))
        {
            var aside = Path.Combine(folder, Aside, noted.Aside);
            Directory.CreateDirectory(aside);
            // The log goes with its file: beside another it would be taken for that one's.
            foreach (var name in new[] { LibraryName + "-wal", LibraryName + "-shm", LibraryName })
            {
                if (File.Exists(Path.Combine(folder, name)))
                {
                    Durable.Rename(Path.Combine(folder, name), Path.Combine(aside, name));
                }
            }

            Durable.Rename(Incoming, Path.Combine(folder, LibraryName));
        }

        // What follows from the library follows from another now.
        foreach (var name in new[] { "derived.db", "derived.db-wal", "derived.db-shm" })
        {
            File.Delete(Path.Combine(folder, name));
        }

        File.Delete(Note);
        return noted.Aside;
    }

    private string FreeName(DateTime now)
    {
        var name = now.ToString("yyyyMMdd'T'HHmmss'Z'", System.Globalization.CultureInfo.InvariantCulture);
        for (var i = 1; ; i++)
        {
            var free = i == 1 ? name : FormattableString.Invariant($"{name}-{i}");
            if (!Directory.Exists(Path.Combine(folder, Aside, free)))
            {
                return free;
            }
        }
    }
}
