using OpenQA.Selenium;

namespace Cabida.Browser.Tests;

/// <summary>A motif built from nothing in the real interface: lettering, shapes, actions, films, graphics, other forms, and back again.</summary>
public sealed class ComposeTests : IDisposable
{
    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public ComposeTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void A_sign_is_composed_cut_grouped_and_undone()
    {
        page.Open("/motifs");
        page.Type("Name of the motif", "Gate sign");
        page.Click("Start with a name");
        page.Type("Seen with the name", "Wilhelmina");
        page.ReadsSoon(".sums", "capitals 20.0");

        // A plate behind it, of which the name is cut out.
        Add("a rounded rectangle");
        page.Type("Width", "150");
        page.Type("Height", "50");
        page.Click("Place");
        page.Choose("Stands", "at something");
        page.Click("Film and cut");
        page.Choose("Film", "Navy vinyl");
        page.Press("button[aria-label='Move rounded rectangle up']");
        Open("{name}");
        page.Click("Film and cut");
        page.Choose("Film", "Navy vinyl");
        page.Choose("It", "cuts through");
        page.Click("Place");
        page.Choose("Stands", "at something");
        page.ReadsSoon("section[aria-label='Ink'] .sums", "{name}:");
        Page.Until(() => page.Driver.FindElements(By.CssSelector("path.ink[data-film='Navy vinyl']")).Count == 1 ? "" : null, "the films were not joined");
        var cut = Settled();

        // What else changes with another film is said, and taken back.
        page.Click("Film and cut");
        page.Choose("Film", "Cream transfer");
        page.ReadsSoon(".film-changes", "Cream transfer is cut mirrored, from the back.");
        page.Click("Take the film before");
        Soon(() => Ink() == cut, "the film did not come back");

        // Nudged by the keyboard, and undone.
        page.See(".part-handle .part-frame").SendKeys(Keys.Shift + Keys.ArrowRight);
        page.Click("Place");
        Soon(() => page.Field("Nudged right").GetAttribute("value") == "1", "the nudge is no figure");
        Soon(() => Ink() != cut, "the ink did not move");
        page.Click("Undo");
        Soon(() => Ink() == cut, "the nudge was not undone");

        page.Press("input[aria-label='Mark {name}']");
        page.Press("input[aria-label='Mark rounded rectangle']");
        page.Click("Group the 2 marked");
        page.ReadsSoon("section[aria-label='Parts']", "2 parts");
        page.Saved();
        page.Driver.Navigate().Refresh();
        page.ReadsSoon("section[aria-label='Parts']", "2 parts");
    }

    [Fact]
    public void A_drawing_is_brought_in_sized_and_its_pieces_are_dropped_by_pointing()
    {
        var svg = Path.Combine(shop.Downloads, "signal.svg");
        File.WriteAllText(svg, "<svg viewBox='0 0 96 48'><rect width='40' height='48'/><circle cx='70' cy='24' r='20' fill='#a33'/></svg>");
        var empty = Path.Combine(shop.Downloads, "nothing.svg");
        File.WriteAllText(empty, "<svg><text>Halt</text></svg>");
        page.Open("/motifs/tram-mug");
        page.Click("Add a graphic");
        page.Field("Graphic file").SendKeys(empty);
        page.ReadsSoon(".graphic-list .echo.problem", "nothing that can be cut, only text");
        page.Field("Graphic file").SendKeys(svg);
        page.ReadsSoon(".graphic-facts", "does not say how large it is");
        page.ReadsSoon(".graphic-facts", "96 units to the inch: 23.8 mm");
        page.Click("Make a distance so long");
        page.Type("It really is wide", "90");
        page.Click("Make it so");
        page.ReadsSoon(".graphic-facts", "90.0 mm");
        page.Type("Where it comes from", "drawn at the bench");
        page.Type("On what terms", "ours");
        page.Saved();
        page.Click("Put it in the motif");
        page.ReadsSoon("section[aria-label='Ink'] .sums", "graphic: 90.0");
        page.Press(".piece-choice path");
        page.See(".piece-choice path[aria-checked='false']");
        page.ReadsSoon("section[aria-label='Parts']", "From drawn at the bench; ours.");
        // What is left is as wide as was asked for.
        page.ReadsSoon("section[aria-label='Ink'] .sums", "graphic: 90.0 × 90.0");
    }

