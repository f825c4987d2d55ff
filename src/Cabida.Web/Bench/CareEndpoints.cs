using Cabida.Core.Bench;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Formats;
using Cabida.Formats.Care;
using Cabida.Web.Making;
using Cabida.Web.Proofs;
using Cabida.Web.Runs;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Bench;

/// <summary>The care note of a run, as a page shows it.</summary>
/// <param name="Workshop">Whose it is; empty until the workshop has a name.</param>
/// <param name="Contact">How they are reached.</param>
/// <param name="Lines">What the card says.</param>
/// <param name="Offered">What it would say by film, goods and steps.</param>
/// <param name="Cards">How many are made, a card each.</param>
/// <param name="OnPage">How many cards lie on a page, by paper.</param>
/// <param name="Problem">What is to be said of it; null where nothing is.</param>
internal sealed record CareView(
    string Workshop,
    string Contact,
    IReadOnlyList<string> Lines,
    IReadOnlyList<string> Offered,
    int Cards,
    CareCardsOnPage OnPage,
    Phrase? Problem
);

/// <summary>How many cards lie on a page.</summary>
internal sealed record CareCardsOnPage(int A4, int Letter);

/// <summary>Reads the care note of runs.</summary>
internal sealed class CareReader(RunMakings makings)
{
    /// <summary>What the note of a run follows from; null while the run has no goods.</summary>
    public async Task<CareFacts?> FactsOf(ReadRun run, CancellationToken stop) =>
        run.Blank is not { } blank
            ? null
            : new CareFacts(
                (await makings.Of(run, stop)).Facts?.Films ?? [.. new[] { run.Film }.OfType<Core.Stock.Film>()],
                blank.Surface,
                blank.Material,
                run.Run.SetUp.Steps,
                Enumerable.Range(0, 1 + run.Run.SetUp.Sides.Count).Any(run.Run.SetUp.IsSeenThrough)
            );

    /// <summary>The lines of a run's note.</summary>
    public async Task<IReadOnlyList<string>> LinesOf(ReadRun run, CancellationToken stop) =>
        await FactsOf(run, stop) is { } facts ? CareNote.Lines(run.Run.SetUp.Care, facts) : [];
}

/// <summary>Care notes, to be packed with what was made.</summary>
internal static class CareEndpoints
{
    public static void MapCare(this RouteGroupBuilder api)
    {
        var runs = api.MapGroup("/runs/{id}/care").WithTags("Bench");
        runs.MapGet(
                "",
                async Task<Results<Ok<CareView>, NotFound>> (
                    string id,
                    RunReader reader,
                    CareReader care,
                    WorkshopMark mark,
                    CancellationToken stop
                ) =>
                {
                    if (await reader.Find(id, stop) is not { } run)
                    {
                        return TypedResults.NotFound();
                    }

                    var (facts, (workshop, drawn)) = (await care.FactsOf(run, stop), await mark.Read(stop));
                    IReadOnlyList<string> lines = facts is null ? [] : CareNote.Lines(run.Run.SetUp.Care, facts);
                    var sheet = new CareSheet(workshop.Name, workshop.Contact, lines, ["A name"]);
                    return TypedResults.Ok(
                        new CareView(
                            workshop.Name,
                            workshop.Contact,
                            lines,
                            facts is null ? [] : CareNote.Offered(facts),
                            run.Run.Pieces.Sum(p => p.Copies),
                            new CareCardsOnPage(CarePaper.A4.OnPage, CarePaper.Letter.OnPage),
                            CareSheetPdf.WordsOf(sheet, drawn.Count > 0) < CareSheetPdf.LeastReadable
                                ? Phrase.Say($"So many words are set very small on a card with a name. Shorten the note.")
                                : null
                        )
                    );
                }
            )
            .WithName("GetCare");

        runs.MapGet(
                "/file",
                async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> (
                    string id,
                    string? paper,
                    bool? named,
                    int? cards,
                    RunReader reader,
                    CareReader care,
                    WorkshopMark mark,
                    CancellationToken stop
                ) =>
                {
                    if (await reader.Find(id, stop) is not { } run)
                    {
                        return TypedResults.NotFound();
                    }

                    var lines = await care.LinesOf(run, stop);
                    if (lines.Count == 0)
                    {
                        return Gate.CannotBeWorkedOut(
                            Phrase.Say($"The note says nothing yet: choose the goods in the set-up, or write it in your own words.")
                        );
                    }

                    var names = named == true ? Named(run.Run) : Unnamed(cards ?? run.Run.Pieces.Sum(p => p.Copies));
                    if (names.Count is 0 or > CareSheet.Most)
                    {
                        return Gate.CannotBeWorkedOut(
                            names.Count == 0
                                ? Phrase.Say($"There is no card to print.")
                                : Phrase.Say($"These are more cards than are printed at once: {CareSheet.Most} at most.")
                        );
                    }

                    var (workshop, drawn) = await mark.Read(stop);
                    var pdf = CareSheetPdf.Write(
                        new CareSheet(workshop.Name, workshop.Contact, lines, names),
                        drawn,
                        paper == "letter" ? CarePaper.Letter : CarePaper.A4
                    );
                    return TypedResults.File(pdf, "application/pdf", $"{FileNames.Safe(run.Run.Name)}_care.pdf");
                }
            )
            .WithName("GetCareFile");
    }

    /// <summary>A card for every piece, copies counted; no more than would be printed, and one to tell that they are too many.</summary>
    private static List<string> Named(Run run) =>
        [.. run.Pieces.SelectMany(p => Enumerable.Repeat(p.Name, p.Copies)).Take(CareSheet.Most + 1)];

    private static List<string> Unnamed(int cards) => [.. Enumerable.Repeat("", Math.Clamp(cards, 0, CareSheet.Most + 1))];
}
