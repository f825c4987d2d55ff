using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Tests.Wording;

public class PhraseTests
{
    [Fact]
    public void Lengths_stay_lengths_so_that_a_sentence_can_be_read_in_inches()
    {
        var phrase = Phrase.Say($"{"Siân":strong} is {Length.Mm(4.08):strong} wider than {Length.Inches(1)}.");
        phrase.ToString().ShouldBe("Siân is 4.1 mm wider than 25.4 mm.");
        phrase
            .Parts.Where(p => p.Millimetres is not null)
            .Select(p => (p.Millimetres!.Value, p.Strong))
            .ShouldBe([(4.08, true), (25.4, false)]);
        phrase.Parts[0].Strong.ShouldBeTrue();
    }

    [Fact]
    public void Small_figures_can_be_said_to_a_hundredth()
    {
        var phrase = Phrase.Say($"{Length.Mm(0.625):strong fine} of {Length.Mm(0.8):fine}");
        phrase.ToString().ShouldBe("0.63 mm of 0.80 mm");
        phrase.Parts.Where(p => p.Fine).Count().ShouldBe(2);
        phrase.Parts.Count(p => p.Strong).ShouldBe(1);
    }

    [Fact]
    public void Numbers_are_written_the_same_in_every_country()
    {
        var before = System.Globalization.CultureInfo.CurrentCulture;
        try
        {
            System.Globalization.CultureInfo.CurrentCulture = new System.Globalization.CultureInfo("de-DE");
            Phrase.Say($"{1234.5:0.00}° and {7:strong}").ToString().ShouldBe("1234.50° and 7");
        }
        finally
        {
            System.Globalization.CultureInfo.CurrentCulture = before;
        }
    }

    [Fact]
    public void Phrases_are_put_into_phrases_whole()
    {
        var inner = Phrase.Say($"a {Length.Mm(1)}");
        Phrase.Say($"[{inner}]").ToString().ShouldBe("[a 1.0 mm]");
        Phrase.Empty.Then(inner).ShouldBe(inner);
        inner.Then(inner).ToString().ShouldBe("a 1.0 mm a 1.0 mm");
    }

    [Fact]
    public void An_outcome_without_a_value_tells_why_instead_of_giving_one()
    {
        var failed = Outcome<int>.Fail(Phrase.Say($"No number."));
        failed.Ok.ShouldBeFalse();
        failed.ValueOrDefault.ShouldBe(0);
        Should.Throw<InvalidOperationException>(() => failed.Value).Message.ShouldBe("No number.");
        Outcome<int>.Of(5).Value.ShouldBe(5);
    }
}
