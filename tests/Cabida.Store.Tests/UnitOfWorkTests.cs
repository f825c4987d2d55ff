using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Stock;

namespace Cabida.Store.Tests;

/// <summary>Changes of several documents at once, and what may refer to what.</summary>
public sealed class UnitOfWorkTests : IDisposable
{
    private readonly LibraryFile file = new();

    public void Dispose() => file.Dispose();

    [Fact]
    public async Task A_change_of_several_documents_is_undone_and_done_again_as_one_from_the_page_of_any_of_them()
    {
        var (one, two) = (await file.AddJob("one"), await file.AddJob("two"));
        var unit = new UnitOfWork("Mend both")
            .Put(DocumentKinds.Job, one, Named("one, mended"), 1)
            .Put(DocumentKinds.Job, two, Named("two, mended"), 1)
            .Put(DocumentKinds.Job, "three", Named("three"), 0);
        (await file.Library().Make(unit)).Refused.ShouldBeNull();
        (await Names(one, two, "three")).ShouldBe(["one, mended", "two, mended", "three"]);

        (await file.Library().Undo(DocumentKinds.Job, two, 2)).Stored!.Document.Name.ShouldBe("two");
        (await Names(one, two, "three")).ShouldBe(["one", "two", null]);

        (await file.Library().Redo(DocumentKinds.Job, one, 3)).Stored!.Document.Name.ShouldBe("one, mended");
        (await Names(one, two, "three")).ShouldBe(["one, mended", "two, mended", "three"]);
    }

    [Fact]
    public async Task It_is_undone_in_none_where_one_of_them_was_changed_since_and_says_which()
    {
        var (one, two) = (await file.AddJob("one"), await file.AddJob("two"));
        await file.Library()
            .Make(new UnitOfWork("Both").Put(DocumentKinds.Job, one, Named("one!")).Put(DocumentKinds.Job, two, Named("two!")));
        await file.Library().Save(DocumentKinds.Job, two, 2, Named("two, later"));

        var refused = await file.Library().Undo(DocumentKinds.Job, one);
        refused.Refused.ShouldBe(Refusal.OvertakenElsewhere);
        refused.UsedBy.ShouldBe(["two, later"]);
        (await Names(one, two)).ShouldBe(["one!", "two, later"]);

        // Once the later change is taken back, the step is open again, from either page.
        await file.Library().Undo(DocumentKinds.Job, two);
        (await file.Library().Undo(DocumentKinds.Job, one)).Refused.ShouldBeNull();
        (await Names(one, two)).ShouldBe(["one", "two"]);
        (await file.Library().Redo(DocumentKinds.Job, two)).Refused.ShouldBeNull();
        (await Names(one, two)).ShouldBe(["one!", "two!"]);
    }

    [Fact]
    public async Task All_of_it_is_kept_or_none()
    {
        var job = await file.AddJob("one");
        var dangling = new UnitOfWork("Half")
            .Put(DocumentKinds.Job, job, Named("changed"))
            .Put(DocumentKinds.Run, "run", LibraryFile.RunOf("none such"));
        var refused = await file.Library().Make(dangling);
        (refused.Refused, refused.Missing![0].To).ShouldBe((Refusal.Dangling, new Reference("job", "none such")));
        (await file.Library().Find(DocumentKinds.Job, job))!.Revision.ShouldBe(1);
        (await file.Library().Find(DocumentKinds.Run, "run")).ShouldBeNull();

        var stale = new UnitOfWork("Late").Put(DocumentKinds.Job, "new", Named("new")).Put(DocumentKinds.Job, job, Named("late"), 7);
        (await file.Library().Make(stale)).Refused.ShouldBe(Refusal.Stale);
        (await Names(job, "new")).ShouldBe(["one", null]);
    }

    [Fact]
    public async Task What_goes_together_may_refer_to_each_other_and_go_together_again()
    {
        var both = new UnitOfWork("Both")
            .Put(DocumentKinds.Run, "run", LibraryFile.RunOf("job"))
            .Put(DocumentKinds.Job, "job", Named("job"));
        (await file.Library().Make(both)).Refused.ShouldBeNull();
        (await file.Library().Remove(DocumentKinds.Job, "job")).UsedBy.ShouldBe(["Run"]);
        var away = new UnitOfWork("Away").Remove(DocumentKinds.Job, "job").Remove(DocumentKinds.Run, "run");
        (await file.Library().Make(away)).Refused.ShouldBeNull();
        (await file.Library().Undo(DocumentKinds.Run, "run")).Refused.ShouldBeNull();
        (await file.Library().Find(DocumentKinds.Job, "job")).ShouldNotBeNull();
    }

