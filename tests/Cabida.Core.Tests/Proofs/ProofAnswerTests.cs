using Cabida.Core.Proofs;
using CsCheck;

namespace Cabida.Core.Tests.Proofs;

public sealed class ProofAnswerTests
{
    private static readonly ProofAnswer Answer = new(
        "crew-mugs",
        [new("p1", "0123456789ab", ""), new("p2", "ba9876543210", "Please write Łukasz with a stroke; “Ọláyínká” is right. 不")],
        "Thank you, Zoë"
    );

    [Fact]
    public void The_check_sum_is_that_of_the_standard() => ProofAnswer.Sum("123456789").ShouldBe("cbf43926");

    [Fact]
    public void What_mail_does_to_it_is_no_change()
    {
        var sent = Answer.Write();
        foreach (
            var mailed in new[]
            {
                sent,
                sent.ReplaceLineEndings("\r\n"),
                string.Join('\n', sent.Split('\n').Select(l => $"> > {l}")),
                // Broken at other places, with blanks that do not break.
                sent.Replace("\n", "\u00a0\n ", StringComparison.Ordinal),
                $"On Tuesday you wrote:\n{sent}\nSent from a telephone",
            }
        )
        {
            var read = ProofAnswer.Read(mailed).Value;
            read.Run.ShouldBe("crew-mugs");
            read.Pieces.ShouldBe(Answer.Pieces);
            read.Beside.ShouldContain("Thank you, Zoë");
        }
    }

    [Theory]
    [InlineData("Looks good!", "There is no answer in it")]
    [InlineData("[[answer eyJy", "cut short")]
    [InlineData("[[answer 1234]]", "nothing in the answer")]
    [InlineData("[[answer bm90anNvbg== 00000000]]", "changed on its way")]
    public void What_is_no_answer_is_told_why(string pasted, string said) =>
        ProofAnswer.Read(pasted).Problem.ShouldNotBeNull().ToString().ShouldContain(said);

    [Fact]
    public void A_letter_that_was_changed_is_found_wherever_it_is() =>
        Gen.Select(Gen.Int[0, 4000], Gen.Char['A', 'Z'])
            .Sample(
                (at, letter) =>
                {
                    var sent = Answer.Write();
                    var from = sent.IndexOf("[[answer", StringComparison.Ordinal) + "[[answer".Length;
                    var place = from + (at % (sent.IndexOf("]]", StringComparison.Ordinal) - from));
                    if (char.IsAsciiLetterOrDigit(sent[place]) && char.ToUpperInvariant(sent[place]) != letter)
                    {
                        ProofAnswer.Read(sent[..place] + letter + sent[(place + 1)..]).Ok.ShouldBeFalse();
                    }
                },
                iter: 2000
            );

    [Fact]
    public void What_is_coded_well_and_is_something_else_is_refused()
    {
        string[] wrong =
        [
            "null",
            "{}",
            "[]",
            "{\"r\":null,\"a\":[]}",
            "{\"r\":\"x\",\"a\":[null]}",
            "{\"r\":\"x\",\"a\":[{\"p\":null}]}",
            "\u0000",
        ];
        foreach (var json in wrong)
        {
            var coded = Convert.ToBase64String(System.Text.Encoding.UTF8.GetBytes(json));
            ProofAnswer.Read($"[[answer {coded} {ProofAnswer.Sum(coded)}]]").Ok.ShouldBeFalse(json);
        }
    }
}
