using System.Text.Json;
using Cabida.Core.Findings;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>Findings of a blank's readings; their fields are the dimensions they are about.</summary>
public static class BlankFindings
{
    /// <summary>The dimensions that a finding is about.</summary>
    public static IEnumerable<DimensionKind> DimensionsOf(Finding finding)
    {
        ArgumentNullException.ThrowIfNull(finding);
        return finding.Fields.Select(f => Enum.Parse<DimensionKind>(f, ignoreCase: true));
    }

    /// <summary>Readings from which nothing can be worked out.</summary>
    internal static Finding Cannot(IReadOnlyList<DimensionKind> about, Phrase message) => Of(Rule.Readings, Severity.Stop, about, message);

    /// <summary>Something that was worked out, and wants looking at.</summary>
    internal static Finding LookAt(IReadOnlyList<DimensionKind> about, Phrase message) => Of(Rule.Readings, Severity.Look, about, message);

    /// <summary>A reading that is asked for.</summary>
    internal static Finding Ask(DimensionKind kind, Phrase message) => Of(Rule.Unread, Severity.Stop, [kind], message);

    /// <summary>A finding of readings.</summary>
    internal static Finding Of(Rule rule, Severity severity, IReadOnlyList<DimensionKind> about, Phrase message) =>
        new(rule, severity, message) { Fields = [.. about.Select(d => JsonNamingPolicy.CamelCase.ConvertName(d.ToString()))] };
}
