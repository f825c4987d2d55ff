using System.Text.Json.Nodes;
using Cabida.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace Cabida.Web.Tests;

/// <summary>Lists come from cards that are kept, and follow what changes.</summary>
public sealed class CardTests : IDisposable
{
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    private async Task InDatabase(Func<DerivedContext, Task> work)
    {
        using var scope = app.Services.CreateScope();
        await work(scope.ServiceProvider.GetRequiredService<DerivedContext>());
    }

    [Theory]
    [InlineData("/api/jobs")]
    [InlineData("/api/motifs")]
    [InlineData("/api/blanks")]
    public async Task A_list_is_told_again_from_what_was_kept_of_it(string path)
    {
        var first = await app.List(path);
        (await app.List(path)).ToJsonString().ShouldBe(first.ToJsonString());
        // Of what is kept nothing is worked out: what stands there is told, whatever it is.
        await InDatabase(db =>
            db.Cards.ExecuteUpdateAsync(c => c.SetProperty(x => x.Text, x => x.Text.Replace("\"name\":\"", "\"name\":\"kept ")))
        );
        (await app.List(path)).ToJsonString().ShouldContain("\"name\":\"kept ");
        // What cannot be read is made again, and so is what another version of the program made.
        await InDatabase(db => db.Cards.ExecuteUpdateAsync(c => c.SetProperty(x => x.Text, "{")));
        (await app.List(path)).ToJsonString().ShouldBe(first.ToJsonString());
        await InDatabase(db => db.Cards.ExecuteUpdateAsync(c => c.SetProperty(x => x.MadeFrom, x => "other " + x.MadeFrom)));
        (await app.List(path)).ToJsonString().ShouldBe(first.ToJsonString());
    }

    [Fact]
    public async Task Cards_follow_their_document_what_it_shows_and_what_uses_it()
    {
        JsonNode Crew(JsonArray motifs) => motifs.Single(m => (string)m!["id"]! == "crew-shirt")!;
        var motifs = await app.List("/api/motifs");
        var film = (string)Crew(motifs)["inks"]!.AsArray().First(i => ((string)i!["filmId"]!).Length > 0)!["filmId"]!;
        await app.Change($"/api/films/{film}", "film", f => f["colour"] = "#010203");
        Crew(await app.List("/api/motifs"))["inks"]!.AsArray().ShouldContain(i => (string)i!["colour"]! == "#010203");
        await app.Change("/api/motifs/crew-shirt", "motif", m => m["name"] = "Night crew");
        ((string)Crew(await app.List("/api/motifs"))["name"]!).ShouldBe("Night crew");

        var mug = (await app.List("/api/blanks")).First(b => b!["usedBy"]!.AsArray().Any(u => (string)u! == "Crew mugs"))!;
        var run = await app.Change("/api/runs/crew-mugs", "run", r => r["setUp"]!["name"] = "Night mugs");
        (await app.List("/api/blanks")).Single(b => (string)b!["id"]! == (string)mug["id"]!)!["usedBy"]!
            .AsArray()
            .ShouldContain(u => (string)u! == "Night mugs");
        (await app.List("/api/jobs")).ToJsonString().ShouldContain("Night mugs");

        // A run that is gone is gone from its job, and comes back with it.
        await app.Send(HttpMethod.Delete, "/api/runs/crew-mugs", null, $"\"{run["revision"]}\"");
        (await app.List("/api/jobs")).ToJsonString().ShouldNotContain("Night mugs");
        await app.Step("/api/runs/crew-mugs", "undo");
        (await app.List("/api/jobs")).ToJsonString().ShouldContain("Night mugs");
    }
}
