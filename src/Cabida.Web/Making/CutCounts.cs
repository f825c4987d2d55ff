namespace Cabida.Web.Making;

/// <summary>How many things of pieces were released and cut, by run and piece.</summary>
internal sealed class CutCounts
{
    private readonly Dictionary<(string Run, string Piece), int> counts = [];

    public CutCounts(IEnumerable<(string Id, Core.Plans.ReleasedLoad Load)> loads)
    {
        // What was parted is cut once its last section is; a load that was released and not cut yet counts for nothing.
        var items = loads
            .SelectMany(l => l.Load.Items.Select(i => (i.Id, IsCut: l.Load.Cuts.Count > 0)))
            .GroupBy(i => i.Id with { Section = 0 });
        foreach (var whole in items.Where(g => g.All(i => i.IsCut)))
        {
            var key = (whole.Key.Run, whole.Key.Piece);
            counts[key] = counts.GetValueOrDefault(key) + 1;
        }
    }

    /// <summary>Whether all copies of a piece are cut in all films.</summary>
    public bool IsCut(string run, MadePiece piece) =>
        piece.Things > 0 && counts.GetValueOrDefault((run, piece.Id)) >= piece.Things * Math.Max(1, piece.Copies);
}
