using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Text.Json.Nodes;
using Xunit.Abstractions;

namespace Cabida.Web.Tests.Fuzz;

/// <summary>
/// Spoiled documents, bodies and queries over every route of the API: no answer of 500, none that takes over five seconds,
/// nothing over which the application stumbles, and every list answers whole afterwards. Seeded: <c>CABIDA_FUZZ_SEED</c>
/// begins elsewhere, <c>CABIDA_FUZZ</c> says how many requests are spoiled. It runs beside no other test of this process, whose work
/// would be told as its own.
/// </summary>
[Collection(nameof(FuzzAlone))]
public sealed class FuzzTests(ITestOutputHelper output) : IDisposable
{
    private static readonly TimeSpan Slow = TimeSpan.FromSeconds(5);
    private static readonly TimeSpan Hang = TimeSpan.FromSeconds(60);

    private static readonly (string Kinds, string Kind)[] Documents =
    [
        ("blanks", "blank"),
        ("motifs", "motif"),
        ("films", "film"),
        ("cutters", "cutter"),
        ("jobs", "job"),
        ("runs", "run"),
        ("graphics", "graphic"),
        ("workshops", "workshop"),
    ];

    private readonly Application app = new() { WithDemo = true };
    private readonly List<string> faults = [];
    private readonly Dictionary<int, int> answered = [];
    private readonly List<(string Kinds, string Kind, string Id)> documents = [];
    private readonly List<string> ids = [];

    private static int Setting(string name, int otherwise) =>
        int.TryParse(Environment.GetEnvironmentVariable(name), NumberStyles.Integer, CultureInfo.InvariantCulture, out var n)
            ? n
            : otherwise;

    public void Dispose() => app.Dispose();

    [Fact]
    public async Task Nothing_that_is_sent_takes_anything_with_it()
    {
        var (steps, seed) = (Setting("CABIDA_FUZZ", 2000), Setting("CABIDA_FUZZ_SEED", 11));
        var random = new Random(seed);
        await Know();
        var routes = await Routes();
        var watch = Stopwatch.StartNew();
        for (var step = 0; step < steps && faults.Count < 40; step++)
        {
            switch (random.Next(10))
            {
                case < 7:
                    await SpoilDocument(random);
                    break;
                case 7 or 8:
                    await SpoilQuery(random, routes[random.Next(routes.Count)]);
                    break;
                default:
                    await SpoilBody(random, routes);
                    break;
            }

            if (step % 200 == 199)
            {
                await ListsAnswer();
            }
        }

        await ListsAnswer();
        output.WriteLine(
            $"{steps} from {seed} in {watch.Elapsed.TotalSeconds:0} s: "
                + $"{string.Join(", ", answered.OrderBy(a => a.Key).Select(a => $"{a.Value} × {a.Key}"))}"
        );
        faults.ShouldBeEmpty(string.Join('\n', faults.Take(40)));
        answered.GetValueOrDefault(200).ShouldBeGreaterThan(steps / 10);
        answered.GetValueOrDefault(422).ShouldBeGreaterThan(steps / 50);
    }

    /// <summary>The documents there are.</summary>
    private async Task Know()
    {
        foreach (var (kinds, kind) in Documents.Where(d => d.Kind is not ("run" or "workshop")))
        {
            documents.AddRange((await app.List($"/api/{kinds}")).Select(c => (kinds, kind, (string)c!["id"]!)));
        }

        documents.AddRange(
            (await app.List("/api/jobs")).SelectMany(j => j!["runs"]!.AsArray()).Select(r => ("runs", "run", (string)r!["id"]!))
        );
        documents.Add(("workshops", "workshop", (string)(await app.Get("/api/workshops"))["id"]!));
        ids.AddRange(documents.Select(d => d.Id).Append("nowhere"));
    }

    /// <summary>Every route with the names of what stands in its path and query.</summary>
    private async Task<List<(string Method, string Path, List<string> Query)>> Routes()
    {
        var api = await app.Get("/api/v1.json");
        return
        [
            .. api["paths"]!
                .AsObject()
                .SelectMany(p =>
                    p.Value!.AsObject()
                        .Select(o =>
                            (
                                o.Key.ToUpperInvariant(),
                                p.Key,
                                (o.Value!["parameters"]?.AsArray() ?? [])
                                    .Where(q => (string)q!["in"]! == "query")
                                    .Select(q => (string)q!["name"]!)
                                    .ToList()
                            )
                        )
                ),
        ];
    }

