using System.Globalization;
using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Web.Inks;
using Cabida.Web.Library;

namespace Cabida.Web.Motifs;

/// <summary>A letter of a line, so that it can be pointed at.</summary>
/// <param name="Index">Which letter of the line, from 0.</param>
/// <param name="Letter">The letter.</param>
/// <param name="Box">The box of its ink.</param>
internal sealed record LetterView(int Index, string Letter, Box Box);

/// <summary>A part as set with the sample name, at the size typed.</summary>
/// <param name="PartId">The part.</param>
/// <param name="Box">The box of its ink; millimetres, y up.</param>
/// <param name="CapitalHeight">The height of its capitals; zero for what is no lettering.</param>
/// <param name="Path">Its own ink, before anything is taken from it.</param>
/// <param name="Weight">About how thick its strokes are: twice its area by the length of its outline.</param>
/// <param name="Words">What a line says with the sample name; empty for others.</param>
/// <param name="Letters">The letters of a line.</param>
/// <param name="IsRound">Whether its middle is that of a circle.</param>
/// <param name="Forms">The forms of letters that were chosen for it, in words, in the order of the part's own.</param>
/// <param name="Nudged">How far it was nudged, as it was typed in whatever unit; millimetres.</param>
internal sealed record SetPartView(
    string PartId,
    Box Box,
    double CapitalHeight,
    string Path,
    double Weight,
    string Words,
    IReadOnlyList<LetterView> Letters,
    bool IsRound,
    IReadOnlyList<string> Forms,
    PlanePoint Nudged
);

/// <summary>A motif with its ink on its ground; millimetres, y up, the coordinates of the ground.</summary>
internal sealed record MotifView(
    string Id,
    int Revision,
    DateTime ChangedAt,
    Motif Motif,
    string Sample,
    IReadOnlyList<InkView> Inks,
    Box? InkBox,
    IReadOnlyList<SetPartView> Parts,
    GroundView Ground,
    IReadOnlyList<Finding> Problems,
    IReadOnlyList<Finding> Notes,
    IReadOnlyList<string> UsedBy
);

/// <summary>How large a motif's ground would take it; asked for by itself, since it takes many compositions.</summary>
/// <param name="FitsAt">What its sizes would be multiplied by; null where there is no ground or nothing scales.</param>
internal sealed record MotifFit(double? FitsAt);

/// <summary>How far a part would move; millimetres, y up.</summary>
internal sealed record PartMove(string PartId, double Right, double Up);

/// <summary>A motif as a change would have it, beside how it stands.</summary>
/// <param name="Path">The ink of the parts that would stand elsewhere or be of another size; the coordinates of the ground.</param>
/// <param name="Moves">How far the middles of their boxes would move.</param>
internal sealed record MotifGhost(string Path, IReadOnlyList<PartMove> Moves);

/// <summary>A motif among others.</summary>
internal sealed record MotifCard(
    string Id,
    int Revision,
    string Name,
    IReadOnlyList<InkView> Inks,
    Box? InkBox,
    IReadOnlyList<string> Fields,
    IReadOnlyList<string> UsedBy
);

