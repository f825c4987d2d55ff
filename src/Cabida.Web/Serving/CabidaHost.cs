using System.Net;
using Cabida.Web.Doors;
using Cabida.Web.Safekeeping;
using Microsoft.AspNetCore.Connections;

namespace Cabida.Web.Serving;

/// <summary>Builds the application and runs it, again and again where a copy of the library takes the place of it.</summary>
internal static class CabidaHost
{
    /// <summary>It ended as it was asked to.</summary>
    private const int Well = 0;

    /// <summary>It could not start; why was said.</summary>
    private const int NotStarted = 1;

    public static async Task<int> Run(string[] args)
    {
        try
        {
            for (var wanted = true; wanted; )
            {
                await using var app = Build(args);
                if (!OpenApiBuild.IsRunning)
                {
                    await app.Services.GetRequiredService<LibraryOpening>().Open();
                }

                var restarting = app.Services.GetRequiredService<Restarting>();
                await app.RunAsync();
                wanted = restarting.IsWanted;
            }

            return Well;
        }
        catch (Exception fault) when (Told(fault) is { } why)
        {
            await Console.Error.WriteLineAsync($"Cabida did not start. {why}");
            return NotStarted;
        }
    }

    private static WebApplication Build(string[] args)
    {
        // Settings lie beside the application, wherever it is started from.
        var builder = WebApplication.CreateBuilder(new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory });
        builder.WebHost.ConfigureKestrel(k => k.AddServerHeader = false);
        OnLoopbackOnly(builder.Configuration["Urls"] ?? "");
        builder.Services.AddCabida(builder.Configuration);
        var app = builder.Build();
        app.UseMiddleware<AnswerHeaders>();
        // What cannot be read of a request is the sender's, not ours.
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.UseMiddleware<OwnDoor>();
        app.UseMiddleware<HeldDoor>();
        app.MapCabida();
        return app;
    }

    /// <summary>Asserts that all addresses it is to answer at are of this computer alone.</summary>
    private static void OnLoopbackOnly(string urls)
    {
        foreach (var url in urls.Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            var host = BindingAddress.Parse(url).Host.Trim('[', ']');
            if (host != "localhost" && !(IPAddress.TryParse(host, out var address) && OwnDoor.IsLoopback(address)))
            {
                throw new NotStartedException(
                    $"{url} could be reached from other computers. It answers on this one only, as at http://127.0.0.1:5310."
                );
            }
        }
    }

    /// <summary>What is said of a start that failed for a reason outside of it; null where it is a fault of ours.</summary>
    private static string? Told(Exception fault) =>
        fault switch
        {
            LibraryInUseException or NotStartedException => fault.Message,
            IOException { InnerException: AddressInUseException taken } =>
                $"{taken.Message.TrimEnd('.')}: another program answers there, or another Cabida. Stop it, or start this one at another "
                    + "port, as with --Urls http://127.0.0.1:5311.",
            _ => null,
        };
}

/// <summary>A start that cannot be, for what it was asked.</summary>
internal sealed class NotStartedException(string message) : Exception(message);
