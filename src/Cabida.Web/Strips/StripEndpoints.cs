using Cabida.Formats.Strips;

namespace Cabida.Web.Strips;

internal static class StripEndpoints
{
    /// <summary>Measuring strips and a size card to print at true size.</summary>
    public static void MapStrips(this RouteGroupBuilder api) =>
        api.MapGet("/strips.pdf", (string? paper) =>
            {
                var chosen = paper == "letter" ? StripPaper.Letter : StripPaper.A4;
                return TypedResults.File(
                    MeasuringStrips.Pdf(chosen),
                    "application/pdf",
                    $"cabida-measuring-strips-{chosen.Name.ToLowerInvariant()}.pdf"
                );
            })
            .WithTags("Shelf")
            .WithName("GetStrips");
}
