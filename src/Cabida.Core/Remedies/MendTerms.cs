using Cabida.Core.Checking;

namespace Cabida.Core.Remedies;

/// <summary>What remedies are worked out with.</summary>
/// <param name="EqualScale">The scale of what is equal across the set; null where nothing is.</param>
/// <param name="Facts">Where facts of ink are kept.</param>
/// <param name="Weeding">How long weeding takes.</param>
public sealed record MendTerms(double? EqualScale, InkFactsCache Facts, WeedingEstimate Weeding);
