using System.Globalization;
using System.IO.Compression;
using System.Net;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Xunit.Abstractions;

namespace Cabida.Trust.Tests.Kills;

/// <summary>
/// Power cuts at random moments: while several write, while copies are made, while one is brought back, while an earlier library is brought
/// to the form of now. Whatever was answered before is there afterwards. A few by default; CABIDA_MINUTES says for how long instead.
/// </summary>
public sealed class KillTests(ITestOutputHelper told) : IDisposable
{
    private const int Writers = 6;
    private const int Few = 6;

    private readonly string data = Served.FreshFolder();

    public void Dispose() => Directory.Delete(data, recursive: true);

    [Fact]
    public async Task Nothing_that_was_answered_is_lost_whenever_the_power_goes()
    {
        var (kept, random) = (new Kept(), new Random(Seed));
        var until = Minutes is { } minutes ? DateTime.UtcNow.AddMinutes(minutes) : (DateTime?)null;
        var kills = 0;
        for (; until is { } end ? DateTime.UtcNow < end : kills < Few; kills++)
        {
            var when = $"kill {kills} of seed {Seed}";
            kept.Open();
            using (var served = Served.Begin(data))
            {
                // Now and then in the middle of the start itself.
                if (kills % 6 == 5)
                {
                    await Task.Delay(random.Next(100, 2500));
                }
                else
                {
                    await served.Answers();
                    using var stop = new CancellationTokenSource();
                    var work = Enumerable.Range(0, Writers).Select(w => Write(served, w, kills, kept, stop.Token)).ToList();
                    work.Add(kills % 2 == 0 ? Copy(served, stop.Token) : BringBack(served, kept, random, stop.Token));
                    await Task.Delay(random.Next(200, 2500));
                    served.Kill();
                    await stop.CancelAsync();
                    await Task.WhenAll(work);
                }
            }

            // What a bringing back was in the middle of, the next start finishes.
            if (File.Exists(Path.Combine(data, "bringing-back.json")))
            {
                using var finishes = await Served.Start(data);
                await finishes.Get("/api/films");
            }

            await kept.IsAllThere(data, when);
        }

        told.WriteLine($"{kills} kills, {kept.Count} answered changes in the library that is left, none lost");
        kept.Count.ShouldBeGreaterThan(0);
    }

    [Fact]
    public async Task An_earlier_library_comes_up_however_often_its_first_start_is_cut_off()
    {
        var random = new Random(Seed);
        var earlier = Path.Combine(data, "cabida.db");
        await using (
            var from = new GZipStream(
                File.OpenRead(Path.Combine(AppContext.BaseDirectory, "Earlier", "1-one-zone.db.gz")),
                CompressionMode.Decompress
            )
        )
        await using (var to = File.Create(earlier))
        {
            await from.CopyToAsync(to);
        }

        for (var i = 0; i < (Minutes is null ? 4 : 40); i++)
        {
            using var served = Served.Begin(data);
            await Task.Delay(random.Next(300, 2200));
            served.Kill();
        }

        using var whole = await Served.Start(data);
        (await whole.Get("/api/safekeeping"))["held"].ShouldBeNull(whole.Said);
        (await whole.Get("/api/runs/crew-mugs"))["run"].ShouldNotBeNull();
        // One copy of it was made before it was changed, and is what it was.
        var copy = Directory.GetFiles(Path.Combine(data, "copies"), "*-upgrade.db").ShouldHaveSingleItem();
        await using var then = new SqliteConnection($"Data Source={copy};Mode=ReadOnly;Pooling=False");
        await then.OpenAsync();
        await using var command = then.CreateCommand();
        command.CommandText = "SELECT COUNT(*) FROM __EFMigrationsHistory";
        ((long)(await command.ExecuteScalarAsync())!).ShouldBe(1);
    }

    /// <summary>Writes films and renames them, one request after the other, and notes what was answered.</summary>
    private static async Task Write(Served served, int writer, int round, Kept kept, CancellationToken stop)
    {
        try
        {
            var film = await served.Post("/api/films", new { name = $"{round} {writer}" });
            var id = (string)film["id"]!;
            kept.Add(id, (int)film["revision"]!, $"{round} {writer}");
            for (var n = 1; !stop.IsCancellationRequested; n++)
            {
                var name = $"{round} {writer} {n}";
                film["film"]!["name"] = name;
                using var answer = await served.Put($"/api/films/{id}", film["film"]!, $"\"{(int)film["revision"]!}\"");
                if (answer.StatusCode != HttpStatusCode.OK)
                {
                    return;
                }

                film = JsonNode.Parse(await answer.Content.ReadAsStringAsync(CancellationToken.None))!;
                kept.Add(id, (int)film["revision"]!, name);
            }
        }
        catch (Exception fault)
            when (fault is HttpRequestException or IOException or ShouldAssertException or System.Text.Json.JsonException)
        {
            // It was killed in the middle of an answer, or is beginning anew.
        }
    }

    private static async Task Copy(Served served, CancellationToken stop)
    {
        try
        {
            while (!stop.IsCancellationRequested)
            {
                await served.Post("/api/safekeeping/copies");
            }
        }
        catch (Exception fault) when (fault is HttpRequestException or IOException or ShouldAssertException)
        {
            // It was killed in the middle of it.
        }
    }

    /// <summary>Makes a copy and brings it back while others write: from then on what counts is what the copy holds.</summary>
    private static async Task BringBack(Served served, Kept kept, Random random, CancellationToken stop)
    {
        try
        {
            await Task.Delay(random.Next(100, 700), stop);
            var then = kept.Now();
            var copy = (string)
                (await served.Post("/api/safekeeping/copies"))["copies"]!.AsArray().MaxBy(c => (string)c!["name"]!)!["name"]!;
            kept.CloseAt(then);
            await served.Post($"/api/safekeeping/copies/{copy}/bring-back");
        }
        catch (Exception fault) when (fault is HttpRequestException or IOException or ShouldAssertException or OperationCanceledException)
        {
            // It was killed in the middle of it.
        }
    }

    private static double? Minutes =>
        double.TryParse(Environment.GetEnvironmentVariable("CABIDA_MINUTES"), CultureInfo.InvariantCulture, out var m) ? m : null;

    private static int Seed => int.TryParse(Environment.GetEnvironmentVariable("CABIDA_SEED"), out var seed) ? seed : 17;
}
