using System.Text.Json.Nodes;

namespace Cabida.Web.Tests;

public sealed class DemoTests : IDisposable
{
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Fact]
    public async Task The_demo_day_has_the_runs_it_promises_and_some_trouble()
    {
        var mugs = await Pieces("crew-mugs");
        mugs.Count.ShouldBe(12);
        mugs.ShouldContain(p => (string)p!["state"]! == "over");
        Rules(mugs).ShouldContain("otherFace");
        var tumblers = await Pieces("driver-tumblers");
        tumblers.Count.ShouldBe(6);
        Rules(tumblers).ShouldContain("thinStrokes");
        tumblers.ShouldContain(p => p!["taper"]!["bow"] != null);
        Application.Words((await app.Get("/api/blanks/steel-tumbler"))["findings"]![0]!["message"]).ShouldContain("do not agree");
    }

    [Fact]
    public async Task Bringing_it_in_twice_changes_nothing()
    {
        var before = (await app.List("/api/jobs")).ToJsonString();
        (await app.CreateClient().PostAsync("/api/demo", null)).EnsureSuccessStatusCode();
        (await app.List("/api/jobs")).ToJsonString().ShouldBe(before);
    }

    [Fact]
    public async Task The_letter_height_offered_for_all_makes_every_whole_name_fit()
    {
        var height = (double)(await app.WholeSet("crew-mugs"))["groups"]![0]!["largestForAll"]!;
        await app.Change("/api/runs/crew-mugs", "run", r =>
            r["setUp"]!["letterHeight"]!["text"] = FormattableString.Invariant($"{height}")
        );
        (await Pieces("crew-mugs")).Select(p => (string)p!["state"]!).ShouldAllBe(s => s == "fits");
        await app.Change("/api/runs/crew-mugs", "run", r =>
            r["setUp"]!["letterHeight"]!["text"] = FormattableString.Invariant($"{height + 0.2:0.0}")
        );
        (await Pieces("crew-mugs")).Select(p => (string)p!["state"]!).ShouldContain(s => s != "fits");
    }

    [Fact]
    public async Task The_bench_card_places_pieces_from_the_blanks_own_edges()
    {
        var bench = await app.Get("/api/runs/crew-mugs/bench");
        foreach (var p in bench["surfaces"]![0]!["pieces"]!.AsArray())
        {
            ((double)p!["belowRim"]! + (double)p["height"]! + (double)p["aboveBase"]!).ShouldBe(94, 1e-6);
        }

        bench["surfaces"]![0]!["pieces"]!.AsArray().Count(p => p!["loads"]!.AsArray().Count == 0).ShouldBe(bench["held"]!.AsArray().Count);
    }

    private Task<JsonArray> Pieces(string run) => app.Pieces(run);

    private static IEnumerable<string> Rules(JsonArray pieces) =>
        pieces.SelectMany(p => p!["findings"]!.AsArray()).Select(f => (string)f!["rule"]!);
}
