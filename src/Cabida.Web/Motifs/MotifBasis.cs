using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Store;

namespace Cabida.Web.Motifs;

/// <summary>A motif on its ground as a run would have it, before there is one.</summary>
internal static class MotifBasis
{
    /// <summary>The film that a motif is looked at in where it names none: the first there is.</summary>
    public static async Task<Film> FirstFilm(Cabida.Store.Library library, CancellationToken stop) =>
        (await library.All(DocumentKinds.Film, stop)).Select(f => f.Document).FirstOrDefault()
        ?? new Film(
            "film",
            "#23282c",
            FilmPurpose.Stays,
            false,
            Core.Measures.TypedLength.Mm(0.8),
            Core.Measures.TypedLength.Mm(300),
            Core.Measures.TypedLength.Mm(300),
            new CutSettings("", "", "", "", "")
        );

    /// <summary>The motif on its ground as a run would have it; without one, as large as it is typed.</summary>
    public static FitBasis Of(Motif motif, ReadGround ground, Film film, AtHand atHand)
    {
        var shape = ground.Zone ?? Unbounded(motif, atHand);
        var zone = new Zone(
            shape,
            shape,
            new Core.Measures.Dimension(Core.Measures.Length.Mm(shape.Bounds.Width), Core.Measures.Length.Zero),
            new Core.Measures.Dimension(Core.Measures.Length.Mm(shape.Bounds.Height), Core.Measures.Length.Zero),
            0,
            []
        );
        return new FitBasis(motif, null, null, zone, film, null, atHand);
    }

    /// <summary>Without a ground it stands in the room that the motif takes as it is.</summary>
    private static ZoneShape Unbounded(Motif motif, AtHand atHand)
    {
        var fields = new Dictionary<string, string>(StringComparer.Ordinal) { [Fields.Name] = MotifViews.SampleOf(motif) };
        var box = Composition.Of(motif, fields, new Composing(atHand.Faces, atHand.Graphics, GroundShape.None, atHand.Cache)).BoxAt(1)
            ?? new Box(-50, -30, 50, 30);
        return ZoneShape.Rectangle(box, LimitKind.Size);
    }

    /// <summary>The films that a motif's parts name, as they are now.</summary>
    public static async Task<IReadOnlyDictionary<string, Film>> FilmsOf(Motif motif, Cabida.Store.Library library, CancellationToken stop)
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
}
