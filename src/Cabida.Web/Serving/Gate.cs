using System.Diagnostics;
using Cabida.Core.Documents;
using Cabida.Core.Findings;
using Cabida.Core.Wording;
using Microsoft.AspNetCore.Http.Metadata;

namespace Cabida.Web.Serving;

/// <summary>A field of a request that cannot be taken, as an answer tells of it.</summary>
internal sealed record FieldTold(string Field, string Message);

/// <summary>
/// Stands before every endpoint: what a request brings is looked at (<see cref="DocumentGate"/>) before anything is worked out
/// from it, the work that its answer may be is bounded and ends when the one who asked has gone, and what cannot be worked
/// out is answered with the reason, not as a fault.
/// </summary>
internal sealed partial class Gate(ILogger<Gate> log) : IEndpointFilter
{
    public async ValueTask<object?> InvokeAsync(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        var http = context.HttpContext;
        var body = http.GetEndpoint()?.Metadata.GetMetadata<IAcceptsMetadata>()?.RequestType;
        foreach (var brought in context.Arguments)
        {
            if (brought is double.NaN or double.PositiveInfinity or double.NegativeInfinity)
            {
                return Refused([Finding.Unusable("", Phrase.Say($"A figure of the request is no number."))]);
            }

            if (
                brought is not null
                && (brought.GetType() == body || brought is IQuery)
                && DocumentGate.LooksAt(brought.GetType())
                && DocumentGate.ProblemsOf(brought) is { Count: > 0 } problems
            )
            {
                return Refused(problems);
            }
        }

        try
        {
            using (Effort.Within(Effort.Large, http.RequestAborted))
            {
                var answer = await next(context);
                return answer is IResult result && WholeAnswer.Suits(result) ? new WholeAnswer(result) : answer;
            }
        }
        catch (NotWorkableException fault)
        {
            return CannotBeWorkedOut(fault.Reason);
        }
        catch (Exception fault) when (IsOurs(fault) && HttpMethods.IsPut(http.Request.Method))
        {
            // A document that makes the application stumble is not kept, and the maker is told so.
            Stumbling(log, http.Request.Path, fault);
            return CannotBeWorkedOut(Stumbled);
        }
    }

    /// <summary>What is said where the application fails over something that came from outside.</summary>
    public static Phrase Stumbled { get; } =
        Phrase.Say($"Cabida stumbled over it while working it out. Nothing of it was kept; the log says where.");

    /// <summary>The same of something that is kept.</summary>
    public static Phrase StumbledOver { get; } = Phrase.Say($"Cabida stumbled over it while working it out; the log says where.");

    /// <summary>A fault of the application, as against the end of a request, a full disk or a request that cannot be read.</summary>
    public static bool IsOurs(Exception fault) =>
        fault
            is not (
                OperationCanceledException
                or BadHttpRequestException
                or IOException
                or System.Data.Common.DbException
                or Microsoft.EntityFrameworkCore.DbUpdateException
                or UnreachableException
                or OutOfMemoryException
            );

    /// <summary>An answer that something cannot be worked out, and why.</summary>
    public static Microsoft.AspNetCore.Http.HttpResults.ProblemHttpResult CannotBeWorkedOut(Phrase why) =>
        TypedResults.Problem(why.ToString(), statusCode: StatusCodes.Status422UnprocessableEntity, title: "Cannot be worked out");

    /// <summary>An answer that names the fields that cannot be taken.</summary>
    public static Microsoft.AspNetCore.Http.HttpResults.ProblemHttpResult Refused(IReadOnlyList<Finding> problems) =>
        TypedResults.Problem(
            string.Join(
                " ",
                problems.Take(3).Select(p => p.Fields is [{ Length: > 0 } field] ? $"{field}: {p.Message}" : p.Message.ToString())
            ),
            statusCode: StatusCodes.Status422UnprocessableEntity,
            title: "Cannot be taken",
            extensions: new Dictionary<string, object?>
            {
                ["fields"] = problems.Select(p => new FieldTold(p.Fields[0], p.Message.ToString())).ToList(),
            }
        );

    [LoggerMessage(Level = LogLevel.Error, Message = "Working out {Path} failed")]
    public static partial void Stumbling(ILogger log, string path, Exception fault);
}

/// <summary>Values of a query that the gate looks at like a document.</summary>
internal interface IQuery;
