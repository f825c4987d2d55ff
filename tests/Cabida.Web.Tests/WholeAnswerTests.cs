using System.Net;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.DependencyInjection;

namespace Cabida.Web.Tests;

/// <summary>Over a real connection: that an answer is whole or a fault, however late in it stands what cannot be written.</summary>
public class WholeAnswerTests
{
    private sealed record Figures(string Words, double Last);

    [Fact]
    public async Task What_cannot_be_written_is_a_fault_and_nothing_of_it_is_sent()
    {
        await using var app = await Started();
        using var client = new HttpClient { BaseAddress = new Uri(app.Urls.Single()) };

        using var good = await client.GetAsync("/answers/12.5");
        good.StatusCode.ShouldBe(HttpStatusCode.OK);
        good.Content.Headers.ContentLength!.Value.ShouldBeGreaterThan(400_000);
        (await good.Content.ReadAsStringAsync()).ShouldEndWith("\"last\":12.5}");

        using var bad = await client.GetAsync("/answers/1e400");
        bad.StatusCode.ShouldBe(HttpStatusCode.InternalServerError);
        (await bad.Content.ReadAsStringAsync()).ShouldNotContain("xxx");

        using var nested = await client.GetAsync("/answers/nested");
        nested.StatusCode.ShouldBe(HttpStatusCode.InternalServerError);
    }

    [Fact]
    public void A_view_that_cannot_be_written_is_known_before_its_document_is_kept()
    {
        Should.Throw<ArgumentException>(() => ApiJson.Writable(new Figures("", double.NaN)));
        ApiJson.Writable(new Figures("", 1)).Last.ShouldBe(1);
    }

    private static async Task<WebApplication> Started()
    {
        var builder = WebApplication.CreateBuilder();
        builder.WebHost.UseUrls("http://127.0.0.1:0");
        builder.Services.AddProblemDetails();
        var app = builder.Build();
        app.UseExceptionHandler();
        var answers = app.MapGroup("/answers").AddEndpointFilter<Gate>();
        answers.MapGet("/12.5", () => TypedResults.Ok(new Figures(new string('x', 400_000), 12.5)));
        answers.MapGet("/1e400", () => TypedResults.Ok(new Figures(new string('x', 400_000), double.PositiveInfinity)));
        answers.MapGet("/nested", Results<Ok<Figures>, NotFound> () => TypedResults.Ok(new Figures(new string('x', 400_000), double.NaN)));
        await app.StartAsync();
        return app;
    }
}
