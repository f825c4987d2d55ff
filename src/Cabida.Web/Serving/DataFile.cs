using Cabida.Store;
using Cabida.Web.Demo;
using Cabida.Web.Typefaces;

namespace Cabida.Web.Serving;

/// <summary>The file that holds the maker's library.</summary>
internal static class DataFile
{
    public static string ConnectionString(IConfiguration configuration) => To(configuration, "cabida.db");

    /// <summary>The file of what follows from the library, which may be thrown away.</summary>
    public static string DerivedConnectionString(IConfiguration configuration) => To(configuration, "derived.db");

    private static string To(IConfiguration configuration, string file) =>
        $"Data Source={Path.Combine(configuration["Data"] ?? "data", file)}";

    /// <summary>Makes the file or brings it to the current form; adds the demo data to an empty library when asked for.</summary>
    public static async Task Prepare(WebApplication app)
    {
        var folder = app.Configuration["Data"] ?? "data";
        Directory.CreateDirectory(folder);
        using var starting = await StartLock.Take(folder);
        await StartLock.FreeMigrations(ConnectionString(app.Configuration));
        await using var scope = app.Services.CreateAsyncScope();
        await LibraryUpgrade.Run(scope.ServiceProvider.GetRequiredService<CabidaContext>());
        await scope.ServiceProvider.GetRequiredService<DerivedContext>().Prepare();
        await scope
            .ServiceProvider.GetRequiredService<LibraryTypefaces>()
            .Reload(scope.ServiceProvider.GetRequiredService<AddedTypefaces>(), CancellationToken.None);
        if (
            app.Configuration.GetValue<bool>("Demo")
            && await scope.ServiceProvider.GetRequiredService<DemoLibrary>().AddIfEmpty(CancellationToken.None)
            && app.Configuration.GetValue<bool>("DemoDay")
        )
        {
            await scope.ServiceProvider.GetRequiredService<DemoDay>().Begin(CancellationToken.None);
        }
    }
}
