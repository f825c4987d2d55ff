using Cabida.Core.Measures;
using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>Something typed into a motif that cannot be used.</summary>
/// <param name="PartId">The part; empty for the motif itself.</param>
/// <param name="Field">The field of the part, as in <c>size</c> or <c>gap</c>.</param>
/// <param name="Message">What is wrong.</param>
public sealed record MotifProblem(string PartId, string Field, Phrase Message);

/// <summary>Reads every length and text of a motif and reports what cannot be used.</summary>
public static class MotifProblems
{
    /// <summary>The longest text one line may hold.</summary>
    public const int LongestText = 120;

    /// <summary>All problems, in the order of the parts.</summary>
    public static IReadOnlyList<MotifProblem> Of(Motif motif, ITypefaces faces)
    {
        ArgumentNullException.ThrowIfNull(motif);
        ArgumentNullException.ThrowIfNull(faces);
        var problems = new List<MotifProblem>();
        if (string.IsNullOrWhiteSpace(motif.Name))
        {
            problems.Add(new("", "name", Phrase.Say($"Give the motif a name, so that it can be found again.")));
        }

        for (var i = 0; i < motif.Parts.Count; i++)
        {
            var part = motif.Parts[i];
            if (i > 0)
            {
                Check(part, "gap", part.Gap, LengthRange.Margin);
            }

            switch (part)
            {
                case LetteringPart lettering:
                    Check(part, "size", lettering.Size, LengthRange.Artwork);
                    CheckText(lettering);
                    break;
                case RulePart rule:
                    if (rule.Span == RuleSpan.Given)
                    {
                        Check(part, "length", rule.Length, LengthRange.Artwork);
                    }

                    Check(part, "thickness", rule.Thickness, LengthRange.Artwork);
                    break;
                default:
                    throw new ArgumentOutOfRangeException(nameof(motif), part.GetType().Name);
            }
        }

        return problems;

        void Check(Part part, string field, MotifLength length, LengthRange range)
        {
            if (length.Typed.Read(range).Problem is { } problem)
            {
                problems.Add(new(part.Id, field, problem));
            }
        }

        void CheckText(LetteringPart part)
        {
            if (string.IsNullOrWhiteSpace(part.Text))
            {
                problems.Add(new(part.Id, "text", Phrase.Say($"This line has no words yet.")));
            }
            else if (part.Text.Length > LongestText)
            {
                problems.Add(new(part.Id, "text", Phrase.Say($"{part.Text.Length} characters; a line holds {LongestText}. Put the rest on a line of its own.")));
            }

            if (faces.Find(part.TypefaceId) is null)
            {
                problems.Add(new(part.Id, "typeface", Phrase.Say($"The typeface “{part.TypefaceId}” is not here. Choose another.")));
            }

            if (double.IsNaN(part.Spacing) || Math.Abs(part.Spacing) > 1000)
            {
                problems.Add(new(part.Id, "spacing", Phrase.Say($"Spacing goes from −1000 to 1000 thousandths of an em.")));
            }
        }
    }
}
