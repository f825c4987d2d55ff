using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>Minutes as a maker types them.</summary>
public static class TypedMinutes
{
    /// <summary>Nobody weeds one thing for longer than a day.</summary>
    private const double Most = 24 * 60;

    /// <summary>Reads <c>7</c>, <c>7.5</c>, <c>7:30</c>, <c>7 min</c> or <c>45 s</c>. Nothing typed is null.</summary>
    public static Outcome<double?> Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var read = TypedDuration.Read(text);
        return !read.Ok ? Outcome<double?>.Fail(Phrase.Say($"“{text.Trim()}” cannot be read as minutes. Type it like 7.5, 7:30 or 45 s."))
            : read.Value is null or (>= 0.01 and <= Most) ? read
            : Outcome<double?>.Fail(
                Phrase.Say($"{read.Value:0.##} minutes are no time that weeding takes; it must lie between 0.01 and {Most:0}.")
            );
    }
}
