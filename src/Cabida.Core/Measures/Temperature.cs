using System.Globalization;
using System.Text.RegularExpressions;
using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>A temperature. Stored in degrees Celsius.</summary>
/// <param name="Celsius">Degrees Celsius.</param>
public readonly partial record struct Temperature(double Celsius)
{
    private const double Most = 400;

    /// <summary>Reads <c>160</c>, <c>160 °C</c> or <c>320 F</c>; a bare number is in Celsius. Nothing typed is null.</summary>
    public static Outcome<Temperature?> Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (string.IsNullOrWhiteSpace(text))
        {
            return Outcome<Temperature?>.Of(null);
        }

        var match = Form().Match(text.Trim());
        if (!match.Success)
        {
            return Outcome<Temperature?>.Fail(Phrase.Say($"“{text.Trim()}” cannot be read as a temperature. Type it like 160 or 320 F."));
        }

        var number = double.Parse(match.Groups["number"].Value.Replace(',', '.'), CultureInfo.InvariantCulture);
        var celsius = match.Groups["unit"].Value is "f" or "F" ? (number - 32) / 1.8 : number;
        return celsius is > 0 and <= Most
            ? Outcome<Temperature?>.Of(new Temperature(celsius))
            : Outcome<Temperature?>.Fail(
                Phrase.Say($"{celsius:0} °C is not a heat that goods are pressed at; it must lie between 0 and {Most:0}.")
            );
    }

    [GeneratedRegex(@"^(?<number>[0-9]{1,3}(?:[.,][0-9])?)\s*°?\s*(?<unit>[cCfF])?$")]
    private static partial Regex Form();
}
