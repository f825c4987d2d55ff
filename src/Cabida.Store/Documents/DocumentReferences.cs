using Cabida.Core.Blanks;
using Cabida.Core.Motifs;
using Cabida.Core.Orders;
using Cabida.Core.Runs;
using Cabida.Core.Stock;

namespace Cabida.Store;

/// <summary>What documents refer to.</summary>
internal static class DocumentReferences
{
    public static IEnumerable<Reference> Of(Motif motif)
    {
        var ground = motif.Ground.BlankId.Length > 0 ? [new Reference(DocumentKinds.Blank.Kind, motif.Ground.BlankId)] : NoReferences;
        return ground.Concat(motif.AllParts.SelectMany(p => FilmOf(p.FilmId).Concat(Of(p))));
    }

    public static IEnumerable<Reference> Of(Blank blank)
    {
        var pictures = blank
            .Faces.Select(f => f.Outline)
            .Prepend(blank.Outline)
            .Select(o => o.Drawn?.PictureId)
            .Prepend(blank.PictureId)
            .OfType<string>()
            .Select(p => new Reference(DocumentKinds.Picture, p));
        return blank.JobId is { } job ? pictures.Append(new Reference(DocumentKinds.Job.Kind, job)) : pictures;
    }

    public static IEnumerable<Reference> Of(RunSetUp run) => MadeOf(run).Prepend(new Reference(DocumentKinds.Job.Kind, run.JobId));

    public static IEnumerable<Reference> Of(Offer offer) => MadeOf(offer.SetUp);

    private static IEnumerable<Reference> MadeOf(RunSetUp run) =>
        [
            .. PinOf(DocumentKinds.Blank.Kind, run.Blank),
            .. PinOf(DocumentKinds.Motif.Kind, run.Motif),
            .. PinOf(DocumentKinds.Film.Kind, run.Film),
            .. PinOf(DocumentKinds.Cutter.Kind, run.Cutter),
            .. run.Films.SelectMany(f => PinOf(DocumentKinds.Film.Kind, f)),
            .. run.Sides.SelectMany(s => PinOf(DocumentKinds.Motif.Kind, s.Motif)),
            .. run.Concessions.SelectMany(c => TypefaceOf(c.TypefaceId)),
            .. run.PressId.Length > 0 ? [new Reference(DocumentKinds.Press.Kind, run.PressId)] : NoReferences,
        ];

    public static IEnumerable<Reference> Of(RunList list) =>
        list.Pieces.SelectMany(p => p.AllOwn).SelectMany(o => TypefaceOf(o.TypefaceId));

    public static IEnumerable<Reference> Of(Workshop workshop) =>
        workshop.MarkId.Length > 0 ? [new Reference(DocumentKinds.Graphic.Kind, workshop.MarkId)] : NoReferences;

    private static Reference[] NoReferences => [];

    private static Reference[] Of(Part part) =>
        part switch
        {
            LetteringPart l => [new Reference(DocumentKinds.Typeface, l.TypefaceId)],
            GraphicPart g => [new Reference(DocumentKinds.Graphic.Kind, g.GraphicId), .. g.Films.SelectMany(f => FilmOf(f.FilmId))],
            _ => NoReferences,
        };

    private static Reference[] FilmOf(string id) => id.Length > 0 ? [new Reference(DocumentKinds.Film.Kind, id)] : [];

    private static Reference[] TypefaceOf(string id) => id.Length > 0 ? [new Reference(DocumentKinds.Typeface, id)] : [];

    private static Reference[] PinOf(string kind, Pin? pin) => pin is null ? [] : [new Reference(kind, pin.Id, pin.Revision)];
}
