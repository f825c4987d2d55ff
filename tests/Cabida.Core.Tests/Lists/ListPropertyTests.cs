using System.Text;
using Cabida.Core.Lists;
using CsCheck;

namespace Cabida.Core.Tests.Lists;

public class ListPropertyTests
{
    /// <summary>Letters of many tongues, and what should not be among them.</summary>
    private static readonly Gen<string> Raw = Gen.String[
        Gen.Char["aBßŁéọΝίа́Ạ \u00a0\u200b\u00ad\u200d\u202b\t-'’.,;1🙂\ufb01\u0308"],
        0,
        24
    ];

    [Fact]
    public void Cleaning_twice_is_cleaning_once_and_says_so() =>
        Raw.Sample(raw =>
        {
            var once = CleanedText.Of(raw);
            return CleanedText.Of(once.Text) == new CleanedText(once.Text, CleaningDone.None)
                && (once.Done == CleaningDone.None) == (once.Text == raw);
        });

    [Fact]
    public void What_is_clean_is_composed_without_blanks_around_or_control_characters() =>
        Raw.Sample(raw =>
            CleanedText.Of(raw).Text is var text
            && text == text.Trim()
            && text.IsNormalized(NormalizationForm.FormC)
            && !text.Contains("  ", StringComparison.Ordinal)
            && !text.Any(char.IsControl)
        );

    [Fact]
    public void A_remedy_takes_away_what_it_is_the_remedy_for() =>
        Raw.Sample(raw =>
        {
            var typed = $"{raw.Replace('\t', ' ')}\nAgnieszka\nBram\nIoanna\nKwabena";
            var note = NameList.Read(typed, []).Notes.FirstOrDefault(n => n.Line == 1 && n.Remedies.Count > 0);
            if (note is null)
            {
                return true;
            }

            return NameList
                .Read(typed.Mended(note.Remedies[0]), [])
                .Notes.All(n => n.Line != 1 || n.Message.ToString() != note.Message.ToString());
        });

    [Fact]
    public void One_letter_mended_in_a_long_name_keeps_every_piece() =>
        Gen.Select(Gen.Int[0, 7], Gen.Int[0, 5])
            .Sample(
                (line, at) =>
                {
                    string[] names =
                    [
                        "Agnieszka",
                        "Konstantinos",
                        "Bartholomew",
                        "Gwenllian",
                        "Lieselotte",
                        "Temitọpẹ",
                        "Świętosława",
                        "Phương Anh",
                    ];
                    var first = NameList.Read(string.Join('\n', names), []).Pieces;
                    var mended = names.ToArray();
                    mended[line] = mended[line][..at] + "x" + mended[line][(at + 1)..];
                    return NameList.Read(string.Join('\n', mended), first).Pieces.Select(p => p.Id).SequenceEqual(first.Select(p => p.Id));
                }
            );

    [Fact]
    public void Rows_come_back_from_how_they_are_typed() =>
        Gen.String[Gen.Char["aŁ ,;\"\n\t"], 0, 6]
            .Array[1, 4]
            .Array[1, 5]
            .Sample(rows =>
            {
                var back = ListRows.Of(ListRows.Typed(rows));
                return back.Count == rows.Length
                    && back.Zip(rows, (b, r) => b.SequenceEqual(r.Select(c => c.ReplaceLineEndings(" ").Replace('\t', ' '))))
                        .All(same => same);
            });
}
