using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Serving;

namespace Cabida.Web.Safekeeping;

/// <summary>Makes copies of the library, here and in the maker's second folder, one at a time; and knows how the last went.</summary>
internal sealed partial class Copying(DataFolder folder, MachineFile machine, TimeProvider clock, ILogger<Copying> log) : IDisposable
{
    private readonly SemaphoreSlim one = new(1, 1);

    /// <summary>The copies beside the library.</summary>
    public CopyShelf Own { get; } = new(folder.Copies);

    /// <summary>The copies in the folder of the maker's choice; null where none was chosen.</summary>
    public CopyShelf? Second => machine.Current.SecondFolder is { Length: > 0 } second ? new CopyShelf(second) : null;

    /// <summary>Why the last copy could not be made; empty where it was.</summary>
    public string Problem { get; private set; } = "";

    /// <summary>Why the last copy could not go to the second folder; empty where it did.</summary>
    public string SecondProblem { get; private set; } = "";

    /// <summary>Makes a copy and takes away those that need not stay.</summary>
    /// <exception cref="NotWorkableException">It could not be made. One that could not go to the second folder as well is made.</exception>
    public async Task<LibraryCopy> Make(CopyOccasion occasion, CancellationToken stop)
    {
        await one.WaitAsync(stop);
        try
        {
            var copy = await Reasoned(() => Own.Make(folder.Library, occasion, clock.GetUtcNow().UtcDateTime, stop));
            Problem = "";
            Own.Prune(clock.LocalTimeZone);
            Made(log, copy.Name, copy.Bytes);
            await BringToSecond(copy, stop);
            return copy;
        }
        catch (NotWorkableException fault)
        {
            Problem = fault.Reason.ToString();
            Failed(log, Problem, fault);
            throw;
        }
        finally
        {
            one.Release();
        }
    }

    /// <summary>Makes a copy unless the newest is of the library as it stands; brings the second folder up to date either way.</summary>
    /// <returns>The newest copy.</returns>
    public async Task<LibraryCopy> MakeIfChanged(CopyOccasion occasion, CancellationToken stop)
    {
        if (Own.All() is [var newest, ..] && IsAsNow(newest))
        {
            await one.WaitAsync(stop);
            try
            {
                await BringToSecond(newest, stop);
            }
            finally
            {
                one.Release();
            }

            return newest;
        }

        return await Make(occasion, stop);
    }

    /// <summary>
    /// Makes a copy of a library that is about to be brought to another form; a start that was cut off in the middle of that made it
    /// already, and what it had changed by then is not wanted in its place.
    /// </summary>
    public async Task MakeBeforeUpgrade(CancellationToken stop)
    {
        var now = LibraryContents.LastChangeIn(folder.Library, isCopy: false);
        var last = Own.All().FirstOrDefault(c => c.Occasion == CopyOccasion.Upgrade);
        if (last is null || now is null || LibraryContents.LastChangeIn(Own.PathOf(last), isCopy: true) != now)
        {
            await Make(CopyOccasion.Upgrade, stop);
        }
    }

    /// <summary>Whether a copy holds the library as it stands now.</summary>
    public bool IsAsNow(LibraryCopy copy) =>
        LibraryContents.Of(Own.PathOf(copy), isCopy: true) is { } then
        && LibraryContents.Of(folder.Library, isCopy: false) is { } now
        && then.Stamp == now.Stamp;

    /// <summary>The file of a copy by its name, wherever it is; null where there is none.</summary>
    public string? PathOf(string name) =>
        Own.Find(name) is { } own ? Own.PathOf(own)
        : Second is { } second && second.Find(name) is { } there ? second.PathOf(there)
        : null;

    /// <summary>Brings a copy to the second folder; what hinders that is told and tried again with the next.</summary>
    private async Task BringToSecond(LibraryCopy copy, CancellationToken stop)
    {
        SecondProblem = "";
        if (Second is not { } second || second.Find(copy.Name) is not null)
        {
            return;
        }

        try
        {
            await Reasoned(async () =>
            {
                // A stick that is not plugged in leaves an empty place behind, in which nothing is to be made.
                if (!Directory.Exists(second.Folder))
                {
                    throw new NotWorkableException(Phrase.Say($"The folder {second.Folder} is not there. Is its disk plugged in?"));
                }

                return await second.Bring(Own.PathOf(copy), copy.Name, stop);
            });
            second.Prune(clock.LocalTimeZone);
        }
        catch (NotWorkableException fault)
        {
            SecondProblem = fault.Reason.ToString();
            Failed(log, SecondProblem, fault);
        }
    }

    /// <summary>What the disk has against it, as a reason.</summary>
    private static async Task<T> Reasoned<T>(Func<Task<T>> work)
    {
        try
        {
            return await work();
        }
        catch (Exception fault) when (StorageFault.IsDiskFull(fault))
        {
            throw new NotWorkableException(Phrase.Say($"The disk is full. Make some room."), fault);
        }
        catch (Exception fault) when (StorageFault.Of(fault) is { } told)
        {
            throw new NotWorkableException(Phrase.Say($"It cannot be written: {told.Detail}"), fault);
        }
    }

    public void Dispose() => one.Dispose();

    [LoggerMessage(Level = LogLevel.Information, Message = "Made the copy {Name} of {Bytes} bytes and found it whole")]
    private static partial void Made(ILogger log, string name, long bytes);

    [LoggerMessage(Level = LogLevel.Error, Message = "No copy was made: {Why}")]
    private static partial void Failed(ILogger log, string why, Exception fault);
}
