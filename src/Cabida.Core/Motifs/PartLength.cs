using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>A length of a line of lettering typed anew; whether it follows the fit stays.</summary>
/// <param name="PartId">The line.</param>
/// <param name="Which">Which of its lengths.</param>
/// <param name="Length">What would be typed.</param>
internal sealed record PartLength(string PartId, LineLength Which, Length Length) : Change<Motif>
{
    /// <summary>It as a remedy.</summary>
    public Remedy Offered(Phrase words) =>
        new(FormattableString.Invariant($"{PartId} {Which} {Length.Millimetres}"), words) { Change = this };

    /// <inheritdoc/>
    public override Motif Of(Motif document) => document with { Parts = In(document.Parts) };

    private IReadOnlyList<Part> In(IReadOnlyList<Part> parts) =>
        [
            .. parts.Select(p =>
                p switch
                {
                    LetteringPart line when line.Id == PartId => Typed(line),
                    GroupPart group => group with { Parts = In(group.Parts) },
                    _ => p,
                }
            ),
        ];

    private LetteringPart Typed(LetteringPart line)
    {
        var typed = TypedLength.Mm(Length.Millimetres);
        return Which == LineLength.Circle
            ? line with
            {
                Circle = line.Circle with { Typed = typed },
            }
            : line with
            {
                Size = line.Size with { Typed = typed },
            };
    }
}

/// <summary>The lengths of a line that remedies change.</summary>
internal enum LineLength
{
    /// <summary>The circle that it goes round, across.</summary>
    Circle,

    /// <summary>What its size is given by.</summary>
    Size,
}
