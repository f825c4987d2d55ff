using Microsoft.Extensions.FileProviders;

namespace Cabida.Web.Serving;

/// <summary>Serves the built front end; every path that is no file and no API is its business.</summary>
internal static class FrontEnd
{
    public static void MapFrontEnd(this WebApplication app)
    {
        var folder = Path.GetFullPath(app.Configuration["FrontEnd"] ?? Path.Combine(AppContext.BaseDirectory, "wwwroot"));
        if (!Directory.Exists(folder))
        {
            return;
        }

        var files = new PhysicalFileProvider(folder);
        app.UseStaticFiles(new StaticFileOptions { FileProvider = files });
        app.MapFallback("/api/{**rest}", () => TypedResults.NotFound()).ExcludeFromDescription();
        app.MapFallback(async context =>
            {
                context.Response.ContentType = "text/html; charset=utf-8";
                await context.Response.SendFileAsync(files.GetFileInfo("index.html"));
            })
            .ExcludeFromDescription();
    }
}
