using System.Text.Json;
using Cabida.Core.Documents;
using Cabida.Core.Wording;
using Microsoft.AspNetCore.Diagnostics;

namespace Cabida.Web.Serving;

/// <summary>Answers for requests that cannot be read or worked out: what is wrong, and with which field.</summary>
internal sealed class RequestFaults : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        var answer = exception switch
        {
            NotWorkableException fault => Gate.CannotBeWorkedOut(fault.Reason),
            BadHttpRequestException { InnerException: JsonException json } => Gate.Refused([new FieldProblem(FieldOf(json), Phrase.Say($"This is nothing that belongs here."))]),
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

    private static string FieldOf(JsonException fault) => fault.Path?.TrimStart('$').TrimStart('.') ?? "";
}
