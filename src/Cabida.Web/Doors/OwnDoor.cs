using System.Net;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.Primitives;

namespace Cabida.Web.Doors;

/// <summary>
/// Lets in who belongs here and nobody else: a request from this computer, to a name of this computer, made by a page of Cabida's own or
/// by a program that is no browser. A page of another origin is refused whatever it sends (Fetch Metadata; RFC 6454; ASVS 5.0, 3.5.1 and
/// 3.5.3), and a foreign name that leads to this address is none of ours (DNS rebinding).
/// </summary>
internal sealed class OwnDoor(RequestDelegate next)
{
    /// <summary>The names by which a browser on this computer reaches it.</summary>
    private static readonly string[] OwnNames = ["localhost", "127.0.0.1", "[::1]"];

    public Task InvokeAsync(HttpContext http)
    {
        ArgumentNullException.ThrowIfNull(http);
        return WhyNot(http) is { } refusal ? refusal.ExecuteAsync(http) : next(http);
    }

    private static ProblemHttpResult? WhyNot(HttpContext http)
    {
        var request = http.Request;
        // In-process there is no address.
        if (http.Connection.RemoteIpAddress is { } from && !IsLoopback(from))
        {
            return Refused("Cabida answers on the computer that it runs on. This request came from another.");
        }

        if (!OwnNames.Contains(request.Host.Host, StringComparer.OrdinalIgnoreCase))
        {
            return Refused(
                "This address is no name of Cabida's. Open it on its own computer as http://127.0.0.1 or http://localhost, with its port.",
                StatusCodes.Status421MisdirectedRequest
            );
        }

        return IsOfAnotherPage(request) ? Refused("A page of another address asked for this. Only Cabida's own pages may.") : null;
    }

    /// <summary>Whether an address is this computer itself.</summary>
    public static bool IsLoopback(IPAddress address) => IPAddress.IsLoopback(address.IsIPv4MappedToIPv6 ? address.MapToIPv4() : address);

    /// <summary>
    /// Whether a page that is not Cabida's had a browser ask. A link that leads here from elsewhere only opens a page, which then asks by
    /// itself.
    /// </summary>
    private static bool IsOfAnotherPage(HttpRequest request)
    {
        var origin = request.Headers.Origin;
        if (!StringValues.IsNullOrEmpty(origin) && !IsOwn(origin.ToString(), request))
        {
            return true;
        }

        var site = request.Headers["Sec-Fetch-Site"].ToString();
        if (site is "" or "same-origin" or "none")
        {
            return false;
        }

        var opens =
            HttpMethods.IsGet(request.Method)
            && request.Headers["Sec-Fetch-Mode"] == "navigate"
            && request.Headers["Sec-Fetch-Dest"] == "document"
            && !request.Path.StartsWithSegments("/api", StringComparison.OrdinalIgnoreCase);
        return !opens;
    }

    private static bool IsOwn(string origin, HttpRequest request) =>
        string.Equals(origin, $"{request.Scheme}://{request.Host.Value}", StringComparison.OrdinalIgnoreCase);

    private static ProblemHttpResult Refused(string why, int status = StatusCodes.Status403Forbidden) =>
        TypedResults.Problem(why, statusCode: status, title: "Not let in");
}
