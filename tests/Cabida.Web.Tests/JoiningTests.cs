using System.Text.Json.Nodes;
using Cabida.Core.Geometry;
using Cabida.Formats.Cutting;

namespace Cabida.Web.Tests;

/// <summary>What is larger than the reach: parted over loads, joined by marks that are equal on both sides, mapped on the card.</summary>
public sealed class JoiningTests : IDisposable
{
    private const string Run = "/api/runs/driver-tumblers";
    private const string Plan = "/api/plans/driver-tumblers_navy-vinyl";
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Fact]
    public async Task A_board_is_split_over_loads_its_marks_are_equal_and_the_card_says_how_it_is_joined()
    {
        await Board("Platform\n");
        var plan = await app.Get(Plan);
        var parted = plan["parted"]!.AsArray().ShouldHaveSingleItem()!;
        var count = parted["sections"]!.AsArray().Count;
        count.ShouldBeGreaterThanOrEqualTo(3);
        plan["loads"]!.AsArray().Count.ShouldBeGreaterThan(1);

        // Read out of the files and laid together again: all ink is there once, and every mark meets its like.
        var (area, marks) = await Joined(plan["loads"]!.AsArray());
        var whole = parted["inkPath"]!.GetValue<string>();
        area.ShouldBe(AreaOf(whole), 0.5);
        var pairs = marks.GroupBy(m => (Math.Round(m.X), Math.Round(m.Y))).ToList();
        pairs.Count.ShouldBeGreaterThanOrEqualTo(2 * (count - 1));
        foreach (var pair in pairs)
        {
            pair.Count().ShouldBe(2);
            pair.First().To(pair.Last()).ShouldBeLessThan(0.002);
        }

        // The card maps it, before it is released and after, with the loads that its sections lie on.
        var before = Map(await app.Get($"{Run}/bench"));
        before["loads"]!.AsArray().Count.ShouldBe(count);
        before["loads"]!.AsArray().ShouldAllBe(l => l!.AsArray().Count == 1);
        var ids = await app.Post(
            $"{Plan}/release",
            new
            {
                key = (string)plan["key"]!,
                loads = Array.Empty<int>(),
                keep = (object?)null,
            }
        );
        ids.AsArray().Count.ShouldBe(plan["loads"]!.AsArray().Count);
        var after = Map(await app.Get($"{Run}/bench"));
        after["map"]!.ToJsonString().ShouldBe(before["map"]!.ToJsonString());
        after["loads"]!.AsArray().ShouldAllBe(l => l!.AsArray().Count == 1);

        // Nothing of it waits any more; cut again, all of it does, and a change of it is said.
        (await app.Get(Plan))["things"]!.AsArray().ShouldBeEmpty();
        var item = (await app.Get($"/api/loads/{(string)ids[0]!}"))["load"]!["items"]![0]!["id"]!;
        ((int)item["section"]!).ShouldBeGreaterThan(0);
        (await app.Change(Plan, "plan", p => p["again"] = new JsonArray(item.DeepClone())))["things"]!.AsArray().Count.ShouldBe(count);
        await app.Step(Plan, "undo");
        await app.Change(Run, "run", r => (r["setUp"]!["sizing"], r["setUp"]!["scaleTyped"]) = ("oneScale", "70"));
        (await app.Get(Plan))["changed"]!.AsArray().ShouldHaveSingleItem();
        await app.Step(Run, "undo");

        // Sections of one thing are released together or not at all.
        await app.Step(Plan, "undo");
        plan = await app.Get(Plan);
        var alone = await app.Send(
            HttpMethod.Post,
            $"{Plan}/release",
            new JsonObject
            {
                ["key"] = (string)plan["key"]!,
                ["loads"] = new JsonArray(1),
                ["keep"] = null,
            },
            null
        );
        (await alone.Content.ReadAsStringAsync()).ShouldContain("lie on other loads");
    }

    [Fact]
    public async Task A_joint_is_moved_by_hand_and_seen_through_glass_the_map_reads_as_the_goods_do()
    {
        await Board("Platform\n");
        var plan = await app.Get(Plan);
        // In plain rows its sections take no more than they measure: all are laid.
        ((int)plan["figures"]!["rowsLeave"]!).ShouldBe(0);
        ((int)plan["figures"]!["rowsLoads"]!).ShouldBeGreaterThanOrEqualTo((int)plan["figures"]!["leastLoads"]!);
        var inRows = await app.Change(Plan, "plan", p => p["way"] = "rows");
        inRows["things"]!.AsArray().ShouldAllBe(t => t!["load"] != null);
        await app.Step(Plan, "undo");
        var level = plan["parted"]![0]!["joints"]!.AsArray().Select(j => (double)j!["at"]!).ToList();
        var moved = await app.Change(Plan, "plan", p => p["joints"] = new JsonArray(
                new JsonObject
                {
                    ["item"] = plan["parted"]![0]!["id"]!.DeepClone(),
                    ["upright"] = new JsonArray(),
                    ["level"] = new JsonArray([.. level.Select((at, i) => (JsonNode)(i == 0 ? at - 3 : at))]),
                    ["laps"] = true,
                }
            ));
        var parted = moved["parted"]!.AsArray().ShouldHaveSingleItem()!;
        ((bool)parted["isByHand"]!).ShouldBeTrue();
        ((double)parted["joints"]![0]!["at"]!).ShouldBe(level[0] - 3, 1e-6);
        await app.Step(Plan, "undo");
        var straight = Map(await app.Get($"{Run}/bench"));
        await app.Change(Run, "run", r => r["setUp"]!["seenThrough"] = true);
        var through = Map(await app.Get($"{Run}/bench"));
        // Cut the other way round, it is laid together to be read: the map has the same ink at the same place.
        Box(through).MinX.ShouldBe(Box(straight).MinX, 0.01);
        Box(through).MaxY.ShouldBe(Box(straight).MaxY, 0.01);
        ((double)(await app.Get(Plan))["parted"]![0]!["box"]!["minX"]!).ShouldBe(-Box(straight).MaxX, 0.01);
    }

    /// <summary>A run of platform boards on sheets, with a mat of which little is reached.</summary>
    private async Task Board(string names)
    {
        await app.Change("/api/cutters/bench-cutter", "cutter", c =>
            (c["carriers"]![0]!["reachWidth"]!["text"], c["carriers"]![0]!["reachLength"]!["text"]) = ("110", "130")
        );
        await app.Change(Run, "run", r =>
        {
            r["list"]!["namesTyped"] = names;
            var setUp = r["setUp"]!;
            foreach (var (what, id) in new[] { ("blank", "platform-board"), ("motif", "crew-name"), ("film", "navy-vinyl") })
            {
                setUp[what] = new JsonObject { ["id"] = id, ["revision"] = 1 };
            }

            (setUp["zone"], setUp["size"], setUp["sizing"]) = ("face", "", "eachLargest");
        });
        await app.Change("/api/stock/navy-vinyl", "stock", s => s["items"] = new JsonArray(
                new JsonObject
                {
                    ["id"] = "sheets",
                    ["form"] = "sheet",
                    ["width"] = new JsonObject { ["text"] = "305", ["unit"] = "millimetre" },
                    ["length"] = new JsonObject { ["text"] = "305", ["unit"] = "millimetre" },
                    ["count"] = 9,
                }
            ));
        await app.Post($"{Run}/plans");
        await app.Change(Plan, "plan", p => p["carrierId"] = "mat");
    }

    private static JsonNode Map(JsonNode bench) => bench["maps"]!.AsArray().ShouldHaveSingleItem()!;

    private static Box Box(JsonNode map)
    {
        var box = map["map"]!["box"]!;
        return new((double)box["minX"]!, (double)box["minY"]!, (double)box["maxX"]!, (double)box["maxY"]!);
    }

    /// <summary>The area of the ink of loads' files, and the middles of their marks, moved back to where they were of the whole.</summary>
    private async Task<(double Area, IReadOnlyList<PlanePoint> Marks)> Joined(JsonArray loads)
    {
        var (area, marks) = (0.0, new List<PlanePoint>());
        foreach (var load in loads)
        {
            var svg = CutSvgMeasure.Of(await app.CreateClient().GetStringAsync($"/api/loads/{(string)load!["fileId"]!}/file"));
            area += svg.Rings.Sum(p => FileInk.Of(p).Area);
            foreach (var piece in load["pieces"]!.AsArray())
            {
                foreach (var mark in piece!["marks"]!.AsArray().Select(m => new PlanePoint((double)m!["x"]!, (double)m["y"]!)))
                {
                    // It is in the file: two arms through its middle.
                    svg.Waste.Count(w => Math.Abs(Middle(w).X - mark.X) < 0.01 && Math.Abs(svg.Height - Middle(w).Y - mark.Y) < 0.01)
                        .ShouldBe(2);
                    marks.Add(FileInk.Back(piece["at"]!, mark));
                }
            }
        }

        return (area, marks);
    }

    private static PlanePoint Middle(WasteLine line) => line.Points[0].Towards(line.Points[^1], 0.5);

    /// <summary>The area of path data of lines, curves flattened finely.</summary>
    private static double AreaOf(string path)
    {
        var svg = CutSvgMeasure.Of(
            $"<svg xmlns='http://www.w3.org/2000/svg' width='1000mm' height='1000mm' viewBox='0 0 1000 1000'><path d='{path}'/></svg>"
        );
        return FileInk.Of(svg.Rings.SelectMany(r => r)).Area;
    }
}
