using System.Text.Json.Nodes;

namespace Cabida.Web.Tests;

/// <summary>Limits of a film that nothing can keep, or that are none: told where they were typed, and no page fails for them.</summary>
public sealed class BadLimitsTests : IDisposable
{
    private const string Crates = "/api/runs/sand-crates";
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Theory]
    [InlineData("thinnestStroke", "0", "too small")]
    [InlineData("thinnestStroke", "1 m", "Is the unit the one you meant?")]
    [InlineData("narrowestGap", "-2", "")]
    [InlineData("tieWidth", "wide", "")]
    [InlineData("smallestAcross", "1 km", "")]
    [InlineData("smallestArea", "0", "is no size of a dot")]
    [InlineData("smallestArea", "much", "cannot be read as an area")]
    public async Task A_limit_that_is_none_stays_as_typed_and_is_told_at_its_field_and_in_the_run_that_takes_it(
        string field,
        string typed,
        string words
    )
    {
        var film = await Limit(field, typed);
        (field == "smallestArea" ? (string)film["film"]![field]! : (string)film["film"]![field]!["text"]!).ShouldBe(typed);
        var problem = film["problems"]!.AsArray().ShouldHaveSingleItem()!;
        ((string)problem["fields"]![0]!).ShouldBe(field);
        Application.Words(problem["message"]).ShouldContain(words);
        var run = await app.Get(Crates);
        Application
            .Words(run["lacks"]!.AsArray().ShouldHaveSingleItem()!["message"])
            .ShouldStartWith("A limit of Oil board cannot be used");
        // What was there before it comes back with it.
        await app.Step(Crates, "undo");
        (await app.Pieces("sand-crates")).ShouldNotBeEmpty();
    }

    [Theory]
    [InlineData("thinnestStroke", "50", "thinStrokes")]
    [InlineData("narrowestGap", "50", "narrowGaps")]
    [InlineData("smallestAcross", "50", "specks")]
    [InlineData("smallestArea", "9000", "counters")]
    public async Task A_limit_larger_than_the_piece_finds_all_of_it_and_no_remedy_is_offered_that_does_not_mend(
        string field,
        string typed,
        string rule
    )
    {
        await Limit(field, typed);
        var pieces = await app.Pieces("sand-crates");
        // Of one all islands are tied, so that it has none.
        pieces.Count(p => p!["findings"]!.AsArray().Any(f => (string)f!["rule"]! == rule)).ShouldBe(rule == "counters" ? 2 : 3);
        var id = (string)pieces[0]!["id"]!;
        var found = (await app.Get($"{Crates}/pieces/{id}/remedies")).AsArray().Where(f => (string)f!["rule"]! == rule).ToList();
        found.ShouldNotBeEmpty();
        found.SelectMany(f => f!["remedies"]!.AsArray()).Count(r => r!["refused"] is null && r["effect"] is null).ShouldBe(0);
        (await app.Get($"{Crates}/pieces/{id}/waste")).AsArray().ShouldNotBeEmpty();
        (await app.WholeSet("sand-crates"))["findings"]!.AsArray().ShouldNotBeEmpty();
    }

    [Fact]
    public async Task Ties_wider_than_what_they_hold_are_told_with_both_figures_and_hold_all_the_same()
    {
        await Limit("tieWidth", "30");
        var tied = (await app.Pieces("sand-crates")).Where(p => p!["ties"]!.AsArray().Count > 0).ToList();
        tied.ShouldNotBeEmpty();
        foreach (var piece in tied)
        {
            piece!["findings"]!
                .AsArray()
                .Where(f => (string)f!["rule"]! == "wideTies")
                .Select(f => Application.Words(f!["message"]))
                .ShouldContain(w => w.Contains("a tie of 30.0 mm holds a part of", StringComparison.Ordinal));
        }
    }

    [Fact]
    public async Task A_stencil_of_which_every_letter_has_an_island_is_held_back_tied_in_one_step_and_then_cut()
    {
        await app.Change(Crates, "run", r =>
        {
            r["list"]!["namesTyped"] = "BADOQ 0689\n";
            var pieces = r["list"]!["pieces"]!.AsArray();
            while (pieces.Count > 1)
            {
                pieces.RemoveAt(1);
            }

            pieces[0]!["name"] = "BADOQ 0689";
        });
        async Task<JsonNode> Piece() => (await app.Pieces("sand-crates")).ShouldHaveSingleItem()!;
        var loose = (await Piece())["findings"]!.AsArray().Where(f => (string)f!["rule"]! == "looseParts" && (string)f["part"]! == "name");
        // Two in the B and in the 8, one in every other.
        loose.ShouldHaveSingleItem()!["places"]!.AsArray().Count.ShouldBe(11);
        (await app.Loads(Crates))["held"]!.AsArray().Count.ShouldBe(1);
        var id = (string)(await Piece())["id"]!;
        while ((await Piece())["findings"]!.AsArray().Any(f => (string)f!["rule"]! == "looseParts"))
        {
            var tie = (await app.Get($"{Crates}/pieces/{id}/remedies"))
                .AsArray()
                .Where(f => (string)f!["rule"]! == "looseParts")
                .SelectMany(f => f!["remedies"]!.AsArray())
                .First(r => r!["refused"] is null && ((string)r["id"]!).StartsWith("piece tie", StringComparison.Ordinal))!;
            var sent = await app.Send(
                HttpMethod.Post,
                $"{Crates}/pieces/{id}/remedies",
                new JsonObject { ["remedies"] = new JsonArray((string)tie["id"]!) },
                $"\"{(int)(await app.Get(Crates))["revision"]!}\""
            );
            sent.IsSuccessStatusCode.ShouldBeTrue(await sent.Content.ReadAsStringAsync());
        }

        (await Piece())["ties"]!.AsArray().Count.ShouldBeGreaterThanOrEqualTo(11);
        var loads = await app.Loads(Crates);
        loads["held"]!.AsArray().ShouldBeEmpty();
        loads["loads"]!.AsArray().ShouldHaveSingleItem();
    }

    [Theory]
    [InlineData("\u200B", false)]
    [InlineData("\u00A0", false)]
    [InlineData("\u00AD", false)]
    [InlineData("\u3164", true)]
    public async Task A_name_without_ink_is_no_piece_or_is_held_back_with_the_reason_and_the_others_are_cut(string name, bool isPiece)
    {
        const string mugs = "/api/runs/crew-mugs";
        var (all, load) = ((await app.Pieces("crew-mugs")).Count, (await app.Loads(mugs))["held"]!.AsArray().Count);
        await app.Change(mugs, "run", r =>
        {
            var lines = ((string)r["list"]!["namesTyped"]!).Split('\n');
            lines[1] = name;
            r["list"]!["namesTyped"] = string.Join('\n', lines);
            r["list"]!["pieces"]![1]!["name"] = name;
        });
        var pieces = await app.Pieces("crew-mugs");
        pieces.Count.ShouldBe(isPiece ? all : all - 1);
        var held = (await app.Loads(mugs))["held"]!.AsArray();
        held.Count.ShouldBe(isPiece ? load + 1 : load);
        if (isPiece)
        {
            Application.Words(held.First(h => (string)h!["name"]! == name)!["why"]!["message"]).ShouldContain($"has no “{name}”");
        }
    }

    /// <summary>Types a limit of the film of the crates, and takes the newer film in their run.</summary>
    private async Task<JsonNode> Limit(string field, string typed)
    {
        var film = await app.Change("/api/films/oil-board", "film", f =>
        {
            if (field == "smallestArea")
            {
                f[field] = typed;
            }
            else
            {
                f[field] = new JsonObject { ["text"] = typed, ["unit"] = "millimetre" };
            }
        });
        await app.Change(Crates, "run", r =>
            r["setUp"]!["film"] = new JsonObject { ["id"] = "oil-board", ["revision"] = (int)film["revision"]! }
        );
        return film;
    }
}
