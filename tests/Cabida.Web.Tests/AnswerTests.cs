using System.Net;
using System.Text.Json.Nodes;
using Cabida.Core.Proofs;

namespace Cabida.Web.Tests;

/// <summary>The proof as one file, and answers to it.</summary>
public sealed class AnswerTests : IDisposable
{
    private const string Run = "/api/runs/crew-mugs";

    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    private async Task<List<(string Id, string Name, string Seen, bool MayBeCut)>> Shown() =>
        [
            .. (await app.Get($"{Run}/proof/pieces?from=0&count=50"))["pieces"]!
                .AsArray()
                .Select(p => ((string)p!["id"]!, (string)p["name"]!, (string)p["seen"]!, (bool)p["mayBeCut"]!)),
        ];

    private static string Written(string run, params AnsweredPiece[] pieces) => new ProofAnswer(run, pieces, "Thank you").Write();

    private async Task<JsonNode> Read(string text) => await app.Post($"{Run}/answer/read", new { text });

    private async Task<HttpResponseMessage> Take(string text) =>
        await app.Send(HttpMethod.Post, $"{Run}/answer", new JsonObject { ["text"] = text }, "*");

    [Fact]
    public async Task The_file_holds_all_it_needs_and_no_name_breaks_out_of_it()
    {
        await app.Change("/api/runs/crew-mugs", "run", r =>
            r["list"]!["namesTyped"] = "Bram\n<img src=x onerror=alert(1)>\n{{pieces}} & Co\n"
        );
        using var file = await app.CreateClient().GetAsync($"{Run}/proof.html");
        file.Content.Headers.ContentDisposition!.FileNameStar!.ShouldEndWith("proof.html");
        var page = await file.Content.ReadAsStringAsync();
        page.ShouldNotContain("<img");
        page.ShouldContain("&lt;img src=x onerror=alert(1)&gt;");
        page.Split("<article").Length.ShouldBe(4);
        // Nothing is fetched from anywhere.
        page.ShouldNotContain("http://");
        page.ShouldNotContain("https://");
        page.ShouldNotContain("src=\"");
    }

    [Fact]
    public async Task An_answer_is_read_first_and_taken_piece_by_piece()
    {
        var shown = await Shown();
        var (right, other, held) = (shown.First(p => p.MayBeCut), shown.Last(p => p.MayBeCut), shown.First(p => !p.MayBeCut));
        var text = Written(
            "crew-mugs",
            new(right.Id, right.Seen[..12], ""),
            new(other.Id, other.Seen[..12], "with a hyphen, please"),
            new(held.Id, held.Seen[..12], ""),
            new("gone", "0123456789ab", "")
        );
        var read = await Read(text);
        read["lines"]!.AsArray().Select(l => (string)l!["fate"]!).ShouldBe(["approves", "corrects", "notReady", "gone"]);
        ((string)read["beside"]!).ShouldBe("Thank you");
        // Twelve pieces; of three of them something is said.
        read["open"]!.AsArray().Count.ShouldBe(12 - 3);
        using (var taken = await Take(text))
        {
            taken.StatusCode.ShouldBe(HttpStatusCode.OK);
        }

        var said = (await app.Get(Run))["run"]!["verdicts"]!["said"]!;
        ((bool)said[right.Id]!["approved"]!).ShouldBeTrue();
        ((string)said[other.Id]!["words"]!).ShouldBe("with a hyphen, please");
        said[held.Id].ShouldBeNull();
        // One step back takes all of it back.
        await app.Step(Run, "undo");
        (await app.Get(Run))["run"]!["verdicts"]!["said"]!.AsObject().ShouldBeEmpty();
    }

    [Fact]
    public async Task What_is_older_than_the_ink_approves_nothing()
    {
        var before = (await Shown()).First(p => p.MayBeCut);
        await app.Change(Run, "run", r => (r["setUp"]!["up"]!["text"], r["setUp"]!["right"]!["text"]) = ("0.5", "0.5"));
        var text = Written("crew-mugs", new AnsweredPiece(before.Id, before.Seen[..12], ""));
        (await Read(text))["lines"]!.AsArray().ShouldHaveSingleItem()!["fate"]!.ToString().ShouldBe("changedSince");
        using var refused = await Take(text);
        refused.StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await refused.Content.ReadAsStringAsync()).ShouldContain("Show the proof again");
    }

    [Fact]
    public async Task An_answer_that_was_changed_or_is_of_another_run_is_refused_with_its_reason()
    {
        var text = Written("crew-mugs", new AnsweredPiece("x", "0123456789ab", ""));
        Application.Words((await Read(text.Replace("]]", "0]]", StringComparison.Ordinal)))["problem"]).ShouldContain("changed on its way");
        Application.Words((await Read(Written("tea-mugs", new AnsweredPiece("x", "0", ""))))["problem"]).ShouldContain("another run");
        using var refused = await Take("Looks good to us!");
        refused.StatusCode.ShouldBe(HttpStatusCode.Conflict);
    }
}
