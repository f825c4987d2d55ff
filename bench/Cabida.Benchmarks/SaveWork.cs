using Cabida.Core.Lists;
using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Store;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Benchmarks;

/// <summary>What a hundred strokes in a run of a thousand names leave behind, against the same states kept whole.</summary>
internal static class SaveWork
{
    private const int Names = 1000;
    private const int Saves = 100;

    public static async Task Report()
    {
        var path = Path.Combine(Path.GetTempPath(), $"cabida-{Guid.NewGuid():N}.db");
        try
        {
            await using var db = new CabidaContext(new DbContextOptionsBuilder<CabidaContext>().UseSqlite($"Data Source={path}").Options);
            await LibraryUpgrade.Run(db);
            var library = new Library(db, TimeProvider.System);
            var job = (await library.Add(DocumentKinds.Job, new Job("Job", "", ""))).Id;
            var names = Enumerable.Range(0, Names).Select(i => $"{MugRun.Name(i)} of carriage {i}").ToList();
            var run = await library.Add(
                DocumentKinds.Run,
                new Run(
                    new RunSetUp("Run", job, null, null, null, null, Sizing.EachLargest, TypedLength.Empty, TypedLength.Mm(5)),
                    ListOf(names, []),
                    RunVerdicts.None
                )
            );
            var (begun, whole) = (await Bytes(db), 0L);
            for (var i = 0; i < Saves; i++)
            {
                names[37 * i % Names] += (char)('a' + (i % 26));
                var list = ListOf(names, run.Document.Pieces);
                run = (await library.Save(DocumentKinds.Run, run.Id, run.Revision, run.Document with { List = list })).Stored!;
                whole += DocumentJson.Write(run.Document).Length;
            }

            var ofList = await Bytes(db) - begun;
            for (var i = 0; i < Saves; i++)
            {
                var setUp = run.Document.SetUp with { LetterHeight = TypedLength.Mm(20 + (i / 10.0)) };
                run = (await library.Save(DocumentKinds.Run, run.Id, run.Revision, run.Document with { SetUp = setUp })).Stored!;
            }

            var ofSetUp = await Bytes(db) - begun - ofList;
            Console.WriteLine($"{Saves} saves of {Names} names: {whole:#,0} bytes as whole documents, {ofList:#,0} as they are kept");
            Console.WriteLine($"{Saves} saves of its set-up: {ofSetUp:#,0} bytes");
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            File.Delete(path);
        }
    }

    private static RunList ListOf(IReadOnlyList<string> names, IReadOnlyList<Piece> before)
    {
        var typed = string.Join('\n', names);
        return new RunList(typed, NameList.Read(typed, before).Pieces);
    }

    private static Task<long> Bytes(CabidaContext db) => db.Revisions.SumAsync(r => (long)(r.Packed == null ? 0 : r.Packed.Length));
}
