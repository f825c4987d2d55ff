using System.Text;
using System.Text.RegularExpressions;

namespace Cabida.Trust.Tests.Doors;

/// <summary>What every answer tells the browser of how it may be used.</summary>
public sealed partial class AnswerHeadersTests(DoorServer door) : IClassFixture<DoorServer>
{
    private readonly Served served = door.Served;
    private readonly string data = door.Data;

    [Fact]
    public async Task Every_route_of_the_description_answers_with_them_and_tells_nothing_of_its_inside()
    {
        var paths = (await served.Get("/api/v1.json"))["paths"]!.AsObject();
        var asked = 0;
        foreach (var (path, item) in paths)
        {
            foreach (var (method, _) in item!.AsObject().Where(m => m.Key is "get" or "put" or "post" or "delete"))
            {
                // Once with what it expects nothing of, once with what is no JSON.
                foreach (var body in method is "get" or "delete" ? new string?[] { null } : ["{}", "{\"a\":"])
                {
                    using var request = new HttpRequestMessage(new HttpMethod(method.ToUpperInvariant()), Hole().Replace(path, "none"))
                    {
                        Content = body is null ? null : new StringContent(body, Encoding.UTF8, "application/json"),
                    };
                    request.Headers.TryAddWithoutValidation("If-Match", "\"1\"");
                    using var answer = await served.Client.SendAsync(request, HttpCompletionOption.ResponseHeadersRead);
                    Has(answer, $"{method} {path}");
                    ((int)answer.StatusCode).ShouldBeLessThan(500, $"{method} {path} {body}");
                    if (!answer.IsSuccessStatusCode)
                    {
                        var text = await answer.Content.ReadAsStringAsync();
                        text.ShouldNotMatch(
                            "(   at |Exception|Cabida\\.(Web|Core|Store)|" + Regex.Escape(data) + "|/src/|/bin/)",
                            $"{method} {path}"
                        );
                    }

                    asked++;
                }
            }
        }

        asked.ShouldBeGreaterThan(200);
    }

    [Fact]
    public async Task What_is_no_route_has_them_too()
    {
        foreach (var path in new[] { "/", "/api", "/api/nothing", "/jobs", "/api/../x", "/api/films/%2e%2e%2f%2e%2e%2fetc%2fpasswd" })
        {
            using var answer = await served.Client.GetAsync(path);
            Has(answer, path);
            ((int)answer.StatusCode).ShouldBeInRange(200, 499, path);
        }
    }

    private static void Has(HttpResponseMessage answer, string where)
    {
        string Of(string name) =>
            answer.Headers.TryGetValues(name, out var values) || answer.Content.Headers.TryGetValues(name, out values)
                ? string.Join(",", values)
                : "";
        Of("Content-Security-Policy").ShouldContain("default-src 'none'", Case.Sensitive, where);
        Of("Content-Security-Policy").ShouldContain("frame-ancestors 'none'", Case.Sensitive, where);
        Of("Content-Security-Policy").ShouldNotContain("unsafe", Case.Sensitive, where);
        Of("X-Content-Type-Options").ShouldBe("nosniff", where);
        Of("Referrer-Policy").ShouldBe("same-origin", where);
        Of("Permissions-Policy").ShouldContain("camera=()", Case.Sensitive, where);
        Of("Cross-Origin-Opener-Policy").ShouldBe("same-origin", where);
        Of("Cross-Origin-Embedder-Policy").ShouldBe("require-corp", where);
        Of("Cross-Origin-Resource-Policy").ShouldBe("same-origin", where);
        Of("Server").ShouldBeEmpty(where);
        Of("X-Powered-By").ShouldBeEmpty(where);
        Of("Access-Control-Allow-Origin").ShouldBeEmpty(where);
    }

    [GeneratedRegex("\\{[^}]*\\}")]
    private static partial Regex Hole();
}
