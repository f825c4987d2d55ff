using Cabida.Core.Findings;

namespace Cabida.Core.Remedies;

/// <summary>A way to mend a finding (K8; calculations 6.2).</summary>
internal interface IMending
{
    /// <summary>
    /// What it would be here, worked out: for this piece and for the motif; or refused, and why. Nothing where it is not for such a
    /// finding.
    /// </summary>
    IEnumerable<Remedy> Of(MendCase @case);
}
