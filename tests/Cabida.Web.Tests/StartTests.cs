using System.Diagnostics;
using System.Net.Sockets;
using System.Text.Json.Nodes;
using Cabida.Store;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace Cabida.Web.Tests;

/// <summary>Starts that are cut off, and long work that the library cannot take down.</summary>
public sealed class StartTests : IDisposable
{
    private readonly string folder = Path.Combine(Path.GetTempPath(), $"cabida-start-{Guid.NewGuid():N}");

    public StartTests() => Directory.CreateDirectory(folder);

    public void Dispose() => Directory.Delete(folder, recursive: true);

    [Fact]
    public async Task A_start_that_is_cut_off_at_any_moment_is_followed_by_one_that_works()
    {
        var random = new Random(4);
        for (var i = 0; i < 50; i++)
        {
            // Half of them on an empty folder, where all migrations are still to be done; half by Ctrl+C.
            var data = Path.Combine(folder, i % 2 == 0 ? $"fresh-{i}" : "kept");
            using (var start = Start(data, out _))
            {
                await Task.Delay(random.Next(150, 1600));
                await End(start, gently: i % 4 < 2);
            }

            if (i % 10 is 4 or 9)
            {
                using var next = Start(data, out var address);
                await Answers(address, $"after the start that was cut off as number {i}");
                await End(next, gently: true);
            }
        }
    }

    [Fact]
    public async Task Work_that_ended_the_application_twice_is_given_up()
    {
        await using var app = new Application { WithDemo = true };
        await using (var scope = app.Services.CreateAsyncScope())
        {
            var db = scope.ServiceProvider.GetRequiredService<CabidaContext>();
            var revision = (int)(await app.Get("/api/runs/crew-mugs"))["revision"]!;
            db.Works.Add(
                new WorkRow
                {
                    Kind = "fit",
                    Subject = "crew-mugs",
                    Revision = revision,
                    State = WorkState.Running,
                    Starts = 2,
                    Of = 12,
                    AskedAt = DateTime.UtcNow,
                    ChangedAt = DateTime.UtcNow,
                }
            );
            await db.SaveChangesAsync();
        }

        // Asking for the same finds it, and sets it going.
        var asked = await app.Post("/api/runs/crew-mugs/fitting");
        var told = await Last(app, "crew-mugs", (long)asked["workId"]!);
        ((string)told["state"]!).ShouldBe("failed");
        ((string)told["problem"]!).ShouldContain("ended the application twice");
    }

    [Fact]
    public async Task A_library_that_cannot_be_written_does_not_end_the_server()
    {
        await using var app = new Application { WithDemo = true };
        await Sql(app, "CREATE TRIGGER nothing_fits BEFORE UPDATE ON Works BEGIN SELECT RAISE(FAIL, 'database or disk is full'); END");
        var asked = await app.Post("/api/runs/crew-mugs/fitting");
        // What waits does not keep anything else from answering.
        for (var i = 0; i < 20; i++)
        {
            (await app.List("/api/films")).ShouldNotBeEmpty();
            await Task.Delay(50);
        }

        await Sql(app, "DROP TRIGGER nothing_fits");
        ((string)(await Last(app, "crew-mugs", (long)asked["workId"]!))["state"]!).ShouldBe("done");
    }

    private static async Task Sql(Application app, string sql)
    {
        await using var scope = app.Services.CreateAsyncScope();
        await scope.ServiceProvider.GetRequiredService<CabidaContext>().Database.ExecuteSqlRawAsync(sql);
    }

    /// <summary>The last that is told of a piece of work.</summary>
    private static async Task<JsonNode> Last(Application app, string run, long work)
    {
        var told = await app.CreateClient().GetStringAsync($"/api/runs/{run}/fitting/{work}");
        return JsonNode.Parse(told.Split('\n').Last(l => l.StartsWith("data:", StringComparison.Ordinal))[5..])!;
    }

    private static Process Start(string data, out Uri address)
    {
        using var listener = new TcpListener(System.Net.IPAddress.Loopback, 0);
        listener.Start();
        address = new Uri($"http://127.0.0.1:{((System.Net.IPEndPoint)listener.LocalEndpoint).Port}");
        listener.Stop();
        // Where the tests themselves run in the background Ctrl+C is ignored, and so it would be here.
        var start = new ProcessStartInfo("env") { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (
            var argument in new[]
            {
                "--default-signal=INT",
                "dotnet",
                Path.Combine(AppContext.BaseDirectory, "Cabida.Web.dll"),
                "--Urls",
                address.ToString(),
                "--Data",
                data,
                "--Demo",
                "true",
            }
        )
        {
            start.ArgumentList.Add(argument);
        }

        var process = Process.Start(start)!;
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
        return process;
    }

    private static async Task End(Process process, bool gently)
    {
        if (gently && !process.HasExited)
        {
            using var signal = Process.Start("kill", ["-INT", $"{process.Id}"]);
            await signal.WaitForExitAsync();
            using var patience = new CancellationTokenSource(TimeSpan.FromSeconds(60));
            await process.WaitForExitAsync(patience.Token);
            return;
        }

        process.Kill();
        await process.WaitForExitAsync();
    }

    private static async Task Answers(Uri address, string when)
    {
        using var client = new HttpClient();
        for (var tries = 0; ; tries++)
        {
            try
            {
                (await client.GetAsync(new Uri(address, "/api/films"))).EnsureSuccessStatusCode();
                return;
            }
            catch (HttpRequestException fault)
            {
                tries.ShouldBeLessThan(600, $"{when}: {fault.Message}");
                await Task.Delay(100);
            }
        }
    }
}
