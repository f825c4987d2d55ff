using Cabida.Core.Blanks;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;

namespace Cabida.Store;

/// <summary>A reference from one document to another.</summary>
/// <param name="Kind">What is referred to.</param>
/// <param name="Id">Which one.</param>
public readonly record struct Reference(string Kind, string Id);

/// <summary>What the store has to know of a kind of document.</summary>
/// <param name="Kind">Its name in the database.</param>
/// <param name="NameOf">What a document of it is called.</param>
/// <param name="ReferencesOf">What a document of it refers to.</param>
public sealed record DocumentKind<T>(string Kind, Func<T, string> NameOf, Func<T, IEnumerable<Reference>> ReferencesOf);

/// <summary>The kinds of document.</summary>
public static class DocumentKinds
{
    /// <summary>Blanks of the shelf.</summary>
    public static DocumentKind<Blank> Blank { get; } = new("blank", b => b.Name, ReferencesOf);

    /// <summary>Motifs.</summary>
    public static DocumentKind<Motif> Motif { get; } = new("motif", m => m.Name, ReferencesOf);

    /// <summary>Films.</summary>
    public static DocumentKind<Film> Film { get; } = new("film", f => f.Name, _ => []);

    /// <summary>Cutters.</summary>
    public static DocumentKind<Cutter> Cutter { get; } = new("cutter", c => c.Name, _ => []);

    /// <summary>Jobs.</summary>
    public static DocumentKind<Job> Job { get; } = new("job", j => j.Name, _ => []);

    /// <summary>Runs.</summary>
    public static DocumentKind<Run> Run { get; } = new("run", r => r.Name, ReferencesOf);

    /// <summary>Graphics; their outlines are kept beside the documents.</summary>
    public static DocumentKind<Graphic> Graphic { get; } = new("graphic", g => g.Name, _ => []);

    /// <summary>The maker's own settings; there is one.</summary>
    public static DocumentKind<Workshop> Workshop { get; } =
        new("workshop", w => w.Name, w => w.MarkId.Length > 0 ? [new Reference("graphic", w.MarkId)] : []);

    /// <summary>What typefaces are called in references; they are kept beside the documents.</summary>
    public const string Typeface = "typeface";

    /// <summary>What pictures are called in references; they are kept beside the documents.</summary>
    public const string Picture = "picture";

    private static IEnumerable<Reference> ReferencesOf(Motif motif)
    {
        var ground = motif.Ground.BlankId.Length > 0 ? [new Reference(Blank.Kind, motif.Ground.BlankId)] : Array.Empty<Reference>();
        return ground.Concat(
            motif.AllParts.SelectMany(
                IEnumerable<Reference> (p) =>
                    [
                        .. p.FilmId.Length > 0 ? [new Reference(Film.Kind, p.FilmId)] : Array.Empty<Reference>(),
                        .. p switch
                        {
                            LetteringPart l => [new Reference(Typeface, l.TypefaceId)],
                            GraphicPart g =>
                            [
                                new Reference(Graphic.Kind, g.GraphicId),
                                .. g.Films.Where(f => f.FilmId.Length > 0).Select(f => new Reference(Film.Kind, f.FilmId)),
                            ],
                            _ => Array.Empty<Reference>(),
                        },
                    ]
            )
        );
    }

    private static IEnumerable<Reference> ReferencesOf(Blank blank)
    {
        var pictures = blank
            .Faces.Select(f => f.Outline)
            .Prepend(blank.Outline)
            .Select(o => o.Drawn?.PictureId)
            .Prepend(blank.PictureId)
            .OfType<string>()
            .Distinct()
            .Select(p => new Reference(Picture, p));
        return blank.JobId is { } job ? pictures.Append(new Reference(Job.Kind, job)) : pictures;
    }

    private static IEnumerable<Reference> ReferencesOf(Run run)
    {
        yield return new Reference(Job.Kind, run.JobId);
        foreach (
            var (kind, pin) in new[] { (Blank.Kind, run.Blank), (Motif.Kind, run.Motif), (Film.Kind, run.Film), (Cutter.Kind, run.Cutter) }
        )
        {
            if (pin is not null)
            {
                yield return new Reference(kind, pin.Id);
            }
        }

        foreach (var film in run.Films)
        {
            yield return new Reference(Film.Kind, film.Id);
        }

        foreach (var motif in run.Sides.Select(s => s.Motif).OfType<Pin>())
        {
            yield return new Reference(Motif.Kind, motif.Id);
        }

        foreach (
            var face in run
                .Concessions.Select(c => c.TypefaceId)
                .Concat(run.Pieces.SelectMany(p => p.AllOwn).Select(o => o.TypefaceId))
                .Where(f => f.Length > 0)
        )
        {
            yield return new Reference(Typeface, face);
        }
    }
}
