using Microsoft.AspNetCore.StaticFiles;
using Microsoft.Extensions.FileProviders;
using Microsoft.Net.Http.Headers;

namespace Cabida.Web.Serving;

/// <summary>
/// Serves the built front end; every path that is no file and no API is its business. What is named by its content is kept by the browser
/// for ever, and what was packed when it was built is sent packed to whoever unpacks it.
/// </summary>
internal static class FrontEnd
{
    private const string Named = "/assets";
    private const string Page = "index.html";
    private const string Packed = ".br";

    public static void MapFrontEnd(this WebApplication app)
    {
        var folder = Path.GetFullPath(app.Configuration["FrontEnd"] ?? Path.Combine(AppContext.BaseDirectory, "wwwroot"));
        if (!Directory.Exists(folder))
        {
            return;
        }

        var files = new PhysicalFileProvider(folder);
        var types = new FileExtensionContentTypeProvider();
        app.Use(
            (context, next) =>
            {
                var path = context.Request.Path;
                if (
                    path.HasValue
                    && types.TryGetContentType(path.Value, out _)
                    && TakesPacked(context.Request)
                    && files.GetFileInfo(path.Value + Packed).Exists
                )
                {
                    context.Request.Path = path + Packed;
                }

                return next(context);
            }
        );
        app.UseStaticFiles(
            new StaticFileOptions
            {
                FileProvider = files,
                ServeUnknownFileTypes = true,
                OnPrepareResponse = sent => Describe(sent, types),
            }
        );
        app.MapFallback("/api/{**rest}", () => TypedResults.NotFound()).ExcludeFromDescription();
        app.MapFallback(async context =>
            {
                context.Response.ContentType = "text/html; charset=utf-8";
                context.Response.Headers.CacheControl = "no-cache";
                await context.Response.SendFileAsync(files.GetFileInfo(Page));
            })
            .ExcludeFromDescription();
    }

    private static bool TakesPacked(HttpRequest request) =>
        request.GetTypedHeaders().AcceptEncoding.Any(e => e.Value == "br" && e.Quality is null or > 0);

    private static void Describe(StaticFileResponseContext sent, FileExtensionContentTypeProvider types)
    {
        var (request, headers) = (sent.Context.Request, sent.Context.Response.Headers);
        // A page that is kept would go on asking for what is not there any more.
        headers.CacheControl = request.Path.StartsWithSegments(Named, StringComparison.Ordinal)
            ? "public, max-age=31536000, immutable"
            : "no-cache";
        headers.Vary = HeaderNames.AcceptEncoding;
        if (sent.File.Name.EndsWith(Packed, StringComparison.Ordinal))
        {
            headers.ContentEncoding = "br";
            sent.Context.Response.ContentType = types.TryGetContentType(sent.File.Name[..^Packed.Length], out var type)
                ? type
                : "application/octet-stream";
        }
    }
}