    [Fact]
    public async Task What_names_something_that_is_not_there_is_not_kept_and_a_pinned_revision_must_be_there_too()
    {
        var job = await file.AddJob();
        var cutter = await file.Library().Add(DocumentKinds.Cutter, Bench);
        var run = await file.Library().Add(DocumentKinds.Run, LibraryFile.RunOf(job));
        Run With(string id, int revision) => run.Document with { SetUp = run.Document.SetUp with { Cutter = new Pin(id, revision) } };
        (await file.Library().Save(DocumentKinds.Run, run.Id, run.Revision, With("none", 1))).Refused.ShouldBe(Refusal.Dangling);
        (await file.Library().Save(DocumentKinds.Run, run.Id, run.Revision, With(cutter.Id, 9))).Refused.ShouldBe(Refusal.Dangling);
        (await file.Library().Save(DocumentKinds.Run, run.Id, run.Revision, With(cutter.Id, 1))).Refused.ShouldBeNull();
    }

    [Fact]
    public async Task A_step_back_to_what_named_something_since_removed_is_refused_and_says_its_name()
    {
        var job = await file.AddJob();
        var cutter = await file.Library().Add(DocumentKinds.Cutter, Bench);
        var bare = LibraryFile.RunOf(job);
        var run = await file.Library().Add(DocumentKinds.Run, bare with { SetUp = bare.SetUp with { Cutter = new Pin(cutter.Id, 1) } });
        await file.Library().Save(DocumentKinds.Run, run.Id, run.Revision, bare);
        await file.Library().Remove(DocumentKinds.Cutter, cutter.Id);
        var refused = await file.Library().Undo(DocumentKinds.Run, run.Id);
        refused.Refused.ShouldBe(Refusal.Dangling);
        refused.Lacking.ShouldHaveSingleItem().Name.ShouldBe("Bench");
        await file.Library().Undo(DocumentKinds.Cutter, cutter.Id);
        (await file.Library().Undo(DocumentKinds.Run, run.Id)).Refused.ShouldBeNull();
    }

    [Fact]
    public async Task Removing_what_others_begin_to_use_at_the_same_moment_never_leaves_them_with_nothing()
    {
        var job = await file.AddJob();
        var cutters = new List<string>();
        for (var i = 0; i < 60; i++)
        {
            cutters.Add((await file.Library().Add(DocumentKinds.Cutter, Bench)).Id);
        }

        var bare = LibraryFile.RunOf(job);
        await Parallel.ForEachAsync(
            cutters.SelectMany(c => new[] { (c, add: true), (c, add: false) }),
            new ParallelOptions { MaxDegreeOfParallelism = 4 },
            async (work, stop) =>
            {
                if (!work.add)
                {
                    await file.Library().Remove(DocumentKinds.Cutter, work.c, stop: stop);
                    return;
                }

                var taking = new UnitOfWork("Use").Put(
                    DocumentKinds.Run,
                    $"run-{work.c}",
                    bare with
                    {
                        SetUp = bare.SetUp with { Cutter = new Pin(work.c, 1) },
                    }
                );
                await file.Library().Make(taking, stop);
            }
        );

        var there = (await file.Library().All(DocumentKinds.Cutter)).Select(c => c.Id).ToHashSet();
        var runs = await file.Library().All(DocumentKinds.Run);
        runs.ShouldAllBe(r => there.Contains(r.Document.SetUp.Cutter!.Id));
        // Whoever came first had their way: each cutter is in use, or gone.
        (runs.Count + (cutters.Count - there.Count)).ShouldBe(cutters.Count);
    }

    [Fact]
    public async Task Undo_of_one_window_never_takes_back_what_another_did_meanwhile()
    {
        var job = await file.AddJob("0");
        var taken = await Task.WhenAll(
            Enumerable
                .Range(1, 12)
                .Select(i =>
                    Task.Run(async () =>
                        i % 3 == 0
                            ? (await file.Library().Undo(DocumentKinds.Job, job, 1)).Refused
                            : (await file.Library().Save(DocumentKinds.Job, job, 1, Named($"{i}"))).Refused
                    )
                )
        );
        // From one revision one change is made; undo had nothing to take back, or was made from what is no more.
        taken.Count(r => r is null).ShouldBe(1);
        taken.Where(r => r is not null).ShouldAllBe(r => r == Refusal.Stale || r == Refusal.NothingThere);
        (await file.Library().Find(DocumentKinds.Job, job))!.Revision.ShouldBe(2);
    }

    private static Cutter Bench => new("Bench", TypedLength.Mm(292), TypedLength.Mm(292));

    private static Job Named(string name) => new(name, "", "");

    private async Task<List<string?>> Names(params string[] ids)
    {
        var names = new List<string?>();
        foreach (var id in ids)
        {
            names.Add((await file.Library().Find(DocumentKinds.Job, id))?.Document.Name);
        }

        return names;
    }
}
