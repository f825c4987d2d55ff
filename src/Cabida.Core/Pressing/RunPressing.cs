using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Pressing;

/// <summary>What is done at the press, in order.</summary>
public enum PressDeed
{
    /// <summary>The bare goods are pressed.</summary>
    Bare,

    /// <summary>A film is pressed on.</summary>
    Lay,

    /// <summary>A film that was peeled is pressed again.</summary>
    Again,

    /// <summary>The goods are turned, for another face.</summary>
    Turn,
}

/// <summary>One line of a press plan.</summary>
/// <param name="Deed">What is done.</param>
/// <param name="Face">The face of the goods.</param>
/// <param name="Film">The film; empty for bare goods and for turning.</param>
/// <param name="Celsius">How hot; degrees Celsius.</param>
/// <param name="SetTo">What the press is set to for that; degrees Celsius.</param>
/// <param name="Seconds">For how long; zero for turning.</param>
/// <param name="Pressure">How hard.</param>
/// <param name="Peel">When the film's carrier is pulled off; null where none is.</param>
/// <param name="InAll">For how long the film is pressed in all, closings for what comes after it too; zero without a film.</param>
/// <param name="Bears">For how long it bears that.</param>
public sealed record PressLine(
    PressDeed Deed,
    string Face,
    string Film,
    double Celsius,
    double SetTo,
    int Seconds,
    PressPressure Pressure,
    Peel? Peel,
    int InAll,
    int Bears
);

/// <summary>How a run is pressed.</summary>
/// <param name="Lacks">What has to be known first; nothing is planned while there is any.</param>
/// <param name="Lines">What is done, in order; none where it cannot be done.</param>
/// <param name="Conflict">Why it cannot be done.</param>
/// <param name="Artwork">Where the platen is laid, by size and face.</param>
/// <param name="Seconds">The seconds of all closings on one piece, each as often as there are positions; of the size that takes
/// longest.</param>
public sealed record RunPressing(
    IReadOnlyList<Phrase> Lacks,
    IReadOnlyList<PressLine> Lines,
    PressConflict? Conflict,
    IReadOnlyList<PressedArtwork> Artwork,
    int Seconds
)
{
    /// <summary>How a run is pressed; null where nothing of it is.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="pieces">Its pieces, fitted.</param>
    /// <param name="press">The press; null where none is chosen.</param>
    /// <param name="stock">The films of the stock as they are now, by id: heat plans are of the film that is at hand.</param>
    /// <exception cref="NotWorkableException">There are too many layers.</exception>
    public static RunPressing? Of(ReadRun run, IReadOnlyList<FittedPiece> pieces, Press? press, IReadOnlyDictionary<string, Film> stock)
    {
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(pieces);
        ArgumentNullException.ThrowIfNull(stock);
        Film FilmOf(FilmPly ply) => stock.GetValueOrDefault(CutThing.FilmIdOf(run, ply.FilmId)) ?? run.Basis!.FilmOf(ply.FilmId);
        var faces = PressFaces.Of(run, pieces, ply => FilmOf(ply).IsPressed);
        if (faces.Count == 0)
        {
            return null;
        }

        var films = faces.SelectMany(f => f.Layers).Select(FilmOf).Distinct();
        List<Phrase> lacks = [.. films.Select(Lacking).OfType<Phrase>()];
        var artwork = press is null ? [] : faces.SelectMany(f => PressedArtwork.Of(run, f, press)).ToList();
        if (lacks.Count > 0)
        {
            return new RunPressing(lacks, [], null, artwork, 0);
        }

        var laid = faces
            .SelectMany(
                (f, i) => f.Layers.Select(p => (Layer: new PressLayer(NameOf(FilmOf(p), p), i, FilmOf(p).Heat.Read()!), FilmOf(p).Heat))
            )
            .ToList();
        var others = stock
            .Values.Where(f => f.IsPressed && f.Heat.Read() is not null)
            .OrderBy(f => f.Name, StringComparer.Ordinal)
            .Select(f => new PressLayer(f.Name, 0, f.Heat.Read()!))
            .ToList();
        var material = run.Blank!.Material;
        var answer = PressPlanning.Of(laid.ConvertAll(l => l.Layer), HeatBounds.Of(material, press), others);
        if (answer.Plan is not { } plan)
        {
            return new RunPressing([], [], answer.Conflict, artwork, 0);
        }

        // Two films may share a name: a layer is itself.
        HeatPlan HeatOf(PressLayer layer) => laid.First(l => ReferenceEquals(l.Layer, layer)).Heat;
        var bare = BareGoods.Seconds(material.Finish);
        List<PressLine> lines = [.. LinesOf(plan, [.. faces.Select(f => f.Name)], HeatOf, press, bare)];
        return new RunPressing([], lines, null, artwork, SecondsOf(plan, faces, artwork, bare));
    }

    private static string NameOf(Film film, FilmPly ply) => ply.Ply > 1 ? $"{film.Name}, sheet {ply.Ply}" : film.Name;

    private static Phrase? Lacking(Film film) =>
        film.Heat.Read() is not null ? null
        : film.Heat.Problems().Select(p => p.Problem).FirstOrDefault() is { } wrong
            ? Phrase.Say($"The heat plan of {film.Name:strong} cannot be used. {wrong}")
        : film.Heat.Window is null
            ? Phrase.Say($"{film.Name:strong} has no heat plan: note in the stock how hot and for how long it is pressed.")
        : Phrase.Say($"It is not noted for how many seconds {film.Name:strong} is pressed.");

    private static IEnumerable<PressLine> LinesOf(
        PressPlan plan,
        IReadOnlyList<string> faces,
        Func<PressLayer, HeatPlan> heatOf,
        Press? press,
        int bare
    )
    {
        double SetTo(double celsius) => press?.SetTo(celsius) ?? celsius;
        var last = -1;
        for (var i = 0; i < plan.Closings.Count; i++)
        {
            var closing = plan.Closings[i];
            var layer = plan.Layers[closing.Layer];
            var (heat, celsius) = (heatOf(layer), closing.Celsius);
            if (i == 0 && bare > 0)
            {
                yield return new PressLine(PressDeed.Bare, faces[layer.Face], "", celsius, SetTo(celsius), bare, heat.Pressure, null, 0, 0);
            }
            else if (i > 0 && layer.Face != last)
            {
                yield return new PressLine(PressDeed.Turn, faces[layer.Face], "", celsius, SetTo(celsius), 0, heat.Pressure, null, 0, 0);
            }

            yield return new PressLine(
                closing.IsSecond ? PressDeed.Again : PressDeed.Lay,
                faces[layer.Face],
                layer.Film,
                celsius,
                SetTo(celsius),
                closing.Seconds,
                heat.Pressure,
                closing.IsSecond ? null : heat.Peel,
                plan.SecondsOf(closing.Layer),
                layer.Needs.Most
            );
            last = layer.Face;
        }
    }

    private static int SecondsOf(PressPlan plan, IReadOnlyList<PressFace> faces, IReadOnlyList<PressedArtwork> artwork, int bare)
    {
        int Positions(string size, int face) =>
            artwork.Where(a => a.Size == size && a.Face == faces[face].Word).Sum(a => a.Plan?.Positions.Count ?? 1) is var n and > 0
                ? n
                : 1;
        return artwork
            .Select(a => a.Size)
            .DefaultIfEmpty("")
            .Distinct()
            .Max(size => bare + plan.Closings.Sum(c => c.Seconds * Positions(size, plan.Layers[c.Layer].Face)));
    }
}
