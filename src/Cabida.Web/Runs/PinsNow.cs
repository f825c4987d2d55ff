using Cabida.Core.Runs;
using Cabida.Store;

namespace Cabida.Web.Runs;

/// <summary>Sets a run up with things as they are now.</summary>
internal sealed class PinsNow(Cabida.Store.Library library)
{
    /// <summary>A set-up in which everything that it pins is as it is now.</summary>
    /// <param name="setUp">The set-up.</param>
    /// <param name="stays">Whether something stays as it was; nothing does without.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<RunSetUp> Of(RunSetUp setUp, Func<Pin, bool>? stays, CancellationToken stop)
    {
        async Task<Pin?> Now(DocumentKind kind, Pin? pin) =>
            pin is null || stays?.Invoke(pin) == true ? pin : pin with { Revision = await library.RevisionOf(kind, pin.Id, stop) };
        var films = new List<Pin>();
        foreach (var film in setUp.Films)
        {
            films.Add((await Now(DocumentKinds.Film, film))!);
        }

        var sides = new List<RunSide>();
        foreach (var side in setUp.Sides)
        {
            sides.Add(side with { Motif = await Now(DocumentKinds.Motif, side.Motif) });
        }

        return setUp with
        {
            Blank = await Now(DocumentKinds.Blank, setUp.Blank),
            Motif = await Now(DocumentKinds.Motif, setUp.Motif),
            Film = await Now(DocumentKinds.Film, setUp.Film),
            Cutter = await Now(DocumentKinds.Cutter, setUp.Cutter),
            Films = films,
            Sides = sides,
        };
    }
}
