using System.ComponentModel.DataAnnotations;
using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>
/// A length as the maker typed it, with the unit that was in force then, so that switching the display later
/// never changes what was meant. What cannot be read is kept too: nothing typed is lost.
/// </summary>
/// <param name="Text">What was typed, to the letter.</param>
/// <param name="Unit">The unit a bare number takes.</param>
public sealed record TypedLength([property: MaxLength(TypedLength.MostLetters)] string Text, LengthUnit Unit = LengthUnit.Millimetre)
{
    /// <summary>As it was last read: a document asks for the same range each time.</summary>
    private Reading? known;

    private TypedLength(TypedLength other) => (Text, Unit) = (other.Text, other.Unit);

    /// <summary>Nobody types a length in more letters.</summary>
    public const int MostLetters = 200;

    /// <summary>Nothing typed.</summary>
    public static TypedLength Empty { get; } = new("");

    /// <summary>Whether nothing was typed.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsEmpty => string.IsNullOrWhiteSpace(Text);

    /// <summary>What it means, or why it cannot be read; sizes outside <paramref name="range"/> are refused.</summary>
    /// <remarks>Read once: whoever composes the same motif for a thousand names asks as often.</remarks>
    public Outcome<ReadLength> Read(LengthRange range)
    {
        if (known is not { } reading || !ReferenceEquals(reading.Range, range))
        {
            known = reading = new Reading(range, LengthText.Read(Text, Unit, range));
        }

        return reading.Outcome;
    }

    /// <summary>Whether the same was typed.</summary>
    public bool Equals(TypedLength? other) => other is not null && Text == other.Text && Unit == other.Unit;

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Text, Unit);

    /// <summary>The length meant; zero when nothing readable was typed.</summary>
    public Length OrZero(LengthRange range) => Read(range).ValueOrDefault?.Value ?? Length.Zero;

    /// <summary>A typed length in millimetres, for defaults and tests.</summary>
    public static TypedLength Mm(double millimetres) =>
        new(millimetres.ToString("0.###", System.Globalization.CultureInfo.InvariantCulture), LengthUnit.Millimetre);

    private sealed record Reading(LengthRange Range, Outcome<ReadLength> Outcome);
}

/// <summary>What a typed length was understood as.</summary>
/// <param name="Value">The length.</param>
/// <param name="Unit">The unit it was read in.</param>
/// <param name="Graduation">The step of the scale it was read from: an eighth for <c>8 5/8</c>, a millimetre for <c>219 mm</c>.</param>
public sealed record ReadLength(Length Value, LengthUnit Unit, Length Graduation);

/// <summary>Which sizes make sense for a length.</summary>
/// <param name="Least">The smallest that is accepted.</param>
/// <param name="Most">The largest that is accepted.</param>
public sealed record LengthRange(Length Least, Length Most)
{
    /// <summary>Sizes of real goods: 1 mm to 5 m.</summary>
    public static LengthRange Object { get; } = new(Length.Mm(1), Length.Mm(5000));

    /// <summary>Distances between places on real goods: nothing to 5 m.</summary>
    public static LengthRange Distance { get; } = Object with { Least = Length.Zero };

    /// <summary>How far off a machine or a hand may be.</summary>
    public static LengthRange Uncertainty { get; } = new(Length.Zero, Length.Mm(20));

    /// <summary>How thick films and carriers are.</summary>
    public static LengthRange Thickness { get; } = new(Length.Mm(0.01), Length.Mm(50));

    /// <summary>Margins and gaps: nothing to 1 m.</summary>
    public static LengthRange Margin { get; } = new(Length.Zero, Length.Mm(1000));

    /// <summary>Moves to either side: 2 m one way to 2 m the other.</summary>
    public static LengthRange Offset { get; } = new(Length.Mm(-2000), Length.Mm(2000));

    /// <summary>Lettering and rules: 0.1 mm to 2 m.</summary>
    public static LengthRange Artwork { get; } = new(Length.Mm(0.1), Length.Mm(2000));

    /// <summary>What a film bears at least, and ties: 0.05 mm to 50 mm.</summary>
    public static LengthRange FilmLimit { get; } = new(Length.Mm(0.05), Length.Mm(50));
}