    private async Task SpoilDocument(Random random)
    {
        var (kinds, kind, id) = documents[random.Next(documents.Count)];
        var path = $"/api/{kinds}/{id}";
        var view = await app.Get(path);
        var document = view[kind]!.DeepClone();
        var mutation = new Mutation(random, ids);
        for (var i = random.Next(1, 4); i > 0; i--)
        {
            mutation.Spoil(document);
        }

        var told = $"PUT {path}: {string.Join("; ", mutation.Done)}";
        var answer = await Ask(told, HttpMethod.Put, path, document, $"\"{(int)view["revision"]!}\"");
        if (answer.Status != HttpStatusCode.OK)
        {
            // Refused: nothing of it may be there.
            if (((int)(await app.Get(path))["revision"]!) != (int)view["revision"]!)
            {
                faults.Add($"{told}: refused and kept all the same");
            }

            return;
        }

        await LookRound(random, told, kinds, id, JsonNode.Parse(answer.Body)!);
        await Ask($"undo after {told}", HttpMethod.Post, $"{path}/undo", null, "*");
    }

    /// <summary>What else shows a document that was taken.</summary>
    private async Task LookRound(Random random, string told, string kinds, string id, JsonNode view)
    {
        switch (kinds)
        {
            case "runs":
                foreach (
                    var part in new[]
                    {
                        "ground",
                        "pieces?from=0&count=3",
                        "set",
                        "loads",
                        "bench",
                        "proof",
                        "proof/pieces?from=0&count=2",
                    }.Where(_ => random.Next(3) == 0)
                )
                {
                    await Ask($"{part} after {told}", HttpMethod.Get, $"/api/runs/{id}/{part}", null, null);
                }

                if (view["run"]!["list"]!["pieces"]!.AsArray() is { Count: > 0 } pieces && random.Next(3) == 0)
                {
                    await Ask(
                        $"ghost after {told}",
                        HttpMethod.Get,
                        $"/api/runs/{id}/pieces/{(string)pieces[0]!["id"]!}/ghost?centring=box&movedRight=3",
                        null,
                        null
                    );
                }

                break;
            case "blanks" or "motifs" or "films" or "cutters":
                await InRun(random, told, kinds, id, (int)view["revision"]!);
                break;
            default:
                break;
        }

        if (random.Next(6) == 0 && kinds is not ("runs" or "workshops"))
        {
            await Ask($"list after {told}", HttpMethod.Get, $"/api/{kinds}", null, null);
        }
    }

    /// <summary>A run takes the spoiled thing as it is now.</summary>
    private async Task InRun(Random random, string told, string kinds, string id, int revision)
    {
        var kind = kinds[..^1];
        var using_ = new List<(string Id, JsonNode View)>();
        foreach (var run in documents.Where(d => d.Kind == "run"))
        {
            var view = await app.Get($"/api/runs/{run.Id}");
            if ((string?)view["run"]!["setUp"]![kind]?["id"] == id)
            {
                using_.Add((run.Id, view));
            }
        }

        if (using_.Count == 0 || random.Next(2) == 0)
        {
            return;
        }

        var (runId, seen) = using_[random.Next(using_.Count)];
        var changed = seen["run"]!.DeepClone();
        changed["setUp"]![kind]!["revision"] = revision;
        var path = $"/api/runs/{runId}";
        if (
            (await Ask($"a run takes it: {told}", HttpMethod.Put, path, changed, $"\"{(int)seen["revision"]!}\"")).Status
            == HttpStatusCode.OK
        )
        {
            foreach (var part in new[] { "ground", "pieces?from=0&count=2", "set", "loads", "bench" }.Where(_ => random.Next(2) == 0))
            {
                await Ask($"{part} of a run that took it: {told}", HttpMethod.Get, $"{path}/{part}", null, null);
            }

            await Ask($"undo of the run: {told}", HttpMethod.Post, $"{path}/undo", null, "*");
        }
    }

    private async Task SpoilQuery(Random random, (string Method, string Path, List<string> Query) route)
    {
        if (route.Method != "GET" || route.Path.Contains("pdf", StringComparison.Ordinal))
        {
            return;
        }

        var mutation = new Mutation(random, ids);
        var kinds = route.Path.Split('/')[2];
        var own = documents.Where(d => d.Kinds == kinds).Select(d => d.Id).ToList();
        var path = string.Join(
            '/',
            route
                .Path.Split('/')
                .Select(s =>
                    !s.StartsWith('{') ? s
                    : s == "{id}" && own.Count > 0 && random.Next(5) > 0 ? own[random.Next(own.Count)]
                    : Uri.EscapeDataString(Safe(mutation.Word()))
                )
        );
        var query = string.Join('&', route.Query.Select(q => $"{q}={Uri.EscapeDataString(Safe(mutation.Word()))}"));
        await Ask($"GET {path}?{query}", HttpMethod.Get, query.Length > 0 ? $"{path}?{query}" : path, null, null);
    }

    /// <summary>A word that can stand in an address at all.</summary>
    private static string Safe(string word) => word.Any(c => char.IsSurrogate(c) || c == '\0') || word.Length is 0 or > 300 ? "x" : word;

