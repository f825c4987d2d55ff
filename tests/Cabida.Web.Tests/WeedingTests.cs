using System.Net;
using System.Text.Json.Nodes;
using Cabida.Core.Geometry;
using Cabida.Formats.Cutting;

namespace Cabida.Web.Tests;

/// <summary>Weed boxes and breaks from the switch to the file, and minutes that a maker types.</summary>
public sealed class WeedingTests : IDisposable
{
    private const string Mugs = "/api/runs/crew-mugs";
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Theory]
    [InlineData("crew-mugs", "navy-vinyl", "piece")]
    [InlineData("crew-mugs", "navy-vinyl", "row")]
    [InlineData("crew-mugs", "navy-vinyl", "load")]
    [InlineData("work-shirts", "cream-transfer", "piece")]
    [InlineData("work-shirts", "cream-transfer", "load")]
    public async Task What_is_cut_through_waste_keeps_clear_of_the_ink_of_the_file_itself(string run, string film, string box)
    {
        await Switch(run, film, box);
        var loads = await app.Loads(run);
        loads["lacks"]!.AsArray().ShouldBeEmpty();
        foreach (var load in loads["loads"]!.AsArray())
        {
            var sent = await app.CreateClient().GetAsync($"/api/loads/{load!["fileId"]}/file");
            sent.StatusCode.ShouldBe(HttpStatusCode.OK);
            var file = CutSvgMeasure.Of(await sent.Content.ReadAsStringAsync());
            var boxes = load["weeds"]!["boxes"]!.AsArray();
            file.Waste.Count(w => w.Closed).ShouldBe(boxes.Count);
            file.Waste.Count(w => !w.Closed).ShouldBe(boxes.Sum(b => b!["breaks"]!.AsArray().Count));
            file.Waste.Count(w => !w.Closed).ShouldBeGreaterThan(0);
            file.NearestWaste!.Value.ShouldBeGreaterThanOrEqualTo(1 - 0.03);
            file.Beyond.ShouldBe(0, 0.01);
            if (box == "piece")
            {
                // Each box stands out as far as was asked from the ink of its piece, whichever way that lies.
                for (var i = 0; i < file.Pieces.Count; i++)
                {
                    var around = Box.Of(Outlines.Line(file.Waste.Where(w => w.Closed).ElementAt(i).Points))!.Value;
                    var asked = file.Pieces[i].Grown(5);
                    Math.Max(Math.Abs(around.MinX - asked.MinX), Math.Abs(around.MaxY - asked.MaxY)).ShouldBeLessThan(0.03);
                }
            }

            // Every end lies on a box or on another break: no bit hangs on by a bridge.
            var lines = file.Waste.Select(w => Outlines.Line(w.Closed ? [.. w.Points, w.Points[0]] : w.Points)).ToList();
            foreach (var (line, i) in lines.Select((l, i) => (l, i)).Where(l => !file.Waste[l.i].Closed))
            {
                new[] { line.StartPoint, line.EndPoint }.ShouldAllBe(e => lines.Where((_, j) => j != i).Any(o => o.Distance(e) < 0.002));
            }
        }
    }

    [Fact]
    public async Task A_film_is_cut_in_the_next_run_as_it_was_cut_last_and_runs_that_are_there_stay_as_they_are()
    {
        await Switch("crew-mugs", "navy-vinyl", "piece");
        (await Ways("tea-mugs")).ShouldBeEmpty();
        var made = await app.Post("/api/jobs/fernhollow-crew/runs", new JsonObject { ["name"] = "More mugs" });
        var id = (string)made["id"]!;
        (await Ways(id)).ShouldBeEmpty();
        await app.Change($"/api/runs/{id}", "run", run =>
            run["setUp"]!["film"] = new JsonObject { ["id"] = "navy-vinyl", ["revision"] = 1 }
        );
        var ways = (await Ways(id)).ShouldHaveSingleItem()!;
        ((string)ways["filmId"]!).ShouldBe("navy-vinyl");
        ((string)ways["ways"]!["box"]!).ShouldBe("piece");
        // One step back in the run is one step back: what another run remembered does not stand in its way.
        await Switch("crew-mugs", "navy-vinyl", "load");
        await app.Step($"/api/runs/{id}", "undo");
        (await Ways(id)).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_length_that_cannot_be_used_stays_as_typed_holds_the_loads_back_and_is_not_remembered()
    {
        await Switch("crew-mugs", "navy-vinyl", "piece", margin: "a thumb");
        var waste = (await app.Get($"{Mugs}/pieces/{await First("crew-mugs")}/waste"))[0]!;
        waste["problems"]![0]!["fields"]![0]!.ToString().ShouldBe("margin");
        ((string)waste["ways"]!["margin"]!["text"]!).ShouldBe("a thumb");
        var loads = await app.Loads(Mugs);
        Application.Words(loads["lacks"]![0]!["message"]!).ShouldContain("how the waste of Navy vinyl is cut: ");
        var made = await app.Post("/api/jobs/fernhollow-crew/runs", new JsonObject { ["name"] = "More mugs" });
        await app.Change($"/api/runs/{made["id"]}", "run", run =>
            run["setUp"]!["film"] = new JsonObject { ["id"] = "navy-vinyl", ["revision"] = 1 }
        );
        (await Ways((string)made["id"]!)).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_piece_that_its_weed_box_takes_out_of_reach_is_held_back_with_that_reason()
    {
        await Switch("crew-mugs", "navy-vinyl", "piece", margin: "60");
        var held = (await app.Loads(Mugs))["held"]!.AsArray();
        held.Select(h => Application.Words(h!["why"]!["message"]!))
            .ShouldContain(w => w.Contains("not with the weed box", StringComparison.Ordinal));
    }

    [Fact]
    public async Task A_mask_gets_a_box_for_its_edge_and_no_breaks()
    {
        await Switch("waiting-panes", "etch-mask", "piece");
        var waste = (await app.Get($"/api/runs/waiting-panes/pieces/{await First("waiting-panes")}/waste"))[0]!;
        waste["weeds"]!["boxes"]![0]!["breaks"]!.AsArray().ShouldBeEmpty();
        waste["bits"]!.AsArray().ShouldAllBe(b => (string)b!["kind"]! == "ink");
    }

    [Fact]
    public async Task Five_times_that_it_really_took_become_the_estimate_and_one_taken_back_is_forgotten()
    {
        var ids = (await app.Pieces("crew-mugs")).Select(p => (string)p!["id"]!).Take(6).ToList();
        async Task<JsonNode> Weeds(string id) => (await app.Get($"{Mugs}/pieces/{id}/waste"))[0]!["weeds"]!;
        var before = (double)(await Weeds(ids[5]))["time"]!["minutes"]!;
        foreach (var id in ids.Take(5))
        {
            ((bool)(await Weeds(id))["time"]!["fitted"]!).ShouldBeFalse();
            // Twice as slow as the product thinks.
            var minutes = 2 * (double)(await Weeds(id))["time"]!["minutes"]!;
            await Took(id, minutes.ToString("0.###", System.Globalization.CultureInfo.InvariantCulture), HttpStatusCode.NoContent);
        }

        var time = (await Weeds(ids[5]))["time"]!;
        ((bool)time["fitted"]!).ShouldBeTrue();
        ((int)time["entries"]!).ShouldBe(5);
        ((double)time["minutes"]!).ShouldBe(2 * before, 0.05);
        ((double)time["spread"]!).ShouldBeLessThan(0.01);
        await Took(ids[0], "", HttpStatusCode.NoContent);
        ((double)(await Weeds(ids[5]))["time"]!["minutes"]!).ShouldBe(before, 1e-9);
        (await Took(ids[0], "ages", HttpStatusCode.UnprocessableEntity)).ShouldContain("cannot be read as minutes");
        await Took("nobody", "3", HttpStatusCode.NotFound);

        async Task<string> Took(string id, string minutes, HttpStatusCode status)
        {
            var sent = await Note("crew-mugs", id, id == "nobody" ? "" : (string)(await Weeds(id))["key"]!, minutes);
            sent.StatusCode.ShouldBe(status);
            return await sent.Content.ReadAsStringAsync();
        }
    }

    [Fact]
    public async Task A_remedy_says_the_minutes_that_the_weeding_view_says_with_its_box_and_at_the_makers_pace()
    {
        const string run = "work-shirts";
        // Of the first side, which the remedy is of.
        async Task<List<JsonNode>> Films(string id)
        {
            var all = (await app.Get($"/api/runs/{run}/pieces/{id}/waste")).AsArray().Select(f => f!).ToList();
            return all.FindAll(f => (string)f["zone"]! == (string)all[0]["zone"]!);
        }

        async Task<double> Minutes(string id) => (await Films(id)).Sum(f => (double)f!["weeds"]!["time"]!["minutes"]!);
        async Task<JsonNode> Remedy(string id) =>
            (await app.Get($"/api/runs/{run}/pieces/{id}/remedies"))
                .AsArray()
                .Where(f => (string)f!["side"]! == "")
                .SelectMany(f => f!["remedies"]!.AsArray())
                .First(r => r!["effect"] is not null && (string)r["scope"]! == "piece")!;
        var sick = await First(run);
        var film = (string)(await Films(sick))[0]["filmId"]!;
        await Switch(run, film, "none");
        List<double> seen = [await Minutes(sick)];
        await Switch(run, film, "piece");
        seen.Add(await Minutes(sick));
        ((double)(await Remedy(sick))["effect"]!["now"]!["minutes"]!).ShouldBe(seen[1], 1e-9);
        // Five mugs took three times as long as the product thinks.
        foreach (var id in (await app.Pieces("crew-mugs")).Select(p => (string)p!["id"]!).Take(5))
        {
            var weeds = (await app.Get($"{Mugs}/pieces/{id}/waste"))[0]!["weeds"]!;
            var took = (3 * (double)weeds["time"]!["minutes"]!).ToString("0.###", System.Globalization.CultureInfo.InvariantCulture);
            (await Note("crew-mugs", id, (string)weeds["key"]!, took)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        }

        seen.Add(await Minutes(sick));
        seen.Distinct().Count().ShouldBe(3);
        var remedy = await Remedy(sick);
        ((double)remedy["effect"]!["now"]!["minutes"]!).ShouldBe(seen[2], 1e-9);
        (
            await app.Send(
                HttpMethod.Post,
                $"/api/runs/{run}/pieces/{sick}/remedies",
                new JsonObject { ["remedies"] = new JsonArray((string)remedy["id"]!) },
                $"\"{(int)(await app.Get($"/api/runs/{run}"))["revision"]!}\""
            )
        ).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Minutes(sick)).ShouldBe((double)remedy["effect"]!["then"]!["minutes"]!, 1e-9);
    }

    private Task<HttpResponseMessage> Note(string run, string piece, string key, string minutes) =>
        app.Send(
            HttpMethod.Put,
            $"/api/runs/{run}/weeding/took",
            new JsonObject
            {
                ["key"] = key,
                ["pieceId"] = piece,
                ["minutes"] = minutes,
            },
            null
        );

    private Task<JsonNode> Switch(string run, string film, string box, string margin = "") => app.Change($"/api/runs/{run}", "run", r => r[
                "setUp"
            ]!["weeding"] = new JsonArray(
                new JsonObject
                {
                    ["filmId"] = film,
                    ["ways"] = new JsonObject
                    {
                        ["box"] = box,
                        ["betweenRows"] = true,
                        ["betweenWords"] = true,
                        ["longWaste"] = true,
                        ["margin"] = Typed(margin),
                        ["clearance"] = Typed(""),
                        ["longest"] = Typed(""),
                    },
                }
            ));

    private static JsonObject Typed(string text) => new() { ["text"] = text, ["unit"] = "millimetre" };

    private async Task<JsonArray> Ways(string run) => (await app.Get($"/api/runs/{run}"))["run"]!["setUp"]!["weeding"]!.AsArray();

    private async Task<string> First(string run) => (string)(await app.Pieces(run))[0]!["id"]!;
}
