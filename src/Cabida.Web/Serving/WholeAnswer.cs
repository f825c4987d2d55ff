using Microsoft.AspNetCore.WebUtilities;

namespace Cabida.Web.Serving;

/// <summary>
/// An answer that is written whole before any of it is sent, so that one which cannot be written is a fault of its own,
/// told as such, and never half an answer under a head that said all is well. Its length is told too.
/// </summary>
internal sealed class WholeAnswer(IResult answer) : IResult
{
    /// <summary>What is held in memory of an answer; more goes to a file for as long as it takes.</summary>
    private const int InMemory = 32_000_000;

    /// <summary>Whether an answer is a value that is written out; files and events are sent as they come.</summary>
    public static bool Suits(IResult answer) =>
        answer switch
        {
            INestedHttpResult nested => Suits(nested.Result),
            IValueHttpResult value => value.Value is not null,
            _ => false,
        };

    /// <inheritdoc/>
    public async Task ExecuteAsync(HttpContext httpContext)
    {
        var sent = httpContext.Response.Body;
        await using var whole = new FileBufferingWriteStream(InMemory);
        httpContext.Response.Body = whole;
        try
        {
            await answer.ExecuteAsync(httpContext);
            await httpContext.Response.BodyWriter.FlushAsync(httpContext.RequestAborted);
        }
        finally
        {
            httpContext.Response.Body = sent;
        }

        httpContext.Response.ContentLength = whole.Length;
        await whole.DrainBufferAsync(sent, httpContext.RequestAborted);
    }
}