internal sealed class MotifViews(
    Cabida.Store.Library library,
    ITypefaces faces,
    IGraphics graphics,
    GroundReader grounds,
    InkCache cache,
    InkPaths paths
) : IViews<Motif, MotifView>
{
    /// <summary>The name that fills the name field while neither a list nor the motif does.</summary>
    private const string Sample = "Agnieszka";

    public IEnumerable<Finding> Mendable(MotifView view) => view.Notes;

    public async Task<MotifView> Of(Stored<Motif> stored, CancellationToken stop)
    {
        var motif = stored.Document;
        var ground = await grounds.Read(motif.Ground, stop);
        var films = await Films(motif, stop);
        var composition = Compose(motif, ground.Shape);
        var parts = composition.PartsAt(1);
        var layers = composition.FilmsOf(parts, 1);
        // A part may fail only where it is joined with others; then nothing of it is shown.
        parts = [.. parts.Where(p => !composition.LeftOut.ContainsKey(p.Part.Id))];
        var ink = layers.Select(l => l.Moved(Motion.Move(ground.Datum.X, ground.Datum.Y))).ToList();
        Film? FilmOf(FilmPly f) => films.GetValueOrDefault(f.FilmId);
        return new MotifView(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            motif,
            SampleOf(motif),
            [.. ink.Select(i => InkView.Of(i.Film, FilmOf(i.Film), paths.Of(i)))],
            Box.Around(ink.Select(i => i.Box).OfType<Box>()),
            [.. parts.SelectMany(p => p.Moved(ground.Datum.X, ground.Datum.Y).WithInner).Select(Set)],
            ground.View,
            MotifProblems.Of(motif, faces, graphics),
            [.. MotifNotes.Of(composition, parts, motif, ground.Shape), .. FilmContrast.Of(layers, FilmOf, ground.Material)],
            await library.UsedBy(DocumentKinds.Motif, stored.Id, stop)
        );
    }

    /// <summary>
    /// What a motif's sizes would be multiplied by to be as large as its ground allows; null where there is none or nothing scales.
    /// </summary>
    public async Task<MotifFit> FitOf(Motif motif, CancellationToken stop)
    {
        var ground = await grounds.Read(motif.Ground, stop);
        var composition = Compose(motif, ground.Shape);
        return new MotifFit(
            ground.Zone is { } zone && !composition.IsFixed ? LargestFit.Find(composition, composition.AllScales, zone) : null
        );
    }

    /// <summary>What would stand elsewhere if a motif were another; the other is not kept.</summary>
    public async Task<MotifGhost> GhostOf(Motif now, Motif other, CancellationToken stop)
    {
        async Task<List<PlacedPart>> Parts(Motif motif)
        {
            var ground = await grounds.Read(motif.Ground, stop);
            return [.. Compose(motif, ground.Shape).PartsAt(1).Select(p => p.Moved(ground.Datum.X, ground.Datum.Y))];
        }

        var stood = (await Parts(now))
            .SelectMany(p => p.WithInner)
            .DistinctBy(p => p.Part.Id)
            .ToDictionary(p => p.Part.Id, p => p.Box, StringComparer.Ordinal);
        bool Moves(PlacedPart part) => !stood.TryGetValue(part.Part.Id, out var box) || !Same(box, part.Box);
        // A group is drawn whole, with all its copies, when something inside it moves.
        var moved = (await Parts(other)).Where(p => p.WithInner.Any(Moves)).ToList();
        return new MotifGhost(
            string.Concat(moved.SelectMany(p => p.Ink).Select(paths.Of)),
            [
                .. moved
                    .SelectMany(p => p.WithInner)
                    .Where(p => Moves(p) && stood.ContainsKey(p.Part.Id))
                    .Select(p => new PartMove(
                        p.Part.Id,
                        p.Box.CentreX - stood[p.Part.Id].CentreX,
                        p.Box.CentreY - stood[p.Part.Id].CentreY
                    )),
            ]
        );

        static bool Same(Box a, Box b) =>
            Math.Max(
                Math.Max(Math.Abs(a.MinX - b.MinX), Math.Abs(a.MaxX - b.MaxX)),
                Math.Max(Math.Abs(a.MinY - b.MinY), Math.Abs(a.MaxY - b.MaxY))
            ) < Tolerances.File;
    }

    /// <summary>A motif among others; what uses it is told beside.</summary>
    public async Task<MotifCard> CardOf(Stored<Motif> stored, CancellationToken stop)
    {
        var motif = stored.Document;
        var ground = await grounds.Read(motif.Ground, stop);
        var films = await Films(motif, stop);
        var composition = Compose(motif, ground.Shape);
        var layers = composition.FilmsOf(composition.PartsAt(1), 1);
        return new MotifCard(
            stored.Id,
            stored.Revision,
            motif.Name,
            [.. layers.Select(i => InkView.Of(i.Film, films.GetValueOrDefault(i.Film.FilmId), paths.Of(i)))],
            Box.Around(layers.Select(i => i.Box).OfType<Box>()),
            Fields.In(motif),
            []
        );
    }

    /// <summary>The motif with its sample name, against a ground.</summary>
    public Composition Compose(Motif motif, GroundShape ground) =>
        Composition.Of(
            motif,
            new Dictionary<string, string>(StringComparer.Ordinal) { [Fields.Name] = SampleOf(motif) },
            new Composing(faces, graphics, ground, cache, LeavesOutFailing: true)
        );

    /// <summary>The name that a motif is seen with.</summary>
    public static string SampleOf(Motif motif) => string.IsNullOrWhiteSpace(motif.Sample) ? Sample : motif.Sample.Trim();

    /// <summary>The films that a motif's parts name, as they stand now.</summary>
    private async Task<Dictionary<string, Film>> Films(Motif motif, CancellationToken stop)
    {
        var films = new Dictionary<string, Film>(StringComparer.Ordinal);
        foreach (var id in motif.FilmIds)
        {
            if (await library.Find(DocumentKinds.Film, id, stop) is { } film)
            {
                films[id] = film.Document;
            }
        }

        return films;
    }

    private SetPartView Set(PlacedPart part)
    {
        var ink = part.Ink.ToList();
        return new SetPartView(
            part.Part.Id,
            part.Box,
            part.CapitalHeight,
            string.Concat(ink.Select(paths.Of)),
            paths.WeightOf(ink),
            part.Line?.Line.Text ?? "",
            [.. LettersOf(part)],
            part.Round is not null,
            [.. part.Part is LetteringPart lettering ? lettering.Alternates.Select(a => a.InWords) : []],
            new PlanePoint(Typed(part.Part.Nudge.Right), Typed(part.Part.Nudge.Up))
        );

        static double Typed(MotifLength length) => length.Typed.OrZero(LengthRange.Offset).Millimetres;
    }

    private static IEnumerable<LetterView> LettersOf(PlacedPart placed)
    {
        if (placed.Line is not { } line)
        {
            yield break;
        }

        var starts = StringInfo.ParseCombiningCharacters(line.Line.Text);
        for (var i = 0; i < starts.Length; i++)
        {
            if (line.BoxOfLetter(starts[i]) is { } box)
            {
                yield return new LetterView(i, line.Line.LetterOf(starts[i]), placed.Motion.Of(box));
            }
        }
    }
}
