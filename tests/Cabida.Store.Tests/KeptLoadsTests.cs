using Cabida.Core.Layout;
using Cabida.Core.Plans;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store.Tests;

/// <summary>Layouts that are found again, and files of released loads that are what they were or nothing.</summary>
public sealed class KeptLoadsTests : IDisposable
{
    private readonly SqliteConnection connection = new("Data Source=:memory:");
    private readonly CabidaContext db;

    public KeptLoadsTests()
    {
        connection.Open();
        db = new CabidaContext(new DbContextOptionsBuilder<CabidaContext>().UseSqlite(connection).Options);
        db.Database.Migrate();
    }

    public void Dispose()
    {
        db.Dispose();
        connection.Dispose();
    }

    [Fact]
    public async Task The_last_layouts_of_a_plan_are_found_by_what_they_were_laid_for()
    {
        var layouts = new KeptLayouts(db, TimeProvider.System);
        PlanLayout Laid(string key, double x) =>
            new(key, [new PlanLoad("sheet", [new PlanItem(ItemId.Of("a"), new RigidMotion(90, x, 0.1), -1)])], [ItemId.Of("b")], 12.5)
            {
                Stock = "sheet",
                Better = 3,
            };
        for (var i = 0; i < 20; i++)
        {
            await layouts.Keep("plan", Laid($"k{i:00}", i / 3.0));
        }

        await layouts.Keep("other", Laid("k00", 7));
        (await layouts.Find("plan", "k00")).ShouldBeNull();
        var found = (await layouts.Find("plan", "k19"))!;
        found.Loads.ShouldHaveSingleItem().Items.ShouldHaveSingleItem().At.X.ShouldBe(19 / 3.0);
        (found.Length, found.Better, found.Stock, found.NotLaid[0].Piece).ShouldBe((12.5, 3, "sheet", "b"));
        (await layouts.Last("plan"))!.Key.ShouldBe("k19");
        // Kept once more for the same it stands in place of what was there.
        await layouts.Keep("plan", Laid("k19", 100));
        (await layouts.Find("plan", "k19"))!.Loads[0].Items[0].At.X.ShouldBe(100);
        (await db.Layouts.CountAsync(l => l.PlanId == "plan")).ShouldBe(12);
        await layouts.Forget("plan");
        (await layouts.Last("plan")).ShouldBeNull();
        (await layouts.Last("other")).ShouldNotBeNull();
    }

    [Fact]
    public async Task A_file_is_kept_once_and_given_back_to_the_byte_or_not_at_all()
    {
        var files = new KeptCutFiles(db, TimeProvider.System);
        var bytes = Enumerable.Range(0, 5000).Select(i => (byte)(i * i)).ToArray();
        var hash = await files.Add(bytes);
        (await files.Add([.. bytes])).ShouldBe(hash);
        (await db.CutFiles.CountAsync()).ShouldBe(1);
        (await files.Find(hash)).ShouldBe(bytes);
        (await files.Find("none")).ShouldBeNull();
        // Bytes that were changed behind its back are not what was released.
        var other = await files.Add([1, 2, 3]);
        var packed = (await db.CutFiles.AsNoTracking().SingleAsync(f => f.Id == other)).Packed;
        await db.CutFiles.Where(f => f.Id == hash).ExecuteUpdateAsync(f => f.SetProperty(x => x.Packed, packed));
        (await files.Find(hash)).ShouldBeNull();
    }
}
