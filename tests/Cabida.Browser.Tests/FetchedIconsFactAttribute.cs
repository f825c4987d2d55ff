namespace Cabida.Browser.Tests;

/// <summary>A check on icons that a script fetches; left out where they are not there.</summary>
[AttributeUsage(AttributeTargets.Method)]
public sealed class FetchedIconsFactAttribute : FactAttribute
{
    public FetchedIconsFactAttribute()
    {
        if (Folder is null)
        {
            Skip = "Run by hand: scripts/check-icons.sh";
        }
    }

    /// <summary>A folder with one folder of SVG files a package; null where none was fetched.</summary>
    public static string? Folder => Environment.GetEnvironmentVariable("CABIDA_ICONS");
}
