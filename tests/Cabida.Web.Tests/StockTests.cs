using System.Net;
using System.Text.Json.Nodes;

namespace Cabida.Web.Tests;

/// <summary>What there is of a film, and a load in every format.</summary>
public sealed class StockTests : IDisposable
{
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    private static JsonObject Item(string id, string form, string width, string length) =>
        new()
        {
            ["id"] = id,
            ["form"] = form,
            ["width"] = new JsonObject { ["text"] = width, ["unit"] = "millimetre" },
            ["length"] = new JsonObject { ["text"] = length, ["unit"] = "millimetre" },
        };

    private static JsonArray Ring(params (double X, double Y)[] corners) =>
        [new JsonObject { ["points"] = new JsonArray([.. corners.Select(c => (JsonNode)new JsonObject { ["x"] = c.X, ["y"] = c.Y })]) }];

    [Fact]
    public async Task Sheets_rolls_and_off_cuts_of_a_film_are_kept_drawn_and_told_what_is_wrong_with_them()
    {
        var id = (string)(await app.Post("/api/films", new { name = "Moss vinyl" }))["id"]!;
        var (path, film) = ($"/api/stock/{id}", (int)(await app.Get($"/api/films/{id}"))["revision"]!);
        (await app.Post(path))["stock"]!["items"]!.AsArray().ShouldBeEmpty();
        // Once more, as when two pages begin it.
        (await app.Post(path))["stock"]!["filmId"]!.ToString().ShouldBe(id);
        (await app.Send(HttpMethod.Post, "/api/stock/no-such-film", null, null)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        var offCut = Item("c", "offCut", "", "");
        offCut["outline"] = Ring((0, 0), (200, 0), (200, 80), (120, 80), (120, 150), (0, 150));
        var kept = await app.Change(path, "stock", s =>
            s["items"] = new JsonArray(Item("a", "sheet", "300", "12 in"), Item("b", "roll", "305", "4.5 m"), offCut)
        );
        kept["problems"]!.AsArray().ShouldBeEmpty();
        kept["shapes"]!
            .AsArray()
            .Select(s => (Math.Round((double)s!["width"]!, 6), Math.Round((double)s["length"]!, 6)))
            .ShouldBe([(300, 304.8), (305, 4500), (200, 150)]);
        ((double)kept["shapes"]![2]!["area"]!).ShouldBe((200 * 80) + (120 * 70), 1e-6);
        // What was used of a film changes nothing of the film, so that no run is offered a newer one.
        ((int)(await app.Get($"/api/films/{id}"))["revision"]!).ShouldBe(film);

        var crossed = await app.Change(path, "stock", s => s["items"]![2]!["outline"] = Ring((0, 0), (10, 10), (10, 0), (0, 10)));
        crossed["shapes"]![2]!["path"].ShouldBeNull();
        Application.Words(crossed["problems"]!.AsArray().ShouldHaveSingleItem()!["message"]).ShouldContain("crosses or touches itself");
        (await app.Step(path, "undo"))["problems"]!.AsArray().ShouldBeEmpty();
        (await app.List("/api/stock")).Count(s => (string)s!["id"]! == id).ShouldBe(1);
    }

    [Fact]
    public async Task A_load_is_given_out_in_every_format()
    {
        var name = (string)(await app.Loads("crew-mugs"))["loads"]![0]!["fileName"]!;
        foreach (
            var (query, ending, begins) in ((string, string, string)[])
                [
                    ("", ".svg", "<?xml"),
                    ("?format=svg&units=72", ".svg", "<?xml"),
                    ("?format=dxf", ".dxf", "  0\nSECTION"),
                    ("?format=dxf-r12", ".dxf", "  0\nSECTION"),
                    ("?format=hpgl", ".plt", "IN;PA;"),
                    ("?format=pdf", ".pdf", "%PDF-1.7"),
                ]
        )
        {
            using var file = await app.FirstFile("crew-mugs", query);
            file.StatusCode.ShouldBe(HttpStatusCode.OK);
            file.Content.Headers.ContentDisposition!.FileNameStar.ShouldBe(name + ending);
            (await file.Content.ReadAsStringAsync()).TrimStart('\uFEFF').ShouldStartWith(begins);
        }

        using var none = await app.FirstFile("crew-mugs", "?format=doc");
        none.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }
}
