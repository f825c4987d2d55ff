using System.Globalization;
using System.Text.RegularExpressions;
using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>Money and shares as a maker types them.</summary>
public static partial class TypedAmount
{
    /// <summary>The most letters of an amount.</summary>
    public const int MostLetters = 20;

    private const decimal Most = 1_000_000;

    /// <summary>Reads <c>12</c>, <c>12.50</c>, <c>12,50</c>, with or without a sign of currency. Nothing typed is null.</summary>
    public static Outcome<decimal?> Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (string.IsNullOrWhiteSpace(text))
        {
            return Outcome<decimal?>.Of(null);
        }

        var match = Form().Match(text.Trim());
        return
            match.Success
            && decimal.TryParse(
                match.Groups["number"].Value.Replace(',', '.'),
                NumberStyles.AllowDecimalPoint,
                CultureInfo.InvariantCulture,
                out var amount
            )
            && amount <= Most
            ? Outcome<decimal?>.Of(amount)
            : Outcome<decimal?>.Fail(Phrase.Say($"“{text.Trim()}” cannot be read as an amount. Type it like 12 or 12.50."));
    }

    /// <summary>Reads a share in hundredths: <c>15</c>, <c>15 %</c>, <c>7.5</c>. Nothing typed is null.</summary>
    public static Outcome<decimal?> Share(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var read = Read(text.Replace("%", "", StringComparison.Ordinal));
        return read is { Ok: true, Value: > 1000 }
                ? Outcome<decimal?>.Fail(Phrase.Say($"{text.Trim():strong} per cent is more than ten times as much."))
            : read.Ok ? Outcome<decimal?>.Of(read.Value / 100)
            : Outcome<decimal?>.Fail(Phrase.Say($"“{text.Trim()}” cannot be read as per cent. Type it like 15."));
    }

    [GeneratedRegex(@"^[^\d\s.,\-−]{0,4}\s*(?<number>[0-9]{1,7}(?:[.,][0-9]{1,4})?)\s*[^\d\s.,\-−]{0,4}$")]
    private static partial Regex Form();
}
