using System.Net;
using System.Text.Json.Nodes;
using Xunit.Abstractions;

namespace Cabida.Web.Tests;

/// <summary>
/// What is offered against thin strokes, gaps, dots, counters and loose parts does what it says: made, the finding is gone and the piece
/// has the figures that were shown; undone, everything is as it was, in the motif, too.
/// </summary>
public sealed class MendingTests(ITestOutputHelper output) : IDisposable
{
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    private Task<HttpResponseMessage> Mend(string path, int madeFrom, string remedy) =>
        app.Send(HttpMethod.Post, path, new JsonObject { ["remedies"] = new JsonArray(remedy) }, $"\"{madeFrom}\"");

    private async Task<JsonNode> Piece(string run, string id) => (await app.Pieces(run)).Single(p => (string)p!["id"]! == id)!;

    private static bool Is(JsonNode finding, JsonNode other) =>
        new[] { "rule", "side", "part" }.All(f => (string)finding[f]! == (string)other[f]!);

    [Theory]
    [InlineData("work-shirts", 2)]
    [InlineData("luggage-tags", 1)]
    [InlineData("sand-crates", 1)]
    [InlineData("waiting-panes", 2)]
    public async Task Whatever_is_offered_mends_what_it_is_offered_for_as_it_was_shown_and_is_taken_back_in_one_step(string run, int pieces)
    {
        var (at, tried) = ($"/api/runs/{run}", 0);
        foreach (var piece in (await app.Pieces(run)).Take(pieces))
        {
            var id = (string)piece!["id"]!;
            foreach (var finding in (await app.Get($"{at}/pieces/{id}/remedies")).AsArray().Where(f => (bool)f!["mayBeKept"]!))
            {
                foreach (var remedy in finding!["remedies"]!.AsArray().Where(r => r!["refused"] is null && r["effect"] is not null))
                {
                    var (words, before) = ($"{remedy!["id"]}", await app.Get(at));
                    var sent = await Mend($"{at}/pieces/{id}/remedies", (int)before["revision"]!, (string)remedy["id"]!);
                    sent.StatusCode.ShouldBe(HttpStatusCode.OK, $"{words}: {await sent.Content.ReadAsStringAsync()}");
                    var now = await Piece(run, id);
                    now["findings"]!.AsArray().ShouldNotContain(f => Is(f!, finding), words);
                    var then = remedy["effect"]!["then"]!;
                    ((double)now["letterHeight"]!).ShouldBe((double)then["letterHeight"]!, 1e-6, words);
                    ((string)now["state"]!).ShouldNotBe("over", words);
                    // A change of the motif is one change with the run that takes it, and one of a piece leaves the motif alone.
                    var pinned = (await app.Get(at))["run"]!["setUp"]!["motif"]!.ToJsonString();
                    (pinned != before["run"]!["setUp"]!["motif"]!.ToJsonString()).ShouldBe((string)remedy["scope"]! == "motif", words);
                    await app.Step(at, "undo");
                    var after = await app.Get(at);
                    after["run"]!.ToJsonString().ShouldBe(before["run"]!.ToJsonString(), words);
                    ((string)(await Piece(run, id))["inkHash"]!).ShouldBe((string)piece["inkHash"]!, words);
                    tried++;
                }
            }
        }

        output.WriteLine($"{run}: {tried} remedies made and taken back");
        tried.ShouldBeGreaterThan(3);
    }

