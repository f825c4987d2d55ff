using System.Net;
using System.Text.Json.Nodes;

namespace Cabida.Trust.Tests.Copies;

/// <summary>A copy brought back while the application runs, from a start that found no library, and from one that is damaged.</summary>
public sealed class BringingBackTests : IDisposable
{
    private readonly string data = Served.FreshFolder();

    public void Dispose() => Directory.Delete(data, recursive: true);

    [Fact]
    public async Task A_copy_brings_back_what_was_and_what_is_now_can_be_come_back_to()
    {
        using var served = await Served.Start(data);
        var first = await Film(served, "Kept");
        var early = await Copy(served);
        await Film(served, "Later");
        var line = await Line(served);
        (await served.Client.PostAsync($"/api/safekeeping/copies/{early}/bring-back", null)).StatusCode.ShouldBe(HttpStatusCode.Accepted);
        await Until(served, async () => await Line(served) is { Length: > 0 } now && now != line);
        (await Names(served)).ShouldBe(["Kept"]);

        // A page that was open before it writes nothing into what it does not know.
        using var stale = new HttpRequestMessage(HttpMethod.Post, $"/api/films/{first}/undo");
        stale.Headers.Add("Cabida-Line", line);
        stale.Headers.TryAddWithoutValidation("If-Match", "*");
        (await served.Client.SendAsync(stale)).StatusCode.ShouldBe(HttpStatusCode.Conflict);

        // What was there is set aside, and a copy of it was made.
        Directory.GetDirectories(Path.Combine(data, "set-aside")).Length.ShouldBe(1);
        var copies = (await served.Get("/api/safekeeping"))["copies"]!.AsArray();
        var before = copies.Single(c => (string)c!["occasion"]! == "restore")!;
        ((string)before["holds"]!).ShouldBe("2 films");
        line = await Line(served);
        await served.Client.PostAsync($"/api/safekeeping/copies/{(string)before["name"]!}/bring-back", null);
        await Until(served, async () => await Line(served) is { Length: > 0 } now && now != line);
        (await Names(served)).ShouldBe(["Kept", "Later"]);
    }

    [Fact]
    public async Task A_copy_is_whole_by_itself_while_the_library_is_not()
    {
        using var served = await Served.Start(data);
        await Film(served, "Kept");
        var copy = await Copy(served);
        var elsewhere = Path.Combine(data, "elsewhere");
        Directory.CreateDirectory(elsewhere);
        File.Copy(Path.Combine(data, "copies", copy), Path.Combine(elsewhere, "cabida.db"));
        using var other = await Served.Start(elsewhere);
        (await Names(other)).ShouldBe(["Kept"]);
    }

