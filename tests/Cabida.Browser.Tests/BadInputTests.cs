namespace Cabida.Browser.Tests;

/// <summary>Bad input gets a clear message where it was typed, and nothing typed is lost.</summary>
public sealed class BadInputTests : IDisposable
{
    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public BadInputTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void Lengths_that_cannot_be_meant_are_told_beneath_their_field_and_kept()
    {
        page.Open("/shelf/enamel-mug");
        foreach (
            var (typed, says) in new[]
            {
                ("eight-ish", "cannot be read as a length"),
                ("-94", "is negative"),
                ("940000", "is more than 5000.0 mm"),
                ("8 5/0", "no proper fraction"),
            }
        )
        {
            page.Type("Height of wall, reading 1", typed);
            page.ReadsSoon(".reading-field:has(.wrong) .echo.problem", says);
        }

        page.Saved();
        page.Driver.Navigate().Refresh();
        page.ReadsSoon(".reading-field .echo.problem", "no proper fraction");
        page.Field("Height of wall, reading 1").GetAttribute("value").ShouldBe("8 5/0");
    }

    [Fact]
    public void Girths_that_no_wall_can_join_are_explained()
    {
        page.Open("/shelf/steel-tumbler");
        page.Type("Wall, A to B, reading 1", "6");
        page.ReadsSoon(".finding.stop", "No wall of 6.0 mm joins girths of");
        page.Type("Wall, A to B, reading 1", "150");
        page.ReadsSoon("section[aria-label='Works out to']", "ring sector");
    }

    [Fact]
    public void Lists_with_trouble_say_so_line_by_line_and_keep_every_line()
    {
        var endless = new string('x', 300);
        var typed = $"Bram\n\nSiân\n{endless}\nBram\n漢字\n";
        page.Open("/runs/crew-mugs/set-up");
        page.Paste("Names, one a line", typed);
        page.ReadsSoon(".names", "Line 2 is empty");
        page.ReadsSoon(".names", "Line 4 has 300 letters; a name holds 80");
        page.ReadsSoon(".names", "Line 5 repeats line 1");
        page.Click("See how they fit");
        page.ReadsSoon(".strip", "4 names at one scale");
        page.Press(".strip-piece:nth-child(4)");
        page.ReadsSoon(
            "section[aria-label='To look at']",
            "“漢字” has letters that Kaushan Script lacks: their words are set in Noto Sans SC Bold"
        );
        page.Driver.Navigate().Back();
        page.Open("/runs/crew-mugs/set-up");
        page.Field("Names, one a line").GetAttribute("value").ShouldBe(typed);
    }

    [Fact]
    public void Two_thousand_names_are_kept_a_thousand_are_made_and_setting_them_can_be_stopped()
    {
        var typed = string.Join('\n', Enumerable.Range(1, 2000).Select(i => $"Nr {i}"));
        page.Open("/runs/depot-glasses/set-up");
        page.Paste("Names, one a line", typed);
        page.ReadsSoon(".names", "2000 names; a run holds 1000");
        page.Click("See how they fit");
        page.ReadsSoon(".strip [role='status']", "of 1000 names set");
        page.Click("Stop");
        page.ReadsSoon(".strip [role='status']", "Go on");
        page.Open("/runs/depot-glasses/set-up");
        page.Field("Names, one a line").GetAttribute("value")!.Length.ShouldBe(typed.Length);
    }

    [Fact]
    public void An_unreadable_letter_height_stops_the_fit_with_the_way_to_mend_it()
    {
        page.Open("/runs/crew-mugs/set-up");
        page.Type("Letter height", "tall");
        page.ReadsSoon("section[aria-label='Sizing'] .echo.problem", "cannot be read");
        page.Click("Fit 12");
        page.ReadsSoon(".empty", "“tall” cannot be read as a length");
        page.Click("To the set-up");
        page.Field("Letter height").GetAttribute("value").ShouldBe("tall");
    }

    [Fact]
    public void A_motif_line_without_words_or_too_long_is_told_beneath_it()
    {
        page.Open("/motifs/crew-name");
        page.Paste("Words; {name} is filled from the list", new string('y', 200));
        page.ReadsSoon(".part-text .echo.problem", "200 characters; a line holds 120");
        page.Paste("Words; {name} is filled from the list", "");
        page.ReadsSoon(".part-text .echo.problem", "no words yet");
    }
}
