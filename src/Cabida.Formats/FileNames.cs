using System.Globalization;

namespace Cabida.Formats;

/// <summary>Names of files that cannot be mixed up.</summary>
public static class FileNames
{
    private const int Longest = 40;

    /// <summary>
    /// The name of a cut file without its ending: job and run, or how many of them; load of how many, film, mirrored or not, and that it
    /// holds sections of what was parted.
    /// </summary>
    /// <param name="job">The job, or how many jobs.</param>
    /// <param name="run">The run, or how many runs.</param>
    /// <param name="load">The number of the load, from 1.</param>
    /// <param name="of">Of how many.</param>
    /// <param name="film">The film.</param>
    /// <param name="mirrored">How it is mirrored; empty for not at all.</param>
    /// <param name="sections">Whether it holds sections.</param>
    public static string OfLoad(string job, string run, int load, int of, string film, string mirrored, bool sections = false) =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"{Safe(job)}_{Safe(run)}_load-{load}-of-{of}_{Safe(film)}{Word(mirrored)}{(sections ? "_sections" : "")}"
        );

    private static string Word(string word) => string.IsNullOrEmpty(word) ? "" : "_" + word;

    /// <summary>Letters and digits of any tongue with single hyphens between; never empty, never endless.</summary>
    public static string Safe(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var words = new string([.. text.Normalize().ToLowerInvariant().Select(c => char.IsLetterOrDigit(c) ? c : ' ')]).Split(
            ' ',
            StringSplitOptions.RemoveEmptyEntries
        );
        var plain = string.Join('-', words);
        return plain.Length == 0 ? "unnamed"
            : plain.Length > Longest ? plain[..Longest].TrimEnd('-')
            : plain;
    }
}