    [Fact]
    public void A_dotted_picture_of_two_thousand_pieces_is_brought_in_moved_undone_and_thinned()
    {
        var svg = Path.Combine(shop.Downloads, "dots.svg");
        File.WriteAllText(svg, $"<svg viewBox='0 0 150 120' width='150mm' height='120mm'>{string.Concat(Enumerable.Range(0, 2000).Select(i => $"<circle cx='{(3 * (i % 50)) + 1.5:0.#}' cy='{(3 * (i / 50)) + 1.5:0.#}' r='1'/>".Replace(',', '.')))}</svg>");
        page.Open("/motifs/tram-mug");
        page.Click("Add a graphic");
        page.Field("Graphic file").SendKeys(svg);
        page.ReadsSoon(".graphic-facts", "Its file says 149.0 mm × 119.0 mm");
        page.Click("Put it in the motif");
        page.ReadsSoon(".piece-count", "2000 pieces");
        page.ReadsSoon("section[aria-label='Ink'] .sums", "graphic: ");
        var first = page.Text("section[aria-label='Ink'] .sums");
        // Moved by keys, as far as ten steps go.
        page.See(".part-handle .part-frame").SendKeys(string.Concat(Enumerable.Repeat(Keys.Shift + Keys.ArrowRight, 2)));
        page.Saved();
        page.Click("Undo");
        page.Saved();
        page.ReadsSoon("section[aria-label='Ink'] .sums", first);
        // From piece to piece by arrows: the third is dropped.
        page.See(".piece-choice [data-piece='0']").SendKeys(Keys.ArrowRight + Keys.ArrowRight);
        page.Driver.SwitchTo().ActiveElement().SendKeys(" ");
        page.ReadsSoon(".piece-count", "1 dropped");
        page.See(".piece-choice [data-piece='2'][aria-checked='false']");
        page.Saved();
    }

    [Fact]
    public void Another_form_of_a_letter_and_another_typeface_are_chosen_by_eye()
    {
        page.Open("/motifs/depot-plate");
        page.Choose("Typeface", "EB Garamond SemiBold (serif)");
        page.Saved();
        var before = Ink();
        page.Click("Letter by letter");
        page.See("[aria-label='Other forms of A, letter 1 of Agnieszka']").SendKeys(Keys.Enter);
        page.ReadsSoon(".modal", "Other forms of A in EB Garamond SemiBold");
        page.Press(".letter-form:nth-child(2)");
        Soon(() => Ink() != before, "the letter stands as it was");
        page.Click("Spacing");
        page.ReadsSoon(".chosen-form", "in “Agnieszka”");

        page.Click("Words");
        page.Click("Try typefaces");
        page.ReadsSoon(".trial-fields", "typefaces tried on the longest, the shortest and the most awkward");
        page.Press("button[aria-label='Choose Oswald Medium']");
        page.ReadsSoon("section[aria-label='Parts']", "Oswald Medium has no form");
    }

    [Fact]
    public void A_typeface_file_is_added_and_a_damaged_one_is_refused()
    {
        var faces = Path.Combine(Workshop.Root, "src", "Cabida.Typography", "Faces");
        var half = Path.Combine(shop.Downloads, "half.ttf");
        File.WriteAllBytes(half, File.ReadAllBytes(Path.Combine(faces, "Pacifico.ttf"))[..9000]);
        page.Open("/stock");
        page.Field("Typeface file").SendKeys(half);
        page.ReadsSoon(".typefaces .echo.problem", "damaged: it is shorter than it says");
        page.Field("Typeface file").SendKeys(Path.Combine(faces, "ZillaSlab-Bold.ttf"));
        page.ReadsSoon(".typefaces .echo[role='status']", "Added Zilla Slab Bold");
        page.Type("Seen with", "Ọláyínká");
        page.Press("[aria-label^='Take away Zilla']");
        page.ReadsSoon(".saved-note", "Removed");
    }

    [Fact]
    public void A_way_of_centring_a_line_is_seen_by_keyboard_before_it_is_chosen()
    {
        page.Open("/motifs/crew-name");
        page.Click("Place");
        // Tab goes from the one that is chosen to the next, which shows what it would change.
        ((IJavaScriptExecutor)page.Driver).ExecuteScript("document.querySelector('.centring .choice.here').focus()");
        new OpenQA.Selenium.Interactions.Actions(page.Driver).SendKeys(Keys.Tab).Perform();
        page.See("path[data-ghost]");
        page.ReadsSoon(".centring .ghost-says", "It moves");
        var before = Ink();
        new OpenQA.Selenium.Interactions.Actions(page.Driver).SendKeys(Keys.Enter).Perform();
        page.Saved();
        Page.Until(() => Ink() is var now && now != before ? now : null, "the ink did not move");
        page.ReadsSoon(".centring .choice.here", "its weight");
    }

    private void Add(string what)
    {
        page.Click("Add something else");
        page.Click(what);
    }

    private void Open(string part) => page.Press(".part-name strong", part);

    private string Ink() => string.Concat(page.Driver.FindElements(By.CssSelector("section[aria-label='Ink'] path.ink")).Select(e => e.GetAttribute("d")));

    /// <summary>The ink once it does not change any more.</summary>
    private string Settled()
    {
        for (var (before, now) = ("", Ink()); ; (before, now) = (now, Ink()))
        {
            if (before == now)
            {
                return now;
            }

            Thread.Sleep(1200);
        }
    }

    private static void Soon(Func<bool> holds, string otherwise) => Page.Until(() => holds() ? "" : null, otherwise);
}
