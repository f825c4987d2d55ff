using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;

namespace Cabida.Web.Tests;

/// <summary>Offers, orders from files, by hand and from the shop, and what becomes of them.</summary>
public sealed class OrderTests : IDisposable
{
    private const string Head = "order,customer,due,article,name,quantity,size,role\n";

    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    private async Task<JsonNode> Bring(string csv, string name = "orders.csv")
    {
        using var file = new ByteArrayContent(Encoding.UTF8.GetBytes(csv));
        using var answer = await app.CreateClient().PostAsync($"/api/orders/file?name={name}", file);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
    }

    private async Task<JsonNode> Order(string number)
    {
        var card = (await app.List("/api/orders")).First(o => (string)o!["number"]! == number)!;
        return await app.Get($"/api/orders/{(string)card["id"]!}");
    }

    private async Task<JsonNode> Take(JsonNode order) =>
        await Json(
            await app.Send(HttpMethod.Post, $"/api/orders/{(string)order["id"]!}/take", new JsonObject(), $"\"{(int)order["revision"]!}\"")
        );

    private static async Task<JsonNode> Json(HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync());
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
    }

    private async Task<List<JsonNode>> RunsOf(JsonNode order)
    {
        var runs = new List<JsonNode>();
        foreach (var run in order["order"]!["taken"]!["runs"]!.AsArray())
        {
            runs.Add(await app.Get($"/api/runs/{(string)run!["runId"]!}"));
        }

        return runs;
    }

    private static List<string> Strings(JsonNode of) => [.. of.AsArray().Select(s => (string)s!)];

    private static string Said(JsonNode phrase) => string.Concat(phrase["parts"]!.AsArray().Select(p => (string)p!["text"]!));

    [Fact]
    public async Task An_order_becomes_a_job_with_a_run_for_each_offer_and_the_same_once_more_changes_nothing()
    {
        const string file = Head + "A-7,Nell Harrow,2026-12-18,LY-MUG,Maeve,2,,\nA-7,Nell Harrow,2026-12-18,ly-shirt,Bram,1,m,points\n";
        Strings((await Bring(file))["new"]!).ShouldBe(["A-7"]);
        Strings((await Bring(file))["same"]!).ShouldBe(["A-7"]);

        var taken = await Take(await Order("A-7"));
        ((string)taken["state"]!).ShouldBe("taken");
        var job = await app.Get($"/api/jobs/{(string)taken["jobId"]!}");
        ((string)job["job"]!["customer"]!).ShouldBe("Nell Harrow");
        ((string)job["job"]!["due"]!).ShouldBe("2026-12-18");
        var runs = await RunsOf(taken);
        runs.Select(r => (string)r["run"]!["setUp"]!["name"]!).ShouldBe(["Crew mug", "Work shirt"]);
        runs.ShouldAllBe(r => r["lacks"]!.AsArray().Count == 0);
        var (mug, shirt) = (runs[0]["run"]!["list"]!["pieces"]![0]!, runs[1]["run"]!["list"]!["pieces"]![0]!);
        ((string)mug["name"]!, (int)mug["copies"]!).ShouldBe(("Maeve", 2));
        ((string)shirt["values"]!["size"]!, (string)shirt["values"]!["role"]!).ShouldBe(("M", "points"));
        // The price that was agreed comes with the offer.
        ((string)runs[0]["run"]!["setUp"]!["price"]!["agreed"]!).ShouldBe("11.50");

        Strings((await Bring(file))["same"]!).ShouldBe(["A-7"]);
        (await app.List("/api/jobs")).Count(j => (string)j!["job"]!["name"]! == "A-7").ShouldBe(1);
        // Taken back, it is as if it had not been taken: the job is gone, the order is there.
        ((string)(await app.Step($"/api/orders/{(string)taken["id"]!}", "undo"))["state"]!).ShouldBe("waiting");
        (await app.List("/api/jobs")).ShouldAllBe(j => (string)j!["job"]!["name"]! != "A-7");
    }

    [Fact]
    public async Task A_corrected_order_shows_what_changed_before_it_is_taken_and_an_old_file_changes_nothing()
    {
        const string first =
            Head + "A-8,Nell,2026-12-18,LY-MUG,Siobhan,1,,\nA-8,Nell,2026-12-18,LY-MUG,Bram,1,,\nA-8,Nell,,LY-MUG,Otto,1,,\n";
        const string second =
            Head + "A-8,Nell,2026-12-21,LY-MUG,Siobhán,1,,\nA-8,Nell,2026-12-21,LY-MUG,Otto,3,,\nA-8,Nell,,LY-TUMBLER,Tilda,1,,\n";
        await Bring(first);
        var taken = await Take(await Order("A-8"));
        var before = (await RunsOf(taken))[0];
        var siobhan = (string)before["run"]!["list"]!["pieces"]![0]!["id"]!;

        Strings((await Bring(second))["corrected"]!).ShouldBe(["A-8"]);
        Strings((await Bring(first))["older"]!).ShouldBe(["A-8"]);
        var corrected = await Order("A-8");
        ((string)corrected["state"]!).ShouldBe("corrected");
        Said(corrected["heads"]!.AsArray().ShouldHaveSingleItem()!).ShouldBe("The day was 2026-12-18 and is 2026-12-21 now.");
        corrected["corrections"]!
            .AsArray()
            .Select(c => $"{(c!["was"] is { } was ? Said(was) : "–")} → {(c["is"] is { } now ? Said(now) : "–")}")
            .Order(StringComparer.Ordinal)
            .ShouldBe([
                "1 × Bram, Crew mug → –",
                "1 × Otto, Crew mug → 3 × Otto, Crew mug",
                "1 × Siobhan, Crew mug → 1 × Siobhán, Crew mug",
                "– → 1 × Tilda, Driver tumbler",
            ]);
        // Nothing of it is in the job before it is taken.
        (await RunsOf(corrected)).Count.ShouldBe(1);

        var runs = await RunsOf(await Take(corrected));
        var pieces = runs[0]["run"]!["list"]!["pieces"]!.AsArray();
        pieces.Select(p => $"{(string)p!["name"]!} {(int)p["copies"]!}").ShouldBe(["Siobhán 1", "Otto 3"]);
        ((string)pieces[0]!["id"]!).ShouldBe(siobhan);
        ((string)runs[1]["run"]!["list"]!["pieces"]![0]!["name"]!).ShouldBe("Tilda");
        ((string)(await app.Get($"/api/jobs/{(string)taken["jobId"]!}"))["job"]!["due"]!).ShouldBe("2026-12-21");
    }

    [Fact]
    public async Task What_can_be_taken_is_and_the_rest_waits_until_it_is_mended()
    {
        await Bring(Head + "A-9,Nell,,LY-MUG,Maeve,1,,\nA-9,Nell,,EGG-CUP,Bram,1,,\nA-9,Nell,,LY-MUG,,1,,\n");
        var order = await Order("A-9");
        ((int)order["takeable"]!).ShouldBe(1);
        var taken = await Take(order);
        ((string)taken["state"]!).ShouldBe("takenInPart");
        ((int)(await app.Get("/api/week"))["ordersCorrected"]!).ShouldBe(1);

        // The offer is told what the shop calls it, and the missing name is typed.
        await app.Change("/api/offers/crew-mug", "offer", o => o["alsoCalled"]!.AsArray().Add("Egg-cup"));
        await app.Change($"/api/orders/{(string)order["id"]!}", "order", o => o["sheet"]!["lines"]![2]!["fields"]!["name"] = "Otto");
        var mended = await Take(await Order("A-9"));
        ((string)mended["state"]!).ShouldBe("taken");
        (await RunsOf(mended))[0]["run"]!["list"]!["pieces"]!
            .AsArray()
            .Select(p => (string)p!["name"]!)
            .ShouldBe(["Maeve", "Bram", "Otto"]);
    }

    [Fact]
    public async Task A_correction_of_a_list_that_was_changed_by_hand_says_which_row_it_does_not_find()
    {
        await Bring(Head + "A-10,Nell,,LY-MUG,Maeve,1,,\nA-10,Nell,,LY-MUG,Bram,1,,\n");
        var run = (string)(await Take(await Order("A-10")))["order"]!["taken"]!["runs"]![0]!["runId"]!;
        await app.Change($"/api/runs/{run}", "run", r =>
            r["list"]!["namesTyped"] = ((string)r["list"]!["namesTyped"]!).Replace("Bram", "Brahm")
        );
        await Bring(Head + "A-10,Nell,,LY-MUG,Maeve,2,,\nA-10,Nell,,LY-MUG,Bram,2,,\n");

        var corrected = await Order("A-10");
        var problems = corrected["corrections"]!.AsArray().Select(c => c!["problem"]).ToList();
        problems.Count(p => p is not null).ShouldBe(1);
        Said(problems.OfType<JsonNode>().First()).ShouldContain("not in the list of the run as it was taken");
        await Take(corrected);
        ((string)(await app.Get($"/api/runs/{run}"))["run"]!["list"]!["namesTyped"]!).ShouldBe("name\tquantity\nMaeve\t2\nBrahm\t1");
    }

    [Fact]
    public async Task The_shop_drops_three_hundred_lines_and_all_that_can_be_is_taken()
    {
        await app.Post("/api/shop/stand-in", new { lines = 300 });
        var files = new List<JsonNode>();
        for (var left = 1; left > 0; )
        {
            var fetched = await app.Post("/api/shop/fetch");
            files.AddRange(fetched["files"]!.AsArray().Select(f => f!.DeepClone()));
            left = (int)fetched["left"]!;
        }

        // What cannot be read stays where it is until it is put away.
        files.Count.ShouldBe(6);
        var damaged = files.Single(f => f["problem"] is not null);
        ((string)(await app.Get("/api/shop"))["ready"]!.AsArray().ShouldHaveSingleItem()!["name"]!).ShouldBe((string)damaged["name"]!);
        using (var away = await app.CreateClient().PostAsync($"/api/shop/files/{(string)damaged["name"]!}/away", null))
        {
            away.StatusCode.ShouldBe(HttpStatusCode.NoContent);
        }

        (await app.Get("/api/shop"))["ready"]!.AsArray().ShouldBeEmpty();
        files.Sum(f => f["orders"] is { } o ? o["same"]!.AsArray().Count : 0).ShouldBe(3);
        files.Sum(f => f["orders"] is { } o ? o["corrected"]!.AsArray().Count : 0).ShouldBe(3);
        var cards = await app.List("/api/orders");
        cards.Sum(c => (int)c!["lines"]!).ShouldBe(303);
        var takeable = cards.Sum(c => (int)c!["takeable"]!);
        takeable.ShouldBeInRange(220, 280);

        List<string> left2 = [.. cards.Select(c => (string)c!["id"]!)];
        var (jobs, not) = (0, 0);
        while (left2.Count > 0)
        {
            var taken = await app.Post("/api/orders/take", new { ids = left2 });
            jobs += taken["jobs"]!.AsArray().Count;
            not += taken["notTaken"]!.AsArray().Count;
            left2 = Strings(taken["left"]!);
        }

        (jobs + not).ShouldBe(cards.Count);
        not.ShouldBe(cards.Count(c => (int)c!["takeable"]! == 0));
        // Every line that can be taken is a row of a run, and no other is.
        ((int)(await app.Post("/api/shop/tell"))["pieces"]!).ShouldBe(takeable);
        using var csv = await app.CreateClient().GetAsync("/api/orders/pieces.csv");
        (await csv.Content.ReadAsStringAsync()).Count(c => c == '\n').ShouldBeGreaterThanOrEqualTo(takeable + 1);
    }

    [Fact]
    public async Task An_order_is_typed_and_an_offer_is_made_of_a_run()
    {
        var offer = await app.Post("/api/offers", new { name = "Sand crate", runId = "sand-crates" });
        offer["run"]!["lacks"]!.AsArray().ShouldBeEmpty();
        ((string)offer["offer"]!["setUp"]!["jobId"]!).ShouldBe("");
        var order = await app.Post("/api/orders", new { number = "", customer = "Otto Vane" });
        await app.Change($"/api/orders/{(string)order["id"]!}", "order", o =>
            o["sheet"]!["lines"] = JsonNode.Parse("""[{"offer":"sand crate","quantity":"2","fields":{"name":"SAND","year":"1987"}}]""")
        );

        var taken = await Take(await app.Get($"/api/orders/{(string)order["id"]!}"));
        ((string)taken["state"]!).ShouldBe("taken");
        var next = await app.Post("/api/orders", new { number = "", customer = "" });
        ((string)next["order"]!["number"]!).ShouldNotBe((string)order["order"]!["number"]!);
        using var again = await app.CreateClient()
            .PostAsJsonAsync("/api/orders", new { number = (string)order["order"]!["number"]!, customer = "" });
        again.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        var dear = await app.Change("/api/offers/crew-mug", "offer", o => o["setUp"]!["price"]!["agreed"] = "dear");
        dear["notes"]!.AsArray().ShouldHaveSingleItem()!["fields"]![0]!.ToString().ShouldBe("price.agreed");
        // What is in use is not taken away.
        using var removed = await app.Send(HttpMethod.Delete, "/api/motifs/crew-name", null, "*");
        (await removed.Content.ReadAsStringAsync()).ShouldContain("Crew mug");
    }

    [Fact]
    public async Task Ten_thousand_lines_of_many_orders_are_taken_in_and_one_order_of_so_many_is_told()
    {
        var many = new StringBuilder(Head);
        for (var i = 0; i < 10_000; i++)
        {
            many.Append(System.Globalization.CultureInfo.InvariantCulture, $"B-{i / 100},Nell,,LY-MUG,Name {i},1,,\n");
        }

        (await Bring(many.ToString()))["new"]!.AsArray().Count.ShouldBe(100);
        var whole = await Bring(
            Head + string.Concat(Enumerable.Range(0, 10_000).Select(i => $"D,Nell,,LY-MUG,Name {i},1,,\n")),
            "whole.csv"
        );
        whole["new"]!.AsArray().ShouldBeEmpty();
        Said(whole["notes"]![0]!).ShouldContain("Order D has 10000 lines; 2000 are the most of one order.");
    }
}
