using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>Says that a form which was chosen is not in a face.</summary>
public static class LackingForm
{
    /// <summary>What is lacking, and what stands there instead.</summary>
    public static Phrase Say(LetteringLine line, Alternate alternate)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(alternate);
        return Phrase.Say(
            $"{line.Face.Info.Name} has no form “{alternate.InWords}” for {alternate.Letter:strong}; it stands as the face draws "
                + $"it. The choice is kept for a face that has it."
        );
    }
}