    [Fact]
    public async Task A_library_that_is_damaged_or_gone_is_told_of_and_a_copy_takes_its_place()
    {
        var served = await Served.Start(data);
        try
        {
            await Film(served, "Kept");
            var copy = await Copy(served);
            var aside = 0;
            foreach (var how in new[] { "cut", "zeroes", "garbage", "empty", "gone" })
            {
                await served.Interrupt();
                served.Dispose();
                Damage(how);
                served = await Served.Start(data);
                var told = (await served.Get("/api/safekeeping"))["held"].ShouldNotBeNull(how);
                ((string)told["by"]!).ShouldBe(how == "gone" ? "missing" : "damaged");
                ((string)told["advice"]!).ShouldContain("ring back");
                // Nothing is answered from it, and nothing written to it.
                var films = await served.Client.GetAsync("/api/films");
                films.StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);
                JsonNode.Parse(await films.Content.ReadAsStringAsync())!["title"]!.GetValue<string>().ShouldBe((string)told["title"]!);
                // Trying again does not make it whole.
                (await served.Post("/api/safekeeping/open"))["held"].ShouldNotBeNull();
                (await served.Client.PostAsync($"/api/safekeeping/copies/{copy}/bring-back", null)).StatusCode.ShouldBe(
                    HttpStatusCode.Accepted
                );
                await Until(served, async () => (await Names(served)).SequenceEqual(["Kept"]));
                aside += how is "gone" ? 0 : 1;
                Directory.GetFiles(data, "cabida.db", SearchOption.AllDirectories).Length.ShouldBe(1 + aside, how);
            }
        }
        finally
        {
            served.Dispose();
        }
    }

    [Fact]
    public async Task An_empty_one_is_begun_only_where_there_is_none_and_only_when_asked()
    {
        using (var served = await Served.Start(data))
        {
            await Film(served, "Kept");
            await Copy(served);
            (await served.Client.PostAsync("/api/safekeeping/begin", null)).StatusCode.ShouldBe(HttpStatusCode.Conflict);
            await served.Interrupt();
        }

        Damage("gone");
        using var held = await Served.Start(data);
        (await held.Post("/api/safekeeping/begin"))["held"].ShouldBeNull();
        (await Names(held)).ShouldBeEmpty();
        (await held.Get("/api/safekeeping"))["copies"]!.AsArray().ShouldNotBeEmpty();
    }

    [Fact]
    public async Task A_copy_that_is_not_whole_any_more_is_not_brought_back()
    {
        using var served = await Served.Start(data);
        await Film(served, "Kept");
        var copy = await Copy(served);
        var path = Path.Combine(data, "copies", copy);
        var bytes = await File.ReadAllBytesAsync(path);
        bytes.AsSpan(bytes.Length / 2, 8192).Fill(0xA5);
        await File.WriteAllBytesAsync(path, bytes);
        ((bool)(await served.Post($"/api/safekeeping/copies/{copy}/check"))["isWhole"]!).ShouldBeFalse();
        var answer = await served.Client.PostAsync($"/api/safekeeping/copies/{copy}/bring-back", null);
        answer.StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await Names(served)).ShouldBe(["Kept"]);
        (await served.Client.PostAsync("/api/safekeeping/copies/..%2Fcabida.db/bring-back", null)).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task Copies_go_to_a_second_folder_and_what_hinders_that_is_told()
    {
        using var served = await Served.Start(data);
        await Film(served, "Kept");
        var second = Path.Combine(data, "..", Path.GetFileName(data) + "-second");
        (await Chosen(served, second)).ShouldContain("no such folder");
        (await Chosen(served, data)).ShouldContain("where the library itself lies");
        (await Chosen(served, "second")).ShouldContain("from the root on");
        (await Chosen(served, Path.Combine(data, "copies"))).ShouldContain("where the library itself lies");
        (await Chosen(served, Path.Combine(data, "machine.json"))).ShouldContain("a file, not a folder");
        Directory.CreateDirectory(second);
        try
        {
            (await Chosen(served, second)).ShouldBeEmpty();
            Directory.GetFiles(second, "cabida-*.db").Length.ShouldBe(1);
            Directory.Delete(second, recursive: true);
            await Film(served, "Later");
            await Copy(served);
            ((string)(await served.Get("/api/safekeeping"))["secondProblem"]!).ShouldContain("Is its disk plugged in?");
            Directory.CreateDirectory(second);
            await Film(served, "Last");
            await Copy(served);
            ((string)(await served.Get("/api/safekeeping"))["secondProblem"]!).ShouldBeEmpty();
            Directory.GetFiles(second, "cabida-*.db").Length.ShouldBe(1);
        }
        finally
        {
            Directory.Delete(second, recursive: true);
        }
    }

    private void Damage(string how)
    {
        var library = Path.Combine(data, "cabida.db");
        var bytes = File.ReadAllBytes(library);
        switch (how)
        {
            case "cut":
                File.WriteAllBytes(library, bytes[..(bytes.Length / 2)]);
                break;
            case "zeroes":
                bytes.AsSpan(4096, 16384).Clear();
                File.WriteAllBytes(library, bytes);
                break;
            case "garbage":
                new Random(1).NextBytes(bytes.AsSpan(0, 4096));
                File.WriteAllBytes(library, bytes);
                break;
            case "empty":
                File.WriteAllBytes(library, []);
                break;
            default:
                File.Delete(library);
                break;
        }

        File.Delete(library + "-wal");
        File.Delete(library + "-shm");
    }

    private static async Task<string> Film(Served served, string name) => (string)(await served.Post("/api/films", new { name }))["id"]!;

    private static async Task<string> Copy(Served served) =>
        (string)(await served.Post("/api/safekeeping/copies"))["copies"]!.AsArray().MaxBy(c => (string)c!["name"]!)!["name"]!;

    private static async Task<string> Line(Served served)
    {
        using var answer = await served.Client.GetAsync("/api/films");
        return answer.Headers.TryGetValues("Cabida-Line", out var line) ? line.Single() : "";
    }

    private static async Task<string[]> Names(Served served) =>
        [.. (await served.Get("/api/films"))["cards"]!.AsArray().Select(c => (string)c!["film"]!["name"]!)];

    private static async Task<string> Chosen(Served served, string folder)
    {
        using var answer = await served.Client.PutAsync(
            "/api/safekeeping/second",
            new StringContent(new JsonObject { ["folder"] = folder }.ToJsonString(), System.Text.Encoding.UTF8, "application/json")
        );
        return answer.IsSuccessStatusCode ? "" : (string)JsonNode.Parse(await answer.Content.ReadAsStringAsync())!["detail"]!;
    }

    /// <summary>Waits for something that comes true once the application has begun anew.</summary>
    private static async Task Until(Served served, Func<Task<bool>> isSo)
    {
        for (var i = 0; ; i++)
        {
            try
            {
                if (await isSo())
                {
                    return;
                }
            }
            catch (Exception fault) when (fault is HttpRequestException or ShouldAssertException)
            {
                // Between the end and the beginning nobody answers.
            }

            i.ShouldBeLessThan(1200, served.Said);
            await Task.Delay(50);
        }
    }
}
