using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cabida.Web.Tests;

/// <summary>The steps of runs, what is ticked and timed at the bench, and the plan of the day.</summary>
public sealed class MakingTests : IDisposable
{
    private const string Making = "/api/runs/crew-mugs/making";

    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    private async Task<JsonNode> Put(string path, object body)
    {
        using var answer = await app.CreateClient().PutAsJsonAsync(path, body);
        answer.EnsureSuccessStatusCode();
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
    }

    private Task<JsonNode> Tick(string step, bool isDone, string took = "") => Put($"{Making}/steps/{step}", new { isDone, took });

    private static List<string> Stages(JsonNode making) => [.. making["pieces"]!.AsArray().Select(p => (string)p!["stage"]!).Distinct()];

    [Fact]
    public async Task Steps_follow_from_film_and_goods_until_the_maker_has_others()
    {
        var offered = await app.Get(Making);
        Names(offered).ShouldBe(["cut", "weed", "clean", "lay", "pack"]);
        ((bool)offered["isOffered"]!).ShouldBeTrue();
        var all = (double)offered["handsLeft"]!;
        // Twelve mugs: half a minute each to clean and one once.
        ((double)offered["steps"]![2]!["hands"]!).ShouldBe((12 * 0.5) + 1);

        await app.Change("/api/runs/crew-mugs", "run", r =>
        {
            var steps = new JsonArray([.. offered["steps"]!.AsArray().Select(s => s!["step"]!.DeepClone())]);
            steps[2]!["perPiece"] = "45 s";
            steps[4]!["wait"] = "later";
            r["setUp"]!["steps"] = steps;
        });
        var own = await app.Get(Making);
        ((bool)own["isOffered"]!).ShouldBeFalse();
        ((double)own["handsLeft"]!).ShouldBe(all + (12 * 0.25), 1e-6);
        own["problems"]!.AsArray().ShouldHaveSingleItem()!["fields"]![0]!.ToString().ShouldBe("steps.4.wait");
        // A mask is painted over and pulled off.
        Names(await app.Get("/api/runs/waiting-panes/making")).ShouldContain("pull off");
    }

    [Fact]
    public async Task A_tick_brings_pieces_as_far_as_the_step_and_can_be_taken_back()
    {
        Stages(await app.Get(Making)).ShouldBe(["taken"]);
        Stages(await Tick("weed", true)).ShouldBe(["weeded"]);
        var some = await Put(
            $"{Making}/stages",
            new
            {
                pieces = new[] { (string)(await app.Get(Making))["pieces"]![0]!["id"]!, "no-such-piece" },
                stage = "packed",
                isBack = false,
            }
        );
        Stages(some).ShouldBe(["packed", "weeded"]);
        // What is further stays where it is.
        Stages(await Tick("lay", true)).ShouldBe(["packed", "pressed"]);
        Stages(await Tick("lay", false)).ShouldBe(["packed", "weeded"]);
        await app.Step("/api/makings/crew-mugs", "undo");
        Stages(await app.Get(Making)).ShouldBe(["packed", "pressed"]);
        var done = await Tick("pack", true);
        ((double)done["handsLeft"]!).ShouldBe(0);
        ((string)done["next"]!).ShouldBe("");
        using var none = await app.CreateClient().PutAsJsonAsync($"{Making}/steps/no-such-step", new { isDone = true, took = "" });
        none.StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task What_steps_really_took_sets_the_makers_own_pace()
    {
        // Twice as long as usual, three times: cleaning is told as twice as long from then on.
        foreach (var run in new[] { "crew-mugs", "driver-tumblers", "tea-mugs" })
        {
            var clean = (await app.Get($"/api/runs/{run}/making"))["steps"]!.AsArray().First(s => (string)s!["called"]! == "clean")!;
            ((int)clean["pace"]!["entries"]!).ShouldBe(0);
            await Put($"/api/runs/{run}/making/steps/clean", new { isDone = true, took = $"{2 * (double)clean["hands"]!} min" });
        }

        var after = (await app.Get("/api/runs/depot-glasses/making"))["steps"]!.AsArray().First(s => (string)s!["called"]! == "clean")!;
        ((double)after["pace"]!["by"]!).ShouldBe(2, 1e-9);
        ((double)after["pace"]!["spread"]!).ShouldBe(0, 1e-9);
        using var bad = await app.CreateClient().PutAsJsonAsync($"{Making}/steps/clean", new { isDone = true, took = "ages" });
        bad.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }

    [Fact]
    public async Task The_day_ends_when_jobs_are_due_and_what_cannot_be_met_is_said()
    {
        var due = DateTime.Today.AddDays(9);
        await app.Get("/api/workshops");
        await app.Change("/api/workshops/workshop", "workshop", w => w["hours"] = Week("8", "18:30"));
        foreach (var job in (await app.List("/api/jobs")).Select(j => (string)j!["id"]!))
        {
            await app.Change($"/api/jobs/{job}", "job", j => (j["due"], j["dueAt"]) = ($"{due:yyyy-MM-dd}", "14:30"));
        }

        var day = await Day("");
        day["late"]!.AsArray().ShouldBeEmpty();
        var steps = day["steps"]!.AsArray();
        steps.Select(s => (string)s!["hands"]!.AsArray()[^1]!["to"]!).Max().ShouldBe($"{due:yyyy-MM-dd}T14:30");
        steps.Select(s => (string)s!["hands"]![0]!["from"]!).ShouldBeInOrder();
        steps.Select(s => ((string)s!["hands"]![0]!["from"]!)[11..]).ShouldAllBe(t => string.CompareOrdinal(t, "08:00") >= 0);

        await app.Change("/api/jobs/fernhollow-crew", "job", j => j["due"] = $"{DateTime.Today.AddDays(-1):yyyy-MM-dd}");
        var late = await Day("");
        ((bool)late["isFromNow"]!).ShouldBeTrue();
        late["late"]!.AsArray().ShouldContain(l => (string)l!["runId"]! == "crew-mugs" && ((string)l["by"]!).Length > 0);
        await app.Change("/api/jobs/fernhollow-crew", "job", j => (j["due"], j["dueAt"]) = ("", "quarter past"));
        (await Day(""))["leftOut"]!.AsArray().ShouldContain(l => (string)l!["run"]! == "Crew mugs");
        Application.Words((await app.Get("/api/jobs/fernhollow-crew"))["problem"]).ShouldContain("no time of day");
    }

    private async Task<JsonNode> Day(string query)
    {
        while (true)
        {
            var day = await app.Get($"/api/day{query}");
            if ((int)day["pending"]! == 0)
            {
                return day;
            }
        }
    }

    private static JsonArray Week(string from, string to) =>
        [.. Enumerable.Range(0, 7).Select(_ => (JsonNode)new JsonObject { ["from"] = from, ["to"] = to })];

    private static List<string> Names(JsonNode making) => [.. making["steps"]!.AsArray().Select(s => (string)s!["called"]!)];
}
