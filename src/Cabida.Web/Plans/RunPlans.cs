using Cabida.Core.Pieces;
using Cabida.Core.Stock;

namespace Cabida.Web.Plans;

/// <summary>The plans of a run, one for each film that it is cut of.</summary>
internal static class RunPlans
{
    public static IReadOnlyList<RunPlan> Of(ReadRun run)
    {
        var ids = run.Run.SetUp.NamedFilms().ToList();
        Film? FilmOf(string id) => id == run.Run.SetUp.Film?.Id ? run.Film : run.Basis?.Films.GetValueOrDefault(id);
        return
        [
            .. ids.Select(id => (Id: id, Film: FilmOf(id)))
                .Where(f => f.Film is not null)
                .Select(f => new RunPlan(LoadIds.PlanOf(run.Id, f.Id), f.Id, f.Film!.Name, f.Film.Colour)),
        ];
    }
}
