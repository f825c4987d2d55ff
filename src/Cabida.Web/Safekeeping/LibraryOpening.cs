using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Demo;
using Cabida.Web.Serving;
using Cabida.Web.Typefaces;
using Microsoft.Data.Sqlite;

namespace Cabida.Web.Safekeeping;

/// <summary>
/// Opens the library: finishes what a start before it began, looks whether it is whole and known, brings it to the form of now, and adds
/// the demo data to an empty one when asked for. Where it cannot, it says why and what to do, changes nothing, and may try again.
/// </summary>
internal sealed partial class LibraryOpening(
    DataFolder folder,
    InstanceLock instance,
    LibraryState state,
    Copying copying,
    MachineFile machine,
    IServiceScopeFactory scopes,
    IConfiguration configuration,
    TimeProvider clock,
    ILogger<LibraryOpening> log
) : IDisposable
{
    private readonly SemaphoreSlim one = new(1, 1);

    /// <summary>Opens it, where it is not open.</summary>
    /// <param name="beginsEmpty">Whether a new one is begun though there are copies of an old one.</param>
    /// <param name="stop">Ends it.</param>
    /// <exception cref="LibraryInUseException">Another Cabida has it open.</exception>
    public async Task Open(bool beginsEmpty = false, CancellationToken stop = default)
    {
        await one.WaitAsync(stop);
        try
        {
            if (!state.IsOpen)
            {
                await Try(beginsEmpty, stop);
            }
        }
        finally
        {
            one.Release();
        }
    }

    private async Task Try(bool beginsEmpty, CancellationToken stop)
    {
        try
        {
            if (await WhyNot(beginsEmpty, stop) is { } held)
            {
                Hold(held);
                return;
            }

            await Prepare(stop);
            state.Open();
        }
        catch (Exception fault) when (fault is not (OperationCanceledException or LibraryInUseException))
        {
            Failing(log, fault);
            Hold(
                StorageFault.IsDiskFull(fault) ? Held.NoRoom
                : fault is NotWorkableException noCopy ? Held.WithoutCopy(noCopy.Reason)
                : StorageFault.Of(fault) is { } told ? Held.Of(told)
                : Held.ByFault
            );
        }
    }

    private void Hold(Held held)
    {
        state.Hold(held);
        NotOpened(log, held.Title, held.Why, held.Advice);
    }

    /// <summary>Why the library cannot be opened; null where it can.</summary>
    private async Task<Held?> WhyNot(bool beginsEmpty, CancellationToken stop)
    {
        Directory.CreateDirectory(folder.Path);
        await instance.Take(configuration["Urls"] ?? "", clock.GetUtcNow().UtcDateTime);
        // A connection that is kept for later would go on with a file that is moved away.
        SqliteConnection.ClearAllPools();
        if (new LibraryRestore(folder.Path).Finish() is { } aside)
        {
            machine.Change(m => m with { Line = MachineFile.FreshLine() });
            BroughtBack(log, Path.Combine(folder.Path, LibraryRestore.Aside, aside));
        }

        return await LibraryCheck.OfLibrary(folder.Library, stop) switch
        {
            // None there ever was, and none was lost.
            { Kind: LibraryFaultKind.Missing or LibraryFaultKind.Empty } when beginsEmpty || copying.Own.All().Count == 0 => null,
            { } fault => Held.Of(fault),
            null => null,
        };
    }

    private async Task Prepare(CancellationToken stop)
    {
        await instance.FreeMigrations();
        await using var scope = scopes.CreateAsyncScope();
        var services = scope.ServiceProvider;
        var db = services.GetRequiredService<CabidaContext>();
        if (await LibraryUpgrade.IsNeeded(db, stop))
        {
            await copying.MakeBeforeUpgrade(stop);
        }

        await LibraryUpgrade.Run(db, stop);
        await services.GetRequiredService<DerivedContext>().Prepare(stop);
        if (machine.Current.Line.Length == 0)
        {
            machine.Change(m => m with { Line = MachineFile.FreshLine() });
        }

        await services.GetRequiredService<LibraryTypefaces>().Reload(services.GetRequiredService<AddedTypefaces>(), stop);
        if (
            configuration.GetValue<bool>("Demo")
            && await services.GetRequiredService<DemoLibrary>().AddIfEmpty(stop)
            && configuration.GetValue<bool>("DemoDay")
        )
        {
            await services.GetRequiredService<DemoDay>().Begin(stop);
        }
    }

    public void Dispose() => one.Dispose();

    [LoggerMessage(Level = LogLevel.Error, Message = "{Title}. {Why} {Advice}")]
    private static partial void NotOpened(ILogger log, string title, string why, string advice);

    [LoggerMessage(Level = LogLevel.Warning, Message = "A copy was brought back; what was there lies in {Folder}")]
    private static partial void BroughtBack(ILogger log, string folder);

    [LoggerMessage(Level = LogLevel.Error, Message = "Opening the library failed")]
    private static partial void Failing(ILogger log, Exception fault);
}
