using Cabida.Core.Orders;
using Cabida.Core.Runs;

namespace Cabida.Store;

/// <summary>Revisions of an archive → those of the same states here, so that what pins one goes on to pin the same.</summary>
internal sealed class PinMap
{
    private readonly Dictionary<(string Kind, string Id, int Revision), int> here = [];

    /// <summary>Notes where a state is found here.</summary>
    public void Add(string kind, string id, int there, int found) => here[(kind, id, there)] = found;

    /// <summary>What a text of a run's set-up or an offer says here; the same text where it pins nothing else.</summary>
    public (int Form, string Text) In(RowKind row, int form, string text)
    {
        if (row.Kind != DocumentKinds.Run.Kind && row.Kind != DocumentKinds.Offer.Kind)
        {
            return (form, text);
        }

        object read;
        try
        {
            read = row.Read(form, text);
        }
        catch (Core.Wording.NotWorkableException)
        {
            return (form, text);
        }

        object mapped = read switch
        {
            RunSetUp setUp => Map(setUp),
            Offer offer => offer with { SetUp = Map(offer.SetUp) },
            _ => read,
        };
        var (before, after) = (row.StateOf(read).Json, row.StateOf(mapped).Json);
        return before == after ? (form, text) : (row.Forms.Current, after);
    }

    private RunSetUp Map(RunSetUp run) =>
        run with
        {
            Blank = Map(DocumentKinds.Blank, run.Blank),
            Motif = Map(DocumentKinds.Motif, run.Motif),
            Film = Map(DocumentKinds.Film, run.Film),
            Cutter = Map(DocumentKinds.Cutter, run.Cutter),
            Films = [.. run.Films.Select(f => Map(DocumentKinds.Film, f)!)],
            Sides = [.. run.Sides.Select(s => s with { Motif = Map(DocumentKinds.Motif, s.Motif)! })],
        };

    private Pin? Map(DocumentKind kind, Pin? pin) =>
        pin is not null && here.TryGetValue((kind.Kind, pin.Id, pin.Revision), out var found) ? pin with { Revision = found } : pin;
}
