namespace Cabida.Browser.Tests;

/// <summary>Blanks and pictures that come as files, and what a run takes of a blank.</summary>
public sealed class SwapTests : IDisposable
{
    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public SwapTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void A_file_from_the_neighbours_is_brought_in_and_one_that_is_wrong_is_told()
    {
        page.Open("/shelf");
        page.Field("File of blanks").SendKeys(Path.Combine(Workshop.Root, "global.json"));
        page.ReadsSoon(".import-blanks .finding.stop", "cannot be understood");
        page.Field("File of blanks").SendKeys(Path.Combine(Workshop.Root, "demo", "swap", "harbour-street-goods.json"));
        page.ReadsSoon(".import-blanks [role='status']", "Brought in: Slate coaster, Pint glass.");
        page.ReadsSoon(".shelf-blank", "Pint glass");
    }

    [Fact]
    public void A_picture_that_is_none_is_refused_and_a_drawing_file_becomes_the_outline()
    {
        var svg = Path.Combine(shop.Downloads, "plate.svg");
        File.WriteAllText(
            svg,
            """<svg xmlns="http://www.w3.org/2000/svg" width="90mm" height="60mm" viewBox="0 0 90 60"><rect width="90" height="60" rx="8"/><circle cx="45" cy="50" r="4"/></svg>"""
        );
        page.Open("/shelf/luggage-tag");
        page.Field("Drawing file").SendKeys(svg);
        page.ReadsSoon("section[aria-label='Outline']", "From plate.svg, with 1 hole");
        page.ReadsSoon("section[aria-label='To look at']", "The outline is 90.0 mm wide");
        page.Click("Goods");
        page.Field("Picture file").SendKeys(svg);
        page.ReadsSoon("section[aria-label='On the shelf'] .finding.stop", "no picture that can be read");
        page.Click("Undo");
        page.Click("Readings");
        page.ReadsSoon("section[aria-label='Outline']", "a scan at 300 dots an inch");
    }

    [Fact]
    public void A_run_chooses_zone_and_size_and_hears_of_film_that_does_not_suit()
    {
        page.Open("/runs/crew-mugs/set-up");
        page.ReadsSoon("section[aria-label='Goods']", "Made of enamelled steel, gloss, stands 180 °C.");
        page.Choose("Zone", "Left of the handle");
        page.Saved();
        page.Open("/runs/crew-mugs/fit");
        page.ReadsSoon("section[aria-label='Board'] .sums", "70.0 wide as typed");
        page.Open("/runs/work-shirts/set-up");
        page.Choose("Size", "S");
        page.Choose("Film", "Navy vinyl");
        page.ReadsSoon("section[aria-label='Cutting'] .finding", "does not hold on cloth");
        page.Saved();
        page.Open("/runs/work-shirts/bench");
        page.ReadsSoon(".bench-card", "132.0 mm below the collar seam");
    }

    [Fact]
    public void A_bellied_wall_shows_its_strain_and_what_each_film_may_cover()
    {
        page.Open("/shelf/water-jug");
        page.Click("Strain");
        page.ReadsSoon("section[aria-label='Drawing'] .sums", "dashed is what Navy vinyl gives, 3.0 % and 0.5 %");
        page.ReadsSoon("section[aria-label='What a film may cover']", "Cream transfer");
        page.Type("Girth 3, reading 1", "45");
        page.ReadsSoon("section[aria-label='To look at']", "would make it about");
        page.Field("Girth 3, reading 1").GetAttribute("value").ShouldBe("45");
    }
}
