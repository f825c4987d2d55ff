using System.Net;
using System.Net.Sockets;
using System.Text;

namespace Cabida.Trust.Tests.Doors;

/// <summary>Who is let in: pages and programs of this computer, under its own names, and no page of another origin.</summary>
public sealed class OwnDoorTests(DoorServer door) : IClassFixture<DoorServer>
{
    private readonly Served served = door.Served;
    private readonly string data = door.Data;

    [Fact]
    public async Task A_name_that_is_not_its_own_is_answered_nothing()
    {
        foreach (var host in new[] { "evil.example", "evil.example:5310", "127.0.0.1.evil.example", "10.0.0.7", "" })
        {
            foreach (var path in new[] { "/", "/jobs", "/api/films", "/mark.svg" })
            {
                var answer = await Raw($"GET {path} HTTP/1.1\r\nHost: {host}\r\nConnection: close\r\n\r\n");
                answer.Split('\r')[0].ShouldMatch("^HTTP/1.1 4(00|21) ", $"{host} {path}");
                answer.ShouldNotContain("Navy vinyl");
            }
        }

        foreach (var host in new[] { "127.0.0.1", "localhost", "LOCALHOST", "[::1]" })
        {
            (await Raw($"GET /api/films HTTP/1.1\r\nHost: {host}:{served.Address.Port}\r\nConnection: close\r\n\r\n")).ShouldStartWith(
                "HTTP/1.1 200 "
            );
        }
    }

    [Theory]
    [InlineData("https://evil.example", null)]
    [InlineData("null", null)]
    [InlineData("http://127.0.0.1", null)]
    [InlineData("http://localhost:1", null)]
    [InlineData(null, "cross-site")]
    [InlineData(null, "same-site")]
    public async Task A_page_of_another_origin_changes_nothing_whatever_it_sends(string? origin, string? site)
    {
        var before = await served.Client.GetStringAsync("/api/films");
        foreach (
            var type in new[] { "application/json", "text/plain", "application/x-www-form-urlencoded", "multipart/form-data; boundary=x" }
        )
        {
            foreach (var (method, path) in Changing)
            {
                using var request = new HttpRequestMessage(method, path) { Content = new StringContent("{\"name\":\"Taken over\"}") };
                request.Content.Headers.Remove("Content-Type");
                request.Content.Headers.TryAddWithoutValidation("Content-Type", type);
                request.Headers.TryAddWithoutValidation("If-Match", "*");
                Says(request, "Origin", origin);
                Says(request, "Sec-Fetch-Site", site);
                using var answer = await served.Client.SendAsync(request);
                answer.StatusCode.ShouldBe(HttpStatusCode.Forbidden, $"{method} {path} {type}");
            }
        }

        (await served.Client.GetStringAsync("/api/films")).ShouldBe(before);
    }

    [Fact]
    public async Task A_page_of_another_origin_reads_nothing_and_may_only_lead_here()
    {
        (await Asked("/api/films", "cross-site", "no-cors", "image")).ShouldBe(HttpStatusCode.Forbidden);
        (await Asked("/api/films", "cross-site", "navigate", "document")).ShouldBe(HttpStatusCode.Forbidden);
        (await Asked("/jobs", "cross-site", "navigate", "iframe")).ShouldBe(HttpStatusCode.Forbidden);
        (await Asked("/jobs", "cross-site", "no-cors", "script")).ShouldBe(HttpStatusCode.Forbidden);
        // Without a front end there is no page; what counts is that it was let in.
        (await Asked("/jobs", "cross-site", "navigate", "document")).ShouldBe(HttpStatusCode.NotFound);
        (await Asked("/api/films", "same-origin", "cors", "empty")).ShouldBe(HttpStatusCode.OK);
        (await Asked("/api/films", "none", "navigate", "document")).ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task Its_own_page_changes_things()
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/films") { Content = Json("{\"name\":\"Own\"}") };
        Says(request, "Origin", served.Address.GetLeftPart(UriPartial.Authority));
        Says(request, "Sec-Fetch-Site", "same-origin");
        (await served.Client.SendAsync(request)).EnsureSuccessStatusCode();
    }

    [Theory]
    [InlineData("http://0.0.0.0:0")]
    [InlineData("http://*:0")]
    [InlineData("http://127.0.0.1:0;http://[::]:0")]
    public async Task It_does_not_start_where_others_could_reach_it(string urls)
    {
        using var other = Served.Begin(Path.Combine(data, "other"), null, "--Urls", urls);
        await other.Ended();
        other.ExitCode.ShouldBe(1);
        other.Said.ShouldContain("could be reached from other computers");
        other.Said.ShouldNotContain("   at ");
    }

    private static (HttpMethod, string)[] Changing =>
        [
            (HttpMethod.Post, "/api/films"),
            (HttpMethod.Post, "/api/demo"),
            (HttpMethod.Post, "/api/films/navy-vinyl/undo"),
            (HttpMethod.Put, "/api/films/navy-vinyl"),
            (HttpMethod.Delete, "/api/films/navy-vinyl"),
            (HttpMethod.Post, "/api/safekeeping/copies"),
            (HttpMethod.Options, "/api/films"),
        ];

    private async Task<HttpStatusCode> Asked(string path, string site, string mode, string dest)
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, path);
        Says(request, "Sec-Fetch-Site", site);
        Says(request, "Sec-Fetch-Mode", mode);
        Says(request, "Sec-Fetch-Dest", dest);
        using var answer = await served.Client.SendAsync(request);
        return answer.StatusCode;
    }

    private static void Says(HttpRequestMessage request, string name, string? value)
    {
        if (value is not null)
        {
            request.Headers.TryAddWithoutValidation(name, value);
        }
    }

    private static StringContent Json(string text) => new(text, Encoding.UTF8, "application/json");

    private async Task<string> Raw(string request)
    {
        using var client = new TcpClient();
        await client.ConnectAsync(IPAddress.Loopback, served.Address.Port);
        await using var stream = client.GetStream();
        await stream.WriteAsync(Encoding.ASCII.GetBytes(request));
        using var reader = new StreamReader(stream);
        return await reader.ReadToEndAsync();
    }
}
