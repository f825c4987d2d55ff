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

    [Fact]
    public void What_is_left_of_a_sheet_serves_the_next_plan_and_is_filled_with_spares()
    {
        page.Open("/stock");
        page.Press(".rack li:first-child .rack-row");
        page.Press(".stock-items button", "+ Sheets");
        page.Saved();
        page.Open("/cutting/navy-vinyl");
        page.ReadsSoon(Side, "Film used well");
        page.Press(".plan-side .view", "Lay");
        page.ReadsSoon(".plan-stock", "Sheet");
        // One of the runs alone, from the sheet that was bought.
        page.Press("input[id='run-navy-vinyl-luggage-tags']");
        page.Press("input[id='run-navy-vinyl-crew-mugs']");
        page.Press("input[id^='stock-navy-vinyl-item']");
        page.ReadsSoon(".plan-stock label", "used");
        page.ReadsSoon(".plan-figures", "Lay tighter");
        var there = OffCuts();
        page.Press(".plan-side .view", "Files");
        page.Press("button", "Release load 1");
        page.ReadsSoon("h1", "Load 1 of");

        // What still waits is laid next, and one run of it on what is left of that sheet.
        page.Open("/cutting/navy-vinyl");
        page.ReadsSoon(Side, "Film used well");
        page.Press(".plan-side .view", "Lay");
        page.Press("input[id='run-navy-vinyl-crew-mugs']");
        var left = Page.Until(() => OffCuts().Keys.Except(there.Keys).FirstOrDefault(), "no off-cut was kept");
        page.Press($"input[id='{left}']");
        page.ReadsSoon($"label[for='{left}']", "used");
        page.ReadsSoon(".plan-figures", "Lay tighter");
        page.Press(".plan-side .view", "Pieces");

        // As many more as it says are laid, on the loads there are.
        var before = (Loads: Loads(), Spares: Spares());
        before.Spares.ShouldBe(0);
        var fill = page.See(".plan-spares button[aria-label^='Fill in']").GetAttribute("aria-label")!;
        var more = int.Parse(fill.Split(' ')[2], System.Globalization.CultureInfo.InvariantCulture);
        page.Press($".plan-spares button[aria-label='{fill}']");
        Page.Until(() => Spares() == more ? "" : null, () => $"{more} more were offered, {Spares()} are laid");
        Loads().ShouldBe(before.Loads);
        page.ReadsSoon(".plan-things", "spare");

        // The off-cuts there are to lay on, by the fields that choose them.
        Dictionary<string, string> OffCuts() =>
            page
                .Driver.FindElements(By.CssSelector(".plan-stock label"))
                .Where(l => l.Text.StartsWith("Off-cut", StringComparison.Ordinal))
                .ToDictionary(l => l.GetAttribute("for")!, l => l.Text);
        int Loads() => Math.Max(1, page.Driver.FindElements(By.CssSelector(".load-strip li")).Count);
        int Spares() => page.Driver.FindElements(By.CssSelector(".load-board .piece-frame.spare")).Count;
    }

    [Fact]
    public void What_is_larger_than_the_mat_is_parted_over_loads_by_a_joint_that_is_moved_and_marks_that_meet()
    {
        page.Open("/stock/cutters/bench-cutter");
        page.Type("Reached across", "120");
        page.Type("Reached along", "130");
        page.Saved();
        page.Open("/runs/crew-mugs/set-up");
        page.Paste("Names, one a line", "Agnieszka\n");
        page.Saved();
        page.Click("Loads");
        page.Press(".plan-side .view", "Lay");
        page.Choose("Carrier", "Short mat");
        page.ReadsSoon(".joints", "Agnieszka");
        var best = page.Field("Joint 1 of Agnieszka").GetAttribute("value")!;
        page.Type("Joint 1 of Agnieszka", "80" + Keys.Enter);
        page.Click("The best joints again");
        Page.Until(() => Joint() == best ? "" : null, () => $"the joint is at {Joint()}, not back at {best}");
        page.Type("Joint 1 of Agnieszka", "a bit" + Keys.Enter);
        Page.Until(() => Joint() == best ? "" : null, "what is no figure moved the joint");

        // Of each load the file; the marks of both lie equally far from one another.
        var loads = Page.Until(
            () => page.Driver.FindElements(By.CssSelector(".load-strip button")) is { Count: > 1 } all ? all.Count : (object?)null,
            "it lies on one load"
        );
        page.ReadsSoon(".plan-figures", "Lay tighter");
        page.Press(".plan-side .view", "Files");
        var apart = new List<double>();
        for (var load = 1; load <= (int)loads; load++)
        {
            page.Press($".load-strip li:nth-child({load}) button");
            page.ReadsSoon(Side, $"Release load {load}");
            page.Driver.FindElements(By.CssSelector(".load-board .cut-mark")).Count.ShouldBe(2);
            page.Click("Cut file, SVG");
            var file = Path.Combine(shop.Downloads, page.Text(".plan-side .file-name"));
            Page.Until(() => File.Exists(file) ? file : null, "the file never came down");
            var arms = CutSvgMeasure.Of(File.ReadAllText(file)).Waste;
            arms.Count.ShouldBe(4);
            var middles = arms.Select(a => a.Points[0].Towards(a.Points[^1], 0.5)).ToList();
            apart.Add(middles.Max(m => m.To(middles[0])));
        }

        apart.Count.ShouldBe(2);
        apart[1].ShouldBe(apart[0], 0.002);
        page.Click("Bench");
        page.ReadsSoon(".bench-card", "Agnieszka");
        page.ReadsSoon("section[aria-label='Join']", "Lay cross upon cross");

        string? Joint() => page.Field("Joint 1 of Agnieszka").GetAttribute("value");
    }
}
