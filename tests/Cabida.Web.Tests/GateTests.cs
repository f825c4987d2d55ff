using System.Net;
using System.Text.Json.Nodes;
using Cabida.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace Cabida.Web.Tests;

/// <summary>What is refused at the gate, what a broken thing leaves standing, and revisions as entity tags.</summary>
public sealed class GateTests : IDisposable
{
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Theory]
    [InlineData("/api/films/navy-vinyl", "film", "purpose", "-1", "purpose")]
    [InlineData("/api/films/navy-vinyl", "film", "purpose", "\"burnt\"", "purpose")]
    [InlineData("/api/blanks/enamel-mug", "blank", "tags", "[null]", "tags[0]")]
    [InlineData("/api/blanks/enamel-mug", "blank", "zones", "[{\"id\":\"a\",\"name\":\"A\",\"turnRange\":1e308}]", "zones[0].turnRange")]
    [InlineData("/api/blanks/enamel-mug", "blank", "name", "null", "name")]
    [InlineData("/api/motifs/crew-name", "motif", "parts", "[null]", "parts[0]")]
    [InlineData("/api/motifs/crew-name", "motif", "parts", "[{}]", "parts[0]")]
    public async Task A_field_that_cannot_be_taken_is_named_and_nothing_is_kept(
        string path,
        string kind,
        string field,
        string value,
        string told
    )
    {
        var view = await app.Get(path);
        var document = view[kind]!.DeepClone();
        document[field] = JsonNode.Parse(value);
        var answer = await app.Put(path, document, (int)view["revision"]!);
        answer.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        var problem = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        ((string)problem["fields"]![0]!["field"]!).ShouldBe(told);
        (await app.Get(path))["revision"]!.ToJsonString().ShouldBe(view["revision"]!.ToJsonString());
    }

    [Fact]
    public async Task Half_a_sign_is_refused_as_it_comes()
    {
        // Written out, since no JSON writer of ours would write it.
        using var request = new HttpRequestMessage(HttpMethod.Put, "/api/workshops/workshop")
        {
            Content = new StringContent(
                """{"name":"Lantern \ud83d","contact":"","markId":""}""",
                System.Text.Encoding.UTF8,
                "application/json"
            ),
        };
        request.Headers.TryAddWithoutValidation("If-Match", "*");
        (await app.CreateClient().SendAsync(request)).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }

    [Fact]
    public async Task Spacing_without_reason_is_refused_before_anything_is_made_of_it()
    {
        var run = await app.Get("/api/runs/crew-mugs");
        var document = run["run"]!.DeepClone();
        document["list"]!["pieces"]![0]!["own"]!["spacing"] = 1e8;
        (await app.Put("/api/runs/crew-mugs", document, (int)run["revision"]!)).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await app.List("/api/jobs")).Count.ShouldBeGreaterThan(0);
    }

    [Theory]
    [InlineData("blank", "blanks", "enamel-mug", "not json at all")]
    [InlineData("motif", "motifs", "crew-name", """{"name":"Crew","alignment":"centre","parts":[{"kind":"nothing"}]}""")]
    [InlineData("film", "films", "navy-vinyl", """{"name":"Navy","purpose":-1}""")]
    [InlineData("cutter", "cutters", "bench-cutter", "{}")]
    [InlineData("job", "jobs", "fernhollow-crew", "[]")]
    public async Task One_that_cannot_be_read_shows_as_a_card_and_comes_back_by_undo(string kind, string kinds, string id, string json)
    {
        // Changed once, so that there is something to come back to.
        await app.Change($"/api/{kinds}/{id}", kind, d => d["name"] = "Before");
        await Spoil(kind, id, json);
        var listing = await app.Get($"/api/{kinds}");
        var broken = listing["broken"]!.AsArray().ShouldHaveSingleItem()!;
        ((string)broken["name"]!).ShouldBe("Before");
        Application.Words(broken["reason"]).ShouldNotBeEmpty();
        var one = await app.CreateClient().GetAsync($"/api/{kinds}/{id}");
        one.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        foreach (var other in new[] { "blanks", "motifs", "films", "cutters", "jobs" }.Where(o => o != kinds))
        {
            (await app.List($"/api/{other}")).ShouldNotBeEmpty();
        }

        var undone = await app.Send(HttpMethod.Post, $"/api/{kinds}/{id}/undo", null, $"\"{broken["revision"]}\"");
        undone.StatusCode.ShouldBe(HttpStatusCode.OK);
        (await app.List($"/api/{kinds}")).Count.ShouldBe(listing["cards"]!.AsArray().Count + 1);
    }

    [Fact]
    public async Task A_run_that_cannot_be_read_leaves_the_others_of_its_job()
    {
        await Spoil("run", "crew-mugs", "{}");
        var runs = (await app.List("/api/jobs")).SelectMany(j => j!["runs"]!.AsArray()).ToList();
        ((string)runs.Single(r => (string)r!["id"]! == "crew-mugs")!["todo"]!).ShouldStartWith("Cannot be worked out.");
        runs.Count(r => r!["first"] is not null).ShouldBe(runs.Count - 1);
    }

    [Fact]
    public async Task Revisions_travel_as_entity_tags()
    {
        using var client = app.CreateClient();
        using var got = await client.GetAsync("/api/films/navy-vinyl");
        var tag = got.Headers.ETag!;
        tag.IsWeak.ShouldBeFalse();
        var film = JsonNode.Parse(await got.Content.ReadAsStringAsync())!["film"]!;
        film["note"] = "kept in the dark";
        (await app.Send(HttpMethod.Put, "/api/films/navy-vinyl", film, null)).StatusCode.ShouldBe(HttpStatusCode.PreconditionRequired);
        (await app.Send(HttpMethod.Put, "/api/films/navy-vinyl", film, tag.Tag.Trim('"'))).StatusCode.ShouldBe(
            HttpStatusCode.PreconditionRequired
        );
        (await app.Send(HttpMethod.Put, "/api/films/navy-vinyl", film, $"W/{tag.Tag}")).StatusCode.ShouldBe(
            HttpStatusCode.PreconditionFailed
        );
        var saved = await app.Send(HttpMethod.Put, "/api/films/navy-vinyl", film, tag.Tag);
        saved.StatusCode.ShouldBe(HttpStatusCode.OK);
        saved.Headers.ETag!.Tag.ShouldNotBe(tag.Tag);

        // Its answer was lost, and it is sent once more: done, not a conflict, and no further revision.
        var again = await app.Send(HttpMethod.Put, "/api/films/navy-vinyl", film, tag.Tag);
        again.StatusCode.ShouldBe(HttpStatusCode.OK);
        again.Headers.ETag!.Tag.ShouldBe(saved.Headers.ETag.Tag);

        film["name"] = "Another";
        var stale = await app.Send(HttpMethod.Put, "/api/films/navy-vinyl", film, tag.Tag);
        stale.StatusCode.ShouldBe(HttpStatusCode.PreconditionFailed);
        var problem = JsonNode.Parse(await stale.Content.ReadAsStringAsync())!;
        problem["changed"]!.AsArray().Select(c => (string)c!).ShouldBe(["note"]);
        foreach (var (method, path) in new[] { (HttpMethod.Post, "/undo"), (HttpMethod.Post, "/redo"), (HttpMethod.Delete, "") })
        {
            (await app.Send(method, $"/api/films/frost-film{path}", null, "\"99\"")).StatusCode.ShouldBeOneOf(
                HttpStatusCode.PreconditionFailed,
                HttpStatusCode.Conflict
            );
            (await app.Send(method, $"/api/films/frost-film{path}", null, null)).StatusCode.ShouldBe(HttpStatusCode.PreconditionRequired);
        }

        (await app.Send(HttpMethod.Post, "/api/films/navy-vinyl/undo", null, tag.Tag)).StatusCode.ShouldBe(
            HttpStatusCode.PreconditionFailed
        );
        ((string)(await app.Get("/api/films/navy-vinyl"))["film"]!["note"]!).ShouldBe("kept in the dark");
    }

    [Fact]
    public async Task A_list_saved_twice_as_its_answer_was_lost_is_one_revision()
    {
        var view = await app.Get("/api/runs/crew-mugs");
        var run = view["run"]!.DeepClone();
        run["namesTyped"] = (string)run["namesTyped"]! + "\nWilhelmina\nOdd";
        var first = await app.Put("/api/runs/crew-mugs", run, (int)view["revision"]!);
        var second = await app.Put("/api/runs/crew-mugs", run, (int)view["revision"]!);
        second.StatusCode.ShouldBe(HttpStatusCode.OK);
        second.Headers.ETag!.Tag.ShouldBe(first.Headers.ETag!.Tag);
    }

    [Fact]
    public async Task The_same_upload_from_many_at_once_is_one_picture()
    {
        using var scan = await app.CreateClient()
            .PostAsync(
                "/api/scanner/scan",
                new StringContent(
                    """{"sheetId":"tag","dotsPerInch":75,"noise":1,"skew":0,"shading":0}""",
                    System.Text.Encoding.UTF8,
                    "application/json"
                )
            );
        var sheet = JsonNode.Parse(await (await app.CreateClient().GetAsync("/api/scanner")).Content.ReadAsStringAsync())!;
        var asked = new JsonObject
        {
            ["sheetId"] = (string)sheet["tray"]![0]!["id"]!,
            ["dotsPerInch"] = (int)sheet["resolutions"]![0]!,
            ["noise"] = 1,
            ["skew"] = 0,
            ["shading"] = 0,
        };
        var made = await app.Send(HttpMethod.Post, "/api/scanner/scan", asked, null);
        made.StatusCode.ShouldBe(HttpStatusCode.OK, await made.Content.ReadAsStringAsync());
        var id = (string)JsonNode.Parse(await made.Content.ReadAsStringAsync())!["id"]!;
        var bytes = await app.CreateClient().GetByteArrayAsync($"/api/pictures/{id}");
        await using (var other = new Application())
        {
            var answers = await Task.WhenAll(
                Enumerable.Range(0, 12).Select(_ => other.CreateClient().PostAsync("/api/pictures", new ByteArrayContent(bytes)))
            );
            answers.ShouldAllBe(a => a.StatusCode == HttpStatusCode.OK);
        }
    }

    [Fact]
    public async Task A_blank_of_a_file_that_cannot_be_taken_leaves_the_others()
    {
        var file = await app.Get("/api/blanks/file");
        var blanks = file["blanks"]!.AsArray();
        blanks[1]!["name"] = new string('x', 5000);
        var answer = await app.Post("/api/blanks/file", file);
        answer["ids"]!.AsArray().Count.ShouldBe(blanks.Count - 1);
        Application.Words(answer["refused"]!.AsArray().ShouldHaveSingleItem()).ShouldContain("letters long");
    }

    [Theory]
    [InlineData(8, true)]
    [InlineData(60, null)]
    [InlineData(400, false)]
    public async Task What_is_taken_can_be_shown_in_its_list_however_large_it_is(int times, bool? expected)
    {
        const string path = "/api/motifs/crew-shirt";
        var view = await app.Get(path);
        var motif = view["motif"]!.DeepClone();
        var parts = motif["parts"]!.AsArray();
        motif["parts"] = new JsonArray([.. Enumerable.Range(0, times).Select(i => parts[i % parts.Count]!.DeepClone())]);
        var answer = await app.Put(path, motif, (int)view["revision"]!);
        var taken = expected ?? answer.StatusCode == HttpStatusCode.OK;
        answer.StatusCode.ShouldBe(taken ? HttpStatusCode.OK : HttpStatusCode.UnprocessableEntity);
        (await app.Get("/api/motifs"))["broken"]!.AsArray().ShouldBeEmpty();
        (await app.Get(path))["motif"]!["parts"]!.AsArray().Count.ShouldBe(taken ? times : parts.Count);
    }

    /// <summary>Damages a document where it is kept.</summary>
    private async Task Spoil(string kind, string id, string json)
    {
        await using var scope = app.Services.CreateAsyncScope();
        var db = scope.ServiceProvider.GetRequiredService<CabidaContext>();
        await db.Documents.Where(d => d.Kind == kind && d.Id == id).ExecuteUpdateAsync(d => d.SetProperty(x => x.Json, json));
    }
}
