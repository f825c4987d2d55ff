using Cabida.Core.Wording;
using Cabida.Web.Serving;

namespace Cabida.Web.Safekeeping;

/// <summary>Folders of the maker's choice that copies go to as well.</summary>
internal static class SecondFolders
{
    private const int Longest = 1000;

    /// <summary>What is wrong with a folder; null where copies can go there.</summary>
    public static Phrase? ProblemOf(string path, DataFolder data)
    {
        if (path.Length > Longest || path.Any(char.IsControl) || !Path.IsPathFullyQualified(path))
        {
            return Phrase.Say($"Name the folder from the root on, as in /media/stick/cabida.");
        }

        try
        {
            if (!Directory.Exists(path))
            {
                return File.Exists(path)
                    ? Phrase.Say($"That is a file, not a folder.")
                    : Phrase.Say($"There is no such folder. Make it first, or plug its disk in.");
            }

            var (folder, own) = (Real(path), Real(data.Path));
            if (folder == own || folder.StartsWith(own + Path.DirectorySeparatorChar, StringComparison.Ordinal))
            {
                return Phrase.Say($"That is where the library itself lies. A second copy belongs elsewhere, best on another disk.");
            }

            var trial = Path.Combine(path, $".cabida-{Guid.NewGuid():N}");
            File.WriteAllBytes(trial, []);
            File.Delete(trial);
            return null;
        }
        catch (Exception fault) when (fault is IOException or UnauthorizedAccessException)
        {
            return Phrase.Say(
                $"Nothing can be written there. See that the folder belongs to you, and that its disk is not read-only or full."
            );
        }
    }

    /// <summary>A folder without links and turns.</summary>
    private static string Real(string path)
    {
        var full = Path.TrimEndingDirectorySeparator(Path.GetFullPath(path));
        return new DirectoryInfo(full).ResolveLinkTarget(returnFinalTarget: true)?.FullName ?? full;
    }
}
