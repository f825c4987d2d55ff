using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cabida.Web.Tests;

/// <summary>What each page is told, with the demo day.</summary>
public sealed class ViewsTests : IDisposable
{
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Theory]
    [InlineData("8 5/8", "millimetre", "object", 219.075)]
    [InlineData("8.625", "inch", "object", 219.075)]
    [InlineData("21,9 cm", "inch", "margin", 219)]
    public async Task A_typed_length_is_echoed_as_understood(string text, string unit, string range, double millimetres) =>
        ((double)(await app.Post("/api/lengths", new { typed = new { text, unit }, range }))["millimetres"]!).ShouldBe(millimetres, 1e-9);

    [Fact]
    public async Task A_length_that_cannot_be_meant_is_echoed_with_the_reason()
    {
        var echo = await app.Post("/api/lengths", new { typed = new { text = "-4", unit = "millimetre" }, range = "margin" });
        echo["millimetres"].ShouldBeNull();
        Application.Words(echo["problem"]).ShouldContain("is negative");
    }

    [Theory]
    [InlineData("mug", "blank", "Enamel mug 8 cm")]
    [InlineData("DEPOT", "job", "Depot reopening")]
    [InlineData("vinyl", "film", "Copper vinyl")]
    public async Task Anything_is_found_by_part_of_its_name(string words, string kind, string name) =>
        (await app.Get($"/api/find?words={words}")).AsArray().ShouldContain(f => (string)f!["kind"]! == kind && (string)f["name"]! == name);

    [Fact]
    public async Task The_shelf_tells_size_findings_and_users()
    {
        var shelf = (await app.List("/api/blanks"));
        shelf.Count.ShouldBe(13);
        var tumbler = shelf.Single(b => (string)b!["id"]! == "steel-tumbler")!;
        ((int)tumbler["findings"]!).ShouldBe(1);
        tumbler["usedBy"]!.AsArray().Select(u => (string)u!).ShouldBe(["Driver tumbler", "Driver tumblers", "Fern tumbler"]);
        Application.Words(shelf.Single(b => (string)b!["id"]! == "enamel-mug")!["room"]).ShouldBe("198.8 mm × 71.2 mm to work on");
    }

    [Fact]
    public async Task A_blank_can_be_duplicated_and_altered_without_touching_the_first()
    {
        var copy = await app.Post("/api/blanks/enamel-mug/copy");
        var id = (string)copy["id"]!;
        await app.Change($"/api/blanks/{id}", "blank", b => b["zones"]![0]!["margins"]!["top"]!["text"] = "20");
        ((string)(await app.Get("/api/blanks/enamel-mug"))["blank"]!["zones"]![0]!["margins"]!["top"]!["text"]!).ShouldBe("10");
        ((string)copy["blank"]!["name"]!).ShouldBe("Enamel mug 8 cm, altered");
    }

    [Fact]
    public async Task A_motif_tells_its_ink_its_parts_and_what_to_mend()
    {
        var motif = await app.Get("/api/motifs/crew-name");
        motif["parts"]!.AsArray().Count.ShouldBe(4);
        ((string)motif["inks"]![0]!["path"]!).ShouldStartWith("M");
        ((double)motif["parts"]!.AsArray().Single(p => (string)p!["partId"]! == "name")!["capitalHeight"]!).ShouldBe(24, 1e-6);
        var wrong = await app.Change("/api/motifs/crew-name", "motif", m => m["parts"]![3]!["size"]!["typed"]!["text"] = "huge");
        var problem = wrong["problems"]!.AsArray().ShouldHaveSingleItem()!;
        ((string)problem["part"]!).ShouldBe("name");
        ((string)problem["fields"]![0]!).ShouldBe("size");
        ((string)wrong["motif"]!["parts"]![3]!["size"]!["typed"]!["text"]!).ShouldBe("huge");
    }

    [Fact]
    public async Task A_typeface_that_lacks_a_letter_of_a_motif_is_told_there()
    {
        var motif = await app.Change("/api/motifs/crew-name", "motif", m => m["parts"]![1]!["text"] = "трамвай");
        Application
            .Words(motif["notes"]!.AsArray().ShouldHaveSingleItem()!["message"])
            .ShouldContain("their words are set in Montserrat SemiBold");
        var alone = await app.Change("/api/motifs/crew-name", "motif", m => m["parts"]![1]!["ownFaceOnly"] = true);
        Application.Words(alone["notes"]!.AsArray().ShouldHaveSingleItem()!["message"]).ShouldContain("lacks a character");
    }

    [Fact]
    public async Task Every_typeface_comes_with_a_sample_and_its_licence()
    {
        var faces = (await app.Get("/api/typefaces")).AsArray();
        faces.Count.ShouldBeGreaterThanOrEqualTo(8);
        foreach (var id in faces.Select(f => (string)f!["id"]!))
        {
            (await app.CreateClient().GetStringAsync($"/api/typefaces/{id}/licence")).ShouldContain("Open Font License", Case.Insensitive);
        }

        (await app.CreateClient().GetAsync("/api/typefaces/none/licence")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_piece_is_seen_on_its_blank_and_turns_out_of_sight()
    {
        var bram = (await app.Get("/api/runs/crew-mugs"))["run"]!["list"]!["pieces"]![1]!["id"]!;
        ((string)(await app.Get($"/api/runs/crew-mugs/pieces/{bram}/seen?turn=0"))["inks"]![0]!["path"]!).Length.ShouldBeGreaterThan(100);
        ((string)(await app.Get($"/api/runs/crew-mugs/pieces/{bram}/seen?turn=180"))["inks"]![0]!["path"]!).ShouldBeEmpty();
        (await app.CreateClient().GetAsync("/api/runs/crew-mugs/pieces/none/seen?turn=0")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task What_is_larger_than_the_reach_says_both_sizes_and_is_parted_into_sections()
    {
        var changed = await app.Change("/api/cutters/bench-cutter", "cutter", c =>
        {
            (c["reachWidth"]!["text"], c["reachLength"]!["text"]) = ("120", "120");
            c["carriers"] = new JsonArray();
            c["rollers"]!["width"]!["text"] = "";
        });
        await app.Change("/api/runs/depot-glasses", "run", r => r["setUp"]!["cutter"]!["revision"] = (int)changed["revision"]!);
        var first = (await app.Pieces("depot-glasses"))[0]!;
        string.Join(' ', first["findings"]!.AsArray().Select(f => Application.Words(f!["message"])))
            .ShouldContain("is larger than what the cutter reaches of a sheet, 120.0 mm × 120.0 mm");
        ((bool)first["mayBeCut"]!).ShouldBeTrue();
        var loads = await app.Loads("depot-glasses");
        loads["held"]!.AsArray().ShouldBeEmpty();
        loads["loads"]!.AsArray().SelectMany(l => l!["pieces"]!.AsArray()).ShouldAllBe(p => (int)p!["id"]!["section"]! > 0);
        loads["loads"]!.AsArray().ShouldAllBe(l => ((string)l!["fileName"]!).EndsWith("_sections", StringComparison.Ordinal));

        // Neighbours share their marks: brought back from wherever each lies, every mark is there of two sections, or of four at a corner.
        var marks = loads["loads"]!
            .AsArray()
            .SelectMany(l => l!["pieces"]!.AsArray())
            .SelectMany(p => p!["marks"]!.AsArray().Select(m => (Whole: $"{p["id"]!["piece"]} {p["id"]!["side"]}", At: Back(m!, p["at"]!))))
            .GroupBy(m => (m.Whole, Math.Round(m.At.X, 2), Math.Round(m.At.Y, 2)))
            .ToList();
        marks.Count.ShouldBeGreaterThan(10);
        marks.ShouldAllBe(g => g.Count() == 2 || g.Count() == 4);

        static (double X, double Y) Back(JsonNode mark, JsonNode at)
        {
            var (x, y, turn) = (
                (double)mark["x"]! - (double)at["x"]!,
                (double)mark["y"]! - (double)at["y"]!,
                -(double)at["degrees"]! * Math.PI / 180
            );
            return ((x * Math.Cos(turn)) - (y * Math.Sin(turn)), (x * Math.Sin(turn)) + (y * Math.Cos(turn)));
        }
    }

    [Fact]
    public async Task A_film_whose_limit_cannot_be_read_stops_the_fit_instead_of_letting_thin_strokes_pass()
    {
        var changed = await app.Change("/api/films/navy-vinyl", "film", f => f["thinnestStroke"]!["text"] = "thin");
        await app.Change("/api/runs/crew-mugs", "run", r => r["setUp"]!["film"]!["revision"] = (int)changed["revision"]!);
        var lack = (await app.Get("/api/runs/crew-mugs/ground"))["lacks"]!.AsArray().ShouldHaveSingleItem()!;
        ((string)lack["fields"]![0]!).ShouldBe("film");
        Application.Words(lack["message"]).ShouldContain("“thin” cannot be read as a length");
    }

    [Fact]
    public async Task Scissors_room_that_cannot_be_read_is_asked_for_before_anything_is_laid_out()
    {
        await app.Change("/api/runs/crew-mugs", "run", r => r["setUp"]!["scissorsRoom"]!["text"] = "a bit");
        (await app.Loads("crew-mugs"))["lacks"]!.AsArray().ShouldHaveSingleItem()!["fields"]![0]!.ToString().ShouldBe("scissorsRoom");
        ((string)(await app.Get("/api/runs/crew-mugs"))["run"]!["setUp"]!["scissorsRoom"]!["text"]!).ShouldBe("a bit");
    }

    [Fact]
    public async Task The_same_run_gives_the_same_file_to_the_byte()
    {
        var first = await (await app.FirstFile("crew-mugs")).Content.ReadAsStringAsync();
        using var other = new Application { WithDemo = true };
        (await (await other.FirstFile("crew-mugs")).Content.ReadAsStringAsync()).ShouldBe(first);
    }

    [Fact]
    public async Task What_was_removed_can_be_brought_back()
    {
        var client = app.CreateClient();
        (await app.Send(HttpMethod.Delete, "/api/blanks/rail-lantern", null, "*")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await client.GetAsync("/api/blanks/rail-lantern")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        ((string)(await app.Step("/api/blanks/rail-lantern", "undo"))["blank"]!["name"]!).ShouldBe("Lantern chimney");
    }

    [Fact]
    public async Task Jobs_come_by_the_day_they_are_due_and_those_without_a_day_last()
    {
        await app.Post(
            "/api/jobs",
            new
            {
                name = "Some day",
                customer = "",
                due = "",
            }
        );
        await app.Post(
            "/api/jobs",
            new
            {
                name = "Soon",
                customer = "",
                due = "2026-11-30",
            }
        );
        (await app.List("/api/jobs"))
            .Select(j => (string)j!["job"]!["name"]!)
            .ShouldBe(["Soon", "Crew day", "Depot reopening", "Yard and doors", "Some day"]);
    }

    [Fact]
    public async Task The_api_describes_itself()
    {
        var description = await app.Get("/api/v1.json");
        description["paths"]!.AsObject().Count.ShouldBeGreaterThan(20);
        description["components"]!["schemas"]!["Box"]!["required"]!.AsArray().Count.ShouldBeGreaterThanOrEqualTo(4);
    }

    [Fact]
    public async Task Pages_of_pieces_are_bounded_and_say_where_they_are()
    {
        var page = await app.Get("/api/runs/crew-mugs/pieces?from=10&count=5000");
        ((int)page["from"]!).ShouldBe(10);
        ((int)page["of"]!).ShouldBe(12);
        // No more than there are, and at least one, however slow the machine is.
        page["pieces"]!.AsArray().Count.ShouldBeInRange(1, 2);
        (await app.Get("/api/runs/crew-mugs/pieces?from=99&count=1"))["pieces"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task Removing_a_job_waits_for_its_runs()
    {
        var client = app.CreateClient();
        (await app.Send(HttpMethod.Delete, "/api/jobs/fernhollow-depot", null, "*")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await app.Send(HttpMethod.Delete, "/api/runs/depot-glasses", null, "*")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await app.Send(HttpMethod.Delete, "/api/runs/luggage-tags", null, "*")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await app.Send(HttpMethod.Delete, "/api/runs/tea-mugs", null, "*")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await app.Send(HttpMethod.Delete, "/api/jobs/fernhollow-depot", null, "*")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        var problem = await (
            await app.Send(HttpMethod.Delete, "/api/jobs/fernhollow-depot", null, "*")
        ).Content.ReadFromJsonAsync<JsonNode>();
        problem!["title"]!.ToString().ShouldBe("Not here");
    }
}
