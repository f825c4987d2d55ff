using System.Globalization;

namespace Cabida.Web.Safekeeping;

/// <summary>
/// Answers nothing of a library that is not open, and says why; and nothing that was asked of another line of it (see
/// <see cref="MachineState.Line"/>).
/// </summary>
internal sealed class HeldDoor(RequestDelegate next, LibraryState state, MachineFile machine)
{
    /// <summary>On answers, the line that the library goes along; on requests, the one that they were made from.</summary>
    public const string LineHeader = "Cabida-Line";

    private const int RetrySeconds = 2;

    public Task InvokeAsync(HttpContext http)
    {
        ArgumentNullException.ThrowIfNull(http);
        var path = http.Request.Path;
        if (!path.StartsWithSegments("/api", StringComparison.OrdinalIgnoreCase))
        {
            return next(http);
        }

        if (path.StartsWithSegments("/api/safekeeping", StringComparison.OrdinalIgnoreCase))
        {
            return next(http);
        }

        if (!state.IsOpen)
        {
            http.Response.Headers.RetryAfter = RetrySeconds.ToString(CultureInfo.InvariantCulture);
            return TypedResults
                .Problem(
                    state.Held is { } held ? $"{held.Why} {held.Advice}" : "The library is being opened.",
                    statusCode: StatusCodes.Status503ServiceUnavailable,
                    title: state.Held?.Title ?? "One moment",
                    extensions: new Dictionary<string, object?> { ["held"] = true }
                )
                .ExecuteAsync(http);
        }

        var line = machine.Current.Line;
        http.Response.Headers[LineHeader] = line;
        return http.Request.Headers[LineHeader] is [{ Length: > 0 } from] && from != line
            ? TypedResults
                .Problem(
                    "The library was brought back to an earlier state since this page was opened. Load the page again.",
                    statusCode: StatusCodes.Status409Conflict,
                    title: "Brought back meanwhile",
                    extensions: new Dictionary<string, object?> { ["broughtBack"] = true }
                )
                .ExecuteAsync(http)
            : next(http);
    }
}
