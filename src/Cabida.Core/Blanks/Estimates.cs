using Cabida.Core.Findings;
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

    /// <summary>The face of its own that is asked about; null for the thing itself.</summary>
    public FaceSpec? Face { get; private init; }

    /// <summary>The same of a face with an outline of its own.</summary>
    public Estimates On(FaceSpec face) => this with { Face = face };

    /// <summary>A dimension; null when it was not read.</summary>
    public Dimension? Is(DimensionKind kind, string? of = null) => Row(kind, of)?.Is;

    /// <summary>Its letter and name.</summary>
    public string Title(DimensionKind kind, string? of = null) => Row(kind, of)?.Row.Title ?? "";

    /// <summary>Its letter.</summary>
    public string Letter(DimensionKind kind, string? of = null) => Row(kind, of)?.Row.Letter ?? "";

    /// <summary>How it was read.</summary>
    public ReadHow How(DimensionKind kind, string? of = null) => Row(kind, of)?.How ?? ReadHow.Of([]);

    /// <summary>A dimension that is needed; a finding asks for it when it was not read.</summary>
    public Dimension? Ask(DimensionKind kind, Phrase asking, List<Finding> findings)
    {
        var found = Is(kind);
        if (found is null)
        {
            Lacks(kind, asking, findings);
        }

        return found;
    }

    /// <summary>Asks for what was not read, by the size and face that lack it.</summary>
    public void Lacks(DimensionKind kind, Phrase asking, List<Finding> findings)
    {
        var of = string.Join(", ", new[] { Of, Face?.Name ?? "" }.Where(w => w.Length > 0));
        findings.Add(BlankFindings.Ask(kind, of.Length > 0 ? Phrase.Say($"{of:strong}: {asking}") : asking));
    }

    private DimensionResult? Row(DimensionKind kind, string? of) =>
        Rows.FirstOrDefault(r => r.Row.Kind == kind && r.Row.Of == (of ?? Of) && r.Row.Face == (Face?.Id ?? ""));
}
