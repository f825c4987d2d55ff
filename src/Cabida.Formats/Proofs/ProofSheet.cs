using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Formats.Proofs;

/// <summary>Ink in a colour.</summary>
/// <param name="Ink">The ink; millimetres, y up.</param>
/// <param name="Colour">As <c>#rrggbb</c>.</param>
public sealed record ColouredInk(Area Ink, string Colour);

/// <summary>A piece of a proof.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Facts">Its size and what was conceded, in a line.</param>
/// <param name="NotYet">Why it cannot be made as it is, so that nothing is asked about it; null where it can.</param>
/// <param name="State">How it stands: open, approved, the correction.</param>
/// <param name="Mark">What became of it since the last proof; empty for nothing.</param>
/// <param name="Inks">Its ink, the lowest film first.</param>
/// <param name="Zone">Where it stands.</param>
public sealed record ProofPiece(
    string Name,
    string Facts,
    string? NotYet,
    string State,
    string Mark,
    IReadOnlyList<ColouredInk> Inks,
    Area Zone
)
{
    /// <summary>Which piece it is; for an answer.</summary>
    public string Id { get; init; } = "";

    /// <summary>The hash of what is seen of it; for an answer.</summary>
    public string Seen { get; init; } = "";
}

/// <summary>A proof: a set at one scale, for the customer.</summary>
/// <param name="Workshop">Whose it is.</param>
/// <param name="Contact">How they are reached.</param>
/// <param name="Mark">Their mark; null without one.</param>
/// <param name="Title">Job and run.</param>
/// <param name="About">Customer, goods and film.</param>
/// <param name="On">The day.</param>
/// <param name="Ground">The colour of the goods as <c>#rrggbb</c>; empty when it is not known.</param>
/// <param name="Pieces">The pieces in the list's order.</param>
public sealed record ProofSheet(
    string Workshop,
    string Contact,
    IReadOnlyList<ColouredInk> Mark,
    string Title,
    string About,
    string On,
    string Ground,
    IReadOnlyList<ProofPiece> Pieces
)
{
    /// <summary>The box that holds every piece within its zone, each about its zone's middle: width and height.</summary>
    internal (double Width, double Height) Cell =>
        (Widest(b => b.Width, b => b.CentreX, b => (b.MinX, b.MaxX)), Widest(b => b.Height, b => b.CentreY, b => (b.MinY, b.MaxY)));

    private double Widest(Func<Box, double> size, Func<Box, double> middle, Func<Box, (double Low, double High)> ends) =>
        Pieces.Max(p =>
        {
            var zone = Box.Of(p.Zone)!.Value;
            var (half, centre) = (size(zone) / 2, middle(zone));
            // Ink that stands out of its zone is shown whole.
            foreach (var ink in p.Inks.Select(i => Box.Of(i.Ink)).OfType<Box>())
            {
                half = Math.Max(half, Math.Max(centre - ends(ink).Low, ends(ink).High - centre));
            }

            return 2 * half;
        });
}
