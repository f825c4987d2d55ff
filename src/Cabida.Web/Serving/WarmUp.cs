using Cabida.Core.Type;
using Cabida.Store;
using Cabida.Web.Safekeeping;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;

namespace Cabida.Web.Serving;

/// <summary>
/// Once it listens, asks itself for what the first page will ask for: the run that was changed last, and the list of jobs. Code is
/// compiled, and the first piece is fitted, while the browser still starts.
/// </summary>
internal sealed partial class WarmUp(
    IServiceScopeFactory scopes,
    LibraryState library,
    IServer server,
    IHostApplicationLifetime life,
    ITypefaces faces,
    ILogger<WarmUp> log
) : BackgroundService
{
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        var listening = new TaskCompletionSource();
        using var started = life.ApplicationStarted.Register(listening.SetResult);
        try
        {
            await listening.Task.WaitAsync(stoppingToken);
            await library.Opened.WaitAsync(stoppingToken);
            if (server.Features.Get<IServerAddressesFeature>()?.Addresses.FirstOrDefault() is { } address)
            {
                await Ask(address, stoppingToken);
            }

            // Letters that a face lacks are looked for in all of them; those of other scripts are large and seldom asked for.
            foreach (var face in faces.All.Where(f => f.Script.Length == 0))
            {
                stoppingToken.ThrowIfCancellationRequested();
                faces.Find(face.Id);
            }
        }
        catch (OperationCanceledException)
        {
            // It ends before all was asked.
        }
        catch (Exception fault)
        {
            // Whoever asks for it will be told.
            Failed(log, fault);
        }
    }

    private async Task Ask(string address, CancellationToken stop)
    {
        await using var scope = scopes.CreateAsyncScope();
        var last = await scope.ServiceProvider.GetRequiredService<Cabida.Store.Library>().LastChanged(DocumentKinds.Run, stop);
        var run = $"runs/{last}";
        string[] wanted = last is null ? ["week"] : [run, $"{run}/ground", $"{run}/pieces?from=0&count=8", "week", $"{run}/set"];
        using var client = new HttpClient
        {
            BaseAddress = new Uri(new Uri(address.Replace("*", "127.0.0.1").Replace("+", "127.0.0.1")), "/api/"),
        };
        foreach (var path in wanted)
        {
            using var answer = await client.GetAsync(new Uri(path, UriKind.Relative), stop);
        }
    }

    [LoggerMessage(Level = LogLevel.Debug, Message = "Warming up failed")]
    private static partial void Failed(ILogger log, Exception fault);
}
