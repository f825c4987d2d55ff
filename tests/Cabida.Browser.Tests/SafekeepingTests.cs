using OpenQA.Selenium;

namespace Cabida.Browser.Tests;

/// <summary>What was is come back to: a thing as it was, one that was removed, a job that was put away, a whole library.</summary>
public sealed class SafekeepingTests : IDisposable
{
    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public SafekeepingTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void A_maker_comes_back_to_what_a_thing_was_to_what_was_removed_and_to_a_library_of_before()
    {
        page.Open("/safekeeping");
        page.ReadsSoon(".copies", "at a start");
        page.Click("Make a copy now");
        page.ReadsSoon(".copies tbody", "asked for");

        // A thing is changed, and had again as it was.
        page.Open("/shelf/enamel-mug");
        page.Type("Height of wall, reading 1", "104");
        page.Saved();
        page.Click("Past");
        page.ReadsSoon(".differences", "94");
        page.ReadsSoon(".differences", "104");
        Driver.FindElements(By.CssSelector(".past-drawing svg path")).Count.ShouldBeGreaterThan(8);
        // By keys, to the state before.
        page.See(".sittings button").SendKeys(Keys.ArrowDown);
        page.Click("Have it so again");
        page.See(".reading-field");
        page.Field("Height of wall, reading 1").GetAttribute("value").ShouldBe("94");

        // One that is removed comes back from the drawer.
        page.Open("/stock");
        page.Type("Name of the film", "Coral for trial");
        page.Press("form:has([aria-label='Name of the film']) button");
        page.ReadsSoon(".rack li:last-child .rack-row", "Coral for trial");
        page.Press(".rack li:last-child .rack-row");
        page.Press("[aria-label='Remove Coral for trial']");
        page.GoneSoonFrom(".rack", "Coral for trial");
        page.Open("/safekeeping");
        page.Press("[aria-label='Bring back Coral for trial']");
        page.ReadsSoon(".drawer", "Nothing was removed");
        page.Open("/stock");
        page.ReadsSoon(".rack-row", "Coral for trial");

        // A job is put away, found and taken out.
        page.Open("/jobs");
        page.Click("Crew day");
        page.Click("Put away");
        page.Saved();
        page.Click("Jobs");
        page.Click("1 job is put away");
        page.Type("Find among the jobs put away", "nothing like it");
        page.ReadsSoon(".empty", "None of them says that");
        page.Type("Find among the jobs put away", "crew");
        page.Press("[aria-label='Take out Crew day']");
        page.ReadsSoon(".empty", "No job is put away");

        // The library as it was when the copy was made.
        page.Open("/safekeeping");
        page.Press(".copies tbody tr:has(th) button", "Check");
        page.ReadsSoon(".copies .echo", "whole");
        page.Press(".copies tbody tr:has(th) button", "Bring back");
        page.Press("[role='alertdialog'] button", "Bring it back");
        page.See(".job-slip, .slips");
        page.Open("/stock");
        page.ReadsSoon(".rack-row", "Navy vinyl");
        page.Text(".rack").ShouldNotContain("Coral for trial");
    }

    [Fact]
    public void A_library_that_is_damaged_says_so_in_the_place_of_every_page_until_a_copy_takes_its_place()
    {
        page.Open("/safekeeping");
        page.ReadsSoon(".copies", "at a start");
        shop.Restart(
            () =>
            {
                File.WriteAllBytes(Path.Combine(shop.Data, "cabida.db"), new byte[8192]);
                File.Delete(Path.Combine(shop.Data, "cabida.db-wal"));
            },
            "/api/safekeeping"
        );
        page.Open("/jobs");
        page.ReadsSoon("h1", "The library is damaged");
        page.ReadsSoon(".held", "The newest that can be read");
        page.Click("Bring back");
        page.Click("Bring it back");
        page.ReadsSoon(".slips", "Crew day");
    }

    [Fact]
    public void An_archive_brings_a_job_into_another_workshop_and_what_differs_is_shown()
    {
        page.Open("/safekeeping");
        page.Click("Write it");
        var file = Page.Until(
            () => Directory.GetFiles(shop.Downloads, "cabida-*.zip").FirstOrDefault(f => new FileInfo(f).Length > 0),
            "no archive came"
        );
        using var other = new Workshop(demo: false);
        var there = new Page(other);
        there.Open("/stock");
        there.Type("Name of the film", "One of ours");
        there.Press("form:has([aria-label='Name of the film']) button");
        there.ReadsSoon(".rack-row", "One of ours");
        there.Open("/safekeeping");
        there.See("input[type='file']").SendKeys(file);
        there.ReadsSoon("h1", "An archive");
        there.Press("[id='job fernhollow-crew']");
        there.Click("Bring in 1 chosen");
        there.ReadsSoon("[role='status']", "came in");
        there.Open("/jobs");
        there.ReadsSoon(".slips", "Crew mugs");

        // The same once more is the same; what was changed since is shown, and taken where it is wanted.
        there.Open("/shelf/enamel-mug");
        there.Type("Height of wall, reading 1", "99");
        there.Saved();
        there.Open("/safekeeping");
        there.See("input[type='file']").SendKeys(file);
        there.Press("[id='blank enamel-mug']");
        there.Click("What differs");
        there.ReadsSoon(".told", "99");
        there.Click("Bring in 1 chosen");
        there.ReadsSoon("[role='status']", "1 took the place");
        there.Open("/shelf/enamel-mug");
        there.Field("Height of wall, reading 1").GetAttribute("value").ShouldBe("94");

        // What is no archive is told where it was chosen.
        var none = Path.Combine(other.Downloads, "none.zip");
        File.WriteAllBytes(none, new byte[3_000_000]);
        there.Open("/safekeeping");
        there.See("input[type='file']").SendKeys(none);
        there.ReadsSoon("section[aria-label='Everything in one file'] .problem", "no archive");
    }

    private IWebDriver Driver => page.Driver;
}
