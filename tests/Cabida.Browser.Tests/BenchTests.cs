using OpenQA.Selenium;

namespace Cabida.Browser.Tests;

/// <summary>What is done with the hands: the proof answered away from here, pressing, steps, the day, prices.</summary>
public sealed class BenchTests : IDisposable
{
    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public BenchTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void A_proof_is_answered_without_a_server_and_the_answer_is_taken()
    {
        page.Open("/runs/crew-mugs/proof");
        page.Click("A page to answer on");
        var file = Page.Until(() => Directory.GetFiles(shop.Downloads, "*.html").FirstOrDefault(), "the page was never kept");
        var answer = "";
        shop.Restart(() =>
        {
            page.Driver.Navigate().GoToUrl(new Uri(file));
            page.ReadsSoon("h1", "Crew mugs");
            page.Click("All that is open is right");
            page.Press("[data-piece]:has([aria-label='Bram']) .other");
            page.Click("Write the answer");
            page.ReadsSoon("#said", "What should be different of Bram?");
            page.Field("What should be different of Bram").SendKeys("Bram, please with two m");
            page.Click("Write the answer");
            page.ReadsSoon("#said", "1 to change");
            answer = page.Field("The answer").GetAttribute("value")!;
        });
        answer.ShouldContain("Bram: Bram, please with two m");

        page.Open("/runs/crew-mugs/proof");
        page.Paste("What the customer sent back", answer.Replace("[[answer", "[[answer A", StringComparison.Ordinal));
        page.ReadsSoon(".answer-card", "changed on its way");
        page.Paste("What the customer sent back", string.Join('\n', answer.Split('\n').Select(l => $"> {l}")));
        page.ReadsSoon(".answer-lines", "Bram, please with two m");
        var take = Page.Until(
            () => page.Driver.FindElements(By.CssSelector(".answer-card .btn-main")).FirstOrDefault(b => b.Enabled),
            "nothing could be taken"
        );
        take.Click();
        page.ReadsSoon(".proof-counts", "1 to correct");
        page.ReadsSoon("[aria-label='Agnieszka']", "✓ approved");
        // What was taken is one step.
        page.Click("Undo");
        page.ReadsSoon(".proof-counts", "0 approved");
    }

    [Fact]
    public void Shirts_are_pressed_by_plan_ticked_off_and_reckoned()
    {
        page.Open("/runs/work-shirts/bench");
        page.ReadsSoon("section[aria-label='Press']", "Turn it: the back up");
        page.ReadsSoon("section[aria-label='Press']", "161 °C");
        page.Choose("Press", "Small iron");
        page.Saved();
        page.ReadsSoon("section[aria-label='Press']", "With Small iron");
        page.ReadsSoon(".bench-surface", "The platen is laid");

        page.Click("Steps and pieces");
        page.Type("Each piece, pack", "later");
        page.ReadsSoon("section[aria-label='Steps']", "cannot be read as a time");
        page.Type("Each piece, pack", "90 s");
        page.Saved();
        page.ReadsSoon("section[aria-label='Steps'] tbody tr:last-child", "6 min");
        page.Type("It took, weed", "14" + Keys.Enter);
        page.ReadsSoon(".stage-bar", "4 weeded");
        page.Choose("How far Kwabena is", "packed");
        page.ReadsSoon(".stage-bar", "3 weeded · 1 packed");
        page.Click("Undo the last tick");
        page.ReadsSoon(".stage-bar", "4 weeded");

        page.Click("Template");
        page.ReadsSoon("section[aria-label='Distances']", "115.0 mm");
        page.Choose("Paper", "Letter");
        page.ReadsSoon("section[aria-label='Template']", "page");

        page.Click("Cost");
        page.ReadsSoon("section[aria-label='Cost']", "Plain goods");
        page.Type("Agreed, a piece", "25");
        page.Saved();
        page.ReadsSoon(".price", "€ 25.00 a piece, as agreed");
        page.Click("Quotation for the job");
        page.ReadsSoon(".quotation", "€ 100.00");
        // A run whose pieces are not all on loads is not quoted.
        page.ReadsSoon(".quotation", "to be agreed");
    }

    [Fact]
    public void The_day_is_ticked_off_step_by_step()
    {
        page.Open("/jobs");
        page.Click("The day at the bench");
        var first = Page.Until(
            () => page.Driver.FindElements(By.CssSelector(".day-list .tick")).FirstOrDefault()?.GetAttribute("aria-label"),
            "no step was planned"
        );
        Page.Until(
            () =>
                page
                    .Driver.FindElements(By.CssSelector("[role='status']"))
                    .Any(e => e.Text.Contains("Working out", StringComparison.Ordinal))
                    ? null
                    : "",
            "runs were never all worked out"
        );
        first = page.See(".day-list .tick").GetAttribute("aria-label")!;
        page.Press($"[aria-label=\"{first}\"]");
        Page.Until(
            () => page.Driver.FindElements(By.CssSelector($"[aria-label=\"{first}\"]")).Count == 0 ? "" : null,
            "it was never ticked off"
        );
        page.Choose("Planned", "from now on");
        page.See(".day-drawing .hands");
    }
}