    [Fact]
    public async Task One_remedy_mends_all_pieces_of_a_set_in_the_motif_or_in_them_alone()
    {
        const string run = "/api/runs/work-shirts";
        var found = (await app.WholeSet("work-shirts"))["findings"]!.AsArray();
        var names = found.First(f => ((string)f!["finding"]!["part"]!) == "name" && (string)f["finding"]!["rule"]! == "thinStrokes")![
            "finding"
        ]!;
        var query = $"rule={names["rule"]}&side={names["side"]}&part={names["part"]}";
        var offered = (await app.Get($"{run}/set/remedies?{query}"))[0]!["remedies"]!.AsArray();
        foreach (var scope in new[] { "motif", "piece" })
        {
            var before = await app.Get(run);
            var remedy = offered.First(r => (string)r!["scope"]! == scope)!;
            string.Concat(remedy["words"]!["parts"]!.AsArray().Select(p => (string)p!["text"]!)).ShouldContain("mends all");
            (await Mend($"{run}/set/remedies?{query}", (int)before["revision"]!, (string)remedy["id"]!)).StatusCode.ShouldBe(
                HttpStatusCode.OK
            );
            (await app.WholeSet("work-shirts"))["findings"]!.AsArray().ShouldNotContain(f => Is(f!["finding"]!, names));
            (await app.Pieces("work-shirts")).ShouldAllBe(p => p!["findings"]!.AsArray().All(f => !Is(f!, names)));
            await app.Step(run, "undo");
            (await app.Get(run))["run"]!.ToJsonString().ShouldBe(before["run"]!.ToJsonString());
        }

        (await app.Get($"{run}/set/remedies?rule=nonsense")).AsArray().ShouldBeEmpty();
        (await app.Get($"{run}/set/remedies?rule=thinStrokes&part=nobody")).AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_motif_that_was_changed_since_the_run_took_it_is_not_mended_from_there()
    {
        const string run = "/api/runs/work-shirts";
        var motif = (string)(await app.Get(run))["run"]!["setUp"]!["motif"]!["id"]!;
        await app.Change($"/api/motifs/{motif}", "motif", m => m["sample"] = "Somebody");
        var piece = (string)(await app.Pieces("work-shirts"))[0]!["id"]!;
        var remedy = (await app.Get($"{run}/pieces/{piece}/remedies"))
            .AsArray()
            .Where(f => (string)f!["side"]! == "")
            .SelectMany(f => f!["remedies"]!.AsArray())
            .First(r => (string)r!["scope"]! == "motif")!;
        var sent = await Mend($"{run}/pieces/{piece}/remedies", (int)(await app.Get(run))["revision"]!, (string)remedy["id"]!);
        sent.StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await sent.Content.ReadAsStringAsync()).ShouldContain("The motif was changed since this run took it");
    }

    [Fact]
    public async Task What_is_kept_as_it_is_stays_so_with_its_reason_changes_no_ink_and_no_longer_holds_the_piece_back()
    {
        const string run = "/api/runs/sand-crates";
        var before = (await app.Pieces("sand-crates"))[0]!;
        ((bool)before["mayBeCut"]!).ShouldBeFalse();
        var held = (await app.Loads(run))["held"]!.AsArray().Select(h => (string)h!["name"]!).ToList();
        held.ShouldContain("DRY SAND");
        await app.Change(run, "run", r => r["setUp"]!["kept"] = new JsonArray([
                .. before["findings"]!
                    .AsArray()
                    .Where(f => (string)f!["rule"]! == "looseParts")
                    .Select(f => new JsonObject
                    {
                        ["rule"] = "looseParts",
                        ["side"] = "",
                        ["part"] = (string)f!["part"]!,
                        ["piece"] = (string)before["id"]!,
                        ["reason"] = "Laid in by hand",
                    }),
            ]));
        var now = (await app.Pieces("sand-crates"))[0]!;
        ((string)now["inkHash"]!).ShouldBe((string)before["inkHash"]!);
        ((bool)now["mayBeCut"]!).ShouldBeTrue();
        now["findings"]!.AsArray().Count(f => (string)f!["kept"]! == "Laid in by hand" && (string)f["severity"]! == "told").ShouldBe(2);
        (await app.Loads(run))["held"]!.AsArray().Select(h => (string)h!["name"]!).ShouldBe(held.Where(h => h != "DRY SAND"));
        // Without a reason nothing is kept, and what does not fit cannot be kept at all.
        await app.Change(run, "run", r => r["setUp"]!["kept"]![0]!["reason"] = " ");
        ((bool)(await app.Pieces("sand-crates"))[0]!["mayBeCut"]!).ShouldBeFalse();
    }

