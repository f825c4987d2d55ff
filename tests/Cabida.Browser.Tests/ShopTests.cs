using OpenQA.Selenium;

namespace Cabida.Browser.Tests;

/// <summary>An order on its way: left by the shop, mended, taken, corrected, made, packed, quoted.</summary>
public sealed class ShopTests : IDisposable
{
    private const string Head = "order,customer,due,article,name,quantity\n";

    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public ShopTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    private void Drop(string name, string rows, string more = "")
    {
        var folder = Path.Combine(shop.Data, "shop");
        Directory.CreateDirectory(folder);
        File.WriteAllText(Path.Combine(folder, name), Head.Replace("\n", more + "\n", StringComparison.Ordinal) + rows);
        page.Open("/jobs/orders");
        page.Click("Fetch them");
    }

    [Fact]
    public void An_order_of_the_shop_is_mended_taken_corrected_packed_and_quoted()
    {
        Drop("first.csv", "W-1,Nell Harrow,2030-05-31,LY-MUG,Maeve,1\nW-1,,,LY-MUG,Bram,1\nW-1,,,EGG-CUP,Tilda,2\n");
        page.ReadsSoon("[aria-label='From the shop']", "1 new: W-1");
        page.ReadsSoon(".order-table", "Line 3: No offer is called EGG-CUP");
        page.Click("W-1");
        page.ReadsSoon(".line-notes", "No offer is called EGG-CUP");
        page.Choose("Offer of line 3", "Tea mug");
        page.Saved();
        // The next order that says so is read at once.
        page.Click("Read “EGG-CUP” as Tea mug from now on");
        page.GoneSoon("Read “EGG-CUP” as Tea mug from now on");
        page.Click("Take it: 4 pieces");
        page.Click("its job");
        page.ReadsSoon("[aria-label='Where it is']", "2 taken");
        page.ReadsSoon("[aria-label='Where it is']", "next: cut");

        // The same once more is nothing new; corrected it is shown before anything of it is in the job.
        Drop("again.csv", "W-1,Nell Harrow,2030-05-31,LY-MUG,Maeve,1\nW-1,,,LY-MUG,Bram,1\nW-1,,,EGG-CUP,Tilda,2\n");
        page.ReadsSoon("[aria-label='From the shop']", "1 here already, saying the same");
        Drop("mended.csv", "W-1,Nell Harrow,2030-06-14,LY-MUG,Maeve,1\nW-1,,,LY-MUG,Brahm,1\nW-1,,,EGG-CUP,Tilda,2\n");
        page.ReadsSoon("[aria-label='From the shop']", "1 corrected: W-1");
        page.Click("W-1");
        page.ReadsSoon(".corrections", "The day was 2030-05-31 and is 2030-06-14 now.");
        page.ReadsSoon(".corrections tbody", "1 × Bram, Crew mug 1 × Brahm, Crew mug");
        page.Click("Take the corrections");
        page.GoneSoon("Take the corrections");
        page.Click("its job");
        page.ReadsSoon(".due", "due Fri 14 Jun");

        // The card in the order of the work, with a code for the tablet; then all is packed.
        page.Click("Crew mug");
        page.ReadsSoon(".bench-card", "Brahm");
        page.See(".card-code path");
        var heads = Page.Until(
            () =>
                page.Driver.FindElements(By.CssSelector(".bench-card h3")).Select(h => h.Text.ToUpperInvariant()).ToList()
                    is { Count: > 5 } all
                    ? all
                    : null,
            "the card was never whole"
        );
        heads.ShouldBe(["LOAD", "CUT", "WEED", "LIFT", "PLACE", "STEPS"]);
        page.Click("Steps and pieces");
        page.Choose("How far Maeve is", "packed");
        page.ReadsSoon(".stage-bar", "1 taken · 1 packed");
        page.Choose("How far Brahm is", "packed");
        page.ReadsSoon(".stage-bar", "2 packed");

        page.Click("Cost");
        page.Click("Quotation for the job");
        // Two at 11.50 and two at 9.80, as they are offered.
        page.ReadsSoon(".quotation", "42.60");
        page.Open("/jobs");
        page.ReadsSoon(".job-slip", "2 taken · 2 packed");
    }