    private async Task SpoilBody(Random random, List<(string Method, string Path, List<string> Query)> routes)
    {
        var mutation = new Mutation(random, ids);
        var motif = documents.First(d => d.Kind == "motif").Id;
        (string Path, JsonNode Body) asked = random.Next(7) switch
        {
            0 => ("/api/lengths", JsonNode.Parse("""{"typed":{"text":"219","unit":"millimetre"},"range":"object"}""")!),
            1 => ($"/api/motifs/{motif}/ghost", (await app.Get($"/api/motifs/{motif}"))["motif"]!.DeepClone()),
            2 => ("/api/scanner/scan", JsonNode.Parse("""{"sheetId":"tag","dotsPerInch":75,"skew":1.5,"noise":2,"light":0.2}""")!),
            3 => (
                "/api/graphics/trace-preview",
                JsonNode.Parse("""{"pictureId":"x","name":"a","colours":2,"threshold":0.5,"withoutBackground":true,"specks":3}""")!
            ),
            4 => ("/api/blanks/file", await BlankFile(random)),
            5 => ("/api/jobs", JsonNode.Parse("""{"name":"A","customer":"B","due":"2026-12-01"}""")!),
            _ => ("/api/blanks", JsonNode.Parse("""{"name":"A","surface":"flat","outline":"oval","jobId":null}""")!),
        };
        for (var i = random.Next(1, 3); i > 0; i--)
        {
            mutation.Spoil(asked.Body);
        }

        var told = $"POST {asked.Path}: {string.Join("; ", mutation.Done)}";
        var answer = await Ask(told, HttpMethod.Post, asked.Path, asked.Body, null);
        // What it made is taken away again, so that the library stays as large as it was.
        var made =
            answer.Status != HttpStatusCode.OK
                ? []
                : asked.Path switch
                {
                    "/api/blanks/file" => JsonNode.Parse(answer.Body)!["ids"]!.AsArray().Select(n => $"/api/blanks/{n}").ToList(),
                    "/api/jobs" or "/api/blanks" => [$"{asked.Path}/{(string)JsonNode.Parse(answer.Body)!["id"]!}"],
                    _ => new List<string>(),
                };
        foreach (var path in made)
        {
            await Ask($"delete after {told}", HttpMethod.Delete, path, null, "*");
        }
    }

    private async Task<JsonNode> BlankFile(Random random)
    {
        var blanks = documents.Where(d => d.Kind == "blank").ToList();
        return await app.Get($"/api/blanks/{blanks[random.Next(blanks.Count)].Id}/file");
    }

    private async Task ListsAnswer()
    {
        foreach (var kinds in Documents.Select(d => d.Kinds).Where(k => k is not ("runs" or "workshops")))
        {
            var listing = JsonNode.Parse((await Ask($"list of {kinds}", HttpMethod.Get, $"/api/{kinds}", null, null)).Body)!;
            if (listing["broken"]!.AsArray() is { Count: > 0 } broken)
            {
                faults.Add($"{kinds} has broken ones: {broken.ToJsonString()}");
            }
        }
    }

    private async Task<(HttpStatusCode Status, string Body)> Ask(
        string told,
        HttpMethod method,
        string path,
        JsonNode? body,
        string? ifMatch
    )
    {
        for (var tried = 1; ; tried++)
        {
            // The application runs in this process: what it worked on is told from what a busy machine kept it waiting for.
            var (watch, worked) = (Stopwatch.StartNew(), Environment.CpuUsage.TotalTime);
            try
            {
                using var end = new CancellationTokenSource(Hang);
                using var answer = await app.Send(method, path, body?.DeepClone(), ifMatch, end.Token);
                var text = await answer.Content.ReadAsStringAsync(end.Token);
                answered[(int)answer.StatusCode] = answered.GetValueOrDefault((int)answer.StatusCode) + 1;
                if ((int)answer.StatusCode >= 500 || text.Contains("stumbled", StringComparison.Ordinal))
                {
                    faults.Add($"{(int)answer.StatusCode}: {told}");
                }

                if (watch.Elapsed > Slow && Environment.CpuUsage.TotalTime - worked > Slow)
                {
                    // Other work of the application meanwhile is no fault; the same three times is.
                    if (method == HttpMethod.Get && tried < 3)
                    {
                        continue;
                    }

                    faults.Add($"{watch.Elapsed.TotalSeconds:0.0} s: {told}");
                }

                return (answer.StatusCode, text);
            }
            catch (HttpRequestException fault)
            {
                // An answer that breaks off half-way: its head said 200 already.
                faults.Add($"broke off: {told}: {fault.GetBaseException().Message}");
                return (HttpStatusCode.InternalServerError, "{}");
            }
            catch (OperationCanceledException)
            {
                faults.Add($"hung: {told}");
                return (HttpStatusCode.RequestTimeout, "{}");
            }
        }
    }
}

/// <summary>What runs beside no other test.</summary>
[CollectionDefinition(nameof(FuzzAlone), DisableParallelization = true)]
[System.Diagnostics.CodeAnalysis.SuppressMessage("Naming", "CA1711", Justification = "xUnit's word.")]
public sealed class FuzzAlone;
