using System.Globalization;

namespace Cabida.Formats;

/// <summary>Names of files that cannot be mixed up.</summary>
public static class FileNames
{
    private const int Longest = 40;

    /// <summary>The name of a cut file without its ending: job and run or plan, load of how many, film, mirrored or not.</summary>
    public static string OfLoad(string job, string run, int load, int of, string film, bool mirrored) =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"{Safe(job)}_{Safe(run)}_load-{load}-of-{of}_{Safe(film)}{(mirrored ? "_mirrored" : "")}"
        );

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
