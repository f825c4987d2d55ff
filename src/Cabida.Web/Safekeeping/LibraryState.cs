using Cabida.Core.Wording;
using Cabida.Store;

namespace Cabida.Web.Safekeeping;

/// <summary>Why the library cannot be opened as it is.</summary>
internal enum HeldBy
{
    /// <summary>It is not there, though copies of it are.</summary>
    Missing,

    /// <summary>It is not whole.</summary>
    Damaged,

    /// <summary>A newer version of Cabida wrote it.</summary>
    Newer,

    /// <summary>It cannot be opened or written.</summary>
    Closed,

    /// <summary>The disk is full.</summary>
    Full,

    /// <summary>Cabida failed over it.</summary>
    Fault,
}

/// <summary>A library that cannot be opened as it is.</summary>
/// <param name="By">Why.</param>
/// <param name="Title">What it is.</param>
/// <param name="Why">What was found.</param>
/// <param name="Advice">What to do.</param>
internal sealed record Held(HeldBy By, string Title, string Why, string Advice)
{
    /// <summary>What is said of a file that cannot be used.</summary>
    public static Held Of(LibraryFault fault) =>
        fault.Kind switch
        {
            LibraryFaultKind.Missing => new(
                HeldBy.Missing,
                "The library is not there",
                "Its file cabida.db is gone from the data folder, while copies of it are still there.",
                "If it was moved, put it back and try again. Else bring back a copy, or begin with an empty library; the copies stay."
            ),
            LibraryFaultKind.Empty => new(
                HeldBy.Damaged,
                "The library is empty",
                "Its file cabida.db is there and has nothing in it, as after a disk that ran full or a copy that was cut off.",
                "Bring back the newest good copy. What is there now is set aside, not thrown away."
            ),
            LibraryFaultKind.Newer => new(
                HeldBy.Newer,
                "A newer Cabida wrote this library",
                $"It holds what this version does not know ({fault.Detail}), and would lose it here. Nothing was changed.",
                "Start the newer version again. A copy from before it can be brought back here; what is there now is set aside then."
            ),
            LibraryFaultKind.Closed => new(
                HeldBy.Closed,
                "The library cannot be opened for writing",
                $"The system says: {fault.Detail.TrimEnd('.')}.",
                "See that the data folder and its files belong to you, can be written, and are not on a disk that is read-only or gone. "
                    + "Then try again. Nothing was changed."
            ),
            _ => new(
                HeldBy.Damaged,
                "The library is damaged",
                $"Reading it through found: {fault.Detail.TrimEnd('.')}.",
                "Bring back the newest good copy. What is there now is set aside, not thrown away, for whoever can mend it. A disk that "
                    + "damages one file may damage others: look after it."
            ),
        };

    /// <summary>No room is left.</summary>
    public static Held NoRoom { get; } =
        new(
            HeldBy.Full,
            "The disk is full",
            "There is no room left to open the library.",
            "Make some room and try again. Nothing was lost."
        );

    /// <summary>No copy could be made of a library that is to be brought to another form.</summary>
    public static Held WithoutCopy(Phrase why) =>
        new(
            HeldBy.Closed,
            "No copy could be made first",
            $"This version keeps the library in another form, and makes a copy of it before it changes anything. {why}",
            "Then try again. Nothing was changed."
        );

    /// <summary>A fault of the application.</summary>
    public static Held ByFault { get; } =
        new(
            HeldBy.Fault,
            "Cabida stumbled over the library",
            "It failed while it opened it; the log says where.",
            "Try again. If that does not help, bring back a copy; what is there now is set aside, not thrown away."
        );
}

/// <summary>Whether the library is open.</summary>
internal sealed class LibraryState
{
    private readonly TaskCompletionSource opened = new(TaskCreationOptions.RunContinuationsAsynchronously);

    /// <summary>Why it is not; null while it is open, or is being opened for the first time.</summary>
    public Held? Held { get; private set; }

    /// <summary>Whether it is.</summary>
    public bool IsOpen { get; private set; }

    /// <summary>Ends once it is open.</summary>
    public Task Opened => opened.Task;

    /// <summary>It is open.</summary>
    public void Open()
    {
        (Held, IsOpen) = (null, true);
        opened.TrySetResult();
    }

    /// <summary>It is not, or not any more.</summary>
    public void Hold(Held held) => (Held, IsOpen) = (held, false);
}
