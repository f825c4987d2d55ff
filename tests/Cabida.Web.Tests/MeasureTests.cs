using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;

namespace Cabida.Web.Tests;

/// <summary>Measuring any blank, as its pages ask for it.</summary>
public sealed class MeasureTests : IDisposable
{
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Theory]
    [InlineData("straight")]
    [InlineData("tapered")]
    [InlineData("bellied")]
    [InlineData("flat")]
    [InlineData("garment")]
    [InlineData("framed")]
    public async Task A_new_blank_of_every_surface_shows_an_example_and_says_what_to_read(string surface)
    {
        var view = await app.Post("/api/blanks", new { name = "New", surface });
        view["sizes"]![0]!["standing"]!["guessed"]!.GetValue<bool>().ShouldBeTrue();
        view["findings"]!.AsArray().ShouldContain(f => (string)f!["severity"]! == "stop");
        view["rows"]!.AsArray().Count.ShouldBeGreaterThan(1);
        view["blank"]!["zones"]!.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task The_demo_shelf_has_goods_of_all_six_surfaces_that_work_out()
    {
        var shelf = (await app.List("/api/blanks"));
        shelf.Select(b => (string)b!["surface"]!).Distinct().Count().ShouldBe(6);
        shelf.ShouldAllBe(b => b!["ready"]!.GetValue<bool>());
        shelf.Count(b => b!["retired"]!.GetValue<bool>()).ShouldBe(1);
        (await app.Get("/api/blanks/work-shirt"))["jobs"]!.AsArray().Select(j => (string)j!).ShouldBe(["Crew day"]);
    }

    [Fact]
    public async Task A_scan_of_the_tray_is_followed_and_becomes_the_outline_of_a_blank()
    {
        var tray = (await app.Get("/api/scanner"))["tray"]!.AsArray();
        tray.Count.ShouldBeGreaterThan(6);
        var scan = await app.Post(
            "/api/scanner/scan",
            new
            {
                sheetId = "plate",
                dotsPerInch = 150,
                skew = 2.0,
                noise = 1.0,
                shading = 15.0,
            }
        );
        ((double)scan["dotsPerInch"]!).ShouldBe(150);
        var found = await app.Post($"/api/pictures/{scan["id"]}/outlines", Trace("150"));
        var outline = found["outlines"]!.AsArray().ShouldHaveSingleItem()!;
        ((int)outline["holes"]!).ShouldBe(2);
        ((double)outline["width"]!).ShouldBe(130, 0.3);
        var id = (string)
            (
                await app.Post(
                    "/api/blanks",
                    new
                    {
                        name = "Plate",
                        surface = "flat",
                        outline = "drawn",
                    }
                )
            )["id"]!;
        var view = await app.Change($"/api/blanks/{id}", "blank", b => b["outline"]!["drawn"] = new JsonObject
            {
                ["rings"] = outline["rings"]!.DeepClone(),
                ["source"] = "a scan",
                ["uncertainty"] = (double)found["uncertainty"]!,
                ["pictureId"] = (string)scan["id"]!,
            });
        ((double)view["sizes"]![0]!["zones"]![0]!["width"]!).ShouldBe(130 - 12, 1);
        var preview = await app.CreateClient().GetAsync($"/api/pictures/{scan["id"]}?width=200");
        preview.Content.Headers.ContentType!.MediaType.ShouldBe("image/jpeg");
    }

    [Theory]
    [InlineData("0", "A resolution of 0 dots an inch cannot be")]
    [InlineData("", "Type the resolution")]
    [InlineData("many", "Type the resolution")]
    public async Task A_resolution_that_is_none_is_refused_where_it_is_typed(string dots, string expected)
    {
        var scan = await app.Post(
            "/api/scanner/scan",
            new
            {
                sheetId = "blank",
                dotsPerInch = 150,
                skew = 0.0,
                noise = 1.0,
                shading = 0.0,
            }
        );
        (await Problem($"/api/pictures/{scan["id"]}/outlines", JsonContentOf(Trace(dots)))).ShouldContain(expected);
        (await Problem($"/api/pictures/{scan["id"]}/outlines", JsonContentOf(Trace("150")))).ShouldContain("Nothing darker than the paper");
    }

    [Fact]
    public async Task Files_that_are_not_what_they_should_be_are_refused_with_the_reason()
    {
        (await Problem("/api/pictures", Bytes("no picture"))).ShouldContain("no picture that can be read");
        (await Problem("/api/outlines?name=a.svg", Bytes("<svg><text>A</text></svg>"))).ShouldContain(
            "holds nothing that can be cut, only text"
        );
        (await Problem("/api/blanks/file", Bytes("{}"))).ShouldContain("something that is needed is missing");
        (
            await Problem(
                "/api/scanner/scan",
                JsonContentOf(
                    new
                    {
                        sheetId = "none",
                        dotsPerInch = 150,
                        skew = 0.0,
                        noise = 0.0,
                        shading = 0.0,
                    }
                )
            )
        ).ShouldContain("The scanner offers");
    }

    [Fact]
    public async Task Two_workshops_swap_their_shelves()
    {
        var client = app.CreateClient();
        var response = await client.GetAsync("/api/blanks/file");
        response.Content.Headers.ContentDisposition!.FileName!.ShouldContain("cabida-blank-shelf.json");
        var file = await response.Content.ReadAsByteArrayAsync();
        using var other = new Application();
        var sent = await other.CreateClient().PostAsync("/api/blanks/file", new ByteArrayContent(file));
        sent.StatusCode.ShouldBe(HttpStatusCode.OK, await sent.Content.ReadAsStringAsync());
        static string Rooms(JsonNode shelf) =>
            string.Join("\n", shelf.AsArray().Select(b => $"{b!["name"]} {b["width"]} {b["height"]} {b["findings"]}").Order());
        Rooms(await other.List("/api/blanks")).ShouldBe(Rooms(await app.List("/api/blanks")));
    }

    [Fact]
    public async Task Strips_come_as_a_pdf_and_strain_for_bellied_walls_only()
    {
        var pdf = await app.CreateClient().GetAsync("/api/strips.pdf?paper=letter");
        pdf.Content.Headers.ContentType!.MediaType.ShouldBe("application/pdf");
        pdf.Content.Headers.ContentDisposition!.FileName!.ShouldContain("letter");
        var strain = await app.Get("/api/blanks/water-jug/strain");
        strain["films"]!.AsArray().ShouldAllBe(f => (double)f!["band"]! > 0 && (double)f["patch"]! > 0);
        (await app.CreateClient().GetAsync("/api/blanks/enamel-mug/strain")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_run_is_for_a_zone_and_a_size_and_is_told_what_the_goods_are_made_of()
    {
        var run = await app.Get("/api/runs/work-shirts");
        run["sizes"]!.AsArray().Select(s => (string)s!).ShouldBe(["S", "M", "L", "XL"]);
        ((string)run["material"]!["material"]!["name"]!).ShouldBe("cotton");
        var changed = await app.Change("/api/runs/work-shirts", "run", r => r["setUp"]!["size"] = "XXXL");
        Application.Words(changed["lacks"]![0]!["message"]).ShouldContain("has no size XXXL any more");
        var mugs = await app.Change("/api/runs/crew-mugs", "run", r => r["setUp"]!["zone"] = "left");
        mugs["lacks"]!.AsArray().ShouldBeEmpty();
        var ground = await app.Get("/api/runs/crew-mugs/ground");
        ((double)ground["faces"]![0]!["zoneBox"]!["width"]!).ShouldBe(70, 1e-6);
        var bench = await app.Get("/api/runs/crew-mugs/bench");
        Application.Words(bench["surfaces"]![0]!["places"]![0]!["place"]).ShouldContain("62.0 mm to the left of it");
    }

    [Fact]
    public async Task A_film_that_does_not_suit_the_goods_is_said_in_the_set_up()
    {
        await app.Change("/api/films/navy-vinyl", "film", f => f["colour"] = "#2a3a5a");
        var film = await app.List("/api/films");
        var revision = (int)film.AsArray().Single(f => (string)f!["id"]! == "navy-vinyl")!["revision"]!;
        var run = await app.Change("/api/runs/work-shirts", "run", r =>
            r["setUp"]!["film"] = new JsonObject { ["id"] = "navy-vinyl", ["revision"] = revision }
        );
        var notes = run["material"]!["notes"]!.AsArray().Select(Application.Words).ToList();
        notes.ShouldContain(n => n.Contains("contrast is", StringComparison.Ordinal));
        notes.ShouldContain(n => n.Contains("does not hold on cloth", StringComparison.Ordinal));
    }

    [Fact]
    public async Task Where_only_a_workable_area_was_given_nothing_is_said_of_what_goes_round()
    {
        await app.Change("/api/runs/crew-mugs", "run", r =>
            r["setUp"]!["blank"] = new JsonObject { ["id"] = "milk-bottle", ["revision"] = 1 }
        );
        var piece = (await app.Get("/api/runs/crew-mugs/pieces?from=0&count=1"))["pieces"]![0]!;
        piece["goesRound"].ShouldBeNull();
        var bench = await app.Get("/api/runs/crew-mugs/bench");
        bench["surfaces"]![0]!["pieces"]![0]!["belowRim"].ShouldBeNull();
        Application.Words(bench["surfaces"]![0]!["places"]![0]!["place"]).ShouldContain("is not known");
    }

    private static object Trace(string dots)
    {
        var none = new { text = "", unit = "millimetre" };
        return new
        {
            by = "resolution",
            dotsPerInch = dots,
            points = Array.Empty<object>(),
            distance = none,
            sheetWidth = none,
            sheetHeight = none,
            edge = "inner",
            allowance = none,
            smoothing = none,
            erased = Array.Empty<object>(),
            straighten = true,
        };
    }

    private static ByteArrayContent Bytes(string text)
    {
        var content = new ByteArrayContent(Encoding.UTF8.GetBytes(text));
        content.Headers.ContentType = new MediaTypeHeaderValue("application/octet-stream");
        return content;
    }

    private static System.Net.Http.Json.JsonContent JsonContentOf(object body) => System.Net.Http.Json.JsonContent.Create(body);

    private async Task<string> Problem(string path, HttpContent body)
    {
        var response = await app.CreateClient().PostAsync(path, body);
        response.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        return (string)JsonNode.Parse(await response.Content.ReadAsStringAsync())!["detail"]!;
    }
}
