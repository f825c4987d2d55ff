using System.Text.Json;
using Cabida.Core.Findings;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Safekeeping;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Serving;

/// <summary>Answers for requests that cannot be read or worked out: what is wrong, and with which field.</summary>
internal sealed class RequestFaults(LibraryState state) : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        var answer = exception switch
        {
            NotWorkableException fault => Gate.CannotBeWorkedOut(fault.Reason),
            BadHttpRequestException { InnerException: JsonException json } => Gate.Refused([
                Finding.Unusable(FieldOf(json), Phrase.Say($"This is nothing that belongs here.")),
            ]),
            // A part that does not say which kind of part it is.
            NotSupportedException { Source: "System.Text.Json" } kind => Gate.Refused([
                Finding.Unusable(PathIn(kind.Message), Phrase.Say($"It does not say what kind of thing it is.")),
            ]),
            _ when StorageFault.IsDiskFull(exception) => TypedResults.Problem(
                "There is no room left on the disk, so nothing of this was kept. Make some room and do it again.",
                statusCode: StatusCodes.Status507InsufficientStorage,
                title: "The disk is full"
            ),
            BadHttpRequestException bad => TypedResults.Problem(bad.Message, statusCode: bad.StatusCode, title: "Cannot be read"),
            _ when StorageFault.Of(exception) is { } fault => NotToBeHad(fault),
            _ => null,
        };
        if (answer is null)
        {
            return false;
        }

        await answer.ExecuteAsync(httpContext);
        return true;
    }

    /// <summary>
    /// The library cannot be read or written. One that is damaged is not gone on with: what is written into it may be lost.
    /// </summary>
    private ProblemHttpResult NotToBeHad(LibraryFault fault)
    {
        var held = Held.Of(fault);
        if (held.By == HeldBy.Damaged)
        {
            state.Hold(held);
        }

        return TypedResults.Problem(
            $"{held.Why} {held.Advice}",
            statusCode: StatusCodes.Status503ServiceUnavailable,
            title: held.Title,
            extensions: new Dictionary<string, object?> { ["held"] = held.By == HeldBy.Damaged }
        );
    }

    /// <summary>The path that the reader names at the end of its message.</summary>
    private static string PathIn(string message) => message.Split("Path: $") is [_, var rest, ..] ? rest.TrimStart('.').Split(' ')[0] : "";

    private static string FieldOf(JsonException fault) => fault.Path?.TrimStart('$').TrimStart('.') ?? "";
}
