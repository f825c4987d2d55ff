using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store.Tests;

public sealed class LibraryTests : IDisposable
{
    private readonly string file = Path.Combine(Path.GetTempPath(), $"cabida-{Guid.NewGuid():N}.db");

    public LibraryTests()
    {
        using var db = Open();
        db.Database.Migrate();
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        File.Delete(file);
    }

    [Fact]
    public async Task What_was_typed_is_there_after_a_restart_to_the_letter()
    {
        var cutter = new Cutter(
            "Bench",
            new TypedLength("11 1/2 in", LengthUnit.Inch),
            new TypedLength("not yet", LengthUnit.Millimetre),
            "ľúč"
        )
        {
            Carriers = [new Carrier("m", "Mat", TypedLength.Mm(305), new TypedLength("12 in"), TypedLength.Mm(292), TypedLength.Mm(292))],
            SvgNumbers = SvgNumbers.Per72,
        };
        var id = (await Library().Add(DocumentKinds.Cutter, cutter)).Id;
        SqliteConnection.ClearAllPools();
        // By what is written of both: lists are alike when what is in them is.
        DocumentJson.Write((await Library().Find(DocumentKinds.Cutter, id))!.Document).ShouldBe(DocumentJson.Write(cutter));
    }

    [Fact]
    public async Task A_write_made_from_an_old_revision_is_refused_and_changes_nothing()
    {
        var stored = await Library().Add(DocumentKinds.Job, new Job("Job", "A", ""));
        await Library().Save(DocumentKinds.Job, stored.Id, stored.Revision, stored.Document with { Customer = "B" });
        var written = await Library().Save(DocumentKinds.Job, stored.Id, stored.Revision, stored.Document with { Customer = "C" });
        written.Refused.ShouldBe(Refusal.Stale);
        written.Changed.ShouldBe(["customer"]);
        (await Library().Find(DocumentKinds.Job, stored.Id))!.Document.Customer.ShouldBe("B");
    }

    [Fact]
    public async Task Undo_and_redo_go_through_the_states_and_a_new_change_ends_redo()
    {
        var id = (await Library().Add(DocumentKinds.Job, new Job("0", "", ""))).Id;
        foreach (var name in new[] { "1", "2", "3" })
        {
            await Change(id, name);
        }

        (await Step(id, undo: true)).ShouldBe("2");
        (await Step(id, undo: true)).ShouldBe("1");
        (await Step(id, undo: false)).ShouldBe("2");
        (await Step(id, undo: true)).ShouldBe("1");
        await Change(id, "other");
        (await Library().Redo(DocumentKinds.Job, id)).Refused.ShouldBe(Refusal.NothingThere);
        (await Step(id, undo: true)).ShouldBe("1");
        (await Step(id, undo: true)).ShouldBe("0");
        (await Library().Undo(DocumentKinds.Job, id)).Refused.ShouldBe(Refusal.NothingThere);
        (await Step(id, undo: false)).ShouldBe("1");
        (await Step(id, undo: false)).ShouldBe("other");
    }

    [Fact]
    public async Task What_was_removed_can_be_brought_back()
    {
        var stored = await Library().Add(DocumentKinds.Job, new Job("Job", "", ""));
        await Library().Remove(DocumentKinds.Job, stored.Id);
        (await Library().Find(DocumentKinds.Job, stored.Id)).ShouldBeNull();
        (await Step(stored.Id, undo: true)).ShouldBe("Job");
        (await Library().Find(DocumentKinds.Job, stored.Id)).ShouldNotBeNull();
    }

    [Fact]
    public async Task Nothing_in_use_can_be_removed_until_its_user_lets_it_go()
    {
        var job = (await Library().Add(DocumentKinds.Job, new Job("Job", "", ""))).Id;
        var cutter = await Library().Add(DocumentKinds.Cutter, new Cutter("Bench", TypedLength.Mm(292), TypedLength.Mm(292)));
        var run = await Library().Add(DocumentKinds.Run, RunWith(job, new Pin(cutter.Id, cutter.Revision)));
        var refused = await Library().Remove(DocumentKinds.Cutter, cutter.Id);
        refused.Refused.ShouldBe(Refusal.InUse);
        refused.UsedBy.ShouldBe(["Run"]);
        await Library().Save(DocumentKinds.Run, run.Id, run.Revision, RunWith(job, null));
        (await Library().Remove(DocumentKinds.Cutter, cutter.Id)).Refused.ShouldBeNull();
    }

    [Fact]
    public async Task Bringing_back_an_older_state_brings_back_what_it_referred_to()
    {
        var job = (await Library().Add(DocumentKinds.Job, new Job("Job", "", ""))).Id;
        var cutter = await Library().Add(DocumentKinds.Cutter, new Cutter("Bench", TypedLength.Mm(292), TypedLength.Mm(292)));
        var run = await Library().Add(DocumentKinds.Run, RunWith(job, new Pin(cutter.Id, cutter.Revision)));
        await Library().Save(DocumentKinds.Run, run.Id, run.Revision, RunWith(job, null));
        (await Library().UsedBy(DocumentKinds.Cutter, cutter.Id)).ShouldBeEmpty();
        await Library().Undo(DocumentKinds.Run, run.Id);
        (await Library().UsedBy(DocumentKinds.Cutter, cutter.Id)).ShouldBe(["Run"]);
        await Library().Remove(DocumentKinds.Run, run.Id);
        (await Library().Remove(DocumentKinds.Cutter, cutter.Id)).Refused.ShouldBeNull();
    }

