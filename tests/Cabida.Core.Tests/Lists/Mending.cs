using Cabida.Core.Findings;
using Cabida.Core.Runs;

namespace Cabida.Core.Tests.Lists;

/// <summary>A list with remedies of its findings made.</summary>
internal static class Mending
{
    public static string Mended(this string typed, params Remedy[] remedies) =>
        remedies
            .Select(r => (Change<Run>)r.Change!)
            .OrderByDescending(c => c.Order)
            .Aggregate(new Run(null!, new RunList(typed, []), RunVerdicts.None), (run, c) => c.Of(run))
            .List.NamesTyped;
}
