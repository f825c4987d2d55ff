using System.Text.Json;
using Cabida.Core.Findings;
using Cabida.Core.Wording;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.Data.Sqlite;

namespace Cabida.Web.Serving;

/// <summary>Answers for requests that cannot be read or worked out: what is wrong, and with which field.</summary>
internal sealed class RequestFaults : IExceptionHandler
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
            _ when IsDiskFull(exception) => TypedResults.Problem(
                "There is no room left on the disk, so nothing of this was kept. Make some room and do it again.",
                statusCode: StatusCodes.Status507InsufficientStorage,
                title: "The disk is full"
            ),
            BadHttpRequestException bad => TypedResults.Problem(bad.Message, statusCode: bad.StatusCode, title: "Cannot be read"),
            _ => null,
        };
        if (answer is null)
        {
            return false;
        }

        await answer.ExecuteAsync(httpContext);
        return true;
    }

    /// <summary>SQLite says that the disk is full (its code 13); all of what was to be written together is left as it was.</summary>
    private static bool IsDiskFull(Exception? exception) =>
        exception is SqliteException { SqliteErrorCode: 13 } || (exception?.InnerException is { } inner && IsDiskFull(inner));

    /// <summary>The path that the reader names at the end of its message.</summary>
    private static string PathIn(string message) => message.Split("Path: $") is [_, var rest, ..] ? rest.TrimStart('.').Split(' ')[0] : "";

    private static string FieldOf(JsonException fault) => fault.Path?.TrimStart('$').TrimStart('.') ?? "";
}
