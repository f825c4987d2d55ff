using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Cabida.Browser.Tests;

/// <summary>Faults are found before anything is cut, mended where they stand, and taken back.</summary>
public sealed class MendingTests : IDisposable
{
    private const string Findings = "section[aria-label='To look at']";
    private const string InSet = "section[aria-label='In several pieces']";

    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public MendingTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void A_line_that_is_too_thin_in_a_set_is_mended_in_all_of_it_by_one_remedy_and_taken_back()
    {
        page.Open("/runs/work-shirts/fit");
        page.ReadsSoon(".readiness", "4 to decide");
        page.Click("The set");
        page.ReadsSoon(InSet, "The names are too thin in 3 of 4");
        // The names: in the motif, for all three at once.
        const string names = InSet + " .finding:nth-of-type(2)";
        page.Press($"{names} button", "What would mend all");
        page.ReadsSoon(names, "mends all 3");
        page.Press($"{names} .remedies button", "Strengthen by 0.10 mm: mends all 3");
        page.GoneSoonFrom("main", "The names are too thin in 3 of 4");
        page.Click("Undo");
        page.ReadsSoon(InSet, "The names are too thin in 3 of 4");
    }

    [Fact]
    public void What_would_mend_a_piece_shows_its_figures_and_what_is_kept_as_it_is_says_why()
    {
        page.Open("/runs/luggage-tags/fit");
        page.ReadsSoon(Findings, "On two lines, Zoë- / Marie");
        var lines = page
            .Driver.FindElements(By.CssSelector($"{Findings} .remedies button"))
            .First(b => b.Text == "On two lines, Zoë- / Marie");
        new Actions(shop.Driver).ScrollToElement(lines).MoveToElement(lines).Perform();
        page.ReadsSoon(Findings, "letters 12.8 mm → 23.9 mm");
        page.See("[data-ghost]");
        page.Press($"{Findings} .remedies button", "On two lines, Zoë- / Marie");
        page.GoneSoonFrom(Findings, "Zoë-Marie: strokes");
        page.Click("Undo");
        page.ReadsSoon(Findings, "Zoë-Marie: strokes");
        // Once what would mend it is there, nothing moves under the hand.
        page.ReadsSoon(Findings, "Strengthen by 0.22 mm");

        page.Press($"{Findings} .finding button", "Keep it as it is …");
        page.Type("Why it stays as it is", "They like it worn");
        page.Click("Keep it");
        page.ReadsSoon(Findings, "Kept as it is: They like it worn");
        page.Press($"{Findings} .kept button");
        page.GoneSoonFrom(Findings, "They like it worn");
    }

    [Fact]
    public void A_stencil_whose_letters_would_fall_out_is_held_by_ties_which_are_moved_by_keys_and_stay_with_their_letters()
    {
        page.Open("/runs/sand-crates/fit");
        page.ReadsSoon(".strip-piece:nth-child(1)", "falls apart");
        page.ReadsSoon(Findings, "4 islands (D, R, A) would fall out of this stencil");
        page.Press($"{Findings} .remedies button", "Hold all 4 by ties of 4.00 mm");
        page.GoneSoonFrom(Findings, "would fall out");
        page.GoneSoonFrom(".strip-piece:nth-child(1)", "falls apart");
        var tie = page.See(".tie-handle");
        var (name, at) = (tie.GetAttribute("data-tie"), tie.GetAttribute("aria-label"));
        tie.SendKeys(Keys.ArrowLeft);
        page.See($".tie-handle.moved[data-tie='{name}']");
        Page.Until(() => page.See($"[data-tie='{name}']").GetAttribute("aria-label") != at ? "" : null, "the tie was not moved");
        page.ReadsSoon("section[aria-label='By hand']", "One tie moved");
        page.Saved();
        page.Driver.Navigate().Refresh();
        page.See($".tie-handle.moved[data-tie='{name}']");
        page.Press("section[aria-label='By hand'] .mends li:last-child button");
        page.GoneSoonFrom("section[aria-label='By hand']", "One tie moved");
        page.See($".tie-handle[data-tie='{name}']:not(.moved)");
        // What holds it back leads on: the next piece is the one that still falls apart.
        page.Press(".readiness .to-mend");
        page.ReadsSoon(Findings, "would fall out of this stencil");
    }
}
