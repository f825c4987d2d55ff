namespace Cabida.Web.Doors;

/// <summary>
/// What every answer tells the browser of how it may be used: never within a page of another origin, never guessed to be of another type,
/// and with scripts of Cabida's own alone (ASVS 5.0, 3.2 and 3.4). What the API answers is data: opened by itself, it can run nothing, so
/// that a picture or an outline that was brought in never does.
/// </summary>
internal sealed class AnswerHeaders(RequestDelegate next)
{
    /// <summary>
    /// Pages: scripts, styles, fonts and requests of the application's own, pictures of its own and such as a page draws itself. Styles
    /// that a script sets on an element are not inline styles.
    /// </summary>
    public const string OfPages =
        "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self' data: blob:; connect-src 'self'; "
        + "base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    /// <summary>Data.</summary>
    public const string OfData = "default-src 'none'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'; sandbox";

    private const string Unwanted =
        "accelerometer=(), autoplay=(), camera=(), display-capture=(), encrypted-media=(), geolocation=(), gyroscope=(), magnetometer=(), "
        + "microphone=(), midi=(), payment=(), publickey-credentials-get=(), screen-wake-lock=(), serial=(), usb=(), xr-spatial-tracking=()";

    public Task InvokeAsync(HttpContext http)
    {
        ArgumentNullException.ThrowIfNull(http);
        // Just before it is sent: an answer that is begun anew for a fault has them too.
        http.Response.OnStarting(() =>
        {
            Put(http.Response.Headers, IsData(http.Request));
            return Task.CompletedTask;
        });
        return next(http);
    }

    private static bool IsData(HttpRequest request) => request.Path.StartsWithSegments("/api", StringComparison.OrdinalIgnoreCase);

    private static void Put(IHeaderDictionary headers, bool isData)
    {
        headers.ContentSecurityPolicy = isData ? OfData : OfPages;
        headers.XContentTypeOptions = "nosniff";
        headers.XFrameOptions = "DENY";
        headers["Referrer-Policy"] = "same-origin";
        headers["Permissions-Policy"] = Unwanted;
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        headers["Cross-Origin-Embedder-Policy"] = "require-corp";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        if (isData && headers.CacheControl.Count == 0)
        {
            headers.CacheControl = "no-store";
        }
    }
}
