using System.Net;
using System.Text.Json.Nodes;

namespace Cabida.Web.Tests;

/// <summary>An old job taken up with other names, and the care note that goes with what is made.</summary>
public sealed class AgainTests : IDisposable
{
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    private static JsonObject Wanted(string runId, string names, params string[] asItWas) =>
        new()
        {
            ["name"] = "Crew day 2027",
            ["customer"] = "Fernhollow Tramway Museum",
            ["due"] = "2027-06-01",
            ["runs"] = new JsonArray(
                new JsonObject
                {
                    ["runId"] = runId,
                    ["names"] = names,
                    ["asItWas"] = new JsonArray([.. asItWas.Select(a => JsonValue.Create(a))]),
                }
            ),
        };

    [Fact]
    public async Task What_changed_since_is_told_and_either_taken_or_left_as_it_was()
    {
        await app.Change("/api/blanks/enamel-mug", "blank", b => b["material"]!["name"] = "enamelled steel, thinner");
        await app.Change("/api/films/navy-vinyl", "film", f => f["thinnestStroke"]!["text"] = "1.1");
        // Changed and changed back is no change.
        await app.Change("/api/motifs/crew-name", "motif", m => m["sample"] = "Maeve");
        await app.Change("/api/motifs/crew-name", "motif", m => m["sample"] = "");
        var again = await app.Get("/api/jobs/fernhollow-crew/again");
        var mugs = again["runs"]!.AsArray().First(r => (string)r!["id"]! == "crew-mugs")!;
        mugs["changed"]!
            .AsArray()
            .Select(c => ((string)c!["what"]!, (string)c["differences"]!["told"]![0]!["after"]!))
            .ShouldBe([("blank", "enamelled steel, thinner"), ("film", "1.1 mm")]);

        var taken = await app.Post("/api/jobs/fernhollow-crew/again", Wanted("crew-mugs", "Odo\nBram", "navy-vinyl"));
        var job = await app.Get($"/api/jobs/{(string)taken["jobId"]!}");
        ((string)job["job"]!["name"]!).ShouldBe("Crew day 2027");
        var run = (await app.Get($"/api/runs/{(string)job["runs"]![0]!["id"]!}"))["run"]!;
        run["list"]!["pieces"]!.AsArray().Select(p => (string)p!["name"]!).ShouldBe(["Odo", "Bram"]);
        ((int)run["setUp"]!["blank"]!["revision"]!).ShouldBe(2);
        ((int)run["setUp"]!["film"]!["revision"]!).ShouldBe(1);
        // It can be made: nothing of it is lacking, and the old run is as it was.
        (await app.Get($"/api/runs/{(string)job["runs"]![0]!["id"]!}/bench"))["lacks"]!.AsArray().ShouldBeEmpty();
        (await app.Get("/api/runs/crew-mugs"))["run"]!["list"]!["pieces"]!.AsArray().Count.ShouldBe(12);
    }

    [Fact]
    public async Task A_name_that_comes_back_has_again_what_was_set_for_it_by_hand_and_its_approval_does_not_come_with_it()
    {
        static JsonNode BramOf(JsonNode run) => run["list"]!["pieces"]!.AsArray().First(p => (string)p!["name"]! == "Bram")!;
        var changed = await app.Change("/api/runs/crew-mugs", "run", r => BramOf(r)["own"]!["up"]!["text"] = "1.5");
        var bramThen = BramOf(changed["run"]!);
        await app.Send(
            HttpMethod.Post,
            "/api/runs/crew-mugs/correction",
            new JsonObject { ["pieceId"] = (string)bramThen["id"]!, ["words"] = "With two m." },
            "*"
        );
        var taken = await app.Post("/api/jobs/fernhollow-crew/again", Wanted("crew-mugs", "Odo\nBram"));
        var job = await app.Get($"/api/jobs/{(string)taken["jobId"]!}");
        var run = (await app.Get($"/api/runs/{(string)job["runs"]![0]!["id"]!}"))["run"]!;
        var (odo, bram) = (run["list"]!["pieces"]![0]!, run["list"]!["pieces"]![1]!);
        ((string)bram["own"]!["up"]!["text"]!).ShouldBe("1.5");
        ((string)odo["own"]!["up"]!["text"]!).ShouldBe("");
        run["verdicts"]!["said"]!.AsObject().Count.ShouldBe(0);
    }

    [Fact]
    public async Task What_cannot_be_taken_up_is_said_and_nothing_is_made()
    {
        async Task<string> Refused(JsonObject wanted)
        {
            using var answer = await app.Send(HttpMethod.Post, "/api/jobs/fernhollow-crew/again", wanted, null);
            answer.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
            return (string)JsonNode.Parse(await answer.Content.ReadAsStringAsync())!["detail"]!;
        }

        var before = (await app.Get("/api/week"))["jobs"]!.AsArray().Count;
        var none = Wanted("crew-mugs", "");
        none["runs"] = new JsonArray();
        (await Refused(none)).ShouldContain("tick a run");
        // A run of another job is not one of this.
        (await Refused(Wanted("luggage-tags", "Odo"))).ShouldContain("not here any more");
        (await app.Get("/api/week"))["jobs"]!.AsArray().Count.ShouldBe(before);
    }

    [Fact]
    public async Task The_care_note_follows_film_and_goods_until_the_maker_writes_it_and_stands_on_the_card()
    {
        var offered = (await app.Get("/api/runs/crew-mugs/care"))["lines"]!.AsArray().Select(l => (string)l!).ToList();
        offered.ShouldContain("Not for the microwave.");
        (await app.Get("/api/runs/work-shirts/care"))["lines"]!
            .AsArray()
            .Select(l => (string)l!)
            .ShouldContain(l => l.Contains("inside out"));
        await app.Change("/api/runs/crew-mugs", "run", r => r["setUp"]!["care"] = "By hand, please.");
        (await app.Get("/api/runs/crew-mugs/bench"))["care"]!.AsArray().Select(l => (string)l!).ShouldBe(["By hand, please."]);
        (await app.Get("/api/runs/crew-mugs/care"))["offered"]!.AsArray().Select(l => (string)l!).ShouldBe(offered);
        var client = app.CreateClient();
        (await client.GetStringAsync("/api/runs/crew-mugs/care/file?named=true")).ShouldStartWith("%PDF");
        foreach (var cards in new[] { "0", "-5", "2001", "2000000000" })
        {
            (await client.GetAsync($"/api/runs/crew-mugs/care/file?cards={cards}")).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        }
    }
}
