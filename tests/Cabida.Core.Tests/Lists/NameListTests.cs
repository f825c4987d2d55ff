using Cabida.Core.Findings;
using Cabida.Core.Lists;

namespace Cabida.Core.Tests.Lists;

public class NameListTests
{
    [Fact]
    public void One_piece_a_line_cleaned_of_stray_blanks() =>
        NameList.Read(" Bram \r\nZoë-Marie\n\tŁukasz  K.\n", []).Pieces.Select(p => p.Name).ShouldBe(["Bram", "Zoë-Marie", "Łukasz K."]);

    [Fact]
    public void Pasting_again_keeps_the_pieces_whose_lines_are_recognised()
    {
        var first = NameList.Read("Bram\nIoanna\nBram", []).Pieces;
        var second = NameList.Read("Siân\nBram\nBram\nIoanna", first).Pieces;
        second[1].ShouldBe(first[0]);
        second[2].ShouldBe(first[2]);
        second[3].ShouldBe(first[1]);
        second.Select(p => p.Id).Distinct().Count().ShouldBe(4);
        NameList.Read("Bram\nIoanna\nBram", []).Pieces.ShouldBe(first);
    }

    [Fact]
    public void Empty_repeated_and_endless_lines_are_pointed_out()
    {
        var list = NameList.Read($"Bram\n\nBram\n{new string('x', 300)}\nSiân\n\n", []);
        list.Pieces.Select(p => p.Name).ShouldBe(["Bram", "Bram", "Siân"]);
        list.Notes.Select(n => (n.Line, n.Stops)).ShouldBe([(2, true), (4, true), (3, false)]);
        list.Notes[1].Message.ToString().ShouldContain("300 letters; a name holds 80");
    }

    [Fact]
    public void Two_thousand_names_make_a_thousand_pieces_and_say_so()
    {
        var list = NameList.Read(string.Join('\n', Enumerable.Range(1, 2000).Select(i => $"Name {i}")), []);
        list.Pieces.Count.ShouldBe(NameList.MostPieces);
        list.Notes.Single(n => n.Severity == Severity.Stop).Message.ToString().ShouldContain("2000 names; a run holds 1000");
    }

    [Fact]
    public void Composed_and_decomposed_accents_are_one_name() => NameList.Read("Zoe\u0308", []).Pieces[0].Name.ShouldBe("Zo\u00eb");
}
