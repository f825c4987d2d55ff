using Cabida.Core.Geometry;
using Cabida.Core.Wording;

namespace Cabida.Core.Findings;

/// <summary>Something that was noticed on a piece.</summary>
/// <param name="Rule">What was looked for.</param>
/// <param name="Severity">How serious it is.</param>
/// <param name="Place">Where, in the zone's coordinates; null when it has no one place.</param>
/// <param name="Figure">What was found, in millimetres, when it is a length.</param>
/// <param name="Limit">What is allowed, in millimetres, when it is a length.</param>
/// <param name="Message">It in words.</param>
public sealed record Finding(Rule Rule, Severity Severity, PlanePoint? Place, double? Figure, double? Limit, Phrase Message)
{
    /// <summary>On which side of the piece; the first has no id.</summary>
    public string Side { get; init; } = "";
}
