using Cabida.Core.Fitting;
using Cabida.Core.Runs;

namespace Cabida.Store.Tests;

public class RunFormTests
{
    [Fact]
    public void A_run_from_before_lists_had_columns_reads_as_it_was()
    {
        const string Before = """
            {"name":"Crew mugs","jobId":"j","blank":{"id":"b","revision":2},"motif":{"id":"m","revision":1},"film":null,"cutter":null,"sizing":"oneLetterHeight","letterHeight":{"text":"34","unit":"millimetre"},
             "scissorsRoom":{"text":"5","unit":"millimetre"},"namesTyped":"Bram\nSiân","pieces":[{"id":"1","name":"Bram"},{"id":"2","name":"Siân"}],"zone":"wrap","films":[],"size":""}
            """;
        var run = DocumentJson.Read<Run>(DocumentJson.CurrentForm, Before);
        run.Pieces.Select(p => (p.Name, p.Copies, p.Own.IsNone, p.Verdict)).ShouldBe([("Bram", 1, true, null), ("Siân", 1, true, null)]);
        run.Columns.ShouldBeEmpty();
        run.Placing.ShouldBe(Placing.Anchored);
        run.Taper.ShouldBe(TaperWay.Ignored);
        run.Centring.ShouldBeNull();
        run.Concessions.ShouldBeEmpty();
        run.Sides.ShouldBeEmpty();
        // Written and read again it is the same, with everything that came since.
        var full = run with
        {
            Concessions = [new(ConcessionKind.CloseUp) { Percent = 3 }],
            Columns = ["name", ""],
            Sides = [new("side-2", new Pin("m", 1), "left")],
            Pieces =
            [
                run.Pieces[0] with
                {
                    Values = new Dictionary<string, string> { ["role"] = "guard" },
                    Copies = 3,
                    Own = new Overrides { TwoLines = "Br\nam" },
                    Verdict = new Verdict(true, "", "abc", 2),
                },
            ],
            Shown = new ShownProof("2026-11-25 10:00", new Dictionary<string, string> { ["1"] = "abc" }),
        };
        DocumentJson.Write(DocumentJson.Read<Run>(DocumentJson.CurrentForm, DocumentJson.Write(full))).ShouldBe(DocumentJson.Write(full));
        DocumentKinds.Run.ReferencesOf(full).Count(r => r == new Reference("motif", "m")).ShouldBe(2);
    }
}
