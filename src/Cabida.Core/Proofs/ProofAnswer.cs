using System.Globalization;
using System.Text;
using System.Text.Json;
using System.Text.Json.Serialization;
using Cabida.Core.Wording;

namespace Cabida.Core.Proofs;

/// <summary>What a customer says of a piece.</summary>
/// <param name="Piece">The piece, by id.</param>
/// <param name="Seen">The beginning of the hash of what they saw of it.</param>
/// <param name="Words">What should be different, in their words; empty where it is right.</param>
public sealed record AnsweredPiece(
    [property: JsonPropertyName("p")] string Piece,
    [property: JsonPropertyName("s")] string Seen,
    [property: JsonPropertyName("w")] string Words
)
{
    /// <summary>So much of a hash is sent: enough to tell two states of a piece apart.</summary>
    public const int SeenLetters = 12;

    /// <summary>Whether it may be made as it was seen.</summary>
    [JsonIgnore]
    public bool IsRight => Words.Length == 0;
}

/// <summary>
/// The answer to a proof that went out as a file: a short text that is sent back any way, with a check sum (CRC-32, ISO 3309). What mail
/// does to it, such as breaking its lines or marking them as quoted, is no change; what is written beside it is kept.
/// </summary>
/// <param name="Run">The run, by id.</param>
/// <param name="Pieces">What is said of its pieces.</param>
/// <param name="Beside">What else stood in the text, for the maker to read.</param>
public sealed record ProofAnswer(string Run, IReadOnlyList<AnsweredPiece> Pieces, string Beside)
{
    /// <summary>A text is no longer than this; letters.</summary>
    public const int MostLetters = 2_000_000;

    private const string Begin = "[[answer";
    private const string End = "]]";
    private const int LineLetters = 64;
    private const int SumLetters = 8;

    private sealed record Sent([property: JsonPropertyName("r")] string Run, [property: JsonPropertyName("a")] List<AnsweredPiece> Pieces);

    /// <summary>The text of an answer.</summary>
    public string Write()
    {
        var coded = Convert.ToBase64String(JsonSerializer.SerializeToUtf8Bytes(new Sent(Run, [.. Pieces])));
        var lines = coded.Chunk(LineLetters).Select(c => new string(c));
        return $"{Beside}\n{Begin}\n{string.Join('\n', lines)}\n{Sum(coded)}{End}\n".TrimStart('\n');
    }

    /// <summary>Reads what was sent back; or why it cannot be.</summary>
    public static Outcome<ProofAnswer> Read(string pasted)
    {
        ArgumentNullException.ThrowIfNull(pasted);
        if (pasted.Length > MostLetters)
        {
            return Fail($"This is far longer than any answer. Paste what the customer sent back, and no more.");
        }

        var begin = pasted.LastIndexOf(Begin, StringComparison.OrdinalIgnoreCase);
        if (begin < 0)
        {
            return Fail(
                $"There is no answer in it. It begins with {Begin:strong} and ends with {End:strong}; paste all of what was sent back."
            );
        }

        var end = pasted.IndexOf(End, begin, StringComparison.Ordinal);
        if (end < 0)
        {
            return Fail($"The answer is cut short: its end, {End:strong}, is missing. Paste all of it, or ask for it again.");
        }

        var letters = pasted[(begin + Begin.Length)..end].Where(c => char.IsAsciiLetterOrDigit(c) || c is '+' or '/' or '=').ToArray();
        if (letters.Length <= SumLetters)
        {
            return Fail($"There is nothing in the answer. Ask for it again.");
        }

        var (coded, sum) = (new string(letters[..^SumLetters]), new string(letters[^SumLetters..]));
        if (!string.Equals(sum, Sum(coded), StringComparison.OrdinalIgnoreCase))
        {
            return Fail($"The answer was changed on its way: its check sum does not fit. Nothing was taken of it; ask for it again.");
        }

        try
        {
            var sent = JsonSerializer.Deserialize<Sent>(Convert.FromBase64String(coded));
            return
                sent is { Run: { } run, Pieces: { } pieces } && pieces.All(p => p is { Piece: not null, Seen: not null, Words: not null })
                ? Outcome<ProofAnswer>.Of(new ProofAnswer(run, pieces, WrittenBeside(pasted[..begin] + pasted[(end + End.Length)..])))
                : Fail($"The answer cannot be read. Ask for it again.");
        }
        catch (Exception fault) when (fault is JsonException or FormatException)
        {
            return Fail($"The answer cannot be read. Ask for it again.");
        }
    }

    /// <summary>What stands beside the answer, without the signs by which mail marks what it quotes.</summary>
    private static string WrittenBeside(string text) =>
        string.Join('\n', text.ReplaceLineEndings("\n").Split('\n').Select(l => l.TrimStart('>', ' ').TrimEnd()).Where(l => l.Length > 0));

    /// <summary>The CRC-32 of ISO 3309 over letters, in hexadecimal.</summary>
    internal static string Sum(string letters)
    {
        const uint polynomial = 0xedb88320;
        var crc = uint.MaxValue;
        foreach (var b in Encoding.ASCII.GetBytes(letters))
        {
            crc ^= b;
            for (var bit = 0; bit < 8; bit++)
            {
                crc = (crc & 1) == 1 ? (crc >> 1) ^ polynomial : crc >> 1;
            }
        }

        return (~crc).ToString("x8", CultureInfo.InvariantCulture);
    }

    private static Outcome<ProofAnswer> Fail(PhraseWriter why) => Outcome<ProofAnswer>.Fail(Phrase.Say(why));
}
