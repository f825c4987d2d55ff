using Cabida.Store;

namespace Cabida.Web.Safekeeping;

/// <summary>Why the library is not open.</summary>
/// <param name="By">Why, in a word.</param>
/// <param name="Title">What it is.</param>
/// <param name="Why">What was found.</param>
/// <param name="Advice">What to do.</param>
internal sealed record HeldView(HeldBy By, string Title, string Why, string Advice);

/// <summary>A copy of the library.</summary>
/// <param name="Name">The name of its file.</param>
/// <param name="MadeAt">When it was made.</param>
/// <param name="Occasion">Why.</param>
/// <param name="Bytes">Its size.</param>
/// <param name="Holds">What it holds, in words: “12 blanks, 4 jobs”; empty where it cannot be read.</param>
/// <param name="LastChange">When what it holds was changed last.</param>
/// <param name="IsHere">Whether it is beside the library.</param>
/// <param name="IsSecond">Whether it is in the second folder.</param>
/// <param name="IsAsNow">Whether the library is still as it was then.</param>
internal sealed record CopyView(
    string Name,
    DateTime MadeAt,
    CopyOccasion Occasion,
    long Bytes,
    string Holds,
    DateTime? LastChange,
    bool IsHere,
    bool IsSecond,
    bool IsAsNow
);

/// <summary>A library that was replaced by a copy and set aside.</summary>
/// <param name="Name">The name of its folder.</param>
/// <param name="Bytes">Its size.</param>
internal sealed record AsideView(string Name, long Bytes);

/// <summary>How the library is kept safe.</summary>
/// <param name="Held">Why it is not open; null where it is.</param>
/// <param name="Folder">The data folder, as it was given.</param>
/// <param name="Bytes">The library's size.</param>
/// <param name="Holds">What it holds, in words.</param>
/// <param name="Copies">All copies, the newest first, those of the second folder that are here no more among them.</param>
/// <param name="CopiesBytes">What the copies here take together.</param>
/// <param name="FreeBytes">What is free on the disk.</param>
/// <param name="Problem">Why the last copy could not be made; empty where it was.</param>
/// <param name="SecondFolder">Where copies go as well; empty for nowhere.</param>
/// <param name="SecondProblem">Why they do not; empty where they do.</param>
/// <param name="ClockBehind">Minutes that this computer's clock is behind the library's last change; 0 where it is not.</param>
/// <param name="Aside">Libraries that were replaced.</param>
internal sealed record SafekeepingView(
    HeldView? Held,
    string Folder,
    long Bytes,
    string Holds,
    IReadOnlyList<CopyView> Copies,
    long CopiesBytes,
    long FreeBytes,
    string Problem,
    string SecondFolder,
    string SecondProblem,
    int ClockBehind,
    IReadOnlyList<AsideView> Aside
);

/// <summary>Where copies are to go as well.</summary>
/// <param name="Folder">The folder; empty for nowhere.</param>
internal sealed record SecondFolder(string Folder);

/// <summary>What reading a copy through found.</summary>
/// <param name="IsWhole">Whether it is whole.</param>
/// <param name="Words">What was found.</param>
internal sealed record CopyChecked(bool IsWhole, string Words);
