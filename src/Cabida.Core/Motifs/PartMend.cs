using Cabida.Core.Measures;
using Cabida.Core.Type;

namespace Cabida.Core.Motifs;

/// <summary>
/// What is changed of a part so that it can be cut, in its motif or in one piece. Lengths are on the finished piece; what is empty stays as
/// it is.
/// </summary>
/// <param name="PartId">The part.</param>
public sealed record PartMend(string PartId)
{
    /// <summary>How far its outlines are grown at every side; lettering and graphics alone.</summary>
    public TypedLength Strengthen { get; init; } = TypedLength.Empty;

    /// <summary>How thick it is; rules alone.</summary>
    public TypedLength Thick { get; init; } = TypedLength.Empty;

    /// <summary>How far letters stand apart at least; lettering alone.</summary>
    public TypedLength Apart { get; init; } = TypedLength.Empty;

    /// <summary>Its typeface; empty for the one it has.</summary>
    public string TypefaceId { get; init; } = "";

    /// <summary>What is done to its ink.</summary>
    public InkMending Ink { get; init; } = InkMending.None;

    /// <summary>Whether the layer that it is cut from is held together by ties.</summary>
    public bool Tied { get; init; }

    /// <summary>Whether of outlines traced twice only the outer one is kept; graphics alone.</summary>
    public bool Single { get; init; }

    /// <summary>What becomes of outlines that do not close; null for what it is, graphics alone.</summary>
    public OpenOutlines? Open { get; init; }

    /// <summary>All that another says of the same part, and this where it says nothing.</summary>
    public PartMend With(PartMend other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return new PartMend(PartId)
        {
            Strengthen = other.Strengthen.IsEmpty ? Strengthen : other.Strengthen,
            Thick = other.Thick.IsEmpty ? Thick : other.Thick,
            Apart = other.Apart.IsEmpty ? Apart : other.Apart,
            TypefaceId = other.TypefaceId.Length > 0 ? other.TypefaceId : TypefaceId,
            Ink = Ink.With(other.Ink),
            Tied = Tied || other.Tied,
            Single = Single || other.Single,
            Open = other.Open ?? Open,
        };
    }

    /// <summary>A motif with the part changed so, wherever it stands in it.</summary>
    public Motif On(Motif motif)
    {
        ArgumentNullException.ThrowIfNull(motif);
        return motif with { Parts = [.. motif.Parts.Select(On)] };
    }

    private Part On(Part part)
    {
        var inner = part is GroupPart group ? group with { Parts = [.. group.Parts.Select(On)] } : part;
        return part.Id != PartId ? inner : Changed(inner) with { Mending = inner.Mending.With(Ink), Tied = inner.Tied || Tied };
    }

    private Part Changed(Part part) =>
        part switch
        {
            LetteringPart line => line with
            {
                Strengthen = Fixed(Strengthen) ?? line.Strengthen,
                Joins = Apart.IsEmpty ? line.Joins : LetterJoins.KeptApart,
                JoinBy = Fixed(Apart) ?? line.JoinBy,
                TypefaceId = TypefaceId.Length > 0 ? TypefaceId : line.TypefaceId,
            },
            RulePart rule => rule with { Thickness = Fixed(Thick) ?? rule.Thickness },
            GraphicPart graphic => graphic with
            {
                Strengthen = Fixed(Strengthen) ?? graphic.Strengthen,
                DoubledRemoved = graphic.DoubledRemoved || Single,
                Open = Open ?? graphic.Open,
            },
            _ => part,
        };

    private static MotifLength? Fixed(TypedLength typed) => typed.IsEmpty ? null : new MotifLength(typed, Scaling.Fixed);
}
