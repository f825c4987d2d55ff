using System.Text.Json;
using System.Text.Json.Serialization;

namespace Cabida.Web.Serving;

/// <summary>How the API writes: the same names and words as the documents in the store; numbers are numbers.</summary>
internal static class ApiJson
{
    public static void Configure(JsonSerializerOptions options)
    {
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase));
        options.NumberHandling = JsonNumberHandling.Strict;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
    }
}

/// <summary>Whether the application was only started to write its API description at build.</summary>
internal static class OpenApiBuild
{
    public static bool IsRunning => System.Reflection.Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";
}
