using Cabida.Devices.Scanning;
using Cabida.Web.Pictures;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Tracing;

/// <summary>The scanner that is at hand.</summary>
internal sealed record ScannerView(string Name, IReadOnlyList<int> Resolutions, IReadOnlyList<SheetInTray> Tray);

/// <summary>A sheet to scan.</summary>
/// <param name="SheetId">Which sheet of the tray.</param>
/// <param name="DotsPerInch">At what resolution.</param>
/// <param name="Skew">How crooked it lies, in degrees.</param>
/// <param name="Noise">The noise of a pixel, in percent.</param>
/// <param name="Shading">How uneven the light is, in percent.</param>
internal sealed record ScanRequest(string SheetId, int DotsPerInch, double Skew, double Noise, double Shading);

internal static class ScannerEndpoints
{
    public static void MapScanner(this RouteGroupBuilder api)
    {
        api.MapGet("/scanner", (IScanner scanner) => TypedResults.Ok(new ScannerView(scanner.Name, scanner.Resolutions, scanner.Tray)))
            .WithTags("Pictures")
            .WithName("GetScanner");

        api.MapPost(
                "/scanner/scan",
                async Task<Results<Ok<PictureView>, ProblemHttpResult>> (
                    ScanRequest wanted,
                    IScanner scanner,
                    Cabida.Store.Pictures store,
                    CancellationToken stop
                ) =>
                {
                    if (!scanner.Resolutions.Contains(wanted.DotsPerInch) || scanner.Tray.All(t => t.Id != wanted.SheetId))
                    {
                        return TypedResults.Problem(
                            $"The scanner offers {string.Join(", ", scanner.Resolutions)} dots an inch and the sheets of its tray.",
                            statusCode: StatusCodes.Status422UnprocessableEntity,
                            title: "It cannot scan that"
                        );
                    }

                    var scan = await scanner.Scan(
                        wanted.SheetId,
                        new ScanSettings(
                            wanted.DotsPerInch,
                            Math.Clamp(wanted.Skew, -15, 15),
                            Math.Clamp(wanted.Noise, 0, 10) / 100,
                            Math.Clamp(wanted.Shading, 0, 60) / 100
                        ),
                        stop
                    );
                    return await PictureEndpoints.Add(scan.Png, store, scan.DotsPerInch, stop);
                }
            )
            .WithTags("Pictures")
            .WithName("ScanSheet");
    }
}
