using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;

namespace Cabida.Web.Tests;

/// <summary>The application on a library of its own, spoken to as the front end does: in JSON.</summary>
public sealed class Application : WebApplicationFactory<Program>
{
    private readonly string folder = Path.Combine(Path.GetTempPath(), $"cabida-{Guid.NewGuid():N}");

    public bool WithDemo { get; init; }

    public async Task<JsonNode> Get(string path) => await Read(await CreateClient().GetAsync(path));

    public async Task<JsonNode> Post(string path, object? body = null) =>
        await Read(await CreateClient().PostAsJsonAsync(path, body ?? new { }));

    /// <summary>The documents of a list, all of which can be worked out, with all their pictures.</summary>
    public async Task<JsonArray> List(string path)
    {
        while (true)
        {
            var listing = await Get(path);
            listing["broken"]!.AsArray().ShouldBeEmpty();
            var cards = listing["cards"]!.AsArray();
            if (!cards.Any(c => c!["runs"] is JsonArray runs && runs.Any(r => r!["pieces"] is null && ((string)r["todo"]!).Length == 0)))
            {
                return cards;
            }
        }
    }

    /// <summary>Takes the last step of a document back, or again, from whatever it stands at.</summary>
    public async Task<JsonNode> Step(string path, string way) => await Read(await Send(HttpMethod.Post, $"{path}/{way}", null, "*"));

    /// <summary>A request that names the revision it was made from.</summary>
    public async Task<HttpResponseMessage> Send(
        HttpMethod method,
        string path,
        JsonNode? body,
        string? ifMatch,
        CancellationToken stop = default
    )
    {
        using var request = new HttpRequestMessage(method, path);
        request.Content = body is null ? null : new StringContent(body.ToJsonString(), Encoding.UTF8, "application/json");
        if (ifMatch is not null)
        {
            request.Headers.TryAddWithoutValidation("If-Match", ifMatch);
        }

        return await CreateClient().SendAsync(request, stop);
    }

    /// <summary>Changes a document as its page does: what is edited is sent back with the revision it was made from.</summary>
    public async Task<JsonNode> Change(string path, string document, Action<JsonNode> edit)
    {
        var view = await Get(path);
        edit(view[document]!);
        return await Read(await Put(path, view[document]!, (int)view["revision"]!));
    }

    public Task<HttpResponseMessage> Put(string path, JsonNode document, int madeFrom) =>
        Send(HttpMethod.Put, path, document, $"\"{madeFrom}\"");

    /// <summary>All pieces of a run, page after page as the front end asks for them: a page is short rather than late.</summary>
    public async Task<JsonArray> Pieces(string run)
    {
        var all = new JsonArray();
        while (true)
        {
            var page = await Get($"/api/runs/{run}/pieces?from={all.Count}&count=50");
            foreach (var piece in page["pieces"]!.AsArray())
            {
                all.Add(piece!.DeepClone());
            }

            if (all.Count >= (int)page["of"]!)
            {
                return all;
            }
        }
    }

    /// <summary>The set of a run once all of it is fitted.</summary>
    public async Task<JsonNode> WholeSet(string run)
    {
        await Pieces(run);
        var set = await Get($"/api/runs/{run}/set");
        ((int)set["done"]!).ShouldBe((int)set["all"]!);
        return set;
    }

    public static string Words(JsonNode? phrase) =>
        string.Concat(
            phrase!["parts"]!
                .AsArray()
                .Select(p => p!["millimetres"] is JsonValue mm ? FormattableString.Invariant($"{(double)mm:0.0} mm") : (string)p["text"]!)
        );

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseSetting("Data", folder);
        builder.UseSetting("Demo", WithDemo ? "true" : "false");
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        if (Directory.Exists(folder))
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    private static async Task<JsonNode> Read(HttpResponseMessage response)
    {
        var text = await response.Content.ReadAsStringAsync();
        response.StatusCode.ShouldBe(HttpStatusCode.OK, text);
        return JsonNode.Parse(text)!;
    }
}
