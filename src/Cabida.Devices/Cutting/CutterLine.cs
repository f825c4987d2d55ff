using System.Text.Json;
using System.Text.Json.Serialization;

namespace Cabida.Devices.Cutting;

/// <summary>What is asked over the line; one of them is set, none to look.</summary>
internal sealed record CutterAsked(CutJob? Send = null, CutterOrder? Tell = null, string? Sheet = null);

/// <summary>What comes back; one of them is set.</summary>
internal sealed record CutterSaid(CutterAnswer? Answer = null, CutSheet? Sheet = null, string? Refused = null, bool WantsTest = false);

/// <summary>
/// The line between the product and a cutter: a socket, a question as one line of JSON, an answer as another, and it is closed. Lines are
/// bounded, and nobody is waited for longer than said.
/// </summary>
internal static class CutterLine
{
    /// <summary>A question or an answer is no longer than this; bytes.</summary>
    public const int Longest = 64 * 1024 * 1024;

    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
        RespectNullableAnnotations = true,
        RespectRequiredConstructorParameters = true,
    };

    public static async Task Write<T>(Stream stream, T what, CancellationToken stop)
    {
        await stream.WriteAsync(JsonSerializer.SerializeToUtf8Bytes(what, Options), stop);
        await stream.WriteAsync("\n"u8.ToArray(), stop);
        await stream.FlushAsync(stop);
    }

    /// <summary>The next line.</summary>
    /// <exception cref="FormatException">There is none, it is too long, or it says nothing that can be understood.</exception>
    public static async Task<T> Read<T>(Stream stream, CancellationToken stop)
    {
        using var line = new MemoryStream();
        var part = new byte[64 * 1024];
        while (true)
        {
            var count = await stream.ReadAsync(part, stop);
            var end = Array.IndexOf(part, (byte)'\n', 0, count);
            line.Write(part, 0, end >= 0 ? end : count);
            if (end >= 0)
            {
                break;
            }

            if (count == 0 || line.Length > Longest)
            {
                throw new FormatException(count == 0 ? "The line was cut off." : "The line is too long.");
            }
        }

        try
        {
            return JsonSerializer.Deserialize<T>(line.GetBuffer().AsSpan(0, (int)line.Length), Options)
                ?? throw new FormatException("The line says nothing.");
        }
        catch (Exception e) when (e is JsonException or NotSupportedException)
        {
            throw new FormatException("The line cannot be understood: " + e.Message, e);
        }
    }
}