    [Fact]
    public async Task A_graphic_is_looked_at_in_its_motif_at_its_size_there_and_what_mends_it_changes_its_use_alone()
    {
        const string motif = "/api/motifs/platform-board";
        (await app.Get($"{motif}/checks")).AsArray().ShouldBeEmpty();
        await app.Change(motif, "motif", m => Tram(m)["size"]!["typed"]!["text"] = "14");
        var graphics = (await app.Get("/api/graphics"))["cards"]!.ToJsonString();
        var found = (await app.Get($"{motif}/checks")).AsArray();
        found.Count.ShouldBeGreaterThan(0);
        found.ShouldAllBe(f => (string)f!["part"]! == "tram");
        var remedies = found
            .SelectMany(f => f!["remedies"]!.AsArray().Select(r => (Finding: f, Remedy: r!)))
            .Where(r => r.Remedy["refused"] is null)
            .ToList();
        remedies.Count.ShouldBeGreaterThan(0);
        foreach (var (finding, remedy) in remedies)
        {
            ((string)remedy["scope"]!).ShouldBe("motif");
            var before = await app.Get(motif);
            var sent = await Mend($"{motif}/checks/remedies", (int)before["revision"]!, (string)remedy["id"]!);
            sent.StatusCode.ShouldBe(HttpStatusCode.OK, await sent.Content.ReadAsStringAsync());
            (await app.Get($"{motif}/checks")).AsArray().ShouldNotContain(f => Is(f!, finding));
            await app.Step(motif, "undo");
        }

        (await app.Get("/api/graphics"))["cards"]!.ToJsonString().ShouldBe(graphics);
        (await app.CreateClient().GetAsync("/api/motifs/nobody/checks")).StatusCode.ShouldBe(HttpStatusCode.NotFound);

        static JsonNode Tram(JsonNode m) => m["parts"]!.AsArray().Single(p => (string)p!["id"]! == "tram")!;
    }

    [Fact]
    public async Task Readiness_counts_what_holds_a_run_back_in_the_order_of_its_list()
    {
        var needs = await app.Get("/api/runs/sand-crates/readiness");
        while ((int)needs["done"]! < (int)needs["all"]!)
        {
            needs = await app.Get("/api/runs/sand-crates/readiness");
        }

        var pieces = await app.Pieces("sand-crates");
        needs["pieces"]!["toMend"]!.AsArray().Select(p => (string)p!).ShouldBe(pieces.Take(2).Select(p => (string)p!["id"]!));
        needs["pieces"]!["toDecide"]!.AsArray().Select(p => (string)p!).ShouldBe(["crate-ballast"]);
        ((int)needs["pieces"]!["ready"]!).ShouldBe(0);
        await app.Change("/api/runs/sand-crates", "run", r => r["setUp"]!["film"] = null);
        (await app.Get("/api/runs/sand-crates/readiness"))["lacks"]!.AsArray().Count.ShouldBeGreaterThan(0);
    }

    [Fact]
    public async Task A_tie_that_was_moved_stays_with_what_it_holds_when_the_name_changes_and_goes_with_it()
    {
        const string run = "/api/runs/sand-crates";
        async Task<List<JsonNode>> Ties() => [.. (await Piece("sand-crates", "crate-ballast"))["ties"]!.AsArray().Select(t => t!)];
        var before = await Ties();
        var tie = before.First(t => ((string)t["name"]!).StartsWith("name 1A", StringComparison.Ordinal));
        await app.Change(run, "run", r =>
            r["list"]!["pieces"]![2]!["own"]!["ties"] = new JsonArray(
                new JsonObject { ["tie"] = (string)tie["name"]!, ["angle"] = 180 + (double)tie["angle"]! }
            )
        );
        var moved = (await Ties()).Single(t => (string)t["name"]! == (string)tie["name"]!);
        ((bool)moved["moved"]!).ShouldBeTrue();
        Math.Abs((double)moved["angle"]! - (double)tie["angle"]!).ShouldBe(180, 1);
        // The A in the same place keeps it; another letter there has none of it.
        await Renamed("BASALT");
        (await Ties()).ShouldContain(t => (bool)t["moved"]! && (string)t["name"]! == (string)tie["name"]!);
        await Renamed("BOLTS");
        (await Ties()).ShouldAllBe(t => !(bool)t["moved"]!);

        Task Renamed(string name) => app.Change(run, "run", r =>
            {
                r["list"]!["namesTyped"] = $"DRY SAND\nGRIT\n{name}\n";
                r["list"]!["pieces"]![2]!["name"] = name;
            });
    }

