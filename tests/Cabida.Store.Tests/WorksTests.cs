using Cabida.Store.Rows;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store.Tests;

public sealed class WorksTests : IDisposable
{
    private readonly SqliteConnection connection = new("Data Source=:memory:");
    private readonly CabidaContext db;
    private readonly Works works;

    public WorksTests()
    {
        connection.Open();
        db = new CabidaContext(new DbContextOptionsBuilder<CabidaContext>().UseSqlite(connection).Options);
        db.Database.Migrate();
        works = new Works(db, TimeProvider.System);
    }

    public void Dispose()
    {
        db.Dispose();
        connection.Dispose();
    }

    [Fact]
    public async Task The_same_work_is_not_asked_for_twice_and_newer_work_stops_older()
    {
        var one = await works.Ask("fit", "run", 3, 500);
        (await works.Ask("fit", "run", 3, 500)).Id.ShouldBe(one.Id);
        var newer = await works.Ask("fit", "run", 4, 501);
        newer.Id.ShouldNotBe(one.Id);
        (await works.Find(one.Id))!.State.ShouldBe(WorkState.Stopped);
        (await works.Next("fit"))!.Id.ShouldBe(newer.Id);
    }

    [Fact]
    public async Task What_a_restart_interrupted_is_taken_up_before_what_waits()
    {
        var first = await works.Ask("fit", "a", 1, 10);
        var second = await works.Ask("fit", "b", 1, 10);
        (await works.Report(second.Id, 4, WorkState.Running)).ShouldBeTrue();
        // Another context, as after a restart.
        using var again = new CabidaContext(new DbContextOptionsBuilder<CabidaContext>().UseSqlite(connection).Options);
        var next = (await new Works(again, TimeProvider.System).Next("fit"))!;
        next.Id.ShouldBe(second.Id);
        next.Done.ShouldBe(4);
        await works.Report(second.Id, 10, WorkState.Done);
        (await works.Next("fit"))!.Id.ShouldBe(first.Id);
    }

    [Fact]
    public async Task Stopped_work_stays_stopped_whatever_is_reported_of_it()
    {
        var work = await works.Ask("fit", "run", 1, 10);
        await works.Stop(work.Id);
        (await works.Report(work.Id, 9, WorkState.Done)).ShouldBeFalse();
        (await works.Find(work.Id))!.State.ShouldBe(WorkState.Stopped);
        (await works.Next("fit")).ShouldBeNull();
    }
}
