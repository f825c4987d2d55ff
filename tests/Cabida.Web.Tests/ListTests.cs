using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;

namespace Cabida.Web.Tests;

/// <summary>A whole list: brought in, mended, sized as a set, conceded for, approved.</summary>
public sealed class ListTests : IDisposable
{
    private const string Run = "/api/runs/crew-mugs";
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Fact]
    public async Task A_pasted_table_finds_its_columns_and_copies_are_cut_as_often_as_they_say()
    {
        var run = await app.Change(Run, "run", r => r["list"]!["namesTyped"] = "Name\tHow many\nBram\t3\nSiân\t1\n");
        run["run"]!["list"]!["columns"]!.AsArray().Select(c => (string)c!).ShouldBe(["name", "quantity"]);
        ((bool)run["run"]!["list"]!["hasHeading"]!).ShouldBeTrue();
        ((int)run["list"]!["made"]!).ShouldBe(4);
        var loads = await app.Loads(Run);
        loads["loads"]!
            .AsArray()
            .SelectMany(l => l!["pieces"]!.AsArray())
            .Select(p => (string)p!["name"]!)
            .Order()
            .ShouldBe(["Bram", "Bram", "Bram", "Siân"]);
        // Said otherwise it is otherwise; a list without tabs is a list of names again.
        run = await app.Change(Run, "run", r =>
        {
            r["list"]!["columns"] = new JsonArray("name", "");
            r["list"]!["hasHeading"] = false;
        });
        ((int)run["list"]!["made"]!).ShouldBe(3);
        run = await app.Change(Run, "run", r => r["list"]!["namesTyped"] = "Bram\nSiân");
        run["run"]!["list"]!["columns"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_file_is_looked_at_before_it_is_taken_and_one_that_cannot_be_used_leaves_the_list_as_it_was()
    {
        async Task<HttpResponseMessage> Send(byte[] file, string query = "name=crew.csv") =>
            await app.CreateClient().PostAsync($"{Run}/list-file?{query}", new ByteArrayContent(file));
        var before = (string)(await app.Get(Run))["run"]!["list"]!["namesTyped"]!;
        var seen = JsonNode.Parse(
            await (await Send(Encoding.UTF8.GetBytes("Name;Role\nŁukasz;driver\nΝίκη;guard"))).Content.ReadAsStringAsync()
        )!;
        ((int)seen["rows"]!).ShouldBe(3);
        ((string)seen["reading"]!["separator"]!).ShouldBe(";");
        ((string)seen["typed"]!).ShouldBe("Name\tRole\nŁukasz\tdriver\nΝίκη\tguard");
        var refused = await Send(Encoding.UTF8.GetBytes(string.Join('\n', Enumerable.Repeat("Bram", 50_000))));
        refused.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await refused.Content.ReadAsStringAsync()).ShouldContain("has 50000 rows");
        (await Send([0x50, 0x4b, 3, 4, 1, 2])).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        ((string)(await app.Get(Run))["run"]!["list"]!["namesTyped"]!).ShouldBe(before);
    }

    [Theory]
    [InlineData("", "Type the names")]
    [InlineData("   \n\t", "Type the names")]
    [InlineData("🙂🙂", "")]
    public async Task A_list_with_nothing_to_set_says_so(string typed, string lack)
    {
        var run = await app.Change(Run, "run", r => r["list"]!["namesTyped"] = typed);
        run["lacks"]!.AsArray().Select(l => Application.Words(l!["message"])).FirstOrDefault("").ShouldStartWith(lack);
        if (lack.Length == 0)
        {
            run["list"]!["notes"]!.AsArray().ShouldContain(n => Application.Words(n!["message"]).Contains("no letter"));
            (await app.Get($"{Run}/pieces?from=0&count=1"))["pieces"]![0]!["mayBeCut"]!.GetValue<bool>().ShouldBeFalse();
        }
    }

    [Fact]
    public async Task A_zone_kept_clear_all_over_and_a_margin_larger_than_the_zone_are_told()
    {
        var blank = (string)(await app.Get(Run))["run"]!["setUp"]!["blank"]!["id"]!;
        async Task<string> LackAfter(Action<JsonNode> edit)
        {
            var revision = (int)(await app.Change($"/api/blanks/{blank}", "blank", edit))["revision"]!;
            return Application.Words(
                (await app.Change(Run, "run", r => r["setUp"]!["blank"]!["revision"] = revision))["lacks"]![0]!["message"]
            );
        }

        (await LackAfter(b => b["zones"]![0]!["margins"]!["top"]!["text"] = "90")).ShouldContain("has no room to work on");
        (
            await LackAfter(b =>
            {
                b["zones"]![0]!["margins"]!["top"]!["text"] = "10";
                b["keptClear"] = JsonNode.Parse(
                    """[{"id":"lid","name":"Lid","shape":"band","place":{"from":"middle","away":{"text":""},"side":"centred","across":{"text":""}},"width":{"text":""},"height":{"text":"200"},"clearance":{"text":"2"},"isHole":false}]"""
                );
            })
        ).ShouldContain("must stay clear leaves nothing");
    }

    [Fact]
    public async Task A_set_is_sized_accepted_and_conceded_for()
    {
        var set = await Whole();
        var group = set["groups"]!.AsArray().ShouldHaveSingleItem()!;
        var gains = group["gains"]!.AsArray();
        gains.Select(g => (double)g!["height"]!).ShouldBeInOrder();
        ((double)gains[0]!["height"]!).ShouldBe((double)group["largestForAll"]!);
        ((string)gains[1]!["leftOut"]!).ShouldBe((string)group["tightest"]!);
        // At what all allow, all fit; a tenth more and the tightest does not.
        async Task<int> OverAt(double height)
        {
            await app.Change(Run, "run", r =>
            {
                r["setUp"]!["sizing"] = "oneLetterHeight";
                r["setUp"]!["letterHeight"]!["text"] = FormattableString.Invariant($"{height:0.0}");
            });
            var sized = await Whole();
            return (int)sized["over"]! + (int)sized["snug"]!;
        }

        var all = (double)group["largestForAll"]!;
        (await OverAt(all)).ShouldBe(0);
        (await OverAt(all + 0.2)).ShouldBe(1);
        // A tenth more than that is conceded for by closing up; it is stated on the piece.
        await app.Change(Run, "run", r =>
            r["setUp"]!["concessions"] = JsonNode.Parse(
                """[{"kind":"closeUp","percent":6,"leastMargin":{"text":"4"},"typefaceId":""},{"kind":"smaller","percent":10,"leastMargin":{"text":"4"},"typefaceId":""}]"""
            )
        );
        var conceded = await Whole();
        ((int)conceded["over"]!).ShouldBe(0);
        ((int)conceded["conceded"]!).ShouldBe(1);
        var piece = (await app.Pieces("crew-mugs")).Single(p => p!["concessions"]!.AsArray().Count > 0)!;
        ((string)piece["name"]!).ShouldBe((string)group["tightest"]!);
        Application.Words(piece["concessions"]![0]).ShouldMatch("closed up [0-9.]+ %");
        // By hand for one piece, and it stays when the list is pasted again.
        await app.Change(Run, "run", r =>
            r["list"]!["pieces"]!.AsArray().Single(p => (string)p!["name"]! == (string)group["tightest"]!)!["own"]!["noConcessions"] = true
        );
        await app.Change(Run, "run", r => r["list"]!["namesTyped"] = "Olga\n" + (string)r["list"]!["namesTyped"]!);
        (await Whole()).ShouldSatisfyAllConditions(
            w => ((int)w["over"]! + (int)w["snug"]!).ShouldBe(1),
            w => ((int)w["conceded"]!).ShouldBe(0)
        );
    }

    [Fact]
    public async Task A_long_list_is_fitted_as_work_with_progress_by_name_and_can_be_stopped()
    {
        // So many that they are not all fitted before the second work is stopped.
        const int Names = 600;
        var names = string.Join('\n', Enumerable.Range(0, Names).Select(i => $"Anna{(char)('a' + (i / 26))}{(char)('a' + (i % 26))}"));
        await app.Change(Run, "run", r => r["list"]!["namesTyped"] = names);
        var work = await app.Post($"{Run}/fitting");
        var client = app.CreateClient();
        await using (var stream = await client.GetStreamAsync($"{Run}/fitting/{work["workId"]}"))
        {
            using var reader = new StreamReader(stream);
            var told = new List<JsonNode>();
            while (await reader.ReadLineAsync() is { } line)
            {
                if (line.StartsWith("data:", StringComparison.Ordinal))
                {
                    told.Add(JsonNode.Parse(line[5..])!);
                }
            }

            ((string)told[^1]["state"]!).ShouldBe("done");
            ((int)told[^1]["done"]!).ShouldBe(Names);
            told.Select(t => (int)t["done"]!).ShouldBeInOrder();
            told.Count(t => ((string)t["name"]!).StartsWith("Anna", StringComparison.Ordinal)).ShouldBeGreaterThan(3);
        }

        var set = await app.Get($"{Run}/set");
        ((int)set["done"]!).ShouldBe(Names);
        // Another motif revision would refit all; stopped, what was not fitted stays open.
        await app.Change(Run, "run", r => r["setUp"]!["right"]!["text"] = "0.2");
        var again = await app.Post($"{Run}/fitting");
        (await client.DeleteAsync($"{Run}/fitting/{again["workId"]}")).EnsureSuccessStatusCode();
        var last = (await client.GetStringAsync($"{Run}/fitting/{again["workId"]}"))
            .Split('\n')
            .Last(l => l.StartsWith("data:", StringComparison.Ordinal));
        ((string)JsonNode.Parse(last[5..])!["state"]!).ShouldBe("stopped");
    }

    [Fact]
    public async Task An_approval_is_void_once_what_was_seen_is_another()
    {
        var first = await Piece();
        ((string)first["state"]!).ShouldBe("open");
        async Task<JsonNode> Piece() => (await app.Get($"{Run}/proof/pieces?from=0&count=1"))["pieces"]![0]!;
        (await app.Send(HttpMethod.Post, $"{Run}/shown", null, "*")).EnsureSuccessStatusCode();
        (await Approve(first)).StatusCode.ShouldBe(HttpStatusCode.OK);
        ((string)(await Piece())["state"]!).ShouldBe("approved");
        await app.Change(Run, "run", r => r["setUp"]!["letterHeight"]!["text"] = "33");
        ((string)(await Piece())["state"]!).ShouldBe("voided");
        ((string)(await Piece())["since"]!).ShouldBe("changed");
        // A page that still shows the old letters cannot approve them.
        (await Approve(first)).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        await app.Step(Run, "undo");
        ((string)(await Piece())["state"]!).ShouldBe("approved");
        ((string)(await Piece())["since"]!).ShouldBe("same");

        // Another film, of another colour: the ink is the same, what the customer gets is not.
        var films = await app.List("/api/films");
        var other = films.First(f => (string)f!["film"]!["colour"]! != (string)first["inks"]![0]!["colour"]!)!;
        await app.Change(Run, "run", r =>
            r["setUp"]!["film"] = new JsonObject { ["id"] = (string)other["id"]!, ["revision"] = (int)other["revision"]! }
        );
        ((string)(await Piece())["state"]!).ShouldBe("voided");
        await app.Step(Run, "undo");

        // A note on the blank is no business of the customer's.
        var blank = (string)(await app.Get(Run))["run"]!["setUp"]!["blank"]!["id"]!;
        var revision = (int)(await app.Change($"/api/blanks/{blank}", "blank", b => b["note"] = "from the market"))["revision"]!;
        await app.Change(Run, "run", r => r["setUp"]!["blank"]!["revision"] = revision);
        ((string)(await Piece())["state"]!).ShouldBe("approved");

        // A page may not approve by itself: what was said is changed by commands alone.
        await Correct(null);
        ((string)(await Piece())["state"]!).ShouldBe("open");
        await app.Change(Run, "run", r => r["verdicts"]!["said"]![(string)first["id"]!] = new JsonObject
            {
                ["approved"] = true,
                ["words"] = "",
                ["inkHash"] = "x",
                ["blankRevision"] = 1,
                ["seen"] = (string)first["seen"]!,
            });
        ((string)(await Piece())["state"]!).ShouldBe("open");
        await Correct("with an accent, please");
        ((string)(await Piece())["state"]!).ShouldBe("corrected");
        using var pdf = await app.CreateClient().GetAsync($"{Run}/proof.pdf");
        pdf.Content.Headers.ContentType!.MediaType.ShouldBe("application/pdf");
        Encoding.ASCII.GetString(await pdf.Content.ReadAsByteArrayAsync(), 0, 5).ShouldBe("%PDF-");
        (await app.CreateClient().GetByteArrayAsync($"{Run}/picture.png?name=Halina&size=300"))[1..4].ShouldBe("PNG"u8.ToArray());

        async Task Correct(string? words) =>
            (
                await app.Send(
                    HttpMethod.Post,
                    $"{Run}/correction",
                    new JsonObject { ["pieceId"] = (string)first["id"]!, ["words"] = words },
                    "*"
                )
            ).EnsureSuccessStatusCode();

        Task<HttpResponseMessage> Approve(JsonNode piece) =>
            app.Send(
                HttpMethod.Post,
                $"{Run}/approval",
                new JsonObject
                {
                    ["pieces"] = new JsonArray(new JsonObject { ["pieceId"] = (string)piece["id"]!, ["seen"] = (string)piece["seen"]! }),
                },
                "*"
            );
    }

    [Fact]
    public async Task A_list_that_was_cleared_and_pasted_again_has_what_was_set_by_hand()
    {
        var typed = (string)(await app.Get(Run))["run"]!["list"]!["namesTyped"]!;
        var id = (string)
            (
                await app.Change(Run, "run", r =>
                    r["list"]!["pieces"]![1]!["own"]!["right"] = new JsonObject { ["text"] = "3", ["unit"] = "millimetre" }
                )
            )["run"]!["list"]!["pieces"]![1]!["id"]!;
        (await app.Change(Run, "run", r => r["list"]!["namesTyped"] = ""))["run"]!["list"]!["pieces"]!.AsArray().ShouldBeEmpty();
        await app.Change(Run, "run", r => r["setUp"]!["name"] = "Typed something meanwhile");
        var back = (await app.Change(Run, "run", r => r["list"]!["namesTyped"] = typed))["run"]!;
        ((string)back["list"]!["pieces"]![1]!["id"]!).ShouldBe(id);
        ((string)back["list"]!["pieces"]![1]!["own"]!["right"]!["text"]!).ShouldBe("3");
        back["list"]!["away"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_motif_without_a_field_says_that_all_pieces_are_the_same()
    {
        var motif = (string)(await app.Get(Run))["run"]!["setUp"]!["motif"]!["id"]!;
        var revision = (int)(await app.Change($"/api/motifs/{motif}", "motif", m =>
                {
                    foreach (
                        var part in m["parts"]!
                            .AsArray()
                            .Where(p => (string?)p!["text"] is { } text && text.Contains("{name", StringComparison.Ordinal))
                    )
                    {
                        part!["text"] = "Crew";
                    }
                }))["revision"]!;
        var run = await app.Change(Run, "run", r => r["setUp"]!["motif"]!["revision"] = revision);
        Application.Words(run["list"]!["notes"]![0]!["message"]).ShouldContain("has no field, so all 12 pieces are the same");
        run["lacks"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_letter_takes_another_form_in_one_piece_and_a_mended_name_says_that_it_is_lost()
    {
        await app.Change(Run, "run", r => r["list"]!["pieces"]![0]!["own"]!["typefaceId"] = "eb-garamond");
        var piece = (await app.Get($"{Run}/pieces?from=0&count=2"))["pieces"]![0]!;
        piece["nameLine"]!["letters"]!.AsArray().Count.ShouldBe(9);
        var forms = await app.Get($"{Run}/pieces/{piece["id"]}/letters/0");
        ((string)forms["letter"]!).ShouldBe("A");
        var other = forms["others"]!.AsArray().First(f => (string)f!["path"]! != (string)forms["asDrawn"]!["path"]!)!;
        var letter = new JsonObject { ["partId"] = (string)piece["nameLine"]!["partId"]!, ["form"] = other["form"]!.DeepClone() };
        await app.Change(Run, "run", r => r["list"]!["pieces"]![0]!["own"]!["letters"] = new JsonArray(letter));
        var now = (await app.Get($"{Run}/pieces?from=0&count=2"))["pieces"]!.AsArray();
        ((string)now[0]!["inks"]![0]!["path"]!).ShouldNotBe((string)piece["inks"]![0]!["path"]!);
        ((bool)now[0]!["byHand"]!).ShouldBeTrue();
        ((bool)now[1]!["byHand"]!).ShouldBeFalse();
        // The list is mended: the piece is known again, and what no longer applies is said.
        await app.Change(Run, "run", r =>
            r["list"]!["namesTyped"] = ((string)r["list"]!["namesTyped"]!).Replace("Agnieszka", "Agnieszki", StringComparison.Ordinal)
        );
        var mended = (await app.Get($"{Run}/pieces?from=0&count=1"))["pieces"]![0]!;
        ((string)mended["id"]!).ShouldBe((string)piece["id"]!);
        mended["findings"]!
            .AsArray()
            .Select(f => Application.Words(f!["message"]))
            .ShouldContain(m => m.Contains("was chosen in “Agnieszka”"));
    }

    [Fact]
    public async Task Work_that_a_restart_interrupted_is_taken_up_again()
    {
        await app.Change(Run, "run", r =>
            r["list"]!["namesTyped"] = string.Join('\n', Enumerable.Range(0, 20).Select(i => $"Olga{(char)('a' + i)}"))
        );
        var revision = (int)(await app.Get(Run))["revision"]!;
        long id;
        using (var scope = app.Services.CreateScope())
        {
            // As a run of the application left it that ended in the middle.
            var works = scope.ServiceProvider.GetRequiredService<Cabida.Store.Works>();
            id = (await works.Ask("fit", "crew-mugs", revision, 20)).Id;
            await works.Report(id, 7, Cabida.Store.Rows.WorkState.Running);
        }

        // The worker looks for work when it starts and when some is asked for; the same work is not begun twice.
        ((long)(await app.Post($"{Run}/fitting"))["workId"]!).ShouldBe(id);
        var told = await app.CreateClient().GetStringAsync($"{Run}/fitting/{id}");
        told.ShouldContain("\"state\":\"done\"");
        ((int)(await app.Get($"{Run}/set"))["done"]!).ShouldBe(20);
    }

    [Fact]
    public async Task Two_sides_of_a_mug_are_one_run()
    {
        var zones = (await app.Get(Run))["zones"]!.AsArray().Select(z => (string)z!["id"]!).ToList();
        zones.Count.ShouldBeGreaterThan(1);
        var motif = (await app.Get(Run))["run"]!["setUp"]!["motif"]!.ToJsonString();
        var before = (await app.Loads(Run))["loads"]!.AsArray().Sum(l => l!["pieces"]!.AsArray().Count);
        var lacking = await app.Change(Run, "run", r => r["setUp"]!["sides"] = new JsonArray(
                new JsonObject
                {
                    ["id"] = "side-2",
                    ["motif"] = null,
                    ["zone"] = zones[1],
                }
            ));
        Application.Words(lacking["lacks"]![0]!["message"]).ShouldBe("Choose a motif with parts for side 2.");
        await app.Change(Run, "run", r =>
        {
            r["setUp"]!["sides"]![0]!["motif"] = JsonNode.Parse(motif);
            r["setUp"]!["sizing"] = "eachLargest";
        });
        var piece = (await app.Get($"{Run}/pieces?from=0&count=1"))["pieces"]![0]!;
        piece["sides"]!.AsArray().ShouldHaveSingleItem();
        piece["inks"]!.AsArray().Count.ShouldBe(2);
        var after = (await app.Loads(Run))["loads"]!.AsArray().Sum(l => l!["pieces"]!.AsArray().Count);
        after.ShouldBeGreaterThan(before);
        var body = await app.Get($"{Run}/pieces/{piece["id"]}/object");
        body["inks"]!.AsArray().Count.ShouldBe(2);
        body["body"]!["handle"]!.AsArray().Count.ShouldBeGreaterThan(5);
    }

    [Fact]
    public async Task Each_size_of_a_shirt_is_fitted_in_its_own_zone()
    {
        var sizes = (await app.Get("/api/runs/work-shirts"))["sizes"]!.AsArray().Select(s => (string)s!).ToList();
        sizes.Count.ShouldBeGreaterThan(1);
        await app.Change("/api/runs/work-shirts", "run", r =>
        {
            r["setUp"]!["sizing"] = "eachLargest";
            r["list"]!["namesTyped"] = $"name\tsize\nOla\t{sizes[0]}\nOla\t{sizes[^1]}";
        });
        // What is not fitted at once is asked for again.
        var small = (await app.Get("/api/runs/work-shirts/pieces?from=0&count=1"))["pieces"]![0]!;
        var large = (await app.Get("/api/runs/work-shirts/pieces?from=1&count=1"))["pieces"]![0]!;
        ((double)large["zoneBox"]!["width"]!).ShouldBeGreaterThanOrEqualTo((double)small["zoneBox"]!["width"]!);
        var ground = await app.Get($"/api/runs/work-shirts/ground?size={Uri.EscapeDataString(sizes[^1])}");
        ((double)ground["faces"]![0]!["zoneBox"]!["width"]!).ShouldBe((double)large["zoneBox"]!["width"]!, 1e-9);
    }

    [Fact]
    public async Task What_is_equal_across_a_set_follows_what_any_row_says_in_any_column()
    {
        const string mugs = "/api/runs/crew-mugs";
        var motif = await app.Change("/api/motifs/crew-name", "motif", m =>
        {
            m["parts"]![1]!["text"] = "{role}";
            m["parts"]![1]!["size"]!["scaling"] = "equal";
        });
        await app.Change(mugs, "run", r =>
        {
            r["setUp"]!["motif"]!["revision"] = (int)motif["revision"]!;
            r["setUp"]!["sizing"] = "eachLargest";
            r["list"]!["namesTyped"] = "name\trole\nBo\tTA\nDi\tTB";
        });
        var before = await First();
        await app.Change(mugs, "run", r => r["list"]!["namesTyped"] = "name\trole\nBo\tTA\nDi\tASSISTANT STATIONMASTER OF THE LOWER YARD");
        (await First()).ShouldBeLessThan(before * 0.8);
        await app.Change(mugs, "run", r => r["list"]!["namesTyped"] = "name\trole\nBo\tTA\nDi\tTB");
        (await First()).ShouldBe(before, 1e-9);

        // The line that is equal, in the first piece: its thinnest stroke grows and shrinks with it.
        async Task<double> First() => (double)(await app.Get($"{mugs}/pieces?from=0&count=1"))["pieces"]![0]!["thinnest"]!["width"]!;
    }

    [Fact]
    public async Task A_shirt_is_printed_in_front_and_behind_and_each_face_is_looked_at_by_itself()
    {
        const string shirts = "/api/runs/work-shirts";
        var faces = (await app.Get($"{shirts}/ground?size=M"))["faces"]!.AsArray();
        faces.Select(f => (string)f!["key"]!).ShouldBe(["front", "back"]);
        faces.Select(f => f!["sides"]!.AsArray().Select(s => (string)s!).Single()).ShouldBe(["", "side-2"]);
        // The ink of each side lies on its own face.
        var piece = (await app.Get($"{shirts}/pieces?from=2&count=1"))["pieces"]![0]!;
        foreach (var (ink, face) in new[] { (piece["inkBox"]!, faces[0]!), (piece["sides"]![0]!["inkBox"]!, faces[1]!) })
        {
            ((double)ink["minX"]!).ShouldBeGreaterThanOrEqualTo((double)face["zoneBox"]!["minX"]! - 0.01);
            ((double)ink["maxX"]!).ShouldBeLessThanOrEqualTo((double)face["zoneBox"]!["maxX"]! + 0.01);
        }

        // Moved down by 30, what is 110 high about its middle has 25 to either side of it; nothing is kept of the question.
        var url = $"{shirts}/pieces/{piece["id"]}/ghost?side=side-2&movedRight=0&movedUp=-30";
        var ghost = await app.Get(url);
        ((double)ghost["inkBox"]!["height"]!).ShouldBe(50, 0.1);
        ((double)ghost["up"]!).ShouldBe(-30, 0.1);
        ghost["rooms"]!.AsArray().Select(r => Math.Round((double)r!["distance"]!, 1)).Take(2).ShouldBe([60, 0], 0.11);
        ((double)(await app.Get($"{shirts}/pieces?from=2&count=1"))["pieces"]![0]!["sides"]![0]!["height"]!).ShouldBe(110, 0.1);

        // On the proof the two stand side by side without the cloth between, and the bench card says which is the back.
        var proof = (await app.Get($"{shirts}/proof/pieces?from=2&count=1"))["pieces"]![0]!;
        ((double)proof["zoneBox"]!["width"]!).ShouldBe(100 + 280 + (0.12 * 280), 1);
        ((double)proof["zoneBox"]!["height"]!).ShouldBe(110, 0.5);
        proof["sizes"]!.AsArray().Count.ShouldBe(2);
        var places = (await app.Get($"{shirts}/bench"))["surfaces"]![0]!["places"]!.AsArray();
        Application
            .Words(places[1]!["place"])
            .ShouldBe("Middle of the ink on the middle line of the back; the zone begins 95.0 mm below the collar seam.");
    }

    [Fact]
    public async Task Rows_of_several_sizes_are_placed_from_the_edges_of_their_own_size_and_never_made_on_another()
    {
        const string shirts = "/api/runs/work-shirts";
        var surfaces = (await app.Get($"{shirts}/bench"))["surfaces"]!.AsArray();
        surfaces.Select(s => (string)s!["size"]!).ShouldBe(["S", "XL", "M", "L"]);
        // Down from the collar all sizes have the zone at one height; up from the hem the longer ones have it higher.
        double Foot(int at) =>
            (double)surfaces[at]!["pieces"]![0]!["aboveBase"]!
            + (double)surfaces[at]!["pieces"]![0]!["height"]!
            + (double)surfaces[at]!["pieces"]![0]!["belowRim"]!;
        (Foot(1) - Foot(0)).ShouldBe(757 - 690, 2.5);
        var unknown = await app.Change(shirts, "run", r => r["list"]!["namesTyped"] = "Siân\ts\nKwabena\tXXXL");
        unknown["lacks"]!
            .AsArray()
            .Select(l => Application.Words(l!["message"]))
            .ShouldBe(["Rows of the list are of size XXXL, which Work shirt, indigo does not have. It has S, M, L, XL."]);
        await app.Change(shirts, "run", r => r["list"]!["namesTyped"] = "Siân\ts\nKwabena\txl");
        (await app.Get($"{shirts}/bench"))["surfaces"]!.AsArray().Select(s => (string)s!["size"]!).ShouldBe(["S", "XL"]);
        var shirt = await app.Change("/api/blanks/work-shirt", "blank", b =>
        {
            var measured = b["measured"]!.AsArray();
            measured.Remove(measured.Single(m => (string)m!["dimension"]! == "width" && (string)m["of"]! == "XL"));
        });
        var run = await app.Change(shirts, "run", r => r["setUp"]!["blank"]!["revision"] = (int)shirt["revision"]!);
        run["lacks"]!
            .AsArray()
            .Select(l => Application.Words(l!["message"]))
            .ShouldContain(m => m.StartsWith("Rows of the list are of size XL, which has no room to work on", StringComparison.Ordinal));
    }

    [Fact]
    public async Task A_side_that_is_the_same_on_all_is_as_large_as_fits_and_each_side_may_be_set_by_hand()
    {
        const string mugs = "/api/runs/tea-mugs";
        var (name, picture) = await Sides();
        ((double)name["letterHeight"]!).ShouldBe(16, 1e-9);
        picture["rooms"]!.AsArray().Min(r => Math.Abs((double)r!["distance"]!)).ShouldBeLessThan(0.05);
        var bench = (await app.Get($"{mugs}/bench"))["surfaces"]![0]!;
        bench["places"]!.AsArray().Select(p => (string)p!["zone"]!).ShouldBe(["Left of the handle", "Right of the handle"]);
        bench["pieces"]!.AsArray().Count.ShouldBe(8);
        // The window that pieces are shown in holds both zones, 62 to either side and 70 wide.
        ((double)(await app.Get($"{mugs}/ground"))["faces"]![0]!["zoneBox"]!["width"]!).ShouldBe(194, 1.5);
        await app.Change(mugs, "run", r => r["list"]!["pieces"]![0]!["ownOnSides"] = new JsonObject
            {
                ["side-2"] = new JsonObject { ["letterHeight"] = Mm("5"), ["up"] = Mm("2") },
            });
        var (nameNow, pictureNow) = await Sides();
        ((double)nameNow["inkBox"]!["minX"]!).ShouldBe((double)name["inkBox"]!["minX"]!, 1e-9);
        ((double)pictureNow["letterHeight"]!).ShouldBe(5, 1e-9);
        (Room(pictureNow, "below") - Room(pictureNow, "above")).ShouldBe(4, 0.02);
        ((bool)nameNow["byHand"]!).ShouldBeTrue();
        // What is noticed on a side says so, and is shown where that side lies.
        await app.Change(mugs, "run", r => r["list"]!["pieces"]![0]!["ownOnSides"]!["side-2"]!["letterHeight"] = Mm("12"));
        var over = (await Sides()).Name["findings"]!.AsArray().First(f => (string)f!["rule"]! == "outsideZone")!;
        ((string)over["side"]!).ShouldBe("side-2");
        Application.Words(over["message"]).ShouldStartWith("Right of the handle: Dilys is");
        ((double)over["places"]![0]!["x"]!).ShouldBeGreaterThan(70);

        async Task<(JsonNode Name, JsonNode Picture)> Sides() =>
            (await app.Get($"{mugs}/pieces?from=0&count=1"))["pieces"]![0] is var piece
                ? (piece!, piece!["sides"]![0]!)
                : throw new InvalidOperationException();
        static double Room(JsonNode side, string at) =>
            (double)side["rooms"]!.AsArray().Single(r => (string)r!["side"]! == at)!["distance"]!;
        static JsonObject Mm(string text) => new() { ["text"] = text, ["unit"] = "millimetre" };
    }

    private Task<JsonNode> Whole() => app.WholeSet("crew-mugs");

    [Fact]
    public async Task Rows_that_say_the_same_are_fitted_once_and_stay_pieces_of_their_own()
    {
        await app.Change("/api/runs/crew-mugs", "run", r => r["list"]!["namesTyped"] = "Ada\nAda\nAdah");
        await using var scope = app.Services.CreateAsyncScope();
        var run = (await scope.ServiceProvider.GetRequiredService<Runs.RunReader>().Find("crew-mugs", default))!;
        var fitted = app.Services.GetRequiredService<Runs.FittedPieces>();
        var pieces = run.Run.Pieces.Select(p => fitted.Of(run, p)).ToList();
        pieces.Select(p => p.Fit.Piece.Id).ShouldBeUnique();
        pieces[1].Fit.Ink.ShouldBeSameAs(pieces[0].Fit.Ink);
        pieces[2].Fit.Ink.ShouldNotBeSameAs(pieces[0].Fit.Ink);
        (await app.Loads("crew-mugs"))["loads"]!.AsArray().Sum(l => l!["pieces"]!.AsArray().Count).ShouldBe(3);
    }

    [Theory]
    [InlineData("0.1")]
    [InlineData("0.001")]
    public async Task A_name_set_so_small_that_nothing_of_it_is_left_takes_no_load_and_no_card_with_it(string height)
    {
        await app.Change("/api/runs/tea-mugs", "run", r =>
        {
            r["list"]!["pieces"]![0]!["own"]!["letterHeight"]!["text"] = height;
            r["setUp"]!["sides"] = new JsonArray(Tram(), Tram());
        });
        await app.Loads("tea-mugs");
        foreach (var view in new[] { "bench", "set", "proof/pieces?from=0&count=9" })
        {
            await app.Get($"/api/runs/tea-mugs/{view}");
        }

        static JsonObject Tram() =>
            new()
            {
                ["id"] = "side-2",
                ["motif"] = new JsonObject { ["id"] = "tram-alone", ["revision"] = 1 },
                ["zone"] = "right",
            };
    }

    [Fact]
    public async Task Letters_that_a_face_lacks_are_told_at_once_and_what_has_them_when_it_is_asked_for()
    {
        var missing = (await app.Get(Run))["list"]!["missing"]!.AsArray().ShouldHaveSingleItem();
        Application.Words(missing).ShouldBe("Kaushan Script has no “ả”, “Ọ”, in Ọláyínká, Thảo.");
        var instead = (await app.Get($"{Run}/able-typefaces")).AsArray().ShouldHaveSingleItem();
        Application.Words(instead).ShouldStartWith("Their words are set in Pacifico. Typefaces that have every letter of this list: ");
        (await app.Get("/api/runs/depot-glasses/able-typefaces")).AsArray().ShouldBeEmpty();
    }
}
