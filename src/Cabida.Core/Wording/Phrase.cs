using System.Globalization;
using System.Runtime.CompilerServices;
using Cabida.Core.Measures;

namespace Cabida.Core.Wording;

/// <summary>One stretch of a <see cref="Phrase"/>: words, or a length that is shown in whichever unit its reader prefers.</summary>
/// <param name="Text">The words; empty when the stretch is a length.</param>
/// <param name="Millimetres">The length in millimetres, or null when the stretch is words.</param>
/// <param name="Strong">Whether the stretch is the figure or name the sentence is about.</param>
/// <param name="Fine">Whether the length is small enough to matter to a hundredth of a millimetre.</param>
public sealed record PhrasePart(string Text, double? Millimetres = null, bool Strong = false, bool Fine = false);

/// <summary>
/// A sentence for the maker. Its lengths stay lengths, so that one computed message can be read in millimetres
/// or in inches. Write one with <see cref="Say"/>: <c>Phrase.Say($"{name:strong} is {over} wider than the zone.")</c>.
/// </summary>
/// <param name="Parts">The stretches in reading order.</param>
public sealed record Phrase(IReadOnlyList<PhrasePart> Parts)
{
    /// <summary>A phrase without words.</summary>
    public static Phrase Empty { get; } = new([]);

    /// <summary>
    /// Builds a phrase from an interpolated string; <see cref="Length"/> holes stay lengths the format <c>strong</c> marks emphasis,
    /// <c>fine</c> hundredths.
    /// </summary>
    public static Phrase Say(PhraseWriter written)
    {
        ArgumentNullException.ThrowIfNull(written);
        return new Phrase(written.Parts);
    }

    /// <summary>The sentence with its lengths in millimetres to one decimal; for logs, tests and plain files.</summary>
    public override string ToString() =>
        string.Concat(
            Parts.Select(p => p.Millimetres is { } mm ? mm.ToString(p.Fine ? "0.00" : "0.0", CultureInfo.InvariantCulture) + " mm" : p.Text)
        );

    /// <summary>This phrase followed by a space and another.</summary>
    public Phrase Then(Phrase next)
    {
        ArgumentNullException.ThrowIfNull(next);
        return Parts.Count == 0 ? next : new Phrase([.. Parts, new PhrasePart(" "), .. next.Parts]);
    }
}

/// <summary>Collects the stretches of an interpolated string for <see cref="Phrase.Say"/>.</summary>
[InterpolatedStringHandler]
public sealed class PhraseWriter
{
    private readonly List<PhrasePart> parts = [];

    /// <summary>Called by the compiler at the start of an interpolated string.</summary>
    public PhraseWriter(int literalLength, int formattedCount)
    {
        _ = literalLength;
        parts.Capacity = (2 * formattedCount) + 1;
    }

    internal IReadOnlyList<PhrasePart> Parts => parts;

    /// <summary>Adds words.</summary>
    public void AppendLiteral(string text) => parts.Add(new PhrasePart(text));

    /// <summary>Adds a length, kept as a length.</summary>
    public void AppendFormatted(Length length, string? format = null) =>
        parts.Add(
            new PhrasePart(
                "",
                length.Millimetres,
                format?.Contains("strong", StringComparison.Ordinal) == true,
                format?.Contains("fine", StringComparison.Ordinal) == true
            )
        );

    /// <summary>Adds the stretches of another phrase.</summary>
    public void AppendFormatted(Phrase phrase) => parts.AddRange(phrase.Parts);

    /// <summary>Adds a word or name.</summary>
    public void AppendFormatted(string? text, string? format = null) => parts.Add(new PhrasePart(text ?? "", null, format == "strong"));

    /// <summary>Adds a number or other value, in the invariant culture.</summary>
    public void AppendFormatted<T>(T value, string? format = null)
    {
        var strong = format == "strong";
        var text = value is IFormattable f ? f.ToString(strong ? null : format, CultureInfo.InvariantCulture) : value?.ToString();
        parts.Add(new PhrasePart(text ?? "", null, strong));
    }
}
