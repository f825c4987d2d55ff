using System.Globalization;
using System.Text.RegularExpressions;

namespace Cabida.Core.Runs;

/// <summary>A run that is taken up again with other names.</summary>
public static class RunAgain
{
    /// <summary>
    /// The run to begin with: set up as it was, with no names and no word from the customer. Pieces of last time are kept aside, so that a
    /// name that comes back has again what was set for it by hand.
    /// </summary>
    /// <param name="was">The run as it was.</param>
    /// <param name="jobId">The job that the new one belongs to.</param>
    public static Run Of(Run was, string jobId)
    {
        ArgumentNullException.ThrowIfNull(was);
        return new Run(
            was.SetUp with
            {
                JobId = jobId,
                // What stays as it is in one piece was said of that piece; what was said of all stays.
                Kept = [.. was.SetUp.Kept.Where(k => k.Piece.Length == 0)],
            },
            was.List with
            {
                NamesTyped = "",
                Pieces = [],
                Away = [.. SetByHand(was.List)],
            },
            RunVerdicts.None
        );
    }

    /// <summary>Pieces of which something was set by hand, those of the list first.</summary>
    public static IEnumerable<Piece> SetByHand(RunList list)
    {
        ArgumentNullException.ThrowIfNull(list);
        return list.Pieces.Concat(list.Away).Where(p => p.AllOwn.Any(o => !o.IsNone)).DistinctBy(p => p.Id);
    }

    /// <summary>A name for the job of the next time: the year in it, where it has one, is the next.</summary>
    /// <param name="name">What the last one was called.</param>
    /// <param name="year">This year.</param>
    public static string NextName(string name, int year)
    {
        ArgumentNullException.ThrowIfNull(name);
        return Year.Replace(name, m =>
            Math.Max(year, int.Parse(m.Value, CultureInfo.InvariantCulture) + 1).ToString(CultureInfo.InvariantCulture)
        );
    }

    private static readonly Regex Year = new(@"(?<!\d)20\d\d(?!\d)", RegexOptions.CultureInvariant, TimeSpan.FromSeconds(1));
}