    [Fact]
    public async Task All_come_in_the_order_they_were_added_in()
    {
        foreach (var name in new[] { "c", "a", "b" })
        {
            await Library().Add(DocumentKinds.Job, new Job(name, "", ""));
            await Task.Delay(2);
        }

        (await Library().All(DocumentKinds.Job)).Select(j => j.Document.Name).ShouldBe(["c", "a", "b"]);
    }

    [Fact]
    public async Task A_pinned_revision_stays_readable_whatever_becomes_of_the_document()
    {
        var stored = await Library().Add(DocumentKinds.Job, new Job("first", "", ""));
        await Change(stored.Id, "second");
        await Library().Remove(DocumentKinds.Job, stored.Id);
        (await Library().At(DocumentKinds.Job, stored.Id, stored.Revision))!.Name.ShouldBe("first");
    }

    [Fact]
    public async Task Saving_what_is_there_already_adds_no_revision()
    {
        var stored = await Library().Add(DocumentKinds.Job, new Job("same", "", ""));
        (await Library().Save(DocumentKinds.Job, stored.Id, stored.Revision, stored.Document)).Stored!.Revision.ShouldBe(stored.Revision);
    }

    [Fact]
    public async Task Two_windows_writing_at_once_never_overwrite_one_another()
    {
        var stored = await Library().Add(DocumentKinds.Job, new Job("0", "", ""));
        var writes = await Task.WhenAll(
            Enumerable
                .Range(0, 6)
                .Select(i =>
                    Task.Run(() =>
                        Library().Save(DocumentKinds.Job, stored.Id, stored.Revision, stored.Document with { Name = $"window {i}" })
                    )
                )
        );
        writes.Count(w => w.Refused is null).ShouldBe(1);
        writes.Where(w => w.Refused is not null).ShouldAllBe(w => w.Refused == Refusal.Stale);
    }

    [Fact]
    public void A_document_of_the_first_form_is_read_and_one_of_a_later_form_is_refused_plainly()
    {
        const string First =
            """{"name":"Bench cutter","reachWidth":{"text":"292","unit":"millimetre"},"reachLength":{"text":"11 1/2","unit":"inch"},"note":""}""";
        DocumentJson
            .Read<Cutter>(new Forms(Forms.Same), 1, First)
            .ReachLength.Read(LengthRange.Object)
            .Value.Value.Millimetres.ShouldBe(292.1, 1e-9);
        Should
            .Throw<NotWorkableException>(() => DocumentJson.Read<Cutter>(new Forms(Forms.Same), 99, First))
            .Message.ShouldContain("newer version");
    }

    [Fact]
    public void A_blank_of_the_first_form_gets_its_margins_as_a_zone()
    {
        const string First =
            """{"name":"Mug","surface":"straight","measured":[],"margins":{"rim":{"text":"10","unit":"millimetre"},"base":{"text":"1/2","unit":"inch"},"side":{"text":"8","unit":"millimetre"}},"note":"kept"}""";
        var blank = DocumentJson.Read<Blank>(DocumentKinds.Blank.Rows[0].Forms, 1, First);
        var zone = blank.Zones.ShouldHaveSingleItem();
        (zone.Margins.Top.Text, zone.Margins.Bottom.Unit, zone.Margins.Left.Text, zone.Margins.Right.Text).ShouldBe(
            ("10", LengthUnit.Inch, "8", "8")
        );
        blank.Note.ShouldBe("kept");
        DocumentJson.Read<Blank>(DocumentJson.Write(blank)).Zones[0].ShouldBe(zone);
    }

    [Fact]
    public async Task The_same_picture_is_kept_once_and_a_blank_refers_to_it_and_to_its_job()
    {
        var pictures = new Pictures(Open(), TimeProvider.System);
        var one = await pictures.Add([1, 2, 3], "image/png", 10, 20, 300);
        (await pictures.Add([1, 2, 3], "image/png", 10, 20, null)).ShouldBe(one);
        (await pictures.Find(one.Id))!.Bytes.ShouldBe([1, 2, 3]);
        (await pictures.Find("none")).ShouldBeNull();
        var job = await Library().Add(DocumentKinds.Job, new Job("Order", "", ""));
        await Library().Add(DocumentKinds.Blank, new Blank("Board", SurfaceKind.Flat, []) { JobId = job.Id, PictureId = one.Id });
        (await Library().Remove(DocumentKinds.Job, job.Id)).UsedBy.ShouldBe(["Board"]);
    }

    private static Run RunWith(string job, Pin? cutter)
    {
        var run = LibraryFile.RunOf(job);
        return run with { SetUp = run.SetUp with { Cutter = cutter } };
    }

    private async Task Change(string id, string name)
    {
        var stored = (await Library().Find(DocumentKinds.Job, id))!;
        (await Library().Save(DocumentKinds.Job, id, stored.Revision, stored.Document with { Name = name })).Refused.ShouldBeNull();
    }

    private async Task<string> Step(string id, bool undo)
    {
        var written = undo ? await Library().Undo(DocumentKinds.Job, id) : await Library().Redo(DocumentKinds.Job, id);
        written.Refused.ShouldBeNull();
        return written.Stored!.Document.Name;
    }

    private Cabida.Store.Library Library() => new(Open(), TimeProvider.System);

    private CabidaContext Open() => new(new DbContextOptionsBuilder<CabidaContext>().UseSqlite($"Data Source={file}").Options);
}
