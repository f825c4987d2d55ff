using System.IO.Compression;
using System.Text.Json.Nodes;
using Cabida.Core.Runs;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store.Tests;

/// <summary>
/// Libraries as earlier versions left them, each with its demo day and a run that was typed in, corrected, renamed, cut short and undone:
/// whoever starts this version keeps every document and every step back.
/// </summary>
public sealed class EarlierLibrariesTests
{
    public static TheoryData<string> All =>
        [
            .. Directory
                .EnumerateFiles(Path.Combine(AppContext.BaseDirectory, "Earlier"), "*.db.gz")
                .Select(f => Path.GetFileName(f))
                .Order(),
        ];

    [Fact]
    public void There_is_one_of_every_form() => All.Count.ShouldBe(5);

    [Theory]
    [MemberData(nameof(All))]
    public async Task Every_document_is_kept_and_every_step_of_a_run_can_be_taken_back_and_again(string name)
    {
        var path = Path.Combine(Path.GetTempPath(), $"cabida-{Guid.NewGuid():N}.db");
        await using (
            var from = new GZipStream(File.OpenRead(Path.Combine(AppContext.BaseDirectory, "Earlier", name)), CompressionMode.Decompress)
        )
        await using (var to = File.Create(path))
        {
            await from.CopyToAsync(to);
        }

        try
        {
            var before = Texts(path, "SELECT Kind, Id, Json FROM Documents");
            var states = Texts(path, "SELECT Kind, Id || ' ' || Revision, Json FROM Revisions WHERE Json IS NOT NULL");
            await using (var db = Open(path))
            {
                (await LibraryUpgrade.Run(db)).ShouldBeGreaterThan(0);
                (await LibraryUpgrade.Run(db)).ShouldBe(0);
            }

            foreach (var ((kind, id), text) in before)
            {
                (await Same(path, kind, id, text)).ShouldBeTrue($"{kind} {id}");
            }

            (await IdsOfAll(path)).Count.ShouldBe(before.Count);
            await Travelled(path, states);
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            File.Delete(path);
        }
    }

    /// <summary>Undo to the first state of the run that was worked on, and redo to the last, compared with the texts there were.</summary>
    private static async Task Travelled(string path, Dictionary<(string, string), JsonNode> states)
    {
        const string Id = "crew-mugs";
        var first = states[("run", $"{Id} 1")];
        var steps = 0;
        while ((await Library(path).Undo(DocumentKinds.Run, Id)).Refused is null)
        {
            steps++;
        }

        steps.ShouldBeGreaterThan(2);
        SameRun((await Library(path).Find(DocumentKinds.Run, Id))!.Document, first);
        while ((await Library(path).Redo(DocumentKinds.Run, Id)).Refused is null)
        {
            steps--;
        }

        // The demo was undone once when the library was left: that step, too, can be made again.
        steps.ShouldBe(-1);
        var last = (await Library(path).Find(DocumentKinds.Run, Id))!.Document;
        last.Pieces.Count.ShouldBe(12);
        last.Pieces[^1].Name.ShouldBe("Wanderley");
    }

    private static async Task<bool> Same(string path, string kind, string id, JsonNode text)
    {
        switch (kind)
        {
            case "run":
                SameRun((await Library(path).Find(DocumentKinds.Run, id))!.Document, text);
                return true;
            case "blank":
                var blank = (await Library(path).Find(DocumentKinds.Blank, id))!.Document;
                return blank.Name == Said(text, "name")
                    && blank.Measured.Count == text["measured"]!.AsArray().Count
                    && blank.Zones.Count > 0;
            case "motif":
                var motif = (await Library(path).Find(DocumentKinds.Motif, id))!.Document;
                return motif.Name == Said(text, "name") && motif.Parts.Count == text["parts"]!.AsArray().Count;
            case "film":
                var film = (await Library(path).Find(DocumentKinds.Film, id))!.Document;
                return film.Colour == Said(text, "colour") && film.Heat.From == (text["pressedAt"]?.GetValue<string>() ?? "");
            case "cutter":
                return (await Library(path).Find(DocumentKinds.Cutter, id))!.Document.Name == Said(text, "name");
            case "job":
                return (await Library(path).Find(DocumentKinds.Job, id))!.Document.Customer == Said(text, "customer");
            case "graphic":
                var graphic = (await Library(path).Find(DocumentKinds.Graphic, id))!.Document;
                await using (var db = Open(path))
                {
                    return graphic.Name == Said(text, "name")
                        && new KeptOutlines(db, TimeProvider.System).Find(graphic.OutlinesId)!.Pieces.Count > 0;
                }
            case "workshop":
                return (await Library(path).Find(DocumentKinds.Workshop, id))!.Document.Name == Said(text, "name");
            default:
                return false;
        }
    }

    private static void SameRun(Run run, JsonNode text)
    {
        run.SetUp.Name.ShouldBe(Said(text, "name"));
        run.SetUp.JobId.ShouldBe(Said(text, "jobId"));
        run.SetUp.Blank?.Id.ShouldBe(text["blank"]!["id"]!.GetValue<string>());
        run.List.NamesTyped.ShouldBe(Said(text, "namesTyped"));
        var pieces = text["pieces"]!.AsArray();
        run.Pieces.Select(p => (p.Id, p.Name)).ShouldBe(pieces.Select(p => (Said(p!, "id"), Said(p!, "name"))));
        run.Verdicts.Said.ToDictionary(v => v.Key, v => v.Value.Words)
            .ShouldBe(
                pieces.Where(p => p!["verdict"] is not null).ToDictionary(p => Said(p!, "id"), p => Said(p!["verdict"]!, "words")),
                ignoreOrder: true
            );
        run.Pieces.Sum(p => p.Own.Spacing).ShouldBe(pieces.Sum(p => p!["own"]?["spacing"]?.GetValue<double>() ?? 0));
    }

    private static async Task<List<string>> IdsOfAll(string path)
    {
        await using var db = Open(path);
        var kinds = DocumentKinds.All.Select(k => k.Kind).ToList();
        return await db.Documents.Where(d => kinds.Contains(d.Kind)).Select(d => d.Id).ToListAsync();
    }

    private static string Said(JsonNode of, string field) => of[field]!.GetValue<string>();

    private static Dictionary<(string Kind, string Id), JsonNode> Texts(string path, string query)
    {
        using var connection = new SqliteConnection($"Data Source={path}");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = query;
        using var reader = command.ExecuteReader();
        var texts = new Dictionary<(string, string), JsonNode>();
        while (reader.Read())
        {
            texts[(reader.GetString(0), reader.GetString(1))] = JsonNode.Parse(reader.GetString(2))!;
        }

        return texts;
    }

    private static Library Library(string path) => new(Open(path), TimeProvider.System);

    private static CabidaContext Open(string path) =>
        new(new DbContextOptionsBuilder<CabidaContext>().UseSqlite($"Data Source={path}").Options);
}
