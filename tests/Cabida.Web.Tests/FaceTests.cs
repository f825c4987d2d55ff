using System.Text.Json.Nodes;
using SkiaSharp;

namespace Cabida.Web.Tests;

/// <summary>A run on a tumbler and its lid: a wall and a face with an outline of its own, in both orders.</summary>
public sealed class FaceTests : IDisposable
{
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Theory]
    [InlineData("wrap", "lid")]
    [InlineData("lid", "wrap")]
    public async Task A_wall_and_its_lid_are_fitted_loaded_placed_and_seen_together(string first, string other)
    {
        const string run = "/api/runs/driver-tumblers";
        // A film that bears the finest stroke, so that nothing is held back.
        var film = await app.Change("/api/films/copper-vinyl", "film", f => f["thinnestStroke"]!["text"] = "0.2");
        await app.Change(run, "run", r =>
        {
            r["setUp"]!["film"]!["revision"] = (int)film["revision"]!;
            r["setUp"]!["zone"] = first;
            r["setUp"]!["motif"] = new JsonObject { ["id"] = "crew-name", ["revision"] = 1 };
            r["list"]!["namesTyped"] = "Mairi\nEleni";
            r["setUp"]!["sides"] = new JsonArray(
                new JsonObject
                {
                    ["id"] = "s",
                    ["zone"] = other,
                    ["motif"] = r["setUp"]!["motif"]!.DeepClone(),
                }
            );
        });
        var pieces = await app.Pieces("driver-tumblers");
        pieces.Count.ShouldBe(2);
        foreach (var piece in pieces)
        {
            piece!["findings"]!.AsArray().Select(f => (string)f!["rule"]!).ShouldNotContain("sidesOverlap");
            piece["sides"]!.AsArray().Count.ShouldBe(1);
        }

        // Each face is looked at by itself and holds the ink of its own side.
        var faces = (await app.Get($"{run}/ground"))["faces"]!.AsArray();
        faces.Select(f => (string)f!["name"]!).ShouldBe(first == "wrap" ? ["wall", "Lid"] : ["Lid", "wall"]);
        faces.Select(f => (bool)f!["isWall"]!).ShouldBe([first == "wrap", first == "lid"]);
        var (mine, its) = (pieces[0]!["inkBox"]!, pieces[0]!["sides"]![0]!["inkBox"]!);
        Inside(mine, faces[0]!["flat"]!["box"]!).ShouldBeTrue();
        Inside(its, faces[1]!["flat"]!["box"]!).ShouldBeTrue();
        Inside(mine, faces[1]!["flat"]!["box"]!).ShouldBeFalse();

        // Both sides are cut, and measured in from edges of their own.
        (await app.Loads(run))["loads"]!.AsArray().Sum(l => l!["pieces"]!.AsArray().Count).ShouldBe(4);
        var surface = (await app.Get($"{run}/bench"))["surfaces"]!.AsArray().ShouldHaveSingleItem()!;
        var onLid = surface["pieces"]!.AsArray().Where(p => (string)p!["zone"]! == "On the lid").ToList();
        onLid.Count.ShouldBe(2);
        foreach (var (below, height, above) in onLid.Select(p => ((double)p!["belowRim"]!, (double)p["height"]!, (double)p["aboveBase"]!)))
        {
            below.ShouldBeGreaterThan(5);
            above.ShouldBeGreaterThan(5);
            (below + height + above).ShouldBeInRange(83.3, 83.6);
        }

        surface["places"]!
            .AsArray()
            .Select(p => Words(p!["place"]!))
            .ShouldContain(w => w.Contains("middle line of the lid", StringComparison.Ordinal));

        // Seen, the lid stands beside the tumbler; the body to be turned bears the ink of its wall alone.
        var id = (string)pieces[0]!["id"]!;
        var seen = await app.Get($"{run}/pieces/{id}/seen?turn=0");
        ((bool)seen["canTurn"]!).ShouldBeTrue();
        seen["blank"]!["strokes"]!.AsArray().Count(s => (string)s!["kind"]! == "hole").ShouldBe(1);
        seen["inks"]!.AsArray().Count.ShouldBe(2);
        (await app.Get($"{run}/pieces/{id}/object"))["inks"]!.AsArray().Count.ShouldBe(1);
        (await app.Get($"{run}/proof/pieces?from=0&count=2"))["pieces"]![0]!["sizes"]!.AsArray().Count.ShouldBe(2);

        // The picture holds both: beside the tumbler there is something in the colour of the goods.
        using var picture = SKBitmap.Decode(await app.CreateClient().GetByteArrayAsync($"{run}/picture.png?size=400"));
        var columns = Enumerable
            .Range(0, 400)
            .Where(x => Enumerable.Range(0, 400).Any(y => picture.GetPixel(x, y) != SKColors.White))
            .ToList();
        columns.Zip(columns.Skip(1), (a, b) => b - a).Count(gap => gap > 4).ShouldBe(1);
    }

    [Fact]
    public async Task A_lid_that_is_read_anew_voids_what_was_approved_of_it()
    {
        const string run = "/api/runs/driver-tumblers";
        var before = await Seen(run);
        await app.Change("/api/blanks/steel-tumbler", "blank", b => b["note"] = "another note");
        await Take(run);
        (await Seen(run)).ShouldBe(before);
        await app.Change("/api/blanks/steel-tumbler", "blank", b =>
            b["measured"]!.AsArray().Single(m => (string)m!["face"]! == "lid")!["lines"]![0]!["readings"] = new JsonArray(
                new JsonObject { ["text"] = "84.4", ["unit"] = "millimetre" }
            )
        );
        await Take(run);
        (await Seen(run)).ShouldNotBe(before);
    }

    private async Task<string> Seen(string run) => (string)(await app.Get($"{run}/proof/pieces?from=0&count=1"))["pieces"]![0]!["seen"]!;

    private async Task Take(string run)
    {
        var revision = (int)(await app.Get("/api/blanks/steel-tumbler"))["revision"]!;
        await app.Change(run, "run", r => r["setUp"]!["blank"]!["revision"] = revision);
    }

    private static bool Inside(JsonNode box, JsonNode of) =>
        (double)box["minX"]! >= (double)of["minX"]!
        && (double)box["maxX"]! <= (double)of["maxX"]!
        && (double)box["minY"]! >= (double)of["minY"]!
        && (double)box["maxY"]! <= (double)of["maxY"]!;

    private static string Words(JsonNode phrase) => string.Concat(phrase["parts"]!.AsArray().Select(p => (string?)p!["text"] ?? ""));
}
