using System.Net;
using System.Text.Json.Nodes;
using Cabida.Core.Geometry;
using Cabida.Formats.Cutting;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Web.Tests;

/// <summary>Plans: several runs of one film cut together, moved by hand, filled with spares, released and cut again.</summary>
public sealed class PlanTests : IDisposable
{
    private const string Navy = "/api/plans/navy-vinyl";
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Fact]
    public async Task Runs_of_one_film_share_loads_where_every_thing_lies_once_apart_and_within_what_can_be_cut()
    {
        var plan = await Begun("crew-mugs", "tea-mugs");
        var things = plan["things"]!.AsArray().Select(t => t!["id"]!.ToJsonString()).ToList();
        var laid = Placed(plan).Select(p => p["id"]!.ToJsonString()).ToList();
        laid.Order().ShouldBe(things.Order());
        laid.ShouldBeUnique();
        plan["things"]!.AsArray().Select(t => (string)t!["run"]!).Distinct().Count().ShouldBe(2);
        ((double)plan["figures"]!["density"]!).ShouldBeGreaterThan((double)plan["figures"]!["rowsDensity"]!);
        foreach (var load in plan["loads"]!.AsArray())
        {
            var file = await File(load!);
            IsSound(file, 5);
            file.Pieces.Count.ShouldBe(load!["pieces"]!.AsArray().Count);
        }

        // What waits is told for all jobs, held back with its reason, and nothing of it is lost between the two.
        var waits = (await app.Get("/api/cutting"))["waiting"]!.AsArray().Single(w => (string)w!["filmId"]! == "navy-vinyl")!;
        waits["runs"]!
            .AsArray()
            .Where(r => (string)r!["id"]! is "crew-mugs" or "tea-mugs")
            .Sum(r => (int)r!["pieces"]!)
            .ShouldBe(things.Count);
        ((int)waits["held"]!).ShouldBeGreaterThan(0);
    }

    [Fact]
    public async Task What_is_pinned_stays_the_rest_is_laid_around_it_and_what_can_stays_where_it_was()
    {
        var plan = await Begun("crew-mugs", "tea-mugs");
        var load = plan["loads"]![0]!;
        var piece = load["pieces"]![0]!;
        var before = Placed(plan).ToDictionary(p => p["id"]!.ToJsonString(), p => p["at"]!.ToJsonString());
        var at = new JsonObject
        {
            ["degrees"] = 0,
            ["x"] = (double)piece["at"]!["x"]! + 60 - (double)piece["box"]!["minX"]!,
            ["y"] = (double)piece["at"]!["y"]! + 80 - (double)piece["box"]!["minY"]!,
        };
        var pinned = await app.Change(Navy, "plan", p => p["byHand"] = new JsonArray(Pin(piece["id"]!, load, at.DeepClone())));
        var there = Placed(pinned).Single(p => Same(p["id"]!, piece["id"]!));
        ((double)there["box"]!["minX"]!).ShouldBe(60, 1e-6);
        ((double)there["box"]!["minY"]!).ShouldBe(80, 1e-6);
        ((bool)there["isPinned"]!).ShouldBeTrue();
        foreach (var one in pinned["loads"]!.AsArray())
        {
            IsSound(await File(one!), 5);
        }

        Placed(pinned).Count().ShouldBe(before.Count);
        Placed(pinned).Count(p => before[p["id"]!.ToJsonString()] == p["at"]!.ToJsonString()).ShouldBeGreaterThan(0);

        // Taken off it is on no load, and nothing else moves for it.
        var others = Placed(pinned).Where(p => !Same(p["id"]!, piece["id"]!)).Select(p => p["at"]!.ToJsonString()).Order().ToList();
        var off = await app.Change(Navy, "plan", p => p["byHand"] = new JsonArray(
                new JsonObject
                {
                    ["item"] = piece["id"]!.DeepClone(),
                    ["pinned"] = null,
                    ["takenOff"] = true,
                }
            ));
        Placed(off).Select(p => p["at"]!.ToJsonString()).Order().ShouldBe(others);

        // Out of what can be cut it is said, and no file of it is given out or released.
        at["x"] = (double)at["x"]! - 100;
        var wrong = await app.Change(Navy, "plan", p => p["byHand"] = new JsonArray(Pin(piece["id"]!, load, at)));
        Application.Words(Placed(wrong).Single(p => Same(p["id"]!, piece["id"]!))["fault"]).ShouldContain("outside of what can be cut");
        (await app.CreateClient().GetAsync($"/api/loads/{wrong["loads"]![0]!["fileId"]}/file")).IsSuccessStatusCode.ShouldBeFalse();
        (await Release(wrong)).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        // One step back, and all lies as it did.
        await app.Step(Navy, "undo");
        Placed(await app.Step(Navy, "undo"))
            .Select(p => p["at"]!.ToJsonString())
            .Order()
            .ShouldBe(Placed(pinned).Select(p => p["at"]!.ToJsonString()).Order());
    }

    [Fact]
    public async Task Spares_fill_the_loads_there_are()
    {
        var plan = await Begun("crew-mugs");
        var loads = plan["loads"]!.AsArray().Count;
        var more = (await app.Get($"{Navy}/spares")).AsArray().MinBy(s => (int)s!["more"]!)!;
        foreach (var (count, isMore) in new[] { ((int)more["more"]!, false), ((int)more["more"]! + 40, true) })
        {
            var filled = await app.Change(Navy, "plan", p => p["spares"] =
                    count == 0
                        ? new JsonArray()
                        : new JsonArray(
                            new JsonObject
                            {
                                ["run"] = (string)more["run"]!,
                                ["piece"] = (string)more["piece"]!,
                                ["count"] = count,
                            }
                        ));
            filled["things"]!.AsArray().Count(t => (bool)t!["isSpare"]!).ShouldBe(count);
            (filled["loads"]!.AsArray().Count > loads).ShouldBe(isMore);
            filled["things"]!.AsArray().ShouldAllBe(t => t!["why"] == null);
        }
    }

    [Fact]
    public async Task A_released_load_is_frozen_takes_from_the_stock_as_one_change_and_is_cut_again_to_the_byte()
    {
        await app.Change("/api/runs/driver-tumblers", "run", r => r["list"]!["namesTyped"] = "Ewa\nIan\n");
        await app.Post("/api/runs/driver-tumblers/plans");
        const string path = "/api/plans/driver-tumblers_copper-vinyl";
        var plan = await app.Get(path);
        var load = plan["loads"]!.AsArray().ShouldHaveSingleItem()!;
        var files = new Dictionary<string, byte[]>(StringComparer.Ordinal);
        foreach (
            var query in new[] { "?format=svg", "?format=svg&units=90", "?format=dxf", "?format=dxf-r12", "?format=hpgl", "?format=pdf" }
        )
        {
            files[query] = await app.CreateClient().GetByteArrayAsync($"/api/loads/{load["fileId"]}/file{query}");
        }

        // Of what was seen, not of what it is by now.
        (await Release(plan, "another")).StatusCode.ShouldBe(HttpStatusCode.PreconditionFailed);
        (await Sheets()).ShouldBe(4);
        var answer = await Release(plan);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        var id = (string)JsonNode.Parse(await answer.Content.ReadAsStringAsync())!.AsArray().ShouldHaveSingleItem()!;
        (await Sheets()).ShouldBe(3);
        var offCuts = (await Stock())["stock"]!["items"]!.AsArray().Where(i => (string)i!["form"]! == "offCut").ToList();
        offCuts.Count.ShouldBe(load["offCuts"]!.AsArray().Count);
        offCuts.Count.ShouldBeGreaterThan(0);
        (await app.Get(path))["things"]!.AsArray().ShouldBeEmpty();

        // What becomes of the run changes nothing of the load, and is said.
        (await app.Get($"/api/loads/{id}"))["changed"]!.AsArray().ShouldBeEmpty();
        await app.Change("/api/runs/driver-tumblers", "run", r =>
            (r["setUp"]!["sizing"], r["setUp"]!["letterHeight"]!["text"]) = ("oneLetterHeight", "6")
        );
        foreach (var (query, bytes) in files)
        {
            (await app.CreateClient().GetByteArrayAsync($"/api/loads/{id}/file{query}")).ShouldBe(bytes, query);
        }

        var released = await app.Get($"/api/loads/{id}");
        released["changed"]!.AsArray().Select(n => (string)n!).ShouldBe(["Ewa", "Ian"], ignoreOrder: true);
        (await app.Get(path))["changed"]!.AsArray().Count.ShouldBe(2);
        // What was measured is written beside it; all else stays what it was, whatever is sent.
        var noted = await app.Change($"/api/loads/{id}", "load", l =>
        {
            l["name"] = "Something else";
            l["cuts"] = new JsonArray(
                new JsonObject
                {
                    ["on"] = "2026-11-30 17:05",
                    ["with"] = "Bench cutter",
                    ["across"] = Typed("88.2"),
                    ["along"] = Typed(""),
                    ["note"] = "",
                }
            );
        });
        ((string)noted["load"]!["name"]!).ShouldBe((string)released["load"]!["name"]!);
        noted["load"]!["cuts"]!.AsArray().ShouldHaveSingleItem();

        // Cut again it waits again, and lies on the smallest off-cut that holds it.
        var again = await app.Change(path, "plan", p =>
            p["again"] = new JsonArray([.. noted["load"]!["items"]!.AsArray().Select(i => i!["id"]!.DeepClone())])
        );
        again["things"]!.AsArray().Count.ShouldBe(2);
        offCuts.Select(i => (string)i!["id"]!).ShouldContain((string)again["loads"]!.AsArray().ShouldHaveSingleItem()!["stockId"]!);
        await app.Step(path, "undo");
        await app.Step($"/api/loads/{id}", "undo");

        // Taken back, all of it is: stock, plan and load.
        await app.Step(path, "undo");
        (await app.CreateClient().GetAsync($"/api/loads/{id}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Sheets()).ShouldBe(4);
        (await Stock())["stock"]!["items"]!.AsArray().ShouldNotContain(i => (string)i!["form"]! == "offCut");
        (await app.Get(path))["things"]!.AsArray().Count.ShouldBe(2);

        Task<JsonNode> Stock() => app.Get("/api/stock/copper-vinyl");
        async Task<int> Sheets() => (int)(await Stock())["stock"]!["items"]![0]!["count"]!;
    }

    [Fact]
    public async Task Stock_that_does_not_do_is_told_and_what_to_buy_is_said()
    {
        await app.Change("/api/stock/navy-vinyl", "stock", s => s["items"] = new JsonArray());
        var plan = await Begun("crew-mugs");
        Application.Words(plan["toBuy"]).ShouldContain("Nothing of it is in stock yet. Buy ");
        plan["loads"]!.AsArray().ShouldAllBe(l => (bool)l!["isToBuy"]!);
        await app.Change("/api/stock/navy-vinyl", "stock", s => s["items"] = new JsonArray(
                Item("thin", "sheet", "8", "300"),
                Item("none", "roll", "305", "0"),
                new JsonObject
                {
                    ["id"] = "crossed",
                    ["form"] = "offCut",
                    ["width"] = Typed(""),
                    ["length"] = Typed(""),
                    ["outline"] = new JsonArray(
                        new JsonObject { ["points"] = new JsonArray(Point(0, 0), Point(200, 200), Point(200, 0), Point(0, 200)) }
                    ),
                },
                Item("one", "sheet", "305", "305")
            ));
        plan = await app.Get(Navy);
        var problems = string.Join('\n', plan["stockProblems"]!.AsArray().Select(p => Application.Words(p!["message"])));
        problems.ShouldContain("leaves nothing of it");
        problems.ShouldContain("crosses or touches itself");
        plan["stockProblems"]!.AsArray().Count.ShouldBe(3);
        // The one sheet is used, and one more is to be bought.
        Application.Words(plan["toBuy"]).ShouldContain("does not hold all");
        plan["loads"]!.AsArray().Select(l => (string)l!["stockId"]!).ShouldBe(["one", "buy"]);
        // A reach of nothing lays nothing, and says where to mend it.
        await app.Change("/api/cutters/bench-cutter", "cutter", c => c["carriers"]![0]!["reachWidth"]!["text"] = "");
        var unreached = await app.Change(Navy, "plan", p => p["carrierId"] = "mat");
        unreached["loads"]!.AsArray().ShouldBeEmpty();
        unreached["stockProblems"]!
            .AsArray()
            .ShouldContain(p => Application.Words(p!["message"]).Contains("is not known", StringComparison.Ordinal));
    }

    [Fact]
    public async Task An_off_cut_scanned_on_its_carrier_is_cut_where_it_lies_clear_of_its_edges_and_its_three_holes()
    {
        var scan = await app.Post(
            "/api/scanner/scan",
            new
            {
                sheetId = "off-cut",
                dotsPerInch = 300,
                skew = 2,
                noise = 1.2,
                shading = 18,
            }
        );
        var found = await app.Post($"/api/pictures/{(string)scan["id"]!}/off-cuts");
        var offCut = found["offCuts"]!.AsArray().ShouldHaveSingleItem()!;
        ((int)offCut["holes"]!).ShouldBe(3);
        await app.Change("/api/stock/navy-vinyl", "stock", s => s["items"] = new JsonArray(
                new JsonObject
                {
                    ["id"] = "scanned",
                    ["form"] = "offCut",
                    ["width"] = Typed(""),
                    ["length"] = Typed(""),
                    ["outline"] = new JsonArray([
                        .. offCut["rings"]!.AsArray().Select(r => (JsonNode)new JsonObject { ["points"] = r!.DeepClone() }),
                    ]),
                    ["liesAt"] = offCut["liesAt"]!.DeepClone(),
                },
                Item("sheet", "sheet", "305", "305")
            ));
        await Begun("luggage-tags");
        var plan = await app.Change(Navy, "plan", p => (p["carrierId"], p["stockIds"]) = ("mat", new JsonArray("scanned")));
        var load = plan["loads"]!.AsArray().Single(l => (string)l!["stockId"]! == "scanned")!;
        var at = offCut["liesAt"]!;
        var rings = offCut["rings"]!
            .AsArray()
            .Select(r => r!.AsArray().Select(p => new PlanePoint((double)p!["x"]! + (double)at["x"]!, (double)p["y"]! + (double)at["y"]!)));
        var film = FileInk.Of(rings.Select(r => (IReadOnlyList<PlanePoint>)[.. r]));
        var svg = await File(load);
        svg.Pieces.Count.ShouldBeGreaterThan(1);
        foreach (var piece in svg.Rings)
        {
            var ink = FileInk.Of(piece.Select(r => (IReadOnlyList<PlanePoint>)[.. r.Select(p => new PlanePoint(p.X, svg.Height - p.Y))]));
            ink.Within(film).ShouldBeTrue();
            ink.Distance(film.Boundary).ShouldBeGreaterThan(4.9);
        }

        // It is off the carrier: it is laid into the corner as any other, and the load is another.
        await app.Change("/api/stock/navy-vinyl", "stock", s => s["items"]![0]!["liesAt"] = null);
        var anew = (await app.Get(Navy))["loads"]!.AsArray().Single(l => (string)l!["stockId"]! == "scanned")!;
        ((string)anew["stockPath"]!).ShouldNotBe((string)load["stockPath"]!);
    }

    [Fact]
    public async Task A_search_finds_better_plans_that_stand_when_it_ends_and_what_a_run_asks_of_the_cutter_is_kept()
    {
        await Begun("crew-mugs", "tea-mugs");
        await app.CreateClient().PostAsync($"{Navy}/afresh", null);
        var plan = await app.Get(Navy);
        var work = await app.Post($"{Navy}/search", new { seconds = 2 });
        using var client = app.CreateClient();
        var told = await client.GetStringAsync($"{Navy}/search/{work["workId"]}");
        told.ShouldContain("\"state\":\"done\"");
        var better = await app.Get(Navy);
        ((int)better["figures"]!["searches"]!).ShouldBe(1);
        ((double)better["figures"]!["density"]!).ShouldBeGreaterThanOrEqualTo((double)plan["figures"]!["density"]!);
        foreach (var load in better["loads"]!.AsArray())
        {
            IsSound(await File(load!), 5);
        }

        // Afresh the first plan comes again: the same seed gives the same.
        await app.CreateClient().PostAsync($"{Navy}/afresh", null);
        Lies(await app.Get(Navy)).ShouldBe(Lies(plan));
        static string Lies(JsonNode plan) => string.Join('\n', Placed(plan).Select(p => p["at"]!.ToJsonString()));
    }

    [Fact]
    public async Task What_is_seen_through_the_goods_is_turned_round_unless_its_film_is_cut_from_the_back()
    {
        foreach (var (run, film, mirrored) in new[] { ("crew-mugs", "navy-vinyl", true), ("depot-glasses", "frost-film", false) })
        {
            await app.Change($"/api/runs/{run}", "run", r => r["setUp"]!["seenThrough"] = true);
            var loads = (await app.Loads(run))["loads"]!.AsArray();
            loads.ShouldAllBe(l => (string)l!["mirroring"]! == (mirrored ? "all" : "none"));
            loads.ShouldAllBe(l => ((string)l!["fileName"]!).Contains("_mirrored", StringComparison.Ordinal) == mirrored);
            Application.Words((await app.Get($"/api/runs/{run}"))["mirror"]).ShouldContain(mirrored ? "MIRRORED" : "as it reads");
        }
    }

    [Fact]
    public async Task A_proved_cutter_gets_files_through_the_inverse_and_squares_to_be_found_out_by()
    {
        var client = app.CreateClient();
        var cutter = await app.Change("/api/cutters/bench-cutter", "cutter", c => c["carriers"]![0]!["proved"] = new JsonObject
            {
                ["across"] = Typed("99.6"),
                ["along"] = Typed("100.2"),
                ["rising"] = Typed("141.5"),
                ["falling"] = Typed("141.0"),
            });
        var truth = cutter["truths"]!.AsArray().ShouldHaveSingleItem()!;
        ((double)truth["skewDegrees"]!).ShouldBe(0.2027, 5e-5);
        ((double)truth["ninetyIsWritten"]!).ShouldBe(90.361, 5e-4);
        var plan = await Begun("crew-mugs");
        var used = plan["loads"]![0]!["used"]!;
        var file = await File(plan["loads"]![0]!);
        // Made by such a cutter it is as wide and as long as it should be.
        var made = file
            .Rings.SelectMany(r => r.SelectMany(p => p))
            .Select(p => new PlanePoint(p.X, file.Height - p.Y))
            .Select(p => Makes(p))
            .ToList();
        (made.Max(p => p.X) - made.Min(p => p.X)).ShouldBe((double)used["width"]!, 0.03);
        (made.Max(p => p.Y) - made.Min(p => p.Y)).ShouldBe((double)used["height"]!, 0.03);
        foreach (var (units, perMillimetre) in new[] { ("mm", 1.0), ("96", 96 / 25.4), ("90", 90 / 25.4), ("72", 72 / 25.4) })
        {
            var square = await client.GetStringAsync($"/api/cutters/bench-cutter/square?format=svg&units={units}");
            var box = System.Xml.Linq.XDocument.Parse(square).Root!.Attribute("viewBox")!.Value.Split(' ').Select(double.Parse).ToList();
            (box[2] / 120).ShouldBe(perMillimetre, 1e-4);
            CutSvgMeasure.Of(square).Pieces.ShouldHaveSingleItem().Width.ShouldBe(100, 1e-3);
        }

        static PlanePoint Makes(PlanePoint p)
        {
            var skew = Math.Asin(((141.5 * 141.5) - (141.0 * 141.0)) / (4 * 99.6 * 100.2));
            return new(0.996 * p.X + (1.002 * Math.Sin(skew) * p.Y), 1.002 * Math.Cos(skew) * p.Y);
        }
    }

    private async Task<JsonNode> Begun(params string[] runs)
    {
        await app.Post("/api/cutting/navy-vinyl");
        return await app.Change(Navy, "plan", p => p["runs"] = new JsonArray([.. runs.Select(r => (JsonNode)r)]));
    }

    private Task<HttpResponseMessage> Release(JsonNode plan, string? key = null) =>
        app.Send(
            HttpMethod.Post,
            $"/api/plans/{(string)plan["id"]!}/release",
            new JsonObject
            {
                ["key"] = key ?? (string)plan["key"]!,
                ["loads"] = new JsonArray(),
                ["keep"] = null,
            },
            null
        );

    private async Task<CutSvgMeasure> File(JsonNode load) =>
        CutSvgMeasure.Of(await app.CreateClient().GetStringAsync($"/api/loads/{(string)load["fileId"]!}/file"));

    private static IEnumerable<JsonNode> Placed(JsonNode plan) =>
        plan["loads"]!.AsArray().SelectMany(l => l!["pieces"]!.AsArray()).Select(p => p!);

    private static bool Same(JsonNode a, JsonNode b) => a.ToJsonString() == b.ToJsonString();

    /// <summary>The pieces of a file, read from it alone: within what is reached, and apart by the scissors room.</summary>
    private static void IsSound(CutSvgMeasure file, double room)
    {
        file.Beyond.ShouldBe(0, 0.01);
        file.Crossing.ShouldBe(0);
        var pieces = file.Rings.Select(p => Outlines.Join([.. p.Select(r => (Area)Outlines.Ring(r))])).ToList();
        for (var i = 0; i < pieces.Count; i++)
        {
            for (var j = 0; j < i; j++)
            {
                pieces[i].Distance(pieces[j]).ShouldBeGreaterThanOrEqualTo(room - 0.05);
            }
        }
    }

    private static JsonObject Pin(JsonNode id, JsonNode load, JsonNode at) =>
        new()
        {
            ["item"] = id.DeepClone(),
            ["pinned"] = new JsonObject
            {
                ["load"] = (int)load["number"]! - 1,
                ["stockId"] = (string)load["stockId"]!,
                ["at"] = at,
            },
            ["takenOff"] = false,
        };

    private static JsonObject Typed(string text) => new() { ["text"] = text, ["unit"] = "millimetre" };

    private static JsonObject Point(double x, double y) => new() { ["x"] = x, ["y"] = y };

    private static JsonObject Item(string id, string form, string width, string length) =>
        new()
        {
            ["id"] = id,
            ["form"] = form,
            ["width"] = Typed(width),
            ["length"] = Typed(length),
        };
}