    [Fact]
    public async Task Names_of_one_height_that_are_too_thin_are_made_larger_together_or_one_alone_and_not_beyond_what_all_have_room_for()
    {
        const string run = "/api/runs/crew-mugs";
        async Task<JsonNode> Larger(string height, string words)
        {
            await app.Change(run, "run", r => r["setUp"]!["letterHeight"]!["text"] = height);
            await app.WholeSet("crew-mugs");
            foreach (var piece in await app.Pieces("crew-mugs"))
            {
                foreach (var finding in (await app.Get($"{run}/pieces/{piece!["id"]}/remedies")).AsArray())
                {
                    if (
                        finding!["remedies"]!
                            .AsArray()
                            .FirstOrDefault(r => Application.Words(r!["words"]).StartsWith(words, StringComparison.Ordinal)) is
                        { } found
                    )
                    {
                        found["piece"] = piece["id"]!.DeepClone();
                        return found.DeepClone();
                    }
                }
            }

            throw new InvalidOperationException($"Nothing offers to {words}.");
        }

        var all = await Larger("9", "Make all larger");
        all["refused"].ShouldBeNull();
        var before = await app.Get(run);
        (await Mend($"{run}/pieces/{all["piece"]}/remedies", (int)before["revision"]!, (string)all["id"]!)).StatusCode.ShouldBe(
            HttpStatusCode.OK
        );
        var height = (double)all["effect"]!["then"]!["letterHeight"]!;
        height.ShouldBeGreaterThan(9);
        (await app.Pieces("crew-mugs")).ShouldAllBe(p => Math.Abs((double)p!["letterHeight"]! - height) < 1e-6);
        await app.Step(run, "undo");
        (await app.Pieces("crew-mugs")).ShouldAllBe(p => Math.Abs((double)p!["letterHeight"]! - 9) < 1e-6);
        // One alone is offered beside it.
        (await Larger("9", "Make it larger"))["refused"].ShouldBeNull();
    }

    [Fact]
    public async Task A_name_on_two_lines_is_mended_by_its_lines()
    {
        const string run = "/api/runs/luggage-tags";
        var piece = (await app.Pieces("luggage-tags")).First(p => ((string)p!["name"]!) == "Zoë-Marie")!;
        var id = (string)piece["id"]!;
        await app.Change(run, "run", r =>
            r["list"]!["pieces"]!.AsArray().First(p => (string)p!["id"]! == id)!["own"]!["twoLines"] = "Zoë-\nMarie"
        );
        // So heavy a demand that both lines are too thin.
        await app.Change("/api/films/ivory-card", "film", f => f["thinnestStroke"]!["text"] = "6");
        var film = await app.Get("/api/films/ivory-card");
        await app.Change(run, "run", r =>
        {
            foreach (var pin in r["setUp"]!["films"]!.AsArray().Append(r["setUp"]!["film"]).Where(p => (string)p!["id"]! == "ivory-card"))
            {
                pin!["revision"] = (int)film["revision"]!;
            }
        });
        var finding = (await app.Get($"{run}/pieces/{id}/remedies"))
            .AsArray()
            .First(f => (string)f!["rule"]! == "thinStrokes" && f["remedies"]!.AsArray().Any(r => r!["effect"] is not null))!;
        var remedy = finding["remedies"]!.AsArray().First(r => r!["effect"] is not null && (string)r["scope"]! == "piece")!;
        var before = await app.Get(run);
        (await Mend($"{run}/pieces/{id}/remedies", (int)before["revision"]!, (string)remedy["id"]!)).StatusCode.ShouldBe(HttpStatusCode.OK);
        var now = await Piece("luggage-tags", id);
        now["findings"]!.AsArray().ShouldNotContain(f => Is(f!, finding));
        ((double)now["letterHeight"]!).ShouldBe((double)remedy["effect"]!["then"]!["letterHeight"]!, 1e-6);
    }
}
