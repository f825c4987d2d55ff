using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using SkiaSharp;

namespace Cabida.Web.Tests;

/// <summary>Motifs, graphics and typefaces through the API, with the demo day.</summary>
public sealed class ComposeTests : IDisposable
{
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Theory]
    [InlineData("tram-mug", 3, "Enamel mug 8 cm, Wrap")]
    [InlineData("fern-tumbler", 3, "Steel tumbler 0.5 l, Wrap")]
    [InlineData("crew-shirt", 5, "Work shirt, indigo, Over the pocket")]
    [InlineData("platform-board", 5, "Platform board, Face")]
    [InlineData("farewell", 6, "Farewell frame, Pane")]
    [InlineData("tag-tram", 3, "Luggage tag, Front")]
    public async Task Each_demo_motif_is_drawn_whole_on_its_ground(string id, int parts, string ground)
    {
        var motif = await app.Get($"/api/motifs/{id}");
        motif["problems"]!.AsArray().ShouldBeEmpty();
        motif["parts"]!.AsArray().Count.ShouldBe(parts);
        ((string)motif["ground"]!["name"]!).ShouldBe(ground);
        motif["inks"]!.AsArray().ShouldAllBe(i => ((string)i!["path"]!).StartsWith('M'));
        motif["notes"]!.AsArray().ShouldAllBe(n => (string?)n!["severity"] != "stop");
    }

    [Fact]
    public async Task Three_mats_are_three_plies_with_the_name_reaching_under_the_opening()
    {
        var motif = await app.Get("/api/motifs/farewell");
        motif["inks"]!.AsArray().Select(i => (string)i!["film"]!).ShouldBe(["Moss card", "Copper card", "Ivory card"]);
        // An opening of 161 and 4 more at each end.
        var name = motif["parts"]!.AsArray().Single(p => (string)p!["partId"]! == "name")!["box"]!;
        ((double)name["maxX"]! - (double)name["minX"]!).ShouldBe(169, 1e-3);
    }

    [Fact]
    public async Task A_drawing_is_brought_in_kept_with_its_terms_and_not_removed_while_it_is_used()
    {
        var graphic = await Send("/api/graphics?name=leaf.svg", "<svg viewBox='0 0 96 96'><path d='M0 0H96V48H0Z'/></svg>");
        var id = (string)graphic["id"]!;
        graphic["graphic"]!["supposed"]!.AsArray().Count.ShouldBe(4);
        var noted = await app.Change($"/api/graphics/{id}", "graphic", g =>
        {
            g["origin"] = "drawn here";
            g["terms"] = "ours";
            g["scale"] = 2;
        });
        ((double)noted["box"]!["maxX"]!).ShouldBe(50.8, 1e-3);
        await app.Change("/api/motifs/tram-mug", "motif", m =>
        {
            var part = m["parts"]![0]!.DeepClone();
            part["id"] = "leaf";
            part["graphicId"] = id;
            part["outlinesId"] = (string)noted["graphic"]!["outlinesId"]!;
            m["parts"]!.AsArray().Add(part);
        });
        (await app.Send(HttpMethod.Delete, $"/api/graphics/{id}", null, "*")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
    }

    [Theory]
    [InlineData("a.svg", "<svg></svg>", "nothing that can be cut")]
    [InlineData("a.dxf", "0\nSECTION\n2\nHEADER\n9\n$ACADVER\n1\nZZ1\n0\nENDSEC\n", "not known")]
    [InlineData("a.txt", "hello", "neither an SVG nor a DXF")]
    public async Task A_drawing_that_cannot_be_used_says_why(string name, string file, string reason)
    {
        var answer = await app.CreateClient().PostAsync($"/api/graphics?name={name}", new StringContent(file));
        answer.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await answer.Content.ReadAsStringAsync()).ShouldContain(reason);
    }

    [Fact]
    public async Task A_picture_is_traced_by_eye_and_one_of_a_single_colour_is_refused()
    {
        var drawn = await Traced(Picture(SKColors.Navy), keep: true);
        drawn["problem"].ShouldBeNull();
        drawn["pieces"]!.AsArray().ShouldHaveSingleItem()!["path"]!.GetValue<string>().ShouldStartWith("M");
        Application.Words((await Traced(Picture(SKColors.White)))["problem"]).ShouldContain("single colour");

        async Task<JsonNode> Traced(byte[] png, bool keep = false)
        {
            var picture = await Send("/api/pictures", png);
            var wanted = new
            {
                pictureId = (string)picture["id"]!,
                name = "disc.png",
                colours = 1,
                threshold = 0.5,
                withoutBackground = true,
                specks = 10.0,
            };
            if (keep)
            {
                (await app.Post("/api/graphics/from-picture", wanted))["graphic"]!["sizeStated"]!.GetValue<bool>().ShouldBeFalse();
            }

            return await app.Post("/api/graphics/trace-preview", wanted);
        }

        static byte[] Picture(SKColor disc)
        {
            using var bitmap = new SKBitmap(120, 90);
            using (var canvas = new SKCanvas(bitmap))
            using (var paint = new SKPaint { Color = disc, IsAntialias = true })
            {
                canvas.Clear(SKColors.White);
                canvas.DrawCircle(60, 45, 30, paint);
            }

            using var png = bitmap.Encode(SKEncodedImageFormat.Png, 100);
            return png.ToArray();
        }
    }

    [Fact]
    public async Task A_typeface_is_added_used_and_not_taken_away_while_it_is()
    {
        using var stream = typeof(Typography.ShippedTypefaces).Assembly.GetManifestResourceStream("Pacifico.ttf")!;
        var bytes = new byte[stream.Length];
        stream.ReadExactly(bytes);
        var added = (await Send("/api/typefaces?name=mine.ttf", bytes)).AsArray().ShouldHaveSingleItem()!;
        ((bool)added["added"]!).ShouldBeTrue();
        var id = (string)added["id"]!;
        await app.Change("/api/motifs/crew-name", "motif", m => m["parts"]![3]!["typefaceId"] = id);
        (await app.CreateClient().DeleteAsync($"/api/typefaces/{id}")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        await app.Step("/api/motifs/crew-name", "undo");
        (await app.CreateClient().DeleteAsync($"/api/typefaces/{id}")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await app.Get("/api/typefaces")).AsArray().ShouldNotContain(t => (string)t!["id"]! == id);
        // A revision that used it can still be set.
        await app.Step("/api/motifs/crew-name", "redo");
        (await app.Get("/api/motifs/crew-name"))["problems"]!.AsArray().ShouldBeEmpty();
        (await app.CreateClient().PostAsync("/api/typefaces?name=bad.ttf", new ByteArrayContent(bytes[..5000]))).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task A_letters_other_forms_are_drawn_in_their_word()
    {
        await app.Change("/api/motifs/depot-plate", "motif", m => m["parts"]![1]!["typefaceId"] = "eb-garamond");
        var forms = await app.Get("/api/motifs/depot-plate/parts/name/letters/0");
        ((string)forms["letter"]!).ShouldBe("A");
        forms["others"]!.AsArray().Count.ShouldBeGreaterThan(0);
        forms["others"]!.AsArray().ShouldAllBe(f => (string)f!["path"]! != (string)forms["asDrawn"]!["path"]!);
        (await app.CreateClient().GetAsync("/api/motifs/depot-plate/parts/name/letters/99")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_face_shows_its_whole_table_and_a_rule_gives_every_last_letter_its_tail()
    {
        await app.Change("/api/motifs/crew-name", "motif", m => m["parts"]![3]!["typefaceId"] = "corinthia");
        var forms = await app.Get("/api/motifs/crew-name/parts/name/letters/8");
        ((string)forms["letter"]!).ShouldBe("a");
        var tail = forms["others"]!.AsArray().First(f => (string)f!["name"]! == "with tail")!;
        ((int)tail["uses"]!).ShouldBe(0);
        // What is used by a motif stands in front from then on.
        var rule = tail["form"]!.DeepClone();
        (rule["scope"], rule["words"], rule["index"]) = ("last", "", 0);
        await app.Change("/api/motifs/crew-name", "motif", m => m["parts"]![3]!["alternates"] = new JsonArray(rule));
        var again = await app.Get("/api/motifs/crew-name/parts/name/letters/8");
        ((string)again["others"]![0]!["name"]!).ShouldBe("with tail");
        ((int)again["others"]![0]!["uses"]!).ShouldBe(1);
        ((bool)again["others"]![0]!["isChosen"]!).ShouldBeTrue();

        var like = await app.Get("/api/typefaces/corinthia/glyphs?letter=a&kind=forms&from=0&count=50");
        like["glyphs"]!.AsArray().Select(g => (string)g!["name"]!).ShouldContain("with tail");
        ((string)like["glyphs"]![0]!["letter"]!).ShouldBe("a");
        var all = await app.Get("/api/typefaces/corinthia/glyphs?from=0&count=1000");
        all["glyphs"]!.AsArray().Count.ShouldBe(240);
        ((int)all["all"]!).ShouldBeGreaterThan(500);
        (await app.CreateClient().GetAsync("/api/typefaces/none/glyphs?from=0&count=5")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_typeface_is_tried_on_the_longest_shortest_and_most_awkward_names()
    {
        var trial = await app.Get("/api/motifs/crew-name/trial");
        var names = trial["names"]!.AsArray().Select(n => (string)n!).ToList();
        names.ShouldBe(["Konstantinos", "Bram", "Ọláyínká"]);
        var query = string.Join('&', names.Select(n => $"names={Uri.EscapeDataString(n)}"));
        var oswald = await app.Get($"/api/motifs/crew-name/trial/name/oswald?{query}");
        var script = await app.Get($"/api/motifs/crew-name/trial/name/sacramento?{query}");
        ((double)oswald["thinnestStroke"]!).ShouldBeGreaterThan((double)script["thinnestStroke"]!);
        // The third name has letters that it lacks: another face stands in, and that is told.
        string.Join(' ', script["names"]![2]!["findings"]!.AsArray().Select(Application.Words)).ShouldContain("Sacramento lacks");
        ((string)trial["letters"]!).ShouldContain("Ọ");
    }

    [Fact]
    public async Task A_run_pins_the_films_its_motif_names_and_loads_each_by_itself()
    {
        var motif = await app.Get("/api/motifs/crew-shirt");
        var run = await app.Change("/api/runs/work-shirts", "run", r =>
            r["setUp"]!["motif"] = new JsonObject { ["id"] = "crew-shirt", ["revision"] = (int)motif["revision"]! }
        );
        run["films"]!.AsArray().ShouldHaveSingleItem()!["name"]!.GetValue<string>().ShouldBe("Copper vinyl");
        var loads = (await app.Loads("work-shirts"))["loads"]!.AsArray();
        loads.Select(l => (string)l!["film"]!).Distinct().Order().ShouldBe(["Copper vinyl", "Cream transfer"]);
        loads.ShouldAllBe(l => ((string)l!["mirroring"]! == "all") == ((string)l["film"]! == "Cream transfer"));
        (await app.CreateClient().GetAsync($"/api/loads/{loads[^1]!["fileId"]}/file")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task A_film_says_what_else_changes_and_a_motif_is_copied_with_everything()
    {
        string.Join(' ', (await app.Get("/api/films/cream-transfer/instead-of/navy-vinyl")).AsArray().Select(Application.Words))
            .ShouldContain("mirrored, from the back");
        var copy = await app.Post("/api/motifs/farewell/copy");
        ((string)copy["motif"]!["name"]!).ShouldBe("Farewell in three mats, copy");
        copy["inks"]!.AsArray().Count.ShouldBe(3);
        (await app.Get("/api/motifs/fresh-parts")).AsArray().Count.ShouldBeGreaterThan(14);
    }

    [Fact]
    public async Task A_ground_is_a_reference_size_a_zone_or_nothing_and_what_is_gone_is_told()
    {
        var plain = await Ground(g =>
        {
            g["width"] = Mm("120");
            g["height"] = Mm("80");
            g["margin"] = Mm("10");
        });
        ((double)plain["ground"]!["box"]!["width"]!).ShouldBe(100, 1e-9);
        plain["ground"]!["drawing"]!["strokes"]!.AsArray().Count.ShouldBe(2);
        ((double)(await app.Get("/api/motifs/crew-name/fit"))["fitsAt"]!).ShouldBeGreaterThan(0.3);
        Application
            .Words(
                (
                    await Ground(g =>
                    {
                        g["width"] = Mm("120");
                        g["height"] = Mm("15");
                        g["margin"] = Mm("10");
                    })
                )["ground"]!["problem"]
            )
            .ShouldContain("leaves nothing");
        (
            await Ground(g =>
            {
                g["width"] = Mm("wide");
                g["height"] = Mm("80");
            })
        )["problems"]!.AsArray().ShouldContain(p => (string)p!["fields"]![0]! == "groundWidth");
        var left = await Ground(g =>
        {
            g["blankId"] = "enamel-mug";
            g["zoneId"] = "left";
        });
        left["ground"]!["zones"]!.AsArray().Count.ShouldBe(3);
        ((string)left["ground"]!["name"]!).ShouldStartWith("Enamel mug 8 cm, ");
        // What is not on the shelf cannot be taken, and what was taken stays.
        var motif = await app.Get("/api/motifs/crew-name");
        motif["motif"]!["ground"]!["blankId"] = "sold";
        var refused = await app.Put("/api/motifs/crew-name", motif["motif"]!, (int)motif["revision"]!);
        refused.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await refused.Content.ReadAsStringAsync()).ShouldContain("the blank “sold”");
        var none = await Ground(_ => { });
        none["ground"]!["drawing"].ShouldBeNull();
        (await app.Get("/api/motifs/crew-name/fit"))["fitsAt"].ShouldBeNull();

        static JsonNode Mm(string text) => new JsonObject { ["text"] = text, ["unit"] = "millimetre" };

        Task<JsonNode> Ground(Action<JsonObject> edit) => app.Change("/api/motifs/crew-name", "motif", m =>
            {
                var ground = new JsonObject
                {
                    ["blankId"] = "",
                    ["zoneId"] = "",
                    ["size"] = "",
                    ["width"] = Mm(""),
                    ["height"] = Mm(""),
                    ["margin"] = Mm(""),
                };
                edit(ground);
                m["ground"] = ground;
            });
    }

    [Fact]
    public async Task A_blank_that_a_motif_stands_on_and_a_film_it_names_cannot_be_removed()
    {
        (await app.Send(HttpMethod.Delete, "/api/blanks/platform-board", null, "*")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await app.Send(HttpMethod.Delete, "/api/films/moss-card", null, "*")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task A_film_without_stock_that_is_too_narrow_for_its_margins_says_so_and_the_other_film_is_laid()
    {
        await app.Change("/api/films/copper-vinyl", "film", f => f["width"]!["text"] = "6");
        await app.Change("/api/stock/copper-vinyl", "stock", s => s["items"] = new JsonArray());
        var motif = await app.Get("/api/motifs/crew-shirt");
        await app.Change("/api/runs/work-shirts", "run", r =>
            r["setUp"]!["motif"] = new JsonObject { ["id"] = "crew-shirt", ["revision"] = (int)motif["revision"]! }
        );
        var loads = await app.Loads("work-shirts");
        loads["loads"]!.AsArray().Select(l => (string)l!["film"]!).Distinct().ShouldBe(["Cream transfer"]);
        loads["held"]!
            .AsArray()
            .ShouldAllBe(h => Application.Words(h!["why"]!["message"]).Contains("nothing to lay it on", StringComparison.Ordinal));
        loads["held"]!.AsArray().Count.ShouldBeGreaterThan(0);
        Application
            .Words((await app.Get("/api/plans/work-shirts_copper-vinyl"))["stockProblems"]![0]!["message"])
            .ShouldContain("leaves nothing of it");
    }

    [Fact]
    public async Task A_motif_that_is_typed_wrong_keeps_what_was_typed_and_is_still_drawn()
    {
        var motif = await app.Change("/api/motifs/tag-tram", "motif", m =>
        {
            m["parts"]![0]!["size"]!["typed"]!["text"] = "as wide as it goes";
            m["parts"]![2]!["turn"] = 4000;
        });
        motif["problems"]!.AsArray().Select(p => (string)p!["fields"]![0]!).ShouldBe(["size", "turn"]);
        ((string)motif["motif"]!["parts"]![0]!["size"]!["typed"]!["text"]!).ShouldBe("as wide as it goes");
        motif["parts"]!.AsArray().ShouldContain(p => (string)p!["partId"]! == "name");
    }

    [Fact]
    public async Task What_a_change_would_move_is_shown_and_nothing_is_kept()
    {
        const string path = "/api/motifs/crew-name";
        var now = await app.Get(path);
        var other = now["motif"]!.DeepClone();
        other["parts"]!.AsArray().Last()!["centring"] = "weight";
        var ghost = await app.Post($"{path}/ghost", other);
        var moves = ghost["moves"]!.AsArray().ToDictionary(m => (string)m!["partId"]!, m => ((double)m!["right"]!, (double)m["up"]!));
        var (right, up) = moves[(string)now["motif"]!["parts"]!.AsArray().Last()!["id"]!];
        Math.Abs(right).ShouldBeGreaterThan(0.3);
        up.ShouldBe(0, 1e-6);
        ((string)ghost["path"]!).Length.ShouldBeGreaterThan(100);
        (await app.Post($"{path}/ghost", now["motif"]!))["moves"]!.AsArray().ShouldBeEmpty();
        ((int)(await app.Get(path))["revision"]!).ShouldBe((int)now["revision"]!);
        // The change, once made, is where its ghost was.
        var made = await app.Change(path, "motif", m => m["parts"]!.AsArray().Last()!["centring"] = "weight");
        double Left(JsonNode view) => (double)view["parts"]!.AsArray().Last()!["box"]!["minX"]!;
        (Left(made) - Left(now)).ShouldBe(right, 1e-6);
    }

    [Fact]
    public async Task What_moves_inside_a_group_is_told_of_the_part_that_moves()
    {
        var fresh = (await app.Get("/api/motifs/fresh-parts")).AsArray().ToDictionary(f => (string)f!["name"]!, f => f!["part"]!);
        JsonNode Part(string kind, string id, string text = "")
        {
            var part = fresh[kind].DeepClone();
            (part["id"], part["text"]) = (id, text);
            return part;
        }

        var group = Part("a group", "both");
        group["parts"] = new JsonArray(Part("a line", "above", "TRAMWAY"), Part("a line", "below", "gLoW."));
        var path = $"/api/motifs/{(await app.Post("/api/motifs", new { name = "Grouped" }))["id"]}";
        var now = await app.Change(path, "motif", m => m["parts"] = new JsonArray(group.DeepClone()));
        var other = now["motif"]!.DeepClone();
        other["parts"]![0]!["parts"]![1]!["centring"] = "weight";
        var ghost = await app.Post($"{path}/ghost", other);
        Math.Abs((double)ghost["moves"]!.AsArray().Single(m => (string)m!["partId"]! == "below")!["right"]!).ShouldBeGreaterThan(0.05);
        ((string)ghost["path"]!).ShouldNotBeEmpty();
    }

    private Task<JsonNode> Send(string path, string file) => Send(path, Encoding.UTF8.GetBytes(file));

    private async Task<JsonNode> Send(string path, byte[] file)
    {
        var answer = await app.CreateClient().PostAsync(path, new ByteArrayContent(file));
        var text = await answer.Content.ReadAsStringAsync();
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, text);
        return JsonNode.Parse(text)!;
    }
}
