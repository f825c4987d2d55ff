using Microsoft.EntityFrameworkCore;

namespace Cabida.Store.Tests;

/// <summary>What follows from the library is kept beside it, bounded, and may be thrown away.</summary>
public sealed class DerivedTests : IDisposable
{
    private readonly string file = Path.Combine(Path.GetTempPath(), $"derived-{Guid.NewGuid():N}.db");

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        foreach (var each in Directory.GetFiles(Path.GetTempPath(), Path.GetFileName(file) + "*"))
        {
            File.Delete(each);
        }
    }

    private async Task<DerivedContext> Open()
    {
        var context = new DerivedContext(new DbContextOptionsBuilder<DerivedContext>().UseSqlite($"Data Source={file}").Options);
        await context.Prepare();
        return context;
    }

    private static Dictionary<string, byte[]> Fits(params string[] keys) => keys.ToDictionary(k => k, _ => new byte[100]);

    [Fact]
    public async Task It_survives_a_restart_and_is_made_anew_when_it_is_damaged_or_of_another_form()
    {
        await using (var first = await Open())
        {
            await new KeptFits(first, TimeProvider.System).Keep(Fits("a", "b"));
        }

        await using (var again = await Open())
        {
            (await new KeptFits(again, TimeProvider.System).Find(["b", "c"])).Keys.ShouldBe(["b"]);
            await again.Database.ExecuteSqlRawAsync("PRAGMA user_version = 99");
        }

        await using (var other = await Open())
        {
            (await other.Fits.CountAsync()).ShouldBe(0);
            await new KeptFits(other, TimeProvider.System).Keep(Fits("a"));
        }

        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        await File.WriteAllBytesAsync(file, [.. Enumerable.Repeat((byte)7, 9000)]);
        await using var anew = await Open();
        (await anew.Fits.CountAsync()).ShouldBe(0);
        await new KeptFits(anew, TimeProvider.System).Keep(Fits("a"));
        (await anew.Fits.CountAsync()).ShouldBe(1);
    }

    [Fact]
    public async Task The_oldest_go_when_there_are_too_many_and_what_is_kept_again_stays()
    {
        await using var context = await Open();
        var clock = new StepClock();
        var kept = new KeptFits(context, clock);
        for (var i = 0; i < 10; i++)
        {
            await kept.Keep(Fits($"k{i}"), 1000);
        }

        (await context.Fits.CountAsync()).ShouldBe(10);
        await kept.Keep(Fits("k0"), 1000);
        await kept.Keep(Fits("k10"), 1000);
        var left = await context.Fits.Select(f => f.Key).ToListAsync();
        left.ShouldContain("k0");
        left.ShouldContain("k10");
        left.ShouldNotContain("k1");
        left.Count.ShouldBeInRange(6, 9);
    }

    private sealed class StepClock : TimeProvider
    {
        private DateTimeOffset now = new(2026, 1, 1, 0, 0, 0, TimeSpan.Zero);

        public override DateTimeOffset GetUtcNow() => now = now.AddSeconds(1);
    }
}
