using Cabida.Core.Measures;
using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>What of a line of lettering cannot be used.</summary>
internal static class LetteringProblems
{
    private const double MostSpacing = 1000;

    public static void Find(LetteringPart part, MotifProblems.Reading reading)
    {
        reading.Check(part, "size", part.Size, part.SizedBy == LetteringSize.MatOpening ? LengthRange.Margin : LengthRange.Artwork);
        Text(part, reading);
        if (reading.Faces.Find(part.TypefaceId) is null)
        {
            reading.Add(part.Id, "typeface", Phrase.Say($"The typeface “{part.TypefaceId}” is not here. Choose another."));
        }

        if (!(Math.Abs(part.Spacing) <= MostSpacing))
        {
            reading.Add(part.Id, "spacing", Phrase.Say($"Spacing goes from −1000 to 1000 thousandths of an em."));
        }

        if (!(Math.Abs(part.WordSpacing) <= MostSpacing))
        {
            reading.Add(part.Id, "wordSpacing", Phrase.Say($"Room between words goes from −1000 to 1000 thousandths of an em."));
        }

        if (part.Pairs.Any(p => !(Math.Abs(p.By) <= MostSpacing)))
        {
            reading.Add(part.Id, "pairs", Phrase.Say($"A pair is opened or closed by up to 1000 thousandths of an em."));
        }

        if (part.Joins != LetterJoins.AsDrawn)
        {
            reading.Check(part, "joinBy", part.JoinBy, LengthRange.Margin);
        }

        reading.Check(part, "strengthen", part.Strengthen, LengthRange.Margin);
        Shaped(part, reading);
    }

    private static void Text(LetteringPart part, MotifProblems.Reading reading)
    {
        if (string.IsNullOrWhiteSpace(part.Text))
        {
            reading.Add(part.Id, "text", Phrase.Say($"This line has no words yet."));
        }
        else if (part.Text.Length > MotifProblems.LongestText)
        {
            reading.Add(
                part.Id,
                "text",
                Phrase.Say($"{part.Text.Length} characters; a line holds {MotifProblems.LongestText}. Put the rest on a line of its own.")
            );
        }
        else if (Fields.UnknownForms(part.Text).FirstOrDefault() is { } form)
        {
            reading.Add(
                part.Id,
                "text",
                Phrase.Say($"A field has no form “{form}”. There are {string.Join(", ", Fields.Forms)}; without one it stands as typed.")
            );
        }
        else if (LineDirection.IsMixed(Fields.Fill(part.Text, new Dictionary<string, string>(StringComparer.Ordinal))))
        {
            reading.Add(
                part.Id,
                "text",
                Phrase.Say(
                    $"This line runs both from left to right and from right to left, which is not supported. Put each on a line of its own."
                )
            );
        }
    }

    private static void Shaped(LetteringPart part, MotifProblems.Reading reading)
    {
        switch (part.Shape)
        {
            case LineShape.Arched:
                reading.Check(part, "archTop", part.ArchTop, LengthRange.Offset);
                reading.Check(part, "archBottom", part.ArchBottom, LengthRange.Offset);
                break;
            case LineShape.RoundInside or LineShape.RoundOutside:
                reading.Check(part, "circle", part.Circle, LengthRange.Artwork);
                break;
            case LineShape.Column:
                reading.Check(part, "columnGap", part.ColumnGap, LengthRange.Margin);
                break;
            default:
                break;
        }

        switch (part.Stretching)
        {
            case Stretching.ToWidth or Stretching.ToHeight:
                reading.Check(part, "stretchTo", part.StretchTo, LengthRange.Artwork);
                break;
            case Stretching.ToPart when part.StretchAs == part.Id || reading.Motif.AllParts.All(p => p.Id != part.StretchAs):
                reading.Add(part.Id, "stretchAs", Phrase.Say($"Choose the part that it should be as wide as."));
                break;
            default:
                break;
        }

        if (part.Stretching != Stretching.None && part.Shape is not (LineShape.Straight or LineShape.Arched))
        {
            reading.Add(part.Id, "stretching", Phrase.Say($"Only a straight or arched line can be widened or heightened."));
        }
    }
}
