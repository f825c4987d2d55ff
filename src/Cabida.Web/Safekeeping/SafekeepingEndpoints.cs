using Cabida.Core.Findings;
using Cabida.Store;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Safekeeping;

internal static class SafekeepingEndpoints
{
    public static void MapSafekeeping(this RouteGroupBuilder api)
    {
        var safe = api.MapGroup("/safekeeping").WithTags("Safekeeping");
        safe.MapGet("", Ok<SafekeepingView> (SafekeepingReader reader) => TypedResults.Ok(reader.Read())).WithName("GetSafekeeping");

        safe.MapPost(
                "/copies",
                async Task<Results<Ok<SafekeepingView>, ProblemHttpResult>> (
                    LibraryState state,
                    Copying copying,
                    SafekeepingReader reader,
                    CancellationToken stop
                ) =>
                {
                    if (!state.IsOpen)
                    {
                        return NotNow("There is no open library to copy.");
                    }

                    await copying.Make(CopyOccasion.Asked, stop);
                    return TypedResults.Ok(reader.Read());
                }
            )
            .WithName("MakeCopy");

        safe.MapPut(
                "/second",
                async Task<Results<Ok<SafekeepingView>, ProblemHttpResult>> (
                    SecondFolder chosen,
                    DataFolder folder,
                    LibraryState state,
                    MachineFile machine,
                    Copying copying,
                    SafekeepingReader reader,
                    CancellationToken stop
                ) =>
                {
                    var path = chosen.Folder.Trim();
                    if (path.Length > 0 && SecondFolders.ProblemOf(path, folder) is { } problem)
                    {
                        return Gate.Refused([Finding.Unusable("folder", problem)]);
                    }

                    machine.Change(m => m with { SecondFolder = path });
                    if (state.IsOpen)
                    {
                        await copying.MakeIfChanged(CopyOccasion.Asked, stop);
                    }

                    return TypedResults.Ok(reader.Read());
                }
            )
            .WithName("ChooseSecondFolder");

        safe.MapPost(
                "/copies/{name}/check",
                async Task<Results<Ok<CopyChecked>, NotFound>> (string name, Copying copying, CancellationToken stop) =>
                {
                    if (copying.PathOf(name) is not { } path)
                    {
                        return TypedResults.NotFound();
                    }

                    var fault = await Task.Run(() => LibraryCheck.OfCopy(path, stop), stop);
                    return TypedResults.Ok(
                        fault is null
                            ? new CopyChecked(true, "Read through: whole.")
                            : new CopyChecked(false, $"{Held.Of(fault).Title}: {fault.Detail}".TrimEnd(':', ' '))
                    );
                }
            )
            .WithName("CheckCopy");

        safe.MapPost(
                "/copies/{name}/bring-back",
                async Task<Results<Accepted, NotFound, ProblemHttpResult>> (
                    string name,
                    DataFolder folder,
                    LibraryState state,
                    Copying copying,
                    Restarting restarting,
                    TimeProvider clock,
                    CancellationToken stop
                ) =>
                {
                    if (copying.PathOf(name) is not { } path)
                    {
                        return TypedResults.NotFound();
                    }

                    if (await Task.Run(() => LibraryCheck.OfCopy(path, stop), stop) is { } fault)
                    {
                        return NotNow($"This copy cannot be brought back. {Held.Of(fault).Title}: {fault.Detail}");
                    }

                    // What is done since is in a copy of its own; one that cannot be opened is set aside as it is.
                    if (state.IsOpen)
                    {
                        await copying.MakeIfChanged(CopyOccasion.Restore, stop);
                    }

                    await Task.Run(
                        () => new LibraryRestore(folder.Path).Begin(path, clock.GetUtcNow().UtcDateTime),
                        CancellationToken.None
                    );
                    restarting.Ask();
                    return TypedResults.Accepted((string?)null);
                }
            )
            .WithName("BringBackCopy");

        safe.MapPost("/open", async Task<Ok<SafekeepingView>> (LibraryOpening opening, SafekeepingReader reader, CancellationToken stop) =>
            {
                await opening.Open(stop: stop);
                return TypedResults.Ok(reader.Read());
            })
            .WithName("OpenLibrary");

        safe.MapPost(
                "/begin",
                async Task<Results<Ok<SafekeepingView>, ProblemHttpResult>> (
                    LibraryState state,
                    LibraryOpening opening,
                    SafekeepingReader reader,
                    CancellationToken stop
                ) =>
                {
                    if (state.Held?.By != HeldBy.Missing)
                    {
                        return NotNow("There is a library here. An empty one is begun only where there is none.");
                    }

                    await opening.Open(beginsEmpty: true, stop);
                    return TypedResults.Ok(reader.Read());
                }
            )
            .WithName("BeginLibrary");
    }

    private static ProblemHttpResult NotNow(string why) =>
        TypedResults.Problem(why, statusCode: StatusCodes.Status409Conflict, title: "Not now");
}
