namespace Cabida.Web.Tests;

/// <summary>Pages that are left before they are there, the first time that anything is worked out at all.</summary>
public class LeftPagesTests
{
    private static readonly string[] Pages =
    [
        "/api/jobs",
        "/api/motifs",
        "/api/typefaces",
        "/api/runs/crew-mugs/pieces?from=0&count=12",
        "/api/motifs/crew-name",
        "/api/runs/crew-mugs/set",
    ];

    [Fact]
    public async Task A_page_that_was_left_is_whole_when_it_is_opened_next()
    {
        await using var app = new Application { WithDemo = true };
        using var client = app.CreateClient();
        foreach (var patience in new[] { 20, 60, 150, 300, 500, 800 })
        {
            foreach (var page in Pages)
            {
                using var gone = new CancellationTokenSource(patience);
                try
                {
                    await client.GetAsync(new Uri(page, UriKind.Relative), gone.Token);
                }
                catch (OperationCanceledException)
                {
                    // That is what is tried here.
                }
            }
        }

        await app.List("/api/motifs");
        var cards = (await app.List("/api/jobs")).SelectMany(j => j!["runs"]!.AsArray()).ToList();
        cards.Count.ShouldBeGreaterThan(5);
        foreach (var card in cards)
        {
            ((string)card!["todo"]!).ShouldBe("");
            card["first"]!["inks"]!.AsArray().ShouldAllBe(i => ((string)i!["path"]!).Length > 100);
        }

        (await app.Get("/api/typefaces")).AsArray().ShouldAllBe(f => ((string)f!["samplePath"]!).Length > 0);
        (await app.Pieces("crew-mugs")).Count.ShouldBe(12);
    }
}
