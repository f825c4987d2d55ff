using System.Net;
using System.Text.Json.Nodes;

namespace Cabida.Web.Tests;

/// <summary>Remedies: worked out and made by the server, seen before, taken back in one step.</summary>
public sealed class RemedyTests : IDisposable
{
    private const string Run = "/api/runs/crew-mugs";
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    private static JsonObject Chosen(params string[] remedies) => new() { ["remedies"] = new JsonArray([.. remedies.Select(r => r)]) };

    private Task<HttpResponseMessage> Mend(string path, int madeFrom, params string[] remedies) =>
        app.Send(HttpMethod.Post, $"{path}/remedies", Chosen(remedies), $"\"{madeFrom}\"");

    private async Task<JsonNode> Over()
    {
        // A tenth more than what all of them bear.
        var all = (double)(await app.WholeSet("crew-mugs"))["groups"]![0]!["largestForAll"]!;
        await app.Change(Run, "run", r => r["setUp"]!["letterHeight"]!["text"] = FormattableString.Invariant($"{1.1 * all:0.0}"));
        return (await app.Pieces("crew-mugs")).First(p => (string)p!["state"]! == "over")!;
    }

    private async Task<JsonNode> State(string pieceId) => (await app.Pieces("crew-mugs")).Single(p => (string)p!["id"]! == pieceId)!;

    [Theory]
    [InlineData("all ")]
    [InlineData("concede")]
    [InlineData("each")]
    public async Task Each_remedy_of_a_piece_that_stands_out_is_shown_as_it_will_be_and_taken_back_in_one_step(string which)
    {
        var piece = (string)(await Over())["id"]!;
        var at = $"{Run}/pieces/{piece}";
        var offered = (await app.Get($"{at}/remedies")).AsArray().SelectMany(f => f!["remedies"]!.AsArray()).ToList();
        var remedy = (string)offered.Single(r => ((string)r!["id"]!).StartsWith(which, StringComparison.Ordinal))!["id"]!;
        var ghost = await app.Get($"{at}/ghost?remedy={Uri.EscapeDataString(remedy)}");
        ((string)ghost["state"]!).ShouldBeOneOf("fits", "snug");
        var before = await app.Get(Run);
        var sent = await Mend(at, (int)before["revision"]!, remedy);
        sent.StatusCode.ShouldBe(HttpStatusCode.OK, await sent.Content.ReadAsStringAsync());
        var now = await State(piece);
        ((string)now["state"]!).ShouldBe((string)ghost["state"]!);
        ((double)now["letterHeight"]!).ShouldBe((double)ghost["letterHeight"]!, 1e-9);
        await app.Step(Run, "undo");
        ((string)(await State(piece))["state"]!).ShouldBe("over");
        (await app.Get(Run))["run"]!["setUp"]!.ToJsonString().ShouldBe(before["run"]!["setUp"]!.ToJsonString());
    }

    [Fact]
    public async Task One_piece_alone_is_made_smaller_once_concessions_were_not_enough_and_no_other_changes()
    {
        await app.Change(Run, "run", r => r["setUp"]!["concessions"] = JsonNode.Parse("""[{"kind":"closeUp","percent":1}]"""));
        var over = await Over();
        var at = $"{Run}/pieces/{over["id"]}";
        var remedies = (await app.Get($"{at}/remedies")).AsArray().SelectMany(f => f!["remedies"]!.AsArray()).ToList();
        remedies.ShouldNotContain(r => (string)r!["id"]! == "concede");
        var alone = remedies.Single(r => ((string)r!["id"]!).StartsWith("alone ", StringComparison.Ordinal))!;
        var others = (await app.Pieces("crew-mugs"))
            .Where(p => (string)p!["id"]! != (string)over["id"]!)
            .Select(p => (string)p!["inkHash"]!);
        var before = others.ToList();
        (await Mend(at, (int)(await app.Get(Run))["revision"]!, (string)alone["id"]!)).StatusCode.ShouldBe(HttpStatusCode.OK);
        var now = await app.Pieces("crew-mugs");
        ((string)now.Single(p => (string)p!["id"]! == (string)over["id"]!)!["state"]!).ShouldBeOneOf("fits", "snug");
        now.Where(p => (string)p!["id"]! != (string)over["id"]!).Select(p => (string)p!["inkHash"]!).ShouldBe(before);
    }

    [Fact]
    public async Task What_is_not_offered_any_more_changes_nothing_and_says_so()
    {
        var at = $"{Run}/pieces/{(await Over())["id"]}";
        var revision = (int)(await app.Get(Run))["revision"]!;
        foreach (var remedies in new string[][] { ["all 61.5"], [], ["each", "no such"] })
        {
            (await Mend(at, revision, remedies)).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        }

        (await Mend(at, revision - 1, "each")).StatusCode.ShouldBe(HttpStatusCode.PreconditionFailed);
        (await app.Send(HttpMethod.Post, $"{at}/remedies", Chosen("each"), null)).StatusCode.ShouldBe(HttpStatusCode.PreconditionRequired);
        (await app.CreateClient().GetAsync($"{Run}/pieces/none/remedies")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await app.CreateClient().GetAsync($"{at}/ghost?remedy=none")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        ((int)(await app.Get(Run))["revision"]!).ShouldBe(revision);
    }

    [Fact]
    public async Task Lines_of_a_list_are_mended_together_and_their_pieces_stay()
    {
        var run = await app.Change(Run, "run", r => r["list"]!["namesTyped"] = "Bram\n Agnieszka \n\nIoanna\nKwabena\nSia\u0301n");
        var ids = run["run"]!["list"]!["pieces"]!.AsArray().Select(p => (string)p!["id"]!).ToList();
        var remedies = run["list"]!["notes"]!.AsArray().SelectMany(n => n!["remedies"]!.AsArray()).Select(r => (string)r!["id"]!).ToArray();
        remedies.Length.ShouldBe(3);
        (await Mend(Run, (int)run["revision"]!, remedies)).StatusCode.ShouldBe(HttpStatusCode.OK);
        run = await app.Get(Run);
        ((string)run["run"]!["list"]!["namesTyped"]!).ShouldBe("Bram\nAgnieszka\nIoanna\nKwabena\nSián");
        run["run"]!["list"]!["pieces"]!.AsArray().Select(p => (string)p!["id"]!).ShouldBe(ids);
        run["list"]!["notes"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_line_longer_than_its_circle_gets_the_circle_that_holds_it()
    {
        var motif = await app.Change("/api/motifs/crew-name", "motif", m =>
        {
            var line = m["parts"]!.AsArray().First(p => (string)p!["kind"]! == "lettering")!;
            (line["shape"], line["circle"]!["typed"]!["text"]) = ("roundOutside", "12");
        });
        var crowded = motif["notes"]!.AsArray().Single(n => (string)n!["rule"]! == "crowdedRound")!;
        var remedy = (string)crowded["remedies"]![0]!["id"]!;
        (await Mend("/api/motifs/crew-name", (int)motif["revision"]!, remedy)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await app.Get("/api/motifs/crew-name"))["notes"]!.AsArray().ShouldNotContain(n => (string)n!["rule"]! == "crowdedRound");
    }
}
