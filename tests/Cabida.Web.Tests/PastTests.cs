using System.Net;
using System.Text.Json.Nodes;
using Cabida.Store;
using Cabida.Web.Past;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace Cabida.Web.Tests;

/// <summary>What things were, the way back, the drawer, and jobs that are put away.</summary>
public sealed class PastTests : IDisposable
{
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Fact]
    public void Every_kind_that_the_maker_knows_has_a_past()
    {
        using var scope = app.Services.CreateScope();
        scope
            .ServiceProvider.GetServices<IPastOf>()
            .Select(p => p.Kind.Kind)
            .ShouldBe(DocumentKinds.All.Where(k => k.IsSeen).Select(k => k.Kind), ignoreOrder: true);
    }

    [Fact]
    public async Task A_thing_is_told_of_drawn_and_had_again_as_it_was()
    {
        var blank = await app.Change("/api/blanks/enamel-mug", "blank", b => b["zones"]![0]!["margins"]!["top"]!["text"] = "22");
        var past = await app.Get("/api/past/blank/enamel-mug");
        past["states"]!.AsArray().Select(s => (int)s!["revision"]!).ShouldBe([2, 1]);
        var state = await app.Get("/api/past/blank/enamel-mug/1");
        ((string)state["toNow"]!["told"]![0]!["before"]!).ShouldBe("10 mm");
        ((string)state["toNow"]!["told"]![0]!["after"]!).ShouldBe("22 mm");
        // The drawing of then is that of the page of then, and not of now.
        var (then, now) = (state["picture"]!, (await app.Get("/api/past/blank/enamel-mug/2"))["picture"]!);
        Path(then, "edge").ShouldBe(Path(now, "edge"));
        Path(then, "zone").ShouldNotBe(Path(now, "zone"));
        Path(now, "zone").ShouldBe(string.Concat(StrokesOf(blank, "zone")));

        // Not from what was not seen, and once more as a change.
        (await Back("blank", "enamel-mug", 1, "\"1\"")).StatusCode.ShouldBe(HttpStatusCode.PreconditionFailed);
        (await Back("blank", "enamel-mug", 1, null)).StatusCode.ShouldBe(HttpStatusCode.PreconditionRequired);
        (await Back("blank", "enamel-mug", 9, "\"2\"")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Back("blank", "enamel-mug", 1, "\"2\"")).StatusCode.ShouldBe(HttpStatusCode.OK);
        ((string)(await app.Get("/api/blanks/enamel-mug"))["blank"]!["zones"]![0]!["margins"]!["top"]!["text"]!).ShouldBe("10");
        var undone = await app.Step("/api/blanks/enamel-mug", "undo");
        ((string)undone["blank"]!["zones"]![0]!["margins"]!["top"]!["text"]!).ShouldBe("22");

        // A run, whose three rows count together, is drawn by its first piece, a motif by its ink; a job is told of alone.
        (await app.Get("/api/past/run/crew-mugs/3"))["picture"]!["inks"]!.AsArray().ShouldNotBeEmpty();
        (await app.Get("/api/past/motif/crew-name/1"))["picture"]!["inks"]!.AsArray().ShouldNotBeEmpty();
        (await app.Get("/api/past/job/fernhollow-crew/1"))["picture"].ShouldBeNull();
        (await app.CreateClient().GetAsync("/api/past/making/crew-mugs")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task What_was_removed_comes_back_from_the_drawer_once_what_it_names_is_there()
    {
        var film = (string)(await app.Post("/api/films", new { name = "Coral" }))["id"]!;
        var motif = (string)(await app.Post("/api/motifs", new { name = "In coral" }))["id"]!;
        await app.Change($"/api/motifs/{motif}", "motif", m => m["parts"]![0]!["filmId"] = film);
        await Remove($"/api/motifs/{motif}");
        await Remove($"/api/films/{film}");
        var drawer = (await app.Get("/api/drawer")).AsArray();
        drawer.Select(r => (string)r!["name"]!).ShouldBe(["Coral", "In coral"]);
        // The film first: the motif says so.
        var lacking = await Back(drawer[1]!);
        lacking.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await lacking.Content.ReadAsStringAsync()).ShouldContain("the film Coral");
        (await Back(drawer[0]!)).EnsureSuccessStatusCode();
        (await Back(drawer[1]!)).EnsureSuccessStatusCode();
        (await app.Get("/api/drawer")).AsArray().ShouldBeEmpty();
        ((string)(await app.Get($"/api/motifs/{motif}"))["motif"]!["name"]!).ShouldBe("In coral");
    }

    [Fact]
    public async Task A_job_that_is_put_away_is_out_of_the_way_and_found_again()
    {
        await Whole();
        var (week, day, cutting) = (await app.Get("/api/week"), await app.Get("/api/day"), await app.Get("/api/cutting"));
        Runs(cutting).ShouldContain("crew-mugs");
        (await app.Post("/api/jobs/put-away", new { ids = new[] { "fernhollow-crew", "none" }, away = true }))["count"]!
            .GetValue<int>()
            .ShouldBe(1);
        var after = await app.Get("/api/week");
        ((int)after["putAway"]!).ShouldBe(1);
        after["jobs"]!.AsArray().Count.ShouldBe(week["jobs"]!.AsArray().Count - 1);
        Runs(await app.Get("/api/cutting")).ShouldNotContain("crew-mugs");
        (await app.Get("/api/day")).ToJsonString().ShouldNotContain("crew-mugs");
        day.ToJsonString().ShouldContain("crew-mugs");
        // Its own page, and its runs, are there.
        (await app.Get("/api/jobs/fernhollow-crew"))["runs"]!.AsArray().ShouldNotBeEmpty();
        (await app.Get("/api/runs/crew-mugs")).ShouldNotBeNull();
        var found = await app.Get("/api/jobs/put-away?words=CREW%20museum");
        ((int)found["found"]!).ShouldBe(1);
        ((int)(await app.Get("/api/jobs/put-away?words=crew%20nobody"))["found"]!).ShouldBe(0);
        // One step back takes it out again.
        await app.Step("/api/jobs/fernhollow-crew", "undo");
        Runs(await app.Get("/api/cutting")).ShouldContain("crew-mugs");

        static IEnumerable<string> Runs(JsonNode cutting) =>
            cutting["waiting"]!.AsArray().SelectMany(f => f!["runs"]!.AsArray().Select(r => (string)r!["id"]!));
    }

    [Fact]
    public async Task A_run_that_cannot_be_read_takes_neither_the_week_nor_the_cutting_with_it()
    {
        await using (var scope = app.Services.CreateAsyncScope())
        {
            await scope
                .ServiceProvider.GetRequiredService<CabidaContext>()
                .Database.ExecuteSqlRawAsync("DELETE FROM Documents WHERE Kind = 'list' AND Id = 'driver-tumblers'");
        }

        await Whole();
        (await app.Get("/api/week"))["jobs"]!.AsArray().ShouldNotBeEmpty();
        (await app.Get("/api/cutting"))["waiting"]!.AsArray().ShouldNotBeEmpty();
        (await app.Get("/api/day")).ShouldNotBeNull();
    }

    /// <summary>Waits until all runs are worked out.</summary>
    private async Task Whole()
    {
        while ((await app.Get("/api/week"))["jobs"]!.AsArray().Any(j => j!["runs"]!.AsArray().Any(r => (bool)r!["isPending"]!)))
        {
            // Each answer works out a few more.
        }
    }

    private async Task Remove(string path) => (await app.Send(HttpMethod.Delete, path, null, "*")).EnsureSuccessStatusCode();

    private Task<HttpResponseMessage> Back(JsonNode removed) =>
        Back((string)removed["kind"]!, (string)removed["id"]!, (int)removed["last"]!, $"\"{(int)removed["revision"]!}\"");

    private Task<HttpResponseMessage> Back(string kind, string id, int revision, string? ifMatch) =>
        app.Send(HttpMethod.Post, $"/api/past/{kind}/{id}/{revision}/bring-back", null, ifMatch);

    private static string Path(JsonNode picture, string kind) =>
        string.Concat(picture["paths"]!.AsArray().Where(p => (string)p!["kind"]! == kind).Select(p => (string)p!["path"]!));

    private static IEnumerable<string> StrokesOf(JsonNode view, string kind) =>
        view["sizes"]![0]!["standing"]!["strokes"]!.AsArray().Where(s => (string)s!["kind"]! == kind).Select(s => (string)s!["path"]!);
}
