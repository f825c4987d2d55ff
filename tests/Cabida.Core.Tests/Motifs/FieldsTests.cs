using Cabida.Core.Motifs;
using Cabida.Core.Type;

namespace Cabida.Core.Tests.Motifs;

public class FieldsTests
{
    [Theory]
    [InlineData("{name}", "zoë-marie straß", "zoë-marie straß")]
    [InlineData("{name:capitals}", "zoë", "ZOË")]
    [InlineData("{name:first letter}", "éva", "É")]
    [InlineData("{name:initials}", "Anna-Lena von Berg", "ALVB")]
    [InlineData("{name|Friend}", " ", "Friend")]
    [InlineData("{name:capitals|Friend}!", "", "Friend!")]
    [InlineData("{name : First Letter}.", "Bram", "B.")]
    [InlineData("{place}", "x", "{place}")]
    [InlineData("{place|Fernhollow}", "x", "Fernhollow")]
    public void A_field_takes_its_form_or_what_stands_in_for_it(string text, string name, string expected) =>
        Fields.Fill(text, TestMotifs.Named(name)).ShouldBe(expected);

    [Fact]
    public void A_form_that_there_is_none_of_and_a_field_that_nothing_fills_are_told()
    {
        var motif = new Motif("m", RowAlignment.Centre, [TestMotifs.Line("a", "{name:shouted}", 5), TestMotifs.Line("b", "{year}", 5)]);
        MotifProblems
            .Of(motif, new BlockFace(), NoGraphics.Instance)
            .ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldStartWith("A field has no form “shouted”.");
        var composition = TestMotifs.Compose(motif);
        MotifNotes
            .Of(composition, composition.PartsAt(1), motif, GroundShape.None)
            .ShouldContain(n => n.Part == "b" && n.Message.ToString().StartsWith("No list fills the field year."));
    }

    [Theory]
    [InlineData("Anna 1908", false)]
    [InlineData("שלום", false)]
    [InlineData("שלום Anna", true)]
    [InlineData("שלום 12", true)]
    public void A_line_of_both_directions_is_told(string text, bool mixed)
    {
        LineDirection.IsMixed(text).ShouldBe(mixed);
        MotifProblems
            .Of(TestMotifs.Single(text), new BlockFace(), NoGraphics.Instance)
            .Any(p => p.Message.ToString().Contains("not supported"))
            .ShouldBe(mixed);
    }
}
