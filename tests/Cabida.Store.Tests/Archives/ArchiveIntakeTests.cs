using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store.Tests.Archives;

/// <summary>Documents of one workshop brought into another that has gone its own way.</summary>
public sealed class ArchiveIntakeTests : IDisposable
{
    private readonly LibraryFile here = new();
    private readonly LibraryFile there = new();

    public void Dispose()
    {
        here.Dispose();
        there.Dispose();
    }

    [Fact]
    public async Task A_job_comes_with_all_that_belongs_to_it_and_its_past()
    {
        var film = await Film(there, "Navy", "#102030");
        var job = await there.AddJob("Crew day");
        var run = await AddRun(there, job, film, 1, "Agnieszka");
        await Rename(there, run, "Mugs for all");
        await Rename(there, run, "Mugs");
        await there.AddJob("Another that stays there");
        var brought = await Bring([new("job", job, false)]);
        brought.ShouldBe(new ArchiveBrought(3, 0, 0));
        var library = here.Library();
        (await library.All(DocumentKinds.Job)).Select(j => j.Document.Name).ShouldBe(["Crew day"]);
        var came = (await library.Find(DocumentKinds.Run, run))!;
        came.Document.SetUp.Name.ShouldBe("Mugs");
        came.Document.List.Pieces[0].Name.ShouldBe("Agnieszka");
        (await library.Undo(DocumentKinds.Run, run)).Stored!.Document.SetUp.Name.ShouldBe("Mugs for all");
        (await new DocumentPast(here.Open()).Of(DocumentKinds.Run, run)).Count.ShouldBe(4);
        // Once more it is the same, and nothing is added.
        (await library.Redo(DocumentKinds.Run, run)).Refused.ShouldBeNull();
        var changes = await here.Open().Revisions.CountAsync();
        (await Bring([new("job", job, true)])).ShouldBe(new ArchiveBrought(0, 0, 3));
        (await here.Open().Revisions.CountAsync()).ShouldBe(changes);
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public async Task What_is_pinned_is_the_same_whichever_of_two_that_differ_stays(bool takes)
    {
        // Both have the film; each changed it by itself, and the run there pins what it was in between.
        var film = await Film(there, "Navy", "#000001");
        await Bring([new("film", film, false)]);
        await Colour(there, film, "#000002");
        await Colour(there, film, "#000003");
        await Colour(here, film, "#0000aa");
        var job = await there.AddJob();
        var run = await AddRun(there, job, film, 2, "Zoë");
        var choices = new List<ArchiveChoice> { new("job", job, false) };
        if (takes)
        {
            choices.Add(new("film", film, true));
        }

        var brought = await Bring(choices);
        brought.ShouldBe(takes ? new ArchiveBrought(2, 1, 0) : new ArchiveBrought(2, 0, 1));
        var library = here.Library();
        (await library.Find(DocumentKinds.Film, film))!.Document.Colour.ShouldBe(takes ? "#000003" : "#0000aa");
        var pin = (await library.Find(DocumentKinds.Run, run))!.Document.SetUp.Film!;
        (await library.At(DocumentKinds.Film, film, pin.Revision))!.Colour.ShouldBe("#000002");
        // What is here keeps its own past.
        (await library.At(DocumentKinds.Film, film, 2))!.Colour.ShouldBe("#0000aa");
    }

    [Fact]
    public async Task Libraries_that_went_their_own_ways_agree_on_every_pin_of_every_state()
    {
        for (var seed = 0; seed < 12; seed++)
        {
            using var a = new LibraryFile();
            using var b = new LibraryFile();
            var random = new Random(seed);
            var films = new List<string>();
            for (var i = 0; i < 3; i++)
            {
                films.Add(await Film(a, $"Film {i}", $"#0000{i:x2}"));
            }

            await Bring(a, b, [.. films.Select(f => new ArchiveChoice("film", f, false))]);
            foreach (var library in new[] { a, b, a, b })
            {
                for (var i = 0; i < 6; i++)
                {
                    await Colour(library, films[random.Next(3)], $"#{random.Next(4):x6}");
                }
            }

            await b.Library().Remove(DocumentKinds.Film, films[random.Next(3)]);
            var job = await a.AddJob();
            var run = await AddRun(a, job, films[0], 1, "Zoë");
            for (var i = 0; i < 4; i++)
            {
                await Pin(a, run, films[random.Next(3)], random);
            }

            var own = await Colours(b, films);
            await Bring(
                a,
                b,
                [new("job", job, false), .. films.Where(_ => random.Next(2) == 0).Select(f => new ArchiveChoice("film", f, true))]
            );
            var past = await new DocumentPast(a.Open()).Of(DocumentKinds.Run, run);
            foreach (var state in past)
            {
                var (pinA, pinB) = (await PinAt(a, run, state.Revision), await PinAt(b, run, state.Revision));
                pinB.Id.ShouldBe(pinA.Id);
                var then = await b.Library().At(DocumentKinds.Film, pinB.Id, pinB.Revision);
                then.ShouldBe(await a.Library().At(DocumentKinds.Film, pinA.Id, pinA.Revision), $"seed {seed}");
            }

            // What was here is still in the past of here.
            foreach (var (id, colours) in own)
            {
                (await Colours(b, [id]))
                    .Single()
                    .Value.ShouldBe(colours.Concat((await Colours(b, [id])).Single().Value.Skip(colours.Count)));
            }
        }
    }

    private Task<ArchiveBrought> Bring(IReadOnlyList<ArchiveChoice> choices) => Bring(there, here, choices);

    private static async Task<ArchiveBrought> Bring(LibraryFile from, LibraryFile to, IReadOnlyList<ArchiveChoice> choices)
    {
        using var file = new MemoryStream();
        await using (var db = from.Open())
        {
            await new ArchiveWriter(db).Write(file);
        }

        using var archive = Archive.Open(new MemoryStream(file.ToArray()));
        await using var into = to.Open();
        return await new ArchiveIntake(into, TimeProvider.System).Bring(archive, choices, (_, _) => null);
    }

    private static async Task<string> Film(LibraryFile file, string name, string colour) =>
        (
            await file.Library()
                .Add(
                    DocumentKinds.Film,
                    new Core.Stock.Film(
                        name,
                        colour,
                        FilmPurpose.Stays,
                        false,
                        TypedLength.Mm(0.8),
                        TypedLength.Mm(300),
                        TypedLength.Mm(300),
                        new CutSettings("", "", "", "", "1")
                    )
                )
        ).Id;

    private static async Task Colour(LibraryFile file, string id, string colour)
    {
        var film = (await file.Library().Find(DocumentKinds.Film, id))!;
        (await file.Library().Save(DocumentKinds.Film, id, film.Revision, film.Document with { Colour = colour })).Refused.ShouldBeNull();
    }

    private static async Task<string> AddRun(LibraryFile file, string job, string film, int revision, string names)
    {
        var run = LibraryFile.RunOf(job, names);
        run = run with { SetUp = run.SetUp with { Film = new Pin(film, revision) } };
        return (await file.Library().Add(DocumentKinds.Run, run)).Id;
    }

    private static Task Rename(LibraryFile file, string id, string name) => Change(file, id, s => s with { Name = name });

    private static async Task Pin(LibraryFile file, string id, string film, Random random)
    {
        var revision = 1 + random.Next(await file.Library().RevisionOf(DocumentKinds.Film, film));
        await Change(file, id, s => s with { Film = new Pin(film, revision), LetterHeight = TypedLength.Mm(random.Next(5, 90)) });
    }

    private static async Task Change(LibraryFile file, string id, Func<RunSetUp, RunSetUp> change)
    {
        var run = (await file.Library().Find(DocumentKinds.Run, id))!;
        var next = run.Document with { SetUp = change(run.Document.SetUp) };
        (await file.Library().Save(DocumentKinds.Run, id, run.Revision, next)).Refused.ShouldBeNull();
    }

    private static async Task<Pin> PinAt(LibraryFile file, string run, int revision) =>
        (await file.Library().At(DocumentKinds.Run, run, revision))!.SetUp.Film!;

    /// <summary>The colours that films ever had, in order.</summary>
    private static async Task<Dictionary<string, List<string>>> Colours(LibraryFile file, IEnumerable<string> films)
    {
        var all = new Dictionary<string, List<string>>();
        foreach (var id in films)
        {
            all[id] = [];
            for (var r = 1; r <= await file.Library().RevisionOf(DocumentKinds.Film, id); r++)
            {
                all[id].Add((await file.Library().At(DocumentKinds.Film, id, r))?.Colour ?? "");
            }
        }

        return all;
    }
}
