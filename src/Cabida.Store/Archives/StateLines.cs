using System.Text;
using System.Text.Json;

namespace Cabida.Store;

/// <summary>
/// States of a document as lines of JSON. The first, and one that differs much from the one before it, holds the document; another holds
/// what it takes over from the text before, as <c>[from, length]</c> in bytes of UTF-8, and what is new, as text.
/// </summary>
internal static class StateLines
{
    /// <summary>A difference larger than this part of the whole is not worth a second reading.</summary>
    private const double Worth = 0.5;

    /// <summary>Writes states, the oldest first.</summary>
    public static async Task Write(IAsyncEnumerable<ArchivedState> states, Stream to)
    {
        byte[]? before = null;
        await foreach (var state in states)
        {
            using var line = new MemoryStream();
            await using (var writer = new Utf8JsonWriter(line, new JsonWriterOptions { Encoder = ArchiveForm.Json.Encoder }))
            {
                writer.WriteStartObject();
                writer.WriteNumber("revision", state.Revision);
                Number(writer, "replaced", state.Replaced);
                Number(writer, "restored", state.Restored);
                writer.WriteNumber("form", state.Form);
                writer.WriteNumber("change", state.Change);
                if (state.Text is { } text)
                {
                    var bytes = Encoding.UTF8.GetBytes(text);
                    Text(writer, before, bytes);
                    before = bytes;
                }

                writer.WriteEndObject();
            }

            line.WriteByte((byte)'\n');
            line.Position = 0;
            await line.CopyToAsync(to);
        }
    }

    /// <summary>Reads states, the oldest first.</summary>
    /// <exception cref="JsonException">A line is none of a state.</exception>
    public static IEnumerable<ArchivedState> Read(byte[] lines)
    {
        byte[]? before = null;
        foreach (var line in NdJson.Lines(lines))
        {
            using var parsed = JsonDocument.Parse(line);
            var state = parsed.RootElement;
            string? text = null;
            if (state.TryGetProperty("document", out var whole))
            {
                text = whole.GetRawText();
            }
            else if (state.TryGetProperty("text", out var plain))
            {
                text = plain.GetString();
            }
            else if (state.TryGetProperty("parts", out var parts))
            {
                text = Encoding.UTF8.GetString(Joined(before ?? throw new JsonException("A difference from nothing."), parts));
            }

            if (text is not null)
            {
                before = Encoding.UTF8.GetBytes(text);
            }

            yield return new ArchivedState(
                state.GetProperty("revision").GetInt32(),
                Number(state, "replaced"),
                Number(state, "restored"),
                state.GetProperty("form").GetInt32(),
                state.GetProperty("change").GetInt64(),
                text
            );
        }
    }

    private static void Text(Utf8JsonWriter writer, byte[]? before, byte[] bytes)
    {
        if (before is not null && PartsOf(before, bytes) is { } parts)
        {
            writer.WriteStartArray("parts");
            foreach (var (from, length, own) in parts)
            {
                if (own is null)
                {
                    writer.WriteStartArray();
                    writer.WriteNumberValue(from);
                    writer.WriteNumberValue(length);
                    writer.WriteEndArray();
                }
                else
                {
                    writer.WriteStringValue(own);
                }
            }

            writer.WriteEndArray();
            return;
        }

        if (IsLine(bytes))
        {
            writer.WritePropertyName("document");
            // It is kept to the byte: what is written differently is another text.
            writer.WriteRawValue(bytes, skipInputValidation: true);
        }
        else
        {
            writer.WriteString("text", bytes);
        }
    }

    /// <summary>Whether a text is JSON on one line; what was damaged need not be.</summary>
    private static bool IsLine(byte[] bytes)
    {
        try
        {
            using var parsed = JsonDocument.Parse(bytes);
            return !bytes.Contains((byte)'\n');
        }
        catch (JsonException)
        {
            return false;
        }
    }

    /// <summary>What a text takes over from another and what is its own; null where that is not worth it.</summary>
    private static List<(int From, int Length, byte[]? Own)>? PartsOf(byte[] before, byte[] text)
    {
        var parts = new List<(int From, int Length, byte[]? Own)>();
        var own = new MemoryStream();
        foreach (var (from, length, inserted) in TextDelta.PartsOf(TextDelta.Of(before, text)))
        {
            if (inserted is not null)
            {
                own.Write(inserted);
                continue;
            }

            // A character is taken over whole or not at all, so that what is new is text by itself.
            var (start, end) = (from, from + length);
            while (start < end && IsWithin(before[start]))
            {
                own.WriteByte(before[start++]);
            }

            var tail = end;
            while (tail > start && tail < before.Length && IsWithin(before[tail]))
            {
                tail--;
            }

            if (tail > start)
            {
                End();
                parts.Add((start, tail - start, null));
            }

            own.Write(before.AsSpan(Math.Max(start, tail), end - Math.Max(start, tail)));
        }

        End();
        return parts.Sum(p => p.Own?.Length ?? 12) <= Worth * text.Length ? parts : null;

        void End()
        {
            if (own.Length > 0)
            {
                parts.Add((0, 0, own.ToArray()));
                own.SetLength(0);
            }
        }
    }

    /// <summary>A byte within a character of several (RFC 3629).</summary>
    private static bool IsWithin(byte b) => (b & 0xC0) == 0x80;

    private static byte[] Joined(byte[] before, JsonElement parts)
    {
        using var text = new MemoryStream();
        foreach (var part in parts.EnumerateArray())
        {
            if (part.ValueKind == JsonValueKind.String)
            {
                text.Write(Encoding.UTF8.GetBytes(part.GetString()!));
                continue;
            }

            var (from, length) = (part[0].GetInt32(), part[1].GetInt32());
            if (from < 0 || length < 0 || from > before.Length - length)
            {
                throw new JsonException("A difference from what is not there.");
            }

            text.Write(before.AsSpan(from, length));
        }

        return text.ToArray();
    }

    private static void Number(Utf8JsonWriter writer, string name, int? number)
    {
        if (number is { } n)
        {
            writer.WriteNumber(name, n);
        }
    }

    private static int? Number(JsonElement state, string name) => state.TryGetProperty(name, out var n) ? n.GetInt32() : null;
}
