using System.Globalization;
using System.Text.Json.Nodes;
using Cabida.Formats.Tests.Cutting;
using OpenQA.Selenium;

namespace Cabida.Browser.Tests;

/// <summary>The bench card as it comes out of the printer, read by another program.</summary>
public sealed class PrintedCardTests : IDisposable
{
    private readonly Workshop shop = new(demo: true);
    private readonly Page page;

    public PrintedCardTests() => page = new Page(shop);

    public void Dispose() => shop.Dispose();

    [Theory]
    [InlineData(21.0, 29.7)]
    [InlineData(21.59, 27.94)]
    public async Task Every_piece_stands_on_one_page_with_the_lengths_of_the_screen(double width, double height)
    {
        page.Open("/runs/crew-mugs/bench");
        page.See(".bench-card .card-code path");
        page.See("section[aria-label='Steps on the card']");
        var options = new PrintOptions
        {
            PageDimensions = new PrintOptions.PageSize { Width = width, Height = height },
        };
        var file = Path.Combine(shop.Downloads, "card.pdf");
        File.WriteAllBytes(file, shop.Driver.Print(options).AsByteArray);
        OtherPrograms.Run("pdfinfo", file).ShouldContain("Pages:           1\n");
        var lines = OtherPrograms.Run("pdftotext", "-layout", file, "-").Split('\n');

        using var client = new HttpClient();
        var card = JsonNode.Parse(await client.GetStringAsync($"{shop.Address}/api/runs/crew-mugs/bench"))!;
        var pieces = card["surfaces"]![0]!["pieces"]!.AsArray();
        pieces.Count.ShouldBe(12);
        foreach (var piece in pieces)
        {
            var name = (string)piece!["name"]!;
            var row = lines.FirstOrDefault(l => l.TrimStart().StartsWith($"{name} ", StringComparison.Ordinal)).ShouldNotBeNull(name);
            List<double> read =
            [
                .. row.Split([' ', '×'], StringSplitOptions.RemoveEmptyEntries)
                    .Select(w => double.TryParse(w, CultureInfo.InvariantCulture, out var figure) ? figure : double.NaN)
                    .Where(f => !double.IsNaN(f)),
            ];
            foreach (var what in new[] { "width", "height", "belowRim", "aboveBase" })
            {
                read.ShouldContain(f => Math.Abs(f - (double)piece[what]!) <= 0.1, $"{name}: {what} of {piece[what]} in “{row}”");
            }
        }

        string.Join(' ', lines).ShouldContain("Not for the microwave.");
    }
}
