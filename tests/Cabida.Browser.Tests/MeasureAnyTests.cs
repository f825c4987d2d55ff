using OpenQA.Selenium;

namespace Cabida.Browser.Tests;

/// <summary>Anything a name can be put on is measured, kept and used.</summary>
public sealed class MeasureAnyTests : IDisposable
{
    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public MeasureAnyTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void A_shape_on_paper_is_scanned_followed_and_becomes_a_blank_with_its_holes()
    {
        page.Open("/shelf");
        page.Type("Name of the blank", "Depot plate");
        page.Choose("Kind of surface", "odd outline, from paper or a file");
        page.Click("Start measuring");
        page.ReadsSoon(".finding.stop", "Bring its outline in");
        page.Click("From a scan or picture");
        page.Choose("Sheet in the tray", "Number plate with two holes, laid on the glass");
        page.Choose("Scan at", "150");
        page.Click("Scan");
        page.ReadsSoon(".found-list", "filled, 2 holes");
        page.Type("Dots an inch", "0");
        page.ReadsSoon("section[aria-label='Outlines found']", "A resolution of 0 dots an inch cannot be");
        page.Type("Dots an inch", "150");
        page.ReadsSoon(".found-list", "2 holes");
        page.Click("Use this outline");
        page.ReadsSoon("section[aria-label='Outline']", "a scan at 150 dots an inch, with 2 holes");
        page.ReadsSoon("section[aria-label='To look at']", "nothing");
        page.ReadsSoon("section[aria-label='Works out to']", "130.");
        page.Saved();
    }

    [Fact]
    public void A_photographed_sheet_is_followed_from_its_four_corners()
    {
        page.Open("/shelf/luggage-tag/outline");
        page.Choose("Sheet in the tray", "Signal lamp board, photographed askew");
        page.Click("Scan");
        page.ReadsSoon("section[aria-label='Its size']", "The corners were found by themselves");
        // The lamp is 90 across and 170 high, by corners that nobody marked.
        page.ReadsSoon(".found-row strong", "× 17");
        page.Text(".found-row strong").ShouldMatch(@"^(89|90)\.\d × 1(69|70)\.\d$");
        // Each is moved by a click beside it, in whatever order.
        foreach (var (x, y) in new[] { (0.93, 0.90), (0.17, 0.11), (0.08, 0.86), (0.86, 0.16) })
        {
            Press(x, y);
        }

        Page.Until(
            () => page.Text("section[aria-label='Its size']").Contains("found by themselves", StringComparison.Ordinal) ? null : "",
            "a mark that was moved still counts as found"
        );
        // The lamp is 90 across and 170 high; a click is good for a pixel or two of the picture on screen.
        page.ReadsSoon(".found-row strong", "× 17");
        page.Text(".found-row strong").ShouldMatch(@"^(89|90|91)\.\d × 1(69|70|71)\.\d$");
    }

    [Fact]
    public void A_zone_is_moved_by_the_keyboard_and_the_schedule_shows_where_it_went()
    {
        page.Open("/shelf/platform-board");
        page.Click("Zones");
        page.Click("open");
        page.Click("With its zones");
        page.Field("Zone away").GetAttribute("value").ShouldBe("60");
        page.See(".zone-handle rect").SendKeys(Keys.ArrowUp);
        Page.Until(() => page.Field("Zone away").GetAttribute("value") == "60.5" ? "" : null, "the zone did not move up");
        page.See(".zone-handle rect").SendKeys(Keys.Shift + Keys.ArrowLeft);
        Page.Until(() => page.Field("Zone across").GetAttribute("value") == "5.0" ? "" : null, "the zone did not move to the left");
        page.Field("Zone to which side").GetAttribute("value").ShouldBe("left");
        page.Saved();
        page.Click("Undo");
        Page.Until(() => page.Field("Zone across").GetAttribute("value")?.Length == 0 ? "" : null, "the move was not undone");
    }

