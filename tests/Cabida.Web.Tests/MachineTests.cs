using System.Net;
using System.Net.Sockets;
using System.Text.Json.Nodes;
using Cabida.Core.Stock;
using Cabida.Devices.Cutting;
using Cabida.StandIns;

namespace Cabida.Web.Tests;

/// <summary>Released loads at the cutter: sent, cut to the end, noted once; a cutter that is not there, or goes away half-way.</summary>
public sealed class MachineTests : IDisposable
{
    private const string Machine = "/api/machines/stand-in";
    private readonly int port = FreePort();
    private readonly Application app;
    private Switched? machine;

    public MachineTests() => app = new Application { WithDemo = true, CutterAt = $"127.0.0.1:{port}" };

    public void Dispose()
    {
        machine?.Dispose();
        app.Dispose();
    }

    [Fact]
    public async Task A_load_is_cut_to_its_end_after_a_test_cut_and_noted_once()
    {
        machine = new Switched(port, 10_000);
        var load = await Released();
        (await Refused("cuts", Cut(load), HttpStatusCode.PreconditionRequired)).ShouldContain("No test cut");
        await app.Post($"{Machine}/cuts", Cut(load, isTest: true));
        var test = await Until(v => v["answer"]!["jobs"]!.AsArray().All(j => (string)j!["state"]! == "done"));
        // A square of 10 with a triangle in it, on film of 0.08 cut to 95 g / 900.
        var job = test["answer"]!["jobs"]!.AsArray().ShouldHaveSingleItem()!;
        ((double)job["width"]!).ShouldBe(10, 0.01);
        ((double)job["depth"]!["depth"]!).ShouldBe(95.0 / 900, 1e-6);

        // Neither the test cut nor anything of the load lies on the other.
        (await app.Get(Machine))["answer"]!["jobs"]!.AsArray().ShouldAllBe(j => j!["warnings"]!.AsArray().Count == 0);
        var cutTest = (await app.Get($"{Machine}/sheets/{load}.test"))["strokes"]!.AsArray();
        await app.Post($"{Machine}/cuts", Cut(load));
        var sheet = (await app.Get($"{Machine}/sheets/{load}.cut1"))["strokes"]!.AsArray();
        foreach (var (x, y) in cutTest.SelectMany(s => Points(s!)))
        {
            sheet.Min(s => Points(s!).Min(p => Math.Max(Math.Abs(p.X - x), Math.Abs(p.Y - y)))).ShouldBeGreaterThan(1);
        }

        var cuts = await Noted(load, 1);
        ((string)cuts[0]!["jobId"]!).ShouldBe($"{load}.cut1");
        ((string)cuts[0]!["with"]!).ShouldContain($"{sheet.Count} lines");
        // Whoever looks, and however often: it was cut once. Cut again it is another cut.
        await app.Get(Machine);
        await app.Get(Machine);
        await app.Post($"{Machine}/cuts", Cut(load));
        await Noted(load, 2);
        // What the maker takes away stays away, though the cutter still tells of it; the next cut is noted all the same.
        await app.Change($"/api/loads/{load}", "load", l => l["cuts"] = new JsonArray());
        await app.Post($"{Machine}/cuts", Cut(load));
        (await Noted(load, 1))[0]!["jobId"]!.GetValue<string>().ShouldNotBe($"{load}.cut1");
        (await app.Get($"/api/loads/{load}"))["load"]!["cuts"]!.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task What_the_maker_mends_in_stock_after_a_test_cut_holds_for_the_load()
    {
        machine = new Switched(port, 10_000);
        var load = await Released();
        await app.Change("/api/films/copper-vinyl", "film", f => f["settings"]!["pressure"] = "400 g");
        await app.Post($"{Machine}/cuts", Cut(load, isTest: true));
        await Until(v => (string)v["answer"]!["state"]! == "idle");
        var held = await app.Post($"{Machine}/cuts", Cut(load));
        ((string)held["answer"]!["state"]!).ShouldBe("held");
        held["answer"]!["jobs"]![0]!["warnings"]!.AsArray().Select(w => (string)w!["kind"]!).ShouldBe(["rightThrough"]);
        await app.Post($"{Machine}/orders", Order("takeBack", load));
        await app.Change("/api/films/copper-vinyl", "film", f => f["settings"]!["pressure"] = "95 g");
        (await Refused("cuts", Cut(load), HttpStatusCode.PreconditionRequired)).ShouldContain("No test cut");
        (await Refused("cuts", Cut(load, isTest: false, until: "a while"))).ShouldContain("How far the film reaches");
        (await app.Get($"/api/loads/{load}"))["load"]!["cuts"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_cutter_that_is_not_there_or_goes_away_half_way_costs_nothing_and_goes_on_where_it_was_seen()
    {
        var load = await Released();
        var away = await app.Get(Machine);
        ((string)away["problem"]!).ShouldContain("is not there");
        away["answer"].ShouldBeNull();
        var nobody = await app.Send(
            HttpMethod.Post,
            $"{Machine}/cuts",
            JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(Cut(load))),
            null
        );
        nobody.StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);

        machine = new Switched(port, 20);
        await app.Post($"{Machine}/cuts", Cut(load, withoutTest: true));
        var seen = await Until(v => (int)v["answer"]!["jobs"]![0]!["cut"]! > 3);
        machine.Dispose();
        var gone = await app.Get(Machine);
        ((string)gone["problem"]!).ShouldContain("is not there");
        var left = gone["unfinished"]!.AsArray().ShouldHaveSingleItem()!;
        ((int)left["cut"]!).ShouldBeGreaterThanOrEqualTo((int)seen["answer"]!["jobs"]![0]!["cut"]!);
        (await app.Get($"/api/loads/{load}"))["load"]!["cuts"]!.AsArray().ShouldBeEmpty();

        // It comes back and knows nothing; it goes on from the line at which it was seen.
        machine = new Switched(port, 10_000);
        (await app.Get(Machine))["unfinished"]!.AsArray().Count.ShouldBe(1);
        await app.Post($"{Machine}/cuts", Cut(load, withoutTest: true, from: (int)left["cut"]!));
        await Noted(load, 1);
        (await app.Get(Machine))["unfinished"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task Without_a_cutter_there_is_none_and_what_is_asked_of_one_is_not_found()
    {
        using var alone = new Application();
        (await alone.Get("/api/machines")).AsArray().ShouldBeEmpty();
        (await alone.CreateClient().GetAsync(Machine)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await app.CreateClient().GetAsync($"{Machine}/sheets/none.cut1")).StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);
        machine = new Switched(port, 1);
        (await app.CreateClient().GetAsync($"{Machine}/sheets/none.cut1")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (
            await app.Send(HttpMethod.Post, $"{Machine}/cuts", JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(Cut("none"))), null)
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    /// <summary>Two names of one run, released.</summary>
    private async Task<string> Released()
    {
        await app.Change("/api/runs/driver-tumblers", "run", r => r["list"]!["namesTyped"] = "Ewa\nIan\n");
        await app.Post("/api/runs/driver-tumblers/plans");
        var plan = await app.Get("/api/plans/driver-tumblers_copper-vinyl");
        var ids = await app.Post(
            "/api/plans/driver-tumblers_copper-vinyl/release",
            new
            {
                key = (string)plan["key"]!,
                loads = Array.Empty<int>(),
                keep = (object?)null,
            }
        );
        return (string)ids.AsArray().ShouldHaveSingleItem()!;
    }

    private static object Cut(string load, bool isTest = false, bool withoutTest = false, int from = 0, string until = "") =>
        new
        {
            load,
            format = "",
            isTest,
            withoutTest,
            from,
            until = new { text = until, unit = "millimetre" },
        };

    private static object Order(string command, string load) =>
        new
        {
            command,
            jobId = $"{load}.cut1",
            until = new { text = "", unit = "millimetre" },
        };

    private async Task<string> Refused(string what, object body, HttpStatusCode status = HttpStatusCode.Conflict)
    {
        var answer = await app.Send(
            HttpMethod.Post,
            $"{Machine}/{what}",
            JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(body)),
            null
        );
        answer.StatusCode.ShouldBe(status);
        return (string)JsonNode.Parse(await answer.Content.ReadAsStringAsync())!["detail"]!;
    }

    private async Task<JsonNode> Until(Func<JsonNode, bool> isSo)
    {
        while (true)
        {
            if (await app.Get(Machine) is var view && isSo(view))
            {
                return view;
            }

            await Task.Delay(20);
        }
    }

    /// <summary>The cuts that are noted beside a load, once there are so many.</summary>
    private async Task<JsonArray> Noted(string load, int count)
    {
        while (true)
        {
            if ((await app.Get($"/api/loads/{load}"))["load"]!["cuts"]!.AsArray() is var cuts && cuts.Count >= count)
            {
                return cuts;
            }

            await Task.Delay(50);
        }
    }

    private static IEnumerable<(double X, double Y)> Points(JsonNode stroke) =>
        stroke["points"]!.AsArray().Select(v => (double)v!).Chunk(2).Select(p => (p[0], p[1]));

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    /// <summary>A stand-in that is switched on and off.</summary>
    private sealed class Switched : IDisposable
    {
        private readonly CancellationTokenSource stop = new();
        private readonly CutterPort line;

        public Switched(int port, double fast)
        {
            line = new CutterPort(
                new CutterStandIn((f, c) => LoadReading.Lines(f, c, SvgNumbers.Per96), TimeProvider.System, fast),
                new IPEndPoint(IPAddress.Loopback, port)
            );
            line.Open();
            _ = line.Answer(stop.Token);
        }

        public void Dispose()
        {
            if (!stop.IsCancellationRequested)
            {
                stop.Cancel();
                line.Dispose();
            }
        }
    }
}
