using System.Globalization;
using System.Text.RegularExpressions;

namespace Cabida.Store;

/// <summary>Why a copy was made.</summary>
public enum CopyOccasion
{
    /// <summary>The application started.</summary>
    Start,

    /// <summary>A day had gone by.</summary>
    Day,

    /// <summary>The maker asked for it.</summary>
    Asked,

    /// <summary>A newer version was about to change the library's form.</summary>
    Upgrade,

    /// <summary>Another copy was about to be brought back.</summary>
    Restore,
}

/// <summary>A copy of the library: a file of its own that needs no other.</summary>
/// <param name="Name">The name of its file.</param>
/// <param name="Number">Counts up with every copy in a folder: a clock that was set back changes no order.</param>
/// <param name="MadeAt">When it was made, in UTC, by the clock of then.</param>
/// <param name="Occasion">Why.</param>
/// <param name="Bytes">Its size.</param>
public sealed partial record LibraryCopy(string Name, int Number, DateTime MadeAt, CopyOccasion Occasion, long Bytes)
{
    private const string TimeForm = "yyyyMMdd'T'HHmmss'Z'";

    /// <summary>The name of a copy's file, as in <c>cabida-000012-20261201T203105Z-start.db</c>.</summary>
    public static string NameOf(int number, DateTime madeAt, CopyOccasion occasion) =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"cabida-{number:D6}-{madeAt.ToString(TimeForm, CultureInfo.InvariantCulture)}-{WordOf(occasion)}.db"
        );

    /// <summary>A file as a copy; null where its name is not one of a copy.</summary>
    public static LibraryCopy? Of(FileInfo file)
    {
        ArgumentNullException.ThrowIfNull(file);
        var match = Form().Match(file.Name);
        return
            match.Success
            && int.TryParse(match.Groups[1].ValueSpan, NumberStyles.None, CultureInfo.InvariantCulture, out var number)
            && DateTime.TryParseExact(
                match.Groups[2].ValueSpan,
                TimeForm,
                CultureInfo.InvariantCulture,
                DateTimeStyles.AssumeUniversal | DateTimeStyles.AdjustToUniversal,
                out var madeAt
            )
            && Enum.TryParse<CopyOccasion>(match.Groups[3].ValueSpan, ignoreCase: true, out var occasion)
            ? new LibraryCopy(file.Name, number, madeAt, occasion, file.Length)
            : null;
    }

    private static string WordOf(CopyOccasion occasion) =>
        occasion switch
        {
            CopyOccasion.Start => "start",
            CopyOccasion.Day => "day",
            CopyOccasion.Asked => "asked",
            CopyOccasion.Upgrade => "upgrade",
            _ => "restore",
        };

    [GeneratedRegex("^cabida-([0-9]{6,9})-([0-9]{8}T[0-9]{6}Z)-([a-z]+)\\.db$", RegexOptions.CultureInvariant)]
    private static partial Regex Form();
}
