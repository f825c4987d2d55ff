using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cabida.Web.Tests;

/// <summary>The demo in the middle of a day, and what is ticked by load and measured in it.</summary>
public sealed class DemoDayTests : IDisposable
{
    private readonly Application app = new() { WithDemo = true, InProgress = true };

    public void Dispose() => app.Dispose();

    private async Task<JsonNode> Put(string path, object body)
    {
        using var answer = await app.CreateClient().PutAsJsonAsync(path, body);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync());
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
    }

    /// <summary>Where a job is, once all of its runs are worked out.</summary>
    private async Task<JsonNode> Progress(string job)
    {
        while (true)
        {
            var row = await app.Get($"/api/jobs/{job}/progress");
            if (row["runs"]!.AsArray().All(r => !(bool)r!["isPending"]!))
            {
                return row;
            }
        }
    }

    private static List<string> Stages(JsonNode pieces) => [.. pieces.AsArray().Select(p => (string)p!["stage"]!)];

    [Fact]
    public async Task One_job_waits_for_its_customer_one_is_on_the_bench_and_one_is_packed()
    {
        ((int)(await Progress("fernhollow-crew"))["awaits"]!).ShouldBe(22);
        (await app.Get("/api/runs/crew-mugs/proof/pieces?from=0&count=100"))["pieces"]!
            .AsArray()
            .ShouldAllBe(p => (string)p!["since"]! == "same");
        Stages((await app.Get("/api/runs/luggage-tags/making"))["pieces"]!).ShouldAllBe(s => s == "weeded");
        var choir = (await app.Get("/api/week"))["jobs"]!.AsArray().First(j => (string)j!["name"]! == "Lamp choir mugs")!;
        ((string)(await Progress((string)choir["id"]!))["stage"]!).ShouldBe("packed");
        // Its figures are those of what was done: the load is what the files say, and the stock is less by it.
        var loads = (await app.Get("/api/runs/luggage-tags/making"))["loads"]!.AsArray();
        var load = await app.Get($"/api/loads/{(string)loads.ShouldHaveSingleItem()!["id"]!}");
        load["changed"]!.AsArray().ShouldBeEmpty();
        load["load"]!["items"]!.AsArray().Count.ShouldBe(3);
    }

    [Fact]
    public async Task A_load_is_ticked_for_all_that_lies_on_it_and_taken_back_as_one()
    {
        var id = (string)(await app.Get("/api/runs/luggage-tags/making"))["loads"]![0]!["id"]!;
        var packed = await Put($"/api/loads/{id}/stages", new { stage = "packed", isBack = false });
        ((string)packed["stage"]!).ShouldBe("packed");
        Stages(packed["runs"]![0]!["pieces"]!).ShouldAllBe(s => s == "packed");
        var back = await Put($"/api/loads/{id}/stages", new { stage = "cut", isBack = true });
        Stages(back["runs"]![0]!["pieces"]!).ShouldAllBe(s => s == "cut");
        await app.Step("/api/makings/luggage-tags", "undo");
        Stages((await app.Get($"/api/loads/{id}/bench"))["runs"]![0]!["pieces"]!).ShouldAllBe(s => s == "packed");

        // What was not cut is not weeded.
        await app.Change($"/api/loads/{id}", "load", l => l["cuts"] = new JsonArray());
        using var refused = await app.CreateClient().PutAsJsonAsync($"/api/loads/{id}/stages", new { stage = "weeded", isBack = false });
        refused.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        using var none = await app.CreateClient().PutAsJsonAsync("/api/loads/none/stages", new { stage = "weeded", isBack = false });
        none.StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Sizes_that_were_measured_are_shown_against_the_card_and_tell_the_next()
    {
        const string path = "/api/runs/crew-mugs/sizes";
        var rows = (await app.Get(path))["rows"]!.AsArray();
        var card = (await app.Get("/api/runs/crew-mugs/bench"))["surfaces"]![0]!["pieces"]!.AsArray();
        rows.Select(r => (double)r!["width"]!).ShouldBe(card.Select(p => (double)p!["width"]!));
        object Measured(JsonNode row, double by) =>
            new
            {
                piece = (string)row["piece"]!,
                side = 0,
                width = new { text = FormattableString.Invariant($"{by * (double)row["width"]!:0.####}"), unit = "millimetre" },
                height = new { text = "", unit = "millimetre" },
            };
        // The first was measured on the demo day: a third of a millimetre narrow on navy vinyl.
        var sizes = await Put(path, Measured(rows[0]!, 0.995));
        sizes = await Put(path, Measured(rows[1]!, 0.995));
        sizes = await Put(path, Measured(rows[2]!, 0.995));
        var learned = Application.Words(sizes["learned"]!.AsArray().ShouldHaveSingleItem());
        learned.ShouldContain("narrower and no higher");
        var fourth = sizes["rows"]![3]!;
        ((double)fourth["expectedWidth"]! / (double)fourth["width"]!).ShouldBe(0.995, 0.0005);
        ((double)sizes["rows"]![0]!["offWidth"]! / (double)rows[0]!["width"]!).ShouldBe(-0.005, 1e-5);
        (await app.Get("/api/runs/crew-mugs/bench"))["sizes"]!.AsArray().Count.ShouldBe(1);

        // What cannot be read is kept and said, and what is far off is not counted.
        var odd = new
        {
            piece = (string)rows[3]!["piece"]!,
            side = 0,
            width = new { text = "wide", unit = "millimetre" },
            height = new { text = "9", unit = "millimetre" },
        };
        var said = (await Put(path, odd))["rows"]![3]!;
        ((string)said["measured"]!["width"]!["text"]!).ShouldBe("wide");
        said["notes"]!.AsArray().Count.ShouldBe(2);
        Application.Words((await app.Get(path))["learned"]![0]).ShouldBe(learned);
    }
}
