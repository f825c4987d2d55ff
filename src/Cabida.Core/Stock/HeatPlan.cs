using System.ComponentModel.DataAnnotations;
using System.Globalization;
using System.Text.Json.Serialization;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Stock;

/// <summary>How hard a film is pressed.</summary>
public enum PressPressure
{
    /// <summary>Medium.</summary>
    Medium,

    /// <summary>Light.</summary>
    Light,

    /// <summary>Firm.</summary>
    Firm,
}

/// <summary>When the carrier of a film is pulled off.</summary>
public enum Peel
{
    /// <summary>As soon as it can be touched.</summary>
    Warm,

    /// <summary>At once.</summary>
    Hot,

    /// <summary>Once it is cold.</summary>
    Cold,
}

/// <summary>What a film needs of a press and bears of it, as typed from its data sheet (calculations 6.13).</summary>
/// <param name="From">The least heat at which it sets; empty for that of <paramref name="To"/>.</param>
/// <param name="To">The most at which it sets; empty for that of <paramref name="From"/>.</param>
/// <param name="Seconds">For how long at least, in whole seconds.</param>
public sealed record HeatPlan(
    [property: MaxLength(HeatPlan.MostLetters)] string From,
    [property: MaxLength(HeatPlan.MostLetters)] string To,
    [property: MaxLength(HeatPlan.MostLetters)] string Seconds
)
{
    /// <summary>The most letters of one of its figures.</summary>
    public const int MostLetters = 20;

    /// <summary>The longest that anything is pressed; seconds.</summary>
    public const int MostSeconds = 600;

    /// <summary>A film bears this many times its own seconds where nothing else is noted: the product's own default.</summary>
    public const int UsuallyBears = 2;

    /// <summary>Nothing was noted: it is not pressed, or it is not known how.</summary>
    public static HeatPlan None { get; } = new("", "", "");

    /// <summary>The seconds that hold it for the next layer; empty for all that it needs.</summary>
    [MaxLength(MostLetters)]
    public string Tack { get; init; } = "";

    /// <summary>The most seconds that it bears in all; empty for the usual.</summary>
    [MaxLength(MostLetters)]
    public string Bears { get; init; } = "";

    /// <summary>The most heat that it bears; empty for the most at which it sets.</summary>
    [MaxLength(MostLetters)]
    public string BearsHeat { get; init; } = "";

    /// <summary>The seconds of a second press once it is peeled; empty for none.</summary>
    [MaxLength(MostLetters)]
    public string Second { get; init; } = "";

    /// <summary>How hard it is pressed.</summary>
    public PressPressure Pressure { get; init; }

    /// <summary>When it is peeled.</summary>
    public Peel Peel { get; init; }

    /// <summary>Whether neither heat nor seconds were noted.</summary>
    [JsonIgnore]
    public bool IsNone => new[] { From, To, Seconds }.All(string.IsNullOrWhiteSpace);

    /// <summary>The heat at which it sets; null where none can be read.</summary>
    [JsonIgnore]
    public (double From, double To)? Window =>
        (Celsius(From) ?? Celsius(To), Celsius(To) ?? Celsius(From)) is ({ } from, { } to)
            ? (Math.Min(from, to), Math.Max(from, to))
            : null;

    /// <summary>It in figures; null where heat or seconds are not noted, or something in it cannot be used.</summary>
    public HeatNeeds? Read()
    {
        if (Window is not { } window || Whole(Seconds).ValueOrDefault is not { } seconds || Problems().Any())
        {
            return null;
        }

        return new HeatNeeds(
            window.From,
            window.To,
            seconds,
            Whole(Tack).ValueOrDefault ?? seconds,
            Whole(Bears).ValueOrDefault ?? UsuallyBears * seconds,
            Celsius(BearsHeat) ?? window.To,
            Whole(Second).ValueOrDefault ?? 0
        );
    }

    /// <summary>What cannot be used in it, each with its field.</summary>
    public IEnumerable<(string Field, Phrase Problem)> Problems()
    {
        var heats = new[] { ("from", From), ("to", To), ("bearsHeat", BearsHeat) };
        foreach (var (field, typed) in heats)
        {
            if (Temperature.Read(typed).Problem is { } wrong)
            {
                yield return (field, wrong);
            }
        }

        var times = new[] { ("seconds", Seconds), ("tack", Tack), ("bears", Bears), ("second", Second) };
        foreach (var (field, typed) in times)
        {
            if (Whole(typed).Problem is { } wrong)
            {
                yield return (field, wrong);
            }
        }

        if (Celsius(From) is { } from && Celsius(To) is { } to && from > to)
        {
            yield return ("to", Phrase.Say($"It sets from {from:0.#} °C; the most cannot be {to:0.#} °C."));
        }

        if (Window is { } window && Celsius(BearsHeat) is { } bears && bears < window.From)
        {
            yield return ("bearsHeat", Phrase.Say($"It sets from {window.From:0.#} °C; it has to bear at least that."));
        }

        if (Whole(Seconds).ValueOrDefault is { } needed)
        {
            if (Whole(Tack).ValueOrDefault is { } tack && tack > needed)
            {
                yield return ("tack", Phrase.Say($"What holds it for the next layer cannot take longer than all of it, {needed} s."));
            }

            if (Whole(Bears).ValueOrDefault is { } most && most < needed + (Whole(Second).ValueOrDefault ?? 0))
            {
                yield return (
                    "bears",
                    Phrase.Say($"It needs {needed + (Whole(Second).ValueOrDefault ?? 0)} s; it has to bear at least that.")
                );
            }
        }
    }

    private static double? Celsius(string typed) => Temperature.Read(typed).ValueOrDefault?.Celsius;

    /// <summary>Whole seconds as typed, with or without their unit; nothing typed is null.</summary>
    public static Outcome<int?> Whole(string typed)
    {
        ArgumentNullException.ThrowIfNull(typed);
        var text = typed.Trim();
        foreach (var unit in (string[])["seconds", "sec", "s"])
        {
            if (text.EndsWith(unit, StringComparison.OrdinalIgnoreCase))
            {
                text = text[..^unit.Length].TrimEnd();
                break;
            }
        }

        return typed.Trim().Length == 0 ? Outcome<int?>.Of(null)
            : int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var n) && n is >= 1 and <= MostSeconds
                ? Outcome<int?>.Of(n)
            : Outcome<int?>.Fail(Phrase.Say($"“{typed.Trim()}” is not a time to press: type whole seconds, 1 to {MostSeconds}."));
    }
}

/// <summary>What a film needs of a press and bears of it, in figures.</summary>
/// <param name="From">The least heat at which it sets; degrees Celsius.</param>
/// <param name="To">The most.</param>
/// <param name="Seconds">For how long at least, at a heat between the two.</param>
/// <param name="Tack">The seconds that hold it for the next layer.</param>
/// <param name="Most">The most seconds that it bears, at whatever heat.</param>
/// <param name="MostHeat">The most heat that it bears; degrees Celsius.</param>
/// <param name="Second">The seconds of a second press once it is peeled; zero for none.</param>
public sealed record HeatNeeds(double From, double To, int Seconds, int Tack, int Most, double MostHeat, int Second)
{
    /// <summary>Whether it sets at a heat.</summary>
    public bool SetsAt(double celsius) => celsius >= From && celsius <= To;
}
