using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Web.Library;

namespace Cabida.Web.Motifs;

/// <summary>A part as set with the sample name, at the size typed.</summary>
/// <param name="PartId">The part.</param>
/// <param name="Box">The box of its ink; millimetres, y up, the whole centred on the origin.</param>
/// <param name="CapitalHeight">The height of its capitals; zero for a rule.</param>
internal sealed record SetPartView(string PartId, Box Box, double CapitalHeight);

/// <summary>A motif with its ink.</summary>
internal sealed record MotifView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Motif Motif,
    string Sample,
    string InkPath,
    Box? InkBox,
    IReadOnlyList<SetPartView> Parts,
    IReadOnlyList<MotifProblem> Problems,
    IReadOnlyList<Phrase> Notes,
    IReadOnlyList<string> UsedBy);

/// <summary>A motif among others.</summary>
internal sealed record MotifCard(string Id, int Revision, string Name, string InkPath, Box? InkBox, IReadOnlyList<string> Fields, IReadOnlyList<string> UsedBy);

internal sealed class MotifViews(Cabida.Store.Library library, ITypefaces faces, InkCache cache) : IViews<Motif, MotifView>
{
    /// <summary>The name that fills the name field while no list does.</summary>
    private const string Sample = "Agnieszka";

    public async Task<MotifView> Of(Stored<Motif> stored, CancellationToken stop)
    {
        var composition = Compose(stored.Document);
        var parts = composition.PartsAt(1);
        var ink = Composition.InkOf(parts);
        var notes = composition.Lacking.Select(l => Phrase.Say(
            $"{l.Line.Face.Info.Name} lacks a character of “{l.Line.Text}”: {string.Join(", ", l.Line.Missing.Select(i => System.Globalization.StringInfo.GetNextTextElement(l.Line.Text, i)).Distinct()):strong}.")).ToList();
        return new MotifView(
            stored.Id, stored.Revision, stored.ChangedAt, stored.Document, Sample, SvgPath.Of(ink, Tolerances.File), Box.Of(ink),
            [.. parts.Select(p => new SetPartView(p.Part.Id, p.Box, p.CapitalHeight))],
            MotifProblems.Of(stored.Document, faces), notes, await library.UsedBy(DocumentKinds.Motif, stored.Id, stop));
    }

    public async Task<MotifCard> CardOf(Stored<Motif> stored, CancellationToken stop)
    {
        var ink = Compose(stored.Document).InkAt(1);
        return new MotifCard(
            stored.Id, stored.Revision, stored.Document.Name, SvgPath.Of(ink, Tolerances.File), Box.Of(ink),
            Fields.In(stored.Document), await library.UsedBy(DocumentKinds.Motif, stored.Id, stop));
    }

    private Composition Compose(Motif motif) => Composition.Of(
        motif, new Dictionary<string, string>(StringComparer.Ordinal) { [Fields.Name] = Sample }, faces, cache);
}
