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
    /// <summary>Nobody types a length in more letters.</summary>
    public const int MostLetters = 200;

    /// <summary>Nothing typed.</summary>
    public static TypedLength Empty { get; } = new("");

    /// <summary>Whether nothing was typed.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsEmpty => string.IsNullOrWhiteSpace(Text);

    /// <summary>What it means, or why it cannot be read; sizes outside <paramref name="range"/> are refused.</summary>
    public Outcome<ReadLength> Read(LengthRange range) => LengthText.Read(Text, Unit, range);

    /// <summary>The length meant; zero when nothing readable was typed.</summary>
    public Length OrZero(LengthRange range) => Read(range).ValueOrDefault?.Value ?? Length.Zero;

    /// <summary>A typed length in millimetres, for defaults and tests.</summary>
    public static TypedLength Mm(double millimetres) =>
        new(millimetres.ToString("0.###", System.Globalization.CultureInfo.InvariantCulture), LengthUnit.Millimetre);
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

    /// <summary>Margins and gaps: nothing to 1 m.</summary>
    public static LengthRange Margin { get; } = new(Length.Zero, Length.Mm(1000));

    /// <summary>Moves to either side: 2 m one way to 2 m the other.</summary>
    public static LengthRange Offset { get; } = new(Length.Mm(-2000), Length.Mm(2000));

    /// <summary>Lettering and rules: 0.1 mm to 2 m.</summary>
    public static LengthRange Artwork { get; } = new(Length.Mm(0.1), Length.Mm(2000));
}
