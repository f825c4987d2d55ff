using Cabida.Formats.Cutting;
using OpenQA.Selenium;

namespace Cabida.Browser.Tests;

/// <summary>From waiting pieces to released loads, as a maker goes through them.</summary>
public sealed class CuttingTests : IDisposable
{
    private const string Side = ".plan-side";
    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public CuttingTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void Two_runs_are_cut_together_from_a_sheet_and_what_is_left_of_it_serves_the_next()
    {
        // A pack of sheets is bought: it stands in the rack, and is drawn there.
        page.Open("/stock");
        page.Press(".rack li:first-child .rack-row");
        page.Press(".stock-items button", "+ Sheets");
        page.Saved();
        page.ReadsSoon(".rack li:first-child .rack-words", "1 × 305 × 305");

        // Two of the three runs of the film are cut together, from that sheet.
        page.Open("/cutting/navy-vinyl");
        page.ReadsSoon(Side, "Film used well");
        page.Press(".plan-side .view", "Lay");
        page.Press("input[id='run-navy-vinyl-luggage-tags']");
        page.Press("input[id^='stock-navy-vinyl-item']");
        page.ReadsSoon(".plan-stock", "used");
        page.Press(".plan-side .view", "Pieces");
        page.Press("button[aria-label='Pin Agnieszka']");
        page.See(".load-board .pin");
        page.See("button[aria-label='Pin Agnieszka'][aria-pressed='true']");

        // It is moved by a figure, and by keys; both end as figures.
        page.Type("Agnieszka, from the left", "30" + Keys.Enter);
        Page.Until(() => page.Field("Agnieszka, from the left").GetAttribute("value") == "30.0" ? "" : null, "it was not moved");
        page.See("rect[aria-label^='Agnieszka, pinned']").SendKeys(Keys.ArrowRight);
        Page.Until(() => page.Field("Agnieszka, from the left").GetAttribute("value") == "30.5" ? "" : null, "the key moved nothing");

        // Every format of the load measures the same, read from the file itself.
        page.Press(".plan-side .view", "Files");
        page.ReadsSoon(Side, "Read back");
        var sizes = new List<(double Width, double Height)>();
        foreach (
            var (format, read) in new (string, Func<string, ReadCut>)[]
            {
                ("SVG", f => CutSvgMeasure.Of(File.ReadAllText(f)).Lines()),
                ("DXF", f => CutDxfReader.Read(File.ReadAllText(f))),
                ("DXF, release 12", f => CutDxfReader.Read(File.ReadAllText(f))),
                ("HPGL", f => CutHpglReader.Read(File.ReadAllText(f))),
                ("PDF", f => CutPdfReader.Read(File.ReadAllBytes(f))[0]),
            }
        )
        {
            page.Choose("Format", format);
            var file = Path.Combine(shop.Downloads, page.Text(".plan-side .file-name"));
            File.Delete(file);
            page.Click($"Cut file, {format}");
            Page.Until(() => File.Exists(file) ? file : null, $"{format} never came down");
            var used = read(file).Used!.Value;
            sizes.Add((used.Width, used.Height));
        }

        // A knife is written into HPGL: it swings out by its offset and cuts on past the end.
        sizes.ShouldAllBe(s => Math.Abs(s.Width - sizes[0].Width) < 1.1 && Math.Abs(s.Height - sizes[0].Height) < 1.1);
        sizes
            .Where((_, i) => i != 3)
            .ShouldAllBe(s => Math.Abs(s.Width - sizes[0].Width) < 0.05 && Math.Abs(s.Height - sizes[0].Height) < 0.05);

        // Chromium itself draws the SVG at that size: in millimetres on the page, whatever its numbers stand for.
        var asked = page.Driver.Url;
        page.Driver.Navigate().GoToUrl("file://" + Directory.GetFiles(shop.Downloads, "*.svg").ShouldHaveSingleItem());
        var drawn = (IReadOnlyCollection<object>?)
            ((IJavaScriptExecutor)page.Driver).ExecuteScript(
                """
                const boxes = [...document.querySelectorAll('path')].map((p) => p.getBBox());
                const box = document.documentElement.viewBox.baseVal;
                const mm = document.documentElement.width.baseVal.value / 96 * 25.4 / box.width;
                const width = Math.max(...boxes.map((b) => b.x + b.width)) - Math.min(...boxes.map((b) => b.x));
                const height = Math.max(...boxes.map((b) => b.y + b.height)) - Math.min(...boxes.map((b) => b.y));
                return [width * mm, height * mm];
                """
            );
        Convert.ToDouble(drawn.ShouldNotBeNull().First(), System.Globalization.CultureInfo.InvariantCulture).ShouldBe(sizes[0].Width, 0.03);
        Convert.ToDouble(drawn.Last(), System.Globalization.CultureInfo.InvariantCulture).ShouldBe(sizes[0].Height, 0.03);
        page.Driver.Navigate().GoToUrl(asked);
        page.Press(".plan-side .view", "Files");

        // Released it is frozen, and listed; its off-cuts are in the rack.
        page.Press("button", "Release load 1");
        page.ReadsSoon("h1", "Load 1 of");
        page.ReadsSoon(".machine", "is not there");

        // A test cut first, then the load; its plug is pulled half-way, and it goes on from there to the end.
        shop.StartCutter(5);
        page.ReadsSoon(".machine", "Idle, empty");
        page.Click("Cut this load");
        page.ReadsSoon(".machine [role=alert]", "No test cut was made");
        page.Click("Test cut");
        page.ReadsSoon(".machine", "through the film of 0.08 mm; what lies under it, 0.12 mm, holds");
        page.Click("Cut this load");
        page.ReadsSoon(".machine-state", "Cutting, blade");
        page.Click("Pause");
        page.ReadsSoon(".machine-state", "Paused, blade lifted");
        page.Click("Go on");
        page.See(".cut-sheet .blade");
        Page.Until(() => Lines() > 5 ? "" : null, "it never cut");
        shop.StopCutter();
        page.ReadsSoon(".machine", "nothing was noted as cut");
        page.ReadsSoon(".machine", "It was seen at line");
        shop.StartCutter(1000);
        page.Press(".machine-orders button:nth-child(3)");
        page.ReadsSoon(".cut-done", "Measured across");
        page.Field("With").GetAttribute("value").ShouldNotBeNull().ShouldStartWith("Cutter stand-in");
        page.Type("Measured across", "280");
        page.Saved();
        page.Open("/stock");
        page.ReadsSoon(".rack li:first-child .rack-words", "0 × 305 × 305");
        page.Open("/cutting/navy-vinyl");
        page.ReadsSoon(".released-loads", "cut");

        int Lines() => int.TryParse(page.Text(".machine-state").Split('·')[^1].Trim().Split(' ')[0], out var cut) ? cut : 0;
    }
}
