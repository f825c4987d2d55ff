using Cabida.Core.Geometry;
using Cabida.Core.Waste;

namespace Cabida.Web.Plans;

/// <summary>Keeps weed boxes that pieces of a load share, with their breaks, by all that they follow from. Bounded in bytes.</summary>
internal sealed class SharedBoxes
{
    private const long Budget = 24L << 20;
    private readonly Kept<string, IReadOnlyList<WastePlan>> kept = new(Budget, all => 400 + all.Sum(p => p.Bytes));

    /// <summary>The boxes, made if they are not there.</summary>
    public IReadOnlyList<WastePlan> Of(string key, Func<IReadOnlyList<WastePlan>> make) => kept.Get(key, make);
}
