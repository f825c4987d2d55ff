using Cabida.Core.Lists;

namespace Cabida.Core.Tests.Lists;

/// <summary>Made-up lists as shops and clubs send them, with the mistakes that lists have.</summary>
public class RealListsTests
{
    [Fact]
    public void Forty_pasted_names_and_every_mistake_in_them()
    {
        var list = NameList.Read(Read("crew-40.txt"), []);
        list.Pieces.Count.ShouldBe(40);
        string Of(int line) => string.Join(" | ", list.Notes.Where(n => n.Line == line).Select(n => n.Message));
        Of(4).ShouldContain("all in capitals");
        Of(8).ShouldContain("blanks were tidied");
        Of(12).ShouldContain("ends in a mark");
        Of(16).ShouldContain("has a digit");
        Of(20).ShouldContain("invisible characters");
        Of(24).ShouldContain("no capital");
        Of(28).ShouldContain("two alphabets");
        Of(32).ShouldContain("number or mark of a list");
        Of(36).ShouldContain("accents and letters were put together");
        Of(39).ShouldContain("repeats line 3");
        Of(40).ShouldContain("family name stands first");
        // Nothing is said of names that are only foreign.
        list.Notes.Select(n => n.Line).Distinct().Count().ShouldBe(11);
    }

    [Fact]
    public void Five_hundred_names_with_years_and_quantities()
    {
        var typed = Read("visitors-500.tsv");
        var columns = ListColumns.Guess(ListRows.Of(typed), ["name", "year"]);
        columns.Fields.ShouldBe(["name", "year", "quantity"]);
        columns.HasHeading.ShouldBeTrue();
        var list = NameList.Read(typed, columns, []);
        list.Lines.ShouldBe(499);
        list.Pieces.Count.ShouldBe(497);
        list.Notes.Where(n => n.Stops).Select(n => n.Line).ShouldBe([46, 146, 456]);
        int Said(string what) => list.Notes.Count(n => n.Message.ToString().Contains(what));
        Said("all in capitals").ShouldBe(10);
        Said("repeats line").ShouldBe(5);
        Said("ends in a mark").ShouldBe(5);
        Said("picture character").ShouldBe(1);
        Said("400 letters").ShouldBe(1);
        list.Pieces.ShouldAllBe(p => p.ValueOf("year").Length == 4);
        // Pasted again in another order every piece is known again.
        var turned = typed.Split('\n').Skip(1).Reverse().Prepend("name\tyear\tquantity");
        NameList
            .Read(string.Join('\n', turned), columns, list.Pieces)
            .Pieces.Select(p => p.Id)
            .ShouldBe(list.Pieces.Select(p => p.Id), ignoreOrder: true);
    }

    private static string Read(string name)
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!Directory.Exists(Path.Combine(folder.FullName, "tests", "lists")))
        {
            folder = folder.Parent ?? throw new DirectoryNotFoundException("The lists of the tests are not there.");
        }

        return File.ReadAllText(Path.Combine(folder.FullName, "tests", "lists", name));
    }
}
