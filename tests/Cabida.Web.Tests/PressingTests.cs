using System.Net;
using System.Text.Json.Nodes;

namespace Cabida.Web.Tests;

/// <summary>Presses and heat plans in the stock, and how a run is pressed.</summary>
public sealed class PressingTests : IDisposable
{
    private const string Bench = "/api/runs/work-shirts/bench";

    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Fact]
    public async Task Shirts_are_pressed_front_and_back_at_what_the_press_must_be_set_to()
    {
        var press = (await app.Get(Bench))["press"]!;
        ((string)press["press"]!).ShouldBe("Bench press");
        press["lines"]!
            .AsArray()
            .Select(l => ((string)l!["deed"]!, (int)l["seconds"]!))
            .ShouldBe([("bare", 5), ("lay", 12), ("again", 3), ("turn", 0), ("lay", 12), ("again", 3)]);
        // Set from 150 to 160: the middle; the press is 6 cooler than it shows.
        press["lines"]!.AsArray().ShouldAllBe(l => (double)l!["celsius"]! == 155 && (double)l["setTo"]! == 161);
        ((int)press["seconds"]!).ShouldBe(35);
        press["artwork"]!.AsArray().Count.ShouldBe(8);
        foreach (var laid in press["artwork"]!.AsArray())
        {
            laid!["plan"]!["edgeOn"]!.AsArray().ShouldBeEmpty();
        }
    }

    [Fact]
    public async Task What_is_not_known_of_a_film_is_asked_for_and_what_it_cannot_bear_is_told()
    {
        await app.Change("/api/films/cream-transfer", "film", f => f["heat"]!["seconds"] = "");
        var press = (await app.Get(Bench))["press"]!;
        Application.Words(press["lacks"]!.AsArray().ShouldHaveSingleItem()).ShouldContain("how many seconds Cream transfer is pressed");
        press["lines"]!.AsArray().ShouldBeEmpty();

        // 12 and 3 in front, 15 more through the shirt: 30 in all.
        await app.Change("/api/films/cream-transfer", "film", f => (f["heat"]!["seconds"], f["heat"]!["bears"]) = ("12", "29"));
        var conflict = (await app.Get(Bench))["press"]!["conflict"]!;
        Application
            .Words(conflict["why"])
            .ShouldBe("Cream transfer bears 29 s, and with Cream transfer pressed after it gets 30 s at the least.");
    }

    [Fact]
    public async Task A_small_press_takes_several_positions_and_says_where_a_letter_is_larger()
    {
        await app.Change("/api/runs/work-shirts", "run", r => r["setUp"]!["pressId"] = "hand-iron");
        var press = (await app.Get(Bench))["press"]!;
        ((string)press["press"]!).ShouldBe("Small iron");
        var back = press["artwork"]!.AsArray().First(a => (string)a!["face"]! == "back")!;
        back["plan"]!["positions"]!.AsArray().Count.ShouldBeGreaterThan(1);
        // More positions, more seconds on each piece.
        ((int)press["seconds"]!).ShouldBeGreaterThan(35);
        using var gone = await app.Send(HttpMethod.Delete, "/api/presses/hand-iron", null, "*");
        gone.StatusCode.ShouldBe(HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task What_cannot_be_used_of_a_heat_plan_or_a_press_is_said_at_its_field_and_kept()
    {
        var film = await app.Change("/api/films/cream-transfer", "film", f => f["heat"] = new JsonObject
            {
                ["from"] = "170",
                ["to"] = "150",
                ["seconds"] = "soon",
                ["tack"] = "3.5",
            });
        film["problems"]!
            .AsArray()
            .SelectMany(p => p!["fields"]!.AsArray())
            .Select(f => (string)f!)
            .ShouldBe(["heat.seconds", "heat.tack", "heat.to"]);
        ((string)film["film"]!["heat"]!["seconds"]!).ShouldBe("soon");

        var id = (string)(await app.Post("/api/presses", new { name = "New press" }))["id"]!;
        var press = await app.Change($"/api/presses/{id}", "press", p => (p["shows"], p["hottest"]) = ("160", "hot"));
        press["problems"]!.AsArray().SelectMany(p => p!["fields"]!.AsArray()).Select(f => (string)f!).ShouldBe(["hottest", "measured"]);
        ((double)(await app.Change($"/api/presses/{id}", "press", p => p["measured"] = "311 F"))["offBy"]!).ShouldBe(-5);
        (await app.List("/api/presses")).Count.ShouldBe(3);
    }
}
