using System.Net;
using System.Text.Json.Nodes;
using Cabida.Formats.Cutting;

namespace Cabida.Web.Tests;

public sealed class MakerTests : IDisposable
{
    private readonly Application app = new();

    public void Dispose() => app.Dispose();

    [Fact]
    public async Task From_an_empty_library_to_a_cut_file_of_the_computed_size()
    {
        var run = await RunOf("Bram\nŁukasz\nSiân");
        var pieces = await app.Pieces(run);
        pieces.Select(p => (string)p!["state"]!).ShouldAllBe(s => s == "fits");

        var loads = await app.Loads(run);
        loads["held"]!.AsArray().ShouldBeEmpty();
        var load = loads["loads"]!.AsArray().ShouldHaveSingleItem()!;
        using var file = await app.FirstFile(run);
        file.Content.Headers.ContentDisposition!.FileNameStar.ShouldBe((string)load["fileName"]! + ".svg");
        var measured = CutSvgMeasure.Of(await file.Content.ReadAsStringAsync());
        foreach (
            var (piece, placed, box) in pieces
                .Select(p => (p!, load["pieces"]!.AsArray().Single(l => (string)l!["id"]!["piece"]! == (string)p!["id"]!)!))
                .Select(p => (p.Item1, p.Item2, measured.Pieces[load["pieces"]!.AsArray().IndexOf(p.Item2)]))
        )
        {
            box.Width.ShouldBe((double)piece["inkBox"]!["width"]!, 0.05);
            box.Height.ShouldBe((double)piece["inkBox"]!["height"]!, 0.05);
            box.Width.ShouldBe((double)placed["box"]!["width"]!, 0.05);
        }
    }

    [Fact]
    public async Task A_mirrored_film_gives_a_mirrored_file_that_says_so()
    {
        var run = await RunOf("Bram");
        var plain = (await app.Loads(run))["loads"]![0]!;
        var film = (string)(await app.List("/api/films"))[0]!["id"]!;
        var changed = await app.Change($"/api/films/{film}", "film", f => f["mirrored"] = true);
        await app.Change($"/api/runs/{run}", "run", r => r["setUp"]!["film"]!["revision"] = (int)changed["revision"]!);
        var mirrored = (await app.Loads(run))["loads"]![0]!;
        ((string)mirrored["fileName"]!).ShouldEndWith("_mirrored");
        ((string)plain["fileName"]!).ShouldNotContain("mirrored");
        ((string)mirrored["mirroring"]!).ShouldBe("all");
        ((string)plain["mirroring"]!).ShouldBe("none");
        ((double)mirrored["used"]!["width"]!).ShouldBe((double)plain["used"]!["width"]!, 1e-6);
    }

    [Fact]
    public async Task A_run_keeps_the_blank_as_it_took_it_and_offers_the_newer_one()
    {
        var run = await RunOf("Bram");
        var before = (double)(await app.Get($"/api/runs/{run}/pieces?from=0&count=1"))["pieces"]![0]!["letterHeight"]!;
        var blank = (string)(await app.List("/api/blanks"))[0]!["id"]!;
        var changed = await app.Change($"/api/blanks/{blank}", "blank", b => b["zones"]![0]!["margins"]!["top"]!["text"] = "30");
        ((double)(await app.Get($"/api/runs/{run}/pieces?from=0&count=1"))["pieces"]![0]!["letterHeight"]!).ShouldBe(before);
        var offered = (await app.Get($"/api/runs/{run}"))["blank"]!;
        ((int)offered["newer"]!).ShouldBe((int)changed["revision"]!);
        await app.Change($"/api/runs/{run}", "run", r => r["setUp"]!["blank"]!["revision"] = (int)changed["revision"]!);
        ((double)(await app.Get($"/api/runs/{run}/pieces?from=0&count=1"))["pieces"]![0]!["letterHeight"]!).ShouldBeLessThan(before);
    }

    [Fact]
    public async Task Pieces_keep_their_ids_when_the_list_is_pasted_again()
    {
        var run = await RunOf("Bram\nSiân");
        var first = (await app.Get($"/api/runs/{run}"))["run"]!["list"]!["pieces"]!.AsArray().Select(p => p!.ToJsonString()).ToList();
        var again = await app.Change($"/api/runs/{run}", "run", r => r["list"]!["namesTyped"] = "Ioanna\nSiân\nBram\n");
        again["run"]!["list"]!["pieces"]!.AsArray().Select(p => p!.ToJsonString()).Skip(1).ShouldBe([first[1], first[0]]);
    }

