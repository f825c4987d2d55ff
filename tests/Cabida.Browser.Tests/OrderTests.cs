using OpenQA.Selenium;

namespace Cabida.Browser.Tests;

/// <summary>
/// The path of a whole order, as a maker walks it: a list with mistakes, one set, concessions, a proof, the finished thing.
/// </summary>
public sealed class OrderTests : IDisposable
{
    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public OrderTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void Forty_names_are_pasted_mended_fitted_conceded_for_approved_and_turned_on_the_mug()
    {
        page.Open("/runs/crew-mugs/set-up");
        page.Paste("Names, one a line", File.ReadAllText(Path.Combine(Workshop.Root, "tests", "lists", "crew-40.txt")));
        page.ReadsSoon("section[aria-label='Names'] .hint", "40 pieces");
        page.ReadsSoon(".list-notes", "MARGARET is all in capitals");
        foreach (
            var remedy in new[]
            {
                "Make it Margaret",
                "Make it Martin",
                "Make it Niamh",
                "Make it Zofia",
                "Make it Marta",
                "Make it Ayşe",
                "Make it Ewa Kowalska",
                "Take it away",
            }
        )
        {
            page.Click(remedy);
            page.Saved();
            page.GoneSoon(remedy);
        }

        page.Click("Write all 3 cleaned lines so");
        page.Saved();
        page.ReadsSoon("section[aria-label='Names'] .hint", "39 pieces");
        page.GoneSoon("Write it so");

        page.Click("See how they fit");
        page.Click("The set");
        page.ReadsSoon("section[aria-label='One set']", "sets the limit");
        Page.Until(
            () => page.Driver.FindElements(By.CssSelector(".fitting-progress")).Count == 0 ? "" : null,
            "the names were never all set"
        );
        // Three names are left out of the height that is given, and conceded for.
        page.See("#left-out").SendKeys(Keys.ArrowRight + Keys.ArrowRight + Keys.ArrowRight);
        page.Press(".plot-choice .btn");
        page.Saved();
        page.ReadsSoon(".strip header", "over");
        page.Choose("Add a concession", "close up the letters");
        page.Saved();
        page.Choose("Add a concession", "make it smaller than the set");
        page.Saved();
        Page.Until(
            () =>
                page.Text(".strip header") is var now
                && now.Contains("with a concession", StringComparison.Ordinal)
                && !now.Contains(" over", StringComparison.Ordinal)
                    ? now
                    : null,
            "names are still over"
        );

        page.Click("Proof");
        page.See(".proof-piece");
        page.Press("[aria-label='Łukasz'] .remedies .btn");
        page.ReadsSoon("[aria-label='Łukasz']", "✓ approved");
        page.Press("[aria-label='Halina'] .remedies .btn:nth-child(2)");
        page.Field("Correction for Halina, in the customer’s words").SendKeys("with two n");
        page.Saved();
        page.ReadsSoon(".proof-counts", "1 approved");
        page.ReadsSoon(".proof-counts", "1 to correct");

        // Another size is other ink: what was approved is not any more.
        page.Click("Set-up");
        page.Type("Letter height", "21");
        page.Saved();
        page.Click("Proof");
        page.ReadsSoon("[aria-label='Łukasz']", "changed since approval");
        page.ReadsSoon("[aria-label='Halina']", "with two n");

        page.Open("/runs/crew-mugs/fit");
        page.Click("On the blank");
        page.See(".stage[data-painted='true'] canvas");
        var front = Seen();
        page.Click("Right side");
        page.ReadsSoon(".turn label", "Turned by 90°");
        Page.Until(() => Seen() is var now && now != front ? now : null, "the mug did not turn");
    }

    [Fact]
    public void A_spreadsheet_of_members_is_looked_at_and_taken_and_a_damaged_one_is_refused()
    {
        page.Open("/runs/crew-mugs/set-up");
        var damaged = Path.Combine(shop.Downloads, "members.xlsx");
        File.WriteAllBytes(damaged, [0x50, 0x4b, 3, 4, 7, 7]);
        page.Field("List file").SendKeys(damaged);
        page.ReadsSoon(".modal", "cannot be read as a spreadsheet");
        page.Click("Leave it");
        page.Field("List file").SendKeys(Path.Combine(Workshop.Root, "tests", "lists", "members-200.csv"));
        page.ReadsSoon(".modal", "201 rows in all");
        page.ReadsSoon(".modal .list-head", "Imię");
        page.Choose("Column 2", "left out");
        page.Click("Take this list");
        page.Saved();
        page.ReadsSoon("section[aria-label='Names'] .hint", "199 pieces");
        page.ReadsSoon(".list-notes", "has no name: it makes no piece");
        page.Click("Undo");
        page.ReadsSoon("section[aria-label='Names'] .hint", "12 pieces");
    }

    [Fact]
    public void Ways_of_standing_show_a_ghost_before_they_are_chosen_and_one_piece_is_set_by_hand()
    {
        page.Open("/runs/driver-tumblers/fit");
        page.Click("The set");
        // What stands above grows while the names are set; a maker whose choice moved away points at it again.
        Page.Until(
            () =>
            {
                if (
                    page
                        .Driver.FindElements(By.CssSelector(".choice"))
                        .FirstOrDefault(e => e.Text.StartsWith("follow the taper", StringComparison.Ordinal))
                    is not { } way
                )
                {
                    return null;
                }

                // As long as it is pointed at, its ghost is on the way, however long that takes; pointing anew would ask for it anew.
                if (((IJavaScriptExecutor)page.Driver).ExecuteScript("return arguments[0].matches(':hover')", way) is not true)
                {
                    new OpenQA.Selenium.Interactions.Actions(page.Driver).MoveToElement(page.See("h2")).MoveToElement(way).Perform();
                }

                return page.Driver.FindElements(By.CssSelector("path[data-ghost]")).FirstOrDefault();
            },
            "no ghost of the taper followed"
        );
        page.ReadsSoon(".ghost-says", "It");
        page.Click("follow the taper, bent");
        page.Saved();
        page.Click("This piece");
        page.ReadsSoon("section[aria-label='Ink']", "Follows the taper");
        page.Click("for this piece alone");
        page.Type("Moved up", "2");
        page.Saved();
        page.ReadsSoon(".strip-piece[aria-current='true']", "✎");
        page.Click("as the set again");
        page.Saved();
    }

    [Fact]
    public void Both_sides_of_a_mug_are_seen_set_by_hand_and_placed()
    {
        page.Open("/runs/tea-mugs/fit");
        page.ReadsSoon("section[aria-label='Other sides of the piece']", "on Right of the handle: 70.0 ×");
        page.Click("for this piece alone");
        page.Click("Right of the handle");
        page.Type("Letter height of its own", "5");
        page.Saved();
        page.ReadsSoon(".strip-piece[aria-current='true']", "✎");
        page.ReadsSoon("section[aria-label='Other sides of the piece']", "room 1");
        // The first side is as it was.
        page.ReadsSoon("section[aria-label='Ink']", "16.0 mm");
        page.Click("Bench");
        page.ReadsSoon(
            ".bench-surface",
            "Right of the handle: Middle of the ink from the line opposite the handle, 62.0 mm to the right of it"
        );
        page.ReadsSoon(".bench-pieces", "Right of the handle");
    }

    private string Seen() =>
        (string)((IJavaScriptExecutor)page.Driver).ExecuteScript("return document.querySelector('.stage canvas')?.toDataURL() ?? ''")!;
}
