using System.Net;

namespace Cabida.Web.Tests;

/// <summary>Templates say what the bench card says.</summary>
public sealed class TemplateTests : IDisposable
{
    private readonly Application app = new() { WithDemo = true };

    public void Dispose() => app.Dispose();

    [Theory]
    [InlineData("crew-mugs", "to the rim", "to the base")]
    [InlineData("driver-tumblers", "to the rim", "to the base")]
    [InlineData("door-plates", "to the top edge", "to the bottom edge")]
    public async Task Distances_are_those_of_the_card(string run, string above, string below)
    {
        var piece = (await app.Get($"/api/runs/{run}/bench"))["surfaces"]![0]!["pieces"]![0]!;
        var template = await app.Get($"/api/runs/{run}/template");
        double Of(string what) => (double)template["distances"]!.AsArray().First(d => (string)d!["what"]! == what)!["millimetres"]!;
        Of(above).ShouldBe((double)piece["belowRim"]!, 1e-6);
        Of(below).ShouldBe((double)piece["aboveBase"]!, 1e-6);
    }

    [Fact]
    public async Task A_shirt_is_placed_from_its_collar_and_its_fold_on_either_side()
    {
        var chest = await app.Get("/api/runs/work-shirts/template?paper=letter");
        chest["distances"]!.AsArray().Select(d => (string)d!["what"]!).ShouldBe(["to the collar seam", "its middle to the fold"]);
        ((double)chest["distances"]![1]!["millimetres"]!).ShouldBe(115, 0.1);
        var back = await app.Get("/api/runs/work-shirts/template?side=1");
        back["distances"]!.AsArray().Select(d => (string)d!["what"]!).ShouldBe(["to the collar seam"]);
        using var pdf = await app.CreateClient().GetAsync("/api/runs/work-shirts/template/file?side=1");
        pdf.Content.Headers.ContentDisposition!.FileNameStar!.ShouldEndWith("_template_a4.pdf");
        (await pdf.Content.ReadAsStringAsync()).ShouldStartWith("%PDF");
        (await app.CreateClient().GetAsync("/api/runs/work-shirts/template?side=7")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
