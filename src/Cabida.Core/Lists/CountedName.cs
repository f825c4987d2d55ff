using System.Globalization;
using System.Text.RegularExpressions;

namespace Cabida.Core.Lists;

/// <summary>
/// A name with how many are wanted of it, as orders are written: <c>2 x Bram</c>, <c>Bram x2</c>, <c>Bram (3)</c>, <c>Ada;3</c>.
/// </summary>
/// <param name="Name">The name by itself.</param>
/// <param name="Count">How many; 0 for none.</param>
internal readonly partial record struct CountedName(string Name, int Count)
{
    /// <summary>Reads a cell; null where it says no number of pieces.</summary>
    public static CountedName? Of(string cell)
    {
        foreach (var form in new[] { Before(), After() })
        {
            if (
                form.Match(cell) is { Success: true } match
                && match.Groups["name"].Value.Trim() is { Length: > 0 } name
                && name.Any(char.IsLetter)
            )
            {
                return new CountedName(name, int.Parse(match.Groups["count"].Value, NumberStyles.None, CultureInfo.InvariantCulture));
            }
        }

        return null;
    }

    [GeneratedRegex(@"^(?<count>[0-9]{1,3})\s*(?:[xX]\s+|[×*]\s*)(?<name>\S.*)$")]
    private static partial Regex Before();

    [GeneratedRegex(
        @"^(?<name>.*\S)(?:\s+[xX]\s*|\s*[×*]\s*|\s*[;,:|=]\s*|\s*\((?:[xX×]\s*)?)(?<count>[0-9]{1,3})\s*(?:[xX×]|\)|pcs\.?|stk\.?|szt\.?|ks)?$"
    )]
    private static partial Regex After();
}
