using Cabida.Formats.Cutting;
using OpenQA.Selenium;

namespace Cabida.Browser.Tests;

/// <summary>A piece as waste, and its weed box with breaks from the switch to the file that is cut.</summary>
public sealed class WeedingTests : IDisposable
{
    private const string Card = "section[aria-label='Weeding']";
    private const string Switches = "section[aria-label='Weed box and breaks']";

    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public WeedingTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void A_weed_box_with_its_breaks_is_switched_on_drawn_and_read_back_out_of_the_file()
    {
        page.Open("/runs/crew-mugs/fit");
        page.ReadsSoon(".strip", "12 names at one scale");
        // By the keyboard alone: the piece as waste.
        page.See("body").SendKeys("w");
        page.ReadsSoon(Card, "Peel from the left.");
        page.ReadsSoon(Card, "Tape first, and pull the waste from behind.");
        page.See("section[aria-label='Board'] [data-waste]");
        page.Choose("A box", "round each piece");
        page.ReadsSoon(Card, "Breaks keep");
        page.See("section[aria-label='Board'] .weed-box");
        page.See("section[aria-label='Board'] [data-break='rows']");
        page.See("section[aria-label='Board'] [data-break='words']");
        // A length that cannot be: said where it stands, and kept as typed.
        page.Type("Breaks keep from the ink", "wide");
        page.ReadsSoon(Switches, "cannot be read");
        page.Type("Breaks keep from the ink", "1.5");
        page.ReadsSoon(Card, "asked for 1.50 mm");

        page.Type("Minutes that weeding really took", "ages" + Keys.Enter);
        page.ReadsSoon(Card, "cannot be read as minutes");
        page.Type("Minutes that weeding really took", "2:30" + Keys.Enter);
        page.ReadsSoon(Card, "1 of five times of your own are typed");

        page.Click("Loads");
        page.Click("Files");
        page.ReadsSoon(".load-weeding", "weed boxes");
        page.ReadsSoon(".plan-figures", "Lay tighter");
        var (boxes, breaks) = (Drawn(".load-board .weed-box"), Drawn(".load-board .weed-break"));
        breaks.ShouldBeGreaterThan(5);
        page.Click("Cut file, SVG");
        var file = Path.Combine(shop.Downloads, page.Text(".file-name"));
        Page.Until(() => File.Exists(file) ? file : null, "the file never came down");
        var cut = CutSvgMeasure.Of(File.ReadAllText(file));
        cut.Waste.Count(w => w.Closed).ShouldBe(boxes);
        cut.Waste.Count(w => !w.Closed).ShouldBe(breaks);
        cut.NearestWaste!.Value.ShouldBeGreaterThan(1.5 - 0.03);
        page.Click("Bench");
        page.ReadsSoon(".bench-card", "weed boxes and the breaks are cut with it");
    }

    private int Drawn(string css) => page.Driver.FindElements(By.CssSelector(css)).Count;
}
