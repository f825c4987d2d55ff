using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;

namespace Cabida.Web.Tests;

/// <summary>The application on a library of its own, spoken to as the front end does: in JSON.</summary>
public sealed class Application : WebApplicationFactory<Program>
{
    private readonly string folder = Path.Combine(Path.GetTempPath(), $"cabida-{Guid.NewGuid():N}");

    public bool WithDemo { get; init; }

    /// <summary>Whether the demo is in the middle of its day.</summary>
    public bool InProgress { get; init; }

    /// <summary>Where a cutter stand-in listens; none for no cutter.</summary>
    public string CutterAt { get; init; } = "";

    /// <summary>The disk that its library lies on; null for one that never fills up.</summary>
    public FullDisk? Disk { get; init; }

    /// <summary>On a machine that builds beside the tests, working out a hundred runs takes minutes.</summary>
    protected override void ConfigureClient(HttpClient client)
    {
        base.ConfigureClient(client);
        client.Timeout = TimeSpan.FromMinutes(6);
    }

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

    /// <summary>
    /// The loads of a run, all its films together, as its plans lay them: each with its film; and what is held back or lacking.
    /// </summary>
    public async Task<JsonNode> Loads(string run)
    {
        run = run.Replace("/api/runs/", "", StringComparison.Ordinal);
        var begun = await Post($"/api/runs/{run}/plans");
        var (loads, held, lacks) = (new JsonArray(), new JsonArray(), new JsonArray());
        foreach (var lack in begun["lacks"]!.AsArray())
        {
            lacks.Add(lack!.DeepClone());
        }

        foreach (var plan in lacks.Count > 0 ? [] : begun["plans"]!.AsArray())
        {
            var view = await Get($"/api/plans/{(string)plan!["id"]!}");
            foreach (var load in view["loads"]!.AsArray())
            {
                var all = load!.DeepClone();
                all["film"] = (string)plan["film"]!;
                loads.Add(all);
            }

            Add(held, view["held"]!, "piece");
            foreach (var thing in view["things"]!.AsArray().Where(t => t!["why"] is not null))
            {
                held.Add(
                    new JsonObject
                    {
                        ["name"] = (string)thing!["name"]!,
                        ["why"] = new JsonObject { ["message"] = thing["why"]!.DeepClone() },
                    }
                );
            }

            Add(lacks, view["lacks"]!, null);
        }

        return new JsonObject
        {
            ["loads"] = loads,
            ["held"] = held,
            ["lacks"] = lacks,
        };

        // What is held back is so in every film of the run.
        static void Add(JsonArray all, JsonNode some, string? once)
        {
            foreach (var one in some.AsArray().Where(o => once is null || !all.Any(a => (string?)a![once] == (string?)o![once])))
            {
                all.Add(one!.DeepClone());
            }
        }
    }

    /// <summary>The bytes of the first load of a run, in a format.</summary>
    public async Task<HttpResponseMessage> FirstFile(string run, string query = "") =>
        await CreateClient().GetAsync($"/api/loads/{(string)(await Loads(run))["loads"]![0]!["fileId"]!}/file{query}");

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
        builder.UseSetting("DemoDay", InProgress ? "true" : "false");
        builder.UseSetting("CutterStandIn", CutterAt);
        if (Disk is { } disk)
        {
            builder.ConfigureTestServices(services =>
                services.ConfigureDbContext<Cabida.Store.CabidaContext>(o => o.AddInterceptors(disk))
            );
        }
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
