using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;

namespace Cabida.Core.Fitting;

/// <summary>A piece set in one way in one zone, not sized yet.</summary>
/// <param name="Variant">How its name line is set.</param>
/// <param name="Zone">The zone.</param>
/// <param name="Laying">How it comes to lie on it.</param>
/// <param name="Composition">Its motif with its fields filled.</param>
internal sealed record Setting(PieceVariant Variant, Zone Zone, Laying Laying, Composition Composition);

/// <summary>The ways in which one piece of a run can be set, and the size that is wanted of it.</summary>
internal sealed class PieceSetting
{
    private readonly FitBasis basis;
    private readonly Piece piece;
    private readonly IReadOnlyDictionary<string, string> fields;
    private readonly IReadOnlyList<PieceLetter> letters;

    public PieceSetting(Piece piece, FitBasis basis)
    {
        (this.piece, this.basis) = (piece, basis);
        fields = piece.Fields;
        Name = basis.Motif.NameLine;
        Words = Name is null ? "" : Motifs.Fields.Fill(Name.Text, fields).Trim();
        Lost = [.. OverridesLost.Of(piece.Own, this, basis)];
        var own = Lost.Count == 0 ? piece.Own : OverridesLost.Without(piece.Own, this, basis);
        letters = own.Letters;
        Own = PieceVariant.Of(own);
        var (right, up) = (own.Right.OrZero(LengthRange.Offset).Millimetres, own.Up.OrZero(LengthRange.Offset).Millimetres);
        Rules = basis.Rules with
        {
            Turning = basis.Zone.Turning,
            TurnRange = basis.Zone.TurnRange,
            Nudge = new(basis.Rules.Nudge.X + right, basis.Rules.Nudge.Y + up),
        };
        Height = own.LetterHeight.Read(LengthRange.Artwork).ValueOrDefault?.Value.Millimetres ?? basis.LetterHeightOf(piece);
    }

    /// <summary>The line with the name field, when there is one.</summary>
    public LetteringPart? Name { get; }

    /// <summary>What that line says in this piece.</summary>
    public string Words { get; }

    /// <summary>How the piece's own overrides set it.</summary>
    public PieceVariant Own { get; }

    /// <summary>Overrides that no longer apply, in words.</summary>
    public IReadOnlyList<Wording.Phrase> Lost { get; }

    /// <summary>What its fit may do.</summary>
    public FitRules Rules { get; }

    /// <summary>The letter height that is wanted; null for as large as it can.</summary>
    public double? Height { get; }

    /// <summary>What its fields say.</summary>
    public IReadOnlyDictionary<string, string> Fields => fields;

    /// <summary>Sets the piece.</summary>
    public Setting Set(PieceVariant variant, Zone? zone = null)
    {
        var on = zone ?? basis.Zone;
        return new(
            variant,
            on,
            Laying.Of(on, basis.Wall, basis.Taper),
            Composition.Of(variant.On(basis.Motif, Name?.Id, Words, letters), fields, basis.Composing(on))
        );
    }

    /// <summary>What may be done with a composition: what hangs on its ground has a place and a way up.</summary>
    public FitRules RulesFor(Composition composition) => composition.HangsOnGround ? FitRules.OnDatum : Rules;

    /// <summary>The largest fit of a setting; null when nothing fits or nothing scales.</summary>
    public FitPlace? LargestOf(Setting set) =>
        set.Composition.IsFixed ? null : set.Laying.Largest(set.Composition, RulesFor(set.Composition));

    /// <summary>The scale that is wanted of a setting; null for as large as it can be.</summary>
    /// <param name="set">The setting.</param>
    /// <param name="smaller">Less than the set's size by this share.</param>
    public double? WantedScale(Setting set, double smaller = 0)
    {
        if (set.Composition.IsFixed)
        {
            return 1;
        }

        var wanted = Height is { } height && NameHeight(set.Composition.PartsAt(1)) is var atOne and > 0 ? height / atOne : basis.Scale;
        return wanted * (1 - smaller);
    }

    /// <summary>The height of the capitals of the name's line, or of the first line where no line holds a name; zero without it.</summary>
    public double NameHeight(IReadOnlyList<PlacedPart> parts) =>
        parts
            .SelectMany(p => p.WithInner)
            .FirstOrDefault(p => Name is { } name ? p.Part.Key.Begins(name.Id) && p.Line is not null : p.Line is not null)
            ?.CapitalHeight
        ?? 0;
}
