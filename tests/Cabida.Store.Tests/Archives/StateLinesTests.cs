using CsCheck;

namespace Cabida.Store.Tests.Archives;

public class StateLinesTests
{
    private static readonly string[] Words = ["Zoë", "名前", "🚋", "Agnieszka", "\"", "\\", "ÿ", " ", "a"];

    /// <summary>Texts of which each differs a little, or wholly, from the one before: JSON, spoilt JSON, none.</summary>
    private static string?[] TextsOf(int seed)
    {
        var random = new Random(seed);
        var (all, words) = (new List<string?>(), new List<string>());
        for (var i = random.Next(1, 9); i > 0; i--)
        {
            var how = random.Next(6);
            if (how == 0 || words.Count == 0)
            {
                words = [.. Enumerable.Range(0, 90).Select(_ => Words[random.Next(Words.Length)])];
            }

            words.Insert(random.Next(words.Count), Words[random.Next(Words.Length)]);
            words.RemoveAt(random.Next(words.Count));
            var json = System.Text.Json.JsonSerializer.Serialize(words, DocumentJsonOptions);
            all.Add(
                how switch
                {
                    1 => null,
                    2 => json[..(json.Length / 2)].TrimEnd('\ud83d'),
                    3 => json.Replace(",", ",\n", StringComparison.Ordinal),
                    _ => json,
                }
            );
        }

        return [.. all];
    }

    private static System.Text.Json.JsonSerializerOptions DocumentJsonOptions { get; } =
        new() { Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    [Fact]
    public void Any_texts_come_back_to_the_letter_and_little_changes_cost_little() =>
        Gen.Int.Sample(
            seed =>
            {
                var texts = TextsOf(seed);
                var states = texts.Select((t, i) => new ArchivedState(i + 1, i > 0 ? i : null, null, 1, 10 + i, t)).ToList();
                var lines = Written(states);
                StateLines.Read(lines).ShouldBe(states);
                // A line is JSON by itself, whatever stands in it.
                foreach (var line in NdJson.Lines(lines))
                {
                    System.Text.Json.JsonDocument.Parse(line).Dispose();
                }
            },
            iter: 2000
        );

    [Fact]
    public void A_list_of_a_thousand_names_costs_what_was_typed()
    {
        var names = Enumerable.Range(0, 1000).Select(i => $"{{\"id\":\"{i}\",\"name\":\"Zoë-Marie {i * 7919 % 10007}\"}}").ToList();
        var states = new List<ArchivedState>();
        for (var i = 0; i < 50; i++)
        {
            names[i * 17] = names[i * 17].Replace("Zoë", "Zoé", StringComparison.Ordinal);
            states.Add(new ArchivedState(i + 1, i > 0 ? i : null, null, 1, i, $"[{string.Join(',', names)}]"));
        }

        var lines = Written(states);
        lines.Length.ShouldBeLessThan(states[0].Text!.Length + (50 * 400));
        StateLines.Read(lines).ShouldBe(states);
    }

    private static byte[] Written(IEnumerable<ArchivedState> states)
    {
        using var lines = new MemoryStream();
        // Nothing of it waits: states and stream are in memory.
        var written = StateLines.Write(states.ToAsyncEnumerable(), lines);
        written.IsCompletedSuccessfully.ShouldBeTrue(written.Exception?.Message);
        return lines.ToArray();
    }
}
