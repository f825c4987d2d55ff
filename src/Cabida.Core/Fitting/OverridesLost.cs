using System.Globalization;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Core.Fitting;

/// <summary>
/// Overrides of a piece that no longer apply, since its name, its motif or a typeface has changed. They are said, never guessed at.
/// </summary>
internal static class OverridesLost
{
    /// <summary>Those that do not apply, in words.</summary>
    public static IEnumerable<Phrase> Of(Overrides own, PieceSetting setting, FitBasis basis)
    {
        if (!LinesApply(own, setting))
        {
            yield return Phrase.Say(
                $"The two lines set by hand, “{string.Join(" / ", own.TwoLines.ReplaceLineEndings("\n").Split('\n'))}”, are not "
                    + $"what the name says now, {setting.Words:strong}. It stands as the set has it."
            );
        }

        foreach (var letter in own.Letters.Where(l => !LetterApplies(l, setting, basis)))
        {
            yield return Phrase.Say(
                $"The other form of {letter.Form.Letter:strong} was chosen in “{letter.Form.Words}”, which the line no longer says. "
                    + $"It stands as the set has it."
            );
        }

        foreach (var mend in own.Mends)
        {
            if (!IsThere(mend, basis))
            {
                yield return Phrase.Say(
                    $"A part of the motif that was changed for it is no longer there. What is there stands as the motif has it."
                );
            }
            else if (!HasFace(mend, basis))
            {
                yield return Phrase.Say(
                    $"The typeface chosen for a part of it is no longer here. That part stands in the motif's, with whatever else was "
                        + $"changed of it."
                );
            }
        }

        if (!FaceApplies(own, basis))
        {
            yield return Phrase.Say($"The typeface chosen for it is no longer here. It stands in the motif's.");
        }
    }

    /// <summary>The overrides that apply.</summary>
    public static Overrides Without(Overrides own, PieceSetting setting, FitBasis basis) =>
        own with
        {
            TwoLines = LinesApply(own, setting) ? own.TwoLines : "",
            Letters = [.. own.Letters.Where(l => LetterApplies(l, setting, basis))],
            TypefaceId = FaceApplies(own, basis) ? own.TypefaceId : "",
            Mends = [.. own.Mends.Where(m => IsThere(m, basis)).Select(m => HasFace(m, basis) ? m : m with { TypefaceId = "" })],
        };

    private static bool IsThere(PartMend mend, FitBasis basis) => basis.Motif.AllParts.Any(p => p.Id == mend.PartId);

    private static bool HasFace(PartMend mend, FitBasis basis) =>
        mend.TypefaceId.Length == 0 || basis.Faces.Find(mend.TypefaceId) is not null;

    private static bool FaceApplies(Overrides own, FitBasis basis) =>
        own.TypefaceId.Length == 0 || basis.Faces.Find(own.TypefaceId) is not null;

    private static bool LinesApply(Overrides own, PieceSetting setting) =>
        own.TwoLines.Length == 0
        || (setting.Name is { } name && PieceVariant.CanBreak(name) && Letters(own.TwoLines) == Letters(setting.Words));

    private static string Letters(string words) => string.Concat(words.Where(c => !char.IsWhiteSpace(c)));

    private static bool LetterApplies(PieceLetter letter, PieceSetting setting, FitBasis basis)
    {
        if (basis.Motif.AllParts.OfType<LetteringPart>().FirstOrDefault(p => p.Id == letter.PartId) is not { } line)
        {
            return false;
        }

        var words = Motifs.Fields.Fill(line.Text, setting.Fields).Trim();
        var starts = StringInfo.ParseCombiningCharacters(words);
        return letter.Form.Words == words
            && letter.Form.Index < starts.Length
            && StringInfo.GetNextTextElement(words, starts[letter.Form.Index]) == letter.Form.Letter;
    }
}