    [Fact]
    public async Task What_a_run_lacks_is_told_with_the_field_that_lacks_it()
    {
        var job = (string)
            (
                await app.Post(
                    "/api/jobs",
                    new
                    {
                        name = "Job",
                        customer = "",
                        due = "",
                    }
                )
            )["id"]!;
        var run = await app.Post($"/api/jobs/{job}/runs", new { name = "Run" });
        run["lacks"]!.AsArray().Select(l => (string)l!["fields"]![0]!).ShouldBe(["blank", "motif", "film", "names"]);
        (await app.Loads((string)run["id"]!))["lacks"]!.AsArray().Count.ShouldBe(4);
    }

    [Fact]
    public async Task A_second_window_is_told_and_overwrites_nothing()
    {
        var run = await RunOf("Bram");
        var view = await app.Get($"/api/runs/{run}");
        await app.Change($"/api/runs/{run}", "run", r => r["setUp"]!["name"] = "First window");
        view["run"]!["setUp"]!["name"] = "Second window";
        var refused = await app.Put($"/api/runs/{run}", view["run"]!, (int)view["revision"]!);
        refused.StatusCode.ShouldBe(HttpStatusCode.PreconditionFailed);
        JsonNode.Parse(await refused.Content.ReadAsStringAsync())!["detail"]!.ToString().ShouldContain("another window");
        ((string)(await app.Get($"/api/runs/{run}"))["run"]!["setUp"]!["name"]!).ShouldBe("First window");
    }

    [Fact]
    public async Task What_is_in_use_cannot_be_removed_and_says_by_whom()
    {
        await RunOf("Bram");
        var blank = (string)(await app.List("/api/blanks"))[0]!["id"]!;
        var refused = await app.Send(HttpMethod.Delete, $"/api/blanks/{blank}", null, "*");
        refused.StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await refused.Content.ReadAsStringAsync()).ShouldContain("used by Mugs");
    }

    [Theory]
    [InlineData("/api/blanks/none", HttpStatusCode.NotFound)]
    [InlineData("/api/runs/none/pieces?from=0&count=1", HttpStatusCode.NotFound)]
    [InlineData("/api/nowhere", HttpStatusCode.NotFound)]
    public async Task What_is_not_there_is_a_problem_with_words(string path, HttpStatusCode status)
    {
        var response = await app.CreateClient().GetAsync(path);
        response.StatusCode.ShouldBe(status);
        response.Content.Headers.ContentType?.MediaType.ShouldBe("application/problem+json");
    }

    [Fact]
    public async Task Broken_json_is_refused_and_keeps_what_was_there()
    {
        var run = await RunOf("Bram");
        var view = await app.Get($"/api/runs/{run}");
        (await app.Put($"/api/runs/{run}", JsonNode.Parse("""{"name":5}""")!, (int)view["revision"]!)).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        ((string)(await app.Get($"/api/runs/{run}"))["run"]!["setUp"]!["name"]!).ShouldBe("Mugs");
    }

    [Fact]
    public async Task Undo_brings_back_what_was_typed_before()
    {
        var run = await RunOf("Bram");
        await app.Change($"/api/runs/{run}", "run", r => r["list"]!["namesTyped"] = "Bram\nSiân");
        ((string)(await app.Step($"/api/runs/{run}", "undo"))["run"]!["list"]!["namesTyped"]!).ShouldBe("Bram");
        ((string)(await app.Step($"/api/runs/{run}", "redo"))["run"]!["list"]!["namesTyped"]!).ShouldBe("Bram\nSiân");
    }

    /// <summary>A mug measured, a motif, a film and a cutter as they come, and a run of these names.</summary>
    private async Task<string> RunOf(string names)
    {
        var blank = (string)(await app.Post("/api/blanks", new { name = "Mug", surface = "straight" }))["id"]!;
        await app.Change($"/api/blanks/{blank}", "blank", b =>
        {
            Read(b, "girth", "258.5", "259");
            Read(b, "height", "94");
            Read(b, "handle", "42");
        });
        await app.Post("/api/motifs", new { name = "Name" });
        await app.Post("/api/films", new { name = "Navy" });
        var cutter = (string)(await app.Post("/api/cutters", new { name = "Bench" }))["id"]!;
        await app.Change($"/api/cutters/{cutter}", "cutter", c => c["reachWidth"]!["text"] = "290");
        var job = (string)
            (
                await app.Post(
                    "/api/jobs",
                    new
                    {
                        name = "Job",
                        customer = "",
                        due = "",
                    }
                )
            )["id"]!;
        var run = (string)(await app.Post($"/api/jobs/{job}/runs", new { name = "Mugs" }))["id"]!;
        await app.Change($"/api/runs/{run}", "run", r => r["list"]!["namesTyped"] = names);
        return run;
    }

    private static void Read(JsonNode blank, string dimension, params string[] typed) =>
        blank["measured"]!.AsArray().Single(m => (string)m!["dimension"]! == dimension)!["lines"]![0]!["readings"] = new JsonArray([
            .. typed.Select(t => (JsonNode)new JsonObject { ["text"] = t, ["unit"] = "millimetre" }),
        ]);
}
