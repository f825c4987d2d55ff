using Cabida.Core.Runs;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store.Tests;

/// <summary>A run is kept in three rows and is one document all the same.</summary>
public sealed class DividedRunTests : IDisposable
{
    private readonly LibraryFile file = new();

    public void Dispose() => file.Dispose();

    [Fact]
    public async Task A_change_writes_the_rows_it_is_of_and_undo_goes_back_through_all_of_them_in_order()
    {
        var id = await Added("Bram\nSiân");
        await Change(id, r => r with { List = r.List with { NamesTyped = "Bram" } });
        await Change(id, r => r with { SetUp = r.SetUp with { Name = "Mugs" } });
        await Change(id, r => r with { Verdicts = r.Verdicts.With("0", new Verdict(false, "larger", "", 0)) });
        await Change(id, r => r with { List = r.List with { NamesTyped = "Bram\nOla" } });
        (await Rows(id)).ShouldBe([("list", 3), ("run", 2), ("verdicts", 2)]);

        (await Step(id, undo: true)).List.NamesTyped.ShouldBe("Bram");
        (await Step(id, undo: true)).Verdicts.Said.ShouldBeEmpty();
        (await Step(id, undo: true)).SetUp.Name.ShouldBe("Run");
        (await Step(id, undo: true)).List.NamesTyped.ShouldBe("Bram\nSiân");
        (await file.Library().Undo(DocumentKinds.Run, id)).Refused.ShouldBe(Refusal.NothingThere);
        (await Step(id, undo: false)).List.NamesTyped.ShouldBe("Bram");
        (await Step(id, undo: false)).SetUp.Name.ShouldBe("Mugs");
        // Another change ends what could be done again, in all rows.
        await Change(id, r => r with { SetUp = r.SetUp with { Name = "Cups" } });
        (await file.Library().Redo(DocumentKinds.Run, id)).Refused.ShouldBe(Refusal.NothingThere);
        (await Step(id, undo: true)).SetUp.Name.ShouldBe("Mugs");
        (await Step(id, undo: false)).SetUp.Name.ShouldBe("Cups");
    }

    [Fact]
    public async Task Two_windows_that_change_different_rows_still_do_not_overtake_one_another()
    {
        var id = await Added("Bram");
        var seen = (await file.Library().Find(DocumentKinds.Run, id))!;
        await Change(id, r => r with { List = r.List with { NamesTyped = "Ola" } });
        var late = seen.Document with { SetUp = seen.Document.SetUp with { Name = "Late" } };
        var refused = await file.Library().Save(DocumentKinds.Run, id, seen.Revision, late);
        (refused.Refused, refused.Changed!.Single()).ShouldBe((Refusal.Stale, "namesTyped"));
    }

    [Fact]
    public async Task It_is_removed_whole_and_comes_back_whole()
    {
        var id = await Added("Bram");
        await file.Library().Remove(DocumentKinds.Run, id);
        await using (var db = file.Open())
        {
            (await db.Documents.CountAsync(d => d.Id == id)).ShouldBe(0);
        }

        (await Step(id, undo: true)).List.NamesTyped.ShouldBe("Bram");
        (await file.Library().At(DocumentKinds.Run, id, 3))!.List.NamesTyped.ShouldBe("Bram");
        (await file.Library().At(DocumentKinds.Run, id, 2)).ShouldBeNull();
    }

    [Fact]
    public async Task A_hundred_saves_of_a_list_of_a_thousand_names_cost_little_and_each_can_be_undone()
    {
        var names = Enumerable.Range(0, 1000).Select(i => $"Wanderley {i * 7919 % 1000} of carriage {i}").ToList();
        var id = await Added(string.Join('\n', names));
        var before = await Bytes();
        for (var i = 0; i < 100; i++)
        {
            names[37 * i % 1000] += (char)('a' + (i % 26));
            var typed = string.Join('\n', names);
            await Change(id, r => r with { List = LibraryFile.RunOf("", typed).List });
        }

        (await Bytes() - before).ShouldBeLessThan(2_000_000);
        for (var i = 99; i >= 0; i--)
        {
            var changed = 37 * i % 1000;
            (await Step(id, undo: true)).List.Pieces[changed].Name.ShouldBe(names[changed] = names[changed][..^1]);
        }
    }

    private async Task<long> Bytes()
    {
        await using var db = file.Open();
        return await db.Revisions.SumAsync(r => (long)(r.Packed == null ? 0 : r.Packed.Length) + (r.Json == null ? 0 : r.Json.Length));
    }

    private async Task<string> Added(string names) =>
        (await file.Library().Add(DocumentKinds.Run, LibraryFile.RunOf(await file.AddJob(), names))).Id;

    private async Task Change(string id, Func<Run, Run> change)
    {
        var stored = (await file.Library().Find(DocumentKinds.Run, id))!;
        var written = await file.Library().Save(DocumentKinds.Run, id, stored.Revision, change(stored.Document));
        (written.Refused, written.Revision).ShouldBe((null, stored.Revision + 1));
    }

    private async Task<Run> Step(string id, bool undo)
    {
        var written = undo ? await file.Library().Undo(DocumentKinds.Run, id) : await file.Library().Redo(DocumentKinds.Run, id);
        written.Refused.ShouldBeNull();
        return written.Stored!.Document;
    }

    private async Task<List<(string, int)>> Rows(string id)
    {
        await using var db = file.Open();
        return [.. (await db.Documents.Where(d => d.Id == id).OrderBy(d => d.Kind).ToListAsync()).Select(d => (d.Kind, d.Revision))];
    }
}
