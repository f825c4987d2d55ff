using System.Text.Json.Nodes;
using Cabida.Core.Geometry;
using Cabida.Formats.Cutting;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Web.Tests;

/// <summary>Films over one another: what the lower loses, read out of the files; and the marks, in the same place on both.</summary>
public sealed class LayerTests : IDisposable
{
    private const string Run = "/api/runs/work-shirts";
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Fact]
    public async Task The_lower_film_loses_what_the_file_of_the_upper_says_less_the_overlap_and_marks_lie_alike()
    {
        await app.Change(Run, "run", r =>
        {
            r["list"]!["namesTyped"] = "Ewa\n";
            r["setUp"]!["motif"] = new JsonObject { ["id"] = "crew-shirt", ["revision"] = 1 };
            r["setUp"]!["sides"] = new JsonArray();
            r["setUp"]!["films"] = new JsonArray(new JsonObject { ["id"] = "copper-vinyl", ["revision"] = 1 });
        });
        var (lower, upper) = (await InkOf("copper-vinyl"), await InkOf("cream-transfer"));
        var crossed = lower.Ink.Intersection(upper.Ink).Area;
        crossed.ShouldBeGreaterThan(10);

        await Layered("knockedOut", "");
        var out1 = await InkOf("copper-vinyl");
        out1.Ink.Area.ShouldBe(lower.Ink.Area - crossed, 0.2);
        out1.Ink.Intersection(upper.Ink).Area.ShouldBe(0, 0.2);

        await Layered("setIn", "1.5");
        var setIn = await InkOf("copper-vinyl");
        setIn.Ink.Area.ShouldBe(lower.Ink.Difference(upper.Ink.Buffer(-1.5)).Area, 0.5);
        setIn.Said.ShouldContain("set in");

        // Three marks with each film, outside of all ink, in the same place.
        (await InkOf("cream-transfer")).Marks.Count.ShouldBe(3);
        setIn.Marks.Count.ShouldBe(3);
        foreach (var (a, b) in setIn.Marks.Zip((await InkOf("cream-transfer")).Marks))
        {
            a.To(b).ShouldBeLessThan(1e-6);
            var arms = Outlines.Rectangle(new Box(a.X, a.Y, a.X, a.Y).Grown(3));
            lower.Ink.Distance(arms).ShouldBeGreaterThan(1);
            upper.Ink.Distance(arms).ShouldBeGreaterThan(1);
        }

        // An overlap that is no length is said at its field, and the usual is taken.
        await Layered("setIn", "a bit");
        (await InkOf("copper-vinyl")).Ink.Area.ShouldBe(lower.Ink.Difference(upper.Ink.Buffer(-1)).Area, 0.5);
        await Layered("stacked", "");
        (await InkOf("copper-vinyl")).Ink.Area.ShouldBe(lower.Ink.Area, 0.01);

        // A weed box that a row or the load shares goes round the marks.
        foreach (var box in new[] { "row", "load" })
        {
            await app.Change(Run, "run", r => r["setUp"]!["weeding"] = new JsonArray(Weeded("copper-vinyl", box)));
            var load = (await app.Get("/api/plans/work-shirts_copper-vinyl"))["loads"]!.AsArray().ShouldHaveSingleItem()!;
            var svg = CutSvgMeasure.Of(await app.CreateClient().GetStringAsync($"/api/loads/{(string)load["fileId"]!}/file"));
            var boxed = Outlines.Ring([.. svg.Waste.Single(w => w.Closed).Points.Select(p => new PlanePoint(p.X, svg.Height - p.Y))]);
            var marks = load["pieces"]![0]!["marks"]!.AsArray().Select(m => new PlanePoint((double)m!["x"]!, (double)m["y"]!)).ToList();
            marks.Count.ShouldBe(3);
            marks.ShouldAllBe(m => boxed.Contains(Outlines.Rectangle(new Box(m.X, m.Y, m.X, m.Y).Grown(3.5))));
        }

        static JsonObject Weeded(string film, string box)
        {
            static JsonObject Usual() => new() { ["text"] = "", ["unit"] = "millimetre" };
            var ways = new JsonObject
            {
                ["box"] = box,
                ["betweenRows"] = true,
                ["betweenWords"] = true,
                ["longWaste"] = true,
            };
            (ways["margin"], ways["clearance"], ways["longest"]) = (Usual(), Usual(), Usual());
            return new JsonObject { ["filmId"] = film, ["ways"] = ways };
        }
    }

    [Fact]
    public async Task Layers_of_one_card_are_things_of_their_own_and_kept_on_one_sheet_where_that_is_asked_for()
    {
        // Two mats of a frame from the same card, for two people; a sheet holds two mats, whichever.
        const string run = "/api/runs/driver-tumblers",
            planId = "/api/plans/driver-tumblers_copper-card";
        await app.Change("/api/motifs/farewell", "motif", m =>
        {
            m["parts"]![0]!["filmId"] = "copper-card";
            // What is cut out of the top mat leaves loose parts, and holds all of the piece back.
            m["parts"]!.AsArray().Remove(m["parts"]!.AsArray().Single(p => (string)p!["id"]! == "years"));
        });
        await app.Change(run, "run", r =>
        {
            r["list"]!["namesTyped"] = "Ewa\nOluwaseun\n";
            var setUp = r["setUp"]!;
            foreach (var (what, id) in new[] { ("blank", "farewell-frame"), ("motif", "farewell"), ("film", "ivory-card") })
            {
                setUp[what] = new JsonObject { ["id"] = id, ["revision"] = what == "motif" ? 2 : 1 };
            }

            setUp["films"] = new JsonArray(new JsonObject { ["id"] = "copper-card", ["revision"] = 1 });
            (setUp["zone"], setUp["size"], setUp["sizing"]) = ("pane", "", "eachLargest");
        });
        await app.Change("/api/stock/copper-card", "stock", s => s["items"]![0]!["length"]!["text"] = "600");
        await app.Post($"{run}/plans");
        var plan = await app.Change(planId, "plan", p => (p["carrierId"], p["together"]) = ("long-mat", "piece"));

        plan["held"]!.AsArray().ShouldBeEmpty();
        Plies(plan["things"]!.AsArray()).ShouldBe(["Ewa 2", "Ewa 3", "Oluwaseun 2", "Oluwaseun 3"]);
        var loads = plan["loads"]!.AsArray();
        loads.Select(l => string.Join(", ", Plies(l!["pieces"]!.AsArray()))).Order().ShouldBe(["Ewa 2, Ewa 3", "Oluwaseun 2, Oluwaseun 3"]);
        // The openings of the two differ, and of both names they are alike: told from the file.
        foreach (var load in loads)
        {
            var svg = CutSvgMeasure.Of(await app.CreateClient().GetStringAsync($"/api/loads/{(string)load!["fileId"]!}/file"));
            var mats = svg.Rings.Select(FileInk.Of).OrderBy(m => m.Area).ToList();
            mats.Count.ShouldBe(2);
            (mats[1].Area - mats[0].Area).ShouldBeGreaterThan(500);
            mats[1].EnvelopeInternal.Area.ShouldBe(mats[0].EnvelopeInternal.Area, 1);
        }

        // Only what is taken off stays: the one layer, not the piece.
        var off = plan["things"]![0]!["id"]!;
        plan = await app.Change(planId, "plan", p => p["byHand"] = new JsonArray(
                new JsonObject
                {
                    ["item"] = off.DeepClone(),
                    ["takenOff"] = true,
                    ["pinned"] = null,
                }
            ));
        plan["loads"]!.AsArray().SelectMany(l => Plies(l!["pieces"]!.AsArray())).Count().ShouldBe(3);

        static IReadOnlyList<string> Plies(JsonArray things) =>
            [.. things.Select(t => $"{(string)t!["name"]!} {(int)t["id"]!["ply"]!}").Order(StringComparer.Ordinal)];
    }

    private Task<JsonNode> Layered(string way, string overlap) => app.Change(Run, "run", r =>
        {
            r["setUp"]!["layerMarks"] = true;
            r["setUp"]!["layers"] = new JsonArray(
                new JsonObject
                {
                    ["filmId"] = "copper-vinyl",
                    ["way"] = way,
                    ["overlap"] = new JsonObject { ["text"] = overlap, ["unit"] = "millimetre" },
                }
            );
        });

    /// <summary>The ink of the one piece of a film as its file holds it, and its marks, moved back to where they lie on goods.</summary>
    private async Task<(Area Ink, IReadOnlyList<PlanePoint> Marks, string Said)> InkOf(string film)
    {
        await app.Post($"{Run}/plans");
        var plan = await app.Get($"/api/plans/work-shirts_{film}");
        var load = plan["loads"]!.AsArray().ShouldHaveSingleItem()!;
        var piece = load["pieces"]!.AsArray().ShouldHaveSingleItem()!;
        var svg = CutSvgMeasure.Of(await app.CreateClient().GetStringAsync($"/api/loads/{(string)load["fileId"]!}/file"));
        var mirrored = (bool)piece["isMirrored"]!;
        PlanePoint Back(PlanePoint p)
        {
            var there = FileInk.Back(piece["at"]!, p);
            return mirrored ? there with { X = -there.X } : there;
        }

        var ink = FileInk.Of(
            svg.Rings.SelectMany(r => r).Select(ring => (IReadOnlyList<PlanePoint>)[.. ring.Select(p => Back(new(p.X, svg.Height - p.Y)))])
        );
        return (
            ink,
            [.. piece["marks"]!.AsArray().Select(m => Back(new PlanePoint((double)m!["x"]!, (double)m["y"]!)))],
            plan["under"] is JsonNode under ? Application.Words(under["said"]) : ""
        );
    }
}
