using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>What the readings of one size of a blank amount to.</summary>
/// <param name="Rows">All rows, worked out.</param>
/// <param name="Of">The size; empty where there are none.</param>
internal sealed record Estimates(IReadOnlyList<DimensionResult> Rows, string Of)
{
    /// <summary>Figures that several rows were joined to, with where they come from; filled while the surface is worked out.</summary>
    public List<WorkedOut> Joined { get; } = [];

    /// <summary>A dimension; null when it was not read.</summary>
    public Dimension? Is(DimensionKind kind, string? of = null) => Row(kind, of)?.Is;

    /// <summary>Its letter and name.</summary>
    public string Title(DimensionKind kind, string? of = null) => Row(kind, of)?.Row.Title ?? "";

    /// <summary>Its letter.</summary>
    public string Letter(DimensionKind kind, string? of = null) => Row(kind, of)?.Row.Letter ?? "";

    /// <summary>How it was read.</summary>
    public ReadHow How(DimensionKind kind, string? of = null) => Row(kind, of)?.How ?? ReadHow.Of([]);

    /// <summary>A dimension that is needed; a finding asks for it when it was not read.</summary>
    public Dimension? Ask(DimensionKind kind, Phrase asking, List<BlankFinding> findings)
    {
        var found = Is(kind);
        if (found is null)
        {
            findings.Add(BlankFinding.Ask(kind, Of.Length > 0 ? Phrase.Say($"{Of:strong}: {asking}") : asking));
        }

        return found;
    }

    private DimensionResult? Row(DimensionKind kind, string? of) => Rows.FirstOrDefault(r => r.Row.Kind == kind && r.Row.Of == (of ?? Of));
}
