using System.ComponentModel.DataAnnotations;

namespace Cabida.Core.Runs;

/// <summary>What the customer said of a piece.</summary>
/// <param name="Approved">Whether it may be made as it was shown.</param>
/// <param name="Words">The correction in the customer's words; empty when approved.</param>
/// <param name="InkHash">The ink that was shown.</param>
/// <param name="BlankRevision">The revision of the blank it was shown on.</param>
public sealed record Verdict(bool Approved, string Words, string InkHash, [property: Range(0, int.MaxValue)] int BlankRevision)
{
    /// <summary>All that was shown and will be made (its hash); empty for verdicts from before it was taken.</summary>
    public string Seen { get; init; } = "";
}

/// <summary>What was shown to the customer last.</summary>
/// <param name="On">When, as <c>yyyy-MM-dd HH:mm</c>.</param>
/// <param name="Shown">What was shown, by piece.</param>
public sealed record ShownProof(string On, IReadOnlyDictionary<string, string> Shown);

/// <summary>What the customer said of the pieces of a run, and what was shown to them.</summary>
/// <param name="Said">What was said, by piece; nothing of one that is not in it.</param>
/// <param name="Shown">What was shown last; null before anything was.</param>
public sealed record RunVerdicts(IReadOnlyDictionary<string, Verdict> Said, ShownProof? Shown)
{
    /// <summary>Nothing was said or shown.</summary>
    public static RunVerdicts None { get; } = new(new Dictionary<string, Verdict>(StringComparer.Ordinal), null);

    /// <summary>What was said of a piece; null for nothing.</summary>
    public Verdict? Of(Piece piece) => Said.GetValueOrDefault(piece.Id);

    /// <summary>It with something said of a piece; null takes back what was said.</summary>
    public RunVerdicts With(string pieceId, Verdict? verdict) => With([(pieceId, verdict)]);

    /// <summary>It with something said of pieces; null takes back what was said.</summary>
    public RunVerdicts With(IEnumerable<(string PieceId, Verdict? Verdict)> said)
    {
        var all = new Dictionary<string, Verdict>(Said, StringComparer.Ordinal);
        foreach (var (id, verdict) in said)
        {
            if (verdict is null)
            {
                all.Remove(id);
            }
            else
            {
                all[id] = verdict;
            }
        }

        return this with
        {
            Said = all,
        };
    }
}
