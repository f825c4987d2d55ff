using Cabida.Core.Runs;
using Cabida.Store;
using Cabida.Web.Library;

namespace Cabida.Web.Runs;

internal static class RunEndpoints
{
    public static void MapRuns(this RouteGroupBuilder api) =>
        api.MapGroup("/runs").WithTags("Runs").MapLibrary<Run, RunView, RunDraft>(DocumentKinds.Run, (sent, stored) => sent.Onto(stored));
}
