using System.Text;
using CsCheck;

namespace Cabida.Store.Tests;

public class TextDeltaTests
{
    [Fact]
    public void Any_text_comes_back_from_any_other_and_what_was_made_of_it()
    {
        // Pieces of one small alphabet repeat in both, as the fields of a document do.
        var piece = Gen.String[Gen.Char['a', 'c'], 0, 60];
        Gen.Select(piece.Array[0, 12], piece.Array[0, 12], Gen.Bool.Array[0, 12])
            .Sample(
                (one, other, keep) =>
                {
                    var from = string.Concat(one);
                    var text = string.Concat(other.Select((o, i) => i < keep.Length && keep[i] && i < one.Length ? one[i] : o));
                    Back(from, text).ShouldBe(text);
                },
                iter: 2000
            );
    }

    [Fact]
    public void A_stroke_in_a_long_text_costs_a_few_bytes_wherever_it_is()
    {
        var text = string.Concat(
            Enumerable.Range(0, 3000).Select(i => $"{{\"id\":\"{i * 7919}\",\"own\":{{\"right\":\"\",\"up\":\"\"}}}},")
        );
        foreach (var at in new[] { 0, 1, text.Length / 2, text.Length })
        {
            var changed = text.Insert(at, "ő");
            TextDelta.Of(Bytes(text), Bytes(changed)).Length.ShouldBeLessThan(100);
            Back(text, changed).ShouldBe(changed);
        }
    }

    private static string Back(string from, string text) =>
        Encoding.UTF8.GetString(TextDelta.Apply(Bytes(from), TextDelta.Of(Bytes(from), Bytes(text))));

    private static byte[] Bytes(string text) => Encoding.UTF8.GetBytes(text);
}