    [Fact]
    public void A_lid_is_added_read_and_carries_a_zone_that_is_moved_on_its_own_drawing()
    {
        page.Open("/shelf/enamel-mug");
        page.Choose("Add a face", "Lid");
        page.Type("Lid, across, reading 1", "82 mm");
        page.ReadsSoon("section[aria-label='Works out to']", "Lid 82.0 mm × 82.0 mm");
        page.Click("Zones");
        page.Click("Add a zone");
        page.Type("Name of the zone", "On top");
        page.Choose("Side of the goods", "Lid");
        // Its own drawing is shown, and what stays clear is said as of something flat.
        page.ReadsSoon("section[aria-label='Drawing'] .view.here", "Lid");
        page.Field("Top edge");
        page.Type("Zone width", "40");
        page.Type("Zone height", "20");
        page.ReadsSoon(".zone.open .zone-size", "40.0 × 20.0 safe");
        page.See(".zone-handle rect").SendKeys(Keys.ArrowLeft);
        Page.Until(() => page.Field("Zone across").GetAttribute("value") == "0.5" ? "" : null, "the zone did not move to the left");
        page.Click("Readings");
        page.Press("button[aria-label='Remove Lid']");
        page.ReadsSoon("section[aria-label='To look at']", "the face it was on is not there any more");
        page.Click("Undo");
        page.ReadsSoon("section[aria-label='Works out to']", "Lid 82.0 mm × 82.0 mm");
        page.Saved();
    }

    [Fact]
    public void The_shelf_is_searched_and_a_retired_blank_is_out_of_the_way()
    {
        page.Open("/shelf");
        page.Type("Name, material or word", "glass");
        page.ReadsSoon(".shelf", "Lantern chimney");
        Page.Until(
            () => shop.Driver.FindElements(By.CssSelector(".shelf-blank")).Count == 4 ? "" : null,
            "not only the glass things were shown"
        );
        page.Type("Name, material or word", "nothing of the kind");
        page.ReadsSoon(".empty", "No blank is like that");
        page.Click("Show all of them");
        page.Choose("Surface", "garment");
        page.ReadsSoon(".shelf", "Work shirt, indigo");
        shop.Driver.FindElements(By.CssSelector(".shelf-blank")).Count.ShouldBe(1);
        page.Open("/shelf/rail-lantern");
        page.Click("Retire");
        page.Saved();
        page.ReadsSoon(".about", "retired");
        page.Open("/shelf");
        page.ReadsSoon("label[for='retired']", "2 retired");
    }

    [Fact]
    public void A_size_chart_with_a_gap_and_a_frame_that_holds_nothing_are_explained()
    {
        page.Open("/shelf/work-shirt");
        page.Type("Sizes", "S, M, L, XL, XXL");
        page.Field("Sizes").SendKeys(Keys.Tab);
        page.ReadsSoon(".finding.stop", "XXL: Read the width");
        page.Open("/shelf/farewell-frame");
        page.Type("Sight, across, reading 1", "230");
        page.ReadsSoon(".finding.stop", "The sight is 16.0 mm wider than the rebate");
        page.Field("Sight, across, reading 1").GetAttribute("value").ShouldBe("230");
    }

    [Fact]
    public void A_board_for_one_job_only_lives_in_its_job()
    {
        page.Open("/jobs/fernhollow-crew");
        page.Type("Name of the run", "Door sign");
        page.Click("Add a run");
        page.Type("Name of the blank", "Sawn door board");
        page.Choose("Kind of surface", "flat panel: board, sign, plate");
        page.Click("Start measuring");
        page.ReadsSoon(".about", "for one job only");
        page.Type("Width, reading 1", "300");
        page.Type("Height, reading 1", "120");
        page.ReadsSoon("section[aria-label='Works out to']", "Workable");
        page.Saved();
        page.Open("/shelf");
        page.See(".shelf-blank");
        page.Text("main").ShouldNotContain("Sawn door board");
    }

    private void Press(double x, double y) =>
        shop.Driver.ExecuteScript(
            """
            const board = document.querySelector('.picture-board');
            const [w, h] = board.getAttribute('viewBox').split(' ').slice(2).map(Number);
            const at = new DOMPoint(arguments[0] * w, arguments[1] * h).matrixTransform(board.getScreenCTM());
            for (const kind of ['pointerdown', 'pointerup']) board.dispatchEvent(new PointerEvent(kind, { clientX: at.x, clientY: at.y, bubbles: true, pointerId: 1 }));
            """,
            x,
            y
        );
}
