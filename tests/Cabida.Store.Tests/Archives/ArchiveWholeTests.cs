using System.IO.Compression;
using System.Text;
using System.Text.Json.Nodes;
using Cabida.Core.Wording;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store.Tests.Archives;

/// <summary>A whole library out into an archive and in again.</summary>
public sealed class ArchiveWholeTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("cabida-archive-").FullName;

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    [Theory]
    [MemberData(nameof(EarlierLibrariesTests.All), MemberType = typeof(EarlierLibrariesTests))]
    public async Task Every_library_there_ever_was_comes_back_the_same_byte_for_byte(string name)
    {
        await using var db = await Earlier(name);
        // Every kind of thing that is kept beside documents.
        await new Pictures(db, TimeProvider.System).Add([1, 2, 3], "image/png", 4, 5, 300, true);
        await new KeptCutFiles(db, TimeProvider.System).Add("SVG"u8.ToArray());
        db.Layouts.Add(
            new()
            {
                PlanId = "plan",
                Key = "a b\n../c",
                Packed = Packing.Pack("{}"u8),
                FoundAt = DateTime.UtcNow,
            }
        );
        db.Typefaces.Add(
            new()
            {
                Id = "own-1",
                Name = "Own",
                Kind = "serif",
                Revision = "r",
                Licence = "",
                Bytes = [.. "OTTO"u8],
                AddedAt = DateTime.UtcNow,
            }
        );
        await db.SaveChangesAsync();
        db.ChangeTracker.Clear();
        // One that was damaged where it lies goes along as it is.
        var film = await db.Documents.FirstAsync(d => d.Kind == "film");
        film.Json = "{\"name\":";
        await db.SaveChangesAsync();
        var state = await db.Revisions.Where(r => r.Kind == "film" && r.Id == film.Id).OrderBy(r => r.Revision).LastAsync();
        (state.Json, state.Packed, state.BasedOn) = (null, Packing.Pack("{\"name\":"u8), null);
        await db.SaveChangesAsync();
        db.ChangeTracker.Clear();

        var first = await Written(db);
        await using var other = await Fresh();
        using (var archive = Archive.Open(new MemoryStream(first)))
        {
            (await ArchiveWhole.Suits(other)).ShouldBeTrue();
            await ArchiveWhole.Bring(other, archive, NoGate);
        }

        var again = await Written(other);
        Differing(first, again).ShouldBeEmpty();
        again.AsSpan().SequenceEqual(first).ShouldBeTrue();
        (await Written(db)).AsSpan().SequenceEqual(first).ShouldBeTrue();
        // It is the library, with every step back.
        (await other.Documents.CountAsync()).ShouldBe(await db.Documents.CountAsync());
        (await other.References.CountAsync()).ShouldBe(await db.References.CountAsync());
        (await LibraryCheck.OfLibrary(other.Database.GetDbConnection().DataSource)).ShouldBeNull();
        var library = new Library(other, TimeProvider.System);
        var job = (await library.All(DocumentKinds.Job))[0];
        (await library.Save(DocumentKinds.Job, job.Id, job.Revision, job.Document with { Name = "Later" })).Refused.ShouldBeNull();
        (await library.Undo(DocumentKinds.Job, job.Id)).Stored!.Document.Name.ShouldBe(job.Document.Name);
    }

    [Fact]
    public async Task One_that_was_cut_off_anywhere_or_changed_anywhere_brings_nothing()
    {
        await using var db = await Earlier(Path.GetFileName(Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "Earlier"))[0]));
        var whole = await Written(db);
        await using var other = await Fresh();
        var random = new Random(7);
        for (var i = 0; i < 60; i++)
        {
            await IsRefused(whole[..random.Next(whole.Length)], $"cut {i}");
        }

        var (refused, same) = (0, 0);
        for (var i = 0; i < 150; i++)
        {
            var changed = (byte[])whole.Clone();
            changed[random.Next(changed.Length)] ^= (byte)(1 << random.Next(8));
            try
            {
                using var archive = Archive.Open(new MemoryStream(changed));
                foreach (var entry in archive.Manifest.Entries)
                {
                    archive.Bytes(entry);
                }

                // A bit of the zip itself that says nothing of what is in it, as a time.
                same++;
            }
            catch (NotWorkableException)
            {
                refused++;
            }
        }

        refused.ShouldBeGreaterThan(100);
        (refused + same).ShouldBe(150);
        (await other.ChangeSets.AnyAsync()).ShouldBeFalse();

        async Task IsRefused(byte[] bytes, string how)
        {
            try
            {
                using var archive = Archive.Open(new MemoryStream(bytes));
                await ArchiveWhole.Bring(other, archive, NoGate);
            }
            catch (NotWorkableException fault)
            {
                fault.Reason.ToString().ShouldNotBeEmpty();
                other.ChangeTracker.Clear();
                return;
            }

            throw new InvalidOperationException($"{how} was taken.");
        }
    }

    [Theory]
    [InlineData("../../etc/passwd", "outside of itself")]
    [InlineData("/etc/passwd", "outside of itself")]
    [InlineData("documents\\..\\..\\x", "outside of itself")]
    [InlineData("C:x", "outside of itself")]
    public void Names_that_climb_out_are_told_of(string path, string why) => Refused(why, m => m["entries"]![0]!["path"] = path);

    [Fact]
    public void What_is_newer_or_something_else_or_a_bomb_is_told_of()
    {
        Refused("newer Cabida", m => m["version"] = 2);
        Refused("newer Cabida", m => m["form"] = LibraryForm.Current + 1);
        Refused("newer Cabida", m => m["version"] = "1");
        Refused("is of something else", m => m["format"] = "other");
        Refused("cannot be understood", m => m["entries"] = "none");
        Refused("no length of such", m => m["entries"]![0]!["bytes"] = 4_000_000_000L);
        Refused("no length of such", m => m["entries"]![0]!["bytes"] = -1);
        // More in it than it says: a gigabyte of zeroes packs to a megabyte.
        Refused("cannot be unpacked", _ => { }, new string('0', 40_000_000));
        Refused("is not what it was", m => m["entries"]![0]!["sha256"] = new string('0', 64));
        Should
            .Throw<NotWorkableException>(() => Archive.Open(new MemoryStream(new byte[5_000_000])))
            .Reason.ToString()
            .ShouldContain("no archive");
        Should.Throw<NotWorkableException>(() => Archive.Open(new MemoryStream([]))).Reason.ToString().ShouldContain("no archive");
    }

    private static Phrase? NoGate(ArchiveAbout about, byte[] bytes) => null;

    /// <summary>An archive of one line of changes, with its manifest spoilt.</summary>
    private static void Refused(string why, Action<JsonNode> spoil, string? content = null)
    {
        var line = "{\"id\":1,\"at\":\"2026-01-01T00:00:00Z\",\"words\":\"Add\"}\n"u8.ToArray();
        var manifest = new JsonObject
        {
            ["format"] = "cabida archive",
            ["version"] = 1,
            ["form"] = LibraryForm.Current,
            ["lastChange"] = null,
            ["entries"] = new JsonArray(
                new JsonObject
                {
                    ["path"] = "changes.ndjson",
                    ["bytes"] = line.Length,
                    ["sha256"] = Convert.ToHexStringLower(System.Security.Cryptography.SHA256.HashData(line)),
                    ["about"] = new JsonObject { ["is"] = "changes", ["changes"] = 1 },
                }
            ),
        };
        spoil(manifest);
        using var zipped = new MemoryStream();
        using (var zip = new ZipArchive(zipped, ZipArchiveMode.Create, leaveOpen: true))
        {
            using (var entry = zip.CreateEntry("changes.ndjson").Open())
            {
                entry.Write(content is null ? line : Encoding.ASCII.GetBytes(content));
            }

            using var told = zip.CreateEntry("manifest.json").Open();
            told.Write(Encoding.UTF8.GetBytes(manifest.ToJsonString()));
        }

        Should
            .Throw<NotWorkableException>(() =>
            {
                using var archive = Archive.Open(new MemoryStream(zipped.ToArray()));
                archive.Changes();
            })
            .Reason.ToString()
            .ShouldContain(why);
    }

    /// <summary>Files that are not the same in two archives, with what each says of them.</summary>
    private static IEnumerable<string> Differing(byte[] first, byte[] second)
    {
        using var a = Archive.Open(new MemoryStream(first));
        using var b = Archive.Open(new MemoryStream(second));
        return [.. a.Manifest.Entries.Except(b.Manifest.Entries).Concat(b.Manifest.Entries.Except(a.Manifest.Entries)).Select(e => $"{e}")];
    }

    private static async Task<byte[]> Written(CabidaContext db)
    {
        using var to = new MemoryStream();
        await new ArchiveWriter(db).Write(to);
        return to.ToArray();
    }

    private async Task<CabidaContext> Fresh()
    {
        var db = Open($"{Guid.NewGuid():N}.db");
        await LibraryUpgrade.Run(db);
        return db;
    }

    private async Task<CabidaContext> Earlier(string name)
    {
        var file = $"{Guid.NewGuid():N}.db";
        await using (
            var from = new GZipStream(File.OpenRead(Path.Combine(AppContext.BaseDirectory, "Earlier", name)), CompressionMode.Decompress)
        )
        await using (var to = File.Create(Path.Combine(folder, file)))
        {
            await from.CopyToAsync(to);
        }

        var db = Open(file);
        await LibraryUpgrade.Run(db);
        return db;
    }

    private CabidaContext Open(string file) =>
        new(new DbContextOptionsBuilder<CabidaContext>().UseSqlite($"Data Source={Path.Combine(folder, file)}").Options);
}
