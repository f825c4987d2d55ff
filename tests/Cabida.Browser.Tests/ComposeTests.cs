using OpenQA.Selenium;

namespace Cabida.Browser.Tests;

/// <summary>
/// A motif built from nothing in the real interface: lettering, shapes, actions, films, graphics, other forms, and back again.
/// </summary>
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
        Page.Until(
            () => page.Driver.FindElements(By.CssSelector("path.ink[data-film='Navy vinyl']")).Count == 1 ? "" : null,
            "the films were not joined"
        );
        var cut = Settled();

        // What else changes with another film is said, and taken back.
        page.Click("Film and cut");
        page.Choose("Film", "Cream transfer");
        page.ReadsSoon(".film-changes", "Cream transfer is cut mirrored, from the back.");
        page.Click("Take the film before");
        Soon(() => Ink() == cut, "the film did not come back");
        // What is typed before the hand rests is one step; the nudge is to be its own.
        page.Saved();

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
        File.WriteAllText(
            svg,
            $"<svg viewBox='0 0 150 120' width='150mm' "
                + $"height='120mm'>{string.Concat(Enumerable.Range(0, 2000).Select(i => $"<circle cx='{(3 * (i % 50)) + 1.5:0.#}' cy='{(3 * (i / 50)) + 1.5:0.#}' r='1'/>".Replace(',', '.')))}</svg>"
        );
        page.Open("/motifs/tram-mug");
        page.Click("Add a graphic");
        page.Field("Graphic file").SendKeys(svg);
        page.ReadsSoon(".graphic-facts", "Its file says 149.0 mm × 119.0 mm");
        page.Click("Put it in the motif");
        page.ReadsSoon(".piece-count", "2000 pieces");
        page.ReadsSoon("section[aria-label='Ink'] .sums", "graphic: ");
        page.Saved();
        page.ReadsSoon("section[aria-label='Ink'] .sums", "the ground would take it at 40 %");
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
    public void A_ring_of_letters_is_concentric_with_the_name_inside_it()
    {
        page.Open("/motifs");
        page.Type("Name of the motif", "Round badge");
        page.Click("Start with a name");
        page.Type("Seen with the name", "Jo");
        page.ReadsSoon(".sums", "capitals 20.0");
        page.Click("Add a line");
        // Bars all round, but for a gap that is wider than the others, so that the box of the ring's ink is off its middle.
        page.Type("Words; {name} is filled from the list", "IIIIIIIIIIIIIIIIIII II");
        page.Choose("Typeface", "Archivo SemiBold (grotesque)");
        page.Click("Line");
        page.Choose("Set", "round a circle, outside");
        page.Type("Circle across", "66");
        page.Click("Place");
        page.Choose("Stands", "at something");
        page.Choose("At", "{name}");
        page.Saved();
        var apart = Page.Until(() => Measured() is { } m && m.Bars == 21 ? m : null, "the ring was not drawn");
        // Each bar is as far from the middle of the name as any other: measured on the drawing, in shares of that.
        ((apart.Most - apart.Least) / apart.Most).ShouldBeLessThan(0.003);
        // By its ink it is off by millimetres.
        page.Press("label", "Middle of the ink, not of the circle");
        page.Saved();
        Page.Until(() => Measured() is { } m && (m.Most - m.Least) / m.Most > 0.02 ? m : null, "the ring did not move");
    }

    [Fact]
    public void The_last_letter_of_every_name_of_a_run_gets_its_tail_by_rule()
    {
        page.Open("/motifs/crew-name");
        page.Click("Words");
        page.Choose("Typeface", "Corinthia Bold (script with swashes)");
        page.Saved();
        page.Click("Letter by letter");
        page.See("[aria-label='Other forms of a, letter 9 of Agnieszka']").SendKeys(Keys.Enter);
        page.ReadsSoon(".modal", "Other forms of a in Corinthia Bold");
        // The table of the face is there, too.
        page.Click("All glyphs of the face");
        page.See(".glyph[aria-label='a, with tail']");
        page.Click("Back to the forms of a");
        page.Choose("Choose it", "for the last letter of every name");
        page.Press(".letter-form", "with tail");
        page.Click("Spacing");
        page.ReadsSoon(".chosen-form", "last letter: with tail, by rule");
        page.Saved();

        page.Open("/runs/crew-mugs/set-up");
        page.Press(".newer button");
        page.Saved();
        page.Open("/runs/crew-mugs/fit");
        // Agnieszka ends in a tail now; a name whose last letter has none says so.
        page.ReadsSoon("main", "To look at");
        page.Press(".strip-piece .piece-name", "Łukasz");
        page.ReadsSoon("main", "Corinthia Bold has no form “with tail” for z; it stands as the face draws it.");
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

    /// <summary>How far bars of a ring stand from the middle of what is inside it, on the drawing.</summary>
    private Ring? Measured()
    {
        var found = (System.Collections.ObjectModel.ReadOnlyCollection<object>)
            ((IJavaScriptExecutor)page.Driver).ExecuteScript(
                """
                const boxes = [...document.querySelectorAll("section[aria-label='Ink'] path.ink")].flatMap((path) => path.getAttribute('d').split(/(?=M)/).map((d) => {
                  const one = document.createElementNS('http://www.w3.org/2000/svg', 'path');
                  one.setAttribute('d', d);
                  path.parentNode.appendChild(one);
                  const b = one.getBBox();
                  one.remove();
                  return { x: b.x, y: b.y, r: b.x + b.width, t: b.y + b.height };
                }));
                if (boxes.length === 0) return [];
                const middle = (of) => [(Math.min(...of.map((b) => b.x)) + Math.max(...of.map((b) => b.r))) / 2, (Math.min(...of.map((b) => b.y)) + Math.max(...of.map((b) => b.t))) / 2];
                const [cx, cy] = middle(boxes);
                const away = (b, [x, y]) => Math.hypot((b.x + b.r) / 2 - x, (b.y + b.t) / 2 - y);
                const far = Math.max(...boxes.map((b) => away(b, [cx, cy])));
                const inside = boxes.filter((b) => away(b, [cx, cy]) < far * 0.62);
                const bars = boxes.filter((b) => !inside.includes(b));
                const name = middle(inside);
                return [bars.length, Math.min(...bars.map((b) => away(b, name))), Math.max(...bars.map((b) => away(b, name)))];
                """
            )!;
        return found.Count == 3
            ? new Ring(Convert.ToInt32(found[0], null), Convert.ToDouble(found[1], null), Convert.ToDouble(found[2], null))
            : null;
    }

    private sealed record Ring(int Bars, double Least, double Most);

    private void Add(string what)
    {
        page.Click("Add something else");
        page.Click(what);
    }

    private void Open(string part) => page.Press(".part-name strong", part);

    private string Ink() =>
        string.Concat(page.Driver.FindElements(By.CssSelector("section[aria-label='Ink'] path.ink")).Select(e => e.GetAttribute("d")));

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
