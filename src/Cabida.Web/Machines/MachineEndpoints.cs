using Cabida.Devices.Cutting;
using Cabida.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Machines;

internal static class MachineEndpoints
{
    public static void MapMachines(this RouteGroupBuilder api)
    {
        var all = api.MapGroup("/machines").WithTags("Machines");
        all.MapGet("/", (ConnectedMachines machines) => machines.All.Select(m => new MachineName(m.Id, m.Name)).ToList())
            .WithName("GetMachines");

        all.MapGet(
                "/{id}",
                async Task<Results<Ok<MachineView>, NotFound>> (
                    string id,
                    ConnectedMachines machines,
                    CutWatch watch,
                    CancellationToken stop
                ) => machines.Find(id) is { } machine ? TypedResults.Ok(await watch.Look(machine, stop)) : TypedResults.NotFound()
            )
            .WithName("GetMachine");

        all.MapPost(
                "/{id}/cuts",
                async Task<Results<Ok<MachineView>, NotFound, ProblemHttpResult>> (
                    string id,
                    CutWanted wanted,
                    ConnectedMachines machines,
                    Cabida.Store.Library library,
                    SentLoads loads,
                    CutWatch watch,
                    CancellationToken stop
                ) =>
                {
                    if (machines.Find(id) is not { } machine || await library.Find(DocumentKinds.Load, wanted.Load, stop) is not { } load)
                    {
                        return TypedResults.NotFound();
                    }

                    var (job, problem) = await loads.Of(load, wanted, stop);
                    return job is null ? NotDone(problem!) : await Asked(machine, watch, () => machine.Send(job, stop));
                }
            )
            .WithName("SendToMachine");

        all.MapPost(
                "/{id}/orders",
                async Task<Results<Ok<MachineView>, NotFound, ProblemHttpResult>> (
                    string id,
                    OrderWanted wanted,
                    ConnectedMachines machines,
                    CutWatch watch,
                    CancellationToken stop
                ) =>
                {
                    var (until, problem) = SentLoads.UntilOf(wanted.Until);
                    return machines.Find(id) is not { } machine ? TypedResults.NotFound()
                        : problem is not null ? NotDone(problem)
                        : await Asked(machine, watch, () => machine.Tell(new CutterOrder(wanted.Command, wanted.JobId, until), stop));
                }
            )
            .WithName("TellMachine");

        all.MapGet(
                "/{id}/sheets/{jobId}",
                async Task<Results<Ok<CutSheet>, NotFound, ProblemHttpResult>> (
                    string id,
                    string jobId,
                    ConnectedMachines machines,
                    CancellationToken stop
                ) =>
                {
                    if (machines.Find(id) is not { } machine)
                    {
                        return TypedResults.NotFound();
                    }

                    try
                    {
                        return TypedResults.Ok(await machine.Sheet(jobId, stop));
                    }
                    catch (CutterRefusedException)
                    {
                        return TypedResults.NotFound();
                    }
                    catch (CutterAwayException e)
                    {
                        return IsAway(e);
                    }
                }
            )
            .WithName("GetCutSheet");
    }

    private static async Task<Results<Ok<MachineView>, NotFound, ProblemHttpResult>> Asked(
        ICutter machine,
        CutWatch watch,
        Func<Task<CutterAnswer>> ask
    )
    {
        try
        {
            return TypedResults.Ok(watch.Heard(machine, await ask()));
        }
        catch (CutterRefusedException e)
        {
            return NotDone(e.Message, e.WantsTest);
        }
        catch (CutterAwayException e)
        {
            watch.Away(machine, e.Message);
            return IsAway(e);
        }
    }

    /// <summary>What was refused; where a test cut would help, something comes first (RFC 6585).</summary>
    private static ProblemHttpResult NotDone(string why, bool wantsTest = false) =>
        TypedResults.Problem(
            why,
            statusCode: wantsTest ? StatusCodes.Status428PreconditionRequired : StatusCodes.Status409Conflict,
            title: "The cutter did not do it"
        );

    private static ProblemHttpResult IsAway(CutterAwayException e) =>
        TypedResults.Problem(
            e.Message + " The load stays released, and nothing was noted as cut.",
            statusCode: StatusCodes.Status503ServiceUnavailable,
            title: "The cutter is not there"
        );
}
