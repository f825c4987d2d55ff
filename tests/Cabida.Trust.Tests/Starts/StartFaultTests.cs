using System.Net;
using Microsoft.Data.Sqlite;

namespace Cabida.Trust.Tests.Starts;

/// <summary>Starts that cannot be: each says what it is and what to do, changes nothing, and works once it is mended.</summary>
public sealed class StartFaultTests : IDisposable
{
    private readonly string data = Served.FreshFolder();

    public void Dispose() => Directory.Delete(data, recursive: true);

    [Fact]
    public async Task A_second_one_on_the_same_library_says_where_the_first_is()
    {
        using var first = await Served.Start(data);
        using var second = Served.Begin(data);
        await second.Ended();
        second.ExitCode.ShouldBe(1);
        second.Said.ShouldContain($"open at {first.Address.GetLeftPart(UriPartial.Authority)}");
        second.Said.ShouldNotContain("   at Cabida");
        await first.Get("/api/films");

        // One that was killed leaves no lock behind.
        first.Kill();
        using var third = await Served.Start(data);
        await third.Get("/api/films");
    }

    [Fact]
    public async Task A_port_that_is_taken_is_named()
    {
        using var first = await Served.Start(data);
        using var second = Served.Begin(Path.Combine(data, "other"), first.Address.Port);
        await second.Ended();
        second.ExitCode.ShouldBe(1);
        second.Said.ShouldContain($"127.0.0.1:{first.Address.Port}");
        second.Said.ShouldContain("--Urls");
        second.Said.ShouldNotContain("   at Cabida");
    }

    [Fact]
    public async Task A_library_of_a_newer_version_is_left_as_it_is()
    {
        using (var served = await Served.Start(data))
        {
            await served.Post("/api/films", new { name = "Kept" });
            await served.Interrupt();
        }

        foreach (
            var newer in new[] { "PRAGMA user_version = 99", "INSERT INTO __EFMigrationsHistory VALUES ('29991231000000_Later', '99.0.0')" }
        )
        {
            Sql(newer);
            var before = await File.ReadAllBytesAsync(Path.Combine(data, "cabida.db"));
            using (var held = await Served.Start(data))
            {
                var told = (await held.Get("/api/safekeeping"))["held"]!;
                ((string)told["by"]!).ShouldBe("newer");
                (await held.Client.PostAsync("/api/films", null)).StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);
                await held.Interrupt();
            }

            (await File.ReadAllBytesAsync(Path.Combine(data, "cabida.db"))).ShouldBe(before);
            Sql("PRAGMA user_version = 1", "DELETE FROM __EFMigrationsHistory WHERE MigrationId LIKE '2999%'");
        }

        using var again = await Served.Start(data);
        (await again.Get("/api/films"))["cards"]!.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_data_folder_that_is_none_is_told_of_and_tried_again()
    {
        var place = Path.Combine(data, "library");
        await File.WriteAllTextAsync(place, "not a folder");
        using var held = await Served.Start(place);
        ((string)(await held.Get("/api/safekeeping"))["held"]!["by"]!).ShouldBe("closed");
        File.Delete(place);
        (await held.Post("/api/safekeeping/open"))["held"].ShouldBeNull();
        await held.Post("/api/films", new { name = "Kept" });
    }

    [Fact]
    public async Task A_clock_that_was_set_back_is_told_of_and_changes_no_order()
    {
        using (var served = await Served.Start(data))
        {
            await served.Post("/api/films", new { name = "Kept" });
            await served.Interrupt();
        }

        Sql("UPDATE ChangeSets SET At = '2041-05-06 07:08:09'");
        using var later = await Served.Start(data);
        ((int)(await later.Get("/api/safekeeping"))["clockBehind"]!).ShouldBeGreaterThan(60);
        var film = await later.Post("/api/films", new { name = "Next" });
        await later.Post("/api/safekeeping/copies");
        (await later.Get("/api/safekeeping"))["copies"]!.AsArray().Count(c => (bool)c!["isAsNow"]!).ShouldBe(1);
        ((string)film["film"]!["name"]!).ShouldBe("Next");
    }

    private void Sql(params string[] statements)
    {
        using var connection = new SqliteConnection($"Data Source={Path.Combine(data, "cabida.db")};Pooling=False");
        connection.Open();
        foreach (var statement in statements)
        {
            using var command = connection.CreateCommand();
            command.CommandText = statement;
            command.ExecuteNonQuery();
        }
    }
}