    [Fact]
    public void An_ordered_shirt_is_proofed_by_file_approved_by_the_answer_cut_pressed_by_plan_packed_and_quoted()
    {
        Drop("shirts.csv", "W-9,Nell Harrow,2030-05-31,LY-SHIRT,Maeve,1,M\n", ",size");
        page.ReadsSoon("[aria-label='From the shop']", "1 new: W-9");
        page.Click("W-9");
        page.Click("Take it: one piece");
        page.Click("its job");
        page.Press(".slip-run");
        page.Click("Proof");
        page.Click("A page to answer on");
        var file = Page.Until(() => Directory.GetFiles(shop.Downloads, "*.html").FirstOrDefault(), "the page was never kept");
        var (run, answer) = (page.Driver.Url, "");
        shop.Restart(() =>
        {
            page.Driver.Navigate().GoToUrl(new Uri(file));
            page.Click("All that is open is right");
            page.Click("Write the answer");
            page.ReadsSoon("#said", "1 right");
            answer = page.Field("The answer").GetAttribute("value")!;
        });
        page.Open(new Uri(run).AbsolutePath);
        page.Paste("What the customer sent back", answer);
        Page.Until(
                () => page.Driver.FindElements(By.CssSelector(".answer-card .btn-main")).FirstOrDefault(b => b.Enabled),
                "nothing could be taken"
            )
            .Click();
        page.ReadsSoon(".proof-counts", "1 approved");

        // Released and cut: what lies on the load is weeded, pressed and packed as one.
        page.Click("Loads");
        page.ReadsSoon(".plan-side", "Film used well");
        page.Press(".plan-side .view", "Files");
        page.Press("button", "Release load 1");
        page.ReadsSoon("h1", "Load 1 of 1");
        page.ReadsSoon("[aria-label='At the bench']", "not cut yet");
        page.Click("It was cut now");
        page.Saved();
        page.ReadsSoon("[aria-label='At the bench']", "1 cut");
        page.Press("[aria-label='At the bench'] .load-stages button", "weeded");
        page.ReadsSoon("[aria-label='At the bench'] .stage-bar", "1 weeded");

        page.Open(new Uri(run).AbsolutePath.Replace("/proof", "/bench", StringComparison.Ordinal));
        page.ReadsSoon("section[aria-label='Press']", "Turn it: the back up");
        page.ReadsSoon("section[aria-label='Steps on the card']", "inside out at 30 °C");
        page.Click("Steps and pieces");
        page.Press("[aria-label='Load by load'] .load-stages button", "on the goods");
        page.ReadsSoon(".stage-bar", "1 on the goods");
        page.Press("[aria-label='Load by load'] .load-stages button", "packed");
        page.ReadsSoon(".stage-bar", "1 packed");

        // What was measured stands against what was to be.
        page.Type("Width", "1000");
        page.Click("Note it");
        page.ReadsSoon("[aria-label='Measured']", "more than 10% off what was asked");

        page.Click("Care note");
        page.Click("Begin with these");
        page.Type("What the note says", "Wash it cold.");
        page.Saved();
        page.ReadsSoon(".care-card", "Wash it cold.");
        page.Click("Cost");
        page.Click("Quotation for the job");
        page.ReadsSoon(".quotation", "24.00");
        page.Open("/jobs");
        page.ReadsSoon(".page", "Packed 1");
    }

    [Fact]
    public void Next_year_it_is_taken_up_with_other_names_in_two_steps()
    {
        // The blank was measured again since.
        page.Open("/shelf/enamel-mug");
        page.Click("Goods");
        page.Type("Material", "enamelled steel, thinner");
        page.Saved();
        page.Open("/jobs/fernhollow-crew");
        page.Click("Again with other names");
        page.ReadsSoon("section[aria-label='Crew mugs']", "The blank Enamel mug 8 cm was changed.");
        page.ReadsSoon("section[aria-label='Crew mugs']", "enamelled steel → enamelled steel, thinner");
        page.Press("section[aria-label='Driver tumblers'] .form-check-input");
        page.Press("section[aria-label='Work shirts'] .form-check-input");
        page.Type("Names of this time", "Wren\nBram");
        page.ReadsSoon(".title-row", "1 of 3 runs, 2 names");
        // Nothing typed is lost on a way round.
        page.Click("To the job of last time");
        page.Click("Again with other names");
        page.ReadsSoon(".title-row", "1 of 3 runs, 2 names");
        page.Click("Take it up");
        page.ReadsSoon(".job-slip", "2 names on Enamel mug 8 cm");
    }

    [Fact]
    public void The_stand_in_orders_and_what_is_without_trouble_is_taken_at_once()
    {
        page.Open("/jobs/orders");
        page.Type("Lines", "24");
        page.Click("Let it order");
        page.ReadsSoon("[aria-label='From the shop']", "6 files lie ready.");
        page.Click("Fetch them");
        page.ReadsSoon("[aria-label='From the shop']", "stays where it is.");
        page.Press(".take-all .btn-main");
        page.ReadsSoon("[aria-label='From the shop']", "1 file lies ready.");
        page.Click("Put it away");
        page.ReadsSoon("[aria-label='From the shop']", "Nothing lies ready.");
        page.Click("Tell it how far all is");
        page.ReadsSoon("[aria-label='From the shop']", "It was told of");
        File.ReadAllText(Path.Combine(shop.Data, "shop", "told", "pieces.csv")).ShouldContain(",taken");

        page.Open("/jobs/offers");
        page.Click("Crew mug");
        page.Type("Article number", "LY-TEA");
        page.Saved();
        page.ReadsSoon("[aria-label='What orders call it']", "LY-TEA is also what Tea mug is called");
        page.Click("Undo");
        page.ReadsSoon("[aria-label='What an order says']", "name");
        page.GoneSoonFrom("[aria-label='What orders call it']", "is also what");
    }
}
