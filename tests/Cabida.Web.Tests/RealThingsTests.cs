using System.Net;
using System.Text.Json.Nodes;
using Cabida.Formats.Cutting;

namespace Cabida.Web.Tests;

/// <summary>Cutting as workshops have it: lists of names, a sheet of an odd size, a disk that fills up.</summary>
public sealed class RealThingsTests : IDisposable
{
    private readonly FullDisk disk = new();
    private readonly Application app;

    public RealThingsTests() => app = new Application { WithDemo = true, Disk = disk };

    public void Dispose() => app.Dispose();

    [Theory]
    [InlineData("work-shirts", "cream-transfer", 24, 380, 640)]
    [InlineData("crew-mugs", "navy-vinyl", 40, 305, 610)]
    public async Task Lists_of_names_lie_as_tight_as_in_rows_or_tighter_on_no_more_loads_and_every_file_is_sound(
        string run,
        string film,
        int names,
        double width,
        double height
    )
    {
        var list = (await File.ReadAllLinesAsync(Path.Combine(Lists, "crew-40.txt"))).Where(n => n.Trim().Length > 0).Take(names);
        await app.Change($"/api/runs/{run}", "run", r =>
        {
            r["list"]!["namesTyped"] = string.Join('\n', list);
            r["setUp"]!["sides"] = new JsonArray();
        });
        await app.Change($"/api/stock/{film}", "stock", s => s["items"] = new JsonArray(Sheets(width, height)));
        await app.Change("/api/cutters/bench-cutter", "cutter", c => c["carriers"] = new JsonArray(Mat(width, height)));
        await app.WholeSet($"/api/runs/{run}".Replace("/api/runs/", "", StringComparison.Ordinal));
        await app.Post($"/api/runs/{run}/plans");
        var plan = await app.Get($"/api/plans/{run}_{film}");
        var placed = plan["loads"]!.AsArray().SelectMany(l => l!["pieces"]!.AsArray()).Count();
        placed.ShouldBe(plan["things"]!.AsArray().Count);
        (placed + plan["held"]!.AsArray().Count).ShouldBeGreaterThanOrEqualTo(names);
        var figures = plan["figures"]!;
        ((double)figures["density"]!).ShouldBeGreaterThanOrEqualTo((double)figures["rowsDensity"]! - 1e-9);
        plan["loads"]!.AsArray().Count.ShouldBeLessThanOrEqualTo((int)figures["rowsLoads"]!);
        plan["loads"]!.AsArray().Count.ShouldBeGreaterThanOrEqualTo((int)figures["leastLoads"]!);
        foreach (var load in plan["loads"]!.AsArray())
        {
            var svg = CutSvgMeasure.Of(await app.CreateClient().GetStringAsync($"/api/loads/{(string)load!["fileId"]!}/file"));
            svg.Beyond.ShouldBe(0, 0.01);
            svg.Used!.Value.Width.ShouldBeLessThanOrEqualTo(width - 10 + 0.05);
            svg.Crossing.ShouldBe(0);
            svg.Pieces.Count.ShouldBe(load["pieces"]!.AsArray().Count);
            var inks = svg.Rings.Select(FileInk.Of).ToList();
            for (var i = 0; i < inks.Count; i++)
            {
                inks.Take(i).ShouldAllBe(other => other.Distance(inks[i]) > 4.95);
            }
        }
    }

    [Fact]
    public async Task A_disk_that_is_full_is_said_and_nothing_is_half_released()
    {
        await app.Change("/api/runs/driver-tumblers", "run", r => r["list"]!["namesTyped"] = "Ewa\nIan\n");
        await app.Post("/api/runs/driver-tumblers/plans");
        const string path = "/api/plans/driver-tumblers_copper-vinyl";
        var plan = await app.Get(path);
        var stock = (await app.Get("/api/stock/copper-vinyl"))["stock"]!.ToJsonString();
        disk.IsFull = true;
        var refused = await Release();
        refused.StatusCode.ShouldBe(HttpStatusCode.InsufficientStorage);
        (await refused.Content.ReadAsStringAsync()).ShouldContain("no room left on the disk");
        (await app.Get("/api/stock/copper-vinyl"))["stock"]!.ToJsonString().ShouldBe(stock);
        (await app.Get("/api/cutting"))["released"]!.AsArray().ShouldBeEmpty();
        ((string)(await app.Get(path))["key"]!).ShouldBe((string)plan["key"]!);

        // With room again the same release is made, whole.
        disk.IsFull = false;
        (await Release()).StatusCode.ShouldBe(HttpStatusCode.OK);
        var released = (await app.Get("/api/cutting"))["released"]!.AsArray().ShouldHaveSingleItem()!;
        (await app.CreateClient().GetAsync($"/api/loads/{(string)released["id"]!}/file?format=hpgl")).StatusCode.ShouldBe(
            HttpStatusCode.OK
        );

        Task<HttpResponseMessage> Release() =>
            app.Send(
                HttpMethod.Post,
                $"{path}/release",
                new JsonObject
                {
                    ["key"] = (string)plan["key"]!,
                    ["loads"] = new JsonArray(),
                    ["keep"] = null,
                },
                null
            );
    }

    private static string Lists => Path.Combine(AppContext.BaseDirectory, "lists");

    private static JsonObject Typed(double mm) => new() { ["text"] = FormattableString.Invariant($"{mm}"), ["unit"] = "millimetre" };

    private static JsonObject Sheets(double width, double height) =>
        new()
        {
            ["id"] = "sheets",
            ["form"] = "sheet",
            ["width"] = Typed(width),
            ["length"] = Typed(height),
            ["count"] = 20,
        };

    private static JsonObject Mat(double width, double height) =>
        new()
        {
            ["id"] = "mat",
            ["name"] = "Mat",
            ["width"] = Typed(width),
            ["length"] = Typed(height),
            ["reachWidth"] = Typed(width),
            ["reachLength"] = Typed(height),
        };
}
