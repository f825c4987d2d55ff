using System.Globalization;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Cabida.Browser.Tests;

/// <summary>Every main view with the demo day: accessible in both themes, and used by keyboard.</summary>
public sealed class ViewsTests : IDisposable
{
    private static readonly (string Path, string Ready)[] Views =
    [
        ("/jobs", ".slip-run path.ink"),
        ("/jobs/fernhollow-crew", ".slip-run path.ink"),
        ("/shelf", ".shelf-blank svg"),
        ("/shelf/steel-tumbler", ".drawing"),
        ("/shelf/enamel-mug", ".drawing"),
        ("/motifs", ".motif-slip svg"),
        ("/motifs/crew-name", "section[aria-label='Ink'] svg"),
        ("/motifs/farewell", "section[aria-label='Ink'] path.ink"),
        ("/motifs/crew-name/try/name", ".trial-facts"),
        ("/stock", ".typeface svg"),
        ("/runs/crew-mugs/set-up", ".set-up-ink"),
        ("/runs/crew-mugs/fit", ".strip-piece:nth-child(12)"),
        ("/runs/driver-tumblers/fit", ".strip-piece:nth-child(6)"),
        ("/stock/cutters/bench-cutter", ".proving-drawing"),
        ("/cutting/navy-vinyl", ".plan-spares"),
        ("/runs/crew-mugs/loads", ".plan-spares"),
        ("/runs/crew-mugs/bench", ".bench-card"),
        ("/jobs/fernhollow-crew/again", ".again-two"),
        ("/jobs/orders", ".orders-layout"),
        ("/jobs/offers/crew-mug", ".offer-page"),
        ("/jobs/put-away", ".put-away .empty"),
        ("/past/blank/enamel-mug", ".past-drawing svg"),
        ("/safekeeping", ".copies tbody tr"),
    ];

    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public ViewsTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Theory]
    [InlineData("light")]
    [InlineData("dark")]
    public void No_view_has_a_serious_accessibility_violation(string theme)
    {
        var axe = File.ReadAllText(Path.Combine(Workshop.Root, "web", "node_modules", "axe-core", "axe.min.js"));
        page.Open("/jobs");
        Run($"localStorage.setItem('cabida.theme', '{theme}')");
        var found = new List<string>();
        foreach (var (path, ready) in Views)
        {
            page.Open(path);
            page.See(ready);
            Run(axe);
            var json = (string)
                shop.Driver.ExecuteAsyncScript(
                    "const done = arguments[0]; axe.run(document, { resultTypes: ['violations'] }).then(r => "
                        + "done(JSON.stringify(r.violations.filter(v => v.impact === 'serious' || v.impact === 'critical').map(v => "
                        + "[v.id, v.nodes.map(n => n.target.join(' ')).slice(0, 3)]))));"
                )!;
            found.AddRange(JsonNode.Parse(json)!.AsArray().Select(v => $"{path}: {v!.ToJsonString()}"));
        }

        found.ShouldBeEmpty();
    }

    [Fact]
    public void The_pieces_are_gone_through_by_keyboard_and_each_view_keeps_the_board_and_the_schedule_together()
    {
        page.Open("/runs/crew-mugs/fit");
        page.ReadsSoon(".strip", "3 over");
        // The last of those that are there is the last of all once all are.
        page.ReadsSoon(".strip-pieces", "Bartholomew");
        Press(Keys.ArrowRight);
        page.ReadsSoon(".strip-piece[aria-current='true']", "Bram");
        page.See("path[data-piece='Bram']");
        // On a tab the arrows are the tabs', and its panel names it.
        page.Press("[role='tab'][aria-selected='true']", "This piece");
        Press(Keys.ArrowRight);
        page.ReadsSoon("[role='tabpanel'][aria-labelledby$='tab-set']", "One set");
        page.ReadsSoon(".strip-piece[aria-current='true']", "Bram");
        Press(Keys.ArrowLeft);
        page.ReadsSoon("[role='tabpanel'][aria-labelledby$='tab-piece']", "Room");
        Press(Keys.End);
        page.ReadsSoon(".strip-piece[aria-current='true']", "Bartholomew");
        page.ReadsSoon("section[aria-label='To look at']", "wider than the zone");
        page.See(".room-tag.beyond");
        Press("n");
        page.ReadsSoon(".strip-piece[aria-current='true']", "Zoë-Marie");
        page.See(".dimension");
        Press("d");
        Page.Until(() => shop.Driver.FindElements(By.CssSelector(".dimension")).Count == 0 ? "" : null, "the dimensions stayed");
        Press("o");
        page.See(".ink-outline");
        Press("?");
        page.ReadsSoon(".modal", "the piece before, the piece after");
    }

    [Fact]
    public void A_remedy_is_applied_by_one_click_and_undone_by_one()
    {
        page.Open("/runs/crew-mugs/fit");
        page.ReadsSoon(".strip", "3 over");
        page.Press(".strip-piece:nth-child(6)");
        page.Press(".remedies button");
        page.ReadsSoon(".strip", "12 fit");
        page.ReadsSoon("section[aria-label='Ink']", "27.5 mm");
        page.Click("Undo");
        page.ReadsSoon(".strip", "3 over");
    }

    [Fact]
    public void Lengths_are_shown_in_the_readers_unit_without_changing_what_was_typed()
    {
        page.Open("/shelf/enamel-mug");
        page.ReadsSoon(".readings", "257.6 ± 1.3");
        page.Click("in");
        page.ReadsSoon(".readings", "10 1/8 ± 1/16");
        page.Choose("Inches shown as", "decimal");
        page.ReadsSoon(".readings", "10.141 ± 0.051");
        page.Field("Girth, reading 1").GetAttribute("value").ShouldBe("258.5");
        page.ReadsSoon(".reading-field .echo", "= 10.177 in");
        page.Click("mm");
    }

    [Fact]
    public void A_change_in_another_window_is_told_and_nothing_is_overwritten()
    {
        page.Open("/shelf/straight-glass");
        page.Field("Name of the blank");
        Run(
            """
            fetch('/api/blanks/straight-glass').then(r => r.json()).then(v => fetch('/api/blanks/straight-glass', {
              method: 'PUT', headers: { 'Content-Type': 'application/json', 'If-Match': `"${v.revision}"` },
              body: JSON.stringify({ ...v.blank, note: 'from the other window' }) })).then(() => { document.title = 'written'; });
            """
        );
        Page.Until(() => shop.Driver.Title == "written" ? "" : null, "the other window never wrote");
        page.Type("Name of the blank", "Renamed here");
        page.ReadsSoon(".conflict", "changed in another window");
        page.Field("Name of the blank").GetAttribute("value").ShouldBe("Renamed here");
        page.Click("Show that");
        page.Click("Goods");
        Page.Until(
            () => page.Field("Note").GetAttribute("value") == "from the other window" ? "" : null,
            "what the other window wrote was not shown"
        );
    }

    [Fact]
    public void The_ink_on_the_back_of_a_shirt_is_moved_by_hand_and_its_room_is_seen_before_it_is_let_go()
    {
        page.Open("/runs/work-shirts/fit");
        page.Click("Back");
        page.ReadsSoon("section[aria-label='Room']", "Room, back");
        page.ReadsSoon("section[aria-label='Room']", "274.0 of 280.0");

        // Held, it tells what there would be; nothing is changed yet.
        var held = new Actions(shop.Driver).MoveToElement(page.See(".piece-frame")).ClickAndHold().MoveByOffset(20, 0).MoveByOffset(10, 0);
        held.Perform();
        page.See("[data-ghost]");
        page.ReadsSoon(".part-handle", "right · 0.0 up · letters");
        page.Text("section[aria-label='Room']").ShouldContain("274.0 of 280.0");
        new Actions(shop.Driver).Release().Perform();
        page.GoneSoonFrom("section[aria-label='Room']", "274.0 of 280.0");
        var right = double.Parse(page.Field("Moved right").GetAttribute("value")!, CultureInfo.InvariantCulture);
        right.ShouldBeGreaterThan(5);
        page.Field("Moved up").GetAttribute("value").ShouldBe("");

        // Keys add to where it is going, however fast they come; what is taken back can be had again.
        page.See(".piece-frame").SendKeys(Keys.Shift + Keys.ArrowLeft + Keys.ArrowLeft);
        MovedTo(right - 2);
        page.Saved();
        page.Click("as the set again");
        page.ReadsSoon("section[aria-label='Room']", "274.0 of 280.0");
        page.Saved();
        page.Click("Undo");
        MovedTo(right - 2);

        void MovedTo(double mm) =>
            Page.Until(
                () => page.Field("Moved right").GetAttribute("value") == mm.ToString("0.0", CultureInfo.InvariantCulture) ? "" : null,
                () => $"it stands at {page.Field("Moved right").GetAttribute("value")}, not {mm}"
            );
    }

    [Fact]
    public void A_piece_is_drawn_as_large_as_it_is_on_a_screen_that_was_measured()
    {
        page.Open("/runs/work-shirts/fit");
        page.Click("True size");
        // The zone is 100 wide; a screen that was not measured says 96 pixels to the inch.
        Wide(100 * 96 / 25.4);
        page.Type("By a rule this bar is, mm", "80");
        Wide(125 * 96 / 25.4);
        page.Open("/runs/work-shirts/fit");
        page.Click("True size");
        Wide(125 * 96 / 25.4);
        page.ReadsSoon(".screen-rule", "As large as it is");
        page.Click("True size");
        page.See(".board:not(.scrolls)");

        void Wide(double pixels) =>
            Page.Until(() => Math.Abs(Zone() - pixels) < 1.5 ? "" : null, () => $"the zone is {Zone()} pixels wide, not {pixels}");

        double Zone() =>
            Convert.ToDouble(
                ((IJavaScriptExecutor)shop.Driver).ExecuteScript(
                    "return document.querySelector('.board.scrolls .stroke-zone')?.getBoundingClientRect().width ?? 0"
                ),
                CultureInfo.InvariantCulture
            );
    }

    [Fact]
    public void What_is_taken_off_the_shelf_can_be_put_back_at_once()
    {
        page.Open("/shelf/rail-lantern");
        page.Click("Take off the shelf");
        page.ReadsSoon(".saved-note", "Removed Lantern chimney.");
        Page.Until(() => shop.Driver.FindElements(By.CssSelector(".shelf-blank")).Count == 11 ? "" : null, "it stayed on the shelf");
        page.Press(".saved-note button");
        page.ReadsSoon(".shelf-blank", "Lantern chimney");
        page.Open("/shelf/enamel-mug");
        page.See(".deeds button:disabled");
    }

    [Fact]
    public void A_piece_is_seen_on_its_blank_and_turned_by_keyboard()
    {
        page.Open("/runs/crew-mugs/fit");
        page.Click("On the blank");
        page.See(".stage[data-painted='true'] canvas");
        string Seen() =>
            (string)((IJavaScriptExecutor)page.Driver).ExecuteScript("return document.querySelector('.stage canvas').toDataURL()")!;
        var front = Seen();
        page.Field("Turned by 0°").SendKeys(string.Concat(Enumerable.Repeat(Keys.ArrowRight, 6)));
        page.ReadsSoon(".turn", "Turned by 30°");
        Page.Until(() => Seen() != front ? "" : null, "the ink did not turn");
        page.Click("To the front");
        page.ReadsSoon(".turn", "Turned by 0°");
        page.Click("Flat");
        page.See("path[data-piece='Agnieszka']");
    }

    [Fact]
    public void Anything_is_found_by_its_name_from_everywhere()
    {
        page.Open("/stock");
        page.Click("Find");
        page.Type("Part of a name", "tumblers");
        page.ReadsSoon(".found", "Driver tumblers");
        page.Press(".found li:first-child button");
        page.ReadsSoon(".strip", "6 names at one scale");
    }

    [Fact]
    public void A_newer_blank_is_offered_and_taken_only_when_asked_for()
    {
        page.Open("/shelf/enamel-mug");
        page.Click("Zones");
        page.Type("Below the rim", "24");
        page.Saved();
        page.Open("/runs/crew-mugs/set-up");
        page.ReadsSoon(".newer", "It was changed since this run took it");
        page.Open("/runs/crew-mugs/fit");
        page.ReadsSoon("section[aria-label='Board'] .sums", "rim 10.0");
        page.Open("/runs/crew-mugs/set-up");
        page.Click("Take it as it is now");
        page.Saved();
        page.Open("/runs/crew-mugs/fit");
        page.ReadsSoon("section[aria-label='Board'] .sums", "rim 24.0");
    }

    private void Run(string script) => shop.Driver.ExecuteScript(script);

    private void Press(string key) => new OpenQA.Selenium.Interactions.Actions(shop.Driver).SendKeys(key).Perform();
}
