using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Cabida.Web.Serving;

/// <summary>How the API writes: the same names and words as the documents in the store; numbers are numbers.</summary>
internal static class ApiJson
{
    /// <summary>How it writes and reads.</summary>
    public static JsonSerializerOptions Options { get; } = Configured();

    public static void Configure(JsonSerializerOptions options)
    {
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        options.NumberHandling = JsonNumberHandling.Strict;
        options.AllowOutOfOrderMetadataProperties = true;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
    }

    /// <summary>
    /// Asserts that something can be written as an answer: a figure that is no number cannot, and throws here rather than in the
    /// middle of one.
    /// </summary>
    public static T Writable<T>(T answer)
    {
        JsonSerializer.Serialize(Stream.Null, answer, Options);
        return answer;
    }

    private static JsonSerializerOptions Configured()
    {
        var options = new JsonSerializerOptions(JsonSerializerDefaults.Web);
        Configure(options);
        return options;
    }
}

/// <summary>Describes values, and documents of the core, as whole: all of their properties are always there.</summary>
internal sealed class WholeValues : IOpenApiSchemaTransformer
{
    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        if (
            context.JsonTypeInfo is { Kind: JsonTypeInfoKind.Object } info
            && (
                info.Type.IsValueType
                || info.Type.Namespace
                    is "Cabida.Core.Blanks"
                        or "Cabida.Core.Findings"
                        or "Cabida.Core.Stock"
                        or "Cabida.Core.Runs"
                        or "Cabida.Core.Lists"
                        or "Cabida.Core.Orders"
                        or "Cabida.Core.Motifs"
                        or "Cabida.Core.Plans"
                        or "Cabida.Core.Type"
                        or "Cabida.Web.Bench"
                        or "Cabida.Web.Making"
            )
            && schema.Properties is { } properties
        )
        {
            schema.Required = properties.Keys.ToHashSet(StringComparer.Ordinal);
        }

        return Task.CompletedTask;
    }
}

/// <summary>Whether the application was only started to write its API description at build.</summary>
internal static class OpenApiBuild
{
    public static bool IsRunning => System.Reflection.Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";
}
