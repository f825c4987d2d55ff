using System.Globalization;
using Cabida.Core.Wording;

namespace Cabida.Web.Tracing;

/// <summary>What is to be said of a resolution that no scanner vouches for.</summary>
internal static class Resolutions
{
    /// <summary>Programs and cameras write these when they do not know.</summary>
    private static readonly double[] Unknowing = [72, 96];

    /// <summary>Resolutions nearer to each other than this share are the same.</summary>
    private const double Same = 0.01;

    /// <summary>What stands in the file, and what was typed against it.</summary>
    /// <param name="wanted">What was typed.</param>
    /// <param name="stated">What the file or the scanner states; null when nothing.</param>
    /// <param name="proven">Whether a scanner vouches for it.</param>
    public static IEnumerable<Phrase> Told(TraceRequest wanted, double? stated, bool proven)
    {
        if (wanted.By != ScaleBy.Resolution || Read(wanted.DotsPerInch) is not { } typed)
        {
            yield break;
        }

        if (stated is { } said && Math.Abs((typed / said) - 1) > Same)
        {
            yield return proven
                ? Phrase.Say(
                    $"You typed {typed:0.#} dots an inch, but the scanner made it at {said:0.#}: by that everything is "
                        + $"{typed / said:0.00} times the size found here."
                )
                : Phrase.Say(
                    $"You typed {typed:0.#} dots an inch, and the file says {said:0.#}: by that everything would be "
                        + $"{typed / said:0.00} times the size found here. Measure one thing on it by rule."
                );
        }
        else if (stated is { } unproven && !proven)
        {
            yield return Unknowing.Any(u => Math.Abs(unproven - u) < 0.5)
                ? Phrase.Say(
                    $"{unproven:0.#} dots an inch is what programs write when they do not know. Do not trust it: mark two points of "
                        + $"known distance, or the sheet’s corners."
                )
                : Phrase.Say(
                    $"{unproven:0.#} dots an inch stands in the file and is not proven. Measure one thing on it by rule before you "
                        + $"trust the size."
                );
        }
        else if (stated is null)
        {
            yield return Phrase.Say(
                $"The file states no resolution; the size rests on the {typed:0.#} you typed. Measure one thing on it by rule."
            );
        }
    }

    /// <summary>Dots an inch as typed; null when it is no number.</summary>
    public static double? Read(string typed) =>
        double.TryParse(typed.Trim().Replace(',', '.'), NumberStyles.Float, CultureInfo.InvariantCulture, out var dots) ? dots : null;
}
