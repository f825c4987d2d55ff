using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Cabida.Formats.Cutting;

namespace Cabida.Browser.Tests;

/// <summary>From an empty library to a cut file, by hand in the real interface.</summary>
public sealed class MakerPathTests : IDisposable
{
    private readonly Workshop shop = new(demo: false);
    private readonly Page page;

    public MakerPathTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void A_mug_a_motif_three_names_and_a_file_that_measures_what_the_screen_says()
    {
        page.Open("/shelf");
        page.ReadsSoon(".empty", "Nothing measured yet");
        page.Type("Name of the blank", "Kitchen mug");
        page.Click("Start measuring");
        page.ReadsSoon(".finding", "Read the girth");
        page.Type("Girth, reading 1", "258.5");
        page.Type("Girth, reading 2", "10 3/16 in");
        page.ReadsSoon(".reading-field .echo", "= 258.76 mm");
        page.Type("Height of wall, reading 1", "94");
        page.Type("Handle blocks, reading 1", "42");
        page.Click("Zones");
        page.Type("Above the base", "12");
        page.ReadsSoon("section[aria-label='Drawing'] .sums", "handle 42.0");
        page.ReadsSoon("section[aria-label='Drawing'] svg", "D 94.0");

        page.Open("/motifs");
        page.Type("Name of the motif", "Name alone");
        page.Click("Start with a name");
        page.Choose("Typeface", "Pacifico (upright script)");
        page.Click("Add a line");
        page.Saved();

        page.Open("/stock");
        page.Type("Name of the film", "Navy vinyl");
        page.Press("form:has(input[aria-label='Name of the film']) button");
        page.ReadsSoon(".rack-row", "Navy vinyl");
        page.Type("Name of the cutter", "Small cutter");
        page.Press("form:has(input[aria-label='Name of the cutter']) button");
        page.See("section[aria-label='Small cutter']");

        page.Open("/jobs");
        page.Type("Name of the job", "Kitchen");
        page.Click("Add the job");
        page.Type("Name of the run", "Three mugs");
        page.Click("Add a run");
        page.Choose("Blank", "Kitchen mug");
        page.Choose("Motif", "Name alone");
        page.Paste("Names, one a line", "Bo\nMarguerite\nŁukasz\n");
        page.Click("See how they fit");

        page.ReadsSoon(".strip", "3 names at one scale");
        page.ReadsSoon(".strip", "3 fit");
        page.Press(".strip-piece:nth-child(2)");
        page.ReadsSoon("section[aria-label='Board'] svg", "handle");
        var run = page.Driver.Url.Split('/')[^2];
        var piece = Pieces(run).Single(p => (string)p!["name"]! == "Marguerite")!;

        // The figures on screen are the computed ones, rounded to a tenth, and they add up to the zone.
        foreach (var room in piece["rooms"]!.AsArray())
        {
            Math.Round((double)room!["distance"]!, 1).ShouldBe(Tenths(page.Text($"tr[data-room='{(string)room["side"]!}'] td")), 0.051);
            page.Text($".room-tag[data-side='{(string)room["side"]!}']")
                .ShouldBe(page.Text($"tr[data-room='{(string)room["side"]!}'] td").Replace(" mm", "", StringComparison.Ordinal));
        }

        var ink = piece["inkBox"]!;
        ((double)piece["rooms"]![2]!["distance"]! + (double)piece["rooms"]![3]!["distance"]! + (double)ink["width"]!).ShouldBe(
            (double)piece["rooms"]![2]!["of"]!,
            1e-6
        );
        page.See("section[aria-label='Board'] path[data-piece='Marguerite']");

        page.Click("Loads");
        page.Click("Files");
        page.Click("Cut file, SVG");
        var name = page.Text(".file-name");
        name.ShouldBe("kitchen_three-mugs_load-1-of-1_navy-vinyl.svg");
        var file = Path.Combine(shop.Downloads, name);
        Page.Until(() => File.Exists(file) ? file : null, "the file never came down");
        var measured = CutSvgMeasure.Of(File.ReadAllText(file));
        // Whichever way each lies: its longer side and its shorter one.
        static List<(double Long, double Short)> Sides(IEnumerable<(double A, double B)> boxes) =>
            [.. boxes.Select(b => (Math.Max(b.A, b.B), Math.Min(b.A, b.B))).OrderDescending()];
        var cut = Sides(measured.Pieces.Select(p => (p.Width, p.Height)));
        var computed = Sides(Pieces(run).Select(p => p!["inkBox"]!).Select(b => ((double)b["width"]!, (double)b["height"]!)));
        cut.Count.ShouldBe(3);
        for (var i = 0; i < 3; i++)
        {
            cut[i].Long.ShouldBe(computed[i].Long, 0.05);
            cut[i].Short.ShouldBe(computed[i].Short, 0.05);
        }

        page.Click("Bench");
        page.ReadsSoon(".bench-card", "Middle of the ink on the line opposite the handle");
        page.ReadsSoon(".bench-pieces", "Marguerite");

        shop.Restart();
        page.Open($"/runs/{run}/set-up");
        page.Field("Names, one a line").GetAttribute("value").ShouldBe("Bo\nMarguerite\nŁukasz\n");
        page.Open("/shelf");
        page.ReadsSoon(".shelf-blank", "Kitchen mug");
    }

    [Fact]
    public void The_demo_day_can_be_brought_into_an_empty_library()
    {
        page.Open("/jobs");
        page.Click("Bring in the demo day");
        page.ReadsSoon(".job-slip", "Crew mugs");
        page.See(".slip-run svg path.ink");
    }

    private JsonArray Pieces(string run)
    {
        using var client = new HttpClient();
        return client
            .GetFromJsonAsync<JsonNode>(new Uri($"{shop.Address}/api/runs/{run}/pieces?from=0&count=50"))
            .GetAwaiter()
            .GetResult()!["pieces"]!.AsArray();
    }

    private static double Tenths(string shown) =>
        double.Parse(shown.Replace(" mm", "", StringComparison.Ordinal).Replace('−', '-'), CultureInfo.InvariantCulture);
}
